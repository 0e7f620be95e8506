#include "words/sewn.h"

#include "core/paper/redraw/leg.h"
#include "words/say.h"
#include "words/waist.h"

namespace sartorum::words {

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
