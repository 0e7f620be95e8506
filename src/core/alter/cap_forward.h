// cap_forward.h: the top of the cap forward (+) or back, as far as the shoulder seam went.
//
// Changes  cut straight across the cap above the notches, the top slid forward, both curves drawn anew; the top
//          notch marked so that the front half loses, and the back half gains, exactly the amount of curve
// Keeps    bicep, underarm seams, side notches, the cap's whole length: what sliding takes or gives of it, a
//          millimetre or so, is made up in the fullness of the back curve
// Limits   15 mm. Common practice: 6 to 13 mm.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length cap_forward_limit = Length::mm(15);

[[nodiscard]] Outcome<Applied> alter_cap_forward(const Garment&, const Dose&);
[[nodiscard]] Adjustment cap_forward_row();

}  // namespace sartorum
