// Photographs from anywhere: upright, small, without anything but the picture; what is none is refused in a
// sentence.
#include <QBuffer>
#include <QElapsedTimer>
#include <QFile>
#include <QImage>
#include <QImageReader>
#include <QImageWriter>
#include <QPainter>
#include <QTemporaryDir>
#include <QTest>
#include <QtEndian>

#include "formats/photo_file.h"
#include "tests.h"
#include "words/words.h"

namespace test_photo_file {

using namespace sartorum;
using namespace sartorum::formats;

namespace {

QByteArray jpeg(const QImage& picture)
{
    QByteArray out;
    QBuffer buffer{&out};
    buffer.open(QIODevice::WriteOnly);
    QImageWriter writer{&buffer, "jpeg"};
    writer.setText("Description", "at the third lock");
    writer.write(picture);
    return out;
}

// Left half dark, and with that an Exif block that says how the camera was held (JEITA CP-3451: tag 0x0112), and
// where it stood (tag 0x8825 would lead to it).
QByteArray turned_photo(int orientation)
{
    QImage picture{400, 200, QImage::Format_RGB32};
    picture.fill(Qt::white);
    QPainter{&picture}.fillRect(0, 0, 200, 200, Qt::black);
    const QByteArray plain = jpeg(picture);
    QByteArray tiff{"II*\0\x08\0\0\0", 8};
    tiff += QByteArray{"\x02\0", 2};
    tiff += QByteArray{"\x0f\x01\x02\0\x08\0\0\0\x26\0\0\0", 12};  // the camera's maker, 8 letters at 38
    tiff += QByteArray{"\x12\x01\x03\0\x01\0\0\0", 8} + QByteArray{1, static_cast<char>(orientation)} +
            QByteArray{3, '\0'};
    tiff += QByteArray{4, '\0'} + QByteArray{"CAMERAS\0", 8};
    const QByteArray exif = QByteArray{"Exif\0\0", 6} + tiff;
    const auto length = static_cast<quint16>(exif.size() + 2);
    QByteArray marker{"\xff\xe1", 2};
    marker += static_cast<char>(length >> 8);
    marker += static_cast<char>(length & 255);
    return plain.left(2) + marker + exif + plain.mid(2);
}

}  // namespace

// A chunk of a PNG, with a sum that is right.
QByteArray chunk(const QByteArray& type, const QByteArray& data)
{
    quint32 crc = 0xffffffff;
    for (const char c : type + data) {
        crc ^= static_cast<unsigned char>(c);
        for (int bit = 0; bit < 8; ++bit) crc = crc & 1 ? crc >> 1 ^ 0xedb88320 : crc >> 1;
    }
    QByteArray out(4, '\0');
    qToBigEndian(static_cast<quint32>(data.size()), out.data());
    QByteArray sum(4, '\0');
    qToBigEndian(~crc, sum.data());
    return out + type + data + sum;
}

class TestPhotoFile : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString put(const QString& name, const QByteArray& bytes)
    {
        QFile f{dir_.filePath(name)};
        if (!f.open(QIODevice::WriteOnly)) qFatal("no file");
        f.write(bytes);
        return f.fileName();
    }

private slots:
    void it_is_kept_upright_small_and_without_anything_else()
    {
        const QByteArray taken = turned_photo(6);  // to be turned right by a quarter
        QVERIFY(taken.contains("CAMERAS") && taken.contains("third lock"));
        const auto kept = read_photo(put("a.jpg", taken));
        QVERIFY(kept.has_value());
        QVERIFY(!kept->contains("CAMERAS") && !kept->contains("third lock") && !kept->contains("Exif"));
        const QImage shown = photo_shown(*kept);
        QCOMPARE(shown.size(), QSize(200, 400));
        // What lay left lies above.
        QVERIFY(qGray(shown.pixel(100, 50)) < 60 && qGray(shown.pixel(100, 350)) > 200);
        QVERIFY(shown.textKeys().isEmpty());
    }
    void a_large_one_is_made_smaller_and_a_small_one_stays()
    {
        QImage large{5000, 2500, QImage::Format_RGB32};
        large.fill(Qt::gray);
        const auto kept = read_photo(put("large.jpg", jpeg(large)));
        QCOMPARE(photo_shown(kept.value()).size(), QSize(1600, 800));
        QImage small{60, 40, QImage::Format_ARGB32};
        small.fill(Qt::transparent);
        QVERIFY(small.save(dir_.filePath("small.png")));
        const auto png = read_photo(dir_.filePath("small.png"));
        QCOMPARE(photo_shown(png.value()).size(), QSize(60, 40));
        QVERIFY(qGray(photo_shown(*png).pixel(10, 10)) > 240);  // nothing there is white
        // The same picture is the same bytes.
        QCOMPARE(*read_photo(dir_.filePath("small.png")), *png);
    }
    void a_hundred_million_pixels_are_read_smaller_or_refused()
    {
        QImage huge{12000, 8400, QImage::Format_Grayscale8};
        huge.fill(120);
        const auto kept = read_photo(put("huge.jpg", jpeg(huge)));
        QVERIFY(kept.has_value());
        QCOMPARE(photo_shown(*kept).width(), 1600);
        QVERIFY(huge.save(dir_.filePath("huge.png")));
        const auto png = read_photo(dir_.filePath("huge.png"));
        QVERIFY(!png && png.error().why == Why::PictureTooLarge);
        QVERIFY(words::refusal(png.error(), Unit::Centimetre).contains("60 million"));
    }
    void what_is_no_photograph_is_refused_in_a_sentence()
    {
        QImage picture{80, 60, QImage::Format_RGB32};
        picture.fill(Qt::red);
        const QByteArray good = jpeg(picture);
        const std::pair<const char*, QByteArray> files[] = {
            {"text.jpg", "no picture at all"},
            {"empty.jpg", {}},
            {"vector.jpg", "<svg xmlns='http://www.w3.org/2000/svg' width='5' height='5'/>"},
            {"gif.png", QByteArray{"GIF89a\x01\0\x01\0\0\0\0;", 14}},
            {"begins.jpg", good.left(24)},
            {"head.png", QByteArray{"\x89PNG\r\n\x1a\n", 8}},
        };
        for (const auto& [name, bytes] : files) {
            const auto out = read_photo(put(name, bytes));
            QVERIFY2(!out, name);
            QVERIFY2(words::refusal(out.error(), Unit::Centimetre).size() > 20, name);
        }
        QVERIFY(!read_photo(dir_.filePath("not there.jpg")));
        QVERIFY(!read_photo(dir_.path()));
        // By what is in it, not by its name.
        QVERIFY(read_photo(put("photo.txt", good)).has_value());
        // Broken off in the middle, or damaged anywhere: a picture or a refusal, never more.
        for (int at = 30; at < good.size(); at += 37) {
            QByteArray damaged = good;
            damaged[at] = static_cast<char>(~damaged[at]);
            (void)read_photo(put("damaged.jpg", damaged));
            (void)read_photo(put("cut.jpg", good.left(at)));
        }
    }
    // Packed so that a reader would work for minutes: refused, or read without what is not the picture.
    void pictures_that_are_packed_to_take_long_are_not_waited_for()
    {
        QElapsedTimer clock;
        clock.start();
        QImage picture{64, 64, QImage::Format_RGB32};
        picture.fill(Qt::gray);
        QByteArray layers;
        {
            QBuffer buffer{&layers};
            buffer.open(QIODevice::WriteOnly);
            QImageWriter writer{&buffer, "jpeg"};
            writer.setProgressiveScanWrite(true);
            QVERIFY(writer.write(picture));
        }
        const auto read = [&](const QByteArray& bytes, const std::atomic<bool>* stop = nullptr) {
            const QString path = dir_.filePath("packed");
            QFile f{path};
            if (!f.open(QIODevice::WriteOnly) || f.write(bytes) != bytes.size()) qFatal("no room");
            f.close();
            return read_photo(path, stop);
        };
        QVERIFY(read(layers).has_value());
        const auto last = layers.lastIndexOf(QByteArray{"\xff\xda", 2});
        const QByteArray scan = layers.mid(last, 10);
        QByteArray many = layers.left(layers.size() - 2);
        for (int i = 0; i < 1000; ++i) many += scan;
        const auto refused = read(many + QByteArray{"\xff\xd9", 2});
        QVERIFY(!refused && refused.error().why == Why::PictureTooInvolved);
        QVERIFY(words::refusal(refused.error(), Unit::Centimetre).contains("too many layers"));
        // As many pixels as one that is packed plainly may have are too many for one in layers.
        QByteArray wide = layers;
        const auto frame = wide.indexOf(QByteArray{"\xff\xc2", 2});
        QVERIFY(frame > 0);
        qToBigEndian<quint16>(14100, wide.data() + frame + 5);
        qToBigEndian<quint16>(14100, wide.data() + frame + 7);
        const auto large = read(wide);
        QVERIFY(!large && large.error().why == Why::PictureTooLarge);
        // A PNG of a few pixels and many packed texts.
        QByteArray png;
        {
            QBuffer buffer{&png};
            buffer.open(QIODevice::WriteOnly);
            QVERIFY(picture.save(&buffer, "png"));
        }
        const QByteArray text =
            chunk("zTXt", QByteArray{"Comment\0\0", 9} + qCompress(QByteArray(7'900'000, 'A'), 9).mid(4));
        QByteArray texts;
        for (int i = 0; i < 900; ++i) texts += text;
        const auto from = png.indexOf("IDAT") - 4;
        QVERIFY(read(png.left(from) + texts + png.mid(from)).has_value());
        // And what nobody waits for any more ends.
        const std::atomic<bool> stop = true;
        const auto stopped = read(layers, &stop);
        QVERIFY(!stopped);
        QVERIFY(clock.elapsed() < 8000);
    }
};
SARTORUM_TEST(TestPhotoFile)

}  // namespace test_photo_file

#include "test_photo_file.moc"
