// try_on_json.h: a try-on, and what it may come from, as JSON. Keys: docs/cli.md. Photographs are no part of it.
#pragma once
#include <nlohmann/json.hpp>

#include "core/fitting/toile.h"
#include "core/fitting/try_on.h"
#include "core/units/length_text.h"

namespace sartorum::formats {

// Refuses a word that is none, a sight or a test said twice, a place that is none, more than can be noted. Nothing
// has to be there; without a date it is told by none.
[[nodiscard]] Outcome<TryOn> read_try_on(const std::string& text);
[[nodiscard]] nlohmann::ordered_json try_on_json(const TryOn&);
[[nodiscard]] nlohmann::ordered_json causes_json(const Observed&, const Computed&);

}  // namespace sartorum::formats
