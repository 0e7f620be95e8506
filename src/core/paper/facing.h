// facing.h: a facing drawn from the edge it lies under: the same edge, the lines at its ends, and an outer edge at
// the same distance all along.
//
// Outer edge  the parallel of the edge at the width, carried on straight past its ends until it meets the lines
//             there; within 0.05 mm
// Frame       of the piece it is drawn from, so that it lies where it is sewn
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// 5-6 cm is usual. Common practice.
inline constexpr Length facing_width_most = Length::mm(200);

// From the edges of that role; darts, tucks and pleats between them lie closed, as they are sewn, the end at the
// centre stays. Where the edge bends round so tightly near an end that nothing lies so far inside it, the outer
// edge is carried on straight there. Refuses where the width finds no room on the piece.
[[nodiscard]] Outcome<Piece> facing_drawn(const Piece& on, EdgeRole, Length width);
// From the middle of the edge it is sewn by, straight across; none where it has nothing opposite.
[[nodiscard]] std::optional<Length> facing_width(const Piece& facing, EdgeRole sewn);

}  // namespace sartorum
