// Edits a notebook through the real window without end, or keeps photographs in it, and says each change once the
// foot shows it as kept. Started and killed by test_kill.
#include <QFile>
#include <QImage>
#include <cstdio>
#include <random>

#include "desk/mirror/mirror_station.h"
#include "desk/mirror/photo_face.h"
#include "desk/plan_hands.h"

using namespace sartorum;
using namespace sartorum::test;

namespace {

void say(int n)
{
    std::printf("%d\n", n);
    std::fflush(stdout);
}

bool kept(const Desk& d)
{
    return d.find("foot")->accessibleName().startsWith("Kept");
}

[[noreturn]] void edit(Desk& d)
{
    if (!d.room->table().wearer) d.room->add_wearer("Ottilie");
    const auto readings = d.room->body().readings;
    const auto had = readings.find(Measure::Waist);
    int n = had == readings.end() ? 0 : static_cast<int>(had->second[0].in_mm() * 1000 + 0.5) - 800000;
    for (;;) {
        ++n;
        auto* field = d.find<QLineEdit>("reading1");
        field->setFocus();
        field->setText(QString::number(800 + n / 1000.0, 'f', 3) + " mm");
        QTest::keyClick(field, Qt::Key_End);
        emit field->textEdited(field->text());
        QTest::keyClick(field, Qt::Key_Return);
        d.window->go_to(Station::Tape);
        if (kept(d)) say(n);
    }
}

// Noise, of which no two are alike and none is small.
QString picture(const QString& beside, int n)
{
    std::mt19937 rng{static_cast<unsigned>(n)};
    QImage out{420, 560, QImage::Format_RGB32};
    for (int y = 0; y < out.height(); ++y)
        for (int x = 0; x < out.width(); ++x) out.setPixel(x, y, rng());
    const QString path = beside + ".png";
    if (!out.save(path)) qFatal("no picture");
    return path;
}

[[noreturn]] void keep_photographs(Desk& d, const QString& path)
{
    if (d.room->try_ons().empty()) {
        lay_bodice(d);
        TryOn t;
        t.date = "2026-11-14";
        d.room->begin_try_on(t);
    }
    d.window->go_to(Station::Mirror);
    auto* mirror = d.window->findChild<MirrorStation*>();
    mirror->show_face(MirrorFace::Photographs);
    auto* face = d.window->findChild<PhotoFace*>();
    const auto id = d.room->try_ons().front().id;
    for (;;) {
        const auto n = static_cast<int>(d.room->book().photos(id).size());
        face->open(picture(path, n + 1));
        while (face->reading()) QTest::qWait(1);
        const auto now = static_cast<int>(d.room->book().photos(id).size());
        if (now == n + 1 && kept(d)) say(now);
    }
}

}  // namespace

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    if (argc < 2) return 2;
    const QString path = QString::fromLocal8Bit(argv[1]);
    const bool photographs = argc > 2;
    Desk d{path, photographs && !QFile::exists(path)};
    if (photographs) keep_photographs(d, path);
    edit(d);
}
