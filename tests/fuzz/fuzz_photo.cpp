// Feeds anything to the reader of: photographs. The file lies in memory where the machine has such a place.
#include <QFile>
#include <QGuiApplication>
#include <QTemporaryDir>

#include "common.h"
#include "formats/photo_file.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    static const QTemporaryDir dir{QFile::exists("/dev/shm") ? "/dev/shm/sartorum-fuzz-XXXXXX" : ""};
    static const bool limited = [] {
        formats::limit_pictures();
        return true;
    }();
    const QString path = dir.filePath("p");
    QFile f{path};
    if (!limited || !f.open(QIODevice::WriteOnly)) std::abort();
    f.write(reinterpret_cast<const char*>(data), static_cast<qsizetype>(size));
    f.close();
    const auto read = formats::read_photo(path);
    if (read && formats::photo_shown(*read).isNull()) std::abort();
    return 0;
}
