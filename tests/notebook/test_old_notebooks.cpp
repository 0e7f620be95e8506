#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QTemporaryDir>
#include <QTest>

#include "notebook/notebook.h"
#include "tests.h"

namespace test_old_notebooks {

using namespace sartorum;
using namespace sartorum::notebook;

// Notebooks as each older version of the program wrote them are brought up to this one's.
class TestOldNotebooks : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    // A copy that may be written to.
    QString fixture(int version, const QString& behind = {}) const
    {
        const auto name = QString{"/version-%1.sartorum"}.arg(version);
        const auto path = dir_.path() + name + behind;
        if (!QFile::copy(QString{SARTORUM_SOURCE_DIR} + "/tests/notebook/fixtures" + name, path) ||
            !QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner))
            qFatal("the fixture could not be copied");
        return path;
    }

private slots:
    void a_notebook_of_the_first_version_opens_with_the_same_values()  // N-01, N-03
    {
        const QString path = fixture(1);
        auto book = Notebook::open(path);
        QVERIFY(book.has_value());
        const auto wearers = (*book)->wearers();
        QCOMPARE(wearers.size(), std::size_t{2});
        QCOMPARE(wearers[1].name, "Ottilie");
        const auto body = *(*book)->body(*(*book)->table().set);
        QCOMPARE(body.readings.at(Measure::Waist)[0].in_mm(), 844.0);
        QCOMPARE(body.readings.at(Measure::Hip)[1].in_mm(), 1060.0);
        QCOMPARE((*book)->chart(*(*book)->table().chart)->sizes.size(), std::size_t{9});
        QVERIFY((*book)->pattern_svg(*(*book)->table().pattern)->contains("Lockside"));
        // The copy holds the old tables.
        {
            auto db = QSqlDatabase::addDatabase("QSQLITE", "copy");
            db.setDatabaseName(path + ".version-1");
            QVERIFY(db.open());
            QSqlQuery q{db};
            QVERIFY(q.exec("PRAGMA user_version") && q.next());
            QCOMPARE(q.value(0).toInt(), 1);
        }
        QSqlDatabase::removeDatabase("copy");
        // What could be undone was kept as statements, and those are forgotten: said once.
        QVERIFY((*book)->undo_forgotten());
        QVERIFY(!(*book)->undo_name().has_value());
        QVERIFY(!*(*book)->undo());
        book->reset();
        auto again = Notebook::open(path);
        QVERIFY(again.has_value());
    }
    void a_notebook_of_the_second_version_keeps_its_decisions()  // N-01, N-03
    {
        const QString path = fixture(2);
        auto book = Notebook::open(path);
        QVERIFY(book.has_value());
        QVERIFY(QFile::exists(path + ".version-2"));
        const auto table = (*book)->table();
        auto plan = (*book)->plan(*table.wearer, PlanFor::pattern(*table.pattern));
        QCOMPARE(plan.size_at(Level::Waist), std::string{"14"});
        QCOMPARE(plan.decision(AdjustmentKind::WaistToHip)->amount()->in_mm(), 12.7);
        QVERIFY(!plan.decision(AdjustmentKind::WaistToHip)->back() &&
                !plan.decision(AdjustmentKind::WaistToHip)->method);
        QVERIFY(plan.decision(AdjustmentKind::WidthAtWaist)->answer == Answer::Declined);
        // And takes what is new; undone, it stands as before.
        plan.decide({AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-4), 2});
        QVERIFY((*book)->save_plan(*table.wearer, PlanFor::pattern(*table.pattern), plan, "slope"));
        const auto kept = (*book)->plan(*table.wearer, PlanFor::pattern(*table.pattern));
        const auto* slope = kept.decision(AdjustmentKind::ShoulderSlope);
        QCOMPARE(slope->back()->in_mm(), -4.0);
        QCOMPARE(*slope->method, std::size_t{2});
        QCOMPARE(kept.decisions.back().kind, AdjustmentKind::ShoulderSlope);
        QVERIFY(*(*book)->undo());
        QVERIFY(!(*book)
                     ->plan(*table.wearer, PlanFor::pattern(*table.pattern))
                     .decision(AdjustmentKind::ShoulderSlope));
        QVERIFY(*(*book)->redo());
        QCOMPARE((*book)
                     ->plan(*table.wearer, PlanFor::pattern(*table.pattern))
                     .decision(AdjustmentKind::ShoulderSlope)
                     ->back()
                     ->in_mm(),
                 -4.0);
    }
    void a_notebook_of_the_fourth_version_opens_with_equal_values_and_its_undo()  // N-01, N-03, N-09
    {
        const QString path = fixture(4);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto plan = [&] { return book->plan(1, PlanFor::pattern(1)); };
        const auto sizes = [&] {
            const auto p = plan();
            return p.size_at(Level::Bust) + " " + p.size_at(Level::Waist) + " " + p.size_at(Level::Hip);
        };
        const auto at_end = plan();
        QCOMPARE(sizes(), std::string{"14 18 16"});
        QCOMPARE(at_end.decisions.size(), std::size_t{3});
        QCOMPARE(at_end.decision(AdjustmentKind::ShoulderLength)->answer, Answer::Declined);
        QVERIFY(at_end.decision(AdjustmentKind::BodiceLength)->amounts.empty());
        QCOMPARE(at_end.decision(AdjustmentKind::Bust)->amount()->in_mm(), 12.0);
        QCOMPARE(*at_end.decision(AdjustmentKind::Bust)->method, std::size_t{0});
        QVERIFY(!book->undo_forgotten());
        // What was undone before the new version is done again after it.
        QVERIFY(*book->redo());
        QCOMPARE(plan().decision(AdjustmentKind::WidthAtWaist)->amount()->in_mm(), 20.0);
        QVERIFY(!*book->redo());
        QVERIFY(*book->undo());
        QVERIFY(*book->undo());  // the slope was taken out
        QCOMPARE(plan().decision(AdjustmentKind::ShoulderSlope)->amount()->in_mm(), -6.0);
        QCOMPARE(plan().decision(AdjustmentKind::ShoulderSlope)->back()->in_mm(), -4.0);
        QVERIFY(*book->undo());  // the size
        QCOMPARE(sizes(), std::string{"14 16 16"});
        QVERIFY(*book->undo());  // another amount at the bust
        QCOMPARE(plan().decision(AdjustmentKind::Bust)->amount()->in_mm(), 15.875);
        int taken_back = 4;
        while (*book->undo()) ++taken_back;
        QVERIFY(book->wearers().empty() && book->patterns().empty());
        // And all the way forward again.
        for (int i = 1; i < taken_back; ++i) QVERIFY(*book->redo());
        QCOMPARE(sizes(), std::string{"14 18 16"});
        QVERIFY(plan().decisions == at_end.decisions);
        QVERIFY(*book->redo());
        QVERIFY(!*book->redo());
    }
    void a_notebook_of_the_fifth_version_opens_with_equal_values_and_its_undo()  // N-01, N-03, N-09
    {
        const QString path = fixture(5);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto table = book->table();
        BodySet body = *book->body(*table.set);
        QCOMPARE(body.readings.at(Measure::Waist)[1].in_mm(), 849.0);
        QVERIFY(body.posture.slope == SlopeSeen::Square && body.posture.hollow == Hollow::Unsaid);
        const auto plan = [&] { return book->plan(*table.wearer, PlanFor::pattern(1)); };
        QVERIFY(!plan().as_drawn && plan().decisions.size() == 1);
        QVERIFY(book->chart(1)->heights.empty() && book->chart(1)->drafted_cup.at("") == "B");
        // What was undone before the new version is done again after it; and all the way back.
        QVERIFY(*book->redo());
        QCOMPARE(plan().decision(AdjustmentKind::ShoulderSlope)->back()->in_mm(), -4.0);
        // It takes what is new; undone, it stands as before.
        body.posture.hollow = Hollow::Seen;
        QVERIFY(book->set_circumstances(*table.set, body));
        Plan said = plan();
        said.as_drawn = true;
        QVERIFY(book->save_plan(*table.wearer, PlanFor::pattern(1), said, "as drawn"));
        QVERIFY(book->body(*table.set)->posture.hollow == Hollow::Seen && plan().as_drawn);
        QVERIFY(*book->undo() && *book->undo());
        QVERIFY(book->body(*table.set)->posture.hollow == Hollow::Unsaid && !plan().as_drawn);
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty() && book->patterns().empty());
        while (*book->redo()) {
        }
        QVERIFY(plan().as_drawn && book->body(*table.set)->posture.hollow == Hollow::Seen);
    }
    void a_notebook_of_the_sixth_version_takes_a_tissue_and_its_undo()  // N-01, N-03, N-09
    {
        const QString path = fixture(6);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto table = book->table();
        QVERIFY(book->body(*table.set)->posture.hollow == Hollow::Seen && !table.tissue);
        QVERIFY(*book->redo());
        QVERIFY(book->plan(*table.wearer, PlanFor::pattern(1)).as_drawn);
        Tissue t;
        t.kind = TissueKind::Skirt;
        t.size = "14";
        t.sizes = {{"14", {{TissueLine::FrontHip, {TissueState::Measured, Length::mm(265.5)}}}}};
        QVERIFY(book->add_tissue(t).has_value());
        QVERIFY(*book->tissue(*book->table().tissue) == t);
        while (*book->undo()) {
        }
        QVERIFY(book->tissues().empty() && book->wearers().empty());
        while (*book->redo()) {
        }
        QVERIFY(*book->tissue(*book->table().tissue) == t);
    }
    // N-01, N-03, N-09, N-21
    void a_notebook_of_the_seventh_version_takes_what_a_garment_is_made_of_and_its_undo()
    {
        const QString path = fixture(7);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto table = book->table();
        QVERIFY(book->tissue(*table.tissue).has_value());
        QVERIFY(*book->redo());
        const auto plan = [&] { return book->plan(*table.wearer, PlanFor::pattern(1)); };
        QVERIFY(plan().as_drawn && plan().make_up.empty());
        Plan next = plan();
        next.make_up.left_out = {"pocket", "band"};
        next.make_up.facings = {{{"front", EdgeRole::Neck}, Length::mm(55.5)},
                                {{"skirt-back", EdgeRole::Hem}, Length::mm(40)}};
        next.make_up.brought = {
            {"Apron", "M", "<svg/>", {{"front", EdgeRole::Hem}, {"back", EdgeRole::Hem}}, 1.85}};
        next.make_up.opening = MovedOpening{PieceRole::Back, Length::mm(310.5), Length::mm(15), Length::mm(70)};
        next.decide({AdjustmentKind::Facings, Answer::Declined, {}});
        Decision one{AdjustmentKind::Facings, Answer::Accepted};
        one.subject = "neck-facing-front";
        next.put(one);
        QVERIFY(book->save_plan(*table.wearer, PlanFor::pattern(1), next, "pieces"));
        QVERIFY(plan().make_up == next.make_up);
        QVERIFY(*plan().decision(AdjustmentKind::Facings, std::string{"neck-facing-front"}) == one);
        // One thing changed is a row changed; undo takes it back alone.
        Plan less = next;
        less.make_up.facings.erase(less.make_up.facings.begin());
        less.make_up.opening->overlap = {};
        QVERIFY(book->save_plan(*table.wearer, PlanFor::pattern(1), less, "one facing less"));
        QVERIFY(plan().make_up == less.make_up);
        QVERIFY(*book->undo() && plan().make_up == next.make_up);
        QVERIFY(*book->undo() && plan().make_up.empty());
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty());
        while (*book->redo()) {
        }
        QVERIFY(plan().make_up == less.make_up);
    }
    // N-01, N-03, N-09, N-18
    void a_notebook_of_the_eighth_version_takes_sides_and_its_undo()
    {
        const QString path = fixture(8);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto wearer = *book->table().wearer;
        const auto plan = [&] { return book->plan(wearer, PlanFor::pattern(1)); };
        QVERIFY(*book->redo());
        QVERIFY(plan().as_drawn && plan().sides == SidesWay::Usual);
        Plan next = plan();
        next.sides = SidesWay::Larger;
        Decision slope{AdjustmentKind::ShoulderSlope, Answer::Accepted};
        slope.sides = SidesWay::Apart;
        slope.set({Face::Front, Side::Right}, Length::mm(-9));
        slope.set({Face::Back, Side::Right}, Length::mm(-7));
        slope.set({Face::Front, Side::Left}, Length::mm(-5));
        slope.set({Face::Back, Side::Left}, Length::mm(-3));
        next.decide(slope);
        QVERIFY(book->save_plan(wearer, PlanFor::pattern(1), next, "sides"));
        QVERIFY(plan().sides == SidesWay::Larger);
        QVERIFY(*plan().decision(AdjustmentKind::ShoulderSlope) == slope);
        QVERIFY(*book->undo());
        QVERIFY(plan().sides == SidesWay::Usual && !plan().decision(AdjustmentKind::ShoulderSlope));
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty());
        while (*book->redo()) {
        }
        QVERIFY(plan().sides == SidesWay::Larger);
    }
    // N-01, N-03, N-09, N-18
    void a_notebook_of_the_ninth_version_takes_a_sewn_garment_and_its_undo()
    {
        const QString path = fixture(9);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto wearer = *book->table().wearer;
        const auto plan = [&] { return book->plan(wearer, PlanFor::pattern(1)); };
        QVERIFY(*book->redo());
        QVERIFY(plan().sides == SidesWay::Larger && !plan().sewn);
        Plan next = plan();
        next.sewn = true;
        Decision waist{AdjustmentKind::SewnWaist, Answer::Accepted};
        waist.set({Face::Both, {}, "centre_front"}, Length::mm(-20));
        waist.set({Face::Both, Side::Left, "side"}, Length::mm(-6));
        next.decide(waist);
        QVERIFY(book->save_plan(wearer, PlanFor::pattern(1), next, "sewn"));
        QVERIFY(plan().sewn);
        QVERIFY(*plan().decision(AdjustmentKind::SewnWaist) == waist);
        QVERIFY(*book->undo());
        QVERIFY(!plan().sewn && !plan().decision(AdjustmentKind::SewnWaist));
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty());
        while (*book->redo()) {
        }
        QVERIFY(plan().sewn);
    }
    // N-01, N-03, N-09, N-22
    void a_notebook_of_the_tenth_version_takes_try_ons_and_its_undo()
    {
        const QString path = fixture(10);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto wearer = *book->table().wearer;
        const auto plan = [&] { return book->plan(wearer, PlanFor::pattern(1)); };
        QVERIFY(plan().sewn);
        Decision waist{AdjustmentKind::SewnWaist, Answer::Accepted};
        waist.set({Face::Both, {}, "centre_front"}, Length::mm(-20));
        waist.set({Face::Both, Side::Left, "side"}, Length::mm(-9));
        QVERIFY(*plan().decision(AdjustmentKind::SewnWaist) == waist);
        QVERIFY(book->versions(wearer, 1)[0].what == KeptFor::Cut);
        Plan next = plan();
        waist.seen_on = "2026-11-14";
        next.decide(waist);
        QVERIFY(book->save_plan(wearer, PlanFor::pattern(1), next, "seen"));
        QCOMPARE(plan().decision(AdjustmentKind::SewnWaist)->seen_on, std::string{"2026-11-14"});
        TryOn t;
        t.date = "2026-11-14";
        QVERIFY(book->add_try_on(wearer, 1, "toile 1", "{2}", t));
        // Rows that were deleted before there were these columns come back with all of them.
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty());
        while (*book->redo()) {
        }
        QCOMPARE(plan().decision(AdjustmentKind::SewnWaist)->seen_on, std::string{"2026-11-14"});
        QCOMPARE(book->try_ons(wearer, 1).size(), std::size_t{1});
    }
    // That there was nothing to see was a word among the moments; undo kept it there too. N-01, N-03, N-09
    void a_notebook_of_the_eleventh_version_takes_what_was_said_of_its_try_ons()
    {
        const QString path = fixture(11);
        auto opened = Notebook::open(path);
        QVERIFY(opened.has_value());
        const auto& book = *opened;
        const auto wearer = *book->table().wearer;
        const auto tried = [&] { return book->try_ons(wearer, 1); };
        const std::vector standing_and_sitting{Moment::Standing, Moment::Sitting};
        QCOMPARE(tried().size(), std::size_t{1});
        QVERIFY(tried()[0].entry.nothing_to_see && tried()[0].entry.moments == standing_and_sitting);
        QCOMPARE(book->versions(wearer, 1)[1].passed_on, "2026-11-15");
        QVERIFY(book->versions(wearer, 1)[1].passed_over.isEmpty());
        QVERIFY(*book->redo());  // it was walked in
        QVERIFY(tried()[0].entry.nothing_to_see && tried()[0].entry.moments == std::vector{Moment::Walking});
        QVERIFY(*book->undo());
        QVERIFY(*book->undo());  // one forgotten comes back
        QCOMPARE(tried().size(), std::size_t{2});
        QVERIFY(tried()[1].entry.nothing_to_see);
        QVERIFY(*book->undo());
        QVERIFY(*book->undo());
        QCOMPARE(book->versions(wearer, 1)[0].passed_on, "");
        QVERIFY(*book->undo());  // that there was nothing to see
        QVERIFY(!tried()[0].entry.nothing_to_see && tried()[0].entry.moments == standing_and_sitting);
        QVERIFY(*book->undo());
        QVERIFY(!tried()[0].entry.nothing_to_see && tried()[0].entry.notes.size() == 1);
        while (*book->undo()) {
        }
        QVERIFY(book->wearers().empty());
        while (*book->redo()) {
        }
        QVERIFY(tried()[0].entry.nothing_to_see && tried()[0].entry.moments == std::vector{Moment::Walking});
    }
    // What an older program deleted is brought back whole, though its tables have grown since.
    void what_was_deleted_by_an_older_version_is_undone()
    {
        const QString path = fixture(8, "-deleted");
        {
            QSqlDatabase db = QSqlDatabase::addDatabase("QSQLITE", "by hand");
            db.setDatabaseName(path);
            QVERIFY(db.open());
            // As its own triggers would have kept it.
            for (const char* sql :
                 {"DELETE FROM undo_value WHERE change IN (SELECT id FROM undo_change WHERE act IN (SELECT id "
                  "FROM act "
                  "WHERE side = 'redo'))",
                  "DELETE FROM undo_change WHERE act IN (SELECT id FROM act WHERE side = 'redo')",
                  "DELETE FROM act WHERE side = 'redo'",
                  "INSERT INTO act (id, name, side) VALUES (9001, 'taken away', 'undo')",
                  "INSERT INTO undo_change (id, act, tab, op, row) VALUES (90001, 9001, 'decision', 'delete', "
                  "777)",
                  "INSERT INTO undo_value VALUES (90001, 'id', 777), (90001, 'plan_id', 1), (90001, 'adjustment', "
                  "'round_back'), (90001, 'subject', ''), (90001, 'answer', 'declined'), (90001, 'method', '')"}) {
                QSqlQuery q{db};
                QVERIFY2(q.exec(sql), qPrintable(q.lastError().text()));
            }
        }
        QSqlDatabase::removeDatabase("by hand");
        auto book = *Notebook::open(path);
        const auto undone = book->undo();
        QVERIFY(undone && *undone);
        const auto plan = book->plan(*book->table().wearer, PlanFor::pattern(1));
        QVERIFY(plan.decision(AdjustmentKind::RoundBack));
    }
    // What cannot be is named and left out; the rest is read. N-13
    void what_a_garment_is_made_of_is_checked_when_it_is_read()
    {
        const QString path = fixture(7, "-checked");
        {
            auto book = *Notebook::open(path);
            Plan p = book->plan(1, PlanFor::pattern(1));
            p.make_up.left_out = {"pocket"};
            QVERIFY(book->save_plan(1, PlanFor::pattern(1), p, "pieces"));
        }
        {
            QSqlDatabase db = QSqlDatabase::addDatabase("QSQLITE", "by hand");
            db.setDatabaseName(path);
            QVERIFY(db.open());
            for (const char* sql :
                 {"INSERT INTO made_facing (plan_id, under, width_mm) VALUES (1, 'front:nose', 50)",
                  "INSERT INTO made_facing (plan_id, under, width_mm) VALUES (1, 'front:neck', 'wide')",
                  "INSERT INTO brought_piece (plan_id, pattern, size, drawing, sewn_to, ratio) VALUES (1, 'A', "
                  "'M', '', "
                  "'front:hem back:neck', 1)",
                  "INSERT INTO brought_piece (plan_id, pattern, size, drawing, sewn_to, ratio) VALUES (1, 'A', "
                  "'M', '', "
                  "'front:hem', 900)",
                  "INSERT INTO moved_opening (plan_id, centre, length_mm, overlap_mm, button_gap_mm) VALUES (1, "
                  "'sleeve', 50, 0, 0)",
                  "INSERT INTO moved_opening (plan_id, centre, length_mm, overlap_mm, button_gap_mm) VALUES (1, "
                  "'front', "
                  "50, 0, 0.001)"}) {
                QSqlQuery q{db};
                QVERIFY2(q.exec(sql), sql);
            }
        }
        QSqlDatabase::removeDatabase("by hand");
        auto book = *Notebook::open(path);
        const auto made = book->plan(1, PlanFor::pattern(1)).make_up;
        QVERIFY(made.left_out == std::vector<std::string>{"pocket"});
        QVERIFY(made.facings.empty() && made.brought.empty() && !made.opening);
        QCOMPARE(book->unreadable().size(), std::size_t{6});
    }
};
SARTORUM_TEST(TestOldNotebooks)

}  // namespace test_old_notebooks

#include "test_old_notebooks.moc"
