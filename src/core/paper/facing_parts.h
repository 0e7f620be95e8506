// facing_parts.h: what the drawing of a facing and of a shaped band have in common. Not for other rooms.
#pragma once
#include <vector>

#include "core/pattern/piece.h"

namespace sartorum::facing {

// The edge a facing is drawn from, and the lines at its ends, as they lie when what is folded between them is
// shut.
struct Shut {
    Edge sewn;
    Edge before;
    Edge after;
    std::vector<Notch> notches;
};

// How the line is drawn smooth over a shut dart: through the corner that leaves, as what lies under it must; or in
// one bow past it, as long as the edge is sewn.
enum class OverDart { Through, Past };
// The last of the edges of that role that lie in one row from the first on, a dart mouth between each two.
[[nodiscard]] std::size_t end_of_row(const Piece&, EdgeRole);
[[nodiscard]] Shut shut_along(const Piece&, EdgeRole, OverDart = OverDart::Through);

// The strip to the right of the sewn edge's way, as wide all along; cut as often as that piece, and refused in its
// name.
[[nodiscard]] Outcome<Piece> drawn_inside(const Shut&, Length width, const Piece& like);

}  // namespace sartorum::facing
