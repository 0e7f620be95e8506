// What follows a change, the finished measures and the walk, through the real window.
#include <QScrollBar>
#include <QSlider>

#include "crossed_skirt.h"
#include "desk/paper/seam_walk.h"
#include "desk/paper/walk_view.h"
#include "desk/plan/beside/finished_view.h"
#include "desk/plan/beside/follows_view.h"
#include "desk/plan/beside/profile.h"
#include "desk/plan_hands.h"
#include "tests.h"
#include "words/words.h"

namespace test_follows {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

void lay_on_plan(Desk& d)
{
    lay_bodice(d);
    d.window->go_to(Station::Plan);
}

}  // namespace

class TestFollows : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void a_knock_on_is_shown_accepted_and_follows_its_cause()
    {
        Desk d{at(), true};
        lay_on_plan(d);
        beside(d, follows_shown);
        auto* follows = d.window->findChild<FollowsView*>();
        QVERIFY(follows->isVisible());
        QVERIFY(!d.window->findChild<Button*>("follow_cap_height"));
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-6));
        d.settle();
        const Length first = d.line(CapHeight).amount;
        QVERIFY(first < Length::mm(-5));
        // Proposed, not done: the sleeve is as traced.
        const auto& c = *d.room->computed();
        QVERIFY(is_near(c.altered_flat.of(GarmentMeasure::Cap), c.traced_flat.of(GarmentMeasure::Cap),
                        Length::mm(1e-9)));
        d.click("follow_cap_height");
        d.settle();
        QCOMPARE(d.line(CapHeight).state, LineState::Accepted);
        QVERIFY(d.room->computed()->checks.cap->holds);
        QVERIFY(!d.line(CapHeight).own_amount);
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-12));
        d.settle();
        QVERIFY(d.line(CapHeight).amount < first * 1.5);
        QVERIFY(d.room->computed()->checks.cap->holds);
        // Shown from the chain: its card opens.
        d.click("show_cap_height");
        d.settle();
        QVERIFY(d.find<QLineEdit>("amount_cap_height")->isVisible());
        d.room->undo();
        d.room->undo();
        d.settle();
        QCOMPARE(d.line(CapHeight).state, LineState::Proposed);
    }
    void more_than_two_cups_is_offered_two_ways()
    {
        Desk d{at(), true};
        lay_on_plan(d);
        beside(d, follows_shown);
        d.room->keep_readings(Measure::Bust, {Length::mm(1046), Length::mm(1046)});
        d.room->keep_readings(Measure::HighBust, {Length::mm(922), Length::mm(922)});
        auto choice = d.room->choice();
        choice.bust_size = 3;
        d.room->choose(choice);
        d.settle();
        QVERIFY(d.line(AdjustmentKind::Bust).amount > Length::mm(26));
        d.click("bust_two_slashes");
        d.settle();
        QCOMPARE(d.line(AdjustmentKind::Bust).state, LineState::Accepted);
        QCOMPARE(d.line(AdjustmentKind::Bust).method, std::size_t{4});
        d.room->undo();
        d.settle();
        const auto before = d.room->plan().size_at(Level::Bust);
        d.click("bust_other_size");
        d.settle();
        QVERIFY(d.room->plan().size_at(Level::Bust) != before);
        QVERIFY(d.line(AdjustmentKind::Bust).amount <= Length::mm(26));
    }
    void the_finished_table_and_the_room_speak_what_they_draw()
    {
        Desk d{at(), true};
        lay_on_plan(d);
        d.room->decide(AdjustmentKind::Bust, Answer::Accepted, {});
        beside(d, finished_shown);
        auto* finished = d.window->findChild<FinishedView*>();
        QVERIFY(finished->isVisible());
        const auto after =
            words::number(d.room->computed()->altered_flat.of(GarmentMeasure::Bust), Unit::Centimetre);
        QVERIFY2(finished->accessibleDescription().contains(after), qPrintable(finished->accessibleDescription()));
        QVERIFY(finished->accessibleDescription().contains("upper arm"));
        beside(d, room_shown);
        auto* room = d.window->findChild<Profile*>();
        QVERIFY(room->isVisible());
        const auto ease =
            d.room->computed()->altered_flat.of(GarmentMeasure::Bust) - d.room->body().taken(Measure::Bust)->value;
        QVERIFY(room->accessibleDescription().contains(words::number(ease, Unit::Centimetre)));
        d.look.set_unit(Unit::Inch);
        d.settle();
        QVERIFY(room->accessibleDescription().contains(words::number(ease, Unit::Inch)));
    }
    void an_outline_that_crosses_is_counted_and_spoken_with_the_seams()
    {
        Desk d{at(), true};
        QVERIFY(d.room->take_pattern_svg(crossed_skirt().toStdString()).has_value());
        d.room->choose(d.room->advice()->choice);
        d.window->go_to(Station::Paper);
        d.settle();
        const auto* bars = d.window->findChild<SeamWalk*>();
        QVERIFY(bars->isVisible());
        QVERIFY2(bars->accessibleDescription().contains("the outline of front crosses itself"),
                 qPrintable(bars->accessibleDescription()));
        QVERIFY(bars->accessibleDescription().contains("to true"));
    }
    void a_seam_is_walked_by_mouse_and_by_keyboard()
    {
        Desk d{at(), true};
        lay_on_plan(d);
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-6));
        d.window->go_to(Station::Paper);
        d.settle();
        auto* bars = d.window->findChild<SeamWalk*>();
        auto* view = d.window->findChild<WalkView*>();
        QVERIFY(!view->isVisible());
        // The third seam by its place in the strip of bars.
        bars->setFocus();
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Return);
        d.settle();
        QVERIFY(view->isVisible());
        QCOMPARE(view->seam(), std::size_t{2});
        const auto said = view->accessibleDescription();
        QVERIFY2(said.contains("stretch 2"), qPrintable(said));
        // All of what is over lies above the notch.
        const auto& w = d.room->computed()->checks.walks[2];
        QVERIFY(w.notches_a.size() == 1 && w.notches_b.size() == 1);
        QVERIFY2(
            said.contains(words::amount((w.b - w.notches_b[0]) - (w.a - w.notches_a[0]), Unit::Millimetre, true)),
            qPrintable(said));
        auto* roll = d.find<QSlider>("roll_seam");
        const QImage start = view->grab().toImage();
        roll->setFocus();
        for (int i = 0; i < 5; ++i) d.key(Qt::Key_PageUp);
        QCOMPARE(roll->value(), 500);
        QVERIFY(view->grab().toImage() != start);
        QVERIFY(view->accessibleDescription() != said);
        QTest::mouseClick(bars, Qt::LeftButton, {}, {240, 60});
        QCOMPARE(view->seam(), std::size_t{0});
        auto* seams = d.find<Choices>("walk_seam");
        seams->setFocus();
        d.key(Qt::Key_Right);
        QCOMPARE(view->seam(), std::size_t{1});
        roll->setValue(0);
        d.click("play_seam");
        QTRY_VERIFY(roll->value() > 20);
        d.click("play_seam");
        d.key(Qt::Key_F);
        d.settle();
        QVERIFY(!view->isVisible());
        d.key(Qt::Key_R);
        d.settle();
        QVERIFY(view->isVisible());
    }
    void only_the_ways_a_garment_has_are_offered()
    {
        Desk d{at(), true};
        lay_on_plan(d);
        d.window->findChild<PlanStation*>()->show_adjustment(AdjustmentKind::Bust);
        d.settle();
        auto* ways = d.find<Choices>("method_bust");
        ways->choose(0);
        ways->setFocus();
        for (int i = 0; i < 6; ++i) d.key(Qt::Key_Right);
        // "No dart, eased" is for a front without one: passed over.
        QCOMPARE(ways->chosen(), 4);
        d.key(Qt::Key_Left);
        QCOMPARE(ways->chosen(), 2);
    }
};
SARTORUM_TEST(TestFollows)

}  // namespace test_follows

#include "test_follows.moc"
