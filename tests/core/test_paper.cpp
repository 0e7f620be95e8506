#include <QTest>

#include "core/paper/area.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/blend.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"

namespace test_paper {

using namespace sartorum;
using namespace sartorum::test;

namespace {
Piece front()
{
    return draw_skirt(plain_skirt())->pieces[0];
}
Point line_of(const Piece& p)
{
    return guide(p, GuideKind::LengthenShorten)->a;
}
}  // namespace

class TestPaper : public QObject {
    Q_OBJECT
private slots:
    void spreading_then_folding_out_restores_the_outline()
    {
        std::mt19937 rng{11};
        for (int i = 0; i < 60; ++i) {
            const Piece p = draw_skirt(random_skirt(rng))->pieces[std::size_t(i % 2)];
            const double a = between(rng, 2, 50);
            const auto open = *spread_across(p, line_of(p), {1, 0}, {0, -a});
            // Rejoin the panels with the second moved back: the paper as it was.
            const Piece back = rejoined(open.cut.first, moved(open.second, Geom::Translate(0, a)));
            QVERIFY(largest_gap(back, p) < 1e-6);
            QVERIFY(largest_gap(p, back) < 1e-6);
            QVERIFY(near(area_mm2(back), area_mm2(p), 1e-4));
        }
    }
    void a_parallel_spread_adds_amount_times_the_width_at_the_line()
    {
        std::mt19937 rng{12};
        for (int i = 0; i < 60; ++i) {
            const Piece p = draw_skirt(random_skirt(rng))->pieces[0];
            const double a = between(rng, 2, 50);
            const auto open = *spread_across(p, line_of(p), {1, 0}, {0, -a});
            const double width = width_at(p, line_of(p)[Geom::Y])->in_mm();
            QVERIFY(near(area_mm2(open.whole) - area_mm2(p), a * width, 1e-4));
            QVERIFY(near(area_mm2(open.strip), a * width, 0.05));
        }
    }
    void folding_out_removes_the_band_and_nothing_else()
    {
        std::mt19937 rng{13};
        for (int i = 0; i < 40; ++i) {
            const Piece p = draw_skirt(random_skirt(rng))->pieces[std::size_t(i % 2)];
            const double a = between(rng, 2, 14);
            const auto fold = *folded_out(p, line_of(p), {1, 0}, {0, -a});
            const auto cut = *cut_through(p, line_of(p), {1, 0});
            const auto lower = *cut_through(p, line_of(p) + Point{0, -a}, {1, 0});
            QVERIFY(near(area_mm2(fold.whole) - area_mm2(cut.first), area_mm2(lower.second), 0.2));
            QCOMPARE(fold.whole.notches.size(), p.notches.size());
        }
    }
    void moving_a_panel_as_a_rigid_body_changes_no_length()
    {
        const Piece p = front();
        const auto cut = *cut_through(p, line_of(p), {1, 0});
        const Piece turned = moved(cut.second, Geom::Rotate(0.3) * Geom::Translate(17, -4));
        QCOMPARE(turned.edges.size(), cut.second.edges.size());
        for (std::size_t i = 0; i < turned.edges.size(); ++i) {
            QVERIFY(is_near(length(turned.edges[i].curve), length(cut.second.edges[i].curve), Length::mm(1e-6)));
        }
        QVERIFY(near(area_mm2(turned), area_mm2(cut.second), 1e-6));
    }
    void each_mark_rides_with_the_panel_it_lies_on()
    {
        const Piece p = front();
        const auto cut = *cut_through(p, line_of(p), {1, 0});
        QCOMPARE(cut.first.darts.size(), std::size_t{1});
        QCOMPARE(cut.second.darts.size(), std::size_t{0});
        QCOMPARE(cut.second.notches.size(), std::size_t{1});
        QVERIFY(near(area_mm2(cut.first) + area_mm2(cut.second), area_mm2(p), 1e-6));
    }
    void a_line_beside_the_paper_is_refused()
    {
        QCOMPARE(cut_through(front(), {0, 900}, {1, 0}).error().why, Why::LineMissesPiece);
    }
    void the_hem_moves_along_centre_and_side_alike()
    {
        const Piece p = front();
        for (const double a : {-60.0, -3.0, 25.0, 120.0}) {
            const Piece q = *hem_moved(p, Length::mm(a));
            QVERIFY(is_near(sewn_length(q, EdgeRole::Side) - sewn_length(p, EdgeRole::Side), Length::mm(a),
                            Length::mm(1e-3)));
            QVERIFY(is_near(sewn_length(q, EdgeRole::Centre) - sewn_length(p, EdgeRole::Centre), Length::mm(a),
                            Length::mm(1e-3)));
            QVERIFY(check_piece(q).has_value());
        }
        QCOMPARE(hem_moved(p, Length::mm(-500)).error().why, Why::AmountTooLarge);
    }
    void the_cutting_line_lies_one_allowance_outside()
    {
        const Piece p = front();
        const auto cut = cutting_outline(p);
        QCOMPARE(cut.size(), std::size_t{1});
        double left = 1e9;
        double bottom = 1e9;
        for (const auto& q : cut[0]) {
            left = std::min(left, q[Geom::X]);
            bottom = std::min(bottom, q[Geom::Y]);
        }
        QVERIFY(near(left, 0, 0.01));              // nothing beyond the fold
        QVERIFY(near(bottom, (-600 - 30), 0.05));  // hem allowance 30 at the lowest place, the centre
    }
    void the_cutting_line_is_one_line_without_slits_whatever_the_allowances()
    {
        std::mt19937 rng{17};
        for (int i = 0; i < 40; ++i) {
            auto f = random_skirt(rng);
            f.allowance = Length::mm(between(rng, 4, 25));
            f.hem_allowance = Length::mm(between(rng, 0, 60));
            const auto drawn = draw_skirt(f);
            for (const auto& piece : drawn->pieces) {
                const auto cut = cutting_outline(piece);
                QCOMPARE(cut.size(), std::size_t{1});
                // A slit runs in and out again: the way round would be much longer than the stitching line's.
                const auto around = [](const Polygon& p) {
                    double sum = 0;
                    for (std::size_t k = 0; k < p.size(); ++k) sum += Geom::distance(p[k], p[(k + 1) % p.size()]);
                    return sum;
                };
                const double stitched = around(outline_points(piece, Length::mm(0.05)));
                QVERIFY(around(cut[0]) > stitched - 1);
                QVERIFY(around(cut[0]) < stitched + 8 * 25 + 4 * 60);
                QVERIFY(area_mm2(cut[0]) > area_mm2(piece));
            }
        }
    }
    void both_side_seams_end_equally_long()
    {
        const auto pieces = draw_skirt(plain_skirt())->pieces;
        const Piece back = *side_moved(pieces[1], Length::mm(9), Length::mm(-4));
        const auto m = *sides_evened_at_waist(pieces[0], back);
        QVERIFY(
            is_near(sewn_length(m.front, EdgeRole::Side), sewn_length(m.back, EdgeRole::Side), Length::mm(0.01)));
    }
};
SARTORUM_TEST(TestPaper)

}  // namespace test_paper

#include "test_paper.moc"
