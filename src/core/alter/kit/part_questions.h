// part_questions.h: what several adjustments ask of the part they are to be done on.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

[[nodiscard]] bool sleeved(const Garment& part);
// The armhole is meant to lie at the shoulder's own tip, as the drawing says; else where there is a sleeve. Cut
// in, dropped or raglan it is the designer's, and only what the chart prints says more.
[[nodiscard]] bool shoulder_at_tip(const Garment& part);
[[nodiscard]] bool has_side_dart(const Garment& part);  // in the front
// Neither a dart in the side seam nor a seam over the bust point.
[[nodiscard]] bool without_bust_dart(const Garment& part);
[[nodiscard]] bool has_dart(const Garment& part);
// Of a front that is one piece: a seam over the bust point is not moved like a dart.
[[nodiscard]] bool has_movable_dart(const Garment& part);
[[nodiscard]] bool one_piece_a_face(const Garment& part);  // neither gores nor panels
[[nodiscard]] bool hangs_from_waist(const Garment& part);  // and from no shoulder
// The first way is for a seam at centre back, the second for a fold.
[[nodiscard]] std::size_t way_by_centre_back(const Garment& part);

}  // namespace sartorum
