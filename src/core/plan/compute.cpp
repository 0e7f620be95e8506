#include "core/plan/compute.h"

#include <algorithm>
#include <exception>
#include <new>
#include <set>
#include <utility>

#include "core/alter/follow.h"
#include "core/alter/size_blend.h"
#include "core/paper/princess_redraw.h"
#include "core/plan/measured.h"

namespace sartorum {

// One part on its way through the adjustments. Papers are shared: how a part stood is kept by holding it.
struct PartState {
    PartKind kind;
    std::shared_ptr<const Garment> traced;
    std::shared_ptr<const Garment> now;
    Measured measured;
    FlatMeasures traced_flat;
    std::array<Length, adjustment_count> done{};
    // What an adjustment left to be done together with another.
    std::array<Length, adjustment_count> carried{};
};

// A garment between two adjustments: its parts, and what belongs to none.
struct Standing {
    std::vector<PartState> parts;
    std::shared_ptr<const std::vector<Piece>> others;
    Measured others_measured;
};

// Before each turn: how the garment stood, and how many lines and steps there were.
class Trail {
public:
    struct Stop {
        std::shared_ptr<const Standing> standing;
        std::size_t lines = 0;
        std::size_t steps = 0;
    };
    // What no decision changes.
    struct Ground {
        std::vector<FittingTurn> order;
        std::vector<Seam> followers;
        SizeChart chart;  // of the plan's group
        BodySet body;     // as the garment is worn
        SizesAt sizes;
    };
    std::shared_ptr<const Ground> ground;
    std::vector<Stop> before;  // one a turn, and one for the end
};

namespace {

bool accepted(const Plan& plan, AdjustmentKind kind, PartKind part)
{
    const Decision* d = plan.decision(kind, part);
    return d && d->answer == Answer::Accepted;
}

LineState state_of(const PlanLine& line, const Decision* decision)
{
    if (decision) return decision->answer == Answer::Accepted ? LineState::Accepted : LineState::Declined;
    if (!line.proposal) return LineState::NothingKnown;
    return line.proposal->inside_noise() ? LineState::LeaveIt : LineState::Proposed;
}

// The sizes a plan names, found in the chart.
Outcome<SizesAt> sizes_of(const Plan& plan, const SizeChart& chart)
{
    const std::string& bust_size = plan.size_at(Level::Bust);
    const auto waist = chart.index_of(plan.size_at(Level::Waist));
    const auto hip = chart.index_of(plan.size_at(Level::Hip));
    if (!waist) return refuse(Why::SizeUnknown, plan.size_at(Level::Waist));
    if (!hip) return refuse(Why::SizeUnknown, plan.size_at(Level::Hip));
    if (bust_size.empty()) return SizesAt{*hip, *waist, *hip};
    const auto frame = chart.index_of(bust_size);
    if (!frame) return refuse(Why::SizeUnknown, bust_size);
    return SizesAt{*frame, *waist, *hip};
}

// Below the waist the waist's size where the chart knows no hip.
SizeNames names_of(const SizesAt& sizes, const SizeChart& chart)
{
    const auto name = [&](std::size_t i) { return chart.sizes[i].name; };
    return {name(sizes.frame), name(sizes.waist), name(chart.prints(Measure::Hip) ? sizes.hip : sizes.waist)};
}

Outcome<bool> prints_what_is_chosen_by(const SizeChart& chart, const std::vector<PartKind>& parts)
{
    for (const auto part : parts) {
        for (const auto m : part_alter(part).chosen_by) {
            if (!chart.prints(m)) return refuse(Why::ChartNoMeasure, std::string{facts(m).key});
        }
    }
    return true;
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

// Which decision of something above came after this one.
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

PlanLine line_of(const FittingTurn& turn, FittingState state, const Plan& plan)
{
    const Adjustment& entry = *turn.adjustment;
    PlanLine line;
    line.kind = entry.kind;
    line.part = turn.part;
    const Decision* decision = plan.decision(entry.kind, turn.part);
    line.method = decision && decision->method ? *decision->method : usual_method(entry, state.now);
    state.method = line.method;
    if (entry.propose) line.proposal = entry.propose(state);
    line.noted = entry.noted && entry.noted(state.body.posture);
    line.state = state_of(line, decision);
    const bool works_at_zero = zero_works(entry, line.method);
    const Length proposed = line.proposal && !works_at_zero ? line.proposal->amount : Length{};
    const auto own = [&](Face face) {
        const auto of_face = decision ? decision->of(face) : std::nullopt;
        return of_face || !decision ? of_face : decision->amount();
    };
    line.own_amount = own(Face::Front).has_value();
    line.amount = own(Face::Front).value_or(proposed);
    line.back = own(Face::Back).value_or(line.own_amount && !decision->amount() ? proposed : line.amount);
    // Accepted with nothing left to do (the measure was corrected since) changes no paper.
    const bool nothing = line.amount == Length{} && line.back == Length{} && !line.own_amount && !works_at_zero;
    if (line.state == LineState::Accepted) {
        if (nothing) line.state = LineState::NothingKnown;
        if ((line.refusal = beyond(entry, *decision))) line.state = LineState::Refused;
        line.look_again = changed_above(plan, entry.kind);
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

PartState started(const Garment& garment, PartKind kind)
{
    const auto view = std::make_shared<const Garment>(part_view(garment, kind));
    Measured measured{view->pieces};
    const FlatMeasures flat = measured.flat();
    return {kind, view, view, std::move(measured), flat, {}, {}};
}

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

const Piece& piece_in(const Standing& standing, const Piece& traced)
{
    const std::vector<Piece>* among = standing.others.get();
    for (const auto& p : standing.parts) {
        if (p.kind == traced.part) among = &p.now->pieces;
    }
    return *find_piece(*among, traced.id);
}

// The garment as it stands, from how it was before: only what changed is copied. The ids of those pieces.
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
        }
    }
    return changed;
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
    Fitting(Computed& out, Trail& trail) : out_{out}, trail_{trail}, ground_{*trail.ground} {}

    // What the garment comes to; how it stood between is kept only where it will be asked for.
    std::shared_ptr<const Standing> from(std::size_t turn, bool keep)
    {
        standing_ = trail_.before[turn].standing;
        for (std::size_t i = turn; i < ground_.order.size(); ++i) {
            if (keep) trail_.before[i] = {standing_, out_.lines.size(), out_.steps.size()};
            take(ground_.order[i]);
        }
        if (keep) trail_.before.back() = {standing_, out_.lines.size(), out_.steps.size()};
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

    void take(const FittingTurn& turn)
    {
        const Adjustment& entry = *turn.adjustment;
        const std::size_t at = part_at(turn.part);
        const PartState& p = standing_->parts[at];
        if (!serves(entry, *p.now)) return;
        PlanLine line = line_of(turn,
                                {*p.traced, *p.now, ground_.body, ground_.chart, ground_.sizes, plan().ease,
                                 plan().cloth, p.traced_flat, p.measured.flat(), 0, p.done},
                                plan());
        line.first_step = out_.steps.size();
        const bool taken = line.state == LineState::Accepted;
        if (taken && entry.joins && accepted(plan(), *entry.joins, turn.part)) {
            auto next = std::make_shared<Standing>(*standing_);
            next->parts[at].carried[static_cast<std::size_t>(*entry.joins)] = line.amount;
            standing_ = std::move(next);
        } else if (const Length with = p.carried[static_cast<std::size_t>(entry.kind)];
                   taken || with != Length{}) {
            const Dose dose{(taken ? line.amount : Length{}) + with, (taken ? line.back : Length{}) + with,
                            line.method};
            apply(entry, dose, line, at);
        }
        out_.lines.push_back(std::move(line));
    }

    void apply(const Adjustment& entry, const Dose& dose, PlanLine& line, std::size_t at)
    {
        if (dose.front == Length{} && dose.back == Length{} && !zero_works(entry, line.method)) return;
        const Garment& was = *standing_->parts[at].now;
        auto applied = entry.apply(was, dose);
        std::shared_ptr<const std::vector<Piece>> others = standing_->others;
        if (applied) {
            settle_princess(applied->garment.pieces);
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
        p.done[static_cast<std::size_t>(entry.kind)] = dose.front;
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
            if (!moved_there(was.pieces, applied.garment.pieces, seam.a)) continue;
            const Length change = side_length(applied.garment.pieces, seam.a) - side_length(was.pieces, seam.a);
            if (abs(change) < least_followed) continue;
            auto next = std::make_shared<std::vector<Piece>>(*others);
            const auto& b = seam.b.front();
            const auto band =
                std::find_if(next->begin(), next->end(), [&](const Piece& x) { return x.id == b.piece; });
            if (const auto ok = follow_length(applied.steps, *band, b.role, change); !ok) return ok;
            others = std::move(next);
        }
        return true;
    }

    Computed& out_;
    Trail& trail_;
    const Trail::Ground& ground_;
    std::shared_ptr<const Standing> standing_;
};

// Why an accepted adjustment left the paper as it was, where that is no good reason: there is nothing to do is
// one.
std::optional<Refusal> left_undone(const Adjustment& entry, const PlanLine& line, const BodySet& body)
{
    if (line.state == LineState::Refused) return line.refusal;
    if (line.state != LineState::NothingKnown || line.proposal) return std::nullopt;
    if (!entry.propose) return Refusal{Why::AmountMissing, std::string{entry.key}, {}, {}, {}, 0};
    if (entry.from && !body.taken(*entry.from))
        return Refusal{Why::BodyIncomplete, std::string{facts(*entry.from).key}, {}, {}, {}, 0};
    return std::nullopt;
}

// Every accepted decision is on the paper, or stands here.
std::vector<NotDone> not_done(const Computed& computed, const std::vector<FittingTurn>& order, const BodySet& body)
{
    std::vector<NotDone> out;
    for (const auto& turn : order) {
        const Adjustment& entry = *turn.adjustment;
        const auto& decisions = computed.work.plan.decisions;
        const bool asked = std::any_of(decisions.begin(), decisions.end(), [&](const Decision& d) {
            return d.kind == entry.kind && d.answer == Answer::Accepted;
        });
        if (turn.part != order.front().part || !asked) continue;
        bool there = false;
        for (const auto& line : computed.lines) {
            if (line.kind != entry.kind) continue;
            there = true;
            if (!accepted(computed.work.plan, line.kind, line.part)) continue;
            if (const auto why = left_undone(entry, line, body)) out.push_back({entry.kind, *why});
        }
        if (!there)
            out.push_back({entry.kind, Refusal{Why::NotOnThisGarment, std::string{entry.key}, {}, {}, {}, 0}});
    }
    return out;
}

// What pattern, chart, body and sizes say, before any adjustment.
Outcome<Computed> begun(Work work, Trail& trail)
{
    const Pattern& pattern = *work.pattern;
    if (pattern.sizes.empty()) return refuse(Why::PieceMissing, "front");
    const auto parts = parts_of(pattern.sizes.front().pieces);
    SizeChart chart = work.sizes();
    if (const auto ok = prints_what_is_chosen_by(chart, parts); !ok) return tl::make_unexpected(ok.error());
    const auto sizes = sizes_of(work.plan, chart);
    if (!sizes) return tl::make_unexpected(sizes.error());
    const SizeNames names = names_of(*sizes, chart);
    auto paper = trace_pattern(pattern, names);
    if (!paper) return tl::make_unexpected(paper.error());
    const std::string& bought = names.at(part_alter(parts.front()).bought_at);
    const SizedPieces* sized = pattern.find(bought);
    if (!sized) return refuse(Why::SizeUnknown, bought);

    Computed out;
    out.bought = {sized->pieces, pattern.seams};
    out.traced = std::move(paper->garment);
    settle_princess(out.traced.pieces);
    out.altered = out.traced;
    out.steps = std::move(paper->steps);
    out.trace_steps = out.steps.size();
    trail.ground = std::make_shared<const Trail::Ground>(
        Trail::Ground{fitting_order(parts), followers(out.traced.seams, out.traced.pieces), std::move(chart),
                      work.worn_by(), *sizes});
    trail.before.resize(trail.ground->order.size() + 1);
    trail.before.front() = {std::make_shared<const Standing>(standing_traced(parts, out.traced)), 0,
                            out.steps.size()};
    out.traced_flat = flat_of(*trail.before.front().standing);
    out.work = std::move(work);
    return out;
}

// Everything from one turn on; what stands before it is there already.
void go_on(Computed& out, std::shared_ptr<Trail> trail, std::size_t turn, bool keep, bool checked_before)
{
    const auto standing = Fitting{out, *trail}.from(turn, keep);
    const Standing& end = *standing;
    const auto changed = bring_up_to(out.altered, end);
    out.altered_flat = flat_of(end);
    std::vector<PartMeasured> parts;
    for (const auto& p : end.parts) parts.push_back({p.kind, *p.now, p.measured.flat()});
    const Checks before = std::move(out.checks);
    const auto stayed = checked_before ? std::optional{Stayed{changed, before}} : std::nullopt;
    out.checks = check_measured(out.altered, parts, trail->ground->body, out.work.plan.cloth, stayed);
    out.not_done = not_done(out, trail->ground->order, trail->ground->body);
    if (keep) out.trail = std::move(trail);
}

Outcome<Computed> computed(Work work, bool keep)
{
    auto trail = std::make_shared<Trail>();
    auto out = begun(std::move(work), *trail);
    if (out) go_on(*out, std::move(trail), 0, keep, false);
    return out;
}

// Nothing but decisions differs.
bool only_decided_anew(const Work& a, const Work& b)
{
    const Plan& p = a.plan;
    const Plan& q = b.plan;
    return a.pattern == b.pattern && a.chart == b.chart && a.body == b.body && p.sizes == q.sizes &&
           p.chart_group == q.chart_group && p.choosing == q.choosing && p.cloth == q.cloth && p.ease == q.ease;
}

bool decided_alike(const Plan& a, const Plan& b, AdjustmentKind kind, PartKind part)
{
    const Decision* x = a.decision(kind, part);
    const Decision* y = b.decision(kind, part);
    return x && y ? *x == *y : x == y;
}

// The first turn that a decision is about that is not as it was; the number of turns where there is none.
std::size_t first_changed(const std::vector<FittingTurn>& order, const Plan& a, const Plan& b)
{
    const auto changed = [&](const FittingTurn& t) {
        return !decided_alike(a, b, t.adjustment->kind, t.part) ||
               (t.adjustment->joins && !decided_alike(a, b, *t.adjustment->joins, t.part));
    };
    return static_cast<std::size_t>(std::find_if(order.begin(), order.end(), changed) - order.begin());
}

Computed recomputed(Computed out, Work work)
{
    auto trail = std::make_shared<Trail>(*out.trail);
    const std::size_t turn = first_changed(trail->ground->order, out.work.plan, work.plan);
    const auto& stop = trail->before[turn];
    out.work = std::move(work);
    out.lines.resize(stop.lines);
    out.steps.resize(stop.steps);
    for (auto& line : out.lines) {  // in which order things were decided may have changed
        line.look_again =
            accepted(out.work.plan, line.kind, line.part) ? changed_above(out.work.plan, line.kind) : std::nullopt;
    }
    go_on(out, std::move(trail), turn, true, true);
    return out;
}

// The gate of the core: a library that gives up on a wild drawing does so here, and no further.
template <class Work_out>
Outcome<Computed> gated(const std::string& name, Work_out work_out)
{
    try {
        return work_out();
    } catch (const std::bad_alloc&) {
        throw;  // the machine failing is no fault of the drawing
    } catch (const std::exception&) {
        return refuse(Why::NotComputable, name);
    }
}

}  // namespace

Work work_of(Pattern pattern, SizeChart chart, BodySet body, Plan plan)
{
    return {std::make_shared<const Pattern>(std::move(pattern)),
            std::make_shared<const SizeChart>(std::move(chart)), std::make_shared<const BodySet>(std::move(body)),
            std::move(plan)};
}

const PlanLine* Computed::line(AdjustmentKind kind) const
{
    const auto it = std::find_if(lines.begin(), lines.end(), [&](const PlanLine& l) { return l.kind == kind; });
    return it == lines.end() ? nullptr : &*it;
}

Outcome<Computed> compute(Work work)
{
    const std::string name = work.pattern->name;
    return gated(name, [&] { return computed(std::move(work), false); });
}

Outcome<Computed> recompute(Computed before, Work work)
{
    const std::string name = work.pattern->name;
    return gated(name, [&]() -> Outcome<Computed> {
        if (!only_decided_anew(before.work, work)) return computed(std::move(work), false);
        if (!before.trail) return computed(std::move(work), true);
        return recomputed(std::move(before), std::move(work));
    });
}

Outcome<Computed> compute(const Pattern& pattern, const SizeChart& chart, const BodySet& body, const Plan& plan)
{
    return compute(work_of(pattern, chart, body, plan));
}

}  // namespace sartorum
