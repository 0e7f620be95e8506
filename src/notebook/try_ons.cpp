// Versions, and the try-ons that hang on them: read with every value checked, and written row by row.
#include <QCoreApplication>
#include <QCryptographicHash>
#include <algorithm>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr std::array<const char*, 3> kept_for_words{"cut", "tried_on", "printed"};
constexpr double figure_most = 1e4;  // pixels and figure units alike

QString plain_word(std::string_view key)
{
    return QString::fromLatin1(key.data(), static_cast<qsizetype>(key.size()));
}

std::string said(const QVariant& v)
{
    return v.toString().left(static_cast<qsizetype>(most_words)).toStdString();
}

QString moments_text(const TryOn& t)
{
    QStringList out;
    for (const auto m : t.moments) out << plain_word(sartorum::key(m));
    return out.join(' ');
}

std::vector<Moment> moments_of(const QVariant& v)
{
    std::vector<Moment> out;
    for (const auto& word : v.toString().split(' ', Qt::SkipEmptyParts)) {
        const auto m = moment_of_key(word.toStdString());
        if (m && std::find(out.begin(), out.end(), *m) == out.end()) out.push_back(*m);
    }
    return out;
}

std::optional<double> place_of(const QVariant& v)
{
    const auto n = number_of(v);
    return n && std::abs(*n) <= figure_most ? n : std::nullopt;
}

QVariantList values_of(const TryOn& t)
{
    return {text(t.date),  plain_word(sartorum::key(t.what)), text(t.cloth), text(t.worn), moments_text(t),
            text(t.words), t.nothing_to_see ? 1 : 0};
}

const QStringList try_on_columns{"tried_on", "put_on", "cloth", "worn", "moments", "words", "nothing_to_see"};
const QStringList note_columns{"sight", "strength", "side", "moment", "since", "at_x", "at_y", "words"};
const QStringList answer_columns{"test", "yes", "pinched_mm"};
const QStringList found_columns{"what", "at", "face", "side", "by_mm"};
const QStringList line_columns{"guide", "a_x", "a_y", "b_x", "b_y", "known_mm"};

QVariantList values_of(const Note& n)
{
    const auto& s = n.seen;
    return {plain_word(facts(s.sight).key),
            plain_word(key(s.strength)),
            side_word(s.side),
            plain_word(sartorum::key(n.moment)),
            plain_word(sartorum::key(n.since)),
            n.at ? QVariant{n.at->x} : QVariant{},
            n.at ? QVariant{n.at->y} : QVariant{},
            text(n.words)};
}

QVariantList values_of(const Answered& a)
{
    return {plain_word(facts(a.test).key), a.yes ? 1 : 0, or_null(a.pinched)};
}

QVariantList values_of(const Found& f)
{
    return {plain_word(sartorum::key(f.what)), text(f.at), plain_word(sartorum::key(f.face)), side_word(f.side),
            f.by.in_mm()};
}

QVariantList values_of(const PhotoLine& l)
{
    return {plain_word(sartorum::key(l.what)), l.a.x, l.a.y, l.b.x, l.b.y, or_null(l.known)};
}

}  // namespace

// Row by row in their order: one that changed is written again where it stands.
template <class T>
void Notebook::write_in_order(Change& change, const char* table, const char* owner, Id id,
                              const QStringList& columns, const std::vector<Row<T>>& old,
                              const std::vector<T>& wanted)
{
    const QString name = QLatin1String{table};
    for (std::size_t i = 0; i < old.size() || i < wanted.size(); ++i) {
        if (i >= wanted.size()) {
            change.run("DELETE FROM " + name + " WHERE id = ?", {old[i].id});
        } else if (i >= old.size()) {
            change.run("INSERT INTO " + name + " (" + columns.join(", ") + ", " + QLatin1String{owner} +
                           ") VALUES (?" + QString{", ?"}.repeated(columns.size()) + ")",
                       values_of(wanted[i]) + QVariantList{id});
        } else if (!(old[i].value == wanted[i])) {
            change.run("UPDATE " + name + " SET " + columns.join(" = ?, ") + " = ? WHERE id = ?",
                       values_of(wanted[i]) + QVariantList{old[i].id});
        }
    }
}

Id Notebook::kept_version(Change& change, Id wearer, Id pattern, const QString& name, const QString& day,
                          KeptFor what, const QByteArray& work)
{
    const QString now = QString::fromUtf8(work);
    auto newest = change.run(
        "SELECT id, kind FROM version WHERE wearer_id = ? AND pattern_id = ? AND id = (SELECT max(id) FROM "
        "version WHERE "
        "wearer_id = ? AND pattern_id = ?) AND work = ?",
        {wearer, pattern, wearer, pattern, now});
    if (newest.next()) {
        const Id id = newest.value(0).toLongLong();
        const bool first_tried = what == KeptFor::TriedOn && newest.value(1).toString() == "printed";
        newest.finish();
        // What was printed and then put on is a version that was seen on a body.
        if (first_tried)
            change.run("UPDATE version SET kind = ?, name = ? WHERE id = ?",
                       {word(kept_for_words, what), name, id});
        return id;
    }
    newest.finish();
    return change.insert(
        "INSERT INTO version (wearer_id, pattern_id, name, kept_on, work, kind) VALUES (?, ?, ?, ?, ?, ?)",
        {wearer, pattern, name, day, now, word(kept_for_words, what)});
}

Result<Id> Notebook::keep_version(Id wearer, Id pattern, const QString& name, const QDate& day, KeptFor what,
                                  const QByteArray& work)
{
    const auto keep = [&](Change& change) {
        const Id id = kept_version(change, wearer, pattern, name, day.toString(Qt::ISODate), what, work);
        return change.commit(id);
    };
    if (what == KeptFor::Printed) {  // nobody would take a print back
        Change change{*this, Change::With::LastAct};
        return keep(change);
    }
    Change change{*this, tr_("version %1").arg(name)};
    return keep(change);
}

std::vector<KeptVersion> Notebook::versions(Id wearer, Id pattern) const
{
    std::vector<KeptVersion> out;
    auto q =
        ask("SELECT id, name, kept_on, kind, passed_on, passed_over FROM version WHERE wearer_id = ? AND "
            "pattern_id = ? ORDER BY "
            "id DESC",
            {wearer, pattern});
    while (q.next()) {
        const auto what = from_word<KeptFor>(kept_for_words, q.value(3));
        if (!what) leave_out(tr_("why a version was kept"), q.value(3));
        out.push_back({q.value(0).toLongLong(), q.value(1).toString(), q.value(2).toString(),
                       what.value_or(KeptFor::Cut), q.value(4).toString(),
                       QString::fromStdString(said(q.value(5)))});
    }
    return out;
}

std::optional<QByteArray> Notebook::version(Id id) const
{
    auto q = ask("SELECT work FROM version WHERE id = ?", {id});
    return q.next() ? std::optional{q.value(0).toString().toUtf8()} : std::nullopt;
}

Result<bool> Notebook::pass_gate(Id version, const QDate& day, const QString& over)
{
    Change change{*this, tr_("good cloth")};
    change.run("UPDATE version SET passed_on = ?, passed_over = ? WHERE id = ?",
               {day.toString(Qt::ISODate), over.isNull() ? QString{""} : over, version});
    return change.commit(true);
}

std::vector<Notebook::Row<Note>> Notebook::notes(Id try_on) const
{
    std::vector<Row<Note>> out;
    auto q = ask("SELECT id, " + note_columns.join(", ") + " FROM toile_note WHERE try_on_id = ? ORDER BY id",
                 {try_on});
    while (q.next()) {
        const auto sight = sight_of(q.value(1).toString().toStdString());
        const auto strength = strength_of_key(q.value(2).toString().toStdString());
        const auto side = side_said(q.value(3));
        const auto moment = moment_of_key(q.value(4).toString().toStdString());
        const auto since = since_of_key(q.value(5).toString().toStdString());
        const bool sound = sight && strength && side && moment && since && (!*side || facts(*sight).sided);
        if (!sound || out.size() == most_notes) {
            leave_out(tr_("something seen on a toile"), q.value(!sight      ? 1
                                                                : !strength ? 2
                                                                : !side     ? 3
                                                                : !moment   ? 4
                                                                            : 5));
            continue;
        }
        Note n{{*sight, *strength, *side}, *moment, *since, {}, said(q.value(8))};
        const auto x = place_of(q.value(6));
        const auto y = place_of(q.value(7));
        if (x && y) n.at = FigurePoint{*x, *y};
        out.push_back({q.value(0).toLongLong(), std::move(n)});
    }
    return out;
}

std::vector<Notebook::Row<Answered>> Notebook::answers(Id try_on) const
{
    std::vector<Row<Answered>> out;
    auto q = ask("SELECT id, test, yes, pinched_mm FROM toile_answer WHERE try_on_id = ? ORDER BY id", {try_on});
    while (q.next()) {
        const auto test = small_test_of(q.value(1).toString().toStdString());
        const auto pinched = length_of(q.value(3), found_most);
        const bool sound = test && (q.value(3).isNull() || (pinched && *pinched >= Length{}));
        if (!sound || out.size() == small_test_count) {
            leave_out(tr_("a small test on a toile"), q.value(test ? 3 : 1));
            continue;
        }
        out.push_back({q.value(0).toLongLong(), {*test, q.value(2).toInt() != 0, pinched}});
    }
    return out;
}

std::vector<Notebook::Row<Found>> Notebook::found(Id try_on) const
{
    std::vector<Row<Found>> out;
    auto q =
        ask("SELECT id, what, at, face, side, by_mm FROM toile_found WHERE try_on_id = ? ORDER BY id", {try_on});
    while (q.next()) {
        const auto what = by_hand_of_key(q.value(1).toString().toStdString());
        const std::string at = q.value(2).toString().toStdString();
        const auto places = what ? places_of(*what) : std::span<const std::string_view>{};
        const bool there = std::find(places.begin(), places.end(), at) != places.end();
        const auto face = face_of_key(q.value(3).toString().toStdString());
        const auto side = side_said(q.value(4));
        const auto by = length_of(q.value(5), found_most);
        if (!there || !face || !side || !by || out.size() == most_notes) {
            leave_out(tr_("what hands found on a toile"), q.value(!what    ? 1
                                                                  : !there ? 2
                                                                  : !face  ? 3
                                                                  : !side  ? 4
                                                                           : 5));
            continue;
        }
        out.push_back({q.value(0).toLongLong(), {*what, at, *face, *side, *by}});
    }
    return out;
}

std::optional<TryOn> Notebook::try_on(Id id) const
{
    auto q = ask("SELECT " + try_on_columns.join(", ") + " FROM try_on WHERE id = ?", {id});
    if (!q.next()) return std::nullopt;
    const auto day = day_of(q.value(0));
    const auto what = put_on_of_key(q.value(1).toString().toStdString());
    if (!day || !what) {
        leave_out(tr_("a try-on"), q.value(day ? 1 : 0));
        return std::nullopt;
    }
    TryOn out{day->toStdString(),
              *what,
              said(q.value(2)),
              said(q.value(3)),
              moments_of(q.value(4)),
              said(q.value(5)),
              {},
              {},
              {},
              q.value(6).toInt() != 0};
    for (auto& row : notes(id)) out.notes.push_back(std::move(row.value));
    for (auto& row : answers(id)) out.answers.push_back(row.value);
    for (auto& row : found(id)) out.found.push_back(std::move(row.value));
    return out;
}

std::vector<KeptTryOn> Notebook::try_ons(Id wearer, Id pattern) const
{
    std::vector<KeptTryOn> out;
    auto q = ask(
        "SELECT t.id, t.version_id FROM try_on t JOIN version v ON v.id = t.version_id WHERE v.wearer_id = ? AND "
        "v.pattern_id = ? ORDER BY t.id",
        {wearer, pattern});
    while (q.next()) {
        if (auto t = try_on(q.value(0).toLongLong()))
            out.push_back({q.value(0).toLongLong(), q.value(1).toLongLong(), std::move(*t)});
    }
    return out;
}

void Notebook::write_try_on(Change& change, Id id, const TryOn& wanted) const
{
    write_in_order(change, "toile_note", "try_on_id", id, note_columns, notes(id), wanted.notes);
    write_in_order(change, "toile_answer", "try_on_id", id, answer_columns, answers(id), wanted.answers);
    write_in_order(change, "toile_found", "try_on_id", id, found_columns, found(id), wanted.found);
}

Result<Id> Notebook::add_try_on(Id wearer, Id pattern, const QString& version_name, const QByteArray& work,
                                const TryOn& entry)
{
    Change change{*this, tr_("try-on")};
    const Id version =
        kept_version(change, wearer, pattern, version_name, text(entry.date), KeptFor::TriedOn, work);
    const Id id = change.insert(
        "INSERT INTO try_on (" + try_on_columns.join(", ") + ", version_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
        values_of(entry) + QVariantList{version});
    if (!change.failed()) write_try_on(change, id, entry);
    return change.commit(id);
}

Result<bool> Notebook::save_try_on(Id id, const TryOn& entry, const QString& act)
{
    Change change{*this, act};
    change.run("UPDATE try_on SET " + try_on_columns.join(" = ?, ") + " = ? WHERE id = ?",
               values_of(entry) + QVariantList{id});
    write_try_on(change, id, entry);
    return change.commit(true);
}

Result<bool> Notebook::forget_try_on(Id id)
{
    Change change{*this, tr_("try-on forgotten")};
    for (const auto& p : photos(id)) delete_photo(change, p.id);
    for (const char* table : {"toile_note", "toile_answer", "toile_found"})
        change.run(QString{"DELETE FROM %1 WHERE try_on_id = ?"}.arg(QLatin1String{table}), {id});
    change.run("DELETE FROM try_on WHERE id = ?", {id});
    return change.commit(true);
}

std::vector<Notebook::Row<PhotoLine>> Notebook::photo_lines(Id photo) const
{
    std::vector<Row<PhotoLine>> out;
    auto q =
        ask("SELECT id, " + line_columns.join(", ") + " FROM photo_line WHERE photo_id = ? ORDER BY id", {photo});
    while (q.next()) {
        const auto what = guideline_of_key(q.value(1).toString().toStdString());
        const auto ax = place_of(q.value(2));
        const auto ay = place_of(q.value(3));
        const auto bx = place_of(q.value(4));
        const auto by = place_of(q.value(5));
        const auto known = length_of(q.value(6), Length::mm(1e4));
        const bool twice =
            what && std::any_of(out.begin(), out.end(), [&](const auto& row) { return row.value.what == *what; });
        if (!what || !ax || !ay || !bx || !by || twice || (!q.value(6).isNull() && !known)) {
            leave_out(tr_("a line on a photograph"), q.value(what ? 2 : 1));
            continue;
        }
        out.push_back({q.value(0).toLongLong(), {*what, {*ax, *ay}, {*bx, *by}, known}});
    }
    return out;
}

std::vector<KeptPhoto> Notebook::photos(Id try_on) const
{
    std::vector<KeptPhoto> out;
    auto q = ask("SELECT id, blob, view FROM photo WHERE try_on_id = ? ORDER BY id", {try_on});
    while (q.next()) {
        const auto view = photo_view_of_key(q.value(2).toString().toStdString());
        if (!view) {
            leave_out(tr_("a photograph"), q.value(2));
            continue;
        }
        KeptPhoto p{q.value(0).toLongLong(), q.value(1).toString(), {*view, {}}};
        for (auto& row : photo_lines(p.id)) p.photo.lines.push_back(row.value);
        out.push_back(std::move(p));
    }
    return out;
}

std::optional<QByteArray> Notebook::picture(const QString& blob) const
{
    auto q = ask("SELECT data FROM blob WHERE hash = ?", {blob});
    return q.next() ? std::optional{q.value(0).toByteArray()} : std::nullopt;
}

Result<Id> Notebook::add_photo(Id try_on, const QByteArray& picture, const Photo& photo)
{
    Change change{*this, tr_("photograph")};
    const QString hash =
        QString::fromLatin1(QCryptographicHash::hash(picture, QCryptographicHash::Sha256).toHex());
    change.run("INSERT OR IGNORE INTO blob (hash, data) VALUES (?, ?)", {hash, picture});
    const Id id = change.insert("INSERT INTO photo (try_on_id, blob, view) VALUES (?, ?, ?)",
                                {try_on, hash, plain_word(sartorum::key(photo.view))});
    write_in_order(change, "photo_line", "photo_id", id, line_columns, {}, photo.lines);
    return change.commit(id);
}

Result<bool> Notebook::save_photo(Id id, const Photo& photo, const QString& act)
{
    Change change{*this, act};
    change.run("UPDATE photo SET view = ? WHERE id = ?", {plain_word(sartorum::key(photo.view)), id});
    write_in_order(change, "photo_line", "photo_id", id, line_columns, photo_lines(id), photo.lines);
    return change.commit(true);
}

void Notebook::delete_photo(Change& change, Id id)
{
    change.run("DELETE FROM photo_line WHERE photo_id = ?", {id});
    change.run("DELETE FROM photo WHERE id = ?", {id});
}

Result<bool> Notebook::forget_photo(Id id)
{
    Change change{*this, tr_("photograph forgotten")};
    delete_photo(change, id);
    return change.commit(true);
}

Result<bool> Notebook::sweep_pictures()
{
    Change change{*this, {}, false};
    change.run(
        "DELETE FROM blob WHERE hash NOT IN (SELECT blob FROM photo) AND hash NOT IN (SELECT value FROM "
        "undo_value WHERE "
        "col = 'blob' AND value IS NOT NULL)");
    return change.commit(true);
}

}  // namespace sartorum::notebook
