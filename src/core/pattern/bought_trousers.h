// bought_trousers.h: a pair that was bought, drawn from a few measures taken on it: a usual leg whose crotch seam,
// inside leg, thigh, waist and hip are its own. What lies between them is assumed.
//
// Found    the rise, the height of the back waist and the reach of both inner leg points at which a drafted leg
//          measures so (trousers_block.h), within 0.5 mm
// Refuses  measures that no leg has together, and names the one that does not come out
#pragma once
#include "core/pattern/trousers_block.h"

namespace sartorum {

// On the garment, laid flat, from seam to seam; girths all round.
struct BoughtTrousers {
    std::string name;
    Length waist;         // where it is sewn to its band, or its upper edge
    Length hip;           // at the fullest
    Length crotch_front;  // along the seam, from there to the inner leg seam
    Length crotch_back;
    Length inside_leg;
    Length thigh;   // one leg, thigh_below the crotch
    Length hem;     // one leg
    Length knee{};  // one leg, half-way down; 0: not taken, a usual one for thigh and hem
    Length side_allowance{};
    Length hem_allowance{};
    Length fly{};  // how far the front opens
};

[[nodiscard]] Outcome<TrousersFlat> flat_of(const BoughtTrousers&);

}  // namespace sartorum
