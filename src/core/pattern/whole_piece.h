// whole_piece.h: a piece turned over, and a piece on the fold drawn out whole from two unlike halves.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// Reflected about the grain, in travel again: clockwise.
[[nodiscard]] Piece mirror_image(const Piece&);

// `half` as it is, with `other`, a half as it would lie there, turned over about the fold. The fold is no edge any
// more; where it was stands a guide, GuideKind::Centre, with `half` on the right hand of its way from a to b. Of
// what each half has, all is there twice but the grain. The folds of both are straight and equally long within
// closed_within.
[[nodiscard]] Piece drawn_whole(const Piece& half, const Piece& other);

}  // namespace sartorum
