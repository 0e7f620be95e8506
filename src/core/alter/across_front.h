// across_front.h: the front armhole scooped out (−) or filled (+) between the shoulder tip and the notch.
//
// Changes  the front armhole at the across line by the amount, nothing at the tip and at the notch
// Keeps    shoulder, underarm, the level of everything
// Limits   scooped 6.5 mm (¼ in): common practice; filled 15 mm: our choice, beyond it another size for the frame
// Then     the armhole is a little longer or shorter: the cap is walked
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length across_front_least = Length::mm(-6.5);
inline constexpr Length across_front_most = Length::mm(15);

[[nodiscard]] Outcome<Applied> alter_across_front(const Garment&, const Dose&);
[[nodiscard]] Adjustment across_front_row();

}  // namespace sartorum
