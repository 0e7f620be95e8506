#include "words/mirror.h"

#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {

QString sight_name(Sight s)
{
    switch (s) {
        case Sight::NecklineStandsOff: return t("The neckline stands away at the side of the neck");
        case Sight::FoldsAtNeckEnd: return t("Folds across, under the neck end of the shoulder");
        case Sight::FoldsNeckToUnderarm: return t("Folds on the slant, from the neck to under the arm");
        case Sight::TipStandsOff: return t("Cloth stands up at the shoulder tip");
        case Sight::SleeveSeamHangsOff: return t("The sleeve seam hangs off the shoulder");
        case Sight::SleeveSeamInside: return t("The sleeve seam lies on the shoulder");
        case Sight::SeamBehind: return t("The shoulder seam lies behind");
        case Sight::SeamBefore: return t("The shoulder seam lies before");
        case Sight::NeckEndBehind: return t("Its neck end alone lies behind");
        case Sight::ThroatPulls: return t("It pulls at the throat");
        case Sight::SlidesBack: return t("It slides back");
        case Sight::BackNeckLow: return t("The back neckline stays below the nape");
        case Sight::BackNeckStandsOff: return t("The back neckline stands away");
        case Sight::NeckGapes: return t("The front neckline gapes");
        case Sight::FoldsBustToSide: return t("Folds on the slant, from the bust to the side");
        case Sight::TightOverBust: return t("Tight over the bust");
        case Sight::LooseOverBust: return t("Loose over the bust");
        case Sight::DartAboveBust: return t("The dart ends above the bust point");
        case Sight::DartBelowBust: return t("The dart ends below the bust point");
        case Sight::ArmholeGapes: return t("The armhole gapes in front");
        case Sight::FoldAtFrontArmhole: return t("A small upright fold before the armhole");
        case Sight::FrontArmholePulls: return t("It pulls across the front, between the armholes");
        case Sight::LooseBehindArm: return t("Loose cloth behind the arm");
        case Sight::TightAcrossBack: return t("Tight across the back");
        case Sight::FoldsUprightBack: return t("Upright folds between the shoulder blades");
        case Sight::ArmholeCutsIn: return t("The armhole cuts in under the arm");
        case Sight::ArmholeLow: return t("The armhole stands away under the arm");
        case Sight::FoldsAcrossAboveSeat: return t("Folds across the back, above the seat");
        case Sight::WaistHigh: return t("The waist lies too high");
        case Sight::WaistLow: return t("The waist lies too low");
        case Sight::TightWaist: return t("Tight at the waist");
        case Sight::LooseWaist: return t("Loose at the waist");
        case Sight::TightHip: return t("Tight at the hip");
        case Sight::LooseHip: return t("Loose at the hip");
        case Sight::HemUpFront: return t("The hem rises in front");
        case Sight::HemDownFront: return t("The hem drops in front");
        case Sight::HemUpBack: return t("The hem rises behind");
        case Sight::HemDownBack: return t("The hem drops behind");
        case Sight::RidesUp: return t("It rides up");
        case Sight::FullnessLow: return t("Its widest place lies below the body's");
        case Sight::RidesUpSitting: return t("It rides up behind in sitting");
        case Sight::TightUpperArm: return t("The sleeve is tight at the upper arm");
        case Sight::LooseUpperArm: return t("The sleeve is loose at the upper arm");
        case Sight::FoldsSleeveFront: return t("Folds on the slant at the front of the sleeve");
        case Sight::FoldsSleeveBack: return t("Folds on the slant at the back of the sleeve");
        case Sight::CapPulls: return t("The top of the sleeve pulls");
        case Sight::CapFolds: return t("The top of the sleeve lies in folds");
        case Sight::WaistNotReached: return t("It does not come up to the waist");
        case Sight::WaistPulledDown: return t("It is pulled down behind in sitting or bending");
        case Sight::CrotchHangs: return t("The crotch hangs");
        case Sight::CrotchCutsIn: return t("The crotch cuts in");
        case Sight::FoldsToCrotchBehind: return t("Folds from the seat to the crotch");
        case Sight::SmilesAtCrotch: return t("Curved folds in front, from the crotch up");
        case Sight::LooseAtFrontCrotch: return t("Loose cloth at the front crotch");
        case Sight::BagUnderSeat: return t("Loose cloth under the seat");
        case Sight::TightSeat: return t("Tight over the seat");
        case Sight::TightThigh: return t("Tight at the thigh");
        case Sight::LooseThigh: return t("Loose at the thigh");
        case Sight::LegTwists: return t("The leg twists");
        case Sight::DoesNotGoOn: return t("It does not go on, its opening undone");
    }
    return {};
}

QString small_test(SmallTest s)
{
    switch (s) {
        case SmallTest::PinchNeckEnds:
            return t("Pinch both neck ends of the shoulder seams. Does the neckline lie, and are the folds gone?");
        case SmallTest::PinchTips:
            return t("Pinch the shoulder seams at their tips. Are the folds to the underarm gone?");
        case SmallTest::PinchMidShoulder:
            return t(
                "Pinch the shoulder in its middle until the sleeve seam comes to the tip. Does it hang well?");
        case SmallTest::EarLobeLine:
            return t(
                "From the side: does the seam lie behind the line from the ear lobe to the middle of the upper "
                "arm?");
        case SmallTest::NeckEndToSide:
            return t("From the side: does the seam's neck end lie behind the side of the neck, its tip not?");
        case SmallTest::NapeToHem:
            return t("Tape from the nape to the hem level: is the body longer down the middle than the paper?");
        case SmallTest::OpenShoulderTip:
            return t(
                "Take it off and unpick the shoulder seam at its tip. Back on: does it open, and does the sleeve "
                "hang well?");
        case SmallTest::PinchNeckToBust: return t("Pinch from the neckline towards the bust point. Does it lie?");
        case SmallTest::PinchAcrossAboveSeat:
            return t("Pinch the folds across, at the middle of the back. Does it lie, the hem level?");
        case SmallTest::SideSeamsOut:
            return t("Take it off and unpick the side seams at the hip. Back on: have the folds gone?");
        case SmallTest::PinchAcrossBodice: return t("Pinch across, all round. Does the waist come to its place?");
        case SmallTest::WaistUnpicked:
            return t("Take it off and unpick the waist seam. Back on: does the waist settle lower?");
        case SmallTest::DotBelowDart: return t("Dot the bust point. Does the dot lie below the dart's tip?");
        case SmallTest::DotAboveDart: return t("Dot the bust point. Does the dot lie above the dart's tip?");
        case SmallTest::FrontByTape:
            return t("Tape from the neck point over the bust to the waist: is the body longer than the paper?");
        case SmallTest::TapeOverBust:
            return t("Tape round the bust: is the body, with ease, more than the paper?");
        case SmallTest::PinchOverBust: return t("Pinch upright over the bust. Can it be taken on both sides?");
        case SmallTest::PinchArmholeToBust:
            return t("Pinch from the armhole towards the bust point. Does it lie?");
        case SmallTest::PinchBeforeArmhole: return t("Pinch 6 mm upright before the armhole. Is the fold gone?");
        case SmallTest::FrontArmholeSnipped:
            return t("Take it off and let the seam out in front of the armhole. Back on: has the strain gone?");
        case SmallTest::PinchBehindArm: return t("Pinch at the middle of the back armhole. Does it lie?");
        case SmallTest::BackOpened:
            return t("Take it off and slit the back between the shoulder blades. Back on: has the strain gone?");
        case SmallTest::PinchUprightBack:
            return t("Pinch upright between the shoulder blades. Can the arms still reach?");
        case SmallTest::LiftUnderarm: return t("Lift the underarm by hand. Is the sleeve easy then?");
        case SmallTest::UnderarmSnipped:
            return t("Take it off and clip the underarm allowance. Back on: has it stopped cutting in?");
        case SmallTest::SleeveSeamOut:
            return t("Take it off and unpick the sleeve's underarm seam. Back on: has the strain gone?");
        case SmallTest::TurnCap: return t("Turn the sleeve's top forward by a finger. Are the folds gone?");
        case SmallTest::CapLetUp:
            return t("Take it off and let the sleeve out at its cap. Back on: has the strain gone?");
        case SmallTest::PinchAcrossCap: return t("Pinch across the top of the sleeve. Are the folds gone?");
        case SmallTest::FullestLineLow: return t("Look at its widest place. Does it lie below the body's?");
        case SmallTest::HemMarksAboveFront:
            return t("Settle the hem level and mark the waist. Is the mark above the paper's waist in front?");
        case SmallTest::HemMarksBelowFront:
            return t("Settle the hem level and mark the waist. Is the mark below the paper's waist in front?");
        case SmallTest::WaistLoweredBehind: return t("Lower the waist behind by hand. Does the seat ease?");
        case SmallTest::StringLonger:
            return t("Lay the string between the legs. Is it longer than the crotch seam?");
        case SmallTest::SeatPinchFree: return t("At the side of the seat: can a pinch be taken?");
        case SmallTest::BackLetOut:
            return t(
                "Take it off and let out only the back, at the side seam. Back on: does the seat lie smooth?");
        case SmallTest::InnerLegOpened:
            return t(
                "Take it off, unpick the top of the inside leg and let the front out. Back on: have the smile "
                "lines gone?");
        case SmallTest::PinchAcrossUnderSeat:
            return t("Pinch across under the seat, standing straight. Does it lie?");
        case SmallTest::PinchAlongUnderSeat: return t("Pinch upright at the back of the thigh. Does it lie?");
        case SmallTest::ThighSeamOut:
            return t("Take it off and unpick the seams at the thigh. Back on: has the strain gone?");
        case SmallTest::RisePinchedAround:
            return t("Pinch all round under the hip. Does the crotch come to its place?");
        case SmallTest::WaistOpened: return t("Undo the waist. Does everything below it hang well?");
        case SmallTest::PinchAtWaist:
            return t("Pinch the waist in at each side seam, equally. Does it lie flat and stay up?");
        case SmallTest::SeamBeforeLine:
            return t(
                "From the side: does the seam lie before the line from the ear lobe to the middle of the upper "
                "arm?");
        case SmallTest::PinchFrontCrotch: return t("Pinch across in front, at the crotch. Does it lie?");
        case SmallTest::PinchAlongSleeve: return t("Pinch along the sleeve, the arm bent. Can it be taken?");
        case SmallTest::CapTurnedBack: return t("Turn the sleeve's top back by a finger. Are the folds gone?");
        case SmallTest::PinchThigh: return t("Pinch along the thigh, front and back. Can it be taken?");
        case SmallTest::HemMarksAboveBehind:
            return t("Settle the hem level and mark the waist. Is the mark above the paper's waist behind?");
    }
    return {};
}

QString care_on_a_body()
{
    return t(
        "Pin along the body, never pointing at it, and let a helper pin. Take the toile off before you unpick or "
        "cut.");
}

QString cause_name(const std::optional<Cause>& c)
{
    if (!c) return t("Something else");
    const QString face = c->face == Face::Front ? t(", front") : c->face == Face::Back ? t(", back") : QString{};
    const QString way = c->method > 0 ? t(", %1").arg(method_name(c->kind, c->method).toLower()) : QString{};
    return (c->sign > 0 ? t("%1%2%3: +") : t("%1%2%3: \u2212")).arg(adjustment_name(c->kind), face, way);
}

QString likely_word(Likely l)
{
    switch (l) {
        case Likely::Hardly: return t("hardly");
        case Likely::Possibly: return t("possibly");
        case Likely::Likely: return t("likely");
        case Likely::VeryLikely: return t("very likely");
    }
    return {};
}

QString suggestion(const Cause& c, const Suggested& s, Unit u)
{
    const QString by = t("%1 %2").arg(amount(s.amount, u, true), amount_meaning(c.kind));
    switch (s.from) {
        case AmountFrom::Pinch: return t("%1, as it was pinched").arg(by);
        case AmountFrom::Body: return t("%1, by which the body differs").arg(by);
        case AmountFrom::FirstStep: return t("%1, a first step").arg(by);
    }
    return {};
}

}  // namespace sartorum::words
