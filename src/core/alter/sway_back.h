// sway_back.h: less length at centre back (−), where the back curves in at the waist.
//
// Keeps    the side seam's length (but for the tuck), the front, the dart's tip
// Methods  centre seam: a wedge of the amount at centre back, to nothing at the side seam, closed; centre back
// keeps
//          its new curve;
//          on the fold, trimmed: the same, then the fold drawn straight; what swings past it comes off and is
//          given back at the side seam; on the fold, tuck: the amount folded out all across; the side seam loses
//          it too, and the front's lower edge rises to it at the side; at the waist seam: the lower edge rises by
//          the amount at centre back, to nothing at the side seam
// So       the lower part turns by 2·atan(a / 2B), B from the wedge's middle at centre back to the side seam
// Limits   40 mm, a bust dart's notion of a wedge (our choice): beyond, look whether hips need width first
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length sway_back_limit = Length::mm(40);

enum class SwayBackMethod { CentreSeam, FoldTrimmed, FoldTuck, WaistSeam };

[[nodiscard]] Outcome<Applied> alter_sway_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment sway_back_row();

}  // namespace sartorum
