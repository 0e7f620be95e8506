// Finished measures and girth against height, beside widths found on the flat paper by hand.
#include <QTest>
#include <algorithm>

#include "core/alter/widths/rows.h"
#include "core/plan/bust_ways.h"
#include "core/plan/finished.h"
#include "core/plan/knock_ons.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_profile {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

// How wide a piece without darts is at a level: its outline as a polygon, crossed by hand.
double wide_at(const Piece& p, double level)
{
    double least = 1e9;
    double most = -1e9;
    const auto points = outline_points(p, Length::mm(0.01));
    for (std::size_t i = 0; i < points.size(); ++i) {
        const Point a = points[i];
        const Point b = points[(i + 1) % points.size()];
        if ((a[Geom::Y] - level) * (b[Geom::Y] - level) > 0 || a[Geom::Y] == b[Geom::Y]) continue;
        const double x = a[Geom::X] + (b[Geom::X] - a[Geom::X]) * (level - a[Geom::Y]) / (b[Geom::Y] - a[Geom::Y]);
        least = std::min(least, x);
        most = std::max(most, x);
    }
    return most > least ? most - least : 0;
}

double girth_at(const std::vector<GirthAt>& line, double height)
{
    double best = 1e9;
    double girth = 0;
    for (const auto& g : line) {
        if (std::abs(g.height.in_mm() - height) >= best) continue;
        best = std::abs(g.height.in_mm() - height);
        girth = g.girth.in_mm();
    }
    return girth;
}

const FinishedRow* row(const std::vector<FinishedRow>& all, GarmentMeasure what)
{
    const auto it = std::find_if(all.begin(), all.end(), [&](const FinishedRow& r) { return r.what == what; });
    return it == all.end() ? nullptr : &*it;
}

BodySet a_body()
{
    return body_of({{Measure::Bust, 900},
                    {Measure::HighBust, 860},
                    {Measure::Waist, 730},
                    {Measure::Hip, 980},
                    {Measure::UpperArm, 295},
                    {Measure::BackWaistLength, 415},
                    {Measure::FrontWaistLength, 440}});
}

}  // namespace

class TestProfile : public QObject {
    Q_OBJECT
private slots:
    void a_tees_girth_is_twice_its_two_widths()
    {
        const auto b = bench(plain_tee());
        const auto c = b(plan_at("12"), a_body());
        const auto profile = ease_profile(c);
        QVERIFY(profile.after.size() > 10);
        const Piece& front = front_of(c.altered);
        const Piece& back = back_of(c.altered);
        const double waist_f = guide(front, GuideKind::Waist)->a[Geom::Y];
        const double waist_b = guide(back, GuideKind::Waist)->a[Geom::Y];
        int seen = 0;
        for (const auto& g : profile.after) {
            const double h = g.height.in_mm();
            if (h > 150 || h < -150) continue;  // below the armhole, above the curved hem
            const double by_hand = 2 * (wide_at(front, waist_f + h) + wide_at(back, waist_b + h));
            QVERIFY2(near(g.girth.in_mm(), by_hand, 1.0), qPrintable(QString::number(h)));
            ++seen;
        }
        QVERIFY(seen > 5);
    }
    void heights_run_one_way_and_girths_are_like_a_garments()
    {
        std::mt19937 rng{51};
        for (int i = 0; i < tries(24); ++i) {
            const auto f = i % 3 == 0 ? plain_tee() : i % 3 == 1 ? random_bodice(rng) : random_princess(rng);
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back({f.size, {{Measure::Bust, Length::mm(880)}}, 0});
            const auto c = compute(*drawn, chart, a_body(), plan_at(f.size));
            QVERIFY(c.has_value());
            const auto profile = ease_profile(*c);
            for (const auto* line : {&profile.before, &profile.after}) {
                QVERIFY(line->size() > 3);
                const bool down = line->front().height > line->back().height;
                for (std::size_t k = 1; k < line->size(); ++k) {
                    QCOMPARE((*line)[k - 1].height > (*line)[k].height, down);
                    QVERIFY((*line)[k].girth > Length::mm(400) && (*line)[k].girth < Length::mm(2500));
                }
            }
            // Nothing accepted: before and after are one line.
            QCOMPARE(profile.before.size(), profile.after.size());
            for (std::size_t k = 0; k < profile.before.size(); ++k)
                QVERIFY(near(profile.before[k].girth.in_mm(), profile.after[k].girth.in_mm(), 1e-6));
        }
    }
    void ease_at_a_level_is_the_garments_girth_less_the_bodys()
    {
        const auto b = bench(plain_tee());
        Plan plan = plan_at("12");
        plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(40)});
        const auto c = b(plan, a_body());
        const auto profile = ease_profile(c);
        QVERIFY(!profile.body.empty());
        for (const auto& at : profile.body) {
            // The bust is measured along its own line, everything else read off level.
            const double here = at.measure == Measure::Bust ? c.altered_flat.of(GarmentMeasure::Bust).in_mm()
                                                            : girth_at(profile.after, at.at.height.in_mm());
            QVERIFY(near(at.ease_after.in_mm(), here - at.at.girth.in_mm(), 6));
            if (at.measure == Measure::Waist) {
                QVERIFY(near((at.ease_after - at.ease_before).in_mm(), 40, 1.0));
                QVERIFY(near(at.at.height.in_mm(), 0, 1e-9));
            }
        }
        // From the top down.
        for (std::size_t i = 1; i < profile.body.size(); ++i)
            QVERIFY(profile.body[i - 1].at.height >= profile.body[i].at.height);
    }
    void where_no_tape_lay_nothing_is_drawn()
    {
        const auto b = bench(plain_tee());
        const auto only_waist = body_of({{Measure::Waist, 730}});
        const auto profile = ease_profile(b(plan_at("12"), only_waist));
        QCOMPARE(profile.body.size(), std::size_t{1});
        QCOMPARE(profile.body.front().measure, Measure::Waist);
        QVERIFY(ease_profile(b(plan_at("12"))).body.empty());
    }
    void the_table_says_what_the_paper_measures()
    {
        std::mt19937 rng{52};
        for (int i = 0; i < tries(24); ++i) {
            const auto f = with_sleeve(i % 2 ? random_bodice(rng) : random_princess(rng));
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back(
                {f.size, {{Measure::Bust, Length::mm(880)}, {Measure::Waist, Length::mm(700)}}, 0});
            Plan plan = plan_at(f.size);
            for (const auto kind : {Kind::WidthAtWaist, Kind::Bust, Kind::UpperArm, Kind::ShoulderLength})
                if (rng() % 2) plan.decide({kind, Answer::Accepted, Length::mm(between(rng, 3, 14))});
            const auto c = compute(*drawn, chart, a_body(), plan);
            QVERIFY(c.has_value());
            const auto table = finished_table(*c);
            const auto flat = measure_flat(c->altered.pieces);
            const auto is = [&](GarmentMeasure what, Length after, Length before) {
                const auto* r = row(table, what);
                return r && near(r->after.in_mm(), after.in_mm()) && near(r->bought.in_mm(), before.in_mm());
            };
            QVERIFY(
                is(GarmentMeasure::Bust, flat.of(GarmentMeasure::Bust), c->traced_flat.of(GarmentMeasure::Bust)));
            QVERIFY(is(GarmentMeasure::Waist, flat.of(GarmentMeasure::Waist),
                       c->traced_flat.of(GarmentMeasure::Waist)));
            QVERIFY(is(GarmentMeasure::Armhole, flat.of(GarmentMeasure::Armhole),
                       c->traced_flat.of(GarmentMeasure::Armhole)));
            QVERIFY(is(GarmentMeasure::Cap, flat.of(GarmentMeasure::Cap), c->traced_flat.of(GarmentMeasure::Cap)));
            QVERIFY(is(GarmentMeasure::UpperArm, flat.of(GarmentMeasure::UpperArm),
                       c->traced_flat.of(GarmentMeasure::UpperArm)));
            QVERIFY(
                is(GarmentMeasure::Side, flat.of(GarmentMeasure::Side), c->traced_flat.of(GarmentMeasure::Side)));
            // Needed is the body and the ease as drafted: chart bust and the traced garment say which that is.
            const auto* bust = row(table, GarmentMeasure::Bust);
            QVERIFY(bust->needed.has_value());
            const Length ease = c->traced_flat.of(GarmentMeasure::Bust) - Length::mm(880);
            QVERIFY(near(bust->needed->in_mm(), 900 + ease.in_mm(), 0.01));
        }
    }
    void her_own_ease_is_what_is_needed_then()
    {
        const auto b = bench(plain_bodice());
        Plan plan = plan_at("12");
        plan.ease[Measure::Bust] = Length::mm(70);
        const auto c = b(plan, a_body());
        const auto table = finished_table(c);
        QVERIFY(near(row(table, GarmentMeasure::Bust)->needed->in_mm(), 970, 1e-6));
        // Less than one moves in is told, however it came about.
        plan.ease[Measure::Bust] = Length::mm(10);
        plan.decide({Kind::UnderarmWidth, Answer::Accepted, Length::mm(-60)});
        const auto tight = b(plan, body_of({{Measure::Bust, 905}}));
        const auto told = finished_table(tight);
        QVERIFY(!row(told, GarmentMeasure::Bust)->holds);
    }
    void two_ways_for_a_large_bust_are_both_worked_out()
    {
        for (const bool panels : {false, true}) {
            const auto b = bench(panels ? princess(plain_bodice()) : plain_bodice());
            auto body = a_body();
            body.readings[Measure::Bust] = {Length::mm(962), Length::mm(962)};
            body.readings[Measure::HighBust] = {Length::mm(855), Length::mm(855)};
            Plan plan = plan_at("12");
            plan.decide({Kind::Bust, Answer::Accepted, {}});
            const auto c = b(plan, body);
            QVERIFY(c.line(Kind::Bust)->amount > bust_limit);
            const auto ways = bust_ways(c);
            QCOMPARE(ways.size(), std::size_t{2});
            QVERIFY(ways[0].carried && ways[0].method == way(BustMethod::TwoSlashes));
            QCOMPARE(ways[0].size, std::string{"12"});
            QVERIFY(ways[1].carried && ways[1].bust <= bust_limit && ways[1].size != "12");
            QVERIFY(ways[1].bust < ways[0].bust);
            QCOMPARE(ways[0].dart > Length{}, !panels);
        }
        // Within two cups there is nothing to choose.
        const auto b = bench(plain_bodice());
        Plan plan = plan_at("12");
        plan.decide({Kind::Bust, Answer::Accepted, Length::mm(20)});
        QVERIFY(bust_ways(b(plan, a_body())).empty());
    }
    void links_name_only_what_moved_and_only_what_was_accepted()
    {
        std::mt19937 rng{53};
        const auto b = bench(with_sleeve(plain_bodice()));
        for (int i = 0; i < tries(24); ++i) {
            Plan plan = plan_at("12");
            for (const auto& a : catalogue()) {
                if (rng() % 4 || !serves(a, b(plan).traced)) continue;
                plan.decide({a.kind, rng() % 3 ? Answer::Accepted : Answer::Declined,
                             Length::mm(between(rng, a.least.in_mm() * 0.3, a.most.in_mm() * 0.3))});
            }
            const auto c = b(plan);
            for (const auto& link : knock_ons(c)) {
                QVERIFY(!link.causes.empty());
                if (!link.effect) QVERIFY(abs(link.by) > Length::mm(0.5));
                Length sum;
                for (const auto cause : link.causes) {
                    QCOMPARE(c.line(cause)->state, LineState::Accepted);
                    if (link.effect) QVERIFY(comes_before(cause, *link.effect));
                    sum += c.line(cause)->changed.of(link.through);
                }
                // A seam moved forward is told by its amount, everything else by what it changed.
                if (link.effect != Kind::CapForward) QVERIFY(near(sum.in_mm(), link.by.in_mm(), 1e-6));
            }
        }
    }
};

SARTORUM_TEST(TestProfile)

}  // namespace test_profile

#include "test_profile.moc"
