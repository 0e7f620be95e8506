// What is done to trousers, against rigid paper laid out in the test: wedges, rises, inner leg points, widths.
#include <QtTest>

#include <math.h>  // this header of Boost asks for isnan without a namespace

#include <boost/math/interpolators/pchip.hpp>

#include "core/alter/kit/catalogue.h"
#include "core/alter/legs/rows.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/leg.h"
#include "core/plan/compute.h"
#include "near.h"
#include "tests.h"
#include "trousers.h"

namespace test_leg_changes {

using namespace sartorum;
using test::between;
using test::legs_of;
using test::plain_legs;
using test::random_trousers;

namespace {

double mm(Length l)
{
    return l.in_mm();
}

Length measured(const Garment& g, GarmentMeasure m)
{
    return measure_flat(g.pieces).of(m);
}

Applied done(AdjustmentKind kind, const Garment& g, Dose dose)
{
    auto out = adjustment(kind).apply(g, dose);
    if (!out) qFatal("refused: %s", out.error().field.c_str());
    return std::move(*out);
}

constexpr std::array leg_kinds{AdjustmentKind::WaistToHip,  AdjustmentKind::BodyRise,
                               AdjustmentKind::CrotchWedge, AdjustmentKind::CrotchPoint,
                               AdjustmentKind::LegLength,   AdjustmentKind::WidthAtWaist,
                               AdjustmentKind::WidthAtHip,  AdjustmentKind::WidthAtThigh,
                               AdjustmentKind::WidthAtKnee, AdjustmentKind::WidthAtLegHem};

// The farthest any place of one outline is from the other.
double apart(const Piece& a, const Piece& b)
{
    double most = 0;
    for (const auto& e : a.edges) {
        for (const Point p : flattened(e.curve, Length::mm(0.5))) {
            double near = 1e9;
            for (const auto& f : b.edges) near = std::min(near, nearest(f.curve, p).off);
            most = std::max(most, near);
        }
    }
    return most;
}

const Piece& face(const Garment& g, PieceRole role)
{
    return *find_piece(g.pieces, role);
}

BodySet body_of(const ChartSize& size)
{
    BodySet set;
    set.date = "2026-11-29";
    for (const auto& [m, value] : size.body) set.readings[m] = {value, value};
    return set;
}

Computed lockgate_on(const std::function<void(BodySet&)>& change, const std::vector<Decision>& decisions = {})
{
    const auto drawn = demo::lockgate_trousers();
    const auto& size = drawn->chart.sizes[4];
    BodySet body = body_of(size);
    change(body);
    Plan plan;
    plan.choosing.kind = GarmentKind::Trousers;
    plan.take_sizes(size.name, size.name, size.name);
    for (const auto& d : decisions) plan.decide(d);
    auto c = compute(work_of(*check_pattern(drawn->pattern), drawn->chart, body, plan));
    if (!c) qFatal("not computed: %s", c.error().field.c_str());
    return std::move(*c);
}

void more(BodySet& b, Measure m, double by)
{
    for (auto& r : b.readings[m]) r += Length::mm(by);
}

}  // namespace

class TestLegChanges : public QObject {
    Q_OBJECT
private slots:
    // The slopes of a monotone interpolation are those of an independent library.
    void shifts_go_over_as_a_monotone_interpolation_does()
    {
        std::mt19937 rng{4};
        for (int round = 0; round < 40; ++round) {
            Piece p;
            p.edges = {{EdgeRole::Side, straight({0, 0}, {0, -500}), {}}};
            std::vector<ShiftAt> places;
            // Flat before the first and after the last place, as directions at the ends are kept.
            std::vector<double> x{-200};
            std::vector<double> y{0};
            double at = 0;
            for (int i = 0; i < 6; ++i) {
                const double by = between(rng, -20, 20);
                places.push_back({Length::mm(at), {by, 0}});
                x.push_back(at);
                y.push_back(by);
                at += i < 4 ? between(rng, 40, 110) : 500 - at;
            }
            y.front() = y[1];
            x.push_back(700);
            y.push_back(y.back());
            const auto line = run_shifted(p, 0, 0, places).edges.front().curve;
            const boost::math::interpolators::pchip<std::vector<double>> wanted{std::move(x), std::move(y)};
            for (double d = 1; d < 500; d += 7) {
                const auto times = times_where(line, Geom::Y, -d);
                QCOMPARE(times.size(), std::size_t{1});
                QVERIFY(near(line.pointAt(times.front())[Geom::X], wanted(d), 1e-6));
            }
        }
    }

    // A line in two pieces is the same line.
    void a_shift_does_not_depend_on_where_nodes_lie()
    {
        const Garment legs = plain_legs();
        Garment cut = legs;
        for (auto& p : cut.pieces) {
            for (auto& e : p.edges) {
                const auto [a, b] = split(e.curve, 0.37);
                if (e.role != EdgeRole::DartMouth) e.curve = joined(a, b);
            }
        }
        for (const auto kind : leg_kinds) {
            const auto one = done(kind, legs, {Length::mm(15)});
            const auto other = done(kind, cut, {Length::mm(15)});
            for (std::size_t i = 0; i < 2; ++i) {
                const double off = apart(one.garment.pieces[i], other.garment.pieces[i]);
                QVERIFY2(off < 0.1, qPrintable(QString{"%1: %2"}.arg(adjustment(kind).key.data()).arg(off)));
            }
        }
    }

    // Cut rigidly from the centre to the side and turned about it: so wide it opens, so much the centre gains.
    void a_wedge_is_what_turned_paper_gives()
    {
        std::mt19937 rng{8};
        for (int i = 0; i < 40; ++i) {
            const Garment legs = legs_of(*trousers_pattern(random_trousers(rng)));
            const double front = between(rng, -20, 30);
            const double back = between(rng, -20, 30);
            const auto out = done(AdjustmentKind::CrotchWedge, legs, {Length::mm(front), Length::mm(back), 0});
            const auto gained = [&](GarmentMeasure m) { return mm(measured(out.garment, m) - measured(legs, m)); };
            QVERIFY(near(gained(GarmentMeasure::CrotchFront), front, 0.1));
            QVERIFY(near(gained(GarmentMeasure::CrotchBack), back, 0.1));
            QVERIFY(near(gained(GarmentMeasure::Side), 0, 0.5));
            QVERIFY(near(gained(GarmentMeasure::InsideLeg), 0, 0.5));
            for (const auto& s : out.steps) {
                if (s.kind != StepKind::OpenAtCentre && s.kind != StepKind::OverlapAtCentre) continue;
                const Piece& was = *find_piece(legs.pieces, s.piece);
                const auto line = *guide(was, GuideKind::LengthenShorten);
                const double reach = Geom::distance(line.a, line.b);
                // The angle of a wedge so wide at so great a distance.
                const double angle = 2 * std::asin(mm(s.amount) / 2 / reach);
                QVERIFY(near(std::abs(s.picture.motions.front().radians), angle, 1e-6));
                // What lies above the cut lies where turned paper lies.
                const Piece& is = face(out.garment, was.role);
                const Geom::Affine turn = Geom::Translate(-line.b) *
                                          Geom::Rotate{s.picture.motions.front().radians} *
                                          Geom::Translate(line.b);
                const Point side_waist = edge(was, EdgeRole::Side).curve.initialPoint();
                QVERIFY(Geom::distance(edge(is, EdgeRole::Side).curve.initialPoint(), side_waist * turn) < 0.8);
                if (was.role == PieceRole::Back) {
                    const Point top = edge(was, EdgeRole::Centre).curve.finalPoint();
                    QVERIFY(Geom::distance(edge(is, EdgeRole::Centre).curve.finalPoint(), top * turn) < 0.8);
                }
                QVERIFY(near(guide(is, GuideKind::Crease)->a[Geom::X] - guide(is, GuideKind::Crease)->b[Geom::X],
                             0, 1e-9));
            }
        }
    }

    // Tummy wedge of 19 mm, 12 cm below the waist, 24 cm to the side: the half waist gains 9.5 mm.
    void a_wedge_at_the_front_widens_the_waist_as_far_as_it_lies_below()
    {
        for (const double a : {8.0, 19.0, 27.0}) {
            const Garment legs = plain_legs();
            const auto out = done(AdjustmentKind::CrotchWedge, legs, {Length::mm(a), Length{}, 0});
            const Piece& front = front_of(legs);
            const auto line = *guide(front, GuideKind::LengthenShorten);
            const double high = edge(front, EdgeRole::Centre).curve.finalPoint()[Geom::Y] - line.a[Geom::Y];
            const double wanted = a * high / Geom::distance(line.a, line.b);
            const double gained =
                mm(sewn_length(front_of(out.garment), EdgeRole::Waist) - sewn_length(front, EdgeRole::Waist));
            QVERIFY2(std::abs(gained - wanted) < 0.1 * wanted, qPrintable(QString::number(gained - wanted)));
            // Straight up from below.
            const Curve& centre = edge(front_of(out.garment), EdgeRole::Centre).curve;
            const Point along = end_direction(edge(front, EdgeRole::Centre).curve);
            QVERIFY(near(Geom::cross(along, end_direction(centre)), 0, 1e-6));
        }
    }

    // Each plays as paper moves: the part that is cut off comes to lie where it is joined again.
    void what_is_spread_is_shown_moving()
    {
        for (const auto kind : {AdjustmentKind::BodyRise, AdjustmentKind::LegLength}) {
            const auto out = done(kind, plain_legs(), {Length::mm(20)});
            int moving = 0;
            for (const auto& s : out.steps) {
                if (s.kind != StepKind::Spread) continue;
                const auto there = panels_at(s.picture, 1);
                const auto before = panels_at(s.picture, 0);
                QVERIFY(same_paper(there.back(), s.picture.panels.back()));
                QVERIFY(!same_paper(before.back(), there.back()));
                ++moving;
            }
            QVERIFY(moving >= 2);
        }
    }

    // Waist to hip 3 cm longer gives 6 cm of crotch length.
    void a_spread_above_the_crotch_counts_twice()  // common practice
    {
        for (const auto kind : {AdjustmentKind::WaistToHip, AdjustmentKind::BodyRise}) {
            const Garment legs = plain_legs();
            const auto out = done(kind, legs, {Length::mm(30)});
            const auto gained = [&](GarmentMeasure m) { return mm(measured(out.garment, m) - measured(legs, m)); };
            const double both = gained(GarmentMeasure::CrotchFront) + gained(GarmentMeasure::CrotchBack);
            QVERIFY2(std::abs(both - 60) < 8, qPrintable(QString::number(both)));
            QVERIFY(near(gained(GarmentMeasure::Rise), 30, 0.5));
            QVERIFY(near(gained(GarmentMeasure::InsideLeg), 0, 0.01));
            const bool above = kind == AdjustmentKind::WaistToHip;
            QVERIFY(near(gained(GarmentMeasure::WaistToHip) - (above ? 30 : 0), 0, 0.5));
        }
    }

    void the_inner_leg_keeps_its_length_when_its_point_moves()
    {
        std::mt19937 rng{12};
        for (int i = 0; i < 30; ++i) {
            const Garment legs = legs_of(*trousers_pattern(random_trousers(rng)));
            const double by = between(rng, -18, 25);
            const auto out = done(AdjustmentKind::CrotchPoint, legs, {Length::mm(by), Length::mm(by / 2), 0});
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Point was = inner_leg_point(face(legs, role));
                const Point is = inner_leg_point(face(out.garment, role));
                QVERIFY(near(was[Geom::X] - is[Geom::X] - (role == PieceRole::Front ? by : by / 2), 0, 0.3));
                const auto leg = [&](const Garment& g) {
                    return mm(sewn_length(face(g, role), EdgeRole::InnerLeg));
                };
                QVERIFY(near(leg(out.garment), leg(legs), 0.02));
            }
            // To nothing at the knee.
            QVERIFY(near(mm(measured(out.garment, GarmentMeasure::Knee) - measured(legs, GarmentMeasure::Knee)), 0,
                         0.01));
        }
    }

    void girths_are_gained_exactly_and_the_crease_stays_mid_way()
    {
        std::mt19937 rng{16};
        const std::array rows{std::pair{AdjustmentKind::WidthAtHip, GarmentMeasure::Hip},
                              std::pair{AdjustmentKind::WidthAtThigh, GarmentMeasure::Thigh},
                              std::pair{AdjustmentKind::WidthAtKnee, GarmentMeasure::Knee},
                              std::pair{AdjustmentKind::WidthAtLegHem, GarmentMeasure::LegHem}};
        for (int i = 0; i < 25; ++i) {
            const Garment legs = legs_of(*trousers_pattern(random_trousers(rng)));
            for (const auto& [kind, m] : rows) {
                const double by = between(rng, -30, 50);
                const auto out = done(kind, legs, {Length::mm(by)});
                QVERIFY(near(mm(measured(out.garment, m) - measured(legs, m)), by, 0.05));
                for (const auto& p : out.garment.pieces) {
                    const double crease = guide(p, GuideKind::Crease)->b[Geom::X];
                    const auto knee = *guide(p, GuideKind::Knee);
                    const Curve& hem = edge(p, EdgeRole::Hem).curve;
                    QVERIFY(near((knee.a + knee.b)[Geom::X] / 2, crease, 1));
                    QVERIFY(near((hem.initialPoint() + hem.finalPoint())[Geom::X] / 2, crease, 1));
                }
            }
        }
    }

    // A straight leg stays straight from a little below the knee.
    void a_wider_hem_is_drawn_straight_from_the_knee()
    {
        const auto out = done(AdjustmentKind::WidthAtLegHem, plain_legs(), {Length::mm(60)});
        for (const auto& p : out.garment.pieces) {
            const double knee = guide(p, GuideKind::Knee)->a[Geom::Y];
            const Curve& side = edge(p, EdgeRole::Side).curve;
            const Point end = side.finalPoint();
            const double from = times_where(side, Geom::Y, knee - 45).front();
            const Point start = side.pointAt(from);
            for (double t = from; t < double(side.size_default()); t += 0.02) {
                const Point at = side.pointAt(t);
                QVERIFY(near(Geom::cross(Geom::unit_vector(end - start), at - start), 0, 0.05));
            }
        }
    }

    void there_and_back_restores()
    {
        for (const auto kind : leg_kinds) {
            const Garment legs = plain_legs();
            for (const double by : {6.0, 14.0}) {
                const auto there = done(kind, legs, {Length::mm(by)});
                const auto back = done(kind, there.garment, {Length::mm(-by)});
                for (std::size_t i = 0; i < 2; ++i) {
                    const double off = apart(legs.pieces[i], back.garment.pieces[i]);
                    const QString said = QString{"%1, %2: %3"}.arg(adjustment(kind).key.data()).arg(by).arg(off);
                    QVERIFY2(off < 0.8, qPrintable(said));
                }
            }
        }
    }

    void the_order_of_independent_ones_does_not_matter()
    {
        const Garment legs = plain_legs();
        constexpr std::array pairs{std::pair{AdjustmentKind::WidthAtLegHem, AdjustmentKind::BodyRise},
                                   std::pair{AdjustmentKind::WidthAtKnee, AdjustmentKind::WaistToHip},
                                   std::pair{AdjustmentKind::CrotchPoint, AdjustmentKind::WidthAtLegHem},
                                   std::pair{AdjustmentKind::CrotchWedge, AdjustmentKind::WidthAtKnee}};
        for (const auto& [a, b] : pairs) {
            const auto ab = done(b, done(a, legs, {Length::mm(12)}).garment, {Length::mm(9)});
            const auto ba = done(a, done(b, legs, {Length::mm(9)}).garment, {Length::mm(12)});
            for (std::size_t i = 0; i < 2; ++i) QVERIFY(apart(ab.garment.pieces[i], ba.garment.pieces[i]) < 0.35);
        }
    }

    void random_chains_still_sew_together()
    {
        std::mt19937 rng{30};
        int applied = 0;
        for (int round = 0; round < 60; ++round) {
            const auto pattern = *trousers_pattern(random_trousers(rng));
            Garment g = legs_of(pattern);
            QString chain;
            for (int k = 0; k < 6; ++k) {
                const auto kind = leg_kinds[std::size_t(between(rng, 0, leg_kinds.size() - 0.001))];
                const Dose dose{Length::mm(between(rng, -18, 22)), Length::mm(between(rng, -18, 22)), 0};
                auto out = adjustment(kind).apply(g, dose);
                if (!out) continue;
                chain +=
                    QString{" %1 %2 %3"}.arg(adjustment(kind).key.data()).arg(mm(dose.front)).arg(mm(dose.back));
                g = std::move(out->garment);
                for (auto& p : g.pieces) drop_slivers(p);
                ++applied;
            }
            const auto checks = check(g, {}, {});
            for (const auto& w : checks.walks) QVERIFY2(w.holds, w.seam.c_str());
            for (const auto& j : checks.joins)
                QVERIFY2(j.holds, qPrintable(QString{"%1: %2"}.arg(int(j.place)).arg(j.degrees)));
            for (const auto& o : checks.outlines)
                QVERIFY2(o.holds, qPrintable(chain + QString::number(o.found ? int(*o.found) : -1)));
        }
        QVERIFY(applied > 200);
    }

    // Where both differ by the same, one cut does it; what the cuts gave counts before anything is wedged.
    void the_rest_of_the_rise_and_of_the_crotch_is_what_is_proposed()
    {
        const auto longer = [](BodySet& b) {
            more(b, Measure::WaistToHip, 20);
            more(b, Measure::BodyRise, 20);
            more(b, Measure::FrontRise, 20);
            more(b, Measure::BackRise, 36);
        };
        const auto open = lockgate_on(longer);
        QCOMPARE(open.line(AdjustmentKind::WaistToHip)->state, LineState::Proposed);
        QCOMPARE(open.line(AdjustmentKind::BodyRise)->proposal->leave(), Leave::AnswerFirst);
        QCOMPARE(open.line(AdjustmentKind::CrotchWedge)->proposal->leave(), Leave::AnswerFirst);
        const auto c = lockgate_on(longer, {{AdjustmentKind::WaistToHip, Answer::Accepted, {}}});
        QVERIFY(c.line(AdjustmentKind::BodyRise)->state != LineState::Proposed);
        const auto& wedge = *c.line(AdjustmentKind::CrotchWedge);
        QCOMPARE(wedge.state, LineState::Proposed);
        QVERIFY(near(mm(wedge.proposal->amount), 0, 1e-9));
        QVERIFY(near(mm(*wedge.proposal->back), 16, 2));
        // Accepted, nothing is left for the inner leg point; declined, it takes the rest.
        const auto both = lockgate_on(longer, {{AdjustmentKind::WaistToHip, Answer::Accepted, {}},
                                               {AdjustmentKind::CrotchWedge, Answer::Accepted, {}}});
        QVERIFY(both.line(AdjustmentKind::CrotchPoint)->state != LineState::Proposed);
        const auto string = both.work.body->taken(Measure::BackRise)->value;
        const auto chart = both.work.chart->sizes[4].body.at(Measure::BackRise);
        const auto crotch =
            both.altered_flat.of(GarmentMeasure::CrotchBack) - both.traced_flat.of(GarmentMeasure::CrotchBack);
        QVERIFY(near(mm(crotch - (string - chart)), 0, 0.5));
        const auto point = lockgate_on(longer, {{AdjustmentKind::WaistToHip, Answer::Accepted, {}},
                                                {AdjustmentKind::CrotchWedge, Answer::Declined, {}},
                                                {AdjustmentKind::CrotchPoint, Answer::Accepted, {}}});
        const auto by_point =
            point.altered_flat.of(GarmentMeasure::CrotchBack) - point.traced_flat.of(GarmentMeasure::CrotchBack);
        QVERIFY(near(mm(by_point - (string - chart)), 0, 1.5));
    }

    // A fold deeper than there is room for, and a leg taken in past nothing, are refused with what would do.
    void what_the_paper_has_no_room_for_is_refused()
    {
        const Garment legs = plain_legs();
        const auto rise = alter_body_rise(legs, {Length::mm(-80)});
        QVERIFY(!rise);
        QCOMPARE(rise.error().field, std::string{"body_rise"});
        QVERIFY(rise.error().low < Length{} && alter_body_rise(legs, {rise.error().low + Length::mm(0.5)}));
        QVERIFY(!alter_width_at_thigh(legs, {Length::mm(-560)}));
        QVERIFY(!alter_leg_length(legs, {Length::mm(-700)}));
        QVERIFY(!alter_crotch_point(legs, {Length::mm(-190)}));
        QVERIFY(!alter_crotch_wedge(legs, {Length::mm(300)}));
        QVERIFY(!alter_crotch_wedge(legs, {Length{}}));
    }

    // The back alone wider, for a seat: the front as it was, the girth gained, the side seams equally long though
    // one bends and the other hardly does.
    void the_back_alone_is_widened()
    {
        std::mt19937 rng{41};
        int done_so_far = 0;
        for (int round = 0; round < 40; ++round) {
            const auto pattern = trousers_pattern(random_trousers(rng));
            const auto skirt = skirt_pattern(test::random_skirt(rng));
            for (const auto& p : {pattern, skirt}) {
                if (!p) continue;
                const auto& pieces = p->sizes.front().pieces;
                const Garment g = part_view({pieces, p->seams}, parts_of(pieces).front());
                const double by = between(rng, -16, 60);
                for (const auto kind : {AdjustmentKind::WidthAtHip, AdjustmentKind::WidthAtWaist}) {
                    auto out = adjustment(kind).apply(g, {Length::mm(by), 1});
                    if (!out) continue;  // a back that takes so much in alone has no room for it
                    const auto m =
                        kind == AdjustmentKind::WidthAtHip ? GarmentMeasure::Hip : GarmentMeasure::Waist;
                    QVERIFY(near(mm(measured(out->garment, m) - measured(g, m)), by, 0.1));
                    const Piece& front = face(g, PieceRole::Front);
                    const Piece& then = face(out->garment, PieceRole::Front);
                    const double level = guide(front, GuideKind::Hip)->a[Geom::Y];
                    QVERIFY(near(mm(*width_at(then, level) - *width_at(front, level)), 0, 0.3));
                    const double off = mm(sewn_length(face(out->garment, PieceRole::Back), EdgeRole::Side) -
                                          sewn_length(then, EdgeRole::Side));
                    QVERIFY(near(off, 0, 0.05));
                    for (const auto& piece : out->garment.pieces) QVERIFY(!unsound(piece));
                    ++done_so_far;
                }
            }
        }
        QVERIFY(done_so_far > 100);
    }
};
SARTORUM_TEST(TestLegChanges)

}  // namespace test_leg_changes

#include "test_leg_changes.moc"
