#include "formats/text_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>
#include <algorithm>

#include <QFile>
#include <QFileInfo>
#include <QStringDecoder>
#include <QUuid>
#include <cerrno>
#include <cstdio>

namespace sartorum::formats {
namespace {

// A file descriptor that closes itself.
class Descriptor {
public:
    explicit Descriptor(int fd) : fd_{fd} {}
    ~Descriptor() { close(); }
    Descriptor(const Descriptor&) = delete;
    Descriptor& operator=(const Descriptor&) = delete;
    [[nodiscard]] int get() const { return fd_; }
    // Some file systems say only here that the disk was full.
    bool close() { return fd_ < 0 || ::close(std::exchange(fd_, -1)) == 0; }

private:
    int fd_;
};

Why why_of(int error)
{
    if (error == ENOSPC || error == EDQUOT || error == EFBIG || error == EIO) return Why::FileNoRoom;
    if (error == ENOENT || error == ENOTDIR) return Why::FileFolderMissing;
    if (error == EEXIST) return Why::FileExists;
    return Why::FileNotWritable;
}

bool write_all(int fd, const QByteArray& bytes)
{
    qsizetype done = 0;
    while (done < bytes.size()) {
        const auto n = ::write(fd, bytes.constData() + done, static_cast<std::size_t>(bytes.size() - done));
        if (n < 0 && errno == EINTR) continue;
        if (n <= 0) return false;
        done += n;
    }
    return ::fsync(fd) == 0;
}

// Where no file may be replaced, one that came up meanwhile is not either.
bool move_into_place(const QByteArray& from, const QByteArray& to, IfThere if_there)
{
    if (if_there == IfThere::Replace) return ::rename(from, to) == 0;
    if (::renameat2(AT_FDCWD, from, AT_FDCWD, to, RENAME_NOREPLACE) == 0) return true;
    if (errno != EINVAL && errno != ENOSYS) return false;
    // A file system that cannot do that in one act.
    struct stat there {};
    if (::lstat(to, &there) == 0) {
        errno = EEXIST;
        return false;
    }
    return ::rename(from, to) == 0;
}

}  // namespace

Outcome<std::string> read_file(const QString& path, qint64 most)
{
    QFile file{path};
    const QString name = QFileInfo{path}.fileName();
    if (!QFileInfo{path}.isFile() || !file.open(QIODevice::ReadOnly))
        return refuse(Why::FileUnreadable, name.toStdString());
    // A little at a time: asked for all at once, a small file would cost as much memory as the largest there may
    // be.
    constexpr qint64 at_a_time = 256 * 1024;
    QByteArray bytes;
    while (bytes.size() <= most) {
        const QByteArray next = file.read(std::min(at_a_time, most + 1 - bytes.size()));
        if (next.isEmpty()) break;
        bytes += next;
    }
    if (bytes.size() > most) return refuse(Why::FileTooLarge, name.toStdString());
    if (file.error() != QFileDevice::NoError) return refuse(Why::FileUnreadable, name.toStdString());
    return bytes.toStdString();
}

std::optional<int> line_not_utf8(std::string_view text)
{
    QStringDecoder decode{QStringDecoder::Utf8, QStringDecoder::Flag::Stateless};
    const auto sound = [&](std::string_view part) {
        (void)QString{decode.decode(QByteArrayView{part.data(), static_cast<qsizetype>(part.size())})};
        return !decode.hasError();
    };
    if (sound(text)) return std::nullopt;
    int line = 1;
    while (!text.empty()) {
        const auto end = text.find('\n');
        decode.resetState();
        if (!sound(text.substr(0, end))) return line;
        text = end == std::string_view::npos ? std::string_view{} : text.substr(end + 1);
        ++line;
    }
    return line;
}

Outcome<bool> may_write(const QString& path, IfThere if_there)
{
    const QFileInfo info{path};
    const auto name = info.fileName().toStdString();
    if (info.isSymLink() && !info.exists()) return refuse(Why::FileNotRegular, name);
    if (info.exists() && !info.isFile())
        return refuse(Why::FileNotRegular, name.empty() ? path.toStdString() : name);
    if (info.exists() && if_there == IfThere::Refuse) return refuse(Why::FileExists, name);
    const QFileInfo folder{info.absolutePath()};
    if (!folder.isDir() || name.empty()) return refuse(Why::FileFolderMissing, name);
    if (!folder.isWritable()) return refuse(Why::FileNotWritable, name);
    return true;
}

Outcome<bool> write_file(const QString& path, const QByteArray& bytes, IfThere if_there)
{
    if (auto ok = may_write(path, if_there); !ok) return ok;
    const QFileInfo info{path};
    const auto name = info.fileName().toStdString();
    // What a link points to is replaced, not the link.
    const QString target = info.exists() ? info.canonicalFilePath() : info.absoluteFilePath();
    const QByteArray to = QFile::encodeName(target);
    const QByteArray from = QFile::encodeName(QFileInfo{target}.absolutePath() + "/.sartorum-" +
                                              QUuid::createUuid().toString(QUuid::Id128));
    struct stat there {};
    const bool replaces = ::stat(to, &there) == 0;
    Descriptor file{::open(from, O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC | O_NOFOLLOW,
                           0600)};  // measures of a body: its owner's alone
    if (file.get() < 0) return refuse(why_of(errno), name);
    const auto give_up = [&](int error) {
        ::unlink(from);
        return refuse(why_of(error), name);
    };
    if (replaces && ::fchmod(file.get(), there.st_mode & 07777) != 0) return give_up(errno);
    if (!write_all(file.get(), bytes) || !file.close()) return give_up(errno);
    if (!move_into_place(from, to, if_there)) return give_up(errno);
    // The name is on the disk as well as the bytes; where that cannot be asked for, the rename still stands.
    Descriptor folder{
        ::open(QFile::encodeName(QFileInfo{target}.absolutePath()), O_RDONLY | O_DIRECTORY | O_CLOEXEC)};
    if (folder.get() >= 0) (void)::fsync(folder.get());
    return true;
}

}  // namespace sartorum::formats
