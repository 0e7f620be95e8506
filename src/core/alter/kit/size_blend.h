// size_blend.h: trace a part of the pattern in one size, or from one size above to another below.
//
// A skirt   the hip size is traced; between waist and hip line the side seam is redrawn to the waist size
// (blend.h)
//           Keeps directions at waist and hip; both side seams end equally long (sides_matched)
// An upper  the frame size (neck, shoulders, armhole, bust), its side seam and lower edge redrawn to the size at
// part      its lower edge: the waist's, or the hip's where it ends in a hem
#pragma once
#include "core/alter/kit/part_alter.h"

namespace sartorum {

[[nodiscard]] Step trace_step(const Piece&, const std::string& size);
[[nodiscard]] Outcome<Applied> trace_skirt(const Pattern& part, const SizeNames&);
[[nodiscard]] Outcome<Applied> trace_upper(const Pattern& part, const SizeNames&);

// The whole pattern: each part in its sizes, what is of no part in the size of what lies highest; the steps piece
// by piece.
[[nodiscard]] Outcome<Applied> trace_pattern(const Pattern&, const SizeNames&);

}  // namespace sartorum
