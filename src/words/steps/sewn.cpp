// Steps of a garment that is sewn already: a row each.
#include "words/step_rows.h"

#include "words/pieces.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

constexpr StepRow sewn_rows[] = {
    {StepKind::LayLegs, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Turn one leg inside out and lay it into the other"); },
     [](const Step&, const Said&) -> QString {
         return t("Inner leg seams on top of each other, crotch seams too; pin them together along the seam.");
     }},
    {StepKind::MarkLowered, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return t("Mark %1 down the inner leg, and the new seam").arg(say.a);
     },
     [](const Step& s, const Said& say) -> QString {
         return t("From the inner leg seam up the old crotch seam, square to it: %1. Join the marks in one "
                  "smooth "
                  "curve that runs into the old seam and lies inside it everywhere.")
             .arg(distances(s, say.unit));
     }},
    {StepKind::MarkSewnSide, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Mark %1 outside each side seam") : t("Mark %1 inside each side seam"))
             .arg(say.quarter);
     },
     [](const Step& s, const Said&) -> QString {
         return s.amount > Length{} ? t("Within the allowance; nothing at the other level, smooth between. "
                                        "Unpick the seam, press "
                                        "it flat.")
                                    : t("Nothing at the other level, smooth between. The old seam stays until "
                                        "it was tried on.");
     }},
    {StepKind::MarkSewnWaist, HandMark::Draw,
     [](const Step&, const Said&) -> QString { return t("Mark the lower waist"); },
     [](const Step& s, const Said& say) -> QString {
         return t("Take band or facing off first. From the old seam: %1 New allowance above the marks.")
             .arg(waist_marks(s, say.unit));
     }},
    {StepKind::MarkSewnHem, HandMark::Draw,
     [](const Step&, const Said& say) -> QString {
         return (say.more ? t("Let the hem down by %1") : t("Mark the hem %1 higher")).arg(say.a);
     },
     [](const Step&, const Said&) -> QString {
         return t("All round, level over the floor. Unpick the old hem and press it flat first.");
     }},
    {StepKind::TackAndTry, HandMark::True,
     [](const Step&, const Said&) -> QString { return t("Tack it and try it on"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Long stitches along the marks, thread ends hanging. Stand, sit, bend, reach. Pins lie along the "
             "body, glass heads out, and a helper pins.");
     }},
    {StepKind::StitchAndTrim, HandMark::Trim,
     [](const Step&, const Said&) -> QString { return t("Stitch, try on again, only then trim"); },
     [](const Step&, const Said&) -> QString {
         return t(
             "Nothing that was cut off can be put back. Leave a whole allowance, neaten it; a crotch seam is "
             "stitched twice.");
     }},
};

}  // namespace

std::span<const StepRow> sewn_steps()
{
    return sewn_rows;
}

}  // namespace sartorum::words
