// seam_run.h: the two sides of a seam as they are sewn, and one rolled along the other.
//
// Both sides are travelled from the same end, darts closed, pieces of one side laid end to end. Rolled by `along`,
// the far side lies with the same length of stitching line used up on both, edge against edge, on the other side
// of the line; nothing is stretched. What is left over shows at the notches and at the end.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

struct RunNotch {
    Length along;  // from the start of the seam
    int count = 1;
};

struct LaidPiece {
    std::string piece;
    Geom::Affine laid;  // from the piece's own frame
};

struct SeamRun {
    Curve line;
    std::vector<RunNotch> notches;  // between the ends, in order
    std::vector<LaidPiece> pieces;
    bool paper_on_right = true;  // of travel
};

// With the panels of a front of two (princess.h) beside it, and the seam between them, "princess", as the last.
[[nodiscard]] Garment with_panels(Garment);

// Seams are walked from their lower or inner end as a hand does: armhole and cap from the underarm up. True when
// the outline runs the other way.
[[nodiscard]] bool walked_backwards(const Piece&, EdgeRole);
// The notches between the ends of a role's sewn edges, from where the seam starts, in order.
[[nodiscard]] std::vector<RunNotch> run_notches(const Piece&, EdgeRole);
[[nodiscard]] SeamRun seam_run(const Garment&, const std::vector<SeamSide>&);
// Takes b's laid pieces to where they lie when both seams are used up to `along`, at most the shorter's length.
[[nodiscard]] Geom::Affine rolled(const SeamRun& a, const SeamRun& b, Length along);

// A stretch of a seam from one pair of notches to the next, and how much longer the far side is there.
struct Stretch {
    Length a_from;
    Length a_to;
    Length b_from;
    Length b_to;
    [[nodiscard]] Length difference() const { return (b_to - b_from) - (a_to - a_from); }
};
// Parted at the notches that both sides have; a notch without a partner is passed over.
[[nodiscard]] std::vector<Stretch> stretches(const SeamRun& a, const SeamRun& b);

}  // namespace sartorum
