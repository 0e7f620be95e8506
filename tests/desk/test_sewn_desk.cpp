// The waist drawn anew and the garment that is sewn, in the real window: by keys, mouse, to the card.
#include "desk_fixture.h"

#include <QComboBox>
#include <QProcess>

#include "desk/dialogs/bought_dialog.h"
#include "desk/plan/beside/waist_view.h"
#include "desk/print/print_station.h"
#include "near.h"
#include "plan_hands.h"
#include "tests.h"
#include "words/words.h"

namespace test_sewn_desk {

using namespace sartorum;
using namespace sartorum::test;

namespace {

void seat_benno(Desk& d)
{
    seat(d, "Benno");
    lay_pattern(d, "Lockgate");
    d.window->go_to(Station::Plan);
}

void type_station(Desk& d, const char* station, const QString& amount)
{
    auto* field = d.find<QLineEdit>(station);
    field->setFocus();
    field->selectAll();
    d.type(amount);
    d.key(Qt::Key_Return);
}

void pick(Desk& d, const char* choices, int i)
{
    auto* c = d.find<Choices>(choices);
    c->choose(i);
    emit c->picked(i);
}

WaistPicture& picture(const Desk& d)
{
    return *d.window->findChild<WaistPicture*>();
}

std::vector<double> at(const PlanLine& line)
{
    std::vector<double> out;
    for (const auto l : line.at) out.push_back(l.in_mm());
    return out;
}

void say_sewn(Desk& d, int how)
{
    d.window->go_to(Station::Chart);
    in_dialog([how](QWidget* w) {
        w->findChild<QComboBox*>("wear_sewn")->setCurrentIndex(how);
        QTest::mouseClick(w->findChild<QWidget*>("keep_wear"), Qt::LeftButton);
    });
    d.click("wear");
    d.settle();
    d.window->go_to(Station::Plan);
}

}  // namespace

class TestSewnDesk : public QObject {
    Q_OBJECT
private slots:
    void initTestCase()
    {
        QApplication::setStyle("Fusion");
        load_fonts();
    }

    void a_waist_is_typed_dragged_and_stepped()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("w.sartorum"), true};
        seat_benno(d);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_W);
        QVERIFY(picture(d).isVisible());
        type_station(d, "station_centre_front", "-20 mm");
        type_station(d, "station_mid_front", "-12 mm");
        QCOMPARE(at(d.line(AdjustmentKind::WaistLine)), (std::vector<double>{-20, -12, 0, 0, 0}));
        QVERIFY(d.room->computed()->checks.seams_hold());
        // The keys of the picture: centre front is in hand first.
        picture(d).setFocus();
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Up, Qt::ShiftModifier);
        QCOMPARE(d.line(AdjustmentKind::WaistLine).at[2], Length::mm(5));
        d.key(Qt::Key_Escape);
        // One side alone; where both meet there is one amount.
        pick(d, "waist_sides", 2);
        type_station(d, "station_side", "9 mm");
        type_station(d, "station_centre_back", "-4 mm");
        const auto& right = d.line(AdjustmentKind::WaistLine);
        const PlanLine* left = d.room->computed()->left_of(right);
        QVERIFY(left);
        QCOMPARE(left->at[2], Length::mm(9));
        QCOMPARE(right.at[4], Length::mm(-4));
        QCOMPARE(left->at[4], Length::mm(-4));
        // What was typed on the wrong side of the limit is said, and kept standing there.
        type_station(d, "station_side", "900 mm");
        QCOMPARE(d.find<QLineEdit>("station_side")->text(), "900 mm");
        d.room->undo();
        QCOMPARE(d.line(AdjustmentKind::WaistLine).at[4], Length{});
    }

    void a_station_is_dragged_by_mouse()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("m.sartorum"), true};
        seat_benno(d);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_W);
        QTest::qWait(30);
        auto& p = picture(d);
        // Somewhere on the upright of centre front.
        const int x = static_cast<int>(26 * d.look.scale());
        QPoint from{x, 0};
        QSignalSpy moved{&p, &WaistPicture::moved};
        for (int y = 10; y < p.height() && moved.isEmpty(); y += 12) {
            from = {x, y};
            QTest::mousePress(&p, Qt::LeftButton, {}, from);
            QTest::mouseMove(&p, from + QPoint{0, 20});
            if (moved.isEmpty()) QTest::mouseRelease(&p, Qt::LeftButton, {}, from);
        }
        QVERIFY(!moved.isEmpty());
        QTest::mouseRelease(&p, Qt::LeftButton, {}, from + QPoint{0, 20});
        const auto& line = d.line(AdjustmentKind::WaistLine);
        QCOMPARE(line.state, LineState::Accepted);
        QVERIFY(line.at.front() < Length{});
        QVERIFY(!d.room->trying());
        QVERIFY(d.room->book().undo_name()->contains(words::adjustment_name(AdjustmentKind::WaistLine)));
    }

    // From the plan on paper to the card of the sewn pair.
    void a_sewn_pair_gets_a_plan_and_a_card_of_its_own()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("s.sartorum"), true};
        seat_benno(d);
        for (int i = 0; i < 12; ++i) d.room->accept_all();
        d.room->decide(AdjustmentKind::CrotchWedge, Answer::Declined, {});
        const auto cut = d.room->computed()->altered;
        const auto versions = [&] {
            const auto& t = d.room->table();
            return d.room->book().versions(*t.wearer, *t.pattern).size();
        };
        QCOMPARE(versions(), std::size_t{0});
        say_sewn(d, 1);
        QVERIFY(d.room->plan().sewn);
        QCOMPARE(versions(), std::size_t{1});
        for (std::size_t i = 0; i < cut.pieces.size(); ++i)
            QVERIFY(same_paper(cut.pieces[i], d.room->computed()->altered.pieces[i]));
        QVERIFY(!d.room->computed()->line(AdjustmentKind::CrotchPoint));
        // Measured anew after sewing: what the string lacks is asked of the seam that is there.
        const Length back = d.room->body().taken(Measure::BackRise)->value + Length::mm(25);
        d.room->keep_readings(Measure::BackRise, {back, back});
        QVERIFY(stands_out(d, AdjustmentKind::SewnCrotch));
        const Length inside = d.room->computed()->altered_flat.of(GarmentMeasure::InsideLeg);
        d.click("tag_sewn_crotch");
        d.click("accept_sewn_crotch");
        const auto& line = d.line(AdjustmentKind::SewnCrotch);
        QCOMPARE(line.state, LineState::Accepted);
        QVERIFY(line.amount > Length::mm(2));
        const Length lost = inside - d.room->computed()->altered_flat.of(GarmentMeasure::InsideLeg);
        QVERIFY(near(lost, line.amount, Length::mm(0.05)));
        d.window->go_to(Station::Print);
        pick(d, "print_kind", 3);
        d.find<QLineEdit>("print_folder")->setText(dir.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(30000));
        QProcess text;
        text.start("pdftotext", {"-layout", written.first().first().toString(), "-"});
        QVERIFY(text.waitForFinished());
        const QString card = QString::fromUtf8(text.readAllStandardOutput());
        QVERIFY(card.contains("Crotch lowered"));
        QVERIFY(card.contains("only then trim"));
        QVERIFY(card.contains("round the leg"));
        QVERIFY(!card.contains("Trace"));
        // And back.
        say_sewn(d, 0);
        QVERIFY(!d.room->plan().sewn && !d.room->plan().decision(AdjustmentKind::SewnCrotch));
        QVERIFY(d.room->plan().decision(AdjustmentKind::WaistToHip));
    }

    // Without a pattern: a few measures, and the card.
    void a_bought_pair_gets_the_card_alone()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("b.sartorum"), true};
        seat(d, "Benno");
        const std::size_t patterns = d.room->book().patterns().size();
        BoughtDialog dialog{d.look, *d.room};
        dialog.show();
        const auto put = [&](const char* field, const QString& text) {
            auto* edit = dialog.findChild<QLineEdit*>(field);
            edit->setFocus();
            edit->selectAll();
            QTest::keyClicks(edit, text);
        };
        const auto press = [&](const char* button) {
            QTest::mouseClick(dialog.findChild<QWidget*>(button), Qt::LeftButton);
        };
        const auto said = [&] { return dialog.findChild<QLabel*>("bought_said")->text(); };
        const char* taken[] = {"86", "108", "31", "39.5", "76", "66", "40"};
        for (int i = 0; i < 7; ++i) put(qPrintable(QString{"bought_%1"}.arg(i)), taken[i]);
        put("bought_5", "x");
        press("bought_work");
        QVERIFY(said().contains("measure it again"));
        QCOMPARE(dialog.findChild<QLineEdit*>("bought_5")->text(), "x");
        put("bought_5", "190");
        press("bought_work");
        QVERIFY(!said().contains("round the leg"));
        put("bought_5", "66");
        put("bought_down", "2");
        press("bought_work");
        QVERIFY2(said().contains("round the leg"), qPrintable(said()));
        put("bought_folder", dir.path());
        press("keep_bought");
        QVERIFY(!dialog.isVisible());
        QVERIFY(QFile::exists(dir.filePath("Bought-trousers-work-card.pdf")));
        QCOMPARE(d.room->book().patterns().size(), patterns);
    }
};
SARTORUM_TEST(TestSewnDesk)

}  // namespace test_sewn_desk

#include "test_sewn_desk.moc"
