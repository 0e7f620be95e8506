#include "core/plan/plan.h"

#include <algorithm>

namespace sartorum {
const std::string& Plan::size_at(Level level) const
{
    static const std::string none;
    const auto it = sizes.find(level);
    return it == sizes.end() ? none : it->second;
}

const std::string& Plan::frame_size() const
{
    const auto& bust = size_at(Level::Bust);
    return bust.empty() ? size_at(Level::Hip) : bust;
}

void Plan::take_sizes(const std::string& waist, const std::string& hip, const std::string& bust)
{
    sizes.clear();
    for (const auto& [level, size] :
         {std::pair{Level::Waist, &waist}, std::pair{Level::Hip, &hip}, std::pair{Level::Bust, &bust}}) {
        if (!size->empty()) sizes[level] = *size;
    }
}

Decision Plan::accepting(AdjustmentKind kind, PartKind part) const
{
    const Decision* was = decision(kind, part);
    Decision out = was ? *was : Decision{kind, Answer::Accepted};
    out.answer = Answer::Accepted;
    out.seen_on.clear();
    return out;
}

Decision Plan::accepting(AdjustmentKind kind, PartKind part, Which which, Length by) const
{
    Decision out = accepting(kind, part);
    for (const auto& place : adjustment(kind).places) {
        if (place.key == which.at && place.at_centre) which.side.reset();
    }
    if (adjustment(kind).acts_on != ActsOn::Apart) which.face = Face::Both;
    out.set(which, by);
    return out;
}

const Decision* Plan::decision(AdjustmentKind kind, const std::string& subject) const
{
    const auto it = std::find_if(decisions.begin(), decisions.end(),
                                 [&](const Decision& d) { return d.kind == kind && d.subject == subject; });
    return it == decisions.end() ? nullptr : &*it;
}

const Decision* Plan::decision(AdjustmentKind kind, PartKind part) const
{
    const Decision* every = nullptr;
    for (const auto& d : decisions) {
        if (d.kind != kind) continue;
        if (d.subject == key(part)) return &d;
        if (d.subject.empty()) every = &d;
    }
    return every;
}

void Plan::put(Decision decision)
{
    std::erase_if(decisions,
                  [&](const Decision& d) { return d.kind == decision.kind && d.subject == decision.subject; });
    decisions.push_back(std::move(decision));
}

void Plan::decide(Decision decision)
{
    if (decision.subject.empty()) forget(decision.kind);
    put(std::move(decision));
}

void Plan::forget(AdjustmentKind kind)
{
    std::erase_if(decisions, [&](const Decision& d) { return d.kind == kind; });
}

Plan plan_in_sizes(const std::string& waist, const std::string& hip, const std::string& bust)
{
    Plan out;
    out.take_sizes(waist, hip, bust);
    return out;
}

}  // namespace sartorum
