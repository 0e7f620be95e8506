// shoulder_slope.h: squarer or steeper shoulders, front and back by amounts that may differ.
//
// Methods  at the tips: the tip moves out (+, squarer) or in (−, steeper), the neck point stays;
//          at the neck ends: the neck end moves, the tip stays (−: the neckline stood away from a square
//          shoulder); allow and pin: an inch more allowance on the toile's shoulders, and what was pinned (−)
//          taken at the tips
// Amounts  square to the sewn seam
// So       with t at both tips each seam turns by atan(t / L); the sewn slope is the mean of both angles
// Limits   25 mm (about the extra allowance): beyond, a toile first
// Then     armhole shorter by about the amounts' mean each: the sleeve's cap follows
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length shoulder_slope_limit = Length::mm(25.4);
inline constexpr Length toile_extra = Length::inches(1);

enum class SlopeMethod { Tips, NeckEnds, AllowAndPin };

[[nodiscard]] Outcome<Applied> alter_shoulder_slope(const Garment&, const Dose&);
[[nodiscard]] Adjustment shoulder_slope_row();

}  // namespace sartorum
