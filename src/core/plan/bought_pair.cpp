#include "core/plan/bought_pair.h"

namespace sartorum {

Outcome<Computed> bought_lowered(const BoughtTrousers& pair, const BodySet& body, std::optional<Length> down)
{
    const auto flat = flat_of(pair);
    if (!flat) return tl::make_unexpected(flat.error());
    auto pattern = trousers_pattern(*flat);
    if (!pattern) return tl::make_unexpected(pattern.error());
    // For whom it was made is not known: its own girths, which nothing is proposed from.
    const std::string& size = pattern->sizes.front().size;
    SizeChart chart{pair.name, "", {{size, {{Measure::Waist, pair.waist}, {Measure::Hip, pair.hip}}, 0}}};
    Plan plan = plan_in_sizes(size, size);
    plan.choosing.kind = GarmentKind::Trousers;
    plan.sewn = true;
    plan.as_drawn = true;
    plan.decide({AdjustmentKind::SewnCrotch, Answer::Accepted, down});
    auto out = compute(std::move(*pattern), chart, body, plan);
    if (!out) return out;
    const PlanLine* line = out->line(AdjustmentKind::SewnCrotch);
    if (line && line->state == LineState::Refused) return tl::make_unexpected(*line->refusal);
    if (!line || line->state != LineState::Accepted || line->steps == 0)
        return refuse(Why::AmountMissing, std::string{adjustment(AdjustmentKind::SewnCrotch).key});
    return out;
}

}  // namespace sartorum
