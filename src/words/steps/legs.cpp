// Steps of trousers, and the waist of what hangs from it: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString under_the_hip_line_square(const Step&, const Said& say)
{
    return t("%1 under the hip line, square to the crease, from seam to seam.").arg(say.place);
}

QString under_the_inner_leg_point(const Step&, const Said& say)
{
    return t("%1 under the inner leg point, square to the crease, from seam to seam.").arg(say.place);
}

QString it_lies_under_the_inner(const Step&, const Said& say)
{
    return t("It lies %1 under the inner leg point, square to the crease.").arg(say.place);
}

QString lay_front_on_back_along(const Step&, const Said&)
{
    return t("Lay front on back along the inner leg: same length, and does the crotch seam run through?");
}

QString does_the_paper_lie_flat(const Step&, const Said&)
{
    return t("Does the paper lie flat at the hinge?");
}

QString is_the_side_seam_as(const Step&, const Said&)
{
    return t("Is the side seam as long as it was, and the waist square to the centre?");
}

QString measure_the_band_against_it(const Step&, const Said&)
{
    return t("Measure the band against it: does it take what is left?");
}

QString fold_the_dart_shut_are(const Step&, const Said&)
{
    return t("Fold the dart shut: are both legs equally long, and does the edge run smoothly over it?");
}

constexpr StepRow legs_rows[] = {
    {StepKind::DrawRiseLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw a line across under the hip line"); },
     under_the_hip_line_square},
    {StepKind::DrawRiseFold, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return t("Draw two lines across under the hip line, %1 apart").arg(say.a);
     },
     under_the_hip_line_square},
    {StepKind::DrawLegLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw a line across the leg"); },
     under_the_inner_leg_point},
    {StepKind::DrawLegFold, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return t("Draw two lines across the leg, %1 apart").arg(say.a);
     },
     under_the_inner_leg_point},
    {StepKind::DrawKneeLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw over the knee line"); }, it_lies_under_the_inner},
    {StepKind::DrawKneeFold, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return t("Draw a second line %1 under the knee line").arg(say.a);
     },
     it_lies_under_the_inner},
    {StepKind::TrueLeg, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("True the seams over the cut"); },
     [](const Step&, const Said&) -> QString {
         return t("One smooth line over the step on each side. Above and below it both seams stay.");
     },
     lay_front_on_back_along},
    {StepKind::DrawCentreWedge, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Draw a line from the centre to the side"); },
     [](const Step& s, const Said& say) -> QString {
         return (of_a_leg(s)
                     ? t("It starts %1 down the centre and runs square to the crease to the side seam, %2 down "
                         "it.")
                     : t("It starts %1 down the centre and runs square to it to the side seam, %2 down it."))
             .arg(say.place, say.second);
     }},
    {StepKind::OpenAtCentre, HandMark::Spread,
     [](const Step&, const Said& say) -> QString { return t("Open %1 at the centre").arg(say.a); },
     [](const Step& s, const Said&) -> QString {
         return of_a_leg(s) ? t("Turn the upper part about the hinge and tape paper behind. Crease and grain "
                                "follow the lower part.")
                            : t("Turn the upper part about the hinge and tape paper behind. The grain follows "
                                "the lower part.");
     },
     does_the_paper_lie_flat},
    {StepKind::OverlapAtCentre, HandMark::Overlap,
     [](const Step&, const Said& say) -> QString { return t("Overlap %1 at the centre").arg(say.a); },
     [](const Step& s, const Said&) -> QString {
         return of_a_leg(s) ? t("Turn the upper part about the hinge and tape it flat. Crease and grain follow "
                                "the lower part.")
                            : t("Turn the upper part about the hinge and tape it flat. The grain follows the "
                                "lower part.");
     },
     does_the_paper_lie_flat},
    {StepKind::RedrawCentre, HandMark::Redraw,
     [](const Step& s, const Said&) -> QString {
         return of_a_leg(s) ? t("Redraw the centre, one line into the curve") : t("Redraw the centre seam");
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_leg(s)
                    ? t("From the waist corner as the upper part lies now, smoothly into the crotch curve.")
                    : t("From the waist corner as the upper part lies now, smoothly into the seam at the hip.");
     },
     is_the_side_seam_as},
    {StepKind::CarryCentreUp, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Carry the centre straight on; the waist meets it"); },
     [](const Step& s, const Said& say) -> QString {
         return (s.amount > Length{}
                     ? t("As it runs below the cut. The waist is carried on to it and gets %1 longer.")
                     : t("As it runs below the cut. The waist ends there and gets %1 shorter."))
             .arg(say.a);
     },
     is_the_side_seam_as},
    {StepKind::MarkInnerPoint, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Mark %1 outside the inner leg point") : t("Mark %1 inside the inner leg point"))
             .arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Straight out, square to the crease, then down the seam until it is as long as it was.");
     }},
    {StepKind::RedrawInnerLeg, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw inner leg and crotch curve to the mark"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "To nothing at the knee; the curve to nothing at the hip line, square to the inner leg at the "
             "mark.");
     },
     lay_front_on_back_along},
    {StepKind::MarkHighHip, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Mark %1 outside the side seam, above the hip").arg(say.a)
                         : t("Mark %1 inside the side seam, above the hip").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("A quarter of what changes all round, %1 above the hip line. At the waist and at the hip "
                  "nothing changes.")
             .arg(say.place);
     }},
    {StepKind::RedrawHighHip, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the hip curve through the mark"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "From the waist corner, as it leaves it, out to the mark, and into the old seam at the hip "
             "line.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay front on back along the side seam: same length, same curve?");
     }},
    {StepKind::ShiftSide, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the side seam %1 further out, from the waist down").arg(say.a)
                         : t("Draw the side seam %1 further in, from the waist down").arg(say.a);
     },
     [](const Step& s, const Said&) -> QString {
         return of_a_leg(s) ? t("As it runs, from the waist past the hip line; to nothing at the knee. The waist "
                                "is carried on to it.")
                            : t("As it runs, the same all the way down. Waist and hem are carried on to it.");
     },
     [](const Step&, const Said&) -> QString { return t("Walk front and back side seam along each other."); }},
    {StepKind::EaseWaist, HandMark::True,
     [](const Step&, const Said& say) -> QString { return t("Ease %1 in at the waist").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Mark it to be eased: %2 in all on this piece, until it is %1 long. One row of long "
                  "stitches, pulled "
                  "up and pressed flat; cloth that will not ease is gathered.")
             .arg(say.place, say.second);
     },
     measure_the_band_against_it},
    {StepKind::AddTurnUp, HandMark::Spread,
     [](const Step&, const Said& say) -> QString { return t("Leave paper for a turn-up of %1").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("%1 under the hem line in all: the turn-up twice, then what is turned inside. Fold it up as "
                  "it will be worn before the sides are cut there: then it opens out as the leg does.")
             .arg(say.place);
     },
     [](const Step&, const Said&) -> QString {
         return t("Folded up as it will be worn: do its edges lie on the seams of the leg?");
     }},
    {StepKind::GatherWaist, HandMark::True,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Gather %1 more at the waist").arg(say.a)
                         : t("Gather %1 less at the waist").arg(say.a);
     },
     [](const Step& s, const Said& say) -> QString {
         return t("Mark it to be gathered: %2 in all on this piece, until it is %1 long, %3. Two rows of long "
                  "stitches; or an elastic, cut a little shorter than that and tried on before it is sewn.")
             .arg(say.place, say.second, ratio((s.place + s.second) / s.place));
     },
     measure_the_band_against_it},
    {StepKind::MarkCalf, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Mark %1 outside both seams at the calf")
                          : t("Mark %1 inside both seams at the calf"))
             .arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("The same on both sides of the crease, %1 under the knee line.").arg(say.place);
     }},
    {StepKind::RedrawCalf, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw both seams over the calf"); },
     [](const Step&, const Said&) -> QString {
         return t("Smooth through the marks, to nothing at the knee and at the hem.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Lay front on back along side and inner leg: same length, and is the crease mid-way?");
     }},
    {StepKind::RedrawDartLegs, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString {
         return say.more ? t("Draw the dart %1 wider").arg(say.a) : t("Draw the dart %1 narrower").arg(say.a);
     },
     [](const Step&, const Said& say) -> QString {
         return t("Both ends of its mouth go half of it along the edge; from there straight to the tip, which "
                  "stays. It is then %1 wide. Fold it shut and draw the edge over it.")
             .arg(say.place);
     },
     fold_the_dart_shut_are},
    {StepKind::LeaveDart, HandMark::Redraw,
     [](const Step& s, const Said& say) -> QString {
         return t("Leave the dart of %1 open").arg(amount_on_paper(s.place, say.unit));
     },
     [](const Step&, const Said&) -> QString {
         return t("It is not sewn. Draw the waist over it as one smooth line.");
     },
     [](const Step&, const Said&) -> QString { return t("Lay the waist to what is sewn there: same length?"); }},
    {StepKind::AddDart, HandMark::Redraw,
     [](const Step&, const Said& say) -> QString { return t("Draw one more dart, %1 wide").arg(say.a); },
     [](const Step&, const Said& say) -> QString {
         return t("Its middle lies %2 from the centre, along the waist with the darts folded shut. %1 long, "
                  "square "
                  "to the waist; shape the mouth folded towards the centre.")
             .arg(say.place, say.second);
     },
     fold_the_dart_shut_are},
    {StepKind::MarkKnee, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Mark %1 outside both seams at the knee")
                          : t("Mark %1 inside both seams at the knee"))
             .arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("The same on both sides of the crease, on the knee line.");
     }},
    {StepKind::MarkLegHem, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Mark %1 outside both seams at the hem") : t("Mark %1 inside both seams at the hem"))
             .arg(say.a);
     },
     [](const Step&, const Said&) -> QString { return t("The same on both sides of the crease."); }},
    {StepKind::RedrawLeg, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw both seams through the marks"); },
     [](const Step&, const Said&) -> QString {
         return t("Smooth through the marks, to nothing where they run out.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Is the crease mid-way between both seams, at the knee and at the hem?");
     }},
    {StepKind::MatchInnerLegs, HandMark::True,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Lower the hem %1 at the inner leg") : t("Raise the hem %1 at the inner leg"))
             .arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("Front and back inner leg are as long as they are meant to be again. The hem runs to the mark.");
     },
     lay_front_on_back_along},
    {StepKind::MarkWaistLine, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Mark the new waist"); },
     [](const Step& s, const Said& say) -> QString { return waist_marks(s, say.unit); }},
    {StepKind::RedrawWaistLine, HandMark::Redraw,
     [](const Step&, const Said&) -> QString { return t("Redraw the waist through the marks"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "One smooth curve, square to the centre, darts folded shut. Side seams and dart legs keep their "
             "place: they end at the new line, or run on to it. New allowance above it.");
     },
     [](const Step&, const Said&) -> QString {
         return t("Fold the darts shut: does the waist run smoothly over them, and on at the side seam?");
     }},
};

}  // namespace

std::span<const StepRow> legs_steps()
{
    return legs_rows;
}

}  // namespace sartorum::words
