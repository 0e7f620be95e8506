#include "core/alter/widths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_alter.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/leg.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto high_hip_key = "width_at_high_hip";

Piece high_hip_moved(const Piece& p, Length by)
{
    const Length end = sewn_length(p, EdgeRole::Side);
    const double hip = guide(p, GuideKind::Hip)->a[Geom::Y];
    Piece out = run_shifted(p, *edge_index(p, EdgeRole::Side), *edge_index(p, EdgeRole::Side, true),
                            {{{}, no_shift},
                             {side_to(p, *high_hip_level(p)), {by.in_mm(), 0}},
                             {side_to(p, hip), no_shift},
                             {end, no_shift}});
    settle_level_guides(out);
    return out;
}

Outcome<bool> move_high_hip(Applied& out, PieceRole role, Length by)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    Piece after = high_hip_moved(piece, by);
    const Spot from = at_side_high_hip(piece);
    const double level = *high_hip_level(piece);
    const auto left = width_at(after, level);
    if (!from || !left || *left < Length::mm(40)) return refuse(Why::PaperCrosses, high_hip_key);
    const Point to = *from + Point{by.in_mm(), 0};
    Step mark =
        step_on(piece, StepKind::MarkHighHip, by, Length::mm(level - guide(piece, GuideKind::Hip)->a[Geom::Y]));
    mark.picture.lines = {{*from, to}};
    mark.picture.dimensions = {{*from, to, abs(by)}};
    out.steps.push_back(std::move(mark));
    out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawHighHip, by));
    piece = std::move(after);
    return true;
}

std::optional<Proposal> propose_at_high_hip(const FittingState& s)
{
    return lacking_girth(s, Measure::HighHip, s.sizes.hip, GarmentMeasure::HighHip);
}

}  // namespace

Outcome<Applied> alter_width_at_high_hip(const Garment& garment, const Dose& girth)
{
    if (const auto ok = some_amount(girth.front, high_hip_key); !ok) return tl::make_unexpected(ok.error());
    return widened_until(garment, girth, GarmentMeasure::HighHip, 4, move_high_hip);
}

Adjustment width_at_high_hip_row()
{
    return {
        .kind = AdjustmentKind::WidthAtHighHip,
        .key = high_hip_key,
        .zone = Zone::Widths,
        .rank = 92,
        .acts_on = ActsOn::Both,
        .least = -high_hip_limit,
        .most = high_hip_limit,
        .needs = {Level::HighHip},
        .apply = alter_width_at_high_hip,
        .place = at_side_high_hip,
        .propose = propose_at_high_hip,
        .serves = [](const Garment& part) { return high_hip_level(front_of(part)).has_value(); },
        .from = Measure::HighHip,
        .methods = share_methods,
    };
}

}  // namespace sartorum
