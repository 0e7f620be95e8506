// pattern_trial.h: can the paper be worked out from this pattern at all. Asked before a pattern is kept.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// A chart and a body made up for the pattern's own sizes, so that a trial needs nobody on the table.
[[nodiscard]] SizeChart trial_chart(const Pattern&);
[[nodiscard]] BodySet trial_body();

// Every size is traced and checked, the first and the last blended, and every adjustment tried by a little both
// ways. The first reason why that does not work; an adjustment that refuses is none.
[[nodiscard]] Outcome<bool> try_pattern(const Pattern&);

}  // namespace sartorum
