#include "core/plan/plan.h"

#include <algorithm>

#include "core/alter/size_blend.h"

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
    return {b.flat.waist - a.flat.waist, b.flat.hip - a.flat.hip, b.flat.hem - a.flat.hem,
            b.flat.side - a.flat.side, b.band - a.band};
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

}  // namespace

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

Outcome<Computed> compute(const Pattern& pattern, const SizeChart& printed, const BodySet& standing,
                          const Plan& plan)
{
    const SizeChart chart = printed.of_group(plan.chart_group);
    const BodySet body = as_worn(standing, plan.choosing.seated);
    for (const auto m : {Measure::Waist, Measure::Hip}) {
        if (!chart.prints(m)) return refuse(Why::ChartNoMeasure, std::string{facts(m).key});
    }
    const auto waist_size = chart.index_of(plan.waist_size);
    const auto hip_size = chart.index_of(plan.hip_size);
    if (!waist_size) return refuse(Why::SizeUnknown, plan.waist_size);
    if (!hip_size) return refuse(Why::SizeUnknown, plan.hip_size);
    auto traced = trace_sizes(pattern, plan.waist_size, plan.hip_size);
    if (!traced) return tl::make_unexpected(traced.error());

    Computed out;
    out.bought = {pattern.find(plan.hip_size)->pieces, pattern.seams};
    out.traced = std::move(traced->garment);
    out.steps = std::move(traced->steps);
    out.trace_steps = out.steps.size();
    Garment now = out.traced;
    Measured now_measured = measured(now);
    out.traced_flat = now_measured.flat;
    Length carried;  // what an earlier entry left to be done together with this one
    for (std::size_t i = 0; i < catalogue().size(); ++i) {
        const auto& entry = catalogue()[i];
        PlanLine line;
        line.kind = entry.kind;
        line.proposal = entry.propose({out.traced, now, body, chart, *waist_size, *hip_size, plan.ease});
        const Decision* decision = plan.decision(entry.kind);
        line.state = state_of(line, decision);
        line.own_amount = decision && decision->amount;
        line.amount = line.own_amount ? *decision->amount : line.proposal ? line.proposal->amount : Length{};
        line.first_step = out.steps.size();
        // Accepted with nothing left to do (the measure was corrected since) changes no paper.
        const bool nothing = line.amount == Length{} && !line.own_amount;
        if (nothing && line.state == LineState::Accepted) line.state = LineState::NothingKnown;
        if (line.state == LineState::Accepted && entry.joins_next && accepted(plan, catalogue()[i + 1].kind)) {
            carried = line.amount;
        } else if (line.state == LineState::Accepted || carried != Length{}) {
            const Length whole = (line.state == LineState::Accepted ? line.amount : Length{}) + carried;
            carried = {};
            if (whole == Length{}) {
                out.lines.push_back(std::move(line));
                continue;
            }
            auto applied = entry.apply(now, whole);
            if (applied) {
                const Measured then = measured(applied->garment);
                line.changed = consequences(now_measured, then);
                now_measured = then;
                line.steps = applied->steps.size();
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
    return out;
}

}  // namespace sartorum
