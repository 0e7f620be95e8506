#include "core/fitting/from_hands.h"

#include <algorithm>
#include <functional>

#include "core/alter/frame/rows.h"
#include "core/alter/kit/catalogue.h"
#include "core/alter/lengths/rows.h"
#include "core/alter/widths/rows.h"
#include "core/fitting/amounts.h"

namespace sartorum {

namespace {
using enum AdjustmentKind;
}

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

bool can_be_found(ByHand what, std::string_view at, Face face, const Computed& c)
{
    const auto kind = made_of(what, at, c.work.plan.sewn);
    if (!can_be_done(kind, c)) return false;
    if (what != ByHand::WaistDart) return true;
    const Garment part = part_view(c.traced, c.line(kind)->part);
    const auto at_waist = front_and_back_at(part, Level::Waist);
    return at_waist && has_waist_dart(face == Face::Back ? at_waist->back : at_waist->front);
}

namespace {

constexpr Length agrees = Length::mm(1.5);  // with the paper: nobody pins nearer

bool said_of(const TryOn& t, ByHand what)
{
    return std::any_of(t.found.begin(), t.found.end(), [&](const Found& f) { return f.what == what; });
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
    out.decision = begun_from(c, *c.line(kind));
    bool moves = false;
    for (std::size_t i = 0; i < row.places.size(); ++i) {
        const auto& place = row.places[i];
        const auto after = [&](Side side) {
            auto by = found(place.key, side);
            if (!by && place.at_centre) by = found(place.key, other_side(side));
            moves = moves || abs(by.value_or(Length{})) >= agrees;
            const Length wanted = done_at(worn, kind, i, side) + by.value_or(Length{});
            if (!row.when_sewn) return wanted;  // what is much is said by the plan, what cannot be refused there
            const Length can = std::clamp(wanted, row.least, row.most);
            out.part_left = out.part_left || abs(wanted - can) >= agrees;
            return can;
        };
        out.decision.set_places(place.key, after(Side::Right), after(Side::Left));
    }
    return moves ? std::optional{std::move(out)} : std::nullopt;
}

// What was marked is where the waist is wanted, from where it stood on this toile.
std::optional<FromHands> from_waist_marks(const TryOn& t, const Computed& worn, const Computed& c)
{
    if (!said_of(t, ByHand::WaistMark)) return std::nullopt;
    return at_places(ByHand::WaistMark, made_of(ByHand::WaistMark, {}, c.work.plan.sewn), worn, c,
                     [&](std::string_view place, Side side) {
                         return found_at(t, ByHand::WaistMark, place, Face::Both, side);
                     });
}

// Taken off is the offcut less the extra allowance, at each end.
std::optional<FromHands> from_offcuts(const TryOn& t, const Computed& worn, const Computed& c)
{
    if (!said_of(t, ByHand::Offcut)) return std::nullopt;
    return at_places(
        ByHand::Offcut, PinnedShoulder, worn, c, [&](std::string_view place, Side side) -> std::optional<Length> {
            const Face face = place.starts_with("front") ? Face::Front : Face::Back;
            const auto strip = found_at(t, ByHand::Offcut, place.substr(place.find('_') + 1), face, side);
            return strip ? std::optional{toile_extra - *strip} : std::nullopt;
        });
}

// How far the dot takes the bust dart with it: down where its box goes along; and its tip further out, which makes
// it shorter by what lies in the dart's own way.
struct TakenAlong {
    Length down;
    Length shorter;
};
TakenAlong taken_by_dot(const TryOn& t, Side side, const Computed& c)
{
    const auto moved = [&](std::string_view place, AdjustmentKind kind) {
        const Length by = found_at(t, ByHand::BustDot, place, Face::Both, side).value_or(Length{});
        return abs(by) >= agrees && can_be_done(kind, c) ? by : Length{};
    };
    const PlanLine* depth = c.line(BustDepth);
    const bool box = depth && static_cast<BustDepthMethod>(depth->method) == BustDepthMethod::MoveBox;
    const Garment bodice = part_view(c.altered, c.line(PinnedBustDart)->part);
    const auto at_bust = front_and_back_at(bodice, Level::Bust);
    const auto way = at_bust ? bust_dart_way(at_bust->front) : std::nullopt;
    const Length out = moved("out", BustSpan);
    return {box ? moved("down", BustDepth) : Length{}, way ? out * -(*way)[Geom::X] : Length{}};
}

std::optional<FromHands> from_bust_dart(const TryOn& t, const Computed& worn, const Computed& c)
{
    if (!said_of(t, ByHand::BustDart)) return std::nullopt;
    return at_places(ByHand::BustDart, PinnedBustDart, worn, c,
                     [&](std::string_view place, Side side) -> std::optional<Length> {
                         const auto by = found_at(t, ByHand::BustDart, place, Face::Both, side);
                         if (!by) return std::nullopt;
                         const TakenAlong dot = taken_by_dot(t, side, c);
                         if (place == "place") return *by - dot.down;
                         return place == "length" ? *by + dot.shorter : *by;
                     });
}

std::optional<FromHands> from_waist_darts(const TryOn& t, const Computed& worn, const Computed& c)
{
    if (!said_of(t, ByHand::WaistDart)) return std::nullopt;
    return at_places(ByHand::WaistDart, PinnedWaistDarts, worn, c, [&](std::string_view place, Side side) {
        const Face face = place.starts_with("front") ? Face::Front : Face::Back;
        return found_at(t, ByHand::WaistDart, place.substr(place.find('_') + 1), face, side);
    });
}

std::optional<FromHands> plain(const Computed& worn, const Computed& c, ByHand what, AdjustmentKind kind,
                               Length right, Length left)
{
    if (std::max(abs(right), abs(left)) < agrees) return std::nullopt;
    FromHands out{what, NotPut::No, {}, false};
    const PlanLine* l = c.line(kind);
    if (!can_be_done(kind, c)) {
        out.not_put = NotPut::WithThisGarment;
        return out;
    }
    const auto& row = adjustment(kind);
    const PlanLine* had = worn.line(kind);
    const auto after = [&](const PlanLine* of, Length by) {
        const Length wanted = done_on(of, Face::Both) + by;
        const Length can = row.when_sewn ? std::clamp(wanted, row.least, row.most) : wanted;
        out.part_left = out.part_left || abs(wanted - can) >= agrees;
        return can;
    };
    const PlanLine* had_left = had ? worn.left_of(*had) : nullptr;
    const Length of_right = after(had, right);
    const Length of_left = after(had_left ? had_left : had, left);
    if (of_right == of_left || !one_sided(kind)) {
        out.decision = with_amount(c, *l, Face::Both, {}, of_right);
    } else {
        out.decision = with_amount(c, *l, Face::Both, Side::Right, of_right);
        out.decision.set({Face::Both, Side::Left}, of_left);
    }
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
        for (const auto place : places_of(what)) {
            const auto by = [&](Side side) {
                return found_at(t, what, place, Face::Both, side).value_or(Length{});
            };
            add(plain(worn, c, what, made_of(what, place, c.work.plan.sewn), by(Side::Right), by(Side::Left)));
        }
    }
    add(from_bust_dart(t, worn, c));
    add(from_waist_darts(t, worn, c));
    return out;
}

}  // namespace sartorum
