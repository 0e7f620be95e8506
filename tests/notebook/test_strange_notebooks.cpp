// Notebooks that come from anywhere, disks that are full, two windows on one file: nothing runs, nothing is lost.
#include <sys/mount.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QDir>
#include <QElapsedTimer>
#include <QProcess>
#include <QRegularExpression>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QSqlRecord>
#include <QTemporaryDir>
#include <QTest>
#include <algorithm>
#include <csignal>
#include <cstdlib>
#include <random>

#include "demo_notebook.h"
#include "notebook/copies.h"
#include "notebook/notebook.h"
#include "notebook/schema.h"
#include "tests.h"

namespace test_strange_notebooks {

using namespace sartorum;
using namespace sartorum::notebook;

namespace {

// Statements to a file, or the rows of a question, as any SQLite tool would.
QStringList sql(const QString& path, const QString& statements)
{
    QStringList out;
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "strange");
        db.setDatabaseName(path);
        if (!db.open()) qFatal("%s does not open", qPrintable(path));
        for (const auto& one : statements.split(";;", Qt::SkipEmptyParts)) {
            if (one.trimmed().isEmpty()) continue;
            QSqlQuery q{db};
            if (!q.exec(one.trimmed())) qFatal("%s: %s", qPrintable(one), qPrintable(q.lastError().text()));
            while (q.next()) {
                QStringList row;
                for (int i = 0; i < q.record().count(); ++i) row << q.value(i).toString();
                out << row.join('|');
            }
        }
        db.close();
    }
    QSqlDatabase::removeDatabase("strange");
    return out;
}

QString hostile(const char* name)
{
    QFile f{QString{SARTORUM_SOURCE_DIR} + "/tests/hostile/" + QLatin1String{name}};
    if (!f.open(QIODevice::ReadOnly)) qFatal("%s is not there", name);
    QString text = QString::fromUtf8(f.readAll());
    text.remove(QRegularExpression{"--[^\n]*\n"});
    return text.replace(';', ";;");
}

QByteArray bytes_of(const QString& path)
{
    QFile f{path};
    return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray{};
}

// Every row of every tracked table, with the type of each value, so that two states can be compared bit for bit.
QStringList whole(const QString& path)
{
    QStringList out;
    for (const auto& t : tracked()) {
        QStringList columns;
        for (const auto& c : t.columns) columns << QString{"typeof(%1) || ':' || quote(%1)"}.arg(c);
        out << sql(path, "SELECT '" + t.table + "', " + columns.join(", ") + " FROM " + t.table + " ORDER BY id");
    }
    return out;
}

// A small disk of its own: as root a real one, else none.
class SmallDisk {
public:
    explicit SmallDisk(const char* size)
    {
        const QByteArray options = QByteArray{"size="} + size;
        mounted_ =
            ::mount("tmpfs", QFile::encodeName(dir_.path()).constData(), "tmpfs", 0, options.constData()) == 0;
    }
    ~SmallDisk()
    {
        if (mounted_) ::umount2(QFile::encodeName(dir_.path()).constData(), MNT_DETACH);
    }
    SmallDisk(const SmallDisk&) = delete;
    SmallDisk& operator=(const SmallDisk&) = delete;
    [[nodiscard]] bool mounted() const { return mounted_; }
    [[nodiscard]] QString at(const char* name) const { return dir_.filePath(QLatin1String{name}); }
    bool resize(const char* size)
    {
        const QByteArray options = QByteArray{"size="} + size;
        return ::mount("tmpfs", QFile::encodeName(dir_.path()).constData(), "tmpfs", MS_REMOUNT,
                       options.constData()) == 0;
    }

private:
    QTemporaryDir dir_;
    bool mounted_ = false;
};

mode_t mode_of(const QString& path)
{
    struct stat s {};
    return ::stat(QFile::encodeName(path).constData(), &s) == 0 ? s.st_mode & 0777 : 0;
}

}  // namespace

class TestStrangeNotebooks : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const QString& name) const { return dir_.filePath(name); }
    QString demo_book(const char* name)
    {
        const QString path = at(QLatin1String{name});
        test::lay_demo_notebook(path);
        return path;
    }
    QString fixture(int version, const QString& name)
    {
        const QString path = at(name);
        const QString from =
            QString{"%1/tests/notebook/fixtures/version-%2.sartorum"}.arg(SARTORUM_SOURCE_DIR).arg(version);
        if (!QFile::copy(from, path)) qFatal("no fixture");
        QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner | QFile::ReadOther);
        return path;
    }

private slots:
    void undo_runs_no_statement_a_file_brought_along()  // N-09
    {
        const QString path = fixture(3, "attach.sartorum");
        const QString bait = QDir::currentPath() + "/sartorum-undo-wrote-this.db";
        QFile::remove(bait);
        sql(path, hostile("undo-attach.sql"));
        auto book = Notebook::open(path);
        QVERIFY(book.has_value());
        QVERIFY((*book)->undo_forgotten());
        QVERIFY(!*(*book)->undo());
        QVERIFY(!QFile::exists(bait));
    }
    void what_undo_kept_may_only_name_our_tables_and_columns()  // N-11
    {
        const QString changes[] = {
            "INSERT INTO undo_change (act, tab, op, row) VALUES (999, 'sqlite_master', 'insert', 1)",
            "INSERT INTO undo_change (act, tab, op, row) VALUES (999, 'wearer', 'update', 1);; INSERT INTO "
            "undo_value "
            "SELECT max(id), 'name = ''x''; --', 'y' FROM undo_change",
            "INSERT INTO undo_change (act, tab, op, row) VALUES (999, 'wearer', 'delete', 77);; INSERT INTO "
            "undo_value "
            "SELECT max(id), 'name', 'half a row' FROM undo_change",
            "INSERT INTO undo_change (act, tab, op, row) VALUES (999, 'wearer', 'insert', 4711)",
        };
        int n = 0;
        for (const auto& change : changes) {
            const QString path = at(QString{"undo-%1.sartorum"}.arg(n++));
            {
                auto book = std::move(*Notebook::open(path));
                (void)*book->add_wearer("Ottilie", {2026, 1, 1});
            }
            sql(path, "INSERT INTO act (id, name, side) VALUES (999, 'harmless', 'undo');; " + change);
            const auto before = whole(path);
            auto book = std::move(*Notebook::open(path));
            QCOMPARE(book->undo().error().trouble, Trouble::Damaged);
            book.reset();
            QCOMPARE(whole(path), before);
        }
    }
    void no_trigger_view_or_table_of_a_strange_file_stays()  // N-12
    {
        const QString path = demo_book("triggers.sartorum");
        sql(path,
            "CREATE TRIGGER empties AFTER INSERT ON wearer BEGIN DELETE FROM reading; END;; "
            "CREATE VIEW peep AS SELECT * FROM reading;; CREATE INDEX extra ON wearer (name);; "
            "DROP TRIGGER undo_insert_reading;; "
            "CREATE TRIGGER undo_insert_reading AFTER INSERT ON reading BEGIN DELETE FROM wearer; END");
        const auto readings = sql(path, "SELECT count(*) FROM reading");
        {
            auto book = std::move(*Notebook::open(path));
            QVERIFY(book->add_wearer("Someone", {2026, 1, 1}).has_value());
            QVERIFY(book->set_readings(*book->table().set, Measure::Waist, {Length::mm(800)}).has_value());
            QVERIFY(*book->undo());
        }
        QCOMPARE(sql(path, "SELECT count(*) FROM reading"), readings);
        QCOMPARE(sql(path, "SELECT name FROM sqlite_master WHERE name IN ('empties', 'peep', 'extra')"),
                 QStringList{});
        for (const char* foreign : {"CREATE TABLE loot (x)", "CREATE VIRTUAL TABLE loot USING fts5(x)"}) {
            const QString other = at(QString::number(std::hash<std::string_view>{}(foreign)) + ".sartorum");
            QVERIFY(Notebook::open(other).has_value());
            sql(other, QLatin1String{foreign});
            const auto before = bytes_of(other);
            const auto refused = Notebook::open(other);
            QCOMPARE(refused.error().trouble, Trouble::Foreign);
            QVERIFY(refused.error().detail.startsWith("loot"));
            QVERIFY(!before.isEmpty());
        }
        const QString column = at("column.sartorum");
        QVERIFY(Notebook::open(column).has_value());
        sql(column, "ALTER TABLE wearer ADD COLUMN extra TEXT");
        QCOMPARE(Notebook::open(column).error().trouble, Trouble::OtherShape);
    }
    void values_that_cannot_be_are_named_left_out_and_kept_in_the_file()  // N-13
    {
        const QString path = demo_book("values.sartorum");
        for (const char* file : {"reading-1e308.sql", "chart-without-sizes.sql"}) sql(path, hostile(file));
        sql(path, "UPDATE body_set SET weight_kg = 'heavy', ball = 'sideways'");
        auto book = std::move(*Notebook::open(path));
        const auto table = book->table();
        const auto body = *book->body(*table.set);
        QVERIFY(!body.readings.contains(Measure::Waist) && body.readings.contains(Measure::Hip));
        QVERIFY(!body.weight_kg);
        QVERIFY(!book->chart(*table.chart));
        QStringList named;
        for (const auto& u : book->unreadable()) named << u.what + " " + u.value;
        for (const char* word : {"waist, measured 2026-11-03 1e+308", "weight", "posture", "its sizes"})
            QVERIFY2(named.join(';').contains(QLatin1String{word}), qPrintable(named.join(';')));
        QVERIFY(sql(path, "SELECT count(*) FROM reading WHERE value_mm = 1e308")[0].toInt() > 0);
    }
    // Every count and every number from a notebook is brought into its range, or left out with a word.
    void counts_and_steps_of_a_notebook_have_their_limits()  // N-13, N-27
    {
        const QString path = demo_book("limits.sartorum");
        sql(path, hostile("negative-step-kills-paper.sql"));
        {
            const auto book = std::move(*Notebook::open(path));
            QCOMPARE(book->step(3, 2), 0);
        }
        QCOMPARE(sql(path, "SELECT step FROM place WHERE wearer_id = 3 AND pattern_id = 2"), QStringList{"-1"});
        sql(path, "PRAGMA foreign_keys = 0;; " + hostile("fifty-thousand-facings-hang.sql"));
        QElapsedTimer clock;
        clock.start();
        const auto book = std::move(*Notebook::open(path));
        const auto plan = book->plan(3, PlanFor::pattern(2));
        QCOMPARE(plan.make_up.facings.size(), std::size_t{20});
        QVERIFY(std::any_of(book->unreadable().begin(), book->unreadable().end(),
                            [](const auto& u) { return u.what.contains("facings"); }));
        QVERIFY(clock.elapsed() < 5000);
        // What was left out stays, whatever is saved over it.
        Plan other = plan;
        other.make_up.facings.pop_back();
        QVERIFY(book->save_plan(3, PlanFor::pattern(2), other, "one less").has_value());
        QCOMPARE(sql(path, "SELECT count(*) FROM made_facing")[0].toInt() >= 49'980, true);
        QCOMPARE(book->plan(3, PlanFor::pattern(2)).make_up.facings.size(), std::size_t{20});
    }
    void an_unreadable_decision_outlives_every_plan_that_is_saved_over_it()  // N-13
    {
        const QString path = fixture(3, "decisions.sartorum");
        auto book = std::move(*Notebook::open(path));
        const auto t = book->table();
        const auto what = PlanFor::pattern(*t.pattern);
        sql(path,
            "UPDATE decision_amount SET by_mm = 'nan' WHERE decision_id = (SELECT id FROM decision WHERE "
            "adjustment "
            "= 'waist_to_hip');; UPDATE plan SET garment = 'cape'");
        Plan plan = book->plan(*t.wearer, what);
        QCOMPARE(plan.decisions.size(), std::size_t{1});
        QCOMPARE(plan.decisions[0].kind, AdjustmentKind::ShoulderSlope);
        plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(8)});
        QVERIFY(book->save_plan(*t.wearer, what, plan, "hip").has_value());
        QCOMPARE(sql(path,
                     "SELECT a.by_mm, (SELECT garment FROM plan) FROM decision d JOIN decision_amount a ON "
                     "a.decision_id = "
                     "d.id WHERE d.adjustment = 'waist_to_hip'"),
                 QStringList{"nan|cape"});
        book.reset();
        // In a file of an older version it is carried over as it is.
        const QString old = fixture(3, "old_decisions.sartorum");
        sql(old, hostile("decision-nan.sql"));
        auto again = std::move(*Notebook::open(old));
        QVERIFY(again->plan(*t.wearer, what).decisions.empty());
        QVERIFY(again->unreadable().size() >= 2);
    }
    void saving_writes_the_rows_that_changed_and_no_others()  // N-14
    {
        const QString path = fixture(3, "rows.sartorum");
        auto book = std::move(*Notebook::open(path));
        const auto t = book->table();
        const auto what = PlanFor::pattern(*t.pattern);
        Plan plan = book->plan(*t.wearer, what);
        plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(8)});
        QVERIFY(book->save_plan(*t.wearer, what, plan, "hip").has_value());
        const QString of_last = " FROM undo_change WHERE act = (SELECT max(id) FROM act)";
        QCOMPARE(sql(path, "SELECT tab, op" + of_last),
                 (QStringList{"decision|insert", "decision_amount|insert"}));
        const auto acts = sql(path, "SELECT count(*) FROM act");
        QVERIFY(book->save_plan(*t.wearer, what, plan, "the same").has_value());
        QVERIFY(book->lay_on_table(t).has_value());
        QCOMPARE(sql(path, "SELECT count(*) FROM act"), acts);  // nothing changed: no act
        auto readings = book->body(*t.set)->readings.at(Measure::Waist);
        readings[0] = readings[0] + Length::mm(1);
        QVERIFY(book->set_readings(*t.set, Measure::Waist, readings).has_value());
        QCOMPARE(sql(path, "SELECT tab, op" + of_last), QStringList{"reading|update"});
    }
    void two_thousand_random_acts_are_undone_and_done_again_bit_for_bit()  // N-09
    {
        const QString path = at("random.sartorum");
        auto book = std::move(*Notebook::open(path));
        std::mt19937 rng{20261128};
        const auto one_of = [&](int n) { return static_cast<int>(rng() % static_cast<unsigned>(n)); };
        const auto mm = [&](double low, double high) {
            return Length::mm(std::uniform_real_distribution<double>{low, high}(rng));
        };
        SizeChart chart{"Chart", "Maker", {}};
        for (int i = 0; i < 3; ++i)
            chart.sizes.push_back({std::to_string(i), {{Measure::Waist, Length::mm(640 + 40 * i)}}, 0});
        Id wearer = *book->add_wearer("Ottilie", {2026, 11, 3});
        Id chart_id = *book->add_chart(chart);
        Id pattern = *book->add_pattern("Lockside", "Towpath", "<svg>é</svg>", chart_id);
        const auto act = [&](int i) {
            const Id set = *book->table().set;
            switch (one_of(9)) {
                case 0: return (void)*book->add_wearer(QString{"W%1 'é'"}.arg(i), {2026, 1, 1 + one_of(28)});
                case 1: return (void)*book->add_set(wearer, {2026, 2, 1 + one_of(28)});
                case 2: {
                    const auto& f =
                        all_measures[static_cast<std::size_t>(one_of(static_cast<int>(all_measures.size())))];
                    std::vector<Length> readings;
                    for (int k = one_of(4); k > 0; --k) readings.push_back(mm(f.least.in_mm(), f.most.in_mm()));
                    return (void)*book->set_readings(set, f.measure, readings,
                                                     one_of(2) ? Side::Left : Side::Right);
                }
                case 3: {
                    BodySet told;
                    told.note = "note " + std::to_string(i);
                    if (one_of(2)) told.weight_kg = 50 + one_of(400) / 7.0;
                    return (void)*book->set_circumstances(set, told);
                }
                case 4: return (void)*book->set_tape_check(set, *TapeCheck::from({{mm(590, 610), mm(590, 610)}}));
                case 5: {
                    auto other = chart;
                    other.name = "Chart " + std::to_string(i);
                    for (auto& s : other.sizes) s.body[Measure::Hip] = s.body[Measure::Waist] + mm(200, 210);
                    return one_of(3) ? (void)*book->replace_chart(chart_id, other) : (void)*book->add_chart(other);
                }
                case 6: return (void)*book->lay_on_table({wearer, set, pattern, chart_id, one_of(2) ? "top" : ""});
                default: {
                    const auto what = one_of(2) ? PlanFor::pattern(pattern) : PlanFor::chart(chart_id);
                    Plan plan = book->plan(wearer, what);
                    plan.sizes[Level::Waist] = std::to_string(one_of(3));
                    if (one_of(2)) plan.ease[Measure::Bust] = mm(-20, 60);
                    const auto& a =
                        catalogue()[static_cast<std::size_t>(one_of(static_cast<int>(adjustment_count)))];
                    if (one_of(4) == 0)
                        plan.forget(a.kind);
                    else
                        plan.decide({a.kind, one_of(2) ? Answer::Accepted : Answer::Declined,
                                     one_of(2) ? std::optional{mm(-20, 20)} : std::nullopt});
                    return (void)*book->save_plan(wearer, what, plan, "plan");
                }
            }
        };
        // Five times 400 acts, all taken back and done again: undo reaches back 500.
        const auto acts = [&] { return sql(path, "SELECT count(*) FROM act WHERE side = 'undo'")[0].toInt(); };
        for (int round = 0; round < 5; ++round) {
            const auto start = whole(path);
            const auto newest = sql(path, "SELECT max(id) FROM act")[0];
            for (int i = 0; i < 400; ++i) act(400 * round + i);
            const auto end = whole(path);
            const int made = sql(path, "SELECT count(*) FROM act WHERE id > " + newest)[0].toInt();
            QVERIFY2(made > 300, qPrintable(QString::number(made)));  // the rest changed nothing
            const int there = acts();
            QStringList middle;
            for (int i = 0; i < made; ++i) {
                if (i == made / 2) middle = whole(path);
                QVERIFY(*book->undo());
            }
            QCOMPARE(acts(), there - made);
            QCOMPARE(whole(path), start);
            for (int i = made; i > 0; --i) {
                QVERIFY(*book->redo());
                if (i - 1 == made / 2) QCOMPARE(whole(path), middle);
            }
            QCOMPARE(whole(path), end);
            QVERIFY(!book->redo_name());
        }
    }
    void the_third_version_comes_up_with_equal_values_after_a_whole_copy()  // N-01, N-03
    {
        const QString path = fixture(3, "third.sartorum");
        const auto before = sql(path, "SELECT measure, side, position, quote(value_mm) FROM reading ORDER BY id");
        auto book = std::move(*Notebook::open(path));
        const auto t = book->table();
        const auto plan = book->plan(*t.wearer, PlanFor::pattern(*t.pattern));
        QCOMPARE(plan.decision(AdjustmentKind::WaistToHip)->amount()->in_mm(), 12.7);
        QCOMPARE(plan.decision(AdjustmentKind::ShoulderSlope)->back()->in_mm(), -4.0);
        QCOMPARE(*plan.decision(AdjustmentKind::ShoulderSlope)->method, std::size_t{1});
        QCOMPARE(sql(path, "SELECT measure, side, position, quote(value_mm) FROM reading ORDER BY id"), before);
        QCOMPARE(sql(path, "PRAGMA user_version"), QStringList{QString::number(schema_version)});
        QCOMPARE(sql(path + ".version-3", "PRAGMA user_version"), QStringList{"3"});
        for (const auto& file : {path, path + ".version-3"}) QCOMPARE(mode_of(file), mode_t{0600});  // N-15
        QVERIFY(book->unreadable().empty());
    }
    void a_half_migrated_file_is_refused_and_one_without_tables_is_born()
    {
        const QString half = fixture(3, "half.sartorum");
        sql(half, QString{"PRAGMA user_version = %1"}.arg(schema_version));
        const auto refused = Notebook::open(half);
        QCOMPARE(refused.error().trouble, Trouble::OtherShape);
        // One that says it is of the version between has not its tables: nothing of it is changed.
        const QString between = fixture(3, "between.sartorum");
        sql(between, "PRAGMA user_version = 4");
        const auto before = sql(between, "SELECT name FROM sqlite_master ORDER BY name");
        QCOMPARE(Notebook::open(between).error().trouble, Trouble::Foreign);
        QVERIFY(!QFileInfo::exists(between + ".version-4"));  // and no copy is kept of it
        QCOMPARE(sql(between, "SELECT name FROM sqlite_master ORDER BY name"), before);
        QCOMPARE(sql(between, "PRAGMA user_version"), QStringList{"4"});
        const QString unborn = at("unborn.sartorum");
        sql(unborn, "PRAGMA journal_mode = WAL;; PRAGMA user_version = 7;; PRAGMA user_version = 0");
        QVERIFY(QFileInfo{unborn}.size() > 0);
        auto book = Notebook::open(unborn);
        QVERIFY(book.has_value());
        QVERIFY((*book)->add_wearer("Ottilie", {2026, 1, 1}).has_value());
    }
    void a_birth_on_a_full_disk_is_finished_when_there_is_room()
    {
        SmallDisk disk{"16k"};
        if (!disk.mounted()) QSKIP("no small disk without root");
        const QString path = disk.at("n.sartorum");
        const auto refused = Notebook::open(path);
        QCOMPARE(refused.error().trouble, Trouble::DiskFull);
        QVERIFY(disk.resize("4m"));
        auto book = Notebook::open(path);
        QVERIFY(book.has_value());
        QVERIFY((*book)->add_wearer("Ottilie", {2026, 1, 1}).has_value());
    }
    void an_upgrade_on_a_full_disk_waits_for_room_and_follows_no_link()  // N-03
    {
        SmallDisk disk{"180k"};
        if (!disk.mounted()) QSKIP("no small disk without root");
        const QString path = disk.at("b.sartorum");
        QVERIFY(QFile::copy(QString{SARTORUM_SOURCE_DIR} + "/tests/notebook/fixtures/version-1.sartorum", path));
        QVERIFY(QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner));
        QCOMPARE(Notebook::open(path).error().trouble, Trouble::DiskFull);
        QCOMPARE(sql(path, "PRAGMA user_version"), QStringList{"1"});
        QVERIFY(!QFile::exists(path + ".version-1"));
        QVERIFY(disk.resize("8m"));
        const QString elsewhere = at("elsewhere");
        QVERIFY(QFile::link(elsewhere, path + ".version-1"));  // somebody laid a link in the way
        QVERIFY(Notebook::open(path).has_value());
        QVERIFY(!QFile::exists(elsewhere));
        QCOMPARE(sql(path + ".version-1-2", "PRAGMA user_version"), QStringList{"1"});
    }
    void a_change_on_a_full_disk_is_refused_and_leaves_all_as_it_was()  // N-04
    {
        SmallDisk disk{"900k"};
        if (!disk.mounted()) QSKIP("no small disk without root");
        const QString path = disk.at("n.sartorum");
        auto book = std::move(*Notebook::open(path));
        (void)*book->add_wearer("Ottilie", {2026, 1, 1});
        const auto before = whole(path);
        const auto refused = book->add_pattern("Big", "Nobody", QByteArray(2'000'000, 'x'), {});
        QCOMPARE(refused.error().trouble, Trouble::DiskFull);
        QCOMPARE(whole(path), before);
        QVERIFY(book->set_readings(*book->table().set, Measure::Waist, {Length::mm(800)}).has_value());
    }
    void the_second_window_only_looks_until_the_first_closes()  // N-16
    {
        const QString path = at("two.sartorum");
        auto first = std::move(*Notebook::open(path));
        (void)*first->add_wearer("Ottilie", {2026, 1, 1});
        auto second = std::move(*Notebook::open(path));
        QVERIFY(!first->looks_only() && second->looks_only());
        QCOMPARE(second->wearers().size(), std::size_t{1});
        QCOMPARE(second->add_wearer("Bram", {2026, 1, 1}).error().trouble, Trouble::OtherWindow);
        QCOMPARE(second->undo().error().trouble, Trouble::OtherWindow);
        QVERIFY(!*second->try_to_write());
        (void)second->changed_elsewhere();
        (void)*first->add_wearer("Bram", {2026, 1, 1});
        QVERIFY(second->changed_elsewhere() && !second->changed_elsewhere());
        QCOMPARE(second->wearers().size(), std::size_t{2});
        QVERIFY(QFile::link(path, at("another-name.sartorum")));
        const auto third = Notebook::open(at("another-name.sartorum"));
        QVERIFY(third.has_value() && (*third)->looks_only());  // one file, by whatever name
        first.reset();
        QVERIFY(*second->try_to_write());
        QVERIFY(second->add_wearer("Cornelis", {2026, 1, 1}).has_value());
        second.reset();
        QVERIFY(!QFile::exists(path + ".lock"));
    }
    void a_killed_window_lets_go_of_its_notebook()  // N-16
    {
        const QString path = at("killed.sartorum");
        QProcess other;
        other.start(SARTORUM_EDITOR, {path});
        QVERIFY(other.waitForReadyRead(20000));
        {
            const auto looking = Notebook::open(path);
            QVERIFY(looking.has_value() && (*looking)->looks_only());
        }
        ::kill(static_cast<pid_t>(other.processId()), SIGKILL);
        other.waitForFinished();
        const auto mine = Notebook::open(path);
        QVERIFY(mine.has_value() && !(*mine)->looks_only());
        QVERIFY((*mine)->add_wearer("Bram", {2026, 1, 1}).has_value());
    }
    // A sync program puts another file in its place, or takes it away: nothing is kept in what nobody will open
    // again, nothing of it gets into the other file, and all of it can be kept elsewhere.
    void a_file_that_is_swapped_or_taken_away_is_noticed_before_each_act()  // N-24
    {
        for (const bool swapped : {true, false}) {
            const QString path = demo_book(swapped ? "swapped.sartorum" : "gone.sartorum");
            const QString other = path + ".backup";
            QVERIFY(QFile::copy(path, other));
            auto book = std::move(*Notebook::open(path));
            QVERIFY(!book->lost());
            QVERIFY(book->add_wearer("Before", {2026, 1, 1}).has_value());
            if (swapped)
                QVERIFY(::rename(QFile::encodeName(other).constData(), QFile::encodeName(path).constData()) == 0);
            else
                QVERIFY(QFile::remove(path));
            const auto theirs = bytes_of(path);
            const auto expected = swapped ? Trouble::Replaced : Trouble::Gone;
            QVERIFY(book->lost() == expected);
            for (int i = 0; i < 3; ++i) {
                const auto act = book->add_wearer("After", {2026, 1, 1});
                QVERIFY(!act && act.error().trouble == expected);
                QVERIFY(!book->undo() && !book->redo());
            }
            const QString elsewhere = path + "-elsewhere";
            QVERIFY(book->keep_elsewhere(elsewhere).has_value());
            QVERIFY(!book->keep_elsewhere(elsewhere));  // nothing that is there is written over
            QCOMPARE(mode_of(elsewhere), mode_t{0600});
            book.reset();
            QCOMPARE(bytes_of(path), theirs);
            QCOMPARE(QDir{QFileInfo{path}.absolutePath()}
                         .entryList({QFileInfo{path}.fileName() + "-*"}, QDir::Files | QDir::Hidden)
                         .size(),
                     1);  // no log is left beside it
            auto kept = std::move(*Notebook::open(elsewhere));
            QStringList names;
            for (const auto& w : kept->wearers()) names << w.name;
            QVERIFY(names.contains("Before") && !names.contains("After"));
            QVERIFY(*kept->undo());
        }
    }
    // As an older version of the program leaves it when it is killed: a write-ahead log that was not yet moved
    // into its file. Beside its own file it is read; beside another it is put aside, and said.
    void a_log_of_another_file_is_never_played_into_this_one()  // N-25
    {
        const QString path = demo_book("log.sartorum");
        const QString theirs = at("their.sartorum");
        QVERIFY(QFile::copy(path, theirs));
        QByteArray log;
        QByteArray file;
        {
            auto db = QSqlDatabase::addDatabase("QSQLITE", "ahead");
            db.setDatabaseName(theirs);
            QVERIFY(db.open());
            QSqlQuery q{db};
            for (const char* statement : {"PRAGMA journal_mode = WAL", "PRAGMA wal_autocheckpoint = 300", "BEGIN"})
                QVERIFY(q.exec(statement));
            for (int i = 0; i < 1500; ++i)
                QVERIFY(
                    q.exec(QString{"INSERT INTO reading (set_id, measure, position, value_mm, side) VALUES (1, "
                                   "'waist', %1, 800, 'right')"}
                               .arg(i)));
            QVERIFY(q.exec("COMMIT"));
            log = bytes_of(theirs + "-wal");
            file = bytes_of(theirs);
            QVERIFY(log.size() > 4096);
        }
        QSqlDatabase::removeDatabase("ahead");
        const auto put = [](const QString& name, const QByteArray& bytes) {
            QFile f{name};
            if (!f.open(QIODevice::WriteOnly) || f.write(bytes) != bytes.size()) qFatal("no room");
        };
        // Beside another file, one that says it has a log and one that does not.
        for (const bool ahead : {false, true}) {
            const QString here = at(ahead ? "ahead.sartorum" : "plain.sartorum");
            {
                auto other = std::move(*Notebook::open(here));
                for (int i = 0; i < 30; ++i) (void)other->add_wearer(QString{"W%1"}.arg(i), {2026, 1, 1});
            }
            if (ahead) sql(here, "PRAGMA journal_mode = WAL");
            put(here + "-wal", log);
            auto book = std::move(*Notebook::open(here));
            QCOMPARE(book->set_aside(), QStringList{here + "-wal.of-another-file"});
            QCOMPARE(bytes_of(book->set_aside().front()), log);
            QCOMPARE(book->wearers().size(), std::size_t{30});
            book.reset();
            QCOMPARE(sql(here, "PRAGMA integrity_check"), QStringList{"ok"});
        }
        // Beside its own.
        const QString own = at("own.sartorum");
        put(own, file);
        put(own + "-wal", log);
        auto book = std::move(*Notebook::open(own));
        QVERIFY(book->set_aside().isEmpty());
        book.reset();
        QCOMPARE(sql(own, "SELECT count(*) FROM reading WHERE value_mm = 800"), QStringList{"1500"});
        QVERIFY(!QFileInfo::exists(own + "-wal"));  // and from here on there is none
        // A link in its place is put aside, and what it points to is left alone.
        const QString linked = demo_book("linked.sartorum");
        put(at("victim"), "a letter");
        QVERIFY(QFile::link(at("victim"), linked + "-wal"));
        QCOMPARE((*Notebook::open(linked))->set_aside().size(), qsizetype{1});
        QCOMPARE(bytes_of(at("victim")), QByteArray{"a letter"});
    }
    // What a table says of conflicts, checks, defaults or columns of its own making would change what is written.
    void a_table_that_is_not_declared_as_ours_is_refused_and_left_alone_data()
    {
        QTest::addColumn<QString>("columns");
        const QString ours =
            "id INTEGER PRIMARY KEY, set_id INTEGER NOT NULL, measure TEXT NOT NULL, position INTEGER NOT NULL, "
            "value_mm REAL NOT NULL, side TEXT NOT NULL DEFAULT 'right'";
        QTest::newRow("on conflict") << ours + ", UNIQUE (position) ON CONFLICT REPLACE";
        QTest::newRow("check") << ours + ", CHECK (value_mm < 10)";
        QTest::newRow("default") << QString{ours}.replace("value_mm REAL NOT NULL", "value_mm REAL DEFAULT 7");
        QTest::newRow("generated") << QString{ours}.replace("position INTEGER NOT NULL",
                                                            "position INTEGER AS (set_id + 1)");
    }
    void a_table_that_is_not_declared_as_ours_is_refused_and_left_alone()  // N-26
    {
        QFETCH(QString, columns);
        const QString path = demo_book("shape.sartorum");
        sql(path,
            "PRAGMA foreign_keys = 0;; PRAGMA legacy_alter_table = 1;; DROP TABLE reading;; CREATE TABLE reading "
            "(" +
                columns + ")");
        const auto before = bytes_of(path);
        const auto refused = Notebook::open(path);
        QVERIFY(!refused && refused.error().trouble == Trouble::OtherShape);
        QCOMPARE(refused.error().detail, "reading");
        QCOMPARE(bytes_of(path), before);
        QVERIFY(QFile::remove(path));
    }
    void a_notebook_that_lacks_a_table_is_said_to()
    {
        const QString path = demo_book("lacks.sartorum");
        sql(path, "PRAGMA foreign_keys = 0;; DROP TABLE photo_line;; DROP TABLE photo");
        const auto refused = Notebook::open(path);
        QVERIFY(!refused && refused.error().trouble == Trouble::Lacks);
        QCOMPARE(refused.error().detail, "photo");
    }
    void copies_dated_later_than_today_count_as_the_oldest()
    {
        const QString path = demo_book("future.sartorum");
        for (int i = 1; i <= 7; ++i) QVERIFY(QFile::copy(path, path + QString{".day-9999-12-0%1"}.arg(i)));
        QVERIFY(*keep_daily_copy(path, {2026, 12, 2}));
        const auto copies = daily_copies(path, {2026, 12, 2});
        QCOMPARE(copies.size(), std::size_t{7});
        QCOMPARE(copies.front().day, QDate(2026, 12, 2));
        QVERIFY(!*keep_daily_copy(path, {2026, 12, 2}));
    }
    void a_copy_a_day_is_kept_for_seven_days_and_one_can_go_back()  // N-17
    {
        const QString path = at("daily.sartorum");
        {
            auto book = std::move(*Notebook::open(path));
            (void)*book->add_wearer("Ottilie", {2026, 1, 1});
            for (int day = 1; day <= 9; ++day) QVERIFY(*keep_daily_copy(path, {2026, 11, day}));
            QVERIFY(!*keep_daily_copy(path, {2026, 11, 9}));  // today's is there
            (void)*book->add_wearer("Bram", {2026, 1, 1});
        }
        const auto copies = daily_copies(path, {2026, 11, 9});
        QCOMPARE(copies.size(), std::size_t{7});
        QCOMPARE(copies.front().day, QDate(2026, 11, 9));
        QCOMPARE(copies.back().day, QDate(2026, 11, 3));
        QCOMPARE(mode_of(copies.front().path), mode_t{0600});
        QVERIFY(!found_damaged(path));
        // A page in the middle is overwritten.
        QFile f{path};
        QVERIFY(f.open(QIODevice::ReadWrite));
        for (qint64 page = 4096; page + 4096 <= f.size(); page += 4096) {
            f.seek(page);
            f.write(QByteArray(200, '\xff'));
        }
        f.close();
        const auto opened = Notebook::open(path);
        QVERIFY(!opened || found_damaged(path));
        if (!opened) QVERIFY2(opened.error().trouble == Trouble::Damaged, qPrintable(opened.error().detail));
        const auto damaged = bytes_of(path);
        const auto kept = go_back_to(path, copies.front(), {2026, 11, 28});
        QVERIFY(kept.has_value());
        QVERIFY(kept->endsWith(".damaged-2026-11-28"));
        QVERIFY(bytes_of(*kept).size() == damaged.size());
        auto book = Notebook::open(path);
        QVERIFY(book.has_value());
        QCOMPARE((*book)->wearers().size(), std::size_t{1});
        QCOMPARE(go_back_to(path, copies.front(), {2026, 11, 28}).error().trouble, Trouble::OtherWindow);
    }
    void a_chart_without_a_name_has_one_wherever_it_is_listed()
    {
        auto book = std::move(*Notebook::open(at("nameless.sartorum")));
        SizeChart chart{"", "", {}};
        for (int i = 0; i < 2; ++i)
            chart.sizes.push_back({std::to_string(8 + 2 * i), {{Measure::Hip, Length::mm(900 + 40 * i)}}, 0});
        const Id one = *book->add_chart(chart);
        chart.maker = "Towpath Paper";
        const Id two = *book->add_chart(chart);
        QCOMPARE(book->charts()[0].name, QString{"Size chart %1"}.arg(one));
        QCOMPARE(book->charts()[1].name, QString{"Chart of Towpath Paper"});
        QCOMPARE(book->chart(two)->name, std::string{"Chart of Towpath Paper"});
    }
};
SARTORUM_TEST(TestStrangeNotebooks)

}  // namespace test_strange_notebooks

#include "test_strange_notebooks.moc"
