// hem.h: longer or shorter at the hem, front and back alike.
//
// Changes  the hem, by the amount along centre and side seam alike
// Keeps    everything above it; the directions of hem, centre and side seam where they meet
// Method   longer: carry centre and side lines on, add paper, draw the hem again;
//          shorter: draw the hem again above, trim. The sweep grows or shrinks with a flared side seam.
// Limits   300 mm longer; shorter must stay 20 mm below the hip line
//
// Two adjustments share it: hem_given_back (undo what other adjustments did to the finished length) and
// finished_length (what the wearer wishes).
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length hem_limit = Length::mm(300);

[[nodiscard]] Outcome<Applied> alter_hem(const Garment&, const Dose&);
[[nodiscard]] Adjustment hem_given_back_row();
[[nodiscard]] Adjustment finished_length_row();

}  // namespace sartorum
