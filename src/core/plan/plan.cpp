#include "core/plan/plan.h"

#include <algorithm>

namespace sartorum {

const Decision* Plan::decision(AdjustmentKind kind) const
{
    const auto it =
        std::find_if(decisions.begin(), decisions.end(), [&](const Decision& d) { return d.kind == kind; });
    return it == decisions.end() ? nullptr : &*it;
}

void Plan::decide(Decision decision)
{
    forget(decision.kind);
    decisions.push_back(decision);
}

void Plan::forget(AdjustmentKind kind)
{
    std::erase_if(decisions, [&](const Decision& d) { return d.kind == kind; });
}

}  // namespace sartorum
