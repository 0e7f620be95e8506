// size_blend.h: trace the pattern in one size, or from one size at the waist to another at the hip.
//
// Method   the hip size is traced; between waist and hip line the side seam is redrawn to the waist size (blend.h)
// Keeps    directions at waist and hip; both side seams end equally long (sides_matched)
// Also     the waistband is traced in the waist size
#pragma once
#include "core/alter/garment.h"

namespace sartorum {

[[nodiscard]] Outcome<Applied> trace_sizes(const Pattern&, const std::string& waist_size,
                                           const std::string& hip_size);

// A bodice: the frame size (neck, shoulders, armhole, bust), its side seam and lower edge redrawn to the lower
// size.
[[nodiscard]] Outcome<Applied> trace_bodice(const Pattern&, const std::string& frame_size,
                                            const std::string& lower_size);

}  // namespace sartorum
