// curve.h: an edge's line: a lib2geom path of cubic Béziers, and the few things patterns need of it.
//
// Frame      millimetres on the flat piece; x along the cross grain, y up the grain.
// Invariant  open, at least one segment, every segment a Geom::CubicBezier (a straight line is a cubic with its
//            handles at the thirds), so that two sizes of an edge have the same control points in number.
// Accuracy   lengths within curve_tolerance, by Gauss-Legendre quadrature; on gentle curves within 1e-6 mm.
#pragma once
#include <2geom/bezier-curve.h>
#include <2geom/path.h>

#include <exception>
#include <functional>
#include <optional>
#include <vector>

#include "core/units/length.h"

namespace sartorum {

using Point = Geom::Point;
using Curve = Geom::Path;

inline const Point no_shift{0, 0};
inline constexpr Length curve_tolerance = Length::mm(1e-3);

// Asked for of a line that has it not: a segment, an inner place to part it at. Numbers nobody foresaw lead there.
// Whatever is being done is refused for it (core/plan/single_adjustment.h, compute()); nothing is read beyond the
// line's end.
struct NoSuchLine : std::exception {
    [[nodiscard]] const char* what() const noexcept override { return "no such line"; }
};

[[nodiscard]] Curve straight(Point from, Point to);
[[nodiscard]] Curve cubic(Point p0, Point p1, Point p2, Point p3);
// Any open lib2geom path, its segments raised to cubics.
[[nodiscard]] Curve as_cubics(const Geom::Path&);

[[nodiscard]] const Geom::CubicBezier& segment_of(const Curve&, std::size_t segment);
[[nodiscard]] std::vector<Point> controls(const Curve&, std::size_t segment);
[[nodiscard]] Curve from_controls(const std::vector<Point>&);  // 3n + 1 points
[[nodiscard]] std::vector<Point> all_controls(const Curve&);

[[nodiscard]] Length length(const Curve&);
[[nodiscard]] Curve reversed(const Curve&);
[[nodiscard]] Curve moved(const Curve&, Point by);
[[nodiscard]] bool is_straight(const Curve&, std::size_t segment);
// Unit tangents, in the direction of travel.
[[nodiscard]] Point start_direction(const Curve&);
[[nodiscard]] Point end_direction(const Curve&);

struct Halves {
    Curve before;
    Curve after;
};
// At a path time; a time within 1e-7 of a node takes the node. Both halves must not be empty.
[[nodiscard]] Halves split(const Curve&, double time);
// The time at which the curve is `along` from its start, to 1e-6 mm.
[[nodiscard]] double time_at(const Curve&, Length along);
// The times at which a coordinate has that value, in order.
[[nodiscard]] std::vector<double> times_where(const Curve&, Geom::Dim2, double value);
// The time, or that of a node as near as that, in mm: a cut there leaves no segment that is none.
[[nodiscard]] double at_node(const Curve&, double time, double near = 0.05);
// The place of a curve nearest to a point.
struct NearPlace {
    double time = 0;
    double off = 0;       // mm from the point
    bool inside = false;  // at neither end
};
[[nodiscard]] NearPlace nearest(const Curve&, Point);
// How long the curve is up to a time.
[[nodiscard]] Length length_to(const Curve&, double time);
// Two segments that are one cut in two (a straight line in two pieces too), told within 0.01 mm: the same curve in
// one segment; none where they are not. A segment of no length goes into its neighbour.
[[nodiscard]] std::optional<Curve> without_node(const Curve&, std::size_t node);
[[nodiscard]] Curve joined(const Curve& first, const Curve& second);  // a gap between them is closed straight

// Shifts the start by `at_start` and the end by `at_end`, easing between with w(t) = 3t² − 2t³ over the whole
// curve. The sum of a cubic and w is a cubic again, so nothing is approximated: the control points move by
// the blossom of w. Directions at both ends stay, so smooth joins stay smooth, and shifting back restores.
[[nodiscard]] Curve eased(const Curve&, Point at_start, Point at_end);
// The same for a part of a longer run, from fraction `from` to `to` of it; the shifts are those of the run's ends.
[[nodiscard]] Curve eased_part(const Curve&, Point at_start, Point at_end, double from, double to);
// The same shift with an even weight: a straight line stays straight.
[[nodiscard]] Curve sheared(const Curve&, Point at_start, Point at_end);
// The handle at one end turned about that end, counter-clockwise: a corner opened or closed, the rest smooth.
[[nodiscard]] Curve start_turned(const Curve&, double radians);
[[nodiscard]] Curve end_turned(const Curve&, double radians);
// The same within the corner's reach only: off the old line by at most 3 mm for each radian, wherever its nodes
// lie.
inline constexpr Length corner_reach = Length::mm(11);
[[nodiscard]] Curve start_cornered(const Curve&, double radians, Length reach = corner_reach);
[[nodiscard]] Curve end_cornered(const Curve&, double radians, Length reach = corner_reach);
// Of a family of curves, one for each scale of some handles (1 as drawn, 0.2 to 2), the one of this length; the
// nearest where none is.
[[nodiscard]] Curve scaled_to_length(const std::function<Curve(double)>& scaled, Length wanted);
// The handles at both ends scaled so that the curve is this long: as full as it was, ends and directions staying.
[[nodiscard]] Curve ends_scaled_to_length(const Curve&, Length wanted);
// From `a` at its start to `b` at its end with the same weight; both with the same number of segments.
[[nodiscard]] Curve eased_between(const Curve& a, const Curve& b);

// Points along the curve, the first and the last included, off it by at most `tolerance`.
[[nodiscard]] std::vector<Point> flattened(const Curve&, Length tolerance);

}  // namespace sartorum
