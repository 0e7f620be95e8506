// The trade's ways of doing an adjustment: what each is called, and what it costs.
#include "core/alter/kit/catalogue.h"
#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {

QString method_name(AdjustmentKind kind, std::size_t method)
{
    const auto& ways = adjustment(kind).methods;
    if (method >= ways.size()) return {};
    const auto key = ways[method];
    if (key == "tips") return t("At the tips");
    if (key == "neck_ends") return t("At the neck");
    if (key == "allow_and_pin") return t("Allow and pin");
    if (key == "redrawn") return t("Seams redrawn");
    if (key == "slashed") return t("Strip slashed");
    if (key == "centre_seam") return t("Centre seam");
    if (key == "fold_eased") return t("Fold, eased");
    if (key == "fold_darted") return t("Fold, neck dart");
    if (key == "fold_trimmed") return t("Fold, trimmed");
    if (key == "fold_tuck") return t("Fold, tuck");
    if (key == "waist_seam") return t("Waist seam");
    if (key == "move_box") return t("Move the dart");
    if (key == "re_aim") return t("Re-aim the tip");
    if (kind == AdjustmentKind::DartMoved) {
        if (key == "side") return t("To the side");
        if (key == "armhole") return t("To the armhole");
        if (key == "shoulder") return t("To the shoulder");
        if (key == "waist") return t("To the waist");
        if (key == "neck") return t("To the neck");
    }
    if (kind == AdjustmentKind::WaistDarts) {
        if (key == "at_waist") return t("Waist goes with it");
        if (key == "at_side") return t("Side seam makes up");
        if (key == "into_ease") return t("Into ease");
        if (key == "added") return t("One dart more");
        if (key == "moved") return t("Moved along");
    }
    if (key == "quarters") return t("A quarter each");
    if (key == "back_only") return t("Back only");
    if (key == "gathers") return t("In the gathers");
    if (key == "back_gathered") return t("Back, gathered");
    if (key == "side") return t("Waist in at the side");
    if (key == "waist_dart") return t("Waist dart");
    if (key == "kept") return t("Waist kept wide");
    if (key == "eased") return t("No dart, eased");
    if (key == "two_slashes") return t("Two slashes");
    if (key == "princess") return t("Into the seam");
    if (key == "with_length") return t("With length");
    if (key == "dart_only") return t("Dart only");
    if (key == "cap_kept") return t("Cap kept");
    if (key == "split_through") return t("Split, gathered");
    if (key == "split_lowered") return t("Split, armhole lowered");
    if (key == "lower") return t("Cut lower all round");
    if (key == "wider") return t("Out along the shoulders");
    if (key == "shoulder_eased") return t("Shoulder eased");
    if (key == "shoulder_darted") return t("Shoulder dart");
    if (key == "halved") return t("Half above, half below");
    if (key == "at_knee") return t("At the knee line");
    if (key == "moved") return t("All moved");
    if (key == "spaced") return t("Spaced anew");
    if (key == "fuller") return t("Deeper, with more cloth");
    return QString::fromUtf8(key.data(), static_cast<qsizetype>(key.size()));
}

namespace {

bool shared_by_gores(AdjustmentKind kind, bool of_gores)
{
    return of_gores && (kind == AdjustmentKind::WidthAtWaist || kind == AdjustmentKind::WidthAtHip);
}

}  // namespace

QString way_or_meaning(AdjustmentKind kind, std::size_t method, bool of_gores)
{
    const QString way = shared_by_gores(kind, of_gores) ? QString{} : method_name(kind, method);
    return way.isEmpty() ? amount_meaning(kind, of_gores) : way;
}

QString method_cost(AdjustmentKind kind, std::size_t method, bool of_gores)
{
    if (shared_by_gores(kind, of_gores)) return {};
    const auto& ways = adjustment(kind).methods;
    if (method >= ways.size()) return {};
    const auto key = ways[method];
    if (key == "tips") return t("The tips move: + squarer, − steeper. The neckline stays, the armhole changes.");
    if (key == "neck_ends")
        return t(
            "The neck ends move: − squarer, + steeper. The armhole stays. For a neckline that stands away while "
            "the tips sit well.");
    if (key == "allow_and_pin")
        return t(
            "An inch more on the toile's shoulders; type what was pinned (−) after trying on. Pins lie along the "
            "body, with long heads; a helper pins.");
    if (key == "redrawn") return t("Both seams are drawn anew and grow by a hair.");
    if (key == "slashed") return t("The seam keeps its length; the armhole is trued over the cut.");
    if (key == "centre_seam") return t("Centre back keeps its new curve.");
    if (key == "fold_eased")
        return t("The fold stays straight. The neckline grows by a wedge, eased into what is sewn there.");
    if (key == "fold_darted")
        return t("The fold stays straight. The neckline's wedge is taken in a small neck dart.");
    if (key == "fold_trimmed")
        return t("The fold stays straight. What swings past it comes off and is given back at the side seam.");
    if (key == "fold_tuck")
        return t(
            "The fold stays straight. The side seam loses the amount too, so the front rises to it at the side.");
    if (key == "waist_seam")
        return t("Taken at the waist seam: nothing above it changes. The skirt's waist follows.");
    if (key == "move_box") return t("The whole dart goes; its shape and the side seam's length stay.");
    if (key == "re_aim") return t("The mouth stays, the legs are drawn anew. For small amounts.");
    if (kind == AdjustmentKind::DartMoved) return t("The angle goes; the mouth is as wide as the new place asks.");
    if (kind == AdjustmentKind::WaistDarts) {
        if (key == "at_waist")
            return t(
                "The closed waist is as much closer (−: wider), and the band follows. As much less as they take "
                "gives them up.");
        if (key == "at_side")
            return t(
                "The closed waist stays: the side seam goes out by it (−: in). As much less as they take gives "
                "them up.");
        if (key == "into_ease")
            return t(
                "Only less (−): the closed waist stays, what the dart took is eased or gathered into the band.");
        if (key == "added") return t("Where there is most room on the waist, as long as the one beside it.");
        if (key == "moved") return t("All darts of the piece go along the waist together; width and length stay.");
    }
    if (key == "quarters") return t("A quarter of the girth at each side seam of front and back.");
    if (key == "gathers")
        return t("The paper stays: less (−: more) is gathered, or the elastic is cut as much longer.");
    if (key == "back_gathered")
        return t(
            "Half of it on each half of the back, from the waist down; the back's waist is gathered to the length "
            "it had.");
    if (key == "back_only") return t("Half of the girth at each back side seam: for a body fuller behind.");
    if (key == "side") return t("The waist changes by the amount too; the side seam makes up for it.");
    if (key == "waist_dart") return t("The waist changes by the amount too; the dart below the bust takes it up.");
    if (key == "kept") return t("The lower edge stays wider by the amount on each half front.");
    if (key == "eased")
        return t("No dart is sewn: its mouth is eased into the side seam. Small amounts, cloth that eases.");
    if (key == "princess")
        return t("No dart is sewn: the seam over the bust takes what opens at the side and at the waist.");
    if (key == "two_slashes")
        return t("Half of the amount twice, the second hinged nearer the underarm: for more than two cups.");
    if (key == "with_length")
        return t("The armhole and the hem keep their place; the front gains length over the bust.");
    if (key == "dart_only")
        return t("The front armhole gets shorter by the dart: the cap follows. Small amounts.");
    if (key == "cap_kept") return t("The cap keeps its length and gets lower; the hem stays.");
    if (key == "lower") return t("The same at the centres and along the shoulders; a little goes a long way.");
    if (key == "wider") return t("The centres stay; both shoulders are shorter at the neck.");
    if (key == "shoulder_eased")
        return t(
            "For a broad back: the longer back shoulder is eased to the front. A narrow back keeps its length.");
    if (key == "shoulder_darted") return t("For a broad back: the longer shoulder is taken in a small dart.");
    if (key == "split_through")
        return t("Hem and cap grow too; what the cap is longer by is gathered into the armhole.");
    if (key == "halved")
        return t("Half of it between crotch and knee, half between knee and hem: the knee stays.");
    if (key == "at_knee") return t("One cut or fold along the knee line. For small amounts.");
    if (key == "moved") return t("All tucks of the piece go along the waist together; number and depth stay.");
    if (key == "fuller")
        return t(
            "Each takes that much more cloth (−: less), down to the hem; the sewn waist stays as long as it is.");
    if (key == "spaced") return t("More (−: less) between one and the next; their middle, number and depth stay.");
    if (key == "split_lowered")
        return t("Hem and cap grow too; the underarm is lowered until the armhole is as much longer.");
    return {};
}

}  // namespace sartorum::words
