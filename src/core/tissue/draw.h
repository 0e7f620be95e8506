// draw.h: the pieces a tissue comes to, drawn from what was measured and, where a line still waits, assumed.
//
// Drawn by the blocks (bodice_block.h, skirt_block.h, sleeve_block.h) so that each line, measured on the drawn
// piece (lines_laid.h), is what was measured on the tissue. Of one girth: a strip of each piece at that level.
#pragma once
#include "core/pattern/pattern.h"
#include "core/tissue/assumed_lines.h"

namespace sartorum {

// Refuses what cannot be drawn and names the line by its key.
// A strip's id is the key of its width.
[[nodiscard]] Outcome<SizedPieces> draw_tissue(const Tissue&, const TissueSize&, const SizeChart*);
// The same of one of the kinds it is made of, its refusals in the block's own terms (refused_lines.h).
[[nodiscard]] Outcome<SizedPieces> drawn_by_block(const Tissue&, const TissueSize&, const SizeChart*, TissueKind);
// All sizes of which anything was measured, as one pattern; the one in hand where nothing was. Refuses a tissue
// without a name or a size, and one girth, which is no pattern.
[[nodiscard]] Outcome<Pattern> tissue_pattern(const Tissue&, const SizeChart*);
// The sizes that pattern has.
[[nodiscard]] std::vector<const TissueSize*> sizes_drawn(const Tissue&);
// How many of a size's lines are not measured and not lacking.
[[nodiscard]] int lines_assumed(const Tissue&, const TissueSize&);

}  // namespace sartorum
