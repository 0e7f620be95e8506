#include "notebook/schema.h"

namespace sartorum::notebook {
namespace {

struct TableColumns {
    const char* table;
    QStringList columns;
};

QList<TableColumns> tracked()
{
    return {{"wearer", {"id", "name"}},
            {"body_set", {"id", "wearer_id", "taken_on"}},
            {"reading", {"id", "set_id", "measure", "position", "value_mm"}},
            {"chart", {"id", "name", "maker"}},
            {"chart_size", {"id", "chart_id", "position", "name"}},
            {"chart_value", {"id", "size_id", "measure", "value_mm"}},
            {"pattern", {"id", "name", "maker", "svg", "chart_id"}},
            {"plan", {"id", "wearer_id", "pattern_id", "waist_size", "hip_size"}},
            {"decision", {"id", "plan_id", "adjustment", "answer", "amount_mm"}},
            {"on_table", {"id", "wearer_id", "set_id", "pattern_id", "chart_id"}}};
}

// quote() writes any value so that SQLite reads back the very same one.
QString quoted(const QStringList& columns, const QString& row)
{
    QStringList parts;
    for (const auto& c : columns) parts << "quote(" + row + "." + c + ")";
    return parts.join(" || ',' || ");
}

}  // namespace

QStringList schema()
{
    return {
        "CREATE TABLE wearer (id INTEGER PRIMARY KEY, name TEXT NOT NULL)",
        "CREATE TABLE body_set (id INTEGER PRIMARY KEY, wearer_id INTEGER NOT NULL REFERENCES wearer(id) "
        "DEFERRABLE "
        "INITIALLY DEFERRED, taken_on TEXT NOT NULL)",
        "CREATE INDEX set_of_wearer ON body_set (wearer_id, taken_on)",
        "CREATE TABLE reading (id INTEGER PRIMARY KEY, set_id INTEGER NOT NULL REFERENCES body_set(id) DEFERRABLE "
        "INITIALLY DEFERRED, measure TEXT NOT NULL CHECK (measure IN "
        "('waist','hip','waist_to_hip','skirt_length')), "
        "position INTEGER NOT NULL, value_mm REAL NOT NULL CHECK (value_mm > 0))",
        "CREATE INDEX reading_of_set ON reading (set_id, measure, position)",
        "CREATE TABLE chart (id INTEGER PRIMARY KEY, name TEXT NOT NULL, maker TEXT NOT NULL)",
        "CREATE TABLE chart_size (id INTEGER PRIMARY KEY, chart_id INTEGER NOT NULL REFERENCES chart(id) "
        "DEFERRABLE "
        "INITIALLY DEFERRED, position INTEGER NOT NULL, name TEXT NOT NULL)",
        "CREATE TABLE chart_value (id INTEGER PRIMARY KEY, size_id INTEGER NOT NULL REFERENCES chart_size(id) "
        "DEFERRABLE "
        "INITIALLY DEFERRED, measure TEXT NOT NULL, value_mm REAL NOT NULL CHECK (value_mm > 0))",
        "CREATE TABLE pattern (id INTEGER PRIMARY KEY, name TEXT NOT NULL, maker TEXT NOT NULL, svg TEXT NOT "
        "NULL, "
        "chart_id INTEGER REFERENCES chart(id) DEFERRABLE INITIALLY DEFERRED)",
        // Names are read at every opening; the drawings beside them are large.
        "CREATE INDEX pattern_names ON pattern (id, name, maker)",
        "CREATE TABLE plan (id INTEGER PRIMARY KEY, wearer_id INTEGER NOT NULL REFERENCES wearer(id) DEFERRABLE "
        "INITIALLY "
        "DEFERRED, pattern_id INTEGER NOT NULL REFERENCES pattern(id) DEFERRABLE INITIALLY DEFERRED, waist_size "
        "TEXT NOT "
        "NULL, hip_size TEXT NOT NULL, UNIQUE (wearer_id, pattern_id))",
        "CREATE TABLE decision (id INTEGER PRIMARY KEY, plan_id INTEGER NOT NULL REFERENCES plan(id) DEFERRABLE "
        "INITIALLY "
        "DEFERRED, adjustment TEXT NOT NULL, answer TEXT NOT NULL CHECK (answer IN ('accepted','declined')), "
        "amount_mm REAL)",
        "CREATE TABLE on_table (id INTEGER PRIMARY KEY CHECK (id = 1), wearer_id INTEGER, set_id INTEGER, "
        "pattern_id "
        "INTEGER, chart_id INTEGER)",
        "INSERT INTO on_table (id) VALUES (1)",
        "CREATE TABLE place (wearer_id INTEGER NOT NULL, pattern_id INTEGER NOT NULL, step INTEGER NOT NULL, "
        "PRIMARY KEY "
        "(wearer_id, pattern_id))",
        "CREATE TABLE undo_log (id INTEGER PRIMARY KEY, act INTEGER NOT NULL, sql TEXT NOT NULL)",
        "CREATE INDEX undo_log_act ON undo_log (act)",
        "CREATE TABLE act (id INTEGER PRIMARY KEY, name TEXT NOT NULL, side TEXT NOT NULL CHECK (side IN "
        "('undo','redo')))",
        "CREATE TABLE current_act (id INTEGER)",
    };
}

QStringList undo_triggers()
{
    QStringList out;
    for (const auto& [table, columns] : tracked()) {
        const QString t = table;
        const QString head = "CREATE TRIGGER undo_%1_" + t + " AFTER %2 ON " + t +
                             " BEGIN INSERT INTO undo_log (act, sql) "
                             "SELECT id, %3 FROM current_act; END";
        QStringList sets;
        for (const auto& c : columns) sets << "'" + c + "=' || quote(OLD." + c + ")";
        out << head.arg("insert", "INSERT", "'DELETE FROM " + t + " WHERE id=' || NEW.id");
        out << head.arg("update", "UPDATE",
                        "'UPDATE " + t + " SET ' || " + sets.join(" || ',' || ") + " || ' WHERE id=' || OLD.id");
        out << head.arg("delete", "DELETE",
                        "'INSERT INTO " + t + " (" + columns.join(",") + ") VALUES (' || " +
                            quoted(columns, "OLD") + " || ')'");
    }
    return out;
}

}  // namespace sartorum::notebook
