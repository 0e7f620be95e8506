#include "words/words.h"

#include <cmath>
#include <numbers>

#include "words/say.h"

namespace sartorum::words {
QString piece_names(AdjustmentKind kind, const Garment& on)
{
    if (adjustment(kind).at_join == AtJoin::WholeGarment) return t("facings");
    switch (adjustment(kind).acts_on) {
        case ActsOn::Front: return t("front");
        case ActsOn::Back: return t("back");
        case ActsOn::Sleeve: return t("sleeve");
        case ActsOn::Both:
        case ActsOn::Apart: break;
    }
    const bool band = find_piece(on.pieces, PieceRole::Waistband);
    return band && kind == AdjustmentKind::WidthAtWaist ? t("front, back, waistband") : t("front, back");
}

QString zone_name(Zone z)
{
    switch (z) {
        case Zone::Frame: return t("Frame");
        case Zone::Lengths: return t("Lengths");
        case Zone::Widths: return t("Widths");
        case Zone::Sleeve: return t("Sleeve");
        case Zone::Hem: return t("Hem");
        case Zone::Sewn: return t("Sewn");
    }
    return {};
}

QString adjustment_name(AdjustmentKind k)
{
    switch (k) {
        case AdjustmentKind::ShoulderLength: return t("Shoulder length");
        case AdjustmentKind::ShoulderSlope: return t("Shoulder slope");
        case AdjustmentKind::BallOfShoulder: return t("Ball of the shoulder");
        case AdjustmentKind::NeckForward: return t("Neck forward or back");
        case AdjustmentKind::NeckSize: return t("Neckline round the neck");
        case AdjustmentKind::RoundBack: return t("High round back");
        case AdjustmentKind::ArmholeDepth: return t("Armhole depth");
        case AdjustmentKind::BustDepth: return t("Bust depth");
        case AdjustmentKind::BodiceLength: return t("Bodice length");
        case AdjustmentKind::SwayBack: return t("Sway-back");
        case AdjustmentKind::WaistToHip: return t("Waist to hip");
        case AdjustmentKind::WidthAtWaist: return t("Width at the waist");
        case AdjustmentKind::WidthAtHip: return t("Width at the hip");
        case AdjustmentKind::UnderarmWidth: return t("Width at the underarm");
        case AdjustmentKind::BustSpan: return t("Bust points apart");
        case AdjustmentKind::Bust: return t("Bust");
        case AdjustmentKind::BustLength: return t("Length over the bust");
        case AdjustmentKind::KnitDart: return t("Armhole dart for a knit");
        case AdjustmentKind::NeckGape: return t("Gaping neckline");
        case AdjustmentKind::ArmholeGape: return t("Gaping armhole");
        case AdjustmentKind::AcrossFront: return t("Across front");
        case AdjustmentKind::AcrossBack: return t("Broad or narrow back");
        case AdjustmentKind::BackArmhole: return t("Long back armhole");
        case AdjustmentKind::DartMoved: return t("Bust dart moved");
        case AdjustmentKind::UpperArm: return t("Upper arm");
        case AdjustmentKind::CapHeight: return t("Cap height");
        case AdjustmentKind::CapForward: return t("Cap forward or back");
        case AdjustmentKind::TopNotch: return t("Cap notches");
        case AdjustmentKind::SleeveAbove: return t("Sleeve length, upper");
        case AdjustmentKind::SleeveBelow: return t("Sleeve length, lower");
        case AdjustmentKind::Forearm: return t("Forearm");
        case AdjustmentKind::SleeveHem: return t("Sleeve hem width");
        case AdjustmentKind::HemGivenBack: return t("Hem given back");
        case AdjustmentKind::FinishedLength: return t("Finished length");
        case AdjustmentKind::JoinedWaist: return t("Seam to the part above");
        case AdjustmentKind::JoinedDarts: return t("Darts to meet");
        case AdjustmentKind::WaistSeamLevel: return t("Waist seam on the body");
        case AdjustmentKind::Facings: return t("Facings and bands");
        case AdjustmentKind::Tucks: return t("Tucks at the waist");
        case AdjustmentKind::BodyRise: return t("Body rise");
        case AdjustmentKind::CrotchWedge: return t("Crotch at the centre");
        case AdjustmentKind::CrotchPoint: return t("Crotch at the inner leg");
        case AdjustmentKind::LegLength: return t("Leg length");
        case AdjustmentKind::WidthAtThigh: return t("Width at the thigh");
        case AdjustmentKind::WidthAtKnee: return t("Width at the knee");
        case AdjustmentKind::WidthAtLegHem: return t("Width at the leg's hem");
        case AdjustmentKind::WaistLine: return t("Waist drawn anew");
        case AdjustmentKind::SewnCrotch: return t("Crotch lowered");
        case AdjustmentKind::SewnWaistWidth: return t("Side seams at the waist");
        case AdjustmentKind::SewnHipWidth: return t("Side seams at the hip");
        case AdjustmentKind::SewnWaist: return t("Waist lowered");
        case AdjustmentKind::SewnHem: return t("Hem, sewn");
        case AdjustmentKind::WaistDarts: return t("Darts at the waist");
        case AdjustmentKind::WidthAtHighHip: return t("Width at the high hip");
        case AdjustmentKind::WidthAtCalf: return t("Width at the calf");
        case AdjustmentKind::CentreWedge: return t("Length at the centre");
        case AdjustmentKind::TurnUp: return t("Turn-up");
        case AdjustmentKind::PinnedShoulder: return t("Shoulder as pinned");
        case AdjustmentKind::PinnedBustDart: return t("Bust dart as pinned");
        case AdjustmentKind::PinnedWaistDarts: return t("Waist darts as pinned");
    }
    return {};
}

std::optional<Pinched> pinched(AdjustmentKind k)
{
    switch (k) {
        case AdjustmentKind::KnitDart: return Pinched::Depth;
        case AdjustmentKind::NeckGape:
        case AdjustmentKind::ArmholeGape: return Pinched::Whole;
        default: return std::nullopt;
    }
}

QString amount_meaning(AdjustmentKind k, bool of_gores)
{
    switch (k) {
        case AdjustmentKind::ShoulderLength: return t("straight out at the tip");
        case AdjustmentKind::ShoulderSlope: return t("square to the seam; + adds paper");
        case AdjustmentKind::BallOfShoulder: return t("at the tip; + forward, − back");
        case AdjustmentKind::NeckForward: return t("at the neck; + forward, − back");
        case AdjustmentKind::NeckSize: return t("all round, closed");
        case AdjustmentKind::RoundBack: return t("at centre back");
        case AdjustmentKind::ArmholeDepth: return t("+ deeper; front and back alike");
        case AdjustmentKind::BustDepth: return t("+ lower");
        case AdjustmentKind::BodiceLength: return t("between underarm and waist");
        case AdjustmentKind::SwayBack: return t("at centre back");
        case AdjustmentKind::WaistToHip: return t("on front and back alike");
        case AdjustmentKind::WidthAtWaist:
        case AdjustmentKind::WidthAtHip:
            return of_gores ? t("all round, shared by every upright seam") : t("all round");
        case AdjustmentKind::UnderarmWidth: return t("all round, nothing at the waist");
        case AdjustmentKind::BustSpan: return t("on each side; + further apart");
        case AdjustmentKind::Bust: return t("on each half front");
        case AdjustmentKind::BustLength: return t("at centre front, nothing at the side");
        case AdjustmentKind::KnitDart: return t("depth of the pinched fold: it takes out twice as much");
        case AdjustmentKind::NeckGape:
        case AdjustmentKind::ArmholeGape:
            return t("taken out at the edge in all: twice the depth of the pinched fold");
        case AdjustmentKind::AcrossFront: return t("each side; − takes off, + adds");
        case AdjustmentKind::AcrossBack: return t("each side, half-way down the armhole");
        case AdjustmentKind::BackArmhole: return t("overlapped at the armhole");
        case AdjustmentKind::DartMoved: return t("of its mouth; empty: all of it");
        case AdjustmentKind::UpperArm: return t("at the bicep line");
        case AdjustmentKind::CapHeight: return t("+ higher, − lower");
        case AdjustmentKind::CapForward: return t("+ forward, − back");
        case AdjustmentKind::TopNotch: return t("top notch, + forward along the cap");
        case AdjustmentKind::SleeveAbove: return t("between underarm and elbow");
        case AdjustmentKind::SleeveBelow: return t("between elbow and hem");
        case AdjustmentKind::Forearm: return t("all round, under the elbow");
        case AdjustmentKind::SleeveHem: return t("all round");
        case AdjustmentKind::HemGivenBack: return t("so that the finished length stays");
        case AdjustmentKind::FinishedLength: return t("at the hem");
        case AdjustmentKind::JoinedWaist: return t("closed waist of one half, front and back");
        case AdjustmentKind::JoinedDarts: return t("along the waist, + to the side");
        case AdjustmentKind::WaistSeamLevel: return t("+ lower: from the skirt to the bodice");
        case AdjustmentKind::Facings: return t("from their edges, as wide as they were");
        case AdjustmentKind::Tucks: return t("along the waist: + to the side, further apart or deeper");
        case AdjustmentKind::BodyRise: return t("across under the hip line, front and back alike");
        case AdjustmentKind::CrotchWedge: return t("gained at the centre, nothing at the side");
        case AdjustmentKind::CrotchPoint: return t("inner leg point, + out, − in");
        case AdjustmentKind::LegLength: return t("between inner leg point and hem");
        case AdjustmentKind::WidthAtThigh: return t("round one leg, half at each inner leg point");
        case AdjustmentKind::WidthAtKnee:
        case AdjustmentKind::WidthAtLegHem: return t("round one leg, a quarter at each seam");
        case AdjustmentKind::WaistLine: return t("+ above the waist, − under it, at each station");
        case AdjustmentKind::SewnCrotch: return t("down the inner leg seam");
        case AdjustmentKind::SewnWaistWidth:
        case AdjustmentKind::SewnHipWidth: return t("all round; + let out within the allowance, − taken in");
        case AdjustmentKind::SewnWaist: return t("− under the waist, at each station");
        case AdjustmentKind::WaistDarts: return t("on each half: + taken in more, − less; moved: + to the side");
        case AdjustmentKind::WidthAtHighHip: return t("all round; nothing at waist and hip");
        case AdjustmentKind::TurnUp: return t("how deep it is seen");
        case AdjustmentKind::PinnedShoulder: return t("square to the seam at each end; − taken off");
        case AdjustmentKind::PinnedBustDart: return t("+ lower down the seam, deeper, longer");
        case AdjustmentKind::PinnedWaistDarts: return t("each dart: + nearer the side, deeper, longer");
        case AdjustmentKind::CentreWedge: return t("gained at the centre, nothing at the side");
        case AdjustmentKind::WidthAtCalf: return t("round one leg, a quarter at each seam");
        case AdjustmentKind::SewnHem: return t("+ let down within the allowance, − shorter");
    }
    return {};
}

// What is seen on the wearer where only a toile can tell.
QString toile_sign(AdjustmentKind kind)
{
    switch (kind) {
        case AdjustmentKind::BallOfShoulder: return t("seam behind, folds at the sleeve");
        case AdjustmentKind::NeckForward: return t("the seam leaves the side of the neck");
        case AdjustmentKind::ArmholeGape:
        case AdjustmentKind::KnitDart: return t("the front armhole stands away");
        case AdjustmentKind::NeckGape: return t("the neckline stands away in front");
        case AdjustmentKind::BackArmhole: return t("loose cloth behind the arm");
        case AdjustmentKind::Tucks: return t("tucks stand off the figure, or off the stripes");
        case AdjustmentKind::WidthAtLegHem: return t("the hem swings too wide, or catches at the heel");
        case AdjustmentKind::TurnUp: return t("the hem is wanted turned up outside");
        case AdjustmentKind::PinnedShoulder:
            return t("pinned on the toile, the shoulder seam does not lie where it was sewn");
        case AdjustmentKind::PinnedBustDart:
        case AdjustmentKind::PinnedWaistDarts:
            return t("pinned on the toile or the tissue, a dart lies elsewhere, deeper or longer");
        case AdjustmentKind::CrotchWedge:
            return t(
                "it is pulled down behind in sitting or bending (back +, front −); cloth bags under a flat seat "
                "(back −)");
        case AdjustmentKind::CentreWedge:
            return t("the skirt rides up over the tummy in front, or over the seat behind");
        case AdjustmentKind::WaistDarts:
            return t("empty points at the tips, or folds beside them: shallower, moved or given up");
        case AdjustmentKind::SewnWaist: return t("it stands too high, or the hem is not level");
        case AdjustmentKind::WaistLine: return t("the hem is not level: front, back or one side up or down");
        case AdjustmentKind::WaistSeamLevel: return t("the seam lies above or below where it is wanted");
        case AdjustmentKind::SwayBack: return t("folds across the back above the seat");
        default: return {};
    }
}

// What to do instead of more than a method carries.
QString limit_advice(AdjustmentKind kind)
{
    switch (kind) {
        case AdjustmentKind::BallOfShoulder:
        case AdjustmentKind::NeckForward:
            return t("More would show from the front. Take this much, and look at the slope on a toile.");
        case AdjustmentKind::ShoulderLength: return t("Take another size by the shoulders instead.");
        case AdjustmentKind::ShoulderSlope:
            return t("Make a toile first, with an inch more on the shoulder seams, and pin it.");
        case AdjustmentKind::RoundBack: return t("Make a toile first; a shoulder or neck dart takes the rest.");
        case AdjustmentKind::ArmholeDepth:
            return t("Take another size for the frame, or look whether the bodice length is meant.");
        case AdjustmentKind::BustDepth: return t("Move the dart as a box, or draw a new dart where it is needed.");
        case AdjustmentKind::BodiceLength:
            return t("Share it between armhole depth and bodice length on a toile.");
        case AdjustmentKind::SwayBack:
            return t(
                "Only length is taken here. Look on a toile whether the hips need width first; then the fold "
                "goes.");
        case AdjustmentKind::Bust: return t("Take another size for the bust, and fit its shoulders.");
        case AdjustmentKind::KnitDart:
            return t("A deeper dart shows in a knit. Make room for the bust with a dart in the side.");
        case AdjustmentKind::NeckGape:
        case AdjustmentKind::ArmholeGape:
            return t("Look first whether the bust needs room, or the shoulder another slope.");
        case AdjustmentKind::AcrossFront:
            return t(
                "More would bare the armhole. Take another size for the frame, or look at the shoulder length.");
        case AdjustmentKind::BackArmhole:
            return t("More is a round back, or a shoulder too square: look there first.");
        case AdjustmentKind::NeckSize:
            return t("Take another size for the frame: its neck is drafted with its shoulders.");
        case AdjustmentKind::BustSpan:
            return t("Look on a toile where the bust points are before the seam is moved that far.");
        case AdjustmentKind::BustLength:
            return t("Look first whether the bust wants more room: it gives length by itself.");
        case AdjustmentKind::AcrossBack:
            return t("Take another size for the frame, or make a toile of the back first.");
        case AdjustmentKind::UpperArm: return t("Take the next size's sleeve, and lower the armhole to it.");
        case AdjustmentKind::CapForward: return t("More would show. Look at the shoulder seam on a toile.");
        case AdjustmentKind::CrotchWedge:
            return t("Share it with the inner leg point, and try the seat alone on a toile first.");
        case AdjustmentKind::CentreWedge:
            return t("So much is likelier a longer way from waist to hip: look there first.");
        case AdjustmentKind::WaistDarts:
            return t("A deep dart stands off at its tip: make one more, or share it with the side seam.");
        case AdjustmentKind::SewnCrotch:
            return t("More makes the thigh narrow and shows in the seat: lower it in two goes, worn between.");
        case AdjustmentKind::WaistLine:
            return t("So much is likelier a longer or shorter way from waist to hip: look there first.");
        case AdjustmentKind::CrotchPoint:
            return t(
                "More makes the thigh wide. Share it with the wedge at the centre, or take another size by the "
                "hip.");
        default: return t("Take another size, or make a toile first.");
    }
}

QString caution(const Caution& c, AdjustmentKind kind, Unit unit)
{
    const Unit u = paper_unit(unit);
    const QString given = amount(abs(c.given), u);
    const QString most = amount(abs(c.most), u);
    switch (c.kind) {
        case CautionKind::WaistLonger:
            return t("Half of the waist edge is %1 longer. What is more than %2 goes into the darts, or is eased "
                     "to what is sewn there.")
                .arg(given, most);
        case CautionKind::Amount:
            return t("%1 is more than is usual here (%2). %3 A toile first shows it.")
                .arg(given, most, limit_advice(kind));
        case CautionKind::FrontAndBackUnlike:
            return t("One piece gets %1 more than the other; %2 is usual. A toile first shows it.")
                .arg(given, most);
        case CautionKind::WaistEased:
            return t("%1 is eased in at the waist, and cloth eases %2 well. Gather it, or keep a small dart.")
                .arg(given, most);
        case CautionKind::SideEased:
            return t("%1 is eased into the side seam, and cloth eases %2 well. Sew the dart, or try it on a "
                     "toile.")
                .arg(given, most);
        case CautionKind::ShoulderEased:
            return t("%1 is eased at the shoulder, and cloth eases %2 well. Overlap less, or cut nearer the neck.")
                .arg(given, most);
    }
    return {};
}

QString change_name(GarmentMeasure m)
{
    switch (m) {
        case GarmentMeasure::Neck: return t("half neckline");
        case GarmentMeasure::Shoulder: return t("shoulder");
        case GarmentMeasure::Armhole: return t("armhole");
        case GarmentMeasure::Bust: return t("bust");
        case GarmentMeasure::Waist: return t("waist");
        case GarmentMeasure::Hip: return t("hip");
        case GarmentMeasure::Side: return t("side seam");
        case GarmentMeasure::CentreFront: return t("centre front");
        case GarmentMeasure::CentreBack: return t("centre back");
        case GarmentMeasure::Hem: return t("hem sweep");
        case GarmentMeasure::Band: return t("waistband");
        case GarmentMeasure::Cap: return t("cap");
        case GarmentMeasure::UpperArm: return t("bicep width");
        case GarmentMeasure::SleeveHem: return t("sleeve hem");
        case GarmentMeasure::Sleeve: return t("sleeve length");
        case GarmentMeasure::FrontLength: return t("front length");
        case GarmentMeasure::WaistToHip: return t("waist to hip");
        default: return finished_name(m);
    }
}

QString finished_name(GarmentMeasure m)
{
    switch (m) {
        case GarmentMeasure::Bust: return t("bust");
        case GarmentMeasure::Waist: return t("waist");
        case GarmentMeasure::Hip: return t("hip");
        case GarmentMeasure::UpperArm: return t("upper arm");
        case GarmentMeasure::SleeveHem: return t("sleeve hem");
        case GarmentMeasure::FrontLength: return t("front length");
        case GarmentMeasure::CentreBack: return t("centre back");
        case GarmentMeasure::Shoulder: return t("shoulder");
        case GarmentMeasure::Side: return t("side seam");
        case GarmentMeasure::Sleeve: return t("sleeve");
        case GarmentMeasure::Armhole: return t("armhole");
        case GarmentMeasure::Cap: return t("sleeve cap");
        case GarmentMeasure::Neck: return t("half neckline");
        case GarmentMeasure::Hem: return t("hem");
        case GarmentMeasure::CentreFront: return t("centre front");
        case GarmentMeasure::Band: return t("waistband");
        case GarmentMeasure::WaistToHip: return t("waist to hip");
        case GarmentMeasure::HighHip: return t("high hip");
        case GarmentMeasure::CrotchFront: return t("crotch, front");
        case GarmentMeasure::CrotchBack: return t("crotch, back");
        case GarmentMeasure::Rise: return t("rise");
        case GarmentMeasure::Thigh: return t("thigh");
        case GarmentMeasure::Knee: return t("knee");
        case GarmentMeasure::LegHem: return t("leg hem");
        case GarmentMeasure::InsideLeg: return t("inside leg");
        case GarmentMeasure::Calf: return t("calf");
        case GarmentMeasure::Trunk: return t("trunk");
    }
    return {};
}

QStringList chain(const KnockOn& k, Unit unit)
{
    const Unit u = paper_unit(unit);
    QStringList causes;
    for (const auto cause : k.causes) causes << adjustment_name(cause);
    const auto each = [&](Length right, const std::optional<Length>& left) {
        const QString said = amount(right, u, true);
        return left ? t("right %1, left %2").arg(said, amount(*left, u, true)) : said;
    };
    const QString by = each(k.by, k.by_left);
    const QString done = each(k.amount, k.amount_left);
    QStringList out{causes.join(", ")};
    if (k.effect == AdjustmentKind::CapForward) {
        out << t("shoulder seam %1 forward").arg(by);
    } else if (k.effect == AdjustmentKind::TopNotch) {
        out << t("armhole %1, front and back not alike").arg(by);
    } else {
        out << change_name(k.through) + " " + by;
    }
    if (!k.effect) {
        out << (k.through == GarmentMeasure::Neck ? t("facing, collar or band: the same to the new length")
                                                  : t("skirt or band sewn to the waist: the same"));
        return out;
    }
    const QString name = adjustment_name(*k.effect);
    switch (k.state) {
        case LineState::Accepted: out << t("%1 %2, accepted").arg(name, done); break;
        case LineState::Declined: out << t("%1, left as it is").arg(name); break;
        default: out << t("%1 %2, proposed").arg(name, done);
    }
    return out;
}

QString join_name(JoinPlace place)
{
    switch (place) {
        case JoinPlace::NeckPoint: return t("neckline");
        case JoinPlace::ShoulderTip: return t("armhole at the tip");
        case JoinPlace::Underarm: return t("underarm");
        case JoinPlace::Waist: return t("waist");
        case JoinPlace::Hem: return t("hem");
        case JoinPlace::CapTop: return t("top of the cap");
        case JoinPlace::SleeveUnderarm: return t("sleeve underarm");
        case JoinPlace::SleeveHem: return t("sleeve hem");
        case JoinPlace::Lower: return t("yoke's lower edge");
        case JoinPlace::InnerHem: return t("inner leg hem");
        case JoinPlace::Crotch: return t("crotch seam");
    }
    return {};
}

QString shoulder_text(const SewnShoulder& s, Unit unit)
{
    const Unit u = paper_unit(unit);
    const Length drop = s.front * std::sin(s.slope_degrees() * std::numbers::pi / 180);
    const QString slope =
        t("%1° sewn, the tip %2 lower").arg(QString::number(s.slope_degrees(), 'f', 1), amount(drop, unit));
    const Length f = s.forward();
    if (abs(f) < Length::mm(0.5)) return t("%1, seam on the fold").arg(slope);
    return f > Length{} ? t("%1, seam %2 before the fold").arg(slope, amount(f, u))
                        : t("%1, seam %2 behind the fold").arg(slope, amount(-f, u));
}

}  // namespace sartorum::words
