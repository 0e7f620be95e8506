#include "words/sewn.h"

#include "core/paper/redraw/leg.h"
#include "words/say.h"
#include "words/waist.h"

namespace sartorum::words {
namespace {

constexpr Length every_few_cm = Length::mm(30);

// "0: 25, 30: 24, 60: 10 mm": along the old seam from the inner leg, and how far the new one lies from it.
QString distances(const Step& s, Unit u)
{
    if (s.picture.redrawn_from.empty() || s.picture.panels.empty()) return {};
    QStringList out;
    for (const auto& at : seams_apart(s.picture.redrawn_from.front(), s.picture.panels.front(), every_few_cm))
        out << t("%1 up: %2").arg(number(at.along, u), number(at.apart, u));
    return t("%1 %2").arg(out.join(", "), text(std::string{unit_text(u)}));
}

}  // namespace

QString sewn_step_title(const Step& s, Unit u)
{
    const QString a = amount_on_paper(abs(s.amount), u);
    const QString quarter = amount_on_paper(abs(s.amount) / 4.0, u);
    const bool more = s.amount > Length{};
    switch (s.kind) {
        case StepKind::LayLegs: return t("Turn one leg inside out and lay it into the other");
        case StepKind::MarkLowered: return t("Mark %1 down the inner leg, and the new seam").arg(a);
        case StepKind::MarkSewnSide:
            return (more ? t("Mark %1 outside each side seam") : t("Mark %1 inside each side seam")).arg(quarter);
        case StepKind::MarkSewnWaist: return t("Mark the lower waist");
        case StepKind::MarkSewnHem:
            return (more ? t("Let the hem down by %1") : t("Mark the hem %1 higher")).arg(a);
        case StepKind::TackAndTry: return t("Tack it and try it on");
        case StepKind::StitchAndTrim: return t("Stitch, try on again, only then trim");
        default: return {};
    }
}

QString sewn_step_detail(const Step& s, Unit u)
{
    switch (s.kind) {
        case StepKind::LayLegs:
            return t("Inner leg seams on top of each other, crotch seams too; pin them together along the seam.");
        case StepKind::MarkLowered:
            return t("From the inner leg seam up the old crotch seam, square to it: %1. Join the marks in one "
                     "smooth "
                     "curve that runs into the old seam and lies inside it everywhere.")
                .arg(distances(s, u));
        case StepKind::MarkSewnSide:
            return s.amount > Length{} ? t("Within the allowance; nothing at the other level, smooth between. "
                                           "Unpick the seam, press "
                                           "it flat.")
                                       : t("Nothing at the other level, smooth between. The old seam stays until "
                                           "it was tried on.");
        case StepKind::MarkSewnWaist:
            return t("Take band or facing off first. From the old seam: %1 New allowance above the marks.")
                .arg(waist_marks(s, u));
        case StepKind::MarkSewnHem:
            return t("All round, level over the floor. Unpick the old hem and press it flat first.");
        case StepKind::TackAndTry:
            return t(
                "Long stitches along the marks, thread ends hanging. Stand, sit, bend, reach. Pins lie along the "
                "body, glass heads out, and a helper pins.");
        case StepKind::StitchAndTrim:
            return t(
                "Nothing that was cut off can be put back. Leave a whole allowance, neaten it; a crotch seam is "
                "stitched twice.");
        default: return {};
    }
}

QString after_it(AdjustmentKind kind, const Computed& c, Unit u)
{
    return kind == AdjustmentKind::SewnCrotch ? crotch_lowered_text(c, u) : QString{};
}

QString crotch_lowered_text(const Computed& c, Unit u)
{
    const PlanLine* line = c.line(AdjustmentKind::SewnCrotch);
    if (!line || line->state != LineState::Accepted || line->steps == 0) return {};
    const auto changed = [&](GarmentMeasure m) { return line->changed.of(m); };
    const Length crotch = changed(GarmentMeasure::CrotchFront) + changed(GarmentMeasure::CrotchBack);
    const Length thigh = c.altered_flat.of(GarmentMeasure::Thigh);
    QString out = t("Crotch %1, inside leg %2, thigh %3: %4 round the leg.")
                      .arg(amount(crotch, u, true), amount(changed(GarmentMeasure::InsideLeg), u, true),
                           amount(changed(GarmentMeasure::Thigh), u, true), amount(thigh, u));
    const auto body = c.work.worn_by().taken(Measure::Thigh);
    out += body ? t(" The thigh measures %1: %2 are left to move in.")
                      .arg(amount(body->value, u), amount(thigh - body->value, u))
                : t(" Measure the thigh before anything is cut: it was not read.");
    return out;
}

}  // namespace sartorum::words
