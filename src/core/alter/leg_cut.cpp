#include "core/alter/leg_cut.h"

#include "core/alter/shared.h"
#include "core/paper/leg_redraw.h"
#include "core/paper/panels.h"

namespace sartorum {
namespace {

const Point square_across{1, 0};

Outcome<bool> spread(Applied& out, Piece& piece, const LegCut& cut, Length amount, const LegCutSteps& how)
{
    const Point by{0, -amount.in_mm()};
    const auto paper = spread_across(piece, {0, cut.level}, square_across, by);
    if (!paper) return tl::make_unexpected(paper.error());
    const Point a = paper->cut.enters;
    const Stroke line{a, paper->cut.leaves};
    Step draw = step_on(piece, how.draw, amount, how.place);
    draw.picture.lines = {line};
    Step in_two = step_on(piece, StepKind::CutAcross, amount, how.place);
    in_two.picture.panels = {paper->cut.first, paper->cut.second};
    in_two.picture.lines = {line};
    Step apart = step_on(piece, StepKind::Spread, amount, how.place);
    apart.picture.panels = {paper->cut.first, paper->second};
    apart.picture.added = {paper->strip};
    apart.picture.dimensions = {{a, a + by, amount}};
    out.steps.insert(out.steps.end(), {draw, in_two, apart});
    const Piece trued = lowered_between(piece, cut.upper, cut.level, cut.lower, by);
    out.steps.push_back(redrawn_step(paper->whole, trued, StepKind::TrueLeg, amount, how.place));
    piece = trued;
    return true;
}

Outcome<bool> fold(Applied& out, Piece& piece, const LegCut& cut, Length amount, const LegCutSteps& how)
{
    const Point up{0, -amount.in_mm()};
    const auto folded = folded_out(piece, {0, cut.level}, square_across, -up);
    if (!folded) return tl::make_unexpected(folded.error());
    const Point a = folded->cut.enters;
    const Point b = folded->cut.leaves;
    Step draw = step_on(piece, how.draw_fold, -amount, how.place);
    draw.picture.lines = {{a, b}, {folded->band[3], folded->band[2]}};
    draw.picture.removed = {folded->band};
    draw.picture.dimensions = {{a, a - up, -amount}};
    Step done = step_on(piece, StepKind::FoldOut, -amount, how.place);
    done.picture.panels = {folded->whole};
    done.picture.lines = {{a, b}};
    out.steps.insert(out.steps.end(), {draw, done});
    const Piece trued = lowered_between(piece, cut.upper, cut.level, cut.lower, up);
    out.steps.push_back(redrawn_step(folded->whole, trued, StepKind::TrueLeg, amount, how.place));
    piece = trued;
    return true;
}

}  // namespace

Outcome<bool> cut_leg(Applied& out, Piece& piece, const LegCut& cut, Length amount, const LegCutSteps& how,
                      const std::string& field)
{
    if (amount > Length{}) return spread(out, piece, cut, amount, how);
    // The fold, and a little more to true over, must lie between the cut and where nothing may change.
    const Length room = Length::mm(cut.level - cut.lower - 5);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, field, amount, -room, paper_most);
    return fold(out, piece, cut, amount, how);
}

}  // namespace sartorum
