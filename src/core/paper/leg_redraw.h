// leg_redraw.h: a trouser piece drawn anew: its side seam, its inner leg with the crotch seam, and the hem between
// them; cut across and its lower part carried; its upper part turned about the side.
#pragma once
#include "core/paper/panels.h"
#include "core/paper/shifted.h"

namespace sartorum {

// Places of the side seam from the waist down, and of the inner leg and on along the crotch seam from the hem up.
// A seam without places stays.
struct LegShift {
    std::vector<ShiftAt> side{};
    std::vector<ShiftAt> inner{};
};
// The hem runs to its new ends and stays as square to the seams as it was; lines across reach from seam to seam.
[[nodiscard]] Piece leg_redrawn(const Piece&, const LegShift&);

[[nodiscard]] Point inner_leg_point(const Piece&);
// How far along the side a level lies, and along inner leg and crotch seam; at the end where it misses.
[[nodiscard]] Length side_to(const Piece&, double level);
[[nodiscard]] Length inner_to(const Piece&, double level);
[[nodiscard]] Length inner_leg_length(const Piece&);  // to the inner leg point, of the same run
[[nodiscard]] Length whole_inner(const Piece&);       // to the waist

// Everything under `lower` carried by `by`, nothing above `upper` changed, smooth between: what is left when the
// piece is cut across at `cut` and trued. Lines drawn upright are carried with what lies under the cut.
[[nodiscard]] Piece lowered_between(const Piece&, double upper, double cut, double lower, Point by);

// The inner leg point moved out (+) or in along the cross grain; the inner leg keeps its length and runs to
// nothing at the knee, the crotch seam at the hip line.
[[nodiscard]] Outcome<Piece> inner_point_moved(const Piece&, Length out);

// The inner leg longer (+) or shorter at the hem, to nothing at the knee; the hem goes with it.
[[nodiscard]] Piece inner_hem_lowered(const Piece&, Length by);

// What lies above a cut from the side to the centre turned about the side, so that the centre opens (+) or
// overlaps.
struct TurnedTop {
    Piece piece;
    Length waist_gained;  // at the centre
};
// The centre keeps its lean: one line from the turned waist into the curve.
[[nodiscard]] TurnedTop top_turned_leaning(const Piece&, const Stroke& cut, double radians);
// The centre is carried on as it runs under the cut; the waist reaches it.
[[nodiscard]] Outcome<TurnedTop> top_turned_upright(const Piece&, const Stroke& cut, double radians);

}  // namespace sartorum
