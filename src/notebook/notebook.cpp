#include "notebook/notebook.h"

#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QSqlError>
#include <QSqlQuery>
#include <QUuid>
#include <QVariant>
#include <algorithm>
#include <array>

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

Result<bool> run_all(QSqlDatabase& db, const QStringList& statements)
{
    QSqlQuery q{db};
    for (const auto& sql : statements) {
        if (!q.exec(sql)) {
            const Failure f{trouble_of(q.lastError()), q.lastError().text()};
            q.exec("ROLLBACK");
            return tl::make_unexpected(f);
        }
    }
    return true;
}

// From `version` (0: an empty file) to the newest, in one transaction.
Result<bool> bring_up(QSqlDatabase& db, int version)
{
    QStringList statements{"PRAGMA foreign_keys = OFF", "BEGIN IMMEDIATE"};
    if (version == 0) statements << first_schema();
    for (const auto& name : undo_trigger_names()) statements << "DROP TRIGGER IF EXISTS " + name;
    for (int v = std::max(version, 1); v < schema_version; ++v) statements << migration_from(v);
    statements << undo_triggers() << QString{"PRAGMA application_id = %1"}.arg(application_id)
               << QString{"PRAGMA user_version = %1"}.arg(schema_version) << "COMMIT"
               << "PRAGMA foreign_keys = ON";
    return run_all(db, statements);
}

// A copy beside the file before it is brought to a newer version; an earlier copy is left as it is.
bool keep_copy(QSqlDatabase& db, int version)
{
    const QString copy = QString{"%1.version-%2"}.arg(db.databaseName()).arg(version);
    if (QFile::exists(copy)) return true;
    QSqlQuery q{db};
    q.prepare("VACUUM INTO ?");
    q.bindValue(0, copy);
    return q.exec();
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
    if (fresh) return bring_up(db, 0);
    if (version == schema_version) return true;
    if (version < 1) return fail(Trouble::NotANotebook);
    if (!keep_copy(db, version)) return fail(Trouble::DiskFull, "copy before the new version");
    return bring_up(db, version);
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

QString column_of(PlanFor what)
{
    return what.what == PlanFor::What::Pattern ? QString{"pattern_id"} : QString{"chart_id"};
}

// Enums are stored as words; a word nobody knows reads as the first.
template <class E, std::size_t N>
E from_word(const std::array<const char*, N>& words, const QVariant& v)
{
    for (std::size_t i = 0; i < N; ++i) {
        if (v.toString() == QLatin1String{words[i]}) return static_cast<E>(i);
    }
    return static_cast<E>(0);
}

template <class E, std::size_t N>
QString word(const std::array<const char*, N>& words, E e)
{
    return QString::fromLatin1(words[static_cast<std::size_t>(e)]);
}

std::optional<Length> length_of(const QVariant& v)
{
    return v.isNull() ? std::nullopt : std::optional{Length::mm(v.toDouble())};
}
QVariant or_null(const std::optional<Length>& l)
{
    return l ? QVariant{l->in_mm()} : QVariant{};
}
QString key(Measure m)
{
    const auto k = facts(m).key;
    return QString::fromLatin1(k.data(), static_cast<int>(k.size()));
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
    auto q = ask(connection_, "SELECT wearer_id, set_id, pattern_id, chart_id, round FROM on_table");
    if (!q.next()) return {};
    return {id_of(q.value(0)), id_of(q.value(1)), id_of(q.value(2)), id_of(q.value(3)), q.value(4).toString()};
}

std::optional<BodySet> Notebook::body(Id set) const
{
    auto head = ask(
        connection_,
        "SELECT taken_on, worn, note, weight_kg, ball, neck, round_back, slope FROM body_set WHERE id = ?", {set});
    if (!head.next()) return std::nullopt;
    BodySet out{head.value(0).toString().toStdString(), {}};
    out.worn = head.value(1).toString().toStdString();
    out.note = head.value(2).toString().toStdString();
    if (!head.value(3).isNull()) out.weight_kg = head.value(3).toDouble();
    out.posture.ball = from_word<Stance>(stance_keys, head.value(4));
    out.posture.neck = from_word<Stance>(stance_keys, head.value(5));
    out.posture.round_back = from_word<RoundBack>(round_back_keys, head.value(6));
    out.posture.slope = from_word<SlopeSeen>(slope_keys, head.value(7));
    auto q = ask(connection_,
                 "SELECT measure, value_mm, side FROM reading WHERE set_id = ? ORDER BY measure, position", {set});
    while (q.next()) {
        const Side side = q.value(2).toString() == "left" ? Side::Left : Side::Right;
        if (const auto m = measure_of_key(q.value(0).toString().toStdString()))
            out.side(side)[*m].push_back(Length::mm(q.value(1).toDouble()));
    }
    auto checks = ask(connection_, "SELECT ruler_mm, tape_mm FROM tape_check WHERE set_id = ? ORDER BY id", {set});
    std::vector<TapeAtRuler> at;
    while (checks.next())
        at.push_back({Length::mm(checks.value(0).toDouble()), Length::mm(checks.value(1).toDouble())});
    if (auto tape = TapeCheck::from(std::move(at))) out.tape = *tape;
    return out;
}

std::optional<QByteArray> Notebook::pattern_svg(Id id) const
{
    auto q = ask(connection_, "SELECT svg FROM pattern WHERE id = ?", {id});
    return q.next() ? std::optional{q.value(0).toString().toUtf8()} : std::nullopt;
}

std::optional<SizeChart> Notebook::chart(Id id) const
{
    auto head = ask(
        connection_,
        "SELECT name, maker, cups_by, height_from_mm, height_to_mm, allowance_mm FROM chart WHERE id = ?", {id});
    if (!head.next()) return std::nullopt;
    SizeChart out{head.value(0).toString().toStdString(), head.value(1).toString().toStdString(), {}};
    out.cups_by = head.value(2).toString() == "underbust" ? CupBy::Underbust : CupBy::HighBust;
    out.height_from = length_of(head.value(3));
    out.height_to = length_of(head.value(4));
    out.allowance = length_of(head.value(5));
    auto q =
        ask(connection_,
            "SELECT s.id, s.name, s.group_name, v.measure, v.value_mm, v.half_range_mm, v.what FROM chart_size s "
            "JOIN chart_value v ON v.size_id = s.id WHERE s.chart_id = ? ORDER BY s.position",
            {id});
    Id last = -1;
    while (q.next()) {
        if (q.value(0).toLongLong() != last) {
            out.sizes.push_back({q.value(1).toString().toStdString(), {}, 0, q.value(2).toString().toStdString()});
        }
        last = q.value(0).toLongLong();
        const auto m = measure_of_key(q.value(3).toString().toStdString());
        if (!m) continue;
        auto& size = out.sizes.back();
        (q.value(6).toString() == "finished" ? size.finished : size.body)[*m] = Length::mm(q.value(4).toDouble());
        if (q.value(5).toDouble() > 0) size.half_range[*m] = Length::mm(q.value(5).toDouble());
    }
    auto cups = ask(connection_, "SELECT group_name, letter FROM chart_cup WHERE chart_id = ?", {id});
    while (cups.next())
        out.drafted_cup[cups.value(0).toString().toStdString()] = cups.value(1).toString().toStdString();
    auto rows =
        ask(connection_, "SELECT letter, difference_mm FROM cup_row WHERE chart_id = ? ORDER BY position", {id});
    while (rows.next())
        out.cups.push_back({rows.value(0).toString().toStdString(), Length::mm(rows.value(1).toDouble())});
    auto views =
        ask(connection_, "SELECT name, first_size, last_size FROM chart_view WHERE chart_id = ? ORDER BY position",
            {id});
    while (views.next())
        out.views.push_back({views.value(0).toString().toStdString(), views.value(1).toString().toStdString(),
                             views.value(2).toString().toStdString()});
    return out;
}

Plan Notebook::plan(Id wearer, PlanFor what) const
{
    Plan out;
    auto head =
        ask(connection_,
            "SELECT id, waist_size, hip_size, bust_size, chart_group, garment, roomy, knit, stretch, seated, "
            "school FROM plan WHERE wearer_id = ? AND " +
                column_of(what) + " = ?",
            {wearer, what.id});
    if (!head.next()) return out;
    out.waist_size = head.value(1).toString().toStdString();
    out.hip_size = head.value(2).toString().toStdString();
    out.bust_size = head.value(3).toString().toStdString();
    out.chart_group = head.value(4).toString().toStdString();
    out.choosing.kind = from_word<GarmentKind>(garment_keys, head.value(5));
    out.choosing.full = head.value(6).toBool();
    out.choosing.knit = out.cloth.knit = head.value(7).toBool();
    out.cloth.stretch = head.value(8).toDouble();
    out.choosing.seated = head.value(9).toBool();
    if (!head.value(10).toString().isEmpty()) out.choosing.school = from_word<School>(school_keys, head.value(10));
    auto q =
        ask(connection_,
            "SELECT adjustment, answer, amount_mm, back_mm, method FROM decision WHERE plan_id = ? ORDER BY id",
            {head.value(0)});
    while (q.next()) {
        const auto kind = adjustment_of_key(q.value(0).toString().toStdString());
        if (!kind) continue;
        Decision d{*kind, q.value(1).toString() == "accepted" ? Answer::Accepted : Answer::Declined, {}};
        d.amount = length_of(q.value(2));
        d.back = length_of(q.value(3));
        d.method = method_of_key(adjustment(*kind), q.value(4).toString().toStdString());
        out.decide(d);
    }
    auto wishes = ask(connection_, "SELECT measure, ease_mm FROM ease_wish WHERE plan_id = ?", {head.value(0)});
    while (wishes.next()) {
        if (const auto m = measure_of_key(wishes.value(0).toString().toStdString()))
            out.ease[*m] = Length::mm(wishes.value(1).toDouble());
    }
    return out;
}

std::optional<Id> Notebook::chart_of_pattern(Id pattern) const
{
    auto q = ask(connection_, "SELECT chart_id FROM pattern WHERE id = ?", {pattern});
    return q.next() && !q.value(0).isNull() ? std::optional{q.value(0).toLongLong()} : std::nullopt;
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

Result<bool> Notebook::set_readings(Id set, Measure m, const std::vector<Length>& readings, Side side)
{
    const QString which = side == Side::Left ? "left" : "right";
    Change change{*this, tr_("reading")};
    change.run("DELETE FROM reading WHERE set_id = ? AND measure = ? AND side = ?", {set, key(m), which});
    for (std::size_t i = 0; i < readings.size(); ++i) {
        change.run("INSERT INTO reading (set_id, measure, position, value_mm, side) VALUES (?, ?, ?, ?, ?)",
                   {set, key(m), static_cast<int>(i), readings[i].in_mm(), which});
    }
    return change.commit(true);
}

Result<bool> Notebook::set_circumstances(Id set, const BodySet& body)
{
    Change change{*this, tr_("notes on the measuring")};
    change.run(
        "UPDATE body_set SET worn = ?, note = ?, weight_kg = ?, ball = ?, neck = ?, round_back = ?, slope = ? "
        "WHERE id = ?",
        {text(body.worn), text(body.note), body.weight_kg ? QVariant{*body.weight_kg} : QVariant{},
         word(stance_keys, body.posture.ball), word(stance_keys, body.posture.neck),
         word(round_back_keys, body.posture.round_back), word(slope_keys, body.posture.slope), set});
    return change.commit(true);
}

Result<bool> Notebook::set_tape_check(Id set, const TapeCheck& tape)
{
    Change change{*this, tr_("tape check")};
    change.run("DELETE FROM tape_check WHERE set_id = ?", {set});
    for (const auto& c : tape.at()) {
        change.run("INSERT INTO tape_check (set_id, ruler_mm, tape_mm) VALUES (?, ?, ?)",
                   {set, c.ruler.in_mm(), c.tape.in_mm()});
    }
    return change.commit(true);
}

void Notebook::write_chart(Change& change, Id id, const SizeChart& chart)
{
    for (std::size_t i = 0; i < chart.sizes.size(); ++i) {
        const auto& s = chart.sizes[i];
        const Id size =
            change.insert("INSERT INTO chart_size (chart_id, position, name, group_name) VALUES (?, ?, ?, ?)",
                          {id, static_cast<int>(i), text(s.name), text(s.group)});
        for (const auto& [m, value] : s.body) {
            change.run("INSERT INTO chart_value (size_id, measure, value_mm, half_range_mm) VALUES (?, ?, ?, ?)",
                       {size, key(m), value.in_mm(), chart.half_range(i, m).in_mm()});
        }
        for (const auto& [m, value] : s.finished) {
            change.run("INSERT INTO chart_value (size_id, measure, value_mm, what) VALUES (?, ?, ?, 'finished')",
                       {size, key(m), value.in_mm()});
        }
    }
    for (const auto& [group, letter] : chart.drafted_cup) {
        change.run("INSERT INTO chart_cup (chart_id, group_name, letter) VALUES (?, ?, ?)",
                   {id, text(group), text(letter)});
    }
    for (std::size_t i = 0; i < chart.cups.size(); ++i) {
        change.run("INSERT INTO cup_row (chart_id, position, letter, difference_mm) VALUES (?, ?, ?, ?)",
                   {id, static_cast<int>(i), text(chart.cups[i].letter), chart.cups[i].difference.in_mm()});
    }
    for (std::size_t i = 0; i < chart.views.size(); ++i) {
        const auto& v = chart.views[i];
        change.run(
            "INSERT INTO chart_view (chart_id, position, name, first_size, last_size) VALUES (?, ?, ?, ?, ?)",
            {id, static_cast<int>(i), text(v.name), text(v.first), text(v.last)});
    }
}

Result<Id> Notebook::add_chart(const SizeChart& chart)
{
    Change change{*this, tr_("new size chart")};
    const Id id = change.insert(
        "INSERT INTO chart (name, maker, cups_by, height_from_mm, height_to_mm, allowance_mm) VALUES (?, ?, ?, ?, "
        "?, ?)",
        {text(chart.name), text(chart.maker), chart.cups_by == CupBy::Underbust ? "underbust" : "high_bust",
         or_null(chart.height_from), or_null(chart.height_to), or_null(chart.allowance)});
    write_chart(change, id, chart);
    change.run("UPDATE on_table SET chart_id = ?", {id});
    change.run("UPDATE pattern SET chart_id = ? WHERE chart_id IS NULL AND id = (SELECT pattern_id FROM on_table)",
               {id});
    return change.commit(id);
}

Result<bool> Notebook::replace_chart(Id id, const SizeChart& chart)
{
    Change change{*this, tr_("size chart changed")};
    change.run("DELETE FROM chart_value WHERE size_id IN (SELECT id FROM chart_size WHERE chart_id = ?)", {id});
    for (const char* table : {"chart_size", "chart_cup", "cup_row", "chart_view"})
        change.run(QString{"DELETE FROM %1 WHERE chart_id = ?"}.arg(QLatin1String{table}), {id});
    change.run(
        "UPDATE chart SET name = ?, maker = ?, cups_by = ?, height_from_mm = ?, height_to_mm = ?, allowance_mm = "
        "? WHERE id = ?",
        {text(chart.name), text(chart.maker), chart.cups_by == CupBy::Underbust ? "underbust" : "high_bust",
         or_null(chart.height_from), or_null(chart.height_to), or_null(chart.allowance), id});
    write_chart(change, id, chart);
    return change.commit(true);
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
    change.run("UPDATE on_table SET wearer_id = ?, set_id = ?, pattern_id = ?, chart_id = ?, round = ?",
               {or_null(t.wearer), or_null(t.set), or_null(t.pattern), or_null(t.chart), t.round});
    return change.commit(true);
}

Result<bool> Notebook::save_plan(Id wearer, PlanFor what, const Plan& plan, const QString& act)
{
    Change change{*this, act};
    auto found =
        change.run("SELECT id FROM plan WHERE wearer_id = ? AND " + column_of(what) + " = ?", {wearer, what.id});
    Id id = found.next() ? found.value(0).toLongLong() : 0;
    found.finish();
    const auto& wish = plan.choosing;
    const QVariantList values{text(plan.waist_size),
                              text(plan.hip_size),
                              text(plan.bust_size),
                              text(plan.chart_group),
                              word(garment_keys, wish.kind),
                              wish.full,
                              plan.cloth.knit,
                              plan.cloth.stretch,
                              wish.seated,
                              wish.school ? word(school_keys, *wish.school) : QString{""}};
    if (id) {
        change.run(
            "UPDATE plan SET waist_size = ?, hip_size = ?, bust_size = ?, chart_group = ?, garment = ?, roomy = "
            "?, "
            "knit = ?, stretch = ?, seated = ?, school = ? WHERE id = ?",
            values + QVariantList{id});
        change.run("DELETE FROM decision WHERE plan_id = ?", {id});
        change.run("DELETE FROM ease_wish WHERE plan_id = ?", {id});
    } else {
        id = change.insert(
            "INSERT INTO plan (waist_size, hip_size, bust_size, chart_group, garment, roomy, knit, "
            "stretch, seated, school, wearer_id, " +
                column_of(what) + ") VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
            values + QVariantList{wearer, what.id});
    }
    for (const auto& [m, ease] : plan.ease) {
        change.run("INSERT INTO ease_wish (plan_id, measure, ease_mm) VALUES (?, ?, ?)",
                   {id, key(m), ease.in_mm()});
    }
    for (const auto& d : plan.decisions) {
        change.run(
            "INSERT INTO decision (plan_id, adjustment, answer, amount_mm, back_mm, method) VALUES (?, ?, ?, ?, "
            "?, ?)",
            {id, text(std::string{adjustment(d.kind).key}), d.answer == Answer::Accepted ? "accepted" : "declined",
             d.amount ? QVariant{d.amount->in_mm()} : QVariant{}, d.back ? QVariant{d.back->in_mm()} : QVariant{},
             d.method ? text(std::string{adjustment(d.kind).methods[*d.method]}) : QString{""}});
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
