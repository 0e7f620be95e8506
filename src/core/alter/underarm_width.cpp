#include "core/alter/underarm_width.h"

#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"

namespace sartorum {

Outcome<Applied> alter_underarm_width(const Garment& garment, const Dose& dose)
{
    if (const auto ok = within(dose.front, "underarm_width", underarm_limit); !ok)
        return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    const bool back_only = static_cast<WidthShare>(dose.method) == WidthShare::BackOnly;
    const Length share = dose.front / (back_only ? 2.0 : 4.0);
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        if (back_only && role == PieceRole::Front) continue;
        Piece& piece = *find_piece(out.garment.pieces, role);
        const Point from = underarm(piece);
        const Point to = from + Point{share.in_mm(), 0};
        Step mark = step_on(piece, StepKind::MarkUnderarm, share);
        mark.picture.lines = {{from, to}};
        mark.picture.dimensions = {{from, to, abs(share)}};
        const Piece after = side_redrawn(piece, share, {}, {});
        out.steps.insert(out.steps.end(), {mark, redrawn_step(piece, after, StepKind::RedrawUnderarm, share)});
        piece = after;
    }
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

}  // namespace sartorum
