// pattern.h: a pattern as bought: every size of every piece on one skeleton, and what is sewn to what.
//
// One skeleton: each size has the same pieces, and each piece the same edges (roles, segments) and marks in the
// same order, so that two sizes can be blended point by point.
#pragma once
#include <string>
#include <vector>

#include "core/pattern/piece.h"

namespace sartorum {

struct SizedPieces {
    std::string size;
    std::vector<Piece> pieces;
};

struct SeamSide {
    std::string piece;
    EdgeRole role = EdgeRole::Side;
    friend bool operator==(const SeamSide&, const SeamSide&) = default;
};

// How side b, a piece of no part, goes with the edge it is sewn to: a straight band is made longer or shorter, a
// facing is drawn anew from it, a lining from the whole piece, a shaped band from the edges it stands on.
enum class Follow { No, Length, Shape, Whole, Above };
[[nodiscard]] std::string_view key(Follow);
[[nodiscard]] std::optional<Follow> follow_of(std::string_view);

struct Seam {
    std::string id;  // "side", "waist"
    std::vector<SeamSide> a;
    std::vector<SeamSide> b;
    Length ease;  // how much longer b is meant to be, beyond its fullness
    Follow follow = Follow::No;
    Length gathered{};    // how much longer still b was made on purpose, to be gathered in
    double fullness = 1;  // b is this many times as long as a, to be gathered, pleated or eased in
};

struct Pattern {
    std::string name;
    std::string maker;
    std::vector<SizedPieces> sizes;
    std::vector<Seam> seams;

    [[nodiscard]] const SizedPieces* find(const std::string& size) const;
};

[[nodiscard]] const Piece* find_piece(const std::vector<Piece>&, PieceRole);
[[nodiscard]] Piece* find_piece(std::vector<Piece>&, PieceRole);
[[nodiscard]] const Piece* find_piece(const std::vector<Piece>&, const std::string& id);

inline constexpr Length seam_ease_most = Length::mm(500);
inline constexpr double fullness_least = 0.5;
inline constexpr double fullness_most = 5;

// A front and a back in each part, at most one part of a kind, marks in place, each piece with an id of its own,
// sizes on one skeleton, seams naming pieces that exist.
[[nodiscard]] Outcome<Pattern> check_pattern(Pattern);

}  // namespace sartorum
