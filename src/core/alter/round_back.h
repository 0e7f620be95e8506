// round_back.h: more length over a high round back, at centre back only.
//
// Changes  the upper back turns about the armhole until the cut has opened by the amount at centre back
// Keeps    everything below the cut; the shoulder seam's length and its dart
// Methods  centre seam: the opened seam is its new curve;
//          on the fold, eased or darted: the fold is carried on straight, which adds a wedge at the neck and
//          undoes a little of the effect; the longer neck is eased into what is sewn there, or taken in a neck
//          dart
// So       turns by 2·asin(a / 2D), D from centre back to the hinge; the shoulder tips by the same angle
// Limits   30 mm (our choice): beyond, a toile first
// Then     look at the neckline, the shoulder slope; facing or collar
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length round_back_limit = Length::mm(30);

enum class RoundBackMethod { CentreSeam, FoldEased, FoldDarted };

[[nodiscard]] Outcome<Applied> alter_round_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment round_back_row();

}  // namespace sartorum
