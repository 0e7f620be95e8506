// bodice.h: a bodice drawn anew: its shoulder, neckline and armhole, its lengths; its upper or lower part turned
// about a hinge, and its centre straight again. Its side seam: side.h; its lower edge: lower_edge.h.
//
// Each gives the trued piece; neighbours run to the new corners and keep the angle they had to the edge that
// turned, so that what is square to the shoulder stays square to it. Notches ride on their edges.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

[[nodiscard]] Point neck_point(const Piece&);
[[nodiscard]] Point shoulder_tip(const Piece&);
[[nodiscard]] Point underarm(const Piece&);
// The shoulder as it is sewn: neck point to tip, darts closed.
[[nodiscard]] Curve shoulder_run(const Piece&);
// Unit, away from the paper, square to the sewn shoulder's chord.
[[nodiscard]] Point off_shoulder(const Piece&);

// How far down the armhole is redrawn from a moved tip: to where it is straightest, or all of it in one long line.
enum class ArmholeReach { Across, Underarm };
// A shift of what lies outside the shoulder darts, told in the frame of the piece with them closed.
[[nodiscard]] Point with_darts_closed(const Piece&, Point shift);
// Neck point and tip shifted, in the frame of the piece with its shoulder dart closed. Dart angles stay exactly.
[[nodiscard]] Piece shoulder_redrawn(const Piece&, Point neck_shift, Point tip_shift,
                                     ArmholeReach = ArmholeReach::Across);

// The seam drawn from the neck point through a mark that far outside (+) or inside the tip, square to the seam.
// The armhole keeps its curve: it ends where it meets the seam, or runs on to it as it was going; within the
// corner's reach it is square to the seam as before.
[[nodiscard]] Piece shoulder_tipped(const Piece&, Length amount);
// The corner with the tip moved, cut off where the armhole is straightest (`out`): its part of the armhole keeps
// its curve, below it the armhole runs into the old underarm in one long line. The seam is drawn straight to
// `tip`.
[[nodiscard]] Piece shoulder_corner_moved(const Piece&, Point out, const Geom::Affine& how, Point tip);

// Everything below the across line shifted; the armhole trued from tip to underarm.
[[nodiscard]] Piece lowered_at_across(const Piece&, Point by);
// Everything below the lengthen/shorten line shifted; the side seam trued below its dart, darts that cross the
// line drawn longer or shorter.
[[nodiscard]] Piece lowered_at_line(const Piece&, Point by);
// Dart legs made equal lean the side seam: the armhole keeps the corner to it that it had.
void keep_underarm_corner(Piece&, const Piece& was);

// An edge given a new line: notches on it keep their place along it.
void redraw_edge(Piece&, std::size_t edge, Curve);
// Guides that end on the outline end there again.
void settle_bodice_guides(Piece&);
// The tip on the middle line of the mouth at its own distance, so that both legs are equal.
void settle_tip(Dart&);

// All above (below) a cut from the centre to a hinge, turned about the hinge; armhole (side seam) and centre
// smoothed over the cut.
[[nodiscard]] Piece upper_turned(const Piece&, Point centre_cut, Point hinge, double radians);
[[nodiscard]] Piece lower_turned(const Piece&, Point centre_upper, Point centre_lower, Point hinge,
                                 double radians);
// The centre drawn straight and upright again along x = 0 from lower edge to neck, whose ends run to it. Gives
// what was added (+) or taken (−) at the neck and at the lower edge.
struct StraightenedCentre {
    Piece piece;
    Length at_neck;
    Length at_bottom;
};
[[nodiscard]] StraightenedCentre centre_straightened(const Piece&);

}  // namespace sartorum
