#include <QTest>
#include <numbers>

#include "core/check/walk.h"
#include "core/pattern/blend.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/part_rules.h"
#include "skirts.h"
#include "tests.h"

namespace test_pattern {

using namespace sartorum;
using namespace sartorum::test;

class TestPattern : public QObject {
    Q_OBJECT
private slots:
    void a_drawn_skirt_measures_what_was_asked_for()
    {
        std::mt19937 rng{3};
        for (int i = 0; i < 100; ++i) {
            const auto f = random_skirt(rng);
            const auto drawn = draw_skirt(f);
            QVERIFY(drawn.has_value());
            const auto flat = measure_flat(drawn->pieces);
            QVERIFY(is_near(flat.of(GarmentMeasure::Waist), f.waist, Length::mm(0.01)));
            QVERIFY(is_near(flat.of(GarmentMeasure::Hip), f.hip, Length::mm(0.001)));
            QVERIFY(is_near(flat.of(GarmentMeasure::WaistToHip), f.waist_to_hip, Length::mm(1e-6)));
        }
    }
    void its_seams_walk_and_its_edges_run_on_smoothly()
    {
        std::mt19937 rng{4};
        for (int i = 0; i < 50; ++i) {
            const auto p = *skirt_pattern(random_skirt(rng));
            const auto c = check({p.sizes[0].pieces, p.seams}, {});
            QCOMPARE(c.walks.size(), std::size_t{2});
            for (const auto& w : c.walks) QVERIFY(is_near(w.a, w.b, Length::mm(0.01)));
            for (const auto& j : c.joins) QVERIFY2(j.holds, qPrintable(QString::number(j.degrees)));
        }
    }
    void what_cannot_be_drawn_is_refused_by_name()
    {
        auto f = plain_skirt();
        f.hip = f.waist - Length::mm(10);
        QCOMPARE(draw_skirt(f).error().why, Why::BlockImpossible);
        f = plain_skirt();
        f.waist = Length::mm(74);
        QCOMPARE(draw_skirt(f).error().field, std::string{"waist"});
    }
    void a_quarter_circle_measures_as_geometry_says()
    {
        // Cubic with handles 4/3·tan(π/8): radius off by at most 2.7e-4 of itself (published bound, from memory).
        const double k = 4.0 / 3.0 * std::tan(std::numbers::pi / 8);
        const Curve c = cubic({100, 0}, {100, 100 * k}, {100 * k, 100}, {0, 100});
        QVERIFY(is_near(length(c), Length::mm(50 * std::numbers::pi), Length::mm(0.05)));
        const double t = time_at(c, length(c) / 2.0);
        QVERIFY(Geom::distance(c.pointAt(t), Point{70.710678, 70.710678}) < 0.05);
    }
    void easing_keeps_end_directions_and_restores_exactly()
    {
        const Curve c = joined(cubic({0, 0}, {5, -20}, {20, -60}, {22, -100}),
                               cubic({22, -100}, {23, -120}, {30, -180}, {30, -200}));
        const Curve moved_c = eased(c, {3, 4}, {-2, 15});
        QVERIFY(Geom::distance(start_direction(c), start_direction(moved_c)) < 1e-12);
        QVERIFY(Geom::distance(end_direction(c), end_direction(moved_c)) < 1e-12);
        const auto back = all_controls(eased(moved_c, {-3, -4}, {2, -15}));
        const auto was = all_controls(c);
        for (std::size_t i = 0; i < was.size(); ++i) QVERIFY(Geom::distance(back[i], was[i]) < 1e-12);
    }
    void a_blend_takes_the_waist_of_one_size_and_the_hip_of_the_other()
    {
        const auto p = graded_skirt();
        const Piece& small = p.sizes[1].pieces[0];
        const Piece& large = p.sizes[4].pieces[0];
        const Piece b = *blended(small, large);
        QVERIFY(is_near(sewn_length(b, EdgeRole::Waist), sewn_length(small, EdgeRole::Waist), Length::mm(1e-6)));
        const double hip = guide(large, GuideKind::Hip)->a[Geom::Y];
        QVERIFY(is_near(*width_at(b, hip), *width_at(large, hip), Length::mm(1e-6)));
        QVERIFY(check_piece(b).has_value());
        // Smooth at the hip: the direction does not jump where the two parts meet.
        const auto parts = *side_parts(b);
        QVERIFY(Geom::distance(end_direction(parts.waist_to_hip), start_direction(parts.below)) < 1e-6);
        QVERIFY(largest_gap(*blended(small, small), small) < 1e-9);
    }
    void an_outline_that_does_not_close_is_refused()
    {
        auto p = graded_skirt();
        auto piece = p.sizes[0].pieces[0];
        piece.edges[0].curve = moved(piece.edges[0].curve, {1, 0});
        QCOMPARE(check_piece(piece).error().why, Why::OutlineNotClosed);
        auto no_mark = p.sizes[0].pieces[0];
        no_mark.guides.clear();
        QCOMPARE(check_piece(no_mark).error().why, Why::MarkMissing);
        auto odd = p;
        odd.sizes[2].pieces[0].edges[0].curve =
            joined(straight({0, 0}, {1, 0}), odd.sizes[2].pieces[0].edges[0].curve);
        QVERIFY(!check_pattern(odd).has_value());
    }
    void two_seams_of_one_name_are_refused()
    {
        Pattern p = graded_skirt();
        QVERIFY(check_pattern(p).has_value());
        p.seams.push_back(p.seams.front());
        const auto twice = check_pattern(p);
        QVERIFY(!twice && twice.error().why == Why::KeyTwice);
    }
};
SARTORUM_TEST(TestPattern)

}  // namespace test_pattern

#include "test_pattern.moc"
