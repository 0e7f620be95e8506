#include "core/paper/area.h"

#include <clipper.hpp>
#include <cmath>

namespace sartorum {
namespace {

constexpr double units_per_mm = 1e4;
constexpr Length flattened_within = Length::mm(0.01);  // a curve, to the line it is cut along
constexpr double sliver_mm = 0.05;

ClipperLib::IntPoint to_clipper(Point p)
{
    return {static_cast<ClipperLib::cInt>(std::llround(p[Geom::X] * units_per_mm)),
            static_cast<ClipperLib::cInt>(std::llround(p[Geom::Y] * units_per_mm))};
}

ClipperLib::Path to_clipper(const Polygon& polygon)
{
    ClipperLib::Path out;
    out.reserve(polygon.size());
    for (const auto& p : polygon) out.push_back(to_clipper(p));
    return out;
}

Polygon from_clipper(const ClipperLib::Path& path)
{
    Polygon out;
    out.reserve(path.size());
    for (const auto& p : path)
        out.emplace_back(static_cast<double>(p.X) / units_per_mm, static_cast<double>(p.Y) / units_per_mm);
    return out;
}

std::vector<Polygon> from_clipper(const ClipperLib::Paths& paths)
{
    std::vector<Polygon> out;
    for (const auto& path : paths) out.push_back(from_clipper(path));
    return out;
}

ClipperLib::Path solid(const Polygon& polygon)
{
    auto path = to_clipper(polygon);
    if (!ClipperLib::Orientation(path)) ClipperLib::ReversePath(path);
    return path;
}

// Clockwise travel with y up has the outside on its left.
Point outward(Point direction)
{
    return {-direction[Geom::Y], direction[Geom::X]};
}

// A strip of the allowance's width outside one edge.
ClipperLib::Paths strip(const Edge& e)
{
    const auto points = flattened(e.curve, flattened_within);
    ClipperLib::Paths both_sides;
    ClipperLib::ClipperOffset offset{2.0, 0.01 * units_per_mm};
    offset.AddPath(to_clipper(points), ClipperLib::jtRound, ClipperLib::etOpenButt);
    offset.Execute(both_sides, e.allowance.in_mm() * units_per_mm);
    return both_sides;
}

// The corner between two allowances, mitred; a very sharp one is cut off square.
Polygon corner(const Edge& before, const Edge& after)
{
    const Point p = after.curve.initialPoint();
    const Point d1 = end_direction(before.curve);
    const Point d2 = start_direction(after.curve);
    const Point q1 = p + outward(d1) * before.allowance.in_mm();
    const Point q2 = p + outward(d2) * after.allowance.in_mm();
    const double turn = Geom::cross(d1, d2);
    if (turn > -1e-9) return {};  // turning outwards, or straight on: the strips already cover it
    const double reach = Geom::cross(q2 - q1, d2) / turn;
    const double longest = 3.0 * std::max(before.allowance, after.allowance).in_mm();
    if (reach > longest) return {p, q1, q2};
    return {p, q1, q1 + d1 * reach, q2};
}

// Swells and shrinks again, which closes the hair-thin slits that flattened curves leave between strips and
// corners, and leaves out what would be a hole.
ClipperLib::Paths closed_up(const ClipperLib::Paths& shapes)
{
    constexpr double slit = 0.1 * units_per_mm;
    ClipperLib::Paths swollen;
    ClipperLib::ClipperOffset out{4.0};
    out.AddPaths(shapes, ClipperLib::jtMiter, ClipperLib::etClosedPolygon);
    out.Execute(swollen, slit);
    std::erase_if(swollen, [](const ClipperLib::Path& p) { return !ClipperLib::Orientation(p); });
    ClipperLib::Paths back;
    ClipperLib::ClipperOffset in{4.0};
    in.AddPaths(swollen, ClipperLib::jtMiter, ClipperLib::etClosedPolygon);
    in.Execute(back, -slit);
    return back;
}

}  // namespace

double area_mm2(const Polygon& polygon)
{
    return std::abs(ClipperLib::Area(to_clipper(polygon))) / (units_per_mm * units_per_mm);
}

std::vector<Polygon> difference(const Piece& a, const Piece& b)
{
    ClipperLib::Clipper clipper;
    clipper.AddPath(solid(outline_points(a, flattened_within)), ClipperLib::ptSubject, true);
    clipper.AddPath(solid(outline_points(b, flattened_within)), ClipperLib::ptClip, true);
    ClipperLib::Paths rest;
    clipper.Execute(ClipperLib::ctDifference, rest, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    std::vector<Polygon> out;
    for (const auto& path : rest) {
        double round_about = 0;
        for (std::size_t i = 0; i < path.size(); ++i) {
            const auto& p = path[i];
            const auto& q = path[(i + 1) % path.size()];
            round_about += std::hypot(static_cast<double>(p.X - q.X), static_cast<double>(p.Y - q.Y));
        }
        // Twice the area over the way round is about the width of a long thin shape.
        const double width = 2.0 * std::abs(ClipperLib::Area(path)) / round_about / units_per_mm;
        if (width >= sliver_mm) out.push_back(from_clipper(path));
    }
    return out;
}

std::vector<Polygon> added_paper(const StepPicture& picture)
{
    auto out = picture.added;
    for (const auto& before : picture.redrawn_from) {
        for (auto& p : difference(picture.panels.front(), before)) out.push_back(std::move(p));
    }
    return out;
}

std::vector<Polygon> removed_paper(const StepPicture& picture)
{
    auto out = picture.removed;
    for (const auto& before : picture.redrawn_from) {
        for (auto& p : difference(before, picture.panels.front())) out.push_back(std::move(p));
    }
    return out;
}

std::vector<Polygon> cutting_outline(const Piece& piece)
{
    ClipperLib::Clipper clipper;
    clipper.AddPath(solid(outline_points(piece, flattened_within)), ClipperLib::ptSubject, true);
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        const auto& e = piece.edges[i];
        if (e.allowance > Length{}) clipper.AddPaths(strip(e), ClipperLib::ptSubject, true);
        const auto wedge = corner(piece.edges[(i + piece.edges.size() - 1) % piece.edges.size()], e);
        if (!wedge.empty()) clipper.AddPath(solid(wedge), ClipperLib::ptSubject, true);
    }
    // Nothing crosses a fold: what butt ends or mitres left beyond it is cut off along the fold's line.
    ClipperLib::Paths whole;
    clipper.Execute(ClipperLib::ctUnion, whole, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    whole = closed_up(whole);
    for (const auto& e : piece.edges) {
        if (!e.on_fold) continue;
        const Point a = e.curve.initialPoint();
        const Point d = Geom::unit_vector(e.curve.finalPoint() - a);
        const double far = 5000;
        const Point out = outward(d) * far;
        ClipperLib::Clipper fold;
        fold.AddPaths(whole, ClipperLib::ptSubject, true);
        fold.AddPath(solid({a - d * far, a + d * far, a + d * far + out, a - d * far + out}), ClipperLib::ptClip,
                     true);
        fold.Execute(ClipperLib::ctDifference, whole, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    }
    return from_clipper(whole);
}

}  // namespace sartorum
