// Plans: read with every value checked, and written row by row.
#include <QCoreApplication>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr Length amount_most = Length::mm(1e6);
constexpr double stretch_most = 1.5;

QString column_of(PlanFor what)
{
    return what.what == PlanFor::What::Pattern ? QString{"pattern_id"} : QString{"chart_id"};
}

const QStringList plan_columns{"waist_size", "hip_size", "bust_size", "chart_group", "garment",
                               "roomy",      "knit",     "stretch",   "seated",      "school"};

// In the order of plan_columns.
QVariantList values_of(const Plan& plan)
{
    const auto& wish = plan.choosing;
    return {text(plan.waist_size),
            text(plan.hip_size),
            text(plan.bust_size),
            text(plan.chart_group),
            word(garment_keys, wish.kind),
            wish.full,
            plan.cloth.knit,
            plan.cloth.stretch,
            wish.seated,
            wish.school ? word(school_keys, *wish.school) : QString{""}};
}

QString key(AdjustmentKind kind)
{
    return text(std::string{adjustment(kind).key});
}

bool same(const Decision& a, const Decision& b)
{
    return a.kind == b.kind && a.answer == b.answer && a.amount == b.amount && a.back == b.back &&
           a.method == b.method;
}

}  // namespace

std::optional<Id> Notebook::plan_id(Id wearer, PlanFor what) const
{
    auto q = ask(connection_, "SELECT id FROM plan WHERE wearer_id = ? AND " + column_of(what) + " = ?",
                 {wearer, what.id});
    return q.next() ? std::optional{q.value(0).toLongLong()} : std::nullopt;
}

std::vector<Notebook::KeptDecision> Notebook::decisions(Id plan) const
{
    std::vector<KeptDecision> out;
    auto q = ask(
        connection_,
        "SELECT id, adjustment, answer, amount_mm, back_mm, method FROM decision WHERE plan_id = ? ORDER BY id",
        {plan});
    while (q.next()) {
        const QString name = q.value(1).toString();
        const QString answer = q.value(2).toString();
        const auto kind = adjustment_of_key(name.toStdString());
        if (!kind || (answer != "accepted" && answer != "declined")) {
            leave_out(tr_("a decision of the plan"), kind ? q.value(2) : q.value(1));
            continue;
        }
        Decision d{*kind, answer == "accepted" ? Answer::Accepted : Answer::Declined, {}};
        d.amount = length_of(q.value(3), amount_most);
        d.back = length_of(q.value(4), amount_most);
        d.method = method_of_key(adjustment(*kind), q.value(5).toString().toStdString());
        // A decision in another amount or another way than was meant is wrong advice: it is left out whole.
        const std::pair<int, bool> read[] = {{3, d.amount.has_value()}, {4, d.back.has_value()}};
        bool whole = true;
        for (const auto& [column, there] : read) {
            if (there || q.value(column).isNull()) continue;
            leave_out(tr_("the amount decided for %1").arg(name), q.value(column));
            whole = false;
        }
        if (!d.method && !q.value(5).toString().isEmpty()) {
            leave_out(tr_("the way decided for %1").arg(name), q.value(5));
            whole = false;
        }
        if (whole) out.push_back({q.value(0).toLongLong(), d});
    }
    return out;
}

Plan Notebook::plan(Id wearer, PlanFor what) const
{
    Plan out;
    const auto id = plan_id(wearer, what);
    if (!id) return out;
    auto head = ask(connection_, "SELECT " + plan_columns.join(", ") + " FROM plan WHERE id = ?", {*id});
    if (!head.next()) return out;
    for (const auto& [column, into] : {std::pair{0, &out.waist_size}, std::pair{1, &out.hip_size},
                                       std::pair{2, &out.bust_size}, std::pair{3, &out.chart_group}})
        *into = head.value(column).toString().toStdString();
    const auto kind = from_word<GarmentKind>(garment_keys, head.value(4));
    if (kind) out.choosing.kind = *kind;
    if (!kind) leave_out(tr_("the kind of garment in a plan"), head.value(4));
    out.choosing.full = head.value(5).toInt() != 0;
    out.choosing.knit = out.cloth.knit = head.value(6).toInt() != 0;
    const auto stretch = number_of(head.value(7));
    if (stretch && *stretch >= 0 && *stretch <= stretch_most)
        out.cloth.stretch = *stretch;
    else
        leave_out(tr_("the stretch of a plan's cloth"), head.value(7));
    out.choosing.seated = head.value(8).toInt() != 0;
    if (!head.value(9).toString().isEmpty()) {
        out.choosing.school = from_word<School>(school_keys, head.value(9));
        if (!out.choosing.school) leave_out(tr_("how a plan's size is chosen"), head.value(9));
    }
    for (const auto& kept : decisions(*id)) out.decide(kept.decision);
    auto wishes = ask(connection_, "SELECT measure, ease_mm FROM ease_wish WHERE plan_id = ?", {*id});
    while (wishes.next()) {
        const auto m = measure_of_key(wishes.value(0).toString().toStdString());
        const auto ease = length_of(wishes.value(1), Length::mm(2000));
        if (m && ease)
            out.ease[*m] = *ease;
        else
            leave_out(tr_("ease wished at %1").arg(wishes.value(0).toString()), wishes.value(1));
    }
    return out;
}

bool Notebook::has_plan(Id wearer, PlanFor what) const
{
    return plan_id(wearer, what).has_value();
}

// The rows that stand at the head of the new list in the same order stay; the others go, and what is new comes
// after them. Ids grow, and tell the order of deciding.
void Notebook::write_decisions(Change& change, Id plan, const std::vector<Decision>& wanted) const
{
    const auto old = decisions(plan);
    std::size_t kept = 0;
    for (const auto& row : old) {
        if (kept < wanted.size() && same(row.decision, wanted[kept]))
            ++kept;
        else
            change.run("DELETE FROM decision WHERE id = ?", {row.id});
    }
    for (std::size_t i = kept; i < wanted.size(); ++i) {
        const auto& d = wanted[i];
        change.run(
            "INSERT INTO decision (plan_id, adjustment, answer, amount_mm, back_mm, method) VALUES (?, ?, ?, ?, "
            "?, ?)",
            {plan, key(d.kind), d.answer == Answer::Accepted ? "accepted" : "declined", or_null(d.amount),
             or_null(d.back), d.method ? text(std::string{adjustment(d.kind).methods[*d.method]}) : QString{""}});
    }
}

void Notebook::write_wishes(Change& change, Id plan, const EaseWishes& old, const EaseWishes& wanted)
{
    for (const auto& [m, ease] : old) {
        if (!wanted.contains(m))
            change.run("DELETE FROM ease_wish WHERE plan_id = ? AND measure = ?", {plan, notebook::key(m)});
    }
    for (const auto& [m, ease] : wanted) {
        const auto was = old.find(m);
        if (was != old.end() && was->second == ease) continue;
        if (was != old.end())
            change.run("UPDATE ease_wish SET ease_mm = ? WHERE plan_id = ? AND measure = ?",
                       {ease.in_mm(), plan, notebook::key(m)});
        else
            change.run("INSERT INTO ease_wish (plan_id, measure, ease_mm) VALUES (?, ?, ?)",
                       {plan, notebook::key(m), ease.in_mm()});
    }
}

Result<bool> Notebook::save_plan(Id wearer, PlanFor what, const Plan& plan, const QString& act)
{
    Change change{*this, act};
    const Plan old = this->plan(wearer, what);
    auto id = plan_id(wearer, what);
    const auto now = values_of(plan);
    if (id) {
        const auto before = values_of(old);
        QStringList sets;
        QVariantList values;
        for (int i = 0; i < plan_columns.size(); ++i) {
            if (now[i] == before[i]) continue;
            sets << plan_columns[i] + " = ?";
            values << now[i];
        }
        if (!sets.isEmpty())
            change.run("UPDATE plan SET " + sets.join(", ") + " WHERE id = ?", values + QVariantList{*id});
    } else {
        id = change.insert("INSERT INTO plan (" + plan_columns.join(", ") + ", wearer_id, " + column_of(what) +
                               ") VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                           now + QVariantList{wearer, what.id});
    }
    write_wishes(change, *id, old.ease, plan.ease);
    write_decisions(change, *id, plan.decisions);
    return change.commit(true);
}

}  // namespace sartorum::notebook
