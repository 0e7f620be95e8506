// sides.h: sentences of a garment whose two sides are not alike.
#pragma once
#include <QString>

#include "core/plan/compute.h"
#include "core/plan/step_telling.h"
#include "core/units/length_text.h"

namespace sartorum::words {

// "Side seam, left"; without a side as it is.
[[nodiscard]] QString of_side(const QString& name, const std::optional<Side>&);
// "+6 mm", front's and back's, or each side's own: "right −9 mm, left −5 mm".
[[nodiscard]] QString amounts(const Computed&, const PlanLine&, Unit);
// The same where there is little room: of unlike sides the numbers alone, "right −9, left −5".
[[nodiscard]] QString amounts_brief(const Computed&, const PlanLine&, Unit);
// What it is proposed from, on each side where that is not the same.
[[nodiscard]] QString why(const Computed&, const PlanLine&, Unit);
// How two sides that differ are answered, and why so; empty where nothing was read apart.
[[nodiscard]] QString sides_told(const PlanLine&, Unit);
// The same in a few words: "each side its own".
[[nodiscard]] QString sides_brief(const PlanLine&);
[[nodiscard]] QString sides_way_name(SidesWay);
// "3. front, left: Cut across"
[[nodiscard]] QString step_sentence(const ToldStep&, std::size_t index, Unit);

}  // namespace sartorum::words
