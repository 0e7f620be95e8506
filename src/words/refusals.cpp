// Why something is not done, and the way out.
#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

// The bound it went past; the other one says nothing about it.
QString too_large(const Refusal& r, Unit u)
{
    const auto kind = adjustment_of_key(r.field);
    const QString advice = kind ? limit_advice(*kind) : t("Take another size, or make a toile first.");
    const QString given = amount(r.given, u, true);
    if (r.low == r.high) return t("%1 is more than this method carries here. %2").arg(given, advice);
    if (r.given > r.high)
        return t("%1 is more than this method carries here: %2 is the most. %3")
            .arg(given, amount(r.high, u, true), advice);
    if (r.low > Length{})
        return t("%1 is too little here: %2 is the least. Type more, or leave it as bought.")
            .arg(given, amount(r.low, u, true));
    return t("%1 is more than this method carries here: %2 is the most. %3")
        .arg(given, amount(r.low, u, true), advice);
}

}  // namespace

QString refusal(const Refusal& r, Unit u)
{
    const QString field = text(r.field);
    const QString line = r.line > 0 ? t(" (line %1)").arg(r.line) : QString{};
    const auto m = measure_of_key(r.field);
    const QString name = m ? measure_name(*m) : field;
    const QString given = amount(r.given, u);
    const QString low = amount(r.low, u);
    const QString high = amount(r.high, u);
    switch (r.why) {
        case Why::TextEmpty: return t("Nothing is typed yet. A length looks like 98.4, 39 1/2 or 100,5 cm.");
        case Why::TextNotALength:
            return t("“%1” is not a length. Write it like 98.4, 39 1/2 or 100,5 cm.").arg(field);
        case Why::TextUnitUnknown: return t("The unit in “%1” is not known. Use cm, mm, in or \".").arg(field);
        case Why::TextCommaAmbiguous:
            return t("“%1” can be read two ways. Leave the comma out, or write the decimals with a point.")
                .arg(field);
        case Why::TextTooLong: return t("That is too long for a length. Write it like 98.4 or 39 1/2.");
        case Why::FractionBroken:
            return t("The fraction in “%1” does not work out. Write it like 5/8 or 1 1/4.").arg(field);
        case Why::TextSignBehind:
            return t("“%1” ends in a sign. Write the sign before the number, or take it away.").arg(field);
        case Why::OutOfRange:
            return t("%1%2: %3 lies outside %4 to %5. Is it the right unit? Please measure again.")
                .arg(name, line, given, low, high);
        case Why::NotPositive: return t("%1 must be more than zero; %2 was given.").arg(name, given);
        case Why::ChartEmpty:
            return t(
                "The chart is empty. The first line names the columns (size, waist, hip), then one line a size.");
        case Why::ChartRagged:
            return t("Size %1%2 has not as many cells as the first line. Fill the missing one in.")
                .arg(field, line);
        case Why::ChartTooLarge: return t("The chart is too long: up to %1 sizes, up to 1 MB.").arg(most_sizes);
        case Why::ChartNoMeasure:
            return t("The chart has no %1%2. Add it for every size, or take a chart that prints it.")
                .arg(name.toLower(), line);
        case Why::ChartColumnUnknown:
            return t("“%1”%2 is not a measure this program knows. Name it like bust, waist, hip or finished hip, "
                     "with cm "
                     "or in; or leave it out.")
                .arg(field, line);
        case Why::ChartColumnTwice: return t("Column “%1” stands there twice. Remove one.").arg(field);
        case Why::ChartCellNotALength:
            return t("“%1”%2 is not a length. Write it like 98.4 or 39 1/2.").arg(field, line);
        case Why::ChartUnitUnknown: return t("The unit in “%1” is not known. Use cm, mm or in.").arg(field);
        case Why::ChartSizesUnnamed: return t("A size has no name%1. Give each size its own.").arg(line);
        case Why::ChartSizeTwice:
            return t("Size “%1” stands there twice%2. Give each size its own name.").arg(field, line);
        case Why::ChartSizesOutOfOrder:
            return t("Size “%1”%2 is not larger than the size before it. Put the sizes in growing order, every "
                     "girth alike.")
                .arg(field, line);
        case Why::ChartTooFewSizes:
            return t("Only size “%1” is there. A chart needs at least two sizes.").arg(field);
        case Why::ChartMixedUnits:
            return t("“%1”%2 mixes units: some cells name one and some do not. Write one unit in the heading.")
                .arg(field, line);
        case Why::ChartRangeBackwards:
            return t("The range “%1”%2 runs backwards or is not two lengths. Write it like 92-96.")
                .arg(field, line);
        case Why::ChartRangeHalfUnit:
            return t("The range “%1”%2 names a unit on its first side only. Write it behind the range: 92-96 cm.")
                .arg(field, line);
        case Why::ChartMetaBroken:
            return t("The line “%1”%2 is not understood. docs/cli.md lists what may stand beside the sizes.")
                .arg(field, line);
        case Why::FlatNothingMeasured: return t("No piece is measured yet. Type at least one width.");
        case Why::FlatMoreTakenThanThere:
            return t("%1: darts, tucks and pleats take %2 of %3. Check their depths.").arg(field, given, high);
        case Why::TapeCheckTooMany: return t("Two lengths are enough for a tape check. Remove one.");
        case Why::TapeChecksTooClose:
            return t(
                "The two lengths lie too close together. Check once near 30 cm and once as far along as the "
                "ruler goes.");
        case Why::SizeUnknown:
            return t("Size “%1” is not in this chart and pattern. Choose one that is in both.").arg(field);
        case Why::FileUnreadable:
            return t("%1 cannot be read. Is it still there, and may you read it?").arg(field);
        case Why::FileTooLarge: return t("The file is too large to be a pattern: up to 20 MB.");
        case Why::FileBroken:
            return t("The file breaks off or is damaged%1. Save it again from where it came.").arg(line);
        case Why::PictureUnknown:
            return t("%1 is no photograph that can be read here. JPEG and PNG can.").arg(field);
        case Why::PictureTooLarge:
            return t("%1 has more than %2 million pixels. Save it smaller and open it again.")
                .arg(field)
                .arg(static_cast<int>(r.high.in_mm()));
        case Why::FileTooDeep:
            return t("The file is nested too deeply%1, or holds too many parts. Ungroup it in a drawing program.")
                .arg(line);
        case Why::FileNotAPattern:
            return t("This is not a Sartorum pattern: “%1” is missing. docs/pattern-svg.md shows how one is made.")
                .arg(field);
        case Why::FileNoScale:
            return t(
                "The file does not say how large it is. Give the drawing a width and height in mm and a viewBox.");
        case Why::FileActiveContent:
            return t("The file holds “%1”, which a pattern never needs. Save it as a plain SVG.").arg(field);
        case Why::FileNotUtf8:
            return t("The file is not written in UTF-8%1. Save it again with the encoding UTF-8.").arg(line);
        case Why::FileTooMany:
            return t("The file holds too many of one thing: more than %1 of “%2”%3. Take out what the pattern "
                     "does not "
                     "need.")
                .arg(static_cast<int>(r.high.in_mm()))
                .arg(field, line);
        case Why::NestedInPiece:
            return t("“%1”%2 stands inside a piece. Move it outside of every piece.").arg(field, line);
        case Why::NumberBroken:
            return t("“%1”%2 is no number it can be. Write it like 15 or 1.5; a length may name its unit.")
                .arg(field, line);
        case Why::WordUnknown:
            return t("“%1”%2 is none of the words it can be. The documentation of the format lists them.")
                .arg(field, line);
        case Why::ScaleImpossible:
            return t("The drawing's scale%1 cannot be: “%2” flattens it or makes it endless. Take that transform "
                     "out.")
                .arg(line, field);
        case Why::MarkOffEdge:
            return t("A notch of %1 lies farther than %2 from its edge. Draw it on the edge.").arg(field, high);
        case Why::PieceTooLarge:
            return t("%1 is larger than a piece can be: up to %2 each way. Check the drawing's scale.")
                .arg(field, high);
        case Why::PieceTooSmall:
            return t("%1 is smaller than a piece can be: from %2 on each way. Check the drawing's scale.")
                .arg(field, low);
        case Why::KindsDiffer:
            return t("Size %1 has a front and a back of different kinds: one has a shoulder and one has none. Put "
                     "them "
                     "into patterns of their own.")
                .arg(field);
        case Why::PlaceUnknown:
            return t("%1 has an amount at a place it does not know. Take that amount out of the plan.").arg(field);
        case Why::SidesAlike:
            return t("%1 has an amount for one side; it is done on both sides alike. Give one amount for both.")
                .arg(field);
        case Why::FacesAlike:
            return t("%1 has an amount of the back's own; front and back go together here. Give one amount.")
                .arg(field);
        case Why::PartTwice:
            return t("%1: there are two fronts or two backs of one kind. Give the second one another data-part, "
                     "or "
                     "the role “other” when it is traced as it is.")
                .arg(field);
        case Why::PanelsNotOfAFront:
            return t("%1 is marked as two panels, and only a front can be. Take data-princess out.").arg(field);
        case Why::PictureTooInvolved:
            return t("%1 is packed in too many layers to be read safely. Save it anew as a plain JPEG.")
                .arg(field);
        case Why::NoMemory:
            return t(
                "There is not enough memory for this. What was kept is safe; close something and do it again.");
        case Why::NotWorkedOut: return t("That could not be worked out. Nothing was changed by it.");
        case Why::Stopped: return t("Stopped. Nothing was changed by it.");
        case Why::NotSettled:
            return t(
                "What has to be equally long there cannot be brought to one length. Take less of the change, or "
                "do it another way.");
        case Why::NotComputable:
            return t("The paper cannot be worked out from the drawing “%1”. Check its edges and marks, and the "
                     "size "
                     "of the changes.")
                .arg(field);
        case Why::OutlineNotClosed:
            return t("The outline of %1 is open: each edge must start where the one before ends.").arg(field);
        case Why::OutlineEmpty: return t("The outline of %1 is missing or has no width.").arg(field);
        case Why::PathNotUnderstood:
            return t("A path in %1%2 cannot be read. Use lines and Bézier curves only.").arg(field, line);
        case Why::MarkMissing: return t("%1 is missing or lies off the piece. Draw it in.").arg(field);
        case Why::PieceMissing: return t("A piece is missing: %1.").arg(field);
        case Why::PieceNeeded: return t("A front and a back cannot be left out: %1 stays.").arg(field);
        case Why::GoresOutOfRow:
            return t("%1: a front or back of several pieces runs from the centre to the side. Put the pieces in "
                     "that "
                     "order; the first has centre and outer, those between inner and outer, the last inner and "
                     "side.")
                .arg(field);
        case Why::PieceThere: return t("%1 is there already. Take one of the two out.").arg(field);
        case Why::NothingToSewTo:
            return t("What it is sewn to is not on this garment: %1. Take it out, or sew it to another edge.")
                .arg(field);
        case Why::NothingThatOpens: return t("No centre of the %1 can open so. Take the opening back.").arg(field);
        case Why::EdgeMissing:
            return t("An edge is missing or out of order: %1. A skirt's edges run waist, side, hem, centre (a "
                     "gore's inner and outer for centre and side, a yoke's lower for hem); a bodice's neck, "
                     "shoulder, armhole, side, waist or hem, centre.")
                .arg(field);
        case Why::SkeletonDiffers:
            return t("%1 has other pieces, edges or marks than the first size. All sizes need the same.")
                .arg(field);
        case Why::SeamUnknownPiece: return t("Seam “%1” names an edge that no piece has.").arg(field);
        case Why::LineMissesPiece: return t("The line does not cross %1. Draw it from edge to edge.").arg(field);
        case Why::NoRoomForCut:
            return t(
                "The lines to cut along find no room on this piece: its shoulder or armhole lies too near. Leave "
                "it as bought, and look at it on a toile.");
        case Why::BlockImpossible:
            return t("These numbers cannot be drawn: the darts take %1 on the half skirt, and hip less waist "
                     "allows %2 to %3.")
                .arg(given, amount(std::max(r.low, Length{}), u), high);
        case Why::AmountMissing: return t("No amount is known for it. Type one, or take it out of the plan.");
        case Why::AmountZero: return t("Nothing would change. Type an amount other than zero.");
        case Why::BlockWaistImpossible:
            return t("A waist of %1 cannot be drawn with these darts and this bust: %2 to %3 can. Change the "
                     "darts' "
                     "widths.")
                .arg(given, low, high);
        case Why::FoldWouldBend:
            return t(
                "Centre back is on the fold, and this way would bend it: a fold must stay straight. Take one of "
                "the ways on the fold, or cut centre back with a seam.");
        case Why::NeedsFold:
            return t(
                "Centre back has a seam: there is no fold to keep straight. Take the way with a centre seam.");
        case Why::NeedsWaistSeam:
            return t(
                "This piece runs on below the waist: there is no waist seam to take it at. Take another way.");
        case Why::BlockCapImpossible:
            return t("The cap would have to be %1 long to fit the armhole: with these widths it can be %2 to %3. "
                     "Change the bicep width, the cap height or the cap ease.")
                .arg(given, low, high);
        case Why::NeedsBustPoint:
            return t(
                "No bust point is marked on the front, and this turns the paper about it. Mark it on the "
                "pattern (or give the bust depth and span when drawing it) and open it again.");
        case Why::NeedsBustDart:
            return t("The front has no dart to put this into. Make room for the bust first: that makes a dart.");
        case Why::DartTooSmall:
            if (r.low == Length{})
                return t(
                    "There is no dart to close. Move one in first, take in the side seams, or take a smaller "
                    "size.");
            return t("This closes more than the dart there is: %1 at most. Move another dart in first, or take a "
                     "smaller size.")
                .arg(low);
        case Why::DartAlreadyThere: return t("The dart lies there already. Choose another place for it.");
        case Why::NeedsPanels:
            return t("This way is for a front of two panels; this front is one piece. Take another way.");
        case Why::PaperCrosses:
            return t("With %1 the outline would cross itself, or an edge come to nothing. %2 is the most this "
                     "paper carries "
                     "here: take that, or another way.")
                .arg(amount(r.given, u, true), amount(r.given > Length{} ? r.high : r.low, u, true));
        case Why::PatternDoubted:
            return t(
                "Paper and chart can hardly belong together: nothing is proposed from them. Look at the question "
                "on top of "
                "the plan, or type an amount of your own.");
        case Why::LiningDiffers:
            return t("This lining (%1) is not cut as the piece it lines. Alter it by hand, as that piece was.")
                .arg(text(r.field).replace('-', ' '));
        case Why::FacingParted:
            return t("%1 has several edges like that. A facing is made along one edge, or along two with a dart "
                     "between them.")
                .arg(field);
        case Why::FacingNoRoom:
            return t("A facing as wide as this finds no room on the altered piece (%1). Draw it by hand, "
                     "narrower.")
                .arg(text(r.field).replace('-', ' '));
        case Why::NothingToSpace:
            return t("There are not two tucks on one piece to space anew. Move what is there.");
        case Why::NoDartToMeet:
            return t("No dart of this piece met one across the seam when it was drawn. Leave it as it is.");
        case Why::WayNotHere:
            return t(
                "This garment has nothing to do it with in this way. Take another way, or leave the piece "
                "that has none as it is.");
        case Why::NeedsElbow:
            return t(
                "The sleeve has no elbow line, so there is no length below it to change. Use the length "
                "above.");
        case Why::NotOnThisGarment:
            return t("This garment has nothing it could be done on. Take it out of the plan.");
        case Why::NeedsSideDart:
            return t(
                "The front has no dart in the side seam to move. The bust point itself needs no change here.");
        case Why::AmountTooLarge: return too_large(r, u);
        case Why::BodyIncomplete: return t("%1 has not been read yet. Measure it at the Tape.").arg(name);
        case Why::KeyMissing: return t("“%1” is missing in the file, or is not what it should be.").arg(field);
        case Why::KeyUnknown: return t("“%1” is not known here. Check its spelling, or take it out.").arg(field);
        case Why::KeyTwice: return t("“%1” stands there twice. Take one out.").arg(field);
        case Why::ValueIllTyped:
            return t("“%1” does not hold what it should. The documentation of the format shows what it may hold.")
                .arg(field);
        case Why::DateBroken: return t("“%1” is not a day. Write it like 2026-11-03.").arg(field);
        case Why::FileNotWritable: return t("%1 cannot be written. Choose another place.").arg(field);
        case Why::FileExists:
            return t("%1 is there already and was left as it is. Ask to replace it, or choose another name.")
                .arg(field);
        case Why::FileNotRegular:
            return t("%1 is a folder, a device or a broken link, not a file. Choose another name.").arg(field);
        case Why::FileNoRoom:
            return t("%1 could not be written: the disk took no more. What stood there before is whole; make room "
                     "and "
                     "do it again.")
                .arg(field);
        case Why::FileFolderMissing:
            return t("The folder for %1 is not there. Make it, or choose another.").arg(field);
    }
    return {};
}

QString not_done(const NotDone& n, Unit u)
{
    return t("NOT DONE: %1. %2").arg(adjustment_name(n.kind), refusal(n.why, u));
}

QString not_made(const NotMade& n, Unit u)
{
    const QString what = n.piece == the_opening ? t("the opening") : seam_name(n.piece);
    return t("NOT MADE: %1. %2").arg(what, refusal(n.why, u));
}

QString unwalked(const Checks& checks)
{
    if (checks.unwalked.empty()) return {};
    QStringList edges;
    for (const auto& s : checks.unwalked) {
        const auto role = key(s.role);
        edges << text(s.piece) + " " + QString::fromLatin1(role.data(), static_cast<qsizetype>(role.size()));
    }
    return t("Not checked, because the pattern names no seam for it: %1.").arg(edges.join(", "));
}

}  // namespace sartorum::words
