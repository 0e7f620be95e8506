#include "formats/photo_file.h"

#include <QBuffer>
#include <QFileInfo>
#include <QImageReader>
#include <QImageWriter>
#include <QPainter>

#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

constexpr qint64 most_photo_bytes = 64 * 1024 * 1024;
constexpr qint64 most_millions_smaller = 200;
constexpr qint64 most_millions_whole = 60;
constexpr int read_megabytes = 256;
constexpr int jpeg_quality = 85;

tl::unexpected<Refusal> not_a_photo(Why why, const QString& path, qint64 millions = 0)
{
    return tl::make_unexpected(Refusal{
        why, QFileInfo{path}.fileName().toStdString(), {}, {}, Length::mm(static_cast<double>(millions)), 0});
}

}  // namespace

QByteArray photo_kept(const QImage& picture)
{
    QImage small = picture;
    if (std::max(small.width(), small.height()) > photo_most_pixels)
        small = small.scaled(photo_most_pixels, photo_most_pixels, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    // Painted anew: texts, colour profile and resolution of the file stay behind.
    QImage plain{small.size(), QImage::Format_RGB32};
    plain.fill(Qt::white);
    small.setDevicePixelRatio(1);
    QPainter{&plain}.drawImage(0, 0, small);
    QByteArray out;
    QBuffer buffer{&out};
    buffer.open(QIODevice::WriteOnly);
    QImageWriter writer{&buffer, "jpeg"};
    writer.setQuality(jpeg_quality);
    return writer.write(plain) ? out : QByteArray{};
}

Outcome<QByteArray> read_photo(const QString& path)
{
    const auto bytes = read_file(path, most_photo_bytes);
    if (!bytes) {
        if (bytes.error().why == Why::FileTooLarge)
            return not_a_photo(Why::PictureTooLarge, path, most_millions_smaller);
        return tl::make_unexpected(bytes.error());
    }
    QByteArray data = QByteArray::fromRawData(bytes->data(), static_cast<qsizetype>(bytes->size()));
    QBuffer buffer{&data};
    buffer.open(QIODevice::ReadOnly);
    QImageReader reader{&buffer};
    reader.setDecideFormatFromContent(true);
    reader.setAutoTransform(true);
    const QByteArray format = reader.format();
    const bool jpeg = format == "jpeg" || format == "jpg";
    if (!jpeg && format != "png") return not_a_photo(Why::PictureUnknown, path);
    QImageReader::setAllocationLimit(read_megabytes);
    const QSize size = reader.size();
    if (!size.isValid() || size.isEmpty()) return not_a_photo(Why::FileBroken, path);
    const qint64 most = (jpeg ? most_millions_smaller : most_millions_whole);
    if (qint64{size.width()} * size.height() > most * 1'000'000)
        return not_a_photo(Why::PictureTooLarge, path, most);
    // Read no larger than it is kept, where the file can be.
    const QSize wanted = size.scaled(photo_most_pixels, photo_most_pixels, Qt::KeepAspectRatio);
    if (jpeg && wanted.width() < size.width()) reader.setScaledSize(wanted.expandedTo({1, 1}));
    const QImage picture = reader.read();
    if (picture.isNull()) return not_a_photo(Why::FileBroken, path);
    QByteArray kept = photo_kept(picture);
    if (kept.isEmpty()) return not_a_photo(Why::FileBroken, path);
    return kept;
}

QImage photo_shown(const QByteArray& kept)
{
    QImage out;
    out.loadFromData(kept, "jpeg");
    return out;
}

}  // namespace sartorum::formats
