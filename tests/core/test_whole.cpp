// The whole, not the part: knock-ons, finished measures, girth by height, cloth, and more than two cups.
#include <QTest>
#include <algorithm>

#include "core/alter/widths/rows.h"
#include "core/plan/bust_ways.h"
#include "core/plan/finished.h"
#include "core/plan/knock_ons.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_whole {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

Decision take(Kind kind, double mm)
{
    return {kind, Answer::Accepted, Length::mm(mm)};
}

const KnockOn* to(const std::vector<KnockOn>& all, Kind effect)
{
    const auto it = std::find_if(all.begin(), all.end(), [&](const KnockOn& k) { return k.effect == effect; });
    return it == all.end() ? nullptr : &*it;
}

const FinishedRow& row(const std::vector<FinishedRow>& all, GarmentMeasure what)
{
    return *std::find_if(all.begin(), all.end(), [&](const FinishedRow& r) { return r.what == what; });
}

double cap_ease(const Computed& c)
{
    return (c.altered_flat.of(GarmentMeasure::Cap) - c.altered_flat.of(GarmentMeasure::Armhole)).in_mm();
}

}  // namespace

class TestWhole : public QObject {
    Q_OBJECT
private slots:
    void a_change_at_the_shoulder_is_followed_to_the_sleeve()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        Plan plan = plan_at("12");
        QVERIFY(knock_ons(b(plan)).empty());
        plan.decide(take(Kind::ShoulderSlope, -6));
        const auto c = b(plan);
        const auto all = knock_ons(c);
        const KnockOn* cap = to(all, Kind::CapHeight);
        QVERIFY(cap && cap->causes == std::vector{Kind::ShoulderSlope});
        QCOMPARE(cap->state, LineState::Proposed);
        QVERIFY(near(cap->by.in_mm(), -12, 1.5));
        QVERIFY(cap->amount < Length::mm(-6));
        // Never a silent edit: the sleeve is as it was until it is accepted.
        QVERIFY(largest_gap(sleeve_of(c.altered), sleeve_of(c.traced)) < 1e-9);
        QVERIFY(!c.checks.cap->holds);
        plan.decide({Kind::CapHeight, Answer::Accepted, {}});
        QVERIFY(near(cap_ease(b(plan)), 24, 1.0));
        // Recomputed when the cause changes, gone when it goes.
        plan.decide(take(Kind::ShoulderSlope, -12));
        const auto more = b(plan);
        QVERIFY(more.line(Kind::CapHeight)->amount < cap->amount * 1.6);
        QVERIFY(near(cap_ease(more), 24, 1.0));
        plan.forget(Kind::ShoulderSlope);
        const auto none = b(plan);
        QVERIFY(largest_gap(sleeve_of(none.altered), sleeve_of(none.traced)) < 1e-9);
    }
    void the_ball_of_the_shoulder_takes_the_cap_forward_by_as_much()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        Plan plan = plan_at("12");
        plan.decide(take(Kind::BallOfShoulder, 9));
        const auto all = knock_ons(b(plan));
        const KnockOn* forward = to(all, Kind::CapForward);
        QVERIFY(forward && near(forward->amount.in_mm(), 9, 1e-9));
        plan.decide({Kind::CapForward, Answer::Accepted, {}});
        const auto c = b(plan);
        for (const auto& w : c.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        QVERIFY(!to(knock_ons(c), Kind::TopNotch));
    }
    void the_cap_keeps_its_ease_after_any_change_of_the_armhole()
    {
        std::mt19937 rng{71};
        const std::vector<Kind> causes{Kind::ShoulderLength, Kind::ShoulderSlope, Kind::BallOfShoulder,
                                       Kind::ArmholeDepth,   Kind::UnderarmWidth, Kind::Bust,
                                       Kind::ArmholeGape,    Kind::AcrossFront,   Kind::BackArmhole};
        int seen = 0;
        for (int i = 0; i < tries(120); ++i) {
            auto f = with_sleeve(random_bodice(rng), Length::mm(between(rng, 8, 34)));
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back({f.size, {{Measure::Bust, Length::mm(880)}}, 0});
            Plan plan = plan_at(f.size);
            for (const auto kind : causes) {
                if (rng() % 3) continue;
                const auto& a = adjustment(kind);
                plan.decide(take(kind, between(rng, a.least.in_mm() * 0.4, a.most.in_mm() * 0.4)));
            }
            for (const auto kind : {Kind::CapHeight, Kind::CapForward, Kind::TopNotch})
                plan.decide({kind, Answer::Accepted, {}});
            const auto c = compute(*drawn, chart, {}, plan);
            QVERIFY(c.has_value());
            const auto* cap = c->line(Kind::CapHeight);
            if (cap->state == LineState::Refused || (!cap->proposal && !c->checks.cap->holds)) continue;
            ++seen;
            const double off = cap_ease(*c) - f.sleeve.cap_ease.in_mm();
            // From 3 mm on the cap follows; less its ease takes up.
            QVERIFY2(std::abs(off) <= (cap->proposal ? 1.0 : 3.0),
                     qPrintable(QString{"%1: off by %2"}.arg(i).arg(off)));
            for (const auto& w : c->checks.walks)
                QVERIFY2(w.holds,
                         qPrintable(QString{"%1: %2 %3"}.arg(i).arg(w.seam.c_str()).arg(w.difference.in_mm())));
            for (const auto& w : c->checks.walks) {
                if (w.seam.rfind("armhole", 0) != 0 || w.notches_a.size() != w.notches_b.size()) continue;
                for (std::size_t n = 0; n < w.notches_a.size(); ++n)
                    QVERIFY(near(w.notches_a[n].in_mm(), w.notches_b[n].in_mm(),
                                 8));  // less than a cap is re-marked for
            }
        }
        QVERIFY2(seen > tries(60), qPrintable(QString::number(seen)));
    }
    void what_is_not_among_the_pieces_is_only_said()
    {
        const auto b = bench(plain_bodice());
        Plan plan = plan_at("12");
        plan.decide(take(Kind::NeckForward, 8));
        plan.decide(take(Kind::WidthAtWaist, 30));
        const auto all = knock_ons(b(plan));
        const auto said = [&](GarmentMeasure q) {
            return std::any_of(all.begin(), all.end(),
                               [&](const KnockOn& k) { return !k.effect && k.through == q; });
        };
        QVERIFY(said(GarmentMeasure::Waist));
        QVERIFY(!to(all, Kind::CapHeight));  // no sleeve
    }
    void the_bust_is_proposed_for_each_half_less_what_the_side_seams_gave()
    {
        const auto b = bench(plain_bodice());
        const auto body = body_of({{Measure::Bust, 920}, {Measure::HighBust, 852}});
        Plan plan = plan_at("12");
        QVERIFY(near(b(plan, body).line(Kind::Bust)->amount.in_mm(), 20, 1e-9));
        // Section 16: (D − r)/2 where r is fitted at the side seams.
        plan.decide(take(Kind::UnderarmWidth, 16));
        const auto* line = b(plan, body).line(Kind::Bust);
        const auto c = b(plan, body);
        line = c.line(Kind::Bust);
        QVERIFY(near(line->amount.in_mm(), 12, 0.1));
        QVERIFY(near(line->proposal->already.in_mm(), 16, 0.2));
        plan.decide({Kind::Bust, Answer::Accepted, {}});
        QVERIFY(near(
            (b(plan, body).altered_flat.of(GarmentMeasure::Bust) - c.traced_flat.of(GarmentMeasure::Bust)).in_mm(),
            40, 0.2));
    }
    void more_than_two_cups_shows_two_ways_side_by_side()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto body = body_of({{Measure::Bust, 880 + 70}});
        const Plan plan = plan_at("12");
        const auto ways = bust_ways(b(plan, body));
        QCOMPARE(ways.size(), std::size_t{2});
        QVERIFY(ways[0].size == "12" && ways[0].method == static_cast<std::size_t>(BustMethod::TwoSlashes));
        QVERIFY(near(ways[0].bust.in_mm(), 35, 1e-9) && ways[0].carried && ways[0].dart > Length::mm(40));
        QCOMPARE(ways[1].size, std::string{"14"});
        QVERIFY(near(ways[1].bust.in_mm(), 15, 1e-9) && ways[1].carried);
        const auto small = body_of({{Measure::Bust, 900}});
        QVERIFY(bust_ways(b(plan, small)).empty());
    }
    // A smaller bust closes the dart there is and no more: that much is proposed, and said; typed, it is refused.
    void no_more_is_proposed_than_the_paper_carries()
    {
        const auto b = bench(plain_bodice());
        const double drafted = b.chart.body(*b.chart.index_of("12"), Measure::Bust)->in_mm();
        const auto body = body_of({{Measure::Bust, drafted - 60}, {Measure::HighBust, drafted - 80}});
        Plan plan = plan_at("12");
        const auto proposed = *b(plan, body).line(Kind::Bust);
        QCOMPARE(proposed.state, LineState::Proposed);
        QVERIFY(near(proposed.proposal->amount.in_mm(), -30, 1e-6));
        QVERIFY(proposed.short_of && proposed.short_of->why == Why::DartTooSmall);
        const Length most = proposed.short_of->low;
        QVERIFY(proposed.amount >= most && proposed.amount - most < Length::mm(0.5) + to_the_eye);
        plan.decide({Kind::Bust, Answer::Accepted, {}});
        const auto taken = b(plan, body);
        QCOMPARE(taken.line(Kind::Bust)->state, LineState::Accepted);
        QVERIFY(is_near(taken.line(Kind::Bust)->amount, proposed.amount, to_the_eye));
        QVERIFY(taken.line(Kind::Bust)->short_of && taken.not_done.empty() && taken.checks.seams_hold());
        plan.decide(take(Kind::Bust, -30));
        QCOMPARE(b(plan, body).line(Kind::Bust)->state, LineState::Refused);
        QCOMPARE(b(plan, body).not_done.size(), std::size_t{1});
    }
    // Nothing to close at all: not proposed, and not passed over in silence.
    void what_this_paper_cannot_do_is_not_proposed()
    {
        const auto b = bench(plain_tee());
        const double drafted = b.chart.body(*b.chart.index_of("12"), Measure::Bust)->in_mm();
        const auto body = body_of({{Measure::Bust, drafted - 60}, {Measure::HighBust, drafted - 80}});
        const auto bust = *b(plan_at("12"), body).line(Kind::Bust);
        QCOMPARE(bust.state, LineState::NotOnPaper);
        QVERIFY(bust.refusal && bust.refusal->why == Why::DartTooSmall && !bust.short_of);
        QVERIFY(b(plan_at("12"), body).not_done.empty());
    }
    void the_finished_table_holds_body_ease_and_garment_apart()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const auto body = body_of({{Measure::Bust, 910}, {Measure::Waist, 690}, {Measure::UpperArm, 300}});
        Plan plan = plan_at("12");
        plan.decide({Kind::Bust, Answer::Accepted, {}});
        const auto c = b(plan, body);
        const auto table = finished_table(c);
        const auto& bust = row(table, GarmentMeasure::Bust);
        QVERIFY(near(bust.bought.in_mm(), 980, 0.01));
        QVERIFY(near(bust.needed->in_mm(), 910 + 100, 0.01));  // the designer's 100 mm kept
        QVERIFY(near(bust.after.in_mm(), bust.needed->in_mm(), 0.2));
        QVERIFY(bust.holds);
        const auto& arm = row(table, GarmentMeasure::UpperArm);
        QVERIFY(arm.body && !arm.needed);  // the chart prints none
        QVERIFY(near(arm.least.in_mm(), 40, 1e-9));
        plan.ease[Measure::Bust] = Length::mm(60);
        const auto wished = finished_table(b(plan, body));
        QVERIFY(near(row(wished, GarmentMeasure::Bust).needed->in_mm(), 970, 0.01));
    }
    void girth_by_height_is_the_pieces_own_and_the_body_only_where_measured()
    {
        const auto b = bench(plain_tee());
        const auto body = body_of({{Measure::Bust, 880},
                                   {Measure::Waist, 700},
                                   {Measure::Hip, 960},
                                   {Measure::WaistToHip, 200},
                                   {Measure::HighBust, 850}});
        Plan plan = plan_at("12");
        plan.decide(take(Kind::WidthAtWaist, 40));
        const auto c = b(plan, body);
        const auto p = ease_profile(c);
        QVERIFY(p.before.size() > 20 && p.before.size() == p.after.size());
        QVERIFY(near(p.before.front().girth.in_mm(), 900, 0.5));  // at the underarm
        QVERIFY(near(p.before.back().girth.in_mm(), 970, 0.5));   // at the hem
        const auto at_waist =
            std::min_element(p.before.begin(), p.before.end(),
                             [](const GirthAt& x, const GirthAt& y) { return abs(x.height) < abs(y.height); });
        QVERIFY(near(at_waist->girth.in_mm(), 820, 3));
        const auto i = static_cast<std::size_t>(at_waist - p.before.begin());
        QVERIFY(near((p.after[i].girth - p.before[i].girth).in_mm(), 40, 1.5));
        QCOMPARE(p.body.size(), std::size_t{4});
        QVERIFY(!p.body[0].level_measured && !p.body[1].level_measured);  // no heights for bust and high bust
        QVERIFY(p.body[2].level_measured && p.body[3].level_measured);
        QVERIFY(near(p.body[3].at.height.in_mm(), -200, 1e-9));
        // A waist seam with darts: closed, all the way to the lower edge.
        const auto darted = ease_profile(bench(plain_bodice())(plan_at("12")));
        QVERIFY(near(darted.before.back().girth.in_mm(), 780, 4));
        for (std::size_t k = 1; k < darted.before.size(); ++k)
            QVERIFY(near(darted.before[k].girth, darted.before[k - 1].girth, Length::mm(40)));
    }
    void cloth_changes_what_the_cap_is_to_have()
    {
        const auto b = bench(with_sleeve(plain_bodice(), Length::mm(24)));
        Plan plan = plan_at("12");
        QVERIFY(!b(plan).line(Kind::CapHeight)->proposal);
        plan.cloth = {true, 0.3};
        const auto knit = b(plan);
        QVERIFY(!knit.checks.cap->holds);
        QVERIFY(near(knit.checks.cap->wanted.in_mm(), 10, 1e-9));
        plan.decide({Kind::CapHeight, Answer::Accepted, {}});
        QVERIFY(near(cap_ease(b(plan)), 10, 1.0));
        const auto range = cap_ease_range({});
        QVERIFY(range.least == Length::mm(5) && range.most == Length::mm(40));
    }
    void the_bust_is_looked_at_again_after_its_depth()
    {
        const auto b = bench(plain_bodice());
        Plan plan = plan_at("12");
        plan.decide(take(Kind::Bust, 12));
        plan.decide(take(Kind::BustDepth, 8));
        const auto c = b(plan);
        QVERIFY(c.line(Kind::Bust)->look_again == Kind::BustDepth);
    }
};
SARTORUM_TEST(TestWhole)

}  // namespace test_whole

#include "test_whole.moc"
