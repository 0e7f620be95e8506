// The whole job in the real window: by mouse, again by keyboard alone, and from an empty notebook.
#include "desk_fixture.h"
#include "tissue_hands.h"

#include <QTableWidget>

#include "desk/dialogs/dialogs.h"
#include "desk/print/print_station.h"
#include "tests.h"

namespace test_journey {

using namespace sartorum;
using namespace sartorum::test;

class TestJourney : public QObject {
    Q_OBJECT
private slots:
    void initTestCase()
    {
        QApplication::setStyle("Fusion");
        load_fonts();
    }

    void by_mouse_from_readings_to_a_printed_page_and_back_after_reopening()
    {
        QTemporaryDir dir;
        const QString path = dir.filePath("n.sartorum");
        {
            Desk d{path, true};
            // A third reading is asked for when two disagree.
            auto* second = d.find<QLineEdit>("reading2");
            QTest::mouseClick(second, Qt::LeftButton);
            second->selectAll();
            d.type("33 1/2 in");
            QCOMPARE(d.window->findChildren<QLineEdit*>("reading3").first()->isVisible(), false);
            second->selectAll();
            d.type("86,1 cm");
            d.key(Qt::Key_Return);
            QVERIFY(d.find<QLineEdit>("reading3"));
            QTRY_COMPARE(QApplication::focusWidget()->objectName(), "reading3");
            d.type("84.8");
            d.key(Qt::Key_Return);
            QCOMPARE(d.room->body().taken(Measure::Waist)->value.in_mm(), 848.0);

            d.click("station_2");
            d.click("take_to_plan");
            QVERIFY(d.room->sizes_chosen());
            QCOMPARE(d.window->current(), Station::Plan);
            d.accept_all();
            QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
            QVERIFY(d.line(AdjustmentKind::FinishedLength).state == LineState::Accepted);
            QVERIFY(d.line(AdjustmentKind::WidthAtWaist).state == LineState::LeaveIt);
            d.click("tag_width_at_hip");
            d.click("accept_width_at_hip");  // leave it after all
            QVERIFY(d.line(AdjustmentKind::WidthAtHip).state == LineState::Declined);
            d.click("to_paper");
            QCOMPARE(d.window->current(), Station::Paper);
            QCOMPARE(d.room->step(), 0);
            for (int i = 0; i < 9; ++i) d.click("done_on_paper");
            QCOMPARE(d.room->step(), 9);
            d.click("step_back");
            QCOMPARE(d.room->step(), 8);
            QVERIFY(d.room->computed()->checks.all_hold());

            d.click("station_6");
            auto* folder = d.find<QLineEdit>("print_folder");
            folder->setText(dir.path());
            QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
            d.click("save_pages");
            QVERIFY(written.wait(30000));
            d.click("save_svg");
            QVERIFY(QFile::exists(dir.filePath("Ottilie-Lockside-skirt-full-size.pdf")));
            QVERIFY(QFile::exists(dir.filePath("Ottilie-Lockside-skirt.svg")));
        }
        Desk again{path, false};
        QCOMPARE(again.room->wearer_name(), "Ottilie");
        QCOMPARE(again.room->body().readings.at(Measure::Waist).size(), std::size_t{3});
        QVERIFY(again.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
        QVERIFY(again.line(AdjustmentKind::WidthAtHip).state == LineState::Declined);
        QCOMPARE(again.room->step(), 8);
        // Undo reaches back past the reopening: declined, then accepted one by one, then the size, then the
        // readings.
        again.click("undo");
        QVERIFY(again.line(AdjustmentKind::WidthAtHip).state == LineState::Accepted);
        for (int i = 0; i < 5; ++i) again.click("undo");
        QVERIFY(!again.room->sizes_chosen());
        again.click("undo");
        QCOMPARE(again.room->body().readings.at(Measure::Waist).size(), std::size_t{2});
        for (int i = 0; i < 7; ++i)
            QTest::keyClick(again.window.get(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(again.line(AdjustmentKind::WidthAtHip).state == LineState::Declined);
    }

    void by_keyboard_alone()
    {
        QTemporaryDir dir;
        const QString path = dir.filePath("k.sartorum");
        {
            Desk d{path, true};
            QCOMPARE(QApplication::focusWidget()->objectName(), "reading1");
            d.type("33 1/4 in");
            d.key(Qt::Key_Return);  // both readings are there and agree: on to the hip
            QTRY_COMPARE(d.room->body().readings.at(Measure::Waist)[0].in_mm(), Length::inches(33.25).in_mm());
            d.key(Qt::Key_2, Qt::ControlModifier);
            QCOMPARE(d.window->current(), Station::Chart);
            d.key(Qt::Key_Right);  // waist one size up
            QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"20"});
            d.key(Qt::Key_Left);
            d.key(Qt::Key_B);  // one size throughout
            QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"16"});
            d.key(Qt::Key_B);
            QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"18"});
            d.key(Qt::Key_Return);
            QCOMPARE(d.window->current(), Station::Plan);
            d.key(Qt::Key_Space);
            QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
            d.key(Qt::Key_Plus);
            QVERIFY(is_near(d.line(AdjustmentKind::WaistToHip).amount, Length::mm(21), Length::mm(0.5)));
            // Left alone, because it lies inside the noise; added by hand all the same.
            d.key(Qt::Key_Z);
            for (int i = 0; i < 9 && QApplication::focusWidget()->objectName() != "open_width_at_waist"; ++i)
                d.key(Qt::Key_Tab);
            d.key(Qt::Key_Space);
            d.key(Qt::Key_A);
            static_cast<QLineEdit*>(QApplication::focusWidget())->selectAll();
            d.type("5/8\"");
            d.key(Qt::Key_Return);
            QCOMPARE(d.line(AdjustmentKind::WidthAtWaist).amount.in_mm(), 15.875);
            QVERIFY(d.line(AdjustmentKind::WidthAtWaist).state == LineState::Accepted);
            d.key(Qt::Key_4, Qt::ControlModifier);
            QCOMPARE(d.window->current(), Station::Paper);
            for (int i = 0; i < 4; ++i) d.key(Qt::Key_Right);
            d.key(Qt::Key_Left);
            QCOMPARE(d.room->step(), 3);
            d.key(Qt::Key_F);
            d.key(Qt::Key_Z);
            d.key(Qt::Key_M);
            d.key(Qt::Key_U, Qt::ControlModifier);
            QVERIFY(d.look.unit() == Unit::Inch);
            d.key(Qt::Key_F8);
            QVERIFY(d.look.night());
            d.key(Qt::Key_6, Qt::ControlModifier);
            d.find<QLineEdit>("print_folder")->setText(dir.path());
            auto* station = d.window->findChild<PrintStation*>();
            QSignalSpy written{station, &PrintStation::written};
            for (int i = 0; i < 20 && QApplication::focusWidget()->objectName() != "save_pages"; ++i)
                d.key(Qt::Key_Tab);
            QCOMPARE(QApplication::focusWidget()->objectName(), "save_pages");
            d.key(Qt::Key_Return);
            QVERIFY(written.wait(30000));
            // F6 walks station, docket, rail.
            d.key(Qt::Key_F6);
            QCOMPARE(QApplication::focusWidget()->objectName(), "docket_wearer");
            d.key(Qt::Key_F6);
            QCOMPARE(QApplication::focusWidget()->objectName(), "station_6");
        }
        Desk again{path, false};
        QCOMPARE(again.line(AdjustmentKind::WidthAtWaist).amount.in_mm(), 15.875);
        QCOMPARE(again.room->step(), 3);
    }

    void from_an_empty_notebook_with_her_own_chart_and_pattern()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("e.sartorum"), false};
        in_dialog([](QWidget* w) {
            QTest::keyClicks(w->findChild<QLineEdit*>("wearer_name"), "Wilhelmine");
            QTest::keyClick(w->findChild<QLineEdit*>("wearer_name"), Qt::Key_Return);
        });
        d.window->new_wearer();
        d.settle();
        QCOMPARE(d.room->wearer_name(), "Wilhelmine");
        const std::pair<const char*, int> readings[] = {{"76.4", 2}, {"101", 2}, {"21.9", 2}};
        for (const auto& [text, times] : readings) {
            for (int i = 0; i < times; ++i) {
                QVERIFY(QString{QApplication::focusWidget()->objectName()}.startsWith("reading"));
                d.type(text);
                d.key(Qt::Key_Return);
            }
        }
        d.type("60");
        d.key(Qt::Key_Return);
        QCOMPARE(d.window->current(), Station::Chart);
        QVERIFY(!d.room->chart());

        in_dialog([](QWidget* w) {
            QTest::keyClicks(w->findChild<QLineEdit*>("chart_maker"), "Weir Pattern Co");
            auto* table = w->findChild<QTableWidget*>("chart_table");
            const char* cells[4][4] = {{"size", "waist", "hip", "waist to hip"},
                                       {"38", "72", "98", "20"},
                                       {"40", "76", "102", "20.2"},
                                       {"42", "80", "106", "20.4"}};
            for (int r = 0; r < 4; ++r)
                for (int c = 0; c < 4; ++c) table->setItem(r, c, new QTableWidgetItem{cells[r][c]});
            table->item(2, 1)->setText("7x6");
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
            QVERIFY(w->isVisible());  // nothing typed is lost while it is wrong
            QVERIFY(w->findChild<QLabel*>("chart_said")->text().contains("7x6"));
            table->item(2, 1)->setText("76");
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.settle();
        QVERIFY(d.room->chart().has_value());
        QCOMPARE(d.room->plan().size_at(Level::Hip), std::string{"40"});

        d.window->measure_flat(TissueKind::Skirt);
        d.type("Weir skirt");
        d.click("keep_line");
        measure_lines(d,
                      {"21.4", "1", "20.6", "32", "58", "26.7", "1.8", "9", "22.4", "26.8", "2.8", "12", "3.5"});
        d.click("draw_tissue");
        d.settle();
        QVERIFY(d.room->pattern() != nullptr);
        QVERIFY2(d.room->computed().has_value(), "a pattern of one size and its chart make the paper");
        d.window->go_to(Station::Chart);
        d.click("take_to_plan");
        d.accept_all();
        QVERIFY(is_near(d.line(AdjustmentKind::WaistToHip).amount, Length::mm(17), Length::mm(0.01)));
        QVERIFY(d.room->computed()->checks.all_hold());
        QVERIFY(
            is_near(d.room->computed()->altered_flat.of(GarmentMeasure::Side), Length::mm(600), Length::mm(0.05)));
    }

    void a_reading_that_is_not_one_stays_and_says_why()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("b.sartorum"), true};
        auto* first = d.find<QLineEdit>("reading1");
        for (const char* nonsense : {"abc", "-84", "9.88", "1,000 mm", "99999"}) {
            first->setFocus();
            first->selectAll();
            d.type(nonsense);
            d.key(Qt::Key_Return);
            QCOMPARE(first->text(), QString{nonsense});
            QVERIFY(first->property("wrong").toBool());
            QVERIFY(!first->accessibleDescription().isEmpty());
            QCOMPARE(d.room->body().readings.at(Measure::Waist)[0].in_mm(), 844.0);
        }
        d.key(Qt::Key_Down);  // away and back: what was typed is still there
        QVERIFY(d.find<QLineEdit>("reading1")->text() != "99999");
        d.key(Qt::Key_Up);
        QCOMPARE(d.find<QLineEdit>("reading1")->text(), "99999");
    }

    // A number that is typed and not yet entered: no key of the look takes it, and leaving enters it where it was
    // meant.
    void what_is_typed_and_not_yet_entered_is_kept_by_every_key()
    {
        QTemporaryDir dir;
        const QString path = dir.filePath("typed.sartorum");
        {
            Desk d{path, true};
            auto* first = d.find<QLineEdit>("reading1");
            const auto over = [&](const char* text) {
                first->setFocus();
                first->selectAll();
                d.type(text);
            };
            over("83.3");
            for (const auto& [key, with] : std::initializer_list<std::pair<Qt::Key, Qt::KeyboardModifiers>>{
                     {Qt::Key_F8, {}},
                     {Qt::Key_Plus, Qt::ControlModifier},
                     {Qt::Key_Minus, Qt::ControlModifier},
                     {Qt::Key_0, Qt::ControlModifier}}) {
                d.key(key, with);
                QCOMPARE(first->text(), QString{"83.3"});
            }
            d.key(Qt::Key_U, Qt::ControlModifier);  // the same length, in the other unit
            const auto inches = parse_length(first->text().toStdString(), Unit::Inch);
            QVERIFY2(inches && std::abs(inches->in_mm() - 833) < 0.8, qPrintable(first->text()));  // to 1/16 in
            d.key(Qt::Key_U, Qt::ControlModifier);
            QCOMPARE(d.room->body().readings.at(Measure::Waist)[0].in_mm(), 844.0);
            over("83.3");
            // The arrows are the list's, also where the keyboard is; what is left is entered, for its own measure.
            const auto hip = d.room->body().readings.at(Measure::Hip);
            d.key(Qt::Key_Down);
            QCOMPARE(d.room->body().readings.at(Measure::Waist)[0].in_mm(), 833.0);
            QVERIFY(d.room->body().readings.at(Measure::Hip) == hip);
            d.key(Qt::Key_Up);
            QCOMPARE(d.find<QLineEdit>("reading1")->text(), QString{"83.3"});
            over("83.9");
            d.window->close();
        }
        Desk again{path, false};
        QCOMPARE(again.room->body().readings.at(Measure::Waist)[0].in_mm(), 839.0);
    }
    // In a place of one pinned dart, and the other's card opened: the number is the first one's.
    void a_number_typed_for_a_place_is_that_changes_own()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("place.sartorum"), true};
        lay_pattern(d, "Windlass");
        d.window->go_to(Station::Plan);
        open_card(d, AdjustmentKind::PinnedShoulder);
        QLineEdit* place = nullptr;
        for (auto* e : d.window->findChildren<QLineEdit*>()) {
            if (e->isVisible() && e->objectName().startsWith("place_")) place = place ? place : e;
        }
        QVERIFY(place);
        place->setFocus();
        place->selectAll();
        d.type("0.7");
        open_card(d, AdjustmentKind::PinnedBustDart);
        QTest::qWait(20);  // the fields that were left are gone
        QVERIFY(!d.room->plan().decision(AdjustmentKind::PinnedBustDart));
        const auto* kept = d.room->plan().decision(AdjustmentKind::PinnedShoulder);
        QVERIFY(kept && !kept->amounts.empty());
        QCOMPARE(kept->amounts.front().by.in_mm(), 7.0);
    }

    void emptying_a_field_takes_the_reading_back_and_undo_returns_it()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("c.sartorum"), true};
        auto* second = d.find<QLineEdit>("reading2");
        second->setFocus();
        second->selectAll();
        d.key(Qt::Key_Delete);
        d.key(Qt::Key_Return);
        QCOMPARE(d.room->body().readings.at(Measure::Waist).size(), std::size_t{1});
        QVERIFY(d.room->body().taken(Measure::Waist)->state == ReadingState::OneMore);
        d.click("undo");
        QCOMPARE(d.room->body().readings.at(Measure::Waist).size(), std::size_t{2});
    }

    void files_that_cannot_be_taken_are_told_in_the_foot()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("f.sartorum"), true};
        QFile bad{dir.filePath("bad.svg")};
        QVERIFY(bad.open(QIODevice::WriteOnly) && bad.write("<svg/>") > 0);
        bad.close();
        d.window->open_pattern(bad.fileName());
        QVERIFY(d.find("foot")->accessibleName().contains("bad.svg"));
        QCOMPARE(d.room->book().patterns().size(), std::size_t{11});
        d.window->import_chart(dir.filePath("none.csv"));
        QVERIFY(d.find("foot")->accessibleName().contains("none.csv"));
        in_dialog([](QWidget* w) {
            QVERIFY(w->findChild<QLabel*>("chart_said")->text().contains("9 sizes, 8 to 24"));
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->import_chart(QString{SARTORUM_SOURCE_DIR} + "/demo/towpath-paper.csv");
        QCOMPARE(d.room->book().charts().size(), std::size_t{12});
    }

    void a_second_set_is_dated_and_leaves_the_first()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("s.sartorum"), true};
        d.room->measure_anew();
        QVERIFY(d.room->body().readings.empty());
        QCOMPARE(d.room->body().date, std::string{"2026-11-23"});
        QCOMPARE(d.room->book().sets(*d.room->table().wearer).size(), std::size_t{4});
    }

    void every_control_has_a_name_and_every_station_stands_in_both_themes_at_every_text_size()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("a.sartorum"), true};
        d.room->choose_sizes(5, 4);
        for (const bool night : {false, true}) {
            d.look.set_night(night);
            for (const double scale : {0.9, 1.0, 1.5}) {
                d.look.set_scale(scale);
                for (int i = 0; i < desk_station_count; ++i) {
                    d.window->go_to(static_cast<Station>(i));
                    QVERIFY(!d.window->grab().isNull());
                    QVERIFY(d.window->minimumSizeHint().width() <= 1400);
                }
            }
        }
        for (auto* w : d.window->findChildren<QWidget*>()) {
            const bool reachable =
                w->isVisible() && (w->focusPolicy() & Qt::TabFocus) && w->objectName() != "qt_spinbox_lineedit";
            const bool station =
                w->inherits("sartorum::desk::PlanStation") || w->inherits("sartorum::desk::PaperStation");
            if (reachable && !station)
                QVERIFY2(!w->accessibleName().isEmpty(),
                         qPrintable(QString{w->metaObject()->className()} + " " + w->objectName()));
        }
    }
};
SARTORUM_TEST(TestJourney)

}  // namespace test_journey

#include "test_journey.moc"
