// trousers_bench.h: the demo's tapered trousers on a body that is their chart, worked out as a plan.
#pragma once
#include <QtTest>

#include "core/plan/compute.h"
#include "trousers.h"

namespace sartorum::test {

struct TrousersBench {
    Pattern pattern;
    SizeChart chart;
    BodySet body;
    Plan plan;
    Computed operator()() const
    {
        auto c = compute(pattern, chart, body, plan);
        if (!c) qFatal("not computed: %s", c.error().field.c_str());
        return std::move(*c);
    }
};

// Its chart prints how high the waist stands over the floor, or does not.
inline TrousersBench lockgate_bench(bool heights = true)
{
    const auto drawn = demo::lockgate_trousers();
    TrousersBench out{*check_pattern(drawn->pattern), drawn->chart, {"2026-11-30", {}}, {}};
    for (auto& size : out.chart.sizes) {
        for (const auto m : {Measure::WaistToFloorFront, Measure::WaistToFloorSide, Measure::WaistToFloorBack}) {
            if (!heights) size.body.erase(m);
        }
    }
    const auto& size = out.chart.sizes[4];
    for (const auto& [m, value] : size.body) out.body.readings[m] = {value, value};
    out.plan.choosing.kind = GarmentKind::Trousers;
    out.plan.take_sizes(size.name, size.name, size.name);
    return out;
}

}  // namespace sartorum::test
