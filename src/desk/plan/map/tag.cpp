#include "desk/plan/map/tag.h"

#include <QKeyEvent>
#include <QPainter>
#include <algorithm>

#include "words/lines.h"
#include "words/sides.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

// Smaller rather than cut, down to the smallest text anywhere.
QFont fitted(const QString& text, double room, double px, double least, const std::function<QFont(double)>& font)
{
    for (double size = px; size > least; size -= 0.5) {
        if (QFontMetricsF{font(size)}.horizontalAdvance(text) <= room) return font(size);
    }
    return font(least);
}

}  // namespace

TagText tag_text(const Computed& c, const PlanLine& l, const QString& number, Unit u)
{
    TagText out;
    out.kind = l.kind;
    out.standing = shows_as(l);
    out.number = number;
    out.name = words::adjustment_name(l.kind);
    out.amount = l.amount;
    out.back = l.back;
    const PlanLine* left = c.left_of(l);
    if (left && (left->amount != l.amount || left->back != l.back)) {
        out.left = left->amount;
        out.left_back = left->back;
    }
    if (!l.at.empty()) {
        const auto most = std::find(l.at.begin(), l.at.end(), l.amount) - l.at.begin();
        const bool alike = !unlike_places(adjustment(l.kind)) &&
                           std::all_of(l.at.begin(), l.at.end(), [&](Length x) { return x == l.amount; });
        out.place = alike ? words::everywhere(l.kind)
                          : words::place_name(adjustment(l.kind).places[static_cast<std::size_t>(most)].key);
    }
    const bool some = l.amount != Length{} || l.back != Length{} || out.left;
    out.has_amount = out.standing != Shows::NotDone && some;
    if (out.standing == Shows::NotDone) {
        out.why = {QObject::tr("not done: open it to see why"), QObject::tr("not done")};
    } else if (l.look_again) {
        out.look_again = true;
        out.why = {QObject::tr("look again: %1 came after").arg(words::adjustment_name(*l.look_again).toLower()),
                   QObject::tr("look again")};
    } else if (!l.seen_on.empty()) {
        out.why = {words::why(l, u), QObject::tr("seen on a toile")};
    } else if (l.own_amount) {
        out.why = {QObject::tr("your amount")};
    } else if (l.proposal) {
        // All of it, or its last parts: what it is measured against now.
        const QString brief = words::sides_brief(l);
        if (!brief.isEmpty()) out.why << words::why(c, l, u) << brief;
        QStringList parts = words::why(l, u).split(", ");
        for (; brief.isEmpty() && !parts.isEmpty(); parts.removeFirst()) out.why << parts.join(", ");
    } else {
        out.why = {words::state_text(l, u)};
    }
    return out;
}

Tag::Tag(Look& look, QWidget* parent) : QAbstractButton{parent}, look_{look}
{
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    setAttribute(Qt::WA_OpaquePaintEvent);  // a hand that drags repaints the map, not what stands on it
    setCursor(Qt::PointingHandCursor);
}

QSizeF Tag::large(const Look& look)
{
    return QSizeF{188, 82} * look.scale();
}

QSizeF Tag::small(const Look& look)
{
    // Large text goes on in a second line: two columns and the pieces find room.
    return {188 * std::min(look.scale(), roomy_text), 38 * look.scale()};
}

void Tag::show_text(const TagText& t, const QString& spoken, bool small, bool chosen)
{
    if (t == text_ && small == small_ && chosen == chosen_ && spoken == accessibleDescription()) return;
    text_ = t;
    small_ = small;
    chosen_ = chosen;
    setObjectName("tag_" + QString::fromStdString(std::string{adjustment(t.kind).key}));
    setAccessibleName(t.number.isEmpty() ? t.name : QObject::tr("%1, %2").arg(t.number, t.name));
    setAccessibleDescription(spoken);
    setToolTip(spoken);
    update();
}

// Front over back where they differ.
void Tag::draw_amounts(QPainter& p, double left)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const QColor ink = text_.standing == Shows::Quiet ? d.faded : d.woad;
    const auto number = [&](double base, Length amount, double px, const QString& word) {
        p.setPen(ink);
        const double w = draw_number(p, look_, {left, base}, amount, look_.unit(), px, QFont::Medium, true);
        p.setPen(d.faded);
        // Up to where the arrow to what follows begins.
        p.setFont(fitting(look_.lato(12.5), word, width() - 52 * k - (left + w + 4 * k), 0.85));
        p.drawText(QPointF{left + w + 4 * k, base}, word);
    };
    if (text_.left) return draw_sides(p, left);
    if (text_.back == text_.amount) return number(54 * k, text_.amount, 26, text_.place);
    number(42 * k, text_.amount, 16, tr("front"));
    number(59 * k, text_.back, 16, tr("back"));
}

// The left over the right, as one reads them; front and back beside each other.
void Tag::draw_sides(QPainter& p, double left)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    constexpr double px = 16;
    const auto row = [&](double base, const QString& word, Length front, Length back) {
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5));
        p.drawText(QPointF{left, base}, word);
        double x = left + 36 * k;
        for (const Length amount : {front, back}) {
            p.setPen(text_.standing == Shows::Quiet ? d.faded : d.woad);
            x += draw_number(p, look_, {x, base}, amount, look_.unit(), px, QFont::Medium, true) + 8 * k;
            if (front == back) break;
        }
    };
    row(42 * k, tr("left"), *text_.left, text_.left_back);
    row(59 * k, tr("right"), text_.amount, text_.back);
}

// In a low tag the name, and under it both sides in one line.
void Tag::draw_sides_low(QPainter& p, double left, double right)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    p.setPen(d.ink);
    // Both numbers leave no room for the largest text.
    const double small = std::min(k, roomy_text) / k;
    p.setFont(fitted(text_.name, right - left, 14, 8, [&](double px) { return look_.cabin(px); }));
    p.drawText(QPointF{left, height() / 2.0 - 3 * k}, text_.name);
    const double px = 13 * small;
    double x = left;
    const double base = height() / 2.0 + 13 * k;
    for (const auto& [word, amount] : {std::pair{tr("left"), *text_.left}, std::pair{tr("right"), text_.amount}}) {
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5 * small));
        p.drawText(QPointF{x, base}, word);
        x += p.fontMetrics().horizontalAdvance(word) + 4 * k * small;
        p.setPen(text_.standing == Shows::Quiet ? d.faded : d.woad);
        x += draw_number(p, look_, {x, base}, amount, look_.unit(), px, QFont::Medium, true) + 8 * k * small;
    }
}

void Tag::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    QPainter p{this};
    p.fillRect(rect(), d.sheet);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF r = QRectF{rect()}.adjusted(1.5, 1.5, -1.5, -1.5);
    const bool dashed = text_.standing == Shows::NotDone || text_.standing == Shows::Quiet;
    p.setBrush(chosen_ ? d.woad_wash : d.sheet);
    p.setPen(QPen{chosen_                             ? d.woad
                  : text_.standing == Shows::Proposed ? d.weld_ink
                  : underMouse()                      ? d.ink
                                                      : d.edge,
                  chosen_ ? 2.0 : 1.0, dashed && !chosen_ ? Qt::DashLine : Qt::SolidLine});
    p.drawRoundedRect(r, 4, 4);
    const double mark = mark_size * k;
    draw_mark(p, look_, {8 * k + mark / 2, 8 * k + mark / 2}, mark, text_.standing, text_.number, false);
    const double left = 14 * k + mark;
    const double right = r.right() - 8 * k;
    const auto cabin = [&](double px) { return look_.cabin(px); };
    const auto lato = [&](double px) { return look_.lato(px); };
    // What follows stands at the right of the amount.
    const double then = text_.follows.isEmpty() ? 0 : 40 * k;
    const Unit u = look_.unit();
    if (small_) {
        const double px = 17;
        const double w =
            text_.has_amount ? number_width(look_, text_.amount, u, px, QFont::Medium, true) + 6 * k : 0;
        if (text_.left) {
            draw_sides_low(p, left, right);
        } else {
            p.setPen(d.ink);
            p.setFont(fitted(text_.name, right - left - w, 15, 10, cabin));
            p.drawText(QRectF{left, 0, right - left - w, double(height())}, Qt::AlignVCenter | Qt::TextWordWrap,
                       text_.name);
        }
        if (text_.has_amount && !text_.left) {
            p.setPen(d.woad);
            draw_number(p, look_, {right - w + 6 * k, height() / 2.0 + 6 * k}, text_.amount, u, px, QFont::Medium,
                        true);
        }
    } else {
        p.setPen(d.ink);
        p.setFont(fitted(text_.name, right - left, 15.5, 10, cabin));
        p.drawText(QPointF{left, 24 * k}, text_.name);
        if (text_.has_amount) draw_amounts(p, left);
        if (then > 0) {
            p.setPen(QPen{d.faded, 1.3});
            const QPointF at{right - then, 46 * k};
            p.drawLine(at, at + QPointF{14 * k, 0});
            p.drawLine(at + QPointF{14 * k, 0}, at + QPointF{10 * k, -4 * k});
            p.drawLine(at + QPointF{14 * k, 0}, at + QPointF{10 * k, 4 * k});
            p.setPen(d.ink);
            p.setFont(look_.lato(14, QFont::DemiBold));
            p.drawText(QRectF{at.x() + 16 * k, at.y() - 12 * k, 26 * k, 24 * k}, Qt::AlignCenter, text_.follows);
        }
        p.setPen(text_.look_again ? d.weld_ink : d.faded);
        // Two lines where there is no amount.
        const QRectF place = text_.has_amount ? QRectF{10 * k, 60 * k, right - 10 * k, 20 * k}
                                              : QRectF{left, 30 * k, right - left, 46 * k};
        for (const auto& why : text_.why) {
            const QFont f = lato(12.5);
            const QRectF need = QFontMetricsF{f}.boundingRect(place, Qt::TextWordWrap, why);
            if (need.height() > place.height() || need.width() > place.width()) continue;
            p.setFont(f);
            p.drawText(place, Qt::TextWordWrap | (text_.has_amount ? Qt::AlignVCenter : Qt::AlignTop), why);
            break;
        }
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(3, 3, -3, -3), 4);
}

bool Tag::event(QEvent* e)
{
    if (e->type() == QEvent::HoverEnter || e->type() == QEvent::HoverLeave) {
        emit pointed(e->type() == QEvent::HoverEnter);
        update();
    }
    return QAbstractButton::event(e);
}

// Space accepts and Enter goes on, wherever on the plan the keys are: both are the station's.
void Tag::keyPressEvent(QKeyEvent* e)
{
    e->ignore();
}

}  // namespace sartorum::desk
