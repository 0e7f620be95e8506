// lower_edge.h: the lower edge of a piece drawn anew: a hem moved, the end of a bodice shifted.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

// Hem moved by `amount` along the centre and along the side seam (+ longer): the lines are carried on, or cut
// back. Refuses to cut back above the hip line (a bodice's waist).
[[nodiscard]] Outcome<Piece> hem_moved(const Piece&, Length amount);

// The lower edge shifted: fully at one end, less and less towards the other, both ends keeping their direction.
[[nodiscard]] Piece bottom_redrawn(const Piece&, Point at_side, Point at_centre);

}  // namespace sartorum
