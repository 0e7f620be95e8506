// waist_steps.h: titles and details of what is done to folds and gathers at a waist, and to the hip curve. Not for
// other rooms.
#pragma once
#include <QString>

#include "core/paper/step.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString waist_step_title(const Step&, Unit on_paper);
[[nodiscard]] QString waist_step_detail(const Step&, Unit on_paper);

}  // namespace sartorum::words
