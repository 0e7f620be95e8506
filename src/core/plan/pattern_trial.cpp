#include "core/plan/pattern_trial.h"

#include <cmath>

namespace sartorum {
namespace {

bool all_finite(const Computed& c)
{
    for (const auto& piece : c.altered.pieces) {
        for (const auto& e : piece.edges) {
            for (const auto& p : all_controls(e.curve)) {
                if (!p.isFinite()) return false;
            }
        }
    }
    return true;
}

Outcome<bool> attempted(const Pattern& pattern, const SizeChart& chart, const Plan& plan)
{
    const auto c = compute(pattern, chart, trial_body(), plan);
    if (!c) return tl::make_unexpected(c.error());
    if (!all_finite(*c)) return refuse(Why::NotComputable, pattern.name);
    return true;
}

Plan plan_of(const std::string& upper, const std::string& lower)
{
    return plan_in_sizes(lower, lower, upper);
}

}  // namespace

SizeChart trial_chart(const Pattern& pattern)
{
    SizeChart chart{"trial", "", {}};
    for (std::size_t i = 0; i < pattern.sizes.size(); ++i) {
        ChartSize size{pattern.sizes[i].size, {}, 0};
        for (const auto& f : all_measures)
            size.body[f.measure] = f.least + (f.most - f.least) * (0.3 + 0.005 * static_cast<double>(i));
        chart.sizes.push_back(std::move(size));
    }
    return chart;
}

BodySet trial_body()
{
    BodySet body{"2026-01-01", {}};
    for (const auto& f : all_measures) body.readings[f.measure] = {f.least + (f.most - f.least) * 0.35};
    return body;
}

Outcome<bool> try_pattern(const Pattern& pattern)
{
    const auto chart = trial_chart(pattern);
    for (const auto& sized : pattern.sizes) {
        if (auto ok = attempted(pattern, chart, plan_of(sized.size, sized.size)); !ok) return ok;
    }
    const auto& first = pattern.sizes.front().size;
    const auto& last = pattern.sizes.back().size;
    if (auto ok = attempted(pattern, chart, plan_of(first, last)); !ok) return ok;
    for (const auto& entry : catalogue()) {
        for (const double mm : {4.0, -4.0}) {
            Plan plan = plan_of(first, first);
            plan.decide({entry.kind, Answer::Accepted, Length::mm(mm)});
            if (auto ok = attempted(pattern, chart, plan); !ok) return ok;
        }
    }
    return true;
}

}  // namespace sartorum
