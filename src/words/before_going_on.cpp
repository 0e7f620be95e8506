#include "words/words.h"

#include "words/say.h"

// What to look at before the next step.
namespace sartorum::words {

QString before_going_on(const Step& s)
{
    switch (s.kind) {
        case StepKind::Spread:
        case StepKind::FoldOut: return t("Lay a ruler along the grain line: is it still one straight line?");
        case StepKind::RedrawShoulder:
        case StepKind::RedrawNeckEnd:
            return t("Lay front to back along the shoulder: do neckline and armhole run through as a smooth C?");
        case StepKind::TrueArmhole: return t("Is the armhole one long line, without a step or an inward corner?");
        case StepKind::StraightenFold:
        case StepKind::TrimFold: return t("Lay a ruler along the fold: is it straight from end to end?");
        case StepKind::OpenAtCentre:
        case StepKind::OverlapAtCentre:
        case StepKind::CloseWedge:
        case StepKind::OpenCentreBack: return t("Does the paper lie flat at the hinge?");
        case StepKind::SwingBust:
            return t("Is the upright cut equally wide at both ends, and does the paper lie flat?");
        case StepKind::TrueCap:
        case StepKind::TrueSleeve:
        case StepKind::MarkTopNotch:
            return t("Walk the cap along the armhole from the underarm: notch, top, notch.");
        case StepKind::TrueUnderarms:
        case StepKind::RedrawUnderarms: return t("Lay underarm on underarm: same length?");
        case StepKind::EaseShoulder:
            return t("Lay front to back along the shoulder: do neckline and armhole run through as a smooth C?");
        case StepKind::RedrawBustDart:
        case StepKind::RedrawDart:
            return t("Are both legs equally long, and does the folded mouth meet the seam?");
        case StepKind::TrueBodiceSide:
            return t("Lay front on back along the side seam, darts folded: same length?");
        case StepKind::AllowShoulder:
            return t("Before good cloth is cut: try on, and take the pinned amount off the paper.");
        case StepKind::TrueSide:
            return of_a_gore(s) ? t("Lay it on its neighbours, seam on seam: same length, same curve?")
                                : t("Lay front on back along the side seam: same length, same curve?");
        case StepKind::AddHem:
        case StepKind::TrimHem:
            return of_a_gore(s) ? t("Lay it to its neighbours: does the hem run on without a corner?")
                                : t("Lay front to back at the side seam: does the hem run on without a corner?");
        case StepKind::RedrawCentre:
        case StepKind::CarryCentreUp:
            return t("Is the side seam as long as it was, and the waist square to the centre?");
        case StepKind::TrueLeg:
        case StepKind::RedrawInnerLeg:
        case StepKind::MatchInnerLegs:
            return t("Lay front on back along the inner leg: same length, and does the crotch seam run through?");
        case StepKind::RedrawLeg:
            return t("Is the crease mid-way between both seams, at the knee and at the hem?");
        case StepKind::DrawFacing: return t("Lay the facing on the piece: do edge and ends lie on each other?");
        case StepKind::DrawShapedBand:
            return t("Lay the band on the waist, the darts folded shut: do they lie on each other, end to end?");
        case StepKind::SpreadInFold:
        case StepKind::TakeOutInFold:
            return t("Fold it as it is sewn: is the waist as long as it was, and does the hem run smoothly?");
        case StepKind::SlideDart:
            return t(
                "Fold the darts shut and lay the waist to what is sewn there: do they stand where they are "
                "meant to?");
        case StepKind::RedrawDartLegs:
        case StepKind::SlideBustDart:
        case StepKind::AddDart:
            return t("Fold the dart shut: are both legs equally long, and does the edge run smoothly over it?");
        case StepKind::ShiftSide: return t("Walk front and back side seam along each other.");
        case StepKind::AddTurnUp:
            return t("Folded up as it will be worn: do its edges lie on the seams of the leg?");
        case StepKind::EaseWaist:
        case StepKind::GatherWaist: return t("Measure the band against it: does it take what is left?");
        case StepKind::LeaveDart: return t("Lay the waist to what is sewn there: same length?");
        case StepKind::RedrawHighHip: return t("Lay front on back along the side seam: same length, same curve?");
        case StepKind::RedrawCalf:
            return t("Lay front on back along side and inner leg: same length, and is the crease mid-way?");
        case StepKind::RedrawWaistLine:
            return t("Fold the darts shut: does the waist run smoothly over them, and on at the side seam?");
        case StepKind::RedrawWaist:
        case StepKind::RedrawWholeSide:
        case StepKind::DrawBlend:
            return of_a_gore(s) ? t("Walk each seam along the one it is sewn to.")
                                : t("Walk front and back side seam along each other.");
        default: return {};
    }
}

}  // namespace sartorum::words
