#include "core/fitting/into_plan.h"

#include <algorithm>
#include <array>

#include "core/alter/frame/rows.h"
#include "core/alter/kit/catalogue.h"
#include "core/fitting/amounts.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

using enum AdjustmentKind;

constexpr double gained_by_lowering = 1.4;

// A waist off its level in front: all of it at the centre, half on the way to the side.
constexpr std::array<double, 5> tilt_in_front{1, 0.5, 0, 0, 0};

// All of its places moved by a share of it each.
Decision with_places(const Computed& c, const PlanLine& l, std::span<const double> shares, Length by)
{
    Decision out = begun_from(c, l);
    const auto& places = adjustment(l.kind).places;
    for (std::size_t i = 0; i < places.size(); ++i) {
        if (shares[i] == 0) continue;
        const auto after = [&](Side side) { return done_at(c, l.kind, i, side) + by * shares[i]; };
        out.set_places(places[i].key, after(Side::Right), after(Side::Left));
    }
    return out;
}

// Accepted as it is proposed puts in what is shown, and nothing else: it may go with the body from then on.
bool proposed_just_so(const PlanLine& l, const Computed& c, Length amount)
{
    const Decision* d = c.work.plan.decision(l.kind, l.part);
    if ((d && !d->amounts.empty()) || adjustment(l.kind).acts_on == ActsOn::Apart) return false;
    const PlanLine* left = c.left_of(l);
    const auto so = [&](const PlanLine& of) {
        return of.proposal && abs(of.proposal->amount - amount) < to_the_eye;
    };
    return so(l) && (!left || so(*left));
}

bool other_way(const CauseFacts& f, const PlanLine& l, const Computed& c)
{
    const Decision* d = c.work.plan.decision(l.kind, l.part);
    const bool taken = l.state == LineState::Accepted && d && (l.amount != Length{} || l.back != Length{});
    const bool by_way = l.kind == ShoulderSlope;  // at one end or at the other
    return by_way && taken && l.method != f.cause.method;
}

Length worn_on(const Computed& worn, const PlanLine& now, const Cause& cause, std::optional<Side> side)
{
    const PlanLine* l = worn.line(now.kind);
    if (!l) return {};
    const PlanLine* left = side == Side::Left ? worn.left_of(*l) : nullptr;
    const PlanLine& of = left ? *left : *l;
    if (adjustment(now.kind).places.empty()) return done_on(&of, cause.face);
    return of.state == LineState::Accepted && !of.at.empty() ? of.at.front() : Length{};
}

ForPlan put(const Cause& cause, const PlanLine& l, Suggested by, std::optional<Side> side, const Computed& worn,
            const Computed& c)
{
    const auto& row = adjustment(l.kind);
    ForPlan out;
    out.from = by.from;
    out.side = one_sided(l.kind) ? side : std::nullopt;
    out.before = worn_on(worn, l, cause, out.side);
    const Length now = worn_on(c, l, cause, out.side);
    if (abs(now - out.before) >= least_by_hand) {
        out.not_put = NotPut::Since;
        out.after = now;
        return out;
    }
    if (!row.places.empty()) {
        out.after = std::clamp(out.before + by.amount, row.least, row.most);
        out.decision = with_places(c, l, tilt_in_front, out.after - out.before);
    } else if (by.from == AmountFrom::Body) {
        out.after = by.amount;
        out.side.reset();
        out.decision = proposed_just_so(l, c, by.amount) ? c.work.plan.accepting(l.kind, l.part)
                                                         : with_amount(c, l, cause.face, {}, by.amount);
    } else {
        out.after = std::clamp(out.before + by.amount, row.least, row.most);
        out.decision = with_amount(c, l, cause.face, out.side, out.after);
    }
    if (abs(out.after - out.before) < Length::mm(0.05)) out.not_put = NotPut::AtMost;
    if (cause.method > 0) out.decision.method = cause.method;
    return out;
}

}  // namespace

std::optional<AdjustmentKind> with_a_sewn_garment(const Cause& c)
{
    switch (c.kind) {
        case WidthAtWaist: return SewnWaistWidth;
        case WidthAtHip: return SewnHipWidth;
        case WaistLine: return c.sign < 0 ? std::optional{SewnWaist} : std::nullopt;
        case BodyRise:
        case CrotchWedge:
        case CrotchPoint: return c.sign > 0 ? std::optional{SewnCrotch} : std::nullopt;
        default: return std::nullopt;
    }
}

std::vector<KnownOf> known_of(const Computed& worn, const Computed* before, const TryOn& t)
{
    auto out = known_of(worn);
    if (!before) return out;
    for (const auto& f : all_causes()) {
        const PlanLine* now = worn.line(f.cause.kind);
        const PlanLine* then = before->line(f.cause.kind);
        if (!now) continue;
        const auto done = [&](const PlanLine* l) {
            return l && !l->at.empty() ? furthest(l->at) : done_on(l, f.cause.face);
        };
        const Length more = (done(now) - (then ? done(then) : Length{})) * static_cast<double>(f.cause.sign);
        if (more < least_by_hand) continue;
        bool less = false;
        bool same = false;
        for (const auto& n : t.notes) {
            if (how_often(f, n.seen.sight) < HowOften::Sometimes) continue;
            less = less || n.since == Since::Less || n.since == Since::Gone;
            same = same || n.since == Since::Same || n.since == Since::More;
        }
        if (less == same) continue;
        std::erase_if(out, [&](const KnownOf& k) { return k.cause == f.cause; });
        out.push_back({f.cause, less ? Known::Helped : Known::HelpedNot});
    }
    return out;
}

std::optional<Side> seen_on_side(const CauseFacts& f, const Observed& o)
{
    std::optional<Side> side;
    for (const auto& s : o.seen) {
        if (how_often(f, s.sight) == HowOften::Never) continue;
        if (!s.side || (side && side != s.side)) return std::nullopt;
        side = s.side;
    }
    return side;
}

ForPlan for_plan(const CauseFacts& f, const Observed& o, const Computed& worn, const Computed& c,
                 const std::string& toile)
{
    ForPlan out;
    Cause cause = f.cause;
    Suggested by = suggested(f, o, worn);
    if (c.work.plan.sewn) {
        const auto kind = with_a_sewn_garment(cause);
        if (!kind || !c.line(*kind)) {
            out.not_put = NotPut::WithThisGarment;
            return out;
        }
        if (*kind == SewnCrotch) by.amount = by.amount * (1 / gained_by_lowering);
        if (by.from == AmountFrom::Body) by.from = AmountFrom::FirstStep;
        cause = {*kind, cause.sign, Face::Both, 0};
    }
    const PlanLine* l = c.line(cause.kind);
    if (!l || other_way(f, *l, c)) {
        out.not_put = l ? NotPut::OtherWay : NotPut::WithThisGarment;
        return out;
    }
    out = put(cause, *l, by, seen_on_side(f, o), worn, c);
    out.decision.seen_on = toile;
    return out;
}

bool waits_for_next(const CauseFacts& f, const Observed& o, const Plan& plan, const std::string& toile)
{
    if (toile.empty()) return false;
    for (const auto& d : plan.decisions) {
        if (d.seen_on != toile || d.kind == f.cause.kind || d.answer != Answer::Accepted) continue;
        for (const auto& taken : all_causes()) {
            const bool of_it = taken.cause.kind == d.kind ||
                               (plan.sewn && with_a_sewn_garment(taken.cause) == std::optional{d.kind});
            if (!of_it) continue;
            const bool hides = std::any_of(o.seen.begin(), o.seen.end(), [&](const Seen& s) {
                return how_often(taken, s.sight) != HowOften::Never && how_often(f, s.sight) != HowOften::Never;
            });
            if (hides || taken.stage < f.stage) return true;
        }
    }
    return false;
}

}  // namespace sartorum
