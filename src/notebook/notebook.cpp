#include "notebook/notebook.h"

#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QSqlError>
#include <QSqlQuery>
#include <QUuid>
#include <QVariant>

#include "notebook/schema.h"

namespace sartorum::notebook {
namespace {

constexpr int acts_kept = 500;

QString tr_(const char* text)
{
    return QCoreApplication::translate("notebook", text);
}

tl::unexpected<Failure> fail(Trouble t, const QString& detail = {})
{
    return tl::make_unexpected(Failure{t, detail});
}

Trouble trouble_of(const QSqlError& e)
{
    const QString code = e.nativeErrorCode();
    if (code == "8" || code.toInt() % 256 == 8) return Trouble::ReadOnly;
    if (code.toInt() % 256 == 13) return Trouble::DiskFull;
    if (code.toInt() % 256 == 5 || code.toInt() % 256 == 6) return Trouble::InUse;
    if (code.toInt() % 256 == 26) return Trouble::NotANotebook;
    if (code.toInt() % 256 == 10) return Trouble::DiskFull;
    return Trouble::Damaged;
}

QVariant or_null(const std::optional<Id>& id)
{
    return id ? QVariant{*id} : QVariant{};
}
std::optional<Id> id_of(const QVariant& v)
{
    return v.isNull() ? std::nullopt : std::optional{v.toLongLong()};
}
QString text(const std::string& s)
{
    return QString::fromStdString(s);
}

}  // namespace

// One transaction, recorded under one name for undo. Rolled back unless committed.
class Notebook::Change {
public:
    Change(const Notebook& book, const QString& name, bool undoable = true)
        : db_{QSqlDatabase::database(book.connection_)}
    {
        run("BEGIN IMMEDIATE");
        if (!undoable || failed_) return;
        run("DELETE FROM undo_log WHERE act IN (SELECT id FROM act WHERE side = 'redo')");
        run("DELETE FROM act WHERE side = 'redo'");
        run("INSERT INTO act (name, side) VALUES (?, 'undo')", {name});
        run("INSERT INTO current_act (id) SELECT max(id) FROM act");
    }
    ~Change()
    {
        if (!committed_) QSqlQuery{db_}.exec("ROLLBACK");
    }

    QSqlQuery run(const QString& sql, const QVariantList& values = {})
    {
        QSqlQuery q{db_};
        if (failed_) return q;
        q.prepare(sql);
        for (int i = 0; i < values.size(); ++i) q.bindValue(i, values[i]);
        if (!q.exec()) {
            failed_ = Failure{trouble_of(q.lastError()), q.lastError().text()};
        }
        return q;
    }
    Id insert(const QString& sql, const QVariantList& values)
    {
        return run(sql, values).lastInsertId().toLongLong();
    }

    template <class T>
    Result<T> commit(T value)
    {
        run("DELETE FROM current_act");
        run("DELETE FROM undo_log WHERE act <= (SELECT max(id) FROM act) - ?", {acts_kept});
        run("DELETE FROM act WHERE id <= (SELECT max(id) FROM act) - ?", {acts_kept});
        run("COMMIT");
        if (failed_) return tl::make_unexpected(*failed_);
        committed_ = true;
        return value;
    }

private:
    QSqlDatabase db_;
    std::optional<Failure> failed_;
    bool committed_ = false;
};

Notebook::Notebook(QString path, QString connection) : path_{std::move(path)}, connection_{std::move(connection)}
{
}

Notebook::~Notebook()
{
    QSqlDatabase::database(connection_).close();
    QSqlDatabase::removeDatabase(connection_);
}

namespace {

QVariant one_value(QSqlDatabase& db, const QString& sql)
{
    QSqlQuery q{db};
    return q.exec(sql) && q.next() ? q.value(0) : QVariant{};
}

Result<bool> create_tables(QSqlDatabase& db)
{
    QSqlQuery q{db};
    auto statements = QStringList{"BEGIN IMMEDIATE"} + schema() + undo_triggers();
    statements << QString{"PRAGMA application_id = %1"}.arg(application_id)
               << QString{"PRAGMA user_version = %1"}.arg(schema_version) << "COMMIT";
    for (const auto& sql : statements) {
        if (!q.exec(sql)) return fail(trouble_of(q.lastError()), q.lastError().text());
    }
    return true;
}

Result<bool> prepare(QSqlDatabase& db, bool fresh)
{
    QSqlQuery q{db};
    const auto id = one_value(db, "PRAGMA application_id");
    const int version = one_value(db, "PRAGMA user_version").toInt();
    if (!id.isValid()) return fail(Trouble::NotANotebook);
    if (!fresh && id.toInt() != application_id) return fail(Trouble::NotANotebook);
    if (version > schema_version) return fail(Trouble::Newer, QString::number(version));
    // Waits a little for another window's change, and no longer.
    for (const char* pragma : {"PRAGMA busy_timeout = 1500", "PRAGMA journal_mode = WAL",
                               "PRAGMA synchronous = FULL", "PRAGMA foreign_keys = ON"}) {
        if (!q.exec(pragma)) return fail(trouble_of(q.lastError()), q.lastError().text());
    }
    if (fresh) return create_tables(db);
    return true;
}

}  // namespace

Result<std::unique_ptr<Notebook>> Notebook::open(const QString& path)
{
    const QFileInfo info{path};
    const bool fresh = !info.exists() || info.size() == 0;
    if (fresh && !QFileInfo{info.absolutePath()}.isWritable()) return fail(Trouble::ReadOnly, info.absolutePath());
    if (!fresh && !info.isFile()) return fail(Trouble::NotANotebook);
    if (!fresh) {
        // SQLite writes beside the file, so both must be writable; and a look at the first bytes before it touches
        // anything.
        QFile file{path};
        if (!file.open(QIODevice::ReadOnly)) return fail(Trouble::NotFound);
        if (file.read(16) != QByteArray{"SQLite format 3\0", 16}) return fail(Trouble::NotANotebook);
        if (!info.isWritable()) return fail(Trouble::ReadOnly, path);
    }
    const QString connection = QUuid::createUuid().toString();
    std::unique_ptr<Notebook> book{new Notebook{path, connection}};
    auto db = QSqlDatabase::addDatabase("QSQLITE", connection);
    db.setDatabaseName(path);
    if (!db.open()) return fail(fresh ? Trouble::ReadOnly : Trouble::NotFound, db.lastError().text());
    if (auto ok = prepare(db, fresh); !ok) return tl::make_unexpected(ok.error());
    return book;
}

namespace {

QSqlQuery ask(const QString& connection, const QString& sql, const QVariantList& values = {})
{
    QSqlQuery q{QSqlDatabase::database(connection)};
    q.prepare(sql);
    for (int i = 0; i < values.size(); ++i) q.bindValue(i, values[i]);
    q.exec();
    return q;
}

std::vector<Named> named(QSqlQuery q)
{
    std::vector<Named> out;
    while (q.next()) out.push_back({q.value(0).toLongLong(), q.value(1).toString(), q.value(2).toString()});
    return out;
}

}  // namespace

std::vector<Named> Notebook::wearers() const
{
    return named(ask(connection_,
                     "SELECT w.id, w.name, (SELECT max(taken_on) FROM body_set WHERE wearer_id = w.id) FROM "
                     "wearer w ORDER BY w.id"));
}

std::vector<Named> Notebook::sets(Id wearer) const
{
    return named(ask(connection_,
                     "SELECT id, taken_on, '' FROM body_set WHERE wearer_id = ? ORDER BY taken_on DESC, id DESC",
                     {wearer}));
}

std::vector<Named> Notebook::patterns() const
{
    return named(ask(connection_, "SELECT id, name, maker FROM pattern ORDER BY id"));
}
std::vector<Named> Notebook::charts() const
{
    return named(ask(connection_, "SELECT id, name, maker FROM chart ORDER BY id"));
}

std::optional<Named> Notebook::wearer(Id id) const
{
    const auto found = named(ask(connection_, "SELECT id, name, '' FROM wearer WHERE id = ?", {id}));
    return found.empty() ? std::nullopt : std::optional{found.front()};
}

std::optional<Named> Notebook::pattern(Id id) const
{
    const auto found = named(ask(connection_, "SELECT id, name, maker FROM pattern WHERE id = ?", {id}));
    return found.empty() ? std::nullopt : std::optional{found.front()};
}

Table Notebook::table() const
{
    auto q = ask(connection_, "SELECT wearer_id, set_id, pattern_id, chart_id FROM on_table");
    if (!q.next()) return {};
    return {id_of(q.value(0)), id_of(q.value(1)), id_of(q.value(2)), id_of(q.value(3))};
}

std::optional<BodySet> Notebook::body(Id set) const
{
    auto head = ask(connection_, "SELECT taken_on FROM body_set WHERE id = ?", {set});
    if (!head.next()) return std::nullopt;
    BodySet out{head.value(0).toString().toStdString(), {}};
    auto q = ask(connection_, "SELECT measure, value_mm FROM reading WHERE set_id = ? ORDER BY measure, position",
                 {set});
    while (q.next()) {
        if (const auto m = measure_of_key(q.value(0).toString().toStdString()))
            out.readings[*m].push_back(Length::mm(q.value(1).toDouble()));
    }
    return out;
}

std::optional<QByteArray> Notebook::pattern_svg(Id id) const
{
    auto q = ask(connection_, "SELECT svg FROM pattern WHERE id = ?", {id});
    return q.next() ? std::optional{q.value(0).toString().toUtf8()} : std::nullopt;
}

std::optional<SizeChart> Notebook::chart(Id id) const
{
    auto head = ask(connection_, "SELECT name, maker FROM chart WHERE id = ?", {id});
    if (!head.next()) return std::nullopt;
    SizeChart out{head.value(0).toString().toStdString(), head.value(1).toString().toStdString(), {}};
    auto q =
        ask(connection_,
            "SELECT s.id, s.name, v.measure, v.value_mm FROM chart_size s JOIN chart_value v ON v.size_id = s.id "
            "WHERE s.chart_id = ? ORDER BY s.position",
            {id});
    Id last = -1;
    while (q.next()) {
        if (q.value(0).toLongLong() != last) out.sizes.push_back({q.value(1).toString().toStdString(), {}, 0});
        last = q.value(0).toLongLong();
        if (const auto m = measure_of_key(q.value(2).toString().toStdString()))
            out.sizes.back().body[*m] = Length::mm(q.value(3).toDouble());
    }
    return out;
}

Plan Notebook::plan(Id wearer, Id pattern) const
{
    Plan out;
    auto head =
        ask(connection_, "SELECT id, waist_size, hip_size FROM plan WHERE wearer_id = ? AND pattern_id = ?",
            {wearer, pattern});
    if (!head.next()) return out;
    out.waist_size = head.value(1).toString().toStdString();
    out.hip_size = head.value(2).toString().toStdString();
    auto q = ask(connection_, "SELECT adjustment, answer, amount_mm FROM decision WHERE plan_id = ? ORDER BY id",
                 {head.value(0)});
    while (q.next()) {
        const auto kind = adjustment_of_key(q.value(0).toString().toStdString());
        if (!kind) continue;
        Decision d{*kind, q.value(1).toString() == "accepted" ? Answer::Accepted : Answer::Declined, {}};
        if (!q.value(2).isNull()) d.amount = Length::mm(q.value(2).toDouble());
        out.decide(d);
    }
    return out;
}

int Notebook::step(Id wearer, Id pattern) const
{
    auto q = ask(connection_, "SELECT step FROM place WHERE wearer_id = ? AND pattern_id = ?", {wearer, pattern});
    return q.next() ? q.value(0).toInt() : 0;
}

Result<Id> Notebook::add_wearer(const QString& name, const QDate& today)
{
    Change change{*this, tr_("new wearer %1").arg(name)};
    const Id id = change.insert("INSERT INTO wearer (name) VALUES (?)", {name});
    const Id set = change.insert("INSERT INTO body_set (wearer_id, taken_on) VALUES (?, ?)",
                                 {id, today.toString(Qt::ISODate)});
    change.run("UPDATE on_table SET wearer_id = ?, set_id = ?", {id, set});
    return change.commit(id);
}

Result<Id> Notebook::add_set(Id wearer, const QDate& date)
{
    Change change{*this, tr_("measure anew")};
    const Id id = change.insert("INSERT INTO body_set (wearer_id, taken_on) VALUES (?, ?)",
                                {wearer, date.toString(Qt::ISODate)});
    change.run("UPDATE on_table SET set_id = ?", {id});
    return change.commit(id);
}

Result<bool> Notebook::set_readings(Id set, Measure m, const std::vector<Length>& readings)
{
    const QString key = QString::fromLatin1(facts(m).key.data(), static_cast<int>(facts(m).key.size()));
    Change change{*this, tr_("reading")};
    change.run("DELETE FROM reading WHERE set_id = ? AND measure = ?", {set, key});
    for (std::size_t i = 0; i < readings.size(); ++i) {
        change.run("INSERT INTO reading (set_id, measure, position, value_mm) VALUES (?, ?, ?, ?)",
                   {set, key, static_cast<int>(i), readings[i].in_mm()});
    }
    return change.commit(true);
}

Result<Id> Notebook::add_chart(const SizeChart& chart)
{
    Change change{*this, tr_("new size chart")};
    const Id id =
        change.insert("INSERT INTO chart (name, maker) VALUES (?, ?)", {text(chart.name), text(chart.maker)});
    for (std::size_t i = 0; i < chart.sizes.size(); ++i) {
        const Id size = change.insert("INSERT INTO chart_size (chart_id, position, name) VALUES (?, ?, ?)",
                                      {id, static_cast<int>(i), text(chart.sizes[i].name)});
        for (const auto& [m, value] : chart.sizes[i].body) {
            change.run("INSERT INTO chart_value (size_id, measure, value_mm) VALUES (?, ?, ?)",
                       {size, text(std::string{facts(m).key}), value.in_mm()});
        }
    }
    change.run("UPDATE on_table SET chart_id = ?", {id});
    change.run("UPDATE pattern SET chart_id = ? WHERE chart_id IS NULL AND id = (SELECT pattern_id FROM on_table)",
               {id});
    return change.commit(id);
}

Result<Id> Notebook::add_pattern(const QString& name, const QString& maker, const QByteArray& svg,
                                 std::optional<Id> chart)
{
    Change change{*this, tr_("new pattern %1").arg(name)};
    const Id id = change.insert("INSERT INTO pattern (name, maker, svg, chart_id) VALUES (?, ?, ?, ?)",
                                {name, maker, QString::fromUtf8(svg), or_null(chart)});
    change.run("UPDATE on_table SET pattern_id = ?, chart_id = coalesce(?, chart_id)", {id, or_null(chart)});
    return change.commit(id);
}

Result<bool> Notebook::lay_on_table(const Table& t)
{
    Change change{*this, tr_("what is on the table")};
    change.run("UPDATE on_table SET wearer_id = ?, set_id = ?, pattern_id = ?, chart_id = ?",
               {or_null(t.wearer), or_null(t.set), or_null(t.pattern), or_null(t.chart)});
    return change.commit(true);
}

Result<bool> Notebook::save_plan(Id wearer, Id pattern, const Plan& plan, const QString& act)
{
    Change change{*this, act};
    auto found = change.run("SELECT id FROM plan WHERE wearer_id = ? AND pattern_id = ?", {wearer, pattern});
    Id id = found.next() ? found.value(0).toLongLong() : 0;
    found.finish();
    const QVariant waist = text(plan.waist_size);
    const QVariant hip = text(plan.hip_size);
    if (id) {
        change.run("UPDATE plan SET waist_size = ?, hip_size = ? WHERE id = ?", {waist, hip, id});
        change.run("DELETE FROM decision WHERE plan_id = ?", {id});
    } else {
        id = change.insert("INSERT INTO plan (wearer_id, pattern_id, waist_size, hip_size) VALUES (?, ?, ?, ?)",
                           {wearer, pattern, waist, hip});
    }
    for (const auto& d : plan.decisions) {
        change.run(
            "INSERT INTO decision (plan_id, adjustment, answer, amount_mm) VALUES (?, ?, ?, ?)",
            {id, text(std::string{adjustment(d.kind).key}), d.answer == Answer::Accepted ? "accepted" : "declined",
             d.amount ? QVariant{d.amount->in_mm()} : QVariant{}});
    }
    return change.commit(true);
}

Result<bool> Notebook::save_step(Id wearer, Id pattern, int step)
{
    Change change{*this, {}, false};
    change.run(
        "INSERT INTO place (wearer_id, pattern_id, step) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET step = "
        "excluded.step",
        {wearer, pattern, step});
    return change.commit(true);
}

std::optional<QString> Notebook::undo_name() const
{
    auto q = ask(connection_, "SELECT name FROM act WHERE side = 'undo' ORDER BY id DESC LIMIT 1");
    return q.next() ? std::optional{q.value(0).toString()} : std::nullopt;
}

std::optional<QString> Notebook::redo_name() const
{
    auto q = ask(connection_, "SELECT name FROM act WHERE side = 'redo' ORDER BY id LIMIT 1");
    return q.next() ? std::optional{q.value(0).toString()} : std::nullopt;
}

// Runs an act's statements backwards; while it does, the triggers write the way back under the same act.
Result<bool> Notebook::replay(const char* from, const char* to)
{
    Change change{*this, {}, false};
    const QString order = QLatin1String{from} == QLatin1String{"undo"} ? "DESC" : "ASC";
    auto found = change.run("SELECT id FROM act WHERE side = ? ORDER BY id " + order + " LIMIT 1", {from});
    if (!found.next()) return false;
    const Id act = found.value(0).toLongLong();
    found.finish();
    QStringList statements;
    auto q = change.run("SELECT sql FROM undo_log WHERE act = ? ORDER BY id DESC", {act});
    while (q.next()) statements << q.value(0).toString();
    q.finish();
    change.run("DELETE FROM undo_log WHERE act = ?", {act});
    change.run("INSERT INTO current_act (id) VALUES (?)", {act});
    for (const auto& sql : statements) change.run(sql);
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
