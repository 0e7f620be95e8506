// bust_span.h: the bust points further apart (+) or closer together (−): the amount on each side, front only.
//
// Changes  the darts' tips, or the fullest place of a panel seam, sideways by the amount
// Keeps    every mouth, the seams' lengths
// Limits   25 mm (our choice, as for a re-aimed tip): beyond, another pattern carries its seam elsewhere
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length bust_span_limit = Length::mm(25);

[[nodiscard]] Outcome<Applied> alter_bust_span(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_span_row();

}  // namespace sartorum
