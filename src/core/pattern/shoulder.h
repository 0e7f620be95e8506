// shoulder.h: the shoulder as sewn: its slope and where its seam lies.
//
// The edge of either piece is not the slope. Laid together with their centre lines parallel, front and back fold
// over the top of the shoulder; the fold's angle is the mean of the two seam angles, and half their difference is
// how far the seam lies forward of the fold: L·sin((front − back)/2) at the tip. Angles are of the sewn seam's
// chord (darts closed) below the square to the centre line.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

struct SewnShoulder {
    double front_degrees = 0;
    double back_degrees = 0;
    Length front;  // seam lengths
    Length back;
    [[nodiscard]] double slope_degrees() const { return (front_degrees + back_degrees) / 2; }
    // Of the seam at the tip before the top fold; negative behind it.
    [[nodiscard]] Length forward() const;
};
[[nodiscard]] SewnShoulder sewn_shoulder(const Piece& front, const Piece& back);

// Takes what lies after the shoulder darts to where it lies when they are closed: the armhole as sewn.
[[nodiscard]] Geom::Affine shoulder_darts_closed(const Piece&);
// Takes the back to where it lies sewn to the front at the shoulder, both flat.
[[nodiscard]] Geom::Affine back_joined(const Piece& front, const Piece& back);

}  // namespace sartorum
