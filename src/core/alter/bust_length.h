// bust_length.h: more (+) or less length at centre front than front and back have in common, over the bust.
//
// Changes  +: everything below a line from centre front through the bust point and the side dart goes down by the
//          amount; the dart takes at the side what opened. Without a side dart, and for less length: the lower
//          edge at the centre, to nothing at the side
// Keeps    neck, shoulder, armhole, the closed side seam, the bust point and the darts' tips
// Limits   40 mm (our choice): beyond, look whether the bust wants more room
// Then     nothing: the back is as long as it was
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length bust_length_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_bust_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_length_row();

}  // namespace sartorum
