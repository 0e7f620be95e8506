// What can be done to a garment that is sewn already, measured on the polygons of its pieces.
#include <QtTest>

#include "core/alter/kit/catalogue.h"
#include "core/alter/sewn/rows.h"
#include "core/paper/outline_validity.h"
#include "core/paper/redraw/leg.h"
#include "core/plan/bought_pair.h"
#include "core/plan/sewn_plan.h"
#include "core/plan/step_telling.h"
#include "near.h"
#include "tests.h"
#include "trousers_bench.h"

namespace test_sewn {

using namespace sartorum;
using test::between;
using test::legs_of;
using test::random_trousers;

namespace {

double mm(Length l)
{
    return l.in_mm();
}

// By hand: sums of chords of a fine polyline.
double chords(const Curve& c)
{
    const auto p = flattened(c, Length::mm(0.005));
    double sum = 0;
    for (std::size_t i = 1; i < p.size(); ++i) sum += Geom::distance(p[i - 1], p[i]);
    return sum;
}

double wide(const Piece& p, double level)
{
    double least = 1e9;
    double most = -1e9;
    const auto points = outline_points(p, Length::mm(0.01));
    for (std::size_t i = 0; i < points.size(); ++i) {
        const Point a = points[i];
        const Point b = points[(i + 1) % points.size()];
        if ((a[Geom::Y] - level) * (b[Geom::Y] - level) > 0 || a[Geom::Y] == b[Geom::Y]) continue;
        const double x = a[Geom::X] + (b - a)[Geom::X] * (level - a[Geom::Y]) / (b - a)[Geom::Y];
        least = std::min(least, x);
        most = std::max(most, x);
    }
    return most - least;
}

bool holds_point(const Piece& p, Point at)
{
    bool in = false;
    const auto points = outline_points(p, Length::mm(0.01));
    for (std::size_t i = 0; i < points.size(); ++i) {
        const Point a = points[i];
        const Point b = points[(i + 1) % points.size()];
        if ((a[Geom::Y] > at[Geom::Y]) == (b[Geom::Y] > at[Geom::Y])) continue;
        const double x = a[Geom::X] + (b - a)[Geom::X] * (at - a)[Geom::Y] / (b - a)[Geom::Y];
        if (x > at[Geom::X]) in = !in;
    }
    return in;
}

using Bench = test::TrousersBench;

Bench lockgate()
{
    return test::lockgate_bench();
}

void more(BodySet& b, Measure m, double by)
{
    for (auto& r : b.readings[m]) r += Length::mm(by);
}

Decision taken(AdjustmentKind kind, double by)
{
    return {kind, Answer::Accepted, Length::mm(by)};
}

}  // namespace

class TestSewn : public QObject {
    Q_OBJECT
private slots:
    // Crotch, inside leg and thigh against the polygons, and what is usual: 1.2 to 1.6 times as much crotch, the
    // less the more the inner legs lean.
    void a_lowered_crotch_is_measured_on_its_curve()
    {
        std::mt19937 rng{7};
        int done = 0;
        double least = 9;
        double most = 0;
        for (int round = 0; round < 40; ++round) {
            const auto pattern = trousers_pattern(random_trousers(rng));
            if (!pattern) continue;
            const Garment legs = legs_of(*pattern);
            const double down = between(rng, 5, 36);
            auto out = adjustment(AdjustmentKind::SewnCrotch).apply(legs, Length::mm(down));
            QVERIFY(out.has_value());
            double gained = 0;
            for (const auto role : {PieceRole::Front, PieceRole::Back}) {
                const Piece& was = *find_piece(legs.pieces, role);
                const Piece& is = *find_piece(out->garment.pieces, role);
                const auto on = [&](const Piece& p, EdgeRole e) { return chords(edge(p, e).curve); };
                gained += on(is, EdgeRole::Centre) - on(was, EdgeRole::Centre);
                QVERIFY(near(on(was, EdgeRole::InnerLeg) - on(is, EdgeRole::InnerLeg), down, 0.05));
                QVERIFY(near(on(was, EdgeRole::Side), on(is, EdgeRole::Side), 1e-9));
                // Where it is measured, under its new point.
                const double level = edge(is, EdgeRole::InnerLeg).curve.finalPoint()[Geom::Y] - mm(thigh_below);
                QVERIFY(near(mm(measure_piece(is).of(GarmentMeasure::Thigh)), wide(is, level), 0.05));
                // Nothing is added: the new line lies in the old piece.
                for (const Point at : flattened(edge(is, EdgeRole::Centre).curve, Length::mm(0.5))) {
                    const double off = std::min(nearest(edge(was, EdgeRole::Centre).curve, at).off,
                                                nearest(edge(was, EdgeRole::InnerLeg).curve, at).off);
                    QVERIFY2(off < 0.02 || holds_point(was, at), qPrintable(QString::number(off)));
                }
                QVERIFY(!unsound(is));
            }
            QVERIFY(gained > down * 0.7);
            least = std::min(least, gained / down);
            most = std::max(most, gained / down);
            ++done;
        }
        QVERIFY(done > 30);
        QVERIFY2(least > 0.7 && most < 1.9, qPrintable(QString("%1 %2").arg(least).arg(most)));
    }

    // One inch of it gives an inch and a quarter to an inch and a half.
    void an_inch_lower()
    {
        const Garment legs = test::plain_legs();
        const auto out = adjustment(AdjustmentKind::SewnCrotch).apply(legs, Length::inches(1));
        double gained = 0;
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            gained += mm(sewn_length(*find_piece(out->garment.pieces, role), EdgeRole::Centre) -
                         sewn_length(*find_piece(legs.pieces, role), EdgeRole::Centre));
        QVERIFY2(gained > 25.4 * 1.25 && gained < 25.4 * 1.55, qPrintable(QString::number(gained)));
    }

    void the_marks_are_distances_between_the_lines()
    {
        const Garment legs = test::plain_legs();
        const Piece& was = *find_piece(legs.pieces, PieceRole::Back);
        const Piece is = *crotch_lowered(was, Length::mm(20));
        const auto marks = seams_apart(was, is, Length::mm(30));
        QVERIFY(marks.size() > 4);
        QVERIFY(near(mm(marks.front().apart), 20, 0.01));
        QVERIFY(marks.back().apart < Length::mm(1));
        const auto old = flattened(edge(was, EdgeRole::Centre).curve, Length::mm(0.01));
        for (const auto& m : marks) {
            double along = 0;
            Point at = old.front();
            for (std::size_t i = 1; i < old.size() && along < mm(m.along); ++i) {
                along += Geom::distance(old[i - 1], old[i]);
                at = old[i];
            }
            double off = 1e9;
            for (const Point p : flattened(edge(is, EdgeRole::Centre).curve, Length::mm(0.01)))
                off = std::min(off, Geom::distance(p, at));
            QVERIFY(near(off, mm(m.apart), 1.0));
        }
        QVERIFY(!crotch_lowered(was, Length::mm(400)));
    }

    // On paper nothing of it is offered; with the sewn garment nothing else.
    void only_what_can_be_done_is_offered()
    {
        Bench b = lockgate();
        QVERIFY(!b().line(AdjustmentKind::SewnCrotch));
        b.plan.decide(taken(AdjustmentKind::WaistToHip, 12));
        b.plan.decide({AdjustmentKind::WidthAtKnee, Answer::Declined});
        b.plan = plan_as_sewn(b());
        const auto c = b();
        QVERIFY(c.line(AdjustmentKind::SewnCrotch) && c.line(AdjustmentKind::SewnHem));
        QVERIFY(c.line(AdjustmentKind::WaistToHip));
        QVERIFY(!c.line(AdjustmentKind::BodyRise) && !c.line(AdjustmentKind::WidthAtKnee));
        QCOMPARE(told_steps(c).front().step->kind, StepKind::TraceSize);  // as it was cut
        QVERIFY(c.not_done.empty());
    }

    // What was sewn stays what it is, whatever is measured later.
    void what_was_sewn_stands()
    {
        Bench b = lockgate();
        more(b.body, Measure::WaistToHip, 15);
        b.plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted});
        const auto cut = b();
        b.plan = plan_as_sewn(cut);
        more(b.body, Measure::WaistToHip, 25);
        const auto later = b();
        for (std::size_t i = 0; i < cut.altered.pieces.size(); ++i)
            QVERIFY(same_paper(cut.altered.pieces[i], later.altered.pieces[i]));
        b.plan.decide(taken(AdjustmentKind::SewnCrotch, 10));
        const auto paper = plan_on_paper(b.plan);
        QVERIFY(!paper.sewn && !paper.decision(AdjustmentKind::SewnCrotch));
        QVERIFY(paper.decision(AdjustmentKind::WaistToHip));
    }

    // A body that is the chart has nothing done to what fits it.
    void an_on_chart_body_needs_nothing()
    {
        Bench b = lockgate();
        b.plan = plan_as_sewn(b());
        const auto c = b();
        for (const auto& line : c.lines)
            QVERIFY2(line.state != LineState::Proposed, adjustment(line.kind).key.data());
    }

    // As low as the string asks for, and so far that it is then as long.
    void a_short_crotch_is_lowered_by_the_string()
    {
        Bench b = lockgate();
        more(b.body, Measure::FrontRise, 9);
        more(b.body, Measure::BackRise, 21);
        b.plan = plan_as_sewn(b());
        const auto asked = b();
        const PlanLine& line = *asked.line(AdjustmentKind::SewnCrotch);
        QCOMPARE(line.state, LineState::Proposed);
        b.plan.decide({AdjustmentKind::SewnCrotch, Answer::Accepted});
        const auto c = b();
        const auto longer = [&](GarmentMeasure m) { return mm(c.altered_flat.of(m)) - mm(c.traced_flat.of(m)); };
        QVERIFY(near(longer(GarmentMeasure::CrotchFront) + longer(GarmentMeasure::CrotchBack), 30, 0.5));
        QVERIFY(near(longer(GarmentMeasure::InsideLeg) + mm(line.amount), 0, 0.05));
        QVERIFY(longer(GarmentMeasure::Thigh) < 0);
        QVERIFY(c.checks.seams_hold());
        const auto told = told_steps(c);
        QCOMPARE(told.front().step->kind, StepKind::LayLegs);
        QCOMPARE(told.back().step->kind, StepKind::StitchAndTrim);
    }

    // A usual leg whose measures are those that were taken; lowered, what comes of it is what a leg of that
    // pattern gives, within what the curve between them can differ by.
    void a_bought_pair_is_drawn_from_its_measures()
    {
        std::mt19937 rng{31};
        int drawn = 0;
        for (int round = 0; round < 40; ++round) {
            const auto own = trousers_pattern(random_trousers(rng));
            if (!own) continue;
            const Garment legs = legs_of(*own);
            const auto flat = measure_flat(legs.pieces);
            using enum GarmentMeasure;
            BoughtTrousers pair{
                "A pair",           flat.of(Waist), flat.of(Hip),    flat.of(CrotchFront), flat.of(CrotchBack),
                flat.of(InsideLeg), flat.of(Thigh), flat.of(LegHem), flat.of(Knee)};
            const auto c = bought_lowered(pair, {}, Length::mm(20));
            QVERIFY(c.has_value());
            for (const auto m : {CrotchFront, CrotchBack, Thigh})
                QVERIFY(near(mm(c->traced_flat.of(m) - flat.of(m)), 0, 0.6));
            const auto really = adjustment(AdjustmentKind::SewnCrotch).apply(legs, Length::mm(20));
            const auto then = measure_flat(really->garment.pieces);
            const double gained =
                mm(then.of(CrotchFront) + then.of(CrotchBack) - flat.of(CrotchFront) - flat.of(CrotchBack));
            const double said = mm(c->altered_flat.of(CrotchFront) + c->altered_flat.of(CrotchBack) -
                                   c->traced_flat.of(CrotchFront) - c->traced_flat.of(CrotchBack));
            QVERIFY2(std::abs(gained - said) < 6, qPrintable(QString("%1 %2").arg(gained).arg(said)));
            QVERIFY(near(mm(then.of(Thigh) - c->altered_flat.of(Thigh)), 0, 8));
            ++drawn;
        }
        QVERIFY(drawn > 30);
    }

    void measures_that_are_no_leg_are_refused()
    {
        BoughtTrousers pair{"A pair",        Length::mm(760), Length::mm(1030), Length::mm(310),
                            Length::mm(390), Length::mm(760), Length::mm(2000), Length::mm(400)};
        QVERIFY(!bought_lowered(pair, {}, Length::mm(20)));
        pair.thigh = Length::mm(660);
        QVERIFY(bought_lowered(pair, {}, Length::mm(20)));
        QVERIFY(!bought_lowered(pair, {}, {}));  // nothing says how far
        QVERIFY(!bought_lowered(pair, {}, Length::mm(300)));
        BodySet body{"2026-11-30", {}};
        body.readings[Measure::FrontRise] = {Length::mm(318), Length::mm(318)};
        body.readings[Measure::BackRise] = {Length::mm(402), Length::mm(402)};
        const auto c = bought_lowered(pair, body, {});
        QVERIFY(c.has_value());
        QVERIFY(c->line(AdjustmentKind::SewnCrotch)->amount > Length::mm(5));
    }

    // Nothing is added but what an allowance holds.
    void seams_are_let_out_within_their_allowance()
    {
        Bench b = lockgate();
        b.plan = plan_as_sewn(b());
        const auto state = [&](AdjustmentKind kind, double by) {
            Plan plan = b.plan;
            plan.decide(taken(kind, by));
            const auto c = *compute(b.pattern, b.chart, b.body, plan);
            return c.line(kind)->state;
        };
        const double allowance =
            mm(edge(front_of(part_view(b().altered, PartKind::Trousers)), EdgeRole::Side).allowance);
        QVERIFY(allowance > 8);
        QCOMPARE(state(AdjustmentKind::SewnHipWidth, -20), LineState::Accepted);
        QCOMPARE(state(AdjustmentKind::SewnHipWidth, 4 * (allowance - 5) - 1), LineState::Accepted);
        QCOMPARE(state(AdjustmentKind::SewnHipWidth, 4 * (allowance - 5) + 2), LineState::Refused);
        QCOMPARE(state(AdjustmentKind::SewnWaist, -12), LineState::Accepted);
        QCOMPARE(state(AdjustmentKind::SewnWaist, 6), LineState::Refused);
        QCOMPARE(state(AdjustmentKind::SewnHem, -40), LineState::Accepted);
        QCOMPARE(state(AdjustmentKind::SewnHem, 250), LineState::Refused);
        QCOMPARE(state(AdjustmentKind::SewnCrotch, -5), LineState::Refused);
    }
};

SARTORUM_TEST(TestSewn)

}  // namespace test_sewn

#include "test_sewn.moc"
