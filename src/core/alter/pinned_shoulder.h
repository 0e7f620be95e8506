// pinned_shoulder.h: the shoulder as it was pinned on a toile: each end of the seam by its own amount, front and
// back.
//
// Amounts  square to the sewn seam, at four places; − taken off, + let out. Of an offcut: extra allowance − offcut
// Order    the neck end first, then the tip from the seam as it lies then
// Limits   25 mm (about the extra allowance)
// Then     as after a slope: the armhole is shorter or longer by the amounts at the tips, the neckline by those at
//          the neck ends
// Source   common practice
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

[[nodiscard]] Outcome<Applied> alter_pinned_shoulder(const Garment&, const Dose&);
[[nodiscard]] Adjustment pinned_shoulder_row();

}  // namespace sartorum
