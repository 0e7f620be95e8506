// leg_widths.h: trousers wider or closer at the hip, the thigh, the knee and the hem.
//
// Hip     out (+) or in at the side seams by a quarter of the girth each, or by half at the back's alone, to
//         nothing at the waist and at the knee
// Thigh   the inner leg points out or in, front and back alike (crotch_length.h), until the thigh gained it all;
//         done before the crotch, because that seam gets longer with it
// Knee    both seams of both pieces by a quarter each, to nothing at the inner leg point's level and at the hem
// Calf    the same under the knee, to nothing at the knee and at the hem
// Hem     the same at the hem, to nothing at the knee, straight below it
// Keeps   the crease, straight and on the grain, mid-way at knee and hem; lengths of the inner leg
// Limits  hip 120 mm of girth, thigh 60, knee and calf 80, hem 120
// Common practice: thigh mostly at the inner leg, hip at the side, knee and below half and half; where the chart
// prints nothing a girth is only brought up to what one moves in.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length thigh_limit = Length::mm(60);
inline constexpr Length knee_limit = Length::mm(80);
inline constexpr Length leg_hem_limit = Length::mm(120);

// Of the girth at the waist or at the hip; what width at waist and hip come to on trousers.
[[nodiscard]] Outcome<Applied> widen_trousers(const Garment&, const Dose& girth, Level);
// Its side seam at the hip, to nothing at the waist and at the knee; of shorts as much down to the hem.
[[nodiscard]] Piece leg_hip_moved(const Piece&, Length by);
[[nodiscard]] Outcome<Applied> alter_width_at_thigh(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_knee(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_calf(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_leg_hem(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment width_at_thigh_row();
[[nodiscard]] Adjustment width_at_knee_row();
[[nodiscard]] Adjustment width_at_calf_row();
[[nodiscard]] Adjustment width_at_leg_hem_row();

}  // namespace sartorum
