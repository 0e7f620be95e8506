// follower_drawing.h: a piece that goes with what it is sewn to: a straight band made longer or shorter, a facing
// drawn anew from an edge, a lining from the whole piece.
//
// Band     cut square to its seam at its first notch inside the seam (the side notch), or at the middle of the
// seam where there is none,
//          and spread or overlapped by what the edge gained or lost
//          Made much shorter, nearer the fold
// Shaped   drawn anew from the edges it stands on (core/paper/shaped_band.h), where it was drawn from them; one of
//          another shape keeps that and is cut as a straight one is
// Limits   10 mm must stay beyond the cut, and before it
#pragma once
#include "core/paper/shaped_band.h"
#include "core/paper/step.h"

namespace sartorum {

// Less than this is no change.
inline constexpr Length least_followed = Length::mm(0.05);
inline constexpr Length least_redrawn = Length::mm(0.5);

// Side b's edge longer (shorter) by `change`; leaves the steps.
[[nodiscard]] Outcome<bool> follow_length(std::vector<Step>&, Piece& band, EdgeRole, Length change);

// A lining: the piece it lines, less some of its hem, is drawn anew from that piece as it is now. Refuses one that
// was cut otherwise. Leaves a step, and says so, as below.
[[nodiscard]] Outcome<bool> follow_whole(std::vector<Step>&, Piece& lining, const Piece& was, const Piece& now);

// Drawn anew from the edge of the piece it lies under, as wide as it was. Leaves a step, and says so, where a line
// moved by more than 0.5 mm.
[[nodiscard]] Outcome<bool> follow_shape(std::vector<Step>&, Piece& facing, EdgeRole, const Piece& on,
                                         EdgeRole edge);

// A shaped band. Leaves its steps, and says so, as above.
[[nodiscard]] Outcome<bool> follow_above(std::vector<Step>&, Piece& band, EdgeRole, const std::vector<StandsOn>&);

}  // namespace sartorum
