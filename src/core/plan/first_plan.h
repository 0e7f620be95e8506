// first_plan.h: the plan one begins with: the advised sizes, nothing decided; and everything proposed taken.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// What a drawing is, whatever was said before; of two kinds cut alike, the one that was said.
[[nodiscard]] GarmentKind garment_drawn(const Pattern&, GarmentKind said);

// The sizes advised for this wish, or the one size a pattern is cut in. Keeps what else the plan holds. Refused
// where nothing is known to choose a size by.
[[nodiscard]] Outcome<Plan> with_first_sizes(Plan, const SizeChart& of_group, const BodySet&,
                                             const Pattern* = nullptr);
// A new plan, for a garment worn like this.
[[nodiscard]] Outcome<Plan> first_plan(const SizeChart& of_group, const BodySet&, const ChoiceWish&,
                                       const Pattern* = nullptr);

// Every proposal outside the noise taken, in fitting order: what an earlier one changes may bring a later one up.
[[nodiscard]] Outcome<Computed> with_all_proposed(Work);

// What is proposed, as it stands there: what can be taken in one go, and what is more than is usual with it, which
// is looked at by itself.
struct Waiting {
    std::vector<const PlanLine*> plain{};
    std::vector<const PlanLine*> unusual{};
};
[[nodiscard]] Waiting waiting(const Computed&);
// The plain ones taken, each with the amount that stood there: what comes out otherwise once the others are taken
// waits, as does what comes up through them.
[[nodiscard]] Outcome<Plan> with_waiting_taken(const Computed&);

}  // namespace sartorum
