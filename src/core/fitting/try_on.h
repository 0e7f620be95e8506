// try_on.h: a toile of one plan: which causes can be at all, what the plan and the body say of them beforehand,
// and by how much each would be taken up.
//
// Amount  what was pinched for it, what the body differs by, else a careful first step: 6 mm at shoulders and
// armholes,
//         10 mm along, 20 mm of a girth. From memory
#pragma once
#include "core/fitting/reasoning.h"
#include "core/plan/compute.h"

namespace sartorum {

// What the garment's plan has a line for; of one that is sewn, what it had while it was on paper.
[[nodiscard]] CanBe can_be_on(const Computed&);
// Of every cause of which plan and body say something.
[[nodiscard]] std::vector<KnownOf> known_of(const Computed&);

enum class AmountFrom { Pinch, Body, FirstStep };
struct Suggested {
    Length amount;  // signed as the adjustment's
    AmountFrom from{};
};
// Within what the adjustment can be given.
[[nodiscard]] Suggested suggested(const CauseFacts&, const Observed&, const Computed&);

}  // namespace sartorum
