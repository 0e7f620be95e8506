#include "desk/plan/map/plan_map.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>
#include <utility>

#include "core/paper/area.h"
#include "core/plan/cut_out.h"
#include "core/plan/knock_ons.h"
#include "core/plan/other_answer.h"
#include "desk/shared/piece_painter.h"
#include "formats/painter_paths.h"
#include "words/lines.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double margin = 14;
constexpr double legend_height = 26;
constexpr double hold_within = 14;
constexpr double name_height = 18;  // under a piece

Length snapped(Length l, Unit unit)
{
    const Length grain = unit == Unit::Inch ? Length::inches(1.0 / 16) : Length::mm(0.5);
    return grain * std::round(l / grain);
}

}  // namespace

PlanMap::PlanMap(Look& look, Room& room, OtherWay& other, QWidget* parent)
    : QWidget{parent}, look_{look}, room_{room}, other_{other}
{
    setAccessibleName(tr("The plan on its pieces"));
    setMouseTracking(true);
    setMinimumSize(480, 360);
    setAttribute(Qt::WA_OpaquePaintEvent);
}

QRectF PlanMap::area() const
{
    return QRectF{rect()}.adjusted(margin, margin, -margin, -legend_height * look_.scale());
}

void PlanMap::choose(AdjustmentKind kind)
{
    chosen_ = kind;
    pointed_.reset();
    refresh();
}

std::vector<AdjustmentKind> PlanMap::shown() const
{
    std::vector<AdjustmentKind> out;
    for (const auto& s : shown_) out.push_back(s.line->kind);
    return out;
}

Tag* PlanMap::tag_of(AdjustmentKind kind) const
{
    for (const auto& s : shown_) {
        if (s.line->kind == kind) return s.tag;
    }
    return nullptr;
}

std::optional<QPointF> PlanMap::mark_of(AdjustmentKind kind) const
{
    for (const auto& s : shown_) {
        if (s.line->kind == kind && !s.marks.empty()) return s.marks[s.tied];
    }
    return std::nullopt;
}

std::vector<QLineF> PlanMap::leaders() const
{
    std::vector<QLineF> out;
    for (const auto& s : shown_) {
        if (s.seat.tied && !s.marks.empty()) out.emplace_back(s.seat.tie, s.marks[s.tied]);
    }
    return out;
}

void PlanMap::compare_with(std::vector<Piece> before)
{
    before_ = std::move(before);
    update();
}

// What stands out, and what is looked at though it does not.
void PlanMap::refresh()
{
    shown_.clear();
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    auto lines = standing_out(c);
    const PlanLine* chosen = c.line(chosen_);
    if (chosen && std::find(lines.begin(), lines.end(), chosen) == lines.end()) {
        const auto after = std::find_if(lines.begin(), lines.end(),
                                        [&](const PlanLine* l) { return comes_before(chosen_, l->kind); });
        lines.insert(after, chosen);
    }
    space_ = room_for_tags(area(), lines.size(), {Tag::large(look_), Tag::small(look_), 8 * look_.scale()});
    lay_pieces(space_.inner);
    for (const auto* line : lines) shown_.push_back({line, nullptr, marks_of(*line, altered(drawn())), 0, {}});
    find_marks();
    tie();
    show_tags();
    update();
}

void PlanMap::set_hand(std::optional<Side> side)
{
    if (side == std::exchange(hand_, side)) return;
    refresh();
}

const Garment& PlanMap::altered(Side side) const
{
    const auto& c = *room_.computed();
    return side == Side::Left && c.left ? c.left->altered : c.altered;
}

QPen PlanMap::other_side_pen() const
{
    QPen pen{look_.dyes().woad, 1.4, Qt::CustomDashLine};
    pen.setDashPattern({1.5, 2.5});
    return pen;
}

void PlanMap::lay_pieces(const QRectF& inner)
{
    const auto& c = *room_.computed();
    laid_ = laid_out(c.traced.pieces, c.altered.pieces);
    QRectF sheet;
    for (const auto& [id, laid] : laid_) sheet |= laid.box;
    const QRectF room = inner.adjusted(16, 14, -16, -10 - name_height * look_.scale());
    const double fit = std::min(room.width() / sheet.width(), room.height() / sheet.height());
    sheet_to_screen_ = {};
    sheet_to_screen_.translate(room.center().x(), room.center().y());
    sheet_to_screen_.scale(fit, fit);
    sheet_to_screen_.translate(-sheet.center().x(), -sheet.center().y());
}

std::vector<QPointF> PlanMap::marks_of(const PlanLine& line, const Garment& garment) const
{
    const Garment part = part_view(garment, line.part);
    std::vector<QPointF> out;
    for (const auto& place : places_of(adjustment(line.kind), part)) {
        const Piece& piece = *find_piece(part.pieces, place.piece);
        const auto t = laid_.at(piece.id).to_sheet * sheet_to_screen_;
        out.push_back(t.map(QPointF{place.at[Geom::X], -place.at[Geom::Y]}));
    }
    return out;
}

void PlanMap::find_marks()
{
    std::vector<QPointF> all;
    for (const auto& s : shown_) all.insert(all.end(), s.marks.begin(), s.marks.end());
    all = pushed_apart(std::move(all), (mark_size + 4) * look_.scale(), space_.inner.adjusted(12, 12, -12, -12));
    auto next = all.begin();
    for (auto& s : shown_) {
        for (auto& m : s.marks) m = *next++;
    }
}

// Each tag is tied to that of its places which is nearest to where the tag stands.
void PlanMap::tie()
{
    constexpr int rounds = 3;
    for (int round = 0; round < rounds; ++round) {
        std::vector<QPointF> ends;
        for (const auto& s : shown_) ends.push_back(s.marks.empty() ? space_.inner.center() : s.marks[s.tied]);
        const auto seats_taken = seats_for(ends, space_.seats);
        for (std::size_t i = 0; i < shown_.size(); ++i) {
            auto& s = shown_[i];
            s.seat = space_.seats[seats_taken[i]];
            if (round + 1 == rounds) continue;
            for (std::size_t m = 0; m < s.marks.size(); ++m) {
                const auto far = [&](std::size_t k) { return QLineF{s.marks[k], s.seat.tie}.length(); };
                if (far(m) < far(s.tied)) s.tied = m;
            }
        }
    }
}

void PlanMap::show_tags()
{
    const auto& c = *room_.computed();
    const auto follow = knock_ons(c);
    const auto number = [&](AdjustmentKind kind) {
        for (std::size_t i = 0; i < shown_.size(); ++i) {
            if (shown_[i].line->kind == kind && shows_as(*shown_[i].line) != Shows::Quiet)
                return QString::number(i + 1);
        }
        return QString{};
    };
    while (tags_.size() < shown_.size()) {
        auto* tag = new Tag{look_, this};
        tag->installEventFilter(this);
        connect(tag, &Tag::clicked, this, [this, tag] { emit opened(tag->text().kind); });
        connect(tag, &Tag::pointed, this,
                [this, tag](bool here) { point_at(here ? std::optional{tag->text().kind} : std::nullopt); });
        tags_.push_back(tag);
    }
    for (std::size_t i = 0; i < tags_.size(); ++i) {
        tags_[i]->setVisible(i < shown_.size());
        if (i >= shown_.size()) continue;
        auto& s = shown_[i];
        s.tag = tags_[i];
        auto text = tag_text(c, *s.line, number(s.line->kind), look_.unit());
        for (const auto& k : follow) {
            const bool caused = std::find(k.causes.begin(), k.causes.end(), s.line->kind) != k.causes.end();
            if (caused && k.effect && text.follows.isEmpty()) text.follows = number(*k.effect);
            if (k.effect == s.line->kind && !k.causes.empty() && !s.line->own_amount)
                text.why = {tr("asked by %1").arg(number(k.causes.front()))};
        }
        s.tag->setGeometry(s.seat.tag.toAlignedRect());
        QString spoken = words::plan_sentence(*s.line, c, look_.unit());
        if (const auto why = words::hindrance(*s.line, look_.unit()); !why.isEmpty()) spoken += ". " + why;
        s.tag->show_text(text, spoken, space_.small, s.line->kind == chosen_);
    }
    // The keys walk them in fitting order.
    for (std::size_t i = 1; i < shown_.size(); ++i) setTabOrder(tags_[i - 1], tags_[i]);
}

void PlanMap::point_at(std::optional<AdjustmentKind> kind)
{
    if (kind == std::exchange(pointed_, kind)) return;
    update();
}

void PlanMap::paintEvent(QPaintEvent*)
{
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), look_.dyes().sheet);
    if (!room_.computed() || shown_.empty()) return;
    draw_pieces(p);
    draw_leaders(p);
    draw_legend(p);
}

void PlanMap::draw_pieces(QPainter& p)
{
    const auto& c = *room_.computed();
    const auto kind = pointed_.value_or(chosen_);
    const auto change = other_.of(kind, drawn());
    const auto& here = altered(drawn()).pieces;
    const auto& there = altered(other_side(drawn())).pieces;
    for (const auto& [id, laid] : laid_) {
        PiecePainter paint{p, look_, laid.to_sheet * sheet_to_screen_};
        paint.paper(*find_piece(here, id));
    }
    if (change) draw_change(p, *change);
    std::vector<QRectF> named;
    for (const auto& [id, laid] : laid_) {
        const QTransform t = laid.to_sheet * sheet_to_screen_;
        PiecePainter paint{p, look_, t};
        const Piece& now = *find_piece(here, id);
        paint.as_bought(*find_piece(c.traced.pieces, id));
        paint.marks(now);
        if (const Piece* other = find_piece(there, id); c.left && !same_paper(*other, now)) {
            p.setPen(other_side_pen());
            p.setBrush(Qt::NoBrush);
            p.drawPath(t.map(formats::painter_path(*other)));
        }
        paint.new_line(now);
        if (const Piece* was = before_.empty() ? nullptr : find_piece(before_, id)) {
            p.setPen(QPen{look_.dyes().madder, 1.6, Qt::DotLine});
            p.setBrush(Qt::NoBrush);
            p.drawPath(t.map(formats::painter_path(*was)));
        }
        p.setPen(look_.dyes().walnut);
        p.setFont(look_.cabin(13.5));
        const QRectF box = sheet_to_screen_.mapRect(laid.box);
        // Small pieces lie too near each other for their names.
        const QString name = words::piece_name(now);
        const double wide = p.fontMetrics().horizontalAdvance(name);
        const QRectF room{box.center().x() - wide / 2 - 2, box.bottom(), wide + 4, name_height * look_.scale()};
        const bool near =
            std::any_of(named.begin(), named.end(), [&](const QRectF& r) { return r.intersects(room); });
        if (near || wide > box.width() + 24) continue;
        named.push_back(room);
        p.drawText(QRectF{box.center().x() - 110, box.bottom() + 2, 220, name_height * look_.scale()},
                   Qt::AlignCenter, name);
    }
}

// Where the outline lies further out after it, and further in.
void PlanMap::draw_change(QPainter& p, const BeforeAfter& change)
{
    for (const auto& [id, laid] : laid_) {
        const Piece* before = find_piece(change.before, id);
        const Piece* after = find_piece(change.after, id);
        if (!before || !after || same_paper(*before, *after)) continue;
        PiecePainter paint{p, look_, laid.to_sheet * sheet_to_screen_};
        paint.added(difference(*after, *before));
        paint.removed(difference(*before, *after));
    }
}

void PlanMap::draw_leaders(QPainter& p)
{
    const auto& d = look_.dyes();
    const auto leader = [&](const Shown& s) {
        if (!s.seat.tied || s.marks.empty()) return;
        const QRectF& tag = s.seat.tag;
        const QPointF edge{std::clamp(s.seat.tie.x(), tag.left(), tag.right()),
                           std::clamp(s.seat.tie.y(), tag.top(), tag.bottom())};
        p.drawPolyline(QPolygonF{{edge, s.seat.tie, s.marks[s.tied]}});
    };
    p.setPen(QPen{d.faded, 1.1});
    for (const auto& s : shown_) {
        if (s.line->kind != chosen_) leader(s);
    }
    QPen thread{d.woad, 2.2, Qt::CustomDashLine};
    thread.setDashPattern({4, 2.4});
    p.setPen(thread);
    for (const auto& s : shown_) {
        if (s.line->kind == chosen_) leader(s);
    }
    for (const auto& s : shown_) {
        for (const auto& m : s.marks)
            draw_mark(p, look_, m, mark_size * look_.scale(), shows_as(*s.line), s.tag->text().number,
                      s.line->kind == chosen_);
    }
}

void PlanMap::draw_legend(QPainter& p)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    const double y = height() - legend_height * k / 2 - 2;
    double x = margin + 4;
    p.setFont(look_.lato(12.5));
    const auto say = [&](const QString& text) {
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5));
        p.drawText(QPointF{x, y + 4.5 * k}, text);
        x += p.fontMetrics().horizontalAdvance(text) + 18 * k;
    };
    const double size = 15 * k;
    // What has no room is left out, rather than cut: marks and lines are said on the tags too.
    const auto fits = [&](const QString& text, double mark) {
        return x + mark + 6 * k + QFontMetricsF{look_.lato(12.5)}.horizontalAdvance(text) < width() - 4;
    };
    for (const auto& [standing, text] :
         {std::pair{Shows::Accepted, tr("accepted")}, std::pair{Shows::Proposed, tr("proposed: answer it")},
          std::pair{Shows::NotDone, tr("not done")}}) {
        if (!fits(text, size)) return;
        draw_mark(p, look_, {x + size / 2, y}, size, standing, {}, false);
        x += size + 6 * k;
        say(text);
    }
    const auto line = [&](const QPen& pen, const QString& text) {
        if (!fits(text, 26 * k)) return;
        p.setPen(pen);
        p.drawLine(QPointF{x, y}, QPointF{x + 26 * k, y});
        x += 32 * k;
        say(text);
    };
    QPen bought{d.walnut, 1.3, Qt::CustomDashLine};
    bought.setDashPattern({5, 3.4});
    line(bought, tr("as bought"));
    const bool sided = cut_by_side(*room_.computed());
    line(QPen{d.woad, 2}, !sided                   ? tr("planned")
                          : drawn() == Side::Right ? tr("planned, right")
                                                   : tr("planned, left"));
    if (cut_by_side(*room_.computed())) {
        const bool right = drawn() == Side::Right;
        line(other_side_pen(), right ? tr("left, where it differs") : tr("right, where it differs"));
    }
    if (!before_.empty()) line(QPen{d.madder, 1.6, Qt::DotLine}, tr("the plan before"));
}

void PlanMap::resizeEvent(QResizeEvent*)
{
    refresh();
}

std::optional<AdjustmentKind> PlanMap::mark_at(QPointF at) const
{
    std::optional<AdjustmentKind> out;
    double nearest = hold_within * look_.scale();
    for (const auto& s : shown_) {
        for (const auto& m : s.marks) {
            const double far = QLineF{m, at}.length();
            if (far < nearest) {
                nearest = far;
                out = s.line->kind;
            }
        }
    }
    return out;
}

std::optional<PlanMap::Drag> PlanMap::taken_hold(AdjustmentKind kind, QPointF at) const
{
    const auto& c = *room_.computed();
    const auto handle = handle_of(c, kind, drawn());
    if (!handle) return std::nullopt;
    const QTransform t = laid_.at(handle->piece).to_sheet * sheet_to_screen_;
    const QPointF by{handle->a_millimetre[Geom::X], -handle->a_millimetre[Geom::Y]};
    const PlanLine& of_right = *c.line(kind);
    const PlanLine* of_left = c.left_of(of_right);
    const PlanLine& line = drawn() == Side::Left && of_left ? *of_left : of_right;
    return Drag{at, t.map(by) - t.map(QPointF{}), line.amount, line.back};
}

void PlanMap::mousePressEvent(QMouseEvent* e)
{
    const auto kind = mark_at(e->position());
    if (!kind || e->button() != Qt::LeftButton) return;
    emit opened(*kind);
    drag_ = taken_hold(*kind, e->position());
    if (drag_) setCursor(Qt::ClosedHandCursor);
}

void PlanMap::mouseMoveEvent(QMouseEvent* e)
{
    if (drag_ && !(e->buttons() & Qt::LeftButton)) {  // the release was somebody else's
        let_go();
        emit dropped();
        return;
    }
    if (!drag_) {
        const auto kind = mark_at(e->position());
        setCursor(kind ? Qt::OpenHandCursor : Qt::ArrowCursor);
        return point_at(kind);
    }
    const QPointF along = drag_->a_millimetre;
    const double mm = QPointF::dotProduct(e->position() - drag_->from, along) / QPointF::dotProduct(along, along);
    const Length front = snapped(drag_->front + Length::mm(mm), look_.unit());
    emit dragged(front, drag_->back + (front - drag_->front));
}

// One drag is one act, however far the hand went.
void PlanMap::mouseReleaseEvent(QMouseEvent* e)
{
    if (e->button() != Qt::LeftButton) return;
    if (std::exchange(drag_, std::nullopt)) emit dropped();
}

// Hidden under the hand that drags, it never hears of the release: the drag ends here, as far as it went.
void PlanMap::hideEvent(QHideEvent* e)
{
    if (std::exchange(drag_, std::nullopt)) emit dropped();
    QWidget::hideEvent(e);
}

void PlanMap::let_go()
{
    drag_.reset();
    setCursor(Qt::ArrowCursor);
}

void PlanMap::leaveEvent(QEvent*)
{
    if (!drag_) point_at({});
}

// A tag that has the keys points at its change.
bool PlanMap::eventFilter(QObject* watched, QEvent* e)
{
    if (e->type() == QEvent::FocusIn) {
        if (const auto* tag = qobject_cast<Tag*>(watched)) point_at(tag->text().kind);
    }
    return QWidget::eventFilter(watched, e);
}

}  // namespace sartorum::desk
