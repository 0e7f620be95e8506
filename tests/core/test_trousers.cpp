// Trousers as they are drawn: the block against its measures and against a published draft; on-chart bodies.
#include <QtTest>

#include <numbers>

#include "core/alter/kit/catalogue.h"
#include "core/check/walk.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/part_rules.h"
#include "core/plan/compute.h"
#include "core/plan/donning.h"
#include "core/plan/first_plan.h"
#include "near.h"
#include "tests.h"
#include "trousers.h"

namespace test_trousers {

using namespace sartorum;
using test::plain_legs;
using test::plain_trousers;
using test::random_trousers;

namespace {

double mm(Length l)
{
    return l.in_mm();
}

// Along a polyline that the core did not measure.
double polyline_length(const Curve& c)
{
    double sum = 0;
    constexpr int parts = 4000;
    Point last = c.initialPoint();
    for (int i = 1; i <= parts; ++i) {
        const Point at = c.pointAt(double(i) / parts * double(c.size_default()));
        sum += Geom::distance(last, at);
        last = at;
    }
    return sum;
}

// A smooth curve through three points, square or tangent as its draft asks: two quadratic arcs are near enough for
// a length.
double through(Point a, Point b, Point c)
{
    double sum = 0;
    Point last = a;
    constexpr int parts = 400;
    for (int i = 1; i <= parts; ++i) {
        const double t = double(i) / parts;
        // Lagrange through t = 0, ½, 1.
        const Point at = a * (2 * (t - 0.5) * (t - 1)) + b * (-4 * t * (t - 1)) + c * (2 * t * (t - 0.5));
        sum += Geom::distance(last, at);
        last = at;
    }
    return sum;
}

BodySet body_of(const ChartSize& size)
{
    BodySet set;
    for (const auto& [m, value] : size.body) set.readings[m] = {value, value};
    return set;
}

std::shared_ptr<const Pattern> shared(Pattern p)
{
    auto checked = check_pattern(std::move(p));
    if (!checked) qFatal("a pattern that is none: %s", checked.error().field.c_str());
    return std::make_shared<const Pattern>(std::move(*checked));
}

}  // namespace

class TestTrousers : public QObject {
    Q_OBJECT
private slots:
    void the_block_is_what_was_measured()
    {
        std::mt19937 rng{21};
        for (int i = 0; i < 60; ++i) {
            const TrousersFlat f = i == 0 ? plain_trousers() : random_trousers(rng);
            const auto p = trousers_pattern(f);
            QVERIFY2(p, p ? "" : p.error().field.c_str());
            const auto& pieces = p->sizes.front().pieces;
            const auto flat = measure_flat(pieces);
            const auto same = [&](GarmentMeasure m, Length wanted, double within) {
                return std::abs(mm(flat.of(m) - wanted)) < within;
            };
            QVERIFY(same(GarmentMeasure::Waist, f.waist, 0.01));
            QVERIFY(same(GarmentMeasure::Band, f.waist, 0.01));
            QVERIFY(same(GarmentMeasure::Hip, f.hip, 0.01));
            QVERIFY(same(GarmentMeasure::Rise, f.rise, 0.01));
            QVERIFY(same(GarmentMeasure::WaistToHip, f.waist_to_hip, 0.01));
            QVERIFY(same(GarmentMeasure::InsideLeg, f.inside_leg, 0.01));
            QVERIFY(same(GarmentMeasure::Knee, f.knee, 0.01));
            QVERIFY(same(GarmentMeasure::LegHem, f.hem, 2.5));  // along its slight curve
            const auto checks = check({pieces, p->seams}, {}, {});
            for (const auto& w : checks.walks) QVERIFY2(std::abs(mm(w.difference)) < 0.01, w.seam.c_str());
            for (const auto& j : checks.joins) QVERIFY(near(j.degrees, 180, 0.5));
            for (const auto& o : checks.outlines) QVERIFY2(o.holds, o.piece.c_str());
        }
    }

    void the_crease_is_mid_way_at_knee_and_hem()
    {
        for (const auto& p : plain_legs().pieces) {
            const double crease = guide(p, GuideKind::Crease)->a[Geom::X];
            const auto knee = *guide(p, GuideKind::Knee);
            QVERIFY(near((knee.a[Geom::X] + knee.b[Geom::X]) / 2, crease, 0.01));
            const Curve& hem = edge(p, EdgeRole::Hem).curve;
            QVERIFY(near((hem.initialPoint() + hem.finalPoint())[Geom::X] / 2, crease, 0.01));
        }
    }

    // Winifred Aldrich, Metric Pattern Cutting, the classic tailored trouser block, size 12; from memory. Waist
    // 68, hip 94, body rise 28, waist to hip 20.6, bottom width 22 cm. Its points by number, x to the side, y up
    // from the crotch line.
    void the_block_is_near_a_published_draft()
    {
        const double hip = 940;
        const double rise = 280;
        const double to_hip = 206;
        const double x5 = -(hip / 12 + 15);
        const Point p9{x5 - (hip / 16 + 5), 0};
        const Point p10{x5 + 10, rise};
        const Point p6{x5, rise - to_hip};
        // The curve touches a point 3 cm from the corner, half-way between both lines.
        const double s = std::sqrt(0.5);
        const double front = Geom::distance(p10, p6) + through(p6, Point{x5 - 30 * s, 30 * s}, p9);
        const double x16 = x5 - x5 / 4;
        const Point p19{x16, rise / 2};
        const Point p21{x16 + 20, rise + 20};
        const Point p24{p9[Geom::X] - ((hip / 16 + 5) / 2 + 5), -5};
        const double back = Geom::distance(p21, p19) + through(p19, Point{x16 - 45 * s, 45 * s}, p24);
        TrousersFlat f = plain_trousers();
        f.waist = Length::mm(680 + 30);
        f.hip = Length::mm(2 * (hip / 4 + 5 + hip / 4 + 15));
        f.back_more = Length::mm(20);
        f.waist_to_hip = Length::mm(to_hip);
        f.rise = Length::mm(rise);
        f.front_extension = Length::mm(hip / 16 + 5);
        f.back_extension = Length::mm(x16 - p24[Geom::X]);
        f.front_lean = Length::mm(10);
        f.back_lean = Length::mm(20);
        f.side_rise = Length{};
        f.back_rise = Length::mm(20);
        f.knee = Length::mm(2 * 2 * (110 - 5 + 13 + 5));
        f.hem = Length::mm(2 * 2 * (110 - 5 + 5));
        const auto drawn = draw_trousers(f);
        QVERIFY(drawn);
        const auto flat = measure_flat(drawn->pieces);
        QVERIFY(near(mm(flat.of(GarmentMeasure::CrotchFront)), front, 8));
        QVERIFY(near(mm(flat.of(GarmentMeasure::CrotchBack)), back, 15));
        // Across the crotch line, from the inner leg point to the side.
        const auto width = [&](std::size_t i) {
            return mm(*width_at(drawn->pieces[i], inner_leg_point(drawn->pieces[i])[Geom::Y] - 1));
        };
        const double draft_front = hip / 4 + 5 - p9[Geom::X] + x5;
        QVERIFY(near(width(0), draft_front, 8));
        QVERIFY(near(width(1), (hip / 4 + 15 + x16 - p24[Geom::X]), 12));
    }

    void a_medium_draft_has_a_rise_of_about_28_cm()  // common practice
    {
        const auto body = demo::trouser_body(4).body;
        QVERIFY(near(mm(body.at(Measure::BodyRise)), 280, 15));
    }

    void crotch_seams_are_as_long_as_a_polyline()
    {
        const Garment legs = plain_legs();
        const auto flat = measure_flat(legs.pieces);
        const double front = polyline_length(edge(front_of(legs), EdgeRole::Centre).curve);
        const double back = polyline_length(edge(back_of(legs), EdgeRole::Centre).curve);
        QVERIFY(near(mm(flat.of(GarmentMeasure::CrotchFront)), front, 0.01));
        QVERIFY(near(mm(flat.of(GarmentMeasure::CrotchBack)), back, 0.01));
    }

    void what_cannot_be_drawn_is_refused_by_its_name()
    {
        TrousersFlat f = plain_trousers();
        f.rise = f.waist_to_hip;
        QCOMPARE(draw_trousers(f).error().field, std::string{"rise"});
        f = plain_trousers();
        f.knee = Length::mm(20);
        QCOMPARE(draw_trousers(f).error().field, std::string{"knee"});
        f = plain_trousers();
        f.waist = f.hip + Length::mm(400);
        QVERIFY(!draw_trousers(f));
    }

    void they_are_told_by_their_inner_leg_and_are_a_garment_of_their_own()
    {
        const auto p = *trousers_pattern(plain_trousers());
        QCOMPARE(parts_of(p.sizes.front().pieces), std::vector{PartKind::Trousers});
        QCOMPARE(garment_drawn(p, GarmentKind::Top), GarmentKind::Trousers);
        Piece bare = p.sizes.front().pieces.front();
        bare.part.reset();
        QCOMPARE(part_told(bare), std::optional{PartKind::Trousers});
    }

    void lines_out_of_their_order_are_refused_by_name()
    {
        const auto pieces = trousers_pattern(plain_trousers())->sizes.front().pieces;
        const auto with = [&](GuideKind kind, double by) {
            Piece p = pieces.front();
            for (auto& g : p.guides) {
                if (g.kind == kind) g = {kind, g.a + Point{0, by}, g.b + Point{0, by}};
            }
            return check_piece(p);
        };
        QVERIFY(with(GuideKind::Hip, 0));
        QCOMPARE(with(GuideKind::Hip, -70).error().field, std::string{"front: hip"});
        QCOMPARE(with(GuideKind::Knee, 330).error().field, std::string{"front: knee"});
    }

    // A body that is the chart needs nothing: tapered and wide legs, every size.
    void a_body_that_is_the_chart_needs_nothing()
    {
        for (const auto& drawn : {demo::lockgate_trousers(), demo::barge_trousers()}) {
            QVERIFY(drawn);
            const auto pattern = shared(drawn->pattern);
            for (const auto& size : drawn->chart.sizes) {
                Work w{pattern,
                       std::make_shared<const SizeChart>(drawn->chart),
                       std::make_shared<const BodySet>(body_of(size)),
                       {}};
                w.plan.choosing.kind = GarmentKind::Trousers;
                w.plan.take_sizes(size.name, size.name, size.name);
                const auto c = compute(std::move(w));
                QVERIFY2(c, c ? "" : c.error().field.c_str());
                QVERIFY(c->doubts.empty());
                for (const auto& l : c->lines) {
                    if (l.state == LineState::Proposed) qInfo("%s", std::string{adjustment(l.kind).key}.c_str());
                    QVERIFY(l.state != LineState::Proposed);
                }
                QVERIFY(c->checks.seams_hold());
            }
        }
    }

    // A crotch seam far off the string fails, too long as too short, and the chart's own is what is meant.
    void a_crotch_seam_far_from_the_string_does_not_hold()
    {
        const auto drawn = demo::lockgate_trousers();
        const auto& size = drawn->chart.sizes[2];
        const auto pattern = shared(drawn->pattern);
        const auto at = [&](SizeChart chart, BodySet body, Length more) {
            Plan plan;
            plan.choosing.kind = GarmentKind::Trousers;
            plan.take_sizes(size.name, size.name, size.name);
            if (more != Length{}) plan.decide({AdjustmentKind::CrotchPoint, Answer::Accepted, more});
            return *compute({pattern, std::make_shared<const SizeChart>(std::move(chart)),
                             std::make_shared<const BodySet>(std::move(body)), plan});
        };
        const auto crotch = [](const Computed& c) {
            const auto found = std::find_if(c.checks.ease.begin(), c.checks.ease.end(),
                                            [](const EaseCheck& e) { return e.measure == Measure::CrotchLength; });
            return found == c.checks.ease.end() ? std::nullopt : std::optional{*found};
        };
        const auto with_strings = [&](Length by) {
            BodySet body = body_of(size);
            for (const auto m : {Measure::FrontRise, Measure::BackRise})
                body.readings[m] = {size.body.at(m) + by, size.body.at(m) + by};
            return body;
        };
        const auto on_chart = at(drawn->chart, body_of(size), {});
        QVERIFY(crotch(on_chart) && crotch(on_chart)->holds && on_chart.checks.all_hold());
        // Counted by hand: both seams and the finished band at either end, less both strings.
        const Length band = band_above_seam(on_chart.altered.pieces);
        const double seam = polyline_length(edge(front_of(on_chart.altered), EdgeRole::Centre).curve) +
                            polyline_length(edge(back_of(on_chart.altered), EdgeRole::Centre).curve) +
                            2 * mm(band);
        const double string = mm(size.body.at(Measure::FrontRise) + size.body.at(Measure::BackRise));
        QVERIFY(near(mm(crotch(on_chart)->ease), (seam - string), 0.05));
        const auto long_seam = at(drawn->chart, with_strings(Length::mm(-70)), {});
        QVERIFY(!crotch(long_seam)->holds && !long_seam.checks.all_hold());
        QVERIFY(crotch(long_seam)->ease > *crotch(long_seam)->most);
        const auto short_seam = at(drawn->chart, with_strings(Length::mm(70)), {});
        QVERIFY(!crotch(short_seam)->holds);
        QVERIFY(crotch(short_seam)->ease < crotch(short_seam)->least);
        // Lengthened without a need it is said, whatever the chart prints.
        SizeChart silent = drawn->chart;
        for (auto& s : silent.sizes) {
            s.body.erase(Measure::FrontRise);
            s.body.erase(Measure::BackRise);
        }
        QVERIFY(crotch(at(silent, body_of(size), {}))->holds);
        QVERIFY(!crotch(at(silent, with_strings(Length::mm(-70)), {}))->holds);
        // Without a string nothing is said of it.
        BodySet unread = body_of(size);
        for (const auto m : {Measure::FrontRise, Measure::BackRise, Measure::CrotchLength})
            unread.readings.erase(m);
        QVERIFY(!crotch(at(drawn->chart, unread, {})));
    }
    // Rises printed far below the paper's may be the garment's own: asked before anything is proposed from them.
    void rises_far_from_the_paper_are_asked_about()
    {
        const auto drawn = demo::lockgate_trousers();
        const auto& size = drawn->chart.sizes[2];
        SizeChart chart = drawn->chart;
        for (auto& s : chart.sizes) {
            s.body[Measure::FrontRise] = s.body[Measure::FrontRise] - Length::mm(77);
            s.body[Measure::BackRise] = s.body[Measure::BackRise] - Length::mm(77);
        }
        Plan plan;
        plan.choosing.kind = GarmentKind::Trousers;
        plan.take_sizes(size.name, size.name, size.name);
        const auto pattern = shared(drawn->pattern);
        const auto with = [&](const Plan& p) {
            return *compute({pattern, std::make_shared<const SizeChart>(chart),
                             std::make_shared<const BodySet>(body_of(size)), p});
        };
        const auto c = with(plan);
        QCOMPARE(c.doubts.size(), std::size_t{2});
        for (const auto& d : c.doubts) QVERIFY(d.kind == DoubtKind::LengthFarOff);
        for (const auto& l : c.lines) QVERIFY(!l.proposal);
        plan.as_drawn = true;
        const auto meant = with(plan);
        QVERIFY(meant.doubts.empty());
        const auto* wedge = meant.line(AdjustmentKind::CrotchWedge);
        const auto* point = meant.line(AdjustmentKind::CrotchPoint);
        QVERIFY((wedge && wedge->proposal) || (point && point->proposal));
    }

    // Without a chart that says more than girths: what the ranges of common practice allow is left alone.
    void a_wide_leg_over_a_slim_thigh_is_left_alone()
    {
        const auto drawn = demo::barge_trousers();
        SizeChart chart = drawn->chart;
        for (auto& s : chart.sizes) {
            for (const auto m : {Measure::Thigh, Measure::Knee}) s.body.erase(m);
        }
        BodySet body = body_of(chart.sizes[3]);
        const Length garment = measure_flat(drawn->pattern.sizes[3].pieces).of(GarmentMeasure::Thigh);
        body.readings[Measure::Thigh] = {garment - Length::mm(120), garment - Length::mm(120)};
        Work w{shared(drawn->pattern),
               std::make_shared<const SizeChart>(chart),
               std::make_shared<const BodySet>(body),
               {}};
        w.plan.choosing.kind = GarmentKind::Trousers;
        w.plan.take_sizes(chart.sizes[3].name, chart.sizes[3].name, chart.sizes[3].name);
        const auto c = compute(std::move(w));
        QVERIFY(c);
        for (const auto& l : c->lines) QVERIFY(l.state != LineState::Proposed);
    }

    void waist_and_hip_of_two_sizes_blend_and_still_walk()
    {
        const auto drawn = demo::lockgate_trousers();
        const auto pattern = shared(drawn->pattern);
        for (const auto& [waist, hip] : {std::pair{1, 3}, std::pair{5, 2}, std::pair{0, 4}}) {
            Work w{pattern,
                   std::make_shared<const SizeChart>(drawn->chart),
                   std::make_shared<const BodySet>(body_of(drawn->chart.sizes[2])),
                   {}};
            w.plan.choosing.kind = GarmentKind::Trousers;
            const auto& sizes = drawn->chart.sizes;
            w.plan.take_sizes(sizes[std::size_t(waist)].name, sizes[std::size_t(hip)].name, "");
            const auto c = compute(std::move(w));
            QVERIFY2(c, c ? "" : c.error().field.c_str());
            for (const auto& walk : c->checks.walks) QVERIFY2(walk.holds, walk.seam.c_str());
            // A wedge is cut where the blended piece lies.
            Work wedged = c->work;
            wedged.plan.decide({AdjustmentKind::CrotchWedge, Answer::Accepted, Length::mm(8), Length::mm(14)});
            const auto with = compute(std::move(wedged));
            QVERIFY(with && with->line(AdjustmentKind::CrotchWedge)->state == LineState::Accepted);
            const auto flat = measure_flat(c->traced.pieces);
            const auto of_size = measure_flat(drawn->pattern.sizes[std::size_t(hip)].pieces);
            for (const auto m : {GarmentMeasure::Hip, GarmentMeasure::Knee, GarmentMeasure::LegHem})
                QVERIFY(near(mm(flat.of(m) - of_size.of(m)), 0, 0.1));
        }
    }

    void a_fly_lets_the_waist_pass_over_the_hip()
    {
        const auto drawn = demo::lockgate_trousers();
        const auto& size = drawn->chart.sizes[3];
        Work w{shared(drawn->pattern),
               std::make_shared<const SizeChart>(drawn->chart),
               std::make_shared<const BodySet>(body_of(size)),
               {}};
        w.plan.choosing.kind = GarmentKind::Trousers;
        w.plan.take_sizes(size.name, size.name, size.name);
        const auto c = compute(std::move(w));
        QVERIFY(c);
        for (const auto& g : goes_on(*c)) QVERIFY(g.holds());
    }
};
SARTORUM_TEST(TestTrousers)

}  // namespace test_trousers

#include "test_trousers.moc"
