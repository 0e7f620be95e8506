#include "words/lines.h"

#include <algorithm>
#include <array>
#include <functional>

#include "core/pattern/gore.h"
#include "words/say.h"
#include "words/sides.h"
#include "words/words.h"

namespace sartorum::words {
namespace {

QString accepted_text(const PlanLine& l)
{
    if (adjustment(l.kind).at_join == AtJoin::WholeGarment) return t("done: they go with their edges");
    if (l.by_itself) return t("goes with the part above");
    if (l.amount == Length{} && l.kind == AdjustmentKind::DartMoved) return t("accepted: all of it");
    if (l.amount == Length{} && zero_works(adjustment(l.kind), l.method))
        return t("on the toile first; then type the pinch");
    if (l.short_of) return t("accepted: the most this paper carries");
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

// Refused on both because of one.
QString on_its_side(const QString& why, const PlanLine& l)
{
    if (!l.refused_on) return why;
    return (*l.refused_on == Side::Right ? t("On the right: %1") : t("On the left: %1")).arg(why);
}

QString unknown_text(const PlanLine& l)
{
    const auto& entry = adjustment(l.kind);
    if (l.proposal && abs(l.proposal->amount) < to_the_eye) return t("nothing to do");
    if (l.kind == AdjustmentKind::Facings) return t("their edges are as bought");
    if (l.kind == AdjustmentKind::WaistSeamLevel) return t("as she likes it; add it by hand");
    if (entry.apply_across) return t("as it was drawn: nothing to do");
    if (l.noted) return t("noted in the posture; type the pinch");
    if (!entry.propose && l.kind != AdjustmentKind::HemGivenBack) return t("from a toile; add it by hand");
    return l.kind == AdjustmentKind::HemGivenBack ? t("the length has not changed")
                                                  : t("not asked for; add it by hand");
}

}  // namespace

QString part_name(PartKind part)
{
    constexpr std::array names{"upper part", "yoke", "trousers", "skirt", "skirt"};
    static_assert(names.size() == part_kinds);
    return t(names[static_cast<std::size_t>(part)]);
}

QString state_text(const PlanLine& l, Unit u)
{
    switch (l.state) {
        case LineState::Proposed:
            return l.short_of ? t("proposed, the most this paper carries: accept it or leave it")
                              : t("proposed: accept it or leave it");
        case LineState::LeaveIt: return left_text(*l.proposal, u);
        case LineState::Accepted: return accepted_text(l);
        case LineState::Declined: return t("left as bought");
        case LineState::NothingKnown: return unknown_text(l);
        case LineState::Refused: return on_its_side(refusal(*l.refusal, u), l);
        case LineState::NotOnPaper: return t("this paper cannot do it");
    }
    return {};
}

QString hindrance(const PlanLine& l, Unit u)
{
    if (l.state == LineState::NotOnPaper)
        return t("Asked for, and not proposed. %1").arg(on_its_side(refusal(*l.refusal, u), l));
    if (!l.short_of) return {};
    return t("The measures ask for %1. %2").arg(amount(l.proposal->amount, u, true), refusal(*l.short_of, u));
}

PlanText plan_text(const PlanLine& l, const Computed& c, Unit u)
{
    const auto of_kind = [&](const PlanLine& other) { return other.kind == l.kind; };
    const bool twice = std::count_if(c.lines.begin(), c.lines.end(), of_kind) > 1;
    const QString name = adjustment_name(l.kind);
    return {twice ? t("%1, %2").arg(name, part_name(l.part)) : name,
            amounts(c, l, u),
            way_or_meaning(l.kind, l.method, has_gores(c.altered.pieces)),
            words::why(c, l, u),
            c.work.plan.sewn && !adjustment(l.kind).when_sewn && l.state == LineState::Accepted
                ? t("as it was sewn")
                : state_text(l, u),
            sides_told(l, u)};
}

QString plan_sentence(const PlanLine& l, const Computed& c, Unit u)
{
    const auto text = plan_text(l, c, u);
    const QString said = t("%1: %2, %3, %4").arg(text.name, text.amounts, text.why, text.state);
    return text.sides.isEmpty() ? said : said + ". " + text.sides;
}

QString walk_side(const Walk& w, bool second)
{
    if (w.over_centre) return side_name(second ? Side::Left : Side::Right);
    const auto part = second ? w.part_b : w.part_a;
    if (part) return part_name(*part);
    const QString known = seam_sides(w.seam, second);
    const std::string& piece = second ? w.name_b : w.name_a;
    return known.isEmpty() ? piece.empty() ? second ? t("second") : t("first") : text(piece).toLower() : known;
}

namespace {

// How far a seam is from level, or from what is meant; empty where it is level and means to be.
QString walked_off(const Walk& w, const std::function<QString(Length)>& said)
{
    constexpr Length seen = Length::mm(0.5);
    const Length meant = w.b - w.a - w.difference;
    const bool eased = abs(meant) >= seen;
    if (w.holds && !eased) return {};
    if (w.holds) return (meant > Length{} ? t("%1 longer, as meant") : t("%1 shorter, as meant")).arg(said(meant));
    if (!eased) return (w.difference > Length{} ? t("%1 longer") : t("%1 shorter")).arg(said(w.difference));
    return (w.difference > Length{} ? t("%1 more than meant") : t("%1 less than meant")).arg(said(w.difference));
}

}  // namespace

QString walk_verdict(const Walk& w, Unit u)
{
    const QString off = walked_off(w, [&](Length l) { return amount_on_paper(abs(l), u); });
    if (off.isEmpty()) return t("holds");
    return w.holds ? off : t("%1: true again").arg(off);
}

QString walk_brief(const Walk& w, Unit u)
{
    return walked_off(w, [&](Length l) { return number(abs(l), paper_unit(u)); });
}

QString walk_name(const Walk& w)
{
    const QString name = seam_name(w.seam);
    return w.over_centre && w.part_a ? t("%1, %2").arg(name, part_name(*w.part_a)) : name;
}

QString walk_sentence(const Walk& w, Unit u)
{
    return t("%1: %2 %3, %4 %5, %6")
        .arg(of_side(walk_name(w), w.side), walk_side(w, false), amount(w.a, u), walk_side(w, true),
             amount(w.b, u), walk_verdict(w, u));
}

namespace {

QString outline_sentence(const OutlineCheck& o)
{
    const QString piece = text(o.piece);
    switch (*o.found) {
        case Unsound::LineOfNoLength: return t("%1 has a line of no length: join its ends").arg(piece);
        case Unsound::Crossing: return t("the outline of %1 crosses itself: draw it anew").arg(piece);
        case Unsound::MouthTooWide: return t("a dart of %1 is wider than its edge").arg(piece);
    }
    return {};
}

}  // namespace

QString hem_text(const HemLevel& h, Unit u)
{
    const auto by = [&](Length l) { return amount(l, u, true); };
    if (!h.holds && h.of_legs)
        return h.side_left && abs(*h.side_left - h.side) > Length::mm(0.5)
                   ? t("hem of the leg: right side %1, left side %2, inner leg in front %3, behind %4")
                         .arg(by(h.side), by(*h.side_left), by(h.front), by(h.back))
                   : t("hem of the leg: side %1, inner leg in front %2, behind %3")
                         .arg(by(h.side), by(h.front), by(h.back));
    if (!h.holds && h.side_left && abs(*h.side_left - h.side) > Length::mm(0.5))
        return t("hem: front %1, right side %2, left side %3, back %4")
            .arg(by(h.front), by(h.side), by(*h.side_left), by(h.back));
    if (h.holds) return t("hem level all round");
    return t("hem: front %1, side %2, back %3").arg(by(h.front), by(h.side), by(h.back));
}

QString corner_name(const Join& j)
{
    if (!j.over_centre) return of_side(join_name(j.place), j.side);
    return t("%1 over the centre").arg(join_name(j.place));
}

QStringList to_true(const Checks& c, Unit u)
{
    QStringList out;
    for (const auto& o : c.outlines) {
        if (!o.holds) out << of_side(outline_sentence(o), o.side);
    }
    for (const auto& j : c.joins) {
        if (!j.holds)
            out << t("%1 has a corner, %2°: true it").arg(corner_name(j), QString::number(j.degrees, 'f', 1));
    }
    for (const auto& f : c.folds) {
        if (!f.holds)
            out << t("the fold of the %1 bends by %2").arg(of_side(text(f.piece), f.side), amount(f.off, u));
    }
    if (c.hem && !c.hem->holds) out << hem_text(*c.hem, u);
    for (const auto& d : c.darts) {
        if (!d.holds)
            out << t("the legs of a dart of %1 differ by %2")
                       .arg(of_side(text(d.piece), d.side), amount(abs(d.apart), u));
    }
    return out;
}

QStringList not_holding(const Checks& c, Unit u)
{
    QStringList out;
    for (const auto& w : c.walks) {
        if (!w.holds) out << walk_sentence(w, paper_unit(u));
    }
    out += to_true(c, paper_unit(u));
    for (const auto& e : c.ease) {
        if (!e.holds) out << ease_warning(e, u);
    }
    return out;
}

}  // namespace sartorum::words
