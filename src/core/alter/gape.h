// gape.h: a gaping neckline or front armhole taken into the bust dart.
//
// Changes  a wedge as wide as the pinch at the edge, nothing at the bust point, is folded away; the paper between
//          it and the dart turns about the bust point, so that the dart opens by the same angle
// Keeps    the closed side seam, the centre, the bust's width
// So       angle 2·asin(g / 2R) for a pinch g at R from the bust point; the mouth becomes 2·r·sin((old + new)/2)
// Limits   20 mm pinched (our choice): beyond, a toile first
// Then     armhole: the cap comes down; neckline: facing, collar or band
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length gape_limit = Length::mm(20);

[[nodiscard]] Outcome<Applied> alter_neck_gape(const Garment&, const Dose& pinch);
[[nodiscard]] Outcome<Applied> alter_armhole_gape(const Garment&, const Dose& pinch);
[[nodiscard]] Adjustment neck_gape_row();
[[nodiscard]] Adjustment armhole_gape_row();

}  // namespace sartorum
