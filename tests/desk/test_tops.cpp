// A top through the real window: from an empty notebook to a printed work card, and each control the Plan and the
// Paper have for it.
#include <QComboBox>
#include <QLabel>
#include <QTableWidget>

#include "core/pattern/bodice_block.h"
#include "desk/paper/canvas.h"
#include "desk/paper/step_list.h"
#include "desk/plan/beside/shoulder_view.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "desk/tissue_hands.h"
#include "near.h"
#include "tests.h"

namespace test_tops {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

}  // namespace

class TestTops : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void from_an_empty_notebook_to_a_printed_work_card()
    {
        Desk d{at(), false};
        in_dialog([](QWidget* w) {
            QTest::keyClicks(w->findChild<QLineEdit*>("wearer_name"), "Wilhelmine");
            QTest::keyClick(w->findChild<QLineEdit*>("wearer_name"), Qt::Key_Return);
        });
        d.window->new_wearer();
        d.settle();
        in_dialog([](QWidget* w) {
            QTest::keyClicks(w->findChild<QLineEdit*>("chart_maker"), "Weir Pattern Co");
            auto* table = w->findChild<QTableWidget*>("chart_table");
            const char* cells[4][5] = {{"size", "bust", "waist", "hip", "front waist length"},
                                       {"38", "84", "66", "92", "42"},
                                       {"40", "88", "70", "96", "43"},
                                       {"42", "92", "74", "100", "44"}};
            for (int r = 0; r < 4; ++r)
                for (int c = 0; c < 5; ++c) table->setItem(r, c, new QTableWidgetItem{cells[r][c]});
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.settle();
        QVERIFY(d.room->chart().has_value());
        for (const auto& [m, mm] : {std::pair{Measure::Bust, 882.0},
                                    {Measure::Waist, 704.0},
                                    {Measure::Hip, 962.0},
                                    {Measure::FrontWaistLength, 442.0},
                                    {Measure::CrossShoulder, 372.0}})
            d.room->keep_readings(m, {Length::mm(mm), Length::mm(mm + 1)});

        d.window->measure_flat(TissueKind::Bodice);
        d.type("Weir bodice");
        note(d, "tissue_centre_back", 1);
        QCOMPARE(d.room->tissue()->size, std::string{"40"});
        d.click("keep_line");  // on to the lines
        auto* value = d.find<QLineEdit>("tissue_value");
        // What is no length, or cannot be, stays as it was typed, and why is said.
        for (const char* wrong : {"7x", "71"}) {
            d.type(wrong);
            d.key(Qt::Key_Return);
            QCOMPARE(value->text(), QString{wrong});
            QVERIFY(value->property("wrong").toBool() && !value->accessibleDescription().isEmpty());
            value->clear();
        }
        measure_lines(d, {"7.1",  "8.2", "12.2", "4.6",  "16.4", "24.9", "20.9", "2.9",  "22.5", "2.6", "44.6",
                          "26.8", "9.3", "2.2",  "12.2", "x",    "4",    "17.4", "24.1", "21.7", "2.6", "41"});
        QVERIFY(!d.find<QWidget>("draw_tissue")->property("text").toString().contains("assumed"));
        d.click("draw_tissue");
        d.settle();
        QVERIFY(d.room->pattern() != nullptr);
        QVERIFY2(d.room->computed().has_value(), "chart, body and drawing make the paper");
        QVERIFY(!on_fold(*find_piece(d.room->computed()->bought.pieces, PieceRole::Back)));

        d.window->go_to(Station::Plan);
        d.accept_all();
        QVERIFY(d.line(ShoulderLength).state == LineState::NothingKnown);  // cut in, without a sleeve
        QVERIFY(is_near(d.line(BodiceLength).amount, Length::mm(12.5), Length::mm(0.01)));
        // A toile showed the ball of the shoulder forward: typed by hand.
        open_card(d, BallOfShoulder);
        auto* amount = d.find<QLineEdit>("amount_ball_of_shoulder");
        amount->setFocus();
        d.type("0.9");
        d.key(Qt::Key_Return);
        QVERIFY(is_near(d.line(BallOfShoulder).amount, Length::mm(9), Length::mm(1e-9)));
        QVERIFY(d.room->computed()->checks.seams_hold());

        d.window->go_to(Station::Paper);
        const int steps = static_cast<int>(d.room->computed()->steps.size());
        for (int i = 0; i < steps; ++i) {
            QCOMPARE(d.room->step(), i);
            d.key(Qt::Key_Space);
        }
        d.window->go_to(Station::Print);
        QTemporaryDir out;
        d.find<QLineEdit>("print_folder")->setText(out.path());
        auto* kinds = d.find<Choices>("print_kind");
        emit kinds->picked(kinds->chosen());
        kinds->setFocus();
        for (int i = 0; i < 3; ++i) d.key(Qt::Key_Right);
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(20000));
        const QString path = written[0][0].toString();
        QVERIFY(path.endsWith("work-card.pdf"));
        QVERIFY(QFileInfo{path}.size() > 5000);
    }
    void only_what_serves_the_garment_stands_on_the_plan()
    {
        Desk d{at(), true};
        d.room->choose(d.room->advice()->choice);
        d.window->go_to(Station::Plan);
        QVERIFY(stands_out(d, WaistToHip) && !stands_out(d, ShoulderLength));
        QVERIFY(!d.window->findChild<ShoulderView*>()->isVisible());
        lay_bodice(d);
        QVERIFY(!stands_out(d, WaistToHip) && stands_out(d, ShoulderLength));
        beside(d, shoulder_shown);
        auto* view = d.window->findChild<ShoulderView*>();
        QVERIFY(view->isVisible());
        QVERIFY(view->accessibleDescription().contains("sewn"));
        // The arrow keys walk what stands out, in fitting order.
        d.window->findChild<PlanStation*>()->setFocus();
        beside(d, change_shown);
        d.window->findChild<PlanStation*>()->setFocus();
        const auto shown = map_of(d).shown();
        QVERIFY(shown.size() > 5 && shown.front() == ShoulderLength);
        for (const auto kind : shown) {
            QCOMPARE(pad_of(d).kind(), kind);
            d.key(Qt::Key_Down);
        }
        QCOMPARE(pad_of(d).kind(), shown.back());
        QVERIFY(d.room->plan().choosing.kind == GarmentKind::Top);
    }
    void front_and_back_may_differ_and_the_way_is_chosen()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, ShoulderSlope);
        const auto type_into = [&](const char* field, const char* text) {
            auto* e = d.find<QLineEdit>(field);
            e->setFocus();
            e->selectAll();
            d.type(text);
            d.key(Qt::Key_Return);
        };
        type_into("amount_shoulder_slope", "-0.6");
        QCOMPARE(d.line(ShoulderSlope).back.in_mm(), d.line(ShoulderSlope).amount.in_mm());
        d.click("faces_shoulder_slope");
        type_into("back_shoulder_slope", "-0.4");
        QVERIFY(is_near(d.line(ShoulderSlope).amount, Length::mm(-6), Length::mm(1e-9)));
        QVERIFY(is_near(d.line(ShoulderSlope).back, Length::mm(-4), Length::mm(1e-9)));
        const double before = d.room->computed()->checks.shoulder->slope_degrees();
        auto* ways = d.find<Choices>("method_shoulder_slope");
        ways->setFocus();
        d.key(Qt::Key_Right);
        QCOMPARE(d.line(ShoulderSlope).method, std::size_t{1});
        QVERIFY(is_near(d.line(ShoulderSlope).back, Length::mm(-4), Length::mm(1e-9)));  // kept
        QVERIFY(d.room->computed()->checks.shoulder->slope_degrees() < before - 3);      // at the neck: squarer
        d.room->undo();
        QCOMPARE(d.line(ShoulderSlope).method, std::size_t{0});
        QVERIFY(near(d.room->computed()->checks.shoulder->slope_degrees(), before, 1e-9));
    }
    void allow_and_pin_is_accepted_empty_and_takes_the_pins_later()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->forget(ShoulderSlope);
        d.window->go_to(Station::Plan);
        open_card(d, ShoulderSlope);
        auto* ways = d.find<Choices>("method_shoulder_slope");
        ways->setFocus();
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Right);
        QCOMPARE(d.line(ShoulderSlope).method, std::size_t{2});
        QVERIFY(d.line(ShoulderSlope).state == LineState::Accepted);
        QVERIFY(d.room->computed()->steps[std::size_t(step_of(d, StepKind::AllowShoulder))].amount ==
                Length::inches(1));
    }
    void a_way_that_bends_the_fold_is_told_and_another_taken()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.room->decide({RoundBack_(), Answer::Accepted, Length::mm(12), {}, 0});
        open_card(d, RoundBack_());
        QVERIFY(d.line(RoundBack_()).state == LineState::Refused);
        QVERIFY(pad_of(d).accessibleDescription().contains("fold"));
        auto* ways = d.find<Choices>("method_round_back");
        ways->setFocus();
        d.key(Qt::Key_Right);
        QVERIFY(d.line(RoundBack_()).state == LineState::Accepted);
        QVERIFY(d.room->computed()->checks.folds[0].holds);
    }
    void what_came_after_is_pointed_at_until_it_was_looked_at()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->decide(SwayBack, Answer::Accepted, Length::mm(-10));
        d.room->decide(BallOfShoulder, Answer::Accepted, Length::mm(8));
        d.window->go_to(Station::Plan);
        open_card(d, SwayBack);
        QVERIFY(d.line(SwayBack).look_again == BallOfShoulder);
        d.click("looked_sway_back");
        QVERIFY(!d.line(SwayBack).look_again);
        QVERIFY(is_near(d.line(SwayBack).amount, Length::mm(-10), Length::mm(1e-9)));
        QVERIFY(!d.window->findChild<QWidget*>("looked_sway_back")->isVisible());
    }
    void an_amount_beyond_the_method_says_what_to_do_instead()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, BallOfShoulder);
        auto* e = d.find<QLineEdit>("amount_ball_of_shoulder");
        e->setFocus();
        d.type("2.5");
        d.key(Qt::Key_Return);
        // It is done, and the card says that it is unusual and what else to do.
        QVERIFY(d.line(BallOfShoulder).state == LineState::Accepted);
        QCOMPARE(d.line(BallOfShoulder).cautions.size(), std::size_t{1});
        QVERIFY(pad_of(d).accessibleDescription().contains("show from the front"));
        QVERIFY(pad_of(d).accessibleDescription().contains("toile"));
    }
    void what_can_hardly_be_is_asked_at_the_head_of_the_plan()
    {
        Desk d{at(), true};
        lay_bodice(d);
        SizeChart chart = *d.room->printed_chart();
        for (auto& size : chart.sizes) size.body[Measure::Waist] = size.body[Measure::Waist] + Length::mm(170);
        QVERIFY(d.room->change_chart(chart));
        d.window->go_to(Station::Plan);
        d.settle();
        QVERIFY(d.find("doubts")->isVisible());
        QVERIFY(d.find<QLabel>("doubts_said")->text().contains("Waist"));
        QVERIFY(!d.line(BodiceLength).proposal);
        // The question waits for an answer.
        d.window->go_to(Station::Chart);
        QVERIFY(d.find("station_3")->accessibleDescription() != "finished");
        d.window->go_to(Station::Plan);
        d.click("meant_so");
        d.settle();
        QVERIFY(!d.window->findChild<QWidget*>("doubts")->isVisible());
        QVERIFY(d.line(BodiceLength).proposal || d.line(AdjustmentKind::Bust).proposal);
        QVERIFY(d.room->plan().as_drawn);
    }
    void a_step_plays_as_a_movement_and_ends_where_it_lies()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->decide(ShoulderLength, Answer::Accepted, Length::mm(-12));
        d.window->go_to(Station::Paper);
        d.room->go_to_step(step_of(d, StepKind::SlideCorner));
        auto* canvas = d.window->findChild<Canvas*>();
        canvas->setFocus();
        d.key(Qt::Key_P);
        QTRY_VERIFY_WITH_TIMEOUT(canvas->playing(), 1000);
        QTRY_VERIFY_WITH_TIMEOUT(!canvas->playing(), 4000);
        const QImage still = canvas->grab().toImage();
        d.key(Qt::Key_P);
        QVERIFY(canvas->playing());
        QTest::qWait(350);
        QVERIFY(canvas->played() > 0.0 && canvas->played() < 1.0);
        QVERIFY(canvas->grab().toImage() != still);
        QTRY_VERIFY_WITH_TIMEOUT(!canvas->playing(), 4000);
        QCOMPARE(canvas->grab().toImage(), still);
        // The button does the same; a step with nothing to move offers none.
        d.click("play_step");
        QVERIFY(canvas->playing());
        d.room->go_to_step(step_of(d, StepKind::TraceSize));
        QVERIFY(!canvas->playing());
        QVERIFY(!d.find("play_step")->isEnabled());
    }
    void choosing_a_pattern_brings_its_chart_along()
    {
        Desk d{at(), true};
        const auto skirts = d.room->chart()->name;
        lay_bodice(d);
        QVERIFY(d.room->chart()->name != skirts);
        QVERIFY(d.room->chart()->prints(Measure::Bust));
        for (const auto& p : d.room->book().patterns()) {
            d.room->choose_pattern(p.id);
            QVERIFY2(d.room->computed() || !d.room->trouble(), qPrintable(p.name));
        }
    }
    void a_top_is_there_again_after_reopening()
    {
        const QString path = at();
        {
            Desk d{path, true};
            lay_bodice(d);
            d.room->decide({SwayBack, Answer::Accepted, Length::mm(-10), {}, 2});
            d.room->decide({ShoulderSlope, Answer::Accepted, Length::mm(-6), Length::mm(-3), 1});
        }
        Desk again{path, false};
        QCOMPARE(again.line(SwayBack).method, std::size_t{2});
        QVERIFY(is_near(again.line(ShoulderSlope).back, Length::mm(-3), Length::mm(1e-9)));
        QVERIFY(again.line(SwayBack).look_again == ShoulderSlope);  // the order of decisions is kept too
    }

private:
    // RoundBack is also a word of the posture.
    static AdjustmentKind RoundBack_() { return AdjustmentKind::RoundBack; }
};
SARTORUM_TEST(TestTops)

}  // namespace test_tops

#include "test_tops.moc"
