// shaped_band.h: a waistband that is no straight strip, drawn anew from the edges it stands on.
//
// Sewn edge   their line, with what is folded in them shut and a bow drawn over each; where two faces meet it runs
// on
//             without a corner
// Upper edge  the parallel of it at the band's width, as a facing's outer edge (facing.h); the ends square to it
// Keeps       its place: the end at the first face, the way it lies, grain, allowances, what it has past the
// centre;
//             its notches stay where the faces meet, or as far along as they were
#pragma once
#include <vector>

#include "core/pattern/piece.h"

namespace sartorum {

// An edge it stands on, from its centre to the side, as it was and as it is now.
struct StandsOn {
    const Piece* was;
    const Piece* now;
    EdgeRole role = EdgeRole::Waist;
};

// How far such a band may stray from one drawn by these rules and still be one: nobody sews less.
inline constexpr Length band_strays_most = Length::mm(3);

// Of one face, or of two from centre to centre.
[[nodiscard]] Outcome<Piece> shaped_band_drawn(const Piece& band, EdgeRole sewn, const std::vector<StandsOn>&);
// Whether the band as it is was drawn so from those edges as they were.
[[nodiscard]] bool is_shaped_from(const Piece& band, EdgeRole sewn, const std::vector<StandsOn>&);

}  // namespace sartorum
