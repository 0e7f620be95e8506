#include "core/chart/finished_only.h"

#include <algorithm>

namespace sartorum {
namespace {

// least_ease() of a knit is a share of the body: one step finds the body it is a share of.
Length body_served(Measure m, Length finished, const Cloth& cloth, const EaseWishes& wishes)
{
    if (const auto wish = wishes.find(m); wish != wishes.end()) return finished - wish->second;
    constexpr Length unit = Length::mm(1000);
    const Length least = least_ease(m, cloth, unit);
    return least < Length{} ? finished / (1.0 + least / unit) : finished - least;
}

}  // namespace

bool prints_finished_only(const SizeChart& chart)
{
    const auto girth = [](const auto& printed) { return facts(printed.first).kind == MeasureKind::Girth; };
    return !chart.sizes.empty() && std::all_of(chart.sizes.begin(), chart.sizes.end(), [&](const ChartSize& s) {
        return std::none_of(s.body.begin(), s.body.end(), girth) &&
               std::any_of(s.finished.begin(), s.finished.end(), girth);
    });
}

SizeChart with_bodies_served(SizeChart chart, const Cloth& cloth, const EaseWishes& wishes)
{
    if (!prints_finished_only(chart)) return chart;
    for (auto& s : chart.sizes) {
        for (const auto& [m, finished] : s.finished) {
            if (facts(m).kind == MeasureKind::Girth) s.body[m] = body_served(m, finished, cloth, wishes);
        }
    }
    chart.bodies_assumed = true;
    return chart;
}

}  // namespace sartorum
