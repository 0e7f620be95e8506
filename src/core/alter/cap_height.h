// cap_height.h: the sleeve's cap higher (+) or lower (−).
//
// Changes  slashed across below the notches and spread or overlapped, the curves smoothed: the top goes up or down
//          by the amount, the underarms stay; side notches are marked again from the armhole's
// Keeps    bicep, underarm seams, the line's direction at the top and at the underarm
// So       the cap is longer or shorter by less than twice the amount: proposed is the amount that gives the cap
//          the ease it is to have (cap_height_for). The rule of thumb is the mean of what the shoulder tips moved.
// Limits   50 mm
// Then     the top notch
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length cap_height_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_cap_height(const Garment&, const Dose&);
// The amount that makes the cap `wanted` long; none within the limits.
[[nodiscard]] std::optional<Length> cap_height_for(const Piece& sleeve, Length wanted);
[[nodiscard]] Adjustment cap_height_row();

}  // namespace sartorum
