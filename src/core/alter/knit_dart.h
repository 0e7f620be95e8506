// knit_dart.h: a short dart from the front armhole towards the bust point, for a knit front without a dart.
//
// Changes  a dart of twice the pinch in the lower half of the front armhole, 65 mm long; with length: the front is
//          cut across just above it and spread by as much, so that the armhole keeps its length and the hem hangs
//          level over the bust
// Keeps    neck, shoulder, the side seam; with length, the sewn armhole
// Methods  with length; dart only, for small amounts
// Limits   a pinch of 6.5 mm a fold layer: a dart 13 mm wide. Common practice.
// Then     dart only: the cap comes down
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length knit_pinch_limit = Length::mm(6.5);

enum class KnitDartMethod { WithLength, DartOnly };

[[nodiscard]] Outcome<Applied> alter_knit_dart(const Garment&, const Dose& pinch);
[[nodiscard]] Adjustment knit_dart_row();

}  // namespace sartorum
