// rows.h: the adjustments of a garment that is sewn already. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// sewn: what can still be done to a garment that is sewn already: nothing can be added but what its seam
// allowances hold. Offered only where the plan says that it is sewn; what was altered before stands as it was.
//
// Crotch  stitched lower: the inner leg ends so much below where it did, front and back alike, one smooth line
//         from the old seam high in front to the old seam high behind, inside it everywhere
//         (core/paper/redraw/leg.h). What it gives is measured on the line, 1.2 to 1.6 times as much by the
//         lean of the inner legs; the inner leg loses the amount, the thigh some of its width
// Sides   taken in, or let out within the allowance that is there, a quarter of the girth at each seam, at the
//         waist or at the hip
// Waist   lowered at its stations; what is above the line comes off
// Hem     shorter, or let down within its allowance
// Found   the crotch from the string as crotch_length.h asks; waist and hip as their widths are; the hem from the
//         length that is wished
// Limits  crotch 40 mm; 5 mm of an allowance stay, 10 of a hem's: from memory. The rest common practice.

inline constexpr Length sewn_crotch_limit = Length::mm(40);
inline constexpr Length allowance_kept = Length::mm(5);
inline constexpr Length hem_allowance_kept = Length::mm(10);

[[nodiscard]] Adjustment sewn_crotch_row();
[[nodiscard]] Adjustment sewn_waist_width_row();
[[nodiscard]] Adjustment sewn_hip_width_row();
[[nodiscard]] Adjustment sewn_waist_row();
[[nodiscard]] Adjustment sewn_hem_row();

}  // namespace sartorum
