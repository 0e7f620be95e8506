// places.h: where on the pieces an adjustment is done, so that it can be shown and taken hold of there.
//
// Of a part as it lies now; pieces without the line asked for have no place. The first place of all is the one
// that stands for the rest.
#pragma once
#include <vector>

#include "core/pattern/garment.h"

namespace sartorum {

struct Place {
    PieceRole piece{};
    Point at;
};
using Places = std::vector<Place>;

// Front and back.
[[nodiscard]] Places at_neck_points(const Garment&);
[[nodiscard]] Places at_shoulder_tips(const Garment&);
[[nodiscard]] Places in_the_necklines(const Garment&);
[[nodiscard]] Places across_armholes(const Garment&);  // in the middle, half-way down the armhole
[[nodiscard]] Places at_underarms(const Garment&);
[[nodiscard]] Places on_length_lines(const Garment&);  // the printed line, in its middle
[[nodiscard]] Places at_side_waists(const Garment&);
[[nodiscard]] Places at_side_hips(const Garment&);  // the hip line's outer end, else the hem's
[[nodiscard]] Places on_hems(const Garment&);
// The front.
[[nodiscard]] Places at_bust_point(const Garment&);
[[nodiscard]] Places at_bust_on_centre(const Garment&);
[[nodiscard]] Places at_bust_dart(const Garment&);  // the tip of the dart in side or armhole
[[nodiscard]] Places in_front_neckline(const Garment&);
[[nodiscard]] Places in_front_armhole(const Garment&);
[[nodiscard]] Places across_front_armhole(const Garment&);
// The back.
[[nodiscard]] Places high_on_centre_back(const Garment&);
[[nodiscard]] Places low_on_centre_back(const Garment&);
[[nodiscard]] Places across_back_armhole(const Garment&);
[[nodiscard]] Places in_back_armhole(const Garment&);
// The sleeve.
[[nodiscard]] Places at_cap_top(const Garment&);
[[nodiscard]] Places in_the_cap(const Garment&);
[[nodiscard]] Places on_bicep_line(const Garment&);
[[nodiscard]] Places above_elbow(const Garment&);
[[nodiscard]] Places below_elbow(const Garment&);
[[nodiscard]] Places on_underarm_seam(const Garment&);
[[nodiscard]] Places on_sleeve_hem(const Garment&);

}  // namespace sartorum
