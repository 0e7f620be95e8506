// adjustment_places.h: where on a piece an adjustment is done, so that it can be shown and taken hold of there.
// None where the piece has not got the line it lies on. Which pieces those are says what the adjustment acts on.
#pragma once
#include <optional>

#include "core/pattern/piece.h"

namespace sartorum {

using Spot = std::optional<Point>;

// Front and back.
[[nodiscard]] Spot at_neck_point(const Piece&);
[[nodiscard]] Spot at_shoulder_tip(const Piece&);
[[nodiscard]] Spot in_the_neckline(const Piece&);
[[nodiscard]] Spot in_the_armhole(const Piece&);
[[nodiscard]] Spot low_in_armhole(const Piece&);
[[nodiscard]] Spot on_across_line(const Piece&);  // in its middle, half-way down the armhole
[[nodiscard]] Spot at_across_end(const Piece&);
[[nodiscard]] Spot at_underarm(const Piece&);
[[nodiscard]] Spot on_length_line(const Piece&);  // the printed line, in its middle
[[nodiscard]] Spot at_side_waist(const Piece&);
[[nodiscard]] Spot at_waist_dart(const Piece&);         // the tip of the first in the waist
[[nodiscard]] Spot at_top_of_waist_dart(const Piece&);  // else in the middle of the waist
[[nodiscard]] Spot at_side_high_hip(const Piece&);      // half-way from the waist to the hip line
[[nodiscard]] Spot at_side_hip(const Piece&);           // the hip line's outer end, else the lower edge's
[[nodiscard]] Spot high_on_centre(const Piece&);
[[nodiscard]] Spot low_on_centre(const Piece&);
[[nodiscard]] Spot at_bust_point(const Piece&);
[[nodiscard]] Spot at_bust_on_centre(const Piece&);
[[nodiscard]] Spot at_bust_dart(const Piece&);  // the tip of the dart that points at the bust
[[nodiscard]] Spot on_the_hem(const Piece&);    // of a sleeve too
// Trousers.
[[nodiscard]] Spot under_the_hip(const Piece&);        // on the crease, between hip and inner leg point
[[nodiscard]] Spot on_centre_above_hip(const Piece&);  // where a wedge opens
[[nodiscard]] Spot at_inner_leg_point(const Piece&);
[[nodiscard]] Spot at_thigh(const Piece&);  // on the inner leg, thigh_below its point
[[nodiscard]] Spot at_knee(const Piece&);   // the knee line's outer end
[[nodiscard]] Spot at_calf(const Piece&);   // on the side seam, calf_below the knee line
[[nodiscard]] Spot above_knee(const Piece&);
[[nodiscard]] Spot at_side_hem(const Piece&);
// The sleeve.
[[nodiscard]] Spot at_cap_top(const Piece&);
[[nodiscard]] Spot in_the_cap(const Piece&);
[[nodiscard]] Spot on_bicep_line(const Piece&);
[[nodiscard]] Spot above_elbow(const Piece&);
[[nodiscard]] Spot below_elbow(const Piece&);
[[nodiscard]] Spot on_underarm_seam(const Piece&);

}  // namespace sartorum
