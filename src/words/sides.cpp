#include "words/sides.h"

#include <algorithm>

#include "core/alter/kit/catalogue.h"
#include "words/say.h"
#include "words/waist.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

bool unlike(const PlanLine& right, const PlanLine* left)
{
    return left && (left->amount != right.amount || left->back != right.back || left->at != right.at);
}

QString each_side(const QString& right, const QString& left)
{
    return t("right %1, left %2").arg(right, left);
}

Length asked(const std::optional<Proposal>& p)
{
    return p ? p->amount : Length{};
}

// By how much what is asked for on the two sides is apart.
Length apart(const TwoSides& s)
{
    const auto back = [](const std::optional<Proposal>& p) { return p ? p->back.value_or(p->amount) : Length{}; };
    return std::max(abs(asked(s.right) - asked(s.left)), abs(back(s.right) - back(s.left)));
}

QString brief(const PlanLine& l, Unit u)
{
    if (l.amount == l.back) return number(l.amount, u, true);
    return t("%1 and %2").arg(number(l.amount, u, true), number(l.back, u, true));
}

PlanLine as_asked(const PlanLine& line, const std::optional<Proposal>& p)
{
    PlanLine out = line;
    out.proposal = p;
    return out;
}

}  // namespace

QString of_side(const QString& name, const std::optional<Side>& side)
{
    return side ? t("%1, %2").arg(name, side_name(*side)) : name;
}

QString amounts(const Computed& c, const PlanLine& line, Unit u)
{
    const PlanLine* left = c.left_of(line);
    if (!unlike(line, left)) return amounts(line, u);
    return each_side(amounts(line, u), amounts(*left, u));
}

QString amounts_brief(const Computed& c, const PlanLine& line, Unit u)
{
    const PlanLine* left = c.left_of(line);
    const bool listed = unlike_places(adjustment(line.kind));
    if (!line.at.empty() && !listed) return stations_brief(line, left, u);
    if (!unlike(line, left)) return amounts(line, u);
    if (listed) return each_side(amounts(line, u), amounts(*left, u));
    return each_side(brief(line, u), brief(*left, u));
}

QString why(const Computed& c, const PlanLine& line, Unit u)
{
    const PlanLine* left = c.left_of(line);
    const QString as_one = why(line, u);
    const bool apart_read = line.sides.how == Sided::Apart && (line.sides.right || line.sides.left);
    const QString right = apart_read ? why(as_asked(line, line.sides.right), u) : as_one;
    const QString other = apart_read ? why(as_asked(line, line.sides.left), u) : left ? why(*left, u) : as_one;
    if (right == other || line.sides.how == Sided::Larger) return as_one;
    return t("right: %1; left: %2").arg(right, other);
}

QString sides_told(const PlanLine& line, Unit u)
{
    const TwoSides& s = line.sides;
    const QString by = amount(apart(s), u);
    const bool read = s.right || s.left;
    switch (s.how) {
        case Sided::Alike: return {};
        case Sided::WithinNoise:
            return t("Right and left ask for %1 and %2: alike, within the measuring noise.")
                .arg(number(asked(s.right), u, true), number(asked(s.left), u, true));
        case Sided::Larger:
            return t("Right and left ask for %1 and %2: the larger is fitted on both; pad the other side, or take "
                     "it "
                     "in.")
                .arg(number(asked(s.right), u, true), number(asked(s.left), u, true));
        case Sided::Apart:
            return read ? t("Right and left differ by %1: each side gets its own.").arg(by)
                        : t("Each side gets its own.");
        case Sided::Together:
            return t("It moves the centre, where both sides meet: the larger amount is done on both.");
    }
    return {};
}

QString sides_brief(const PlanLine& line)
{
    switch (line.sides.how) {
        case Sided::Alike: return {};
        case Sided::WithinNoise: return t("sides alike within noise");
        case Sided::Larger: return t("the larger side fitted");
        case Sided::Apart: return t("each side its own");
        case Sided::Together: return t("the larger on both sides");
    }
    return {};
}

QString sides_way_name(SidesWay way)
{
    switch (way) {
        case SidesWay::Usual: return t("as is usual");
        case SidesWay::Apart: return t("each its own");
        case SidesWay::Larger: return t("fit the larger");
    }
    return {};
}

QString step_sentence(const ToldStep& s, std::size_t index, Unit u)
{
    return t("%1. %2: %3")
        .arg(QString::number(index + 1), of_side(text(s.step->piece), s.side), step_title(*s.step, u));
}

}  // namespace sartorum::words
