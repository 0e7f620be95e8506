// redraw_parts.h: what the redrawing of a bodice's edges has in common. Not for other rooms.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum::redraw {

// First and last edge of a run, dart mouths between them included.
struct Run {
    std::size_t first;
    std::size_t last;
};

[[nodiscard]] std::size_t index_of(const Piece&, EdgeRole, bool last = false);
[[nodiscard]] Run run_of(const Piece&, EdgeRole);
// Straight stays straight, curved keeps its directions.
[[nodiscard]] Curve trued(const Curve&, Point at_start, Point at_end);
// The side seam's last edge drawn anew: what meets it at either end keeps its corner.
void redraw_side(Piece&, std::size_t side, const Curve&);

}  // namespace sartorum::redraw
