// Steps of any part: tracing, lines across, hems and side seams: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString walk_each_seam_along_the(const Step& s, const Said&)
{
    return of_a_gore(s) ? t("Walk each seam along the one it is sewn to.")
                        : t("Walk front and back side seam along each other.");
}

QString lay_a_ruler_along_the(const Step&, const Said&)
{
    return t("Lay a ruler along the grain line: is it still one straight line?");
}

QString lay_it_to_its_neighbours(const Step& s, const Said&)
{
    return of_a_gore(s) ? t("Lay it to its neighbours: does the hem run on without a corner?")
                        : t("Lay front to back at the side seam: does the hem run on without a corner?");
}

constexpr StepRow general_rows[] = {
    {StepKind::TraceSize, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Trace size %1").arg(say.to); },
     [](const Step&, const Said&) -> QString {
         return t("Trace outline, darts, notches, grain and the printed lines. The sheet stays whole.");
     }},
    {StepKind::TraceWhole, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Trace both halves, right and left"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "On paper folded along the centre line, through both layers; open it. Write right and left on the "
             "halves: the sides are not altered alike.");
     }},
    {StepKind::TraceTwice, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Trace it twice, right and left"); },
     [](const Step&, const Said&) -> QString {
         return t("Turn one of the two over. Write right and left on them: the sides are not altered alike.");
     }},
    {StepKind::DrawBlend, HandMark::Redraw,
     [](const Step& s, const Said& say) -> QString {
         return (of_a_gore(s) ? t("Upright seams from size %1 to size %2")
                              : t("Side seam from size %1 to size %2"))
             .arg(say.from, say.to);
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "Start on the upper corner of one size, end on the line of the other. One smooth line with a "
             "curved "
             "ruler; below that follow the second size.");
     },
     walk_each_seam_along_the},
    {StepKind::DrawLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw over the lengthen/shorten line"); },
     [](const Step& s, const Said& say) -> QString {
         return (of_a_gore(s)
                     ? t("It lies %1 below the upper corner nearer the centre, at right angles to the grain, "
                         "from "
                         "edge to edge.")
                     : t("It lies %1 below the centre waist, at right angles to the grain, from edge to edge."))
             .arg(say.place);
     }},
    {StepKind::DrawFoldLines, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw a second line %1 below").arg(say.a); },
     [](const Step& s, const Said& say) -> QString {
         return (of_a_gore(s) ? t("Draw over the lengthen/shorten line, %1 below the upper corner nearer the "
                                  "centre, and a parallel line beneath it.")
                              : t("Draw over the lengthen/shorten line, %1 below the centre waist, and a parallel "
                                  "line beneath it."))
             .arg(say.place);
     }},
    {StepKind::CutAcross, HandMark::Cut,
     [](const Step&, const Said&) -> QString { return t("Cut along the line"); },
     [](const Step&, const Said&) -> QString {
         return t("Cut right through. Close the rotary cutter when you put it down.");
     }},
    {StepKind::Spread, HandMark::Spread,
     [](const Step&, const Said& say) -> QString { return t("Spread %1, edges parallel").arg(say.a); },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("Tape paper behind the gap. Crease and grain line stay one straight line.");
         return of_a_gore(s)
                    ? t("Tape paper behind the gap. The grain line stays one straight line; the upper edge "
                        "keeps its shape.")
                    : t("Tape paper behind the gap. The centre line stays one straight line; the waist "
                        "keeps its shape.");
     },
     lay_a_ruler_along_the},
    {StepKind::FoldOut, HandMark::Overlap,
     [](const Step& s, const Said& say) -> QString {
         return t("Fold %1 deep to take out %2").arg(amount_on_paper(abs(s.amount) / 2.0, say.unit), say.a);
     },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s))
             return t(
                 "Bring the lower line up to the upper one and tape the fold flat. The crease stays "
                 "straight.");
         return t(
             "Bring the lower line up to the upper one and tape the fold flat. The centre line stays "
             "straight.");
     },
     lay_a_ruler_along_the},
    {StepKind::TrueSide, HandMark::True,
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("True side seam and crotch seam down to the hip");
         return of_a_gore(s) ? t("True both upright seams down to the hip")
                             : t("True the side seam from waist to hip");
     },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("On both draw one smooth line from the waist corner to the hip line.");
         return of_a_gore(s) ? t("The curve no longer meets at the line: on both upright seams draw one smooth "
                                 "edge from the "
                                 "upper corner to the hip notch.")
                             : t("The curve no longer meets at the line: draw one smooth edge from the waist "
                                 "corner to the "
                                 "hip notch.");
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_gore(s) ? t("Lay it on its neighbours, seam on seam: same length, same curve?")
                             : t("Lay front on back along the side seam: same length, same curve?");
     }},
    {StepKind::ExtendBelow, HandMark::Draw,
     [](const Step& s, const Said& say) -> QString {
         if (of_a_leg(s)) return t("Carry side and inner leg on by %1").arg(say.a);
         return (of_a_gore(s) ? t("Carry both upright edges on by %1") : t("Carry centre and side on by %1"))
             .arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("Tape paper under the hem. Carry both seams on with a long ruler.");
         return of_a_gore(s)
                    ? t("Tape paper under the hem. Carry both upright edges on with a long ruler.")
                    : t("Tape paper under the hem. Carry the centre and the side seam on with a long ruler.");
     }},
    {StepKind::AddHem, HandMark::Spread,
     [](const Step&, const Said& say) -> QString { return t("Draw the hem again, %1 lower").arg(say.a); },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("The same all along the hem.");
         return t(
             "The same distance all along, square to the centre. The flare is carried on, so the sweep grows a "
             "little.");
     },
     lay_it_to_its_neighbours},
    {StepKind::DrawHem, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Draw the hem again, %1 higher").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("Measure up from the hem in several places, square to it.");
     }},
    {StepKind::TrimHem, HandMark::Trim,
     [](const Step&, const Said& say) -> QString { return t("Cut off %1 at the hem").arg(say.a); },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("The same all along the hem.");
         return t("The sweep gets a little smaller with it: the side seam leans.");
     },
     lay_it_to_its_neighbours},
    {StepKind::MarkWaist, HandMark::Draw,
     [](const Step& s, const Said& say) -> QString {
         if (flank_of(s))
             return (say.more ? t("Mark %1 outside, upper end of the %2")
                              : t("Mark %1 inside, upper end of the %2"))
                 .arg(say.a, edge_name(*s.on));
         return say.more ? t("Mark %1 outside the side waist").arg(say.a)
                         : t("Mark %1 inside the side waist").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         if (of_a_gore(s))
             return t(
                 "Every upright seam of every gore gets the same share, here at the upper end of this one. At "
                 "the hip nothing changes.");
         return t(
             "A quarter of what changes all round, at the waist end of the side seam. At the hip nothing "
             "changes.");
     }},
    {StepKind::RedrawWaist, HandMark::Redraw,
     [](const Step& s, const Said&) -> QString {
         return flank_of(s) ? t("Redraw this seam and the upper edge to the mark")
                            : t("Redraw side seam and waist to the mark");
     },
     [](const Step&, const Said&) -> QString {
         return t(
             "One smooth line from the mark into the old seam at the hip; the waist runs into its old line "
             "before the dart.");
     },
     walk_each_seam_along_the},
    {StepKind::MarkHip, HandMark::Draw,
     [](const Step& s, const Said& say) -> QString {
         if (flank_of(s))
             return (say.more ? t("Mark %1 outside on the hip line, %2") : t("Mark %1 inside on the hip line, %2"))
                 .arg(say.a, edge_name(*s.on));
         return say.more ? t("Mark %1 outside the hip line").arg(say.a)
                         : t("Mark %1 inside the hip line").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_gore(s) ? t("Every upright seam of every gore gets the same share, here on the hip line. At "
                                 "the upper edge nothing changes.")
                             : t("A quarter of what changes all round, on the hip line. At the waist nothing "
                                 "changes.");
     }},
    {StepKind::RedrawHip, HandMark::Redraw,
     [](const Step& s, const Said&) -> QString {
         return flank_of(s) ? t("Redraw this seam through the mark") : t("Redraw the side seam through the mark");
     },
     [](const Step& s, const Said&) -> QString {
         if (of_a_leg(s)) return t("From the waist corner through the mark, to nothing at the knee.");
         return t("From the waist corner through the mark; from there down parallel to the old seam.");
     }},
    {StepKind::CutBand, HandMark::Cut,
     [](const Step& s, const Said&) -> QString {
         return of_waistband(s) ? t("Cut the waistband at its side notch") : t("Cut it across");
     },
     [](const Step& s, const Said& say) -> QString {
         return (of_waistband(s)
                     ? t("The side notch lies %1 from the fold. Cut at right angles to the long edges.")
                     : t("%1 from one end, at right angles to the long edges."))
             .arg(say.place);
     }},
    {StepKind::SpreadBand, HandMark::Spread,
     [](const Step& s, const Said& say) -> QString {
         return of_waistband(s) ? t("Spread the waistband %1").arg(say.a) : t("Spread it %1").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         if (!of_waistband(s)) return t("Tape paper behind, long edges in line.");
         return t("Tape paper behind, long edges in line. Mark the side notch in the middle of the strip.");
     }},
    {StepKind::OverlapBand, HandMark::Overlap,
     [](const Step& s, const Said& say) -> QString {
         return of_waistband(s) ? t("Overlap the waistband %1").arg(say.a) : t("Overlap it %1").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         if (!of_waistband(s)) return t("Tape flat, long edges in line.");
         return t("Tape flat, long edges in line. Mark the side notch in the middle of the overlap.");
     }},
    {StepKind::MarkTopCentre, HandMark::Draw,
     [](const Step&, const Said& say) -> QString { return t("Mark %1 above the edge at the centre").arg(say.a); },
     [](const Step&, const Said&) -> QString {
         return t("On the centre line carried on. Both sides of the centre are then equally long again.");
     }},
    {StepKind::RedrawTop, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the upper edge to the mark"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Square to the centre at the mark, then smoothly down to nothing at the side. Dart legs run on to "
             "it.");
     }},
    {StepKind::MatchSides, HandMark::True,
     [](const Step& s, const Said& say) -> QString {
         if (flank_of(s))
             return (say.more ? t("Raise the upper end of the %2 by %1")
                              : t("Lower the upper end of the %2 by %1"))
                 .arg(say.a, edge_name(*s.on));
         return say.more ? t("Raise the side waist %1").arg(say.a) : t("Lower the side waist %1").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_gore(s)
                    ? t("Both sides of this seam are then equally long. Run the upper edge smoothly to its "
                        "new end.")
                    : t("Front and back side seams are then equally long. Run the waist smoothly to its new "
                        "end.");
     }},
};

}  // namespace

std::span<const StepRow> general_steps()
{
    return general_rows;
}

}  // namespace sartorum::words
