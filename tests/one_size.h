// one_size.h: a garment of one size on a body that is its chart, chosen in that size.
#pragma once
#include "core/plan/compute.h"

namespace sartorum::test {

struct OneSize {
    Pattern pattern;
    SizeChart chart;
    BodySet body;
    Plan plan;
    [[nodiscard]] Computed operator()() const
    {
        auto c = compute(pattern, chart, body, plan);
        if (!c) qFatal("not computed: %s", c.error().field.c_str());
        return std::move(*c);
    }
};

inline OneSize one_size(SizedPieces drawn, std::vector<Seam> seams, GarmentKind kind,
                        const std::map<Measure, Length>& body)
{
    Pattern pattern{"One size", "Nobody", {std::move(drawn)}, std::move(seams)};
    auto checked = check_pattern(std::move(pattern));
    if (!checked) qFatal("no pattern: %s", checked.error().field.c_str());
    OneSize out{std::move(*checked), {}, {"2026-11-30", {}}, {}};
    const std::string name = out.pattern.sizes.front().size;
    out.chart.sizes.push_back({name, body});
    for (const auto& [m, value] : body) out.body.readings[m] = {value, value};
    out.plan.choosing.kind = kind;
    out.plan.take_sizes(name, name, name);
    return out;
}

}  // namespace sartorum::test
