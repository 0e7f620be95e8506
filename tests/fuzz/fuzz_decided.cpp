// Feeds anything to the reader of: a plan, what it makes up and its decisions; and works it out on garments of the
// demo.
#include "common.h"
#include "json_mutator.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    auto plan = formats::read_plan(std::string(reinterpret_cast<const char*>(data), size));
    if (!plan) return 0;
    static const std::array names{"lockgate-trousers", "heron-tee", "aqueduct-dress", "ropewalk-skirt"};
    static const std::vector<std::pair<Pattern, SizeChart>> all = [] {
        std::vector<std::pair<Pattern, SizeChart>> out;
        for (const auto* name : names) out.emplace_back(demo_pattern(name), demo_chart(name));
        return out;
    }();
    const auto& [pattern, chart] = all[size % all.size()];
    const auto& name = chart.sizes[chart.sizes.size() / 2].name;
    plan->take_sizes(name, name, name);
    const auto c = compute(pattern, chart, trial_body(), *plan);
    if (c) (void)c->checks.all_hold();
    return 0;
}
