// across_cut.h: a piece of a bodice or of trousers cut across and spread, or folded, with the steps by hand; not
// yet trued.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

// At a guide of the piece; + opens, − folds out. Leaves draw, cut and spread (or draw and fold); gives the joined
// paper. `place` says where the line is found.
[[nodiscard]] Outcome<Piece> cut_across(Applied&, const Piece&, const Guide&, Length amount, StepKind draw,
                                        Length place);

}  // namespace sartorum
