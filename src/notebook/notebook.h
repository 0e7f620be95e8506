// notebook.h: the household's file: one SQLite database, every change one transaction, undo kept in the file.
// Defined in docs/notebook-format.md.
//
// Undo   triggers write the inverse of every row change into undo_log; one step is one transaction with its name.
//        Undo and redo therefore survive closing the program.
#pragma once
#include <QDate>
#include <QSqlDatabase>
#include <QString>
#include <memory>
#include <optional>
#include <vector>

#include "core/plan/plan.h"

namespace sartorum::notebook {

enum class Trouble { NotFound, NotANotebook, Newer, ReadOnly, InUse, DiskFull, Damaged };
struct Failure {
    Trouble trouble{};
    QString detail;
};
template <class T>
using Result = tl::expected<T, Failure>;

using Id = qint64;

struct Named {
    Id id = 0;
    QString name;
    QString second;  // maker, or the date of the newest set
};

// What is on the table: who, which pattern and chart; each may still be missing.
struct Table {
    std::optional<Id> wearer;
    std::optional<Id> set;
    std::optional<Id> pattern;
    std::optional<Id> chart;
    QString round{""};  // which round of measures is walked; empty: what this pattern needs
};

// A plan belongs to a pattern, or to a chart alone while there is no drawing of the pattern.
struct PlanFor {
    enum class What { Pattern, Chart } what = What::Pattern;
    Id id = 0;
    static PlanFor pattern(Id id) { return {What::Pattern, id}; }
    static PlanFor chart(Id id) { return {What::Chart, id}; }
};

class Notebook {
public:
    // Creates the file when it is not there. Refuses what is not a notebook and leaves it as it was.
    [[nodiscard]] static Result<std::unique_ptr<Notebook>> open(const QString& path);
    ~Notebook();
    Notebook(const Notebook&) = delete;
    Notebook& operator=(const Notebook&) = delete;

    [[nodiscard]] QString path() const { return path_; }

    // Reading.
    [[nodiscard]] std::vector<Named> wearers() const;
    [[nodiscard]] std::optional<Named> wearer(Id) const;
    [[nodiscard]] std::optional<Named> pattern(Id) const;
    [[nodiscard]] std::vector<Named> sets(Id wearer) const;  // newest first
    [[nodiscard]] std::vector<Named> patterns() const;
    [[nodiscard]] std::vector<Named> charts() const;
    [[nodiscard]] Table table() const;
    [[nodiscard]] std::optional<BodySet> body(Id set) const;
    [[nodiscard]] std::optional<QByteArray> pattern_svg(Id) const;
    [[nodiscard]] std::optional<SizeChart> chart(Id) const;
    [[nodiscard]] std::optional<Id> chart_of_pattern(Id) const;  // the one it came with
    [[nodiscard]] Plan plan(Id wearer, PlanFor) const;
    [[nodiscard]] int step(Id wearer, Id pattern) const;

    // Changing: each call is one transaction and one step of undo.
    Result<Id> add_wearer(const QString& name, const QDate& today);
    Result<Id> add_set(Id wearer, const QDate&);
    Result<bool> set_readings(Id set, Measure, const std::vector<Length>&, Side = Side::Right);
    // What was worn, weight, note and posture; the readings stay.
    Result<bool> set_circumstances(Id set, const BodySet&);
    Result<bool> set_tape_check(Id set, const TapeCheck&);
    Result<Id> add_chart(const SizeChart&);
    Result<bool> replace_chart(Id, const SizeChart&);
    Result<Id> add_pattern(const QString& name, const QString& maker, const QByteArray& svg,
                           std::optional<Id> chart);
    Result<bool> lay_on_table(const Table&);
    Result<bool> save_plan(Id wearer, PlanFor, const Plan&, const QString& act);
    Result<bool> save_step(Id wearer, Id pattern, int step);  // where the sewist is; not a step of undo

    [[nodiscard]] std::optional<QString> undo_name() const;
    [[nodiscard]] std::optional<QString> redo_name() const;
    Result<bool> undo();
    Result<bool> redo();

private:
    Notebook(QString path, QString connection);
    class Change;
    static void write_chart(Change&, Id, const SizeChart&);
    Result<bool> replay(const char* from, const char* to);

    QString path_;
    QString connection_;
};

}  // namespace sartorum::notebook
