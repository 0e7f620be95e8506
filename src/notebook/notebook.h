// notebook.h: the household's file: one SQLite database, every change one transaction, undo kept in the file.
// Defined in docs/notebook-format.md.
//
// Undo   triggers keep the values every row change replaces; one step is one transaction with its name. Undo and
//        redo therefore survive closing the program. No statement is ever read from the file.
// Trust  a file may come from anywhere: no trigger, view or table is taken from it, and every value read is
// checked.
//        What cannot be read is named, left out, and stays in the file as it is.
// Two    one window writes; another that opens the same file looks only, until the first one closes.
#pragma once
#include <QDate>
#include <QSqlDatabase>
#include <QString>
#include <memory>
#include <optional>
#include <utility>
#include <vector>

#include "core/fitting/photo.h"
#include "core/plan/plan.h"
#include "core/tissue/tissue.h"

namespace sartorum::notebook {

enum class Trouble {
    NotFound,
    NotANotebook,
    Foreign,  // holds a table that is not a notebook's
    Newer,
    ReadOnly,
    InUse,
    OtherWindow,  // which writes; this one only looks
    DiskFull,
    Damaged,
    Lacks,         // a table of a notebook
    OtherShape,    // a table that is declared otherwise than a notebook's
    Gone,          // the file was taken away while it was open
    Replaced,      // another file stands in its place
    Failed,        // for another reason, which is not the file's
    NothingThere,  // to undo or redo
};
struct Failure {
    Trouble trouble{};
    QString detail;
};
template <class T>
using Result = tl::expected<T, Failure>;

using Id = qint64;

// A value in the file that is not what it should be.
struct Unreadable {
    QString what;   // "waist, measured 2026-11-03"
    QString value;  // as it stands there
    friend bool operator==(const Unreadable&, const Unreadable&) = default;
};

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
    std::optional<Id> tissue{};
};

// A plan belongs to a pattern, or to a chart alone while there is no drawing of the pattern.
struct PlanFor {
    enum class What { Pattern, Chart } what = What::Pattern;
    Id id = 0;
    static PlanFor pattern(Id id) { return {What::Pattern, id}; }
    static PlanFor chart(Id id) { return {What::Chart, id}; }
};

// A version of the work on a pattern, and why it was kept: cut and sewn, tried on, printed.
enum class KeptFor { Cut, TriedOn, Printed };
struct KeptVersion {
    Id id = 0;
    QString name;
    QString day;
    KeptFor what{};
    QString passed_on;    // the day the gate before good cloth was passed with it; empty: it was not
    QString passed_over;  // what was not settled then, in words; empty: nothing
};

struct KeptTryOn {
    Id id = 0;
    Id version = 0;  // that was on the body
    TryOn entry;
};

struct KeptPhoto {
    Id id = 0;
    QString blob;  // by which its picture is found
    Photo photo;
};

class Lock;

// Which file a path is, whatever it is called.
struct FileIdentity {
    quint64 device = 0;
    quint64 inode = 0;
    friend bool operator==(const FileIdentity&, const FileIdentity&) = default;
};

class Notebook {
public:
    // Creates the file when it is not there. Refuses what is not a notebook and leaves it as it was.
    [[nodiscard]] static Result<std::unique_ptr<Notebook>> open(const QString& path);
    ~Notebook();
    Notebook(const Notebook&) = delete;
    Notebook& operator=(const Notebook&) = delete;

    [[nodiscard]] QString path() const { return path_; }
    // Another window writes in it. try_to_write() takes over once that has closed: true when it now may.
    [[nodiscard]] bool looks_only() const { return lock_ == nullptr; }
    [[nodiscard]] Result<bool> try_to_write();
    // Something was written by another window since this was asked last.
    [[nodiscard]] bool changed_elsewhere();
    // Undo of an older version was kept as statements, and forgotten at this opening.
    [[nodiscard]] bool undo_forgotten() const { return undo_forgotten_; }
    // Logs that lay beside the file at the opening and were another file's: what they are called now.
    [[nodiscard]] const QStringList& set_aside() const { return set_aside_; }
    // Whether the path is still the file that is held: none where it is, else Gone or Replaced.
    [[nodiscard]] std::optional<Trouble> lost() const;
    // All that is held in a new file of that name, which must not be there; also when the notebook is lost.
    [[nodiscard]] Result<bool> keep_elsewhere(const QString& path) const;
    // A read that failed: until it is taken nothing is written, since what is known may be less than what is
    // there.
    [[nodiscard]] const std::optional<Failure>& unread() const { return unread_; }
    [[nodiscard]] std::optional<Failure> take_unread() const { return std::exchange(unread_, std::nullopt); }
    // What was found unreadable, so far, by the calls below.
    [[nodiscard]] const std::vector<Unreadable>& unreadable() const { return unreadable_; }

    // Reading.
    [[nodiscard]] std::vector<Named> wearers() const;
    [[nodiscard]] std::optional<Named> wearer(Id) const;
    [[nodiscard]] std::optional<Named> pattern(Id) const;
    [[nodiscard]] std::vector<Named> sets(Id wearer) const;  // newest first
    [[nodiscard]] std::vector<Named> patterns() const;
    [[nodiscard]] std::vector<Named> charts() const;  // each with a name, also where none was given
    [[nodiscard]] Table table() const;
    [[nodiscard]] std::optional<BodySet> body(Id set) const;
    [[nodiscard]] std::optional<QByteArray> pattern_svg(Id) const;
    [[nodiscard]] std::optional<SizeChart> chart(Id) const;
    [[nodiscard]] std::optional<Id> chart_of_pattern(Id) const;  // the one it came with
    // The pieces brought in by their drawings only.
    [[nodiscard]] Plan plan(Id wearer, PlanFor) const;
    [[nodiscard]] bool has_plan(Id wearer, PlanFor) const;
    [[nodiscard]] int step(Id wearer, Id pattern) const;
    [[nodiscard]] std::vector<Named> tissues() const;  // newest first; those without a name too
    [[nodiscard]] std::optional<Tissue> tissue(Id) const;
    [[nodiscard]] std::optional<Id> pattern_of_tissue(Id) const;  // drawn from it last

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
    // Lies on the table then.
    Result<Id> add_tissue(const Tissue&);
    Result<bool> save_tissue(Id, const Tissue&, const QString& act);
    // The pattern drawn from that tissue, which lies on the table then.
    Result<Id> add_drawn(Id tissue, const QString& name, const QString& maker, const QByteArray& svg,
                         std::optional<Id> chart);
    // Rows that stay as they are are not written, so that what could not be read stays too.
    Result<bool> save_plan(Id wearer, PlanFor, const Plan&, const QString& act);
    Result<bool> save_step(Id wearer, Id pattern, int step);  // where the sewist is; not a step of undo

    // How the work on a pattern stood, all that went in, as one text (formats/work_json.h); never changed after.
    // The newest one again, where the work is still that.
    Result<Id> keep_version(Id wearer, Id pattern, const QString& name, const QDate&, KeptFor,
                            const QByteArray& work);
    [[nodiscard]] std::vector<KeptVersion> versions(Id wearer, Id pattern) const;  // newest first
    [[nodiscard]] std::optional<QByteArray> version(Id) const;
    Result<bool> pass_gate(Id version, const QDate&, const QString& over = {});

    // Try-ons, oldest first; each hangs on the version that was on the body.
    [[nodiscard]] std::vector<KeptTryOn> try_ons(Id wearer, Id pattern) const;
    Result<Id> add_try_on(Id wearer, Id pattern, const QString& version_name, const QByteArray& work,
                          const TryOn&);
    Result<bool> save_try_on(Id, const TryOn&, const QString& act);
    Result<bool> forget_try_on(Id);  // its photographs too
    // Photographs: the picture as the desk made it (formats/photo_file.h), outside undo; what is on it inside.
    [[nodiscard]] std::vector<KeptPhoto> photos(Id try_on) const;
    [[nodiscard]] std::optional<QByteArray> picture(const QString& blob) const;
    Result<Id> add_photo(Id try_on, const QByteArray& picture, const Photo&);
    Result<bool> save_photo(Id, const Photo&, const QString& act);
    Result<bool> forget_photo(Id);
    // Pictures that neither a photograph nor undo names any more.
    Result<bool> sweep_pictures();

    [[nodiscard]] std::optional<QString> undo_name() const;
    [[nodiscard]] std::optional<QString> redo_name() const;
    Result<bool> undo();  // false: there is nothing to take back
    Result<bool> redo();

private:
    Notebook(QString path, QString connection);
    class Change;
    class Rows;
    [[nodiscard]] Rows ask(const QString& sql, const QVariantList& values = {}) const;
    // So many rows of that kind and no more: the rest is named, left out, and stays.
    template <class T>
    [[nodiscard]] bool within(const std::vector<T>& rows, std::size_t most, const QString& what) const
    {
        if (rows.size() < most) return true;
        leave_out(what, QVariant::fromValue(QString{"> %1"}.arg(most)));
        return false;
    }
    [[nodiscard]] Result<bool> prepare_to_write(bool fresh);
    struct KeptDecision {
        Id id = 0;
        Decision decision;
    };
    [[nodiscard]] std::vector<KeptDecision> decisions(Id plan) const;
    [[nodiscard]] std::optional<std::vector<Amount>> amounts(Id decision, const QString& of) const;
    static void write_sizes(Change&, Id plan, const Plan& old, const Plan& wanted, bool fresh);
    void write_decisions(Change&, Id plan, const std::vector<Decision>&) const;
    static void write_wishes(Change&, Id plan, const EaseWishes& old, const EaseWishes& wanted);
    template <class T>
    struct Row {
        Id id = 0;
        T value;
    };
    [[nodiscard]] MakeUp make_up(Id plan) const;
    [[nodiscard]] std::vector<Row<std::string>> left_out(Id plan) const;
    [[nodiscard]] std::vector<Row<MadeFacing>> made_facings(Id plan) const;
    [[nodiscard]] std::vector<Row<BroughtPiece>> brought_pieces(Id plan) const;
    [[nodiscard]] std::vector<Row<MovedOpening>> moved_openings(Id plan) const;
    void write_make_up(Change&, Id plan, const MakeUp&) const;
    [[nodiscard]] std::vector<Row<Note>> notes(Id try_on) const;
    [[nodiscard]] std::vector<Row<Answered>> answers(Id try_on) const;
    [[nodiscard]] std::vector<Row<Found>> found(Id try_on) const;
    [[nodiscard]] std::vector<Row<PhotoLine>> photo_lines(Id photo) const;
    [[nodiscard]] std::optional<TryOn> try_on(Id) const;
    void write_try_on(Change&, Id, const TryOn&) const;
    static void delete_photo(Change&, Id);
    static Id kept_version(Change&, Id wearer, Id pattern, const QString& name, const QString& day, KeptFor,
                           const QByteArray& work);
    template <class T>
    static void write_in_order(Change&, const char* table, const char* owner, Id, const QStringList& columns,
                               const std::vector<Row<T>>& old, const std::vector<T>& wanted);
    template <class T, class Insert>
    static void write_rows(Change&, const char* table, const std::vector<Row<T>>& old,
                           const std::vector<T>& wanted, Insert);
    static void write_chart(Change&, Id, const SizeChart&);
    [[nodiscard]] std::optional<SizeChart> read_chart(Id) const;
    static Id insert_pattern(Change&, const QString& name, const QString& maker, const QByteArray& svg,
                             std::optional<Id> chart);
    void read_lines(Id size, TissueSize&) const;
    static void write_notes(Change&, Id tissue, const Tissue& old, const Tissue& wanted);
    static void write_lines(Change&, Id size, const TissueSize& old, const TissueSize& wanted);
    [[nodiscard]] std::optional<Id> plan_id(Id wearer, PlanFor) const;
    Result<bool> replay(const char* from, const char* to);
    void leave_out(const QString& what, const QVariant& value) const;

    QString path_;
    QString connection_;
    std::unique_ptr<Lock> lock_;  // held while this window may write
    bool undo_forgotten_ = false;
    qint64 data_version_ = 0;
    mutable std::vector<Unreadable> unreadable_;
    mutable std::optional<Failure> unread_;  // a read that failed, until it was told or a change was given up
    QStringList set_aside_;
    std::optional<FileIdentity> held_;
};

}  // namespace sartorum::notebook
