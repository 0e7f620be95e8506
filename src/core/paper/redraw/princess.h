// princess.h: a front of two panels (princess.h) after something was done to it.
#pragma once
#include "core/paper/redraw/darts.h"

namespace sartorum {

// Both openings run to the bust point again, the two sides of each equally long.
void settle_princess(Piece& front);
// The same for every such front among the pieces.
void settle_princess(std::vector<Piece>&);

// The upper opening narrowed by this angle at the bust point, a side dart opened by it; none where the opening has
// not so much.
[[nodiscard]] std::optional<Piece> side_dart_from_princess(const Piece& front, double radians);
// The side dart closed about the bust point, the upper opening grown by its angle.
[[nodiscard]] Piece side_dart_into_princess(const Piece& front);
// The upper opening's angle at the bust point.
[[nodiscard]] double upper_radians(const Piece& front);

}  // namespace sartorum
