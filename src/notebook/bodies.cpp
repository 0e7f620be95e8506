// Wearers and what is known of their bodies; what lies on the table.
#include <sqlite3.h>

#include <QCoreApplication>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
Trouble trouble_of(const QSqlError& e)
{
    switch (e.nativeErrorCode().toInt() % 256) {
        case SQLITE_READONLY:
        case SQLITE_PERM: return Trouble::ReadOnly;
        case SQLITE_IOERR:
        case SQLITE_FULL: return Trouble::DiskFull;
        case SQLITE_BUSY:
        case SQLITE_LOCKED: return Trouble::InUse;
        case SQLITE_NOTADB: return Trouble::NotANotebook;
        case SQLITE_CORRUPT: return Trouble::Damaged;
        default: return Trouble::Failed;
    }
}

tl::unexpected<Failure> fail(Trouble t, const QString& detail)
{
    return tl::make_unexpected(Failure{t, detail});
}

QString tr_(const char* text)
{
    return QCoreApplication::translate("notebook", text);
}

QSqlQuery ask(const QString& connection, const QString& sql, const QVariantList& values)
{
    QSqlQuery q{QSqlDatabase::database(connection)};
    if (!q.prepare(sql)) return q;  // running it all the same would forget why
    for (int i = 0; i < values.size(); ++i) q.bindValue(i, values[i]);
    q.exec();
    return q;
}

Notebook::Rows Notebook::ask(const QString& sql, const QVariantList& values) const
{
    return {*this, notebook::ask(connection_, sql, values)};
}

Notebook::Rows::Rows(const Notebook& book, QSqlQuery query) : book_{book}, query_{std::move(query)}
{
    note_error();
}

bool Notebook::Rows::next()
{
    constexpr int most = 100'000;
    if (query_.next()) {
        if (++read_ <= most) return true;
        book_.leave_out(tr_("rows past the first %1").arg(most), {});
        return false;
    }
    note_error();
    return false;
}

void Notebook::Rows::note_error()
{
    const auto error = query_.lastError();
    if (error.isValid() && !book_.unread_) book_.unread_ = Failure{trouble_of(error), error.text()};
}

void Notebook::leave_out(const QString& what, const QVariant& value) const
{
    constexpr std::size_t most = 100;
    const Unreadable found{what, value.isNull() ? tr_("nothing") : value.toString().left(40)};
    if (unreadable_.size() < most && std::find(unreadable_.begin(), unreadable_.end(), found) == unreadable_.end())
        unreadable_.push_back(found);
}

namespace {

constexpr double most_steps = 100'000;
constexpr qsizetype longest_name = 200;
constexpr std::size_t most_readings = 9;  // of one measure, as in a file

template <class Rows>
std::vector<Named> named(Rows q)
{
    std::vector<Named> out;
    while (q.next())
        out.push_back({q.value(0).toLongLong(), q.value(1).toString().left(longest_name),
                       q.value(2).toString().left(longest_name)});
    return out;
}

std::optional<Id> id_of(const QVariant& v)
{
    return v.isNull() ? std::nullopt : std::optional{v.toLongLong()};
}

}  // namespace

std::vector<Named> Notebook::wearers() const
{
    return named(
        ask("SELECT w.id, w.name, (SELECT max(taken_on) FROM body_set WHERE wearer_id = w.id) FROM "
            "wearer w ORDER BY w.id"));
}

std::vector<Named> Notebook::sets(Id wearer) const
{
    return named(ask("SELECT id, taken_on, '' FROM body_set WHERE wearer_id = ? ORDER BY taken_on DESC, id DESC",
                     {wearer}));
}

std::vector<Named> Notebook::patterns() const
{
    return named(ask("SELECT id, name, maker FROM pattern ORDER BY id"));
}
std::vector<Named> Notebook::charts() const
{
    auto out = named(ask("SELECT id, name, maker FROM chart ORDER BY id"));
    for (auto& c : out) {
        if (c.name.isEmpty())
            c.name = c.second.isEmpty() ? tr_("Size chart %1").arg(c.id) : tr_("Chart of %1").arg(c.second);
    }
    return out;
}

std::optional<Named> Notebook::wearer(Id id) const
{
    const auto found = named(ask("SELECT id, name, '' FROM wearer WHERE id = ?", {id}));
    return found.empty() ? std::nullopt : std::optional{found.front()};
}

std::optional<Named> Notebook::pattern(Id id) const
{
    const auto found = named(ask("SELECT id, name, maker FROM pattern WHERE id = ?", {id}));
    return found.empty() ? std::nullopt : std::optional{found.front()};
}

Table Notebook::table() const
{
    auto q = ask("SELECT wearer_id, set_id, pattern_id, chart_id, round, tissue_id FROM on_table");
    if (!q.next()) return {};
    return {id_of(q.value(0)), id_of(q.value(1)),     id_of(q.value(2)),
            id_of(q.value(3)), q.value(4).toString(), id_of(q.value(5))};
}

std::optional<BodySet> Notebook::body(Id set) const
{
    auto head = ask(
        "SELECT taken_on, worn, note, weight_kg, ball, neck, round_back, slope, hollow FROM body_set WHERE id = ?",
        {set});
    if (!head.next()) return std::nullopt;
    const QString day = head.value(0).toString();
    if (!QDate::fromString(day, Qt::ISODate).isValid() || day.size() != 10) {
        leave_out(tr_("the day of a set of measures"), head.value(0));
        return std::nullopt;
    }
    const auto of_day = [&](const QString& what) { return tr_("%1, measured %2").arg(what, day); };
    BodySet out{day.toStdString(), {}};
    out.worn = head.value(1).toString().toStdString();
    out.note = head.value(2).toString().toStdString();
    const auto weight = number_of(head.value(3));
    if (weight && *weight > 0 && *weight <= 500) out.weight_kg = *weight;
    if (!head.value(3).isNull() && !out.weight_kg) leave_out(of_day(tr_("weight")), head.value(3));
    const auto stands = [&](const auto& words, int column, auto& into) {
        const auto found = from_word<std::decay_t<decltype(into)>>(words, head.value(column));
        if (found) into = *found;
        if (!found && !head.value(column).toString().isEmpty())
            leave_out(of_day(tr_("posture")), head.value(column));
    };
    stands(stance_keys, 4, out.posture.ball);
    stands(stance_keys, 5, out.posture.neck);
    stands(round_back_keys, 6, out.posture.round_back);
    stands(slope_keys, 7, out.posture.slope);
    stands(hollow_keys, 8, out.posture.hollow);
    auto q = ask("SELECT measure, value_mm, side FROM reading WHERE set_id = ? ORDER BY measure, position", {set});
    while (q.next()) {
        const Side side = side_of_key(q.value(2).toString().toStdString()).value_or(Side::Right);
        const auto m = measure_of_key(q.value(0).toString().toStdString());
        const auto mm = number_of(q.value(1));
        const bool one_for_both = m && side == Side::Left && !facts(*m).sided;
        auto& readings = out.side(side);
        const bool room = m && (!readings.contains(*m) || readings.at(*m).size() < most_readings);
        if (room && mm && !one_for_both && check_reading(*m, Length::mm(*mm)))
            readings[*m].push_back(Length::mm(*mm));
        else
            leave_out(of_day(q.value(0).toString()), q.value(1));
    }
    auto checks = ask("SELECT ruler_mm, tape_mm FROM tape_check WHERE set_id = ? ORDER BY id", {set});
    std::vector<TapeAtRuler> at;
    bool whole = true;
    while (checks.next()) {
        const auto ruler = length_of(checks.value(0), Length::mm(10000));
        const auto tape = length_of(checks.value(1), Length::mm(10000));
        whole = whole && ruler && tape;
        if (ruler && tape) at.push_back({*ruler, *tape});
    }
    auto tape = TapeCheck::from(std::move(at));
    if (tape && whole)
        out.tape = *tape;
    else
        leave_out(of_day(tr_("tape check")), {});
    return out;
}

std::optional<QByteArray> Notebook::pattern_svg(Id id) const
{
    auto q = ask("SELECT svg FROM pattern WHERE id = ?", {id});
    return q.next() ? std::optional{q.value(0).toString().toUtf8()} : std::nullopt;
}

std::optional<Id> Notebook::chart_of_pattern(Id pattern) const
{
    auto q = ask("SELECT chart_id FROM pattern WHERE id = ?", {pattern});
    return q.next() && !q.value(0).isNull() ? std::optional{q.value(0).toLongLong()} : std::nullopt;
}

int Notebook::step(Id wearer, Id pattern) const
{
    auto q = ask("SELECT step FROM place WHERE wearer_id = ? AND pattern_id = ?", {wearer, pattern});
    if (!q.next()) return 0;
    const auto step = number_of(q.value(0));
    return step && *step >= 0 && *step <= most_steps ? static_cast<int>(*step) : 0;
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
    const QString which = side_word(side);
    Change change{*this, tr_("reading")};
    std::vector<std::pair<Id, QVariant>> rows;
    auto q = change.run(
        "SELECT id, value_mm FROM reading WHERE set_id = ? AND measure = ? AND side = ? ORDER BY position, id",
        {set, key(m), which});
    while (q.next()) rows.emplace_back(q.value(0).toLongLong(), q.value(1));
    q.finish();
    for (std::size_t i = 0; i < readings.size(); ++i) {
        const double mm = readings[i].in_mm();
        if (i >= rows.size())
            change.run("INSERT INTO reading (set_id, measure, position, value_mm, side) VALUES (?, ?, ?, ?, ?)",
                       {set, key(m), static_cast<int>(i), mm, which});
        else if (number_of(rows[i].second) != mm)
            change.run("UPDATE reading SET value_mm = ?, position = ? WHERE id = ?",
                       {mm, static_cast<int>(i), rows[i].first});
    }
    for (std::size_t i = readings.size(); i < rows.size(); ++i)
        change.run("DELETE FROM reading WHERE id = ?", {rows[i].first});
    return change.commit(true);
}

Result<bool> Notebook::set_circumstances(Id set, const BodySet& body)
{
    Change change{*this, tr_("notes on the measuring")};
    change.run(
        "UPDATE body_set SET worn = ?, note = ?, weight_kg = ?, ball = ?, neck = ?, round_back = ?, slope = ?, "
        "hollow = ? WHERE id = ?",
        {text(body.worn), text(body.note), body.weight_kg ? QVariant{*body.weight_kg} : QVariant{},
         word(stance_keys, body.posture.ball), word(stance_keys, body.posture.neck),
         word(round_back_keys, body.posture.round_back), word(slope_keys, body.posture.slope),
         word(hollow_keys, body.posture.hollow), set});
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

Result<Id> Notebook::add_pattern(const QString& name, const QString& maker, const QByteArray& svg,
                                 std::optional<Id> chart)
{
    Change change{*this, tr_("new pattern %1").arg(name)};
    const Id id = insert_pattern(change, name, maker, svg, chart);
    return change.commit(id);
}

Id Notebook::insert_pattern(Change& change, const QString& name, const QString& maker, const QByteArray& svg,
                            std::optional<Id> chart)
{
    const Id id = change.insert("INSERT INTO pattern (name, maker, svg, chart_id) VALUES (?, ?, ?, ?)",
                                {name, maker, QString::fromUtf8(svg), or_null(chart)});
    change.run("UPDATE on_table SET pattern_id = ?, chart_id = coalesce(?, chart_id)", {id, or_null(chart)});
    return id;
}

Result<bool> Notebook::lay_on_table(const Table& t)
{
    Change change{*this, tr_("what is on the table")};
    change.run(
        "UPDATE on_table SET wearer_id = ?, set_id = ?, pattern_id = ?, chart_id = ?, round = ?, tissue_id = ?",
        {or_null(t.wearer), or_null(t.set), or_null(t.pattern), or_null(t.chart), t.round, or_null(t.tissue)});
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

}  // namespace sartorum::notebook
