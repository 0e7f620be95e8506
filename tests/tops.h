// tops.h: a small graded top with its chart, a body, and the plan computed, to test whole plans with.
#pragma once
#include "bodices.h"
#include "core/plan/compute.h"

namespace sartorum::test {

inline SizeChart chart_for(const Pattern& p)
{
    SizeChart c{"Chart", "Nobody", {}};
    for (std::size_t i = 0; i < p.sizes.size(); ++i) {
        const double more = 40.0 * static_cast<double>(i);
        c.sizes.push_back({p.sizes[i].size,
                           {{Measure::Bust, Length::mm(880 + more)},
                            {Measure::Waist, Length::mm(700 + more)},
                            {Measure::Hip, Length::mm(960 + more)},
                            {Measure::BackWaistLength, Length::mm(410 + more / 10)},
                            {Measure::FrontWaistLength, Length::mm(430 + more / 8)}},
                           0});
    }
    return c;
}

inline Pattern graded(BodiceFlat f, int sizes = 4)
{
    Pattern p{"Graded",
              "Nobody",
              {},
              bodice_seams(f.shoulder_ease,
                           f.sleeve.length > Length{} ? std::optional{f.sleeve.cap_ease} : std::nullopt)};
    for (int i = 0; i < sizes; ++i) {
        f.size = std::to_string(12 + 2 * i);
        p.sizes.push_back(*draw_bodice(f));
        f.bust += Length::mm(40);
        f.sleeve.bicep += f.sleeve.bicep > Length{} ? Length::mm(14) : Length{};
        f.waist += Length::mm(40);
        f.hip += f.hip > Length{} ? Length::mm(40) : Length{};
        f.across_front += Length::mm(4);
        f.across_back += Length::mm(4);
        f.back_length += Length::mm(4);
        f.front_length += Length::mm(5);
    }
    return *check_pattern(std::move(p));
}

inline BodySet body_of(std::initializer_list<std::pair<Measure, double>> values)
{
    BodySet b;
    b.date = "2026-11-23";
    for (const auto& [m, mm] : values) b.readings[m] = {Length::mm(mm), Length::mm(mm)};
    return b;
}

inline Plan plan_at(const std::string& size)
{
    Plan p = plan_in_sizes(size, size, size);
    p.choosing.kind = GarmentKind::Top;
    return p;
}

struct Bench {
    Pattern pattern;
    SizeChart chart;
    Computed operator()(const Plan& plan, const BodySet& body = {}) const
    {
        auto c = compute(pattern, chart, body, plan);
        if (!c) qFatal("refused: %s", c.error().field.c_str());
        return *c;
    }
};

inline Bench bench(const BodiceFlat& f = plain_bodice())
{
    const auto p = graded(f);
    return {p, chart_for(p)};
}

}  // namespace sartorum::test
