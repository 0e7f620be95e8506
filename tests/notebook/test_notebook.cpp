#include <sys/stat.h>
#include <sys/statvfs.h>
#include <unistd.h>

#include <QProcess>
#include <QSqlDatabase>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include "notebook/notebook.h"
#include "notebook/schema.h"

using namespace sartorum;
using namespace sartorum::notebook;

namespace {

void run_sql(const QString& path, const QString& sql)
{
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "aside");
        db.setDatabaseName(path);
        QVERIFY(db.open());
        QVERIFY(QSqlQuery{db}.exec(sql));
    }
    QSqlDatabase::removeDatabase("aside");
}

QByteArray bytes_of(const QString& path)
{
    QFile f{path};
    return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray{};
}

}  // namespace

class TestNotebook : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const char* name) const { return dir_.filePath(QLatin1String{name}); }

private slots:
    void what_was_written_is_there_after_reopening()
    {
        const QString path = at("a.sartorum");
        Id wearer = 0;
        {
            auto book = std::move(*Notebook::open(path));
            wearer = *book->add_wearer("Ottilie", {2026, 11, 3});
            const auto table = book->table();
            QVERIFY(book->set_readings(*table.set, Measure::Waist, {Length::mm(844), Length::inches(33.25)}));
            QVERIFY(book->add_chart(
                {"Skirts",
                 "Towpath",
                 {{"8", {{Measure::Waist, Length::mm(640)}, {Measure::Hip, Length::mm(880)}}, 0},
                  {"10", {{Measure::Waist, Length::mm(680)}, {Measure::Hip, Length::mm(920)}}, 0}}}));
            const Id pattern = *book->add_pattern("Lockside", "Towpath", "<svg>é</svg>", book->table().chart);
            Plan plan{"8", "10", {}};
            plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(25.4)});
            plan.decide({AdjustmentKind::WidthAtHip, Answer::Declined, {}});
            QVERIFY(book->save_plan(wearer, pattern, plan, "plan"));
            QVERIFY(book->save_step(wearer, pattern, 7));
        }
        auto book = std::move(*Notebook::open(path));
        const auto table = book->table();
        QCOMPARE(*table.wearer, wearer);
        QCOMPARE(book->body(*table.set)->readings.at(Measure::Waist)[1].in_mm(), Length::inches(33.25).in_mm());
        QCOMPARE(book->chart(*table.chart)->sizes[1].body.at(Measure::Hip).in_mm(), 920.0);
        QCOMPARE(*book->pattern_svg(*table.pattern), QByteArray{"<svg>é</svg>"});
        const auto plan = book->plan(*table.wearer, *table.pattern);
        QCOMPARE(plan.decision(AdjustmentKind::WaistToHip)->amount->in_mm(), 25.4);
        QVERIFY(plan.decision(AdjustmentKind::WidthAtHip)->answer == Answer::Declined);
        QCOMPARE(book->step(*table.wearer, *table.pattern), 7);
    }
    void a_second_set_never_overwrites_the_first()
    {
        auto book = std::move(*Notebook::open(at("b.sartorum")));
        const Id wearer = *book->add_wearer("Bram", {2026, 1, 1});
        const Id first = *book->table().set;
        QVERIFY(book->set_readings(first, Measure::Hip, {Length::mm(1000)}));
        const Id second = *book->add_set(wearer, {2026, 6, 1});
        QVERIFY(book->set_readings(second, Measure::Hip, {Length::mm(1040)}));
        QCOMPARE(book->body(first)->readings.at(Measure::Hip)[0].in_mm(), 1000.0);
        QCOMPARE(book->sets(wearer).size(), std::size_t{2});
        QCOMPARE(book->sets(wearer)[0].name, "2026-06-01");
    }
    void undo_and_redo_reach_back_past_reopening()
    {
        const QString path = at("c.sartorum");
        {
            auto book = std::move(*Notebook::open(path));
            (void)*book->add_wearer("Ottilie", {2026, 1, 1});
            const Id set = *book->table().set;
            QVERIFY(book->set_readings(set, Measure::Waist, {Length::mm(840)}));
            QVERIFY(book->set_readings(set, Measure::Waist, {Length::mm(840), Length::mm(846.123456789)}));
        }
        auto book = std::move(*Notebook::open(path));
        const Id set = *book->table().set;
        QVERIFY(*book->undo());
        QCOMPARE(book->body(set)->readings.at(Measure::Waist).size(), std::size_t{1});
        QVERIFY(*book->undo());
        QVERIFY(book->body(set)->readings.empty());
        QVERIFY(*book->undo());
        QVERIFY(book->wearers().empty());
        QVERIFY(!*book->undo());
        for (int i = 0; i < 3; ++i) QVERIFY(*book->redo());
        QVERIFY(!*book->redo());
        QCOMPARE(book->body(*book->table().set)->readings.at(Measure::Waist)[1].in_mm(), 846.123456789);
        QVERIFY(*book->undo());
        QVERIFY(book->set_readings(set, Measure::Hip, {Length::mm(1000)}));
        QVERIFY(!book->redo_name());  // a new change ends the way forward
    }
    void what_is_not_a_notebook_is_refused_and_left_as_it_was()
    {
        const QString foreign = at("foreign.db");
        run_sql(foreign, "CREATE TABLE t (x)");
        const auto before = bytes_of(foreign);
        QCOMPARE(Notebook::open(foreign).error().trouble, Trouble::NotANotebook);
        QCOMPARE(bytes_of(foreign), before);
        QFile text{at("letter.txt")};
        QVERIFY(text.open(QIODevice::WriteOnly) && text.write("Dear notebook") > 0);
        text.close();
        QCOMPARE(Notebook::open(at("letter.txt")).error().trouble, Trouble::NotANotebook);
        QCOMPARE(bytes_of(at("letter.txt")), QByteArray{"Dear notebook"});
        QCOMPARE(Notebook::open(dir_.path()).error().trouble, Trouble::NotANotebook);
    }
    void a_notebook_of_a_newer_program_is_refused_kindly()
    {
        const QString path = at("newer.sartorum");
        {
            auto book = Notebook::open(path);
            QVERIFY(book.has_value());
        }
        run_sql(path, QString{"PRAGMA user_version = %1"}.arg(schema_version + 1));
        const auto r = Notebook::open(path);
        QCOMPARE(r.error().trouble, Trouble::Newer);
    }
    void a_truncated_notebook_is_refused()
    {
        const QString path = at("cut.sartorum");
        {
            auto book = std::move(*Notebook::open(path));
            (void)*book->add_wearer("A", {2026, 1, 1});
        }
        QVERIFY(QFile::resize(path, 700));
        const auto r = Notebook::open(path);
        QVERIFY(!r.has_value() || !(*r)->add_wearer("B", {2026, 1, 1}).has_value());
    }
    void a_read_only_notebook_says_so()
    {
        if (geteuid() == 0) {
            // Root may write anything: the immutable place /proc stands in for a disk that cannot be written.
            QCOMPARE(Notebook::open("/proc/none.sartorum").error().trouble, Trouble::ReadOnly);
            return;
        }
        const QString path = at("ro.sartorum");
        {
            auto book = Notebook::open(path);
            QVERIFY(book.has_value());
        }
        QFile::setPermissions(path, QFile::ReadOwner);
        QCOMPARE(Notebook::open(path).error().trouble, Trouble::ReadOnly);
    }
    void a_full_disk_is_told_and_loses_nothing()
    {
        const QString path = at("full.sartorum");
        auto book = std::move(*Notebook::open(path));
        (void)*book->add_wearer("A", {2026, 1, 1});
        // SQLite's own page limit raises the same error as a full disk.
        run_sql(path, "PRAGMA user_version = 1");
        auto db = QSqlDatabase::database(QSqlDatabase::connectionNames().value(0));
        QSqlQuery q{db};
        QVERIFY(q.exec("PRAGMA page_count") && q.next());
        const int pages = q.value(0).toInt();
        QVERIFY(q.exec(QString{"PRAGMA max_page_count = %1"}.arg(pages + 2)));
        const auto r = book->add_pattern("Big", "Nobody", QByteArray(400000, 'x'), {});
        QCOMPARE(r.error().trouble, Trouble::DiskFull);
        QCOMPARE(book->wearers().size(), std::size_t{1});
        QVERIFY(book->patterns().empty());
        QVERIFY(q.exec("PRAGMA max_page_count = 1000000"));
        QVERIFY(book->add_pattern("Small", "Nobody", "<svg/>", {}).has_value());
    }
    void a_notebook_that_another_program_is_writing_says_so()
    {
        const QString path = at("busy.sartorum");
        auto book = std::move(*Notebook::open(path));
        {
            auto db = QSqlDatabase::addDatabase("QSQLITE", "other");
            db.setDatabaseName(path);
            QVERIFY(db.open());
            QSqlQuery q{db};
            QVERIFY(q.exec("BEGIN IMMEDIATE"));
            QCOMPARE(book->add_wearer("A", {2026, 1, 1}).error().trouble, Trouble::InUse);
            QVERIFY(q.exec("ROLLBACK"));
        }
        QSqlDatabase::removeDatabase("other");
        QVERIFY(book->add_wearer("A", {2026, 1, 1}).has_value());
    }
};
QTEST_GUILESS_MAIN(TestNotebook)
#include "test_notebook.moc"
