// sleeve.h: redrawing a sleeve: its cap, its width, its length, its notches.
//
// Frame as piece.h: top notch near x = 0, front towards +x. Both ends of every cap half keep the angle they had to
// what they meet; side notches keep their distance from the underarm.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

[[nodiscard]] Point top_notch(const Piece& sleeve);
// Back underarm to front underarm over the top.
[[nodiscard]] Curve cap_run(const Piece& sleeve);

// Across the cap at a level, from the front edge to the back.
[[nodiscard]] Polygon across_cap(const Piece& sleeve, double level);
// The top shifted, the underarms staying.
[[nodiscard]] Piece cap_moved(const Piece& sleeve, Point by);
// The top notch re-marked so that the front half of the cap is this long; the cap's line stays, or its back half
// is drawn as long as is wanted.
[[nodiscard]] Piece top_notch_at(const Piece& sleeve, Length front_half, std::optional<Length> back_wanted = {});
// Side notches as far from the underarm as the armhole's.
void match_cap_notches(Piece& sleeve, const Piece& front, const Piece& back);

// Spread at the bicep line, hinged at the top, at the hem under it and at both underarms: four rigid panels.
struct BicepSpread {
    Piece piece;  // trued
    Length cap_lower;
    Geom::Affine cap_front;  // how each panel moved
    Geom::Affine cap_back;
    Geom::Affine low_front;
    Geom::Affine low_back;
    Point hem;  // the hinge there
};
[[nodiscard]] BicepSpread bicep_spread(const Piece& sleeve, Length by);
// The narrowest and the widest that turning about those hinges makes it: as changes of its width. Short of the
// hem's and the top's own distance from the underarms, and while there still is a cap.
struct BicepRoom {
    Length less;
    Length more;
};
[[nodiscard]] BicepRoom bicep_room(const Piece& sleeve);
// Split from top to hem, each half moved out by half.
[[nodiscard]] Piece split_through(const Piece& sleeve, Length by);

// Everything below the level shifted down (+); underarm seams straight again.
[[nodiscard]] Piece sleeve_longer(const Piece& sleeve, double level, Length by);
// The width changed at the hem, or at a level between underarm and hem, nothing at the ends.
[[nodiscard]] Piece hem_wider(const Piece& sleeve, Length by);
[[nodiscard]] Piece wider_at(const Piece& sleeve, double level, Length by);

}  // namespace sartorum
