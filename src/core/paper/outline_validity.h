// outline_validity.h: whether an outline can be cut out of paper: no line of no length, no crossing, no dart wider
// than the edge it lies in.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

enum class Unsound { LineOfNoLength, Crossing, MouthTooWide };

// The first that holds. Outlines are compared as polylines within 0.1 mm of the curves.
[[nodiscard]] std::optional<Unsound> unsound(const Piece&);

// Segments shorter than a hundredth of a millimetre, which no hand draws, left out; neighbours meet where they
// stood. A straight line that goes forth and back goes forth only.
void drop_slivers(Piece&);

}  // namespace sartorum
