#include "notebook/schema.h"

#include <QCryptographicHash>

namespace sartorum::notebook {
const QList<Tracked>& tracked()
{
    static const QList<Tracked> rows{
        {"wearer", {"id", "name"}},
        {"body_set",
         {"id", "wearer_id", "taken_on", "worn", "note", "weight_kg", "ball", "neck", "round_back", "slope",
          "hollow"}},
        {"reading", {"id", "set_id", "measure", "position", "value_mm", "side"}},
        {"tape_check", {"id", "set_id", "ruler_mm", "tape_mm"}},
        {"chart", {"id", "name", "maker", "cups_by", "height_from_mm", "height_to_mm", "allowance_mm"}},
        {"chart_size", {"id", "chart_id", "position", "name", "group_name"}},
        {"chart_value", {"id", "size_id", "measure", "value_mm", "half_range_mm", "what"}},
        {"chart_cup", {"id", "chart_id", "group_name", "letter"}},
        {"cup_row", {"id", "chart_id", "position", "letter", "difference_mm"}},
        {"chart_view", {"id", "chart_id", "position", "name", "first_size", "last_size"}},
        {"chart_height", {"id", "chart_id", "group_name", "from_mm", "to_mm"}},
        {"pattern", {"id", "name", "maker", "svg", "chart_id"}},
        {"plan",
         {"id", "wearer_id", "pattern_id", "chart_id", "chart_group", "garment", "roomy", "knit", "stretch",
          "seated", "school", "as_drawn", "sides", "sewn"}},
        {"plan_size", {"id", "plan_id", "level", "size"}},
        {"decision", {"id", "plan_id", "adjustment", "subject", "answer", "method", "sides", "seen_on"}},
        {"decision_amount", {"id", "decision_id", "at", "face", "side", "by_mm"}},
        {"left_out", {"id", "plan_id", "piece"}},
        {"made_facing", {"id", "plan_id", "under", "width_mm"}},
        {"brought_piece", {"id", "plan_id", "pattern", "size", "drawing", "sewn_to", "ratio"}},
        {"moved_opening", {"id", "plan_id", "centre", "length_mm", "overlap_mm", "button_gap_mm"}},
        {"version",
         {"id", "wearer_id", "pattern_id", "name", "kept_on", "work", "kind", "passed_on", "passed_over"}},
        {"try_on",
         {"id", "version_id", "tried_on", "put_on", "cloth", "worn", "moments", "words", "nothing_to_see"}},
        {"toile_note",
         {"id", "try_on_id", "sight", "strength", "side", "moment", "since", "at_x", "at_y", "words"}},
        {"toile_answer", {"id", "try_on_id", "test", "yes", "pinched_mm"}},
        {"toile_found", {"id", "try_on_id", "what", "at", "face", "side", "by_mm"}},
        {"photo", {"id", "try_on_id", "blob", "view"}},
        {"photo_line", {"id", "photo_id", "guide", "a_x", "a_y", "b_x", "b_y", "known_mm"}},
        {"ease_wish", {"id", "plan_id", "measure", "ease_mm"}},
        {"tissue", {"id", "name", "maker", "kind", "size", "pattern_id"}},
        {"tissue_note", {"id", "tissue_id", "note", "word"}},
        {"tissue_size", {"id", "tissue_id", "name"}},
        {"tissue_line", {"id", "size_id", "line", "state", "value_mm"}},
        {"on_table", {"id", "wearer_id", "set_id", "pattern_id", "chart_id", "round", "tissue_id"}}};
    return rows;
}

const QList<Tracked>& all_tables()
{
    static const QList<Tracked> rows =
        tracked() + QList<Tracked>{{"place", {"wearer_id", "pattern_id", "step"}},
                                   {"blob", {"hash", "data"}},
                                   {"act", {"id", "name", "side"}},
                                   {"current_act", {"id"}},
                                   {"undo_change", {"id", "act", "tab", "op", "row"}},
                                   {"undo_value", {"change", "col", "value"}}};
    return rows;
}

QStringList index_names()
{
    return {"set_of_wearer",   "reading_of_set",    "tape_check_of_set", "pattern_names",
            "undo_change_act", "try_on_of_version", "photo_of_try_on"};
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

// Held as floating-point numbers, of which 0.0 and -0.0 compare alike and are not written alike.
bool is_real(const QString& column)
{
    return column.endsWith("_mm") || column.endsWith("_x") || column.endsWith("_y") || column == "weight_kg" ||
           column == "stretch" || column == "ratio";
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

QString plain(QString sql)
{
    sql.remove('"');
    return sql.simplified();
}

QByteArray digest_of(const QMap<QString, QString>& tables)
{
    QCryptographicHash hash{QCryptographicHash::Sha256};
    for (auto it = tables.begin(); it != tables.end(); ++it) {
        if (it.key().startsWith("sqlite_")) continue;
        hash.addData((it.key() + '\n' + plain(it.value()) + '\n').toUtf8());
    }
    return hash.result().toHex();
}

}  // namespace sartorum::notebook
