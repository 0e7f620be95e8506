// sleeve_length.h: a sleeve longer (+) or shorter, above or below the elbow.
//
// Changes  cut across half-way between the bicep and the elbow line, or between the elbow and the hem (one without
//          an elbow line: half-way down), spread or fold; underarm seams straight again
// Keeps    cap, bicep width, the hem's width
// Limits   120 mm; a fold must leave the sleeve below the line
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length sleeve_length_limit = Length::mm(120);

[[nodiscard]] Outcome<Applied> alter_sleeve_above(const Garment&, const Dose&);
[[nodiscard]] Outcome<Applied> alter_sleeve_below(const Garment&, const Dose&);
[[nodiscard]] Adjustment sleeve_above_row();
[[nodiscard]] Adjustment sleeve_below_row();

}  // namespace sartorum
