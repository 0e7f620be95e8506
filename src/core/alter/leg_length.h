// leg_length.h: the leg longer or shorter between the inner leg point and the hem.
//
// Changes  front and back cut across and spread (+) or folded out (−): half of it above the knee line and half
//          below, or all of it at the knee line; seams trued
// Keeps    everything above the inner leg point; the widths at knee and hem; the crease
// Amount   body's inside leg − chart
// Limits   120 mm. Common practice.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length leg_length_limit = Length::mm(120);
enum class LegLengthWay { Halved, AtKnee };

[[nodiscard]] Outcome<Applied> alter_leg_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment leg_length_row();

}  // namespace sartorum
