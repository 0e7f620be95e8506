// A front of two panels through the real window: from an empty notebook, with a sleeve, to the printed panels.
#include <QClipboard>
#include <QComboBox>
#include <QLabel>
#include <QProcess>

#include "core/alter/widths/rows.h"
#include "core/pattern/princess.h"
#include "desk/plan/beside/follows_view.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "desk/tissue_hands.h"
#include "tests.h"
#include "words/words.h"

namespace test_panels {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

QString text_of_pdf(const QString& path)
{
    QProcess p;
    p.start("pdftotext", {path, "-"});
    p.waitForFinished();
    return QString::fromUtf8(p.readAllStandardOutput());
}

}  // namespace

class TestPanels : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void from_an_empty_notebook_to_printed_panels_and_a_sleeve()
    {
        Desk d{at(), false};
        in_dialog([](QWidget* w) {
            QTest::keyClicks(w->findChild<QLineEdit*>("wearer_name"), "Jorinde");
            QTest::keyClick(w->findChild<QLineEdit*>("wearer_name"), Qt::Key_Return);
        });
        d.window->new_wearer();
        d.settle();
        in_dialog([](QWidget* w) {
            QGuiApplication::clipboard()->setText(
                "size,bust,waist,upper arm\n38,84,66,27\n40,88,70,28\n42,92,74,29\n");
            QTest::mouseClick(w->findChild<QWidget*>("paste_chart"), Qt::LeftButton);
            w->findChild<QLineEdit*>("chart_maker")->setText("Weir Pattern Co");
            QTest::mouseClick(w->findChild<QWidget*>("take_chart"), Qt::LeftButton);
        });
        d.window->type_chart();
        d.settle();
        QVERIFY(d.room->chart().has_value());
        for (const auto& [m, mm] : {std::pair{Measure::Bust, 910.0},
                                    {Measure::HighBust, 840.0},
                                    {Measure::Waist, 704.0},
                                    {Measure::UpperArm, 300.0}})
            d.room->keep_readings(m, {Length::mm(mm), Length::mm(mm)});
        d.window->measure_flat(TissueKind::Bodice);
        d.type("Weir jacket");
        const auto asked = [&](TissueLine line) {
            const auto lines = lines_on_pieces(*d.room->tissue(), *d.room->tissue()->in_hand());
            return std::find(lines.begin(), lines.end(), line) != lines.end();
        };
        QVERIFY(asked(TissueLine::SideDart) && !asked(TissueLine::SeamAbove));
        auto* seam = d.find<QComboBox>("tissue_front_seam");
        seam->setFocus();
        d.key(Qt::Key_Down);
        QVERIFY(!asked(TissueLine::SideDart) && asked(TissueLine::SeamAbove));
        note(d, "tissue_sleeve", 1);
        d.click("keep_line");
        measure_lines(d, {"7.1", "8.2", "12.2", "4.6", "16.4", "24.9", "20.9"});
        // A seam that opens nowhere is no seam: objected to, and what was typed stays.
        QCOMPARE(*face_of(d).current(), TissueLine::SeamAbove);
        d.type("0");
        d.key(Qt::Key_Return);
        QCOMPARE(d.find<QLineEdit>("tissue_value")->text(), "0");
        QVERIFY(d.find<QLineEdit>("tissue_value")->accessibleDescription().contains("part above"));
        QCOMPARE(*face_of(d).current(), TissueLine::SeamAbove);
        d.find<QLineEdit>("tissue_value")->selectAll();
        measure_lines(d, {"1.6",  "22.5", "2.6", "44.6", "26.8", "9.3", "2.2", "12.2", "x",  "4", "17.4",
                          "24.1", "21.7", "2.6", "41",   "58",   "",    "",    "34.6", "35", "24"});
        d.click("draw_tissue");
        d.settle();
        QVERIFY(d.room->computed().has_value());
        QVERIFY(front_of(d.room->computed()->bought).princess);
        QVERIFY(find_piece(d.room->computed()->bought.pieces, PieceRole::Sleeve));

        d.window->go_to(Station::Plan);
        QVERIFY(!stands_out(d, DartMoved) && !stands_out(d, KnitDart));
        d.accept_all();
        QCOMPARE(d.line(Bust).state, LineState::Accepted);
        QCOMPARE(d.line(Bust).method, static_cast<std::size_t>(BustMethod::Princess));
        QCOMPARE(d.line(UpperArm).state, LineState::Accepted);
        QVERIFY(d.room->computed()->checks.seams_hold());

        d.window->go_to(Station::Print);
        QTemporaryDir out;
        d.find<QLineEdit>("print_folder")->setText(out.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(20000));
        const QString text = text_of_pdf(written[0][0].toString());
        for (const char* piece :
             {"Bodice front, centre panel", "Bodice front, side panel", "Bodice back", "Sleeve"})
            QVERIFY2(text.contains(piece), piece);
    }
    void the_bust_has_two_ways_and_its_steps_say_what_to_do()
    {
        Desk d{at(), true};
        lay_pattern(d, "Sluice");
        d.window->go_to(Station::Plan);
        d.room->decide(Bust, Answer::Accepted, Length::mm(10));
        open_card(d, Bust);
        QVERIFY(d.room->computed()->checks.seams_hold());
        for (const auto kind :
             {StepKind::LayTogether, StepKind::DrawBustLines, StepKind::CutBustLines, StepKind::SwingBust,
              StepKind::DropCentre, StepKind::CloseIntoSeam, StepKind::RedrawSeam}) {
            const Step& step = d.room->computed()->steps[static_cast<std::size_t>(step_of(d, kind))];
            QVERIFY(!words::step_title(step, Unit::Centimetre).isEmpty());
            QVERIFY(!words::step_detail(step, Unit::Centimetre).isEmpty());
            QVERIFY(!words::step_detail(step, Unit::Centimetre).contains("dart,"));
        }
        QVERIFY(step_of(d, StepKind::LayTogether) < step_of(d, StepKind::CutBustLines));
        QVERIFY(step_of(d, StepKind::CloseIntoSeam) < step_of(d, StepKind::RedrawSeam));
        // Less: the side overlaps first and is laid flat again.
        d.room->decide(Bust, Answer::Accepted, Length::mm(-6));
        const Step& flat =
            d.room->computed()->steps[static_cast<std::size_t>(step_of(d, StepKind::CloseIntoSeam))];
        QVERIFY(flat.amount < Length{});
        QVERIFY(words::step_title(flat, Unit::Centimetre).contains("overlapped"));
    }
    void more_than_two_cups_is_two_slashes_or_another_size_there_too()
    {
        Desk d{at(), true};
        lay_pattern(d, "Sluice");
        d.window->go_to(Station::Plan);
        d.room->decide(Bust, Answer::Accepted, Length::mm(34));
        d.settle();
        QCOMPARE(d.line(Bust).state, LineState::Accepted);
        QCOMPARE(d.line(Bust).cautions.size(), std::size_t{1});
        beside(d, follows_shown);
        d.click("bust_two_slashes");
        d.settle();
        QCOMPARE(d.line(Bust).state, LineState::Accepted);
        const auto& c = *d.room->computed();
        QVERIFY(is_near(c.altered_flat.of(GarmentMeasure::Bust) - c.traced_flat.of(GarmentMeasure::Bust),
                        Length::mm(68), Length::mm(0.1)));
        QVERIFY(c.checks.seams_hold());
    }
    void it_is_kept_and_comes_back_as_two_panels()
    {
        const QString path = at();
        {
            Desk d{path, true};
            lay_pattern(d, "Sluice");
            d.room->decide(Bust, Answer::Accepted, Length::mm(12));
        }
        Desk again{path, false};
        QVERIFY(again.room->computed().has_value());
        QVERIFY(front_of(again.room->computed()->altered).princess);
        QCOMPARE(again.line(Bust).state, LineState::Accepted);
        QCOMPARE(as_cut(again.room->computed()->altered.pieces).size(), std::size_t{3});
    }
};

SARTORUM_TEST(TestPanels)

}  // namespace test_panels

#include "test_panels.moc"
