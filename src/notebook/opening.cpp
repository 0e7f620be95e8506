// Opening a notebook: what it is, who may write, births and new versions, and nothing of a strange file's own
// will.
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QFile>
#include <QFileInfo>
#include <QMap>
#include <QSet>
#include <QUuid>
#include <algorithm>

#include "notebook/copies.h"
#include "notebook/lock.h"
#include "notebook/rows.h"
#include "notebook/schema.h"

namespace sartorum::notebook {
namespace {

constexpr auto files_to_their_owner = {"", "-wal", "-shm"};

QVariant one_value(const QString& connection, const QString& sql)
{
    auto q = ask(connection, sql);
    return q.next() ? q.value(0) : QVariant{};
}

Result<bool> run_all(const QString& connection, const QStringList& statements)
{
    QSqlQuery q{QSqlDatabase::database(connection)};
    for (const auto& sql : statements) {
        if (q.exec(sql)) continue;
        const Failure f{trouble_of(q.lastError()), q.lastError().text()};
        q.exec("ROLLBACK");
        return tl::make_unexpected(f);
    }
    return true;
}

// What a file has of one type, by name, with the statement that made it.
QMap<QString, QString> things(const QString& connection, const QString& type)
{
    QMap<QString, QString> out;
    auto q = ask(connection, "SELECT name, coalesce(sql, '') FROM sqlite_master WHERE type = ?", {type});
    while (q.next()) out[q.value(0).toString()] = q.value(1).toString();
    return out;
}

QString quoted(QString name)
{
    return '"' + name.replace('"', "\"\"") + '"';
}

bool made_by_sqlite(const QString& name)
{
    return name.startsWith("sqlite_");
}

// Only tables of ours, and those real ones: a virtual table runs code, a strange one may hold anything.
Result<bool> only_our_tables(const QString& connection, int version)
{
    QSet<QString> known{"undo_log"};
    for (const auto& t : all_tables()) known.insert(t.table);
    const auto tables = things(connection, "table");
    for (auto it = tables.begin(); it != tables.end(); ++it) {
        if (made_by_sqlite(it.key())) continue;
        const bool real = it.value().startsWith("CREATE TABLE", Qt::CaseInsensitive);
        if (!known.contains(it.key()) || !real) return fail(Trouble::Foreign, it.key());
    }
    if (version != schema_version) return true;
    QMap<QString, QSet<QString>> columns;
    auto q =
        ask(connection,
            "SELECT m.name, c.name FROM sqlite_master m JOIN pragma_table_xinfo(m.name) c WHERE m.type = 'table'");
    while (q.next()) columns[q.value(0).toString()].insert(q.value(1).toString());
    for (const auto& t : all_tables()) {
        if (columns[t.table] != QSet<QString>(t.columns.begin(), t.columns.end()))
            return fail(Trouble::Foreign, t.table);
    }
    return true;
}

QMap<QString, QString> our_triggers()
{
    QMap<QString, QString> out;
    for (const auto& sql : undo_triggers()) out[sql.section(' ', 2, 2)] = sql;
    return out;
}

// Takes off every trigger and view there is, and every index that is not ours.
QStringList strip(const QString& connection)
{
    QStringList out;
    for (const auto* type : {"trigger", "view", "index"}) {
        const auto found = things(connection, type);
        for (auto it = found.begin(); it != found.end(); ++it) {
            const bool keep = made_by_sqlite(it.key()) ||
                              (QLatin1String{type} == QLatin1String{"index"} && index_names().contains(it.key()));
            if (!keep) out << "DROP " + QString{type}.toUpper() + " " + quoted(it.key());
        }
    }
    return out;
}

bool needs_stripping(const QString& connection)
{
    if (things(connection, "trigger") != our_triggers() || !things(connection, "view").isEmpty()) return true;
    const auto found = things(connection, "index");
    return std::any_of(found.keyBegin(), found.keyEnd(),
                       [](const QString& name) { return !made_by_sqlite(name) && !index_names().contains(name); });
}

// From `version` (0: an empty file) to the newest, in one transaction.
Result<bool> bring_up(const QString& connection, int version)
{
    QStringList statements{"PRAGMA foreign_keys = OFF", "BEGIN IMMEDIATE"};
    if (version == 0) statements << first_schema();
    statements << strip(connection);
    for (int v = std::max(version, 1); v < schema_version; ++v) statements << migration_from(v);
    statements << undo_triggers() << QString{"PRAGMA application_id = %1"}.arg(application_id)
               << QString{"PRAGMA user_version = %1"}.arg(schema_version) << "COMMIT"
               << "PRAGMA foreign_keys = ON";
    return run_all(connection, statements);
}

// A file that SQLite made and nobody wrote into: a birth that was interrupted.
bool unborn(const QString& connection)
{
    return one_value(connection, "PRAGMA application_id").toInt() == 0 &&
           one_value(connection, "PRAGMA user_version").toInt() == 0 &&
           one_value(connection, "SELECT count(*) FROM sqlite_master").toInt() == 0;
}

// Its owner's alone, whatever the folder is to others.
void keep_private(const QString& path)
{
    for (const char* ending : files_to_their_owner)
        (void)::chmod(QFile::encodeName(path + QLatin1String{ending}), S_IRUSR | S_IWUSR);
}

Result<bool> make_file(const QString& path)
{
    const int fd = ::open(QFile::encodeName(path), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0600);
    if (fd < 0) return fail(errno == ENOSPC ? Trouble::DiskFull : Trouble::ReadOnly, path);
    ::close(fd);
    return true;
}

// A look at the first bytes before SQLite touches anything.
Result<bool> looks_like_a_notebook(const QFileInfo& info)
{
    if (!info.isFile()) return fail(Trouble::NotANotebook);
    QFile file{info.filePath()};
    if (!file.open(QIODevice::ReadOnly)) return fail(Trouble::NotFound);
    if (file.read(16) != QByteArray{"SQLite format 3\0", 16}) return fail(Trouble::NotANotebook);
    // SQLite writes beside the file, so both must be writable.
    if (!info.isWritable()) return fail(Trouble::ReadOnly, info.filePath());
    return true;
}

}  // namespace

Result<bool> Notebook::prepare_to_write(bool fresh)
{
    for (const char* pragma : {"PRAGMA journal_mode = WAL", "PRAGMA synchronous = FULL", "PRAGMA query_only = OFF",
                               "PRAGMA foreign_keys = ON"}) {
        if (auto ok = run_all(connection_, {pragma}); !ok) return ok;
    }
    keep_private(path_);
    if (fresh) return bring_up(connection_, 0);
    const int version = one_value(connection_, "PRAGMA user_version").toInt();
    if (version < 1) return fail(Trouble::NotANotebook);
    if (auto ok = only_our_tables(connection_, version); !ok) return ok;
    if (version == schema_version) {
        if (!needs_stripping(connection_)) return true;
        return run_all(connection_, QStringList{"BEGIN IMMEDIATE"} + strip(connection_) + undo_triggers() +
                                        QStringList{"COMMIT"});
    }
    if (auto kept = copy_beside(path_, QString{".version-%1"}.arg(version)); !kept)
        return tl::make_unexpected(kept.error());
    undo_forgotten_ = version < 4 && one_value(connection_, "SELECT count(*) FROM act").toInt() > 0;
    return bring_up(connection_, version);
}

Result<std::unique_ptr<Notebook>> Notebook::open(const QString& given)
{
    const QFileInfo info{given};
    // By whatever name or link it is called: one file has one lock, and its copies lie beside it.
    const QString path = info.exists() ? info.canonicalFilePath() : given;
    const bool missing = !info.exists() || info.size() == 0;
    if (!missing) {
        if (auto ok = looks_like_a_notebook(info); !ok) return tl::make_unexpected(ok.error());
    } else if (!QFileInfo{info.absolutePath()}.isWritable()) {
        return fail(Trouble::ReadOnly, info.absolutePath());
    } else if (info.exists() && !info.isFile()) {
        return fail(Trouble::NotANotebook);
    }
    auto lock = Lock::take(path);
    if (!lock) return tl::make_unexpected(lock.error());
    if (missing) {
        if (auto ok = make_file(path); !ok) return tl::make_unexpected(ok.error());
    }
    const QString connection = QUuid::createUuid().toString();
    std::unique_ptr<Notebook> book{new Notebook{path, connection}};
    book->lock_ = std::move(*lock);
    auto db = QSqlDatabase::addDatabase("QSQLITE", connection);
    db.setDatabaseName(path);
    if (!db.open()) return fail(missing ? Trouble::ReadOnly : Trouble::NotFound, db.lastError().text());
    // Waits a little for another window's change, and no longer. What a schema says is not trusted.
    for (const char* pragma :
         {"PRAGMA busy_timeout = 1500", "PRAGMA trusted_schema = OFF", "PRAGMA cell_size_check = ON"}) {
        if (auto ok = run_all(connection, {pragma}); !ok) return tl::make_unexpected(ok.error());
    }
    if (auto readable = run_all(connection, {"PRAGMA application_id"}); !readable)
        return tl::make_unexpected(readable.error());
    const bool fresh = missing || unborn(connection);
    const int version = one_value(connection, "PRAGMA user_version").toInt();
    if (!fresh && one_value(connection, "PRAGMA application_id").toInt() != application_id)
        return fail(Trouble::NotANotebook);
    if (version > schema_version) return fail(Trouble::Newer, QString::number(version));
    if (book->looks_only()) {
        if (fresh || version != schema_version) return fail(Trouble::InUse);
        if (auto ok = only_our_tables(connection, version); !ok) return tl::make_unexpected(ok.error());
        if (auto ok = run_all(connection, {"PRAGMA query_only = ON"}); !ok) return tl::make_unexpected(ok.error());
    } else if (auto ok = book->prepare_to_write(fresh); !ok) {
        return tl::make_unexpected(ok.error());
    }
    (void)book->changed_elsewhere();
    return book;
}

Result<bool> Notebook::try_to_write()
{
    if (!looks_only()) return true;
    auto lock = Lock::take(path_);
    if (!lock) return tl::make_unexpected(lock.error());
    if (!*lock) return false;
    lock_ = std::move(*lock);
    const auto ok = prepare_to_write(false);
    if (!ok) lock_.reset();
    return ok;
}

bool Notebook::changed_elsewhere()
{
    const auto now = one_value(connection_, "PRAGMA data_version").toLongLong();
    return std::exchange(data_version_, now) != now;
}

Notebook::Notebook(QString path, QString connection) : path_{std::move(path)}, connection_{std::move(connection)}
{
}

Notebook::~Notebook()
{
    QSqlDatabase::database(connection_, false).close();
    QSqlDatabase::removeDatabase(connection_);
}

}  // namespace sartorum::notebook
