// bought_pair.h: a pair that was bought: what lowering its crotch gives and takes. It has no pattern: a usual leg
// is drawn from a few measures taken on it (core/pattern/bought_trousers.h), and its crotch stitched lower.
#pragma once
#include "core/pattern/bought_trousers.h"
#include "core/plan/compute.h"

namespace sartorum {

// Lowered by so much along the inner leg; without an amount by what the body's string asks for. Refuses what
// cannot be done, and where nothing is asked for.
[[nodiscard]] Outcome<Computed> bought_lowered(const BoughtTrousers&, const BodySet&, std::optional<Length> down);

}  // namespace sartorum
