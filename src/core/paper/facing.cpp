#include "core/paper/facing.h"

#include <algorithm>
#include <cmath>

#include "core/paper/facing_parts.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr int curves_a_segment = 8;  // the same in every size, so that sizes blend
constexpr Length polyline_within = Length::mm(0.005);

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

constexpr int looks = 32;  // a segment

// There it bends round so tightly that its parallel would stand still or turn back.
bool turns_back(const Curve& c, std::size_t i, double t, double width)
{
    constexpr double still = 0.05;
    const auto& segment = segment_of(c, i);
    const auto d = segment.pointAndDerivatives(t, 2);
    return Geom::dot(going(segment, t, width).speed, d[1]) < still * Geom::dot(d[1], d[1]);
}

bool turns_back(const Curve& c, double width)
{
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        for (int k = 1; k < looks; ++k) {
            if (turns_back(c, i, double(k) / looks, width)) return true;
        }
    }
    return false;
}

// Nor does the parallel come nearer to another place of it.
bool has_parallel_at(const Curve& c, std::size_t i, double t, double width)
{
    constexpr double within = 0.1;
    return !turns_back(c, i, t, width) && nearest(c, going(segment_of(c, i), t, width).at).off > width - within;
}

// What of it has a parallel: all, or the longest stretch of it where it bends too tightly elsewhere; none where
// that is not most of it.
std::optional<Curve> with_parallel(const Curve& c, double width)
{
    if (!turns_back(c, width)) return c;
    constexpr double least_share = 0.8;
    const auto whole = static_cast<double>(c.size_default());
    std::vector<double> runs;  // where it begins and ends to have one
    bool before = true;
    runs.push_back(0);
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        for (int k = 1; k < looks; ++k) {
            const double t = double(k) / looks;
            const bool here = has_parallel_at(c, i, t, width);
            const double at = static_cast<double>(i) + t;
            if (here != before) runs.push_back(here ? at : at - 1.0 / looks);
            before = here;
        }
    }
    if (before) runs.push_back(whole);
    double from = 0;
    double to = 0;
    for (std::size_t i = 1; i < runs.size(); i += 2) {
        if (runs[i] - runs[i - 1] > to - from) {
            from = runs[i - 1];
            to = runs[i];
        }
    }
    if (to <= from) return std::nullopt;
    Curve out = to < whole ? split(c, to).before : c;
    if (from > 0) out = split(out, from).after;
    return length(out) < length(c) * least_share ? std::nullopt : std::optional{out};
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

// Smooth through these places.
Curve through(const std::vector<Point>& at)
{
    const auto along = [&](std::size_t i) {
        return (at[std::min(i + 1, at.size() - 1)] - at[i > 0 ? i - 1 : 0]) /
               (i == 0 || i + 1 == at.size() ? 3 : 6);
    };
    std::vector<Point> out{at.front()};
    for (std::size_t i = 1; i < at.size(); ++i) {
        const std::initializer_list<Point> next{at[i - 1] + along(i - 1), at[i] - along(i), at[i]};
        out.insert(out.end(), next);
    }
    return from_controls(out);
}

// Of an edge that bends too tightly in several places: through the places of its parallel that lie as far from all
// of it; none where those are few.
std::optional<Curve> parallel_past_bends(const Curve& c, double width)
{
    constexpr double least_share = 0.55;
    constexpr double least_step = 2;  // mm
    std::vector<Point> kept;
    double met = 0;  // along the edge
    double all = 0;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        for (int k = 1; k < looks; ++k) {
            const double t = double(k) / looks;
            const double here = Geom::L2(segment_of(c, i).pointAndDerivatives(t, 1)[1]);
            all += here;
            if (!has_parallel_at(c, i, t, width)) continue;
            met += here;
            const Point at = going(segment_of(c, i), t, width).at;
            const Point along = segment_of(c, i).unitTangentAt(t);
            const bool on = kept.empty() || Geom::dot(at - kept.back(), along) > least_step;
            if (on) kept.push_back(at);
        }
    }
    if (kept.size() < 4 || met < all * least_share) return std::nullopt;
    return through(kept);
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
    else if (Geom::distance(at, c.initialPoint()) > nothing_on_paper.in_mm())
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

// Smooth over the corner that a shut dart leaves, as far on either side as a hand draws there: as it is sewn
// through the corner, or in one bow past it.
Curve trued_over_dart(const Curve& a, const Curve& b, facing::OverDart how)
{
    using facing::OverDart;
    const Length reach = how == OverDart::Through ? Length::mm(30) : Length::mm(60);
    constexpr double most = 0.8;  // of the edge, so that every size has the same nodes
    const auto [stays, tail] = split(a, time_at(a, length(a) - std::min(reach, length(a) * most)));
    const auto [head, rest] = split(b, time_at(b, std::min(reach, length(b) * most)));
    if (how == OverDart::Through) return joined(joined(stays, smoothly_joined(tail, head)), rest);
    const Point from = tail.initialPoint();
    const Point to = head.finalPoint();
    const double third = Geom::distance(from, to) / 3;
    const Curve bow = cubic(from, from + start_direction(tail) * third, to - end_direction(head) * third, to);
    return joined(joined(stays, bow), rest);
}

// A line trued over a dart is a little shorter than what is sewn: its end away from the centre moves on along it.
void keep_length(facing::Shut& out, Length wanted, bool from_last)
{
    constexpr int rounds = 4;
    Curve& line = out.sewn.curve;
    Curve& at_end = from_last ? out.before.curve : out.after.curve;
    for (int i = 0; i < rounds; ++i) {
        const double lacks = (wanted - length(line)).in_mm();
        if (std::abs(lacks) < 1e-4) break;
        const Point by = from_last ? -start_direction(line) * lacks : end_direction(line) * lacks;
        line = from_last ? eased(line, by, {0, 0}) : eased(line, {0, 0}, by);
        at_end *= Geom::Translate(by);
    }
    out.before.curve.setFinal(line.initialPoint());
    out.after.curve.setInitial(line.finalPoint());
}

}  // namespace

namespace facing {

std::size_t end_of_row(const Piece& on, EdgeRole role)
{
    std::size_t last = *edge_index(on, role);
    while (last + 2 < on.edges.size() && on.edges[last + 1].role == EdgeRole::DartMouth &&
           dart_at(on, last + 1) < on.darts.size() && on.edges[last + 2].role == role)
        last += 2;
    return last;
}

Shut shut_along(const Piece& on, EdgeRole role, OverDart how)
{
    const std::size_t first = *edge_index(on, role);
    const std::size_t last = end_of_row(on, role);
    const std::size_t n = on.edges.size();
    // From the first on; then all of it turned back where the last lies at the centre.
    std::vector<Geom::Affine> to{Geom::identity()};
    for (std::size_t i = first + 1; i < last; i += 2) to.push_back(closing(on.darts[dart_at(on, i)]) * to.back());
    const Edge& after = on.edges[(last + 1) % n];
    const bool from_last = after.role == EdgeRole::Centre || after.on_fold;
    const Geom::Affine back = from_last ? to.back().inverse() : Geom::identity();
    Shut out{on.edges[first], on.edges[(first + n - 1) % n], after, {}};
    out.sewn.curve = on.edges[first].curve * (to.front() * back);
    for (std::size_t k = 1; k < to.size(); ++k)
        out.sewn.curve = trued_over_dart(out.sewn.curve, on.edges[first + 2 * k].curve * (to[k] * back), how);
    out.before.curve *= to.front() * back;
    out.after.curve *= to.back() * back;
    keep_length(out, sewn_length(on, role), from_last);
    for (const auto& notch : on.notches) {
        for (std::size_t k = 0; k < to.size() && notch.on == role; ++k) {
            if (nearest(on.edges[first + 2 * k].curve, notch.at).off > mark_within.in_mm()) continue;
            out.notches.push_back(notch);
            Point& at = out.notches.back().at;
            at = out.sewn.curve.pointAt(nearest(out.sewn.curve, at * (to[k] * back)).time);
            break;
        }
    }
    return out;
}

Outcome<Piece> drawn_inside(const Shut& shut, Length width, const Piece& like)
{
    const auto& [sewn, before, after, notches] = shut;
    const auto no_room = [&] { return refuse(Why::FacingNoRoom, like.id); };
    if (width < line_least || width > facing_width_most) return no_room();
    const auto followed = with_parallel(sewn.curve, width.in_mm());
    const auto drawn = followed ? std::optional{parallel_to(*followed, width.in_mm())}
                                : parallel_past_bends(sewn.curve, width.in_mm());
    if (!drawn) return no_room();
    const Curve& line = *drawn;
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
    out.cut = like.cut;
    out.edges = {{sewn.role, sewn.curve, sewn.allowance, sewn.on_fold},
                 {EdgeRole::Plain, end_after, after.allowance, after.on_fold},
                 {EdgeRole::Plain, outer, Length{}},
                 {EdgeRole::Plain, end_before, before.allowance, before.on_fold}};
    out.notches = notches;
    out.guides = {grain_in(sewn.curve, width.in_mm())};
    drop_slivers(out);
    // A tight bow has no parallel so far inside it.
    if (unsound(out)) return no_room();
    return out;
}

}  // namespace facing

Outcome<Piece> facing_drawn(const Piece& on, EdgeRole role, Length width)
{
    if (!edge_index(on, role)) return refuse(Why::EdgeMissing, on.id);
    if (facing::end_of_row(on, role) != *edge_index(on, role, true)) return refuse(Why::FacingParted, on.id);
    return facing::drawn_inside(facing::shut_along(on, role), width, on);
}

namespace {

// The edge itself and those at its ends; of a band also the end beyond what lies past the centre.
bool beside(const Piece& facing, std::size_t at, std::size_t i)
{
    const std::size_t n = facing.edges.size();
    const std::size_t after = (at + 1) % n;
    const std::size_t before = (at + n - 1) % n;
    const auto past = [&](std::size_t e) { return facing.edges[e].role == EdgeRole::Underlap; };
    return i == at || i == after || i == before || (past(after) && i == (after + 1) % n) ||
           (past(before) && i == (before + n - 1) % n);
}

}  // namespace

std::optional<Length> facing_width(const Piece& facing, EdgeRole sewn)
{
    const auto at = edge_index(facing, sewn);
    const std::size_t n = facing.edges.size();
    if (!at || n < 4) return std::nullopt;
    const Curve& edge_sewn = facing.edges[*at].curve;
    const Point middle = edge_sewn.pointAt(time_at(edge_sewn, length(edge_sewn) / 2.0));
    std::optional<Length> least;
    for (std::size_t i = 0; i < n; ++i) {
        if (beside(facing, *at, i)) continue;
        const Length off = Length::mm(nearest(facing.edges[i].curve, middle).off);
        if (!least || off < *least) least = off;
    }
    return least;
}

}  // namespace sartorum
