// leg_steps.h: titles and details of what is done to a leg of trousers. Not for other rooms.
#pragma once
#include <QString>

#include "core/paper/step.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString leg_step_title(const Step&, Unit on_paper);
// Empty where nothing is said otherwise for a leg.
[[nodiscard]] QString leg_step_detail(const Step&, Unit on_paper);

}  // namespace sartorum::words
