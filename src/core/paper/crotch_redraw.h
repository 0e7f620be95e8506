// crotch_redraw.h: the crotch seam of a leg that is sewn already, stitched lower: nothing can be added, so the new
// line runs inside the old seam everywhere.
//
// From the place `down` the inner leg, smoothly into the old seam at the hip line, or under the end of the opening
// where that is lower; it goes over as a monotone cubic, in the old directions at both ends.
#pragma once
#include "core/paper/shifted.h"
#include "core/units/refusal.h"

namespace sartorum {

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
