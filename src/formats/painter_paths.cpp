#include "formats/painter_paths.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/pattern/dart.h"
#include "core/pattern/princess.h"

namespace sartorum::formats {
namespace {

void append(QPainterPath& path, const Curve& c)
{
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto p = controls(c, i);
        if (is_straight(c, i)) {
            path.lineTo(on_paper(p[3]));
        } else {
            path.cubicTo(on_paper(p[1]), on_paper(p[2]), on_paper(p[3]));
        }
    }
}

}  // namespace

QPainterPath painter_path(const Curve& c)
{
    QPainterPath path{on_paper(c.initialPoint())};
    append(path, c);
    return path;
}

QPainterPath painter_path(const Piece& piece)
{
    QPainterPath path{on_paper(piece.edges.front().curve.initialPoint())};
    for (const auto& e : piece.edges) append(path, e.curve);
    path.closeSubpath();
    return path;
}

QPainterPath painter_path(const std::vector<Polygon>& polygons)
{
    QPainterPath path;
    for (const auto& polygon : polygons) {
        QPolygonF shape;
        for (const auto& p : polygon) shape << on_paper(p);
        path.addPolygon(shape);
        path.closeSubpath();
    }
    return path;
}

QPainterPath dart_path(const Dart& d)
{
    QPainterPath path{on_paper(d.leg_a)};
    path.lineTo(on_paper(d.tip));
    path.lineTo(on_paper(d.leg_b));
    return path;
}

QPainterPath gathers_path(const Edge& e)
{
    QPainterPath out;
    if (e.gathered <= Length{}) return out;
    const double whole = length(e.curve).in_mm();
    constexpr double beneath = 9;  // mm inside the edge
    constexpr double wave = 10;    // mm from one crest to the next, about
    const int crests = std::max(2, static_cast<int>(whole / wave));
    const double high = std::clamp(e.gathered.in_mm() / whole * 12, 1.2, 4.0);
    const int points = crests * 8;
    const Point along = Geom::unit_vector(e.curve.finalPoint() - e.curve.initialPoint());
    for (int i = 0; i <= points; ++i) {
        const double share = static_cast<double>(i) / points;
        const Point at = e.curve.pointAt(share * static_cast<double>(e.curve.size_default()));
        // Inside lies to the right of travel.
        const Point in = -Geom::rot90(along) * (beneath + high * std::sin(share * crests * 2 * M_PI));
        const QPointF q = on_paper(at + in);
        if (i == 0)
            out.moveTo(q);
        else
            out.lineTo(q);
    }
    return out;
}

QPainterPath guides_path(const Piece& piece)
{
    QPainterPath out;
    for (const auto& g : piece.guides) {
        if (g.kind == GuideKind::Grain) continue;
        out.moveTo(on_paper(g.a));
        out.lineTo(on_paper(g.b));
    }
    return out;
}

QPainterPath darts_path(const Piece& piece)
{
    QPainterPath out;
    const auto seam = piece.princess ? princess_mouths(piece) : std::nullopt;
    std::vector<bool> drawn(piece.darts.size(), false);
    if (seam) {
        const auto [centre, side] = princess_seams(piece, *seam);
        out.addPath(painter_path(centre));
        out.addPath(painter_path(side));
        drawn[dart_at(piece, seam->upper)] = drawn[dart_at(piece, seam->lower)] = true;
    }
    for (std::size_t i = 0; i < piece.darts.size(); ++i) {
        if (!drawn[i]) out.addPath(dart_path(piece.darts[i]));
    }
    for (const auto& e : piece.edges) out.addPath(gathers_path(e));
    return out;
}

QLineF widest_across(const Piece& piece, double from_top)
{
    const auto box = bounds(piece);
    double level = box.max()[Geom::Y] - box.height() * from_top;
    // Through a node it would be crossed twice in one place, once by each of two lines.
    constexpr double hair = 1e-4;  // mm
    const auto through_node = [&] {
        return std::any_of(piece.edges.begin(), piece.edges.end(), [&](const Edge& e) {
            const auto points = all_controls(e.curve);
            for (std::size_t i = 0; i < points.size(); i += 3) {
                if (std::abs(points[i][Geom::Y] - level) < hair / 2) return true;
            }
            return false;
        });
    };
    for (int again = 0; again < 8 && through_node(); ++again) level -= hair;
    std::vector<double> at;
    for (const auto& e : piece.edges) {
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            for (const double t : e.curve[i].roots(level, Geom::Y)) at.push_back(e.curve[i].valueAt(t, Geom::X));
        }
    }
    std::sort(at.begin(), at.end());
    QLineF best{box.left(), -level, box.right(), -level};
    // In at one crossing, out at the next.
    for (std::size_t i = 0; i + 1 < at.size(); i += 2) {
        const QLineF span{at[i], -level, at[i + 1], -level};
        if (i == 0 || span.length() > best.length()) best = span;
    }
    return best;
}

QPainterPath notch_path(const Piece& piece, const Notch& n, double size)
{
    // Inwards is to the right of the direction of travel.
    Point inward{0, -1};
    double best = std::numeric_limits<double>::max();
    for (const auto& e : piece.edges) {
        if (e.role != n.on) continue;
        Geom::Coord off = 0;
        const auto time = e.curve.nearestTime(n.at, &off);
        if (off < best) {
            best = off;
            const Point d = e.curve.curveAt(time.curve_index + time.t * 0.999).unitTangentAt(0.5);
            inward = {d[Geom::Y], -d[Geom::X]};
        }
    }
    const Point along{-inward[Geom::Y], inward[Geom::X]};
    QPainterPath path;
    for (int i = 0; i < n.count; ++i) {
        const Point at = n.at + along * (size * 1.1 * (i - (n.count - 1) / 2.0));
        QPolygonF t;
        t << on_paper(at + along * (size / 2)) << on_paper(at - along * (size / 2))
          << on_paper(at + inward * size);
        path.addPolygon(t);
        path.closeSubpath();
    }
    return path;
}

QPainterPath buttons_path(const Piece& piece, double size)
{
    QPainterPath out;
    for (const Point place : button_places(piece)) {
        const QPointF c = on_paper(place);
        out.moveTo(c - QPointF{size / 2, 0});
        out.lineTo(c + QPointF{size / 2, 0});
        out.moveTo(c - QPointF{0, size / 2});
        out.lineTo(c + QPointF{0, size / 2});
    }
    return out;
}

QPainterPath grain_path(const Guide& g, double head)
{
    QPainterPath path{on_paper(g.a)};
    path.lineTo(on_paper(g.b));
    const Point d = Geom::unit_vector(g.b - g.a);
    for (const auto& [end, way] : {std::pair{g.a, d}, std::pair{g.b, -d}}) {
        const Point side{-way[Geom::Y], way[Geom::X]};
        path.moveTo(on_paper(end + way * head + side * (head / 2)));
        path.lineTo(on_paper(end));
        path.lineTo(on_paper(end + way * head - side * (head / 2)));
    }
    return path;
}

}  // namespace sartorum::formats
