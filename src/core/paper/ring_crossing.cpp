#include "core/paper/ring_crossing.h"

// The library is heavy: it is met here alone.
#include <boost/geometry/algorithms/append.hpp>
#include <boost/geometry/algorithms/correct.hpp>
#include <boost/geometry/algorithms/is_valid.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/geometries/polygon.hpp>
#include <boost/geometry/strategies/strategies.hpp>

namespace sartorum {

bool ring_crosses_itself(const std::vector<Geom::Point>& points)
{
    using Place = boost::geometry::model::d2::point_xy<double>;
    boost::geometry::model::polygon<Place> ring;
    for (const auto& p : points) boost::geometry::append(ring.outer(), Place{p[Geom::X], p[Geom::Y]});
    boost::geometry::correct(ring);
    boost::geometry::validity_failure_type why{};
    if (boost::geometry::is_valid(ring, why)) return false;
    return why != boost::geometry::failure_duplicate_points;
}

}  // namespace sartorum
