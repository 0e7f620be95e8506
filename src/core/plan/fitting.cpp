#include "core/plan/fitting.h"

#include <algorithm>
#include <cmath>
#include <exception>
#include <new>
#include <utility>

#include "core/alter/follow.h"
#include "core/paper/facing.h"
#include "core/pattern/part_rules.h"
#include "core/plan/doing.h"
#include "core/plan/marks_met.h"

namespace sartorum {

bool accepted(const Plan& plan, AdjustmentKind kind, PartKind part)
{
    const Decision* d = plan.decision(kind, part);
    return d && d->answer == Answer::Accepted;
}

std::optional<AdjustmentKind> changed_above(const Plan& plan, AdjustmentKind kind)
{
    std::optional<AdjustmentKind> out;
    bool after = false;
    for (const auto& d : plan.decisions) {
        if (after && comes_before(d.kind, kind) && d.answer == Answer::Accepted) out = d.kind;
        after = after || d.kind == kind;
    }
    return out;
}

bool asks_to_look_again(const PlanLine& line)
{
    return line.state == LineState::Accepted || line.state == LineState::Refused;
}

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
    const auto refused = [&](Why why) { return Refusal{why, std::string{entry.key}, {}, {}, {}, 0}; };
    for (const auto& a : decision.amounts) {
        if (!a.at.empty()) return refused(Why::PlaceUnknown);
        if (a.side) return refused(Why::SidesAlike);
        if (a.face != Face::Both && entry.acts_on != ActsOn::Apart && decision.amount() != a.by)
            return refused(Why::FacesAlike);
    }
    return std::nullopt;
}

PlanLine line_of(const FittingTurn& turn, FittingState state, const Plan& plan, bool doubted)
{
    const Adjustment& entry = *turn.adjustment;
    PlanLine line;
    line.kind = entry.kind;
    line.part = turn.part;
    const Decision* decision = plan.decision(entry.kind, turn.part);
    line.method = decision && decision->method ? *decision->method : usual_method(entry, state.now);
    state.method = line.method;
    if (entry.propose && !doubted) line.proposal = entry.propose(state);
    line.by_itself = entry.apply_across && !decision;
    line.noted = entry.noted && entry.noted(state.body.posture);
    line.state = state_of(line, decision);
    const bool works_at_zero = zero_works(entry, line.method);
    const bool asks = line.proposal && !works_at_zero;
    const Length proposed = asks ? line.proposal->amount : Length{};
    const Length proposed_back = asks ? line.proposal->back.value_or(proposed) : Length{};
    const auto own = [&](Face face) {
        const auto of_face = decision ? decision->of(face) : std::nullopt;
        return of_face || !decision ? of_face : decision->amount();
    };
    line.own_amount = own(Face::Front).has_value();
    line.amount = own(Face::Front).value_or(proposed);
    line.back = own(Face::Back).value_or(proposed_back);
    // Accepted with nothing left to do (the measure was corrected since) changes no paper.
    const bool nothing = line.amount == Length{} && line.back == Length{} && !line.own_amount && !works_at_zero;
    if (line.state == LineState::Accepted) {
        if (nothing) line.state = LineState::NothingKnown;
        if (decision && (line.refusal = beyond(entry, *decision))) line.state = LineState::Refused;
        if (asks_to_look_again(line)) line.look_again = changed_above(plan, entry.kind);
    }
    return line;
}

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
    const auto usual = usual_amounts(entry, dose.method);
    for (const auto amount : {dose.front, dose.back}) {
        const bool over = amount > usual.most;
        if (!over && amount >= usual.least) continue;
        line.cautions.push_back({CautionKind::Amount, amount, over ? usual.most : usual.least});
        return;
    }
}

PartState started(const Garment& garment, PartKind kind)
{
    const auto view = std::make_shared<const Garment>(part_view(garment, kind));
    Measured measured{view->pieces};
    const FlatMeasures flat = measured.flat();
    return {kind, view, view, std::move(measured), flat, {}, {}, {}};
}

const Piece& piece_in(const Standing& standing, const Piece& traced)
{
    const std::vector<Piece>* among = standing.others.get();
    for (const auto& p : standing.parts) {
        if (p.kind == traced.part) among = &p.now->pieces;
    }
    return *find_piece(*among, traced.id);
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

// Takes a garment through the adjustments, from one of its turns on.
class Fitting {
public:
    Fitting(Computed& out, Trail& trail, LastTime* last)
        : out_{out}, trail_{trail}, ground_{*trail.ground}, last_{last}
    {
    }

    // What the garment comes to; how it stood between is kept only where it will be asked for.
    std::shared_ptr<const Standing> from(std::size_t turn, bool keep)
    {
        standing_ = trail_.before[turn].standing;
        out_.not_made = ground_.not_made;
        for (std::size_t i = turn; i < ground_.order.size(); ++i) {
            if (keep) trail_.before[i] = {standing_, out_.lines.size(), out_.steps.size()};
            take(i);
        }
        if (keep) trail_.before.back() = {standing_, out_.lines.size(), out_.steps.size()};
        draw_facings();
        return std::move(standing_);
    }

private:
    const Plan& plan() const { return out_.work.plan; }

    std::size_t part_at(PartKind kind) const
    {
        const auto& parts = standing_->parts;
        return static_cast<std::size_t>(
            std::find_if(parts.begin(), parts.end(), [&](const PartState& p) { return p.kind == kind; }) -
            parts.begin());
    }

    void take(std::size_t i)
    {
        const FittingTurn& turn = ground_.order[i];
        const Adjustment& entry = *turn.adjustment;
        const std::size_t at = part_at(turn.part);
        const PartState& p = standing_->parts[at];
        const auto across = across_for(turn.part);
        if (!asked_of(entry, turn.part, across.has_value())) return;
        const Across* above = across ? &*across : nullptr;
        PlanLine line = line_of(turn, state_before(p, above), plan(), ground_.doubted);
        line.first_step = out_.steps.size();
        if (line.state == LineState::Proposed) hold_to_paper({entry, *p.now, above}, line);
        const bool taken = line.state == LineState::Accepted;
        if (taken && entry.joins && accepted(plan(), *entry.joins, turn.part)) {
            auto next = std::make_shared<Standing>(*standing_);
            next->parts[at].carried[static_cast<std::size_t>(*entry.joins)] = line.amount;
            standing_ = std::move(next);
        } else if (const Length with = p.carried[static_cast<std::size_t>(entry.kind)];
                   taken || with != Length{}) {
            const Dose dose{(taken ? line.amount : Length{}) + with, (taken ? line.back : Length{}) + with,
                            line.method};
            if (!taken_over(i, entry, line, at)) apply({entry, *p.now, above}, dose, line, at);
        }
        out_.lines.push_back(std::move(line));
    }

    // Nothing is proposed that cannot be done once it is accepted.
    static void hold_to_paper(const Doing& doing, PlanLine& line)
    {
        const auto result = tried(doing, {line.amount, line.back, line.method}, &*line.proposal);
        if (!result.applied) {
            line.state = LineState::NotOnPaper;
            line.refusal = result.applied.error();
            return;
        }
        line.amount = result.dose.front;
        line.back = result.dose.back;
        line.short_of = result.short_of;
    }

    bool asked_of(const Adjustment& entry, PartKind part, bool below) const
    {
        const Garment& now = *standing_->parts[part_at(part)].now;
        const auto joins_it = [&](const Trail::Join& j) { return j.above == part || j.below == part; };
        const bool joined = std::any_of(ground_.joins.begin(), ground_.joins.end(), joins_it);
        // A waist seam is moved where something hangs from the shoulders above it.
        const bool shouldered = has_level(front_of(*standing_->parts.front().now), Level::Shoulder);
        if (entry.at_join == AtJoin::Joined && !shouldered) return false;
        return joined ? serves_joined(entry, now, below) : serves(entry, now);
    }

    std::optional<Across> across_for(PartKind below) const
    {
        for (const auto& join : ground_.joins) {
            if (join.below == below) return Across{*standing_->parts[part_at(join.above)].now, join.joint};
        }
        return std::nullopt;
    }

    FittingState state_before(const PartState& p, const Across* above) const
    {
        FittingState s{*p.traced,    *p.now,        ground_.body,      ground_.chart, ground_.sizes, plan().ease,
                       plan().cloth, p.traced_flat, p.measured.flat(), above,         ground_.school};
        s.done = p.done;
        s.done_back = p.done_back;
        s.carried = p.carried;
        for (const auto& line : out_.lines) {
            if (line.part == p.kind)
                s.open[static_cast<std::size_t>(line.kind)] = line.state == LineState::Proposed;
        }
        return s;
    }

    // The same piece of paper, and the same to be done with it, as the last time: then so is what comes of it.
    bool taken_over(std::size_t i, const Adjustment& entry, PlanLine& line, std::size_t at)
    {
        if (!last_ || entry.reads_above || i + 1 >= last_->stops.size()) return false;
        const auto& stop = last_->stops[i];
        const auto& after = last_->stops[i + 1];
        if (!stop.standing || !after.standing || after.lines != stop.lines + 1) return false;
        const PartState& was = stop.standing->parts[at];
        const PartState& now = standing_->parts[at];
        const PlanLine& old = last_->lines[stop.lines - last_->first_line];
        const bool same_paper_now = was.now == now.now && stop.standing->others == standing_->others;
        const bool same_before =
            was.done == now.done && was.done_back == now.done_back && was.carried == now.carried;
        const bool same_asked = old.kind == line.kind && old.part == line.part && old.amount == line.amount &&
                                old.back == line.back && old.method == line.method;
        // Done then, and not left to be done together with another.
        const bool done = after.standing->parts[at].now != was.now;
        const bool went_well =
            done && old.state == LineState::Accepted && line.state == old.state && !old.short_of;
        if (!same_paper_now || !same_before || !same_asked || !went_well) return false;
        line.cautions = old.cautions;
        line.changed = old.changed;
        line.steps = old.steps;
        const auto first = last_->steps.begin() + static_cast<std::ptrdiff_t>(old.first_step - last_->first_step);
        std::move(first, first + static_cast<std::ptrdiff_t>(old.steps), std::back_inserter(out_.steps));
        auto next = std::make_shared<Standing>(*standing_);
        next->parts[at] = after.standing->parts[at];
        next->others = after.standing->others;
        next->others_measured = after.standing->others_measured;
        standing_ = std::move(next);
        return true;
    }

    void apply(const Doing& doing, Dose dose, PlanLine& line, std::size_t at)
    {
        const Adjustment& entry = doing.entry;
        const Garment& was = doing.was;
        if (dose.front == Length{} && dose.back == Length{} && !zero_works(entry, line.method)) return;
        const bool as_proposed = line.state == LineState::Accepted && !line.own_amount && line.proposal &&
                                 dose.front == line.amount && dose.back == line.back;
        auto result = tried(doing, dose, as_proposed ? &*line.proposal : nullptr);
        auto& applied = result.applied;
        if (result.short_of) {
            dose = result.dose;
            line.amount = dose.front;
            line.back = dose.back;
            line.short_of = result.short_of;
        }
        std::shared_ptr<const std::vector<Piece>> others = standing_->others;
        if (applied) {
            if (const auto ok = follow(*applied, was, others); !ok) applied = tl::make_unexpected(ok.error());
        }
        if (!applied) {
            line.state = LineState::Refused;
            line.refusal = applied.error();
            return;
        }
        auto next = std::make_shared<Standing>(*standing_);
        PartState& p = next->parts[at];
        p.measured.take_again(was.pieces, applied->garment.pieces);
        add_difference(line.changed, standing_->parts[at].measured.flat(), p.measured.flat());
        if (others != standing_->others) {
            next->others_measured.take_again(*standing_->others, *others);
            add_difference(line.changed, standing_->others_measured.flat(), next->others_measured.flat());
        }
        line.steps = applied->steps.size();
        line.cautions = std::move(applied->cautions);
        add_unusual(line, entry, dose);
        p.done[static_cast<std::size_t>(entry.kind)] = dose.front;
        p.done_back[static_cast<std::size_t>(entry.kind)] = dose.back;
        p.now = std::make_shared<const Garment>(std::move(applied->garment));
        next->others = std::move(others);
        std::move(applied->steps.begin(), applied->steps.end(), std::back_inserter(out_.steps));
        standing_ = std::move(next);
    }

    // What is sewn to a changed edge goes with it, at once: it is part of the same adjustment.
    Outcome<bool> follow(Applied& applied, const Garment& was,
                         std::shared_ptr<const std::vector<Piece>>& others) const
    {
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
            if (const auto ok = follow_length(applied.steps, *band, b.role, change); !ok) return ok;
            const bool longer = applied.steps.size() > before;
            const auto marked = mark_again(*band, seam, applied.garment.pieces, marks);
            if (marked.by < least_redrawn && !longer) continue;
            if (longer)
                applied.steps.back().picture.panels = {*band};
            else
                applied.steps.push_back(step_on(*band, StepKind::MarkBand, marked.by, marked.place));
            others = std::move(next);
        }
        return true;
    }

    // Last of all, from the final edges: what lies under them.
    void draw_facings()
    {
        const auto is_shaped = [](const Seam& s) {
            return s.follow == Follow::Shape || s.follow == Follow::Whole;
        };
        if (std::none_of(ground_.followers.begin(), ground_.followers.end(), is_shaped)) return;
        PlanLine line;
        line.kind = AdjustmentKind::Facings;
        line.part = standing_->parts.front().kind;
        line.first_step = out_.steps.size();
        const Decision* all = plan().decision(line.kind, std::string{});
        line.by_itself = !all;
        if (all && all->answer == Answer::Declined) line.state = LineState::Declined;
        for (const auto& seam : ground_.followers) {
            const Decision* own = plan().decision(line.kind, seam.id);
            const Decision* decided = own ? own : all;
            const bool made = is_made(seam);
            if (is_shaped(seam) && (made || !(decided && decided->answer == Answer::Declined)))
                draw_facing(seam, line, made);
        }
        line.steps = out_.steps.size() - line.first_step;
        out_.lines.push_back(std::move(line));
    }

    bool is_made(const Seam& seam) const
    {
        const auto& made = plan().make_up.facings;
        return std::any_of(made.begin(), made.end(),
                           [&](const MadeFacing& f) { return facing_id(f.from) == seam.id; });
    }

    // One that the pattern has not got has its step also where nothing was altered.
    Outcome<bool> drawn_alone(Piece& facing, const Seam& seam, const Piece& traced, const Piece& now, bool made)
    {
        const auto& on = seam.a.front();
        const auto& under = seam.b.front();
        try {
            if (seam.follow == Follow::Whole) return follow_whole(out_.steps, facing, traced, now);
            if (!made) return follow_shape(out_.steps, facing, under.role, now, on.role);
            std::vector<Step> anew;
            const auto drawn = follow_shape(anew, facing, under.role, now, on.role);
            if (!drawn) return drawn;
            const Length width = facing_width(facing, under.role).value_or(Length{});
            Step step = step_on(facing, StepKind::MakeFacing, width);
            step.on = on.role;
            out_.steps.push_back(std::move(step));
            return true;
        } catch (const std::bad_alloc&) {
            throw;
        } catch (const std::exception&) {
            return refuse(Why::NotComputable, facing.id);
        }
    }

    void draw_facing(const Seam& seam, PlanLine& line, bool made)
    {
        const auto& on = seam.a.front();
        const auto& under = seam.b.front();
        const Piece& traced = *find_piece(out_.traced.pieces, on.piece);
        const Piece& now = piece_in(*standing_, traced);
        if (seam.a.size() != 1 || (!made && same_paper(traced, now))) return;
        auto others = std::make_shared<std::vector<Piece>>(*standing_->others);
        const auto facing =
            std::find_if(others->begin(), others->end(), [&](const Piece& x) { return x.id == under.piece; });
        const auto drawn = drawn_alone(*facing, seam, traced, now, made);
        if (!drawn && made) {  // what she made herself, she takes out herself
            out_.not_made.push_back({seam.id, drawn.error()});
            return;
        }
        if (!drawn) {
            line.state = LineState::Refused;
            line.refusal = drawn.error();
            return;
        }
        if (*drawn && line.state != LineState::Refused) line.state = LineState::Accepted;
        auto next = std::make_shared<Standing>(*standing_);
        next->others_measured.take_again(*standing_->others, *others);
        next->others = std::move(others);
        standing_ = std::move(next);
    }

    Computed& out_;
    Trail& trail_;
    const Trail::Ground& ground_;
    LastTime* last_;
    std::shared_ptr<const Standing> standing_;
};

}  // namespace

Standing standing_traced(const std::vector<PartKind>& kinds, const Garment& traced)
{
    const auto others = std::make_shared<const std::vector<Piece>>(without_part(traced.pieces));
    Standing out{{}, others, Measured{*others}};
    for (const auto kind : kinds) out.parts.push_back(started(traced, kind));
    return out;
}

FlatMeasures flat_of(const Standing& s)
{
    FlatMeasures out;
    for (auto p = s.parts.rbegin(); p != s.parts.rend(); ++p) out.overlay(p->measured.flat());
    out.add(s.others_measured.flat());
    return out;
}

std::set<std::string> bring_up_to(Garment& g, const Standing& standing)
{
    std::set<std::string> changed;
    for (auto& piece : g.pieces) {
        const Piece& now = piece_in(standing, piece);
        if (same_paper(piece, now) && same_allowances(piece, now)) continue;
        changed.insert(now.id);
        piece = now;
    }
    for (const auto& p : standing.parts) {
        for (const auto& s : p.now->seams) {
            const auto seam =
                std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& x) { return x.id == s.id; });
            seam->ease = s.ease;
            seam->gathered = s.gathered;
        }
    }
    return changed;
}

std::shared_ptr<const Standing> fitted(Computed& out, Trail& trail, std::size_t from_turn, bool keep,
                                       LastTime* last)
{
    return Fitting{out, trail, last}.from(from_turn, keep);
}

}  // namespace sartorum
