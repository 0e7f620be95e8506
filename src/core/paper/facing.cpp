#include "core/paper/facing.h"

#include <algorithm>
#include <cmath>

#include "core/paper/sound.h"

namespace sartorum {
namespace {

constexpr int curves_a_segment = 8;  // the same in every size, so that sizes blend
constexpr Length polyline_within = Length::mm(0.005);
constexpr double same_place = 0.01;  // mm

// Clockwise, y up: the paper lies to the right of the way.
Point into_paper(Point along)
{
    return -Geom::rot90(along);
}

// A place of the parallel, and how fast it goes there: as the curve, more where that turns away from the paper.
struct Going {
    Point at;
    Point speed;
};

Going going(const Geom::CubicBezier& c, double t, double width)
{
    const auto d = c.pointAndDerivatives(t, 2);
    const double speed = Geom::L2(d[1]);
    if (speed < 1e-9) {  // a handle of no length: it goes nowhere there, but has a direction
        const Point along =
            t < 0.5 ? Geom::unit_vector(c.pointAt(1e-3) - d[0]) : Geom::unit_vector(d[0] - c.pointAt(1 - 1e-3));
        return {d[0] + into_paper(along) * width, {}};
    }
    const double turn = Geom::cross(d[1], d[2]) / (speed * speed * speed);
    return {d[0] + into_paper(d[1] / speed) * width, d[1] * (1 + width * turn)};
}

// Nowhere does it bend round so tightly that its parallel would stand still or turn back.
bool has_parallel(const Curve& c, double width)
{
    constexpr int looks = 32;
    constexpr double still = 0.05;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto& segment = segment_of(c, i);
        for (int k = 1; k < looks; ++k) {
            const double t = double(k) / looks;
            const auto d = segment.pointAndDerivatives(t, 2);
            if (Geom::dot(going(segment, t, width).speed, d[1]) < still * Geom::dot(d[1], d[1])) return false;
        }
    }
    return true;
}

// Cubics with the places and the speeds of the true parallel at their ends.
Curve parallel_to(const Curve& c, double width)
{
    std::vector<Point> out;
    constexpr double step = 1.0 / curves_a_segment;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto& segment = segment_of(c, i);
        for (int k = 0; k < curves_a_segment; ++k) {
            const Going from = going(segment, k * step, width);
            const Going to = going(segment, (k + 1) * step, width);
            if (out.empty()) out.push_back(from.at);
            out.insert(out.end(), {from.at + from.speed * (step / 3), to.at - to.speed * (step / 3), to.at});
        }
    }
    return from_controls(out);
}

std::optional<Point> where_cross(Point a, Point b, Point c, Point d)
{
    const Point ab = b - a;
    const Point cd = d - c;
    const double turn = Geom::cross(ab, cd);
    if (std::abs(turn) < 1e-12) return std::nullopt;
    const double s = Geom::cross(c - a, cd) / turn;
    const double t = Geom::cross(c - a, ab) / turn;
    if (s < -1e-9 || s > 1 + 1e-9 || t < -1e-9 || t > 1 + 1e-9) return std::nullopt;
    return a + ab * s;
}

// Where a way first meets a line that leaves the edge's end.
std::optional<Point> first_met(const std::vector<Point>& way, const Curve& leaving)
{
    const auto line = flattened(leaving, polyline_within);
    for (std::size_t j = 1; j < line.size(); ++j) {
        for (std::size_t i = 1; i < way.size(); ++i) {
            if (const auto at = where_cross(way[i - 1], way[i], line[j - 1], line[j])) return at;
        }
    }
    return std::nullopt;
}

// Carried on straight past both ends, for the lines there may lean.
std::vector<Point> carried_on(const Curve& c, double by)
{
    auto out = flattened(c, polyline_within);
    out.insert(out.begin(), c.initialPoint() - start_direction(c) * by);
    out.push_back(c.finalPoint() + end_direction(c) * by);
    return out;
}

// Beginning where it was met: cut off there, or carried on to it.
Curve begun_at(const Curve& c, Point at)
{
    const auto near = nearest(c, at);
    Curve out = c;
    if (near.inside)
        out = split(c, near.time).after;
    else if (Geom::distance(at, c.initialPoint()) > same_place)
        return joined(straight(at, c.initialPoint()), c);
    out.setInitial(at);
    return out;
}

// The ends of a facing stand across it; what leaves it along its edge is cut off by no line.
bool meets_clearly(const Curve& one, const Curve& next)
{
    constexpr double ten_degrees = 0.17;
    return std::abs(Geom::cross(end_direction(one), start_direction(next))) > ten_degrees;
}

Guide grain_in(const Curve& edge, double width)
{
    const double t = edge.size_default() / 2.0;
    const Point middle = edge.pointAt(t);
    const auto near = split(edge, t);
    const Point inside = middle + into_paper(start_direction(near.after)) * (width / 2);
    return {GuideKind::Grain, inside - Point{0, width * 0.3}, inside + Point{0, width * 0.3}};
}

}  // namespace

Outcome<Piece> facing_drawn(const Piece& on, EdgeRole role, Length width)
{
    const auto at = edge_index(on, role);
    if (!at) return refuse(Why::EdgeMissing, on.id);
    if (*at != *edge_index(on, role, true)) return refuse(Why::FacingAcrossDart, on.id);
    if (width < line_least || width > facing_width_most)
        return refuse_amount(Why::FacingNoRoom, on.id, width, line_least, facing_width_most);
    const std::size_t n = on.edges.size();
    const Edge& sewn = on.edges[*at];
    const Edge& before = on.edges[(*at + n - 1) % n];
    const Edge& after = on.edges[(*at + 1) % n];
    const auto no_room = [&] {
        return refuse_amount(Why::FacingNoRoom, on.id, width, line_least, facing_width_most);
    };
    if (!has_parallel(sewn.curve, width.in_mm())) return no_room();
    const Curve line = parallel_to(sewn.curve, width.in_mm());
    const auto way = carried_on(line, 2 * width.in_mm());
    const auto from = first_met(way, reversed(before.curve));
    const auto to = first_met(way, after.curve);
    if (!from || !to) return no_room();
    const Curve outer = begun_at(reversed(begun_at(line, *from)), *to);
    if (length(outer) < line_least) return no_room();
    Curve end_before = split(before.curve, nearest(before.curve, *from).time).after;
    Curve end_after = split(after.curve, nearest(after.curve, *to).time).before;
    end_before.setInitial(*from);
    end_after.setFinal(*to);
    if (!meets_clearly(end_after, outer) || !meets_clearly(outer, end_before)) return no_room();

    Piece out;
    out.role = PieceRole::Other;
    out.cut = on.cut;
    out.edges = {{role, sewn.curve, sewn.allowance, sewn.on_fold},
                 {EdgeRole::Plain, end_after, after.allowance, after.on_fold},
                 {EdgeRole::Plain, outer, Length{}},
                 {EdgeRole::Plain, end_before, before.allowance, before.on_fold}};
    for (const auto& notch : on.notches) {
        if (notch.on == role && nearest(sewn.curve, notch.at).off < mark_within.in_mm())
            out.notches.push_back(notch);
    }
    out.guides = {grain_in(sewn.curve, width.in_mm())};
    // A tight bow has no parallel so far inside it.
    if (unsound(out)) return no_room();
    return out;
}

std::optional<Length> facing_width(const Piece& facing, EdgeRole sewn)
{
    const auto at = edge_index(facing, sewn);
    const std::size_t n = facing.edges.size();
    if (!at || n < 4) return std::nullopt;
    const Curve& edge_sewn = facing.edges[*at].curve;
    const Point middle = edge_sewn.pointAt(time_at(edge_sewn, length(edge_sewn) / 2.0));
    std::optional<Length> least;
    for (std::size_t i = 0; i < n; ++i) {
        const bool beside = i == *at || i == (*at + 1) % n || i == (*at + n - 1) % n;
        if (beside) continue;
        const Length off = Length::mm(nearest(facing.edges[i].curve, middle).off);
        if (!least || off < *least) least = off;
    }
    return least;
}

}  // namespace sartorum
