#include "core/fitting/into_plan.h"

#include <algorithm>
#include <array>
#include <functional>

#include "core/alter/bust_depth.h"
#include "core/alter/catalogue.h"
#include "core/alter/pinned_darts.h"
#include "core/alter/shoulder_slope.h"
#include "core/plan/otherwise.h"

namespace sartorum {
namespace {

using enum AdjustmentKind;

constexpr double gained_by_lowering = 1.4;
constexpr Length agrees = Length::mm(1.5);  // with the paper: nobody pins nearer
constexpr Length changed_since = Length::mm(0.5);

// A waist off its level in front: all of it at the centre, half on the way to the side.
constexpr std::array<double, 5> tilt_in_front{1, 0.5, 0, 0, 0};

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

// With that much on the faces meant, the others as they are.
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

// All of its places moved by a share of it each.
Decision with_places(const Computed& c, const PlanLine& l, std::span<const double> shares, Length by)
{
    Decision out = c.work.plan.taken(l.kind, {}, {});
    const auto& places = adjustment(l.kind).places;
    const PlanLine* other = c.left_of(l);
    const auto at = [&](const PlanLine& of, std::size_t i) {
        const bool accepted = of.state == LineState::Accepted && i < of.at.size();
        return (accepted ? of.at[i] : Length{}) + by * shares[i];
    };
    out.amounts.clear();
    for (std::size_t i = 0; i < places.size(); ++i) {
        const Length right = at(l, i);
        out.set_sides_at(places[i].key, right, other ? at(*other, i) : right);
    }
    return out;
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
    if (abs(now - out.before) >= changed_since) {
        out.not_put = NotPut::Since;
        out.after = now;
        return out;
    }
    if (!row.places.empty()) {
        out.after = std::clamp(out.before + by.amount, row.least, row.most);
        out.decision = with_places(c, l, tilt_in_front, out.after - out.before);
    } else if (by.from == AmountFrom::Body) {
        out.after = by.amount;
        out.decision = c.work.plan.taken(l.kind, {}, {});  // as it is proposed, on either side
        out.side.reset();
    } else {
        out.after = std::clamp(out.before + by.amount, row.least, row.most);
        out.decision = with_amount(c, l, cause.face, out.side, out.after);
    }
    if (abs(out.after - out.before) < Length::mm(0.05)) out.not_put = NotPut::AtMost;
    if (cause.method > 0) out.decision.method = cause.method;
    return out;
}

}  // namespace

AdjustmentKind made_of(ByHand what, std::string_view at, bool sewn)
{
    switch (what) {
        case ByHand::Offcut: return PinnedShoulder;
        case ByHand::WaistMark: return sewn ? SewnWaist : WaistLine;
        case ByHand::BustDot: return at == "down" ? BustDepth : BustSpan;
        case ByHand::BustDart: return PinnedBustDart;
        case ByHand::WaistDart: return PinnedWaistDarts;
        case ByHand::LetOut: break;
    }
    if (at == "waist") return sewn ? SewnWaistWidth : WidthAtWaist;
    if (at == "hip") return sewn ? SewnHipWidth : WidthAtHip;
    return at == "thigh" ? WidthAtThigh : UpperArm;
}

namespace {

bool can_be_done(AdjustmentKind kind, const Computed& c)
{
    return c.line(kind) && (!c.work.plan.sewn || adjustment(kind).when_sewn);
}

}  // namespace

bool can_be_found(ByHand what, std::string_view at, Face face, const Computed& c)
{
    const auto kind = made_of(what, at, c.work.plan.sewn);
    if (!can_be_done(kind, c)) return false;
    if (what != ByHand::WaistDart) return true;
    const Garment part = part_view(c.traced, c.line(kind)->part);
    return has_waist_dart(face == Face::Back ? back_of(part) : front_of(part));
}

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
        if (more < changed_since) continue;
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

namespace {

std::vector<const Found*> all_of(const TryOn& t, ByHand what)
{
    std::vector<const Found*> out;
    for (const auto& f : t.found) {
        if (f.what == what) out.push_back(&f);
    }
    return out;
}

// At that place, of that face and side, or as it is said of both; none where nothing is said.
std::optional<Length> found_at(const std::vector<const Found*>& all, std::string_view at, Face face, Side side)
{
    std::optional<Length> out;
    int best = -1;
    for (const auto* f : all) {
        const bool fits =
            f->at == at && (f->face == face || f->face == Face::Both) && (!f->side || f->side == side);
        const int how = (f->face == face ? 2 : 0) + (f->side ? 1 : 0);
        if (fits && how > best) {
            best = how;
            out = f->by;
        }
    }
    return out;
}

Length worn_at(const Computed& worn, AdjustmentKind kind, std::size_t place, Side side)
{
    const PlanLine* l = worn.line(kind);
    if (!l) return {};
    const PlanLine* left = side == Side::Left ? worn.left_of(*l) : nullptr;
    const PlanLine& of = left ? *left : *l;
    return of.state == LineState::Accepted && place < of.at.size() ? of.at[place] : Length{};
}

using FoundThere = std::function<std::optional<Length>(std::string_view place, Side)>;

// Each of its places moved from where it was worn by what was found there. Where both sides meet what was found on
// either is of both.
std::optional<FromHands> at_places(ByHand what, AdjustmentKind kind, const Computed& worn, const Computed& c,
                                   const FoundThere& found)
{
    FromHands out{what, NotPut::No, {}, false};
    if (!can_be_done(kind, c)) {
        out.not_put = NotPut::WithThisGarment;
        return out;
    }
    const auto& row = adjustment(kind);
    out.decision = c.work.plan.taken(kind, {}, {});
    out.decision.amounts.clear();
    bool moves = false;
    for (std::size_t i = 0; i < row.places.size(); ++i) {
        const auto& place = row.places[i];
        const auto after = [&](Side side) {
            auto by = found(place.key, side);
            if (!by && place.at_centre) by = found(place.key, other_side(side));
            moves = moves || abs(by.value_or(Length{})) >= agrees;
            const Length wanted = worn_at(worn, kind, i, side) + by.value_or(Length{});
            if (!row.when_sewn) return wanted;  // what is much is said by the plan, what cannot be refused there
            const Length can = std::clamp(wanted, row.least, row.most);
            out.part_left = out.part_left || abs(wanted - can) >= agrees;
            return can;
        };
        out.decision.set_sides_at(place.key, after(Side::Right), after(Side::Left));
    }
    return moves ? std::optional{std::move(out)} : std::nullopt;
}

// What was marked is where the waist is wanted, from where it stood on this toile.
std::optional<FromHands> from_waist_marks(const TryOn& t, const Computed& worn, const Computed& c)
{
    const auto all = all_of(t, ByHand::WaistMark);
    if (all.empty()) return std::nullopt;
    return at_places(ByHand::WaistMark, made_of(ByHand::WaistMark, {}, c.work.plan.sewn), worn, c,
                     [&](std::string_view place, Side side) { return found_at(all, place, Face::Both, side); });
}

// Taken off is the offcut less the extra allowance, at each end.
std::optional<FromHands> from_offcuts(const TryOn& t, const Computed& worn, const Computed& c)
{
    const auto all = all_of(t, ByHand::Offcut);
    if (all.empty()) return std::nullopt;
    return at_places(ByHand::Offcut, PinnedShoulder, worn, c,
                     [&](std::string_view place, Side side) -> std::optional<Length> {
                         const Face face = place.starts_with("front") ? Face::Front : Face::Back;
                         const auto strip = found_at(all, place.substr(place.find('_') + 1), face, side);
                         return strip ? std::optional{toile_extra - *strip} : std::nullopt;
                     });
}

// How far the dot takes the bust dart with it: down where its box goes along; and its tip further out, which makes
// it shorter by what lies in the dart's own way.
struct TakenAlong {
    Length down;
    Length shorter;
};
TakenAlong taken_by_dot(const TryOn& t, const Computed& c)
{
    const auto dot = all_of(t, ByHand::BustDot);
    const auto moved = [&](std::string_view place, AdjustmentKind kind) {
        const Length by = found_at(dot, place, Face::Both, Side::Right).value_or(Length{});
        return abs(by) >= agrees && can_be_done(kind, c) ? by : Length{};
    };
    const PlanLine* depth = c.line(BustDepth);
    const bool box = depth && static_cast<BustDepthMethod>(depth->method) == BustDepthMethod::MoveBox;
    const auto way = bust_dart_way(front_of(part_view(c.altered, PartKind::Upper)));
    const Length out = moved("out", BustSpan);
    return {box ? moved("down", BustDepth) : Length{}, way ? out * -(*way)[Geom::X] : Length{}};
}

std::optional<FromHands> from_bust_dart(const TryOn& t, const Computed& worn, const Computed& c)
{
    const auto all = all_of(t, ByHand::BustDart);
    if (all.empty()) return std::nullopt;
    const TakenAlong dot = can_be_done(PinnedBustDart, c) ? taken_by_dot(t, c) : TakenAlong{};
    return at_places(ByHand::BustDart, PinnedBustDart, worn, c,
                     [&](std::string_view place, Side side) -> std::optional<Length> {
                         const auto by = found_at(all, place, Face::Both, side);
                         if (!by) return std::nullopt;
                         if (place == "place") return *by - dot.down;
                         return place == "length" ? *by + dot.shorter : *by;
                     });
}

std::optional<FromHands> from_waist_darts(const TryOn& t, const Computed& worn, const Computed& c)
{
    const auto all = all_of(t, ByHand::WaistDart);
    if (all.empty()) return std::nullopt;
    return at_places(ByHand::WaistDart, PinnedWaistDarts, worn, c, [&](std::string_view place, Side side) {
        const Face face = place.starts_with("front") ? Face::Front : Face::Back;
        return found_at(all, place.substr(place.find('_') + 1), face, side);
    });
}

std::optional<FromHands> plain(const Computed& worn, const Computed& c, ByHand what, AdjustmentKind kind,
                               Length by)
{
    if (abs(by) < agrees) return std::nullopt;
    FromHands out{what, NotPut::No, {}, false};
    const PlanLine* l = c.line(kind);
    if (!can_be_done(kind, c)) {
        out.not_put = NotPut::WithThisGarment;
        return out;
    }
    const auto& row = adjustment(kind);
    const Length wanted = done_on(worn.line(kind), Face::Both) + by;
    const Length after = row.when_sewn ? std::clamp(wanted, row.least, row.most) : wanted;
    out.part_left = abs(wanted - after) >= agrees;
    out.decision = with_amount(c, *l, Face::Both, {}, after);
    return out;
}

}  // namespace

std::vector<FromHands> from_hands(const TryOn& t, const Computed& worn, const Computed& c)
{
    std::vector<FromHands> out;
    const auto add = [&](std::optional<FromHands> f) {
        if (!f) return;
        f->decision.seen_on = t.date;
        out.push_back(std::move(*f));
    };
    add(from_offcuts(t, worn, c));
    add(from_waist_marks(t, worn, c));
    for (const auto what : {ByHand::BustDot, ByHand::LetOut}) {
        for (const auto* f : all_of(t, what))
            add(plain(worn, c, what, made_of(what, f->at, c.work.plan.sewn), f->by));
    }
    add(from_bust_dart(t, worn, c));
    add(from_waist_darts(t, worn, c));
    return out;
}

}  // namespace sartorum
