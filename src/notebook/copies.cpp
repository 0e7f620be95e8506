#include "notebook/copies.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QUuid>
#include <algorithm>
#include <cerrno>

#include "notebook/lock.h"
#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

constexpr auto day_ending = ".day-";

// A connection that goes with its scope.
class Aside {
public:
    explicit Aside(const QString& path) : name_{QUuid::createUuid().toString()}
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", name_);
        db.setDatabaseName(path);
        open_ = db.open();
        error_ = db.lastError();
        if (!open_) return;
        (void)run("PRAGMA busy_timeout = 1500");
        (void)run("PRAGMA trusted_schema = OFF");
    }
    ~Aside()
    {
        QSqlDatabase::database(name_, false).close();
        QSqlDatabase::removeDatabase(name_);
    }
    Aside(const Aside&) = delete;
    Aside& operator=(const Aside&) = delete;

    Result<QVariant> run(const QString& sql, const QVariantList& values = {})
    {
        if (!open_) return fail(trouble_of(error_), error_.text());
        QSqlQuery q{QSqlDatabase::database(name_)};
        const bool ready = q.prepare(sql);
        for (int i = 0; ready && i < values.size(); ++i) q.bindValue(i, values[i]);
        if (!ready || !q.exec()) return fail(trouble_of(q.lastError()), q.lastError().text());
        return q.next() ? q.value(0) : QVariant{};
    }

private:
    QString name_;
    bool open_ = false;
    QSqlError error_;
};

bool stands_there(const QString& path)
{
    struct stat s {};
    return ::lstat(QFile::encodeName(path), &s) == 0;
}

QString free_name(const QString& wanted)
{
    QString name = wanted;
    for (int n = 2; stands_there(name); ++n) name = QString{"%1-%2"}.arg(wanted).arg(n);
    return name;
}

QString temporary_beside(const QString& path)
{
    return QFileInfo{path}.absolutePath() + "/.sartorum-copy-" + QUuid::createUuid().toString(QUuid::Id128);
}

bool created(const QString& path)
{
    const int fd = ::open(QFile::encodeName(path), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600);
    if (fd >= 0) ::close(fd);
    return fd >= 0;
}

bool renamed(const QString& from, const QString& to)
{
    return ::rename(QFile::encodeName(from), QFile::encodeName(to)) == 0;
}

// The whole notebook in a new file beside it, read through once.
Result<QString> whole_copy(const QString& notebook)
{
    const QString temporary = temporary_beside(notebook);
    if (!created(temporary)) return fail(errno == ENOSPC ? Trouble::DiskFull : Trouble::ReadOnly, temporary);
    const auto give_up = [&](const Failure& f) -> Result<QString> {
        QFile::remove(temporary);
        return tl::make_unexpected(f);
    };
    if (auto ok = Aside{notebook}.run("VACUUM INTO ?", {temporary}); !ok) return give_up(ok.error());
    if (!flushed(temporary)) return give_up({Trouble::DiskFull, temporary});
    const auto sound = Aside{temporary}.run("PRAGMA quick_check");
    for (const char* side : {"-wal", "-shm", "-journal"}) QFile::remove(temporary + QLatin1String{side});
    if (!sound || sound->toString() != "ok") return give_up({Trouble::DiskFull, temporary});
    return temporary;
}

// The first bytes of a file, or nothing where it cannot be read.
QByteArray head_of(const QString& path, qint64 bytes)
{
    QFile f{path};
    return f.open(QIODevice::ReadOnly) ? f.read(bytes) : QByteArray{};
}

// In pieces: a notebook with photographs may be larger than what is left of the memory.
bool copied(const QString& from, const QString& to)
{
    QFile in{from};
    QFile out{to};
    if (!in.open(QIODevice::ReadOnly) || !created(to) || !out.open(QIODevice::WriteOnly)) return false;
    constexpr qint64 at_once = 1 << 20;
    for (QByteArray part = in.read(at_once); !part.isEmpty(); part = in.read(at_once)) {
        if (out.write(part) != part.size()) return false;
    }
    return in.error() == QFile::NoError && out.flush() && flushed(to);
}

// The file and its log, copied and played together, come out whole.
bool sound_together(const QString& notebook, const char* log)
{
    const QString at = temporary_beside(notebook);
    const QString log_at = at + QLatin1String{log};
    const bool both = copied(notebook, at) && copied(notebook + QLatin1String{log}, log_at);
    const auto answer = both ? Aside{at}.run("PRAGMA integrity_check(1)") : Result<QVariant>{QVariant{}};
    for (const char* ending : {"", "-wal", "-shm", "-journal"}) QFile::remove(at + QLatin1String{ending});
    return answer && answer->toString() == "ok";
}

// Of the header of an SQLite file: it is written and read by way of a write-ahead log.
bool says_it_has_a_log(const QString& notebook)
{
    const auto head = head_of(notebook, 20);
    return head.size() == 20 && head[18] == 2 && head[19] == 2;
}

bool belongs(const QString& notebook, const char* log)
{
    const QFileInfo info{notebook + QLatin1String{log}};
    if (info.isSymLink() || !info.isFile()) return false;
    if (info.size() == 0) return true;
    const bool ahead = QLatin1String{log} == QLatin1String{"-wal"};
    return (!ahead || says_it_has_a_log(notebook)) && sound_together(notebook, log);
}

}  // namespace

bool flushed(const QString& path)
{
    const int fd = ::open(QFile::encodeName(path), O_RDONLY | O_CLOEXEC);
    const bool ok = fd >= 0 && ::fsync(fd) == 0;
    if (fd >= 0) ::close(fd);
    return ok;
}

std::optional<FileIdentity> identity_of(const QString& path)
{
    struct stat s {};
    if (::stat(QFile::encodeName(path), &s) != 0) return std::nullopt;
    return FileIdentity{static_cast<quint64>(s.st_dev), static_cast<quint64>(s.st_ino)};
}

Result<QStringList> set_foreign_logs_aside(const QString& notebook)
{
    QStringList out;
    for (const char* log : {"-wal", "-journal"}) {
        const QString path = notebook + QLatin1String{log};
        if (!stands_there(path) || belongs(notebook, log)) continue;
        const QString kept = free_name(path + ".of-another-file");
        if (!renamed(path, kept)) return fail(Trouble::ReadOnly, path);
        if (QLatin1String{log} == QLatin1String{"-wal"}) QFile::remove(notebook + "-shm");
        out << kept;
    }
    return out;
}

std::vector<Copy> daily_copies(const QString& notebook, const QDate& today)
{
    const QFileInfo info{notebook};
    const QString head = info.fileName() + day_ending;
    std::vector<Copy> out;
    for (const auto& file :
         QDir{info.absolutePath()}.entryInfoList(QDir::Files | QDir::NoSymLinks | QDir::Hidden)) {
        if (!file.fileName().startsWith(head)) continue;
        const auto day = QDate::fromString(file.fileName().mid(head.size()), Qt::ISODate);
        if (day.isValid() && file.size() > 0) out.push_back({file.absoluteFilePath(), day});
    }
    std::sort(out.begin(), out.end(), [&](const Copy& a, const Copy& b) {
        const bool a_later = a.day > today;
        const bool b_later = b.day > today;
        return a_later == b_later ? a.day > b.day : b_later;
    });
    return out;
}

Result<bool> keep_daily_copy(const QString& notebook, const QDate& today)
{
    const QString name = notebook + day_ending + today.toString(Qt::ISODate);
    if (stands_there(name)) return false;
    const auto copy = whole_copy(notebook);
    if (!copy) return tl::make_unexpected(copy.error());
    if (!renamed(*copy, name)) {
        QFile::remove(*copy);
        return fail(Trouble::ReadOnly, name);
    }
    const auto all = daily_copies(notebook, today);
    for (std::size_t i = daily_copies_kept; i < all.size(); ++i) QFile::remove(all[i].path);
    return true;
}

Result<QString> copy_beside(const QString& notebook, const QString& ending)
{
    const auto copy = whole_copy(notebook);
    if (!copy) return copy;
    const QString name = free_name(notebook + ending);
    if (renamed(*copy, name)) return name;
    QFile::remove(*copy);
    return fail(Trouble::ReadOnly, name);
}

std::optional<QString> found_damaged(const QString& notebook)
{
    const auto answer = Aside{notebook}.run("PRAGMA quick_check(1)");
    if (!answer) {
        const bool damaged = answer.error().trouble == Trouble::Damaged;
        return damaged ? std::optional{answer.error().detail} : std::nullopt;
    }
    return answer->toString() == "ok" ? std::nullopt : std::optional{answer->toString()};
}

Result<QString> go_back_to(const QString& notebook, const Copy& copy, const QDate& today)
{
    const auto lock = Lock::take(notebook);
    if (!lock) return tl::make_unexpected(lock.error());
    if (!*lock) return fail(Trouble::OtherWindow);
    if (!QFile{copy.path}.open(QIODevice::ReadOnly)) return fail(Trouble::NotFound, copy.path);
    const QString temporary = temporary_beside(notebook);
    if (!copied(copy.path, temporary)) {
        QFile::remove(temporary);
        return fail(Trouble::DiskFull, temporary);
    }
    const QString kept = free_name(notebook + ".damaged-" + today.toString(Qt::ISODate));
    if (!renamed(notebook, kept)) {
        QFile::remove(temporary);
        return fail(Trouble::ReadOnly, kept);
    }
    // What was written last and not yet moved into the file goes with it, not into the copy.
    for (const char* side : {"-wal", "-shm", "-journal"})
        (void)renamed(notebook + QLatin1String{side}, kept + QLatin1String{side});
    if (!renamed(temporary, notebook)) return fail(Trouble::ReadOnly, notebook);
    return kept;
}

}  // namespace sartorum::notebook
