// Steps of the lengths of a bodice: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

constexpr StepRow lengths_rows[] = {
    {StepKind::DrawAcross, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the across line") : t("Draw the across line and one %1 below").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return say.more
                    ? t("Square to the centre, %1 below the shoulder tip, from the centre to the armhole.")
                          .arg(say.place)
                    : t("Square to the centre, %1 below the shoulder tip, from the centre to the armhole; and "
                        "a "
                        "parallel line beneath it.")
                          .arg(say.place);
     }},
    {StepKind::DrawLengthLine, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw over the lengthen/shorten line") : t("Draw a second line %1 below").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("It lies %1 above the lower edge at the centre, square to the grain, from edge to "
                             "edge.")
                               .arg(say.place)
                         : t("Draw over the lengthen/shorten line, %1 above the lower edge at the centre, and a "
                             "parallel "
                             "line beneath it.")
                               .arg(say.place);
     }},
    {StepKind::MarkBottomCentre, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 below the edge at the centre").arg(say.a)
                         : t("Mark %1 above the edge at the centre").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("On the centre line, from its lower corner."); }},
    {StepKind::RedrawBottom, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the lower edge to nothing at the side"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "From the mark, square to the centre, into the old edge at the side seam. Dart legs run to the "
             "new edge.");
     }},
    {StepKind::MarkBottomSide, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 below the edge at the side").arg(say.a)
                         : t("Mark %1 above the edge at the side").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("On the side seam, from its lower corner."); }},
    {StepKind::RedrawBottomSide, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the lower edge to nothing at the centre"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "From the mark into the old edge at the centre, square to it there. Dart legs run to the new "
             "edge.");
     }},
    {StepKind::RedrawDart, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Draw both legs to the new tip"); },
     [](const Step&, const Said& say) -> QString {
         return t("Straight lines from the mouth, each %1 long; lengthen the shorter leg past the edge. Fold "
                  "the dart and cut the mouth through both layers.")
             .arg(say.place);
     },
     [](const Step&, const Said&) -> QString {
         return t("Are both legs equally long, and does the folded mouth meet the seam?");
     }},
    {StepKind::TrueBodiceSide, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True the side seam"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "The seam no longer meets at the cut: one straight line, or the old curve, from the upper corner "
             "to "
             "the lower. Dart legs that cross the cut are drawn anew.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay front on back along the side seam, darts folded: same length?");
     }},
    {StepKind::DrawWedge, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw a wedge of %1 at centre back").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("On centre back, %1 above the lower edge at the middle of the wedge: half up, half down; "
                  "both lines run to one point on the side seam, %2 above its lower end.")
             .arg(say.place, say.second);
     }},
    {StepKind::CutToSide, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut to the side seam, not through"); },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("Leave a hinge at the stitching line of the side; snip the allowance to it.");
         return t("Along the line, the lower where there are two; leave a paper hinge at the side seam.");
     }},
    {StepKind::CloseWedge, HandMark::Overlap,
     [](const Step&, const Said& say) -> QString { return t("Close the wedge, %1 at centre back").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("Bring the lower line up to the upper one and tape. Centre back loses exactly that.");
     },
     [](const Step&, const Said&) -> QString { return t("Does the paper lie flat at the hinge?"); }},
    {StepKind::TrimFold, HandMark::Trim,
     [](const Step&, const Said& say) -> QString { return t("Draw the fold straight, trim %1").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Lay a ruler on the upper fold and carry it down: what swings past it at the lower edge comes "
             "off.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay a ruler along the fold: is it straight from end to end?");
     }},
    {StepKind::GiveBackAtSide, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Give %1 back at the side").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "At the lower end of the side seam, straight out; to nothing at the upper end. The width is then "
             "as it was.");
     }},
    {StepKind::DrawBox, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw a box round the dart"); },
     [](const Step&, const Said& say) -> QString {
         return t("Square to the grain above and below the dart, and upright before its tip: %1 wide and %2 "
                  "high.")
             .arg(say.place, say.second);
     }},
    {StepKind::CutBox, HandMark::Cut, [](const Step&, const Said&) -> QString { return t("Cut the box out"); },
     [](const Step&, const Said&) -> QString {
         return t("Cut all three lines through: the box with the dart comes free.");
     }},
    {StepKind::SlideBox, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Slide the box down %1").arg(say.a) : t("Slide the box up %1").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Along the grain, and by a hair sideways so that it stays on the side seam. Tape paper into the "
             "gap.");
     }},
    {StepKind::MarkDartTip, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark a tip %1 lower").arg(say.a) : t("Mark a tip %1 higher").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Straight along the grain from the dart's tip. The mouth stays.");
     }},
    {StepKind::DrawBustLevel, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw across through the bust point"); },
     [](const Step&, const Said& say) -> QString {
         return t("On centre front %1 below the neckline, square to it as far as the bust point, then through "
                  "the "
                  "middle of the side dart to the side seam.")
             .arg(say.place);
     }},
};

}  // namespace

std::span<const StepRow> lengths_steps()
{
    return lengths_rows;
}

}  // namespace sartorum::words
