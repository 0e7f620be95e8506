// garment.h: the pieces of a garment and what is sewn to what; one flat list, seen whole or part by part.
//
// A join is a seam whose sides lie in two parts. A follower is side b of a seam with `follow`: a piece of no part,
// which takes its length from the edge it is sewn to. Both are derived, never stored.
#pragma once
#include "core/pattern/pattern.h"

namespace sartorum {

struct Garment {
    std::vector<Piece> pieces;
    std::vector<Seam> seams;
};

// The kinds of part among the pieces, from the top down.
[[nodiscard]] std::vector<PartKind> parts_of(const std::vector<Piece>&);
// The pieces of one part and the seams that lie in it.
[[nodiscard]] Garment part_view(const Garment&, PartKind);
// The pieces that are of no part.
[[nodiscard]] std::vector<Piece> without_part(const std::vector<Piece>&);

[[nodiscard]] bool is_join(const Seam&, const std::vector<Piece>&);
// Seams with `follow` whose side b is one piece of no part.
[[nodiscard]] std::vector<Seam> followers(const std::vector<Seam>&, const std::vector<Piece>&);
// Sum of the lengths of one side's edges that are among these pieces, darts closed.
[[nodiscard]] Length side_length(const std::vector<Piece>&, const std::vector<SeamSide>&);

// How far a finished waistband stands above its seam: a band cut once is folded along its length.
[[nodiscard]] Length band_above_seam(const std::vector<Piece>&);

// Of a part's view: the kind it is of, and what that kind comes to on its pieces (part_rules.h).
[[nodiscard]] PartKind kind_of(const Garment& part);
[[nodiscard]] bool has_level(const Garment& part, Level);
[[nodiscard]] bool begins_with(const Garment& part, EdgeRole);
[[nodiscard]] EdgeRole bottom_role(const Garment& part);
// One of its pieces of that role has such an edge.
[[nodiscard]] bool has_edge(const Garment& part, PieceRole, EdgeRole);

struct FrontAndBack {
    const Piece& front;
    const Piece& back;
};
// Where it is made of these and lies at that level. They are the view's own.
[[nodiscard]] std::optional<FrontAndBack> front_and_back_at(const Garment& part, Level);

// Only for an adjustment, whose row says that it acts on them (core/alter/kit/adjustment.h).
[[nodiscard]] const Piece& front_of(const Garment&);
[[nodiscard]] const Piece& back_of(const Garment&);
[[nodiscard]] const Piece& sleeve_of(const Garment&);

}  // namespace sartorum
