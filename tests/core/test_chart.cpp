#include <QTest>
#include <random>

#include "core/chart/ease.h"
#include "core/chart/finished_only.h"
#include "core/chart/flat_measuring.h"
#include "core/chart/size_choice.h"
#include "near.h"
#include "published_chart.h"
#include "tests.h"

namespace test_chart {

using namespace sartorum;
using sartorum::test::misses;

namespace {

SizeChart eight_sizes()
{
    SizeChart c{"Skirts", "Nobody", {}};
    for (int i = 0; i < 8; ++i) {
        c.sizes.push_back({std::to_string(8 + 2 * i),
                           {{Measure::Waist, Length::mm(640 + 40 * i)}, {Measure::Hip, Length::mm(880 + 40 * i)}},
                           0});
    }
    return c;
}

BodySet body(double waist, double hip)
{
    return {"2026-01-01",
            {{Measure::Waist, {Length::mm(waist), Length::mm(waist)}},
             {Measure::Hip, {Length::mm(hip), Length::mm(hip)}}}};
}

BodySet measured(std::initializer_list<std::pair<Measure, Length>> values)
{
    BodySet set{"2026-01-01", {}};
    for (const auto& [m, l] : values) set.readings[m] = {l, l};
    return set;
}

}  // namespace

class TestChart : public QObject {
    Q_OBJECT
private slots:
    void a_body_on_one_size_gets_that_size()
    {
        const auto a = *advise(eight_sizes(), body(722, 958));
        QCOMPARE(a.reason, ChoiceReason::OneSize);
        QCOMPARE(a.choice.hip_size, std::size_t{2});
        QVERIFY(a.costs[2].to_adjust == 0);
        QCOMPARE(a.costs[3].to_adjust, 2);
        QVERIFY(is_near(a.costs[3].largest, Length::mm(42), Length::mm(1e-9)));
    }
    void waist_and_hip_on_two_sizes_are_blended()
    {
        const auto a = *advise(eight_sizes(), body(720, 1000));
        QCOMPARE(a.reason, ChoiceReason::Blend);
        QCOMPARE(a.choice.waist_size, std::size_t{2});
        QCOMPARE(a.choice.hip_size, std::size_t{3});
    }
    void in_the_middle_within_the_noise_the_other_level_decides()
    {
        const auto a = *advise(eight_sizes(), body(738, 1000));  // middle at 740, ±5.7
        QCOMPARE(a.reason, ChoiceReason::OneSizeByNoise);
        QCOMPARE(a.choice.waist_size, std::size_t{3});
        QVERIFY(a.waist_between);
    }
    void a_body_beyond_the_chart_is_said_to_be()
    {
        QCOMPARE(advise(eight_sizes(), body(1000, 1300))->reason, ChoiceReason::BeyondChart);
        QCOMPARE(advise(eight_sizes(), {"", {}}).error().why, Why::BodyIncomplete);
    }
    void a_larger_body_never_gets_a_smaller_size()
    {
        std::mt19937 rng{7};
        std::uniform_real_distribution<double> waist{600, 980};
        std::uniform_real_distribution<double> more{0, 60};
        const auto chart = eight_sizes();
        for (int i = 0; i < 2000; ++i) {
            const double w = waist(rng);
            const double d = more(rng);
            QVERIFY(nearest_size(chart, Measure::Waist, Length::mm(w)) <=
                    nearest_size(chart, Measure::Waist, Length::mm(w + d)));
        }
    }
    void charts_that_cannot_be_used_say_why()
    {
        auto twice = eight_sizes();
        twice.sizes[3].name = "10";
        QCOMPARE(check_chart(twice).error().why, Why::ChartSizeTwice);
        auto order = eight_sizes();
        std::swap(order.sizes[1].body, order.sizes[2].body);
        QCOMPARE(check_chart(order).error().why, Why::ChartSizesOutOfOrder);
        auto hole = eight_sizes();
        hole.sizes[4].body.erase(Measure::Hip);
        QCOMPARE(check_chart(hole).error().why, Why::ChartRagged);
        auto bare = eight_sizes();
        bare.sizes[0].body.clear();
        QCOMPARE(check_chart(bare).error().why, Why::ChartNoMeasure);
        SizeChart many;
        for (int i = 0; i < 300; ++i)
            many.sizes.push_back({std::to_string(i), {{Measure::Hip, Length::mm(600 + i)}}, 0});
        QCOMPARE(check_chart(many).error().why, Why::ChartTooLarge);
        auto absurd = eight_sizes();
        absurd.sizes[0].body[Measure::Waist] = Length::mm(64);
        QCOMPARE(check_chart(absurd).error().why, Why::OutOfRange);
        QCOMPARE(check_chart({}).error().why, Why::ChartEmpty);
        QVERIFY(check_chart(eight_sizes()).has_value());
    }
    void the_sewing_cup_is_an_inch_a_letter()  // common practice
    {
        QCOMPARE(cup_by_high_bust(Length::inches(0.4)), std::string{"AA"});
        QCOMPARE(cup_by_high_bust(Length::inches(1)), std::string{"A"});
        QCOMPARE(cup_by_high_bust(Length::inches(3)), std::string{"C"});
        QCOMPARE(cup_by_high_bust(Length::inches(4.2)), std::string{"D"});
        QCOMPARE(cup_difference("DD"), cup_difference("E"));
        QVERIFY(!cup_difference("Q"));
    }
    void the_shop_cup_is_two_centimetres_a_letter()  // EN 13402-3, from memory
    {
        const std::pair<double, const char*> classes[] = {{11, "AA"}, {12, "A"},   {13.9, "A"}, {14, "B"},
                                                          {17, "C"},  {19.5, "D"}, {20, "E"},   {23, "F"}};
        for (const auto& [cm, letter] : classes) QCOMPARE(cup_by_underbust(Length::cm(cm)), std::string{letter});
    }
    void sizes_of_the_standard_are_read_as_it_prints_them()  // EN 13402-3, women, from memory
    {
        constexpr double bust[] = {76, 80, 84, 88, 92, 96, 100, 104, 110, 116, 122, 128};
        SizeChart c{"Standard", "", {}};
        for (const double b : bust)
            c.sizes.push_back({QString::number(b).toStdString(), {{Measure::Bust, Length::cm(b)}}, 0});
        QVERIFY(check_chart(c).has_value());
        // Each size serves half its step to either side: 4 cm up to 104, 6 cm beyond.
        for (std::size_t i = 0; i < c.sizes.size(); ++i) {
            const double step = bust[i] < 104 ? 4 : 6;
            QCOMPARE(nearest_size(c, Measure::Bust, Length::cm(bust[i] + step / 2 - 0.1)), i);
            if (i + 1 < c.sizes.size())
                QCOMPARE(nearest_size(c, Measure::Bust, Length::cm(bust[i] + step / 2 + 0.1)), i + 1);
        }
    }
    void the_frame_is_chosen_by_high_bust_and_the_bust_left_to_adjust()
    {
        // High bust of a size 10: 36 − 2 = 34 in; a full bust of 38 in would buy a 12 or 14.
        const auto set = measured({{Measure::HighBust, Length::inches(34)},
                                   {Measure::Bust, Length::inches(38)},
                                   {Measure::Waist, Length::inches(28)},
                                   {Measure::Hip, Length::inches(38.5)}});
        ChoiceWish wish{GarmentKind::Top};
        auto a = *advise(misses(), set, wish);
        QCOMPARE(a.school.school, School::HighBust);
        QCOMPARE(a.school.reason, SchoolReason::FrameByHighBust);
        QCOMPARE(a.choice.bust_size, std::size_t{4});
        QVERIFY(!a.choice.is_blend());
        wish.school = School::FullBust;
        a = *advise(misses(), set, wish);
        QCOMPARE(a.choice.bust_size, std::size_t{5});
        QCOMPARE(a.school.possible.size(), std::size_t{2});
        QCOMPARE(cup_of(set, misses())->letter, std::string{"D"});
        QCOMPARE(a.ranking[0].choice, (SizeChoice{4, 4, 4}));
        // Its one difference is the bust, 2 in.
        QCOMPARE(a.costs[4].to_adjust, 1);
        QCOMPARE(a.costs[4].largest_at, Measure::Bust);
        QVERIFY(is_near(a.costs[4].largest, Length::inches(2), Length::mm(1e-9)));
    }
    void a_cup_as_drafted_needs_no_school()
    {
        const auto set = measured({{Measure::HighBust, Length::inches(34)}, {Measure::Bust, Length::inches(36)}});
        const auto a = *advise(misses(), set, {GarmentKind::Top});
        QCOMPARE(a.school.reason, SchoolReason::CupAsDrafted);
        const auto without = measured({{Measure::Bust, Length::inches(36)}});
        QCOMPARE(advise(misses(), without, {GarmentKind::Top})->school.reason, SchoolReason::HighBustUnknown);
        QCOMPARE(advise(misses(), {}, {GarmentKind::Top}).error().why, Why::BodyIncomplete);
    }
    void full_skirts_hang_from_the_waist_and_fitted_ones_from_the_hip()
    {
        const auto set = body(722, 958);
        QCOMPARE(advise(eight_sizes(), set)->school.reason, SchoolReason::HangsFromHip);
        ChoiceWish full{GarmentKind::Skirt, true};
        QCOMPARE(advise(eight_sizes(), set, full)->school.school, School::Waist);
    }
    void between_sizes_knits_go_down_and_wovens_up()
    {
        SizeChart c = misses();
        for (auto& s : c.sizes) s.body = {{Measure::Hip, s.body.at(Measure::Hip)}};
        const auto set = measured({{Measure::Hip, Length::inches(38)}});  // the middle of 8 and 10
        QCOMPARE(advise(c, set)->choice.hip_size, std::size_t{4});
        ChoiceWish knit;
        knit.knit = true;
        const auto a = *advise(c, set, knit);
        QCOMPARE(a.choice.hip_size, std::size_t{3});
        QCOMPARE(a.between.size(), std::size_t{1});
        QCOMPARE(a.between[0].lower, std::size_t{3});
    }
    void worn_seated_the_larger_girth_counts()
    {
        auto set = body(722, 958);
        set.readings[Measure::SeatedHip] = {Length::mm(1010), Length::mm(1010)};
        set.readings[Measure::SeatedWaist] = {Length::mm(700)};
        QCOMPARE(as_worn(set, true).taken(Measure::Hip)->value.in_mm(), 1010.0);
        QCOMPARE(as_worn(set, true).taken(Measure::Waist)->value.in_mm(), 722.0);
        ChoiceWish seated;
        seated.seated = true;
        QVERIFY(advise(eight_sizes(), set, seated)->choice.hip_size > advise(eight_sizes(), set)->choice.hip_size);
    }
    void a_larger_body_never_gets_a_smaller_size_at_any_level()
    {
        std::mt19937 rng{23};
        std::uniform_real_distribution<double> at{0, 1};
        for (int i = 0; i < 4000; ++i) {
            const double hb = 760 + 300 * at(rng);
            const double b = hb + 10 + 120 * at(rng);
            const double w = 600 + 330 * at(rng);
            const double h = 860 + 340 * at(rng);
            const int grown = i % 3;
            const double more = 40 * at(rng);
            const auto set_of = [&](bool larger) {
                return measured({{Measure::HighBust, Length::mm(hb + (larger && grown == 0 ? more : 0))},
                                 {Measure::Bust, Length::mm(b + (larger && grown == 0 ? more : 0))},
                                 {Measure::Waist, Length::mm(w + (larger && grown == 1 ? more : 0))},
                                 {Measure::Hip, Length::mm(h + (larger && grown == 2 ? more : 0))}});
            };
            for (const auto kind : {GarmentKind::Dress, GarmentKind::Trousers}) {
                ChoiceWish wish{kind};
                if (kind == GarmentKind::Dress) wish.school = School::HighBust;
                const auto small = advise(misses(), set_of(false), wish)->choice;
                const auto large = advise(misses(), set_of(true), wish)->choice;
                QVERIFY(small.bust_size <= large.bust_size);
                QVERIFY(small.waist_size <= large.waist_size);
                QVERIFY(small.hip_size <= large.hip_size);
            }
        }
    }
    void small_noise_moves_the_size_only_near_the_middle()
    {
        std::mt19937 rng{5};
        std::uniform_real_distribution<double> hip{870, 1200};
        std::uniform_real_distribution<double> noise{-9, 9};  // under half the smallest half step, 12.7 mm
        for (int i = 0; i < 2000; ++i) {
            const double h = hip(rng);
            const auto set = measured({{Measure::Hip, Length::mm(h)}, {Measure::Waist, Length::mm(700)}});
            const auto moved =
                measured({{Measure::Hip, Length::mm(h + noise(rng))}, {Measure::Waist, Length::mm(700)}});
            const auto a = *advise(misses(), set);
            const auto b = *advise(misses(), moved);
            if (a.choice.hip_size == b.choice.hip_size) continue;
            const auto c = misses();
            const auto lower = std::min(a.choice.hip_size, b.choice.hip_size);
            QCOMPARE(std::max(a.choice.hip_size, b.choice.hip_size), lower + 1);
            const double middle =
                (c.sizes[lower].body.at(Measure::Hip).in_mm() + c.sizes[lower + 1].body.at(Measure::Hip).in_mm()) /
                2;
            QVERIFY(near(h, middle, 9 + 6));
        }
    }
    void body_types_of_one_pattern_stay_apart()
    {
        SizeChart c{"Cups", "Nobody", {}};
        for (const char* group : {"B", "D"}) {
            for (int i = 0; i < 3; ++i) {
                const double bust = 900 + 40 * i + (group[0] == 'D' ? 50 : 0);
                c.sizes.push_back({std::to_string(10 + 2 * i), {{Measure::Bust, Length::mm(bust)}}, 0, group});
            }
            c.drafted_cup[group] = group;
        }
        QVERIFY(check_chart(c).has_value());
        QCOMPARE(c.groups().size(), std::size_t{2});
        const auto d = c.of_group("D");
        QCOMPARE(d.sizes.size(), std::size_t{3});
        QCOMPARE(drafted_difference(d)->in_inches(), 4.0);
        QVERIFY(is_near(*implied_high_bust(d, 0), Length::mm(950) - Length::inches(4), Length::mm(1e-9)));
        QCOMPARE(c.of_group("nobody").sizes[0].group, std::string{"B"});
    }
    void of_cup_ranges_the_one_drafted_nearest_is_taken()
    {
        SizeChart c{"Cups", "Nobody", {}};
        for (const char* group : {"B", "C", "D"}) {
            for (int i = 0; i < 2; ++i)
                c.sizes.push_back({i == 0 ? "10" : "12", {{Measure::Bust, Length::mm(900 + 40 * i)}}, 0, group});
            c.drafted_cup[group] = group;
        }
        const auto with = [](double inches) {
            return measured(
                {{Measure::HighBust, Length::mm(860)}, {Measure::Bust, Length::mm(860) + Length::inches(inches)}});
        };
        QCOMPARE(nearest_group(c, with(1.2)), std::string{"B"});
        QCOMPARE(nearest_group(c, with(2.8)), std::string{"C"});
        QCOMPARE(nearest_group(c, with(5.0)), std::string{"D"});
        QCOMPARE(nearest_group(c, measured({{Measure::Bust, Length::mm(960)}})), std::string{"B"});  // not known
        c.drafted_cup.clear();  // tall and short, say
        QCOMPARE(nearest_group(c, with(5.0)), std::string{"B"});
        QVERIFY(nearest_group({}, with(3)).empty());
    }
    void a_bra_keeps_band_and_cup_apart()
    {
        SizeChart c{"Bra", "Nobody", {}};
        for (int i = 0; i < 4; ++i) {
            c.sizes.push_back(
                {QString::number(70 + 5 * i).toStdString(),
                 {{Measure::Underbust, Length::mm(700 + 50 * i)}, {Measure::Bust, Length::mm(860 + 50 * i)}},
                 0});
        }
        const auto set = measured({{Measure::Underbust, Length::mm(702)}, {Measure::Bust, Length::mm(961)}});
        const auto a = *advise(c, set, {GarmentKind::Bra});
        QCOMPARE(size_at(a.choice, Measure::Underbust), std::size_t{0});
        QCOMPARE(size_at(a.choice, Measure::Bust), std::size_t{2});
        QCOMPARE(a.reason, ChoiceReason::Blend);
    }
    void another_size_moves_its_own_part_and_what_has_no_level()
    {
        const std::vector<Measure> dress{Measure::HighBust, Measure::Waist, Measure::Hip};
        const SizeChoice two{2, 2, 2};
        QCOMPARE(with_size_at(two, Measure::CrossShoulder, 4, dress), (SizeChoice{2, 2, 4}));
        QCOMPARE(with_size_at(two, Measure::Waist, 4, dress), (SizeChoice{4, 2, 2}));
        QCOMPARE(with_size_at(two, Measure::InsideLeg, 4, dress), (SizeChoice{2, 4, 2}));
        // A skirt has no bust: it follows the hip.
        QCOMPARE(with_size_at(two, Measure::Hip, 4, {Measure::Waist, Measure::Hip}), (SizeChoice{2, 4, 4}));
        // Bust alone: all of it.
        QCOMPARE(with_size_at(two, Measure::Bust, 4, {Measure::Bust}), (SizeChoice{4, 4, 4}));
    }
    void a_girth_measured_flat_is_graded_with_the_body()
    {
        auto c = eight_sizes();
        c.sizes[5].finished[Measure::Hip] = Length::mm(1200);  // printed, and left as it is
        const auto with = with_finished(c, c.sizes[2], Measure::Hip, Length::mm(1020));
        QCOMPARE(with.finished(2, Measure::Hip)->in_mm(), 1020.0);
        QCOMPARE(with.finished(0, Measure::Hip)->in_mm(), 940.0);  // 880 + 60
        QCOMPARE(with.finished(5, Measure::Hip)->in_mm(), 1200.0);
        const auto row = *ease_at(with, 2, Measure::Hip, body(722, 970), {}, {});
        QVERIFY(ease_holds(row, Length::mm(9.9)) && !ease_holds(row, Length::mm(10)));
    }
    void a_makers_cup_table_wins()
    {
        auto c = misses();
        c.cups = {{"small", Length::cm(6)}, {"middle", Length::cm(10)}, {"large", Length::cm(14)}};
        const auto set = measured({{Measure::HighBust, Length::cm(86)}, {Measure::Bust, Length::cm(95.5)}});
        QCOMPARE(cup_of(set, c)->letter, std::string{"middle"});
        QVERIFY(cup_of(set, c)->makers);
        c.drafted_cup[""] = "small";
        QCOMPARE(drafted_difference(c)->in_cm(), 6.0);
        c.cups_by = CupBy::Underbust;
        QVERIFY(!cup_of(set, c));  // the table wants an underbust
    }
    void a_printed_range_is_its_middle_and_holds_all_of_it()
    {
        auto c = eight_sizes();
        for (auto& s : c.sizes) s.half_range[Measure::Hip] = Length::mm(20);
        const auto cost = cost_of(c, {2, 2, 2}, body(720, 978));
        QCOMPARE(cost.to_adjust, 0);
        QCOMPARE(cost_of(c, {2, 2, 2}, body(720, 982)).to_adjust, 1);
    }
    // Common practice: body and the ease wanted against the finished girth.
    void a_chart_of_finished_girths_serves_body_and_ease()
    {
        auto c = eight_sizes();
        for (auto& s : c.sizes) std::swap(s.body, s.finished);
        QVERIFY(check_chart(c));
        QVERIFY(prints_finished_only(c));
        QVERIFY(!prints_finished_only(eight_sizes()));
        // The waist of size 2 is 720 finished: with 25 mm of ease it serves 695. The hip's 960 serves 920.
        const auto woven = with_bodies_served(c, {}, {});
        QVERIFY(woven.bodies_assumed);
        QCOMPARE(woven.body(2, Measure::Waist)->in_mm(), 695.0);
        QCOMPARE(advise(woven, body(697, 921))->choice, (SizeChoice{2, 2, 2}));
        // Her own ease; and a knit that stretches by half holds a body a quarter larger.
        QCOMPARE(with_bodies_served(c, {}, {{Measure::Waist, Length::mm(60)}}).body(2, Measure::Waist)->in_mm(),
                 660.0);
        QVERIFY(is_near(*with_bodies_served(c, {true, 0.5}, {}).body(2, Measure::Waist), Length::mm(720 * 1.25),
                        Length::mm(1e-9)));
        auto ragged = c;
        ragged.sizes[3].finished.erase(Measure::Hip);
        QCOMPARE(check_chart(ragged).error().why, Why::ChartRagged);
        // A length of the body beside them changes nothing in that.
        for (auto& s : ragged.sizes) s.body[Measure::BackWaistLength] = Length::mm(410);
        QCOMPARE(check_chart(ragged).error().why, Why::ChartRagged);
        for (auto& s : c.sizes) s.body[Measure::BackWaistLength] = Length::mm(410);
        QVERIFY(check_chart(c) && prints_finished_only(c));
        std::swap(c.sizes[3].finished, c.sizes[4].finished);
        QCOMPARE(check_chart(c).error().why, Why::ChartSizesOutOfOrder);
        QVERIFY(!with_bodies_served(eight_sizes(), {}, {}).bodies_assumed);
    }
    void what_nobody_sews_is_not_counted()
    {
        const auto c = eight_sizes();
        const Length waist = *c.body(2, Measure::Waist);
        const Length hip = *c.body(2, Measure::Hip);
        auto exact = measured({{Measure::Waist, waist + Length::mm(5.9)}, {Measure::Hip, hip}});
        QCOMPARE(cost_of(c, {2, 2, 2}, exact).to_adjust, 0);
        exact = measured({{Measure::Waist, waist + Length::mm(6.1)}, {Measure::Hip, hip}});
        QCOMPARE(cost_of(c, {2, 2, 2}, exact).to_adjust, 1);
    }
    void an_advised_blend_is_ranked_with_the_sizes()
    {
        const auto c = eight_sizes();
        const auto set =
            measured({{Measure::Waist, *c.body(4, Measure::Waist)}, {Measure::Hip, *c.body(2, Measure::Hip)}});
        const auto a = *advise(c, set);
        QVERIFY(a.choice.is_blend());
        QCOMPARE(a.ranking.size(), c.sizes.size() + 1);
        QCOMPARE(a.ranking[0].choice, a.choice);
        QCOMPARE(a.ranking[0].to_adjust, 0);
        QVERIFY(a.ranking[1].to_adjust > 0);
    }
    void the_designers_ease_is_kept_unless_another_is_wished()
    {
        auto c = eight_sizes();
        c.sizes[2].finished[Measure::Hip] = Length::mm(1020);  // chart 960: 60 of ease
        const auto set = body(722, 975);
        auto row = *ease_at(c, 2, Measure::Hip, set, {}, {});
        QCOMPARE(row.designed.in_mm(), 60.0);
        QCOMPARE(row.now.in_mm(), 45.0);
        QCOMPARE(row.change().in_mm(), 15.0);  // body − chart
        QCOMPARE(row.finished_wanted().in_mm(), 1035.0);
        row = *ease_at(c, 2, Measure::Hip, set, {{Measure::Hip, Length::mm(30)}}, {});
        QVERIFY(row.wished && !row.holds({}));  // below the least, 40
        QCOMPARE(row.change().in_mm(), -15.0);
        QVERIFY(!ease_at(c, 2, Measure::Waist, set, {}, {}));  // nothing finished is known
    }
    void knits_may_be_smaller_than_the_body()
    {
        QCOMPARE(least_ease(Measure::Bust, {}, Length::mm(900)).in_mm(), 50.0);  // common practice, woven
        QCOMPARE(least_ease(Measure::Bust, {true, 0.05}, Length::mm(900)).in_mm(), 50.0);
        // Half of 50 % stretch: a garment of 720 stretched by a quarter is 900.
        QVERIFY(
            is_near(least_ease(Measure::Bust, {true, 0.5}, Length::mm(900)), Length::mm(-180), Length::mm(1e-9)));
    }
    void pieces_laid_flat_give_the_finished_girth()
    {
        // A quarter front 25 cm less a 2 cm dart, on the fold; a back 26 less 1.5 with a tuck stitched 1 cm from
        // its fold, cut twice: 2·23 + 2·(26 − 1.5 − 2) = 91 cm.
        const std::vector<FlatWidth> widths{
            {"front", Length::cm(25), Length::cm(2)},
            {"back", Length::cm(26), Length::cm(1.5), {{FoldKind::Tuck, Length::cm(1), 1}}}};
        QVERIFY(is_near(*finished_girth(widths), Length::cm(91), Length::mm(1e-9)));
        QVERIFY(is_near(taken_by({FoldKind::BoxPleat, Length::cm(3), 2}), Length::cm(24), Length::mm(1e-9)));
        QVERIFY(is_near(taken_by({FoldKind::KnifePleat, Length::cm(3), 2}), Length::cm(12), Length::mm(1e-9)));
        QCOMPARE(finished_girth({}).error().why, Why::FlatNothingMeasured);
        QCOMPARE(finished_girth({{"front", Length::cm(5), Length::cm(6)}}).error().why,
                 Why::FlatMoreTakenThanThere);
        QCOMPARE(finished_girth({{"front", Length::cm(-5)}}).error().why, Why::NotPositive);
    }
};
SARTORUM_TEST(TestChart)

}  // namespace test_chart

#include "test_chart.moc"
