#include "words/tissue.h"

#include <QCoreApplication>
#include <array>

#include "words/words.h"

namespace sartorum::words {
namespace {

using L = TissueLine;
using N = TissueNote;

QString say(const char* text)
{
    return QCoreApplication::translate("Words", text);
}

struct LineWords {
    const char* name;
    const char* how;
};

// In the order of TissueLine.
constexpr std::array<LineWords, tissue_line_count> line_words{{
    {"Front waist",
     "From the centre along the waist line to the side seam, straight across the dart as it lies open."},
    {"Side waist higher by",
     "From the level of the centre front waist straight up to where the waist meets the side seam."},
    {"Waist to hip", "From the waist at the side straight down to the hip line, along the grain."},
    {"Front hem", "From the centre along the hem's stitching line to the side seam."},
    {"Length", "Down the centre front from the waist to the hem's stitching line."},
    {"Front hip", "From the centre straight across to the side seam, square to the centre, on the hip line."},
    {"Front dart", "From leg to leg where they meet the waist line. More than one: all together."},
    {"Front dart, long", "From the middle of its mouth down to its tip."},
    {"Back waist",
     "From the centre along the waist line to the side seam, straight across the dart as it lies open."},
    {"Back hip", "From the centre straight across to the side seam, square to the centre, on the hip line."},
    {"Back dart", "From leg to leg where they meet the waist line. More than one: all together."},
    {"Back dart, long", "From the middle of its mouth down to its tip."},
    {"Waistband", "From the seam that meets the waist up to the fold: as deep as it is worn."},
    {"Neck width", "From the centre line straight across to the neck point, square to the centre."},
    {"Front neck depth", "From the level of the neck point straight down the centre to the neckline."},
    {"Front shoulder", "From the neck point along the shoulder seam to the tip."},
    {"Front tip lower by", "From the level of the neck point straight down to the shoulder tip."},
    {"Across front",
     "Half-way between shoulder tip and underarm: from the centre straight across to the armhole."},
    {"Front at the underarm", "From the centre straight across to the underarm, square to the centre."},
    {"Side length", "From the underarm down the side seam to the waist, its dart folded shut."},
    {"Side dart", "From leg to leg on the side seam's stitching line."},
    {"Panels part above by",
     "Panels laid touching at the bust point, grain lines parallel: from one to the other at the seam's upper "
     "end."},
    {"Front waist", "From the centre along the waist line to the side seam, straight across what is open."},
    {"Front waist dart", "From leg to leg where they meet the waist line."},
    {"Front length",
     "From the neck point straight down, along the grain, to the level of the waist at the centre."},
    {"Below the waist", "Down the centre front from the waist mark to the hem's stitching line."},
    {"Front hem", "From the centre straight across to the side seam, where the hem meets it."},
    {"Bust depth", "From the neck point to the bust point, straight."},
    {"Centre to bust point", "From the centre straight across to the bust point."},
    {"Back neck depth", "From the level of the neck point straight down the centre to the neckline."},
    {"Back shoulder",
     "From the neck point along the shoulder seam to the tip, straight across a dart as it lies open."},
    {"Shoulder dart", "From leg to leg on the shoulder seam."},
    {"Back tip lower by", "From the level of the neck point straight down to the shoulder tip."},
    {"Across back", "Half-way between shoulder tip and underarm: from the centre straight across to the armhole."},
    {"Back at the underarm", "From the centre straight across to the underarm, square to the centre."},
    {"Back waist",
     "From the centre along the waist line to the side seam, straight across the dart as it lies open."},
    {"Back waist dart", "From leg to leg where they meet the waist line."},
    {"Back length", "Down the centre back from the neckline to the waist."},
    {"Back hem", "From the centre straight across to the side seam, where the hem meets it."},
    {"Sleeve length", "From the top notch straight down, along the grain, to the hem's stitching line."},
    {"Cap height", "From the top notch straight down to the line between the underarms."},
    {"Cap, along it", "Tape on edge along the cap's stitching line, from underarm to underarm."},
    {"Sleeve width", "From underarm to underarm, straight across."},
    {"Top to elbow", "From the top notch straight down to the elbow line."},
    {"Sleeve hem", "From seam to seam, straight across at the hem's stitching line."},
    {"Front waist",
     "From the centre along the waist line to the side seam, straight across the dart as it lies open."},
    {"Waist to hip", "From the waist at the side straight down to the hip line, along the grain."},
    {"Rise", "From the waist at the side straight down to the level of the inner leg point, along the grain."},
    {"Front hem", "From seam to seam, straight across at the hem's stitching line."},
    {"Front knee", "From seam to seam, straight across on the knee line."},
    {"Inside leg", "From the inner leg point down the inner leg seam to the hem's stitching line."},
    {"Point to knee", "From the level of the inner leg point straight down to the knee line. None on shorts."},
    {"Front crotch seam",
     "Tape on edge from the waist line down the centre, round the curve to the inner leg point."},
    {"Opens by", "From the waist line down the centre, or the side seam, to where the opening ends."},
    {"Front leans in by",
     "An upright, along the grain, from the centre at the hip line up to the waist: from there across to the "
     "centre."},
    {"Front hip", "From the centre straight across to the side seam, square to the grain, on the hip line."},
    {"Front crotch line", "From the inner leg point straight across to the side seam, square to the grain."},
    {"Front dart", "From leg to leg where they meet the waist line. More than one: all together."},
    {"Front dart, long", "From the middle of its mouth down to its tip."},
    {"Back waist",
     "From the centre along the waist line to the side seam, straight across the dart as it lies open."},
    {"Back hem", "From seam to seam, straight across at the hem's stitching line."},
    {"Back knee", "From seam to seam, straight across on the knee line."},
    {"Back inside leg", "From the inner leg point down the inner leg seam to the hem's stitching line."},
    {"Back crotch seam",
     "Tape on edge from the waist line down the centre, round the curve to the inner leg point."},
    {"Back leans in by",
     "An upright, along the grain, from the centre at the hip line up to the waist: from there across to the "
     "centre."},
    {"Back hip", "From the centre straight across to the side seam, square to the grain, on the hip line."},
    {"Back crotch line", "From the inner leg point straight across to the side seam, square to the grain."},
    {"Back dart", "From leg to leg where they meet the waist line. More than one: all together."},
    {"Back dart, long", "From the middle of its mouth down to its tip."},
    {"Waistband", "From the seam that meets the waist up to the fold: as deep as it is worn."},
    {"Front width", "At that level, from the centre straight across to the stitching line."},
    {"Front darts take", "At that level, from leg to leg, all together."},
    {"Front fold, deep", "From its fold to where it is stitched; one of them."},
    {"Back width", "At that level, from the centre straight across to the stitching line."},
    {"Back darts take", "At that level, from leg to leg, all together."},
    {"Back fold, deep", "From its fold to where it is stitched; one of them."},
    {"Side panel", "At that level, from stitching line to stitching line."},
    {"Seam allowance", "As printed, or from the cut edge to the stitching line."},
    {"Front edge", "What lies beyond the centre front where it opens."},
    {"Hem allowance", "From the cut edge to the hem's stitching line."},
}};

struct NoteWords {
    const char* name;
    std::vector<const char*> words;
};

const std::vector<NoteWords>& note_words()
{
    static const std::vector<const char*> counts{"none", "1", "2", "3", "4", "5", "6", "7", "8"};
    static const std::vector<const char*> cut{"once", "twice", "three times", "four times"};
    static const std::vector<NoteWords> rows{
        {"Centre front", {"On the fold", "Opens"}},
        {"Centre back", {"On the fold", "With a seam"}},
        {"Over the bust", {"No seam", "Seam from the armhole", "Seam from the shoulder"}},
        {"At the waist", {"Darts", "Tucks", "Pleats"}},
        {"Ends", {"At a waist seam", "At a hem"}},
        {"Sleeve", {"None", "Set in"}},
        {"Girth", {"Bust", "Waist", "Hip", "Upper arm", "Thigh"}},
        {"Folds", {"Tucks", "Knife pleats", "Box pleats"}},
        {"Folds in the front", counts},
        {"Folds in the back", counts},
        {"Front is cut (on the fold: twice)", cut},
        {"Back is cut (on the fold: twice)", cut},
        {"Side is cut (on the fold: twice)", cut},
        {"Opens at", {"Centre front", "The side"}}};
    return rows;
}

// The back of trousers has darts whatever the front has.
bool folds_at_waist(TissueLine line)
{
    return line == L::FrontDart || line == L::BackDart || line == L::FrontWaistDart || line == L::BackWaistDart ||
           line == L::LegFrontDart;
}

// Of two panels what opens at the waist is no dart; a tuck's legs are its stitching lines.
QString waist_shape(TissueLine line, const Tissue& t, const QString& dart)
{
    if (!folds_at_waist(line)) return dart;
    if (line == L::FrontWaistDart && t.note(N::FrontSeam) > 0 && t.note(N::Ends) == 0)
        return say("Panels part at the waist by");
    const int fold = t.note(N::WaistFold);
    const bool front = facts(line).on == TissuePiece::Front;
    if (fold == 1) return front ? say("Front tucks, all") : say("Back tucks, all");
    if (fold == 2) return front ? say("Front pleats, all") : say("Back pleats, all");
    return dart;
}

}  // namespace

QString tissue_kind(TissueKind kind)
{
    switch (kind) {
        case TissueKind::Skirt: return say("Skirt");
        case TissueKind::Bodice: return say("Bodice, sleeve");
        case TissueKind::Dress: return say("Dress");
        case TissueKind::Trousers: return say("Trousers");
        case TissueKind::AllInOne: return say("All-in-one");
        case TissueKind::Girth: return say("One girth");
    }
    return {};
}

QString tissue_line(TissueLine line, const Tissue& t)
{
    const QString name = waist_shape(line, t, say(line_words[static_cast<std::size_t>(line)].name));
    if (!joined_at_waist(t.kind) || part_of(line) == part_of(L::FrontBust)) return name;
    return (t.kind == TissueKind::Dress ? say("Skirt, %1") : say("Trousers, %1")).arg(name.toLower());
}

QString tissue_line_how(TissueLine line, const Tissue& t)
{
    if (line == L::FrontBust && t.note(N::FrontSeam) > 0 && t.note(N::Ends) == 0)
        return say(
            "Panels laid touching at the bust point, grain lines parallel: from the centre straight across "
            "through it to the side seam.");
    if (line == L::FrontWaistDart && t.note(N::FrontSeam) > 0 && t.note(N::Ends) == 0)
        return say(
            "Panels laid touching at the bust point, grain lines parallel: from one to the other on the waist "
            "line.");
    if (folds_at_waist(line) && t.note(N::WaistFold) > 0)
        return say("What is folded away on the waist line: twice the depth of each, all together.");
    if ((line == L::BodiceFrontWaist || line == L::BodiceBackWaist) && t.note(N::Ends) == 1)
        return say("From the centre straight across to the side seam, at the waist mark.");
    if (line == L::SideLength && t.note(N::Ends) == 1)
        return say("From the underarm straight to the waist mark on the side seam.");
    return say(line_words[static_cast<std::size_t>(line)].how);
}

QString tissue_note(TissueNote note)
{
    return say(note_words()[static_cast<std::size_t>(note)].name);
}

QStringList tissue_note_words(TissueNote note)
{
    QStringList out;
    for (const char* w : note_words()[static_cast<std::size_t>(note)].words) out << say(w);
    return out;
}

QString tissue_read_at(ReadAt read)
{
    switch (read) {
        case ReadAt::StitchingLine: return say("stitching line");
        case ReadAt::Fold: return say("fold");
        case ReadAt::Mark: return say("mark");
        case ReadAt::DartLeg: return say("second leg");
    }
    return {};
}

QString tissue_refusal(Refusal r, const Tissue& t, Unit u)
{
    if (const auto line = tissue_line_of(r.field)) r.field = tissue_line(*line, t).toStdString();
    return refusal(r, u);
}

QString tissue_objection(const TissueObjection& o, const Tissue& t, Unit u)
{
    const QString name = tissue_line(o.line, t);
    const auto [given, low, high] =
        std::array{number(o.refusal.given, u), number(o.refusal.low, u), amount(o.refusal.high, u)};
    const bool range = o.refusal.high > o.refusal.low;
    if (o.with.empty()) {
        return range ? say("%1: %2 lies outside %3 to %4. Is it the right unit?").arg(name, given, low, high)
                     : say("%1 of %2 cannot be.").arg(name, given);
    }
    QStringList others;
    for (const auto line : o.with) {
        const auto value = t.in_hand() ? measured(*t.in_hand(), line) : std::nullopt;
        if (others.size() == 3) break;
        others << tissue_line(line, t).toLower() + " " + number(value.value_or(Length{}), u);
    }
    const QString with = others.join(", ");
    return range ? say("%1 of %2 cannot be with %3: %4 to %5 can.").arg(name, given, with, low, high)
                 : say("%1 of %2 cannot be with %3. One of them is read wrongly.").arg(name, given, with);
}

QString reckoning(Reckoning r, const Tissue& t)
{
    switch (r) {
        case Reckoning::Bust: return say("bust, all round");
        case Reckoning::Waist: return say("waist, all round");
        case Reckoning::Hip: return say("hip, all round");
        case Reckoning::Hem: return say("hem, all round");
        case Reckoning::NeckHalf: return say("neckline, half");
        case Reckoning::ShoulderDifference: return say("back shoulder longer");
        case Reckoning::AcrossDifference: return say("back wider across");
        case Reckoning::FrontArmhole: return say("front armhole");
        case Reckoning::BackArmhole: return say("back armhole");
        case Reckoning::CapDifference: return say("cap longer than armhole");
        case Reckoning::SideSeam: return say("side seam");
        case Reckoning::WaistDifference: return say("skirt's waist longer");
        case Reckoning::Crotch: return say("whole crotch seam");
        case Reckoning::Knee: return say("knee, one leg");
        case Reckoning::LegHem: return say("hem, one leg");
        case Reckoning::InnerDifference: return say("back leg shorter");
        case Reckoning::Girth:
            return say("%1, all round").arg(tissue_note_words(N::GirthAt)[t.note(N::GirthAt)].toLower());
    }
    return {};
}

QString reckoned_sense(const Reckoned& r, Unit u)
{
    if (!r.value || !r.usual) return {};
    const QString usual = say("usual is %1 to %2").arg(number(r.usual->least, u), amount(r.usual->most, u));
    const QString by = amount(abs(*r.value), u);
    const bool more = *r.value >= Length{};
    switch (r.what) {
        case Reckoning::ShoulderDifference:
            return (more ? say("Back shoulder %1 longer than the front; %2.")
                         : say("Back shoulder %1 shorter than the front; %2."))
                .arg(by, usual);
        case Reckoning::AcrossDifference:
            return (more ? say("Back %1 wider across than the front; %2.")
                         : say("Back %1 narrower across than the front; %2."))
                .arg(by, usual);
        case Reckoning::CapDifference:
            return (more ? say("Cap %1 longer than the armhole; %2.")
                         : say("Cap %1 shorter than the armhole; %2."))
                .arg(by, usual);
        case Reckoning::InnerDifference:
            return (more ? say("Back inner leg %1 shorter than the front's; %2.")
                         : say("Back inner leg %1 longer than the front's; %2."))
                .arg(by, usual);
        default: return {};
    }
}

}  // namespace sartorum::words
