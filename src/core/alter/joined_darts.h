// joined_darts.h: a skirt's darts moved along its waist until they meet the bodice's again, where they met when
// the pattern was drawn.
//
// Method   the dart is drawn again, as wide and as long as it was, further along the waist; waist redrawn between
// Amount   how far the one goes that is furthest off, + to the side; others of that piece as far as each is off
// Stays    widths, depths, lengths, the closed waist
// By itself  it goes with the bodice unless it is declined; nothing below half a millimetre
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length joined_darts_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_joined_darts(const Garment& below, const Across&, const Dose&);
[[nodiscard]] Adjustment joined_darts_row();

}  // namespace sartorum
