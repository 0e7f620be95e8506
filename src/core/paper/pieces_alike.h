// pieces_alike.h: whether two pieces are the same to the eye.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// Some place of the one's outline lies farther than that from the other's.
[[nodiscard]] bool outlines_differ(const Piece&, const Piece&, Length within);

}  // namespace sartorum
