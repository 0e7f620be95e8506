// Size charts.
#include <QCoreApplication>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr Length chart_most = Length::mm(10'000);
constexpr Length beside_most = Length::mm(10'000);

// What a chart is called where its maker gave it no name.
QString name_of(const SizeChart& chart, Id id)
{
    if (!chart.name.empty()) return text(chart.name);
    return chart.maker.empty() ? tr_("Size chart %1").arg(id) : tr_("Chart of %1").arg(text(chart.maker));
}

}  // namespace

std::optional<SizeChart> Notebook::read_chart(Id id) const
{
    auto head = ask(
        "SELECT name, maker, cups_by, height_from_mm, height_to_mm, allowance_mm FROM chart WHERE id = ?", {id});
    if (!head.next()) return std::nullopt;
    SizeChart out{head.value(0).toString().toStdString(), head.value(1).toString().toStdString(), {}};
    out.cups_by = head.value(2).toString() == "underbust" ? CupBy::Underbust : CupBy::HighBust;
    const QString named = name_of(out, id);
    for (const auto& [column, into] :
         {std::pair{3, &out.height_from}, std::pair{4, &out.height_to}, std::pair{5, &out.allowance}}) {
        *into = length_of(head.value(column), beside_most);
        if (!*into && !head.value(column).isNull())
            leave_out(tr_("height or allowance of %1").arg(named), head.value(column));
    }
    // A chart in which one number is wrong gives wrong advice: it is left out whole.
    bool whole = true;
    const auto length = [&](const QVariant& v, const QString& what) {
        const auto mm = length_of(v, chart_most);
        if (!mm) leave_out(tr_("%1 in %2").arg(what, named), v);
        whole = whole && mm;
        return mm.value_or(Length{});
    };
    auto q =
        ask("SELECT s.id, s.name, s.group_name, v.measure, v.value_mm, v.half_range_mm, v.what FROM chart_size s "
            "JOIN chart_value v ON v.size_id = s.id WHERE s.chart_id = ? ORDER BY s.position",
            {id});
    Id last = -1;
    while (q.next()) {
        if (q.value(0).toLongLong() != last) {
            out.sizes.push_back({q.value(1).toString().toStdString(), {}, 0, q.value(2).toString().toStdString()});
        }
        last = q.value(0).toLongLong();
        const auto m = measure_of_key(q.value(3).toString().toStdString());
        if (!m) {
            leave_out(tr_("a measure in %1").arg(named), q.value(3));
            continue;
        }
        auto& size = out.sizes.back();
        const QString what = tr_("size %1, %2").arg(q.value(1).toString(), q.value(3).toString());
        (q.value(6).toString() == "finished" ? size.finished : size.body)[*m] = length(q.value(4), what);
        const Length half = length(q.value(5), what);
        if (half > Length{}) size.half_range[*m] = half;
    }
    auto cups = ask("SELECT group_name, letter FROM chart_cup WHERE chart_id = ?", {id});
    while (cups.next())
        out.drafted_cup[cups.value(0).toString().toStdString()] = cups.value(1).toString().toStdString();
    auto rows = ask("SELECT letter, difference_mm FROM cup_row WHERE chart_id = ? ORDER BY position", {id});
    while (rows.next())
        out.cups.push_back({rows.value(0).toString().toStdString(), length(rows.value(1), tr_("cup"))});
    auto views =
        ask("SELECT name, first_size, last_size FROM chart_view WHERE chart_id = ? ORDER BY position", {id});
    while (views.next())
        out.views.push_back({views.value(0).toString().toStdString(), views.value(1).toString().toStdString(),
                             views.value(2).toString().toStdString()});
    auto heights = ask("SELECT group_name, from_mm, to_mm FROM chart_height WHERE chart_id = ?", {id});
    while (heights.next())
        out.heights[heights.value(0).toString().toStdString()] = {length(heights.value(1), tr_("height")),
                                                                  length(heights.value(2), tr_("height"))};
    if (!whole) return std::nullopt;
    if (auto sound = check_chart(out)) return sound.value();
    leave_out(tr_("its sizes, of %1").arg(named), {});
    return std::nullopt;
}

std::optional<SizeChart> Notebook::chart(Id id) const
{
    auto out = read_chart(id);
    if (out && out->name.empty()) out->name = name_of(*out, id).toStdString();
    return out;
}

void Notebook::write_chart(Change& change, Id id, const SizeChart& chart)
{
    for (std::size_t i = 0; i < chart.sizes.size(); ++i) {
        const auto& s = chart.sizes[i];
        const Id size =
            change.insert("INSERT INTO chart_size (chart_id, position, name, group_name) VALUES (?, ?, ?, ?)",
                          {id, static_cast<int>(i), text(s.name), text(s.group)});
        for (const auto& [m, value] : s.body) {
            change.run("INSERT INTO chart_value (size_id, measure, value_mm, half_range_mm) VALUES (?, ?, ?, ?)",
                       {size, key(m), value.in_mm(), chart.half_range(i, m).in_mm()});
        }
        for (const auto& [m, value] : s.finished) {
            change.run("INSERT INTO chart_value (size_id, measure, value_mm, what) VALUES (?, ?, ?, 'finished')",
                       {size, key(m), value.in_mm()});
        }
    }
    for (const auto& [group, letter] : chart.drafted_cup) {
        change.run("INSERT INTO chart_cup (chart_id, group_name, letter) VALUES (?, ?, ?)",
                   {id, text(group), text(letter)});
    }
    for (const auto& [group, range] : chart.heights) {
        change.run("INSERT INTO chart_height (chart_id, group_name, from_mm, to_mm) VALUES (?, ?, ?, ?)",
                   {id, text(group), range.from.in_mm(), range.to.in_mm()});
    }
    for (std::size_t i = 0; i < chart.cups.size(); ++i) {
        change.run("INSERT INTO cup_row (chart_id, position, letter, difference_mm) VALUES (?, ?, ?, ?)",
                   {id, static_cast<int>(i), text(chart.cups[i].letter), chart.cups[i].difference.in_mm()});
    }
    for (std::size_t i = 0; i < chart.views.size(); ++i) {
        const auto& v = chart.views[i];
        change.run(
            "INSERT INTO chart_view (chart_id, position, name, first_size, last_size) VALUES (?, ?, ?, ?, ?)",
            {id, static_cast<int>(i), text(v.name), text(v.first), text(v.last)});
    }
}

Result<Id> Notebook::add_chart(const SizeChart& chart)
{
    Change change{*this, tr_("new size chart")};
    const Id id = change.insert(
        "INSERT INTO chart (name, maker, cups_by, height_from_mm, height_to_mm, allowance_mm) VALUES (?, ?, ?, ?, "
        "?, ?)",
        {text(chart.name), text(chart.maker), chart.cups_by == CupBy::Underbust ? "underbust" : "high_bust",
         or_null(chart.height_from), or_null(chart.height_to), or_null(chart.allowance)});
    write_chart(change, id, chart);
    change.run("UPDATE on_table SET chart_id = ?", {id});
    change.run("UPDATE pattern SET chart_id = ? WHERE chart_id IS NULL AND id = (SELECT pattern_id FROM on_table)",
               {id});
    return change.commit(id);
}

Result<bool> Notebook::replace_chart(Id id, const SizeChart& chart)
{
    Change change{*this, tr_("size chart changed")};
    change.run("DELETE FROM chart_value WHERE size_id IN (SELECT id FROM chart_size WHERE chart_id = ?)", {id});
    for (const char* table : {"chart_size", "chart_cup", "cup_row", "chart_view", "chart_height"})
        change.run(QString{"DELETE FROM %1 WHERE chart_id = ?"}.arg(QLatin1String{table}), {id});
    change.run(
        "UPDATE chart SET name = ?, maker = ?, cups_by = ?, height_from_mm = ?, height_to_mm = ?, allowance_mm = "
        "? WHERE id = ?",
        {text(chart.name), text(chart.maker), chart.cups_by == CupBy::Underbust ? "underbust" : "high_bust",
         or_null(chart.height_from), or_null(chart.height_to), or_null(chart.allowance), id});
    write_chart(change, id, chart);
    return change.commit(true);
}

}  // namespace sartorum::notebook
