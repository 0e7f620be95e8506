#include "desk/plan/beside/plan_before.h"

#include <algorithm>

#include "words/words.h"

namespace sartorum::desk {

void PlanBefore::take(const Computed& c, std::optional<notebook::Id> wearer)
{
    const auto& is = c.altered.pieces;
    const bool same_work = now_.pattern == c.work.pattern && now_.wearer == wearer;
    if (same_work && std::equal(is.begin(), is.end(), now_.pieces.begin(), now_.pieces.end(), same_paper)) return;
    before_ = same_work ? std::move(now_) : Stood{};
    now_ = {c.work.pattern, wearer, is, {}};
    for (const auto& l : c.lines) {
        if (l.state == LineState::Accepted)
            now_.taken[l.kind] = {l.amount, c.left_of(l) ? c.left_of(l)->amount : l.amount};
    }
}

QString PlanBefore::changes(Unit u) const
{
    QStringList out;
    const auto said = [&](const BothSides& by) {
        const QString right = words::amount(by.right, u, true);
        if (abs(by.right - by.left) <= to_the_eye) return right;
        return QObject::tr("right %1, left %2").arg(right, words::amount(by.left, u, true));
    };
    for (const auto& [kind, by] : now_.taken) {
        const QString name = words::adjustment_name(kind);
        const auto was = before_.taken.find(kind);
        if (was == before_.taken.end())
            out << QObject::tr("%1 %2, was left").arg(name, said(by));
        else if (abs(was->second.right - by.right) > to_the_eye || abs(was->second.left - by.left) > to_the_eye)
            out << QObject::tr("%1 %2, was %3").arg(name, said(by), said(was->second));
    }
    for (const auto& [kind, by] : before_.taken) {
        if (!now_.taken.contains(kind))
            out << QObject::tr("%1 left, was %2").arg(words::adjustment_name(kind), said(by));
    }
    return out.join("; ");
}

}  // namespace sartorum::desk
