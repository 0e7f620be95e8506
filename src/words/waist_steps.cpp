#include "words/waist_steps.h"

#include "words/pieces.h"
#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {

QString waist_step_title(const Step& s, Unit u)
{
    const QString a = amount_on_paper(abs(s.amount), u);
    const bool more = s.amount > Length{};
    switch (s.kind) {
        case StepKind::SpreadInFold: return t("Cut down the middle of the fold, and spread %1").arg(a);
        case StepKind::TakeOutInFold: return t("Cut down the middle of the fold, and overlap %1").arg(a);
        case StepKind::SlideTuck:
            return more ? t("Draw the tuck %1 nearer the side").arg(a)
                        : t("Draw the tuck %1 nearer the centre").arg(a);
        case StepKind::SlideDart:
            return more ? t("Draw the dart %1 nearer the side").arg(a)
                        : t("Draw the dart %1 nearer the centre").arg(a);
        case StepKind::ShiftSide:
            return more ? t("Draw the side seam %1 further out, from the waist down").arg(a)
                        : t("Draw the side seam %1 further in, from the waist down").arg(a);
        case StepKind::EaseWaist: return t("Ease %1 in at the waist").arg(a);
        case StepKind::GatherWaist:
            return more ? t("Gather %1 more at the waist").arg(a) : t("Gather %1 less at the waist").arg(a);
        case StepKind::MarkHighHip:
            return more ? t("Mark %1 outside the side seam, above the hip").arg(a)
                        : t("Mark %1 inside the side seam, above the hip").arg(a);
        case StepKind::RedrawHighHip: return t("Redraw the hip curve through the mark");
        case StepKind::RedrawDartLegs:
            return more ? t("Draw the dart %1 wider").arg(a) : t("Draw the dart %1 narrower").arg(a);
        case StepKind::LeaveDart: return t("Leave the dart of %1 open").arg(amount_on_paper(s.place, u));
        case StepKind::AddDart: return t("Draw one more dart, %1 wide").arg(a);
        default: return {};
    }
}

QString waist_step_detail(const Step& s, Unit u)
{
    const QString place = amount_on_paper(s.place, u);
    const QString second = amount_on_paper(s.second, u);
    switch (s.kind) {
        case StepKind::SpreadInFold:
        case StepKind::TakeOutInFold:
            return t("From its mouth straight down to the hem, along the grain; the same all the way. It takes %1 "
                     "then, "
                     "and the waist is folded to as long as it was.")
                .arg(place);
        case StepKind::SlideTuck:
            return t("Its middle then lies %1 from the centre, along the waist with the tucks folded shut. As "
                     "deep and "
                     "as long as it was; the waist runs on smoothly.")
                .arg(place);
        case StepKind::SlideDart:
            return t("Its middle then lies %1 from the centre, along the waist with the darts folded shut. As "
                     "wide and as "
                     "long as it was; the waist runs on smoothly.")
                .arg(place);
        case StepKind::ShiftSide:
            return of_a_leg(s)
                       ? t("As it runs, from the waist past the hip line; to nothing at the knee. The waist "
                           "is carried on to it.")
                       : t("As it runs, the same all the way down. Waist and hem are carried on to it.");
        case StepKind::EaseWaist:
            return t("Mark it to be eased: %2 in all on this piece, until it is %1 long. One row of long "
                     "stitches, pulled "
                     "up and pressed flat; cloth that will not ease is gathered.")
                .arg(place, second);
        case StepKind::GatherWaist:
            return t("Mark it to be gathered: %2 in all on this piece, until it is %1 long, %3. Two rows of long "
                     "stitches; or an elastic, cut a little shorter than that and tried on before it is sewn.")
                .arg(place, second, ratio((s.place + s.second) / s.place));
        case StepKind::MarkHighHip:
            return t("A quarter of what changes all round, %1 above the hip line. At the waist and at the hip "
                     "nothing changes.")
                .arg(place);
        case StepKind::RedrawHighHip:
            return t(
                "From the waist corner, as it leaves it, out to the mark, and into the old seam at the hip "
                "line.");
        case StepKind::RedrawDartLegs:
            return t("Both ends of its mouth go half of it along the edge; from there straight to the tip, which "
                     "stays. It is then %1 wide. Fold it shut and draw the edge over it.")
                .arg(place);
        case StepKind::LeaveDart: return t("It is not sewn. Draw the waist over it as one smooth line.");
        case StepKind::AddDart:
            return t("Its middle lies %2 from the centre, along the waist with the darts folded shut. %1 long, "
                     "square "
                     "to the waist; shape the mouth folded towards the centre.")
                .arg(place, second);
        default: return {};
    }
}

}  // namespace sartorum::words
