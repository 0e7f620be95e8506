#include "failing_calls.h"

#include <sys/types.h>

#include <cerrno>
#include <cstddef>

namespace {

int left = -1;  // calls before the one that fails; negative: none fails
int with = 0;
bool all_after = false;
bool has_come = false;

bool fails()
{
    if (has_come && all_after) {
        errno = with;
        return true;
    }
    if (left < 0 || left-- != 0) return false;
    has_come = true;
    errno = with;
    return true;
}

}  // namespace

extern "C" {

int __real_open(const char* path, int flags, ...);
int __wrap_open(const char* path, int flags, mode_t mode)
{
    return fails() ? -1 : __real_open(path, flags, mode);
}
ssize_t __real_write(int fd, const void* bytes, size_t n);
ssize_t __wrap_write(int fd, const void* bytes, size_t n)
{
    return fails() ? -1 : __real_write(fd, bytes, n);
}
int __real_fsync(int fd);
int __wrap_fsync(int fd)
{
    return fails() ? -1 : __real_fsync(fd);
}
int __real_fchmod(int fd, mode_t mode);
int __wrap_fchmod(int fd, mode_t mode)
{
    return fails() ? -1 : __real_fchmod(fd, mode);
}
int __real_rename(const char* from, const char* to);
int __wrap_rename(const char* from, const char* to)
{
    return fails() ? -1 : __real_rename(from, to);
}
int __real_renameat2(int at, const char* from, int there, const char* to, unsigned flags);
int __wrap_renameat2(int at, const char* from, int there, const char* to, unsigned flags)
{
    return fails() ? -1 : __real_renameat2(at, from, there, to, flags);
}
int __real_close(int fd);
// The kernel lets a file go also where it says that closing failed.
int __wrap_close(int fd)
{
    const bool failing = fails();
    const int error = errno;
    const int done = __real_close(fd);
    if (!failing) return done;
    errno = error;
    return -1;
}

}  // extern "C"

namespace sartorum::test {

FailingCall::FailingCall(int which, int error, bool ever_after)
{
    left = which;
    with = error;
    all_after = ever_after;
    has_come = false;
}

FailingCall::~FailingCall()
{
    left = -1;
    has_come = false;
}

bool FailingCall::came() const
{
    return has_come;
}

}  // namespace sartorum::test
