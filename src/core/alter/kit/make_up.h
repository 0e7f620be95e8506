// make_up.h: what a garment is made of, where that is not what its pattern holds: pieces left out, facings made
// from an edge, pieces brought in from another pattern, the opening moved. Done to the traced pieces, before
// anything is adjusted.
//
// Opening   the centre stays the stitching line: what overlaps lies outside it, with the allowance of the edge
// above
//           or below, so that buttons stand on the centre. A centre that opened goes on the fold where it is
//           straight along the grain, else it stays a seam. Common practice.
// Brought   a straight one is made as long as the edge asks, times its ratio; a shaped one stays as it is
#pragma once
#include "core/alter/kit/applied.h"
#include "core/pattern/garment.h"

namespace sartorum {

struct MadeFacing {
    SeamSide from;
    Length width;
    friend bool operator==(const MadeFacing&, const MadeFacing&) = default;
};
// Of the facing and of its seam: "neck-facing-front".
[[nodiscard]] std::string facing_id(const SeamSide& from);
[[nodiscard]] std::optional<SeamSide> facing_made_from(const std::string& id);

struct BroughtPiece {
    std::string pattern;  // its name
    std::string size;
    std::string drawing;       // as it is kept: SVG, docs/pattern-svg.md
    std::vector<SeamSide> to;  // edges of one role
    double ratio = 1;          // as long as these, times this
    Piece piece{};             // read from the drawing; of its edges just the one that is sewn has that role
    friend bool operator==(const BroughtPiece& a, const BroughtPiece& b)
    {
        return a.pattern == b.pattern && a.size == b.size && a.drawing == b.drawing && a.to == b.to &&
               a.ratio == b.ratio;
    }
};
// The same piece with this one of its edges to be sewn to edges of that role.
[[nodiscard]] Piece sewn_by(Piece, std::size_t edge, EdgeRole);

struct MovedOpening {
    PieceRole to = PieceRole::Front;  // or Back
    Length length;                    // from the upper edge down; piece_most: all the way
    Length overlap{};                 // past the centre; none: edge to edge
    Length button_gap{};              // about how far buttons stand apart; none: no buttons
    friend bool operator==(const MovedOpening&, const MovedOpening&) = default;
};
// Half the button and a little more: from the centre to the edge. Common practice.
[[nodiscard]] constexpr Length overlap_for(Length button)
{
    return button / 2.0 + Length::mm(6);
}

struct MakeUp {
    std::vector<std::string> left_out{};  // pieces by their ids; never a front or a back
    std::vector<MadeFacing> facings{};
    std::vector<BroughtPiece> brought{};
    std::optional<MovedOpening> opening{};
    [[nodiscard]] bool empty() const;
    friend bool operator==(const MakeUp&, const MakeUp&) = default;
};
inline constexpr std::size_t most_made_up = 20;  // facings, and pieces brought in

// What was asked for and is not so: about which piece, and why.
struct NotMade {
    std::string piece;
    Refusal why;
};

struct MadeUp {
    Applied applied;
    std::vector<NotMade> not_made{};
};
[[nodiscard]] MadeUp made_up(Applied traced, const MakeUp&);
// Without what makes that piece, or leaves it out; "opening": without the moved opening.
[[nodiscard]] MakeUp taken_out(MakeUp, const std::string& piece);
inline constexpr const char* the_opening = "opening";
// What may be left out: what is no front and no back.
[[nodiscard]] bool may_be_left_out(const Piece&);
// The edges of these pieces a facing can be made from or a piece sewn to, each role of a piece once.
[[nodiscard]] std::vector<SeamSide> edges_to_sew_to(const std::vector<Piece>&);

}  // namespace sartorum
