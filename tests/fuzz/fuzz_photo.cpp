// Feeds anything to the reader of: photographs. The file lies in memory where the machine has such a place. A
// picture that says it is large costs as much as hundreds of small ones: only one in some thousands is read.
#include <QBuffer>
#include <QFile>
#include <QGuiApplication>
#include <QImageReader>
#include <QTemporaryDir>

#include "common.h"
#include "formats/photo_file.h"

namespace {

bool large(const QByteArray& bytes)
{
    constexpr qint64 small_pixels = 128 * 128;
    QBuffer buffer;
    buffer.setData(bytes);
    buffer.open(QIODevice::ReadOnly);
    QImageReader reader{&buffer, bytes.startsWith("\xff\xd8") ? "jpeg" : "png"};
    reader.setAutoDetectImageFormat(false);
    const QSize says = reader.size();
    return says.isValid() && qint64{says.width()} * says.height() > small_pixels;
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    static const QTemporaryDir dir{QFile::exists("/dev/shm") ? "/dev/shm/sartorum-fuzz-XXXXXX" : ""};
    static const bool limited = [] {
        formats::limit_pictures();
        return true;
    }();
    const auto bytes = QByteArray::fromRawData(reinterpret_cast<const char*>(data), static_cast<qsizetype>(size));
    constexpr std::size_t one_in = 4096;
    if (large(bytes) && qHash(bytes) % one_in != 0) return -1;
    const QString path = dir.filePath("p");
    QFile f{path};
    if (!limited || !f.open(QIODevice::WriteOnly)) std::abort();
    f.write(bytes);
    f.close();
    const auto read = formats::read_photo(path);
    if (read && formats::photo_shown(*read).isNull()) std::abort();
    return 0;
}
