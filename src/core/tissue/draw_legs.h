// draw_legs.h: the legs a trousers' tissue comes to.
#pragma once
#include "core/pattern/pattern.h"
#include "core/tissue/assume.h"

namespace sartorum {

// Drawn by the block (trousers_block.h), its inner leg points and centres put right until thighs and crotch seams
// are as they were measured; refusals in the block's own terms (blame.h).
[[nodiscard]] Outcome<SizedPieces> draw_legs(const Tissue&, const TissueSize&, const TissueLengths&);
// How much shorter the back's inner leg was measured.
[[nodiscard]] Length inner_stretch(const TissueLengths&);

}  // namespace sartorum
