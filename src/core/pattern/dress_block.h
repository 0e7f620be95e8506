// dress_block.h: a bodice and a skirt drawn to be sewn together at the waist.
//
// The skirt's waist is drawn to the bodice's, front to front and back to back, times its fullness; where both have
// a dart, the skirt's stands beneath the bodice's. Gathered, the skirt is as wide at the hip as it is at the
// waist. Common practice.
#pragma once
#include "core/pattern/bodice_block.h"
#include "core/pattern/skirt_block.h"

namespace sartorum {

struct DressFlat {
    BodiceFlat bodice;  // which ends at its waist; of the size and the name that count
    SkirtFlat skirt;    // its waist, and where it is gathered its hip, follow from the bodice
    double fullness = 1;
};

[[nodiscard]] Outcome<SizedPieces> draw_dress(const DressFlat&);
// Where the first dart of this piece's waist lies, closed, from the centre; nothing where there is none.
[[nodiscard]] Length first_dart_at_waist(const Piece&);
// Pieces of both in one flat list, those below called "skirt-front" and so on.
[[nodiscard]] SizedPieces sewn_together(SizedPieces bodice, const SizedPieces& below,
                                        const std::string& called = "skirt-");
// The seams of both, those below called so too, and the join, called "waist": `ease` more of what is below is
// eased in.
[[nodiscard]] std::vector<Seam> joined_seams(std::vector<Seam> bodice, const std::vector<Seam>& below,
                                             const std::string& called, double fullness = 1, Length ease = {});
// The bodice's, the skirt's (called "skirt-side") and the join, called "waist": `ease` more of the skirt is eased
// in.
[[nodiscard]] std::vector<Seam> dress_seams(std::vector<Seam> bodice, double fullness = 1, Length ease = {});

}  // namespace sartorum
