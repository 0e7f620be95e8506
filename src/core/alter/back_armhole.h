// back_armhole.h: a back armhole that is too long (a bubble behind the arm) folded out.
//
// Changes  the outer corner of the back, cut from the shoulder (inside its middle, outside a dart) down and from
// the armhole across at the across
//          line, pivots where the cuts meet and overlaps by the amount at the armhole
// Keeps    neck, centre back, underarm, side seam
// So       turns by 2·asin(a / 2D), D from the pivot to the armhole; the back shoulder grows by the same angle's
//          chord at its own distance, which is eased to the front
// Limits   10 mm; about 6 is usual: common practice. The shoulder may grow by 15 mm: our choice; the front takes
//          it up by easing
// Then     the cap comes down
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length back_armhole_limit = Length::mm(10);

[[nodiscard]] Outcome<Applied> alter_back_armhole(const Garment&, const Dose& overlap);
[[nodiscard]] Adjustment back_armhole_row();

}  // namespace sartorum
