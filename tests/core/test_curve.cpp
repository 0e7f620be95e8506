// Curves against sums over their Bernstein polynomials, against closed forms, and against their own inverses.
#include <QTest>
#include <numbers>

#include "bodices.h"
#include "core/pattern/curve.h"
#include "core/units/root.h"
#include "core/units/settle.h"
#include "near.h"
#include "tests.h"

namespace test_curve {

using namespace sartorum;
using namespace sartorum::test;

namespace {

// The curve by its polynomial, not by the library the core uses.
Point bernstein(const std::vector<Point>& p, double t)
{
    const double s = 1 - t;
    return p[0] * (s * s * s) + p[1] * (3 * s * s * t) + p[2] * (3 * s * t * t) + p[3] * (t * t * t);
}

Point at_time(const Curve& c, double time)
{
    const auto segment = std::min(static_cast<std::size_t>(time), c.size_default() - 1);
    return bernstein(controls(c, segment), time - static_cast<double>(segment));
}

// Chords short enough to be the arc within a thousandth; none over a node, where there may be a corner.
double summed(const Curve& c, double until)
{
    constexpr int parts = 4000;
    double sum = 0;
    for (double from = 0; from < until; from += 1) {
        const double to = std::min(from + 1, until);
        Point last = at_time(c, from);
        for (int i = 1; i <= parts; ++i) {
            const Point here = at_time(c, std::min(from + (to - from) * i / parts, to - (i == parts ? 1e-12 : 0)));
            sum += Geom::distance(last, here);
            last = here;
        }
    }
    return sum;
}

Curve random_curve(std::mt19937& rng, int segments = 2)
{
    std::vector<Point> p{{between(rng, -50, 50), between(rng, -50, 50)}};
    for (int i = 0; i < 3 * segments; ++i)
        p.push_back(p.back() + Point{between(rng, 8, 60), between(rng, -40, 40)});
    return from_controls(p);
}

// Of two segments that run into each other; and of two with a clear corner between them.
Curve smooth_curve(std::mt19937& rng)
{
    auto p = all_controls(random_curve(rng));
    p[4] = p[3] + (p[3] - p[2]) * between(rng, 0.2, 4);
    return from_controls(p);
}

Curve cornered_curve(std::mt19937& rng)
{
    for (;;) {
        const Curve c = random_curve(rng);
        const auto p = all_controls(c);
        if (std::abs(Geom::angle_between(p[3] - p[2], p[4] - p[3])) > 0.2) return c;
    }
}

double end_of(const Curve& c)
{
    return static_cast<double>(c.size_default());
}

bool same(Point a, Point b, double within = 1e-9)
{
    return Geom::distance(a, b) <= within;
}

bool same(const Curve& a, const Curve& b, double within = 1e-9)
{
    const auto p = all_controls(a);
    const auto q = all_controls(b);
    if (p.size() != q.size()) return false;
    for (std::size_t i = 0; i < p.size(); ++i) {
        if (!same(p[i], q[i], within)) return false;
    }
    return true;
}

double between_directions(Point a, Point b)
{
    return std::abs(Geom::angle_between(a, b));
}

}  // namespace

class TestCurve : public QObject {
    Q_OBJECT
private slots:
    void a_segment_of_no_length_goes_into_its_neighbour()
    {
        const Curve whole = cubic({0, 0}, {30, 40}, {80, 40}, {120, 0});
        for (const double at : {0.00001, 0.99999}) {
            const auto parts = split(whole, at);
            const auto one = without_node(joined(parts.before, parts.after), 1);
            QVERIFY(one && one->size_default() == 1);
            const auto a = controls(*one, 0);
            const auto b = controls(whole, 0);
            for (std::size_t i = 0; i < a.size(); ++i) QVERIFY(Geom::distance(a[i], b[i]) < 0.01);
        }
    }
    void a_straight_line_is_as_long_as_pythagoras_says()
    {
        std::mt19937 rng{1};
        for (int i = 0; i < 200; ++i) {
            const Point a{between(rng, -500, 500), between(rng, -500, 500)};
            const Point b{between(rng, -500, 500), between(rng, -500, 500)};
            const Curve c = straight(a, b);
            const double x = b[Geom::X] - a[Geom::X];
            const double y = b[Geom::Y] - a[Geom::Y];
            QVERIFY(near(length(c).in_mm(), std::sqrt(x * x + y * y), 1e-9));
            QVERIFY(is_straight(c, 0));
            // Its handles stand at the thirds, so that it blends evenly with a curve.
            QVERIFY(same(controls(c, 0)[1], a + (b - a) / 3) && same(controls(c, 0)[2], a + (b - a) * 2 / 3));
        }
    }
    void a_quarter_circle_is_as_long_as_a_circles_quarter()
    {
        // Handles 4/3 · tan(π/8) of the radius: off the circle by less than 3 parts in 10,000.
        const double r = 180;
        const double h = r * 4 / 3 * std::tan(std::numbers::pi / 8);
        const Curve c = cubic({r, 0}, {r, h}, {h, r}, {0, r});
        QVERIFY(near(length(c).in_mm(), r * std::numbers::pi / 2, r * 3e-4));
        QVERIFY(same(start_direction(c), {0, 1}) && same(end_direction(c), {-1, 0}));
    }
    void lengths_agree_with_a_sum_of_chords()
    {
        std::mt19937 rng{2};
        for (int i = 0; i < 120; ++i) {
            const Curve c = random_curve(rng, 1 + static_cast<int>(rng() % 3));
            QVERIFY(near(length(c).in_mm(), summed(c, end_of(c)), 5e-3));
            const double time = between(rng, 0.05, end_of(c) - 0.05);
            QVERIFY(near(length_to(c, time).in_mm(), summed(c, time), 5e-3));
        }
    }
    void the_length_to_an_end_is_nothing_or_all()
    {
        std::mt19937 rng{3};
        const Curve c = random_curve(rng);
        QCOMPARE(length_to(c, 0), Length{});
        QCOMPARE(length_to(c, -1), Length{});
        QVERIFY(near(length_to(c, end_of(c)).in_mm(), length(c).in_mm()));
        QVERIFY(near(length_to(c, end_of(c) + 1).in_mm(), length(c).in_mm()));
    }
    void a_time_is_found_by_its_length_and_the_other_way_round()
    {
        std::mt19937 rng{4};
        for (int i = 0; i < 120; ++i) {
            const Curve c = random_curve(rng, 2);
            const double want = length(c).in_mm() * between(rng, 0.02, 0.98);
            const double time = time_at(c, Length::mm(want));
            QVERIFY(near(length_to(c, time).in_mm(), want, 2 * curve_tolerance.in_mm()));
        }
        const Curve c = random_curve(rng, 2);
        QVERIFY(near(time_at(c, {}), 0, 1e-6));
        QVERIFY(near(time_at(c, length(c)), end_of(c), 1e-6));
    }
    // Eased, a straight line stays straight and does not run evenly any more.
    void a_time_is_found_on_a_straight_line_that_was_eased()
    {
        const Curve c = eased(straight({0, 0}, {0, -600}), {0, 0}, {0, -40});
        for (double along = 0; along <= 640; along += 32) {
            const Point at = c.pointAt(time_at(c, Length::mm(along)));
            QVERIFY(near(at[Geom::Y] + along, 0, 1e-5));
        }
    }
    void halves_are_the_whole()
    {
        std::mt19937 rng{5};
        for (int i = 0; i < 120; ++i) {
            const Curve c = random_curve(rng, 3);
            const double time = between(rng, 0.02, 2.98);
            const auto [before, after] = split(c, time);
            QVERIFY(same(before.finalPoint(), at_time(c, time), 1e-7));
            QVERIFY(same(before.finalPoint(), after.initialPoint(), 1e-12));
            QVERIFY(near((length(before) + length(after)).in_mm(), length(c).in_mm(), 3e-3));
            // Smooth where it was parted.
            QVERIFY(between_directions(end_direction(before), start_direction(after)) < 1e-4);
            const Curve again = joined(before, after);
            for (int k = 0; k <= 20; ++k) QVERIFY(nearest(again, at_time(c, 3.0 * k / 20)).off < 1e-3);
        }
    }
    void at_a_node_the_nodes_own_halves_are_taken()
    {
        std::mt19937 rng{6};
        const Curve c = random_curve(rng, 3);
        const auto [before, after] = split(c, 1.0);
        QCOMPARE(before.size_default(), std::size_t{1});
        QCOMPARE(after.size_default(), std::size_t{2});
        QVERIFY(same(joined(before, after), c));
        QVERIFY(same(split(c, 1.0 + 1e-9).before, before));
    }
    void there_and_back_is_the_same_curve()
    {
        std::mt19937 rng{7};
        for (int i = 0; i < 60; ++i) {
            const Curve c = i % 2 ? smooth_curve(rng) : cornered_curve(rng);
            QVERIFY(same(reversed(reversed(c)), c));
            QVERIFY(near(length(reversed(c)).in_mm(), length(c).in_mm(), 2e-3));
            QVERIFY(same(start_direction(reversed(c)), -end_direction(c), 1e-9));
            const Point by{between(rng, -90, 90), between(rng, -90, 90)};
            QVERIFY(same(moved(moved(c, by), -by), c, 1e-9));
            const Point a{between(rng, -20, 20), between(rng, -20, 20)};
            const Point b{between(rng, -20, 20), between(rng, -20, 20)};
            QVERIFY(same(eased(eased(c, a, b), -a, -b), c, 1e-6));
            QVERIFY(same(sheared(sheared(c, a, b), -a, -b), c, 1e-6));
            const double turn = between(rng, -0.5, 0.5);
            QVERIFY(same(start_turned(start_turned(c, turn), -turn), c, 1e-9));
            QVERIFY(same(end_turned(end_turned(c, turn), -turn), c, 1e-9));
        }
    }
    void a_shift_does_not_depend_on_where_the_nodes_lie()
    {
        std::mt19937 rng{8};
        for (int i = 0; i < 60; ++i) {
            const Curve whole = random_curve(rng, 1);
            const auto halves = split(whole, between(rng, 0.05, 0.95));
            const Curve cut = joined(halves.before, halves.after);
            const Point a{between(rng, -20, 20), between(rng, -20, 20)};
            const Point b{between(rng, -20, 20), between(rng, -20, 20)};
            for (const auto& [one, two] : {std::pair{eased(whole, a, b), eased(cut, a, b)},
                                           std::pair{sheared(whole, a, b), sheared(cut, a, b)}}) {
                for (int k = 0; k <= 20; ++k) QVERIFY(nearest(one, at_time(two, 2.0 * k / 20)).off < 1e-6);
            }
            // Where two run into each other they still do.
            const Curve bent = eased(smooth_curve(rng), a, b);
            const auto p = all_controls(bent);
            QVERIFY(near(Geom::angle_between(p[3] - p[2], p[4] - p[3]), 0, 1e-9));
        }
    }
    void an_eased_shift_moves_its_ends_by_what_was_asked_and_keeps_their_directions()
    {
        std::mt19937 rng{8};
        for (int i = 0; i < 80; ++i) {
            const Curve c = random_curve(rng, 1 + static_cast<int>(rng() % 3));
            const Point a{between(rng, -12, 12), between(rng, -12, 12)};
            const Point b{between(rng, -12, 12), between(rng, -12, 12)};
            const Curve moved_ends = eased(c, a, b);
            QVERIFY(same(moved_ends.initialPoint(), c.initialPoint() + a));
            QVERIFY(same(moved_ends.finalPoint(), c.finalPoint() + b));
            QVERIFY(between_directions(start_direction(moved_ends), start_direction(c)) < 1e-6);
            QVERIFY(between_directions(end_direction(moved_ends), end_direction(c)) < 1e-6);
            // Both ends alike is a move of the whole.
            QVERIFY(same(eased(c, a, a), moved(c, a), 1e-9));
        }
    }
    void one_segment_is_eased_by_the_weight_it_says()
    {
        // Every place goes by a·(1 − w) + b·w with w = 3t² − 2t³: nothing is approximated.
        std::mt19937 rng{9};
        for (int i = 0; i < 40; ++i) {
            const Curve c = random_curve(rng, 1);
            const Point a{between(rng, -12, 12), between(rng, -12, 12)};
            const Point b{between(rng, -12, 12), between(rng, -12, 12)};
            const Curve out = eased(c, a, b);
            for (const double t : {0.1, 0.25, 0.5, 0.8}) {
                const double w = 3 * t * t - 2 * t * t * t;
                QVERIFY(same(at_time(out, t), at_time(c, t) + a * (1 - w) + b * w, 1e-9));
            }
        }
    }
    void a_sheared_line_stays_straight()
    {
        const Curve c = straight({0, 0}, {100, 30});
        const Curve out = sheared(c, {3, 4}, {-5, 9});
        QVERIFY(is_straight(out, 0));
        QVERIFY(same(at_time(out, 0.5), Point{50, 15} + Point{-1, 6.5}, 1e-9));
    }
    void parts_of_a_longer_run_are_eased_as_the_run_would_be()
    {
        // Two halves, each eased as its part of the whole, meet and keep one direction.
        std::mt19937 rng{10};
        for (int i = 0; i < 40; ++i) {
            const Curve c = random_curve(rng, 2);
            const auto [one, two] = split(c, 1.0);
            const double at = length(one) / length(c);
            const Point a{between(rng, -12, 12), between(rng, -12, 12)};
            const Point b{between(rng, -12, 12), between(rng, -12, 12)};
            const Curve first = eased_part(one, a, b, 0, at);
            const Curve second = eased_part(two, a, b, at, 1);
            QVERIFY(same(first.finalPoint(), second.initialPoint(), 1e-9));
            QVERIFY(same(first.initialPoint(), c.initialPoint() + a, 1e-9));
            QVERIFY(same(second.finalPoint(), c.finalPoint() + b, 1e-9));
        }
    }
    void a_turned_end_turns_by_the_angle_and_nothing_else_moves()
    {
        std::mt19937 rng{11};
        for (int i = 0; i < 60; ++i) {
            const Curve c = random_curve(rng, 2);
            const double angle = between(rng, -0.6, 0.6);
            const Curve start = start_turned(c, angle);
            QVERIFY(near(Geom::angle_between(start_direction(c), start_direction(start)), angle, 1e-9));
            QVERIFY(same(end_direction(start), end_direction(c)));
            const Curve end = end_turned(c, angle);
            QVERIFY(near(Geom::angle_between(end_direction(c), end_direction(end)), angle, 1e-9));
            QVERIFY(same(end.initialPoint(), c.initialPoint()) && same(end.finalPoint(), c.finalPoint()));
        }
    }
    void fuller_handles_give_the_length_that_is_wanted()
    {
        // A shallow arch grows and shrinks by some per cent through its handles alone.
        const Curve arch = cubic({0, 0}, {40, 50}, {120, 50}, {160, 0});
        for (const double share : {0.97, 1.0, 1.03, 1.08}) {
            const Length want = length(arch) * share;
            const Curve out = ends_scaled_to_length(arch, want);
            QVERIFY(near(length(out).in_mm(), want.in_mm(), 0.01));
            QVERIFY(same(out.initialPoint(), arch.initialPoint()) && same(out.finalPoint(), arch.finalPoint()));
            QVERIFY(between_directions(start_direction(out), start_direction(arch)) < 1e-9);
        }
        // Shorter than the chord there is nothing: the nearest is given.
        QVERIFY(length(ends_scaled_to_length(arch, Length::mm(100))) >= Length::mm(160) - curve_tolerance);
    }
    void between_two_curves_every_place_lies_between()
    {
        std::mt19937 rng{12};
        for (int i = 0; i < 40; ++i) {
            const Curve a = random_curve(rng, 2);
            const Curve b = random_curve(rng, 2);
            const Curve out = eased_between(a, b);
            QVERIFY(same(out.initialPoint(), a.initialPoint()) && same(out.finalPoint(), b.finalPoint()));
            QVERIFY(same(eased_between(a, a), a, 1e-9));
        }
    }
    void the_nearest_place_is_nearer_than_any_other()
    {
        std::mt19937 rng{13};
        for (int i = 0; i < 60; ++i) {
            const Curve c = random_curve(rng, 2);
            const Point from{between(rng, -60, 400), between(rng, -200, 200)};
            const auto near = nearest(c, from);
            QVERIFY(sartorum::near(Geom::distance(at_time(c, near.time), from), near.off, 1e-6));
            for (int k = 0; k <= 400; ++k)
                QVERIFY(Geom::distance(at_time(c, 2.0 * k / 400), from) >= near.off - 1e-6);
        }
        const Curve line = straight({0, 0}, {100, 0});
        QVERIFY(nearest(line, {30, 5}).inside);
        QVERIFY(!nearest(line, {-8, 5}).inside && !nearest(line, {108, -5}).inside);
        QVERIFY(near(nearest(line, {30, 5}).off, 5) && near(nearest(line, {103, 4}).off, 5));
    }
    void points_along_it_are_as_near_as_was_asked()
    {
        std::mt19937 rng{14};
        for (const double tolerance : {1.0, 0.1, 0.01}) {
            for (int i = 0; i < 20; ++i) {
                const Curve c = random_curve(rng, 2);
                const auto points = flattened(c, Length::mm(tolerance));
                QVERIFY(same(points.front(), c.initialPoint()) && same(points.back(), c.finalPoint()));
                for (int k = 0; k <= 200; ++k) {
                    const Point here = at_time(c, 2.0 * k / 200);
                    double least = 1e9;
                    for (std::size_t n = 1; n < points.size(); ++n) {
                        const Point d = points[n] - points[n - 1];
                        const double along =
                            std::clamp(Geom::dot(here - points[n - 1], d) / Geom::dot(d, d), 0.0, 1.0);
                        least = std::min(least, Geom::distance(here, points[n - 1] + d * along));
                    }
                    QVERIFY2(least <= tolerance * 1.0001 + 1e-9, qPrintable(QString::number(least)));
                }
            }
        }
    }
    void a_zero_is_found_between_its_ends()
    {
        // Roots known in closed form; the number of calls stays small.
        int calls = 0;
        const auto found = [&](auto f, double low, double high) {
            calls = 0;
            const auto counted = [&](double x) {
                ++calls;
                return f(x);
            };
            return zero_between(low, high, f(low), f(high), 1e-10, counted);
        };
        QVERIFY(near(found([](double x) { return x * x - 2; }, 0, 2), std::numbers::sqrt2, 1e-9));
        QVERIFY(calls < 25);
        QVERIFY(near(found([](double x) { return std::exp(x) - 5; }, -3, 9), std::log(5.0), 1e-9));
        QVERIFY(calls < 40);
        QVERIFY(near(found([](double x) { return x * x * x; }, -1, 2), 0, 1e-3));
        // Already there, and flat all the way: it ends.
        QVERIFY(near(found([](double x) { return x; }, 0, 1), 0, 1e-9));
        QVERIFY(found([](double) { return 0.0; }, 3, 4) >= 3);
    }
    // An answer that gives nine tenths of what is asked settles on what gives all of it; one that gives nothing,
    // or ever more, is refused and not taken as it came; what refuses by itself is handed on.
    void what_is_asked_again_settles_or_is_refused()
    {
        const Length wished = Length::mm(20);
        int calls = 0;
        const auto most_of_it = settle(wished, Length::mm(1e-6), "x", [&](Length by) -> Outcome<Length> {
            ++calls;
            return wished - by * 0.9;
        });
        QVERIFY(most_of_it && near(most_of_it->in_mm(), 20 / 0.9, 1e-5));
        QVERIFY(calls < 12);
        for (const double gives : {0.0, -0.5, 3.0}) {
            const auto never = settle(wished, Length::mm(1e-3), "x",
                                      [&](Length by) -> Outcome<Length> { return wished - by * gives; });
            QVERIFY(!never && never.error().why == Why::NotSettled && never.error().field == "x");
        }
        const auto refused = settle(wished, Length::mm(1e-3), "x",
                                    [](Length) -> Outcome<Length> { return refuse(Why::PaperCrosses, "y"); });
        QVERIFY(!refused && refused.error().why == Why::PaperCrosses);
    }
};

SARTORUM_TEST(TestCurve)

}  // namespace test_curve

#include "test_curve.moc"
