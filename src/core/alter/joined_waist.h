// joined_waist.h: the waist of a skirt made to meet the waist of the bodice it is sewn to, after that was changed.
//
// Changes  the side seams at the waist, front and back each by its own amount, easing to the hip line; where the
//          skirt is gathered, the whole side seam, so that it stays as straight as it was
// Stays    centre lines, hem level, the fullness and what was drawn to be eased in
// By itself  it goes with the bodice unless it is declined; nothing below half a millimetre
// Common practice: a bodice's waist 10 mm wider a half makes the skirt's closed waist as much wider.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length joins_within = Length::mm(0.5);
inline constexpr Length joined_waist_limit = Length::mm(80);  // of half a face

// Closed waist of front and back longer (+) or shorter, each half.
[[nodiscard]] Outcome<Applied> alter_joined_waist(const Garment& below, const Across&, const Dose&);
[[nodiscard]] Adjustment joined_waist_row();

}  // namespace sartorum
