#include "words/words.h"

#include "words/leg_steps.h"
#include "words/say.h"
#include "words/sewn.h"
#include "words/waist_steps.h"

namespace sartorum::words {
namespace {

// One of the two seams of a gore; the side seam too, where the skirt is of gores.
bool flank_of(const Step& s)
{
    return s.on && of_a_gore(s);
}

}  // namespace

QString step_title(const Step& s, Unit unit)
{
    const Unit u = paper_unit(unit);
    const QString a = amount_on_paper(abs(s.amount), u);
    const QString from = text(s.from_size);
    const QString to = text(s.to_size);
    const bool more = s.amount > Length{};
    switch (s.kind) {
        case StepKind::TraceWhole: return t("Trace both halves, right and left");
        case StepKind::TraceTwice: return t("Trace it twice, right and left");
        case StepKind::TraceSize: return t("Trace size %1").arg(to);
        case StepKind::DrawBlend:
            return (of_a_gore(s) ? t("Upright seams from size %1 to size %2")
                                 : t("Side seam from size %1 to size %2"))
                .arg(from, to);
        case StepKind::DrawLine: return t("Draw over the lengthen/shorten line");
        case StepKind::DrawFoldLines: return t("Draw a second line %1 below").arg(a);
        case StepKind::CutAcross: return t("Cut along the line");
        case StepKind::Spread: return t("Spread %1, edges parallel").arg(a);
        case StepKind::FoldOut:
            return t("Fold %1 deep to take out %2").arg(amount_on_paper(abs(s.amount) / 2.0, u), a);
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
        case StepKind::MatchInnerLegs: return leg_step_title(s, u);
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
        case StepKind::AddDart: return waist_step_title(s, u);
        case StepKind::TrueSide:
            if (of_a_leg(s)) return t("True side seam and crotch seam down to the hip");
            return of_a_gore(s) ? t("True both upright seams down to the hip")
                                : t("True the side seam from waist to hip");
        case StepKind::ExtendBelow:
            if (of_a_leg(s)) return t("Carry side and inner leg on by %1").arg(a);
            return (of_a_gore(s) ? t("Carry both upright edges on by %1") : t("Carry centre and side on by %1"))
                .arg(a);
        case StepKind::AddHem: return t("Draw the hem again, %1 lower").arg(a);
        case StepKind::DrawHem: return t("Draw the hem again, %1 higher").arg(a);
        case StepKind::TrimHem: return t("Cut off %1 at the hem").arg(a);
        case StepKind::MarkWaist:
            if (flank_of(s))
                return (more ? t("Mark %1 outside, upper end of the %2")
                             : t("Mark %1 inside, upper end of the %2"))
                    .arg(a, edge_name(*s.on));
            return more ? t("Mark %1 outside the side waist").arg(a) : t("Mark %1 inside the side waist").arg(a);
        case StepKind::RedrawWaist:
            return flank_of(s) ? t("Redraw this seam and the upper edge to the mark")
                               : t("Redraw side seam and waist to the mark");
        case StepKind::RedrawWholeSide:
            return flank_of(s) ? t("Redraw this seam to the mark, down to the hem")
                               : t("Redraw the side seam to the mark, down to the hem");
        case StepKind::DrawLining:
            return s.amount > Length{} ? t("Draw the lining anew, %1 shorter at the hem").arg(a)
                                       : t("Draw the lining anew");
        case StepKind::MarkBand: return t("Mark the band's notch again, %1 further").arg(a);
        case StepKind::PartBand: return t("Part the band at the other centre");
        case StepKind::DrawFacing: return t("Draw the facing anew, %1 wide").arg(a);
        case StepKind::DrawShapedBand: return t("Draw the band anew, %1 wide").arg(a);
        case StepKind::MakeFacing: return t("Draw a facing from the %1, %2 wide").arg(edge_name(*s.on), a);
        case StepKind::TraceBrought: return t("Trace it from %1, size %2").arg(from, to);
        case StepKind::OpenCentre:
            return s.amount > Length{} ? t("Let the centre open, %1 past it").arg(a)
                                       : t("Let the centre open, edge to edge");
        case StepKind::FoldCentre: return t("Lay the centre on the fold");
        case StepKind::SewCentre: return t("Let the centre be a seam");
        case StepKind::MarkHip:
            if (flank_of(s))
                return (more ? t("Mark %1 outside on the hip line, %2") : t("Mark %1 inside on the hip line, %2"))
                    .arg(a, edge_name(*s.on));
            return more ? t("Mark %1 outside the hip line").arg(a) : t("Mark %1 inside the hip line").arg(a);
        case StepKind::RedrawHip:
            return flank_of(s) ? t("Redraw this seam through the mark")
                               : t("Redraw the side seam through the mark");
        case StepKind::CutBand:
            return of_waistband(s) ? t("Cut the waistband at its side notch") : t("Cut it across");
        case StepKind::SpreadBand:
            return of_waistband(s) ? t("Spread the waistband %1").arg(a) : t("Spread it %1").arg(a);
        case StepKind::OverlapBand:
            return of_waistband(s) ? t("Overlap the waistband %1").arg(a) : t("Overlap it %1").arg(a);
        case StepKind::MarkTopCentre: return t("Mark %1 above the edge at the centre").arg(a);
        case StepKind::RedrawTop: return t("Redraw the upper edge to the mark");
        case StepKind::LayLegs:
        case StepKind::MarkLowered:
        case StepKind::MarkSewnSide:
        case StepKind::MarkSewnWaist:
        case StepKind::MarkSewnHem:
        case StepKind::TackAndTry:
        case StepKind::StitchAndTrim: return sewn_step_title(s, u);
        case StepKind::MarkWaistLine: return t("Mark the new waist");
        case StepKind::RedrawWaistLine: return t("Redraw the waist through the marks");
        case StepKind::MatchSides:
            if (flank_of(s))
                return (more ? t("Raise the upper end of the %2 by %1") : t("Lower the upper end of the %2 by %1"))
                    .arg(a, edge_name(*s.on));
            return more ? t("Raise the side waist %1").arg(a) : t("Lower the side waist %1").arg(a);
        // shoulder and neck
        case StepKind::DrawCorner: return t("Draw the corner that carries the tip");
        case StepKind::CutCorner: return t("Cut the corner off");
        case StepKind::SlideCorner:
            return more ? t("Slide the corner out %1").arg(a) : t("Slide the corner in %1").arg(a);
        case StepKind::MarkTip:
            return more ? t("Mark %1 outside the tip").arg(a) : t("Mark %1 inside the tip").arg(a);
        case StepKind::RedrawShoulder: return t("Redraw the shoulder to the mark");
        case StepKind::MarkNeckPoint:
            return more ? t("Mark %1 outside the neck end").arg(a) : t("Mark %1 inside the neck end").arg(a);
        case StepKind::RedrawNeckEnd: return t("Redraw the shoulder from the mark");
        case StepKind::AllowShoulder: return t("Toile: %1 more on the shoulder").arg(a);
        case StepKind::DrawStrip: return t("Draw the strip under the shoulder");
        case StepKind::CutToNeckPoint: return t("Cut to the neck point, not through");
        case StepKind::SwingStrip:
            return more ? t("Open the strip %1 at the tip").arg(a) : t("Overlap the strip %1 at the tip").arg(a);
        case StepKind::TrueArmhole: return t("True the armhole in one long line");
        case StepKind::MatchShoulders:
            return more ? t("Lengthen the shoulder %1 at the tip").arg(a)
                        : t("Shorten the shoulder %1 at the tip").arg(a);
        case StepKind::DrawAcrossBack: return t("Draw across the back at its roundest");
        case StepKind::CutToArmhole: return t("Cut from centre back, not through");
        case StepKind::OpenCentreBack:
            return more ? t("Open %1 at centre back").arg(a) : t("Overlap %1 at centre back").arg(a);
        case StepKind::CurveCentreBack: return t("True centre back as one curve");
        case StepKind::StraightenFold: return t("Carry the fold on straight");
        case StepKind::DrawNeckDart: return t("Draw a neck dart %1 wide").arg(a);
        case StepKind::EaseNeck: return t("Ease %1 of the neckline").arg(a);
        case StepKind::MarkNeckRound:
            return more ? t("Mark %1 below the neckline all round").arg(a)
                        : t("Mark %1 above the neckline all round").arg(a);
        case StepKind::MarkNeckAlong:
            return more ? t("Mark %1 out along the shoulder").arg(a) : t("Mark %1 in along the shoulder").arg(a);
        case StepKind::RedrawNeckline: return t("Redraw the neckline through the marks");
        case StepKind::CutToShoulder: return t("Cut to the shoulder, not through");
        case StepKind::SwingCorner: return t("Swing the corner in until it overlaps %1").arg(a);
        case StepKind::DrawShoulderDart: return t("Draw a shoulder dart %1 wide").arg(a);
        case StepKind::DrawBustLevel: return t("Draw across through the bust point");
        case StepKind::MarkTipAlong:
            return more ? t("Mark the tip %1 further in").arg(a) : t("Mark the tip %1 nearer the edge").arg(a);
        case StepKind::SlideBustDart:
            return more ? t("Draw the dart %1 lower").arg(a) : t("Draw the dart %1 higher").arg(a);
        case StepKind::MarkTipAcross:
            return more ? t("Mark %1 further out than the bust point").arg(a)
                        : t("Mark %1 further in than the bust point").arg(a);
        case StepKind::RedrawAimed: return t("Aim the darts at the new bust point");
        // lengths of a bodice
        case StepKind::DrawAcross:
            return more ? t("Draw the across line") : t("Draw the across line and one %1 below").arg(a);
        case StepKind::DrawLengthLine:
            return more ? t("Draw over the lengthen/shorten line") : t("Draw a second line %1 below").arg(a);
        case StepKind::MarkBottomCentre:
            return more ? t("Mark %1 below the edge at the centre").arg(a)
                        : t("Mark %1 above the edge at the centre").arg(a);
        case StepKind::RedrawBottom: return t("Redraw the lower edge to nothing at the side");
        case StepKind::MarkBottomSide:
            return more ? t("Mark %1 below the edge at the side").arg(a)
                        : t("Mark %1 above the edge at the side").arg(a);
        case StepKind::RedrawBottomSide: return t("Redraw the lower edge to nothing at the centre");
        case StepKind::RedrawDart: return t("Draw both legs to the new tip");
        case StepKind::TrueBodiceSide: return t("True the side seam");
        case StepKind::DrawWedge: return t("Draw a wedge of %1 at centre back").arg(a);
        case StepKind::CutToSide: return t("Cut to the side seam, not through");
        case StepKind::CloseWedge: return t("Close the wedge, %1 at centre back").arg(a);
        case StepKind::TrimFold: return t("Draw the fold straight, trim %1").arg(a);
        case StepKind::GiveBackAtSide: return t("Give %1 back at the side").arg(a);
        case StepKind::DrawBox: return t("Draw a box round the dart");
        case StepKind::CutBox: return t("Cut the box out");
        case StepKind::SlideBox: return more ? t("Slide the box down %1").arg(a) : t("Slide the box up %1").arg(a);
        case StepKind::MarkDartTip:
            return more ? t("Mark a tip %1 lower").arg(a) : t("Mark a tip %1 higher").arg(a);
        // widths of a bodice
        case StepKind::LayTogether: return t("Lay the two front panels together at the bust point");
        case StepKind::CloseIntoSeam:
            return more ? t("Close the %1 at the side into the seam").arg(a)
                        : t("Lay the side flat again, %1 overlapped").arg(a);
        case StepKind::RedrawSeam: return t("Draw the seam again on both panels");
        case StepKind::DrawBustLines: return t("Draw the three lines to the bust point");
        case StepKind::CutBustLines: return t("Cut them, leaving two hinges");
        case StepKind::SwingBust:
            return more ? t("Swing the side out until the cut is %1 wide").arg(a)
                        : t("Swing the side in until the cut overlaps %1").arg(a);
        case StepKind::DropCentre:
            return more ? t("Drop the centre %1 until it is level").arg(a)
                        : t("Raise the centre %1 until it is level").arg(a);
        case StepKind::RedrawBustDart: return t("Draw the dart, %1 wide").arg(a);
        case StepKind::TakeInSide:
            return more ? t("Take %1 in at the lower end of the side").arg(a)
                        : t("Give %1 back at the lower end of the side").arg(a);
        case StepKind::DrawWaistDart: return t("Draw the waist dart, %1 wide").arg(a);
        case StepKind::EaseSide: return t("Ease %1 into the side seam").arg(a);
        case StepKind::DrawKnitDart: return t("Draw the armhole dart, %1 wide").arg(a);
        case StepKind::DrawGape: return t("Draw a wedge of %1 to the bust point").arg(a);
        case StepKind::CloseGape: return t("Close the wedge; the dart opens");
        case StepKind::DrawDartLine: return t("Draw the new dart's line to the bust point");
        case StepKind::SwingDart: return t("Close %1 of the old dart; the new one opens").arg(a);
        case StepKind::MarkUnderarm:
            return more ? t("Mark %1 outside the underarm").arg(a) : t("Mark %1 inside the underarm").arg(a);
        case StepKind::MarkUnderarmLower: return t("Mark %1 down the side seam").arg(a);
        case StepKind::RedrawLowerArmhole: return t("Redraw the armhole to the mark");
        case StepKind::RedrawUnderarm: return t("Redraw armhole and side seam to the mark");
        case StepKind::MarkAcross:
            return more ? t("Mark %1 outside the armhole").arg(a) : t("Mark %1 inside the armhole").arg(a);
        case StepKind::RedrawAcross: return t("Redraw the armhole through the mark");
        case StepKind::DrawBackCorner: return t("Draw the corner behind the arm");
        case StepKind::OverlapBackArmhole: return t("Overlap %1 at the armhole").arg(a);
        case StepKind::EaseShoulder: return t("True the shoulder; %1 is eased to the front").arg(a);
        case StepKind::RedrawBodiceSide: return t("Redraw the side seam to the mark");
        // sleeves
        case StepKind::DrawSleeveCross: return t("Draw the middle line and the bicep line");
        case StepKind::CutSleeveCross: return t("Cut both, leaving four hinges");
        case StepKind::SpreadBicep:
            return more ? t("Spread %1 at the bicep line").arg(a) : t("Overlap %1 at the bicep line").arg(a);
        case StepKind::DrawSleeveMiddle: return t("Draw the line from top to hem");
        case StepKind::CutSleeveMiddle: return t("Cut it through");
        case StepKind::SpreadSleeve:
            return more ? t("Spread %1, edges parallel").arg(a) : t("Overlap %1, edges parallel").arg(a);
        case StepKind::TrueSleeve: return t("True the cap, the seams and the hem");
        case StepKind::GatherCap: return t("Write on the cap: gather in %1").arg(a);
        case StepKind::DrawCapLine: return t("Draw across the cap, below the notches");
        case StepKind::DrawCapTop: return t("Draw across the cap, above the notches");
        case StepKind::CutCap: return t("Cut the top of the cap off");
        case StepKind::MoveCap: return more ? t("Spread the cap %1").arg(a) : t("Overlap the cap %1").arg(a);
        case StepKind::SlideCap:
            return more ? t("Slide the top forward %1").arg(a) : t("Slide the top back %1").arg(a);
        case StepKind::TrueCap: return t("Smooth both curves of the cap");
        case StepKind::MarkTopNotch:
            return more ? t("Mark the top notch %1 further forward").arg(a)
                        : t("Mark the top notch %1 further back").arg(a);
        case StepKind::DrawSleeveLine: return t("Draw across the sleeve");
        case StepKind::TrueUnderarms: return t("True both underarm seams");
        case StepKind::MarkSleeveHem:
            return more ? t("Mark %1 outside each end of the hem").arg(a)
                        : t("Mark %1 inside each end of the hem").arg(a);
        case StepKind::MarkForearm:
            return more ? t("Mark %1 outside each underarm seam").arg(a)
                        : t("Mark %1 inside each underarm seam").arg(a);
        case StepKind::RedrawUnderarms: return t("Redraw both underarm seams to the marks");
    }
    return {};
}

}  // namespace sartorum::words
