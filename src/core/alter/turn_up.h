// turn_up.h: a turn-up at the hem of trousers, folded up outside and seen `amount` deep.
//
// Changes  what is left under the hem line: twice the depth and the allowance that is turned inside
// Keeps    the hem line, where the leg ends once it is worn; every seam
// Limits   60 mm; 200 of paper under the hem in all. Common practice: 3 to 5 cm
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length turn_up_limit = Length::mm(60);

[[nodiscard]] Outcome<Applied> alter_turn_up(const Garment&, const Dose& depth);
[[nodiscard]] Adjustment turn_up_row();

}  // namespace sartorum
