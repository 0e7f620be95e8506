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

QString place_name(std::string_view key)
{
    // The stations stand above; these are the others there are.
    [[maybe_unused]] static constexpr std::array others{
        QT_TRANSLATE_NOOP("words", "front neck end"), QT_TRANSLATE_NOOP("words", "front tip"),
        QT_TRANSLATE_NOOP("words", "back neck end"),  QT_TRANSLATE_NOOP("words", "back tip"),
        QT_TRANSLATE_NOOP("words", "neck end"),       QT_TRANSLATE_NOOP("words", "tip"),
        QT_TRANSLATE_NOOP("words", "waist"),          QT_TRANSLATE_NOOP("words", "hip"),
        QT_TRANSLATE_NOOP("words", "upper arm"),      QT_TRANSLATE_NOOP("words", "thigh"),
        QT_TRANSLATE_NOOP("words", "place"),          QT_TRANSLATE_NOOP("words", "depth"),
        QT_TRANSLATE_NOOP("words", "length"),         QT_TRANSLATE_NOOP("words", "front place"),
        QT_TRANSLATE_NOOP("words", "front depth"),    QT_TRANSLATE_NOOP("words", "front length"),
        QT_TRANSLATE_NOOP("words", "back place"),     QT_TRANSLATE_NOOP("words", "back depth"),
        QT_TRANSLATE_NOOP("words", "back length")};
    const auto said = QString::fromLatin1(key.data(), static_cast<qsizetype>(key.size())).replace('_', ' ');
    return t(said.toLatin1().constData());
}

QString everywhere(AdjustmentKind kind)
{
    return adjustment(kind).zone == Zone::Frame ? t("at each end") : t("all round");
}

QString stations_text(AdjustmentKind kind, const std::vector<Length>& at, Unit u)
{
    const bool alike = std::all_of(at.begin(), at.end(), [&](Length l) { return l == at.front(); });
    if (alike && !unlike_places(adjustment(kind)))
        return t("%1 %2").arg(amount(at.front(), u, true), everywhere(kind));
    QStringList out;
    for (std::size_t i = 0; i < at.size(); ++i) {
        if (abs(at[i]) < nothing_drawn) continue;
        // The unit once, at the end.
        out << t("%1 %2").arg(place_name(adjustment(kind).places[i].key), number(at[i], u, true));
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
