#include "core/plan/compute.h"

#include <algorithm>
#include <exception>
#include <new>
#include <set>
#include <utility>

#include "core/alter/kit/size_blend.h"
#include "core/paper/redraw/princess.h"
#include "core/paper/redraw/waist.h"
#include "core/plan/adjustment_sequence.h"
#include "core/plan/both_sides.h"
#include "core/plan/crotch.h"
#include "core/plan/cut_out.h"

namespace sartorum {

namespace {

// The sizes a plan names, found in the chart.
Outcome<SizesAt> sizes_of(const Plan& plan, const SizeChart& chart)
{
    const auto waist = chart.index_of(plan.size_at(Level::Waist));
    const auto hip = chart.index_of(plan.size_at(Level::Hip));
    if (!waist) return refuse(Why::SizeUnknown, plan.size_at(Level::Waist));
    if (!hip) return refuse(Why::SizeUnknown, plan.size_at(Level::Hip));
    const auto frame = chart.index_of(plan.frame_size());
    if (!frame) return refuse(Why::SizeUnknown, plan.frame_size());
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

// Why an accepted adjustment left the paper as it was, where that is no good reason: there is nothing to do is
// one.
std::optional<Refusal> left_undone(const Adjustment& entry, const PlanLine& line, const BodySet& body,
                                   bool doubted)
{
    if (line.state == LineState::Refused) return line.refusal;
    if (line.state != LineState::NothingKnown || line.proposal) return std::nullopt;
    if (entry.at_join == AtJoin::WholeGarment) return std::nullopt;  // nothing it goes with has changed
    if (!entry.propose) return Refusal{.why = Why::AmountMissing, .field = std::string{entry.key}};
    if (doubted) return Refusal{.why = Why::PatternDoubted, .field = std::string{entry.key}};
    if (entry.from && !body.taken(*entry.from))
        return Refusal{.why = Why::BodyIncomplete, .field = std::string{facts(*entry.from).key}};
    return std::nullopt;
}

// Accepted for a part, or a seam, that has not got it.
bool decided_for_another(const Computed& c, const Adjustment& entry)
{
    const auto has = [&](const std::string& subject) {
        if (entry.at_join == AtJoin::WholeGarment)
            return std::any_of(c.traced.seams.begin(), c.traced.seams.end(),
                               [&](const Seam& s) { return s.id == subject; });
        return std::any_of(c.lines.begin(), c.lines.end(),
                           [&](const PlanLine& l) { return l.kind == entry.kind && key(l.part) == subject; });
    };
    const auto& decisions = c.work.plan.decisions;
    return std::any_of(decisions.begin(), decisions.end(), [&](const Decision& d) {
        return d.kind == entry.kind && d.answer == Answer::Accepted && !d.subject.empty() && !has(d.subject);
    });
}

// Every accepted decision is on the paper, or stands here.
std::vector<NotDone> not_done(const Computed& computed, const std::vector<FittingTurn>& order, const BodySet& body)
{
    std::vector<NotDone> out;
    for (const auto& turn : order) {
        const Adjustment& entry = *turn.adjustment;
        const auto& decisions = computed.work.plan.decisions;
        const bool decided = std::any_of(decisions.begin(), decisions.end(), [&](const Decision& d) {
            return d.kind == entry.kind && d.answer == Answer::Accepted;
        });
        const bool asked =
            decided || std::any_of(computed.lines.begin(), computed.lines.end(), [&](const PlanLine& l) {
                return l.kind == entry.kind && l.by_itself && l.state == LineState::Refused;
            });
        if (turn.part != order.front().part || !asked) continue;
        bool there = false;
        for (const auto& line : computed.lines) {
            if (line.kind != entry.kind) continue;
            there = true;
            if (!line.by_itself && !accepted(computed.work.plan, line.kind, line.part)) continue;
            if (const auto why = left_undone(entry, line, body, !computed.doubts.empty()))
                out.push_back({entry.kind, *why});
        }
        if (!there || decided_for_another(computed, entry))
            out.push_back({entry.kind, Refusal{.why = Why::NotOnThisGarment, .field = std::string{entry.key}}});
    }
    return out;
}

// What is sewn to what of the garment's parts, as the size of the waist has it.
std::vector<Trail::Join> joins_of(const SizedPieces& waist, const std::vector<Seam>& seams,
                                  const std::vector<PartKind>& parts)
{
    std::vector<Trail::Join> out;
    const Garment drawn{waist.pieces, seams};
    for (std::size_t i = 1; i < parts.size(); ++i) {
        const Seam* seam = join_between(seams, waist.pieces, parts[i - 1], parts[i]);
        if (!seam) continue;
        out.push_back({parts[i - 1], parts[i],
                       joint_drawn(*seam, part_view(drawn, parts[i - 1]), part_view(drawn, parts[i]))});
    }
    return out;
}

// The traced pieces as one size has them; what comes from elsewhere as it was traced.
Garment as_bought(const std::vector<Piece>& sized, const Garment& traced)
{
    Garment out = traced;
    for (auto& p : out.pieces) {
        const Piece* printed = find_piece(sized, p.id);
        if (printed && printed->role == p.role && printed->part == p.part) p = *printed;
    }
    return out;
}

// What pattern, chart, body and sizes say, before any adjustment.
Outcome<Computed> begun(Work work, Trail& trail)
{
    const Pattern& pattern = *work.pattern;
    if (pattern.sizes.empty()) return refuse(Why::PieceMissing, "front");
    const auto parts = parts_of(pattern.sizes.front().pieces);
    if (parts.empty()) return refuse(Why::PieceMissing, "front");
    SizeChart chart = work.sizes();
    if (const auto ok = prints_what_is_chosen_by(chart, parts); !ok) return tl::make_unexpected(ok.error());
    const auto sizes = sizes_of(work.plan, chart);
    if (!sizes) return tl::make_unexpected(sizes.error());
    const SizeNames names = names_of(*sizes, chart);
    auto paper = trace_pattern(pattern, names);
    if (!paper) return tl::make_unexpected(paper.error());
    const std::string& bought = names.at(part_alter(parts.front()).bought_at);
    const SizedPieces* sized = pattern.find(bought);
    const SizedPieces* waist = pattern.find(names.waist);
    if (!sized || !waist) return refuse(Why::SizeUnknown, sized ? names.waist : bought);

    Computed out;
    auto made = made_up(std::move(*paper), work.plan.make_up);
    out.traced = std::move(made.applied.garment);
    settle_princess(out.traced.pieces);
    out.bought = as_bought(sized->pieces, out.traced);
    out.altered = out.traced;
    out.steps = std::move(made.applied.steps);
    out.trace_steps = out.steps.size();
    for (const auto part : parts) {
        if (work.plan.as_drawn) break;
        const Garment view = part_view(out.traced, part);
        const auto of_part = doubts_of(view, measure_flat(view.pieces), chart, *sizes, work.plan.cloth,
                                       band_above_seam(out.traced.pieces));
        for (const auto& d : of_part) {
            const bool told = std::any_of(out.doubts.begin(), out.doubts.end(), [&](const Doubt& x) {
                return x.kind == d.kind && x.measure == d.measure;
            });
            if (!told) out.doubts.push_back(d);
        }
    }
    const BodySet worn = work.worn_by();
    const auto& wish = work.plan.choosing;
    const School school = wish.school ? *wish.school : advise_school(chart, worn, wish).school;
    auto ground = std::make_shared<Trail::Ground>(
        Trail::Ground{fitting_order(parts), followers(out.traced.seams, out.traced.pieces),
                      joins_of(*waist, pattern.seams, parts), std::move(chart), worn, *sizes, school,
                      !out.doubts.empty(), std::move(made.not_made)});
    if (sides_differ(worn)) {
        ground->right_body = one_sided(worn, Side::Right);
        ground->left_body = one_sided(worn, Side::Left);
    }
    trail.ground = std::move(ground);
    trail.before.resize(trail.ground->order.size() + 1);
    trail.before.front() = {std::make_shared<const Standing>(standing_traced(parts, out.traced)), 0,
                            out.steps.size()};
    out.traced_flat = flat_of(*trail.before.front().standing);
    out.work = std::move(work);
    return out;
}

// What drawing the waist anew, and a wedge at a centre, put above where it was.
WaistHigher waist_higher(const Standing& s)
{
    WaistHigher out;
    for (const auto& p : s.parts) {
        const auto at = [&](WaistStation w) {
            return p.waist_moved_by.empty() ? Length{} : p.waist_moved_by[static_cast<std::size_t>(w)];
        };
        constexpr auto wedge = static_cast<std::size_t>(AdjustmentKind::CentreWedge);
        out.front += at(WaistStation::CentreFront) + p.done[wedge];
        out.side += at(WaistStation::Side);
        out.back += at(WaistStation::CentreBack) + p.done_back[wedge];
    }
    return out;
}

// Everything from one turn on; what stands before it is there already.
void go_on(Computed& out, std::shared_ptr<Trail> trail, std::size_t turn, bool keep, LastTime* last)
{
    if (out.left) out.checks = std::move(out.left->right_checks);
    const auto end = taken_to_end(out, *trail, turn, keep, last);
    const auto brought = [&](const Standing& to, Side side, Garment& altered, FlatMeasures& flat, Checks& checks) {
        const auto changed = bring_up_to(altered, to);
        flat = flat_of(to);
        std::vector<PartMeasured> parts;
        for (const auto& p : to.parts) parts.push_back({p.kind, *p.now, p.measured.flat()});
        const Checks before = std::move(checks);
        const auto stayed = last ? std::optional{Stayed{changed, before}} : std::nullopt;
        const BodySet& body = end.left ? trail->ground->body_of(side) : trail->ground->body;
        checks = check_measured(altered, parts, body, out.work.plan.cloth, stayed);
        checks.hem = hem_level(out.traced, altered, waist_higher(to));
    };
    if (end.left) {
        LeftSide& left = *out.left;
        if (left.altered.pieces.empty()) {
            left.altered = out.altered;
            left.checks = out.checks;
        }
        brought(*end.left, Side::Left, left.altered, left.flat, left.checks);
    }
    brought(*end.right, Side::Right, out.altered, out.altered_flat, out.checks);
    if (end.left) {
        LeftSide& left = *out.left;
        left.traced = traced_by_side(out);
        left.right_flat = out.altered_flat;
        left.right_checks = out.checks;
        out.altered_flat = of_both(left.right_flat, left.flat);
        out.checks = checks_of_both(out.altered, left.right_checks, left.altered, left.checks, out.traced);
    }
    if (const auto crotch = crotch_check(out)) out.checks.ease.push_back(*crotch);
    out.not_done = not_done(out, trail->ground->order, trail->ground->body);
    if (keep) out.trail = std::move(trail);
}

Outcome<Computed> computed(Work work, bool keep)
{
    auto trail = std::make_shared<Trail>();
    auto out = begun(std::move(work), *trail);
    if (out) go_on(*out, std::move(trail), 0, keep, nullptr);
    return out;
}

// Nothing but decisions differs.
bool only_decided_anew(const Work& a, const Work& b)
{
    const Plan& p = a.plan;
    const Plan& q = b.plan;
    return a.pattern == b.pattern && a.chart == b.chart && a.body == b.body && p.sizes == q.sizes &&
           p.sides == q.sides && p.chart_group == q.chart_group && p.choosing == q.choosing &&
           p.cloth == q.cloth && p.ease == q.ease && p.as_drawn == q.as_drawn && p.make_up == q.make_up &&
           p.sewn == q.sewn;
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

// What stands there from a place on.
template <class T>
std::vector<T> taken_from(std::vector<T>& all, std::size_t from)
{
    const auto first = all.begin() + static_cast<std::ptrdiff_t>(from);
    std::vector<T> out{std::make_move_iterator(first), std::make_move_iterator(all.end())};
    all.erase(first, all.end());
    return out;
}

Computed recomputed(Computed out, Work work)
{
    auto trail = std::make_shared<Trail>(*out.trail);
    const std::size_t turn = first_changed(trail->ground->order, out.work.plan, work.plan);
    const auto& stop = trail->before[turn];
    out.work = std::move(work);
    LastTime last{trail->before,
                  stop.lines,
                  {taken_from(out.lines, stop.lines), taken_from(out.steps, stop.steps), stop.steps},
                  {}};
    if (out.left) {
        // Where the left began to be led after this turn, its steps until here are the right's.
        const std::size_t steps = stop.left ? stop.left_steps : stop.steps;
        last.left = LastSide{taken_from(out.left->lines, stop.lines), taken_from(out.left->steps, steps), steps};
    }
    for (auto& line : out.lines) {  // in which order things were decided may have changed
        line.look_again = asks_to_look_again(line) ? changed_above(out.work.plan, line.kind) : std::nullopt;
    }
    for (std::size_t i = 0; out.left && i < out.lines.size(); ++i)
        out.left->lines[i].look_again = out.lines[i].look_again;
    go_on(out, std::move(trail), turn, true, &last);
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

const PlanLine* Computed::line(AdjustmentKind kind, PartKind part) const
{
    const auto it = std::find_if(lines.begin(), lines.end(),
                                 [&](const PlanLine& l) { return l.kind == kind && l.part == part; });
    return it == lines.end() ? nullptr : &*it;
}

const PlanLine* Computed::left_of(const PlanLine& of) const
{
    if (!left) return nullptr;
    return &left->lines[static_cast<std::size_t>(&of - lines.data())];
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
