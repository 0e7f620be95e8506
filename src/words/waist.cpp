#include "words/waist.h"

#include <algorithm>

#include "words/say.h"

namespace sartorum::words {
namespace {

constexpr Length nothing_drawn = Length::mm(0.5);

QString over_or_under(Length by, Unit u)
{
    if (abs(by) < nothing_drawn) return t("on it");
    const QString a = amount_on_paper(abs(by), u);
    return (by > Length{} ? t("%1 above it") : t("%1 under it")).arg(a);
}

}  // namespace

QString station_name(WaistStation s)
{
    switch (s) {
        case WaistStation::CentreFront: return t("centre front");
        case WaistStation::MidFront: return t("mid front");
        case WaistStation::Side: return t("side");
        case WaistStation::MidBack: return t("mid back");
        case WaistStation::CentreBack: return t("centre back");
    }
    return {};
}

QString station_title(WaistStation s)
{
    const QString name = station_name(s);
    return name.left(1).toUpper() + name.mid(1);
}

QString place_name(AdjustmentKind kind, std::size_t place)
{
    if (kind != AdjustmentKind::PinnedShoulder) return station_name(static_cast<WaistStation>(place));
    constexpr std::array ends{"front neck end", "front tip", "back neck end", "back tip"};
    return t(ends[place]);
}

QString stations_text(AdjustmentKind kind, const std::vector<Length>& at, Unit u)
{
    const bool alike = std::all_of(at.begin(), at.end(), [&](Length l) { return l == at.front(); });
    const bool round = kind != AdjustmentKind::PinnedShoulder;
    if (alike) return (round ? t("%1 all round") : t("%1 at each end")).arg(amount(at.front(), u, true));
    QStringList out;
    for (std::size_t i = 0; i < at.size(); ++i) {
        if (abs(at[i]) < nothing_drawn) continue;
        // The unit once, at the end.
        out << t("%1 %2").arg(place_name(kind, i), number(at[i], u, true));
    }
    return t("%1 %2").arg(out.join(", "), text(std::string{unit_text(u)}));
}

QString stations_brief(const PlanLine& right, const PlanLine* left, Unit u)
{
    auto [least, most] = std::minmax_element(right.at.begin(), right.at.end());
    Length low = *least;
    Length high = *most;
    for (const auto by : left ? left->at : std::vector<Length>{}) {
        low = std::min(low, by);
        high = std::max(high, by);
    }
    if (high - low < nothing_drawn) return amount(high, u, true);
    return t("%1 to %2").arg(number(low, u, true), amount(high, u, true));
}

QString waist_marks(const Step& s, Unit u)
{
    const QString middle = over_or_under(s.place, u);
    if (of_a_gore(s))
        return t("On a line along the old waist: at the end nearer the centre %1, in the middle %2, at the other "
                 "end %3; at the ends along the seams, in the middle along the grain.")
            .arg(over_or_under(s.amount, u), middle, over_or_under(s.second, u));
    return t("At the centre %1, half-way along the waist with the darts folded %2, at the side %3; at the side "
             "along its seam, else along the grain.")
        .arg(over_or_under(s.amount, u), middle, over_or_under(s.second, u));
}

}  // namespace sartorum::words
