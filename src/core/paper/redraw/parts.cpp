#include "core/paper/redraw/parts.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"

namespace sartorum {
namespace redraw {

Edge& edge_with(Piece& piece, EdgeRole role, bool last)
{
    return piece.edges[*edge_index(piece, role, last)];
}

std::size_t index_of(const Piece& p, EdgeRole role, bool last)
{
    return *edge_index(p, role, last);
}

Run run_of(const Piece& p, EdgeRole role)
{
    return {index_of(p, role), index_of(p, role, true)};
}

// Straight stays straight, curved keeps its directions.
bool is_line(const Curve& c)
{
    return c.size_default() == 1 && is_straight(c, 0);
}

Curve trued(const Curve& c, Point at_start, Point at_end)
{
    return is_line(c) ? sheared(c, at_start, at_end) : eased(c, at_start, at_end);
}

// The side seam's last edge drawn anew: what meets it at either end keeps its corner.
void redraw_side(Piece& p, std::size_t side, const Curve& line)
{
    const Curve old = p.edges[side].curve;
    const double above = Geom::angle_between(start_direction(old), start_direction(line));
    const double below = Geom::angle_between(end_direction(old), end_direction(line));
    // Its notches stay as far from its upper end as they were, on front and back alike.
    for (auto& n : p.notches) {
        if (n.on != EdgeRole::Side) continue;
        const auto near = nearest(old, n.at);
        if (near.off > 0.1 || !near.inside) continue;
        n.at = line.pointAt(time_at(line, length_to(old, near.time)));
    }
    p.edges[side].curve = line;
    if (p.edges[side - 1].role == EdgeRole::Armhole)
        redraw_edge(p, side - 1, end_cornered(p.edges[side - 1].curve, above));
    redraw_edge(p, side + 1, start_cornered(p.edges[side + 1].curve, below));
}

Curve end_moved(const Curve& c, Length by)
{
    if (by == Length{}) return c;
    if (by < Length{}) {
        // So little that the cut would be at its end.
        const double time = time_at(c, length(c) + by);
        return time >= static_cast<double>(c.size_default()) - 1e-6 ? c : split(c, time).before;
    }
    const Point end = c.finalPoint();
    const Point on = end + end_direction(c) * by.in_mm();
    const std::size_t last = c.size_default() - 1;
    if (!is_straight(c, last)) return joined(c, straight(end, on));
    const Point start = c[last].initialPoint();
    if (last == 0) return straight(start, on);
    return joined(split(c, static_cast<double>(last)).before, straight(start, on));
}

Curve met(const Curve& c, Point from, Point along)
{
    const Curve laid = c * (Geom::Translate(-from) * Geom::Rotate{-Geom::atan2(along)});
    for (std::size_t i = 0; i < laid.size_default(); ++i) {
        auto roots = laid[i].roots(0.0, Geom::Y);
        std::sort(roots.begin(), roots.end());
        for (const double t : roots) {
            const double time = static_cast<double>(i) + t;
            if (time < 1e-9) return c;
            if (time < static_cast<double>(c.size_default()) - 1e-6) return split(c, time).after;
        }
    }
    const Point start = c.initialPoint();
    const Point back = -start_direction(c);
    const double turn = Geom::cross(along, back);
    if (std::abs(turn) < 0.05) return c;  // it runs along the line: they meet nowhere near
    const double on = -Geom::cross(along, start - from) / turn;
    return on > 0 ? joined(straight(start + back * on, start), c) : c;
}

CornerTurn corner_turn(Point kept, Point was, double neighbour_turned)
{
    constexpr double little = 0.13;  // radians
    const double turn = neighbour_turned + Geom::angle_between(kept, was);
    return {turn, corner_reach * std::clamp(std::abs(turn) / little, 1.0, 4.0)};
}

}  // namespace redraw

}  // namespace sartorum
