#include "desk/shared/piece_painter.h"

#include <QPainterPath>
#include <cmath>

#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {

using formats::on_paper;
using formats::painter_path;

PiecePainter::PiecePainter(QPainter& p, const Look& look, const QTransform& t) : p_{p}, look_{look}, to_screen_{t}
{
}

QPointF PiecePainter::at(Point point) const
{
    return to_screen_.map(on_paper(point));
}

void PiecePainter::paper(const Piece& piece)
{
    p_.setPen(Qt::NoPen);
    p_.setBrush(look_.dyes().paper);
    p_.drawPath(to_screen_.map(painter_path(piece)));
}

void PiecePainter::as_bought(const Piece& piece)
{
    QPen pen{look_.dyes().walnut, 1.2, Qt::CustomDashLine};
    pen.setDashPattern({5, 3.4});
    p_.setPen(pen);
    p_.setBrush(Qt::NoBrush);
    p_.drawPath(to_screen_.map(painter_path(piece)));
}

void PiecePainter::new_line(const Piece& piece)
{
    const auto& d = look_.dyes();
    p_.setBrush(Qt::NoBrush);
    for (const auto& e : piece.edges) {
        QPen pen{e.role == EdgeRole::Cut ? d.ink : d.woad, e.role == EdgeRole::Cut ? 1.3 : 2.0};
        if (e.on_fold) pen.setStyle(Qt::DashDotLine);
        pen.setCapStyle(Qt::RoundCap);
        p_.setPen(pen);
        p_.drawPath(to_screen_.map(painter_path(e.curve)));
    }
}

void PiecePainter::marks(const Piece& piece)
{
    const auto& d = look_.dyes();
    const double px = 1.0 / std::hypot(to_screen_.m11(), to_screen_.m12());
    p_.setBrush(Qt::NoBrush);
    p_.setPen(QPen{d.walnut, 1.1, Qt::DashLine});
    p_.drawPath(to_screen_.map(formats::darts_path(piece)));
    for (const auto& g : piece.guides) {
        if (g.kind == GuideKind::Grain) {
            p_.setPen(QPen{d.walnut, 1.2});
            p_.drawPath(to_screen_.map(formats::grain_path(g, 9 * px)));
        } else {
            p_.setPen(QPen{d.walnut_line, 1, Qt::DotLine});
            p_.drawLine(at(g.a), at(g.b));
        }
    }
    p_.setPen(Qt::NoPen);
    p_.setBrush(d.woad);
    for (const auto& n : piece.notches) p_.drawPath(to_screen_.map(formats::notch_path(piece, n, 8 * px)));
    p_.setBrush(Qt::NoBrush);
    p_.setPen(QPen{d.woad, 1.6});
    p_.drawPath(to_screen_.map(formats::buttons_path(piece, 9 * px)));
}

void PiecePainter::added(const std::vector<Polygon>& shapes)
{
    p_.setBrush(look_.dots());
    p_.setPen(QPen{look_.dyes().weld_ink, 1});
    p_.drawPath(to_screen_.map(painter_path(shapes)));
    p_.setBrush(Qt::NoBrush);
}

void PiecePainter::removed(const std::vector<Polygon>& shapes)
{
    p_.setBrush(look_.hatch());
    p_.setPen(QPen{look_.dyes().madder, 1});
    p_.drawPath(to_screen_.map(painter_path(shapes)));
    p_.setBrush(Qt::NoBrush);
}

void PiecePainter::stroke(const Stroke& s)
{
    p_.setPen(QPen{look_.dyes().ink, 1.4});
    p_.drawLine(at(s.a), at(s.b));
}

void PiecePainter::dimension(const Dimension& dim, Unit unit)
{
    const auto& d = look_.dyes();
    const QPointF a = at(dim.a);
    const QPointF b = at(dim.b);
    const QPointF m = (a + b) / 2;
    const bool upright = std::abs(b.y() - a.y()) > std::abs(b.x() - a.x());
    // Arrows from outside point at the two lines, so that a few millimetres still show.
    p_.setPen(QPen{d.ink, 1.3});
    const auto arrow = [&](QPointF tip, QPointF way) {
        p_.drawLine(tip, tip + way * 16);
        const QPointF side{-way.y(), way.x()};
        p_.drawLine(tip, tip + way * 6 + side * 4);
        p_.drawLine(tip, tip + way * 6 - side * 4);
    };
    const QPointF axis = upright ? QPointF{0, b.y() > a.y() ? -1.0 : 1.0} : QPointF{b.x() > a.x() ? -1.0 : 1.0, 0};
    const QPointF beside = upright ? QPointF{-10, 0} : QPointF{0, -10};
    arrow(a + beside, axis);
    arrow(b + beside, -axis);
    const QString text = words::amount_on_paper(dim.amount, words::paper_unit(unit));
    p_.setFont(look_.lato(19, QFont::DemiBold));
    const double w = p_.fontMetrics().horizontalAdvance(text);
    const QPointF base =
        upright ? QPointF{a.x() - w - 22, m.y() + 7} : QPointF{m.x() - w / 2, std::min(a.y(), b.y()) - 20};
    QPainterPath halo;
    halo.addText(base, p_.font(), text);
    p_.setPen(QPen{d.sheet, 5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
    p_.setBrush(Qt::NoBrush);
    p_.drawPath(halo);
    p_.setPen(d.ink);
    p_.drawText(base, text);
}

}  // namespace sartorum::desk
