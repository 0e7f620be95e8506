// make_up_json.h: what a plan makes otherwise than its pattern, as JSON: docs/cli.md, "Work".
#pragma once
#include <nlohmann/json.hpp>

#include "core/alter/kit/make_up.h"

namespace sartorum::formats {

// {"left_out": ["band"], "facings": [{"piece": "front", "edge": "neck", "width_mm": 60}],
//  "brought": [{"pattern": "…", "size": "14", "drawing": "<svg …>", "ratio": 2, "to": [{"piece": "sleeve", "edge":
//  "hem"}]}], "opening": {"centre": "front", "length_mm": "all", "overlap_mm": 15, "button_gap_mm": 80}}
[[nodiscard]] Outcome<MakeUp> read_make_up(const nlohmann::ordered_json&);
[[nodiscard]] nlohmann::ordered_json make_up_json(const MakeUp&);

// The drawing of a piece brought in, with that edge of it sewn to these of one role.
[[nodiscard]] BroughtPiece brought_piece(const Piece&, std::size_t edge, std::vector<SeamSide> to, double ratio,
                                         std::string pattern, std::string size);
// The pieces of those brought in, from their drawings; says of the first that cannot be read why.
Outcome<bool> read_drawings(MakeUp&);

}  // namespace sartorum::formats
