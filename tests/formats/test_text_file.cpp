// Files in and out: whole or not at all.
#include <sys/resource.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <QTest>
#include <cerrno>
#include <csignal>

#include "failing_calls.h"
#include "formats/text_file.h"
#include "tests.h"

namespace test_text_file {

using namespace sartorum;
using namespace sartorum::formats;
using sartorum::test::FailingCall;

namespace {

QByteArray bytes_of(const QString& path)
{
    QFile f{path};
    return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray{};
}

void put(const QString& path, const QByteArray& bytes)
{
    QFile f{path};
    if (!f.open(QIODevice::WriteOnly) || f.write(bytes) != bytes.size()) qFatal("not written");
}

}  // namespace

class TestTextFile : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const char* name) const { return dir_.filePath(QLatin1String{name}); }

private slots:
    void a_file_that_is_there_is_replaced_only_when_asked()
    {
        put(at("old.svg"), "old");
        QCOMPARE(write_file(at("old.svg"), "new", IfThere::Refuse).error().why, Why::FileExists);
        QCOMPARE(bytes_of(at("old.svg")), QByteArray{"old"});
        QVERIFY(QFile::setPermissions(at("old.svg"), QFile::ReadOwner | QFile::WriteOwner));
        QVERIFY(write_file(at("old.svg"), "new", IfThere::Replace).has_value());
        QCOMPARE(bytes_of(at("old.svg")), QByteArray{"new"});
        QVERIFY(!(QFile::permissions(at("old.svg")) & QFile::ReadOther));  // it stays as private as it was
        QVERIFY(write_file(at("fresh.svg"), "new", IfThere::Refuse).has_value());
        QCOMPARE(QDir{dir_.path()}.entryList(QDir::Files | QDir::Hidden),
                 (QStringList{"fresh.svg", "old.svg"}));  // nothing else is left lying about
    }
    void devices_folders_and_broken_links_are_refused()
    {
        QCOMPARE(write_file("/dev/null", "x", IfThere::Replace).error().why, Why::FileNotRegular);
        QVERIFY(QDir{dir_.path()}.mkdir("folder"));
        QCOMPARE(write_file(at("folder"), "x", IfThere::Replace).error().why, Why::FileNotRegular);
        QVERIFY(QFile::link(at("nowhere"), at("link")));
        QCOMPARE(write_file(at("link"), "x", IfThere::Replace).error().why, Why::FileNotRegular);
        QCOMPARE(write_file(at("no/such/folder.svg"), "x", IfThere::Refuse).error().why, Why::FileFolderMissing);
        QVERIFY(::mkfifo(QFile::encodeName(at("pipe")).constData(), 0600) == 0);
        QCOMPARE(read_file(at("pipe")).error().why, Why::FileUnreadable);
    }
    void what_a_link_points_to_is_replaced_and_the_link_stays()
    {
        put(at("real.svg"), "old");
        QVERIFY(QFile::link(at("real.svg"), at("way.svg")));
        QVERIFY(write_file(at("way.svg"), "new", IfThere::Replace).has_value());
        QVERIFY(QFileInfo{at("way.svg")}.isSymLink());
        QCOMPARE(bytes_of(at("real.svg")), QByteArray{"new"});
    }
    void where_no_more_can_be_written_the_old_file_stays_whole()
    {
        // The kernel's limit on a file's size stands in for a full disk.
        put(at("kept.svg"), "an old file");
        std::signal(SIGXFSZ, SIG_IGN);
        rlimit before{};
        QCOMPARE(::getrlimit(RLIMIT_FSIZE, &before), 0);
        rlimit small = before;
        small.rlim_cur = 4096;
        QCOMPARE(::setrlimit(RLIMIT_FSIZE, &small), 0);
        const auto refused = write_file(at("kept.svg"), QByteArray(100'000, 'x'), IfThere::Replace);
        QCOMPARE(::setrlimit(RLIMIT_FSIZE, &before), 0);
        QCOMPARE(refused.error().why, Why::FileNoRoom);
        QCOMPARE(bytes_of(at("kept.svg")), QByteArray{"an old file"});
        for (const auto& name : QDir{dir_.path()}.entryList(QDir::Files | QDir::Hidden))
            QVERIFY2(!name.startsWith(".sartorum"), qPrintable(name));
    }
    // Whatever call fails, once or from then on: the old file or the new one, whole, and a word where it is the
    // old.
    void whatever_call_fails_the_old_file_or_the_new_one_is_whole()
    {
        const QByteArray old{"an old file"};
        const QByteArray fresh(100'000, 'x');
        int failed = 0;
        for (const bool there : {false, true}) {
            for (const bool ever_after : {false, true}) {
                for (const int error : {ENOSPC, EIO, EACCES, EINTR, EINVAL, EDQUOT}) {
                    for (int n = 0;; ++n) {
                        const QString path = at("shaken.svg");
                        QFile::remove(path);
                        if (there) put(path, old);
                        bool came = false;
                        const auto done = [&] {
                            const FailingCall call{n, error, ever_after && error != EINTR};
                            auto out = write_file(path, fresh, there ? IfThere::Replace : IfThere::Refuse);
                            came = call.came();
                            return out;
                        }();
                        if (done.has_value())
                            QCOMPARE(bytes_of(path), fresh);
                        else if (QFile::exists(path))
                            QCOMPARE(bytes_of(path), there ? old : QByteArray{});
                        else
                            QVERIFY(!there);
                        for (const auto& name : QDir{dir_.path()}.entryList(QDir::Files | QDir::Hidden))
                            QVERIFY2(!name.startsWith(".sartorum"), qPrintable(name));
                        if (!came) break;
                        failed += !done.has_value();
                    }
                }
            }
        }
        QVERIFY(failed > 80);
    }
    void the_line_that_is_not_utf8_is_named()
    {
        QVERIFY(!line_not_utf8("Größe\n84 ½\n"));
        QCOMPARE(*line_not_utf8("size\nGr\xf6\xdf"
                                "e\n"),
                 2);
        QCOMPARE(*line_not_utf8("cut off \xe2\x82"), 1);
        QVERIFY(!line_not_utf8(""));
    }
};
SARTORUM_TEST(TestTextFile)

}  // namespace test_text_file

#include "test_text_file.moc"
