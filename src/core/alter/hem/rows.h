// rows.h: the adjustments of hems and facings. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// facings: facings drawn anew from the edges they lie under, after those were changed. Of the whole garment,
// last of all: core/plan/adjustment_sequence.cpp does it, by itself unless it is declined.

[[nodiscard]] Adjustment facings_row();

// hem: longer or shorter at the hem, front and back alike.
//
// Changes  the hem, by the amount along centre and side seam alike
// Keeps    everything above it; the directions of hem, centre and side seam where they meet
// Method   longer: carry centre and side lines on, add paper, draw the hem again;
//          shorter: draw the hem again above, trim. The sweep grows or shrinks with a flared side seam.
// Limits   300 mm longer; shorter must stay 20 mm below the hip line
//
// Two adjustments share it: hem_given_back (undo what other adjustments did to the finished length) and
// finished_length (what the wearer wishes).

inline constexpr Length hem_limit = Length::mm(300);

[[nodiscard]] Outcome<Applied> alter_hem(const Garment&, const Dose&);
[[nodiscard]] Adjustment hem_given_back_row();
[[nodiscard]] Adjustment finished_length_row();

// turn_up: a turn-up at the hem of trousers, folded up outside and seen `amount` deep.
//
// Changes  what is left under the hem line: twice the depth and the allowance that is turned inside
// Keeps    the hem line, where the leg ends once it is worn; every seam
// Limits   60 mm; 200 of paper under the hem in all. Common practice: 3 to 5 cm

inline constexpr Length turn_up_limit = Length::mm(60);

[[nodiscard]] Outcome<Applied> alter_turn_up(const Garment&, const Dose& depth);
[[nodiscard]] Adjustment turn_up_row();

}  // namespace sartorum
