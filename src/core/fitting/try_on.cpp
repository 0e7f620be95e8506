#include "core/fitting/try_on.h"

#include <algorithm>

#include "core/alter/kit/catalogue.h"
#include "core/plan/sewn_plan.h"

namespace sartorum {
namespace {

// Of the face the cause is about.
Length of_face(const Cause& c, Length front, Length back)
{
    return c.face == Face::Back ? back : front;
}

bool same_way(const Cause& c, Length amount)
{
    return c.sign > 0 ? amount > Length{} : amount < Length{};
}

std::optional<Length> proposed(const Cause& c, const PlanLine& l)
{
    if (!l.proposal) return std::nullopt;
    return of_face(c, l.proposal->amount, l.proposal->back.value_or(l.proposal->amount));
}

std::optional<Known> known(const Cause& c, const PlanLine& l)
{
    if (l.state == LineState::Accepted) {
        const Length done = of_face(c, l.amount, l.back);
        if (done == Length{}) return std::nullopt;
        return same_way(c, done) ? Known::TakenUp : Known::TakenTooFar;
    }
    const auto asked = proposed(c, l);
    if (!asked || !same_way(c, *asked)) return std::nullopt;
    return l.proposal->leave() == Leave::Noise ? Known::InsideNoise : Known::Proposed;
}

bool is_small(const CauseFacts& c)
{
    using enum AdjustmentKind;
    const auto kind = c.cause.kind;
    return c.stage == Stage::Shoulders || kind == ArmholeGape || kind == AcrossFront || kind == AcrossBack ||
           kind == BackArmhole || kind == CapForward || kind == CapHeight;
}

Length first_step(const CauseFacts& c)
{
    return Length::mm(is_girth(c.cause.kind) ? 20 : is_small(c) ? 6 : 10);
}

std::optional<Length> pinched(const CauseFacts& c, const Observed& o)
{
    for (const auto& a : o.answers) {
        const auto& t = facts(a.test);
        if (!a.yes || !a.pinched || t.pinch_share <= 0 || !(t.tells.front().cause == c.cause)) continue;
        return abs(*a.pinched) * t.pinch_share;
    }
    return std::nullopt;
}

std::optional<Computed> worked_on_paper(const Computed& c)
{
    Work work = c.work;
    work.plan = plan_on_paper(work.plan);
    auto out = compute(std::move(work));
    return out ? std::optional{std::move(*out)} : std::nullopt;
}

}  // namespace

CanBe can_be_on(const Computed& c)
{
    std::vector<bool> there(adjustment_count, false);
    // What a sewn garment's folds come from is asked of the paper it was cut by.
    const auto on_paper = c.work.plan.sewn ? worked_on_paper(c) : std::nullopt;
    for (const auto& l : (on_paper ? *on_paper : c).lines) there[static_cast<std::size_t>(l.kind)] = true;
    return [there](const CauseFacts& f) { return there[static_cast<std::size_t>(f.cause.kind)]; };
}

std::vector<KnownOf> known_of(const Computed& c)
{
    std::vector<KnownOf> out;
    for (const auto& f : all_causes()) {
        const PlanLine* l = c.line(f.cause.kind);
        if (const auto what = l ? known(f.cause, *l) : std::nullopt) out.push_back({f.cause, *what});
    }
    return out;
}

Suggested suggested(const CauseFacts& f, const Observed& o, const Computed& c)
{
    const auto& row = adjustment(f.cause.kind);
    const auto within = [&](Length amount, AmountFrom from) {
        return Suggested{std::clamp(amount * static_cast<double>(f.cause.sign), row.least, row.most), from};
    };
    if (const auto p = pinched(f, o)) return within(*p, AmountFrom::Pinch);
    const PlanLine* l = c.line(f.cause.kind);
    const auto asked = l && l->state != LineState::Accepted ? proposed(f.cause, *l) : std::nullopt;
    if (asked && same_way(f.cause, *asked) && l->proposal->leave() != Leave::Noise)
        return within(abs(*asked), AmountFrom::Body);
    return within(first_step(f), AmountFrom::FirstStep);
}

}  // namespace sartorum
