#include <sys/stat.h>
#include <sys/statvfs.h>
#include <unistd.h>

#include <QProcess>
#include <QRegularExpression>
#include <QSqlDatabase>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include <random>

#include "notebook/notebook.h"
#include "notebook/schema.h"
#include "tests.h"

namespace test_notebook {

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
    // The digest by which a notebook's tables are known as ours is that of the tables we make.
    void the_digest_is_of_the_tables_that_are_made()
    {
        const QString path = at("digest.sartorum");
        QVERIFY(Notebook::open(path).has_value());
        QMap<QString, QString> tables;
        {
            auto db = QSqlDatabase::addDatabase("QSQLITE", "tables");
            db.setDatabaseName(path);
            QVERIFY(db.open());
            QSqlQuery q{db};
            QVERIFY(q.exec("SELECT name, sql FROM sqlite_master WHERE type = 'table'"));
            while (q.next()) tables[q.value(0).toString()] = q.value(1).toString();
        }
        QSqlDatabase::removeDatabase("tables");
        QCOMPARE(digest_of(tables), QByteArray{digest_of_our_tables});
        auto other = tables;
        other["wearer"].replace("NOT NULL", "NOT NULL ON CONFLICT IGNORE");
        QVERIFY(other != tables && digest_of(other) != digest_of(tables));
    }
    void what_was_written_is_there_after_reopening()  // N-04, also tests/desk/test_kill.cpp
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
            Plan plan = plan_in_sizes("8", "10");
            plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(25.4)});
            plan.decide({AdjustmentKind::WidthAtHip, Answer::Declined, {}});
            QVERIFY(book->save_plan(wearer, PlanFor::pattern(pattern), plan, "plan"));
            QVERIFY(book->save_step(wearer, pattern, 7));
        }
        auto book = std::move(*Notebook::open(path));
        const auto table = book->table();
        QCOMPARE(*table.wearer, wearer);
        QCOMPARE(book->body(*table.set)->readings.at(Measure::Waist)[1].in_mm(), Length::inches(33.25).in_mm());
        QCOMPARE(book->chart(*table.chart)->sizes[1].body.at(Measure::Hip).in_mm(), 920.0);
        QCOMPARE(*book->pattern_svg(*table.pattern), QByteArray{"<svg>é</svg>"});
        const auto plan = book->plan(*table.wearer, PlanFor::pattern(*table.pattern));
        QCOMPARE(plan.decision(AdjustmentKind::WaistToHip)->amount()->in_mm(), 25.4);
        QVERIFY(plan.decision(AdjustmentKind::WidthAtHip)->answer == Answer::Declined);
        QCOMPARE(book->step(*table.wearer, *table.pattern), 7);
    }
    void a_second_set_never_overwrites_the_first()  // N-07
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
    void undo_and_redo_reach_back_past_reopening()  // N-09
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
    void what_is_not_a_notebook_is_refused_and_left_as_it_was()  // N-02
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
        run_sql(path, QString{"PRAGMA user_version = %1"}.arg(schema_version));
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
    void a_tissue_is_kept_line_by_line()  // N-14, N-20
    {
        auto book = std::move(*Notebook::open(at("tissue.sartorum")));
        Tissue t;
        t.name = "Lock skirt";
        t.kind = TissueKind::Bodice;
        t.size = "12";
        t.sizes = {{"12", {{TissueLine::NeckWidth, {TissueState::Measured, Length::mm(71)}}}}};
        const Id id = *book->add_tissue(t);
        t.sizes[0].lines[TissueLine::SideDart] = {TissueState::Lacking, {}};
        t.sizes[0].lines[TissueLine::AcrossBack] = {TissueState::Assumed, {}};
        t.notes[TissueNote::FrontSeam] = 2;
        QVERIFY(book->save_tissue(id, t, "side dart"));
        t.sizes.push_back({"14", {{TissueLine::NeckWidth, {TissueState::Measured, Length::mm(73)}}}});
        t.size = "14";
        t.notes[TissueNote::FrontSeam] = 0;
        QVERIFY(book->save_tissue(id, t, "size 14"));
        QVERIFY(*book->tissue(id) == t);
        Tissue less = t;
        less.sizes.erase(less.sizes.begin());
        less.sizes[0].lines.clear();
        QVERIFY(book->save_tissue(id, less, "less"));
        QVERIFY(*book->tissue(id) == less);
        QVERIFY(*book->undo());
        QVERIFY(book->tissue(id)->sizes.size() == 2 &&
                book->tissue(id)->size_named("14")->lines == t.sizes[1].lines);
        QVERIFY(!book->pattern_of_tissue(id));
        const Id pattern = *book->add_drawn(id, "Lock", "Nobody", "<svg/>", {});
        QCOMPARE(*book->pattern_of_tissue(id), pattern);
        QCOMPARE(*book->table().pattern, pattern);
        // What cannot be read is named and left out, and the rest stays.
        book.reset();
        run_sql(at("tissue.sartorum"),
                "UPDATE tissue_line SET value_mm = 1e300 WHERE line = 'neck_width' AND value_mm < 72");
        run_sql(at("tissue.sartorum"), "UPDATE tissue_note SET word = 'purple'");
        auto again = std::move(*Notebook::open(at("tissue.sartorum")));
        const auto read = *again->tissue(id);
        QVERIFY(!read.size_named("12")->lines.contains(TissueLine::NeckWidth) && read.notes.empty());
        QVERIFY(lacks(*read.size_named("12"), TissueLine::SideDart));
        QCOMPARE(again->unreadable().size(), std::size_t{2});
        again.reset();
        run_sql(at("tissue.sartorum"), "DELETE FROM tissue_line");
        run_sql(at("tissue.sartorum"), "DELETE FROM tissue_size");
        auto sizeless = std::move(*Notebook::open(at("tissue.sartorum")));
        QVERIFY(!sizeless->tissue(id) && !sizeless->unreadable().empty());
    }
    void heights_of_a_charts_groups_are_kept()
    {
        auto book = std::move(*Notebook::open(at("heights.sartorum")));
        SizeChart chart{"Chart", "Nobody", {}};
        for (const char* group : {"short", "tall"}) {
            for (int i = 0; i < 2; ++i)
                chart.sizes.push_back(
                    {std::to_string(12 + 2 * i), {{Measure::Bust, Length::mm(880 + 40 * i)}}, 0, group});
        }
        chart.heights = {{"short", {Length::mm(1520), Length::mm(1600)}},
                         {"tall", {Length::mm(1680), Length::mm(1780)}}};
        const Id id = *book->add_chart(chart);
        QVERIFY(book->chart(id)->heights == chart.heights);
    }
    void amounts_by_place_face_and_side_and_parts_of_their_own_are_kept()  // N-18
    {
        auto book = std::move(*Notebook::open(at("amounts.sartorum")));
        const Id wearer = *book->add_wearer("Ottilie", {2026, 1, 1});
        const Id pattern = *book->add_pattern("P", "M", "<svg/>", {});
        Plan plan = plan_in_sizes("12", "14");
        Decision slope{AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), 1};
        slope.amounts.push_back({"tip", Face::Front, Side::Left, Length::mm(2)});
        slope.amounts.push_back({"", Face::Both, Side::Right, Length::mm(-8.5)});
        plan.decide(slope);
        Decision waist{AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(20)};
        plan.put(waist);
        waist.subject = "skirt";
        waist.set_amount(Length::mm(24));
        plan.put(waist);
        QVERIFY(book->save_plan(wearer, PlanFor::pattern(pattern), plan, "plan"));
        const auto kept = book->plan(wearer, PlanFor::pattern(pattern));
        QVERIFY(kept.decisions == plan.decisions && kept.sizes == plan.sizes);
        QCOMPARE(kept.decision(AdjustmentKind::WidthAtWaist, PartKind::Skirt)->amount()->in_mm(), 24.0);
        QCOMPARE(kept.decision(AdjustmentKind::WidthAtWaist, PartKind::Upper)->amount()->in_mm(), 20.0);
        Plan next = plan;
        next.forget(AdjustmentKind::ShoulderSlope);
        next.sizes[Level::Waist] = "16";
        QVERIFY(book->save_plan(wearer, PlanFor::pattern(pattern), next, "less"));
        QVERIFY(book->plan(wearer, PlanFor::pattern(pattern)).decisions == next.decisions);
        QVERIFY(*book->undo());
        const auto back = book->plan(wearer, PlanFor::pattern(pattern));
        QVERIFY(back.sizes == plan.sizes &&
                back.decision(AdjustmentKind::ShoulderSlope)->amounts == slope.amounts);
        // One amount that cannot be read leaves its decision out, whole.
        book.reset();
        run_sql(at("amounts.sartorum"), "UPDATE decision_amount SET by_mm = 'much' WHERE at = 'tip'");
        auto again = std::move(*Notebook::open(at("amounts.sartorum")));
        QVERIFY(!again->plan(wearer, PlanFor::pattern(pattern)).decision(AdjustmentKind::ShoulderSlope));
        QCOMPARE(again->unreadable().size(), std::size_t{1});
    }
    void a_version_is_kept_as_one_text()  // N-19
    {
        auto book = std::move(*Notebook::open(at("versions.sartorum")));
        const Id wearer = *book->add_wearer("Ottilie", {2026, 1, 1});
        const Id pattern = *book->add_pattern("P", "M", "<svg/>", {});
        const QByteArray first = "{\"plan\": \"für März\"}";
        const auto one = book->keep_version(wearer, pattern, "First toile", {2026, 5, 1}, KeptFor::TriedOn, first);
        QVERIFY(one && book->keep_version(wearer, pattern, "Second toile", {2026, 6, 1}, KeptFor::TriedOn, "{}"));
        const auto all = book->versions(wearer, pattern);
        QCOMPARE(all.size(), std::size_t{2});
        QCOMPARE(all[1].name, "First toile");
        QCOMPARE(all[1].day, "2026-05-01");
        QCOMPARE(*book->version(*one), first);
        QVERIFY(book->versions(wearer, pattern + 1).empty() && !book->version(99));
        QVERIFY(*book->undo());
        QCOMPARE(book->versions(wearer, pattern).size(), std::size_t{1});
    }
    void all_that_is_known_of_a_body_comes_back_and_is_undone_step_by_step()  // N-05, N-06
    {
        auto book = std::move(*Notebook::open(at("body.sartorum")));
        (void)*book->add_wearer("Ottilie", {2026, 1, 1});
        const Id set = *book->table().set;
        QVERIFY(book->set_readings(set, Measure::UpperArm, {Length::mm(316)}));
        QVERIFY(book->set_readings(set, Measure::UpperArm, {Length::mm(311), Length::mm(312)}, Side::Left));
        BodySet told;
        told.worn = "the vest";
        told.note = "a note with 'quotes'";
        told.weight_kg = 70.5;
        told.posture = {Stance::Forward, Stance::Centred, RoundBack::Slight, SlopeSeen::Square};
        QVERIFY(book->set_circumstances(set, told));
        QVERIFY(book->set_tape_check(set, *TapeCheck::from({{Length::cm(60), Length::cm(59.6)}})));
        auto body = *book->body(set);
        QCOMPARE(body.left.at(Measure::UpperArm).size(), std::size_t{2});
        QCOMPARE(body.readings.at(Measure::UpperArm)[0].in_mm(), 316.0);
        QCOMPARE(body.worn, told.worn);
        QCOMPARE(body.note, told.note);
        QCOMPARE(body.posture, told.posture);
        QCOMPARE(*body.weight_kg, 70.5);
        QVERIFY(body.tape.factor() > 1.006);
        QVERIFY(*book->undo());
        QVERIFY(book->body(set)->tape.empty());
        QVERIFY(*book->undo());
        QCOMPARE(book->body(set)->posture, Posture{});
        QVERIFY(*book->undo());
        QVERIFY(book->body(set)->left.empty());
        for (int i = 0; i < 3; ++i) QVERIFY(*book->redo());
        QCOMPARE(book->body(set)->posture, told.posture);
    }
    void a_chart_comes_back_with_all_that_is_printed_and_can_be_put_right()
    {
        auto book = std::move(*Notebook::open(at("chart.sartorum")));
        SizeChart chart{"Dress", "Nobody", {}};
        for (int i = 0; i < 4; ++i) {
            ChartSize s{QString::number(10 + i % 2).toStdString(), {{Measure::Bust, Length::mm(880 + 40 * i)}}, 0};
            s.group = i < 2 ? "B" : "D";
            s.half_range[Measure::Bust] = Length::mm(20);
            s.finished[Measure::Bust] = Length::mm(980 + 40 * i);
            chart.sizes.push_back(s);
        }
        chart.drafted_cup = {{"B", "B"}, {"D", "D"}};
        chart.cups = {{"B", Length::mm(50)}, {"D", Length::mm(100)}};
        chart.cups_by = CupBy::Underbust;
        chart.height_from = Length::cm(160);
        chart.allowance = Length::mm(15);
        chart.views = {{"A", "10", "11"}};
        const Id id = *book->add_chart(chart);
        const auto same = [](const SizeChart& a, const SizeChart& b) {
            bool sizes = a.sizes.size() == b.sizes.size();
            for (std::size_t i = 0; sizes && i < a.sizes.size(); ++i) {
                sizes = a.sizes[i].name == b.sizes[i].name && a.sizes[i].group == b.sizes[i].group &&
                        a.sizes[i].body == b.sizes[i].body && a.sizes[i].finished == b.sizes[i].finished &&
                        a.sizes[i].half_range == b.sizes[i].half_range;
            }
            return sizes && a.drafted_cup == b.drafted_cup && a.cups == b.cups && a.cups_by == b.cups_by &&
                   a.height_from == b.height_from && a.height_to == b.height_to && a.allowance == b.allowance &&
                   a.views == b.views;
        };
        QVERIFY(same(*book->chart(id), chart));
        auto right = chart;
        right.sizes[3].body[Measure::Bust] = Length::mm(1005);
        right.cups.clear();
        QVERIFY(book->replace_chart(id, right));
        QVERIFY(same(*book->chart(id), right));
        QVERIFY(*book->undo());
        QVERIFY(same(*book->chart(id), chart));
    }
    void a_plan_may_belong_to_a_chart_alone()  // N-08
    {
        const QString path = at("plan.sartorum");
        auto book = std::move(*Notebook::open(path));
        const Id wearer = *book->add_wearer("Bram", {2026, 1, 1});
        const Id chart = *book->add_chart(
            {"C",
             "M",
             {{"S", {{Measure::Hip, Length::mm(900)}}, 0}, {"L", {{Measure::Hip, Length::mm(990)}}, 0}}});
        Plan plan = plan_in_sizes("S", "L");
        plan.sizes[Level::Bust] = "L";
        plan.choosing = {GarmentKind::Dress, true, true, true, School::FullBust};
        plan.cloth = {true, 0.35};
        plan.ease[Measure::Bust] = Length::mm(-20);
        plan.chart_group = "tall";
        QVERIFY(book->save_plan(wearer, PlanFor::chart(chart), plan, "plan"));
        const auto kept = book->plan(wearer, PlanFor::chart(chart));
        QCOMPARE(kept.size_at(Level::Bust), plan.size_at(Level::Bust));
        QVERIFY(kept.choosing == plan.choosing);
        QVERIFY(kept.cloth == plan.cloth);
        QVERIFY(kept.ease == plan.ease);
        QCOMPARE(kept.chart_group, plan.chart_group);
        QVERIFY(book->plan(wearer, PlanFor::pattern(chart)).size_at(Level::Waist).empty());
        plan.ease.clear();
        QVERIFY(book->save_plan(wearer, PlanFor::chart(chart), plan, "plan"));
        QVERIFY(book->plan(wearer, PlanFor::chart(chart)).ease.empty());
        book.reset();
        auto db = QSqlDatabase::addDatabase("QSQLITE", "both");
        db.setDatabaseName(path);
        QVERIFY(db.open());
        QVERIFY(!QSqlQuery{db}.exec("UPDATE plan SET pattern_id = 1"));  // both at once
        db.close();
    }
    void only_the_last_five_hundred_acts_are_kept()  // N-10
    {
        auto book = std::move(*Notebook::open(at("acts.sartorum")));
        (void)*book->add_wearer("Bram", {2026, 1, 1});
        const Id set = *book->table().set;
        for (int i = 0; i < 510; ++i) QVERIFY(book->set_readings(set, Measure::Waist, {Length::mm(800 + i)}));
        int undone = 0;
        while (*book->undo()) ++undone;
        QCOMPARE(undone, 500);
        QCOMPARE(book->body(set)->readings.at(Measure::Waist)[0].in_mm(), 809.0);
    }
    void whatever_was_done_is_undone_and_done_again()  // N-09
    {
        // What can be read of the whole notebook, in words.
        const auto all = [](const Notebook& book) {
            QStringList out;
            for (const auto& w : book.wearers()) {
                out << w.name;
                for (const auto& s : book.sets(w.id)) {
                    out << s.second;
                    const auto body = book.body(s.id);
                    if (!body) continue;
                    for (const auto& [m, readings] : body->readings)
                        for (const auto r : readings)
                            out << QString{"%1 %2"}.arg(static_cast<int>(m)).arg(r.in_mm());
                    out << QString::fromStdString(body->note);
                }
                for (const auto& p : book.patterns()) {
                    const Plan plan = book.plan(w.id, PlanFor::pattern(p.id));
                    out << p.name
                        << QString::fromStdString(plan.size_at(Level::Waist) + plan.size_at(Level::Hip) +
                                                  plan.size_at(Level::Bust));
                    for (const auto& d : plan.decisions)
                        out << QString{"%1 %2 %3"}
                                   .arg(static_cast<int>(d.kind))
                                   .arg(static_cast<int>(d.answer))
                                   .arg(d.amount().value_or(Length{}).in_mm());
                }
            }
            for (const auto& c : book.charts()) out << c.name << QString::number(book.chart(c.id)->sizes.size());
            return out.join("; ");
        };
        std::mt19937 rng{17};
        const auto one_of = [&](int n) { return static_cast<int>(rng() % static_cast<unsigned>(n)); };
        auto book = std::move(*Notebook::open(at("undone.sartorum")));
        const SizeChart chart{
            "Chart",
            "Maker",
            {{"8", {{Measure::Waist, Length::mm(640)}}, 0}, {"10", {{Measure::Waist, Length::mm(680)}}, 0}}};
        const Id wearer = *book->add_wearer("Ottilie", {2026, 11, 3});
        const Id pattern = *book->add_pattern("Lockside", "Towpath", "<svg/>", *book->add_chart(chart));
        QStringList states{all(*book)};
        for (int i = 0; i < 40; ++i) {
            const Id set = *book->table().set;
            switch (one_of(6)) {
                case 0: QVERIFY(book->add_wearer(QString{"W%1"}.arg(i), {2026, 1, 1 + one_of(28)})); break;
                case 1:
                    QVERIFY(book->set_readings(set, one_of(2) ? Measure::Waist : Measure::Hip,
                                               {Length::mm(700 + one_of(300))}));
                    break;
                case 2: {
                    BodySet told;
                    told.note = "note " + std::to_string(i);
                    QVERIFY(book->set_circumstances(set, told));
                    break;
                }
                case 3: {
                    Plan plan = plan_in_sizes("8", "8");
                    plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(1 + one_of(40))});
                    if (one_of(2)) plan.decide({AdjustmentKind::FinishedLength, Answer::Declined, {}});
                    QVERIFY(book->save_plan(wearer, PlanFor::pattern(pattern), plan, "decide"));
                    break;
                }
                case 4: QVERIFY(book->add_set(wearer, {2026, 2, 1 + one_of(28)})); break;
                default: {
                    SizeChart other = chart;
                    other.name = "Chart " + std::to_string(i);
                    QVERIFY(book->add_chart(other));
                }
            }
            // What changed nothing is no act.
            if (all(*book) != states.last()) states << all(*book);
        }
        for (auto i = states.size() - 2; i >= 0; --i) {
            QVERIFY(book->undo());
            QCOMPARE(all(*book), states[i]);
        }
        for (qsizetype i = 1; i < states.size(); ++i) {
            QVERIFY(book->redo());
            QCOMPARE(all(*book), states[i]);
        }
        QVERIFY(!book->redo_name());
        // After undoing, something new takes the place of what was undone.
        QVERIFY(book->undo() && book->undo());
        QVERIFY(book->add_wearer("Someone new", {2026, 3, 3}));
        QVERIFY(!book->redo_name());
    }
    void every_statement_of_the_format_is_quoted_by_a_test()
    {
        const auto doc = QString::fromUtf8(bytes_of(QString{SARTORUM_SOURCE_DIR} + "/docs/notebook-format.md"));
        QString tests;
        for (const char* file :
             {"test_notebook.cpp", "test_old_notebooks.cpp", "test_strange_notebooks.cpp", "test_try_ons.cpp"})
            tests += QString::fromUtf8(
                bytes_of(QString{SARTORUM_SOURCE_DIR} + "/tests/notebook/" + QLatin1String{file}));
        auto it = QRegularExpression{"\\*\\*(N-[0-9]+)\\*\\*"}.globalMatch(doc);
        int statements = 0;
        while (it.hasNext()) {
            const auto n = it.next().captured(1);
            QVERIFY2(tests.contains(n), qPrintable(n));
            ++statements;
        }
        QCOMPARE(statements, 27);
    }
};
SARTORUM_TEST(TestNotebook)

}  // namespace test_notebook

#include "test_notebook.moc"
