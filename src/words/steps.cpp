#include "words/words.h"

#include "words/leg_steps.h"
#include "words/say.h"
#include "words/sewn.h"
#include "words/waist.h"
#include "words/waist_steps.h"

namespace sartorum::words {
namespace {

bool on_two_panels(const Step& s)
{
    return !s.picture.panels.empty() && s.picture.panels.front().princess;
}

// Where the measure along an edge begins.
QString along_from(const std::optional<EdgeRole>& on)
{
    switch (on.value_or(EdgeRole::Side)) {
        case EdgeRole::Neck: return t("along the neckline from the centre");
        case EdgeRole::Shoulder: return t("along the shoulder from the neck point");
        case EdgeRole::Armhole: return t("along the armhole from the tip");
        case EdgeRole::Waist: return t("along the waist from the side seam");
        default: return t("down the side seam from the underarm");
    }
}

QString how_and_where(const Step& s, Unit unit)
{
    const Unit u = paper_unit(unit);
    const QString place = amount_on_paper(s.place, u);
    const QString second = amount_on_paper(s.second, u);
    const QString a = amount_on_paper(abs(s.amount), u);
    const bool more = s.amount > Length{};
    if (const QString of_leg = leg_step_detail(s, u); !of_leg.isEmpty()) return of_leg;
    switch (s.kind) {
        case StepKind::DrawRiseLine:
        case StepKind::DrawRiseFold:
        case StepKind::DrawLegLine:
        case StepKind::DrawLegFold:
        case StepKind::DrawKneeLine:
        case StepKind::DrawKneeFold:
        case StepKind::TrueLeg:
        case StepKind::DrawCentreWedge:
        case StepKind::OpenAtCentre:
        case StepKind::OverlapAtCentre:
        case StepKind::RedrawCentre:
        case StepKind::CarryCentreUp:
        case StepKind::MarkInnerPoint:
        case StepKind::RedrawInnerLeg:
        case StepKind::MarkKnee:
        case StepKind::MarkLegHem:
        case StepKind::RedrawLeg:
        case StepKind::MarkCalf:
        case StepKind::RedrawCalf:
        case StepKind::AddTurnUp:
        case StepKind::MatchInnerLegs: break;
        case StepKind::SpreadInFold:
        case StepKind::TakeOutInFold:
        case StepKind::SlideTuck:
        case StepKind::SlideDart:
        case StepKind::ShiftSide:
        case StepKind::EaseWaist:
        case StepKind::GatherWaist:
        case StepKind::MarkHighHip:
        case StepKind::RedrawHighHip:
        case StepKind::RedrawDartLegs:
        case StepKind::LeaveDart:
        case StepKind::AddDart: return waist_step_detail(s, u);
        case StepKind::TraceWhole:
            return t(
                "On paper folded along the centre line, through both layers; open it. Write right and left on the "
                "halves: the sides are not altered alike.");
        case StepKind::TraceTwice:
            return t("Turn one of the two over. Write right and left on them: the sides are not altered alike.");
        case StepKind::TraceSize:
            return t("Trace outline, darts, notches, grain and the printed lines. The sheet stays whole.");
        case StepKind::DrawBlend:
            return t(
                "Start on the upper corner of one size, end on the line of the other. One smooth line with a "
                "curved "
                "ruler; below that follow the second size.");
        case StepKind::DrawLine:
            return (of_a_gore(s)
                        ? t("It lies %1 below the upper corner nearer the centre, at right angles to the grain, "
                            "from "
                            "edge to edge.")
                        : t("It lies %1 below the centre waist, at right angles to the grain, from edge to edge."))
                .arg(place);
        case StepKind::DrawFoldLines:
            return (of_a_gore(s)
                        ? t("Draw over the lengthen/shorten line, %1 below the upper corner nearer the "
                            "centre, and a parallel line beneath it.")
                        : t("Draw over the lengthen/shorten line, %1 below the centre waist, and a parallel "
                            "line beneath it."))
                .arg(place);
        case StepKind::CutAcross: return t("Cut right through. Close the rotary cutter when you put it down.");
        case StepKind::Spread:
            return of_a_gore(s)
                       ? t("Tape paper behind the gap. The grain line stays one straight line; the upper edge "
                           "keeps its shape.")
                       : t("Tape paper behind the gap. The centre line stays one straight line; the waist "
                           "keeps its shape.");
        case StepKind::FoldOut:
            return t(
                "Bring the lower line up to the upper one and tape the fold flat. The centre line stays "
                "straight.");
        case StepKind::TrueSide:
            return of_a_gore(s) ? t("The curve no longer meets at the line: on both upright seams draw one smooth "
                                    "edge from the "
                                    "upper corner to the hip notch.")
                                : t("The curve no longer meets at the line: draw one smooth edge from the waist "
                                    "corner to the "
                                    "hip notch.");
        case StepKind::ExtendBelow:
            return of_a_gore(s)
                       ? t("Tape paper under the hem. Carry both upright edges on with a long ruler.")
                       : t("Tape paper under the hem. Carry the centre and the side seam on with a long ruler.");
        case StepKind::AddHem:
            return t(
                "The same distance all along, square to the centre. The flare is carried on, so the sweep grows a "
                "little.");
        case StepKind::DrawHem: return t("Measure up from the hem in several places, square to it.");
        case StepKind::TrimHem: return t("The sweep gets a little smaller with it: the side seam leans.");
        case StepKind::MarkWaist:
            if (of_a_gore(s))
                return t(
                    "Every upright seam of every gore gets the same share, here at the upper end of this one. At "
                    "the hip nothing changes.");
            return t(
                "A quarter of what changes all round, at the waist end of the side seam. At the hip nothing "
                "changes.");
        case StepKind::RedrawWaist:
            return t(
                "One smooth line from the mark into the old seam at the hip; the waist runs into its old line "
                "before the dart.");
        case StepKind::RedrawWholeSide:
            return t("Alongside the old seam, as far from it all the way down; the waist runs to the mark.");
        case StepKind::DrawLining:
            return t(
                "Trace the altered piece: edges, darts, notches, grain. Only its hem lies higher, as it did "
                "before.");
        case StepKind::MarkBand:
            return t("Where the pieces it is sewn to meet. It lies %1 from the band's end.").arg(place);
        case StepKind::PartBand:
            return t(
                "Its fold lies at the centre that is closed now, its ends at the one that opens. Mark every notch "
                "again, as far from the ends as it was from the fold.");
        case StepKind::DrawFacing:
            return t(
                "Trace the altered edge, and the lines at both its ends, from the piece it is sewn to. Mark the "
                "width "
                "square to the edge in many places and draw through the marks. Is it cut out already: cut it "
                "wider "
                "from what is left, and trim.");
        case StepKind::DrawShapedBand:
            return t(
                "Fold the darts shut, lay the altered pieces edge to edge at the side and trace the waist: that "
                "is "
                "the band's lower edge. Mark the width square to it in many places and draw the upper edge "
                "through "
                "the marks; the ends square.");
        case StepKind::MakeFacing:
            return t(
                "Trace the edge, as it is now, and the lines at both its ends, from the piece it is sewn to. Mark "
                "the "
                "width square to the edge in many places and draw through the marks; the grain lies as on the "
                "piece.");
        case StepKind::TraceBrought: return t("With its marks and its grain line.");
        case StepKind::OpenCentre:
            return (s.amount > Length{} ? t("From the top down %1. Buttons and holes lie on the centre line; what "
                                            "lies past it, with "
                                            "its seam allowance, is added outside. Cut two.")
                                        : t("From the top down %1. Both edges meet at the centre: hooks and eyes, "
                                            "or loops; only the "
                                            "seam allowance is added outside. Cut two."))
                .arg(place);
        case StepKind::FoldCentre:
            return t("It opened before: now the seam allowance goes, and the piece is cut once on the fold.");
        case StepKind::SewCentre:
            return t(
                "It opened before, and is no straight line along the grain: it stays a seam, sewn all the way.");
        case StepKind::MarkHip:
            return of_a_gore(s)
                       ? t("Every upright seam of every gore gets the same share, here on the hip line. At "
                           "the upper edge nothing changes.")
                       : t("A quarter of what changes all round, on the hip line. At the waist nothing "
                           "changes.");
        case StepKind::RedrawHip:
            return t("From the waist corner through the mark; from there down parallel to the old seam.");
        case StepKind::CutBand:
            return (of_waistband(s)
                        ? t("The side notch lies %1 from the fold. Cut at right angles to the long edges.")
                        : t("%1 from one end, at right angles to the long edges."))
                .arg(place);
        case StepKind::SpreadBand:
            if (!of_waistband(s)) return t("Tape paper behind, long edges in line.");
            return t("Tape paper behind, long edges in line. Mark the side notch in the middle of the strip.");
        case StepKind::OverlapBand:
            if (!of_waistband(s)) return t("Tape flat, long edges in line.");
            return t("Tape flat, long edges in line. Mark the side notch in the middle of the overlap.");
        case StepKind::MarkTopCentre:
            return t("On the centre line carried on. Both sides of the centre are then equally long again.");
        case StepKind::RedrawTop:
            return t(
                "Square to the centre at the mark, then smoothly down to nothing at the side. Dart legs run on to "
                "it.");
        case StepKind::LayLegs:
        case StepKind::MarkLowered:
        case StepKind::MarkSewnSide:
        case StepKind::MarkSewnWaist:
        case StepKind::MarkSewnHem:
        case StepKind::TackAndTry:
        case StepKind::StitchAndTrim: return sewn_step_detail(s, u);
        case StepKind::MarkWaistLine: return waist_marks(s, u);
        case StepKind::RedrawWaistLine:
            return t(
                "One smooth curve, square to the centre, darts folded shut. Side seams and dart legs keep their "
                "place: they end at the new line, or run on to it. New allowance above it.");
        case StepKind::MatchSides:
            return of_a_gore(s)
                       ? t("Both sides of this seam are then equally long. Run the upper edge smoothly to its "
                           "new end.")
                       : t("Front and back side seams are then equally long. Run the waist smoothly to its new "
                           "end.");
        case StepKind::DrawCorner:
            return t("From the shoulder, %1 in a line from the neck point, straight down along the grain for %2; "
                     "then square out to the armhole, where it is straightest.")
                .arg(place, second);
        case StepKind::CutCorner:
            return t("Cut both lines right through: the corner with the shoulder tip comes free.");
        case StepKind::SlideCorner:
            return t(
                "Along the level line, so that the tip stays as high as it was. Tape; paper behind where it "
                "opens.");
        case StepKind::MarkTip:
            return t("At the outer end of the seam, square to the seam line. The neck end stays.");
        case StepKind::RedrawShoulder:
            return t(
                "A straight line from the neck point to the mark; run the armhole into it, square to the seam, to "
                "nothing where the armhole is straightest.");
        case StepKind::MarkNeckPoint:
            return t("At the neck end of the seam, square to the seam line. The tip stays.");
        case StepKind::RedrawNeckEnd:
            return t(
                "A straight line from the mark to the tip; run the neckline into it, square to the seam, to "
                "nothing "
                "at the centre.");
        case StepKind::AllowShoulder:
            return t("Cut the toile's shoulders with %1 of allowance in all. Sew on the old line with long "
                     "stitches, try "
                     "on, open and pin; then type what was pinned in Plan.")
                .arg(place);
        case StepKind::DrawStrip:
            return t("On the armhole, %1 along it from the tip; from there a straight line to the neck point.")
                .arg(place);
        case StepKind::CutToNeckPoint: return t("From the armhole to the neck point; leave a paper hinge there.");
        case StepKind::SwingStrip:
            return t(
                "Swing the strip about the neck point until its tip has moved by that much, square to the seam. "
                "Tape.");
        case StepKind::TrueArmhole:
            return t(
                "From the shoulder tip, square to the seam, into the old curve at the underarm; a long line, no "
                "step.");
        case StepKind::MatchShoulders:
            return t(
                "Along the seam, so that front and back match as they did before. Run the armhole to the new "
                "tip.");
        case StepKind::DrawAcrossBack:
            return t("On centre back, %1 below the neck; from there square to centre back, to the armhole.")
                .arg(place);
        case StepKind::CutToArmhole:
            return t("From centre back to the armhole; leave a paper hinge at the armhole.");
        case StepKind::OpenCentreBack: return t("Turn the upper part about the hinge. Tape paper behind.");
        case StepKind::CurveCentreBack:
            return t("One smooth line over the cut; the upper part leans. This is the new centre back seam.");
        case StepKind::StraightenFold:
            return t("Lay a ruler on the lower fold and carry it up to the neck: a wedge of %1 is added there. "
                     "Run the "
                     "neckline to it, square to the fold.")
                .arg(a);
        case StepKind::DrawNeckDart:
            return t("Its near leg lies %2 along the neckline from centre back; it is %1 long, square to the "
                     "neckline. It "
                     "takes what the neckline grew.")
                .arg(place, second);
        case StepKind::EaseNeck:
            return t(
                "The neckline is longer than before by that: ease it into collar or facing, or draw those "
                "longer.");
        case StepKind::MarkNeckRound:
            return t(
                "From the old line straight into the paper: at the centre along it, at the neck point along the "
                "shoulder, and at two places between.");
        case StepKind::MarkNeckAlong:
            return t("From the neck point, on the shoulder's stitching line. The centre stays.");
        case StepKind::RedrawNeckline:
            return t(
                "As it curved before, square to the centre and to the shoulder. Lay front to back at the shoulder "
                "first; collar, stand or facing get the new length.");
        case StepKind::CutToShoulder:
            return t("From the armhole in and up; leave a paper hinge on the shoulder seam.");
        case StepKind::SwingCorner:
            return t("Turn the corner about the hinge; measure the overlap where the cut turns the corner.");
        case StepKind::DrawShoulderDart:
            return t("In the middle of the shoulder's outer half, %1 long, square to the seam. Fold it shut "
                     "before the "
                     "shoulder is drawn.")
                .arg(place);
        case StepKind::DrawBustLevel:
            return t("On centre front %1 below the neckline, square to it as far as the bust point, then through "
                     "the "
                     "middle of the side dart to the side seam.")
                .arg(place);
        case StepKind::MarkTipAlong: return t("On the dart's middle line, from its old tip. The mouth stays.");
        case StepKind::SlideBustDart:
            return t(
                "Both ends of its mouth go that far along the edge, its tip with them. As wide and as long as "
                "it was; fold it shut and draw the edge over it.");
        case StepKind::MarkTipAcross: return t("Square to the grain from the bust point. Mouths and seams stay.");
        case StepKind::RedrawAimed:
            return t(
                "Each tip as far out or in as the bust point went; straight legs to the old mouth, equally long. "
                "Fold "
                "each dart shut before its seam is drawn.");
        case StepKind::DrawAcross:
            return more ? t("Square to the centre, %1 below the shoulder tip, from the centre to the armhole.")
                              .arg(place)
                        : t("Square to the centre, %1 below the shoulder tip, from the centre to the armhole; and "
                            "a "
                            "parallel line beneath it.")
                              .arg(place);
        case StepKind::DrawLengthLine:
            return more ? t("It lies %1 above the lower edge at the centre, square to the grain, from edge to "
                            "edge.")
                              .arg(place)
                        : t("Draw over the lengthen/shorten line, %1 above the lower edge at the centre, and a "
                            "parallel "
                            "line beneath it.")
                              .arg(place);
        case StepKind::MarkBottomCentre: return t("On the centre line, from its lower corner.");
        case StepKind::RedrawBottom:
            return t(
                "From the mark, square to the centre, into the old edge at the side seam. Dart legs run to the "
                "new edge.");
        case StepKind::MarkBottomSide: return t("On the side seam, from its lower corner.");
        case StepKind::RedrawBottomSide:
            return t(
                "From the mark into the old edge at the centre, square to it there. Dart legs run to the new "
                "edge.");
        case StepKind::RedrawDart:
            return t("Straight lines from the mouth, each %1 long; lengthen the shorter leg past the edge. Fold "
                     "the dart and cut the mouth through both layers.")
                .arg(place);
        case StepKind::TrueBodiceSide:
            return t(
                "The seam no longer meets at the cut: one straight line, or the old curve, from the upper corner "
                "to "
                "the lower. Dart legs that cross the cut are drawn anew.");
        case StepKind::DrawWedge:
            return t("On centre back, %1 above the lower edge at the middle of the wedge: half up, half down; "
                     "both lines run to one point on the side seam, %2 above its lower end.")
                .arg(place, second);
        case StepKind::CutToSide:
            return t("Along the line, the lower where there are two; leave a paper hinge at the side seam.");
        case StepKind::CloseWedge:
            return t("Bring the lower line up to the upper one and tape. Centre back loses exactly that.");
        case StepKind::TrimFold:
            return t(
                "Lay a ruler on the upper fold and carry it down: what swings past it at the lower edge comes "
                "off.");
        case StepKind::GiveBackAtSide:
            return t(
                "At the lower end of the side seam, straight out; to nothing at the upper end. The width is then "
                "as it was.");
        case StepKind::DrawBox:
            return t("Square to the grain above and below the dart, and upright before its tip: %1 wide and %2 "
                     "high.")
                .arg(place, second);
        case StepKind::CutBox: return t("Cut all three lines through: the box with the dart comes free.");
        case StepKind::SlideBox:
            return t(
                "Along the grain, and by a hair sideways so that it stays on the side seam. Tape paper into the "
                "gap.");
        case StepKind::MarkDartTip: return t("Straight along the grain from the dart's tip. The mouth stays.");
        case StepKind::LayTogether:
            return t(
                "Grain lines parallel; pin them so. They part above and below the bust point, as darts would, and "
                "the front is worked as one piece.");
        case StepKind::CloseIntoSeam:
            return s.amount > Length{}
                       ? t("Turn the upper side about the bust point until the side edges meet, and tape. The "
                           "seam "
                           "opens above the bust instead; what the waist gained opens it below.")
                       : t("Turn the upper side about the bust point until the side edges meet edge to edge, and "
                           "tape. The seam closes by as much above the bust, and below it by what the waist "
                           "lost.");
        case StepKind::RedrawSeam:
            return t("From its upper end to the bust point and on to its lower end, rounded within %1 of the bust "
                     "point; the same length on both panels. Then part them again.")
                .arg(amount_on_paper(abs(s.amount), u));
        case StepKind::DrawBustLines:
            return on_two_panels(s)
                       ? t("From the waist along the side panel's seam to the bust point, and on to the armhole, "
                           "%1 along it from the underarm; and from the side seam, %2 down it from the underarm, "
                           "to the bust point.")
                             .arg(place, second)
                       : t("From the lower edge along the grain to the bust point, and on to the armhole, %1 "
                           "along "
                           "it from the underarm; and from the side seam, %2 down it from the underarm or through "
                           "the middle of the dart there, to the bust point.")
                             .arg(place, second);
        case StepKind::CutBustLines:
            return t("Up to the armhole's stitching line and in to the bust point: a paper hinge stays at each.");
        case StepKind::SwingBust:
            return t("The upper side turns about the armhole, the lower one goes along, until the upright cut is "
                     "the "
                     "same all the way. %1")
                .arg(on_two_panels(s) ? t("The cut at the side opens or overlaps by itself.")
                                      : t("The dart opens or closes by itself."));
        case StepKind::DropCentre:
            return t(
                "Cut the centre across below the bust point and move its lower part until the lower edge is "
                "level: that is the length a fuller bust goes over.");
        case StepKind::RedrawBustDart:
            return t("Its tip %1 before the bust point, both legs equally long. Fold it and cut the mouth through "
                     "both layers.")
                .arg(place);
        case StepKind::TakeInSide:
            return t("Straight in at the lower end of the side seam, to nothing at the underarm.");
        case StepKind::DrawWaistDart: return t("Both legs %1 long, its tip under the bust point.").arg(place);
        case StepKind::EaseSide:
            return t(
                "Draw the side seam straight over the dart. The front is eased to the back over a hand's length "
                "at bust level.");
        case StepKind::DrawKnitDart:
            return t("%1 long, towards the bust point, its middle %2 above the underarm along the armhole.")
                .arg(place, second);
        case StepKind::DrawGape:
            return t("The middle of the pinch lies %1 %2, or where you pinned it. From both its ends to the bust "
                     "point, %3 away.")
                .arg(second, along_from(s.on), place);
        case StepKind::CloseGape: return t("Fold one line onto the other. The dart is %1 wide then.").arg(place);
        case StepKind::DrawDartLine:
            return t("It begins %1 %2, and is %3 long; and carry both legs of the old dart on to the bust point. "
                     "Cut "
                     "the new line and one leg, a hinge stays at the bust point.")
                .arg(second, along_from(s.on), place);
        case StepKind::SwingDart: return t("Bring leg to leg and tape. The same angle opens at the new place.");
        case StepKind::MarkUnderarm:
            return t("At the level of the underarm, straight out from the seam's upper end.");
        case StepKind::MarkUnderarmLower:
            return t("Along the seam from the underarm; the same on front and back.");
        case StepKind::RedrawLowerArmhole:
            return t("From the tip as it was, in one long line, into the mark with the corner it had.");
        case StepKind::RedrawUnderarm: return t("To nothing at the waist; the armhole runs into the mark.");
        case StepKind::MarkAcross: return t("On the across line.");
        case StepKind::RedrawAcross:
            return t("Nothing at the tip and nothing at the notch, one smooth line between.");
        case StepKind::DrawBackCorner:
            return t("From the shoulder, %1 inside its tip, straight down along the grain; and from the armhole, "
                     "%2 along "
                     "it from the tip, straight across to that line.")
                .arg(place, second);
        case StepKind::OverlapBackArmhole: return t("Pivot where the cuts meet. The shoulder opens a little.");
        case StepKind::EaseShoulder: return t("One straight shoulder to the new tip; the armhole in one line.");
        case StepKind::RedrawBodiceSide: return t("Full at the mark, even up to the underarm.");
        case StepKind::DrawSleeveCross:
            return t(
                "From the top notch straight down to the hem, along the grain, and from underarm to underarm.");
        case StepKind::CutSleeveCross: return t("Hinges stay at the top, at the hem and at both underarms.");
        case StepKind::SpreadBicep:
            return t("Pull the middles apart and let the top slide along the middle line: the cap is %1 %2.")
                .arg(amount_on_paper(abs(s.place), u), s.place > Length{} ? t("lower") : t("higher"));
        case StepKind::DrawSleeveMiddle: return t("From the top notch straight down along the grain to the hem.");
        case StepKind::CutSleeveMiddle: return t("Both halves come free.");
        case StepKind::SpreadSleeve: return t("The same everywhere, along the bicep line.");
        case StepKind::TrueSleeve: return t("A smooth top, straight underarm seams, the hem square to them.");
        case StepKind::GatherCap:
            return t(
                "Between the side notches, half on each side of the top notch, over and above the ease it had.");
        case StepKind::DrawCapLine:
        case StepKind::DrawCapTop: return t("Square to the grain, %1 under the top.").arg(place);
        case StepKind::CutCap: return t("Cut through; the middle line shows where it belongs.");
        case StepKind::MoveCap: return t("Along the middle line, edges parallel. The underarms stay.");
        case StepKind::SlideCap: return t("Along the cut, edge on edge.");
        case StepKind::TrueCap:
            return t("From the underarms over the step to the top; mark the side notches again from the armhole.");
        case StepKind::MarkTopNotch: return t("Along the curve. The shoulder seam meets it there.");
        case StepKind::DrawSleeveLine:
            return t("Square to the grain, %1 under the underarm, from seam to seam.").arg(place);
        case StepKind::TrueUnderarms: return t("Straight from underarm to hem, both the same.");
        case StepKind::MarkSleeveHem: return t("At both ends, along the hem.");
        case StepKind::MarkForearm: return t("%1 under the underarm, on both seams.").arg(place);
        case StepKind::RedrawUnderarms: return t("Both alike, smooth into what stays.");
    }
    return {};
}

}  // namespace

QString step_detail(const Step& s, Unit unit)
{
    const QString detail = how_and_where(s, unit);
    return runs_over_a_dart(s) ? t("Fold the dart in it shut first.") + " " + detail : detail;
}

}  // namespace sartorum::words
