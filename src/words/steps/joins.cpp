// Steps of what goes with the part above, what follows an edge, and what the garment is made of: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString from_its_mouth_straight_down(const Step&, const Said& say)
{
    return t("From its mouth straight down to the hem, along the grain; the same all the way. It takes %1 "
             "then, "
             "and the waist is folded to as long as it was.")
        .arg(say.place);
}

QString fold_it_as_it_is(const Step&, const Said&)
{
    return t("Fold it as it is sewn: is the waist as long as it was, and does the hem run smoothly?");
}

constexpr StepRow joins_rows[] = {
    {StepKind::RedrawWholeSide, HandMark::Redraw,
     [](const Step& s, const Said&) -> QString {
         return flank_of(s) ? t("Redraw this seam to the mark, down to the hem")
                            : t("Redraw the side seam to the mark, down to the hem");
     },
     [](const Step&, const Said&) -> QString {
         return t("Alongside the old seam, as far from it all the way down; the waist runs to the mark.");
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_gore(s) ? t("Walk each seam along the one it is sewn to.")
                             : t("Walk front and back side seam along each other.");
     }},
    {StepKind::DrawFacing, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Draw the facing anew, %1 wide").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Trace the altered edge, and the lines at both its ends, from the piece it is sewn to. Mark the "
             "width "
             "square to the edge in many places and draw through the marks. Is it cut out already: cut it "
             "wider "
             "from what is left, and trim.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay the facing on the piece: do edge and ends lie on each other?");
     }},
    {StepKind::DrawLining, HandMark::Redraw,
     [](const Step& s, const Said& say) -> QString {
         return s.amount > Length{} ? t("Draw the lining anew, %1 shorter at the hem").arg(say.a)
                                    : t("Draw the lining anew");
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Trace the altered piece: edges, darts, notches, grain. Only its hem lies higher, as it did "
             "before.");
     }},
    {StepKind::DrawShapedBand, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Draw the band anew, %1 wide").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Fold the darts shut, lay the altered pieces edge to edge at the side and trace the waist: that "
             "is "
             "the band's lower edge. Mark the width square to it in many places and draw the upper edge "
             "through "
             "the marks; the ends square.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay the band on the waist, the darts folded shut: do they lie on each other, end to end?");
     }},
    {StepKind::MakeFacing, HandMark::Draw,
     [](const Step& s, const Said& say) -> QString {
         return t("Draw a facing from the %1, %2 wide").arg(edge_name(*s.on), say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Trace the edge, as it is now, and the lines at both its ends, from the piece it is sewn to. Mark "
             "the "
             "width square to the edge in many places and draw through the marks; the grain lies as on the "
             "piece.");
     }},
    {StepKind::SpreadInFold, HandMark::Spread,
     [](const Step&, const Said& say) -> QString {
         return t("Cut down the middle of the fold, and spread %1").arg(say.a);
     },
     from_its_mouth_straight_down, fold_it_as_it_is},
    {StepKind::TakeOutInFold, HandMark::Overlap,
     [](const Step&, const Said& say) -> QString {
         return t("Cut down the middle of the fold, and overlap %1").arg(say.a);
     },
     from_its_mouth_straight_down, fold_it_as_it_is},
    {StepKind::SlideTuck, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the tuck %1 nearer the side").arg(say.a)
                         : t("Draw the tuck %1 nearer the centre").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("Its middle then lies %1 from the centre, along the waist with the tucks folded shut. As "
                  "deep and "
                  "as long as it was; the waist runs on smoothly.")
             .arg(say.place);
     }},
    {StepKind::SlideDart, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the dart %1 nearer the side").arg(say.a)
                         : t("Draw the dart %1 nearer the centre").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("Its middle then lies %1 from the centre, along the waist with the darts folded shut. As "
                  "wide and as "
                  "long as it was; the waist runs on smoothly.")
             .arg(say.place);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Fold the darts shut and lay the waist to what is sewn there: do they stand where they are "
             "meant to?");
     }},
    {StepKind::TraceBrought, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Trace it from %1, size %2").arg(say.from, say.to); },
     [](const Step&, const Said&) -> QString { return t("With its marks and its grain line."); }},
    {StepKind::OpenCentre, HandMark::Draw,
     [](const Step& s, const Said& say) -> QString {
         return s.amount > Length{} ? t("Let the centre open, %1 past it").arg(say.a)
                                    : t("Let the centre open, edge to edge");
     },
     [](const Step& s, const Said& say) -> QString {
         return (s.amount > Length{} ? t("From the top down %1. Buttons and holes lie on the centre line; what "
                                         "lies past it, with "
                                         "its seam allowance, is added outside. Cut two.")
                                     : t("From the top down %1. Both edges meet at the centre: hooks and eyes, "
                                         "or loops; only the "
                                         "seam allowance is added outside. Cut two."))
             .arg(say.place);
     }},
    {StepKind::FoldCentre, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Lay the centre on the fold"); },
     [](const Step&, const Said&) -> QString {
         return t("It opened before: now the seam allowance goes, and the piece is cut once on the fold.");
     }},
    {StepKind::SewCentre, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Let the centre be a seam"); },
     [](const Step&, const Said&) -> QString {
         return t("It opened before, and is no straight line along the grain: it stays a seam, sewn all the way.");
     }},
    {StepKind::MarkBand, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return t("Mark the band's notch again, %1 further").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("Where the pieces it is sewn to meet. It lies %1 from the band's end.").arg(say.place);
     }},
    {StepKind::PartBand, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Part the band at the other centre"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Its fold lies at the centre that is closed now, its ends at the one that opens. Mark every notch "
             "again, as far from the ends as it was from the fold.");
     }},
};

}  // namespace

std::span<const StepRow> joins_steps()
{
    return joins_rows;
}

}  // namespace sartorum::words
