// A turn-up, the heel a leg goes over, and the trunk of an all-in-one.
#include <QtTest>

#include "../demo/trousers.h"
#include "core/alter/hem/rows.h"
#include "core/alter/kit/catalogue.h"
#include "core/pattern/all_in_one_block.h"
#include "core/plan/donning.h"
#include "core/plan/finished.h"
#include "faces.h"
#include "near.h"
#include "one_size.h"
#include "tests.h"
#include "tops.h"
#include "trousers_bench.h"

namespace test_turn_up {

using namespace sartorum;
using test::mm;

namespace {

std::optional<GoesOn> at_leg(const Computed& c)
{
    for (const auto& g : goes_on(c))
        if (g.through == PassesThrough::LegHem) return g;
    return std::nullopt;
}

}  // namespace

class TestTurnUp : public QObject {
    Q_OBJECT
private slots:
    // Common practice: twice what is seen, and the hem that is turned inside.
    void it_leaves_twice_its_depth_under_the_hem()
    {
        const Garment g = test::plain_legs();
        const auto out = alter_turn_up(g, {Length::mm(40)});
        QVERIFY(out.has_value());
        for (std::size_t i = 0; i < g.pieces.size(); ++i) {
            const Edge& was = edge(g.pieces[i], EdgeRole::Hem);
            const Edge& now = edge(out->garment.pieces[i], EdgeRole::Hem);
            QVERIFY(near(mm(now.allowance - was.allowance), 80, 1e-9));
            QVERIFY(same_paper(g.pieces[i], out->garment.pieces[i]));
        }
        QCOMPARE(out->steps.size(), std::size_t{2});
        QVERIFY(near(mm(out->steps[0].place), 120, 1e-9));
        QVERIFY(!alter_turn_up(g, {Length::mm(90)}).has_value());
        QVERIFY(!alter_turn_up(g, {Length{}}).has_value());
        QVERIFY(!adjustment(AdjustmentKind::TurnUp).propose);
    }
    void a_narrow_leg_is_held_against_the_heel()
    {
        auto bench = test::lockgate_bench();
        const auto guessed = at_leg(bench());
        QVERIFY(guessed && guessed->guessed && guessed->over == Measure::HeelRound);
        QVERIFY(near(mm(guessed->has), mm(bench().altered_flat.of(GarmentMeasure::LegHem)), 1e-9));
        const Length hem = guessed->has;
        bench.body.readings[Measure::HeelRound] = {hem - Length::mm(10), hem - Length::mm(10)};
        QVERIFY(!at_leg(bench())->guessed && at_leg(bench())->opening == Length{});
        bench.body.readings[Measure::HeelRound] = {hem + Length::mm(30), hem + Length::mm(30)};
        QVERIFY(near(mm(at_leg(bench())->opening), 15, 1e-9));
    }
    // By hand: front and back length of the bodice and both crotch seams.
    void the_trunk_of_an_all_in_one_is_held_against_the_body()
    {
        AllInOneFlat flat{test::plain_bodice(), test::plain_trousers()};
        flat.bodice.back_seam = true;
        auto drawn = draw_all_in_one(flat);
        QVERIFY(drawn.has_value());
        auto bench = test::one_size(
            *drawn,
            all_in_one_seams(bodice_seams(flat.bodice.shoulder_ease, std::nullopt), flat.trousers.back_stretch),
            GarmentKind::AllInOne,
            {{Measure::Bust, Length::mm(900)},
             {Measure::Waist, Length::mm(740)},
             {Measure::Hip, Length::mm(980)}});
        bench.body.readings[Measure::TrunkGirth] = {Length::mm(1520), Length::mm(1520)};
        const auto c = bench();
        double by_hand = 0;
        for (const auto& p : bench.pattern.sizes[0].pieces) {
            if (p.role != PieceRole::Front && p.role != PieceRole::Back) continue;
            const bool front = p.role == PieceRole::Front;
            if (p.part == PartKind::Trousers)
                by_hand += mm(sewn_length(p, EdgeRole::Centre));
            else if (front)
                by_hand += edge(p, EdgeRole::Shoulder).curve.initialPoint()[Geom::Y] -
                           edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
            else
                by_hand += mm(sewn_length(p, EdgeRole::Centre));
        }
        int seen = 0;
        for (const auto& row : finished_table(c)) {
            if (row.what != GarmentMeasure::Trunk) continue;
            ++seen;
            QVERIFY(near(mm(row.after), by_hand, 0.01));
            QVERIFY(row.body && *row.body == Length::mm(1520));
            QVERIFY(near(mm(row.least), 40, 1e-9));
            QCOMPARE(row.holds, by_hand >= 1560 - 12);
        }
        QCOMPARE(seen, 1);
        for (const auto& row : finished_table(test::lockgate_bench()()))
            QVERIFY(row.what != GarmentMeasure::Trunk);
    }
};
SARTORUM_TEST(TestTurnUp)

}  // namespace test_turn_up

#include "test_turn_up.moc"
