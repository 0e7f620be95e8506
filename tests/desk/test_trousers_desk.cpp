// Trousers in the real window: from an empty notebook to the printed plan by keys, and Benno's in the demo by
// mouse.
#include "desk_fixture.h"

#include <QFileInfo>

#include "core/tissue/draw.h"
#include "desk/paper/canvas.h"
#include "desk/paper/paper_station.h"
#include "desk/plan/beside/crotch_view.h"
#include "desk/plan/beside/donning_view.h"
#include "desk/print/print_station.h"
#include "plan_hands.h"
#include "tests.h"
#include "tissue_hands.h"
#include "words/donning.h"
#include "words/words.h"

namespace test_trousers_desk {

using namespace sartorum;
using namespace sartorum::test;

namespace {

QString demo_file(const char* name)
{
    return QString{SARTORUM_SOURCE_DIR} + "/demo/" + name;
}

void a_wearer_and_a_chart(Desk& d)
{
    in_dialog([](QWidget* w) {
        QTest::keyClicks(w->findChild<QLineEdit*>("wearer_name"), "Wilhelmine");
        QTest::keyClick(w->findChild<QLineEdit*>("wearer_name"), Qt::Key_Return);
    });
    d.window->new_wearer();
    d.settle();
    in_dialog([](QWidget* w) { QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton); });
    d.window->import_chart(demo_file("lockgate-trousers.csv"));
}

void seat_benno(Desk& d)
{
    seat(d, "Benno");
    lay_pattern(d, "Lockgate");
}

}  // namespace

class TestTrousersDesk : public QObject {
    Q_OBJECT
private slots:
    void initTestCase()
    {
        QApplication::setStyle("Fusion");
        load_fonts();
    }

    void from_an_empty_notebook_by_keys()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("e.sartorum"), false};
        a_wearer_and_a_chart(d);
        d.window->open_pattern(demo_file("lockgate-trousers.svg"));
        d.settle();
        QCOMPARE(d.room->plan().choosing.kind, GarmentKind::Trousers);
        d.window->go_to(Station::Tape);
        // The round for trousers, in its order, twice each; wishes once.
        const std::map<Measure, QString> readings{{Measure::Waist, "84"},
                                                  {Measure::HighHip, "97"},
                                                  {Measure::Hip, "106"},
                                                  {Measure::WaistToHip, "22.4"},
                                                  {Measure::TrouserLength, "104"},
                                                  {Measure::Thigh, "61"},
                                                  {Measure::Knee, "38.8"},
                                                  {Measure::Calf, "37.6"},
                                                  {Measure::HeelRound, "32.5"},
                                                  {Measure::InsideLeg, "79"},
                                                  {Measure::CrotchLength, "84.5"},
                                                  {Measure::FrontRise, "37.1"},
                                                  {Measure::BackRise, "47.4"},
                                                  {Measure::WaistToFloorSide, "108"},
                                                  {Measure::WaistToFloorFront, "107.1"},
                                                  {Measure::WaistToFloorBack, "107.6"},
                                                  {Measure::WaistToFloorMidFront, "107.6"},
                                                  {Measure::WaistToFloorMidBack, "107.8"},
                                                  {Measure::BodyRise, "29.4"}};
        for (const auto m : d.room->measures()) {
            QVERIFY2(readings.contains(m), std::string{facts(m).key}.c_str());
            const int times = facts(m).kind == MeasureKind::Wish ? 1 : 2;
            for (int i = 0; i < times; ++i) {
                QVERIFY(QApplication::focusWidget()->objectName().startsWith("reading"));
                d.type(readings.at(m));
                d.key(Qt::Key_Return);
            }
        }
        QVERIFY(d.room->body().taken(Measure::BackRise));
        d.window->go_to(Station::Chart);
        d.click("take_to_plan");
        QCOMPARE(d.window->current(), Station::Plan);
        // One after the other, as each waits for what lies above it.
        for (int i = 0; i < 12; ++i) {
            const auto& lines = d.room->computed()->lines;
            const bool open = std::any_of(lines.begin(), lines.end(),
                                          [](const PlanLine& l) { return l.state == LineState::Proposed; });
            if (!open) break;
            d.accept_all();
        }
        const auto& c = *d.room->computed();
        QVERIFY(d.line(AdjustmentKind::WaistToHip).state == LineState::Accepted);
        QVERIFY(d.line(AdjustmentKind::CrotchWedge).state == LineState::Accepted);
        QVERIFY(c.checks.seams_hold());
        const auto crotch = [&](GarmentMeasure m, Measure body) {
            const auto chart =
                d.room->chart()->body(*d.room->chart()->index_of(c.work.plan.size_at(Level::Hip)), body);
            const Length gained = c.altered_flat.of(m) - c.traced_flat.of(m);
            return abs(gained - (d.room->body().taken(body)->value - *chart));
        };
        QVERIFY(crotch(GarmentMeasure::CrotchFront, Measure::FrontRise) < Length::mm(6));
        QVERIFY(crotch(GarmentMeasure::CrotchBack, Measure::BackRise) < Length::mm(6));
        d.key(Qt::Key_4, Qt::ControlModifier);
        QCOMPARE(d.window->current(), Station::Paper);
        for (int i = 0; i < 6; ++i) d.key(Qt::Key_Right);
        QCOMPARE(d.room->step(), 6);
        d.window->go_to(Station::Print);
        d.find<QLineEdit>("print_folder")->setText(dir.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(30000));
        QVERIFY(QFile::exists(dir.filePath("Wilhelmine-Lockgate-trousers-full-size.pdf")));
    }

    // A maker's tissue: measured flat line by line, drawn, planned, and when it is sewn its crotch is lowered.
    void from_a_tissue_and_an_empty_notebook_to_the_card_of_the_sewn_pair()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("t.sartorum"), false};
        a_wearer_and_a_chart(d);
        const std::map<Measure, double> readings{{Measure::Waist, 838},      {Measure::Hip, 1062},
                                                 {Measure::WaistToHip, 217}, {Measure::BodyRise, 287},
                                                 {Measure::Thigh, 608},      {Measure::InsideLeg, 786},
                                                 {Measure::FrontRise, 362},  {Measure::BackRise, 448}};
        for (const auto& [m, value] : readings) d.room->keep_readings(m, {Length::mm(value), Length::mm(value)});
        d.window->measure_flat(TissueKind::Trousers);
        d.settle();
        d.type("Weir trousers");
        d.click("keep_line");
        QCOMPARE(d.room->tissue()->size, std::string{"46"});
        measure_lines(d, {"23.4", "20.8", "29.3", "19.5", "23.3", "74.6", "32.3", "32.3", "18",
                          "0.8",  "27.4", "34.3", "1.8",  "8.5",  "25",   "21.5", "25.3", "74.2",
                          "40.3", "3.8",  "28.6", "40.1", "3.4",  "11.5", "4"});
        QCOMPARE(lines_assumed(*d.room->tissue(), *d.room->tissue()->in_hand()), 0);
        d.click("draw_tissue");
        d.settle();
        QVERIFY(d.room->pattern() != nullptr);
        QVERIFY(d.room->computed().has_value());
        QCOMPARE(d.room->plan().choosing.kind, GarmentKind::Trousers);
        const auto traced = d.room->computed()->traced_flat;
        QVERIFY(is_near(traced.of(GarmentMeasure::CrotchBack), Length::mm(403), Length::mm(0.1)));
        QVERIFY(is_near(traced.of(GarmentMeasure::Waist), Length::mm(2 * (234 - 18 + 250 - 34)), Length::mm(0.3)));
        d.window->go_to(Station::Plan);
        QVERIFY(d.line(AdjustmentKind::WaistToHip).amount > Length::mm(8));
        for (int i = 0; i < 12; ++i) d.room->accept_all();
        QVERIFY(d.room->computed()->checks.seams_hold());
        d.window->go_to(Station::Chart);
        in_dialog([](QWidget* w) {
            w->findChild<QComboBox*>("wear_sewn")->setCurrentIndex(1);
            QTest::mouseClick(w->findChild<QWidget*>("keep_wear"), Qt::LeftButton);
        });
        d.click("wear");
        d.settle();
        QVERIFY(d.room->plan().sewn);
        d.room->keep_readings(Measure::BackRise, {Length::mm(478), Length::mm(478)});
        d.window->go_to(Station::Plan);
        d.click("tag_sewn_crotch");
        d.click("accept_sewn_crotch");
        QCOMPARE(d.line(AdjustmentKind::SewnCrotch).state, LineState::Accepted);
        d.window->go_to(Station::Print);
        auto* kinds = d.find<Choices>("print_kind");
        kinds->choose(3);
        emit kinds->picked(3);
        d.find<QLineEdit>("print_folder")->setText(dir.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(30000));
        QVERIFY(QFileInfo{written.first().first().toString()}.size() > 1000);
    }

    void the_crotch_is_shown_beside_the_string_and_only_of_trousers()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("d.sartorum"), true};
        d.window->go_to(Station::Plan);
        auto* view = d.window->findChild<CrotchView*>();
        QVERIFY(view);
        QVERIFY(!view->isVisible());
        seat_benno(d);
        d.window->go_to(Station::Plan);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_J);
        QTRY_VERIFY(view->isVisible());
        const auto worn = crotch_worn(*d.room->computed());
        QVERIFY(worn && worn->string);
        QVERIFY(view->accessibleDescription().contains(
            words::amount(*worn->string, words::paper_unit(d.look.unit()))));
        QVERIFY(view->grab().toImage().width() > 250);
        // Back to a garment without legs it is not there.
        for (const auto& p : d.room->book().patterns()) {
            if (p.name == "Lockside skirt") d.room->choose_pattern(p.id);
        }
        d.settle();
        QVERIFY(!view->isVisible());
    }

    void a_crotch_wedge_is_answered_by_mouse_front_and_back_apart()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("w.sartorum"), true};
        seat_benno(d);
        d.window->go_to(Station::Plan);
        for (const auto kind : {AdjustmentKind::WaistToHip, AdjustmentKind::WaistLine, AdjustmentKind::BodyRise,
                                AdjustmentKind::WidthAtThigh}) {
            if (d.line(kind).state == LineState::Proposed) d.room->decide({kind, Answer::Accepted});
        }
        QCOMPARE(d.line(AdjustmentKind::CrotchWedge).state, LineState::Proposed);
        d.click("tag_crotch_wedge");
        d.click("accept_crotch_wedge");
        const auto& wedge = d.line(AdjustmentKind::CrotchWedge);
        QCOMPARE(wedge.state, LineState::Accepted);
        QVERIFY(wedge.back > Length{});
        QVERIFY(wedge.amount <= Length{});
        QVERIFY(d.room->computed()->checks.seams_hold());
    }

    // The stretch where nothing is done is left out; B shows it, and so does a step that works there.
    void long_legs_are_broken_and_b_shows_them_whole()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("b.sartorum"), true};
        seat_benno(d);
        d.room->decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(8)});
        d.room->decide({AdjustmentKind::LegLength, Answer::Accepted, Length::mm(20)});
        d.window->go_to(Station::Paper);
        auto* canvas = d.window->findChild<Canvas*>();
        const auto show = [&](AdjustmentKind kind) {
            const auto& steps = d.room->steps();
            for (std::size_t i = 0; i < steps.size(); ++i)
                if (steps[i].line && steps[i].line->kind == kind) return d.room->go_to_step(static_cast<int>(i));
            QFAIL("no such step");
        };
        show(AdjustmentKind::WaistToHip);
        d.settle();
        QVERIFY(canvas->broken());
        QVERIFY(canvas->broken()->left_out() > Length::mm(300));
        QCOMPARE(canvas->broken()->legs.size(), std::size_t{2});
        const double broken_scale = canvas->scale();
        const QImage broken = canvas->grab().toImage();
        auto* station = d.window->findChild<PaperStation*>();
        QTest::keyClick(station, Qt::Key_B);
        QVERIFY(!canvas->broken());
        QVERIFY(broken_scale > canvas->scale() * 1.3);
        QVERIFY(canvas->grab().toImage() != broken);
        QTest::keyClick(station, Qt::Key_B);
        QCOMPARE(canvas->scale(), broken_scale);
        show(AdjustmentKind::LegLength);
        QVERIFY(!canvas->broken());
        // Finished, something is done there as well.
        QTest::keyClick(station, Qt::Key_F);
        QVERIFY(!canvas->broken());
        QTest::keyClick(station, Qt::Key_O);
        QVERIFY(canvas->broken());
        lay_pattern(d, "Lockside");
        QVERIFY(!canvas->broken());
    }

    void an_elastic_is_told_beside_the_plan()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("el.sartorum"), true};
        seat(d, "Benno");
        lay_pattern(d, "Barge");
        d.window->go_to(Station::Plan);
        beside(d, goes_on_shown);
        const auto e = waist_elastic(*d.room->computed());
        QVERIFY(e.has_value());
        const QString said = words::elastic_text(*e, d.look.unit());
        QVERIFY(said.contains(words::amount(e->cut(), d.look.unit())));
        const auto labels = d.window->findChild<GoesOnView*>()->findChildren<QLabel*>();
        QVERIFY(std::any_of(labels.begin(), labels.end(), [&](const QLabel* l) { return l->text() == said; }));
    }
};
SARTORUM_TEST(TestTrousersDesk)

}  // namespace test_trousers_desk

#include "test_trousers_desk.moc"
