// shoulder_length.h: the shoulder longer or shorter, by an L-shaped cut.
//
// Changes  the corner with the shoulder tip slides out (+) or in (−) by the amount, front and back alike
// Keeps    the neck point, the level of the tip, the underarm
// Method   from mid-shoulder straight down to where the armhole is straightest, then square out; slide; true the
//          armhole from below in one long line, and the shoulder. Common practice.
// So       the seam becomes √(L² + 2·L·d·cos a + d²): about d·cos a longer, and a little less steep
// Limits   40 mm: beyond, another size
// Then     slope looked at again; armhole and so the sleeve's cap
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length shoulder_length_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_shoulder_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment shoulder_length_row();

}  // namespace sartorum
