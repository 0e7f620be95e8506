// The table and its acts, without a window: what is laid on it, kept, undone and computed.
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

#include "demo_notebook.h"
#include "desk/demo.h"
#include "desk/room.h"
#include "tests.h"

namespace test_room {

using namespace sartorum;
using namespace sartorum::desk;

class TestRoom : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    int made_ = 0;
    std::unique_ptr<Room> room(bool demo)
    {
        const QString path = dir_.filePath(QString::number(++made_));
        if (demo) test::lay_demo_notebook(path);
        auto book = std::move(*notebook::Notebook::open(path));
        return std::make_unique<Room>(std::move(book), [] { return QDate{2026, 11, 23}; });
    }

private slots:
    void the_demo_has_four_wearers_nine_sizes_and_a_skirt_that_walks()
    {
        const auto r = room(true);
        QCOMPARE(r->book().wearers().size(), std::size_t{4});
        QVERIFY(r->chart()->sizes.size() >= 8);
        QCOMPARE(r->pattern()->sizes.size(), r->chart()->sizes.size());
        const auto sizes = r->chart()->sizes;
        for (const auto& size : sizes) {
            const auto i = *r->chart()->index_of(size.name);
            r->choose_sizes(i, i);
            QVERIFY(r->computed().has_value());
            for (const auto& w : r->computed()->checks.walks) QVERIFY2(w.holds, size.name.c_str());
        }
    }
    void the_demo_is_laid_out_once()
    {
        auto book = std::move(*notebook::Notebook::open(dir_.filePath("once")));
        const QString folder = QString{SARTORUM_SOURCE_DIR} + "/demo";
        QVERIFY(fill_with_demo(*book, folder));
        QVERIFY(fill_with_demo(*book, folder));
        QCOMPARE(book->wearers().size(), std::size_t{4});
        auto other = std::move(*notebook::Notebook::open(dir_.filePath("nowhere")));
        QVERIFY(!fill_with_demo(*other, dir_.filePath("no such folder")));
    }
    void advised_sizes_are_shown_but_not_chosen_until_she_does()
    {
        const auto r = room(true);
        QVERIFY(!r->sizes_chosen());
        QCOMPARE(r->plan().size_at(Level::Hip), std::string{"16"});
        QVERIFY(r->computed().has_value());
        r->choose_sizes(r->advice()->choice.waist_size, r->advice()->choice.hip_size);
        QVERIFY(r->sizes_chosen());
        QCOMPARE(r->print_label().sizes, "size 18 waist, 16 hip");
    }
    void an_answer_leaves_the_amounts_that_are_not_shown()
    {
        const auto r = room(true);
        r->choose_sizes(5, 4);
        Decision d{AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(12)};
        d.amounts.push_back({"", Face::Both, Side::Left, Length::mm(9)});
        r->decide(d);
        r->decide(AdjustmentKind::WaistToHip, Answer::Declined, Length::mm(12));
        r->decide(AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(14));
        const auto* kept = r->plan().decision(AdjustmentKind::WaistToHip);
        QCOMPARE(kept->amount()->in_mm(), 14.0);
        QCOMPARE(kept->amounts.size(), std::size_t{2});
        QVERIFY(kept->amounts.back() == d.amounts.back());
    }
    void each_wearer_keeps_a_plan_of_their_own()
    {
        const auto r = room(true);
        const auto wearers = r->book().wearers();
        r->choose_sizes(5, 4);
        r->decide(AdjustmentKind::WaistToHip, Answer::Accepted, {});
        const auto first = *r->table().wearer;
        for (const auto& w : wearers) {
            if (w.id != first) r->choose_wearer(w.id);
        }
        QVERIFY(!r->sizes_chosen());
        QVERIFY(r->plan().decisions.empty());
        r->choose_wearer(first);
        QCOMPARE(r->plan().decisions.size(), std::size_t{1});
    }
    void a_corrected_reading_moves_everything_that_follows_it()
    {
        const auto r = room(true);
        r->choose_sizes(5, 4);
        r->decide(AdjustmentKind::WaistToHip, Answer::Accepted, {});
        QVERIFY(is_near(r->computed()->lines[0].amount, Length::mm(20), Length::mm(1e-9)));
        r->keep_readings(Measure::WaistToHip, {Length::mm(218), Length::mm(220)});
        QVERIFY(is_near(r->computed()->lines[0].amount, Length::mm(11), Length::mm(1e-9)));
        QVERIFY(is_near(r->computed()->altered_flat.of(GarmentMeasure::WaistToHip) -
                            r->computed()->traced_flat.of(GarmentMeasure::WaistToHip),
                        Length::mm(11), Length::mm(0.05)));
    }
    void forgetting_a_decision_brings_the_proposal_back()
    {
        const auto r = room(true);
        r->choose_sizes(5, 4);
        r->decide(AdjustmentKind::WaistToHip, Answer::Declined, {});
        QVERIFY(r->computed()->lines[0].state == LineState::Declined);
        r->forget(AdjustmentKind::WaistToHip);
        QVERIFY(r->computed()->lines[0].state == LineState::Proposed);
        r->undo();
        QVERIFY(r->computed()->lines[0].state == LineState::Declined);
        r->redo();
        QVERIFY(r->computed()->lines[0].state == LineState::Proposed);
    }
    void a_step_outside_the_list_is_not_gone_to()
    {
        const auto r = room(true);
        QSignalSpy stepped{r.get(), &Room::stepped};
        r->go_to_step(-1);
        r->go_to_step(1000);
        QCOMPARE(stepped.size(), 0);
        r->go_to_step(2);
        QCOMPARE(r->step(), 2);
    }
    void fewer_steps_than_before_leave_the_place_inside_the_list()
    {
        const auto r = room(true);
        r->choose_sizes(5, 4);
        r->decide(AdjustmentKind::WaistToHip, Answer::Accepted, {});
        const int last = static_cast<int>(r->computed()->steps.size()) - 1;
        r->go_to_step(last);
        r->decide(AdjustmentKind::WaistToHip, Answer::Declined, {});
        QVERIFY(r->step() < static_cast<int>(r->computed()->steps.size()));
    }
    void a_chart_without_the_pattern_s_sizes_says_so()
    {
        const auto r = room(true);
        SizeChart other{"o",
                        "Other",
                        {{"S", {{Measure::Waist, Length::mm(700)}, {Measure::Hip, Length::mm(950)}}, 0},
                         {"L", {{Measure::Waist, Length::mm(850)}, {Measure::Hip, Length::mm(1060)}}, 0}}};
        QVERIFY(r->take_chart(other).has_value());
        QVERIFY(!r->computed());
        QVERIFY(r->trouble() && r->trouble()->why == Why::SizeUnknown);
        r->undo();
        QVERIFY(r->computed().has_value());
    }
    void what_cannot_be_taken_leaves_the_table_as_it_was()
    {
        const auto r = room(true);
        QVERIFY(!r->take_pattern_svg("<svg/>").has_value());
        QVERIFY(!r->take_chart({}).has_value());
        QVERIFY(!r->draw_tissue().has_value() && !r->put_girths_on_chart().has_value());
        r->begin_tissue(TissueKind::Skirt);
        QCOMPARE(r->draw_tissue().error().why, Why::KeyMissing);  // it has no name
        Tissue t = *r->tissue();
        t.name = "Lock skirt";
        t.in_hand()->lines[TissueLine::FrontWaist] = {TissueState::Measured, Length::mm(450)};
        t.in_hand()->lines[TissueLine::FrontHip] = {TissueState::Measured, Length::mm(400)};
        r->keep_tissue(t, "lines");
        QCOMPARE(r->draw_tissue().error().field, std::string{"front_waist"});
        // A size the chart does not know is called anew; one it knows stands beside it.
        t.in_hand()->name = "1";
        t.size = "1";
        r->keep_tissue(t, "size");
        const auto& sizes = r->chart()->sizes;
        r->take_size(QString::fromStdString(sizes[1].name));
        QCOMPARE(r->tissue()->sizes.size(), std::size_t{1});
        r->take_size(QString::fromStdString(sizes[2].name));
        QCOMPARE(r->tissue()->sizes.size(), std::size_t{2});
        QCOMPARE(r->book().patterns().size(), std::size_t{11});
        QVERIFY(r->computed().has_value());
    }
    void an_empty_room_stands_without_anything_on_the_table()
    {
        const auto r = room(false);
        QVERIFY(!r->computed() && !r->advice() && !r->pattern() && !r->trouble());
        r->undo();
        r->redo();
        r->go_to_step(3);
        r->add_wearer("  Wilhelmine ");
        QCOMPARE(r->wearer_name(), "Wilhelmine");
    }
};
SARTORUM_TEST(TestRoom)

}  // namespace test_room

#include "test_room.moc"
