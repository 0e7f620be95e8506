// blend.h: one piece drawn between two sizes: the waist of one, the hip and everything below of another.
//
// The sizes are laid over each other at the centre waist; gores at the middle of their waist. Between waist and
// hip line the side seam moves from one to the other with an even weight, keeping each size's direction at its own
// end, so there is no kink.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

struct SideParts {
    std::size_t edge = 0;  // index of the side edge
    Curve waist_to_hip;
    Curve below;
};
// The side seam parted at the hip line.
[[nodiscard]] Outcome<SideParts> side_parts(const Piece&);

// What lies on the same place in every size: the upper end of the centre; of a gore the middle of its waist.
[[nodiscard]] Point held_at(const Piece&);

// Same skeleton required (check_pattern holds it). Pieces without a hip line take the waist size.
[[nodiscard]] Outcome<Piece> blended(const Piece& waist_size, const Piece& hip_size);

}  // namespace sartorum
