// body_rise.h: the waist lies higher or lower over the seat, where the hip line does not.
//
// Changes  front and back cut across under the hip line and spread (+) or folded out (−); both seams trued
// Keeps    waist, darts and hip line above the cut; inner leg, crotch curve's foot, knee and hem below it
// Amount   body − chart, else what brings the paper into 10 to 25 mm more than the body; waist to hip counts
// Limits   50 mm longer, 25 shorter: the fold lies between hip line and the curve's foot. Common practice.
// Then     the crotch seam is longer by about the amount on front and back each; fly and side opening too
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length body_rise_limit = Length::mm(50);
inline constexpr Length body_rise_less = Length::mm(25);
// Where no chart says what it is drafted for, the rise of the paper may be so much more than the body's; common
// practice.
inline constexpr Length rise_ease_least = Length::mm(10);
inline constexpr Length rise_ease_most = Length::mm(25);

[[nodiscard]] Outcome<Applied> alter_body_rise(const Garment&, const Dose&);
[[nodiscard]] Adjustment body_rise_row();

}  // namespace sartorum
