#include "core/plan/adjustment_sequence.h"

#include <algorithm>
#include <tuple>
#include <utility>

#include "core/alter/kit/even_centre.h"
#include "core/plan/side_lane.h"
#include "core/plan/turn.h"

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

PartState started(const Garment& garment, PartKind kind)
{
    const auto view = std::make_shared<const Garment>(part_view(garment, kind));
    Measured measured{view->pieces};
    const FlatMeasures flat = measured.flat();
    return {.kind = kind, .traced = view, .now = view, .measured = std::move(measured), .traced_flat = flat};
}

// Takes a garment through the adjustments, from one of its turns on, both sides in step. A left side is only led
// where something is said of one side alone.
class Fitting {
public:
    Fitting(Computed& out, Trail& trail, LastTime* last)
        : out_{out},
          trail_{trail},
          ground_{*trail.ground},
          last_{last},
          right_{Side::Right, plan(), ground_, out.lines, out.steps}
    {
    }

    // What the garment comes to; how it stood between is kept only where it will be asked for.
    AfterTurns from(std::size_t turn, bool keep)
    {
        const auto& stop = trail_.before[turn];
        right_.standing = stop.standing;
        sided_ = told_apart();
        if (sided_ && out_.left)
            lead_left(stop.left ? stop.left : stop.standing);
        else
            out_.left.reset();
        out_.not_made = ground_.not_made;
        for (std::size_t i = turn; i < ground_.order.size(); ++i) {
            if (keep) trail_.before[i] = stop_here();
            take(i);
        }
        if (keep) trail_.before.back() = stop_here();
        finish();
        return {right_.standing, left_ ? left_->standing : nullptr};
    }

private:
    // The lines of one turn; the left's where there may be one.
    struct Lines {
        PlanLine right;
        std::optional<PlanLine> left{};
    };

    const Plan& plan() const { return out_.work.plan; }

    bool told_apart() const
    {
        const auto& all = plan().decisions;
        return ground_.left_body ||
               std::any_of(all.begin(), all.end(), [](const Decision& d) { return d.has_sides(); });
    }

    void lead_left(std::shared_ptr<const Standing> from)
    {
        left_.emplace(Side::Left, plan(), ground_, out_.left->lines, out_.left->steps);
        left_->standing = std::move(from);
    }

    // Until something is otherwise on the left it is led with the right one, at no cost.
    void part_from_right(Lines& lines)
    {
        out_.left.emplace();
        out_.left->lines = out_.lines;
        out_.left->steps = out_.steps;
        lead_left(right_.standing);
        lines.left->first_step = left_->steps();
    }

    Trail::Stop stop_here() const
    {
        Trail::Stop stop{right_.standing, out_.lines.size(), out_.steps.size()};
        if (left_) {
            stop.left = left_->standing;
            stop.left_steps = left_->steps();
        }
        return stop;
    }

    bool same_paper_yet() const { return !left_ || left_->standing == right_.standing; }

    std::optional<Proposal> asked(const Lane& lane, const FittingTurn& turn, const BodySet& body) const
    {
        if (!turn.adjustment->propose || ground_.doubted) return std::nullopt;
        const auto across = lane.across_for(turn.part);
        return turn.adjustment->propose(lane.state_before(turn, body, across ? &*across : nullptr));
    }

    PlanLine line(const Lane& lane, const FittingTurn& turn, const BodySet& body, Side side) const
    {
        const auto across = lane.across_for(turn.part);
        const auto state = lane.state_before(turn, body, across ? &*across : nullptr);
        PlanLine out = line_of(turn, state, asked(lane, turn, body), side, plan());
        out.first_step = lane.steps();
        return out;
    }

    // Whose measures each side's amount is proposed from.
    struct Bodies {
        const BodySet* right;
        const BodySet* left;
    };

    Bodies bodies_for(const FittingTurn& turn, TwoSides& sides) const
    {
        Bodies out{&ground_.body, &ground_.body};
        if (!ground_.left_body) return out;
        TwoSides both{.right = asked(right_, turn, ground_.body_of(Side::Right)),
                      .left = asked(right_, turn, ground_.body_of(Side::Left))};
        const Decision* decision = plan().decision(turn.adjustment->kind, turn.part);
        both.how = sided(*turn.adjustment, both, sides_way(plan(), decision));
        if (both.how != Sided::Alike) sides = both;
        if (sides.how == Sided::Apart) return {&ground_.body_of(Side::Right), &ground_.body_of(Side::Left)};
        if (sides.how == Sided::Larger || sides.how == Sided::Together)
            out.right = out.left = &ground_.body_of(larger_side(both));
        return out;
    }

    Lines lines_of(const FittingTurn& turn) const
    {
        if (!sided_) return {line(right_, turn, ground_.body, Side::Right)};
        TwoSides sides;
        const Bodies bodies = bodies_for(turn, sides);
        Lines out{line(right_, turn, *bodies.right, Side::Right)};
        const Lane& beside = left_ ? *left_ : right_;
        const Decision* decision = plan().decision(turn.adjustment->kind, turn.part);
        const bool one = same_paper_yet() && bodies.left == bodies.right && !(decision && decision->has_sides());
        out.left = one ? out.right : line(beside, turn, *bodies.left, Side::Left);
        out.left->first_step = beside.steps();
        const bool together = turn.adjustment->at_centre == AtCentre::Together;
        if (sides.how == Sided::Alike && unlike(out.right, *out.left))
            sides.how = together ? Sided::Together : Sided::Apart;
        out.right.sides = std::move(sides);
        agree(*turn.adjustment, out.right, *out.left);
        if (!unlike(out.right, *out.left) && out.right.sides.how == Sided::Apart)
            out.right.sides.how = Sided::Alike;
        return out;
    }

    // On paper, or with the sewn garment; what was done on paper then stands as it was sewn.
    bool in_its_time(const Adjustment& entry, PartKind part) const
    {
        if (!plan().sewn) return !entry.when_sewn;
        return entry.when_sewn || entry.apply_across || accepted(plan(), entry.kind, part);
    }

    void take(std::size_t i)
    {
        const FittingTurn& turn = ground_.order[i];
        const Adjustment& entry = *turn.adjustment;
        if (!right_.asked_of(entry, turn.part) || !in_its_time(entry, turn.part)) return;
        Lines lines = lines_of(turn);
        if (lines.left && !left_) {
            if (unlike(lines.right, *lines.left))
                part_from_right(lines);
            else
                lines.left.reset();
        }
        if (lines.right.state == LineState::Proposed) hold_to_paper(turn, lines);
        const bool taken = lines.right.state == LineState::Accepted;
        if (taken && entry.joins && accepted(plan(), *entry.joins, turn.part)) {
            carry(turn.part, *entry.joins, lines);
        } else if (lines.left && same_paper_yet() && !unlike(lines.right, *lines.left)) {
            do_on_both_at_once(i, turn, lines);
        } else {
            do_on_each(i, turn, lines);
        }
        right_.add(std::move(lines.right));
        if (left_) left_->add(std::move(*lines.left));
    }

    void carry(PartKind part, AdjustmentKind to, const Lines& lines)
    {
        const bool at_once = same_paper_yet() && !(lines.left && unlike(lines.right, *lines.left));
        right_.carry(part, to, lines.right.amount);
        if (!left_) return;
        if (at_once)
            left_->standing = right_.standing;
        else
            left_->carry(part, to, lines.left->amount);
    }

    // Nothing is proposed that cannot be done once it is accepted.
    static void hold_to_paper(const Lane& lane, const FittingTurn& turn, PlanLine& line)
    {
        if (!line.proposal || (line.amount == Length{} && line.back == Length{})) return;
        const auto across = lane.across_for(turn.part);
        const Doing doing{*turn.adjustment, *lane.part(turn.part).now, across ? &*across : nullptr};
        Dose dose{line.amount, line.back, line.method};
        dose.at = line.at;
        const auto result = attempted(doing, dose, &*line.proposal);
        if (!result.applied) {
            line.state = LineState::NotOnPaper;
            line.refusal = result.applied.error();
            return;
        }
        line.amount = result.dose.front;
        line.back = result.dose.back;
        line.at = result.dose.at;
        line.short_of = result.short_of;
    }

    void hold_to_paper(const FittingTurn& turn, Lines& lines) const
    {
        const bool at_once = same_paper_yet() && !(lines.left && unlike(lines.right, *lines.left));
        hold_to_paper(right_, turn, lines.right);
        if (!lines.left) return;
        if (at_once) {
            const std::size_t first = lines.left->first_step;
            lines.left = lines.right;
            lines.left->first_step = first;
            return;
        }
        hold_to_paper(*left_, turn, *lines.left);
        for (const auto& [from, to, side] : {std::tuple{&lines.right, &*lines.left, Side::Right},
                                             std::tuple{&*lines.left, &lines.right, Side::Left}}) {
            if (from->state != LineState::NotOnPaper || to->state == LineState::NotOnPaper) continue;
            to->state = from->state;
            to->refusal = from->refusal;
            from->refused_on = to->refused_on = side;
        }
    }

    void do_on_both_at_once(std::size_t i, const FittingTurn& turn, Lines& lines)
    {
        const std::size_t steps = out_.steps.size();
        const std::size_t first = lines.left->first_step;
        const auto sides = lines.left->sides;
        do_one(i, turn, right_, lines.right);
        lines.left = lines.right;
        lines.left->first_step = first;
        lines.left->sides = sides;
        left_->standing = right_.standing;
        for (std::size_t k = steps; k < out_.steps.size(); ++k) out_.left->steps.push_back(out_.steps[k]);
    }

    static void refuse_line(PlanLine& line, const Refusal& why, std::optional<Side> on = {})
    {
        line.state = LineState::Refused;
        line.refusal = why;
        line.refused_on = on;
    }

    LastSide* last_of(Side side) const
    {
        if (!last_) return nullptr;
        if (side == Side::Right) return &last_->right;
        return last_->left ? &*last_->left : nullptr;
    }

    bool taken_over(std::size_t i, const FittingTurn& turn, Lane& lane, PlanLine& line) const
    {
        LastSide* last = last_of(lane.side);
        const Length with = lane.carried(turn.part, turn.adjustment->kind);
        if (!last || (line.state != LineState::Accepted && with == Length{})) return false;
        return lane.taken_over(i, turn, line, *last_, *last);
    }

    static std::optional<Attempted> attempt(const Lane& lane, const FittingTurn& turn, PlanLine& line)
    {
        const auto across = lane.across_for(turn.part);
        auto out = lane.attempt(turn, across ? &*across : nullptr, line);
        if (!out || !out->short_of) return out;
        line.amount = out->dose.front;
        line.back = out->dose.back;
        line.at = out->dose.at;
        line.short_of = out->short_of;
        return out;
    }

    void do_one(std::size_t i, const FittingTurn& turn, Lane& lane, PlanLine& line) const
    {
        if (taken_over(i, turn, lane, line)) return;
        auto done = attempt(lane, turn, line);
        if (!done) return;
        if (!done->applied) return refuse_line(line, done->applied.error());
        auto others = lane.followed(*done->applied, turn.part);
        if (!others) return refuse_line(line, others.error());
        lane.commit(turn, line, std::move(*done), std::move(*others));
    }

    void do_on_each(std::size_t i, const FittingTurn& turn, Lines& lines)
    {
        if (!left_) return do_one(i, turn, right_, lines.right);
        if (turn.adjustment->at_centre != AtCentre::Clear) return do_evened(turn, lines);
        const auto stood = right_.standing;
        const std::size_t steps = out_.steps.size();
        const PlanLine asked = lines.right;
        const bool refused = asked.state == LineState::Refused;  // on no side's account
        do_one(i, turn, right_, lines.right);
        if (!refused && lines.right.state == LineState::Refused)
            return refuse_line(*lines.left, *lines.right.refusal, lines.right.refused_on = Side::Right);
        do_one(i, turn, *left_, *lines.left);
        if (refused || lines.left->state != LineState::Refused) return;
        // Not on one side alone: the right as it was.
        right_.standing = stood;
        out_.steps.resize(steps);
        lines.right = asked;
        refuse_line(lines.right, *lines.left->refusal, lines.left->refused_on = Side::Left);
    }

    // Each side by its own amount, and the centres then equally long.
    void do_evened(const FittingTurn& turn, Lines& lines)
    {
        auto right = attempt(right_, turn, lines.right);
        auto left = attempt(*left_, turn, *lines.left);
        const auto refuse_both = [&](const Refusal& why, Side on) {
            refuse_line(lines.right, why, on);
            refuse_line(*lines.left, why, on);
        };
        if (right && !right->applied) return refuse_both(right->applied.error(), Side::Right);
        if (left && !left->applied) return refuse_both(left->applied.error(), Side::Left);
        if (!right && !left) return;
        const auto there = [&](const Lane& lane, std::optional<Attempted>& done) -> Applied& {
            if (!done) done = Attempted{{}, Applied{*lane.part(turn.part).now, {}}};
            return *done->applied;
        };
        Applied& on_right = there(right_, right);
        Applied& on_left = there(*left_, left);
        (turn.adjustment->at_centre == AtCentre::Evened ? centres_evened : ends_met)(on_right, on_left);
        auto right_others = right_.followed(on_right, turn.part);
        auto left_others = left_->followed(on_left, turn.part);
        if (!right_others) return refuse_both(right_others.error(), Side::Right);
        if (!left_others) return refuse_both(left_others.error(), Side::Left);
        if (changed(right_, turn, on_right))
            right_.commit(turn, lines.right, std::move(*right), std::move(*right_others));
        if (changed(*left_, turn, on_left))
            left_->commit(turn, *lines.left, std::move(*left), std::move(*left_others));
    }

    static bool changed(const Lane& lane, const FittingTurn& turn, const Applied& applied)
    {
        const auto& was = lane.part(turn.part).now->pieces;
        const auto& is = applied.garment.pieces;
        return !applied.steps.empty() || !std::equal(was.begin(), was.end(), is.begin(), same_paper);
    }

    // Neither paper nor anything that waits for an answer is another on the left: then there is no left.
    void finish()
    {
        const bool one_paper = same_paper_yet();
        bool one = one_paper;
        for (std::size_t i = 0; left_ && i < out_.lines.size(); ++i)
            one = one && !unlike(out_.lines[i], out_.left->lines[i]);
        right_.draw_facings(out_.traced, out_.not_made);
        if (!left_) return;
        if (one) {
            left_.reset();
            out_.left.reset();
            return;
        }
        std::vector<NotMade> not_made;
        left_->draw_facings(out_.traced, not_made);
        if (!out_.lines.empty() && adjustment(out_.lines.back().kind).at_join == AtJoin::WholeGarment)
            answer_alike(out_.lines.back(), out_.left->lines.back());
        if (one_paper) left_->standing = right_.standing;
        for (auto& n : not_made) {
            const auto same = [&](const NotMade& other) { return other.piece == n.piece; };
            if (std::none_of(out_.not_made.begin(), out_.not_made.end(), same))
                out_.not_made.push_back(std::move(n));
        }
    }

    Computed& out_;
    Trail& trail_;
    const Trail::Ground& ground_;
    LastTime* last_;
    Lane right_;
    std::optional<Lane> left_;  // once something is otherwise there
    bool sided_ = false;        // it may come to be
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

AfterTurns taken_to_end(Computed& out, Trail& trail, std::size_t from_turn, bool keep, LastTime* last)
{
    return Fitting{out, trail, last}.from(from_turn, keep);
}

}  // namespace sartorum
