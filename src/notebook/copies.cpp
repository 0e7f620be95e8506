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
        q.prepare(sql);
        for (int i = 0; i < values.size(); ++i) q.bindValue(i, values[i]);
        if (!q.exec()) return fail(trouble_of(q.lastError()), q.lastError().text());
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

bool flushed(const QString& path)
{
    const int fd = ::open(QFile::encodeName(path), O_RDONLY | O_CLOEXEC);
    const bool ok = fd >= 0 && ::fsync(fd) == 0;
    if (fd >= 0) ::close(fd);
    return ok;
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

}  // namespace

std::vector<Copy> daily_copies(const QString& notebook)
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
    std::sort(out.begin(), out.end(), [](const Copy& a, const Copy& b) { return a.day > b.day; });
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
    const auto all = daily_copies(notebook);
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
    QFile from{copy.path};
    if (!from.open(QIODevice::ReadOnly)) return fail(Trouble::NotFound, copy.path);
    const QByteArray bytes = from.readAll();
    const QString temporary = temporary_beside(notebook);
    QFile to{temporary};
    if (!created(temporary) || !to.open(QIODevice::WriteOnly) || to.write(bytes) != bytes.size() || !to.flush() ||
        !flushed(temporary)) {
        QFile::remove(temporary);
        return fail(Trouble::DiskFull, temporary);
    }
    to.close();
    const QString kept = free_name(notebook + ".damaged-" + today.toString(Qt::ISODate));
    if (!renamed(notebook, kept)) {
        QFile::remove(temporary);
        return fail(Trouble::ReadOnly, kept);
    }
    // What was written last and not yet moved into the file goes with it, not into the copy.
    for (const char* side : {"-wal", "-shm"})
        (void)renamed(notebook + QLatin1String{side}, kept + QLatin1String{side});
    if (!renamed(temporary, notebook)) return fail(Trouble::ReadOnly, notebook);
    return kept;
}

}  // namespace sartorum::notebook
