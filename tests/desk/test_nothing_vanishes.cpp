// In the window nothing asked for is dropped without a word, and a gesture is one act.
#include <QMessageBox>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSqlDatabase>
#include <QSqlQuery>
#include <random>
#include <stdexcept>

#include "desk/chart/place_among.h"
#include "desk/plan/beside/not_done_view.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "desk/shell/application.h"
#include "desk/shell/notice.h"
#include "formats/text_file.h"
#include "near.h"
#include "notebook/copies.h"
#include "tests.h"

namespace test_nothing_vanishes {

using namespace sartorum;
using namespace sartorum::test;

namespace {

int acts_of(const QString& path)
{
    int n = 0;
    {
        auto db = QSqlDatabase::addDatabase("QSQLITE", "count");
        db.setDatabaseName(path);
        if (!db.open()) qFatal("not open");
        QSqlQuery q{db};
        if (q.exec("SELECT max(id) FROM act") && q.next()) n = q.value(0).toInt();
    }
    QSqlDatabase::removeDatabase("count");
    return n;
}

void wait_for_pages(const Desk& d)
{
    auto* print = d.window->findChild<PrintStation*>();
    QTRY_VERIFY(!print->laying_out() && !print->working());
}

QStringList said_of(const Notice& n)
{
    return {n.text()};
}

}  // namespace

class TestNothingVanishes : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_) + ".sartorum"); }

private slots:
    void what_could_not_be_done_stands_at_the_head_of_the_plan_with_a_way_out()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        auto* head = d.window->findChild<NotDoneView*>();
        QVERIFY(!head->isVisible());
        d.room->decide({AdjustmentKind::SwayBack, Answer::Accepted, Length::mm(-12), {}, 0});
        d.room->decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(12)});
        QVERIFY(head->isVisible());
        QVERIFY(head->accessibleDescription().contains("NOT DONE: Sway-back. Centre back is on the fold"));
        QVERIFY(head->accessibleDescription().contains("NOT DONE: Waist to hip. This garment has nothing"));
        QTest::qWait(30);
        d.click("take_out_waist_to_hip");
        QVERIFY(!head->accessibleDescription().contains("Waist to hip"));
        QVERIFY(!d.room->plan().decision(AdjustmentKind::WaistToHip));
        QTest::qWait(30);
        d.click("take_out_sway_back");
        QVERIFY(!head->isVisible());
        d.key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(head->isVisible());
    }
    void a_drag_of_the_amount_is_tried_at_once_and_written_once()
    {
        const QString path = at();
        Desk d{path, true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, AdjustmentKind::ShoulderSlope);
        d.room->decide(AdjustmentKind::ShoulderSlope, Answer::Accepted, Length::mm(-6));
        auto& map = map_of(d);
        QTest::qWait(30);
        const int acts = acts_of(path);
        const auto traced = d.room->computed()->altered_flat.of(GarmentMeasure::Armhole);
        const QPoint hold = map.mark_of(AdjustmentKind::ShoulderSlope)->toPoint();
        QTest::mousePress(&map, Qt::LeftButton, {}, hold);
        for (int i = 1; i <= 6; ++i) QTest::mouseMove(&map, hold - QPoint{0, i});
        QVERIFY(d.room->trying());
        // Upwards is squarer, by half millimetres.
        const Length dragged = d.line(AdjustmentKind::ShoulderSlope).amount;
        QVERIFY(dragged > Length::mm(-6) && dragged < Length::mm(12));
        QVERIFY(near(std::remainder(dragged.in_mm(), 0.5), 0, 1e-9));
        QVERIFY(d.room->computed()->altered_flat.of(GarmentMeasure::Armhole) != traced);
        QCOMPARE(acts_of(path), acts);  // nothing is written while the hand drags
        QTest::mouseRelease(&map, Qt::LeftButton, {}, hold - QPoint{0, 6});
        QVERIFY(!d.room->trying());
        QCOMPARE(acts_of(path), acts + 1);
        d.key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(is_near(d.line(AdjustmentKind::ShoulderSlope).amount, Length::mm(-6), Length::mm(1e-9)));
    }
    void a_key_held_down_is_one_act()
    {
        const QString path = at();
        Desk d{path, true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, AdjustmentKind::ShoulderLength);
        d.room->decide(AdjustmentKind::ShoulderLength, Answer::Accepted, Length::mm(8));
        const int acts = acts_of(path);
        auto* plan = d.window->findChild<PlanStation*>();
        plan->setFocus();
        for (int i = 0; i < 5; ++i) {
            QKeyEvent press{QEvent::KeyPress, Qt::Key_Plus, {}, "+", i > 0};
            QCoreApplication::sendEvent(plan, &press);
        }
        QCOMPARE(acts_of(path), acts);
        QVERIFY(is_near(d.line(AdjustmentKind::ShoulderLength).amount, Length::mm(13), Length::mm(1e-9)));
        QKeyEvent release{QEvent::KeyRelease, Qt::Key_Plus, {}, "+", false};
        QCoreApplication::sendEvent(plan, &release);
        QCOMPARE(acts_of(path), acts + 1);
    }
    void all_that_is_proposed_is_accepted_in_one_act()
    {
        const QString path = at();
        Desk d{path, true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        const int acts = acts_of(path);
        const auto before = d.room->computed()->lines;
        d.click("accept_all");
        QCOMPARE(acts_of(path), acts + 1);
        int taken = 0;
        for (const auto& l : before) {
            const PlanLine& is = d.line(l.kind);
            const bool asked = l.state == LineState::Proposed;
            // With the amount that stood there, or it waits.
            if (asked && is.state == LineState::Accepted) QVERIFY(is_near(is.amount, l.amount, Length::mm(0.5)));
            if (!asked && is.state == LineState::Accepted) QVERIFY(l.state == LineState::Accepted || is.by_itself);
            taken += asked && is.state == LineState::Accepted;
        }
        QVERIFY(taken > 2);
        d.key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(d.room->plan().decisions.empty());
    }
    void a_station_that_is_not_seen_is_not_brought_up_to_date_until_it_is()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Print);
        wait_for_pages(d);
        const auto* count = d.find<QAbstractButton>("save_pages");
        const QString before = count->text();
        d.window->go_to(Station::Plan);
        d.room->decide(AdjustmentKind::BodiceLength, Answer::Accepted, Length::mm(45));
        QVERIFY(!d.window->findChild<PrintStation*>()->laying_out());
        QCOMPARE(count->text(), before);
        d.window->go_to(Station::Print);
        QVERIFY(d.window->findChild<PrintStation*>()->laying_out());
        wait_for_pages(d);
    }
    void the_second_window_says_so_and_only_looks_until_the_first_closes()
    {
        const QString path = at();
        auto first = std::make_unique<Desk>(path, true);
        Desk second{path, false};
        QVERIFY(said_of(second.window->notice())[0].contains("only looks"));
        const auto decisions = second.room->plan().decisions.size();
        second.room->decide(AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(9));
        QCOMPARE(second.room->plan().decisions.size(), decisions);  // a refused act leaves nothing in memory
        QVERIFY(second.find("foot")->accessibleName().contains("Another window writes"));
        second.room->try_out({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(9)});
        QVERIFY(!second.room->trying());
        second.room->undo();
        QVERIFY(second.find("foot")->accessibleName().contains("Another window writes"));
        first->room->add_wearer("Someone new");
        second.room->look_round();
        QCOMPARE(second.room->wearer_name(), QString{"Someone new"});
        first.reset();
        second.room->look_round();
        QVERIFY(!second.window->notice().isVisible());
        second.room->add_wearer("Somebody else");
        QCOMPARE(second.room->wearer_name(), QString{"Somebody else"});
    }
    // Said above the work within a second, nothing is called kept, and it can be kept elsewhere.
    void a_notebook_taken_away_while_it_is_open_is_said_and_kept_elsewhere()
    {
        const QString path = at();
        Desk d{path, true};
        d.room->add_wearer("Kept before");
        QVERIFY(QFile::remove(path));
        QTRY_VERIFY_WITH_TIMEOUT(d.window->notice().text().contains("taken away"), 3000);
        QCOMPARE(d.room->kept_at(), QString{"Not kept"});
        d.room->add_wearer("Not kept");
        QCOMPARE(d.room->wearer_name(), QString{"Kept before"});
        QCOMPARE(d.room->kept_at(), QString{"Not kept"});
        QVERIFY(!QFile::exists(path));
        const QString there = path + "-2";
        QSignalSpy wanted{d.window.get(), &Window::elsewhere_wanted};
        d.window->keep_elsewhere(there);
        QCOMPARE(wanted.size(), 1);
        QCOMPARE(wanted[0][0].toString(), there);
        const auto kept = notebook::Notebook::open(there);
        QVERIFY(kept.has_value());
        QCOMPARE((*kept)->wearers().back().name, QString{"Kept before"});
        // What is there already is never written over.
        d.window->keep_elsewhere(there);
        QCOMPARE(wanted.size(), 1);
    }
    void undo_with_nothing_to_take_back_says_why()
    {
        Desk d{at(), false};
        d.room->undo();
        QVERIFY(d.find("foot")->accessibleName().contains("nothing more to take back"));
        // It stays over the next change, until it was read.
        d.room->add_wearer("Somebody");
        QVERIFY(d.find("foot")->accessibleName().contains("nothing more to take back"));
        d.click("foot_read");
        QVERIFY(d.find("foot")->accessibleName().startsWith("Kept"));
        QCOMPARE(d.find("foot")->height(), 30);
    }
    void values_left_out_are_told_and_the_day_s_copy_is_kept()
    {
        const QString path = at();
        {
            Desk d{path, true};
        }
        {
            auto db = QSqlDatabase::addDatabase("QSQLITE", "break");
            db.setDatabaseName(path);
            QVERIFY(db.open());
            QVERIFY(QSqlQuery{db}.exec("UPDATE reading SET value_mm = 1e308 WHERE measure = 'waist'"));
            QVERIFY(QSqlQuery{db}.exec("UPDATE chart SET allowance_mm = 'wide'"));
            QVERIFY(QSqlQuery{db}.exec("DELETE FROM chart_value"));
        }
        QSqlDatabase::removeDatabase("break");
        Desk d{path, false};
        QVERIFY(d.window->notice().text().contains("waist, measured 2026-"));
        QVERIFY(!d.window->report().text().contains("1e+308"));
        for (const auto s : {Station::Chart, Station::Plan, Station::Paper, Station::Print, Station::Tape}) {
            d.window->go_to(s);
            QTest::qWait(10);
        }
        QSignalSpy cared{d.window.get(), &Window::looked_after};
        d.window->look_after_the_notebook();
        QVERIFY(cared.wait(10'000));
        QCOMPARE(notebook::daily_copies(path, QDate::currentDate().addDays(1)).size(), std::size_t{1});
        d.click("notice_close");
        QVERIFY(!d.window->notice().isVisible());
    }
    void a_pattern_is_worked_out_before_it_is_kept()
    {
        Desk d{at(), true};
        const auto before = d.room->book().patterns().size();
        const QDir hostile{QString{SARTORUM_SOURCE_DIR} + "/tests/hostile"};
        const auto read_well = QStringList{"allowance-with-comma.svg", "skew-ignored.svg", "no-seams.svg"};
        std::size_t taken = 0;
        for (const auto& file : hostile.entryList({"*.svg"})) {
            d.window->open_pattern(hostile.filePath(file));
            const bool kept = d.room->book().patterns().size() > before + taken;
            QVERIFY2(kept == read_well.contains(file), qPrintable(file));
            taken += kept;
            for (const auto s : {Station::Chart, Station::Plan, Station::Paper}) {
                d.window->go_to(s);
                QTest::qWait(2);
            }
        }
        QCOMPARE(taken, std::size_t{3});
        d.window->import_chart(hostile.filePath("chart-latin1.csv"));
        QVERIFY(d.find("foot")->accessibleName().contains("UTF-8"));
        bool named = false;
        in_dialog([&](QWidget* w) {
            for (auto* l : w->findChildren<QLabel*>()) named = named || l->text().contains("2 cm - 5");
        });
        d.window->import_chart(hostile.filePath("chart-range-units.csv"));
        QVERIFY(named);
    }
    void a_file_that_is_there_is_replaced_only_when_the_answer_is_yes()
    {
        Desk d{at(), true};
        d.window->go_to(Station::Print);
        wait_for_pages(d);
        d.find<QLineEdit>("print_folder")->setText(dir_.path());
        d.click("save_svg");
        const QString file = dir_.filePath("Ottilie-Lockside-skirt.svg");
        QVERIFY(QFile::exists(file));
        QVERIFY(formats::write_file(file, "mine", formats::IfThere::Replace).has_value());
        in_dialog([](QWidget* w) {
            w->findChild<QMessageBox*>() ? void() : qobject_cast<QMessageBox*>(w)->buttons().last()->click();
        });
        d.click("save_svg");
        QCOMPARE(*formats::read_file(file), std::string{"mine"});
        in_dialog([](QWidget* w) {
            for (auto* b : qobject_cast<QMessageBox*>(w)->buttons()) {
                if (b->text() == "Replace it") b->click();
            }
        });
        d.click("save_svg");
        QVERIFY(formats::read_file(file)->starts_with("<?xml"));
    }
    void laying_a_pattern_keeps_the_size_that_was_chosen_by_its_chart()
    {
        Desk d{at(), true};
        const auto t = d.room->table();
        d.room->put_pattern_away();
        d.room->choose_sizes(2, 3);
        const auto size = d.room->plan().size_at(Level::Hip);
        d.room->choose_pattern(*t.pattern);
        QVERIFY(d.room->sizes_chosen());
        QCOMPARE(d.room->plan().size_at(Level::Hip), size);
    }
    void a_bar_never_points_the_other_way_than_its_number()
    {
        std::mt19937 rng{4};
        for (int i = 0; i < 3000; ++i) {
            std::vector<Length> printed{Length::mm(400)};
            const std::size_t n = 2 + rng() % 9;
            while (printed.size() < n) printed.push_back(printed.back() + Length::mm(int(rng() % 4) * 10 - 10));
            const std::size_t chosen = rng() % n;
            const Length value = Length::mm(360 + int(rng() % 110));
            const double off = place_among(printed, value, chosen) - double(chosen);
            const Length number = value - printed[chosen];
            QVERIFY(number == Length{} ? off == 0 : (off > 0) == (number > Length{}) || (off == 0 && false));
        }
        // Between two sizes that print it, half-way is half-way; equal neighbours are passed.
        const std::vector<Length> plain{Length::mm(600), Length::mm(640), Length::mm(640), Length::mm(700)};
        QCOMPARE(place_among(plain, Length::mm(620), 0), 0.5);
        QVERIFY(place_among(plain, Length::mm(670), 1) > 2);
        QVERIFY(place_among(plain, Length::mm(620), 2) < 1);
        QVERIFY(place_among(plain, Length::mm(900), 3) > 3);
    }
    void the_window_fits_the_screen_it_opens_on()
    {
        Look look;
        Window w{look};
        for (const auto& room : {QRect{0, 0, 1024, 768}, QRect{0, 28, 1280, 772}, QRect{0, 0, 3840, 2100}}) {
            Window one{look};
            one.fit(room);
            const QSize frame{8, 40};
            QVERIFY(one.width() + frame.width() <= room.width() && one.height() + frame.height() <= room.height());
            QVERIFY(one.width() <= 1280 && one.height() <= 800);
        }
        Window large{look};
        large.fit({0, 0, 3840, 2100});
        QCOMPARE(large.size(), QSize(1280, 800));
    }
    void what_a_library_throws_ends_in_a_sentence()
    {
        struct Throws : QObject {
            bool event(QEvent*) override { throw std::out_of_range{"a library's own words"}; }
        } throws;
        auto* app = qobject_cast<desk::Application*>(QCoreApplication::instance());
        QVERIFY(app);
        Desk d{at(), true};
        connect(app, &desk::Application::failed, d.window.get(),
                [&](const QString& said) { d.window->tell(said, said); });
        QCoreApplication::postEvent(&throws, new QEvent{QEvent::User});
        QCoreApplication::sendPostedEvents();
        QVERIFY(d.find("foot")->accessibleName().contains("could not be worked out"));
        QVERIFY(!d.find("foot")->accessibleName().contains("own words"));
        d.window->go_to(Station::Chart);
        QVERIFY(d.window->report().text().contains("could not be worked out"));
    }
    void the_report_holds_versions_and_refusals_and_nothing_of_a_body()
    {
        Desk d{at(), true};
        d.window->tell_file("Ottilie Muster 84 skirt.svg", {Why::FileBroken, "Ottilie", {}, {}, {}, 84});
        d.window->tell_file("Ottilie.csv", {Why::ChartSizeTwice, "Ottilie 84½", {}, {}, {}, 84});
        d.window->tell_file(
            {}, {Why::OutOfRange, "waist of Ottilie", Length::mm(99990), Length::mm(840), Length::mm(9999), 84});
        // Every reason there is, with names and numbers in all its places.
        for (int why = 0; why <= static_cast<int>(Why::Stopped); ++why) {
            const Refusal r{static_cast<Why>(why), "Ottilie",       Length::mm(84),
                            Length::mm(8484),      Length::mm(848), 84};
            const QString said = plain(r);
            QVERIFY2(!said.contains("Ottilie") && !said.contains("84"), qPrintable(said));
        }
        in_dialog([](QWidget* guide) {
            in_dialog([](QWidget* w) {
                const auto text = w->findChild<QPlainTextEdit*>("report_text")->toPlainText();
                QVERIFY(text.contains("Sartorum") && text.contains("Notebook version 12"));
                QVERIFY(text.contains(plain(Refusal{Why::FileBroken, {}, {}, {}, {}, 0})));
                for (const char* own : {"84", "9999", "Ottilie", "ottilie", "½"})
                    QVERIFY2(!text.contains(QLatin1String{own}), own);
            });
            QTest::mouseClick(guide->findChild<QWidget*>("guide_report"), Qt::LeftButton);
        });
        d.key(Qt::Key_F1);
    }
};
SARTORUM_TEST(TestNothingVanishes)

}  // namespace test_nothing_vanishes

#include "test_nothing_vanishes.moc"
