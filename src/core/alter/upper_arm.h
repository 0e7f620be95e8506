// upper_arm.h: a sleeve wider (+) or narrower at the bicep line.
//
// Changes  cap kept: cut down the middle and along the bicep line, hinged at the top, the hem and both underarms,
//          spread at the bicep; the cap gets lower, its length hardly changes;
//          split through: split from top to hem and spread evenly; cap and hem grow too
// Keeps    underarm seams equally long; cap kept: the hem
// Limits   60 mm: beyond, another size
// Then     cap height, walked to the armhole; split through: the cap's extra is eased, gathered, or the armhole
//          lowered
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length upper_arm_limit = Length::mm(60);

enum class UpperArmMethod { CapKept, SplitThrough };

[[nodiscard]] Outcome<Applied> alter_upper_arm(const Garment&, const Dose&);
[[nodiscard]] Adjustment upper_arm_row();

}  // namespace sartorum
