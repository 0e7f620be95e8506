#include "core/plan/turn.h"

#include <algorithm>
#include <cmath>

#include "core/plan/adjustment_sequence.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

LineState state_of(const PlanLine& line, const Decision* decision)
{
    if (decision) return decision->answer == Answer::Accepted ? LineState::Accepted : LineState::Declined;
    if (!line.proposal) return LineState::NothingKnown;
    if (line.proposal->leave() != Leave::No) return LineState::LeaveIt;
    return line.by_itself ? LineState::Accepted : LineState::Proposed;
}

// What is asked for and cannot be done in this way; nothing of it may vanish.
std::optional<Refusal> beyond(const Adjustment& entry, const Decision& decision)
{
    const auto refused = [&](Why why) { return Refusal{.why = why, .field = std::string{entry.key}}; };
    for (const auto& a : decision.amounts) {
        if (!a.at.empty()) {
            const auto it = std::find_if(entry.places.begin(), entry.places.end(),
                                         [&](const AmountPlace& p) { return p.key == a.at; });
            if (it == entry.places.end()) return refused(Why::PlaceUnknown);
            if (a.side && it->at_centre) return refused(Why::SidesAlike);
        }
        if (a.side && entry.at_join == AtJoin::WholeGarment) return refused(Why::SidesAlike);
        const Side side = a.side.value_or(Side::Right);
        if (a.face != Face::Both && entry.acts_on != ActsOn::Apart && decision.on(side, Face::Both) != a.by)
            return refused(Why::FacesAlike);
    }
    return std::nullopt;
}

Length back_of(const Proposal& p)
{
    return p.back.value_or(p.amount);
}

// Nothing is asked for by a side without a proposal.
Length amount_of(const std::optional<Proposal>& p)
{
    return p ? p->amount : Length{};
}

Length back_amount(const std::optional<Proposal>& p)
{
    return p ? back_of(*p) : Length{};
}

Length at_place(const std::vector<Length>& at, std::size_t i)
{
    return i < at.size() ? at[i] : Length{};
}

Length apart_at(const std::vector<Length>& a, const std::vector<Length>& b)
{
    Length out;
    for (std::size_t i = 0; i < std::max(a.size(), b.size()); ++i)
        out = std::max(out, abs(at_place(a, i) - at_place(b, i)));
    return out;
}

Length apart_by(const TwoSides& asked)
{
    static const std::vector<Length> nowhere;
    const auto at = [](const std::optional<Proposal>& p) -> const std::vector<Length>& {
        return p ? p->at : nowhere;
    };
    if (!at(asked.right).empty() || !at(asked.left).empty()) return apart_at(at(asked.right), at(asked.left));
    return std::max(abs(amount_of(asked.right) - amount_of(asked.left)),
                    abs(back_amount(asked.right) - back_amount(asked.left)));
}

bool asks(const PlanLine& line)
{
    return line.proposal && line.proposal->leave() == Leave::No;
}

// The other side alone is what it was proposed for.
void ask_nothing(PlanLine& line)
{
    if (line.own_amount) return;
    line.amount = {};
    line.back = {};
    std::fill(line.at.begin(), line.at.end(), Length{});
}

// Her own at each place, where both sides meet only what is said of both; elsewhere as it is proposed.
void fill_places(PlanLine& line, const Adjustment& entry, const Decision* decision, Side side, bool from_proposal)
{
    std::vector<std::optional<Length>> own;
    for (const auto& place : entry.places) {
        const auto of = place.at_centre ? std::optional<Side>{} : std::optional{side};
        own.push_back(decision ? decision->at(of, place.key, place.plain) : std::nullopt);
    }
    line.own_amount = std::any_of(own.begin(), own.end(), [](const auto& l) { return l.has_value(); });
    for (std::size_t i = 0; i < own.size(); ++i) {
        line.at.push_back(own[i].value_or(from_proposal ? at_place(line.proposal->at, i) : Length{}));
    }
    line.amount = line.back = furthest(line.at);
}

void answered_as(PlanLine& line, const PlanLine& told)
{
    line.refusal = told.refusal;
    line.look_again = told.look_again;
    line.state = told.state;
    if (line.proposal || !told.proposal) return;
    line.proposal = told.proposal;
    line.proposal->amount = line.amount;
    line.proposal->at = line.at;
    if (told.proposal->back) line.proposal->back = line.back;
}

bool close(Length a, Length b)
{
    return abs(a - b) < least_by_hand;
}

Sided usual_sided(const TwoSides& asked)
{
    const Length apart = apart_by(asked);
    if (apart <= to_the_eye) return Sided::Alike;
    const bool at_places = asked.right && !asked.right->at.empty();
    const auto spread = [](const std::optional<Proposal>& p) { return p ? p->spread.in_mm() : 0; };
    const double noise = std::hypot(spread(asked.right), spread(asked.left));
    if (apart <= Length::mm(noise)) return Sided::WithinNoise;
    if (at_places) return Sided::Apart;  // one side cannot be padded to hang level
    const auto least = [](const std::optional<Proposal>& p) { return p ? p->least : Length{}; };
    return apart < std::max(least(asked.right), least(asked.left)) * 2.0 ? Sided::Larger : Sided::Apart;
}

}  // namespace

Sided sided(const Adjustment& entry, const TwoSides& asked, SidesWay way)
{
    const Sided usual = usual_sided(asked);
    if (usual == Sided::Alike || usual == Sided::WithinNoise) return usual;
    if (entry.at_centre == AtCentre::Together) return Sided::Together;
    if (way == SidesWay::Usual) return usual;
    return way == SidesWay::Apart ? Sided::Apart : Sided::Larger;
}

Side larger_side(const TwoSides& asked)
{
    const Length right = amount_of(asked.right) + back_amount(asked.right);
    const Length left = amount_of(asked.left) + back_amount(asked.left);
    return left > right ? Side::Left : Side::Right;
}

SidesWay sides_way(const Plan& plan, const Decision* decision)
{
    return decision && decision->sides != SidesWay::Usual ? decision->sides : plan.sides;
}

PlanLine line_of(const FittingTurn& turn, const FittingState& state, const std::optional<Proposal>& proposal,
                 Side side, const Plan& plan)
{
    const Adjustment& entry = *turn.adjustment;
    PlanLine line;
    line.kind = entry.kind;
    line.part = turn.part;
    line.method = state.method;
    line.proposal = proposal;
    const Decision* decision = plan.decision(entry.kind, turn.part);
    line.by_itself = entry.apply_across && !decision;
    line.noted = entry.noted && entry.noted(state.body.posture);
    line.state = state_of(line, decision);
    const bool works_at_zero = zero_works(entry, line.method);
    const bool from_proposal = line.proposal && !works_at_zero;
    const auto own = [&](Face face) { return decision ? decision->on(side, face) : std::nullopt; };
    line.own_amount = own(Face::Front).has_value() || own(Face::Back).has_value();
    line.amount = own(Face::Front).value_or(from_proposal ? line.proposal->amount : Length{});
    line.back = own(Face::Back).value_or(from_proposal ? back_of(*line.proposal) : Length{});
    if (!entry.places.empty()) fill_places(line, entry, decision, side, from_proposal);
    // Accepted with nothing left to do (the measure was corrected since) changes no paper.
    const bool nothing = line.amount == Length{} && line.back == Length{} && !line.own_amount && !works_at_zero;
    if (line.state == LineState::Accepted) {
        if (decision) line.seen_on = decision->seen_on;
        if (nothing) line.state = LineState::NothingKnown;
        if (decision && (line.refusal = beyond(entry, *decision))) line.state = LineState::Refused;
        if (asks_to_look_again(line)) line.look_again = changed_above(plan, entry.kind);
    }
    return line;
}

void agree(const Adjustment& entry, PlanLine& right, PlanLine& left)
{
    if (asks(right) != asks(left)) ask_nothing(asks(right) ? left : right);
    const bool drawn_alike = close(right.amount, left.amount) && close(right.back, left.back) &&
                             apart_at(right.at, left.at) < least_by_hand;
    const bool together = entry.at_centre == AtCentre::Together;
    const bool exact = entry.apply_across || right.own_amount || left.own_amount;
    if (together || (drawn_alike && !exact)) {
        const bool at_places = !right.at.empty();
        right.amount = left.amount = at_places ? right.amount : std::max(right.amount, left.amount);
        right.back = left.back = at_places ? right.back : std::max(right.back, left.back);
        left.at = right.at;
    }
    answer_alike(right, left);
}

void answer_alike(PlanLine& right, PlanLine& left)
{
    using enum LineState;
    for (const auto state : {Refused, Accepted, Proposed, LeaveIt}) {
        if (right.state != state && left.state != state) continue;
        if (right.state == state)
            answered_as(left, right);
        else
            answered_as(right, left);
        break;
    }
}

bool unlike(const PlanLine& right, const PlanLine& left)
{
    return right.amount != left.amount || right.back != left.back || right.at != left.at;
}

}  // namespace sartorum
