#include "core/plan/sewn_plan.h"

#include <algorithm>

#include "core/alter/kit/catalogue.h"

namespace sartorum {
namespace {

// Of a part where the decision was about that part.
Decision as_it_is(const Computed& c, const PlanLine& line, const Decision& was)
{
    Decision out = was;
    out.method = adjustment(line.kind).methods.empty() ? was.method : std::optional{line.method};
    const PlanLine* left = c.left_of(line);
    const PlanLine& other = left ? *left : line;
    const auto& places = adjustment(line.kind).places;
    out.amounts.clear();
    for (std::size_t i = 0; i < places.size(); ++i) out.set_places(places[i].key, line.at[i], other.at[i]);
    if (!places.empty()) return out;
    for (const auto& [side, of] : {std::pair{Side::Right, &line}, {Side::Left, &other}}) {
        out.set({Face::Front, side}, of->amount);
        out.set({Face::Back, side}, of->back);
    }
    return out;
}

}  // namespace

Plan plan_as_sewn(const Computed& c)
{
    Plan out = c.work.plan;
    out.sewn = true;
    std::erase_if(out.decisions, [](const Decision& d) { return d.answer != Answer::Accepted; });
    // It is done: nothing came after what it stands on.
    std::stable_sort(out.decisions.begin(), out.decisions.end(),
                     [](const Decision& a, const Decision& b) { return comes_before(a.kind, b.kind); });
    for (auto& d : out.decisions) {
        const Adjustment& entry = adjustment(d.kind);
        if (entry.at_join == AtJoin::WholeGarment) continue;
        for (const auto& line : c.lines) {
            const bool about = d.subject.empty() || d.subject == key(line.part);
            if (line.kind != d.kind || !about || line.state != LineState::Accepted || line.by_itself) continue;
            // All of it, or as the way says: no amount is one too.
            if (line.amount == Length{} && line.back == Length{} && !line.own_amount) continue;
            d = as_it_is(c, line, d);
            break;
        }
    }
    return out;
}

Plan plan_on_paper(const Plan& sewn)
{
    Plan out = sewn;
    out.sewn = false;
    std::erase_if(out.decisions, [](const Decision& d) { return adjustment(d.kind).when_sewn; });
    return out;
}

}  // namespace sartorum
