#include "words/measures.h"

#include <cmath>

#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

struct MeasureWords {
    Measure measure;
    const char* name;
    const char* term;  // ISO 8559-1, from memory, where it has one
    const char* how;
};

constexpr MeasureWords all_words[] = {
    {Measure::NeckBase, QT_TRANSLATE_NOOP("words", "Neck base"),
     QT_TRANSLATE_NOOP("words", "neck base girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Round the foot of the neck, over the bone at the back and the hollow in front. A thin "
                       "chain shows where the line lies. Do not pull.")},
    {Measure::Head, QT_TRANSLATE_NOOP("words", "Head"), QT_TRANSLATE_NOOP("words", "head girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP(
         "words",
         "Round the head at its widest, above the brows and over the back of the head: what a closed "
         "neckline has to pass.")},
    {Measure::HighBust, QT_TRANSLATE_NOOP("words", "High bust"),
     QT_TRANSLATE_NOOP("words", "upper chest girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Tape right up under the arms, above the bust, straight across the back. Arms hang. Snug: "
                       "this one sets the size of neck and shoulders.")},
    {Measure::Bust, QT_TRANSLATE_NOOP("words", "Bust"), QT_TRANSLATE_NOOP("words", "bust girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Over the fullest part, level all round. Stand easy, breathe out, do not look down. A "
                       "mirror or a friend checks the back.")},
    {Measure::Underbust, QT_TRANSLATE_NOOP("words", "Underbust"),
     QT_TRANSLATE_NOOP("words", "underbust girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Right under the bust where a band would sit, level. Firm, breathe out, read.")},
    {Measure::Waist, QT_TRANSLATE_NOOP("words", "Waist"), QT_TRANSLATE_NOOP("words", "waist girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Tie an elastic round the waist and bend: it settles where the body bends. Lay the tape "
                       "along its lower edge, firm and not tight, and breathe out.")},
    {Measure::HighHip, QT_TRANSLATE_NOOP("words", "High hip"),
     QT_TRANSLATE_NOOP("words", "top hip girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Over the hip bones, about half-way from the waist to the hip. Level all round.")},
    {Measure::Hip, QT_TRANSLATE_NOOP("words", "Hip"), QT_TRANSLATE_NOOP("words", "hip girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Feet together. The tape goes round the fullest level below the waist, wherever that is, "
                       "level all round. Let a mirror or a friend check the back.")},
    {Measure::BustDepth, QT_TRANSLATE_NOOP("words", "Bust depth"),
     QT_TRANSLATE_NOOP("words", "neck shoulder point to bust point, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From where neck and shoulder meet straight down to the fullest point of the bust. Wear "
                       "the bra that goes under the garment.")},
    {Measure::BustSpan, QT_TRANSLATE_NOOP("words", "Bust span"),
     QT_TRANSLATE_NOOP("words", "bust point to bust point, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Across the front from one fullest point to the other. The tape bridges the hollow.")},
    {Measure::FrontWaistLength, QT_TRANSLATE_NOOP("words", "Front waist length"),
     QT_TRANSLATE_NOOP("words", "neck shoulder point to waist over the bust, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From where neck and shoulder meet, over the fullest point, down to the lower edge of the "
                       "waist elastic.")},
    {Measure::AcrossFront, QT_TRANSLATE_NOOP("words", "Across front"),
     QT_TRANSLATE_NOOP("words", "across front width, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Half-way down the armhole, from the crease of one arm to the other. Arms hang.")},
    {Measure::WaistToHip, QT_TRANSLATE_NOOP("words", "Waist to hip"),
     QT_TRANSLATE_NOOP("words", "waist to hip, at the side"),
     QT_TRANSLATE_NOOP("words",
                       "At the side, from the lower edge of the waist elastic down to the level where the hip "
                       "was fullest. Keep the tape on the body.")},
    {Measure::SkirtLength, QT_TRANSLATE_NOOP("words", "Wished length"),
     QT_TRANSLATE_NOOP("words", "waist to hem, at the side"),
     QT_TRANSLATE_NOOP("words",
                       "At the side, from the lower edge of the waist elastic to where the hem should fall, over "
                       "the hip. Stand as you always stand.")},
    {Measure::TrouserLength, QT_TRANSLATE_NOOP("words", "Trouser length"),
     QT_TRANSLATE_NOOP("words", "as wished, waist to hem at the side"),
     QT_TRANSLATE_NOOP("words",
                       "At the side, from the lower edge of the waist elastic to where the trousers should end. "
                       "In the shoes they will be worn with.")},
    {Measure::Thigh, QT_TRANSLATE_NOOP("words", "Thigh"), QT_TRANSLATE_NOOP("words", "thigh girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "High up, right under the seat, level. Weight on both feet, legs a little apart.")},
    {Measure::Knee, QT_TRANSLATE_NOOP("words", "Knee"), QT_TRANSLATE_NOOP("words", "knee girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Round the middle of the kneecap, leg straight and easy.")},
    {Measure::Calf, QT_TRANSLATE_NOOP("words", "Calf"), QT_TRANSLATE_NOOP("words", "calf girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Round the fullest part, weight on both feet.")},
    {Measure::HeelRound, QT_TRANSLATE_NOOP("words", "Heel and instep"),
     QT_TRANSLATE_NOOP("words", "what a closed leg must pass over"),
     QT_TRANSLATE_NOOP("words", "Foot stretched: round the heel and over the instep, where it is largest.")},
    {Measure::InsideLeg, QT_TRANSLATE_NOOP("words", "Inside leg"),
     QT_TRANSLATE_NOOP("words", "inside leg length, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From the crotch straight down to the floor. Hold a book up as in trousers, and mark the "
                       "door frame.")},
    {Measure::CrotchLength, QT_TRANSLATE_NOOP("words", "Crotch length"),
     QT_TRANSLATE_NOOP("words", "total crotch length, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "A string from where the top edge will be in front, between the legs, to where it will be "
                       "at the back, as snug as trousers should sit. Measure the string.")},
    {Measure::FrontRise, QT_TRANSLATE_NOOP("words", "Front rise"),
     QT_TRANSLATE_NOOP("words", "front part of the crotch length"),
     QT_TRANSLATE_NOOP("words",
                       "On the same string: from the top edge in front to where the inside leg seams will meet. A "
                       "small weight on the string finds the place.")},
    {Measure::BackRise, QT_TRANSLATE_NOOP("words", "Back rise"),
     QT_TRANSLATE_NOOP("words", "back part of the crotch length"),
     QT_TRANSLATE_NOOP("words",
                       "The rest of the string: from that place to the top edge at the back. Front and back make "
                       "the whole.")},
    {Measure::ShoulderLength, QT_TRANSLATE_NOOP("words", "Shoulder length"),
     QT_TRANSLATE_NOOP("words", "shoulder length, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From the side of the neck to the shoulder tip. Raise the arm to feel its hinge, or "
                       "measure the seam of a garment whose shoulders fit.")},
    {Measure::CrossShoulder, QT_TRANSLATE_NOOP("words", "Cross-shoulder"),
     QT_TRANSLATE_NOOP("words", "shoulder width over the back, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From shoulder tip to shoulder tip over the back, or from sleeve seam to sleeve seam of a "
                       "garment that fits.")},
    {Measure::AcrossBack, QT_TRANSLATE_NOOP("words", "Across back"),
     QT_TRANSLATE_NOOP("words", "across back width, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Half-way down the armhole, from the crease of one arm to the other. Arms hang, do not "
                       "pull the shoulders back.")},
    {Measure::ArmholeDepth, QT_TRANSLATE_NOOP("words", "Nape to underarm"),
     QT_TRANSLATE_NOOP("words", "armhole depth, scye depth in ISO 8559-1"),
     QT_TRANSLATE_NOOP(
         "words",
         "From the bone at the nape straight down the spine to the level of the underarms. A ruler or a sheet of "
         "paper held under both arms shows the level.")},
    {Measure::BackWaistLength, QT_TRANSLATE_NOOP("words", "Back waist length"),
     QT_TRANSLATE_NOOP("words", "back neck point to waist, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "From the bone at the nape down the spine to the lower edge of the waist elastic. Look "
                       "straight ahead.")},
    {Measure::TrunkGirth, QT_TRANSLATE_NOOP("words", "Trunk girth"),
     QT_TRANSLATE_NOOP("words", "torso girth, over one shoulder, ISO 8559-1"),
     QT_TRANSLATE_NOOP(
         "words",
         "From the middle of one shoulder down the back, between the legs and up the front to where it "
         "began. As snug as the garment is to be, standing straight. A friend holds the tape.")},
    {Measure::ArmLength, QT_TRANSLATE_NOOP("words", "Arm length"),
     QT_TRANSLATE_NOOP("words", "arm length, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "From the shoulder tip over the bent elbow to the wrist bone. Hand on the hip.")},
    {Measure::UpperArm, QT_TRANSLATE_NOOP("words", "Upper arm"),
     QT_TRANSLATE_NOOP("words", "upper arm girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Round the fullest part, arm hanging, muscles easy. Both arms: they differ.")},
    {Measure::Wrist, QT_TRANSLATE_NOOP("words", "Wrist"), QT_TRANSLATE_NOOP("words", "wrist girth, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words", "Round the wrist bone, snug.")},
    {Measure::HandRound, QT_TRANSLATE_NOOP("words", "Hand"),
     QT_TRANSLATE_NOOP("words", "hand girth over the thumb"),
     QT_TRANSLATE_NOOP(
         "words", "Round the knuckles with the thumb laid into the palm: as the hand goes through a sleeve.")},
    {Measure::ShouldersRound, QT_TRANSLATE_NOOP("words", "Round the shoulders"),
     QT_TRANSLATE_NOOP("words", "shoulder girth, both arms in"),
     QT_TRANSLATE_NOOP("words",
                       "Round both upper arms and the chest at the widest place, arms hanging: what goes over the "
                       "head has to pass here.")},
    {Measure::WaistToFloorSide, QT_TRANSLATE_NOOP("words", "Waist to floor, side"),
     QT_TRANSLATE_NOOP("words", "waist height at the side"),
     QT_TRANSLATE_NOOP("words",
                       "Straight down from the lower edge of the waist elastic at the side. Without shoes; mark "
                       "the door frame and measure to the mark.")},
    {Measure::WaistToFloorFront, QT_TRANSLATE_NOOP("words", "Waist to floor, front"),
     QT_TRANSLATE_NOOP("words", "waist height at centre front"),
     QT_TRANSLATE_NOOP("words",
                       "Straight down from the elastic at centre front. The waist need not be level: let it "
                       "sit.")},
    {Measure::WaistToFloorBack, QT_TRANSLATE_NOOP("words", "Waist to floor, back"),
     QT_TRANSLATE_NOOP("words", "waist height at centre back"),
     QT_TRANSLATE_NOOP("words",
                       "Straight down from the elastic at centre back. The tape hangs free of the seat.")},
    {Measure::WaistToFloorMidFront, QT_TRANSLATE_NOOP("words", "Waist to floor, mid front"),
     QT_TRANSLATE_NOOP("words", "waist height half-way from centre front to the side"),
     QT_TRANSLATE_NOOP("words",
                       "Straight down from the elastic, half-way from centre front to the side. Both sides: a hip "
                       "may be higher.")},
    {Measure::WaistToFloorMidBack, QT_TRANSLATE_NOOP("words", "Waist to floor, mid back"),
     QT_TRANSLATE_NOOP("words", "waist height half-way from centre back to the side"),
     QT_TRANSLATE_NOOP(
         "words",
         "Straight down from the elastic, half-way from centre back to the side. The tape hangs free "
         "of the seat.")},
    {Measure::NeckPointHeight, QT_TRANSLATE_NOOP("words", "Neck point height"),
     QT_TRANSLATE_NOOP("words", "neck shoulder point height"),
     QT_TRANSLATE_NOOP("words",
                       "Back against the door frame. Mark where neck and shoulder meet, then measure from the "
                       "floor to the mark.")},
    {Measure::ShoulderTipHeight, QT_TRANSLATE_NOOP("words", "Shoulder tip height"),
     QT_TRANSLATE_NOOP("words", "shoulder height, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Stand as before. Mark the shoulder tip; the two heights give the slope. Both sides: they "
                       "differ.")},
    {Measure::Height, QT_TRANSLATE_NOOP("words", "Height"), QT_TRANSLATE_NOOP("words", "stature, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Without shoes, heels at the door frame, a book level on the head. Mark and measure.")},
    {Measure::BodyRise, QT_TRANSLATE_NOOP("words", "Body rise"),
     QT_TRANSLATE_NOOP("words", "body rise, ISO 8559-1"),
     QT_TRANSLATE_NOOP("words",
                       "Sit upright on a hard, flat chair. At the side, from the lower edge of the waist elastic "
                       "over the hip down to the seat.")},
    {Measure::SeatedWaist, QT_TRANSLATE_NOOP("words", "Waist, seated"),
     QT_TRANSLATE_NOOP("words", "waist girth, sitting"),
     QT_TRANSLATE_NOOP("words", "Sit as you sit all day. Along the lower edge of the elastic, breathe out.")},
    {Measure::SeatedHip, QT_TRANSLATE_NOOP("words", "Hip, seated"),
     QT_TRANSLATE_NOOP("words", "hip girth, sitting"),
     QT_TRANSLATE_NOOP("words",
                       "Sit as you sit all day. Round the fullest level, down to the seat at the sides.")},
    {Measure::SeatedThigh, QT_TRANSLATE_NOOP("words", "Thigh, seated"),
     QT_TRANSLATE_NOOP("words", "thigh girth, sitting"),
     QT_TRANSLATE_NOOP("words", "Foot flat on the floor. Round the fullest part of the thigh, not pressed in.")},
    {Measure::SeatedFrontRise, QT_TRANSLATE_NOOP("words", "Front rise, seated"),
     QT_TRANSLATE_NOOP("words", "front part of the crotch length, sitting"),
     QT_TRANSLATE_NOOP(
         "words",
         "Sit on the string as you sit all day. From the top edge in front down to where the inside leg "
         "seams will meet.")},
    {Measure::SeatedBackRise, QT_TRANSLATE_NOOP("words", "Back rise, seated"),
     QT_TRANSLATE_NOOP("words", "back part of the crotch length, sitting"),
     QT_TRANSLATE_NOOP(
         "words",
         "The rest of the string you sit on: from that place under the seat up to the top edge at the "
         "back.")},
};

const MeasureWords& words_of(Measure m)
{
    for (const auto& w : all_words) {
        if (w.measure == m) return w;
    }
    return all_words[0];
}
static_assert(std::size(all_words) == all_measures.size());

}  // namespace

QString measure_name(Measure m)
{
    return t(words_of(m).name);
}
QString measure_term(Measure m)
{
    return t(words_of(m).term);
}
QString measure_how(Measure m)
{
    return t(words_of(m).how);
}

QString view_name(View v)
{
    switch (v) {
        case View::Front: return t("Front");
        case View::Legs: return t("Hip and legs");
        case View::Back: return t("Back and arms");
        case View::Door: return t("At the door frame");
        case View::Seated: return t("Seated");
    }
    return {};
}

QString what_to_wear(View v)
{
    switch (v) {
        case View::Front:
        case View::Back: return t("Wear the bra or vest that goes under the garment, and little else.");
        case View::Legs: return t("Wear thin underwear. Elastic at the waist, and leave it there.");
        case View::Door: return t("No shoes. Stand as you always stand, back to the frame.");
        case View::Seated: return t("Wear what you sit in, thin. A hard, flat chair.");
    }
    return {};
}

QString round_name(Round r)
{
    switch (r) {
        case Round::Top: return t("Top");
        case Round::Dress: return t("Dress");
        case Round::Skirt: return t("Skirt");
        case Round::Trousers: return t("Trousers");
        case Round::AllInOne: return t("All-in-one");
        case Round::Bra: return t("Bra");
        case Round::Everything: return t("Everything");
    }
    return {};
}

QString side_name(Side s)
{
    return s == Side::Left ? t("left") : t("right");
}

QString reading_state(const Taken& taken, Measure m, Unit u)
{
    const QString apart = number(taken.apart, u);
    const QString allowed = number(facts(m).disagree(), u);
    switch (taken.state) {
        case ReadingState::Unread: return t("not yet read");
        case ReadingState::OneMore: return t("One reading. Let go, start again, read a second time.");
        case ReadingState::Agree:
            return facts(m).kind == MeasureKind::Wish
                       ? t("Kept.")
                       : t("The readings agree within %1 (allowed %2).").arg(apart, allowed);
        case ReadingState::ThirdAsked:
            return t("The readings stand %1 apart, allowed %2. Take one more; the middle one counts.")
                .arg(apart, allowed);
        case ReadingState::MiddleTaken:
            return t("The middle one of the readings counts; they lie %1 apart.").arg(apart);
        case ReadingState::NoneAgree:
            return t("No two of the readings agree within %1. Read again, in place of the one that is furthest "
                     "off.")
                .arg(allowed);
    }
    return {};
}

QString sense(const Sense& s, Unit u)
{
    const QString again = t("Please measure again: ");
    const QString value = amount(s.value, u);
    switch (s.kind) {
        case SenseKind::OtherUnit:
            return again + t("%1 reads like %2 in the other unit. Expected %3 to %4.")
                               .arg(value, amount(s.expected, u), amount(s.low, u), amount(s.high, u));
        case SenseKind::OutsideLikely:
            return again +
                   t("with the other measures, %1 to %2 is expected here. Bodies do lie outside; if it reads "
                     "the same, keep it.")
                       .arg(amount(s.low, u), amount(s.high, u));
        case SenseKind::RiseSum:
            return again + t("front and back rise make %1, the crotch length is %2; allowed %3 apart.")
                               .arg(amount(s.expected, u), value, number(s.high - s.expected, u));
        case SenseKind::TrunkSum:
            return again + t("both waist lengths and both rises make %1, the trunk girth is %2; allowed %3 apart.")
                               .arg(amount(s.expected, u), value, number(s.high - s.expected, u));
        case SenseKind::Order:
            return again + t("%1 is %2, and %3 %4. Usually it is the other way round.")
                               .arg(measure_name(s.measure), value, measure_name(s.other).toLower(),
                                    amount(s.expected, u));
        case SenseKind::HighBustAboveBust:
            return again + t("the high bust is %1 and the bust %2. Is the tape right up under the arms?")
                               .arg(value, amount(s.expected, u));
    }
    return {};
}

QString stale(const Stale& s)
{
    switch (s.why) {
        case StaleWhy::Age: return t("%1: read %2 days ago").arg(measure_name(s.measure)).arg(s.days);
        case StaleWhy::WeightMoved: return t("%1: the weight has moved since").arg(measure_name(s.measure));
        case StaleWhy::GirthMoved: return t("%1: the waist has moved since").arg(measure_name(s.measure));
    }
    return {};
}

QString tape_check(const TapeCheck& c, Unit u)
{
    if (c.empty()) return t("Not checked yet. Hold the tape against a rigid ruler, the longer the better.");
    const auto& last = c.at().back();
    QString out = t("The tape reads %1 at the ruler's %2: readings are corrected ×%3.")
                      .arg(number(last.tape, u), number(last.ruler, u))
                      .arg(c.factor(), 0, 'f', 4);
    if (c.at().size() == 2) {
        out += " " + (std::abs(c.worn().in_mm()) < 1 ? t("Its end is whole.")
                                                     : t("Its end is off by %1.").arg(amount(c.worn(), u, true)));
    } else if (last.ruler < Length::mm(600)) {
        out += " " + t("A short ruler leaves doubt on long girths.");
    }
    return out;
}

QString corrected(const Taken& taken, Unit u)
{
    if (taken.as_read == taken.value) return {};
    return t("read %1, corrected for your tape").arg(number(taken.as_read, u));
}

}  // namespace sartorum::words
