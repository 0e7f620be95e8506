// rows.h: the adjustments of what is sewn to the part above. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// joined_darts: a skirt's darts moved along its waist until they meet the bodice's again, where they met when
// the pattern was drawn.
//
// Method   the dart is drawn again, as wide and as long as it was, further along the waist; waist redrawn between
// Amount   how far the one goes that is furthest off, + to the side; others of that piece as far as each is off
// Stays    widths, depths, lengths, the closed waist
// By itself  it goes with the bodice unless it is declined; nothing below half a millimetre

inline constexpr Length joined_darts_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_joined_darts(const Garment& below, const Across&, const Dose&);
[[nodiscard]] Adjustment joined_darts_row();

// joined_waist: the waist of a skirt made to meet the waist of the bodice it is sewn to, after that was changed.
//
// Changes  the side seams at the waist, front and back each by its own amount, easing to the hip line; where the
//          skirt is gathered, the whole side seam, so that it stays as straight as it was
// Stays    centre lines, hem level, the fullness and what was drawn to be eased in
// By itself  it goes with the bodice unless it is declined; nothing below half a millimetre
// Common practice: a bodice's waist 10 mm wider a half makes the skirt's closed waist as much wider.

inline constexpr Length joins_within = Length::mm(0.5);
inline constexpr Length joined_waist_limit = Length::mm(80);  // of half a face

// Closed waist of front and back longer (+) or shorter, each half.
[[nodiscard]] Outcome<Applied> alter_joined_waist(const Garment& below, const Across&, const Dose&);
[[nodiscard]] Adjustment joined_waist_row();

}  // namespace sartorum
