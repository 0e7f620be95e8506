#include "words/donning.h"

#include <cmath>

#include "words/pieces.h"
#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString opening_text(const GoesOn& g, Unit u)
{
    const QString asked = g.through == PassesThrough::SleeveHem || g.through == PassesThrough::LegHem
                              ? t("Needs a slit of %1.").arg(amount(g.opening, u))
                              : t("Needs an opening %1 long, from the upper edge.").arg(amount(g.opening, u));
    if (g.stretch)
        return t("As cloth that does not stretch it would not pass; the knit has to stretch by %1 %.")
            .arg(static_cast<int>(std::ceil(*g.stretch * 100)));
    if (!g.there) return asked + " " + t("The pattern says of none: see that it is as long.");
    if (*g.there >= piece_most) return asked + " " + t("It opens all the way.");
    if (*g.there >= g.opening) return asked + " " + t("It has %1.").arg(amount(*g.there, u));
    if (*g.there == Length{}) return asked + " " + t("There is none.");
    return asked + " " + t("It has %1: %2 too short.").arg(amount(*g.there, u), amount(g.opening - *g.there, u));
}

QString passing_text(const GoesOn& g, Unit u)
{
    const QString over = measure_name(g.over).toLower();
    if (g.through == PassesThrough::Body && g.from_below)
        return t("Stepped into it passes the %1, %2; closed it is %3.")
            .arg(over, amount(g.needs, u), amount(g.has, u));
    if (g.through == PassesThrough::Body)
        return t("Over the head it passes the %1, %2; closed it is %3 at its narrowest.")
            .arg(over, amount(g.needs, u), amount(g.has, u));
    return t("It passes the %1, %2; closed it is %3.").arg(over, amount(g.needs, u), amount(g.has, u));
}

}  // namespace

QString goes_on_place(const GoesOn& g)
{
    switch (g.through) {
        case PassesThrough::Neck: return t("Neckline");
        case PassesThrough::SleeveHem: return t("Sleeve hem");
        case PassesThrough::LegHem: return t("Leg hem");
        case PassesThrough::Body: return t("Round the body");
    }
    return {};
}

QString goes_on_text(const GoesOn& g, Unit u)
{
    QString out =
        passing_text(g, u) + " " + (g.opening == Length{} ? t("It goes on closed.") : opening_text(g, u));
    if (g.guessed)
        out +=
            " " + t("Not measured: %1 is guessed, ±%2.").arg(measure_name(g.over).toLower(), number(g.spread, u));
    return out;
}

QString goes_on_warning(const GoesOn& g, Unit u)
{
    return g.holds() ? QString{} : t("%1: it does not go on. %2").arg(goes_on_place(g), opening_text(g, u));
}

QString elastic_text(const Elastic& e, Unit u)
{
    return t("Cut %1 long, lapped it is %2: a little shorter than the waist, %3. The casing, %4, lies on it %5 "
             "full. Try "
             "it on before it is sewn: elastics differ.")
        .arg(amount(e.cut(), u), amount(e.worn, u), amount(e.body, u), amount(e.casing, u), ratio(e.fullness()));
}

}  // namespace sartorum::words
