#include "core/alter/top_notch.h"

#include "core/alter/shared.h"
#include "core/paper/sleeve_redraw.h"

namespace sartorum {

Outcome<Applied> alter_top_notch(const Garment& garment, const Dose& dose)
{
    if (const auto ok = within(dose.front, "top_notch", top_notch_limit); !ok)
        return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const Point was = top_notch(sleeve);
    Piece after = top_notch_at(sleeve, sewn_length(sleeve, EdgeRole::CapFront) - dose.front);
    match_cap_notches(after, *find_piece(garment.pieces, PieceRole::Front),
                      *find_piece(garment.pieces, PieceRole::Back));
    Step mark = step_on(after, StepKind::MarkTopNotch, dose.front);
    mark.picture.dimensions = {{was, top_notch(after), abs(dose.front)}};
    out.steps = {mark};
    sleeve = after;
    return out;
}

}  // namespace sartorum
