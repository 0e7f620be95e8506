// root.h: where a growing function reaches zero, by false position (Illinois): an end that stays a second time
// counts half, so that neither gets stuck. A handful of calls where the function is nearly a straight line.
#pragma once
#include <cmath>

namespace sartorum {

// Between low, where it is `under` (at most 0), and high, where it is `over` (at least 0); to within `near` of
// zero.
template <class Function>
[[nodiscard]] double zero_between(double low, double high, double under, double over, double near,
                                  const Function& function)
{
    constexpr int most_calls = 60;
    int stayed = 0;  // which end did: −1 low, 1 high
    for (int i = 0; i < most_calls && over - under > 0; ++i) {
        const double at = low + (high - low) * (-under / (over - under));
        const double off = function(at);
        if (std::abs(off) < near || std::abs(high - low) < 1e-12) return at;
        if (off < 0) {
            low = at;
            under = off;
            if (stayed == 1) over /= 2;
            stayed = 1;
        } else {
            high = at;
            over = off;
            if (stayed == -1) under /= 2;
            stayed = -1;
        }
    }
    return (low + high) / 2;
}

}  // namespace sartorum
