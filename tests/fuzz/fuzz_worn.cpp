// Feeds anything to the reader of: a body; and works out the demo's trousers and bodice block on it, standing and
// seated.
#include "common.h"
#include "core/plan/first_plan.h"
#include "json_mutator.h"

namespace {

struct Garment {
    Pattern pattern;
    SizeChart chart;
};

const std::vector<Garment>& garments()
{
    static const std::vector<Garment> all = [] {
        std::vector<Garment> out;
        for (const auto& name : {"lockgate-trousers", "heron-tee"})
            out.push_back({demo_pattern(name), demo_chart(name)});
        return out;
    }();
    return all;
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    const auto body = formats::read_body(std::string(reinterpret_cast<const char*>(data), size));
    if (!body) return 0;
    for (const bool seated : {false, true}) {
        const BodySet worn = as_worn(body->set, seated);
        for (const auto& f : all_measures) (void)worn.taken(f.measure);
        for (const auto& g : garments()) {
            ChoiceWish wish;
            wish.kind = garment_drawn(g.pattern, wish.kind);
            wish.seated = seated;
            (void)advise(g.chart, worn, wish);
            const auto& name = g.chart.sizes[g.chart.sizes.size() / 2].name;
            Plan plan = plan_in_sizes(name, name);
            plan.sizes[Level::Bust] = name;
            plan.choosing = wish;
            (void)compute(g.pattern, g.chart, body->set, plan);
        }
    }
    return 0;
}
