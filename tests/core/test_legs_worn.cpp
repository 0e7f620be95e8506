// Trousers as they are worn: seated, drawn in by an elastic, their hem level.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/check/walk.h"
#include "core/plan/crotch.h"
#include "core/plan/donning.h"
#include "core/plan/elastic.h"
#include "core/plan/finished.h"
#include "faces.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_legs_worn {

using namespace sartorum;
using test::face;
using test::mm;

namespace {

void reads(BodySet& b, Measure m, double value)
{
    b.readings[m] = {Length::mm(value), Length::mm(value)};
}

double taken(const BodySet& b, Measure m)
{
    return mm(b.taken(m)->value);
}

const PlanLine& line_of(const Computed& c, AdjustmentKind kind)
{
    return *std::find_if(c.lines.begin(), c.lines.end(), [&](const PlanLine& l) { return l.kind == kind; });
}

// Lockgate's chart body, whose crotch seam shifts by so much when it sits.
test::TrousersBench sitting(double front, double back)
{
    auto out = test::lockgate_bench();
    reads(out.body, Measure::SeatedFrontRise, taken(out.body, Measure::FrontRise) + front);
    reads(out.body, Measure::SeatedBackRise, taken(out.body, Measure::BackRise) + back);
    return out;
}

test::TrousersBench barge()
{
    const auto drawn = demo::barge_trousers();
    test::TrousersBench out{*check_pattern(drawn->pattern), drawn->chart, {"2026-11-30", {}}, {}};
    const auto& size = out.chart.sizes[3];
    for (const auto& [m, value] : size.body) out.body.readings[m] = {value, value};
    out.plan.choosing.kind = GarmentKind::Trousers;
    out.plan.take_sizes(size.name, size.name, size.name);
    return out;
}

}  // namespace

class TestLegsWorn : public QObject {
    Q_OBJECT
private slots:
    // Who sits needs more behind and less in front. Common practice.
    void seated_the_back_is_raised_and_the_front_lowered()
    {
        auto b = sitting(-15, 22);
        QVERIFY(line_of(b(), AdjustmentKind::CrotchWedge).state != LineState::Proposed);
        b.plan.choosing.seated = true;
        const auto c = b();
        const PlanLine& line = line_of(c, AdjustmentKind::CrotchWedge);
        QCOMPARE(line.state, LineState::Proposed);
        QVERIFY(near(mm(line.proposal->amount) + 15, 0, 0.1));
        QVERIFY(near(mm(*line.proposal->back), 22, 0.1));
        // The string it is held against is the one it sits on.
        const auto worn = crotch_worn(c);
        QVERIFY(worn && worn->string);
        QVERIFY(near(mm(*worn->string),
                     taken(b.body, Measure::SeatedFrontRise) + taken(b.body, Measure::SeatedBackRise), 0.1));
        b.plan.decide({AdjustmentKind::CrotchWedge, Answer::Accepted});
        const auto done = b();
        const auto gained = [&](GarmentMeasure m) { return mm(done.altered_flat.of(m) - done.traced_flat.of(m)); };
        QVERIFY(near(gained(GarmentMeasure::CrotchFront) + 15, 0, 0.5));
        QVERIFY(near(gained(GarmentMeasure::CrotchBack), 22, 0.5));
        QVERIFY(done.checks.seams_hold());
        QVERIFY(done.checks.hem && done.checks.hem->holds);
    }
    void seated_as_standing_needs_nothing()
    {
        auto b = sitting(0, 0);
        b.plan.choosing.seated = true;
        for (const auto& l : b().lines) QVERIFY(l.state != LineState::Proposed);
    }
    // Front and back are of one string: one alone says nothing.
    void one_seated_rise_alone_is_left()
    {
        auto b = sitting(-15, 22);
        b.body.readings.erase(Measure::SeatedFrontRise);
        const auto worn = as_worn(b.body, true);
        QCOMPARE(taken(worn, Measure::BackRise), taken(b.body, Measure::BackRise));
        QCOMPARE(taken(as_worn(sitting(-15, 22).body, true), Measure::FrontRise),
                 taken(b.body, Measure::FrontRise) - 15);
    }

    void an_elastic_is_a_little_shorter_than_the_body()
    {
        auto b = barge();
        const auto c = b();
        const auto e = waist_elastic(c);
        QVERIFY(e.has_value());
        const double waist = taken(b.body, Measure::Waist);
        QVERIFY(near(mm(e->worn), (waist - 25), 1e-6));
        QVERIFY(near(mm(e->cut()), (waist - 5), 1e-6));
        double casing = 0;
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            casing += 2 * mm(sewn_length(face(c.altered, role), EdgeRole::Waist));
        QVERIFY(near(mm(e->casing), casing, 0.1));
        QVERIFY(near(e->fullness(), casing / (waist - 25), 1e-6));
        // It has to pass the hip: so much room an elastic leaves, and no fitted waist.
        QVERIFY(mm(e->casing) > taken(b.body, Measure::Hip));
        QVERIFY(!waist_elastic(test::lockgate_bench()()));
        b.body.readings.erase(Measure::Waist);
        QVERIFY(!waist_elastic(b()));
    }
    void it_grows_with_the_body_not_with_the_casing()
    {
        auto b = barge();
        const auto before = waist_elastic(b());
        reads(b.body, Measure::Waist, taken(b.body, Measure::Waist) + 30);
        QVERIFY(near(mm(waist_elastic(b())->worn - before->worn), 30, 1e-6));
        reads(b.body, Measure::SeatedWaist, taken(b.body, Measure::Waist) + 20);
        b.plan.choosing.seated = true;
        QVERIFY(near(mm(waist_elastic(b())->worn - before->worn), 50, 1e-6));
    }

    // A casing as wide as the hip is stepped into closed; the waist dips at the centre, and is no narrower for it.
    void a_casing_passes_the_hip_closed()
    {
        auto b = barge();
        const auto c = b();
        for (const auto& g : ease_profile(c).after)
            if (!g.leg) QVERIFY(mm(g.girth) > taken(b.body, Measure::Hip));
        const auto all = goes_on(c);
        const auto body =
            std::find_if(all.begin(), all.end(), [](const GoesOn& g) { return g.through == PassesThrough::Body; });
        QVERIFY(body != all.end());
        QCOMPARE(body->opening, Length{});
        QVERIFY(body->holds());
        QVERIFY(near(mm(body->has - waist_elastic(c)->casing), 0, 3));
    }

    // Whatever is done to a leg leaves its hem level; one that is drawn off level is told by how much.
    void a_legs_hem_stays_level()
    {
        std::mt19937 rng{91};
        int done = 0;
        for (int i = 0; i < 120; ++i) {
            const auto pattern = trousers_pattern(test::random_trousers(rng));
            if (!pattern) continue;
            const Garment g = test::legs_of(*pattern);
            constexpr std::array kinds{AdjustmentKind::WaistToHip,  AdjustmentKind::BodyRise,
                                       AdjustmentKind::CrotchWedge, AdjustmentKind::CrotchPoint,
                                       AdjustmentKind::LegLength,   AdjustmentKind::WidthAtHip,
                                       AdjustmentKind::WidthAtKnee, AdjustmentKind::WidthAtLegHem};
            const double by = test::between(rng, -18, 22);
            const auto out = adjustment(kinds[std::size_t(i) % kinds.size()])
                                 .apply(g, {Length::mm(by), Length::mm(test::between(rng, -18, 22)), 0});
            if (!out) continue;
            const auto hem = hem_level(g, out->garment);
            QVERIFY(hem && hem->holds && hem->of_legs);
            ++done;
            Garment off = out->garment;
            Piece& back = *find_piece(off.pieces, PieceRole::Back);
            Edge& line = back.edges[*edge_index(back, EdgeRole::Hem)];
            line.curve = eased(line.curve, {0, 0}, {0, -7});
            const auto told = hem_level(g, off);
            QVERIFY(told && !told->holds);
            QVERIFY(near(mm(told->back - hem->back), 7, 1e-6));
            QCOMPARE(told->front, hem->front);
            QCOMPARE(told->side, hem->side);
        }
        QVERIFY(done > 80);
    }
    void the_two_sides_are_told_apart()
    {
        const Garment g = test::plain_legs();
        const auto longer = adjustment(AdjustmentKind::LegLength).apply(g, {Length::mm(12), {}, 0});
        QVERIFY(longer.has_value());
        const auto hem = hem_level(g, longer->garment, g);
        QVERIFY(hem && !hem->holds && hem->side_left);
        QVERIFY(near(mm(hem->side), 12, 0.1));
        QVERIFY(near(mm(*hem->side_left), 0, 1e-9));
    }
};

SARTORUM_TEST(TestLegsWorn)

}  // namespace test_legs_worn

#include "test_legs_worn.moc"
