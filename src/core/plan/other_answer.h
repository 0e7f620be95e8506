// other_answer.h: the garment had one change of its plan been answered otherwise, and where that change can be
// taken hold of.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// The pieces without what is accepted, or with what is not; none where that cannot be worked out.
struct Otherwise {
    std::vector<Piece> right;
    std::vector<Piece> left;  // the same where the sides are alike
};
[[nodiscard]] std::optional<Otherwise> answered_otherwise(const Computed&, AdjustmentKind);

// That of its places which goes farthest with the amount, on the altered pieces; where they stay, the corner of
// their piece that does. None where nothing goes along: less than a twentieth of what the amount does.
struct Handle {
    std::string piece;
    Point a_millimetre;  // in millimetres, for one of the amount; tried out, not derived
};
[[nodiscard]] std::optional<Handle> handle_of(const Computed&, AdjustmentKind, Side = Side::Right);

}  // namespace sartorum
