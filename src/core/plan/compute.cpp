#include "core/plan/compute.h"

#include <algorithm>
#include <exception>
#include <new>
#include <utility>

#include "core/alter/follow.h"
#include "core/alter/size_blend.h"
#include "core/paper/princess_redraw.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

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
Outcome<SizesAt> sizes_of(const Plan& plan, const SizeChart& chart)
{
    const auto waist = chart.index_of(plan.waist_size);
    const auto hip = chart.index_of(plan.hip_size);
    if (!waist) return refuse(Why::SizeUnknown, plan.waist_size);
    if (!hip) return refuse(Why::SizeUnknown, plan.hip_size);
    if (plan.bust_size.empty()) return SizesAt{*hip, *waist, *hip};
    const auto frame = chart.index_of(plan.bust_size);
    if (!frame) return refuse(Why::SizeUnknown, plan.bust_size);
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
    const Decision* decision = plan.decision(entry.kind);
    line.method = decision && decision->method ? *decision->method : usual_method(entry, state.now);
    state.method = line.method;
    if (entry.propose) line.proposal = entry.propose(state);
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

// The measures of pieces, each taken again only where its paper changed.
class Measured {
public:
    explicit Measured(const std::vector<Piece>& pieces)
    {
        for (const auto& p : pieces) of_.push_back(measure_piece(p));
        sum_up();
    }
    void take_again(const std::vector<Piece>& was, const std::vector<Piece>& is)
    {
        bool touched = false;
        for (std::size_t i = 0; i < is.size(); ++i) {
            if (same_paper(was[i], is[i])) continue;
            of_[i] = measure_piece(is[i]);
            touched = true;
        }
        if (touched) sum_up();
    }
    [[nodiscard]] const FlatMeasures& flat() const { return sum_; }

private:
    void sum_up()
    {
        sum_ = {};
        for (const auto& m : of_) sum_.add(m);
    }
    std::vector<FlatMeasures> of_;
    FlatMeasures sum_;
};

void add_difference(Consequences& out, const FlatMeasures& before, const FlatMeasures& after)
{
    for (const auto& row : all_garment_measures()) {
        auto& by = out.by[static_cast<std::size_t>(row.measure)];
        if (after.has(row.measure)) by += after.of(row.measure) - before.of(row.measure);
    }
}

// One part on its way through the adjustments.
struct PartState {
    PartKind kind;
    Garment traced;
    Garment now;
    Measured measured;
    FlatMeasures traced_flat;
    std::array<Length, adjustment_count> done{};
    // What an adjustment left to be done together with another.
    std::array<Length, adjustment_count> carried{};
};

PartState started(const Garment& garment, PartKind kind)
{
    Garment view = part_view(garment, kind);
    Measured measured{view.pieces};
    const FlatMeasures flat = measured.flat();
    return {kind, view, std::move(view), std::move(measured), flat, {}, {}};
}

// A garment on its way through the adjustments: its parts, and what belongs to none.
class Fitting {
public:
    Fitting(Computed& out, const SizeChart& chart, const BodySet& body, const SizesAt& sizes)
        : out_{out},
          chart_{chart},
          body_{body},
          sizes_{sizes},
          others_{without_part(out.traced.pieces)},
          others_measured_{others_},
          followers_{followers(out.traced.seams, out.traced.pieces)}
    {
        const auto kinds = parts_of(out.traced.pieces);
        for (const auto kind : kinds) parts_.push_back(started(out.traced, kind));
        for (const auto& turn : fitting_order(kinds)) take(turn, part(turn.part));
    }

    [[nodiscard]] Garment altered() const
    {
        Garment g = out_.traced;
        for (const auto& p : parts_) {
            for (const auto& piece : p.now.pieces) put_back(g.pieces, piece);
            for (const auto& s : p.now.seams) seam_of(g, s.id)->ease = s.ease;
        }
        for (const auto& piece : others_) put_back(g.pieces, piece);
        return g;
    }

private:
    const Plan& plan() const { return out_.work.plan; }

    PartState& part(PartKind kind)
    {
        return *std::find_if(parts_.begin(), parts_.end(), [&](const PartState& p) { return p.kind == kind; });
    }

    static Seam* seam_of(Garment& g, const std::string& id)
    {
        return &*std::find_if(g.seams.begin(), g.seams.end(), [&](const Seam& s) { return s.id == id; });
    }

    void take(const FittingTurn& turn, PartState& p)
    {
        const Adjustment& entry = *turn.adjustment;
        if (!serves(entry, p.now)) return;
        PlanLine line = line_of(turn,
                                {p.traced, p.now, body_, chart_, sizes_, plan().ease, plan().cloth, p.traced_flat,
                                 p.measured.flat(), 0, p.done},
                                plan());
        line.first_step = out_.steps.size();
        const bool taken = line.state == LineState::Accepted;
        if (taken && entry.joins && accepted(plan(), *entry.joins)) {
            p.carried[static_cast<std::size_t>(*entry.joins)] = line.amount;
        } else {
            const Length with = std::exchange(p.carried[static_cast<std::size_t>(entry.kind)], {});
            if (taken || with != Length{}) {
                const Dose dose{(taken ? line.amount : Length{}) + with, (taken ? line.back : Length{}) + with,
                                line.method};
                apply(entry, dose, line, p);
            }
        }
        out_.lines.push_back(std::move(line));
    }

    void apply(const Adjustment& entry, const Dose& dose, PlanLine& line, PartState& p)
    {
        if (dose.front == Length{} && dose.back == Length{} && !zero_works(entry, line.method)) return;
        auto applied = entry.apply(p.now, dose);
        std::vector<Piece> others = others_;
        if (applied) {
            settle_princess(applied->garment.pieces);
            if (const auto ok = follow(*applied, p, others); !ok) applied = tl::make_unexpected(ok.error());
        }
        if (!applied) {
            line.state = LineState::Refused;
            line.refusal = applied.error();
            return;
        }
        const FlatMeasures before = p.measured.flat();
        const FlatMeasures others_before = others_measured_.flat();
        p.measured.take_again(p.now.pieces, applied->garment.pieces);
        others_measured_.take_again(others_, others);
        add_difference(line.changed, before, p.measured.flat());
        add_difference(line.changed, others_before, others_measured_.flat());
        line.steps = applied->steps.size();
        p.done[static_cast<std::size_t>(entry.kind)] = dose.front;
        p.now = std::move(applied->garment);
        others_ = std::move(others);
        std::move(applied->steps.begin(), applied->steps.end(), std::back_inserter(out_.steps));
    }

    // What is sewn to a changed edge goes with it, at once: it is part of the same adjustment.
    Outcome<bool> follow(Applied& applied, const PartState& p, std::vector<Piece>& others) const
    {
        for (const auto& seam : followers_) {
            const Length change = side_length(applied.garment.pieces, seam.a) - side_length(p.now.pieces, seam.a);
            const auto& b = seam.b.front();
            const auto band =
                std::find_if(others.begin(), others.end(), [&](const Piece& x) { return x.id == b.piece; });
            if (const auto ok = follow_length(applied.steps, *band, b.role, change); !ok) return ok;
        }
        return true;
    }

    Computed& out_;
    const SizeChart& chart_;
    const BodySet& body_;
    SizesAt sizes_;
    std::vector<PartState> parts_;
    std::vector<Piece> others_;
    Measured others_measured_;
    std::vector<Seam> followers_;
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
std::vector<NotDone> not_done(const Computed& computed, const BodySet& body)
{
    std::vector<NotDone> out;
    for (const auto& turn : fitting_order({every_part.front()})) {
        const Adjustment& entry = *turn.adjustment;
        if (!accepted(computed.work.plan, entry.kind)) continue;
        bool there = false;
        for (const auto& line : computed.lines) {
            if (line.kind != entry.kind) continue;
            there = true;
            if (const auto why = left_undone(entry, line, body)) out.push_back({entry.kind, *why});
        }
        if (!there)
            out.push_back({entry.kind, Refusal{Why::NotOnThisGarment, std::string{entry.key}, {}, {}, {}, 0}});
    }
    return out;
}

Outcome<Computed> computed(Work work)
{
    const SizeChart chart = work.sizes();
    const BodySet body = work.worn_by();
    const Pattern& pattern = *work.pattern;
    if (pattern.sizes.empty()) return refuse(Why::PieceMissing, "front");
    const auto parts = parts_of(pattern.sizes.front().pieces);
    if (const auto ok = prints_what_is_chosen_by(chart, parts); !ok) return tl::make_unexpected(ok.error());
    const auto sizes = sizes_of(work.plan, chart);
    if (!sizes) return tl::make_unexpected(sizes.error());
    const SizeNames names = names_of(*sizes, chart);
    auto paper = trace_pattern(pattern, names);
    if (!paper) return tl::make_unexpected(paper.error());

    Computed out;
    const std::string& bought = names.at(part_alter(parts.front()).bought_at);
    const SizedPieces* sized = pattern.find(bought);
    if (!sized) return refuse(Why::SizeUnknown, bought);
    out.bought = {sized->pieces, pattern.seams};
    out.work = std::move(work);
    out.traced = std::move(paper->garment);
    settle_princess(out.traced.pieces);
    out.traced_flat = measure_flat(out.traced.pieces);
    out.steps = std::move(paper->steps);
    out.trace_steps = out.steps.size();
    out.altered = Fitting{out, chart, body, *sizes}.altered();
    out.altered_flat = measure_flat(out.altered.pieces);
    out.checks = check(out.altered, body, out.work.plan.cloth);
    out.not_done = not_done(out, body);
    return out;
}

}  // namespace

Work work_of(Pattern pattern, SizeChart chart, BodySet body, Plan plan)
{
    return {std::make_shared<const Pattern>(std::move(pattern)),
            std::make_shared<const SizeChart>(std::move(chart)), std::move(body), std::move(plan)};
}

const PlanLine* Computed::line(AdjustmentKind kind) const
{
    const auto it = std::find_if(lines.begin(), lines.end(), [&](const PlanLine& l) { return l.kind == kind; });
    return it == lines.end() ? nullptr : &*it;
}

// The gate of the core: a library that gives up on a wild drawing does so here, and no further.
Outcome<Computed> compute(Work work)
{
    const std::string name = work.pattern->name;
    try {
        return computed(std::move(work));
    } catch (const std::bad_alloc&) {
        throw;  // the machine failing is no fault of the drawing
    } catch (const std::exception&) {
        return refuse(Why::NotComputable, name);
    }
}

Outcome<Computed> compute(const Pattern& pattern, const SizeChart& chart, const BodySet& body, const Plan& plan)
{
    return compute(work_of(pattern, chart, body, plan));
}

}  // namespace sartorum
