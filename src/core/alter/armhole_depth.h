// armhole_depth.h: the armhole deeper (+) or shallower (−), front and back alike.
//
// Changes  everything below the across line goes down (up) by the amount
// Keeps    neck, shoulders, the side seam, the bodice from underarm to waist
// Method   cut across at the across line, spread or fold; true the armhole. Common practice.
// Limits   40 mm; a fold must leave 15 mm of armhole below the line
// Then     bust depth, lengths and the sleeve's cap looked at again
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length armhole_depth_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_armhole_depth(const Garment&, const Dose&);
[[nodiscard]] Adjustment armhole_depth_row();

}  // namespace sartorum
