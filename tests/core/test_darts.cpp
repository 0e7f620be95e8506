// Darts closed, drawn anew and turned into one another, by angles and distances worked out here.
#include <QTest>
#include <numbers>

#include "bodices.h"
#include "core/alter/kit/catalogue.h"
#include "core/check/walk.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/garment_measure.h"
#include "near.h"
#include "skirts.h"
#include "tests.h"

namespace test_darts {

using namespace sartorum;
using namespace sartorum::test;

namespace {

double far(Point a, Point b)
{
    return Geom::distance(a, b);
}

double rays(Point a, Point b)
{
    return std::abs(std::remainder(std::atan2(a[Geom::Y], a[Geom::X]) - std::atan2(b[Geom::Y], b[Geom::X]),
                                   2 * std::numbers::pi));
}

// An isosceles wedge: the tip at the origin, both legs `leg` long, `angle` between them, its middle towards `way`.
Dart wedge(double leg, double angle, double way)
{
    const auto at = [&](double a) { return Point{leg * std::cos(a), leg * std::sin(a)}; };
    return {at(way + angle / 2), at(way - angle / 2), {0, 0}};
}

// The front with its darts, one of the armhole's or shoulder's among them.
Piece darted_front(std::mt19937& rng)
{
    for (;;) {
        if (const auto drawn = bodice_pattern(random_bodice(rng))) return drawn->sizes[0].pieces[0];
    }
}

double mm_of(const Piece& p, EdgeRole role)
{
    return sewn_length(p, role).in_mm();
}

double all_darts_at(const Piece& p, Point pivot)
{
    double sum = 0;
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth) sum += radians_at(p, i, pivot);
    }
    return sum;
}

// Before it is drawn again: what lies open between the edges on either side of a mouth.
double open_radians(const Piece& p, std::size_t mouth, Point pivot)
{
    return rays(p.edges[mouth - 1].curve.finalPoint() - pivot, p.edges[mouth + 1].curve.initialPoint() - pivot);
}

bool closed_outline(const Piece& p)
{
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        const Curve& next = p.edges[(i + 1) % p.edges.size()].curve;
        if (far(p.edges[i].curve.finalPoint(), next.initialPoint()) > 1e-6) return false;
    }
    return true;
}

}  // namespace

class TestDarts : public QObject {
    Q_OBJECT
private slots:
    void a_tuck_stitched_past_the_hip_counts_there()
    {
        // Common practice: stitched d from its fold it takes 2·d, at every level it is stitched at.
        auto pieces = graded_skirt().sizes[0].pieces;
        Piece& front = *find_piece(pieces, PieceRole::Front);
        const auto hip = [&] { return measure_flat({front}).of(GarmentMeasure::Hip).in_mm(); };
        const double hip_level = guide(front, GuideKind::Hip)->a[Geom::Y];
        const double plain = hip();
        for (const auto& [kind, below, taken] : {std::tuple{DartKind::Tuck, -40.0, 1.0},
                                                 {DartKind::Tuck, 40.0, 0.0},
                                                 {DartKind::Pleat, -40.0, 0.0}}) {
            Dart& d = front.darts.at(0);
            d.kind = kind;
            d.tip = {(d.leg_a[Geom::X] + d.leg_b[Geom::X]) / 2, hip_level + below};
            const double width = far(d.leg_a, d.leg_b);
            QVERIFY2(std::abs(plain - hip() - 2 * taken * width) < 1e-6,
                     qPrintable(QString::number(plain - hip())));
        }
    }
    void a_wedges_mouth_is_the_chord_of_its_angle()
    {
        for (const double angle : {0.05, 0.2, 0.6}) {
            for (const double leg : {60.0, 140.0}) {
                const Dart d = wedge(leg, angle, 1.1);
                QVERIFY(near(dart_radians(d), angle, 1e-12));
                QVERIFY(near(mouth_width(d).in_mm(), 2 * leg * std::sin(angle / 2), 1e-9));
            }
        }
    }
    void closing_brings_leg_to_leg_and_leaves_the_tip()
    {
        const Dart d = wedge(120, 0.3, -0.4);
        const auto how = closing(d);
        QVERIFY(far(d.leg_b * how, d.leg_a) < 1e-9);
        QVERIFY(far(d.tip * how, d.tip) < 1e-12);
        QVERIFY(near(how.det(), 1, 1e-12));  // turned, not stretched
        Dart pleat = d;
        pleat.kind = DartKind::Pleat;
        const auto slid = closing(pleat);
        QVERIFY(far(d.leg_b * slid, d.leg_a) < 1e-9);
        QVERIFY(near(far(d.tip * slid, d.tip), mouth_width(d).in_mm(), 1e-9));
        QCOMPARE(dart_radians(pleat), 0.0);
    }
    void what_it_takes_narrows_to_nothing_at_the_tip()
    {
        // Upright dart, mouth 30 wide at the level 0, tip 100 above.
        const Dart dart{{15, 0}, {-15, 0}, {0, 100}};
        QVERIFY(near(taken_at(dart, 0).in_mm(), 30));
        QVERIFY(near(taken_at(dart, 50).in_mm(), 15));
        QVERIFY(near(taken_at(dart, 90).in_mm(), 3));
        QCOMPARE(taken_at(dart, 101), Length{});
        QCOMPARE(taken_at(dart, -1), Length{});
        Dart tuck = dart;
        tuck.kind = DartKind::Tuck;
        QVERIFY(near(taken_at(tuck, 90).in_mm(), 30));
        Dart pleat = dart;
        pleat.kind = DartKind::Pleat;
        QCOMPARE(taken_at(pleat, 50), Length{});
    }
    void a_folded_mouth_ends_at_the_seam()
    {
        // Folded over its middle line, the half of the mouth beyond the fold must lie on the line of the edge
        // before it: what is cut through both layers is one straight cut.
        for (const double angle : {0.1, 0.25, 0.5}) {
            const Dart d = wedge(110, angle, std::numbers::pi / 2);
            const Point before{1, 0.12};
            const Curve mouth = dart_mouth(d, Geom::unit_vector(before));
            QCOMPARE(mouth.size_default(), std::size_t{2});
            QVERIFY(far(mouth.initialPoint(), d.leg_a) < 1e-9 && far(mouth.finalPoint(), d.leg_b) < 1e-9);
            const Point peak = mouth[0].finalPoint();
            const Point middle = (d.leg_a + d.leg_b) / 2;
            // The peak stands on the fold line from the tip through the mouth's middle.
            QVERIFY(near(Geom::cross(peak - d.tip, middle - d.tip), 0, 1e-6 * Geom::dot(middle, middle)));
            // At leg_b the mouth leaves as the edge arrives at leg_a, turned by the dart and mirrored over its
            // leg.
            const double at_a = rays(d.tip - d.leg_a, -before);
            const double at_b = rays(d.tip - d.leg_b, peak - d.leg_b);
            QVERIFY(near(at_a, at_b, 1e-9));
        }
    }
    void the_sewn_run_is_as_long_as_its_edges_and_smooth_over_its_darts()
    {
        std::mt19937 rng{21};
        for (int i = 0; i < 30; ++i) {
            const Piece front = darted_front(rng);
            for (const auto role : {EdgeRole::Side, EdgeRole::Waist, EdgeRole::Armhole}) {
                const Curve run = closed_run(front, role);
                QVERIFY(near(length(run).in_mm(), mm_of(front, role), 5e-3));
                // The block's side seam is straight with its dart closed.
                for (std::size_t k = 1; k < run.size_default(); ++k) {
                    const double corner =
                        Geom::angle_between(run[k - 1].unitTangentAt(1), run[k].unitTangentAt(0));
                    if (role == EdgeRole::Side) QVERIFY(near(corner, 0, 0.02));
                }
            }
        }
    }
    void a_redrawn_dart_has_equal_legs_where_it_was_asked()
    {
        std::mt19937 rng{22};
        for (int i = 0; i < 40; ++i) {
            Piece p = darted_front(rng);
            const std::size_t mouth = *mouth_in(p, EdgeRole::Side);
            const std::size_t d = dart_at(p, mouth);
            const Point tip = p.darts[d].tip + Point{between(rng, -15, 15), between(rng, -15, 15)};
            redraw_dart(p, mouth, tip);
            QVERIFY(far(p.darts[d].tip, tip) < 1e-12);
            QVERIFY(near(far(p.darts[d].leg_a, tip), far(p.darts[d].leg_b, tip), 1e-9));
            QVERIFY(closed_outline(p));
            // Folded, the mouth's neighbours meet: leg_b comes to lie on leg_a.
            QVERIFY(far(p.edges[mouth + 1].curve.initialPoint() * closing(p.darts[d]), p.darts[d].leg_a) < 1e-6);
        }
    }
    void an_aimed_dart_points_at_its_pivot_from_as_far_as_was_asked()
    {
        std::mt19937 rng{23};
        for (int i = 0; i < 40; ++i) {
            Piece p = darted_front(rng);
            const Point bp = *p.bust_point;
            const std::size_t mouth = *mouth_in(p, EdgeRole::Side);
            const double before = between(rng, 5, 35);
            aim_dart(p, mouth, bp, Length::mm(before));
            const Dart& d = p.darts[dart_at(p, mouth)];
            QVERIFY(near(far(d.tip, bp), before, 1e-9));
            const Point middle = (d.leg_a + d.leg_b) / 2;
            QVERIFY(rays(middle - bp, d.tip - bp) < 1e-3);
            QVERIFY(near(far(d.leg_a, d.tip), far(d.leg_b, d.tip), 1e-9));
        }
    }
    void angles_are_kept_when_a_dart_is_turned_into_another_place()
    {
        std::mt19937 rng{24};
        for (int i = 0; i < 40; ++i) {
            const Piece front = darted_front(rng);
            const Point bp = *front.bust_point;
            const std::size_t side = *mouth_in(front, EdgeRole::Side);
            const double whole = radians_at(front, side, bp);
            const double part = whole * between(rng, 0.2, 0.8);
            const OutlinePlace place = place_along(front, EdgeRole::Armhole,
                                                   sewn_length(front, EdgeRole::Armhole) * between(rng, 0.3, 0.7));
            const double at = far(point_at(front, place), bp);
            Pivoted out = pivoted_into_place(front, side, place, bp, part);
            QCOMPARE(out.mouths.size(), std::size_t{2});
            QVERIFY(near(open_radians(out.piece, out.mouths[0], bp), whole - part, 1e-6));
            QVERIFY(near(open_radians(out.piece, out.mouths[1], bp), part, 1e-6));
            // Mouths are chords: 2·r·sin(angle / 2) at its own distance from the pivot.
            const auto& edges = out.piece.edges;
            const double wide =
                far(edges[out.mouths[1] - 1].curve.finalPoint(), edges[out.mouths[1] + 1].curve.initialPoint());
            QVERIFY(near(wide, 2 * at * std::sin(part / 2), 1e-3));
            for (const auto role : {EdgeRole::Armhole, EdgeRole::Side, EdgeRole::Shoulder, EdgeRole::Neck})
                QVERIFY(near(mm_of(out.piece, role), mm_of(front, role), 5e-3));
            // Drawn again from their mouths the outline is whole.
            for (const auto mouth : out.mouths) aim_dart(out.piece, mouth, bp, Length::mm(20));
            QVERIFY(closed_outline(out.piece));
        }
    }
    void a_dart_turned_wholly_away_leaves_one_edge()
    {
        std::mt19937 rng{25};
        for (int i = 0; i < 30; ++i) {
            const Piece front = darted_front(rng);
            const Point bp = *front.bust_point;
            const double all = all_darts_at(front, bp);
            const std::size_t side = *mouth_in(front, EdgeRole::Side);
            const OutlinePlace place =
                place_along(front, EdgeRole::Shoulder, sewn_length(front, EdgeRole::Shoulder) * 0.5);
            const Pivoted out = pivoted_into_place(front, side, place, bp, radians_at(front, side, bp));
            QCOMPARE(out.mouths.size(), std::size_t{1});
            QCOMPARE(out.piece.darts.size(), front.darts.size());
            QVERIFY(!mouth_in(out.piece, EdgeRole::Side));
            QCOMPARE(edge_index(out.piece, EdgeRole::Side), edge_index(out.piece, EdgeRole::Side, true));
            QVERIFY(mouth_in(out.piece, EdgeRole::Shoulder) == out.mouths[0]);
            QVERIFY(near(all_darts_at(out.piece, bp), all, 2e-3));
            QVERIFY(near(mm_of(out.piece, EdgeRole::Side), mm_of(front, EdgeRole::Side), 0.05));
            QVERIFY(closed_outline(out.piece));
        }
    }
    void a_fold_closed_at_an_edge_opens_the_dart_by_its_angle()
    {
        std::mt19937 rng{26};
        for (int i = 0; i < 40; ++i) {
            const Piece front = darted_front(rng);
            const Point bp = *front.bust_point;
            const std::size_t side = *mouth_in(front, EdgeRole::Side);
            const OutlinePlace place = place_facing(front, EdgeRole::Neck, bp, 0.3, 0.75);
            const double away = far(point_at(front, place), bp);
            const double pinch = between(rng, 3, 12);
            const double angle = 2 * std::asin(pinch / 2 / away);
            const double was = radians_at(front, side, bp);
            Pivoted out = pivoted_into_dart(front, place, side, bp, angle);
            QVERIFY(near(open_radians(out.piece, out.mouths.front(), bp), was + angle, 3e-3));
            // The edge lost about the pinch, and is one edge still.
            const double lost = mm_of(front, EdgeRole::Neck) - mm_of(out.piece, EdgeRole::Neck);
            QVERIFY2(near(lost, pinch, pinch * 0.2 + 0.2), qPrintable(QString::number(lost)));
            QCOMPARE(edge_index(out.piece, EdgeRole::Neck), edge_index(out.piece, EdgeRole::Neck, true));
            aim_dart(out.piece, out.mouths.front(), bp, Length::mm(20));
            QVERIFY(closed_outline(out.piece));
        }
    }
    void places_are_found_by_their_share_over_darts()
    {
        std::mt19937 rng{27};
        for (int i = 0; i < 30; ++i) {
            const Piece front = darted_front(rng);
            const Length side = sewn_length(front, EdgeRole::Side);
            for (const double share : {0.0, 0.15, 0.5, 0.85, 1.0}) {
                const OutlinePlace at = place_along(front, EdgeRole::Side, side * share);
                QCOMPARE(front.edges[at.edge].role, EdgeRole::Side);
                // What lies before it on its own edge, and the edges before that.
                Length sum = length_to(front.edges[at.edge].curve, at.time);
                for (std::size_t k = 0; k < at.edge; ++k) {
                    if (front.edges[k].role == EdgeRole::Side) sum += length(front.edges[k].curve);
                }
                QVERIFY(near(sum.in_mm(), (side * share).in_mm(), 5e-3));
                const OutlinePlace again = place_near(front, EdgeRole::Side, point_at(front, at));
                QVERIFY(far(point_at(front, again), point_at(front, at)) < 1e-3);
            }
            const auto facing = place_facing(front, EdgeRole::Armhole, *front.bust_point, 0.3, 0.75);
            const Curve& c = front.edges[facing.edge].curve;
            const double along = length_to(c, facing.time) / sewn_length(front, EdgeRole::Armhole);
            QVERIFY(along > 0.29 && along < 0.76);
        }
    }
    void parted_edges_are_the_edge()
    {
        std::mt19937 rng{28};
        for (int i = 0; i < 30; ++i) {
            const Piece front = darted_front(rng);
            Piece p = front;
            const OutlinePlace at = place_along(front, EdgeRole::Armhole,
                                                sewn_length(front, EdgeRole::Armhole) * between(rng, 0.1, 0.9));
            const std::size_t second = part_edge(p, at);
            QCOMPARE(second, at.edge + 1);
            QCOMPARE(p.edges.size(), front.edges.size() + 1);
            QCOMPARE(p.edges[second].role, EdgeRole::Armhole);
            QVERIFY(near(mm_of(p, EdgeRole::Armhole), mm_of(front, EdgeRole::Armhole), 3e-3));
            QVERIFY(near(area_mm2(p), area_mm2(front), 1e-4));
        }
    }
    void cut_panels_are_all_the_paper_and_join_to_it_again()
    {
        std::mt19937 rng{29};
        for (int i = 0; i < 40; ++i) {
            const Piece front = darted_front(rng);
            const double level = guide(front, GuideKind::LengthenShorten)->a[Geom::Y] + between(rng, -8, 8);
            const auto cut = cut_through(front, {0, level}, {1, 0});
            QVERIFY(cut.has_value());
            QVERIFY(near(area_mm2(cut->first) + area_mm2(cut->second), area_mm2(front), 1e-3));
            QVERIFY(closed_outline(cut->first) && closed_outline(cut->second));
            QCOMPARE(cut->first.darts.size() + cut->second.darts.size() >= front.darts.size(), true);
            // Above the cut lies above it, below it below.
            QVERIFY(bounds(cut->first).min()[Geom::Y] > level - 1e-6);
            QVERIFY(bounds(cut->second).max()[Geom::Y] < level + 1e-6);
            const Piece again = rejoined(cut->first, cut->second);
            QVERIFY(near(area_mm2(again), area_mm2(front), 1e-3));
            for (const auto role : {EdgeRole::Side, EdgeRole::Centre, EdgeRole::Armhole, EdgeRole::Neck})
                QVERIFY(near(mm_of(again, role), mm_of(front, role), 5e-3));
        }
    }
    void a_spread_adds_its_strip_and_a_fold_takes_its_band()
    {
        std::mt19937 rng{30};
        for (int i = 0; i < 40; ++i) {
            const Piece front = darted_front(rng);
            const double level = guide(front, GuideKind::LengthenShorten)->a[Geom::Y];
            const double amount = between(rng, 4, 30);
            const double wide = width_at(front, level)->in_mm();
            const auto spread = spread_across(front, {0, level}, {1, 0}, {0, -amount});
            QVERIFY(spread.has_value());
            // A parallelogram as wide as the paper is at the line, the opening's two sides straight.
            QVERIFY(near(area_mm2(spread->whole) - area_mm2(front), amount * wide, 1e-3));
            QVERIFY(near(mm_of(spread->whole, EdgeRole::Centre) - mm_of(front, EdgeRole::Centre), amount, 1e-6));
            const auto folded = folded_out(front, {0, level}, {1, 0}, {0, -amount / 2});
            if (!folded) continue;
            const double gone = area_mm2(front) - area_mm2(folded->whole);
            const double below = width_at(front, level - amount / 2).value_or(Length::mm(wide)).in_mm();
            QVERIFY(near(gone, amount / 2 * (wide + below) / 2, amount * 3));
        }
    }
    void a_turned_panel_turns_about_its_hinge()
    {
        std::mt19937 rng{31};
        const Piece front = darted_front(rng);
        const double level = guide(front, GuideKind::LengthenShorten)->a[Geom::Y];
        const auto cut = cut_through(front, {0, level}, {1, 0});
        QVERIFY(cut.has_value());
        const Point hinge = cut->leaves[Geom::X] > cut->enters[Geom::X] ? cut->leaves : cut->enters;
        const Point open = cut->leaves[Geom::X] > cut->enters[Geom::X] ? cut->enters : cut->leaves;
        const double angle = 0.06;
        const Motion turn{1, hinge, angle, {0, 0}};
        QVERIFY(far(hinge * whole_motion(turn), hinge) < 1e-9);
        QVERIFY(near(far(open * whole_motion(turn), open), 2 * far(open, hinge) * std::sin(angle / 2), 1e-9));
        // Half of a motion, for the film, is half of the angle and half of the way.
        const Motion slide{1, {}, 0, {6, -8}};
        QVERIFY(far(open * whole_motion(slide, 0.5), open + Point{3, -4}) < 1e-9);
        QVERIFY(near(far(open * whole_motion(turn, 0.5), open), 2 * far(open, hinge) * std::sin(angle / 4), 1e-9));
    }
    void a_rigid_movement_is_a_turn_about_any_place_and_a_way()
    {
        std::mt19937 rng{33};
        for (int i = 0; i < 40; ++i) {
            const auto how =
                Geom::Rotate{between(rng, -1, 1)} * Geom::Translate(between(rng, -50, 50), between(rng, -50, 50));
            const Point about{between(rng, -80, 80), between(rng, -80, 80)};
            const Motion told = motion_of(2, how, about);
            QCOMPARE(told.panel, std::size_t{2});
            for (const Point p : {Point{0, 0}, Point{10, -20}, about})
                QVERIFY(far(p * whole_motion(told), p * how) < 1e-9);
        }
    }
    void a_film_starts_where_the_cut_left_the_panels_and_ends_where_they_go()
    {
        const auto g = bodice(with_sleeve(plain_bodice()));
        int films = 0;
        for (const auto& entry : catalogue()) {
            if (!serves(entry, g)) continue;
            for (std::size_t m = 0; m < std::max<std::size_t>(1, entry.methods.size()); ++m) {
                const auto done = entry.apply(g, {Length::mm(8), m});
                if (!done) continue;
                for (std::size_t s = 1; s < done->steps.size(); ++s) {
                    const auto& picture = done->steps[s].picture;
                    const auto& before = done->steps[s - 1].picture;
                    if (picture.motions.empty() || before.panels.size() != picture.panels.size()) continue;
                    const auto start = panels_at(picture, 0);
                    const auto middle = panels_at(picture, 0.5);
                    for (std::size_t p = 0; p < start.size(); ++p) {
                        QVERIFY2(largest_gap(start[p], before.panels[p]) < 1e-6,
                                 qPrintable(QString{"%1, panel %2"}.arg(entry.key.data()).arg(p)));
                        QVERIFY(largest_gap(panels_at(picture, 1)[p], picture.panels[p]) < 1e-6);
                        // Paper is neither stretched nor cut on its way.
                        QVERIFY2(near(area_mm2(middle[p]), area_mm2(picture.panels[p]), 0.01), entry.key.data());
                    }
                    ++films;
                }
            }
        }
        QVERIFY2(films > 8, qPrintable(QString::number(films)));
    }
    void a_straightened_centre_is_straight_and_upright()
    {
        std::mt19937 rng{32};
        for (int i = 0; i < 20; ++i) {
            const Piece front = darted_front(rng);
            const auto line = guide(front, GuideKind::LengthenShorten);
            const Piece turned = upper_turned(front, line->a, line->b, between(rng, -0.03, 0.03));
            const auto out = centre_straightened(turned);
            const Curve& centre = edge(out.piece, EdgeRole::Centre).curve;
            QVERIFY(is_straight(centre, 0));
            QVERIFY(near(centre.initialPoint()[Geom::X], 0, 1e-9) && near(centre.finalPoint()[Geom::X], 0, 1e-9));
            QVERIFY(closed_outline(out.piece));
            // What it says was added or taken at the neck is what the neck grew or shrank by.
            QVERIFY(
                near(out.at_neck.in_mm(), mm_of(out.piece, EdgeRole::Neck) - mm_of(turned, EdgeRole::Neck), 1e-6));
        }
    }
};

SARTORUM_TEST(TestDarts)

}  // namespace test_darts

#include "test_darts.moc"
