// amounts.h: what a plan has of an adjustment, and the decision that gives it another amount.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// On the garment as it is now: of one that is sewn only what is done with the sewn garment.
[[nodiscard]] bool can_be_done(AdjustmentKind, const Computed&);
// It can be of one side alone.
[[nodiscard]] bool one_sided(AdjustmentKind);
// Of that face, or at that place; nothing where it is not accepted.
[[nodiscard]] Length done_on(const PlanLine*, Face);
[[nodiscard]] Length done_at(const Computed&, AdjustmentKind, std::size_t place, Side);
// To be given another amount: as it was accepted, or with nothing of it anywhere, whatever is proposed.
[[nodiscard]] Decision begun_from(const Computed&, const PlanLine&);
// With that much on the faces and the side meant, the others as they are.
[[nodiscard]] Decision with_amount(const Computed&, const PlanLine&, Face, std::optional<Side>, Length after);

}  // namespace sartorum
