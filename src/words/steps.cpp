#include "words/step_rows.h"

#include <array>
#include <cstdlib>

#include "core/paper/redraw/leg.h"

namespace sartorum::words {

bool on_two_panels(const Step& s)
{
    return !s.picture.panels.empty() && s.picture.panels.front().princess;
}

QString along_from(const std::optional<EdgeRole>& on)
{
    switch (on.value_or(EdgeRole::Side)) {
        case EdgeRole::Neck: return t("along the neckline from the centre");
        case EdgeRole::Shoulder: return t("along the shoulder from the neck point");
        case EdgeRole::Armhole: return t("along the armhole from the tip");
        case EdgeRole::Waist: return t("along the waist from the side seam");
        default: return t("down the side seam from the underarm");
    }
}

bool flank_of(const Step& s)
{
    return s.on && of_a_gore(s);
}

QString distances(const Step& s, Unit u)
{
    constexpr Length every_few_cm = Length::mm(30);
    if (s.picture.redrawn_from.empty() || s.picture.panels.empty()) return {};
    QStringList out;
    for (const auto& at : seams_apart(s.picture.redrawn_from.front(), s.picture.panels.front(), every_few_cm))
        out << t("%1 up: %2").arg(number(at.along, u), number(at.apart, u));
    return t("%1 %2").arg(out.join(", "), text(std::string{unit_text(u)}));
}

namespace {

const StepRow& row_of(StepKind kind)
{
    static const auto rows = [] {
        std::array<const StepRow*, step_kind_count> out{};
        for (const auto zone : {general_steps(), shoulder_steps(), lengths_steps(), widths_steps(), sleeve_steps(),
                                legs_steps(), sewn_steps(), joins_steps()}) {
            for (const auto& row : zone) out[static_cast<std::size_t>(row.kind)] = &row;
        }
        return out;
    }();
    const StepRow* row = rows[static_cast<std::size_t>(kind)];
    if (!row) std::abort();
    return *row;
}

Said said_of(const Step& s, Unit unit)
{
    const Unit u = paper_unit(unit);
    return {.unit = u,
            .a = amount_on_paper(abs(s.amount), u),
            .quarter = amount_on_paper(abs(s.amount) / 4.0, u),
            .place = amount_on_paper(s.place, u),
            .second = amount_on_paper(s.second, u),
            .from = text(s.from_size),
            .to = text(s.to_size),
            .more = s.amount > Length{}};
}

}  // namespace

HandMark hand_mark(StepKind kind)
{
    return row_of(kind).mark;
}

QString step_title(const Step& s, Unit unit)
{
    return row_of(s.kind).title(s, said_of(s, unit));
}

QString step_detail(const Step& s, Unit unit)
{
    const StepRow& row = row_of(s.kind);
    const QString detail = row.detail(s, said_of(s, unit));
    const bool draws = row.mark == HandMark::Redraw || row.mark == HandMark::True;
    return draws && runs_over_a_dart(s) ? t("Fold the dart in it shut first.") + " " + detail : detail;
}

QString before_going_on(const Step& s)
{
    return row_of(s.kind).check(s, said_of(s, Unit::Centimetre));
}

}  // namespace sartorum::words
