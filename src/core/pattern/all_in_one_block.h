// all_in_one_block.h: a bodice and trousers drawn to be sewn together at the waist.
//
// The trousers' waist is drawn to the bodice's, front to front and back to back; where both have a dart, the
// trousers' stands beneath the bodice's. Common practice.
#pragma once
#include "core/pattern/bodice_block.h"
#include "core/pattern/trousers_block.h"

namespace sartorum {

struct AllInOneFlat {
    BodiceFlat bodice;      // which ends at its waist; of the size and the name that count
    TrousersFlat trousers;  // their waist follows from the bodice
};

[[nodiscard]] Outcome<SizedPieces> draw_all_in_one(const AllInOneFlat&);
// The bodice's, the trousers' (called "trousers-side", "trousers-inner-leg") and the join, called "waist".
[[nodiscard]] std::vector<Seam> all_in_one_seams(std::vector<Seam> bodice, Length back_stretch);

}  // namespace sartorum
