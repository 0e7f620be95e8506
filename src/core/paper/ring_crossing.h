// ring_crossing.h: whether a closed run of points, as an outline is flattened to, crosses itself.
#pragma once
#include <2geom/point.h>

#include <vector>

namespace sartorum {

// The last is joined to the first. Points that stand twice are no crossing; what encloses nothing (fewer than
// three points, a spike) counts as one.
[[nodiscard]] bool ring_crosses_itself(const std::vector<Geom::Point>&);

}  // namespace sartorum
