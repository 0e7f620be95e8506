// Opening a notebook: what it is, who may write, births and new versions, and nothing of a strange file's own
// will.
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QFile>
#include <QFileInfo>
#include <QMap>
#include <QUuid>
#include <algorithm>

#include "notebook/copies.h"
#include "notebook/lock.h"
#include "notebook/rows.h"
#include "notebook/schema.h"

namespace sartorum::notebook {
namespace {

constexpr auto files_to_their_owner = {"", "-journal"};

// A value that cannot be read is none, and why.
Result<QVariant> one_value(const QString& connection, const QString& sql)
{
    auto q = ask(connection, sql);
    if (q.next()) return q.value(0);
    if (q.lastError().isValid()) return fail(trouble_of(q.lastError()), q.lastError().text());
    return QVariant{};
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

// A database in memory, of the tables as this program makes them; gone with its scope.
class OurTables {
public:
    explicit OurTables(int version) : name_{QUuid::createUuid().toString()}
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", name_);
        db.setDatabaseName(":memory:");
        if (!db.open()) return;
        QStringList statements = first_schema();
        for (int v = 1; v < version; ++v) statements << migration_from(v);
        if (run_all(name_, statements)) tables_ = things(name_, "table");
    }
    ~OurTables()
    {
        QSqlDatabase::database(name_, false).close();
        QSqlDatabase::removeDatabase(name_);
    }
    OurTables(const OurTables&) = delete;
    OurTables& operator=(const OurTables&) = delete;
    [[nodiscard]] const QMap<QString, QString>& tables() const { return tables_; }

private:
    QString name_;
    QMap<QString, QString> tables_;
};

QString quoted(QString name)
{
    return '"' + name.replace('"', "\"\"") + '"';
}

bool made_by_sqlite(const QString& name)
{
    return name.startsWith("sqlite_");
}

// Only tables of ours, all of them, and each declared as this program declares it: a virtual table runs code, and
// what a strange one says of conflicts, defaults or generated columns would change what is written.
Result<bool> only_our_tables(const QString& connection, int version)
{
    const auto tables = things(connection, "table");
    if (version == schema_version && digest_of(tables) == digest_of_our_tables) return true;
    const OurTables ours{version};
    for (auto it = tables.begin(); it != tables.end(); ++it) {
        if (made_by_sqlite(it.key())) continue;
        const auto known = ours.tables().find(it.key());
        if (known == ours.tables().end()) return fail(Trouble::Foreign, it.key());
        if (plain(*known) != plain(it.value())) return fail(Trouble::OtherShape, it.key());
    }
    for (auto it = ours.tables().begin(); it != ours.tables().end(); ++it) {
        if (!made_by_sqlite(it.key()) && !tables.contains(it.key())) return fail(Trouble::Lacks, it.key());
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

// What a file says it is.
struct Said {
    int application = 0;
    int version = 0;
    int things = 0;  // tables, indexes and what else there is
    // SQLite made it and nobody wrote into it: a birth that was interrupted.
    [[nodiscard]] bool unborn() const { return application == 0 && version == 0 && things == 0; }
};
Result<Said> what_it_says(const QString& connection)
{
    const auto application = one_value(connection, "PRAGMA application_id");
    if (!application) return tl::make_unexpected(application.error());
    const auto version = one_value(connection, "PRAGMA user_version");
    if (!version) return tl::make_unexpected(version.error());
    const auto things = one_value(connection, "SELECT count(*) FROM sqlite_master");
    if (!things) return tl::make_unexpected(things.error());
    return Said{application->toInt(), version->toInt(), things->toInt()};
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
    // One file, whole after every act: no log beside it that could be taken for another file's, and nothing that
    // a program which copies files would miss.
    const auto mode = one_value(connection_, "PRAGMA journal_mode = DELETE");
    if (!mode) return tl::make_unexpected(mode.error());
    if (mode->toString() != "delete") return fail(Trouble::InUse);
    for (const char* pragma :
         {"PRAGMA synchronous = EXTRA", "PRAGMA query_only = OFF", "PRAGMA foreign_keys = ON"}) {
        if (auto ok = run_all(connection_, {pragma}); !ok) return ok;
    }
    keep_private(path_);
    if (fresh) return bring_up(connection_, 0);
    const auto said = what_it_says(connection_);
    if (!said) return tl::make_unexpected(said.error());
    const int version = said->version;
    if (version < 1) return fail(Trouble::NotANotebook);
    if (auto ok = only_our_tables(connection_, version); !ok) return ok;
    if (version == schema_version) {
        if (!needs_stripping(connection_)) return true;
        return run_all(connection_, QStringList{"BEGIN IMMEDIATE"} + strip(connection_) + undo_triggers() +
                                        QStringList{"COMMIT"});
    }
    if (auto kept = copy_beside(path_, QString{".version-%1"}.arg(version)); !kept)
        return tl::make_unexpected(kept.error());
    const auto acts = one_value(connection_, "SELECT count(*) FROM act");
    undo_forgotten_ = version < 4 && acts && acts->toInt() > 0;
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
    QStringList set_aside;
    if (missing) {
        if (auto ok = make_file(path); !ok) return tl::make_unexpected(ok.error());
    }
    if (*lock) {
        auto aside = set_foreign_logs_aside(path);
        if (!aside) return tl::make_unexpected(aside.error());
        set_aside = std::move(*aside);
    }
    const QString connection = QUuid::createUuid().toString();
    std::unique_ptr<Notebook> book{new Notebook{path, connection}};
    book->lock_ = std::move(*lock);
    book->set_aside_ = std::move(set_aside);
    auto db = QSqlDatabase::addDatabase("QSQLITE", connection);
    db.setDatabaseName(path);
    if (!db.open()) return fail(missing ? Trouble::ReadOnly : Trouble::NotFound, db.lastError().text());
    // Waits a little for another window's change, and no longer. What a schema says is not trusted.
    for (const char* pragma :
         {"PRAGMA busy_timeout = 5000", "PRAGMA trusted_schema = OFF", "PRAGMA cell_size_check = ON"}) {
        if (auto ok = run_all(connection, {pragma}); !ok) return tl::make_unexpected(ok.error());
    }
    const auto said = what_it_says(connection);
    if (!said) return tl::make_unexpected(said.error());
    const bool fresh = missing || said->unborn();
    const int version = said->version;
    if (!fresh && said->application != application_id) return fail(Trouble::NotANotebook);
    if (version > schema_version) return fail(Trouble::Newer, QString::number(version));
    if (book->looks_only()) {
        if (fresh || version != schema_version) return fail(Trouble::InUse);
        if (auto ok = only_our_tables(connection, version); !ok) return tl::make_unexpected(ok.error());
        if (auto ok = run_all(connection, {"PRAGMA query_only = ON"}); !ok) return tl::make_unexpected(ok.error());
    } else if (auto ok = book->prepare_to_write(fresh); !ok) {
        return tl::make_unexpected(ok.error());
    }
    book->held_ = identity_of(path);
    (void)book->changed_elsewhere();
    (void)book->take_unread();
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

std::optional<Trouble> Notebook::lost() const
{
    const auto there = identity_of(path_);
    if (!there) return Trouble::Gone;
    return there == held_ ? std::nullopt : std::optional{Trouble::Replaced};
}

Result<bool> Notebook::keep_elsewhere(const QString& path) const
{
    const int fd = ::open(QFile::encodeName(path), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600);
    if (fd < 0) return fail(errno == ENOSPC ? Trouble::DiskFull : Trouble::ReadOnly, path);
    ::close(fd);
    QSqlQuery q{QSqlDatabase::database(connection_)};
    const bool ready = q.prepare("VACUUM INTO ?");
    if (ready) q.bindValue(0, path);
    const bool written = ready && q.exec();
    const Failure f{trouble_of(q.lastError()), q.lastError().text()};
    if (written && flushed(path)) return true;
    QFile::remove(path);
    return written ? fail(Trouble::DiskFull, path) : tl::make_unexpected(f);
}

bool Notebook::changed_elsewhere()
{
    const auto read = one_value(connection_, "PRAGMA data_version");
    const auto now = read ? read->toLongLong() : data_version_;
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
