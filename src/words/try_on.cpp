// What is said of a try-on as it is kept: notes, what hands found, photographs, the gate.
#include <cmath>

#include "core/alter/frame/rows.h"
#include "core/pattern/part_rules.h"
#include "words/mirror.h"
#include "words/say.h"
#include "words/sides.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {

QString put_on_name(PutOn p)
{
    switch (p) {
        case PutOn::Whole: return t("all of it");
        case PutOn::Shoulders: return t("shoulders and one sleeve");
        case PutOn::Skirt: return t("what hangs from the waist");
        case PutOn::Sleeve: return t("one sleeve");
        case PutOn::HalfTissue: return t("half the tissue, taped at centre back");
        case PutOn::Garment: return t("the garment, sewn");
    }
    return {};
}

QString moment_name(Moment m)
{
    switch (m) {
        case Moment::Standing: return t("standing");
        case Moment::Sitting: return t("sitting");
        case Moment::Reaching: return t("reaching");
        case Moment::Walking: return t("walking");
    }
    return {};
}

QString since_name(Since s)
{
    switch (s) {
        case Since::New: return t("new");
        case Since::Less: return t("less");
        case Since::Same: return t("the same");
        case Since::More: return t("more");
        case Since::Gone: return t("gone");
    }
    return {};
}

QString note_detail(const Note& n)
{
    QStringList out;
    if (n.seen.side) out << side_name(*n.seen.side);
    if (n.here()) out << (n.seen.strength == Strength::Slight ? t("slight") : t("clear"));
    if (n.moment != Moment::Standing) out << moment_name(n.moment);
    if (n.since != Since::New)
        out << (n.here() ? t("%1 as before").arg(since_name(n.since)) : since_name(n.since));
    if (n.since == Since::Less || n.since == Since::More)
        out.back() = t("%1 than before").arg(since_name(n.since));
    if (!n.words.empty()) out << text(n.words);
    return out.join(", ");
}

QString note_sentence(const Note& n, int number, bool waits)
{
    const QString said = t("%1 %2").arg(number).arg(sight_name(n.seen.sight));
    return waits ? t("%1, seen on the toile before: is it still there?").arg(said)
                 : t("%1, %2").arg(said, note_detail(n));
}

QString by_hand_name(ByHand h)
{
    switch (h) {
        case ByHand::Offcut: return t("Offcuts of the shoulder");
        case ByHand::WaistMark: return t("The waist as it was marked");
        case ByHand::BustDot: return t("The dot of the bust point");
        case ByHand::LetOut: return t("Let out until it lay");
        case ByHand::BustDart: return t("The bust dart as it was pinned");
        case ByHand::WaistDart: return t("The waist darts as they were pinned");
    }
    return {};
}

QString by_hand_how(ByHand h, Unit u)
{
    switch (h) {
        case ByHand::Offcut:
            return t("Take it off and trim to the pattern's own seam allowance outside the pins. How deep is the "
                     "trimmed strip at each end? A strip of %1, the extra allowance, changes nothing.")
                .arg(amount(toile_extra, u));
        case ByHand::WaistMark:
            return t("Hem level, elastic where the waist is wanted: + above the paper's waist, \u2212 under it.");
        case ByHand::BustDot:
            return t("From the point drawn on the pattern: + lower, and + further from the centre.");
        case ByHand::LetOut: return t("All round, both sides together.");
        case ByHand::BustDart:
            return t("From the dart as it is drawn: + lower along its seam, + deeper at its mouth, + longer.");
        case ByHand::WaistDart:
            return t("Each dart, from how it is drawn: + nearer the side, + deeper at its mouth, + longer.");
    }
    return {};
}

QString found_place(ByHand h, std::string_view place)
{
    if (h == ByHand::BustDot) return place == "down" ? t("lower") : t("further out");
    if (h != ByHand::BustDart && h != ByHand::WaistDart) return place_name(place);
    if (place == "place") return h == ByHand::BustDart ? t("lower") : t("nearer the side");
    return place == "depth" ? t("deeper") : t("longer");
}

QString of_face(Face face, const QString& place)
{
    if (face == Face::Both) return place;
    return face == Face::Back ? t("back, %1").arg(place) : t("front, %1").arg(place);
}

QString not_put(NotPut n)
{
    switch (n) {
        case NotPut::No: return {};
        case NotPut::WithThisGarment: return t("Not with a garment that is sewn. Keep it for the next one.");
        case NotPut::OtherWay:
            return t(
                "The plan has the slope at the other end of the seam already. Take the shoulder as it was "
                "pinned.");
        case NotPut::Since:
            return t("The plan has taken some of it up since this toile: see it on the next one first.");
        case NotPut::AtMost: return t("The plan has as much of it as is usual already.");
    }
    return {};
}

QString moved_sentence(const Moved& m, Unit u)
{
    if (m.other_way && m.was == m.now) return t("%1: another way").arg(adjustment_name(m.kind));
    return t("%1 %2").arg(adjustment_name(m.kind), from_to(m.was, m.now, u));
}

QString next_look(NextLook l)
{
    switch (l) {
        case NextLook::Nothing: return t("Nothing asks for another look.");
        case NextLook::OneSleeve: return t("One sleeve, pinned in, would show it.");
        case NextLook::Shoulders: return t("The shoulders and one sleeve would show it.");
        case NextLook::UpperPart: return t("The upper part alone would show it.");
        case NextLook::LowerPart: return t("What hangs from the waist, sewn alone, would show it.");
        case NextLook::Whole: return t("A whole toile would show it.");
    }
    return {};
}

QString gate_sentence(const Gate& g)
{
    if (g.never_seen) return t("Nobody has worn this yet. %1").arg(next_look(g.look));
    if (g.sizes_changed) return t("The size has changed since the last fitting. %1").arg(next_look(g.look));
    if (g.made_otherwise) return t("The pieces are made up differently now. %1").arg(next_look(g.look));
    if (g.look != NextLook::Nothing) return next_look(g.look);
    const auto& l = g.looked;
    if (!l.at)
        return t("The last toile was not looked at yet. Mark what you see, or say that there is nothing to see.");
    if (l.asked == 1) return t("One thing seen on the toile before was not looked at again.");
    if (l.asked > 1) return t("%1 things seen on the toile before were not looked at again.").arg(l.asked);
    if (l.here == 1) return t("As it was last worn; what was seen on it is still there.");
    if (l.here > 1) return t("As it was last worn; %1 things seen on it are still there.").arg(l.here);
    if (g.moved.empty()) return t("Cut as it was last seen on a body.");
    return t("Changes since the last fitting are too small to see.");
}

QString sew_first(NextLook l)
{
    switch (l) {
        case NextLook::Nothing:
        case NextLook::Whole: return t("All of it");
        case NextLook::OneSleeve: return t("One sleeve");
        case NextLook::Shoulders:
        case NextLook::UpperPart: return t("Shoulders and one sleeve");
        case NextLook::LowerPart: return t("What hangs from the waist");
    }
    return {};
}

QString toile_line_name(ToileLine l)
{
    switch (l) {
        case ToileLine::Centre: return t("Centre line");
        case ToileLine::Across: return t("Across line");
        case ToileLine::Bust: return t("Bust line");
        case ToileLine::Waist: return t("Waist line");
        case ToileLine::Hip: return t("Hip line");
        case ToileLine::Crotch: return t("Crotch line");
        case ToileLine::Knee: return t("Knee line");
        case ToileLine::SleeveCentre: return t("Centre of the sleeve");
        case ToileLine::Bicep: return t("Upper arm line");
        case ToileLine::Elbow: return t("Elbow line");
    }
    return {};
}

QString line_to_draw(const LineToDraw& l, bool on_sleeve, Unit u)
{
    const QString name = toile_line_name(l.what);
    if (l.what == ToileLine::Centre) return t("%1, all the way").arg(name);
    if (l.what == ToileLine::SleeveCentre) return t("%1: from the top notch along the grain").arg(name);
    const QString down = amount_on_paper(l.down, u);
    return (on_sleeve ? t("%1: %2 under the top notch") : t("%1: %2 under the upper end of the centre line"))
        .arg(name, down);
}

QString more_allowance_text(const MoreAllowance& m, Unit u)
{
    const QString name = edge_name(m.at);
    const QString title = name.left(1).toUpper() + name.mid(1);
    const QString whole = amount_on_paper(m.whole, u);
    switch (m.at) {
        case EdgeRole::Shoulder:
            return t("%1: %2 in all. Sew on the old line with long stitches, to be opened and pinned.")
                .arg(title, whole);
        case EdgeRole::Waist:
            return t("%1: %2 in all. Turn nothing in: it is marked where it is wanted.").arg(title, whole);
        default:
            return t("%1: %2 in all. Sew on the old line with long stitches, to be let out.").arg(title, whole);
    }
}

QStringList toile_hints(NextLook l, const std::vector<Piece>& pieces)
{
    QStringList out;
    out << t("Woven cheap cloth of the same weight; for a knit one that stretches as much. Iron it, do not starch "
             "it.")
        << t("Draw the lines on both sides of the cloth, square to the grain.");
    const auto has = [&](auto what) { return std::any_of(pieces.begin(), pieces.end(), what); };
    const bool shoulders = has([](const Piece& p) { return goes_round(p) && has_level(p, Level::Shoulder); });
    const bool hangs = has([](const Piece& p) { return goes_round(p) && !has_level(p, Level::Shoulder); });
    if (shoulders)
        out << t(
            "Staystitch neck and armholes, then clip the allowances until they lie flat, stopping short of the "
            "stitching.");
    if (has([](const Piece& p) { return p.role == PieceRole::Sleeve; }))
        out << t("Set in one sleeve only, with long stitches.");
    if (hangs || l == NextLook::Whole)
        out << t("An elastic round the waist tells where it wants to lie; leave the hem unturned.");
    out << t("Wear what will be worn under it, and the shoes. Look standing, sitting, reaching and walking.");
    if (shoulders)
        out << t(
            "Half the tissue itself, taped to the undergarment at centre back, is a toile too: dot the bust point "
            "with a soft felt pen, pin the dart where it wants to lie.");
    out << care_on_a_body();
    return out;
}

QString photo_view_name(PhotoView v)
{
    switch (v) {
        case PhotoView::Front: return t("front");
        case PhotoView::Back: return t("back");
        case PhotoView::LeftSide: return t("left side");
        case PhotoView::RightSide: return t("right side");
    }
    return {};
}

QString guideline_name(Guideline g)
{
    switch (g) {
        case Guideline::KnownLength: return t("Known length");
        case Guideline::Upright: return t("Upright");
        case Guideline::EarLine: return t("Ear line");
        case Guideline::Seam: return t("Shoulder seam");
        case Guideline::Bust: return t("Bust line");
        case Guideline::Waist: return t("Waist line");
        case Guideline::Hip: return t("Hip line");
        case Guideline::Hem: return t("Hem");
        case Guideline::Distance: return t("Distance");
    }
    return {};
}

QString guideline_how(Guideline g)
{
    switch (g) {
        case Guideline::KnownLength:
            return t("Lay it along something you measured, beside the wearer, not before her.");
        case Guideline::Upright: return t("Along a door frame or a thread that hangs: how far the camera leaned.");
        case Guideline::EarLine: return t("From the ear lobe to the middle of the upper arm.");
        case Guideline::Seam: return t("Along the shoulder seam, from its neck end to its tip.");
        case Guideline::Bust:
        case Guideline::Waist:
        case Guideline::Hip: return t("Along the line that was drawn level on the cloth.");
        case Guideline::Hem: return t("Along the hem, from one edge of the picture of it to the other.");
        case Guideline::Distance: return t("Between any two places.");
    }
    return {};
}

namespace {

QString with_doubt(const WithDoubt& w, Unit u)
{
    return t("%1 ±%2").arg(amount(w.value, u), number(w.doubt, u));
}

QString degrees(double d)
{
    return QString::number(std::abs(d), 'f', 1);
}

QString ear_says(const Photo& p, Unit u)
{
    const auto b = behind_ear_line(p);
    if (!b) return {};
    const auto where = [&](const WithDoubt& w) {
        const WithDoubt size{abs(w.value), w.doubt};
        return (w.value < Length{} ? t("%1 before the line") : t("%1 behind the line")).arg(with_doubt(size, u));
    };
    return t("tip %1, neck end %2. Take %3 at the tip.")
        .arg(where(b->tip), where(b->neck), amount(abs(b->tip.take()), u));
}

QString rise_says(const Photo& p, Guideline g, Unit u)
{
    const auto r = rise_of(p, g);
    if (!r) return {};
    const bool side = p.view == PhotoView::LeftSide || p.view == PhotoView::RightSide;
    const bool up = r->degrees >= 0;
    const QString way =
        side ? (up ? t("rises to the front") : t("drops to the front"))
             : (up ? t("rises to the right of the picture") : t("drops to the right of the picture"));
    const QString by = t("%1° ±%2").arg(degrees(r->degrees), degrees(r->doubt));
    const QString sure = std::abs(r->degrees) <= r->doubt ? t(": level, as far as can be told") : QString{};
    if (!r->by) return t("%1 by %2%3").arg(way, by, sure);
    const WithDoubt size{abs(r->by->value), r->by->doubt};
    return t("%1 by %2, %3%4").arg(way, by, with_doubt(size, u), sure);
}

}  // namespace

QString guideline_says(const Photo& p, Guideline g, Unit u)
{
    if (!line(p, g)) return {};
    switch (g) {
        case Guideline::KnownLength: {
            const auto s = scale_of(p);
            return s ? t("sets the scale, to ±%1 in a hundred").arg(s->doubt * 100, 0, 'f', 0)
                     : t("too short, or its length is not said");
        }
        case Guideline::Upright: {
            const auto now = turned(p);
            return t("the camera leaned by %1°").arg(degrees(now.degrees));
        }
        case Guideline::EarLine:
            return line(p, Guideline::Seam) ? QString{} : t("lay the shoulder seam beside it");
        case Guideline::Seam: {
            const QString said = ear_says(p, u);
            return said.isEmpty() ? t("lay the ear line beside it, from the side") : said;
        }
        case Guideline::Distance: {
            const auto d = distance(p);
            return d ? with_doubt(*d, u) : t("no known length yet");
        }
        default: return rise_says(p, g, u);
    }
}

QString camera_deceives()
{
    return t("A camera deceives by its angle. Take less than it says, and look in the mirror before you cut.");
}

}  // namespace sartorum::words
