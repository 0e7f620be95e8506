// panels.h: cutting a piece along a line, straight or bent, and joining the panels again.
//
// Each panel is a piece in its own right: its part of the outline, closed by a Cut edge, and the marks that lie on
// it. Panels move as rigid bodies (moved, piece.h). Joined again, the runs stand in their old order: where they no
// longer meet there is a straight joint, to be trued.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

struct CutPiece {
    Piece first;   // left of the line's direction: above, for a line drawn towards +x
    Piece second;  // right of it
    Point enters;  // the two places where the line meets the outline, in its direction
    Point leaves;
};

// The line through `at` in `direction` must meet the outline in exactly two places, on two edges.
[[nodiscard]] Outcome<CutPiece> cut_through(const Piece&, Point at, Point direction);
// The same along any line from one place of the outline to another, each within mark_within of it: bent, or ending
// where a hinge stays.
[[nodiscard]] Outcome<CutPiece> cut_along(const Piece&, const Polygon& way);
[[nodiscard]] Piece rejoined(const Piece& first, const Piece& second);

struct SpreadPiece {
    CutPiece cut;   // before moving
    Piece second;   // the second panel, moved
    Piece whole;    // joined again, not trued
    Polygon strip;  // the gap, or the overlap
};
// Moves the second panel by `by`: away opens a gap, onto the first overlaps.
[[nodiscard]] Outcome<SpreadPiece> spread_across(const Piece&, Point at, Point direction, Point by);

// The second panel of a cut turned and shifted: what a hand does when it swings or slides a part of the paper.
[[nodiscard]] Outcome<SpreadPiece> panel_moved(const Piece&, const Polygon& way, const Motion&);

struct FoldedPiece {
    CutPiece cut;  // at the upper of the two lines
    Piece whole;   // the band between the lines gone, joined again, not trued
    Polygon band;
};
// Folds out the band between the line and its parallel `by` further into the second panel.
[[nodiscard]] Outcome<FoldedPiece> folded_out(const Piece&, Point at, Point direction, Point by);

}  // namespace sartorum
