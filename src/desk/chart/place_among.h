// place_among.h: where a value stands among the sizes a chart prints.
#pragma once
#include <vector>

#include "core/units/length.h"

namespace sartorum::desk {

// In sizes, counted from the one that is `chosen`: above its number to the right of it, below to the left, equal
// on it, whatever its neighbours print. Sizes that print the same stand apart all the same, so the walk goes on
// past them until one prints more. Kept within half a size beyond both ends. At least one size.
[[nodiscard]] double place_among(const std::vector<Length>& printed, Length value, std::size_t chosen);

}  // namespace sartorum::desk
