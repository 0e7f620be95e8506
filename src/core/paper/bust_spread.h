// bust_spread.h: the classic bust: a front cut from its lower edge up to the bust point and on to the armhole,
// and from the side to the bust point, swung until the upright cut is parallel and `a` wide.
//
// The centre panel lies; the upper side panel turns about the armhole hinge A by
//     psi = atan2(p, q) + asin((a − p)/√(p² + q²)),  p = A.x − BP.x, q = A.y − BP.y (y up);
// the lower side panel is carried by (a, −gain), gain = p·sin psi − q·(1 − cos psi), which the centre drops by to
// be level again. The dart opens by psi at the bust point; where there is none, one opens. Rigid panels: lengths
// of armhole and closed side seam stay.
#pragma once
#include "core/paper/step.h"
#include "core/units/refusal.h"

namespace sartorum {

struct BustSpread {
    Piece piece;  // trued, the dart redrawn; the lower edge `a` longer, level
    Point hinge;
    Point bust_point;  // before
    Point from_waist;  // where the upright cut starts
    Point from_side;   // where the level cut starts
    double radians = 0;
    Length gain;  // of centre front
    Length dart_was;
    Length dart_is;
    bool new_dart = false;
};

// Where the lower edge's gap goes: into the edge, or into a dart under the bust point.
enum class WaistGap { Edge, Dart };

// `hinge_at`: of the sewn armhole, from the underarm. Needs a bust point. A smaller bust (a < 0) needs a dart that
// is at least as large; without one it is refused. `before`: the dart's tip ends this far from the bust point.
[[nodiscard]] Outcome<BustSpread> bust_spread(const Piece& front, Length a, double hinge_at, Length before,
                                              WaistGap = WaistGap::Edge);

// The largest a < 0 (least spread) the dart there is allows.
[[nodiscard]] Length least_spread(const Piece& front, double hinge_at);

}  // namespace sartorum
