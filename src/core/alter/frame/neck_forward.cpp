#include "core/alter/frame/rows.h"

#include "core/alter/frame/shoulder_ends.h"
#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"

namespace sartorum {

Outcome<Applied> alter_neck_forward(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "neck_forward"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    front = neck_end_moved(out, front, -dose.front);
    back = neck_end_moved(out, back, dose.front);
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

namespace {

bool neck_noted(const Posture& p)
{
    return p.neck == Stance::Forward || p.neck == Stance::Back;
}

}  // namespace

Adjustment neck_forward_row()
{
    return {
        .kind = AdjustmentKind::NeckForward,
        .key = "neck_forward",
        .zone = Zone::Frame,
        .rank = 40,
        .acts_on = ActsOn::Both,
        .least = -neck_forward_limit,
        .most = neck_forward_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Neck, EdgeRole::Shoulder},
        .apply = alter_neck_forward,
        .place = at_neck_point,
        .noted = neck_noted,
    };
}

}  // namespace sartorum
