// Left and right through the real window: from measures read apart to paper and print, by keys and by hand.
#include <QDir>
#include <QLabel>
#include <QProcess>

#include "core/plan/cut_out.h"
#include "desk/paper/canvas.h"
#include "desk/paper/paper_station.h"
#include "desk/plan_hands.h"
#include "desk/print/print_station.h"
#include "tests.h"
#include "words/measures.h"
#include "words/sides.h"

namespace test_sides_desk {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

const PlanLine& left_line(const Desk& d, AdjustmentKind kind)
{
    const auto& c = *d.room->computed();
    const PlanLine* left = c.left_of(d.line(kind));
    if (!left) qFatal("both sides are one");
    return *left;
}

double mm(Length l)
{
    return l.in_mm();
}

// By the keyboard: the change opened, left and right apart, the field of one side.
void type_side(Desk& d, const char* field, const QString& amount)
{
    auto* edit = d.find<QLineEdit>(field);
    edit->setFocus();
    edit->selectAll();
    QTest::keyClicks(edit, amount);
    QTest::keyClick(edit, Qt::Key_Return);
}

}  // namespace

class TestSidesDesk : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void from_sides_read_apart_to_the_print()
    {
        Desk d{at(), true};
        seat(d, "Hedda");
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, ShoulderSlope);
        QCOMPARE(d.line(ShoulderSlope).sides.how, Sided::Apart);
        QVERIFY(d.line(ShoulderSlope).amount < left_line(d, ShoulderSlope).amount);
        const QString spoken = map_of(d).tag_of(ShoulderSlope)->accessibleDescription();
        QVERIFY2(spoken.contains("right") && spoken.contains("left"), qPrintable(spoken));
        d.accept_all();
        const auto& c = *d.room->computed();
        QVERIFY(c.left && cut_by_side(c) && c.not_done.empty());
        QVERIFY(c.checks.seams_hold());

        // The paper: what both have in common once, then each side's own.
        d.window->go_to(Station::Paper);
        int right = 0;
        int left = 0;
        int both = 0;
        for (const auto& s : d.room->steps()) ++(!s.side ? both : *s.side == Side::Right ? right : left);
        QVERIFY(right > 0 && left > 0 && both > 0);
        auto* canvas = d.window->findChild<Canvas*>();
        bool named = false;
        for (std::size_t i = 1; i < d.room->steps().size(); ++i) {
            d.click("done_on_paper");
            const auto& here = d.room->step_here();
            canvas->repaint();
            if (here.side) named = named || canvas->accessibleDescription().contains(words::side_name(*here.side));
        }
        QVERIFY(named);
        d.key(Qt::Key_F);
        canvas->grab();  // the pieces as they are cut

        // The print: each side its pieces, named.
        d.click("station_6");
        const QDir out{dir_.filePath("out")};
        QVERIFY(QDir{}.mkpath(out.path()));
        d.find<QLineEdit>("print_folder")->setText(out.path());
        QSignalSpy written{d.window->findChild<PrintStation*>(), &PrintStation::written};
        d.click("save_pages");
        QVERIFY(written.wait(30000));
        QProcess reader;
        reader.start("pdftotext", {"-layout", written.first().first().toString(), "-"});
        QVERIFY(reader.waitForFinished(20000));
        const QString text = QString::fromUtf8(reader.readAllStandardOutput());
        for (const char* name : {"Bodice front, right", "Bodice front, left", "Sleeve, right", "Sleeve, left",
                                 "right half", "left half"})
            QVERIFY2(text.contains(QString{name}), name);
    }

    // Opened by L, typed on each side, stepped on the side in hand, closed again; each an act to be undone.
    void two_amounts_by_keys()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, ShoulderSlope);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_L);
        QCOMPARE(pad_of(d).side_in_hand(), std::optional{Side::Right});
        type_side(d, "amount_shoulder_slope", "-0.9");
        type_side(d, "left_amount_shoulder_slope", "-0.5");
        d.click("faces_shoulder_slope");
        type_side(d, "left_back_shoulder_slope", "-0.3");
        QCOMPARE(mm(d.line(ShoulderSlope).amount), -9.0);
        QCOMPARE(mm(left_line(d, ShoulderSlope).amount), -5.0);
        QCOMPARE(mm(left_line(d, ShoulderSlope).back), -3.0);
        QVERIFY(d.line(ShoulderSlope).state == LineState::Accepted);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_L);  // the other side
        QCOMPARE(pad_of(d).side_in_hand(), std::optional{Side::Right});
        d.key(Qt::Key_Plus);
        QCOMPARE(mm(d.line(ShoulderSlope).amount), -8.0);
        QCOMPARE(mm(left_line(d, ShoulderSlope).amount), -5.0);
        d.key(Qt::Key_Space);  // left as bought, and taken up again with both amounts
        d.key(Qt::Key_Space);
        QCOMPARE(mm(left_line(d, ShoulderSlope).amount), -5.0);
        // Nothing on one side is an amount.
        type_side(d, "left_amount_shoulder_slope", "0");
        QCOMPARE(mm(left_line(d, ShoulderSlope).amount), 0.0);
        d.room->undo();
        QCOMPARE(mm(left_line(d, ShoulderSlope).amount), -5.0);
        d.click("part_shoulder_slope");  // one amount for both
        QVERIFY(!d.room->computed()->left);
        QCOMPARE(mm(d.line(ShoulderSlope).amount), -8.0);
        QVERIFY(!pad_of(d).side_in_hand());
    }

    void a_mark_is_dragged_on_the_side_in_hand()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.room->decide(ShoulderLength, Answer::Accepted, Length::mm(-6));
        open_card(d, ShoulderLength);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_L);
        d.key(Qt::Key_L);
        QCOMPARE(pad_of(d).side_in_hand(), std::optional{Side::Left});
        auto& map = map_of(d);
        const QPoint hold = map.mark_of(ShoulderLength)->toPoint();
        QTest::mousePress(&map, Qt::LeftButton, {}, hold);
        QVERIFY(map.dragging());
        QTest::mouseMove(&map, hold + QPoint{4, 1});
        QTest::mouseMove(&map, hold + QPoint{6, 2});
        QVERIFY(d.room->trying());
        QTest::mouseRelease(&map, Qt::LeftButton, {}, hold + QPoint{6, 2});
        QCOMPARE(mm(d.line(ShoulderLength).amount), -6.0);
        QVERIFY(std::abs(mm(left_line(d, ShoulderLength).amount) + 6) > 1);
    }

    // For one change, and for all.
    void she_says_how_two_sides_are_answered()
    {
        Desk d{at(), true};
        seat(d, "Hedda");
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, ShoulderSlope);
        auto* ways = d.find<Choices>("sides_shoulder_slope");
        ways->setFocus();
        while (ways->chosen() != static_cast<int>(SidesWay::Larger)) QTest::keyClick(ways, Qt::Key_Right);
        QCOMPARE(d.line(ShoulderSlope).sides.how, Sided::Larger);
        const auto& c = *d.room->computed();
        const PlanLine* left = c.left_of(d.line(ShoulderSlope));
        QVERIFY(!left || left->amount == d.line(ShoulderSlope).amount);
        d.room->undo();  // each its own, on the way there
        QCOMPARE(d.room->plan().decision(ShoulderSlope)->sides, SidesWay::Apart);
        d.room->undo();
        QVERIFY(!d.room->plan().decision(ShoulderSlope));
        QCOMPARE(d.line(ShoulderSlope).sides.how, Sided::Apart);
        Plan all = d.room->plan();
        d.room->wear(all.choosing, all.cloth, all.ease, SidesWay::Larger);
        d.room->choose(d.room->advice()->choice);
        QCOMPARE(d.room->plan().sides, SidesWay::Larger);
        for (const auto& l : d.room->computed()->lines)
            QVERIFY2(l.sides.how != Sided::Apart, adjustment(l.kind).key.data());
    }

    // What moves the centre has one amount, and says so.
    void the_centre_is_not_parted()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        open_card(d, BodiceLength);
        d.window->findChild<PlanStation*>()->setFocus();
        d.key(Qt::Key_L);
        QVERIFY(!pad_of(d).side_in_hand());
        for (auto* w : d.window->findChildren<QWidget*>("left_amount_bodice_length")) QVERIFY(!w->isVisible());
        open_card(d, ShoulderSlope);
        QVERIFY(!pad_of(d).side_in_hand());  // opened for one change, it is not for the next
    }
};

SARTORUM_TEST(TestSidesDesk)

}  // namespace test_sides_desk

#include "test_sides_desk.moc"
