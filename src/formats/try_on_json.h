// try_on_json.h: what was seen on a toile, and what it may come from, as JSON. Keys: docs/cli.md.
#pragma once
#include <nlohmann/json.hpp>

#include "core/fitting/try_on.h"
#include "core/units/length_text.h"

namespace sartorum::formats {

inline constexpr std::size_t most_seen = 60;

// Sights and answers; nothing is known of the plan yet. Refuses a word that is none, a sight or a test said twice,
// more than that many.
[[nodiscard]] Outcome<Observed> read_try_on(const std::string& text);
[[nodiscard]] nlohmann::ordered_json causes_json(const Observed&, const Computed&);

}  // namespace sartorum::formats
