#include "core/fitting/amounts.h"

#include "core/alter/catalogue.h"

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

Decision with_amount(const Computed& c, const PlanLine& l, Face face, std::optional<Side> side, Length after)
{
    const PlanLine* other = c.left_of(l);
    const bool apart =
        side || (other && one_sided(l.kind) && (other->amount != l.amount || other->back != l.back));
    const auto on = [&](const PlanLine& of) {
        const bool accepted = of.state == LineState::Accepted;
        const Length front = accepted ? of.amount : Length{};
        const Length back = accepted ? of.back : Length{};
        return std::pair{face == Face::Back ? front : after, face == Face::Front ? back : after};
    };
    if (!apart) {
        const auto [front, back] = on(l);
        return c.work.plan.taken(l.kind, front, adjustment(l.kind).acts_on == ActsOn::Apart ? back : front);
    }
    Decision out = c.work.plan.taken(l.kind, {}, {});
    for (const auto s : {Side::Right, Side::Left}) {
        const PlanLine& of = s == Side::Left && other ? *other : l;
        const bool accepted = of.state == LineState::Accepted;
        const auto here = on(of);
        const bool meant = !side || side == s;
        out.set_side(s,
                     meant      ? here.first
                     : accepted ? of.amount
                                : Length{},
                     meant      ? here.second
                     : accepted ? of.back
                                : Length{});
    }
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
