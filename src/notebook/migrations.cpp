// From one version of the tables to the next.
#include "notebook/schema.h"

namespace sartorum::notebook {
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

// Sizes by level, amounts by place, face and side, versions. What undo kept of the old columns is told in the new
// rows: a size's row is its plan's id times 3 and its level, an amount's its decision's id times 2, the back's one
// more. Changes made up here get ids far above the others, so that they are taken back first.
QStringList from_4()
{
    const QString later = "(1 << 40) + c.id * 8 + ";
    const auto change = [&](int n, const char* table, const char* op, const QString& row, const QString& where) {
        return QString{
            "INSERT INTO undo_change (id, act, tab, op, row) SELECT %1%2, c.act, '%3', '%4', %5 FROM "
            "undo_change c WHERE %6"}
            .arg(later)
            .arg(n)
            .arg(QLatin1String{table}, QLatin1String{op}, row, where);
    };
    const auto value = [&](int n, const char* column, const QString& is, const QString& where) {
        return QString{
            "INSERT INTO undo_value (change, col, value) SELECT %1%2, '%3', %4 FROM undo_change c WHERE %5"}
            .arg(later)
            .arg(n)
            .arg(QLatin1String{column}, is, where);
    };
    const auto kept = [](const char* column) {
        return QString{"(SELECT value FROM undo_value WHERE change = c.id AND col = '%1')"}.arg(
            QLatin1String{column});
    };
    QStringList out{
        "CREATE TABLE plan_size (id INTEGER PRIMARY KEY, plan_id INTEGER NOT NULL REFERENCES plan(id) DEFERRABLE "
        "INITIALLY DEFERRED, level TEXT NOT NULL CHECK (level IN ('bust','waist','hip')), size TEXT NOT NULL, "
        "UNIQUE "
        "(plan_id, level))",
        "ALTER TABLE decision ADD COLUMN subject TEXT NOT NULL DEFAULT ''",
        "CREATE TABLE decision_amount (id INTEGER PRIMARY KEY, decision_id INTEGER NOT NULL REFERENCES "
        "decision(id) "
        "DEFERRABLE INITIALLY DEFERRED, at TEXT NOT NULL, face TEXT NOT NULL CHECK (face IN "
        "('both','front','back')), side TEXT NOT NULL CHECK (side IN ('both','right','left')), by_mm REAL NOT "
        "NULL, "
        "UNIQUE (decision_id, at, face, side))",
        "CREATE TABLE version (id INTEGER PRIMARY KEY, wearer_id INTEGER NOT NULL REFERENCES wearer(id) "
        "DEFERRABLE "
        "INITIALLY DEFERRED, pattern_id INTEGER NOT NULL REFERENCES pattern(id) DEFERRABLE INITIALLY DEFERRED, "
        "name "
        "TEXT NOT NULL, kept_on TEXT NOT NULL, work TEXT NOT NULL)"};
    const char* levels[] = {"bust", "waist", "hip"};
    for (int n = 0; n < 3; ++n) {
        const QString level = QLatin1String{levels[n]};
        const QByteArray column = QByteArray{levels[n]} + "_size";
        const QString row = QString{"c.row * 3 + %1"}.arg(n);
        out << QString{"INSERT INTO plan_size (id, plan_id, level, size) SELECT id * 3 + %1, id, '%2', %2_size FROM plan"}
                   .arg(n)
                   .arg(level)
            << change(n, "plan_size", "insert", row, "c.tab = 'plan' AND c.op = 'insert'");
        const QString updated = "c.tab = 'plan' AND c.op = 'update' AND EXISTS " + kept(column.constData());
        out << change(n, "plan_size", "update", row, updated)
            << value(n, "size", kept(column.constData()), updated);
        const QString gone = "c.tab = 'plan' AND c.op = 'delete'";
        out << change(n, "plan_size", "delete", row, gone) << value(n, "id", row, gone)
            << value(n, "plan_id", "c.row", gone) << value(n, "level", "'" + level + "'", gone)
            << value(n, "size", kept(column.constData()), gone);
    }
    const std::pair<const char*, const char*> faces[] = {{"amount_mm", "both"}, {"back_mm", "back"}};
    for (int n = 0; n < 2; ++n) {
        const auto [column, face] = faces[n];
        const QString row = QString{"c.row * 2 + %1"}.arg(n);
        out << QString{"INSERT INTO decision_amount (id, decision_id, at, face, side, by_mm) SELECT id * 2 + %1, id, "
                       "'', '%2', 'both', %3 FROM decision WHERE %3 IS NOT NULL"}
                   .arg(n)
                   .arg(QLatin1String{face}, QLatin1String{column});
        // A decision never changes: what it held stands with its later deletion, or in the table.
        const QString later_deletion =
            "(SELECT min(d.id) FROM undo_change d WHERE d.tab = 'decision' AND d.op = 'delete' AND d.row = c.row "
            "AND "
            "d.id > c.id AND d.id < (1 << 40))";
        const QString held =
            QString{
                "CASE WHEN %1 IS NULL THEN (SELECT %2 FROM decision WHERE id = c.row) ELSE "
                "(SELECT value FROM undo_value WHERE change = %1 AND col = '%2') END"}
                .arg(later_deletion, QLatin1String{column});
        out << change(n, "decision_amount", "insert", row,
                      "c.tab = 'decision' AND c.op = 'insert' AND (" + held + ") IS NOT NULL");
        const QString gone = "c.tab = 'decision' AND c.op = 'delete' AND " + kept(column) + " IS NOT NULL";
        out << change(n, "decision_amount", "delete", row, gone) << value(n, "id", row, gone)
            << value(n, "decision_id", "c.row", gone) << value(n, "at", "''", gone)
            << value(n, "face", QString{"'%1'"}.arg(QLatin1String{face}), gone) << value(n, "side", "'both'", gone)
            << value(n, "by_mm", kept(column), gone);
    }
    out << "INSERT INTO undo_value (change, col, value) SELECT id, 'subject', '' FROM undo_change WHERE tab = "
           "'decision' "
           "AND op = 'delete'"
        << "DELETE FROM undo_value WHERE col IN ('amount_mm','back_mm') AND change IN (SELECT id FROM undo_change "
           "WHERE "
           "tab = 'decision')"
        << "DELETE FROM undo_value WHERE col IN ('bust_size','waist_size','hip_size') AND change IN (SELECT id "
           "FROM "
           "undo_change WHERE tab = 'plan')"
        << "ALTER TABLE decision DROP COLUMN amount_mm"
        << "ALTER TABLE decision DROP COLUMN back_mm"
        << "ALTER TABLE plan DROP COLUMN waist_size"
        << "ALTER TABLE plan DROP COLUMN hip_size"
        << "ALTER TABLE plan DROP COLUMN bust_size";
    return out;
}

// The hollow of the back, heights of a chart's groups, and whether a pattern was said to be as it is meant.
QStringList from_5()
{
    return {
        "ALTER TABLE body_set ADD COLUMN hollow TEXT NOT NULL DEFAULT ''",
        "ALTER TABLE plan ADD COLUMN as_drawn INTEGER NOT NULL DEFAULT 0",
        "CREATE TABLE chart_height (id INTEGER PRIMARY KEY, chart_id INTEGER NOT NULL REFERENCES chart(id) "
        "DEFERRABLE INITIALLY DEFERRED, group_name TEXT NOT NULL, from_mm REAL NOT NULL, to_mm REAL NOT NULL)"};
}

// Tissues measured flat.
QStringList from_6()
{
    const QString of = "INTEGER NOT NULL REFERENCES %1(id) DEFERRABLE INITIALLY DEFERRED";
    return {
        "CREATE TABLE tissue (id INTEGER PRIMARY KEY, name TEXT NOT NULL, maker TEXT NOT NULL, kind TEXT NOT "
        "NULL, "
        "size TEXT NOT NULL, pattern_id INTEGER REFERENCES pattern(id) DEFERRABLE INITIALLY DEFERRED)",
        "CREATE TABLE tissue_note (id INTEGER PRIMARY KEY, tissue_id " + of.arg("tissue") +
            ", note TEXT NOT NULL, word TEXT NOT NULL, UNIQUE (tissue_id, note))",
        "CREATE TABLE tissue_size (id INTEGER PRIMARY KEY, tissue_id " + of.arg("tissue") +
            ", name TEXT NOT NULL, UNIQUE (tissue_id, name))",
        "CREATE TABLE tissue_line (id INTEGER PRIMARY KEY, size_id " + of.arg("tissue_size") +
            ", line TEXT NOT NULL, state TEXT NOT NULL CHECK (state IN ('measured','lacking','assumed')), "
            "value_mm "
            "REAL, UNIQUE (size_id, line))",
        "ALTER TABLE on_table ADD COLUMN tissue_id INTEGER"};
}

// What a plan makes otherwise than its pattern.
QStringList from_7()
{
    const QString of_plan = "plan_id INTEGER NOT NULL REFERENCES plan(id) DEFERRABLE INITIALLY DEFERRED";
    return {
        "CREATE TABLE left_out (id INTEGER PRIMARY KEY, " + of_plan + ", piece TEXT NOT NULL)",
        "CREATE TABLE made_facing (id INTEGER PRIMARY KEY, " + of_plan +
            ", under TEXT NOT NULL, width_mm REAL NOT NULL)",
        "CREATE TABLE brought_piece (id INTEGER PRIMARY KEY, " + of_plan +
            ", pattern TEXT NOT NULL, size TEXT NOT NULL, drawing TEXT NOT NULL, sewn_to TEXT NOT NULL, "
            "ratio REAL NOT NULL)",
        "CREATE TABLE moved_opening (id INTEGER PRIMARY KEY, " + of_plan +
            ", centre TEXT NOT NULL, length_mm REAL NOT NULL, overlap_mm REAL NOT NULL, button_gap_mm REAL NOT "
            "NULL)"};
}

// How two sides that differ are answered, in all and one by one.
QStringList from_8()
{
    const QString column = "ALTER TABLE %1 ADD COLUMN sides TEXT NOT NULL DEFAULT 'usual'";
    return {column.arg("plan"), column.arg("decision")};
}

// Whether the garment is sewn.
QStringList from_9()
{
    return {"ALTER TABLE plan ADD COLUMN sewn INTEGER NOT NULL DEFAULT 0"};
}

// Try-ons, what was seen on them, and the versions they hang on.
QStringList from_10()
{
    const QString of = "INTEGER NOT NULL REFERENCES %1(id) DEFERRABLE INITIALLY DEFERRED";
    QStringList out{
        "ALTER TABLE decision ADD COLUMN seen_on TEXT NOT NULL DEFAULT ''",
        "ALTER TABLE version ADD COLUMN kind TEXT NOT NULL DEFAULT 'cut'",
        "ALTER TABLE version ADD COLUMN passed_on TEXT NOT NULL DEFAULT ''",
        "CREATE TABLE try_on (id INTEGER PRIMARY KEY, version_id " + of.arg("version") +
            ", tried_on TEXT NOT NULL, put_on TEXT NOT NULL, cloth TEXT NOT NULL, worn TEXT NOT NULL, moments "
            "TEXT NOT "
            "NULL, words TEXT NOT NULL)",
        "CREATE INDEX try_on_of_version ON try_on (version_id)",
        "CREATE TABLE toile_note (id INTEGER PRIMARY KEY, try_on_id " + of.arg("try_on") +
            ", sight TEXT NOT NULL, strength TEXT NOT NULL, side TEXT NOT NULL, moment TEXT NOT NULL, since TEXT "
            "NOT "
            "NULL, at_x REAL, at_y REAL, words TEXT NOT NULL)",
        "CREATE TABLE toile_answer (id INTEGER PRIMARY KEY, try_on_id " + of.arg("try_on") +
            ", test TEXT NOT NULL, yes INTEGER NOT NULL, pinched_mm REAL)",
        "CREATE TABLE toile_found (id INTEGER PRIMARY KEY, try_on_id " + of.arg("try_on") +
            ", what TEXT NOT NULL, at TEXT NOT NULL, face TEXT NOT NULL, side TEXT NOT NULL, by_mm REAL NOT NULL)",
        "CREATE TABLE photo (id INTEGER PRIMARY KEY, try_on_id " + of.arg("try_on") +
            ", blob TEXT NOT NULL, view TEXT NOT NULL)",
        "CREATE INDEX photo_of_try_on ON photo (try_on_id)",
        "CREATE TABLE photo_line (id INTEGER PRIMARY KEY, photo_id " + of.arg("photo") +
            ", guide TEXT NOT NULL, a_x REAL NOT NULL, a_y REAL NOT NULL, b_x REAL NOT NULL, b_y REAL NOT NULL, "
            "known_mm "
            "REAL)",
        "CREATE TABLE blob (hash TEXT PRIMARY KEY, data BLOB NOT NULL)"};
    // A row that undo may bring back has every column; those that came with earlier versions too.
    for (const auto& [table, column, value] :
         std::initializer_list<std::array<const char*, 3>>{{"decision", "seen_on", "''"},
                                                           {"decision", "sides", "'usual'"},
                                                           {"plan", "sides", "'usual'"},
                                                           {"plan", "sewn", "0"},
                                                           {"plan", "as_drawn", "0"},
                                                           {"body_set", "hollow", "''"},
                                                           {"on_table", "tissue_id", "NULL"},
                                                           {"version", "kind", "'cut'"},
                                                           {"version", "passed_on", "''"}})
        out << QString{"INSERT OR IGNORE INTO undo_value (change, col, value) SELECT id, '%2', %3 FROM undo_change WHERE "
                       "tab = '%1' AND op = 'delete'"}
                   .arg(QLatin1String{table}, QLatin1String{column}, QLatin1String{value});
    return out;
}

// That there was nothing to see was a word among the moments; and what was not settled when the gate was passed.
QStringList from_11()
{
    const QString word = "instr(' ' || %1 || ' ', ' nothing_to_see ') > 0";
    const QString without = "trim(replace(' ' || %1 || ' ', ' nothing_to_see ', ' '))";
    const QString of_try_on = "col = 'moments' AND change IN (SELECT id FROM undo_change WHERE tab = 'try_on')";
    return {"ALTER TABLE version ADD COLUMN passed_over TEXT NOT NULL DEFAULT ''",
            "ALTER TABLE try_on ADD COLUMN nothing_to_see INTEGER NOT NULL DEFAULT 0",
            "UPDATE try_on SET nothing_to_see = " + word.arg("moments") + ", moments = " + without.arg("moments"),
            "INSERT OR IGNORE INTO undo_value (change, col, value) SELECT change, 'nothing_to_see', " +
                word.arg("value") + " FROM undo_value WHERE " + of_try_on,
            "UPDATE undo_value SET value = " + without.arg("value") + " WHERE " + of_try_on,
            "INSERT OR IGNORE INTO undo_value (change, col, value) SELECT id, 'passed_over', '' FROM undo_change "
            "WHERE tab = 'version' AND op = 'delete'"};
}

}  // namespace

QStringList migration_from(int version)
{
    if (version == 11) return from_11();
    if (version == 10) return from_10();
    if (version == 9) return from_9();
    if (version == 8) return from_8();
    if (version == 7) return from_7();
    if (version == 6) return from_6();
    if (version == 5) return from_5();
    if (version == 4) return from_4();
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

}  // namespace sartorum::notebook
