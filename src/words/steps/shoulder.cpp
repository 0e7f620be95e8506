// Steps of shoulder and neck: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString lay_front_to_back_along(const Step&, const Said&)
{
    return t("Lay front to back along the shoulder: do neckline and armhole run through as a smooth C?");
}

constexpr StepRow shoulder_rows[] = {
    {StepKind::DrawCorner, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the corner that carries the tip"); },
     [](const Step&, const Said& say) -> QString {
         return t("From the shoulder, %1 in a line from the neck point, straight down along the grain for %2; "
                  "then square out to the armhole, where it is straightest.")
             .arg(say.place, say.second);
     }},
    {StepKind::CutCorner, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut the corner off"); },
     [](const Step&, const Said&) -> QString {
         return t("Cut both lines right through: the corner with the shoulder tip comes free.");
     }},
    {StepKind::SlideCorner, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Slide the corner out %1").arg(say.a) : t("Slide the corner in %1").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Along the level line, so that the tip stays as high as it was. Tape; paper behind where it "
             "opens.");
     }},
    {StepKind::MarkTip, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside the tip").arg(say.a) : t("Mark %1 inside the tip").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("At the outer end of the seam, square to the seam line. The neck end stays.");
     }},
    {StepKind::RedrawShoulder, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the shoulder to the mark"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "A straight line from the neck point to the mark; run the armhole into it, square to the seam, to "
             "nothing where the armhole is straightest.");
     },
     lay_front_to_back_along},
    {StepKind::MarkNeckPoint, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside the neck end").arg(say.a)
                         : t("Mark %1 inside the neck end").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("At the neck end of the seam, square to the seam line. The tip stays.");
     }},
    {StepKind::RedrawNeckEnd, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the shoulder from the mark"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "A straight line from the mark to the tip; run the neckline into it, square to the seam, to "
             "nothing "
             "at the centre.");
     },
     lay_front_to_back_along},
    {StepKind::AllowShoulder, HandMark::Spread,
     [](const Step&, const Said& say) -> QString { return t("Toile: %1 more on the shoulder").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Cut the toile's shoulders with %1 of allowance in all. Sew on the old line with long "
                  "stitches, try "
                  "on, open and pin; then type what was pinned in Plan.")
             .arg(say.place);
     },
     [](const Step&, const Said&) -> QString {
         return t("Before good cloth is cut: try on, and take the pinned amount off the paper.");
     }},
    {StepKind::DrawStrip, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw the strip under the shoulder"); },
     [](const Step&, const Said& say) -> QString {
         return t("On the armhole, %1 along it from the tip; from there a straight line to the neck point.")
             .arg(say.place);
     }},
    {StepKind::CutToNeckPoint, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut to the neck point, not through"); },
     [](const Step&, const Said&) -> QString {
         return t("From the armhole to the neck point; leave a paper hinge there.");
     }},
    {StepKind::SwingStrip, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Open the strip %1 at the tip").arg(say.a)
                         : t("Overlap the strip %1 at the tip").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Swing the strip about the neck point until its tip has moved by that much, square to the seam. "
             "Tape.");
     }},
    {StepKind::MatchShoulders, HandMark::True,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Lengthen the shoulder %1 at the tip").arg(say.a)
                         : t("Shorten the shoulder %1 at the tip").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Along the seam, so that front and back match as they did before. Run the armhole to the new "
             "tip.");
     }},
    {StepKind::TrueArmhole, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True the armhole in one long line"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "From the shoulder tip, square to the seam, into the old curve at the underarm; a long line, no "
             "step.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Is the armhole one long line, without a step or an inward corner?");
     }},
    {StepKind::DrawAcrossBack, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw across the back at its roundest"); },
     [](const Step&, const Said& say) -> QString {
         return t("On centre back, %1 below the neck; from there square to centre back, to the armhole.")
             .arg(say.place);
     }},
    {StepKind::CutToArmhole, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut from centre back, not through"); },
     [](const Step&, const Said&) -> QString {
         return t("From centre back to the armhole; leave a paper hinge at the armhole.");
     }},
    {StepKind::OpenCentreBack, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Open %1 at centre back").arg(say.a) : t("Overlap %1 at centre back").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Turn the upper part about the hinge. Tape paper behind.");
     },
     [](const Step&, const Said&) -> QString { return t("Does the paper lie flat at the hinge?"); }},
    {StepKind::CurveCentreBack, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True centre back as one curve"); },
     [](const Step&, const Said&) -> QString {
         return t("One smooth line over the cut; the upper part leans. This is the new centre back seam.");
     }},
    {StepKind::StraightenFold, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("Carry the fold on straight"); },
     [](const Step&, const Said& say) -> QString {
         return t("Lay a ruler on the lower fold and carry it up to the neck: a wedge of %1 is added there. "
                  "Run the "
                  "neckline to it, square to the fold.")
             .arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay a ruler along the fold: is it straight from end to end?");
     }},
    {StepKind::DrawNeckDart, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw a neck dart %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Its near leg lies %2 along the neckline from centre back; it is %1 long, square to the "
                  "neckline. It "
                  "takes what the neckline grew.")
             .arg(say.place, say.second);
     }},
    {StepKind::EaseNeck, HandMark::True,
     [](const Step&, const Said& say) -> QString { return t("Ease %1 of the neckline").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "The neckline is longer than before by that: ease it into collar or facing, or draw those "
             "longer.");
     }},
    {StepKind::MarkNeckRound, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 below the neckline all round").arg(say.a)
                         : t("Mark %1 above the neckline all round").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "From the old line straight into the paper: at the centre along it, at the neck point along the "
             "shoulder, and at two places between.");
     }},
    {StepKind::MarkNeckAlong, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 out along the shoulder").arg(say.a)
                         : t("Mark %1 in along the shoulder").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("From the neck point, on the shoulder's stitching line. The centre stays.");
     }},
    {StepKind::RedrawNeckline, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the neckline through the marks"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "As it curved before, square to the centre and to the shoulder. Lay front to back at the shoulder "
             "first; collar, stand or facing get the new length.");
     }},
    {StepKind::CutToShoulder, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut to the shoulder, not through"); },
     [](const Step&, const Said&) -> QString {
         return t("From the armhole in and up; leave a paper hinge on the shoulder seam.");
     }},
    {StepKind::SwingCorner, HandMark::Overlap,
     [](const Step&, const Said& say) -> QString {
         return t("Swing the corner in until it overlaps %1").arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Turn the corner about the hinge; measure the overlap where the cut turns the corner.");
     }},
    {StepKind::DrawShoulderDart, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw a shoulder dart %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("In the middle of the shoulder's outer half, %1 long, square to the seam. Fold it shut "
                  "before the "
                  "shoulder is drawn.")
             .arg(say.place);
     }},
};

}  // namespace

std::span<const StepRow> shoulder_steps()
{
    return shoulder_rows;
}

}  // namespace sartorum::words
