// high_hip.h: skirts and trousers wider or closer half-way between waist and hip.
//
// Changes  side seams out (+) or in (−) by a quarter of the girth each, or by half at the back's alone, to nothing
//          at the waist and at the hip line: the hip curve gets the body's shape
// Keeps    waist, darts, hip, all below; the direction in which the side seam leaves the waist
// Done     after waist and hip, whose changes run through here; only what they did not give is left
// Limits   60 mm of girth
// Common practice.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length high_hip_limit = Length::mm(60);

[[nodiscard]] Outcome<Applied> alter_width_at_high_hip(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment width_at_high_hip_row();

}  // namespace sartorum
