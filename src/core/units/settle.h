// settle.h: an amount that comes out as it is wished, found by asking again for what it lacked. For what answers a
// change of the amount with nearly the same change, so that a few rounds do: a length, after what lies beside it
// was trued.
#pragma once
#include "core/units/length.h"
#include "core/units/refusal.h"

namespace sartorum {

// `lacks(amount)` does it by that amount and gives what is lacking then, or refuses. From `start`, until less than
// `within` lacks; gives the amount that was done last. Where it does not settle that is refused, not left as it
// came.
template <class Lacks>
[[nodiscard]] Outcome<Length> settle(Length start, Length within, const char* field, const Lacks& lacks)
{
    constexpr int most_rounds = 40;
    Length amount = start;
    for (int i = 0; i < most_rounds; ++i) {
        const Outcome<Length> off = lacks(amount);
        if (!off) return off;
        if (abs(*off) < within) return amount;
        amount += *off;
    }
    return refuse(Why::NotSettled, field);
}

// The same of several amounts at once: `round()` does them as they stand, corrects each by what it lacked, and
// gives what was lacking at most, or refuses. The last round is the one that lacked less than `within`.
template <class Round>
[[nodiscard]] Outcome<bool> settle_all(Length within, const char* field, const Round& round)
{
    constexpr int most_rounds = 100;
    for (int i = 0; i < most_rounds; ++i) {
        const Outcome<Length> off = round();
        if (!off) return tl::make_unexpected(off.error());
        if (*off < within) return true;
    }
    return refuse(Why::NotSettled, field);
}

}  // namespace sartorum
