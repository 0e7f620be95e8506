#include <QTest>
#include <random>

#include "core/chart/size_choice.h"

using namespace sartorum;

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

}  // namespace

class TestChart : public QObject {
    Q_OBJECT
private slots:
    void a_body_on_one_size_gets_that_size()
    {
        const auto a = *advise(eight_sizes(), body(722, 958));
        QCOMPARE(a.reason, ChoiceReason::OneSize);
        QCOMPARE(a.choice.hip_size, std::size_t{2});
        QVERIFY(a.costs[2].outside_noise == 0);
        QCOMPARE(a.costs[3].outside_noise, 2);
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
        QCOMPARE(check_chart(hole).error().why, Why::ChartNoMeasure);
        auto absurd = eight_sizes();
        absurd.sizes[0].body[Measure::Waist] = Length::mm(64);
        QCOMPARE(check_chart(absurd).error().why, Why::OutOfRange);
        QCOMPARE(check_chart({}).error().why, Why::ChartEmpty);
        QVERIFY(check_chart(eight_sizes()).has_value());
    }
};
QTEST_APPLESS_MAIN(TestChart)
#include "test_chart.moc"
