// The Chart through its real window: a chart pasted, understood and put right; schools, body types, ease and flat
// measuring.
#include <QClipboard>
#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QPointer>
#include <QTableWidget>

#include "desk/chart/chart_dialog.h"
#include "desk/chart/ease_table.h"
#include "desk/desk_fixture.h"
#include "desk/tissue_hands.h"
#include "tests.h"

namespace test_chart_station {

using namespace sartorum;
using namespace sartorum::test;

namespace {

QString said(QWidget* dialog, const char* label)
{
    return dialog->findChild<QLabel*>(label)->text();
}

// The dress chart of the demo, without a pattern drawing.
void lay_dress(Desk& d)
{
    d.room->choose_chart(d.room->book().charts().front().id);
    d.room->put_pattern_away();
    d.room->wear({GarmentKind::Dress}, {}, {});
    d.window->go_to(Station::Chart);
}

}  // namespace

class TestChartStation : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void a_pasted_chart_says_what_it_understood_before_it_is_taken()
    {
        Desk d{at(), true};
        QApplication::clipboard()->setText(
            "\tXS\tS\tM\tL\nbust\t31\t33\t35\t37\nwaist\t24\t26\t28\t30\nhips\t34\t36\t38\t40\n");
        in_dialog([](QWidget* w) {
            QVERIFY(QTest::qWaitForWindowActive(w));
            QTest::keyClick(w->findChild<QTableWidget*>("chart_table"), Qt::Key_V, Qt::ControlModifier);
            const QString text = said(w, "chart_said");
            QVERIFY2(text.contains("4 sizes, XS to L, standing across") && text.contains("look like in"),
                     qPrintable(text));
            QTest::keyClicks(w->findChild<QLineEdit*>("chart_maker"), "Pasted");
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        QCOMPARE(d.room->chart()->maker, std::string{"Pasted"});
        QCOMPARE(d.room->chart()->sizes[2].body.at(Measure::Waist), Length::inches(28));
    }
    void nonsense_pasted_stays_and_says_why()
    {
        Desk d{at(), true};
        const auto charts = d.room->book().charts().size();
        for (const char* text :
             {"a\tb\n1\t2\n", "size\tbust\n10\t92\n12\t\n", "size\tbust\n10\t92\n12\t39 in\n", "\x01\x02"}) {
            QApplication::clipboard()->setText(text);
            in_dialog([](QWidget* w) {
                QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
                QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
                QVERIFY(w->isVisible());
                QVERIFY(!said(w, "chart_said").startsWith("Understood"));
            });
            d.window->type_chart();
        }
        QCOMPARE(d.room->book().charts().size(), charts);
    }
    void her_unit_wins_over_the_guess()
    {
        Desk d{at(), false};
        QApplication::clipboard()->setText("size\tbust\n2\t52\n4\t56\n");
        in_dialog([](QWidget* w) {
            QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
            QVERIFY(said(w, "chart_said").contains("look like in"));
            QTest::keyClick(w->findChild<QWidget*>("chart_unit"), Qt::Key_Right);
            QVERIFY(said(w, "chart_said").contains("In cm."));
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        QCOMPARE(d.room->chart()->sizes[0].body.at(Measure::Bust).in_cm(), 52.0);
    }
    void a_chart_is_put_right_in_place_and_undone()
    {
        Desk d{at(), true};
        const auto charts = d.room->book().charts().size();
        in_dialog([](QWidget* w) {
            auto* table = w->findChild<QTableWidget*>("chart_table");
            for (int r = 0; r < table->rowCount(); ++r) {
                if (table->item(r, 0) && table->item(r, 0)->text() == "16") table->item(r, 2)->setText("106");
            }
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->correct_chart();
        QCOMPARE(d.room->chart()->sizes[4].body.at(Measure::Hip).in_mm(), 1060.0);
        QCOMPARE(d.room->book().charts().size(), charts);
        d.room->undo();
        QCOMPARE(d.room->chart()->sizes[4].body.at(Measure::Hip).in_mm(), 1050.0);
    }
    void a_dress_is_chosen_by_high_bust_or_by_full_bust()
    {
        Desk d{at(), true};
        lay_dress(d);
        QCOMPARE(d.room->advice()->school.school, School::HighBust);
        QCOMPARE(d.room->plan().size_at(Level::Bust), std::string{"16"});
        QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"18"});
        QCOMPARE(d.room->plan().size_at(Level::Hip), std::string{"16"});
        QTest::keyClick(d.find("school"), Qt::Key_Right);
        QTRY_COMPARE(d.room->advice()->school.school, School::FullBust);
        QCOMPARE(d.room->plan().size_at(Level::Bust), std::string{"18"});
        d.room->undo();
        QCOMPARE(d.room->plan().size_at(Level::Bust), std::string{"16"});
    }
    void sizes_are_moved_by_keys_level_by_level()
    {
        Desk d{at(), true};
        lay_dress(d);
        auto* strips = d.window->findChild<QWidget*>("strips");
        strips->setFocus();
        for (int i = 0; i < 12; ++i) d.key(Qt::Key_Up);
        d.key(Qt::Key_Right);  // the frame
        QCOMPARE(d.room->plan().size_at(Level::Bust), std::string{"18"});
        QVERIFY(d.room->sizes_chosen());
        d.key(Qt::Key_Down);
        d.key(Qt::Key_Down);  // bust, then waist
        d.key(Qt::Key_Left);
        QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"16"});
        d.key(Qt::Key_B);  // one size by the anchor
        QCOMPARE(d.room->plan().size_at(Level::Hip), d.room->plan().size_at(Level::Bust));
        d.click("advised_size");
        QCOMPARE(d.room->plan().size_at(Level::Waist), std::string{"18"});
    }
    void her_own_ease_and_cloth_change_what_is_planned()
    {
        Desk d{at(), true};
        lay_dress(d);
        const auto bust = [&] {
            for (const auto& r : ease_rows(*d.room))
                if (r.measure == Measure::Bust) return r;
            return EaseRow{};
        };
        QCOMPARE(bust().planned.in_mm(), 100.0);
        QCOMPARE(bust().least.in_mm(), 50.0);
        in_dialog([](QWidget* w) {
            QVERIFY(!said(w, "wear_said").contains("stretch"));
            w->findChild<QComboBox*>("wear_cloth")->setCurrentIndex(1);
            QVERIFY(said(w, "wear_said").contains("How far does the knit stretch?"));
            w->findChild<QLineEdit*>("wear_stretch")->setText("lots");
            w->findChild<QLineEdit*>("ease_bust")->setText("-2");
            QTest::mouseClick(w->findChild<QWidget*>("keep_wear"), Qt::LeftButton);
            QVERIFY(w->isVisible());
            w->findChild<QLineEdit*>("wear_stretch")->setText("30 %");
            QTest::mouseClick(w->findChild<QWidget*>("keep_wear"), Qt::LeftButton);
        });
        d.click("wear");
        QCOMPARE(bust().planned.in_mm(), -20.0);
        QVERIFY(bust().wished);
        QVERIFY(bust().least < Length{});
        QVERIFY(bust().holds({}));
        QVERIFY(d.room->plan().choosing.knit);
    }
    void ease_below_the_least_is_said()
    {
        Desk d{at(), true};
        d.window->go_to(Station::Chart);
        auto plan = d.room->plan();
        d.room->wear(plan.choosing, {}, {{Measure::Waist, Length::mm(5)}});
        d.room->choose(d.room->advice()->choice);
        d.room->decide(AdjustmentKind::WidthAtWaist, Answer::Accepted, {});
        QVERIFY(d.line(AdjustmentKind::WidthAtWaist).proposal->against == Against::EaseWish);
        QVERIFY(is_near(d.room->computed()->altered_flat.of(GarmentMeasure::Waist), Length::mm(846.5 + 5),
                        Length::mm(0.6)));
        bool warned = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            warned = warned || (l->isVisible() && l->text().contains("one moves in"));
        QVERIFY(warned);
    }
    void pieces_are_measured_flat_where_nothing_finished_is_printed()
    {
        Desk d{at(), true};
        QApplication::clipboard()->setText("size\tbust\twaist\thip\n16\t97\t79\t105\n18\t102\t84\t110\n");
        in_dialog([](QWidget* w) {
            QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.room->put_pattern_away();
        d.room->wear({GarmentKind::Dress}, {}, {});
        d.window->go_to(Station::Chart);
        QVERIFY(ease_rows(*d.room).empty());
        d.room->choose(d.room->advice()->choice);
        // Of a dress all of it can be measured; one girth of it too.
        d.click("measure_flat");
        d.settle();
        QCOMPARE(d.window->current(), Station::Tape);
        QVERIFY(d.room->tissue()->kind == TissueKind::Dress);
        d.window->measure_flat(TissueKind::Girth);
        d.settle();
        // Of the first girth that has a body and no garment; in the size chosen for it, whatever was looked at
        // before.
        QCOMPARE(d.find<QComboBox>("tissue_girth_at")->currentText(), "Bust");
        QCOMPARE(d.room->tissue()->size, std::string{"16"});
        note(d, "tissue_girth_at", 1);
        QCOMPARE(d.room->tissue()->size, std::string{"18"});
        note(d, "tissue_girth_at", 0);
        QCOMPARE(d.room->tissue()->size, std::string{"16"});
        d.click("keep_line");
        measure_lines(d, {"28"});
        d.type("30");
        d.key(Qt::Key_Return);  // darts take more than there is
        QVERIFY(d.find<QLineEdit>("tissue_value")->property("wrong").toBool());
        QCOMPARE(*face_of(d).current(), TissueLine::GirthFrontDarts);
        d.find<QLineEdit>("tissue_value")->selectAll();
        measure_lines(d, {"1.5", "27", "x", "x"});
        QVERIFY(d.find<PaperSays>("paper_says")->rows()[0].contains("107.0 cm"));
        QVERIFY(d.find<PaperSays>("paper_says")->rows()[0].contains("ease +10.0"));
        d.click("put_on_chart");
        QCOMPARE(d.room->chart()->finished(0, Measure::Bust)->in_cm(), 107.0);
        QCOMPARE(d.room->chart()->finished(1, Measure::Bust)->in_cm(), 112.0);  // the same ease
        QVERIFY(!ease_rows(*d.room).empty());
        d.window->go_to(Station::Chart);
        QVERIFY(said(d.window.get(), "ease_note").contains("Size 16 laid flat: bust 107.0 (ease +10.0)"));
    }
    void a_chart_of_finished_measures_says_what_it_does_not_know()
    {
        Desk d{at(), true};
        QApplication::clipboard()->setText(
            "size\tfinished waist\tfinished hip\n16\t82.5\t111\n18\t87.5\t116\n20\t92.5\t121\n");
        in_dialog([](QWidget* w) {
            QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.room->put_pattern_away();
        d.window->go_to(Station::Chart);
        QVERIFY(d.room->chart() && d.room->chart()->bodies_assumed);
        // Ottilie's 846 and 2.5 cm are 871 of 875; her 1,062 and 4 cm are 1,102 of 1,110.
        const auto choice = d.room->advice()->choice;
        QCOMPARE(d.room->chart()->sizes[choice.waist_size].name, std::string{"18"});
        QCOMPARE(d.room->chart()->sizes[choice.hip_size].name, std::string{"16"});
        bool told = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            told = told || (l->isVisible() && l->text().contains("what ease was designed is not known"));
        QVERIFY(told);
        // What was printed stays what was printed.
        QVERIFY(d.room->printed_chart()->sizes[0].body.empty());
    }
    void body_types_of_one_chart_are_chosen_between()
    {
        Desk d{at(), true};
        QApplication::clipboard()->setText(
            "size\tcup\tbust\twaist\thip\n16\tB\t97\t79\t105\n18\tB\t102\t84\t110\n16\tD\t102\t79\t105\n18\tD\t107"
            "\t84\t110\n");
        in_dialog([](QWidget* w) {
            QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
            QVERIFY(said(w, "chart_said").contains("Body types: B, D"));
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.room->put_pattern_away();
        d.room->wear({GarmentKind::Dress}, {}, {});
        d.window->go_to(Station::Chart);
        QCOMPARE(d.room->chart()->sizes[0].group, std::string{"B"});
        QTest::keyClick(d.find("chart_group"), Qt::Key_Right);
        QTRY_COMPARE(d.room->chart()->sizes[0].group, std::string{"D"});
        QCOMPARE(drafted_difference(*d.room->chart())->in_inches(), 4.0);
    }
    void every_size_is_listed_with_what_it_leaves()
    {
        Desk d{at(), true};
        lay_dress(d);
        in_dialog([](QWidget* w) {
            auto* table = w->findChild<QTableWidget*>("sizes_table");
            QCOMPARE(table->rowCount(), 8);                     // seven sizes and the advised blend
            QCOMPARE(table->item(0, 0)->text(), "16, 18, 16");  // the least to do
            QCOMPARE(table->item(1, 0)->text(), "16");
            int bust = 0;
            for (int c = 0; c < table->columnCount(); ++c) {
                if (table->horizontalHeaderItem(c)->text() == "Bust") bust = c;
            }
            QCOMPARE(table->item(0, bust)->text(), "+2.6");
        });
        d.click("every_size");
    }
    void what_is_kept_of_a_chart_alone_is_there_after_reopening()
    {
        const QString path = at();
        {
            Desk d{path, true};
            lay_dress(d);
            d.click("take_to_plan");  // keeps the size: there is no drawing to plan on
            QCOMPARE(d.window->current(), Station::Chart);
            QVERIFY(d.room->sizes_chosen());
        }
        Desk again{path, false};
        QVERIFY(!again.room->pattern());
        QVERIFY(again.room->sizes_chosen());
        QCOMPARE(again.room->plan().size_at(Level::Waist), std::string{"18"});
        QCOMPARE(again.room->plan().choosing.kind, GarmentKind::Dress);
    }
    void four_and_twenty_sizes_stand_at_every_text_size()
    {
        Desk d{at(), true};
        for (const int n : {4, 20}) {
            QString csv = "size\tbust\twaist\thip\n";
            for (int i = 0; i < n; ++i)
                csv += QString{"%1\t%2\t%3\t%4\n"}.arg(30 + 2 * i).arg(78 + 3 * i).arg(60 + 3 * i).arg(84 + 3 * i);
            const auto lines = formats::chart_lines(csv.toStdString());
            QVERIFY(d.room->take_chart(formats::read_chart(*lines)->chart));
            d.room->put_pattern_away();
            d.room->wear({GarmentKind::Dress}, {}, {});
            d.window->go_to(Station::Chart);
            for (const double scale : {1.0, 1.5}) {
                d.look.set_scale(scale);
                QVERIFY(!d.window->grab().isNull());
            }
            // No cup is stated: a B is assumed, and the high bust has its strip.
            QVERIFY(d.window->findChild<QWidget*>("strips")->accessibleDescription().contains("High bust"));
        }
    }
};
SARTORUM_TEST(TestChartStation)

}  // namespace test_chart_station

#include "test_chart_station.moc"
