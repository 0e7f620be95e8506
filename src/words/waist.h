// waist.h: a waist drawn anew through its stations, in words. Not for other rooms, but for the names.
#pragma once
#include "core/paper/redraw/waist.h"
#include "words/words.h"

namespace sartorum::words {

[[nodiscard]] QString station_name(WaistStation);   // "mid front"
[[nodiscard]] QString station_title(WaistStation);  // "Mid front"
// One of an adjustment's own places: "mid front", "front tip".
[[nodiscard]] QString place_name(std::string_view key);
// At all of them alike: "all round", or "at each end" of a seam.
[[nodiscard]] QString everywhere(AdjustmentKind);
// "centre front −20, mid front −12", or "+10 mm all round"; the unit is said where it stands alone.
[[nodiscard]] QString stations_text(AdjustmentKind, const std::vector<Length>& at, Unit);
// "−2.0 to +0.9 cm": the least and the most of both sides.
[[nodiscard]] QString stations_brief(const PlanLine& right, const PlanLine* left, Unit);
// "By the centre 20 mm under it, …": where a piece's marks go.
[[nodiscard]] QString waist_marks(const Step&, Unit);

}  // namespace sartorum::words
