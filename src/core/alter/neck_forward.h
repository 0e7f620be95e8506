// neck_forward.h: the seam moved forward (+) or back (−) at the neck.
//
// Changes  the amount comes off the front's neck end and goes onto the back's, square to the seam; neckline trued
// Keeps    the shoulder tip, the sewn slope
// Limits   13 mm, as for the shoulder (our choice)
// Then     collar and facing follow the neckline
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length neck_forward_limit = Length::mm(13);

[[nodiscard]] Outcome<Applied> alter_neck_forward(const Garment&, const Dose&);
[[nodiscard]] Adjustment neck_forward_row();

}  // namespace sartorum
