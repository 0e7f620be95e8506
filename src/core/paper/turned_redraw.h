// turned_redraw.h: a bodice piece with its upper or lower part turned about a hinge, and its centre straight
// again.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

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
