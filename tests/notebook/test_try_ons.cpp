// Try-ons in the notebook: what was seen, answered and found, photographs and their pictures, versions.
#include <sys/mount.h>
#include <QElapsedTimer>
#include <QFileInfo>
#include <QSqlDatabase>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include "notebook/notebook.h"
#include "tests.h"

namespace test_try_ons {

using namespace sartorum;
using namespace sartorum::notebook;

namespace {

using S = Sight;

TryOn full_try_on()
{
    TryOn t;
    t.nothing_to_see = true;
    t.date = "2026-11-14";
    t.what = PutOn::Shoulders;
    t.cloth = "calico";
    t.worn = "the vest";
    t.moments = {Moment::Standing, Moment::Reaching};
    t.words = "für März";
    t.notes = {{{S::TipStandsOff, Strength::Slight, Side::Left},
                Moment::Reaching,
                Since::New,
                FigurePoint{3.25, 19.5},
                "a lot"},
               {{S::HemUpFront, Strength::Clear, {}}, Moment::Standing, Since::Less, {}, ""},
               {{S::FoldsAtNeckEnd, Strength::Clear, {}}, Moment::Standing, Since::Gone, {}, ""}};
    t.answers = {{SmallTest::PinchTips, true, Length::mm(9.5)}, {SmallTest::NapeToHem, false, {}}};
    t.found = {{ByHand::Offcut, "tip", Face::Back, Side::Right, Length::mm(31)},
               {ByHand::WaistMark, "mid_front", Face::Both, {}, Length::mm(-12)}};
    return t;
}

Photo some_photo()
{
    return {PhotoView::LeftSide,
            {{Guideline::KnownLength, {100, 200}, {100, 1200.5}, Length::mm(1000)},
             {Guideline::Hem, {300, 900}, {700, 890}, {}}}};
}

void by_hand(const QString& path, const QStringList& statements)
{
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "by hand");
        db.setDatabaseName(path);
        if (!db.open()) qFatal("not opened");
        for (const auto& sql : statements) {
            QSqlQuery q{db};
            if (!q.exec(sql)) qFatal("%s", qPrintable(sql));
        }
    }
    QSqlDatabase::removeDatabase("by hand");
}

int count(const QString& path, const QString& table)
{
    int out = -1;
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "count");
        db.setDatabaseName(path);
        if (db.open()) {
            QSqlQuery q{db};
            if (q.exec("SELECT count(*) FROM " + table) && q.next()) out = q.value(0).toInt();
        }
    }
    QSqlDatabase::removeDatabase("count");
    return out;
}

}  // namespace

class TestTryOns : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    struct Made {
        std::unique_ptr<Notebook> book;
        Id wearer = 0;
        Id pattern = 0;
        QString path;
    };
    Made made(const char* name)
    {
        Made out;
        out.path = dir_.filePath(QLatin1String{name});
        out.book = std::move(*Notebook::open(out.path));
        out.wearer = *out.book->add_wearer("Ottilie", {2026, 1, 1});
        out.pattern = *out.book->add_pattern("P", "M", "<svg/>", {});
        return out;
    }

private slots:
    void all_of_a_try_on_comes_back_and_is_undone_step_by_step()  // N-09, N-14, N-22
    {
        const auto m = made("one.sartorum");
        const TryOn t = full_try_on();
        const auto id = m.book->add_try_on(m.wearer, m.pattern, "toile 1", "{1}", t);
        QVERIFY(id.has_value());
        const auto kept = [&] { return m.book->try_ons(m.wearer, m.pattern); };
        QCOMPARE(kept().size(), std::size_t{1});
        QVERIFY(kept()[0].entry == t);
        QCOMPARE(m.book->versions(m.wearer, m.pattern)[0].name, "toile 1");
        QCOMPARE(*m.book->version(kept()[0].version), QByteArray{"{1}"});
        // The order of notes is kept when one in the middle changes or goes.
        TryOn next = t;
        next.notes[1].seen.strength = Strength::Slight;
        next.notes[1].words = "less";
        next.answers[0].pinched = {};
        QVERIFY(m.book->save_try_on(*id, next, "a note"));
        QVERIFY(kept()[0].entry == next);
        TryOn fewer = next;
        fewer.notes.erase(fewer.notes.begin());
        fewer.found.clear();
        QVERIFY(m.book->save_try_on(*id, fewer, "a note less"));
        QVERIFY(kept()[0].entry == fewer);
        QVERIFY(*m.book->undo() && kept()[0].entry == next);
        QVERIFY(*m.book->undo() && kept()[0].entry == t);
        QVERIFY(*m.book->redo() && *m.book->redo() && kept()[0].entry == fewer);
        // What changes nothing is no act.
        const auto before = m.book->undo_name();
        QVERIFY(m.book->save_try_on(*id, fewer, "nothing"));
        QCOMPARE(m.book->undo_name(), before);
        QVERIFY(m.book->forget_try_on(*id) && kept().empty());
        QVERIFY(*m.book->undo() && kept()[0].entry == fewer);
    }
    void a_version_is_kept_once_while_the_work_is_the_same()  // N-19
    {
        const auto m = made("versions.sartorum");
        const auto versions = [&] { return m.book->versions(m.wearer, m.pattern); };
        QVERIFY(m.book->keep_version(m.wearer, m.pattern, "print 1", {2026, 11, 1}, KeptFor::Printed, "{1}"));
        QVERIFY(m.book->keep_version(m.wearer, m.pattern, "print 2", {2026, 11, 2}, KeptFor::Printed, "{1}"));
        QCOMPARE(versions().size(), std::size_t{1});
        QCOMPARE(versions()[0].day, "2026-11-01");
        // Printed, and then put on: it was seen on a body.
        QVERIFY(m.book->add_try_on(m.wearer, m.pattern, "toile 1", "{1}", full_try_on()));
        QCOMPARE(versions().size(), std::size_t{1});
        QVERIFY(versions()[0].what == KeptFor::TriedOn && versions()[0].name == "toile 1");
        QVERIFY(m.book->keep_version(m.wearer, m.pattern, "print 2", {2026, 11, 3}, KeptFor::Printed, "{2}"));
        QVERIFY(m.book->add_try_on(m.wearer, m.pattern, "toile 2", "{1}", full_try_on()));
        QCOMPARE(versions().size(), std::size_t{3});  // what was worn again after it was changed is one of its own
        QVERIFY(m.book->pass_gate(versions()[0].id, {2026, 11, 20}, "One thing is still there."));
        QCOMPARE(versions()[0].passed_on, "2026-11-20");
        QCOMPARE(versions()[0].passed_over, "One thing is still there.");
        QVERIFY(*m.book->undo() && versions()[0].passed_on.isEmpty());
    }
    void a_print_is_no_step_of_undo_and_goes_with_the_last()  // N-09
    {
        const auto m = made("print.sartorum");
        const auto before = m.book->undo_name();
        QVERIFY(m.book->keep_version(m.wearer, m.pattern, "print 1", {2026, 11, 1}, KeptFor::Printed, "{1}"));
        QCOMPARE(m.book->undo_name(), before);
        QVERIFY(*m.book->undo() && m.book->versions(m.wearer, m.pattern).empty());  // with the pattern
        // What can be done again stays so while something is printed.
        QVERIFY(*m.book->redo());
        QCOMPARE(m.book->versions(m.wearer, m.pattern).size(), std::size_t{1});
        QVERIFY(m.book->add_wearer("Bram", {2026, 1, 1}) && *m.book->undo());
        QVERIFY(m.book->keep_version(m.wearer, m.pattern, "print 2", {2026, 11, 2}, KeptFor::Printed, "{2}"));
        QVERIFY(m.book->redo_name() && *m.book->redo());
        while (*m.book->undo()) {
        }
        QVERIFY(m.book->wearers().empty() && m.book->patterns().empty());
    }
    void pictures_are_kept_once_and_swept_when_nothing_names_them()  // N-23
    {
        auto m = made("photos.sartorum");
        const Id a = *m.book->add_try_on(m.wearer, m.pattern, "toile 1", "{1}", full_try_on());
        const auto first = m.book->add_photo(a, "the picture", some_photo());
        QVERIFY(first && m.book->add_photo(a, "the picture", {PhotoView::Front, {}}));
        QCOMPARE(count(m.path, "blob"), 1);
        const auto photos = [&] { return m.book->photos(a); };
        QCOMPARE(photos().size(), std::size_t{2});
        QVERIFY(photos()[0].photo == some_photo());
        QCOMPARE(*m.book->picture(photos()[0].blob), QByteArray{"the picture"});
        Photo moved = some_photo();
        moved.lines[1].b = {705, 880};
        QVERIFY(m.book->save_photo(*first, moved, "a line"));
        QVERIFY(photos()[0].photo == moved && *m.book->undo() && photos()[0].photo == some_photo());
        // Gone, and yet undo can bring it back: it stays.
        const QString blob = photos()[0].blob;
        QVERIFY(m.book->forget_try_on(a));
        QVERIFY(m.book->sweep_pictures() && m.book->picture(blob));
        QVERIFY(*m.book->undo() && photos().size() == 2 && m.book->picture(blob));
        QVERIFY(*m.book->redo());
        // Once undo has forgotten it, nothing names it.
        for (int i = 0; i < 501; ++i) QVERIFY(m.book->add_wearer("Bram", {2026, 1, 1}));
        QVERIFY(m.book->sweep_pictures() && !m.book->picture(blob));
    }
    void what_cannot_be_read_is_named_and_left_out_and_stays()  // N-13
    {
        QString path;
        {
            const auto m = made("damaged.sartorum");
            path = m.path;
            const Id a = *m.book->add_try_on(m.wearer, m.pattern, "toile 1", "{1}", full_try_on());
            QVERIFY(m.book->add_photo(a, "x", some_photo()));
        }
        by_hand(path, {"UPDATE toile_note SET sight = 'ghost' WHERE id = 1",
                       "UPDATE toile_note SET side = 'left' WHERE id = 2",
                       "UPDATE toile_answer SET pinched_mm = 'much' WHERE id = 1",
                       "UPDATE toile_found SET at = 'nose' WHERE id = 1",
                       "UPDATE photo_line SET a_x = 9e99 WHERE id = 1"});
        auto book = std::move(*Notebook::open(path));
        const auto all = book->try_ons(1, 1);
        QCOMPARE(all.size(), std::size_t{1});
        QCOMPARE(all[0].entry.notes.size(), std::size_t{1});
        QCOMPARE(all[0].entry.answers.size(), std::size_t{1});
        QCOMPARE(all[0].entry.found.size(), std::size_t{1});
        QCOMPARE(book->photos(all[0].id)[0].photo.lines.size(), std::size_t{1});
        QCOMPARE(book->unreadable().size(), std::size_t{5});
        // What is saved beside it leaves it alone.
        TryOn next = all[0].entry;
        next.notes[0].words = "still";
        QVERIFY(book->save_try_on(all[0].id, next, "a note"));
        QCOMPARE(count(path, "toile_note"), 3);
        book.reset();
        by_hand(path, {"UPDATE try_on SET tried_on = 'tomorrow'"});
        auto again = std::move(*Notebook::open(path));
        QVERIFY(again->try_ons(1, 1).empty() && !again->unreadable().empty());
    }
    void a_full_disk_loses_nothing_that_was_kept()  // N-04
    {
        QTemporaryDir disk;
        if (::mount("tmpfs", QFile::encodeName(disk.path()).constData(), "tmpfs", 0, "size=1m") != 0)
            QSKIP("no disk of its own to fill");
        {
            auto book = std::move(*Notebook::open(disk.filePath("small.sartorum")));
            const Id wearer = *book->add_wearer("Ottilie", {2026, 1, 1});
            const Id pattern = *book->add_pattern("P", "M", "<svg/>", {});
            const Id a = *book->add_try_on(wearer, pattern, "toile 1", "{1}", full_try_on());
            const auto refused = book->add_photo(a, QByteArray(3'000'000, 'x'), {});
            QVERIFY(!refused && refused.error().trouble == Trouble::DiskFull);
            QVERIFY(book->photos(a).empty());
            QVERIFY(book->try_ons(wearer, pattern)[0].entry == full_try_on());
            // Room made, it goes.
            ::mount("tmpfs", QFile::encodeName(disk.path()).constData(), "tmpfs", MS_REMOUNT, "size=20m");
            QVERIFY(book->add_photo(a, QByteArray(3'000'000, 'x'), {}));
            QCOMPARE(book->photos(a).size(), std::size_t{1});
        }
        ::umount2(QFile::encodeName(disk.path()).constData(), MNT_DETACH);
    }
};
SARTORUM_TEST(TestTryOns)

}  // namespace test_try_ons

#include "test_try_ons.moc"
