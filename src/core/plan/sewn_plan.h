// sewn_plan.h: a plan whose garment is sewn: what is on paper stands, and what the body says from here on is of
// the garment.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// With every amount that is done now as her own, so that another body later does not alter what was sewn; and
// what was declined or not answered forgotten.
[[nodiscard]] Plan plan_as_sewn(const Computed&);
// On paper again: what was done with the sewn garment is forgotten.
[[nodiscard]] Plan plan_on_paper(const Plan&);

}  // namespace sartorum
