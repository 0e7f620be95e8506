// Acts: one transaction each, and the way back.
#include "notebook/rows.h"
#include "notebook/schema.h"

namespace sartorum::notebook {
namespace {

constexpr int acts_kept = 500;

}  // namespace

Notebook::Change::Change(const Notebook& book, const QString& name, bool undoable)
    : book_{book}, db_{QSqlDatabase::database(book.connection_)}, undoable_{undoable}
{
    if (book.looks_only()) {
        failed_ = Failure{Trouble::OtherWindow, {}};
        return;
    }
    // Nothing is kept in a file that nobody will open again.
    if (const auto lost = book.lost()) {
        failed_ = Failure{*lost, book.path_};
        return;
    }
    if (book.unread()) {
        failed_ = book.unread();
        return;
    }
    run("BEGIN IMMEDIATE");
    if (!undoable || failed_) return;
    run("INSERT INTO act (name, side) VALUES (?, 'undo')", {name});
    run("INSERT INTO current_act (id) SELECT max(id) FROM act");
}

Notebook::Change::Change(const Notebook& book, With) : Change{book, {}, false}
{
    run("INSERT INTO current_act (id) SELECT max(id) FROM act WHERE side = 'undo' HAVING max(id) IS NOT NULL");
}

Notebook::Change::~Change()
{
    if (!committed_) QSqlQuery{db_}.exec("ROLLBACK");
}

QSqlQuery Notebook::Change::run(const QString& sql, const QVariantList& values)
{
    QSqlQuery q{db_};
    if (failed_) return q;
    const bool ready = q.prepare(sql);
    for (int i = 0; ready && i < values.size(); ++i) q.bindValue(i, values[i]);
    if (!ready || !q.exec()) failed_ = Failure{trouble_of(q.lastError()), q.lastError().text()};
    return q;
}

Id Notebook::Change::insert(const QString& sql, const QVariantList& values)
{
    return run(sql, values).lastInsertId().toLongLong();
}

void Notebook::Change::give_up(Failure f)
{
    if (!failed_) failed_ = std::move(f);
}

void Notebook::Change::finish()
{
    // What was read to know what to write could not be read.
    if (book_.unread() && !failed_) failed_ = book_.unread();
    if (undoable_ && !failed_) {
        // What changed nothing is no act, and ends no way forward.
        auto changed = run("SELECT 1 FROM undo_change WHERE act = (SELECT id FROM current_act) LIMIT 1");
        if (!failed_ && !changed.next()) return;
        changed.finish();
        const QString gone = "(SELECT id FROM act WHERE side = 'redo' OR id <= (SELECT max(id) FROM act) - " +
                             QString::number(acts_kept) + ")";
        run("DELETE FROM undo_value WHERE change IN (SELECT id FROM undo_change WHERE act IN " + gone + ")");
        run("DELETE FROM undo_change WHERE act IN " + gone);
        run("DELETE FROM act WHERE id IN " + gone);
    }
    run("DELETE FROM current_act");
    run("COMMIT");
    committed_ = !failed_;
}

std::optional<QString> Notebook::undo_name() const
{
    auto q = ask("SELECT name FROM act WHERE side = 'undo' ORDER BY id DESC LIMIT 1");
    return q.next() ? std::optional{q.value(0).toString()} : std::nullopt;
}

std::optional<QString> Notebook::redo_name() const
{
    auto q = ask("SELECT name FROM act WHERE side = 'redo' ORDER BY id LIMIT 1");
    return q.next() ? std::optional{q.value(0).toString()} : std::nullopt;
}

namespace {

struct Kept {
    Id change = 0;
    const Tracked* table = nullptr;
    QString op;
    Id row = 0;
    QStringList columns;
};

// The statement that takes a change back, made from our own names; the values never leave the file.
struct Reverse {
    QString sql;
    QVariantList values;
};

Reverse reverse_of(const Kept& k)
{
    const auto value = [](const QString& column) {
        return QString{"(SELECT value FROM undo_value WHERE change = ? AND col = '%1')"}.arg(column);
    };
    if (k.op == "insert") return {"DELETE FROM " + k.table->table + " WHERE id = ?", {k.row}};
    Reverse out;
    QStringList parts;
    for (const auto& c : k.columns) {
        parts << (k.op == "update" ? c + " = " + value(c) : value(c));
        out.values << k.change;
    }
    if (k.op == "update") {
        out.sql = "UPDATE " + k.table->table + " SET " + parts.join(", ") + " WHERE id = ?";
        out.values << k.row;
    } else {
        out.sql = "INSERT INTO " + k.table->table + " (" + k.columns.join(", ") + ") SELECT " + parts.join(", ");
    }
    return out;
}

// Only tables and columns we know; a deleted row with all of its columns.
bool sound(const Kept& k)
{
    if (!k.table) return false;
    for (const auto& c : k.columns) {
        if (!k.table->columns.contains(c)) return false;
    }
    if (k.op == "insert") return k.columns.isEmpty();
    return k.op == "update" || (k.op == "delete" && k.columns.size() == k.table->columns.size());
}

const Tracked* tracked_table(const QString& name)
{
    for (const auto& t : tracked()) {
        if (t.table == name) return &t;
    }
    return nullptr;
}

}  // namespace

// Takes an act's changes back, newest first; while it does, the triggers keep the way forward under the same act.
Result<bool> Notebook::replay(const char* from, const char* to)
{
    Change change{*this, {}, false};
    const QString order = QLatin1String{from} == QLatin1String{"undo"} ? "DESC" : "ASC";
    auto found = change.run("SELECT id FROM act WHERE side = ? ORDER BY id " + order + " LIMIT 1", {from});
    if (change.failed()) return change.commit(false);
    if (!found.next()) return false;
    const Id act = found.value(0).toLongLong();
    found.finish();
    std::vector<Kept> kept;
    auto q = change.run("SELECT id, tab, op, row FROM undo_change WHERE act = ? ORDER BY id DESC", {act});
    while (q.next())
        kept.push_back({q.value(0).toLongLong(),
                        tracked_table(q.value(1).toString()),
                        q.value(2).toString(),
                        q.value(3).toLongLong(),
                        {}});
    q.finish();
    for (auto& k : kept) {
        auto columns = change.run("SELECT col FROM undo_value WHERE change = ?", {k.change});
        while (columns.next()) k.columns << columns.value(0).toString();
        if (!sound(k)) change.give_up({Trouble::Damaged, tr_("what an earlier act changed")});
    }
    if (change.failed()) return change.commit(false);
    change.run("INSERT INTO current_act (id) VALUES (?)", {act});
    for (const auto& k : kept) {
        if (k.op == "update" && k.columns.isEmpty()) continue;
        const auto back = reverse_of(k);
        const auto done = change.run(back.sql, back.values);
        if (!change.failed() && done.numRowsAffected() != 1)
            change.give_up({Trouble::Damaged, tr_("what an earlier act changed")});
    }
    const Id newest = kept.empty() ? 0 : kept.front().change;
    change.run("DELETE FROM undo_value WHERE change IN (SELECT id FROM undo_change WHERE act = ? AND id <= ?)",
               {act, newest});
    change.run("DELETE FROM undo_change WHERE act = ? AND id <= ?", {act, newest});
    change.run("UPDATE act SET side = ? WHERE id = ?", {to, act});
    return change.commit(true);
}

Result<bool> Notebook::undo()
{
    return replay("undo", "redo");
}
Result<bool> Notebook::redo()
{
    return replay("redo", "undo");
}

}  // namespace sartorum::notebook
