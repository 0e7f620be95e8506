#include "core/plan/side_lane.h"

#include <algorithm>
#include <exception>
#include <new>
#include <utility>

#include "core/alter/kit/follower_drawing.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/part_rules.h"
#include "core/plan/band_notches.h"

namespace sartorum {

namespace {

void add_difference(Consequences& out, const FlatMeasures& before, const FlatMeasures& after)
{
    for (const auto& row : all_garment_measures()) {
        auto& by = out.by[static_cast<std::size_t>(row.measure)];
        if (after.has(row.measure)) by += after.of(row.measure) - before.of(row.measure);
    }
}

// More than the way usually carries.
void add_unusual(PlanLine& line, const Adjustment& entry, const Dose& dose)
{
    for (const auto amount : {dose.front, dose.back}) {
        const auto bound = usual_passed(entry, dose.method, amount);
        if (bound) return line.cautions.push_back({CautionKind::Amount, amount, *bound});
    }
}

// Some edge of this side of a seam is another line than it was.
bool moved_there(const std::vector<Piece>& was, const std::vector<Piece>& is, const std::vector<SeamSide>& side)
{
    return std::any_of(side.begin(), side.end(), [&](const SeamSide& s) {
        const Piece* before = find_piece(was, s.piece);
        const Piece* after = find_piece(is, s.piece);
        return before && after && !same_edges(*before, *after, s.role);
    });
}

}  // namespace

const Piece& piece_in(const Standing& standing, const Piece& traced)
{
    const std::vector<Piece>* among = standing.others.get();
    for (const auto& p : standing.parts) {
        if (p.kind == traced.part) among = &p.now->pieces;
    }
    return *find_piece(*among, traced.id);
}

std::size_t Lane::part_at(PartKind kind) const
{
    const auto& parts = standing->parts;
    return static_cast<std::size_t>(
        std::find_if(parts.begin(), parts.end(), [&](const PartState& p) { return p.kind == kind; }) -
        parts.begin());
}

bool Lane::asked_of(const Adjustment& entry, PartKind kind) const
{
    const Garment& now = *part(kind).now;
    const auto& joins = ground_.joins;
    const auto has = [&](auto what) { return std::any_of(joins.begin(), joins.end(), what); };
    const bool below = has([&](const Trail::Join& j) { return j.below == kind; });
    const bool joined = below || has([&](const Trail::Join& j) { return j.above == kind; });
    // A waist seam is moved where something hangs from the shoulders above it.
    const bool shouldered = has_level(*standing->parts.front().now, Level::Shoulder);
    if (entry.at_join == AtJoin::Joined && !shouldered) return false;
    return joined ? serves_joined(entry, now, below) : serves(entry, now);
}

std::optional<Across> Lane::across_for(PartKind below) const
{
    for (const auto& join : ground_.joins) {
        if (join.below == below) return Across{*part(join.above).now, join.joint};
    }
    return std::nullopt;
}

FittingState Lane::state_before(const FittingTurn& turn, const BodySet& body, const Across* above) const
{
    const PartState& p = part(turn.part);
    FittingState s{.traced = *p.traced,
                   .now = *p.now,
                   .body = body,
                   .chart = ground_.chart,
                   .sizes = ground_.sizes,
                   .ease = plan_.ease,
                   .cloth = plan_.cloth,
                   .traced_flat = p.traced_flat,
                   .now_flat = p.measured.flat(),
                   .across = above,
                   .school = ground_.school};
    const Decision* decision = plan_.decision(turn.adjustment->kind, turn.part);
    s.method = decision && decision->method ? *decision->method : usual_method(*turn.adjustment, s.now);
    s.done = p.done;
    s.done_back = p.done_back;
    s.carried = p.carried;
    s.band = band_above_seam(*standing->others);
    s.both_sides = &ground_.body;
    s.waist_moved_by = p.waist_moved_by;
    for (const auto& line : lines_) {
        if (line.part == p.kind) s.open[static_cast<std::size_t>(line.kind)] = line.state == LineState::Proposed;
    }
    return s;
}

void Lane::carry(PartKind kind, AdjustmentKind to, Length amount)
{
    auto next = std::make_shared<Standing>(*standing);
    next->parts[part_at(kind)].carried[static_cast<std::size_t>(to)] = amount;
    standing = std::move(next);
}

Length Lane::carried(PartKind kind, AdjustmentKind to) const
{
    return part(kind).carried[static_cast<std::size_t>(to)];
}

std::optional<Attempted> Lane::attempt(const FittingTurn& turn, const Across* above, const PlanLine& line) const
{
    const Adjustment& entry = *turn.adjustment;
    const bool taken = line.state == LineState::Accepted;
    const Length with = carried(turn.part, entry.kind);
    Dose dose{(taken ? line.amount : Length{}) + with, (taken ? line.back : Length{}) + with, line.method};
    if (taken) dose.at = line.at;
    if (dose.front == Length{} && dose.back == Length{} && !(taken && zero_works(entry, line.method)))
        return std::nullopt;
    const bool as_proposed =
        taken && !line.own_amount && line.proposal && dose.front == line.amount && dose.back == line.back;
    return attempted({entry, *part(turn.part).now, above}, dose, as_proposed ? &*line.proposal : nullptr);
}

Outcome<Lane::Others> Lane::followed(Applied& applied, PartKind kind) const
{
    const Garment& was = *part(kind).now;
    Others others = standing->others;
    for (const auto& seam : ground_.followers) {
        if (seam.follow != Follow::Length) continue;
        if (!moved_there(was.pieces, applied.garment.pieces, seam.a)) continue;
        const Length change =
            (side_length(applied.garment.pieces, seam.a) - side_length(was.pieces, seam.a)) * seam.fullness;
        auto next = std::make_shared<std::vector<Piece>>(*others);
        const auto& b = seam.b.front();
        const auto band =
            std::find_if(next->begin(), next->end(), [&](const Piece& x) { return x.id == b.piece; });
        const auto marks = marks_met(*band, seam, was.pieces);
        const std::size_t before = applied.steps.size();
        if (const auto ok = follow_length(applied.steps, *band, b.role, change); !ok)
            return tl::make_unexpected(ok.error());
        const bool longer = applied.steps.size() > before;
        const auto marked = mark_again(*band, seam, applied.garment.pieces, marks);
        if (marked.by < least_redrawn && !longer) continue;
        if (longer)
            applied.steps.back().picture.panels = {*band};
        else
            applied.steps.push_back(step_on(*band, StepKind::MarkBand, marked.by, marked.place));
        others = std::move(next);
    }
    return others;
}

void Lane::commit(const FittingTurn& turn, PlanLine& line, Attempted done, Others others)
{
    const std::size_t at = part_at(turn.part);
    const PartState& was = standing->parts[at];
    Applied& applied = *done.applied;
    for (auto& piece : applied.garment.pieces) drop_slivers(piece);
    auto next = std::make_shared<Standing>(*standing);
    PartState& p = next->parts[at];
    p.measured.take_again(was.now->pieces, applied.garment.pieces);
    add_difference(line.changed, was.measured.flat(), p.measured.flat());
    if (others != standing->others) {
        next->others_measured.take_again(*standing->others, *others);
        add_difference(line.changed, standing->others_measured.flat(), next->others_measured.flat());
    }
    line.steps = applied.steps.size();
    line.cautions = std::move(applied.cautions);
    add_unusual(line, *turn.adjustment, done.dose);
    p.done[static_cast<std::size_t>(line.kind)] = done.dose.front;
    p.done_back[static_cast<std::size_t>(line.kind)] = done.dose.back;
    if (turn.adjustment->at_waist_stations) {
        p.waist_moved_by.resize(done.dose.at.size());
        for (std::size_t i = 0; i < done.dose.at.size(); ++i) p.waist_moved_by[i] += done.dose.at[i];
    }
    p.now = std::make_shared<const Garment>(std::move(applied.garment));
    next->others = std::move(others);
    std::move(applied.steps.begin(), applied.steps.end(), std::back_inserter(steps_));
    standing = std::move(next);
}

bool Lane::taken_over(std::size_t turn, const FittingTurn& of, PlanLine& line, const LastTime& last,
                      LastSide& here)
{
    if (of.adjustment->reads_above || turn + 1 >= last.stops.size()) return false;
    const auto& stop = last.stops[turn];
    const auto& after = last.stops[turn + 1];
    const auto stood = [&](const Trail::Stop& s) { return side == Side::Left && s.left ? s.left : s.standing; };
    const auto before = stood(stop);
    const auto behind = stood(after);
    if (!before || !behind || after.lines != stop.lines + 1) return false;
    const std::size_t at = part_at(of.part);
    const PartState& was = before->parts[at];
    const PartState& now = standing->parts[at];
    const PlanLine& old = here.lines[stop.lines - last.first_line];
    const bool same_paper_now = was.now == now.now && before->others == standing->others;
    const bool same_before = was.done == now.done && was.done_back == now.done_back &&
                             was.carried == now.carried && was.waist_moved_by == now.waist_moved_by;
    const bool same_asked = old.kind == line.kind && old.part == line.part && old.amount == line.amount &&
                            old.back == line.back && old.at == line.at && old.method == line.method;
    // Done then, and not left to be done together with another.
    const bool done = behind->parts[at].now != was.now;
    const bool went_well = done && old.state == LineState::Accepted && line.state == old.state && !old.short_of;
    if (!same_paper_now || !same_before || !same_asked || !went_well) return false;
    line.cautions = old.cautions;
    line.changed = old.changed;
    line.steps = old.steps;
    const auto first = here.steps.begin() + static_cast<std::ptrdiff_t>(old.first_step - here.first_step);
    std::move(first, first + static_cast<std::ptrdiff_t>(old.steps), std::back_inserter(steps_));
    auto next = std::make_shared<Standing>(*standing);
    next->parts[at] = behind->parts[at];
    next->others = behind->others;
    next->others_measured = behind->others_measured;
    standing = std::move(next);
    return true;
}

}  // namespace sartorum
