// json.h: bodies, plans and results as JSON. Keys are stable; docs/cli.md has an example of each.
#pragma once
#include <nlohmann/json.hpp>
#include <string>

#include "core/chart/size_choice.h"
#include "core/plan/donning.h"
#include "core/plan/elastic.h"
#include "core/plan/finished.h"
#include "core/plan/knock_ons.h"
#include "core/units/length_text.h"

namespace sartorum::formats {

struct NamedBody {
    std::string name;
    BodySet set;
};

// Untrusted: up to 1 MB, 8 levels, 4,000 members; a member nobody knows, of another kind or standing twice is
// refused by name.
// {"name": "…", "date": "2026-11-03", "readings": {"waist": [842, "33 1/4 in"], …}}; numbers are mm.
[[nodiscard]] Outcome<NamedBody> read_body(const std::string& text);
[[nodiscard]] nlohmann::ordered_json body_json(const NamedBody&);
// {"waist_size": "12", "hip_size": "14", "adjustments": {"waist_to_hip": {"answer": "accepted",
// "amount_mm": 25.4}}}
[[nodiscard]] Outcome<Plan> read_plan(const std::string& text);
[[nodiscard]] nlohmann::ordered_json plan_json(const Plan&);

[[nodiscard]] nlohmann::ordered_json compare_json(const SizeChart&, const Advice&, const BodySet&);
[[nodiscard]] nlohmann::ordered_json lines_json(const Computed&);
// What was accepted and is not on the paper, each with its reason in words.
[[nodiscard]] nlohmann::ordered_json not_done_json(const Computed&, Unit);
[[nodiscard]] nlohmann::ordered_json pieces_json(const std::vector<Piece>&);
[[nodiscard]] nlohmann::ordered_json checks_json(const Checks&);
[[nodiscard]] nlohmann::ordered_json elastic_json(const Elastic&);
[[nodiscard]] nlohmann::ordered_json goes_on_json(const std::vector<GoesOn>&);
// As they are cut: a pair by side, a piece on the fold whole, where the sides are not alike.
[[nodiscard]] nlohmann::ordered_json cut_out_json(const Computed&);
// In the order they are done; what both sides have in common once.
[[nodiscard]] nlohmann::ordered_json steps_json(const Computed&, Unit);
[[nodiscard]] nlohmann::ordered_json knock_ons_json(const Computed&);
[[nodiscard]] nlohmann::ordered_json finished_json(const std::vector<FinishedRow>&);

}  // namespace sartorum::formats
