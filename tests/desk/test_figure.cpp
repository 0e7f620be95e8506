// The figure's proportions: they follow the numbers, keep within calm limits, and every measure finds its line.
#include <QTest>
#include <cmath>

#include "desk/tape/measure_line.h"
#include "near.h"
#include "tests.h"

namespace test_figure {

using namespace sartorum;
using namespace sartorum::desk;

namespace {

BodySet with(std::initializer_list<std::pair<Measure, double>> cm)
{
    BodySet set{"2026-01-01", {}};
    for (const auto& [m, v] : cm) set.readings[m] = {Length::cm(v), Length::cm(v)};
    return set;
}

}  // namespace

class TestFigure : public QObject {
    Q_OBJECT
private slots:
    void with_nothing_read_it_is_the_plain_figure()
    {
        const Proportions plain;
        const Proportions empty{BodySet{}};
        for (double l = 16; l < 98; l += 1) {
            QCOMPARE(empty.half_width(l), plain.half_width(l));
            QVERIFY(near(plain.y(l), l, 1e-9));
        }
    }
    void a_larger_girth_is_drawn_wider_at_its_level()
    {
        const Proportions small{with({{Measure::Waist, 70}, {Measure::Hip, 95}})};
        const Proportions large{with({{Measure::Waist, 100}, {Measure::Hip, 95}})};
        QVERIFY(large.half_width(Proportions::waist) > small.half_width(Proportions::waist));
        QVERIFY(near(large.half_width(Proportions::hip), small.half_width(Proportions::hip), 1e-9));
    }
    void the_same_girths_on_a_taller_body_are_drawn_narrower()
    {
        const Proportions shorter{with({{Measure::Hip, 100}, {Measure::Height, 150}})};
        const Proportions taller{with({{Measure::Hip, 100}, {Measure::Height, 190}})};
        QVERIFY(taller.half_width(Proportions::hip) < shorter.half_width(Proportions::hip));
    }
    void levels_follow_the_lengths()
    {
        const Proportions deep{with({{Measure::WaistToHip, 25}, {Measure::Height, 168}})};
        const Proportions shallow{with({{Measure::WaistToHip, 18}, {Measure::Height, 168}})};
        QVERIFY(deep.y(Proportions::hip) > shallow.y(Proportions::hip));
        const Proportions long_skirt{with({{Measure::SkirtLength, 95}})};
        const Proportions short_skirt{with({{Measure::SkirtLength, 45}})};
        QVERIFY(long_skirt.hem() > short_skirt.hem());
        QVERIFY(long_skirt.hem() <= 97);
    }
    void it_stays_within_calm_limits()
    {
        for (const double k : {0.4, 3.0}) {
            const Proportions p{with({{Measure::Bust, 97 * k},
                                      {Measure::Waist, 81 * k},
                                      {Measure::Hip, 103 * k},
                                      {Measure::Thigh, 59 * k},
                                      {Measure::WaistToHip, 20 * k}})};
            const Proportions plain;
            for (double l = 18; l < 98; l += 1) {
                QVERIFY(p.half_width(l) <= 1.65 * plain.half_width(l) + 0.01);
                QVERIFY(p.half_width(l) >= 0.6 * plain.half_width(l));
                QVERIFY(p.y(l + 1) > p.y(l));  // nothing turns over
            }
        }
    }
    void arms_clear_the_trunk()
    {
        const Proportions wide{with({{Measure::Bust, 140}, {Measure::Waist, 130}, {Measure::Hip, 150}})};
        for (double l = 30; l < 50; l += 2) {
            double inner = 100;
            const auto& arm = Proportions::plain_arm();
            for (const auto& q : arm) {
                if (std::abs(q.y() - l) < 3) inner = std::min(inner, wide.arm(q).x());
            }
            if (inner < 100) QVERIFY(inner > wide.half_width(l) - 1.6);
        }
    }
    void every_measure_has_a_line_that_ends_on_the_figure()
    {
        const Proportions p{with({{Measure::Waist, 90}, {Measure::Hip, 110}, {Measure::Height, 160}})};
        for (const auto& f : all_measures) {
            const auto line = line_of(f.measure, p);
            QVERIFY(line.points.size() >= 2);
            for (const auto& q : line.points) {
                QVERIFY(near(q.x(), 0, 30));
                QVERIFY(q.y() > 0 && q.y() < 100);
            }
            double nearest = 1e9;
            for (const auto& q : line.points)
                nearest = std::min(nearest, std::hypot(q.x() - line.anchor.x(), q.y() - line.anchor.y()));
            QVERIFY2(nearest < 0.01, std::string{f.key}.c_str());
        }
    }
};
SARTORUM_TEST(TestFigure)

}  // namespace test_figure

#include "test_figure.moc"
