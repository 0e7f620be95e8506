// part_rules.h: what each kind of part is on paper: its edges in travel, its lines, its levels.
#pragma once
#include <span>

#include "core/pattern/piece.h"

namespace sartorum {

// A run of one role, parted by darts or not; it may be one of two: at the lower end of a part, and of a gore.
struct EdgeRun {
    EdgeRole role;
    std::optional<EdgeRole> or_else{};
};

struct PartRules {
    PartKind kind;
    std::string_view key;
    // An edge that only this kind has; the kind without one is what is left.
    std::optional<EdgeRole> told_by;
    std::span<const EdgeRun> runs;      // of front and back, in travel, the centre last
    std::span<const GuideKind> guides;  // that front and back must have
    std::span<const Level> levels;      // from the top; the hem only where the part ends in one
    GuideKind fitted_to;                // below this line it hangs free
};

[[nodiscard]] const PartRules& rules(PartKind);
// The kind a front or back without a label is of; a sleeve belongs to the upper part; none for other pieces.
[[nodiscard]] std::optional<PartKind> part_told(const Piece&);
// A skirt hangs from the waist; from a yoke where there is one.
void hang_from_yoke(std::vector<Piece>&);
// Front or back: one of the two pieces that go round the body.
[[nodiscard]] bool goes_round(const Piece&);
// The edge it ends in below: its waist or its hem.
[[nodiscard]] EdgeRole bottom_role(const Piece&);
// Its upper edge is of that role: a skirt and a yoke hang from their waist edge.
[[nodiscard]] bool begins_with(const Piece&, EdgeRole);
// The levels a front or back lies at.
[[nodiscard]] bool has_level(const Piece&, Level);

}  // namespace sartorum
