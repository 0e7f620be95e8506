#include "notebook/schema.h"

namespace sartorum::notebook {
const QList<Tracked>& tracked()
{
    static const QList<Tracked> rows{
        {"wearer", {"id", "name"}},
        {"body_set",
         {"id", "wearer_id", "taken_on", "worn", "note", "weight_kg", "ball", "neck", "round_back", "slope"}},
        {"reading", {"id", "set_id", "measure", "position", "value_mm", "side"}},
        {"tape_check", {"id", "set_id", "ruler_mm", "tape_mm"}},
        {"chart", {"id", "name", "maker", "cups_by", "height_from_mm", "height_to_mm", "allowance_mm"}},
        {"chart_size", {"id", "chart_id", "position", "name", "group_name"}},
        {"chart_value", {"id", "size_id", "measure", "value_mm", "half_range_mm", "what"}},
        {"chart_cup", {"id", "chart_id", "group_name", "letter"}},
        {"cup_row", {"id", "chart_id", "position", "letter", "difference_mm"}},
        {"chart_view", {"id", "chart_id", "position", "name", "first_size", "last_size"}},
        {"pattern", {"id", "name", "maker", "svg", "chart_id"}},
        {"plan",
         {"id", "wearer_id", "pattern_id", "chart_id", "waist_size", "hip_size", "bust_size", "chart_group",
          "garment", "roomy", "knit", "stretch", "seated", "school"}},
        {"decision", {"id", "plan_id", "adjustment", "answer", "amount_mm", "back_mm", "method"}},
        {"ease_wish", {"id", "plan_id", "measure", "ease_mm"}},
        {"on_table", {"id", "wearer_id", "set_id", "pattern_id", "chart_id", "round"}}};
    return rows;
}

const QList<Tracked>& all_tables()
{
    static const QList<Tracked> rows =
        tracked() + QList<Tracked>{{"place", {"wearer_id", "pattern_id", "step"}},
                                   {"act", {"id", "name", "side"}},
                                   {"current_act", {"id"}},
                                   {"undo_change", {"id", "act", "tab", "op", "row"}},
                                   {"undo_value", {"change", "col", "value"}}};
    return rows;
}

QStringList index_names()
{
    return {"set_of_wearer", "reading_of_set", "tape_check_of_set", "pattern_names", "undo_change_act"};
}

// Version 1 as it was released; later versions are made by their migrations, on new files too, so that there is
// one way to get there.
QStringList first_schema()
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

namespace {

// Front and back by amounts of their own, and in which of the trade's ways.
QStringList from_2()
{
    return {"ALTER TABLE decision ADD COLUMN back_mm REAL",
            "ALTER TABLE decision ADD COLUMN method TEXT NOT NULL DEFAULT ''"};
}

// Undo kept statements, which a strange file could have written. They are forgotten, unread; from here on it keeps
// values.
QStringList from_3()
{
    return {
        "DROP TABLE undo_log",
        "DELETE FROM act",
        "DELETE FROM current_act",
        "CREATE TABLE undo_change (id INTEGER PRIMARY KEY, act INTEGER NOT NULL, tab TEXT NOT NULL, op TEXT NOT "
        "NULL CHECK (op IN ('insert','update','delete')), row INTEGER NOT NULL)",
        "CREATE INDEX undo_change_act ON undo_change (act)",
        "CREATE TABLE undo_value (change INTEGER, col TEXT, value, PRIMARY KEY (change, col)) WITHOUT ROWID"};
}

}  // namespace

QStringList migration_from(int version)
{
    if (version == 3) return from_3();
    if (version == 2) return from_2();
    if (version != 1) return {};
    const auto of_chart = QString{"chart_id INTEGER NOT NULL REFERENCES chart(id) DEFERRABLE INITIALLY DEFERRED"};
    const auto of_set = QString{"set_id INTEGER NOT NULL REFERENCES body_set(id) DEFERRABLE INITIALLY DEFERRED"};
    QStringList out;
    // The list of measures grew and left the table: the program knows them.
    out << "CREATE TABLE reading_2 (id INTEGER PRIMARY KEY, " + of_set +
               ", measure TEXT NOT NULL, position INTEGER NOT NULL, value_mm REAL NOT NULL CHECK (value_mm > 0), "
               "side "
               "TEXT NOT NULL DEFAULT 'right' CHECK (side IN ('right','left')))"
        << "INSERT INTO reading_2 (id, set_id, measure, position, value_mm) SELECT id, set_id, measure, position, "
           "value_mm FROM reading"
        << "DROP TABLE reading"
        << "ALTER TABLE reading_2 RENAME TO reading"
        << "CREATE INDEX reading_of_set ON reading (set_id, measure, position)";
    for (const char* column :
         {"worn TEXT NOT NULL DEFAULT ''", "note TEXT NOT NULL DEFAULT ''", "weight_kg REAL CHECK (weight_kg > 0)",
          "ball TEXT NOT NULL DEFAULT ''", "neck TEXT NOT NULL DEFAULT ''", "round_back TEXT NOT NULL DEFAULT ''",
          "slope TEXT NOT NULL DEFAULT ''"})
        out << QString{"ALTER TABLE body_set ADD COLUMN "} + column;
    out << "CREATE TABLE tape_check (id INTEGER PRIMARY KEY, " + of_set +
               ", ruler_mm REAL NOT NULL CHECK (ruler_mm > 0), tape_mm REAL NOT NULL CHECK (tape_mm > 0))"
        << "CREATE INDEX tape_check_of_set ON tape_check (set_id)";
    for (const char* column :
         {"cups_by TEXT NOT NULL DEFAULT 'high_bust' CHECK (cups_by IN ('high_bust','underbust'))",
          "height_from_mm REAL", "height_to_mm REAL", "allowance_mm REAL"})
        out << QString{"ALTER TABLE chart ADD COLUMN "} + column;
    out << "ALTER TABLE chart_size ADD COLUMN group_name TEXT NOT NULL DEFAULT ''"
        << "ALTER TABLE chart_value ADD COLUMN half_range_mm REAL NOT NULL DEFAULT 0"
        << "ALTER TABLE chart_value ADD COLUMN what TEXT NOT NULL DEFAULT 'body' CHECK (what IN "
           "('body','finished'))"
        << "CREATE TABLE chart_cup (id INTEGER PRIMARY KEY, " + of_chart +
               ", group_name TEXT NOT NULL, letter TEXT NOT NULL)"
        << "CREATE TABLE cup_row (id INTEGER PRIMARY KEY, " + of_chart +
               ", position INTEGER NOT NULL, letter TEXT NOT NULL, difference_mm REAL NOT NULL)"
        << "CREATE TABLE chart_view (id INTEGER PRIMARY KEY, " + of_chart +
               ", position INTEGER NOT NULL, name TEXT NOT NULL, first_size TEXT NOT NULL, last_size TEXT NOT "
               "NULL)";
    // A plan may belong to a chart alone, while there is no drawing of the pattern.
    out << "CREATE TABLE plan_2 (id INTEGER PRIMARY KEY, wearer_id INTEGER NOT NULL REFERENCES wearer(id) "
           "DEFERRABLE "
           "INITIALLY DEFERRED, pattern_id INTEGER REFERENCES pattern(id) DEFERRABLE INITIALLY DEFERRED, chart_id "
           "INTEGER REFERENCES chart(id) DEFERRABLE INITIALLY DEFERRED, waist_size TEXT NOT NULL, hip_size TEXT "
           "NOT "
           "NULL, bust_size TEXT NOT NULL DEFAULT '', chart_group TEXT NOT NULL DEFAULT '', garment TEXT NOT NULL "
           "DEFAULT 'skirt', roomy INTEGER NOT NULL DEFAULT 0, knit INTEGER NOT NULL DEFAULT 0, stretch REAL NOT "
           "NULL "
           "DEFAULT 0, seated INTEGER NOT NULL DEFAULT 0, school TEXT NOT NULL DEFAULT '', UNIQUE (wearer_id, "
           "pattern_id), UNIQUE (wearer_id, chart_id), CHECK ((pattern_id IS NULL) <> (chart_id IS NULL)))"
        << "INSERT INTO plan_2 (id, wearer_id, pattern_id, waist_size, hip_size) SELECT id, wearer_id, "
           "pattern_id, "
           "waist_size, hip_size FROM plan"
        << "DROP TABLE plan"
        << "ALTER TABLE plan_2 RENAME TO plan";
    out << "CREATE TABLE ease_wish (id INTEGER PRIMARY KEY, plan_id INTEGER NOT NULL REFERENCES plan(id) "
           "DEFERRABLE "
           "INITIALLY DEFERRED, measure TEXT NOT NULL, ease_mm REAL NOT NULL)"
        << "ALTER TABLE on_table ADD COLUMN round TEXT NOT NULL DEFAULT ''";
    return out;
}

namespace {

// Held as floating-point numbers, of which 0.0 and -0.0 compare alike and are not written alike.
bool is_real(const QString& column)
{
    return column.endsWith("_mm") || column == "weight_kg" || column == "stretch";
}

}  // namespace

// An inserted row is undone by its id alone; an updated or deleted one by the values it had. Only what changed is
// kept of an update; numbers always, because 0.0 and -0.0 compare alike.
QStringList undo_triggers()
{
    QStringList out;
    for (const auto& [table, columns] : tracked()) {
        const auto trigger = [&table = table](const char* op, const QString& row, const QString& when,
                                              const QStringList& values) {
            const QString change =
                QString{"INSERT INTO undo_change (act, tab, op, row) SELECT id, '%1', '%2', %3 FROM current_act"}
                    .arg(table, QLatin1String{op}, row);
            return QString{
                "CREATE TRIGGER undo_%1_%2 AFTER %3 ON %2 WHEN EXISTS (SELECT 1 FROM current_act)%5 BEGIN %4; "
                "END"}
                .arg(QLatin1String{op}, table, QString{QLatin1String{op}}.toUpper(),
                     (QStringList{change} + values).join("; "), when);
        };
        QStringList keep;
        QStringList keep_changed;
        QStringList differs;
        for (const auto& c : columns) {
            const QString value =
                QString{"INSERT INTO undo_value SELECT (SELECT max(id) FROM undo_change), '%1', OLD.%1"}.arg(c);
            differs << (is_real(c) ? QString{"quote(OLD.%1) <> quote(NEW.%1)"} : QString{"OLD.%1 IS NOT NEW.%1"})
                           .arg(c);
            keep << value;
            keep_changed << value + " WHERE " + differs.last();
        }
        out << trigger("insert", "NEW.id", {}, {})
            << trigger("update", "OLD.id", " AND (" + differs.join(" OR ") + ")", keep_changed)
            << trigger("delete", "OLD.id", {}, keep);
    }
    return out;
}

}  // namespace sartorum::notebook
