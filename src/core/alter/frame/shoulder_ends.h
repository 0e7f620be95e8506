// shoulder_ends.h: one end of a shoulder seam moved square to it, with the steps by hand.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

// + out of the paper (paper added), − into it. The other end stays; armhole or neckline run to the new end.
[[nodiscard]] Piece tip_moved(Applied&, const Piece&, Length amount);
[[nodiscard]] Piece neck_end_moved(Applied&, const Piece&, Length amount);

}  // namespace sartorum
