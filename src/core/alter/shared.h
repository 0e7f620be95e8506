// shared.h: what several adjustments do the same way.
#pragma once
#include "core/alter/garment.h"

namespace sartorum {

// Front and back side seams equally long again; leaves a step where the side waist moved by more than 0.5 mm.
[[nodiscard]] Outcome<bool> match_sides(Applied&);
// The waistband cut at its side notch and spread or overlapped so that it is longer by `change`.
[[nodiscard]] Outcome<bool> fit_band(Applied&, Length change);
[[nodiscard]] Length sewn_waist(const Garment&);  // half: front and back piece

}  // namespace sartorum
