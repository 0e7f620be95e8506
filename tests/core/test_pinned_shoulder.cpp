// The shoulder as it was pinned: each end by its own amount, against coordinates worked out by hand.
#include <QTest>
#include <cmath>
#include <random>

#include "core/alter/frame/rows.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/bodice.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_pinned_shoulder {

using namespace sartorum;
using namespace sartorum::test;

namespace {

Dose ends(double front_neck, double front_tip, double back_neck, double back_tip)
{
    Dose d{Length::mm(1)};
    d.at = {Length::mm(front_neck), Length::mm(front_tip), Length::mm(back_neck), Length::mm(back_tip)};
    d.front = d.back = furthest(d.at);
    return d;
}

// How far a point lies off a line, + to its outside (above a shoulder).
double above(Point p, Point a, Point b)
{
    const double l = std::hypot(b[Geom::X] - a[Geom::X], b[Geom::Y] - a[Geom::Y]);
    return std::abs((p[Geom::X] - a[Geom::X]) * (b[Geom::Y] - a[Geom::Y]) -
                    (p[Geom::Y] - a[Geom::Y]) * (b[Geom::X] - a[Geom::X])) /
           l;
}

const Piece& piece_of(const Garment& g, PieceRole role)
{
    return *find_piece(g.pieces, role);
}

}  // namespace

class TestPinnedShoulder : public QObject {
    Q_OBJECT
private slots:
    void each_end_goes_off_the_old_seam_by_its_own_amount()
    {
        std::mt19937 rng{11};
        int done = 0;
        for (int i = 0; i < 40; ++i) {
            const auto pattern = draw_bodice(random_bodice(rng));
            if (!pattern) continue;
            const Garment g = part_view({pattern->pieces, bodice_seams(Length::mm(6), {})}, PartKind::Upper);
            const double n = between(rng, -12, 12);
            const double t = between(rng, -12, 12);
            const auto out = alter_pinned_shoulder(g, ends(n, t, -n / 2, -t / 2));
            QVERIFY2(out.has_value(), out ? "" : out.error().field.c_str());
            const std::array faces{std::tuple{PieceRole::Front, n, t},
                                   std::tuple{PieceRole::Back, -n / 2, -t / 2}};
            for (const auto& [role, neck, tip] : faces) {
                const Piece& was = piece_of(g, role);
                const Piece& is = piece_of(out->garment, role);
                const Point a = neck_point(was);
                const Point b = shoulder_tip(was);
                QVERIFY(near(above(neck_point(is), a, b), std::abs(neck), 0.1));
                // The tip is taken square to the seam as it lies once the neck end is moved: a turn of atan(n /
                // L).
                const double turn = std::cos(std::atan2(neck, Geom::distance(a, b)));
                QVERIFY(near(above(shoulder_tip(is), a, b), std::abs(tip) * turn, 0.8));
                Piece cut = is;
                drop_slivers(cut);
                QVERIFY(!unsound(cut));
            }
            ++done;
        }
        QVERIFY(done > 25);
    }
    void at_the_tips_alone_it_is_the_slope()
    {
        const auto b = bench();
        const Garment g = part_view(b(plan_at("14")).traced, PartKind::Upper);
        const auto pinned = alter_pinned_shoulder(g, ends(0, -8, 0, -5));
        const auto slope = adjustment(AdjustmentKind::ShoulderSlope).apply(g, {Length::mm(-8), Length::mm(-5), 0});
        QVERIFY(pinned && slope);
        for (std::size_t i = 0; i < g.pieces.size(); ++i)
            QVERIFY(same_paper(pinned->garment.pieces[i], slope->garment.pieces[i]));
    }
    void nothing_pinned_changes_nothing_and_is_refused()
    {
        const Garment g = part_view(bench()(plan_at("14")).traced, PartKind::Upper);
        QVERIFY(!alter_pinned_shoulder(g, ends(0, 0, 0, 0)));
        QVERIFY(!adjustment(AdjustmentKind::PinnedShoulder).propose);
    }
    void sides_go_apart_in_a_plan()
    {
        const auto b = bench();
        Plan p = plan_at("14");
        Decision d{AdjustmentKind::PinnedShoulder, Answer::Accepted};
        d.set({Face::Both, Side::Right, "front_tip"}, Length::mm(-9));
        d.set({Face::Both, Side::Left, "front_tip"}, Length::mm(-4));
        d.set({Face::Both, {}, "back_neck_end"}, Length::mm(-6));
        p.decide(d);
        const auto c = b(p);
        const auto* l = c.line(AdjustmentKind::PinnedShoulder);
        QVERIFY(l && l->state == LineState::Accepted && c.left);
        QCOMPARE(l->at[1].in_mm(), -9.0);
        QCOMPARE(c.left_of(*l)->at[1].in_mm(), -4.0);
        QCOMPARE(l->at[2].in_mm(), -6.0);
        for (const auto& w : c.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
    }
};
SARTORUM_TEST(TestPinnedShoulder)

}  // namespace test_pinned_shoulder

#include "test_pinned_shoulder.moc"
