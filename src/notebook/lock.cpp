#include "notebook/lock.h"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QFile>
#include <cerrno>

#include "notebook/rows.h"

namespace sartorum::notebook {
namespace {

Trouble trouble_of_error(int error)
{
    if (error == ENOSPC || error == EDQUOT) return Trouble::DiskFull;
    return Trouble::ReadOnly;
}

// The name still stands for what was locked: its last holder takes the file away.
bool same_file(int fd, const QByteArray& path)
{
    struct stat held {};
    struct stat named {};
    return ::fstat(fd, &held) == 0 && ::lstat(path, &named) == 0 && held.st_ino == named.st_ino &&
           held.st_dev == named.st_dev;
}

}  // namespace

Result<std::unique_ptr<Lock>> Lock::take(const QString& notebook)
{
    const QByteArray path = QFile::encodeName(notebook + ".lock");
    for (int again = 0; again < 20; ++again) {
        const int fd = ::open(path, O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0600);
        if (fd < 0) return fail(trouble_of_error(errno), notebook + ".lock");
        // Where the file system has no locks, nobody can be kept out.
        if (::flock(fd, LOCK_EX | LOCK_NB) != 0 && errno == EWOULDBLOCK) {
            ::close(fd);
            return std::unique_ptr<Lock>{};
        }
        if (same_file(fd, path)) return std::unique_ptr<Lock>{new Lock{path, fd}};
        ::close(fd);
    }
    return std::unique_ptr<Lock>{};
}

Lock::~Lock()
{
    ::unlink(path_);
    ::close(fd_);
}

}  // namespace sartorum::notebook
