// demo_garments.h: the garments of the demo with their charts, as files that anybody could have made.
#pragma once
#include <string>
#include <vector>

#include "core/plan/compute.h"
#include "formats/chart_csv.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"

namespace sartorum::test {

struct DemoGarment {
    std::string name;
    Pattern pattern;
    SizeChart chart;
};

inline std::string demo_file(const std::string& name)
{
    const auto text =
        formats::read_file(QString::fromStdString(std::string{SARTORUM_SOURCE_DIR} + "/demo/" + name));
    if (!text) qFatal("demo file %s", name.c_str());
    return *text;
}

inline DemoGarment demo_garment(const std::string& drawing, const std::string& chart)
{
    return {drawing, *formats::read_pattern_svg(demo_file(drawing + ".svg")),
            *formats::read_chart_csv(demo_file(chart + ".csv"))};
}

// Every one of them, read once.
inline const std::vector<DemoGarment>& demo_garments()
{
    static const std::vector<DemoGarment> all{demo_garment("windlass-bodice", "windlass-dress"),
                                              demo_garment("aqueduct-dress", "aqueduct-dress"),
                                              demo_garment("bulrush-dress", "bulrush-dress"),
                                              demo_garment("reedbed-dress", "reedbed-dress"),
                                              demo_garment("slipway-all-in-one", "slipway-all-in-one"),
                                              demo_garment("heron-tee", "heron-tee"),
                                              demo_garment("sluice-waistcoat", "sluice-waistcoat"),
                                              demo_garment("lockside-skirt", "towpath-paper"),
                                              demo_garment("ropewalk-skirt", "ropewalk-skirt"),
                                              demo_garment("lockgate-trousers", "lockgate-trousers"),
                                              demo_garment("barge-trousers", "barge-trousers")};
    return all;
}

inline const DemoGarment& demo_garment(const std::string& name)
{
    for (const auto& g : demo_garments()) {
        if (g.name == name) return g;
    }
    qFatal("no demo garment %s", name.c_str());
}

// Traced in one size of its own.
inline Plan plan_in_size(const std::string& size)
{
    return plan_in_sizes(size, size, size);
}

inline Computed worked_out(const DemoGarment& g, const Plan& plan, const BodySet& body = {})
{
    auto c = compute(g.pattern, g.chart, body, plan);
    if (!c) qFatal("%s refused: %s", g.name.c_str(), c.error().field.c_str());
    return std::move(*c);
}

}  // namespace sartorum::test
