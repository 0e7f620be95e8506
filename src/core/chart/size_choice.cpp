#include "core/chart/size_choice.h"

#include <algorithm>

namespace sartorum {
namespace {

// The neighbour that is as good as the nearest, if the body stands within its noise of the middle.
std::optional<std::size_t> other_side(const SizeChart& chart, Measure m, const Taken& taken, std::size_t nearest)
{
    const Length here = *chart.body(nearest, m);
    const bool up = taken.value > here;
    if (up ? nearest + 1 >= chart.sizes.size() : nearest == 0) return std::nullopt;
    const std::size_t next = up ? nearest + 1 : nearest - 1;
    const Length middle = (here + *chart.body(next, m)) / 2.0;
    return abs(taken.value - middle) <= taken.spread ? std::optional{next} : std::nullopt;
}

bool beyond(const SizeChart& chart, Measure m, const Taken& taken)
{
    const std::size_t last = chart.sizes.size() - 1;
    const Length step_up = *chart.body(last, m) - *chart.body(last - 1, m);
    const Length step_down = *chart.body(1, m) - *chart.body(0, m);
    return taken.value > *chart.body(last, m) + step_up / 2.0 || taken.value < *chart.body(0, m) - step_down / 2.0;
}

}  // namespace

std::size_t nearest_size(const SizeChart& chart, Measure m, Length body)
{
    std::size_t best = 0;
    for (std::size_t i = 1; i < chart.sizes.size(); ++i) {
        if (abs(body - *chart.body(i, m)) < abs(body - *chart.body(best, m))) best = i;
    }
    return best;
}

SizeCost cost_of(const SizeChart& chart, std::size_t size, const BodySet& set)
{
    SizeCost cost{size, {}, 0, {}};
    for (const auto m : {Measure::Waist, Measure::Hip}) {
        const auto taken = set.taken(m);
        if (!taken) continue;
        const Length printed = *chart.body(size, m);
        const LevelDifference d{m, taken->value, printed, taken->value - printed, taken->spread};
        if (!d.inside_noise()) {
            ++cost.outside_noise;
            cost.largest = std::max(cost.largest, abs(d.difference));
        }
        cost.left.push_back(d);
    }
    return cost;
}

Outcome<Advice> advise(const SizeChart& chart, const BodySet& set)
{
    const auto waist = set.taken(Measure::Waist);
    const auto hip = set.taken(Measure::Hip);
    if (!waist) return refuse(Why::BodyIncomplete, std::string{facts(Measure::Waist).key});
    if (!hip) return refuse(Why::BodyIncomplete, std::string{facts(Measure::Hip).key});

    const std::size_t by_waist = nearest_size(chart, Measure::Waist, waist->value);
    const std::size_t by_hip = nearest_size(chart, Measure::Hip, hip->value);
    const auto waist_other = other_side(chart, Measure::Waist, *waist, by_waist);
    const auto hip_other = other_side(chart, Measure::Hip, *hip, by_hip);

    Advice advice{{by_waist, by_hip}, ChoiceReason::Blend, waist_other.has_value(), hip_other.has_value(), {}};
    if (by_waist == by_hip) {
        advice.reason = ChoiceReason::OneSize;
    } else if (waist_other == by_hip) {
        advice.choice.waist_size = by_hip;
        advice.reason = ChoiceReason::OneSizeByNoise;
    } else if (hip_other == by_waist) {
        advice.choice.hip_size = by_waist;
        advice.reason = ChoiceReason::OneSizeByNoise;
    }
    if (beyond(chart, Measure::Waist, *waist) || beyond(chart, Measure::Hip, *hip)) {
        advice.reason = ChoiceReason::BeyondChart;
    }
    for (std::size_t i = 0; i < chart.sizes.size(); ++i) advice.costs.push_back(cost_of(chart, i, set));
    return advice;
}

}  // namespace sartorum
