#include "formats/photo_file.h"

#include <QBuffer>
#include <QFileInfo>
#include <QImageReader>
#include <QImageWriter>
#include <QPainter>
#include <QtEndian>
#include <algorithm>
#include <array>

#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

constexpr qint64 most_photo_bytes = 64 * 1024 * 1024;
constexpr qint64 most_millions_smaller = 200;
constexpr qint64 most_millions_whole = 60;
constexpr int read_megabytes = 256;
constexpr int jpeg_quality = 85;
constexpr int most_scans = 40;  // programs write about ten

tl::unexpected<Refusal> not_a_photo(Why why, const QString& path, qint64 millions = 0)
{
    return tl::make_unexpected(Refusal{
        why, QFileInfo{path}.fileName().toStdString(), {}, {}, Length::mm(static_cast<double>(millions)), 0});
}

// A JPEG's own list of what is in it, up to the first that cannot be: how it is packed, and in how many scans.
struct Packed {
    bool in_layers = false;
    int scans = 0;
};
Packed how_packed(const QByteArray& jpeg)
{
    Packed out;
    const auto byte = [&](qsizetype i) { return static_cast<unsigned char>(jpeg[i]); };
    for (qsizetype i = 0; i + 1 < jpeg.size(); ++i) {
        if (byte(i) != 0xff) continue;
        const int marker = byte(i + 1);
        out.in_layers = out.in_layers || marker == 0xc2 || marker == 0xc6 || marker == 0xca || marker == 0xce;
        out.scans += marker == 0xda;
        // What a marker holds is passed over: a small picture inside has scans of its own.
        const bool holds = marker >= 0xc0 && marker != 0xff && (marker < 0xd0 || marker > 0xd9);
        if (holds && i + 3 < jpeg.size()) i += 1 + (byte(i + 2) << 8 | byte(i + 3));
    }
    return out;
}

// A PNG without its texts, profiles and times, which a reader would unpack first.
QByteArray picture_alone(const QByteArray& png)
{
    constexpr std::array kept{"IHDR", "PLTE", "tRNS", "IDAT", "IEND", "gAMA", "sRGB"};
    constexpr qsizetype head = 8;
    QByteArray out = png.left(head);
    for (qsizetype at = head; at + 12 <= png.size();) {
        const auto length = qFromBigEndian<quint32>(png.constData() + at);
        const qsizetype whole = qsizetype{length} + 12;
        if (whole > png.size() - at) break;
        const QByteArray type = png.mid(at + 4, 4);
        if (std::find(kept.begin(), kept.end(), type) != kept.end()) out += png.mid(at, whole);
        at += whole;
    }
    return out;
}

// Hands out what is asked for, and nothing more once it is to stop. No QBuffer: of that a reader takes all at
// once; and never less than was asked for: the reader of PNG files does not go on from there.
class Handed : public QIODevice {
public:
    Handed(const QByteArray& bytes, const std::atomic<bool>* stop) : bytes_{bytes}, stop_{stop}
    {
        open(QIODevice::ReadOnly | QIODevice::Unbuffered);
    }
    [[nodiscard]] qint64 size() const override { return bytes_.size(); }

protected:
    qint64 readData(char* to, qint64 most) override
    {
        if (stop_ && *stop_) return -1;
        const qint64 n = std::clamp<qint64>(bytes_.size() - pos(), 0, most);
        std::copy_n(bytes_.constData() + pos(), n, to);
        return n;
    }
    qint64 writeData(const char*, qint64) override { return -1; }

private:
    const QByteArray& bytes_;
    const std::atomic<bool>* stop_;
};

}  // namespace

void limit_pictures()
{
    QImageReader::setAllocationLimit(read_megabytes);
}

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

Outcome<QByteArray> read_photo(const QString& path, const std::atomic<bool>* stop)
{
    const auto bytes = read_file(path, most_photo_bytes);
    if (!bytes) {
        if (bytes.error().why == Why::FileTooLarge)
            return not_a_photo(Why::PictureTooLarge, path, most_millions_smaller);
        return tl::make_unexpected(bytes.error());
    }
    QByteArray data = QByteArray::fromRawData(bytes->data(), static_cast<qsizetype>(bytes->size()));
    // Told by its first bytes, so that no other reader of pictures is ever handed a stranger's file.
    const bool png = data.startsWith("\x89PNG\r\n\x1a\n");
    const bool jpeg = data.startsWith("\xff\xd8\xff");
    if (!jpeg && !png) return not_a_photo(Why::PictureUnknown, path);
    if (png) data = picture_alone(data);
    Handed buffer{data, stop};
    QImageReader reader{&buffer, png ? "png" : "jpeg"};
    reader.setAutoDetectImageFormat(false);
    reader.setAutoTransform(true);
    const Packed packed = jpeg ? how_packed(data) : Packed{};
    if (packed.scans > most_scans) return not_a_photo(Why::PictureTooInvolved, path);
    const QSize size = reader.size();
    if (!size.isValid() || size.isEmpty()) return not_a_photo(Why::FileBroken, path);
    const qint64 most = jpeg && !packed.in_layers ? most_millions_smaller : most_millions_whole;
    if (qint64{size.width()} * size.height() > most * 1'000'000)
        return not_a_photo(Why::PictureTooLarge, path, most);
    // Read no larger than it is kept, where the file can be.
    const QSize wanted = size.scaled(photo_most_pixels, photo_most_pixels, Qt::KeepAspectRatio);
    if (jpeg && wanted.width() < size.width()) reader.setScaledSize(wanted.expandedTo({1, 1}));
    const QImage picture = reader.read();
    if (stop && *stop) return refuse(Why::Stopped);
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
