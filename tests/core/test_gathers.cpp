// A waist that is gathered in: a back made wider with its waist gathered, and a waist made wider in its gathers.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/widths/gathers.h"
#include "core/alter/widths/rows.h"
#include "core/check/walk.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/side.h"
#include "core/paper/redraw/waist.h"
#include "core/pattern/joint.h"
#include "core/plan/compute.h"
#include "dresses.h"
#include "faces.h"
#include "gored_skirts.h"
#include "near.h"
#include "one_size.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_gathers {

using namespace sartorum;
using test::face;
using test::mm;
using test::skirt_part;

namespace {

Dose gathered_by(double girth)
{
    return {Length::mm(girth), static_cast<std::size_t>(WidthShare::Gathered)};
}

PlanLine line_of(const Computed& c, AdjustmentKind kind, PartKind part)
{
    for (const auto& l : c.lines)
        if (l.kind == kind && l.part == part) return l;
    return {};
}

}  // namespace

class TestGathers : public QObject {
    Q_OBJECT
private slots:
    void what_is_gathered_is_sewn_shorter()
    {
        Piece p = face(skirt_part(test::plain_skirt()), PieceRole::Back);
        const double flat = mm(flat_length(p, EdgeRole::Waist));
        p.edges.front().gathered = Length::mm(30);
        QVERIFY(near(mm(sewn_length(p, EdgeRole::Waist)), (flat - 30), 1e-9));
        QVERIFY(near(mm(waist_run(p).length), (flat - 30), 1e-9));
        QVERIFY(near(mm(top_length(p)), flat, 1e-9));
        QVERIFY(check_piece(p).has_value());
        QVERIFY(!same_paper(p, face(skirt_part(test::plain_skirt()), PieceRole::Back)));
        Piece wrong = p;
        wrong.edges.front().gathered = length(p.edges.front().curve) * 0.9;
        QVERIFY(!check_piece(wrong).has_value());
        wrong = p;
        wrong.edges[*edge_index(p, EdgeRole::Side)].gathered = Length::mm(5);
        QVERIFY(!check_piece(wrong).has_value());
    }
    void the_back_gains_the_girth_and_its_waist_is_sewn_as_long()
    {
        for (const auto& g : test::skirts_and_legs(61, 14)) {
            const auto out = alter_width_at_hip(g, gathered_by(80));
            QVERIFY(out.has_value());
            const Piece& was = face(g, PieceRole::Back);
            const Piece& now = face(out->garment, PieceRole::Back);
            QVERIFY(!unsound(now) && check_piece(now).has_value());
            QVERIFY(near(mm(measured_alone(out->garment.pieces, GarmentMeasure::Hip) -
                            measured_alone(g.pieces, GarmentMeasure::Hip)) -
                             80,
                         0, 0.01));
            double sewn = 0;
            for (const auto role : {PieceRole::Front, PieceRole::Back})
                sewn += mm(sewn_length(face(out->garment, role), EdgeRole::Waist) -
                           sewn_length(face(g, role), EdgeRole::Waist));
            QVERIFY(near(sewn, 0, 1e-6));
            // Half of it on this half; the waist runs a little on the slant.
            QVERIFY(near(mm(gathered_in(now, EdgeRole::Waist)), 40, 4));
            const double hip = guide(was, GuideKind::Hip)->a[Geom::Y];
            QVERIFY(near(mm(*width_at(now, hip) - *width_at(was, hip)), 40, 0.01));
            QVERIFY(near(mm(*width_at(face(out->garment, PieceRole::Front), hip) -
                            *width_at(face(g, PieceRole::Front), hip)),
                         0, 0.01));
            QVERIFY(near(mm(sewn_length(now, EdgeRole::Side) -
                            sewn_length(face(out->garment, PieceRole::Front), EdgeRole::Side)),
                         0, 0.05));
            for (std::size_t i = 0; i < was.darts.size(); ++i)
                QVERIFY(Geom::distance(was.darts[i].tip, now.darts[i].tip) < 1e-6);
            QVERIFY(!alter_width_at_hip(g, gathered_by(-20)).has_value());  // nothing is gathered there yet
            const auto back = alter_width_at_hip(out->garment, gathered_by(-80));
            QVERIFY(back.has_value());
            QVERIFY(test::largest_gap(was, face(back->garment, PieceRole::Back)) < 0.8);
            QCOMPARE(gathered_in(face(back->garment, PieceRole::Back), EdgeRole::Waist), Length{});
        }
    }
    void in_the_gathers_the_paper_stays()
    {
        for (const auto& g : test::skirts_and_legs(61, 8)) {
            QVERIFY(!adjustment(AdjustmentKind::WidthAtWaist).method_serves(g, 2));
            const auto full = alter_width_at_hip(g, gathered_by(120));
            const Garment& has = full->garment;
            QCOMPARE(usual_method(adjustment(AdjustmentKind::WidthAtWaist), has), std::size_t{2});
            const auto out = alter_width_at_waist(has, gathered_by(40));
            QVERIFY(out.has_value());
            double sewn = 0;
            for (std::size_t i = 0; i < has.pieces.size(); ++i) {
                QVERIFY(test::largest_gap(has.pieces[i], out->garment.pieces[i]) < 1e-9);
                sewn += mm(sewn_length(out->garment.pieces[i], EdgeRole::Waist) -
                           sewn_length(has.pieces[i], EdgeRole::Waist));
            }
            QVERIFY(near(sewn, 20, 1e-9));
            const Length all = waist_gathers(has) * 2.0;
            const auto more = alter_width_at_waist(has, {all + Length::mm(1), std::size_t{2}});
            QVERIFY(!more.has_value());
            QVERIFY(near(mm(more.error().high - all), 0, 1e-6));
            QVERIFY(alter_width_at_waist(has, gathered_by(-30)).has_value());
            QVERIFY(!alter_width_at_waist(has, gathered_by(-5000)).has_value());
        }
    }
    // A way the garment has nothing for is said, whoever asks for it: a plan from a file asks for anything.
    void a_way_that_is_not_open_is_refused()
    {
        const Garment skirt = skirt_part(test::plain_skirt());
        QCOMPARE(alter_width_at_waist(skirt, gathered_by(20)).error().why, Why::WayNotHere);
        const auto tee = draw_bodice(test::plain_tee());
        QCOMPARE(alter_width_at_hip({tee->pieces, {}}, gathered_by(20)).error().why, Why::WayNotHere);
        const auto six = test::six_gores();
        const Garment gores = part_view({demo::draw_gored(six).pieces, demo::gored_seams(six)}, PartKind::Skirt);
        QCOMPARE(alter_width_at_hip(gores, gathered_by(20)).error().why, Why::WayNotHere);
    }
    // What is done elsewhere leaves what is gathered.
    void other_changes_keep_the_gathers()
    {
        int done = 0;
        for (const auto& plain : test::skirts_and_legs(61, 4)) {
            const Garment full = alter_width_at_hip(plain, gathered_by(90))->garment;
            const Length gathered = waist_gathers(full);
            for (const auto& a : catalogue()) {
                using enum AdjustmentKind;
                const bool own = a.kind == WidthAtWaist || a.kind == WidthAtHip || a.kind == WaistDarts;
                if (own || a.when_sewn || !a.apply || !serves(a, full)) continue;
                const auto out = a.apply(full, {Length::mm(6), Length::mm(6), usual_method(a, full)});
                if (!out) continue;
                QVERIFY2(is_near(waist_gathers(out->garment), gathered, Length::mm(1e-6)), a.key.data());
                ++done;
            }
        }
        QVERIFY(done > 20);
    }
    // A fuller seat: the back alone, gathered; the band stays. A wider waist then comes out of the gathers.
    void a_plan_with_a_gathered_back()
    {
        auto bench = test::lockgate_bench();
        const Length hip = bench.chart.sizes[4].body.at(Measure::Hip) + Length::mm(60);
        bench.body.readings[Measure::Hip] = {hip, hip};
        bench.plan.decisions = {{AdjustmentKind::WidthAtHip, Answer::Accepted, {}, {}, std::size_t{2}}};
        auto c = bench();
        const auto line = line_of(c, AdjustmentKind::WidthAtHip, PartKind::Trousers);
        QCOMPARE(line.state, LineState::Accepted);
        QVERIFY(near(mm(line.amount), 60, 0.01));
        QVERIFY(c.checks.seams_hold());
        QVERIFY(
            near(mm(c.altered_flat.of(GarmentMeasure::Band) - c.traced_flat.of(GarmentMeasure::Band)), 0, 0.05));
        QVERIFY(
            near(mm(c.altered_flat.of(GarmentMeasure::Waist) - c.traced_flat.of(GarmentMeasure::Waist)), 0, 0.05));
    }
    // Drawn with gathers, what the waist lacks comes out of them.
    void a_plan_of_a_gathered_pattern()
    {
        auto bench = test::lockgate_bench();
        for (auto& size : bench.pattern.sizes) {
            const auto full = alter_width_at_hip(part_view({size.pieces, bench.pattern.seams}, PartKind::Trousers),
                                                 gathered_by(100));
            for (auto& p : size.pieces) {
                if (const Piece* now = find_piece(full->garment.pieces, p.id)) p = *now;
            }
        }
        const Length waist = bench.chart.sizes[4].body.at(Measure::Waist) + Length::mm(24);
        bench.body.readings[Measure::Waist] = {waist, waist};
        bench.plan.decisions = {{AdjustmentKind::WidthAtWaist, Answer::Accepted}};
        const auto c = bench();
        QCOMPARE(line_of(c, AdjustmentKind::WidthAtWaist, PartKind::Trousers).method, std::size_t{2});
        QVERIFY(c.checks.seams_hold());
        QVERIFY(near(mm(c.altered_flat.of(GarmentMeasure::Band) - c.traced_flat.of(GarmentMeasure::Band)) - 24, 0,
                     0.1));
    }
    // A dress whose back skirt is gathered: it walks as drawn, and goes with a bodice that gets wider.
    void a_dress_with_a_gathered_back_skirt()
    {
        DressFlat flat = test::fitted_dress();
        flat.skirt.back_dart = {};
        auto drawn = draw_dress(flat);
        QVERIFY(drawn.has_value());
        for (auto& p : drawn->pieces) {
            if (p.id != "skirt-back") continue;
            const Length sewn = sewn_length(p, EdgeRole::Waist);
            p = *side_moved(p, Length::mm(80), Length::mm(80));
            p.edges.front().gathered = sewn_length(p, EdgeRole::Waist) - sewn;
        }
        auto bench = test::one_size(*drawn, dress_seams(bodice_seams(flat.bodice.shoulder_ease, std::nullopt)),
                                    GarmentKind::Dress,
                                    {{Measure::Bust, Length::mm(900)},
                                     {Measure::Waist, Length::mm(740)},
                                     {Measure::Hip, Length::mm(980)}});
        auto c = bench();
        QVERIFY(c.checks.seams_hold());
        for (const auto& l : c.lines) QVERIFY(l.state != LineState::Proposed);
        bench.body.readings[Measure::Waist] = {Length::mm(770), Length::mm(770)};
        // A gathered back has room at the hip.
        bench.body.readings[Measure::Hip] = {Length::mm(1020), Length::mm(1020)};
        bench.plan.decisions = {{AdjustmentKind::WidthAtWaist, Answer::Accepted}};
        c = bench();
        QVERIFY(c.checks.seams_hold());
        QVERIFY(line_of(c, AdjustmentKind::JoinedWaist, PartKind::Skirt).state == LineState::Accepted);
        // The back's paper stays: its gathers gave what the bodice's waist gained.
        const auto* was = find_piece(bench.pattern.sizes[0].pieces, "skirt-back");
        const auto* now = find_piece(c.altered.pieces, "skirt-back");
        QVERIFY(gathered_in(*was, EdgeRole::Waist) - gathered_in(*now, EdgeRole::Waist) > Length::mm(5));
        QVERIFY(near(mm(flat_length(*now, EdgeRole::Waist) - flat_length(*was, EdgeRole::Waist)), 0, 0.5));
        QVERIFY(line_of(c, AdjustmentKind::WidthAtHip, PartKind::Skirt).state != LineState::Proposed);
    }
};
SARTORUM_TEST(TestGathers)

}  // namespace test_gathers

#include "test_gathers.moc"
