// upper_arm.h: a sleeve wider (+) or narrower at the bicep line.
//
// Changes  cap kept: cut down the middle and along the bicep line, hinged at the top, the hem and both underarms,
//          spread at the bicep; the cap gets lower, its length hardly changes;
//          split through: split from top to hem and spread evenly; cap and hem grow too. What the cap is longer by
//          is gathered into the armhole, or the underarm of front and back is lowered along the side seam until
//          the armhole is as much longer
// Keeps    underarm seams equally long; cap kept: the hem; split through: the ease meant at the seam
// Refuses  an armhole that would have to go lower than its side seam, or the dart in it, allows
// Limits   60 mm usually: beyond, another size
// Then     cap kept: cap height, walked to the armhole
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length upper_arm_limit = Length::mm(60);

enum class UpperArmMethod { CapKept, SplitGathered, SplitLowered };

[[nodiscard]] Outcome<Applied> alter_upper_arm(const Garment&, const Dose&);
[[nodiscard]] Adjustment upper_arm_row();

}  // namespace sartorum
