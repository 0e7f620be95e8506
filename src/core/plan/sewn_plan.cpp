#include "core/plan/sewn_plan.h"

#include <algorithm>

#include "core/plan/otherwise.h"

namespace sartorum {
namespace {

// Of a part where the decision was about that part.
Decision as_it_is(const Computed& c, const PlanLine& line, const Decision& was)
{
    Decision out = was;
    out.method = adjustment(line.kind).methods.empty() ? was.method : std::optional{line.method};
    const PlanLine* left = c.left_of(line);
    if (!line.at.empty()) {
        out.amounts = place_taken(c, line, 0, {}, line.at.front()).amounts;
    } else if (left && (left->amount != line.amount || left->back != line.back)) {
        out.amounts.clear();
        out.set_side(Side::Right, line.amount, line.back);
        out.set_side(Side::Left, left->amount, left->back);
    } else {
        out.amounts.clear();
        out.set_amount(line.amount);
        if (line.back != line.amount) out.set_back(line.back);
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
