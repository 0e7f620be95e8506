// ball_of_shoulder.h: the seam moved forward (+) or back (−) at the shoulder tip.
//
// Changes  the amount comes off the front at the tip and goes onto the back, square to the seam
// Keeps    the neck point, the sewn slope
// Methods  redrawn: both seams drawn anew; slashed: a strip from armhole to neck point swings about the neck
// point,
//          overlapped in front, opened behind. Both put the seam on the same line; slashed keeps its length,
//          redrawn makes both √(L² + f²) long.
// So       the sewn seam moves by f·cos((front angle − back angle)/2)
// Limits   13 mm: more would show from the front (common practice)
// Then     the sleeve's cap moves forward by as much
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length shoulder_forward_limit = Length::mm(13);

enum class BallMethod { Redrawn, Slashed };

[[nodiscard]] Outcome<Applied> alter_ball_of_shoulder(const Garment&, const Dose&);
[[nodiscard]] Adjustment ball_of_shoulder_row();

}  // namespace sartorum
