#include "core/alter/hem/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto turn_up_key = "turn_up";
constexpr Length under_hem_most = Length::mm(200);

// What is added under the hem line, as wide as the hem: it opens out as the leg does once it is folded.
Polygon strip_under(const Curve& hem, Length down)
{
    Polygon out = flattened(hem, Length::mm(0.5));
    const Point by{0, -down.in_mm()};
    for (std::size_t i = out.size(); i-- > 0;) out.push_back(out[i] + by);
    return out;
}

}  // namespace

Outcome<Applied> alter_turn_up(const Garment& garment, const Dose& depth)
{
    const Length seen = depth.front;
    if (seen == Length{}) return refuse(Why::AmountZero, turn_up_key);
    Applied out{garment, {}};
    for (auto& p : out.garment.pieces) {
        if (!goes_round(p)) continue;
        Edge& hem = p.edges[*edge_index(p, EdgeRole::Hem)];
        const Length under = hem.allowance + seen * 2.0;
        if (seen < Length{} || under > under_hem_most)
            return refuse_amount(Why::AmountTooLarge, turn_up_key, seen, {},
                                 (under_hem_most - hem.allowance) / 2.0);
        Step step = step_on(p, StepKind::AddTurnUp, seen, under);
        step.picture.added = {strip_under(hem.curve, seen * 2.0)};
        hem.allowance = under;
        out.steps.push_back(std::move(step));
    }
    return out;
}

Adjustment turn_up_row()
{
    return {
        .kind = AdjustmentKind::TurnUp,
        .key = turn_up_key,
        .zone = Zone::Hem,
        .rank = 400,
        .acts_on = ActsOn::Both,
        .least = Length{},
        .most = turn_up_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::Hem, EdgeRole::InnerLeg},
        .apply = alter_turn_up,
        .place = at_side_hem,
    };
}

}  // namespace sartorum
