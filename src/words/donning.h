// donning.h: what is said of putting the garment on.
#pragma once
#include <QString>

#include "core/plan/donning.h"
#include "core/plan/elastic.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString goes_on_place(const GoesOn&);
// The whole of it: what has to pass, what opening it needs and has.
[[nodiscard]] QString goes_on_text(const GoesOn&, Unit);
// Where it does not go on: the place with it; else empty.
[[nodiscard]] QString goes_on_warning(const GoesOn&, Unit);
// What draws a wide waist in: how long it is cut, and how full the casing lies on it.
[[nodiscard]] QString elastic_text(const Elastic&, Unit);

}  // namespace sartorum::words
