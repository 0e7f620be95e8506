#include "core/plan/plan.h"

#include <algorithm>
#include <exception>
#include <new>
#include <utility>

#include "core/alter/proposals.h"
#include "core/alter/size_blend.h"
#include "core/paper/princess_redraw.h"

namespace sartorum {
namespace {

Length band_length(const Garment& g)
{
    const Piece* band = find_piece(g.pieces, PieceRole::Waistband);
    return band ? sewn_length(*band, EdgeRole::Waist) * 2.0 : Length{};
}

struct Measured {
    FlatMeasures flat;
    Length band;
};

Measured measured(const Garment& g)
{
    return {measure_flat(g.pieces), band_length(g)};
}

Consequences consequences(const Measured& a, const Measured& b)
{
    const auto values = [](const Measured& m) -> std::array<Length, quantity_count> {
        const auto& f = m.flat;
        return {f.neck,        f.shoulder, f.armhole, f.bust, f.waist,     f.hip,   f.side,  f.centre_front,
                f.centre_back, f.hem,      m.band,    f.cap,  f.upper_arm, f.wrist, f.sleeve};
    };
    const auto before = values(a);
    const auto after = values(b);
    Consequences out;
    for (std::size_t i = 0; i < quantity_count; ++i) out.by[i] = after[i] - before[i];
    return out;
}

bool accepted(const Plan& plan, AdjustmentKind kind)
{
    const Decision* d = plan.decision(kind);
    return d && d->answer == Answer::Accepted;
}

LineState state_of(const PlanLine& line, const Decision* decision)
{
    if (decision) return decision->answer == Answer::Accepted ? LineState::Accepted : LineState::Declined;
    if (!line.proposal) return LineState::NothingKnown;
    return line.proposal->inside_noise() ? LineState::LeaveIt : LineState::Proposed;
}

// The sizes a plan names, found in the chart.
struct Sizes {
    std::size_t waist;
    std::size_t hip;
    std::size_t frame;
};

Outcome<Sizes> sizes_of(const Plan& plan, const SizeChart& chart)
{
    const auto waist = chart.index_of(plan.waist_size);
    const auto hip = chart.index_of(plan.hip_size);
    if (!waist) return refuse(Why::SizeUnknown, plan.waist_size);
    if (!hip) return refuse(Why::SizeUnknown, plan.hip_size);
    if (plan.bust_size.empty()) return Sizes{*waist, *hip, *hip};
    const auto frame = chart.index_of(plan.bust_size);
    if (!frame) return refuse(Why::SizeUnknown, plan.bust_size);
    return Sizes{*waist, *hip, *frame};
}

bool bodice_pattern_given(const Pattern& pattern)
{
    return !pattern.sizes.empty() && is_bodice(Garment{pattern.sizes.front().pieces, {}});
}

Outcome<Applied> traced(const Pattern& pattern, const SizeChart& chart, const Sizes& sizes)
{
    const auto name = [&](std::size_t i) { return chart.sizes[i].name; };
    if (!bodice_pattern_given(pattern)) return trace_sizes(pattern, name(sizes.waist), name(sizes.hip));
    // The lower edge is at the waist, or at the hip where the chart prints one.
    const bool waist = bottom_role(*find_piece(pattern.sizes.front().pieces, PieceRole::Front)) == EdgeRole::Waist;
    const std::size_t lower = waist ? sizes.waist : chart.prints(Measure::Hip) ? sizes.hip : sizes.waist;
    return trace_bodice(pattern, name(sizes.frame), name(lower));
}

// Which decision of something above came after this one.
std::optional<AdjustmentKind> changed_above(const Plan& plan, AdjustmentKind kind)
{
    std::optional<AdjustmentKind> out;
    bool after = false;
    for (const auto& d : plan.decisions) {
        if (after && d.kind < kind && d.answer == Answer::Accepted) out = d.kind;
        after = after || d.kind == kind;
    }
    return out;
}

PlanLine line_of(const Adjustment& entry, FittingState state, const Plan& plan)
{
    PlanLine line;
    line.kind = entry.kind;
    const Decision* decision = plan.decision(entry.kind);
    line.method = decision && decision->method ? *decision->method : usual_method(entry, state.now);
    state.method = line.method;
    line.proposal = entry.propose(state);
    line.noted = entry.noted && entry.noted(state.body.posture);
    line.state = state_of(line, decision);
    line.own_amount = decision && decision->amount;
    const bool works_at_zero = zero_works(entry, line.method);
    line.amount = line.own_amount                   ? *decision->amount
                  : line.proposal && !works_at_zero ? line.proposal->amount
                                                    : Length{};
    line.back = decision && decision->back ? *decision->back : line.amount;
    // Accepted with nothing left to do (the measure was corrected since) changes no paper.
    const bool nothing = line.amount == Length{} && line.back == Length{} && !line.own_amount && !works_at_zero;
    if (line.state == LineState::Accepted) {
        if (nothing) line.state = LineState::NothingKnown;
        line.look_again = changed_above(plan, entry.kind);
    }
    return line;
}

// Why an accepted adjustment left the paper as it was, where that is no good reason: there is nothing to do is
// one.
std::optional<Refusal> left_undone(const Adjustment& entry, const PlanLine& line, const BodySet& body)
{
    if (line.state == LineState::Refused) return line.refusal;
    if (line.state != LineState::NothingKnown || line.proposal) return std::nullopt;
    if (entry.propose == propose_nothing)
        return Refusal{Why::AmountMissing, std::string{entry.key}, {}, {}, {}, 0};
    if (entry.from && !body.taken(*entry.from))
        return Refusal{Why::BodyIncomplete, std::string{facts(*entry.from).key}, {}, {}, {}, 0};
    return std::nullopt;
}

// Every accepted decision is on the paper, or stands here.
std::vector<NotDone> not_done(const Computed& computed, const BodySet& body, const Plan& plan)
{
    std::vector<NotDone> out;
    for (const auto& entry : catalogue()) {
        if (!accepted(plan, entry.kind)) continue;
        const PlanLine* line = computed.line(entry.kind);
        const auto why =
            line ? left_undone(entry, *line, body)
                 : std::optional{Refusal{Why::NotOnThisGarment, std::string{entry.key}, {}, {}, {}, 0}};
        if (why) out.push_back({entry.kind, *why});
    }
    return out;
}

}  // namespace

const PlanLine* Computed::line(AdjustmentKind kind) const
{
    const auto it = std::find_if(lines.begin(), lines.end(), [&](const PlanLine& l) { return l.kind == kind; });
    return it == lines.end() ? nullptr : &*it;
}

const Decision* Plan::decision(AdjustmentKind kind) const
{
    const auto it =
        std::find_if(decisions.begin(), decisions.end(), [&](const Decision& d) { return d.kind == kind; });
    return it == decisions.end() ? nullptr : &*it;
}

void Plan::decide(Decision decision)
{
    forget(decision.kind);
    decisions.push_back(decision);
}

void Plan::forget(AdjustmentKind kind)
{
    std::erase_if(decisions, [&](const Decision& d) { return d.kind == kind; });
}

namespace {

Outcome<Computed> computed(const Pattern& pattern, const SizeChart& printed, const BodySet& standing,
                           const Plan& plan)
{
    const SizeChart chart = printed.of_group(plan.chart_group);
    const BodySet body = as_worn(standing, plan.choosing.seated);
    const bool bodice = bodice_pattern_given(pattern);
    for (const auto m : bodice ? std::vector{Measure::Bust} : std::vector{Measure::Waist, Measure::Hip}) {
        if (!chart.prints(m)) return refuse(Why::ChartNoMeasure, std::string{facts(m).key});
    }
    const auto sizes = sizes_of(plan, chart);
    if (!sizes) return tl::make_unexpected(sizes.error());
    auto paper = traced(pattern, chart, *sizes);
    if (!paper) return tl::make_unexpected(paper.error());

    Computed out;
    const auto& bought = chart.sizes[bodice ? sizes->frame : sizes->hip].name;
    const SizedPieces* sized = pattern.find(bought);
    if (!sized) return refuse(Why::SizeUnknown, bought);
    out.bought = {sized->pieces, pattern.seams};
    out.traced = std::move(paper->garment);
    settle_princess(out.traced.pieces);
    out.steps = std::move(paper->steps);
    out.trace_steps = out.steps.size();
    Garment now = out.traced;
    Measured now_measured = measured(now);
    out.traced_flat = now_measured.flat;
    std::array<Length, adjustment_count> done{};
    Length carried;  // what an earlier entry left to be done together with this one
    for (std::size_t i = 0; i < catalogue().size(); ++i) {
        const auto& entry = catalogue()[i];
        if (!entry.serves(now)) continue;
        PlanLine line = line_of(entry,
                                {out.traced, now, body, chart, sizes->waist, sizes->hip, sizes->frame, plan.ease,
                                 plan.cloth, out.traced_flat, now_measured.flat, 0, done},
                                plan);
        line.first_step = out.steps.size();
        const bool taken = line.state == LineState::Accepted;
        if (taken && entry.joins_next && accepted(plan, catalogue()[i + 1].kind)) {
            carried = line.amount;
        } else if (taken || carried != Length{}) {
            const Length with = std::exchange(carried, {});
            const Dose dose{(taken ? line.amount : Length{}) + with, (taken ? line.back : Length{}) + with,
                            line.method};
            const bool nothing =
                dose.front == Length{} && dose.back == Length{} && !zero_works(entry, line.method);
            auto applied = nothing ? Outcome<Applied>{Applied{now, {}}} : entry.apply(now, dose);
            if (applied) {
                settle_princess(applied->garment.pieces);
                const Measured then = measured(applied->garment);
                line.changed = consequences(now_measured, then);
                now_measured = then;
                line.steps = applied->steps.size();
                done[i] = dose.front;
                now = std::move(applied->garment);
                std::move(applied->steps.begin(), applied->steps.end(), std::back_inserter(out.steps));
            } else {
                line.state = LineState::Refused;
                line.refusal = applied.error();
            }
        }
        out.lines.push_back(std::move(line));
    }
    out.altered = std::move(now);
    out.altered_flat = now_measured.flat;
    out.checks = check(out.altered, body, plan.cloth);
    out.not_done = not_done(out, body, plan);
    return out;
}

}  // namespace

// The gate of the core: a library that gives up on a wild drawing does so here, and no further.
Outcome<Computed> compute(const Pattern& pattern, const SizeChart& chart, const BodySet& body, const Plan& plan)
{
    try {
        return computed(pattern, chart, body, plan);
    } catch (const std::bad_alloc&) {
        throw;  // the machine failing is no fault of the drawing
    } catch (const std::exception&) {
        return refuse(Why::NotComputable, pattern.name);
    }
}

}  // namespace sartorum
