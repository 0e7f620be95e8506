// What a plan makes otherwise than its pattern: read with every value checked, and written row by row.
#include <QCoreApplication>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr qsizetype most_drawing = 400'000;  // letters
// As in a file (formats/make_up_json.h); what is past them stays in the notebook, unread.
constexpr std::size_t most_left_out = 40;
constexpr std::size_t most_sewn_to = 8;

QString side_text(const SeamSide& s)
{
    const auto role = sartorum::key(s.role);
    return text(s.piece) + ":" + QString::fromLatin1(role.data(), static_cast<qsizetype>(role.size()));
}

QString sides_text(const std::vector<SeamSide>& sides)
{
    QStringList out;
    for (const auto& s : sides) out << side_text(s);
    return out.join(' ');
}

std::optional<SeamSide> side_of(const QString& said)
{
    const auto at = said.lastIndexOf(':');
    const auto role = edge_role_of(said.mid(at + 1).toStdString());
    if (at <= 0 || !role) return std::nullopt;
    return SeamSide{said.left(at).toStdString(), *role};
}

// None where one of them is no edge.
std::optional<std::vector<SeamSide>> sides_of(const QString& said)
{
    std::vector<SeamSide> out;
    for (const auto& one : said.split(' ', Qt::SkipEmptyParts)) {
        const auto side = side_of(one);
        if (!side || (!out.empty() && side->role != out.front().role)) return std::nullopt;
        out.push_back(*side);
    }
    return out.empty() || out.size() > most_sewn_to ? std::nullopt : std::optional{out};
}

}  // namespace

std::vector<Notebook::Row<std::string>> Notebook::left_out(Id plan) const
{
    std::vector<Row<std::string>> out;
    auto q = ask("SELECT id, piece FROM left_out WHERE plan_id = ? ORDER BY id LIMIT ?",
                 {plan, int(most_left_out) + 1});
    while (q.next() && within(out, most_left_out, tr_("pieces left out")))
        out.push_back({q.value(0).toLongLong(), q.value(1).toString().toStdString()});
    return out;
}

std::vector<Notebook::Row<MadeFacing>> Notebook::made_facings(Id plan) const
{
    std::vector<Row<MadeFacing>> out;
    auto q = ask("SELECT id, under, width_mm FROM made_facing WHERE plan_id = ? ORDER BY id LIMIT ?",
                 {plan, int(most_made_up) + 1});
    while (q.next() && within(out, most_made_up, tr_("facings that are made"))) {
        const auto from = side_of(q.value(1).toString());
        const auto width = length_of(q.value(2), piece_most);
        if (!from || !width || *width <= Length{}) {
            leave_out(tr_("a facing that is made"), q.value(from ? 2 : 1));
            continue;
        }
        out.push_back({q.value(0).toLongLong(), {*from, *width}});
    }
    return out;
}

std::vector<Notebook::Row<BroughtPiece>> Notebook::brought_pieces(Id plan) const
{
    std::vector<Row<BroughtPiece>> out;
    auto q =
        ask("SELECT id, pattern, size, drawing, sewn_to, ratio FROM brought_piece WHERE plan_id = ? ORDER BY id "
            "LIMIT ?",
            {plan, int(most_made_up) + 1});
    while (q.next() && within(out, most_made_up, tr_("pieces brought in"))) {
        const auto to = sides_of(q.value(4).toString());
        const auto ratio = number_of(q.value(5));
        const QString drawing = q.value(3).toString();
        const bool fits = drawing.size() <= most_drawing;
        if (!to || !ratio || *ratio < fullness_least || *ratio > fullness_most || !fits) {
            leave_out(tr_("a piece brought in from %1").arg(q.value(1).toString()), q.value(!to    ? 4
                                                                                            : fits ? 5
                                                                                                   : 0));
            continue;
        }
        out.push_back({q.value(0).toLongLong(),
                       {q.value(1).toString().toStdString(), q.value(2).toString().toStdString(),
                        drawing.toStdString(), *to, *ratio}});
    }
    return out;
}

std::vector<Notebook::Row<MovedOpening>> Notebook::moved_openings(Id plan) const
{
    std::vector<Row<MovedOpening>> out;
    auto q =
        ask("SELECT id, centre, length_mm, overlap_mm, button_gap_mm FROM moved_opening WHERE plan_id = ? "
            "ORDER BY id LIMIT 2",
            {plan});
    while (q.next()) {
        const auto role = piece_role_of(q.value(1).toString().toStdString());
        const bool at_centre = role == PieceRole::Front || role == PieceRole::Back;
        const auto length = length_of(q.value(2), piece_most);
        const auto overlap = length_of(q.value(3), centre_extent_most);
        const auto gap = length_of(q.value(4), piece_most);
        const bool sound = length && *length > Length{} && overlap && *overlap >= Length{} && gap &&
                           (*gap == Length{} || *gap >= button_gap_least);
        if (!at_centre || !sound) {
            leave_out(tr_("the opening that was moved"), q.value(at_centre ? 2 : 1));
            continue;
        }
        out.push_back({q.value(0).toLongLong(), {*role, *length, *overlap, *gap}});
    }
    return out;
}

MakeUp Notebook::make_up(Id plan) const
{
    MakeUp out;
    for (auto& row : left_out(plan)) out.left_out.push_back(std::move(row.value));
    for (auto& row : made_facings(plan)) out.facings.push_back(std::move(row.value));
    for (auto& row : brought_pieces(plan)) out.brought.push_back(std::move(row.value));
    for (auto& row : moved_openings(plan)) out.opening = row.value;
    return out;
}

// Rows of what is wanted still stay; the others go, and what is new comes after them.
template <class T, class Insert>
void Notebook::write_rows(Change& change, const char* table, const std::vector<Row<T>>& old,
                          const std::vector<T>& wanted, Insert insert)
{
    const auto in = [](const auto& among, const T& value) {
        return std::find(among.begin(), among.end(), value) != among.end();
    };
    std::vector<T> stay;
    for (const auto& row : old) {
        if (in(wanted, row.value) && !in(stay, row.value))
            stay.push_back(row.value);
        else
            change.run(QString{"DELETE FROM %1 WHERE id = ?"}.arg(QLatin1String{table}), {row.id});
    }
    for (const auto& value : wanted) {
        if (!in(stay, value)) insert(value);
    }
}

void Notebook::write_make_up(Change& change, Id plan, const MakeUp& wanted) const
{
    write_rows(change, "left_out", left_out(plan), wanted.left_out, [&](const std::string& piece) {
        change.run("INSERT INTO left_out (plan_id, piece) VALUES (?, ?)", {plan, text(piece)});
    });
    write_rows(change, "made_facing", made_facings(plan), wanted.facings, [&](const MadeFacing& f) {
        change.run("INSERT INTO made_facing (plan_id, under, width_mm) VALUES (?, ?, ?)",
                   {plan, side_text(f.from), f.width.in_mm()});
    });
    write_rows(change, "brought_piece", brought_pieces(plan), wanted.brought, [&](const BroughtPiece& b) {
        change.run(
            "INSERT INTO brought_piece (plan_id, pattern, size, drawing, sewn_to, ratio) VALUES (?, ?, ?, ?, ?, "
            "?)",
            {plan, text(b.pattern), text(b.size), text(b.drawing), sides_text(b.to), b.ratio});
    });
    const auto opening = wanted.opening ? std::vector{*wanted.opening} : std::vector<MovedOpening>{};
    write_rows(change, "moved_opening", moved_openings(plan), opening, [&](const MovedOpening& o) {
        change.run(
            "INSERT INTO moved_opening (plan_id, centre, length_mm, overlap_mm, button_gap_mm) VALUES (?, ?, ?, "
            "?, "
            "?)",
            {plan, text(std::string{sartorum::key(o.to)}), o.length.in_mm(), o.overlap.in_mm(),
             o.button_gap.in_mm()});
    });
}

}  // namespace sartorum::notebook
