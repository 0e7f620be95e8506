#include "desk/plan/beside/shoulder_view.h"

#include <QPainterPath>
#include <cmath>
#include <numbers>

#include "core/pattern/dart.h"
#include "core/pattern/shoulder.h"
#include "desk/shared/fitted.h"
#include "desk/shared/when_shown.h"
#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

using formats::painter_path;

const Piece& piece_of(const Garment& g, PieceRole role)
{
    return *find_piece(g.pieces, role);
}

// The line that runs over the shoulder from one piece to the other, in the front's frame.
QPainterPath over_shoulder(const Garment& g, const Geom::Affine& back_to_front, EdgeRole role)
{
    const Piece& front = piece_of(g, PieceRole::Front);
    const Piece& back = piece_of(g, PieceRole::Back);
    const auto sewn = [&](const Piece& p) {
        const Curve run = closed_run(p, role);
        return role == EdgeRole::Armhole ? run * shoulder_darts_closed(p) : run;
    };
    QPainterPath out = painter_path(sewn(front));
    out.addPath(painter_path(sewn(back) * back_to_front));
    return out;
}

QString degrees(double v)
{
    return QString::number(v, 'f', 1) + "°";
}

}  // namespace

ShoulderView::ShoulderView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setMinimumWidth(300);
    setAccessibleName(tr("The shoulder, sewn"));
    refresh_when_shown(
        this, [this] { describe(); }, room, look);
    describe();
}

void ShoulderView::describe()
{
    const auto& c = room_.computed();
    if (!c || !c->checks.shoulder) return setAccessibleDescription({});
    const auto before = sewn_shoulder(piece_of(c->traced, PieceRole::Front), piece_of(c->traced, PieceRole::Back));
    QString planned = words::shoulder_text(*c->checks.shoulder, look_.unit());
    if (c->checks.shoulder_left)
        planned =
            tr("right %1, left %2").arg(planned, words::shoulder_text(*c->checks.shoulder_left, look_.unit()));
    setAccessibleDescription(
        tr("as traced: %1; planned: %2").arg(words::shoulder_text(before, look_.unit()), planned));
    update();
}

// Two shoulders that are not alike.
bool ShoulderView::both_shown() const
{
    const auto& c = *room_.computed();
    if (!c.left || !c.checks.shoulder_left) return false;
    const auto& right = *c.checks.shoulder;
    const auto& left = *c.checks.shoulder_left;
    return std::abs(right.slope_degrees() - left.slope_degrees()) > 0.05 ||
           abs(right.front - left.front) > Length::mm(0.5);
}

void ShoulderView::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (!room_.computed() || !room_.computed()->checks.shoulder) return;
    const auto& d = look_.dyes();
    const double k = look_.scale();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(look_.cabin(18));
    p.drawText(QPointF{20, 34 * k}, tr("The shoulder, sewn"));
    const double top = 44 * k;
    const double numbers = 108 * k;
    const double half = (height() - top - numbers) / 2;
    draw_joined(p, {14, top, width() - 28.0, half});
    draw_folded(p, {14, top + half, width() - 28.0, half});
    draw_numbers(p, {20, height() - numbers, width() - 40.0, numbers - 8});
}

// Laid flat, seam on seam: neckline and armhole should each be one smooth line.
void ShoulderView::draw_joined(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const auto& c = *room_.computed();
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    const QString laid =
        both_shown() ? tr("laid flat, seam to seam: right; dotted: left") : tr("laid flat, seam to seam");
    p.setFont(fitting(look_.lato(12.5), laid, box.width(), 0.7));
    p.drawText(QRectF{box.left() + 6, box.top(), box.width(), 20}, laid);
    const auto lines = [](const Garment& g) {
        const auto how = back_joined(piece_of(g, PieceRole::Front), piece_of(g, PieceRole::Back));
        return std::pair{over_shoulder(g, how, EdgeRole::Neck), over_shoulder(g, how, EdgeRole::Armhole)};
    };
    const auto now = lines(c.altered);
    const auto was = lines(c.traced);
    const QRectF what = now.first.boundingRect() | now.second.boundingRect() | was.first.boundingRect() |
                        was.second.boundingRect();
    const QTransform t = fitted(what, box.adjusted(20, 22, -20, -6));
    QPen old{d.walnut, 1.2, Qt::CustomDashLine};
    old.setDashPattern({5, 3.4});
    p.setBrush(Qt::NoBrush);
    p.setPen(old);
    p.drawPath(t.map(was.first));
    p.drawPath(t.map(was.second));
    if (both_shown()) {  // the left one beside it
        const auto left = lines(c.left->altered);
        p.setPen(QPen{d.woad, 1.4, Qt::DotLine});
        p.drawPath(t.map(left.first));
        p.drawPath(t.map(left.second));
    }
    p.setPen(QPen{d.woad, 2.2, Qt::SolidLine, Qt::RoundCap});
    p.drawPath(t.map(now.first));
    p.drawPath(t.map(now.second));
    p.setPen(QPen{d.ink, 1.4, Qt::DashDotLine});
    p.drawPath(t.map(painter_path(closed_run(piece_of(c.altered, PieceRole::Front), EdgeRole::Shoulder))));
    p.setPen(d.ink);
    p.setFont(look_.lato(12.5));
    const auto name = [&](QPointF at, const QString& text) {
        p.drawText(QRectF{at.x() - 60, at.y() - 9, 120, 18}, Qt::AlignCenter, text);
    };
    const double x = what.left() + what.width() * 0.32;
    name(t.map(QPointF{x, what.top() + what.height() * 0.16}), tr("back"));
    name(t.map(QPointF{x, what.bottom() - what.height() * 0.3}), tr("front"));
}

// Folded over the top of the shoulder, centre lines parallel: the fold is the slope, the seam lies beside it. Both
// shoulders where they are not alike, as they are seen from the front.
void ShoulderView::draw_folded(QPainter& p, const QRectF& box)
{
    const auto& c = *room_.computed();
    p.setFont(look_.lato(12.5));
    p.setPen(look_.dyes().faded);
    p.drawText(QRectF{box.left() + 6, box.top(), box.width(), 20}, tr("folded as worn, from the front"));
    struct Half {
        const Piece& front;
        SewnShoulder sewn;
        bool mirrored;
    };
    std::vector<Half> halves;
    if (both_shown()) {
        halves.push_back({piece_of(c.altered, PieceRole::Front), *c.checks.shoulder, true});
        halves.push_back({piece_of(c.left->altered, PieceRole::Front), *c.checks.shoulder_left, false});
    } else {
        halves.push_back({piece_of(c.altered, PieceRole::Front), *c.checks.shoulder, false});
    }
    const auto turned = [](bool mirrored) { return QTransform::fromScale(mirrored ? -1 : 1, 1); };
    QRectF what;
    for (const auto& h : halves) {
        what |= turned(h.mirrored)
                    .mapRect(painter_path(closed_run(h.front, EdgeRole::Neck)).boundingRect() |
                             painter_path(closed_run(h.front, EdgeRole::Armhole)).boundingRect());
    }
    const double aside = halves.size() > 1 ? 52 : 24;  // room for what is written beside them
    const QTransform t = fitted(what, box.adjusted(aside, 26 * look_.scale(), -aside, -6));
    for (const auto& h : halves) draw_half(p, box, h.front, h.sewn, turned(h.mirrored) * t);
}

void ShoulderView::draw_half(QPainter& p, const QRectF& box, const Piece& front, const SewnShoulder& sewn,
                             const QTransform& t)
{
    const auto& d = look_.dyes();
    const Curve seam = closed_run(front, EdgeRole::Shoulder);
    const Point np = seam.initialPoint();
    const double slope = sewn.slope_degrees() * std::numbers::pi / 180;
    const double whole = Geom::distance(np, seam.finalPoint());
    const Point fold_end = np + Point{std::cos(slope), -std::sin(slope)} * whole;
    const Point level_end = np + Point{whole * 1.05, 0};
    p.save();
    p.setClipRect(box);
    p.setBrush(d.paper);
    p.setPen(Qt::NoPen);
    p.drawPath(t.map(painter_path(front)));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.woad, 2});
    p.drawPath(t.map(painter_path(closed_run(front, EdgeRole::Neck))));
    p.drawPath(t.map(painter_path(closed_run(front, EdgeRole::Armhole))));
    p.restore();
    const auto at = [&](Point q) { return t.map(formats::on_paper(q)); };
    p.setPen(QPen{d.ink, 2.2});
    p.drawLine(at(np), at(fold_end));
    p.setPen(QPen{d.woad, 1.6, Qt::DashDotLine});
    p.drawPath(t.map(painter_path(seam)));
    // The level through the neck point, against which the slope is read.
    p.setPen(QPen{d.faded, 1, Qt::DotLine});
    p.drawLine(at(np), at(level_end));
    const bool to_the_left = at(level_end).x() < at(np).x();
    const auto beside = [&](QPointF where, double down, const QString& text) {
        const double back = to_the_left ? -p.fontMetrics().horizontalAdvance(text) - 5 : 5;
        p.drawText(where + QPointF{back, down}, text);
    };
    p.setFont(look_.lato(12.5));
    p.setPen(d.ink);
    beside(at(fold_end), 4, tr("fold"));
    p.setPen(d.woad);
    beside(at(seam.finalPoint()), 5 + 14 * look_.scale(), tr("seam"));
    p.setPen(d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    beside(at(level_end), -2, degrees(sewn.slope_degrees()));
}

void ShoulderView::draw_numbers(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const auto& c = *room_.computed();
    const double k = look_.scale();
    const auto before = sewn_shoulder(piece_of(c.traced, PieceRole::Front), piece_of(c.traced, PieceRole::Back));
    const Unit u = words::paper_unit(look_.unit());
    const auto body = shoulder_slope_degrees(room_.body(), Side::Right);
    const auto on_left = shoulder_slope_degrees(room_.body(), Side::Left);
    const auto row = [&](int n, const QString& name, const QString& was, const QString& is) {
        const double y = box.top() + (20 + 24 * n) * k;
        p.setPen(d.faded);
        p.setFont(fitting(look_.lato(13), name, box.width() * 0.24, 0.7));
        p.drawText(QPointF{box.left(), y}, name);
        p.setFont(look_.lato(13));
        const double arrow = box.left() + box.width() * (both_shown() ? 0.46 : 0.62);
        p.drawText(QRectF{box.left(), y - 14 * k, arrow - 8 - box.left(), 18 * k},
                   Qt::AlignRight | Qt::AlignVCenter, was);
        p.drawText(QPointF{arrow, y}, "→");
        p.setPen(d.ink);
        const double left = arrow + 12 + 12 * k;
        p.setFont(fitting(look_.lato(14, QFont::DemiBold), is, box.right() + 14 - left, 0.6));
        p.drawText(QPointF{left, y}, is);
    };
    const SewnShoulder& right = *c.checks.shoulder;
    const auto now = [&](const auto& said) {
        const QString of_right = said(right);
        const QString of_left = both_shown() ? said(*c.checks.shoulder_left) : of_right;
        return of_right == of_left ? of_right : tr("right %1, left %2").arg(of_right, of_left);
    };
    row(0, tr("slope"), degrees(before.slope_degrees()),
        now([](const SewnShoulder& s) { return degrees(s.slope_degrees()); }));
    const auto said_of = [&](Length l) { return both_shown() ? words::number(l, u) : words::amount(l, u); };
    row(1, tr("seam forward"), said_of(before.forward()),
        now([&](const SewnShoulder& sewn) { return said_of(sewn.forward()); }));
    row(2, tr("seam length"), said_of(before.front),
        now([&](const SewnShoulder& sewn) { return said_of(sewn.front); }));
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    QString said = tr("the body's slope is not known: no heights yet");
    if (body) said = tr("the body's slope, by its heights: %1").arg(degrees(*body));
    if (body && on_left && degrees(*body) != degrees(*on_left))
        said = tr("the body, by its heights: right %1, left %2").arg(degrees(*body), degrees(*on_left));
    p.setFont(fitting(look_.lato(12.5), said, box.width() + 14, 0.7));
    p.drawText(QPointF{box.left(), box.top() + 92 * k}, said);
}

}  // namespace sartorum::desk
