#include "desk/plan/shoulder_view.h"

#include <QPainterPath>
#include <cmath>
#include <numbers>

#include "core/pattern/dart.h"
#include "core/pattern/shoulder.h"
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

// Millimetres, y down, so that `what` fills the box.
QTransform fitted(const QRectF& what, const QRectF& box)
{
    const double s = std::min(box.width() / what.width(), box.height() / what.height());
    QTransform t;
    t.translate(box.center().x(), box.center().y());
    t.scale(s, s);
    t.translate(-what.center().x(), -what.center().y());
    return t;
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
    p.drawText(QRectF{box.left() + 6, box.top(), box.width(), 20}, tr("laid flat, seam to seam"));
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

// Folded over the top of the shoulder, centre lines parallel: the fold is the slope, the seam lies beside it.
void ShoulderView::draw_folded(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const auto& c = *room_.computed();
    const Piece& front = piece_of(c.altered, PieceRole::Front);
    const auto& s = *c.checks.shoulder;
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    p.drawText(QRectF{box.left() + 6, box.top(), box.width(), 20}, tr("folded as worn, from the front"));
    const Curve seam = closed_run(front, EdgeRole::Shoulder);
    const QPainterPath neck = painter_path(closed_run(front, EdgeRole::Neck));
    const QPainterPath hole = painter_path(closed_run(front, EdgeRole::Armhole));
    const QTransform t = fitted(neck.boundingRect() | hole.boundingRect(), box.adjusted(24, 26, -24, -6));
    const Point np = seam.initialPoint();
    const double slope = s.slope_degrees() * std::numbers::pi / 180;
    const double whole = Geom::distance(np, seam.finalPoint());
    const Point fold_end = np + Point{std::cos(slope), -std::sin(slope)} * whole;
    p.setBrush(d.paper);
    p.setPen(Qt::NoPen);
    QPainterPath shape = painter_path(front);
    p.save();
    p.setClipRect(box);
    p.drawPath(t.map(shape));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.woad, 2});
    p.drawPath(t.map(neck));
    p.drawPath(t.map(hole));
    p.restore();
    const auto at = [&](Point q) { return t.map(formats::on_paper(q)); };
    p.setPen(QPen{d.ink, 2.2});
    p.drawLine(at(np), at(fold_end));
    p.setPen(QPen{d.woad, 1.6, Qt::DashDotLine});
    p.drawPath(t.map(painter_path(seam)));
    // The level through the neck point, against which the slope is read.
    p.setPen(QPen{d.faded, 1, Qt::DotLine});
    p.drawLine(at(np), at(np + Point{whole * 1.05, 0}));
    p.setFont(look_.lato(12.5));
    p.setPen(d.ink);
    p.drawText(at(fold_end) + QPointF{6, 0}, tr("fold"));
    p.setPen(d.woad);
    p.drawText(at(seam.finalPoint()) + QPointF{6, 15}, tr("seam"));
    p.setPen(d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    p.drawText(at(np + Point{whole * 1.05, 0}) + QPointF{5, 5}, QString::number(s.slope_degrees(), 'f', 1) + "°");
}

void ShoulderView::draw_numbers(QPainter& p, const QRectF& box)
{
    const auto& d = look_.dyes();
    const auto& c = *room_.computed();
    const double k = look_.scale();
    const auto before = sewn_shoulder(piece_of(c.traced, PieceRole::Front), piece_of(c.traced, PieceRole::Back));
    const Unit u = words::paper_unit(look_.unit());
    const auto body = shoulder_slope_degrees(room_.body(), Side::Right);
    const auto row = [&](int n, const QString& name, const QString& was, const QString& is) {
        const double y = box.top() + (20 + 24 * n) * k;
        p.setPen(d.faded);
        p.setFont(look_.lato(13));
        p.drawText(QPointF{box.left(), y}, name);
        const double arrow = box.left() + box.width() * 0.62;
        p.drawText(QRectF{box.left(), y - 14 * k, arrow - 8 - box.left(), 18 * k},
                   Qt::AlignRight | Qt::AlignVCenter, was);
        p.drawText(QPointF{arrow, y}, "→");
        p.setPen(d.ink);
        p.setFont(look_.lato(14, QFont::DemiBold));
        p.drawText(QPointF{arrow + 12 + 12 * k, y}, is);
    };
    const auto degrees = [](double v) { return QString::number(v, 'f', 1) + "°"; };
    row(0, tr("slope"), degrees(before.slope_degrees()), degrees(c.checks.shoulder->slope_degrees()));
    row(1, tr("seam forward"), words::amount(before.forward(), u), words::amount(c.checks.shoulder->forward(), u));
    row(2, tr("seam length"), words::amount(before.front, u), words::amount(c.checks.shoulder->front, u));
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5));
    p.drawText(QPointF{box.left(), box.top() + 92 * k},
               body ? tr("the body's slope, by its heights: %1").arg(degrees(*body))
                    : tr("the body's slope is not known: no heights yet"));
}

}  // namespace sartorum::desk
