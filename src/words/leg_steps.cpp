#include "words/leg_steps.h"

#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {

QString leg_step_title(const Step& s, Unit u)
{
    const QString a = amount_on_paper(abs(s.amount), u);
    const bool more = s.amount > Length{};
    switch (s.kind) {
        case StepKind::DrawRiseLine: return t("Draw a line across under the hip line");
        case StepKind::DrawLegLine: return t("Draw a line across the leg");
        case StepKind::DrawKneeLine: return t("Draw over the knee line");
        case StepKind::DrawRiseFold: return t("Draw two lines across under the hip line, %1 apart").arg(a);
        case StepKind::DrawLegFold: return t("Draw two lines across the leg, %1 apart").arg(a);
        case StepKind::DrawKneeFold: return t("Draw a second line %1 under the knee line").arg(a);
        case StepKind::TrueLeg: return t("True the seams over the cut");
        case StepKind::DrawCentreWedge: return t("Draw a line from the centre to the side");
        case StepKind::OpenAtCentre: return t("Open %1 at the centre").arg(a);
        case StepKind::OverlapAtCentre: return t("Overlap %1 at the centre").arg(a);
        case StepKind::RedrawCentre:
            return of_a_leg(s) ? t("Redraw the centre, one line into the curve") : t("Redraw the centre seam");
        case StepKind::CarryCentreUp: return t("Carry the centre straight on; the waist meets it");
        case StepKind::MarkInnerPoint:
            return (more ? t("Mark %1 outside the inner leg point") : t("Mark %1 inside the inner leg point"))
                .arg(a);
        case StepKind::RedrawInnerLeg: return t("Redraw inner leg and crotch curve to the mark");
        case StepKind::MarkKnee:
            return (more ? t("Mark %1 outside both seams at the knee")
                         : t("Mark %1 inside both seams at the knee"))
                .arg(a);
        case StepKind::MarkLegHem:
            return (more ? t("Mark %1 outside both seams at the hem") : t("Mark %1 inside both seams at the hem"))
                .arg(a);
        case StepKind::MarkCalf:
            return (more ? t("Mark %1 outside both seams at the calf")
                         : t("Mark %1 inside both seams at the calf"))
                .arg(a);
        case StepKind::RedrawCalf: return t("Redraw both seams over the calf");
        case StepKind::RedrawLeg: return t("Redraw both seams through the marks");
        case StepKind::MatchInnerLegs:
            return (more ? t("Lower the hem %1 at the inner leg") : t("Raise the hem %1 at the inner leg")).arg(a);
        case StepKind::AddTurnUp: return t("Leave paper for a turn-up of %1").arg(a);
        default: return {};
    }
}

QString leg_step_detail(const Step& s, Unit u)
{
    const QString place = amount_on_paper(s.place, u);
    const QString second = amount_on_paper(s.second, u);
    const QString a = amount_on_paper(abs(s.amount), u);
    switch (s.kind) {
        case StepKind::DrawRiseLine:
        case StepKind::DrawRiseFold:
            return t("%1 under the hip line, square to the crease, from seam to seam.").arg(place);
        case StepKind::DrawLegLine:
        case StepKind::DrawLegFold:
            return t("%1 under the inner leg point, square to the crease, from seam to seam.").arg(place);
        case StepKind::DrawKneeLine:
        case StepKind::DrawKneeFold:
            return t("It lies %1 under the inner leg point, square to the crease.").arg(place);
        case StepKind::TrueLeg:
            return t("One smooth line over the step on each side. Above and below it both seams stay.");
        case StepKind::DrawCentreWedge:
            return (of_a_leg(s)
                        ? t("It starts %1 down the centre and runs square to the crease to the side seam, %2 down "
                            "it.")
                        : t("It starts %1 down the centre and runs square to it to the side seam, %2 down it."))
                .arg(place, second);
        case StepKind::OpenAtCentre:
            return of_a_leg(s) ? t("Turn the upper part about the hinge and tape paper behind. Crease and grain "
                                   "follow the lower part.")
                               : t("Turn the upper part about the hinge and tape paper behind. The grain follows "
                                   "the lower part.");
        case StepKind::OverlapAtCentre:
            return of_a_leg(s) ? t("Turn the upper part about the hinge and tape it flat. Crease and grain follow "
                                   "the lower part.")
                               : t("Turn the upper part about the hinge and tape it flat. The grain follows the "
                                   "lower part.");
        case StepKind::RedrawCentre:
            return of_a_leg(s)
                       ? t("From the waist corner as the upper part lies now, smoothly into the crotch curve.")
                       : t("From the waist corner as the upper part lies now, smoothly into the seam at the hip.");
        case StepKind::CarryCentreUp:
            return (s.amount > Length{}
                        ? t("As it runs below the cut. The waist is carried on to it and gets %1 longer.")
                        : t("As it runs below the cut. The waist ends there and gets %1 shorter."))
                .arg(a);
        case StepKind::MarkInnerPoint:
            return t("Straight out, square to the crease, then down the seam until it is as long as it was.");
        case StepKind::RedrawInnerLeg:
            return t(
                "To nothing at the knee; the curve to nothing at the hip line, square to the inner leg at the "
                "mark.");
        case StepKind::MarkKnee: return t("The same on both sides of the crease, on the knee line.");
        case StepKind::MarkLegHem: return t("The same on both sides of the crease.");
        case StepKind::MarkCalf:
            return t("The same on both sides of the crease, %1 under the knee line.").arg(place);
        case StepKind::RedrawCalf: return t("Smooth through the marks, to nothing at the knee and at the hem.");
        case StepKind::RedrawLeg: return t("Smooth through the marks, to nothing where they run out.");
        case StepKind::MatchInnerLegs:
            return t(
                "Front and back inner leg are as long as they are meant to be again. The hem runs to the mark.");
        case StepKind::CutToSide:
            return of_a_leg(s) ? t("Leave a hinge at the stitching line of the side; snip the allowance to it.")
                               : QString{};
        case StepKind::Spread:
            return of_a_leg(s) ? t("Tape paper behind the gap. Crease and grain line stay one straight line.")
                               : QString{};
        case StepKind::FoldOut:
            return of_a_leg(s)
                       ? t("Bring the lower line up to the upper one and tape the fold flat. The crease stays "
                           "straight.")
                       : QString{};
        case StepKind::TrueSide:
            return of_a_leg(s) ? t("On both draw one smooth line from the waist corner to the hip line.")
                               : QString{};
        case StepKind::ExtendBelow:
            return of_a_leg(s) ? t("Tape paper under the hem. Carry both seams on with a long ruler.") : QString{};
        case StepKind::AddHem:
        case StepKind::TrimHem: return of_a_leg(s) ? t("The same all along the hem.") : QString{};
        case StepKind::RedrawHip:
            return of_a_leg(s) ? t("From the waist corner through the mark, to nothing at the knee.") : QString{};
        case StepKind::AddTurnUp:
            return t("%1 under the hem line in all: the turn-up twice, then what is turned inside. Fold it up as "
                     "it will be worn before the sides are cut there: then it opens out as the leg does.")
                .arg(place);
        default: return {};
    }
}

}  // namespace sartorum::words
