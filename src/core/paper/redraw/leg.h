// leg.h: a trouser piece drawn anew: its side seam, its inner leg with the crotch seam, and the hem between
// them; cut across and its lower part carried; its upper part turned about the side.
#pragma once
#include "core/paper/panels.h"
#include "core/paper/shifted_run.h"

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

// The crotch seam of a leg that is sewn already, stitched lower: nothing can be added, so the new line runs inside
// the old seam everywhere. From the place `down` the inner leg it goes smoothly into the old seam at the hip line,
// or under the end of the opening where that is lower, as a monotone cubic, in the old directions at both ends.
// The inner leg ends `down` below where it did. Refuses what leaves no room for a smooth line.
[[nodiscard]] Outcome<Piece> crotch_lowered(const Piece& leg, Length down);

// How far the new seam lies from the old one, along the old one from the inner leg seam up.
struct SeamApart {
    Length along;
    Length apart;
};
// Every so far, and where they meet; as one measures it on the garment, square to the old seam.
[[nodiscard]] std::vector<SeamApart> seams_apart(const Piece& before, const Piece& after, Length every);

}  // namespace sartorum
