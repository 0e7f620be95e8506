// measured_edges.h: which edges of a drawn tissue are as they were measured; the rest is still assumed somewhere.
#pragma once
#include "core/pattern/piece.h"
#include "core/tissue/tissue.h"

namespace sartorum {

// All that this edge of that piece is drawn by was measured, or is not there.
[[nodiscard]] bool edge_measured(const Tissue&, const TissueSize&, const Piece&, EdgeRole);

}  // namespace sartorum
