// Darts as they were pinned: widths, places and lengths measured on the drawn pieces with a ruler's arithmetic.
#include <QTest>
#include <cmath>
#include <random>

#include "core/alter/widths/rows.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"
#include "dresses.h"
#include "faces.h"
#include "near.h"
#include "tests.h"

namespace test_pinned_darts {

using namespace sartorum;
using namespace sartorum::test;

namespace {

Dose pinned(std::vector<double> at)
{
    Dose d{};
    for (const double mm : at) d.at.push_back(Length::mm(mm));
    d.front = d.back = furthest(d.at);
    return d;
}

double ruler(Point a, Point b)
{
    return std::hypot(a[Geom::X] - b[Geom::X], a[Geom::Y] - b[Geom::Y]);
}

// As a ruler lies on it: how wide at the edge, how long from the middle of that.
struct OnPaper {
    double wide = 0;
    double length = 0;
    double leg_a = 0;
    double leg_b = 0;
    Point middle;
};
OnPaper measured(const Dart& d)
{
    const Point m = (d.leg_a + d.leg_b) / 2;
    return {ruler(d.leg_a, d.leg_b), ruler(m, d.tip), ruler(d.leg_a, d.tip), ruler(d.leg_b, d.tip), m};
}

const Dart& side_dart_of(const Garment& g)
{
    const Piece& front = front_of(g);
    return front.darts[dart_at(front, *mouth_in(front, EdgeRole::Side))];
}

bool sound(const Garment& g)
{
    for (Piece p : g.pieces) {
        drop_slivers(p);
        if (unsound(p)) return false;
    }
    return true;
}

}  // namespace

class TestPinnedDarts : public QObject {
    Q_OBJECT
private slots:
    void a_bust_dart_lies_where_as_deep_and_as_long_as_it_was_pinned()
    {
        std::mt19937 rng{23};
        int done = 0;
        for (int i = 0; i < 60; ++i) {
            const auto pattern = draw_bodice(random_bodice(rng));
            if (!pattern) continue;
            const Garment g = part_view({pattern->pieces, bodice_seams(Length::mm(6), {})}, PartKind::Upper);
            if (!mouth_in(front_of(g), EdgeRole::Side)) continue;
            const double place = between(rng, -15, 15);
            const double depth = between(rng, -6, 12);
            const double length = between(rng, -20, 10);
            const auto out = alter_pinned_bust_dart(g, pinned({place, depth, length}));
            if (!out) {
                QCOMPARE(out.error().why, Why::AmountTooLarge);
                continue;
            }
            const OnPaper was = measured(side_dart_of(g));
            const OnPaper is = measured(side_dart_of(out->garment));
            QVERIFY2(std::abs(is.wide - was.wide - depth) < 0.1, qPrintable(QString::number(is.wide - was.wide)));
            QVERIFY2(std::abs(is.length - was.length - length) < 0.1,
                     qPrintable(QString::number(is.length - was.length - length)));
            QVERIFY(near(is.leg_a, is.leg_b, 0.01));
            QVERIFY2(std::abs(was.middle[Geom::Y] - is.middle[Geom::Y] - place) < 1.0,
                     qPrintable(QString::number(was.middle[Geom::Y] - is.middle[Geom::Y] - place)));
            // The closed side is as long as it was, front and back: only the front went down at its end.
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Length before = sewn_length(*find_piece(g.pieces, role), EdgeRole::Side);
                const Length after = sewn_length(*find_piece(out->garment.pieces, role), EdgeRole::Side);
                QVERIFY(near(before, after, Length::mm(0.1)));
            }
            QVERIFY(sound(out->garment));
            ++done;
        }
        QVERIFY2(done > 25, qPrintable(QString::number(done)));
    }
    void deeper_lowers_the_fronts_side_by_what_it_takes()
    {
        const Garment g = part_view(bench()(plan_at("14")).traced, PartKind::Upper);
        const auto out = alter_pinned_bust_dart(g, pinned({0, 8, 0}));
        QVERIFY(out);
        const auto end = [](const Garment& of) {
            const Piece& front = front_of(of);
            return front.edges[*edge_index(front, EdgeRole::Side, true)].curve.finalPoint();
        };
        const double lower = end(g)[Geom::Y] - end(out->garment)[Geom::Y];
        QVERIFY2(std::abs(lower - 8) < 0.5, qPrintable(QString::number(lower)));
        const auto centre = [](const Garment& of) { return edge(front_of(of), EdgeRole::Centre).curve; };
        QVERIFY(ruler(centre(g).finalPoint(), centre(out->garment).finalPoint()) < 1e-6);
        QVERIFY(ruler(centre(g).initialPoint(), centre(out->garment).initialPoint()) < 1e-6);
    }
    void a_waist_takes_in_what_its_darts_do()
    {
        const Garment g = skirt_part(plain_skirt());
        const std::size_t front = waist_dart_mouths(front_of(g)).size();
        const std::size_t back = waist_dart_mouths(back_of(g)).size();
        QVERIFY(front > 0 && back > 0);
        const auto out = alter_pinned_waist_darts(g, pinned({6, 5, 12, -4, -3, -10}));
        QVERIFY2(out.has_value(), out ? "" : out.error().field.c_str());
        const std::array faces{std::tuple{PieceRole::Front, 6.0, 5.0, 12.0},
                               std::tuple{PieceRole::Back, -4.0, -3.0, -10.0}};
        for (const auto& [role, place, depth, length] : faces) {
            const Piece& was = *find_piece(g.pieces, role);
            const Piece& is = *find_piece(out->garment.pieces, role);
            const double darts = double(waist_dart_mouths(was).size());
            QVERIFY(near((waist_run(was).length - waist_run(is).length).in_mm(), depth * darts, 0.6));
            for (std::size_t i = 0; i < was.darts.size(); ++i) {
                const OnPaper a = measured(was.darts[i]);
                const OnPaper z = measured(is.darts[i]);
                QVERIFY(near(z.wide - a.wide, depth, 0.1));
                QVERIFY(near(z.length - a.length, length, 0.1));
                QVERIFY2(std::abs(z.middle[Geom::X] - a.middle[Geom::X] - place) < 0.7,
                         qPrintable(QString::number(z.middle[Geom::X] - a.middle[Geom::X] - place)));
            }
        }
        QVERIFY(sound(out->garment));
    }
    void on_a_dress_the_skirt_follows_the_darts_of_the_bodice()
    {
        const Pattern pattern = graded(fitted_dress());
        const SizeChart chart = chart_for(pattern);
        Plan plan = dress_plan("12", "12", "12");
        Decision d{AdjustmentKind::PinnedWaistDarts, Answer::Accepted};
        d.set({Face::Both, {}, "front_depth"}, Length::mm(6));
        d.set({Face::Both, Side::Left, "back_depth"}, Length::mm(4));
        plan.decide(d);
        const Computed c = need(compute(pattern, chart, {}, plan));
        const auto* l = c.line(AdjustmentKind::PinnedWaistDarts);
        QVERIFY(l && l->state == LineState::Accepted && c.left);
        for (const auto& w : c.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
    }
    void what_paper_cannot_carry_is_refused_with_what_it_can()
    {
        const Garment g = part_view(bench()(plan_at("14")).traced, PartKind::Upper);
        const OnPaper was = measured(side_dart_of(g));
        const auto gone = alter_pinned_bust_dart(g, pinned({0, 0, 25 - was.length - 10}));
        QVERIFY(!gone && gone.error().why == Why::AmountTooLarge);
        QVERIFY(near(gone.error().low.in_mm(), (20 - was.length), 0.01));
        const Piece& front = front_of(g);
        const double reach = ruler(side_dart_of(g).tip, *front.bust_point);
        const auto past = alter_pinned_bust_dart(g, pinned({0, 0, reach + 3}));
        QVERIFY(!past && past.error().why == Why::AmountTooLarge);
        QVERIFY(!alter_pinned_bust_dart(g, pinned({0, -was.wide, 0})));
        QVERIFY(!alter_pinned_bust_dart(g, pinned({0, 0, 0})));
        QVERIFY(!adjustment(AdjustmentKind::PinnedBustDart).propose);
    }
};
SARTORUM_TEST(TestPinnedDarts)

}  // namespace test_pinned_darts

#include "test_pinned_darts.moc"
