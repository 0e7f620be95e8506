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
    std::span<const PieceRole> made_of;  // the pieces without which there is no such part; a sleeve may come to it
    std::span<const EdgeRun> runs;       // of each of these, in travel, the centre last
    std::span<const GuideKind> guides;   // that each of these must have
    std::span<const Level> levels;       // from the top; the hem only where the part ends in one
    GuideKind fitted_to;                 // below this line it hangs free
};

[[nodiscard]] const PartRules& rules(PartKind);
// The kind a front or back without a label is of; a sleeve belongs to the upper part; none for other pieces.
[[nodiscard]] std::optional<PartKind> part_told(const Piece&);
// A skirt hangs from the waist; from a yoke where there is one.
void hang_from_yoke(std::vector<Piece>&);
// One of the pieces that a part is made of: they go round the body.
[[nodiscard]] bool goes_round(const Piece&);
// The edge it ends in below: its waist or its hem.
[[nodiscard]] EdgeRole bottom_role(const Piece&);
// Its upper edge is of that role: a skirt and a yoke hang from their waist edge.
[[nodiscard]] bool begins_with(const Piece&, EdgeRole);
// It is one of the pieces a part is made of, and lies at that level.
[[nodiscard]] bool has_level(const Piece&, Level);

}  // namespace sartorum
