#include "core/alter/neck_forward.h"

#include "core/alter/shared.h"
#include "core/alter/shoulder_ends.h"

namespace sartorum {

Outcome<Applied> alter_neck_forward(const Garment& garment, const Dose& dose)
{
    if (const auto ok = within(dose.front, "neck_forward", neck_forward_limit); !ok)
        return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    front = neck_end_moved(out, front, -dose.front);
    back = neck_end_moved(out, back, dose.front);
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

}  // namespace sartorum
