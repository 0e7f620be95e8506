// gore.h: a skirt whose front or back is of several pieces: gores, side by side from the centre to the side.
//
// Each has two upright seams. The one away from the centre is its outer flank: the side seam on the last one,
// `outer` on those before; the one nearer the centre its inner flank. The first one's centre is none: it stays.
// What is done to the side seam of a skirt is done to a flank of a gore by showing it as a plain piece of a skirt
// whose side seam that flank is.
#pragma once
#include "core/pattern/garment.h"

namespace sartorum {

enum class Flank { Outer, Inner };

// The pieces of one face, from the centre to the side; a plain part has one.
[[nodiscard]] std::vector<std::size_t> face_of(const std::vector<Piece>&, PieceRole);
[[nodiscard]] bool is_gore(const Piece&);
[[nodiscard]] bool has_gores(const std::vector<Piece>&);
// Outer, or side where that is the outer flank; inner, or none.
[[nodiscard]] std::optional<EdgeRole> flank_role(const Piece&, Flank);
// The one at the centre first, then those between, the one at the side last.
[[nodiscard]] bool in_row(const std::vector<Piece>&, PieceRole);

// With that flank as its side seam and the other as its centre; mirrored where it is the inner one. The same piece
// where it is no gore.
[[nodiscard]] Piece as_plain(const Piece&, Flank);
// Back again: `was` says what its edges were.
[[nodiscard]] Piece as_gore(Piece plain, Flank, const Piece& was);

// One flank of one of the pieces.
struct FlankAt {
    std::size_t piece = 0;
    Flank flank{};
};
// Its seam away from the centre, wherever it ends: the side seam, or the outer flank of a gore.
[[nodiscard]] const Curve& outer_line(const Piece&);
// How much higher the upper end of the centre lies than that of the side seam, along one face.
[[nodiscard]] Length centre_above_side(const std::vector<Piece>&, PieceRole);

// The flanks of one face that can be moved, from the centre to the side.
[[nodiscard]] std::vector<FlankAt> flanks_of(const std::vector<Piece>&, PieceRole);

// Two flanks that are sewn together, and how much longer b is meant to be.
struct UprightSeam {
    FlankAt a;
    FlankAt b;
    Length ease;
};
// The front's from the centre to the side, the side seam, the back's from the side to the centre.
[[nodiscard]] std::vector<UprightSeam> upright_seams(const Garment& part);

}  // namespace sartorum
