// waist_seam_level.h: the seam at the waist of a dress put lower or higher on the body, as the wearer wants it.
//
// Changes  the bodice longer (+) at its printed line, the skirt as much shorter between waist and hip; or the
// other
//          way about
// Stays    the length from shoulder to hem, the waists and what they were shaped to: the garment's waist moves
// Follows  the body is narrower or wider there: measure the waist where the seam is to lie
// Entered by hand: it is a wish. Common practice: length can be moved between parts, their sum serves the body.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length waist_seam_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_waist_seam_level(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_seam_level_row();

}  // namespace sartorum
