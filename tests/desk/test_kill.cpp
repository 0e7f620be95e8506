// Killed outright in the middle of edits, 200 times, and while photographs are read and kept, 40 times: every
// change shown as kept before is there after.
#include <csignal>

#include <QImage>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <random>

#include "notebook/notebook.h"
#include "tests.h"

namespace test_kill {

using namespace sartorum;

namespace {

// The last change it said was kept before it was killed, up to so many milliseconds after the first, at no
// particular moment of one.
int confirmed_when_killed(const QStringList& arguments, int most_ms, std::mt19937& rng)
{
    QProcess p;
    p.start(SARTORUM_EDITOR, arguments);
    if (!p.waitForStarted() || !p.waitForReadyRead(60000))
        qFatal("%s", qPrintable(QString{p.readAllStandardError()}));
    QTest::qSleep(std::uniform_int_distribution<int>{0, most_ms}(rng));
    ::kill(static_cast<pid_t>(p.processId()), SIGKILL);
    p.waitForFinished();
    int out = 0;
    const auto lines = p.readAllStandardOutput().split('\n');
    for (const auto& l : lines.first(lines.size() - 1)) out = std::max(out, l.toInt());
    return out;
}

}  // namespace

class TestKill : public QObject {
    Q_OBJECT
private slots:
    void every_change_shown_as_kept_survives_two_hundred_kills()
    {
        QTemporaryDir dir;
        const QString path = dir.filePath("k.sartorum");
        std::mt19937 rng{2026};
        int confirmed = 0;
        for (int i = 0; i < 200; ++i) {
            confirmed = std::max(confirmed, confirmed_when_killed({path}, 25, rng));

            auto book = notebook::Notebook::open(path);
            QVERIFY(book.has_value());
            const auto body = (*book)->body(*(*book)->table().set);
            const int found =
                static_cast<int>(std::lround(body->readings.at(Measure::Waist)[0].in_mm() * 1000)) - 800000;
            QVERIFY2(found >= confirmed,
                     qPrintable(QString("kill %1: confirmed %2, found %3").arg(i).arg(confirmed).arg(found)));
            QVERIFY2(found <= confirmed + 1,
                     qPrintable(QString("kill %1: confirmed %2, found %3").arg(i).arg(confirmed).arg(found)));
            confirmed = found;
        }
        QVERIFY(confirmed > 200);
        qInfo("%d changes, 200 kills", confirmed);
    }

    void every_photograph_shown_as_kept_survives_forty_kills_whole()
    {
        QTemporaryDir dir;
        const QString path = dir.filePath("p.sartorum");
        std::mt19937 rng{1130};
        int confirmed = 0;
        for (int i = 0; i < 40; ++i) {
            confirmed = std::max(confirmed, confirmed_when_killed({path, "photographs"}, 240, rng));
            auto book = notebook::Notebook::open(path);
            QVERIFY(book.has_value());
            QVERIFY((*book)->unreadable().empty());
            const auto on = (*book)->table();
            const auto all = (*book)->photos((*book)->try_ons(*on.wearer, *on.pattern).front().id);
            const auto found = static_cast<int>(all.size());
            QVERIFY2(found == confirmed || found == confirmed + 1,
                     qPrintable(QString("kill %1: confirmed %2, found %3").arg(i).arg(confirmed).arg(found)));
            for (const auto& photo : all) {
                const auto data = (*book)->picture(photo.blob);
                QVERIFY(data && !QImage::fromData(*data).isNull());
            }
            confirmed = found;
        }
        QVERIFY(confirmed >= 40);
        qInfo("%d photographs, 40 kills", confirmed);
    }
};
SARTORUM_TEST(TestKill)

}  // namespace test_kill

#include "test_kill.moc"
