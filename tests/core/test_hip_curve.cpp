// The hip curve by the high hip, and the calf: girths given exactly where they are measured, nothing elsewhere.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/legs/rows.h"
#include "core/alter/widths/rows.h"
#include "core/paper/outline_validity.h"
#include "core/pattern/garment_measure.h"
#include "core/plan/compute.h"
#include "faces.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_hip_curve {

using namespace sartorum;
using test::between;
using test::face;
using test::mm;
using test::skirt_part;

namespace {

// How wide the flattened outline lies at a level: by its polygon alone.
double polygon_width(const Piece& p, double level)
{
    const auto points = outline_points(p, Length::mm(0.01));
    double low = 1e9;
    double high = -1e9;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const Point a = points[i];
        const Point b = points[(i + 1) % points.size()];
        if ((a[Geom::Y] - level) * (b[Geom::Y] - level) > 0 || a[Geom::Y] == b[Geom::Y]) continue;
        const double x = a[Geom::X] + (b[Geom::X] - a[Geom::X]) * (level - a[Geom::Y]) / (b[Geom::Y] - a[Geom::Y]);
        low = std::min(low, x);
        high = std::max(high, x);
    }
    return high - low;
}

struct Case {
    Garment garment;
    double amount;
};

std::vector<Case> any_cases(int n, bool legs_only)
{
    std::mt19937 rng{41};
    std::vector<Case> out;
    for (int i = 0; i < n; ++i) {
        const auto legs = trousers_pattern(test::random_trousers(rng));
        const double by = between(rng, -30, 40);
        if ((legs_only || i % 2) && legs) out.push_back({test::legs_of(*legs), by});
        const auto flat = test::random_skirt(rng);
        if (legs_only || i % 2 || !draw_skirt(flat)) continue;
        out.push_back({skirt_part(flat), by});
    }
    return out;
}

double side_top(const Piece& p)
{
    return edge(p, EdgeRole::Side).curve.initialPoint()[Geom::Y];
}

double hip_level(const Piece& p)
{
    return guide(p, GuideKind::Hip)->a[Geom::Y];
}

PlanLine line_of(const Computed& c, AdjustmentKind kind)
{
    for (const auto& l : c.lines)
        if (l.kind == kind) return l;
    return {};
}

}  // namespace

class TestHipCurve : public QObject {
    Q_OBJECT
private slots:
    void the_high_hip_gains_the_girth_and_waist_and_hip_nothing()
    {
        for (const auto& [g, by] : any_cases(24, false)) {
            const Length was = measured_alone(g.pieces, GarmentMeasure::HighHip);
            const auto out = alter_width_at_high_hip(g, {Length::mm(by)});
            QVERIFY(out.has_value());
            const auto& now = out->garment;
            QVERIFY(near(mm(measured_alone(now.pieces, GarmentMeasure::HighHip) - was), by, 0.01));
            for (const auto m : {GarmentMeasure::Waist, GarmentMeasure::Hip})
                QVERIFY(near(mm(measured_alone(now.pieces, m) - measured_alone(g.pieces, m)), 0, 0.3));
            double gained = 0;
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& a = face(g, role);
                const Piece& b = face(now, role);
                QVERIFY(!unsound(b));
                const double level = (side_top(a) + hip_level(a)) / 2;
                gained += 2 * (polygon_width(b, level) - polygon_width(a, level));
                // Below the hip line the old seam; above it between the two, without overshoot.
                QVERIFY(near(polygon_width(b, hip_level(a) - 30), polygon_width(a, hip_level(a) - 30), 0.05));
                for (int i = 1; i < 10; ++i) {
                    const double at = hip_level(a) + (side_top(a) - hip_level(a) - 2) * i / 10;
                    const double more = (polygon_width(b, at) - polygon_width(a, at)) / (by / 4);
                    QVERIFY(more > -0.1 && more < 1.1);
                }
                const double turn = Geom::angle_between(start_direction(edge(a, EdgeRole::Side).curve),
                                                        start_direction(edge(b, EdgeRole::Side).curve));
                QVERIFY(near(turn, 0, 0.02));
            }
            // A polygon at the old level, while evening the seams moved the waist by a hair.
            QVERIFY(near(gained, by, 0.5));
            QVERIFY(near(mm(sewn_length(face(now, PieceRole::Front), EdgeRole::Side) -
                            sewn_length(face(now, PieceRole::Back), EdgeRole::Side)),
                         0, 0.02));
        }
    }
    void the_back_alone_gets_all_of_it()
    {
        const Garment g = test::plain_legs();
        const auto out = alter_width_at_high_hip(g, {Length::mm(24), 1});
        QVERIFY(out.has_value());
        const Piece& front = face(g, PieceRole::Front);
        const double level = (side_top(front) + hip_level(front)) / 2;
        QVERIFY(near(polygon_width(face(out->garment, PieceRole::Front), level) - polygon_width(front, level), 0,
                     0.5));
        QVERIFY(near(mm(measured_alone(out->garment.pieces, GarmentMeasure::HighHip) -
                        measured_alone(g.pieces, GarmentMeasure::HighHip)) -
                         24,
                     0, 0.01));
    }
    void the_calf_gains_it_with_the_crease_mid_way()
    {
        for (const auto& [g, by] : any_cases(16, true)) {
            if (measured_alone(g.pieces, GarmentMeasure::Calf) <= Length{}) continue;
            const auto out = alter_width_at_calf(g, {Length::mm(by)});
            QVERIFY(out.has_value());
            for (const auto m : {GarmentMeasure::Knee, GarmentMeasure::LegHem, GarmentMeasure::Thigh})
                QVERIFY(near(mm(measured_alone(out->garment.pieces, m) - measured_alone(g.pieces, m)), 0, 0.05));
            double gained = 0;
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& a = face(g, role);
                const Piece& b = face(out->garment, role);
                const double level = guide(a, GuideKind::Knee)->a[Geom::Y] - mm(calf_below);
                gained += polygon_width(b, level) - polygon_width(a, level);
                const auto span = lies_across(b, level);
                const double crease = guide(b, GuideKind::Crease)->a[Geom::X];
                const auto old = lies_across(a, level);
                const double off = (span->from + span->to) / 2 - crease;
                const double was = (old->from + old->to) / 2 - guide(a, GuideKind::Crease)->a[Geom::X];
                QVERIFY(near(off, was, 0.3));
            }
            QVERIFY(near(gained, by, 0.3));
            QVERIFY(near(mm(sewn_length(face(out->garment, PieceRole::Front), EdgeRole::Side) -
                            sewn_length(face(out->garment, PieceRole::Back), EdgeRole::Side)),
                         0, 0.02));
        }
    }
    void there_and_back_restores()
    {
        for (const auto& [g, by] : any_cases(12, true)) {
            for (const auto alter : {alter_width_at_high_hip, alter_width_at_calf}) {
                if (measured_alone(g.pieces, GarmentMeasure::Calf) <= Length{}) continue;
                const auto there = alter(g, {Length::mm(by)});
                QVERIFY(there.has_value());
                const auto back = alter(there->garment, {Length::mm(-by)});
                QVERIFY(back.has_value());
                for (std::size_t i = 0; i < g.pieces.size(); ++i)
                    QVERIFY(test::largest_gap(g.pieces[i], back->garment.pieces[i]) < 0.1);
            }
        }
    }
    // A body that is the chart needs nothing; one fuller all over is served by waist and hip; one fuller between
    // them only by the hip curve.
    void only_what_waist_and_hip_do_not_give_is_asked()
    {
        auto bench = test::lockgate_bench();
        for (auto& size : bench.chart.sizes) {
            size.body[Measure::HighHip] = (size.body[Measure::Waist] + size.body[Measure::Hip] * 2.0) / 3.0;
            size.body[Measure::Calf] = size.body[Measure::Knee] - Length::mm(5);
        }
        const auto& size = bench.chart.sizes[4];
        for (const auto& [m, value] : size.body) bench.body.readings[m] = {value, value};
        for (const auto& l : bench().lines) QVERIFY(l.state != LineState::Proposed);
        const auto add = [&](Measure m, double by) {
            const Length value = bench.chart.sizes[4].body.at(m) + Length::mm(by);
            bench.body.readings[m] = {value, value};
        };
        add(Measure::HighHip, 30);
        auto c = bench();
        QVERIFY(near(mm(line_of(c, AdjustmentKind::WidthAtHighHip).amount), 30, 0.01));
        add(Measure::Waist, 30);
        add(Measure::Hip, 30);
        for (const auto kind : {AdjustmentKind::WidthAtWaist, AdjustmentKind::WidthAtHip})
            bench.plan.decisions.push_back({kind, Answer::Accepted});
        c = bench();
        const auto high = line_of(c, AdjustmentKind::WidthAtHighHip);
        QVERIFY(high.state != LineState::Proposed);
        QVERIFY(near(high.proposal ? high.proposal->amount : Length{}, Length{}, Length::mm(10)));
        add(Measure::Calf, 25);
        QVERIFY(near(mm(line_of(bench(), AdjustmentKind::WidthAtCalf).amount), 25, 0.01));
    }
    // Without the chart's word nothing that is wide enough is touched.
    void where_the_chart_says_nothing_it_is_only_brought_up()
    {
        auto bench = test::lockgate_bench();
        const auto c0 = bench();
        const Length high = c0.traced_flat.of(GarmentMeasure::HighHip);
        const Length calf = c0.traced_flat.of(GarmentMeasure::Calf);
        bench.body.readings[Measure::HighHip] = {high - Length::mm(40), high - Length::mm(40)};
        bench.body.readings[Measure::Calf] = {calf - Length::mm(90), calf - Length::mm(90)};
        auto c = bench();
        QVERIFY(line_of(c, AdjustmentKind::WidthAtHighHip).state != LineState::Proposed);
        QVERIFY(line_of(c, AdjustmentKind::WidthAtCalf).state != LineState::Proposed);
        bench.body.readings[Measure::Calf] = {calf, calf};
        c = bench();
        QVERIFY(near(mm(line_of(c, AdjustmentKind::WidthAtCalf).amount), 20, 0.01));
        // Ordinary proportions: a high hip a third of the way up is taken up by the ease of waist and hip.
        const Length usual =
            (bench.body.readings[Measure::Waist][0] + bench.body.readings[Measure::Hip][0] * 2.0) / 3.0;
        qInfo("high hip of the pattern %.0f, of an ordinary body %.0f", mm(high), mm(usual));
        bench.body.readings[Measure::HighHip] = {usual, usual};
        QVERIFY(line_of(bench(), AdjustmentKind::WidthAtHighHip).state != LineState::Proposed);
    }
};
SARTORUM_TEST(TestHipCurve)

}  // namespace test_hip_curve

#include "test_hip_curve.moc"
