// cut_out.h: the altered pieces as they are cut: what is the same on both sides once, what is not for each side.
//
// A piece on the fold is then drawn out whole, its right and its left half; a pair becomes two singles, one turned
// over, each from the right side of the cloth (core/check/face_up.h).
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

struct PieceToCut {
    Piece piece;
    std::optional<Side> side{};  // none: both sides alike, or both halves in one
    bool whole = false;          // was half of it on the fold
};

// Two sides of a piece closer than this everywhere are cut as one. Nobody draws less.
inline constexpr Length cut_alike = Length::mm(0.1);

// In the order of the pieces; a front of two panels parted (princess.h).
[[nodiscard]] std::vector<PieceToCut> cut_out(const Computed&);
// The same pieces as they are in another state of the garment: as traced, to practise on, or as bought.
[[nodiscard]] std::vector<PieceToCut> cut_out_of(const Computed&, const Garment& as);
// The right halves, each with the left's line on it where that is another: to be cut by the outer and trimmed.
// None where the sides are alike, or so far apart that nobody could follow two lines.
struct TwoLines {
    Piece right;
    std::optional<Piece> left{};
};
[[nodiscard]] std::optional<std::vector<TwoLines>> cut_with_two_lines(const Computed&);
inline constexpr Length two_lines_most = Length::mm(15);  // our own choice

// Some piece is cut for each side.
[[nodiscard]] bool cut_by_side(const Computed&);
// Before anything is altered those pieces are traced for each side: a step for each.
[[nodiscard]] std::vector<Step> traced_by_side(const Computed&);

}  // namespace sartorum
