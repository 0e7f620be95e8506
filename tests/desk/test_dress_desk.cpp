// A dress at the desk: the skirt goes with the bodice, facings with their edges, and whether it goes on is shown.
#include <QTest>

#include "desk/plan/goes_on_view.h"
#include "desk/shell/foot.h"
#include "plan_hands.h"
#include "tests.h"

using namespace sartorum;
using namespace sartorum::desk;
using namespace sartorum::test;

class TestDressDesk : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;

private slots:
    void what_goes_with_the_bodice_is_done_and_can_be_declined_by_key()
    {
        Desk d{dir_.filePath("dress.sartorum"), true};
        lay_pattern(d, "Aqueduct");
        d.window->go_to(Station::Plan);
        QVERIFY(!stands_out(d, AdjustmentKind::JoinedWaist));
        d.room->decide(AdjustmentKind::WidthAtWaist, Answer::Accepted, Length::mm(30));
        QVERIFY(stands_out(d, AdjustmentKind::JoinedWaist));
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).by_itself);
        d.window->findChild<PlanStation*>()->show_adjustment(AdjustmentKind::JoinedWaist);
        QTest::keyClick(d.window->findChild<PlanStation*>(), Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).state == LineState::Declined);
        QTest::keyClick(d.window->findChild<PlanStation*>(), Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).state == LineState::Accepted);
        // What was answered comes back by undo, and without an answer it goes by itself again.
        d.room->undo();
        d.room->undo();
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).by_itself);
        QVERIFY(d.line(AdjustmentKind::JoinedWaist).state == LineState::Accepted);
    }
    void facings_have_no_amount_to_type()
    {
        Desk d{dir_.filePath("faced.sartorum"), true};
        lay_pattern(d, "Aqueduct");
        d.window->go_to(Station::Plan);
        d.room->decide(AdjustmentKind::NeckSize, Answer::Accepted, Length::mm(20));
        d.window->findChild<PlanStation*>()->show_adjustment(AdjustmentKind::Facings);
        d.settle();
        QVERIFY(d.line(AdjustmentKind::Facings).state == LineState::Accepted);
        int asked = 0;
        for (const auto* w : d.window->findChildren<QWidget*>(QRegularExpression{"^(less|more)_.*facings$"}))
            asked += w->isVisibleTo(d.window.get());
        QCOMPARE(asked, 0);
        const auto steps = d.room->computed()->steps;
        QCOMPARE(std::count_if(steps.begin(), steps.end(),
                               [](const Step& s) { return s.kind == StepKind::DrawFacing; }),
                 2);
    }
    void whether_it_goes_on_is_a_key_away_and_a_short_zip_is_told()
    {
        Desk d{dir_.filePath("on.sartorum"), true};
        lay_pattern(d, "Aqueduct");
        d.window->go_to(Station::Plan);
        QTest::keyClick(d.window->findChild<PlanStation*>(), Qt::Key_G);
        auto* view = d.window->findChild<GoesOnView*>();
        QVERIFY(view->isVisible());
        QStringList said;
        for (auto* l : view->findChildren<QLabel*>()) said << l->text();
        QVERIFY2(said.join(" ").contains("Stepped into"), qPrintable(said.join(" ")));
        // The same with a zip that ends above the waist.
        QFile file{QString{SARTORUM_SOURCE_DIR} + "/demo/aqueduct-dress.svg"};
        QVERIFY(file.open(QIODevice::ReadOnly));
        QByteArray svg = file.readAll();
        svg.replace("data-opening=\"all\"", "data-opening=\"300\"");
        QVERIFY(d.room->take_pattern_svg(svg.toStdString()));
        d.window->go_to(Station::Plan);
        d.settle();
        bool told = false;
        for (auto* l : d.window->findChildren<QLabel*>())
            told = told || (l->isVisibleTo(d.window.get()) && l->text().contains("does not go on"));
        QVERIFY(told);
    }
};
SARTORUM_TEST(TestDressDesk)
#include "test_dress_desk.moc"
