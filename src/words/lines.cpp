#include "words/lines.h"

#include <algorithm>
#include <array>

#include "words/say.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString accepted_text(const PlanLine& l)
{
    if (l.amount == Length{} && l.kind == AdjustmentKind::DartMoved) return t("accepted: all of it");
    if (l.amount == Length{} && zero_works(adjustment(l.kind), l.method))
        return t("on the toile first; then type the pinch");
    if (!l.cautions.empty()) return t("accepted: more than is usual");
    return l.own_amount ? t("accepted with your amount") : t("accepted");
}

QString left_text(const Proposal& p, Unit u)
{
    switch (p.leave()) {
        case Leave::TooSmall: return t("less than anybody sews (%1): leave it").arg(number(p.least, u));
        case Leave::EaseHolds: return t("the ease as designed holds it: leave it");
        case Leave::SignFirst: return t("look for its sign on a toile first");
        case Leave::AnswerFirst: return t("answer %1 first").arg(adjustment_name(*p.after));
        case Leave::Noise:
        case Leave::No: break;
    }
    return t("inside measuring noise ±%1: leave it").arg(number(p.spread, u));
}

QString unknown_text(const PlanLine& l)
{
    const auto& entry = adjustment(l.kind);
    if (l.proposal && abs(l.proposal->amount) < to_the_eye) return t("nothing to do");
    if (l.noted) return t("noted in the posture; type the pinch");
    if (!entry.propose && l.kind != AdjustmentKind::HemGivenBack) return t("from a toile; add it by hand");
    return l.kind == AdjustmentKind::HemGivenBack ? t("the length has not changed")
                                                  : t("not measured; add it by hand");
}

}  // namespace

QString part_name(PartKind part)
{
    constexpr std::array names{"upper part", "skirt"};
    static_assert(names.size() == part_kinds);
    return t(names[static_cast<std::size_t>(part)]);
}

QString state_text(const PlanLine& l, Unit u)
{
    switch (l.state) {
        case LineState::Proposed: return t("proposed: accept it or leave it");
        case LineState::LeaveIt: return left_text(*l.proposal, u);
        case LineState::Accepted: return accepted_text(l);
        case LineState::Declined: return t("left as bought");
        case LineState::NothingKnown: return unknown_text(l);
        case LineState::Refused: return refusal(*l.refusal, u);
    }
    return {};
}

PlanText plan_text(const PlanLine& l, const Computed& c, Unit u)
{
    const auto of_kind = [&](const PlanLine& other) { return other.kind == l.kind; };
    const bool twice = std::count_if(c.lines.begin(), c.lines.end(), of_kind) > 1;
    const QString name = adjustment_name(l.kind);
    const QString way = method_name(l.kind, l.method);
    return {twice ? t("%1, %2").arg(name, part_name(l.part)) : name, amounts(l, u),
            way.isEmpty() ? amount_meaning(l.kind) : way, words::why(l, u), state_text(l, u)};
}

QString plan_sentence(const PlanLine& l, const Computed& c, Unit u)
{
    const auto text = plan_text(l, c, u);
    return t("%1: %2, %3, %4").arg(text.name, text.amounts, text.why, text.state);
}

QString walk_side(const Walk& w, bool second)
{
    const auto part = second ? w.part_b : w.part_a;
    return part ? part_name(*part) : seam_sides(w.seam, second);
}

QString walk_sentence(const Walk& w, Unit u)
{
    return t("%1: %2 %3, %4 %5, %6")
        .arg(seam_name(w.seam), walk_side(w, false), amount(w.a, u), walk_side(w, true), amount(w.b, u),
             w.holds ? t("holds") : t("true again"));
}

QString step_sentence(const Step& s, std::size_t index, Unit u)
{
    return t("%1. %2: %3").arg(QString::number(index + 1), text(s.piece), step_title(s, u));
}

}  // namespace sartorum::words
