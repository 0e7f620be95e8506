#include "core/paper/sound.h"

#include <boost/geometry.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/geometries/polygon.hpp>

#include <algorithm>

#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr double sliver = 1e-3;  // mm

using Place = boost::geometry::model::d2::point_xy<double>;
using Ring = boost::geometry::model::polygon<Place>;

double control_length(const std::vector<Point>& p)
{
    return Geom::distance(p[0], p[1]) + Geom::distance(p[1], p[2]) + Geom::distance(p[2], p[3]);
}

bool has_sliver(const Curve& c)
{
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        if (control_length(controls(c, i)) < sliver) return true;
    }
    return false;
}

bool crosses_itself(const Piece& piece)
{
    Ring ring;
    for (const auto& p : outline_points(piece, Length::mm(0.1)))
        boost::geometry::append(ring.outer(), Place{p[Geom::X], p[Geom::Y]});
    boost::geometry::correct(ring);
    boost::geometry::validity_failure_type why{};
    if (boost::geometry::is_valid(ring, why)) return false;
    return why != boost::geometry::failure_duplicate_points;
}

// The sewn length of the edges a dart parts.
bool mouth_too_wide(const Piece& p)
{
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth) continue;
        if (mouth_width(p.darts[dart_at(p, i)]) >= sewn_length(p, p.edges[i - 1].role)) return true;
    }
    return false;
}

}  // namespace

std::optional<Unsound> unsound(const Piece& p)
{
    const bool no_length = std::any_of(p.edges.begin(), p.edges.end(), [](const Edge& e) {
        return e.curve.size_default() == 0 || has_sliver(e.curve) || length(e.curve) < edge_least;
    });
    if (no_length) return Unsound::LineOfNoLength;
    if (mouth_too_wide(p)) return Unsound::MouthTooWide;
    return crosses_itself(p) ? std::optional{Unsound::Crossing} : std::nullopt;
}

void drop_slivers(Piece& p)
{
    for (auto& e : p.edges) {
        if (e.curve.size_default() < 2 || !has_sliver(e.curve)) continue;
        std::vector<Point> kept{e.curve.initialPoint()};
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            auto part = controls(e.curve, i);
            if (control_length(part) < sliver) continue;
            part[0] = kept.back();
            kept.insert(kept.end(), part.begin() + 1, part.end());
        }
        if (kept.size() < 4) continue;
        kept.back() = e.curve.finalPoint();
        e.curve = from_controls(kept);
    }
}

}  // namespace sartorum
