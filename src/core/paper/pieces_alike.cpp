#include "core/paper/pieces_alike.h"

#include <algorithm>

namespace sartorum {
namespace {

// Edge by edge, segment by segment no farther apart than that: curves lie within their controls.
bool controls_within(const Piece& a, const Piece& b, double within)
{
    const auto same_edge = [&](const Edge& x, const Edge& y) {
        const auto p = all_controls(x.curve);
        const auto q = all_controls(y.curve);
        return std::equal(p.begin(), p.end(), q.begin(), q.end(),
                          [&](Point u, Point v) { return Geom::distance(u, v) <= within; });
    };
    return std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(), same_edge);
}

// Some place of the one outline lies farther from the other; looked for where edges meet first.
bool strays(const Piece& a, const Piece& b, double within)
{
    const auto line = outline(b);
    const auto off = [&](Point p) { return Geom::distance(p, line.pointAt(line.nearestTime(p))) > within; };
    const auto corner_off = [&](const Edge& e) { return off(e.curve.initialPoint()); };
    if (std::any_of(a.edges.begin(), a.edges.end(), corner_off)) return true;
    const auto points = outline_points(a, Length::mm(0.2));
    return std::any_of(points.begin(), points.end(), off);
}

}  // namespace

bool outlines_differ(const Piece& a, const Piece& b, Length within)
{
    if (controls_within(a, b, within.in_mm())) return false;
    return strays(a, b, within.in_mm()) || strays(b, a, within.in_mm());
}

}  // namespace sartorum
