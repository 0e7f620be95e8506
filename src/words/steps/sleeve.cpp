// Steps of sleeves: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString square_to_the_grain_under(const Step&, const Said& say)
{
    return t("Square to the grain, %1 under the top.").arg(say.place);
}

QString walk_the_cap_along_the(const Step&, const Said&)
{
    return t("Walk the cap along the armhole from the underarm: notch, top, notch.");
}

QString lay_underarm_on_underarm_same(const Step&, const Said&)
{
    return t("Lay underarm on underarm: same length?");
}

constexpr StepRow sleeve_rows[] = {
    {StepKind::DrawSleeveCross, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the middle line and the bicep line"); },
     [](const Step&, const Said&) -> QString {
         return t("From the top notch straight down to the hem, along the grain, and from underarm to underarm.");
     }},
    {StepKind::CutSleeveCross, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut both, leaving four hinges"); },
     [](const Step&, const Said&) -> QString {
         return t("Hinges stay at the top, at the hem and at both underarms.");
     }},
    {StepKind::SpreadBicep, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Spread %1 at the bicep line").arg(say.a)
                         : t("Overlap %1 at the bicep line").arg(say.a);
     },
     [](const Step& s, const Said& say) -> QString {
         return t("Pull the middles apart and let the top slide along the middle line: the cap is %1 %2.")
             .arg(amount_on_paper(abs(s.place), say.unit), s.place > Length{} ? t("lower") : t("higher"));
     }},
    {StepKind::DrawSleeveMiddle, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the line from top to hem"); },
     [](const Step&, const Said&) -> QString {
         return t("From the top notch straight down along the grain to the hem.");
     }},
    {StepKind::CutSleeveMiddle, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut it through"); },
     [](const Step&, const Said&) -> QString { return t("Both halves come free."); }},
    {StepKind::SpreadSleeve, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Spread %1, edges parallel").arg(say.a) : t("Overlap %1, edges parallel").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("The same everywhere, along the bicep line."); }},
    {StepKind::TrueSleeve, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True the cap, the seams and the hem"); },
     [](const Step&, const Said&) -> QString {
         return t("A smooth top, straight underarm seams, the hem square to them.");
     },
     walk_the_cap_along_the},
    {StepKind::GatherCap, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Write on the cap: gather in %1").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("Between the side notches, half on each side of the top notch, over and above the ease it had.");
     }},
    {StepKind::DrawCapLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw across the cap, below the notches"); },
     square_to_the_grain_under},
    {StepKind::DrawCapTop, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw across the cap, above the notches"); },
     square_to_the_grain_under},
    {StepKind::CutCap, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut the top of the cap off"); },
     [](const Step&, const Said&) -> QString {
         return t("Cut through; the middle line shows where it belongs.");
     }},
    {StepKind::MoveCap, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Spread the cap %1").arg(say.a) : t("Overlap the cap %1").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Along the middle line, edges parallel. The underarms stay.");
     }},
    {StepKind::SlideCap, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Slide the top forward %1").arg(say.a) : t("Slide the top back %1").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("Along the cut, edge on edge."); }},
    {StepKind::TrueCap, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("Smooth both curves of the cap"); },
     [](const Step&, const Said&) -> QString {
         return t("From the underarms over the step to the top; mark the side notches again from the armhole.");
     },
     walk_the_cap_along_the},
    {StepKind::MarkTopNotch, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark the top notch %1 further forward").arg(say.a)
                         : t("Mark the top notch %1 further back").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("Along the curve. The shoulder seam meets it there."); },
     walk_the_cap_along_the},
    {StepKind::DrawSleeveLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw across the sleeve"); },
     [](const Step&, const Said& say) -> QString {
         return t("Square to the grain, %1 under the underarm, from seam to seam.").arg(say.place);
     }},
    {StepKind::TrueUnderarms, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True both underarm seams"); },
     [](const Step&, const Said&) -> QString { return t("Straight from underarm to hem, both the same."); },
     lay_underarm_on_underarm_same},
    {StepKind::MarkSleeveHem, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside each end of the hem").arg(say.a)
                         : t("Mark %1 inside each end of the hem").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("At both ends, along the hem."); }},
    {StepKind::MarkForearm, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside each underarm seam").arg(say.a)
                         : t("Mark %1 inside each underarm seam").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("%1 under the underarm, on both seams.").arg(say.place);
     }},
    {StepKind::RedrawUnderarms, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw both underarm seams to the marks"); },
     [](const Step&, const Said&) -> QString { return t("Both alike, smooth into what stays."); },
     lay_underarm_on_underarm_same},
};

}  // namespace

std::span<const StepRow> sleeve_steps()
{
    return sleeve_rows;
}

}  // namespace sartorum::words
