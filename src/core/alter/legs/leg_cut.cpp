#include "core/alter/legs/leg_cut.h"

#include "core/alter/kit/shared.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/redraw/leg.h"

namespace sartorum {

Outcome<bool> cut_leg(Applied& out, Piece& piece, const LegCut& cut, Length amount, const LegCutSteps& how,
                      const std::string& field)
{
    const bool longer = amount > Length{};
    // The fold, and a little more to true over, must lie between the cut and where nothing may change.
    const Length room = Length::mm(cut.level - cut.lower - 5);
    if (!longer && -amount > room) return refuse_amount(Why::AmountTooLarge, field, amount, -room, paper_most);
    const auto span = lies_across(piece, cut.level);
    if (!span) return refuse(Why::LineMissesPiece, field);
    const Guide line{GuideKind::LengthenShorten, {span->from, cut.level}, {span->to, cut.level}};
    const auto paper = cut_across(out, piece, line, amount, longer ? how.draw : how.draw_fold, how.place);
    if (!paper) return tl::make_unexpected(paper.error());
    const Piece trued = lowered_between(piece, cut.upper, cut.level, cut.lower, {0, -amount.in_mm()});
    out.steps.push_back(redrawn_step(*paper, trued, StepKind::TrueLeg, amount, how.place));
    piece = trued;
    return true;
}

}  // namespace sartorum
