// knock_ons.h: what an accepted change asks for further on: knock-ons, as a chain one can follow.
//
// A knock-on is never done silently: it is an adjustment of its own, proposed from the paper as it now is, so it
// follows its cause and goes with it. Where nothing can be altered on these pieces (a neckline's facing) the link
// says what changed and by how much.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

struct KnockOn {
    std::vector<AdjustmentKind> causes;  // accepted, in fitting order
    GarmentMeasure through{};            // what they changed
    Length by;
    std::optional<AdjustmentKind> effect{};  // none: something that is not among these pieces
    LineState state = LineState::NothingKnown;
    Length amount;  // of the effect
    // On the left, where it is another.
    std::optional<Length> by_left{};
    std::optional<Length> amount_left{};
};

// In fitting order of their effects; only what moved by more than half a millimetre.
[[nodiscard]] std::vector<KnockOn> knock_ons(const Computed&);

}  // namespace sartorum
