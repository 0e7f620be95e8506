#include "core/fitting/amounts.h"

#include "core/alter/kit/catalogue.h"

namespace sartorum {

bool can_be_done(AdjustmentKind kind, const Computed& c)
{
    return c.line(kind) && (!c.work.plan.sewn || adjustment(kind).when_sewn);
}

Length done_on(const PlanLine* l, Face face)
{
    if (!l || l->state != LineState::Accepted) return {};
    return face == Face::Back ? l->back : l->amount;
}

bool one_sided(AdjustmentKind kind)
{
    const auto& row = adjustment(kind);
    return row.places.empty() && row.at_join != AtJoin::WholeGarment && row.at_centre != AtCentre::Together;
}

Decision begun_from(const Computed& c, const PlanLine& l)
{
    Decision out = c.work.plan.accepting(l.kind, l.part);
    if (l.state == LineState::Accepted || l.state == LineState::Refused) return out;
    // Nothing of it is on the paper: nothing but what is now said comes onto it.
    out.amounts.clear();
    const auto& places = adjustment(l.kind).places;
    if (places.empty()) out.set({}, Length{});
    for (const auto& place : places) out.set({Face::Both, {}, std::string{place.key}}, Length{});
    return out;
}

Decision with_amount(const Computed& c, const PlanLine& l, Face face, std::optional<Side> side, Length after)
{
    Decision out = begun_from(c, l);
    const bool apart = adjustment(l.kind).acts_on == ActsOn::Apart;
    out.set({apart ? face : Face::Both, side}, after);
    return out;
}

Length done_at(const Computed& c, AdjustmentKind kind, std::size_t place, Side side)
{
    const PlanLine* l = c.line(kind);
    if (!l) return {};
    const PlanLine* left = side == Side::Left ? c.left_of(*l) : nullptr;
    const PlanLine& of = left ? *left : *l;
    return of.state == LineState::Accepted && place < of.at.size() ? of.at[place] : Length{};
}

}  // namespace sartorum
