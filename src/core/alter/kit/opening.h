// opening.h: a garment opened elsewhere together with the facings of its edges (make_up.h).
#pragma once
#include "core/alter/kit/make_up.h"

namespace sartorum {

// What overlap_for() gave that overlap; nothing where it is edge to edge.
[[nodiscard]] Length button_for(Length overlap);
// In place of an earlier one and its facings: each centre that opens gets a facing so wide, where one is wanted.
[[nodiscard]] MakeUp with_opening(MakeUp, const MovedOpening&, const std::vector<Piece>&,
                                  std::optional<Length> facing);
// As the pattern has it; the facings of the centres go too.
[[nodiscard]] MakeUp without_opening(MakeUp);

}  // namespace sartorum
