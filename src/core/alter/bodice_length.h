// bodice_length.h: the bodice longer (+) or shorter (−) between underarm and waist.
//
// Changes  everything below the lengthen/shorten line, by what front and back have in common; what one piece needs
//          more is added at its lower edge at the centre, to nothing at the side seam
// Keeps    the armhole, the bust dart, the width at the line; side seams walk
// Method   cut across at the printed line, spread, or fold half as deep; true side seam and darts. Common
// practice. Limits   60 mm; a fold must stay above the lower edge; front and back unlike by 30 mm at most
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length bodice_length_limit = Length::mm(60);
inline constexpr Length bodice_unlike_limit = Length::mm(30);

[[nodiscard]] Outcome<Applied> alter_bodice_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment bodice_length_row();

}  // namespace sartorum
