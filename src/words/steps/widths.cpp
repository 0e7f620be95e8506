// Steps of the widths of a bodice and its darts: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

constexpr StepRow widths_rows[] = {
    {StepKind::MarkTipAcross, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 further out than the bust point").arg(say.a)
                         : t("Mark %1 further in than the bust point").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Square to the grain from the bust point. Mouths and seams stay.");
     }},
    {StepKind::RedrawAimed, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Aim the darts at the new bust point"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Each tip as far out or in as the bust point went; straight legs to the old mouth, equally long. "
             "Fold "
             "each dart shut before its seam is drawn.");
     }},
    {StepKind::LayTogether, HandMark::Spread,
     [](const Step&, const Said&) -> QString { return t("Lay the two front panels together at the bust point"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Grain lines parallel; pin them so. They part above and below the bust point, as darts would, and "
             "the front is worked as one piece.");
     }},
    {StepKind::CloseIntoSeam, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Close the %1 at the side into the seam").arg(say.a)
                         : t("Lay the side flat again, %1 overlapped").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         return s.amount > Length{}
                    ? t("Turn the upper side about the bust point until the side edges meet, and tape. The "
                        "seam "
                        "opens above the bust instead; what the waist gained opens it below.")
                    : t("Turn the upper side about the bust point until the side edges meet edge to edge, and "
                        "tape. The seam closes by as much above the bust, and below it by what the waist "
                        "lost.");
     }},
    {StepKind::RedrawSeam, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Draw the seam again on both panels"); },
     [](const Step& s, const Said& say) -> QString {
         return t("From its upper end to the bust point and on to its lower end, rounded within %1 of the bust "
                  "point; the same length on both panels. Then part them again.")
             .arg(amount_on_paper(abs(s.amount), say.unit));
     }},
    {StepKind::DrawBustLines, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the three lines to the bust point"); },
     [](const Step& s, const Said& say) -> QString {
         return on_two_panels(s)
                    ? t("From the waist along the side panel's seam to the bust point, and on to the armhole, "
                        "%1 along it from the underarm; and from the side seam, %2 down it from the underarm, "
                        "to the bust point.")
                          .arg(say.place, say.second)
                    : t("From the lower edge along the grain to the bust point, and on to the armhole, %1 "
                        "along "
                        "it from the underarm; and from the side seam, %2 down it from the underarm or through "
                        "the middle of the dart there, to the bust point.")
                          .arg(say.place, say.second);
     }},
    {StepKind::CutBustLines, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut them, leaving two hinges"); },
     [](const Step&, const Said&) -> QString {
         return t("Up to the armhole's stitching line and in to the bust point: a paper hinge stays at each.");
     }},
    {StepKind::SwingBust, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Swing the side out until the cut is %1 wide").arg(say.a)
                         : t("Swing the side in until the cut overlaps %1").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         return t("The upper side turns about the armhole, the lower one goes along, until the upright cut is "
                  "the "
                  "same all the way. %1")
             .arg(on_two_panels(s) ? t("The cut at the side opens or overlaps by itself.")
                                   : t("The dart opens or closes by itself."));
     },
     [](const Step&, const Said&) -> QString {
         return t("Is the upright cut equally wide at both ends, and does the paper lie flat?");
     }},
    {StepKind::DropCentre, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Drop the centre %1 until it is level").arg(say.a)
                         : t("Raise the centre %1 until it is level").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Cut the centre across below the bust point and move its lower part until the lower edge is "
             "level: that is the length a fuller bust goes over.");
     }},
    {StepKind::RedrawBustDart, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Draw the dart, %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Its tip %1 before the bust point, both legs equally long. Fold it and cut the mouth through "
                  "both layers.")
             .arg(say.place);
     },
     [](const Step&, const Said&) -> QString {
         return t("Are both legs equally long, and does the folded mouth meet the seam?");
     }},
    {StepKind::TakeInSide, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Take %1 in at the lower end of the side").arg(say.a)
                         : t("Give %1 back at the lower end of the side").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Straight in at the lower end of the side seam, to nothing at the underarm.");
     }},
    {StepKind::DrawWaistDart, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Draw the waist dart, %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Both legs %1 long, its tip under the bust point.").arg(say.place);
     }},
    {StepKind::EaseSide, HandMark::True,
     [](const Step&, const Said& say) -> QString { return t("Ease %1 into the side seam").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Draw the side seam straight over the dart. The front is eased to the back over a hand's length "
             "at bust level.");
     }},
    {StepKind::DrawKnitDart, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw the armhole dart, %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("%1 long, towards the bust point, its middle %2 above the underarm along the armhole.")
             .arg(say.place, say.second);
     }},
    {StepKind::DrawGape, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw a wedge of %1 to the bust point").arg(say.a); },
     [](const Step& s, const Said& say) -> QString {
         return t("The middle of the pinch lies %1 %2, or where you pinned it. From both its ends to the bust "
                  "point, %3 away.")
             .arg(say.second, along_from(s.on), say.place);
     }},
    {StepKind::CloseGape, HandMark::Overlap,
     [](const Step&, const Said&) -> QString { return t("Close the wedge; the dart opens"); },
     [](const Step&, const Said& say) -> QString {
         return t("Fold one line onto the other. The dart is %1 wide then.").arg(say.place);
     }},
    {StepKind::DrawDartLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the new dart's line to the bust point"); },
     [](const Step& s, const Said& say) -> QString {
         return t("It begins %1 %2, and is %3 long; and carry both legs of the old dart on to the bust point. "
                  "Cut "
                  "the new line and one leg, a hinge stays at the bust point.")
             .arg(say.second, along_from(s.on), say.place);
     }},
    {StepKind::SwingDart, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return t("Close %1 of the old dart; the new one opens").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Bring leg to leg and tape. The same angle opens at the new place.");
     }},
    {StepKind::MarkUnderarmLower, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Mark %1 down the side seam").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("Along the seam from the underarm; the same on front and back.");
     }},
    {StepKind::RedrawLowerArmhole, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the armhole to the mark"); },
     [](const Step&, const Said&) -> QString {
         return t("From the tip as it was, in one long line, into the mark with the corner it had.");
     }},
    {StepKind::MarkUnderarm, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside the underarm").arg(say.a)
                         : t("Mark %1 inside the underarm").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("At the level of the underarm, straight out from the seam's upper end.");
     }},
    {StepKind::RedrawUnderarm, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw armhole and side seam to the mark"); },
     [](const Step&, const Said&) -> QString {
         return t("To nothing at the waist; the armhole runs into the mark.");
     }},
    {StepKind::MarkAcross, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside the armhole").arg(say.a)
                         : t("Mark %1 inside the armhole").arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("On the across line."); }},
    {StepKind::RedrawAcross, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the armhole through the mark"); },
     [](const Step&, const Said&) -> QString {
         return t("Nothing at the tip and nothing at the notch, one smooth line between.");
     }},
    {StepKind::DrawBackCorner, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the corner behind the arm"); },
     [](const Step&, const Said& say) -> QString {
         return t("From the shoulder, %1 inside its tip, straight down along the grain; and from the armhole, "
                  "%2 along "
                  "it from the tip, straight across to that line.")
             .arg(say.place, say.second);
     }},
    {StepKind::OverlapBackArmhole, HandMark::Overlap,
     [](const Step&, const Said& say) -> QString { return t("Overlap %1 at the armhole").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("Pivot where the cuts meet. The shoulder opens a little.");
     }},
    {StepKind::EaseShoulder, HandMark::True,
     [](const Step&, const Said& say) -> QString {
         return t("True the shoulder; %1 is eased to the front").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("One straight shoulder to the new tip; the armhole in one line.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay front to back along the shoulder: do neckline and armhole run through as a smooth C?");
     }},
    {StepKind::RedrawBodiceSide, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the side seam to the mark"); },
     [](const Step&, const Said&) -> QString { return t("Full at the mark, even up to the underarm."); }},
    {StepKind::MarkTipAlong, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark the tip %1 further in").arg(say.a)
                         : t("Mark the tip %1 nearer the edge").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("On the dart's middle line, from its old tip. The mouth stays.");
     }},
    {StepKind::SlideBustDart, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the dart %1 lower").arg(say.a) : t("Draw the dart %1 higher").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Both ends of its mouth go that far along the edge, its tip with them. As wide and as long as "
             "it was; fold it shut and draw the edge over it.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Fold the dart shut: are both legs equally long, and does the edge run smoothly over it?");
     }},
};

}  // namespace

std::span<const StepRow> widths_steps()
{
    return widths_rows;
}

}  // namespace sartorum::words
