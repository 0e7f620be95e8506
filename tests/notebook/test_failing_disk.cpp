// A disk that fails at any one of its calls, and a machine without memory at any moment: every act is then kept
// whole or not at all, what was called kept is there, and what was not is said. SQLite's own way of testing itself
// (sqlite.org, "How SQLite Is Tested", I/O and out-of-memory errors), here for the notebook above it.
#include <sqlite3.h>

#include <QFile>
#include <QTemporaryDir>
#include <QTest>
#include <algorithm>
#include <cstring>

#include "demo_notebook.h"
#include "notebook/copies.h"
#include "notebook/notebook.h"
#include "tests.h"

namespace test_failing_disk {

using namespace sartorum;
using namespace sartorum::notebook;

namespace {

// When the disk fails: at that call from now on, once or from then on. Below zero: never.
struct Failing {
    int at = -1;
    bool from_then_on = false;
    int calls = 0;
    int failed = 0;
    [[nodiscard]] bool now()
    {
        const int call = calls++;
        const bool fails = at >= 0 && (from_then_on ? call >= at : call == at);
        failed += fails;
        return fails;
    }
} failing;

// A file of the machine's own, behind calls that may fail.
struct File {
    sqlite3_file base;
    sqlite3_file* real;
};
sqlite3_file* real(sqlite3_file* f)
{
    return reinterpret_cast<File*>(f)->real;
}

sqlite3_vfs* machine()
{
    static sqlite3_vfs* const found = sqlite3_vfs_find("unix");
    return found;
}

const sqlite3_io_methods& methods()
{
    static const sqlite3_io_methods all{
        1,
        [](sqlite3_file* f) { return real(f)->pMethods ? real(f)->pMethods->xClose(real(f)) : SQLITE_OK; },
        [](sqlite3_file* f, void* to, int n, sqlite3_int64 at) {
            return failing.now() ? SQLITE_IOERR_READ : real(f)->pMethods->xRead(real(f), to, n, at);
        },
        [](sqlite3_file* f, const void* from, int n, sqlite3_int64 at) {
            return failing.now() ? SQLITE_FULL : real(f)->pMethods->xWrite(real(f), from, n, at);
        },
        [](sqlite3_file* f, sqlite3_int64 size) {
            return failing.now() ? SQLITE_IOERR_TRUNCATE : real(f)->pMethods->xTruncate(real(f), size);
        },
        [](sqlite3_file* f, int flags) {
            return failing.now() ? SQLITE_IOERR_FSYNC : real(f)->pMethods->xSync(real(f), flags);
        },
        [](sqlite3_file* f, sqlite3_int64* size) { return real(f)->pMethods->xFileSize(real(f), size); },
        [](sqlite3_file* f, int level) { return real(f)->pMethods->xLock(real(f), level); },
        [](sqlite3_file* f, int level) { return real(f)->pMethods->xUnlock(real(f), level); },
        [](sqlite3_file* f, int* out) { return real(f)->pMethods->xCheckReservedLock(real(f), out); },
        [](sqlite3_file* f, int op, void* arg) { return real(f)->pMethods->xFileControl(real(f), op, arg); },
        [](sqlite3_file* f) { return real(f)->pMethods->xSectorSize(real(f)); },
        [](sqlite3_file* f) { return real(f)->pMethods->xDeviceCharacteristics(real(f)); },
        nullptr,
        nullptr,
        nullptr,
        nullptr,
        nullptr,
        nullptr};
    return all;
}

sqlite3_vfs failing_disk()
{
    sqlite3_vfs out = *machine();
    out.zName = "failing";
    out.szOsFile = static_cast<int>(sizeof(File)) + machine()->szOsFile;
    out.iVersion = 1;
    out.xOpen = [](sqlite3_vfs*, const char* name, sqlite3_file* f, int flags, int* out_flags) {
        auto* file = reinterpret_cast<File*>(f);
        file->base.pMethods = nullptr;
        file->real = reinterpret_cast<sqlite3_file*>(file + 1);
        if (failing.now()) return SQLITE_CANTOPEN;
        const int rc = machine()->xOpen(machine(), name, file->real, flags, out_flags);
        if (rc == SQLITE_OK) file->base.pMethods = &methods();
        return rc;
    };
    out.xDelete = [](sqlite3_vfs*, const char* name, int sync) {
        return failing.now() ? SQLITE_IOERR_DELETE : machine()->xDelete(machine(), name, sync);
    };
    return out;
}

// All that was kept, as far as these acts go.
struct State {
    std::vector<Length> waist;
    std::size_t wearers = 0;
    std::string size;
    std::size_t try_ons = 0;
    friend bool operator==(const State&, const State&) = default;
};

}  // namespace

class TestFailingDisk : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    sqlite3_vfs disk_{};
    QString born_;

    static State state_of(const Notebook& book)
    {
        State out;
        const auto table = book.table();
        if (table.set) {
            if (const auto body = book.body(*table.set)) {
                const auto at = body->readings.find(Measure::Waist);
                if (at != body->readings.end()) out.waist = at->second;
            }
        }
        out.wearers = book.wearers().size();
        out.size = book.plan(1, PlanFor::pattern(1)).size_at(Level::Waist);
        out.try_ons = book.try_ons(1, 1).size();
        return out;
    }

    // One act after the other; false where it was said not to be kept.
    using Act = std::function<Result<bool>(Notebook&)>;
    static std::vector<Act> acts()
    {
        const auto done = [](const auto& r) -> Result<bool> {
            if (!r) return tl::make_unexpected(r.error());
            return true;
        };
        return {[](Notebook& b) {
                    return b.set_readings(1, Measure::Waist, {Length::mm(801), Length::mm(802)});
                },
                [](Notebook& b) {
                    Plan p = b.plan(1, PlanFor::pattern(1));
                    p.take_sizes("12", "12", "12");
                    p.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(7)});
                    return b.save_plan(1, PlanFor::pattern(1), p, "plan");
                },
                [done](Notebook& b) {
                    TryOn t;
                    t.date = "2026-11-14";
                    return done(b.add_try_on(1, 1, "toile 1", QByteArray(20'000, 'x'), t));
                },
                [](Notebook& b) { return b.undo(); }, [](Notebook& b) { return b.redo(); }};
    }

    // Failure at the n-th call of everything; whether it was met at all.
    bool one_round(const QString& path, const std::function<void()>& begin, const std::function<bool()>& end)
    {
        QFile::remove(path);
        if (!QFile::copy(born_, path) || !QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner))
            qFatal("no copy");
        bool met = false;
        State last;
        std::optional<State> maybe;
        {
            auto opened = Notebook::open(path);
            if (!opened) qFatal("not opened: %s", qPrintable(opened.error().detail));
            auto& book = **opened;
            last = state_of(book);
            begin();
            for (const auto& act : acts()) {
                const auto kept = act(book);
                if (kept) continue;
                // Never taken for damage, and never for nothing there.
                if (kept.error().trouble == Trouble::Damaged || kept.error().trouble == Trouble::NotANotebook)
                    qFatal("taken for damage: %s", qPrintable(kept.error().detail));
            }
            met = end();
            (void)book.take_unread();
            maybe = state_of(book);
            if (book.take_unread()) qFatal("still unreadable");
        }
        auto again = Notebook::open(path);
        if (!again) qFatal("not opened again: %s", qPrintable(again.error().detail));
        // What the open notebook says it holds is what is on the disk.
        if (!(state_of(**again) == *maybe)) qFatal("kept and found differ");
        if (const auto damage = found_damaged(path)) qFatal("%s", qPrintable(*damage));
        return met;
    }

private slots:
    void initTestCase()
    {
        disk_ = failing_disk();
        QCOMPARE(sqlite3_vfs_register(&disk_, 1), SQLITE_OK);
        born_ = dir_.filePath("born.sartorum");
        auto book = std::move(*Notebook::open(born_));
        QVERIFY(book->add_wearer("Ottilie", {2026, 11, 3}).has_value());
        QVERIFY(book->add_pattern("Lockside", "Towpath", "<svg/>", {}).has_value());
        Plan p;
        p.take_sizes("10", "10", "10");
        QVERIFY(book->save_plan(1, PlanFor::pattern(1), p, "plan").has_value());
        auto table = book->table();
        table.wearer = 1;
        QVERIFY(book->lay_on_table(table).has_value());
        book.reset();
        QVERIFY(failing.calls > 0);  // the disk is used
    }
    void cleanupTestCase() { QCOMPARE(sqlite3_vfs_unregister(&disk_), SQLITE_OK); }

    void a_disk_that_fails_at_any_one_call_loses_nothing_that_was_kept()
    {
        const QString path = dir_.filePath("fails.sartorum");
        // Every seventh here, from a place of its own each time; every one where it is asked for
        // (docs/reliability.md).
        const int stride = qEnvironmentVariableIsSet("SARTORUM_EVERY_CALL") ? 1 : 7;
        int first = 0;
        for (const bool from_then_on : {false, true}) {
            int n = stride == 1 ? 0 : first++;
            for (bool met = true; met && n < 2000; n += stride) {
                met = one_round(
                    path,
                    [&] {
                        failing = {n, from_then_on, 0, 0};
                    },
                    [] { return std::exchange(failing, {}).failed > 0; });
            }
            QVERIFY2(n > 30, qPrintable(QString::number(n)));
            QVERIFY(n < 2000);
            qInfo("%d calls, failed one by one%s", n - stride, from_then_on ? ", each with all after it" : "");
        }
    }
    void a_machine_without_memory_loses_nothing_that_was_kept()
    {
        const QString path = dir_.filePath("memory.sartorum");
        int refused = 0;
        for (int k = 0; k < 60; ++k) {
            (void)one_round(
                path, [&] { sqlite3_hard_heap_limit64(sqlite3_memory_used() + 500 + 4000 * k); },
                [&] {
                    sqlite3_hard_heap_limit64(0);
                    ++refused;
                    return true;
                });
        }
        QCOMPARE(refused, 60);
    }
    // Opening meets the failing disk as well: refused with a word, and then opened with all there was.
    void opening_on_a_failing_disk_leaves_the_file_as_it_was()
    {
        const QString path = dir_.filePath("opens.sartorum");
        QVERIFY(QFile::copy(born_, path) && QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner));
        const auto before = [&] { return state_of(**Notebook::open(path)); }();
        int refused = 0;
        for (int n = 0; n < 300; ++n) {
            failing = {n, false, 0, 0};
            const auto opened = Notebook::open(path);
            const bool met = std::exchange(failing, {}).failed > 0;
            if (!opened) {
                QVERIFY(opened.error().trouble != Trouble::Damaged);
                QVERIFY(opened.error().trouble != Trouble::NotANotebook);
                ++refused;
            }
            if (!met) break;
        }
        QVERIFY(refused > 3);
        QVERIFY(state_of(**Notebook::open(path)) == before);
    }
};
SARTORUM_TEST(TestFailingDisk)

}  // namespace test_failing_disk

#include "test_failing_disk.moc"
