#include "desk/chart/place_among.h"

#include <algorithm>

namespace sartorum::desk {
namespace {

constexpr double beyond = 0.45;  // of a size, past the first and the last

}  // namespace

double place_among(const std::vector<Length>& printed, Length value, std::size_t chosen)
{
    const auto at = static_cast<double>(chosen);
    const Length own = printed[chosen];
    if (value == own) return at;
    const int way = value > own ? 1 : -1;
    const auto last = static_cast<long>(printed.size()) - 1;
    long here = static_cast<long>(chosen);
    while (true) {
        const long next = here + way;
        // Past the end: a little further the farther off it is, measured by the step before.
        if (next < 0 || next > last) return static_cast<double>(here) + way * beyond;
        const Length a = printed[static_cast<std::size_t>(here)];
        const Length b = printed[static_cast<std::size_t>(next)];
        const bool reached = way > 0 ? value <= b : value >= b;
        // A neighbour that prints the same, or runs the other way, is no step towards the value.
        if (reached && a != b)
            return static_cast<double>(here) + way * std::clamp((value - a) / (b - a), 0.0, 1.0);
        here = next;
    }
}

}  // namespace sartorum::desk
