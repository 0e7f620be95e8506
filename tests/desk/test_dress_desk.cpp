// A dress at the desk: the skirt goes with the bodice, facings with their edges, and whether it goes on is shown.
#include <QTest>

#include <QComboBox>
#include <QLabel>
#include <set>

#include "desk/plan/beside/donning_view.h"
#include "desk/shell/foot.h"
#include "plan_hands.h"
#include "tests.h"
#include "words/lines.h"
#include "words/words.h"

namespace test_dress_desk {

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
    // A skirt of gores on a yoke, by keys: width and length go through every gore, each step says which seam; its
    // seams walk, and undo takes it back.
    void a_skirt_of_gores_is_altered_by_keys()
    {
        Desk d{dir_.filePath("gores.sartorum"), true};
        lay_pattern(d, "Ropewalk");
        d.window->go_to(Station::Plan);
        auto* plan = d.window->findChild<PlanStation*>();
        plan->show_adjustment(AdjustmentKind::WidthAtHip);
        d.settle();
        const auto labels = d.window->findChildren<QLabel*>();
        QVERIFY(std::any_of(labels.begin(), labels.end(),
                            [](const QLabel* l) { return l->text().contains("shared by every upright seam"); }));
        QTest::keyClick(plan, Qt::Key_Space);
        QVERIFY(d.line(AdjustmentKind::WidthAtHip).state == LineState::Accepted);
        const auto& steps = d.room->computed()->steps;
        std::set<std::pair<std::string, EdgeRole>> marked;
        for (const auto& s : steps) {
            if (s.kind != StepKind::MarkHip) continue;
            marked.insert({s.piece, s.on.value_or(EdgeRole::Centre)});
            QVERIFY(words::step_title(s, Unit::Centimetre).contains(words::edge_name(*s.on)));
        }
        QVERIFY((marked == std::set<std::pair<std::string, EdgeRole>>{{"front", EdgeRole::Outer},
                                                                      {"front-2", EdgeRole::Inner},
                                                                      {"front-2", EdgeRole::Side},
                                                                      {"back", EdgeRole::Outer},
                                                                      {"back-2", EdgeRole::Inner},
                                                                      {"back-2", EdgeRole::Side}}));
        for (const auto& w : d.room->computed()->checks.walks) {
            QVERIFY2(w.holds, w.seam.c_str());
            QVERIFY(!words::walk_side(w, false).isEmpty() && words::walk_side(w, false) != "first");
        }
        QVERIFY(d.room->computed()->checks.hem && d.room->computed()->checks.hem->holds);
        const auto altered = d.room->computed()->altered;
        d.room->undo();
        QVERIFY(!same_paper(d.room->computed()->altered.pieces.at(2), altered.pieces.at(2)));
        d.room->redo();
        for (std::size_t i = 0; i < altered.pieces.size(); ++i)
            QVERIFY(same_paper(d.room->computed()->altered.pieces[i], altered.pieces[i]));
    }
    // By the buttons of the list and its three sheets; undo takes each back.
    void what_it_is_made_of_is_changed_by_hand()
    {
        Desk d{dir_.filePath("pieces.sartorum"), true};
        lay_pattern(d, "Aqueduct");
        d.window->go_to(Station::Plan);
        QTest::keyClick(d.window->findChild<PlanStation*>(), Qt::Key_P);
        const auto there = [&](const char* id) {
            return find_piece(d.room->computed()->altered.pieces, std::string{id}) != nullptr;
        };
        d.click("leave_out_neck-facing-back");
        d.settle();
        QVERIFY(!there("neck-facing-back"));
        d.click("put_back_neck-facing-back");
        d.settle();
        QVERIFY(there("neck-facing-back"));
        in_dialog([](QWidget* w) {
            auto* edge = w->findChild<QComboBox*>("facing_edge");
            for (int i = 0; i < edge->count(); ++i) {
                if (edge->itemText(i).contains("armhole of the bodice back")) edge->setCurrentIndex(i);
            }
            w->findChild<QLineEdit*>("facing_width")->setText("4.5");
            QTest::mouseClick(w->findChild<QWidget*>("keep_facing"), Qt::LeftButton);
        });
        d.click("make_facing");
        d.settle();
        QVERIFY(there("armhole-facing-back"));
        QVERIFY(d.room->computed()->steps.back().kind == StepKind::MakeFacing);
        // The frill of another dress, twice as long as the hem, gathered.
        in_dialog([](QWidget* w) {
            const auto pick = [&](const char* name, const QString& part) {
                auto* c = w->findChild<QComboBox*>(name);
                for (int i = 0; i < c->count(); ++i) {
                    if (c->itemText(i).contains(part)) return c->setCurrentIndex(i);
                }
                qFatal("nothing like it in %s", name);
            };
            pick("bring_pattern", "Reedbed");
            pick("bring_which", "frill");
            pick("bring_to", "hem of the skirt front and skirt back");
            w->findChild<QLineEdit*>("bring_ratio")->setText("lots");
            QTest::mouseClick(w->findChild<QWidget*>("keep_brought"), Qt::LeftButton);
            if (!w->isVisible()) qFatal("taken with no number");
            w->findChild<QLineEdit*>("bring_ratio")->setText("2");
            QTest::mouseClick(w->findChild<QWidget*>("keep_brought"), Qt::LeftButton);
        });
        d.click("bring_piece");
        d.settle();
        QVERIFY(there("sleeve-frill"));
        const auto frill_walks = [&] {
            const auto& walks = d.room->computed()->checks.walks;
            const auto w =
                std::find_if(walks.begin(), walks.end(), [](const auto& x) { return x.seam == "sleeve-frill"; });
            return w != walks.end() && w->holds && std::abs(w->b / w->a - 2) < 0.002;
        };
        QVERIFY(frill_walks());
        d.room->decide(AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(30));
        QVERIFY(frill_walks());
        in_dialog([](QWidget* w) { QTest::mouseClick(w->findChild<QWidget*>("keep_opening"), Qt::LeftButton); });
        d.click("move_opening");
        d.settle();
        const auto& front = *find_piece(d.room->computed()->altered.pieces, std::string{"front"});
        QVERIFY(front.opening == piece_most && !button_places(front).empty());
        QVERIFY(there("centre-facing-front") && there("centre-facing-skirt-front"));
        QVERIFY(d.room->computed()->not_made.empty());
        QVERIFY(d.room->computed()->checks.seams_hold());
        // All of it is kept, and comes back as one step each.
        const auto& table = d.room->table();
        const auto kept = d.room->book().plan(*table.wearer, notebook::PlanFor::pattern(*table.pattern)).make_up;
        QVERIFY(kept == d.room->plan().make_up && kept.brought.size() == 1);
        d.room->undo();
        QVERIFY(!d.room->plan().make_up.opening && d.room->plan().make_up.brought.size() == 1);
        for (int i = 0; i < 5; ++i) d.room->undo();
        QVERIFY(d.room->plan().make_up.empty());
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

}  // namespace test_dress_desk

#include "test_dress_desk.moc"
