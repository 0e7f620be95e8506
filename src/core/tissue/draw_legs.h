// draw_legs.h: the legs a trousers' tissue comes to.
#pragma once
#include "core/pattern/pattern.h"
#include "core/tissue/assumed_lines.h"

namespace sartorum {

// Drawn by the block (trousers_block.h), its inner leg points and centres put right until thighs and crotch seams
// are as they were measured; refusals in the block's own terms (refused_lines.h).
// Of an all-in-one without a band, the darts beneath the bodice's.
struct DartsAbove {
    Length front{};  // along the closed waist from the centre; nothing where the bodice has none
    Length back{};
};
[[nodiscard]] Outcome<SizedPieces> draw_legs(const Tissue&, const TissueSize&, const TissueLengths&,
                                             const DartsAbove& = {});
// How much shorter the back's inner leg was measured.
[[nodiscard]] Length inner_stretch(const TissueLengths&);

}  // namespace sartorum
