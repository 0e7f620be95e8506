#include "core/alter/frame/rows.h"

#include <array>

#include "core/alter/frame/shoulder_ends.h"
#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr auto pinned_key = "pinned_shoulder";
constexpr std::array<AmountPlace, 4> shoulder_ends{
    {{"front_neck_end"}, {"front_tip"}, {"back_neck_end"}, {"back_tip"}}};

}  // namespace

Outcome<Applied> alter_pinned_shoulder(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, pinned_key); !ok) return tl::make_unexpected(ok.error());
    std::array<Length, shoulder_ends.size()> at{dose.front, dose.front, dose.front, dose.front};
    if (dose.at.size() == at.size()) std::copy(dose.at.begin(), dose.at.end(), at.begin());
    Applied out{garment, {}};
    std::size_t i = 0;
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        for (const bool neck : {true, false}) {
            const Length by = at[i++];
            if (abs(by) < nothing_on_paper) continue;
            piece = neck ? neck_end_moved(out, piece, by) : tip_moved(out, piece, by);
        }
    }
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

Adjustment pinned_shoulder_row()
{
    return {
        .kind = AdjustmentKind::PinnedShoulder,
        .key = pinned_key,
        .zone = Zone::Frame,
        .rank = 21,
        .acts_on = ActsOn::Both,
        .least = -shoulder_slope_limit,
        .most = shoulder_slope_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Shoulder},
        .apply = alter_pinned_shoulder,
        .place = at_shoulder_tip,
        .places = shoulder_ends,
    };
}

}  // namespace sartorum
