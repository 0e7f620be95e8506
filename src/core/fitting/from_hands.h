// from_hands.h: what hands found on a toile, as the adjustments' own amounts: offcuts, the marked waist, the dot
// of the bust point, darts as they were pinned, what was let out.
//
// Amount  what was found, from where the toile had it; below 1.5 mm nobody pins
// More than is usual is asked for all the same: the plan says so, or refuses it. What a sewn garment cannot have
// is left, and said
#pragma once
#include "core/fitting/into_plan.h"

namespace sartorum {

// Which adjustment it becomes; and whether this garment has it on that face, and it can still be done.
[[nodiscard]] AdjustmentKind made_of(ByHand, std::string_view place, bool sewn);
[[nodiscard]] bool can_be_found(ByHand, std::string_view place, Face, const Computed&);

// What hands found, each thing as the adjustment's own amounts, with what the toile had; what agrees with its
// paper asks for nothing. More than is usual is asked for all the same: the plan says so, or refuses it. A bust
// dart is as it was pinned after its bust point went to its dot, which takes the dart along.
struct FromHands {
    ByHand what{};
    NotPut not_put{};
    Decision decision{};
    bool part_left = false;  // the sewn garment cannot have all of it
};
[[nodiscard]] std::vector<FromHands> from_hands(const TryOn&, const Computed& worn, const Computed& now);

}  // namespace sartorum
