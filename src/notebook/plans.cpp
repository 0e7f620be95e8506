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

const QStringList plan_columns{"chart_group", "garment", "roomy",    "knit",  "stretch",
                               "seated",      "school",  "as_drawn", "sides", "sewn"};

QString sides_word(SidesWay way)
{
    return text(std::string{sartorum::key(way)});
}

QString level_word(Level level)
{
    return text(std::string{key(level)});
}

// In the order of plan_columns.
QVariantList values_of(const Plan& plan)
{
    const auto& wish = plan.choosing;
    return {text(plan.chart_group),
            word(garment_keys, wish.kind),
            wish.full,
            plan.cloth.knit,
            plan.cloth.stretch,
            wish.seated,
            wish.school ? word(school_keys, *wish.school) : QString{""},
            plan.as_drawn,
            sides_word(plan.sides),
            plan.sewn};
}

QString key(AdjustmentKind kind)
{
    return text(std::string{adjustment(kind).key});
}

}  // namespace

std::optional<Id> Notebook::plan_id(Id wearer, PlanFor what) const
{
    auto q = ask("SELECT id FROM plan WHERE wearer_id = ? AND " + column_of(what) + " = ?", {wearer, what.id});
    return q.next() ? std::optional{q.value(0).toLongLong()} : std::nullopt;
}

// Where one of them cannot be read, none.
std::optional<std::vector<Amount>> Notebook::amounts(Id decision, const QString& of) const
{
    std::vector<Amount> out;
    auto q =
        ask("SELECT at, face, side, by_mm FROM decision_amount WHERE decision_id = ? ORDER BY id", {decision});
    while (q.next()) {
        const auto face = face_of_key(q.value(1).toString().toStdString());
        const auto side = side_said(q.value(2));
        const auto by = length_of(q.value(3), amount_most);
        if (!face || !side || !by) {
            const int broken = !face ? 1 : !by ? 3 : 2;
            leave_out(tr_("the amount decided for %1").arg(of), q.value(broken));
            return std::nullopt;
        }
        out.push_back({q.value(0).toString().toStdString(), *face, *side, *by});
    }
    return out;
}

std::vector<Notebook::KeptDecision> Notebook::decisions(Id plan) const
{
    std::vector<KeptDecision> out;
    auto q =
        ask("SELECT id, adjustment, subject, answer, method, sides, seen_on FROM decision WHERE plan_id = ? "
            "ORDER BY id",
            {plan});
    while (q.next()) {
        const QString name = q.value(1).toString();
        const QString subject = q.value(2).toString();
        const QString answer = q.value(3).toString();
        const QString way = q.value(4).toString();
        const auto kind = adjustment_of_key(name.toStdString());
        // Of the whole garment one seam can be meant.
        const bool of_seam = kind && adjustment(*kind).at_join == AtJoin::WholeGarment;
        const bool about = subject.isEmpty() || of_seam || part_of_key(subject.toStdString());
        if (!kind || !about || (answer != "accepted" && answer != "declined")) {
            leave_out(tr_("a decision of the plan"), q.value(!kind ? 1 : !about ? 2 : 3));
            continue;
        }
        Decision d{*kind, answer == "accepted" ? Answer::Accepted : Answer::Declined};
        d.subject = subject.toStdString();
        d.method = method_of_key(adjustment(*kind), way.toStdString());
        // A decision in another amount or another way than was meant is wrong advice: it is left out whole.
        auto own = amounts(q.value(0).toLongLong(), name);
        const bool way_read = d.method || way.isEmpty();
        if (!way_read) leave_out(tr_("the way decided for %1").arg(name), q.value(4));
        const auto sides = sides_of_key(q.value(5).toString().toStdString());
        if (!sides) leave_out(tr_("how the sides of %1 are answered").arg(name), q.value(5));
        if (!own || !way_read || !sides) continue;
        d.sides = *sides;
        d.seen_on = day_of(q.value(6)).value_or(QString{}).toStdString();
        if (d.seen_on.empty() && !q.value(6).toString().isEmpty())
            leave_out(tr_("the toile %1 was seen on").arg(name), q.value(6));
        d.amounts = std::move(*own);
        out.push_back({q.value(0).toLongLong(), d});
    }
    return out;
}

Plan Notebook::plan(Id wearer, PlanFor what) const
{
    Plan out;
    const auto id = plan_id(wearer, what);
    if (!id) return out;
    auto head = ask("SELECT " + plan_columns.join(", ") + " FROM plan WHERE id = ?", {*id});
    if (!head.next()) return out;
    auto sizes = ask("SELECT level, size FROM plan_size WHERE plan_id = ?", {*id});
    while (sizes.next()) {
        const auto level = level_of_key(sizes.value(0).toString().toStdString());
        if (level && !sizes.value(1).toString().isEmpty())
            out.sizes[*level] = sizes.value(1).toString().toStdString();
    }
    out.chart_group = head.value(0).toString().toStdString();
    const auto kind = from_word<GarmentKind>(garment_keys, head.value(1));
    if (kind) out.choosing.kind = *kind;
    if (!kind) leave_out(tr_("the kind of garment in a plan"), head.value(1));
    out.choosing.full = head.value(2).toInt() != 0;
    out.choosing.knit = out.cloth.knit = head.value(3).toInt() != 0;
    const auto stretch = number_of(head.value(4));
    if (stretch && *stretch >= 0 && *stretch <= stretch_most)
        out.cloth.stretch = *stretch;
    else
        leave_out(tr_("the stretch of a plan's cloth"), head.value(4));
    out.choosing.seated = head.value(5).toInt() != 0;
    if (!head.value(6).toString().isEmpty()) {
        out.choosing.school = from_word<School>(school_keys, head.value(6));
        if (!out.choosing.school) leave_out(tr_("how a plan's size is chosen"), head.value(6));
    }
    out.as_drawn = head.value(7).toInt() != 0;
    if (const auto sides = sides_of_key(head.value(8).toString().toStdString()))
        out.sides = *sides;
    else
        leave_out(tr_("how a plan's sides are answered"), head.value(8));
    out.sewn = head.value(9).toInt() != 0;
    out.make_up = make_up(*id);
    for (const auto& kept : decisions(*id)) out.put(kept.decision);
    auto wishes = ask("SELECT measure, ease_mm FROM ease_wish WHERE plan_id = ?", {*id});
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
        if (kept < wanted.size() && row.decision == wanted[kept]) {
            ++kept;
            continue;
        }
        change.run("DELETE FROM decision_amount WHERE decision_id = ?", {row.id});
        change.run("DELETE FROM decision WHERE id = ?", {row.id});
    }
    for (std::size_t i = kept; i < wanted.size(); ++i) {
        const auto& d = wanted[i];
        const QString way = d.method ? text(std::string{adjustment(d.kind).methods[*d.method]}) : QString{""};
        const Id id = change.insert(
            "INSERT INTO decision (plan_id, adjustment, subject, answer, method, sides, seen_on) VALUES (?, ?, ?, "
            "?, ?, ?, ?)",
            {plan, key(d.kind), text(d.subject), d.answer == Answer::Accepted ? "accepted" : "declined", way,
             sides_word(d.sides), text(d.seen_on)});
        for (const auto& a : d.amounts) {
            change.run(
                "INSERT INTO decision_amount (decision_id, at, face, side, by_mm) VALUES (?, ?, ?, ?, ?)",
                {id, text(a.at), text(std::string{sartorum::key(a.face)}), side_word(a.side), a.by.in_mm()});
        }
    }
}

// A row for each level, also where no size is chosen: so a change of size is a change of a row.
void Notebook::write_sizes(Change& change, Id plan, const Plan& old, const Plan& wanted, bool fresh)
{
    for (const auto level : sized_levels) {
        const QString size = text(wanted.size_at(level));
        if (fresh)
            change.run("INSERT INTO plan_size (plan_id, level, size) VALUES (?, ?, ?)",
                       {plan, level_word(level), size});
        else if (wanted.size_at(level) != old.size_at(level))
            change.run("UPDATE plan_size SET size = ? WHERE plan_id = ? AND level = ?",
                       {size, plan, level_word(level)});
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
    const bool fresh = !id;
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
                               ") VALUES (?" + QString{", ?"}.repeated(plan_columns.size() + 1) + ")",
                           now + QVariantList{wearer, what.id});
    }
    write_sizes(change, *id, old, plan, fresh);
    write_wishes(change, *id, old.ease, plan.ease);
    write_decisions(change, *id, plan.decisions);
    write_make_up(change, *id, plan.make_up);
    return change.commit(true);
}

}  // namespace sartorum::notebook
