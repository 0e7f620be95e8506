// Tucks and pleats moved along the waist, or spaced anew, against cases worked by hand.
#include <QTest>
#include <algorithm>

#include "bodices.h"
#include "core/alter/widths/rows.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/dart.h"
#include "near.h"
#include "tests.h"
#include "tops.h"
#include "trousers.h"

namespace test_tucks {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

// A skirt whose front waist is one straight line with three tucks of 12 in it, their middles 50, 100 and 150
// from the centre as the paper lies open.
Garment tucked()
{
    SkirtFlat f = plain_skirt();
    f.front_dart = {};
    f.side_rise = {};
    f.band_depth = {};
    auto drawn = need(draw_skirt(f));
    Piece& front = *find_piece(drawn.pieces, PieceRole::Front);
    const std::size_t at = *edge_index(front, EdgeRole::Waist);
    const Length allowance = front.edges[at].allowance;
    const Point end = front.edges[at].curve.finalPoint();
    std::vector<Edge> waist;
    Point from{0, 0};
    const auto line_to = [&](Point to, EdgeRole role) {
        waist.push_back({role, straight(from, to), allowance});
        from = to;
    };
    for (const double middle : {50.0, 100.0, 150.0}) {
        line_to({middle - 6, 0}, EdgeRole::Waist);
        line_to({middle + 6, 0}, EdgeRole::DartMouth);
        front.darts.push_back({{middle - 6, 0}, {middle + 6, 0}, {middle, -80}, DartKind::Tuck});
    }
    line_to(end, EdgeRole::Waist);
    front.edges.erase(front.edges.begin() + static_cast<std::ptrdiff_t>(at));
    front.edges.insert(front.edges.begin() + static_cast<std::ptrdiff_t>(at), waist.begin(), waist.end());
    front = need(check_piece(front));
    return {drawn.pieces, skirt_seams(false)};
}

std::vector<double> middles(const Piece& p)
{
    std::vector<double> out;
    for (const auto& d : p.darts) out.push_back((d.leg_a[Geom::X] + d.leg_b[Geom::X]) / 2);
    std::sort(out.begin(), out.end());
    return out;
}

const Piece& front(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Front);
}

Outcome<Applied> done(const Garment& g, double mm, TucksWay way)
{
    return alter_tucks(g, {Length::mm(mm), {}, static_cast<std::size_t>(way)});
}

bool are(const std::vector<double>& is, const std::vector<double>& wanted)
{
    return is.size() == wanted.size() && std::equal(is.begin(), is.end(), wanted.begin(),
                                                    [](double a, double b) { return std::abs(a - b) < 0.01; });
}

}  // namespace

class TestTucks : public QObject {
    Q_OBJECT
private slots:
    void all_go_along_the_waist_together()
    {
        const auto g = tucked();
        QVERIFY(are(middles(front(g)), {50, 100, 150}));
        const auto out = done(g, 15, TucksWay::Moved);
        QVERIFY(are(middles(front(out->garment)), {65, 115, 165}));
        QVERIFY(are(middles(front(done(g, -25, TucksWay::Moved)->garment)), {25, 75, 125}));
        // One step a tuck; with what lies before it shut, the last one lies 165 - 6 - 24 from the centre.
        QCOMPARE(out->steps.size(), std::size_t{3});
        for (const auto& s : out->steps) QCOMPARE(s.kind, StepKind::SlideTuck);
        QVERIFY(is_near(out->steps[0].place, Length::mm(135), Length::mm(0.01)));
    }
    void they_are_spaced_about_their_middle()
    {
        const auto g = tucked();
        QVERIFY(are(middles(front(done(g, 12, TucksWay::Spaced)->garment)), {38, 100, 162}));
        QVERIFY(are(middles(front(done(g, -20, TucksWay::Spaced)->garment)), {70, 100, 130}));
    }
    void number_depth_and_the_closed_waist_stay()
    {
        const auto g = tucked();
        for (const auto way : {TucksWay::Moved, TucksWay::Spaced}) {
            for (const double mm : {-18.0, 14.0}) {
                const auto after = need(done(g, mm, way)).garment;
                QCOMPARE(front(after).darts.size(), std::size_t{3});
                for (const auto& d : front(after).darts)
                    QVERIFY(is_near(mouth_width(d), Length::mm(12), Length::mm(0.01)));
                QVERIFY(is_near(sewn_length(front(after), EdgeRole::Waist), sewn_length(front(g), EdgeRole::Waist),
                                Length::mm(0.01)));
                const auto checks = check(after, {}, {});
                for (const auto& w : checks.walks) QVERIFY2(w.holds, w.seam.c_str());
                for (const auto& o : checks.outlines) QVERIFY(o.holds);
                QVERIFY(need(check_piece(front(after))).darts.size() == 3);
                // And back again.
                QVERIFY(are(middles(front(need(done(after, -mm, way)).garment)), {50, 100, 150}));
            }
        }
    }
    void what_finds_no_room_is_refused_with_the_most_that_does()
    {
        const auto g = tucked();
        // Between the first tuck and the centre lie 44; 10 of them stay.
        const auto refused = done(g, -36, TucksWay::Moved);
        QVERIFY(!refused && refused.error().why == Why::AmountTooLarge);
        QVERIFY(done(g, -33, TucksWay::Moved).has_value());
        QVERIFY(done(g, 0, TucksWay::Moved).error().why == Why::AmountZero);
        const auto closer = done(g, -45, TucksWay::Spaced);
        QVERIFY(!closer && closer.error().why == Why::AmountTooLarge);
    }
    void a_bodice_with_tucks_has_it_and_one_with_darts_has_not()
    {
        BodiceFlat f = plain_bodice();
        QVERIFY(!bench(f)(plan_at("14")).line(Kind::Tucks));
        f.fold = DartKind::Tuck;
        const auto top = bench(f);
        Plan plan = plan_at("14");
        QVERIFY(top(plan).line(Kind::Tucks)->state == LineState::NothingKnown);
        const auto before = top(plan).altered;
        plan.decide({Kind::Tucks, Answer::Accepted, Length::mm(14)});
        const auto c = top(plan);
        QVERIFY(c.checks.seams_hold());
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            const auto was = waist_run(*find_piece(before.pieces, role));
            const auto is = waist_run(*find_piece(c.altered.pieces, role));
            QVERIFY(is_near(is.darts.front() - was.darts.front(), Length::mm(14), Length::mm(0.2)));
            QVERIFY(is_near(is.length, was.length, Length::mm(0.1)));
        }
        // One on each piece: there is nothing to space.
        QVERIFY(!tucks_row().method_serves(before, 1) && tucks_row().method_serves(before, 0));
        Decision spaced{Kind::Tucks, Answer::Accepted, Length::mm(14)};
        spaced.method = 1;
        plan.put(spaced);
        QVERIFY(top(plan).line(Kind::Tucks)->refusal->why == Why::NothingToSpace);
    }
    // Worked by hand: 48 more all round is 12 a quarter: the first tuck stays, the last goes 12, the middle one 6.
    void what_a_waist_gains_lies_between_its_tucks()
    {
        const Garment before = tucked();
        const auto out = need(adjustment(Kind::WidthAtWaist).apply(before, Length::mm(48)));
        const Piece& is = front(out.garment);
        const auto was = middles(front(before));
        const auto now = middles(is);
        QCOMPARE(now.size(), std::size_t{3});
        QVERIFY(near(now[0], was[0], 0.05));
        QVERIFY(near(now[1] - was[1], 6, 0.15));
        QVERIFY(near(now[2] - was[2], 12, 0.15));
        for (const auto& d : is.darts) QVERIFY(near(Geom::distance(d.leg_a, d.leg_b), 12, 0.01));
        QVERIFY(is_near(sewn_length(is, EdgeRole::Waist) - sewn_length(front(before), EdgeRole::Waist),
                        Length::mm(12), Length::mm(0.1)));
        // Where they would run into each other they stay.
        const auto less = need(adjustment(Kind::WidthAtWaist).apply(before, Length::mm(-120)));
        const auto near = middles(front(less.garment));
        QVERIFY(near.size() == 3 && near[1] - near[0] > 22);
    }
    // Three tucks of 12 take 20 more each: 60 more of hip and hem, the waist sewn as it was.
    void fuller_is_more_cloth_under_the_same_waist()
    {
        const Garment before = tucked();
        const auto out = need(done(before, 20, TucksWay::Fuller));
        const Piece& was = front(before);
        const Piece& is = front(out.garment);
        QVERIFY(check_piece(is).has_value() && !unsound(is));
        for (const auto& d : is.darts) {
            QVERIFY(near(Geom::distance(d.leg_a, d.leg_b), 32, 1e-6));
            QVERIFY(near(d.tip[Geom::X], (d.leg_a + d.leg_b)[Geom::X] / 2, 1e-6));
        }
        QVERIFY(are(middles(is), {60, 130, 200}));
        for (const auto role : {EdgeRole::Waist, EdgeRole::Side, EdgeRole::Centre})
            QVERIFY(is_near(sewn_length(is, role), sewn_length(was, role), Length::mm(1e-6)));
        const double hip = guide(was, GuideKind::Hip)->a[Geom::Y];
        QVERIFY(is_near(*width_at(is, hip) - *width_at(was, hip), Length::mm(60), Length::mm(1e-6)));
        // By the strips that opened: 20 wide, as tall as the paper stands there.
        double strips = 0;
        for (const double x : {50.0, 100.0, 150.0}) {
            const Curve& hem = edge(was, EdgeRole::Hem).curve;
            strips += 20 * -hem.pointAt(times_where(hem, Geom::X, x).front())[Geom::Y];
        }
        QVERIFY(near(area_mm2(is) - area_mm2(was), strips, 60));
        QCOMPARE(out.steps.size(), std::size_t{3});
        for (const auto& s : out.steps) QCOMPARE(s.picture.panels.size(), std::size_t{2});
        const auto back = need(done(out.garment, -20, TucksWay::Fuller));
        QVERIFY(largest_gap(front(back.garment), was) < 0.1);
        const auto checks = check(out.garment, {});
        for (const auto& w : checks.walks) QVERIFY(w.holds);
        for (const auto& d : checks.darts) QVERIFY(d.holds);
        QCOMPARE(checks.seams_hold(), check(before, {}).seams_hold());
    }
    void a_tuck_keeps_what_a_hand_can_fold()
    {
        const Garment before = tucked();
        QVERIFY(done(before, -5.9, TucksWay::Fuller).has_value());
        const auto refused = done(before, -8, TucksWay::Fuller);
        QVERIFY(!refused && refused.error().why == Why::AmountTooLarge && refused.error().field == "tucks");
        QVERIFY(is_near(refused.error().low, Length::mm(-6), Length::mm(1e-6)));
    }
    void random_skirts_stay_whole_when_they_are_made_fuller()
    {
        std::mt19937 rng{404};
        int done_so_far = 0;
        for (int i = 0; i < 60; ++i) {
            auto drawn = draw_skirt(random_skirt(rng));
            if (!drawn) continue;
            Garment g{{}, skirt_seams(false)};
            for (auto& p : drawn->pieces) {
                if (p.role == PieceRole::Waistband) continue;
                for (auto& d : p.darts) d.kind = i % 2 ? DartKind::Pleat : DartKind::Tuck;
                g.pieces.push_back(p);
            }
            const Length amount = Length::mm(between(rng, -4, 60));
            const auto out = alter_tucks(g, {amount, {}, static_cast<std::size_t>(TucksWay::Fuller)});
            if (!out) continue;
            const auto checks = check(out->garment, {});
            QVERIFY(checks.seams_hold());
            const Piece& was = front(g);
            QVERIFY(is_near(sewn_length(front(out->garment), EdgeRole::Waist), sewn_length(was, EdgeRole::Waist),
                            Length::mm(0.001)));
            const double hip = guide(was, GuideKind::Hip)->a[Geom::Y];
            const Length gained = *width_at(front(out->garment), hip) - *width_at(was, hip);
            QVERIFY(is_near(gained, amount * static_cast<double>(was.darts.size()), Length::mm(0.001)));
            ++done_so_far;
        }
        QVERIFY(done_so_far > 30);
    }
    void where_no_hem_lies_below_it_is_refused()
    {
        const auto legs = need(trousers_pattern(plain_trousers()));
        Garment g = legs_of(legs);
        for (auto& p : g.pieces)
            for (auto& d : p.darts) d.kind = DartKind::Pleat;
        QVERIFY(!tucks_row().method_serves(g, static_cast<std::size_t>(TucksWay::Fuller)));
        QVERIFY(done(g, 10, TucksWay::Fuller).error().why == Why::WayNotHere);
    }
};
SARTORUM_TEST(TestTucks)

}  // namespace test_tucks

#include "test_tucks.moc"
