// Tissues measured flat: read with every value checked, and written row by row.
#include <QCoreApplication>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr std::array<const char*, 3> state_words{"measured", "lacking", "assumed"};

QString word_of(std::string_view s)
{
    return QString::fromUtf8(s.data(), static_cast<qsizetype>(s.size()));
}

QString line_key(TissueLine line)
{
    return word_of(facts(line).key);
}

}  // namespace

std::vector<Named> Notebook::tissues() const
{
    std::vector<Named> out;
    auto q = ask("SELECT id, name, maker FROM tissue ORDER BY id DESC");
    while (q.next()) out.push_back({q.value(0).toLongLong(), q.value(1).toString(), q.value(2).toString()});
    return out;
}

std::optional<Id> Notebook::pattern_of_tissue(Id id) const
{
    auto q = ask("SELECT pattern_id FROM tissue WHERE id = ? AND pattern_id IS NOT NULL", {id});
    return q.next() ? std::optional{q.value(0).toLongLong()} : std::nullopt;
}

void Notebook::read_lines(Id size, TissueSize& out) const
{
    auto q = ask("SELECT line, state, value_mm FROM tissue_line WHERE size_id = ?", {size});
    while (q.next()) {
        const auto line = tissue_line_of(q.value(0).toString().toStdString());
        const auto state = from_word<TissueState>(state_words, q.value(1));
        const bool wants = state && *state == TissueState::Measured;
        const auto value = wants && line ? length_of(q.value(2), facts(*line).high) : std::optional{Length{}};
        if (!line || !state || !value || *value < Length{}) {
            leave_out(tr_("a line of a tissue measured flat"), q.value(!line ? 0 : !state ? 1 : 2));
            continue;
        }
        out.lines[*line] = {*state, *value};
    }
}

std::optional<Tissue> Notebook::tissue(Id id) const
{
    auto head = ask("SELECT name, maker, kind, size FROM tissue WHERE id = ?", {id});
    if (!head.next()) return std::nullopt;
    Tissue out;
    out.name = head.value(0).toString().toStdString();
    out.maker = head.value(1).toString().toStdString();
    out.size = head.value(3).toString().toStdString();
    const auto kind = tissue_kind_of(head.value(2).toString().toStdString());
    if (!kind) {
        leave_out(tr_("what was measured flat"), head.value(2));
        return std::nullopt;
    }
    out.kind = *kind;
    auto notes = ask("SELECT note, word FROM tissue_note WHERE tissue_id = ?", {id});
    while (notes.next()) {
        const auto note = tissue_note_of(notes.value(0).toString().toStdString());
        const auto word = notes.value(1).toString().toStdString();
        const auto& words = note ? facts(*note).words : std::vector<std::string_view>{};
        const auto at = std::find(words.begin(), words.end(), word);
        if (at == words.end()) {
            leave_out(tr_("what is written on a tissue"), notes.value(note ? 1 : 0));
            continue;
        }
        out.notes[*note] = static_cast<int>(at - words.begin());
    }
    auto sizes = ask("SELECT id, name FROM tissue_size WHERE tissue_id = ? ORDER BY id LIMIT ?",
                     {id, static_cast<int>(most_tissue_sizes)});
    while (sizes.next()) {
        TissueSize s{sizes.value(1).toString().toStdString(), {}};
        read_lines(sizes.value(0).toLongLong(), s);
        out.sizes.push_back(std::move(s));
    }
    if (out.sizes.empty()) {
        leave_out(tr_("the sizes of a tissue measured flat"), {});
        return std::nullopt;
    }
    if (!out.in_hand()) out.size = out.sizes.front().name;
    return out;
}

void Notebook::write_notes(Change& change, Id tissue, const Tissue& old, const Tissue& wanted)
{
    for (const auto& [note, at] : wanted.notes) {
        const auto was = old.notes.find(note);
        if (was != old.notes.end() && was->second == at) continue;
        const QString word = word_of(facts(note).words[static_cast<std::size_t>(at)]);
        if (was != old.notes.end())
            change.run("UPDATE tissue_note SET word = ? WHERE tissue_id = ? AND note = ?",
                       {word, tissue, word_of(facts(note).key)});
        else
            change.run("INSERT INTO tissue_note (tissue_id, note, word) VALUES (?, ?, ?)",
                       {tissue, word_of(facts(note).key), word});
    }
}

void Notebook::write_lines(Change& change, Id size, const TissueSize& old, const TissueSize& wanted)
{
    for (const auto& [line, value] : old.lines) {
        if (!wanted.lines.contains(line))
            change.run("DELETE FROM tissue_line WHERE size_id = ? AND line = ?", {size, line_key(line)});
    }
    for (const auto& [line, value] : wanted.lines) {
        const auto was = old.lines.find(line);
        if (was != old.lines.end() && was->second == value) continue;
        const QVariant mm = value.state == TissueState::Measured ? QVariant{value.value.in_mm()} : QVariant{};
        const QString state = word(state_words, value.state);
        if (was != old.lines.end())
            change.run("UPDATE tissue_line SET state = ?, value_mm = ? WHERE size_id = ? AND line = ?",
                       {state, mm, size, line_key(line)});
        else
            change.run("INSERT INTO tissue_line (size_id, line, state, value_mm) VALUES (?, ?, ?, ?)",
                       {size, line_key(line), state, mm});
    }
}

Result<Id> Notebook::add_tissue(const Tissue& t)
{
    Change change{*this, tr_("a tissue to measure flat")};
    const Id id = change.insert("INSERT INTO tissue (name, maker, kind, size) VALUES (?, ?, ?, ?)",
                                {text(t.name), text(t.maker), word_of(key(t.kind)), text(t.size)});
    write_notes(change, id, {}, t);
    for (const auto& s : t.sizes) {
        const Id size =
            change.insert("INSERT INTO tissue_size (tissue_id, name) VALUES (?, ?)", {id, text(s.name)});
        write_lines(change, size, {}, s);
    }
    change.run("UPDATE on_table SET tissue_id = ?", {id});
    return change.commit(id);
}

Result<bool> Notebook::save_tissue(Id id, const Tissue& t, const QString& act)
{
    Change change{*this, act};
    const Tissue old = tissue(id).value_or(Tissue{});
    if (old.name != t.name || old.maker != t.maker || old.size != t.size)
        change.run("UPDATE tissue SET name = ?, maker = ?, size = ? WHERE id = ?",
                   {text(t.name), text(t.maker), text(t.size), id});
    write_notes(change, id, old, t);
    for (const auto& s : old.sizes) {
        if (t.size_named(s.name)) continue;
        change.run(
            "DELETE FROM tissue_line WHERE size_id = (SELECT id FROM tissue_size WHERE tissue_id = ? AND name = "
            "?)",
            {id, text(s.name)});
        change.run("DELETE FROM tissue_size WHERE tissue_id = ? AND name = ?", {id, text(s.name)});
    }
    for (const auto& s : t.sizes) {
        const auto* was = old.size_named(s.name);
        auto q = ask("SELECT id FROM tissue_size WHERE tissue_id = ? AND name = ?", {id, text(s.name)});
        const Id size = was && q.next() ? q.value(0).toLongLong()
                                        : change.insert("INSERT INTO tissue_size (tissue_id, name) VALUES (?, ?)",
                                                        {id, text(s.name)});
        write_lines(change, size, was ? *was : TissueSize{}, s);
    }
    return change.commit(true);
}

Result<Id> Notebook::add_drawn(Id tissue, const QString& name, const QString& maker, const QByteArray& svg,
                               std::optional<Id> chart)
{
    Change change{*this, tr_("new pattern %1").arg(name)};
    const Id id = insert_pattern(change, name, maker, svg, chart);
    change.run("UPDATE tissue SET pattern_id = ? WHERE id = ?", {id, tissue});
    return change.commit(id);
}

}  // namespace sartorum::notebook
