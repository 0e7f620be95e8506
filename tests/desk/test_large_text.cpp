// The largest text, inches and the night theme: nothing is lost, everything can still be reached by the keyboard.
#include <QSlider>

#include "desk/paper/large_step.h"
#include "desk/paper/paper_station.h"
#include "desk/paper/seam_walk.h"
#include "desk/paper/walk_view.h"
#include "desk/plan/beside/finished_view.h"
#include "desk/plan/beside/profile.h"
#include "desk/plan_hands.h"
#include "tests.h"
#include "words/words.h"

namespace test_large_text {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

// How many colours a picture has: bare cloth has a handful.
int colours(QWidget* w)
{
    const QImage image = w->grab().toImage();
    QSet<QRgb> seen;
    for (int y = 0; y < image.height(); y += 3) {
        for (int x = 0; x < image.width(); x += 3) seen.insert(image.pixel(x, y));
    }
    return static_cast<int>(seen.size());
}

constexpr int walk_shown = 3;

void show_paper(Desk& d, int view)
{
    auto* views = d.find<Choices>("paper_view");
    views->setFocus();
    while (views->chosen() < view) d.key(Qt::Key_Right);
    while (views->chosen() > view) d.key(Qt::Key_Left);
    d.settle();
}

}  // namespace

class TestLargeText : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    QString at() { return dir_.filePath(QString::number(++made_)); }

private slots:
    void every_station_paints_in_every_theme_unit_and_size()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->decide(Bust, Answer::Accepted, {});
        d.room->decide(ShoulderSlope, Answer::Accepted, Length::mm(-6));
        for (const double scale : {0.9, 1.0, 1.5}) {
            for (const bool night : {false, true}) {
                for (const auto unit : {Unit::Centimetre, Unit::Inch}) {
                    d.look.set_scale(scale);
                    d.look.set_night(night);
                    d.look.set_unit(unit);
                    for (const auto station :
                         {Station::Tape, Station::Chart, Station::Plan, Station::Paper, Station::Print}) {
                        d.window->go_to(station);
                        QTest::qWait(5);
                        const int n = colours(d.window.get());
                        QVERIFY2(n > 60, qPrintable(QString{"%1 colours"}.arg(n)));
                    }
                }
            }
        }
    }
    void a_step_is_read_from_across_the_room()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.room->decide(Bust, Answer::Accepted, {});
        d.window->go_to(Station::Paper);
        d.settle();
        d.window->findChild<PaperStation*>()->setFocus();
        d.key(Qt::Key_F11);
        auto* large = d.window->findChild<LargeStep*>();
        QVERIFY(large && large->isVisible() && large->hasFocus());
        QCOMPARE(large->size(), d.window->size());
        const int steps = static_cast<int>(d.room->computed()->steps.size());
        for (int i = 0; i < steps; ++i) {
            QCOMPARE(d.room->step(), i);
            QVERIFY2(large->text_px() >= 24, qPrintable(large->accessibleDescription()));
            QVERIFY(large->accessibleDescription().contains(
                words::step_title(d.room->computed()->steps[std::size_t(i)], Unit::Centimetre)));
            if (i % 2)
                d.key(Qt::Key_Space);
            else
                QTest::mouseClick(large, Qt::LeftButton, {}, {10, 10});
        }
        QCOMPARE(d.room->step(), steps - 1);
        d.key(Qt::Key_Left);
        QCOMPARE(d.room->step(), steps - 2);
        d.window->resize(1180, 720);
        QTRY_COMPARE(large->size(), d.window->size());
        d.key(Qt::Key_Escape);
        QVERIFY(!large->isVisible());
        // It does not lie over another station.
        d.window->findChild<PaperStation*>()->setFocus();
        d.key(Qt::Key_F11);
        QVERIFY(large->isVisible());
        d.key(Qt::Key_3, Qt::ControlModifier);
        QCOMPARE(d.window->current(), Station::Plan);
        QVERIFY(!large->isVisible());
    }
    void one_seam_has_the_height_and_all_of_them_come_back()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Paper);
        auto* strip = d.window->findChild<SeamWalk*>();
        auto* view = d.window->findChild<WalkView*>();
        show_paper(d, walk_shown);
        QVERIFY(strip->isVisible() && view->isVisible());
        const int beside_strip = view->height();
        d.look.set_scale(1.5);
        d.settle();
        QVERIFY(!strip->isVisible() && view->isVisible());
        QVERIFY2(view->height() > beside_strip, qPrintable(QString::number(view->height())));
        // Shorter names, all of them inside the view.
        auto* seams = d.find<Choices>("walk_seam");
        QVERIFY2(seams->sizeHint().width() <= view->width(),
                 qPrintable(QString::number(seams->sizeHint().width())));
        // K goes to all seams: they are there again, and one of them is walked from there.
        d.window->setFocus();
        auto* station = strip->parentWidget()->parentWidget();
        station->setFocus();
        d.key(Qt::Key_K);
        QVERIFY(strip->isVisible() && strip->hasFocus());
        d.key(Qt::Key_Right);
        d.key(Qt::Key_Return);
        QVERIFY(view->isVisible());
        QCOMPARE(view->seam(), std::size_t{1});
        d.look.set_scale(1.0);
        d.settle();
        QVERIFY(strip->isVisible());
    }
    void the_walk_is_rolled_by_the_keyboard_and_told_in_words()
    {
        Desk d{at(), true};
        lay_pattern(d, "Sluice");
        d.room->decide(Bust, Answer::Accepted, Length::mm(15));
        d.window->go_to(Station::Paper);
        show_paper(d, walk_shown);
        auto* seams = d.find<Choices>("walk_seam");
        seams->setFocus();
        for (int i = 0; i < 2; ++i) d.key(Qt::Key_Right);  // shoulder, side, panels
        auto* view = d.window->findChild<WalkView*>();
        QCOMPARE(view->seam(), std::size_t{2});
        auto* roll = d.find<QSlider>("roll_seam");
        roll->setFocus();
        const QString before = view->accessibleDescription();
        d.key(Qt::Key_End);
        QVERIFY(view->accessibleDescription() != before);
        QVERIFY2(view->accessibleDescription().contains("stretch 3"), qPrintable(view->accessibleDescription()));
        d.key(Qt::Key_Home);
        QCOMPARE(view->accessibleDescription(), before);
        QCOMPARE(d.room->computed()->checks.walks.back().seam, std::string{"princess"});
    }
    void amounts_are_typed_in_inches_and_come_out_in_millimetres()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.look.set_unit(Unit::Inch);
        d.window->go_to(Station::Plan);
        open_card(d, Bust);
        auto* amount = d.find<QLineEdit>("amount_bust");
        amount->setFocus();
        amount->selectAll();
        d.type("5/8");
        d.key(Qt::Key_Return);
        QVERIFY(is_near(d.line(Bust).amount, Length::inches(0.625), Length::mm(1e-9)));
        d.look.set_unit(Unit::Centimetre);
        QTest::qWait(20);
        QVERIFY(is_near(d.line(Bust).amount, Length::inches(0.625), Length::mm(1e-9)));
        QVERIFY(d.room->computed()->checks.seams_hold());
    }
    void the_pictures_beside_the_plan_tell_themselves_in_words()
    {
        Desk d{at(), true};
        lay_bodice(d);
        d.window->go_to(Station::Plan);
        d.look.set_scale(1.5);
        beside(d, finished_shown);
        auto* table = d.window->findChild<FinishedView*>();
        QVERIFY(table->isVisible());
        for (const char* word : {"bust", "upper arm", "armhole", "needed"})
            QVERIFY2(table->accessibleDescription().contains(word), word);
        beside(d, room_shown);
        auto* room = d.window->findChild<Profile*>();
        QVERIFY(room->isVisible() && !room->accessibleDescription().isEmpty());
        const QString was = room->accessibleDescription();
        d.room->decide(WidthAtWaist, Answer::Accepted, Length::mm(50));
        QTest::qWait(20);
        QVERIFY(room->accessibleDescription() != was);
    }
    void everything_that_can_be_pressed_has_a_name()
    {
        Desk d{at(), true};
        lay_pattern(d, "Sluice");
        for (const auto station : {Station::Tape, Station::Chart, Station::Plan, Station::Paper, Station::Print}) {
            d.window->go_to(station);
            QTest::qWait(5);
            for (auto* w : d.window->findChildren<QWidget*>()) {
                if (!w->isVisible() || w->focusPolicy() == Qt::NoFocus) continue;
                auto* label = qobject_cast<QAbstractButton*>(w);
                const bool named = !w->accessibleName().isEmpty() || (label && !label->text().isEmpty());
                const bool part_of_one = w->parentWidget() && !w->parentWidget()->accessibleName().isEmpty();
                QVERIFY2(named || part_of_one || w->inherits("QAbstractScrollArea") || w == d.window.get() ||
                             w->objectName().startsWith("qt_"),
                         qPrintable(QString{"%1 %2"}.arg(w->metaObject()->className(), w->objectName())));
            }
        }
    }
};

SARTORUM_TEST(TestLargeText)

}  // namespace test_large_text

#include "test_large_text.moc"
