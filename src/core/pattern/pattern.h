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
};

struct Seam {
    std::string id;  // "side", "waist"
    std::vector<SeamSide> a;
    std::vector<SeamSide> b;
    Length ease;  // how much longer b is meant to be
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

// A front and a back of one kind, marks in place, each piece with an id of its own, sizes on one skeleton, seams
// naming pieces that exist.
[[nodiscard]] Outcome<Pattern> check_pattern(Pattern);

// Girths all round and lengths of one side, on the stitching lines, darts closed. What a kind of garment has not
// is zero.
struct FlatMeasures {
    Length waist;
    Length hip;
    Length hem;           // sweep
    Length waist_to_hip;  // side waist point down to the hip line
    Length side;          // along the side seam
    Length bust{};        // along the bust line, or at the underarm
    Length neck{};        // half: front and back
    Length shoulder{};    // the front's seam
    Length armhole{};     // one: front and back
    Length centre_front{};
    Length centre_back{};
    Length cap{};           // of a sleeve: front and back half
    Length upper_arm{};     // its width at the bicep line
    Length wrist{};         // its hem
    Length sleeve{};        // top notch straight down to the hem
    Length front_length{};  // neck point straight down to the lower edge at the centre
};
[[nodiscard]] FlatMeasures measure_flat(const std::vector<Piece>&);

}  // namespace sartorum
