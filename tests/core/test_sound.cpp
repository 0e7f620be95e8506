// What no hand can cut out is a finding, whether the pattern drew it so or a change did.
#include <QTest>

#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/plan/compute.h"
#include "tests.h"
#include "tops.h"

namespace test_sound {

using namespace sartorum;
using namespace sartorum::test;

namespace {

Curve& curve_of(Piece& p, EdgeRole role)
{
    return p.edges[*edge_index(p, role)].curve;
}

// The side seam's last handle pulled across the piece and past its centre.
void cross(Piece& p)
{
    auto points = all_controls(curve_of(p, EdgeRole::Side));
    points[points.size() - 2] += {-900, 300};
    curve_of(p, EdgeRole::Side) = from_controls(points);
}

// A segment as long as a hair is thin, put in where the curve begins.
void put_a_sliver(Piece& p)
{
    auto points = all_controls(curve_of(p, EdgeRole::Armhole));
    const Point at = points[0];
    const Point on = Geom::unit_vector(points[1] - at) * 2e-4;
    points[0] = at + on;
    points.insert(points.begin(), {at, at + on / 3, at + on * 2 / 3});
    curve_of(p, EdgeRole::Armhole) = from_controls(points);
}

void widen_the_dart(Piece& p)
{
    const auto mouth = *mouth_in(p, EdgeRole::Waist);
    auto& dart = p.darts[dart_at(p, mouth)];
    dart.leg_b = dart.leg_a + Geom::unit_vector(dart.leg_b - dart.leg_a) * 700;
}

std::vector<std::optional<Unsound>> found(const Checks& c)
{
    std::vector<std::optional<Unsound>> out;
    for (const auto& o : c.outlines) out.push_back(o.found);
    return out;
}

}  // namespace

class TestSound : public QObject {
    Q_OBJECT
private slots:
    void blocks_as_drawn_can_be_cut_out()
    {
        for (const auto& g : {bodice(plain_bodice()), bodice(plain_tee()), bodice(with_sleeve(plain_bodice()))}) {
            const auto checks = check(g, {}, {});
            QCOMPARE(checks.outlines.size(), g.pieces.size());
            for (const auto& o : checks.outlines) QVERIFY(o.holds && !o.found);
        }
    }
    // The side goes up again over itself for a while: it crosses nothing, and nobody can cut it. A sharp corner is
    // one.
    void a_line_that_turns_back_on_itself_is_named()
    {
        const auto with_turn = [](double degrees) {
            Piece p = bodice(plain_bodice()).pieces[0];
            Curve& side = curve_of(p, EdgeRole::Side);
            const Point a = side.initialPoint();
            const Point b = side.finalPoint();
            const Point far = a + (b - a) * 0.6;
            const Point near = far + (a - b) * 0.2 * Geom::Rotate{Geom::rad_from_deg(180 - degrees)};
            std::vector<Point> points{a};
            for (const auto& to : {far, near, b}) {
                const Point from = points.back();
                for (int i = 1; i <= 3; ++i) points.push_back(from + (to - from) * (i / 3.0));
            }
            side = from_controls(points);
            return p;
        };
        QVERIFY(unsound(with_turn(180)) == Unsound::Crossing);
        QVERIFY(!unsound(with_turn(30)));
    }
    void each_outline_nobody_can_cut_is_named_and_the_rest_are_left_alone()
    {
        const std::vector<std::pair<void (*)(Piece&), Unsound>> ways{{cross, Unsound::Crossing},
                                                                     {put_a_sliver, Unsound::LineOfNoLength},
                                                                     {widen_the_dart, Unsound::MouthTooWide}};
        for (const auto& [ruin, what] : ways) {
            auto g = bodice(plain_bodice());
            ruin(*find_piece(g.pieces, PieceRole::Front));
            const auto checks = check(g, {}, {});
            QVERIFY(!checks.seams_hold() && !checks.all_hold());
            for (std::size_t i = 0; i < g.pieces.size(); ++i) {
                const bool front = g.pieces[i].role == PieceRole::Front;
                QCOMPARE(checks.outlines[i].piece, g.pieces[i].id);
                QVERIFY(checks.outlines[i].found == (front ? std::optional{what} : std::nullopt));
                QCOMPARE(checks.outlines[i].holds, !front);
            }
        }
    }
    void slivers_are_dropped_and_nothing_else_moves()
    {
        Piece p = front_of(bodice(plain_bodice()));
        const Piece before = p;
        put_a_sliver(p);
        QVERIFY(unsound(p) == Unsound::LineOfNoLength);
        drop_slivers(p);
        QVERIFY(!unsound(p));
        QVERIFY(largest_gap(p, before) < 1e-3 && largest_gap(before, p) < 1e-3);
    }
    // Findings of pieces that did not change are kept, not lost.
    void a_finding_stays_while_another_piece_is_changed()
    {
        auto p = graded(plain_bodice());
        for (auto& size : p.sizes) cross(*find_piece(size.pieces, PieceRole::Front));
        Work work = work_of(p, chart_for(p), {}, plan_at("12"));
        const auto first = compute(work);
        QVERIFY(first.has_value());
        work.plan.decide({AdjustmentKind::AcrossBack, Answer::Accepted, Length::mm(8)});
        const auto again = recompute(*first, work);
        QVERIFY(again.has_value());
        QVERIFY(found(again->checks) == found(first->checks));
        QVERIFY(found(again->checks).front() == Unsound::Crossing ||
                found(again->checks).back() == Unsound::Crossing);
    }
};
SARTORUM_TEST(TestSound)

}  // namespace test_sound

#include "test_sound.moc"
