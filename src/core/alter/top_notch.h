// top_notch.h: the cap's notches marked again where the armhole wants them.
//
// Changes  the top notch goes forward (+) or back along the cap by the amount; side notches as far from the
//          underarm as the armhole's
// Keeps    the cap's line
// Limits   40 mm
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length top_notch_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_top_notch(const Garment&, const Dose&);
[[nodiscard]] Adjustment top_notch_row();

}  // namespace sartorum
