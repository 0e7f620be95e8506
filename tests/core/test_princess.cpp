// A front of two panels: laid together, parted, and altered, against rigid panels worked out here.
#include <QTest>
#include <algorithm>
#include <numbers>

#include "core/alter/kit/catalogue.h"
#include "core/alter/lengths/rows.h"
#include "core/alter/widths/rows.h"
#include "core/check/seam_run.h"
#include "core/check/walk.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/princess.h"
#include "core/plan/bust_ways.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_princess {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

Point turned_by(Point p, Point about, double radians)
{
    const Point d = p - about;
    return about + Point{d[Geom::X] * std::cos(radians) - d[Geom::Y] * std::sin(radians),
                         d[Geom::X] * std::sin(radians) + d[Geom::Y] * std::cos(radians)};
}

double between_rays(Point a, Point b)
{
    return std::abs(std::remainder(std::atan2(a[Geom::Y], a[Geom::X]) - std::atan2(b[Geom::Y], b[Geom::X]),
                                   2 * std::numbers::pi));
}

// Paper by hand: the front laid together, cut beside the seam from the waist to the bust point and on to the
// armhole, and from the side to the bust point. The one unknown is how far the upper side swings; then the side is
// closed about the bust point, which only went down with the centre.
struct ByHand {
    double gain = 0;
    double upper = 0;  // angles of the openings at the bust point
    double lower = 0;
    double side_dart = 0;

    ByHand(const Piece& front, double a, double share = 1.0 / 3)
    {
        const Length hole = sewn_length(front, EdgeRole::Armhole);
        const Point hinge = point_at(front, place_along(front, EdgeRole::Armhole, hole * (1 - share)));
        const Length side = sewn_length(front, EdgeRole::Side);
        const Point at_side = point_at(front, place_along(front, EdgeRole::Side, side * 0.3));
        const Point bp = *front.bust_point;
        double low = -0.5;
        double high = 0.9;
        double psi = 0;
        for (int i = 0; i < 200; ++i) {
            psi = (low + high) / 2;
            ((turned_by(bp, hinge, psi) - bp)[Geom::X] < a ? low : high) = psi;
        }
        const Point carried = turned_by(bp, hinge, psi) - bp;
        gain = -carried[Geom::Y];
        const Point apex = bp - Point{0, gain};
        const auto m = *princess_mouths(front);
        const Dart& above = front.darts[dart_at(front, m.upper)];
        const Dart& below = front.darts[dart_at(front, m.lower)];
        side_dart = between_rays(turned_by(at_side, hinge, psi) - apex, at_side + carried - apex);
        upper = between_rays(above.leg_a - apex, above.leg_b - apex) + side_dart;
        lower = between_rays(below.leg_a + carried - apex, below.leg_b - Point{0, gain} - apex);
    }
};

double angle_of(const Piece& front, bool upper)
{
    const auto m = *princess_mouths(front);
    return radians_at(front, upper ? m.upper : m.lower, *front.bust_point);
}

double mm_of(const Piece& p, EdgeRole role)
{
    return sewn_length(p, role).in_mm();
}

Outcome<Applied> fuller(const Garment& g, double a, BustMethod how = BustMethod::Princess)
{
    auto done = adjustment(Kind::Bust).apply(g, {Length::mm(a), way(how)});
    if (done) settle_princess(done->garment.pieces);
    return done;
}

bool runs_to_the_bust_point(const Piece& front)
{
    const auto m = princess_mouths(front);
    if (!m) return false;
    for (const auto mouth : {m->upper, m->lower}) {
        const Dart& d = front.darts[dart_at(front, mouth)];
        if (Geom::distance(d.tip, *front.bust_point) > 0.02) return false;
        if (!near(Geom::distance(d.leg_a, d.tip), Geom::distance(d.leg_b, d.tip), 0.01)) return false;
    }
    return true;
}

}  // namespace

class TestPrincess : public QObject {
    Q_OBJECT
private slots:
    void the_panels_part_by_what_was_measured()
    {
        std::mt19937 rng{91};
        int seen = 0;
        for (int i = 0; i < tries(40); ++i) {
            const auto f = random_princess(rng);
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            ++seen;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            const Piece& front = front_of(g);
            QVERIFY(front.princess && runs_to_the_bust_point(front));
            QVERIFY(near(opening(front, true).in_mm(), f.seam_above.in_mm(), 1e-3));
            QVERIFY(near(opening(front, false).in_mm(), f.front_dart.in_mm(), 0.1));
            const auto flat = measure_flat(g.pieces);
            QVERIFY(near(flat.of(GarmentMeasure::Waist).in_mm(), f.waist.in_mm(), 0.01));
            QVERIFY(near(mm_of(front, EdgeRole::Side), mm_of(back_of(g), EdgeRole::Side), 0.02));
            QVERIFY(near(flat.of(GarmentMeasure::Shoulder).in_mm(), f.shoulder.in_mm(), 0.01));
            QVERIFY(check(g, {}, {}).seams_hold());
        }
        QVERIFY2(seen > tries(25), qPrintable(QString::number(seen)));
    }
    void what_cannot_be_two_panels_is_refused_by_its_measure()
    {
        const auto refused = [](BodiceFlat f) {
            const auto drawn = bodice_pattern(f);
            return drawn ? std::string{} : drawn.error().field;
        };
        BodiceFlat f = princess(plain_bodice());
        f.side_dart = Length::mm(20);
        QCOMPARE(refused(f), std::string{"side_dart"});
        f = princess(plain_bodice(), PrincessFrom::Armhole, 0);
        QCOMPARE(refused(f), std::string{"seam_above"});
        f = princess(plain_bodice());
        f.front_dart = {};
        QCOMPARE(refused(f), std::string{"front_dart"});
        f = princess(plain_tee());
        QCOMPARE(refused(f), std::string{"front_dart"});
        f.front_dart = Length::mm(20);
        QCOMPARE(refused(f), std::string{"below_waist"});
    }
    void the_panels_of_one_seam_are_equally_long_and_hold_all_edges()
    {
        std::mt19937 rng{92};
        for (int i = 0; i < tries(25); ++i) {
            const auto drawn = bodice_pattern(random_princess(rng));
            if (!drawn) continue;
            const Piece& front = drawn->sizes[0].pieces[0];
            const auto [centre, side] = princess_panels(front);
            const auto m = *princess_mouths(front);
            const Dart& above = front.darts[dart_at(front, m.upper)];
            const Dart& below = front.darts[dart_at(front, m.lower)];
            const double straight_on =
                Geom::distance(above.leg_a, above.tip) + Geom::distance(below.leg_b, below.tip);
            QVERIFY(near(mm_of(centre, EdgeRole::Princess), straight_on, 0.01));
            QVERIFY(near(mm_of(side, EdgeRole::Princess), straight_on, 0.01));
            for (const auto role : {EdgeRole::Neck, EdgeRole::Shoulder, EdgeRole::Armhole, EdgeRole::Side,
                                    EdgeRole::Waist, EdgeRole::Centre})
                QVERIFY(near(mm_of(centre, role) + mm_of(side, role), mm_of(front, role), 1e-6));
            for (const Piece* p : {&centre, &side}) {
                const auto gap = [&](std::size_t at) {
                    const Curve& next = p->edges[(at + 1) % p->edges.size()].curve;
                    return Geom::distance(p->edges[at].curve.finalPoint(), next.initialPoint());
                };
                for (std::size_t k = 0; k < p->edges.size(); ++k) QVERIFY(gap(k) < 1e-6);
            }
        }
    }
    void the_panels_are_the_paper_of_the_front_but_for_the_openings()
    {
        const auto g = bodice(princess(plain_bodice()));
        const Piece& front = front_of(g);
        const auto [centre, side] = princess_panels(front);
        // Triangles between the openings' legs; mouths are straight.
        double open = 0;
        const auto m = *princess_mouths(front);
        for (const auto mouth : {m.upper, m.lower}) {
            const Dart& d = front.darts[dart_at(front, mouth)];
            const double leg = Geom::distance(d.leg_a, d.tip);
            const double angle = between_rays(d.leg_a - d.tip, d.leg_b - d.tip);
            open += leg * leg * std::sin(angle) / 2;
        }
        const double apart = area_mm2(front) - open - area_mm2(centre) - area_mm2(side);
        // What rounding over the bust point takes and gives: two square centimetres at most.
        QVERIFY2(std::abs(apart) < 200, qPrintable(QString::number(apart)));
    }
    void notches_of_both_panels_meet_above_and_below_the_bust_point()
    {
        const auto g = bodice(princess(plain_bodice()));
        const auto [centre, side] = princess_panels(front_of(g));
        const auto along = [](const Piece& p, bool from_below) {
            std::vector<double> out;
            const Curve& seam = edge(p, EdgeRole::Princess).curve;
            const Curve down = from_below ? reversed(seam) : seam;
            for (const auto& n : p.notches) {
                if (n.on != EdgeRole::Princess) continue;
                out.push_back(length_to(down, nearest(down, n.at).time).in_mm());
            }
            return out;
        };
        const auto a = along(centre, false);
        const auto b = along(side, true);
        QCOMPARE(a.size(), std::size_t{2});
        QCOMPARE(b.size(), std::size_t{2});
        QVERIFY(near(a[0], b[0], 0.05) && near(a[1], b[1], 0.05));
        QVERIFY(near(a[1] - a[0], 2 * notched_from.in_mm(), 0.05));
        // Grain lines parallel to the centre, one on each panel.
        for (const Piece* p : {&centre, &side}) {
            const auto grain = guide(*p, GuideKind::Grain);
            QVERIFY(grain && near(grain->a[Geom::X], grain->b[Geom::X], 1e-9));
        }
    }
    void a_fuller_bust_is_what_rigid_panels_do()
    {
        std::mt19937 rng{93};
        int seen = 0;
        for (int i = 0; i < tries(60); ++i) {
            const auto drawn = bodice_pattern(random_princess(rng));
            if (!drawn) continue;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            const Piece& before = front_of(g);
            const double a = between(rng, 3, 25);
            const ByHand hand{before, a};
            const auto done = fuller(g, a);
            if (!done) continue;
            ++seen;
            const Piece& after = front_of(done->garment);
            QVERIFY(runs_to_the_bust_point(after));
            QVERIFY(near(mm_of(after, EdgeRole::Centre) - mm_of(before, EdgeRole::Centre), hand.gain, 1e-3));
            QVERIFY(near(angle_of(after, true), hand.upper, 3e-3));
            QVERIFY(near(angle_of(after, false), hand.lower, 3e-3));
            QVERIFY(near(mm_of(after, EdgeRole::Side), mm_of(before, EdgeRole::Side), 0.1));
            // The sides of an opening are made equally long at the edge they end in.
            QVERIFY(near(mm_of(after, EdgeRole::Armhole), mm_of(before, EdgeRole::Armhole), 2.0));
            QVERIFY(near(mm_of(after, EdgeRole::Waist), mm_of(before, EdgeRole::Waist), 0.3));
            QVERIFY(near((*after.bust_point)[Geom::X], (*before.bust_point)[Geom::X], 1e-9));
            const auto gained = measure_flat(done->garment.pieces).of(GarmentMeasure::Bust) -
                                measure_flat(g.pieces).of(GarmentMeasure::Bust);
            QVERIFY(near(gained.in_mm(), 2 * a, 0.01));
            QVERIFY(!mouth_in(after, EdgeRole::Side));
        }
        QVERIFY2(seen > tries(35), qPrintable(QString::number(seen)));
    }
    void a_smaller_bust_closes_the_seam_and_goes_back()
    {
        std::mt19937 rng{94};
        int seen = 0;
        for (int i = 0; i < tries(30); ++i) {
            const auto drawn = bodice_pattern(random_princess(rng));
            if (!drawn) continue;
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            const auto smaller = fuller(g, -8);
            if (!smaller) {
                // Refused where the seam has not so much to close, naming the most it has.
                QCOMPARE(smaller.error().why, Why::DartTooSmall);
                QVERIFY(smaller.error().low > Length::mm(-8) && smaller.error().low < Length::mm(-1));
                continue;
            }
            ++seen;
            const auto was = measure_flat(g.pieces);
            const auto is = measure_flat(smaller->garment.pieces);
            QVERIFY(near((is.of(GarmentMeasure::Bust) - was.of(GarmentMeasure::Bust)).in_mm(), -16, 0.05));
            QVERIFY(is.of(GarmentMeasure::CentreFront) < was.of(GarmentMeasure::CentreFront));
            QVERIFY(near((is.of(GarmentMeasure::Waist) - was.of(GarmentMeasure::Waist)).in_mm(), 0, 0.8));
            QVERIFY(angle_of(front_of(smaller->garment), true) < angle_of(front_of(g), true));
            const auto back = fuller(smaller->garment, 8);
            QVERIFY(back.has_value());
            const auto again = measure_flat(back->garment.pieces);
            QVERIFY(near((again.of(GarmentMeasure::Bust) - was.of(GarmentMeasure::Bust)).in_mm(), 0, 0.05));
            QVERIFY(near((again.of(GarmentMeasure::CentreFront) - was.of(GarmentMeasure::CentreFront)).in_mm(), 0,
                         1.5));
        }
        QVERIFY2(seen > tries(8), qPrintable(QString::number(seen)));
    }
    void two_slashes_share_the_amount()
    {
        const auto g = bodice(princess(plain_bodice()));
        QVERIFY(fuller(g, 36).has_value());
        const auto two = fuller(g, 36, BustMethod::TwoSlashes);
        QVERIFY(two.has_value());
        const auto gained = measure_flat(two->garment.pieces).of(GarmentMeasure::Bust) -
                            measure_flat(g.pieces).of(GarmentMeasure::Bust);
        QVERIFY(near(gained.in_mm(), 72, 0.05));
        QVERIFY(check(two->garment, {}, {}).seams_hold());
    }
    void two_slashes_change_armhole_and_centre_as_one_does()
    {
        std::mt19937 rng{5};
        int seen = 0;
        for (int i = 0; i < tries(14); ++i) {
            const auto traced = bodice(i ? random_princess(rng) : princess(plain_bodice()));
            for (const double mm : {-20.0, 12.0, 24.0, 36.0, 48.0}) {
                const auto one = fuller(traced, mm);
                const auto two = fuller(traced, mm, BustMethod::TwoSlashes);
                if (!one || !two) continue;
                ++seen;
                const auto gained = [&](const Applied& done, EdgeRole role) {
                    return mm_of(front_of(done.garment), role) - mm_of(front_of(traced), role);
                };
                QVERIFY(near(gained(*two, EdgeRole::Armhole), gained(*one, EdgeRole::Armhole), 0.5));
                // What one slash would drop the centre, hinged where the upper of the two is, and the lower.
                const double least = ByHand{front_of(traced), mm, 0.43}.gain;
                const double most = ByHand{front_of(traced), mm, 0.23}.gain;
                const double came = gained(*two, EdgeRole::Centre);
                if (mm > 0) QVERIFY2(came > least && came < most, qPrintable(QString::number(came)));
            }
        }
        QVERIFY(seen > tries(30));
    }
    void the_bust_points_level_is_moved_in_the_seam()
    {
        const auto g = bodice(princess(plain_bodice()));
        const auto& entry = adjustment(Kind::BustDepth);
        QVERIFY(serves(entry, g));
        QCOMPARE(usual_method(entry, g), way(BustDepthMethod::ReAim));
        QVERIFY(!method_serves(entry, g, way(BustDepthMethod::MoveBox)));
        const auto done = need(entry.apply(g, same(12, way(BustDepthMethod::ReAim))));
        const Piece& after = front_of(done.garment);
        QVERIFY(runs_to_the_bust_point(after));
        QVERIFY(near((*after.bust_point - *front_of(g).bust_point)[Geom::Y], -12, 1e-9));
        for (const auto role : {EdgeRole::Armhole, EdgeRole::Side, EdgeRole::Waist})
            QVERIFY(near(mm_of(after, role), mm_of(front_of(g), role), 0.6));
        QVERIFY(usual_amounts(entry, way(BustDepthMethod::ReAim)).most < Length::mm(30));
    }
    void ways_that_need_a_front_in_one_piece_are_not_offered()
    {
        const auto g = bodice(princess(plain_bodice()));
        for (const auto kind : {Kind::KnitDart, Kind::DartMoved, Kind::ArmholeGape})
            QVERIFY(!adjustment(kind).serves(g));
        const auto& bust = adjustment(Kind::Bust);
        QCOMPARE(bust.apply(bodice(plain_bodice()), same(10, way(BustMethod::Princess))).error().why,
                 Why::NeedsPanels);
        QCOMPARE(usual_method(bust, g), way(BustMethod::Princess));
        for (std::size_t i = 0; i < bust.methods.size(); ++i) {
            const bool open = i == way(BustMethod::Princess) || i == way(BustMethod::TwoSlashes);
            QCOMPARE(method_serves(bust, g, i), open);
            QCOMPARE(method_serves(bust, bodice(plain_bodice()), i),
                     i != way(BustMethod::Princess) && i != way(BustMethod::Eased));
        }
    }
    void every_other_adjustment_works_on_the_front_laid_together()
    {
        std::mt19937 rng{95};
        int applied = 0;
        for (int i = 0; i < tries(30); ++i) {
            const auto f = with_sleeve(random_princess(rng));
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            SizeChart chart{"C", "N", {}};
            chart.sizes.push_back({f.size, {{Measure::Bust, Length::mm(880)}}, 0});
            Plan plan = plan_at(f.size);
            const Garment g{drawn->sizes[0].pieces, drawn->seams};
            for (const auto& a : catalogue()) {
                if (!serves(a, g) || a.acts_on == ActsOn::Sleeve || rng() % 3) continue;
                const double amount = between(rng, a.least.in_mm() * 0.4, a.most.in_mm() * 0.4);
                plan.decide({a.kind, Answer::Accepted, Length::mm(amount)});
            }
            for (const auto kind : {Kind::CapHeight, Kind::CapForward, Kind::TopNotch})
                plan.decide({kind, Answer::Accepted, {}});
            const auto c = compute(*drawn, chart, {}, plan);
            QVERIFY(c.has_value());
            for (const auto& line : c->lines) applied += line.steps > 0;
            const Piece& front = front_of(c->altered);
            const auto name = [&](const std::string& what) {
                return qPrintable(QString{"%1: %2"}.arg(i).arg(what.c_str()));
            };
            QVERIFY2(runs_to_the_bust_point(front), name("seam"));
            for (const auto& w : c->checks.walks) {
                if (w.seam.rfind("armhole", 0) != 0) QVERIFY2(w.holds, name(w.seam));
            }
            for (const auto& d : c->checks.darts) QVERIFY2(d.holds, name("darts"));
            for (const auto& d : c->checks.folds) QVERIFY2(d.holds, name("folds"));
            const auto [centre, side] = princess_panels(front);
            QVERIFY2(near(mm_of(centre, EdgeRole::Princess), mm_of(side, EdgeRole::Princess), 0.02),
                     name("panels"));
        }
        QVERIFY2(applied > tries(100), qPrintable(QString::number(applied)));
    }
    void a_whole_plan_takes_the_chart_for_its_bust()
    {
        const auto b = bench(princess(plain_bodice()));
        const auto body = body_of({{Measure::Bust, 920}, {Measure::HighBust, 852}});
        Plan plan = plan_at("12");
        plan.decide({Kind::Bust, Answer::Accepted, {}});
        const auto c = b(plan, body);
        const PlanLine* bust = c.line(Kind::Bust);
        QCOMPARE(bust->state, LineState::Accepted);
        QCOMPARE(bust->method, way(BustMethod::Princess));
        QVERIFY(bust->amount > Length::mm(5));
        const auto gained = c.altered_flat.of(GarmentMeasure::Bust) - c.traced_flat.of(GarmentMeasure::Bust);
        QVERIFY(near(gained.in_mm(), 2 * bust->amount.in_mm(), 0.6));
        QVERIFY(c.checks.seams_hold());
        // Sizes blended at the waist keep the seam over the bust point.
        plan.sizes[Level::Waist] = "14";
        QVERIFY(runs_to_the_bust_point(front_of(b(plan, body).traced)));
    }
    void the_seam_between_the_panels_is_walked_with_the_others()
    {
        const auto done = need(fuller(bodice(princess(plain_bodice())), 20)).garment;
        const auto checks = check(done, {}, {});
        const Walk& walk = checks.walks.back();
        QCOMPARE(walk.seam, std::string{"princess"});
        QVERIFY(walk.holds && near(walk.difference.in_mm(), 0, 0.02));
        QCOMPARE(walk.notches_a.size(), std::size_t{2});
        for (std::size_t i = 0; i < 2; ++i)
            QVERIFY(near(walk.notches_a[i].in_mm(), walk.notches_b[i].in_mm(), 0.05));
        // Both are walked up from the waist, so that they can be rolled.
        const auto sewn = with_panels(done);
        const auto& seam = sewn.seams.back();
        const SeamRun a = seam_run(sewn, seam.a);
        const SeamRun b = seam_run(sewn, seam.b);
        for (const SeamRun* run : {&a, &b})
            QVERIFY(run->line.initialPoint()[Geom::Y] < run->line.finalPoint()[Geom::Y]);
        QVERIFY(a.paper_on_right != b.paper_on_right);
        // A front in one piece has no such seam.
        QCOMPARE(with_panels(bodice(plain_bodice())).seams.size(), bodice(plain_bodice()).seams.size());
    }
    void pieces_are_cut_out_as_panels()
    {
        const auto g = bodice(princess(plain_bodice()));
        const auto cut = as_cut(g.pieces);
        QCOMPARE(cut.size(), g.pieces.size() + 1);
        QCOMPARE(cut[0].id, std::string{"front-centre"});
        QCOMPARE(cut[1].id, std::string{"front-side"});
        QCOMPARE(cut[1].cut, 2);
        const auto plain = bodice(plain_bodice());
        QCOMPARE(as_cut(plain.pieces).size(), plain.pieces.size());
    }
    void a_piece_that_says_it_is_two_panels_must_have_the_seam()
    {
        auto pattern = *bodice_pattern(plain_bodice());
        pattern.sizes[0].pieces[0].princess = true;
        const auto refused = check_pattern(pattern);
        QVERIFY(!refused);
        QCOMPARE(refused.error().why, Why::MarkMissing);
        QVERIFY(check_pattern(*bodice_pattern(princess(plain_bodice()))).has_value());
    }
};

SARTORUM_TEST(TestPrincess)

}  // namespace test_princess

#include "test_princess.moc"
