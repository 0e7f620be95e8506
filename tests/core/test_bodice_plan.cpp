// A top's plan: what is proposed from which measure, what must be looked at again, and that any plan holds
// together.
#include <QTest>
#include <algorithm>
#include <cmath>
#include <numbers>
#include <random>

#include "core/paper/redraw/bodice.h"
#include "core/plan/compute.h"
#include "near.h"
#include "tests.h"
#include "tops.h"

namespace test_bodice_plan {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using enum AdjustmentKind;

}  // namespace

class TestBodicePlan : public QObject {
    Q_OBJECT
private slots:
    void an_arm_that_differs_is_asked_for_once()
    {
        const auto b = bench(with_sleeve(plain_bodice()));
        const double drafted = b(plan_at("12")).traced_flat.of(GarmentMeasure::Sleeve).in_mm();
        const auto body = body_of({{Measure::ArmLength, drafted + 20}});
        const auto lower = [&](std::optional<Answer> above) {
            Plan plan = plan_at("12");
            if (above) plan.decide({AdjustmentKind::SleeveAbove, *above, {}});
            return b(plan, body).line(AdjustmentKind::SleeveBelow)->proposal->amount.in_mm();
        };
        QVERIFY(
            near(b(plan_at("12"), body).line(AdjustmentKind::SleeveAbove)->proposal->amount.in_mm(), 10, 1e-6));
        QVERIFY(near(lower({}), 10, 1e-6));
        QVERIFY(near(lower(Answer::Accepted), 10, 0.5));  // the seam leans
        QVERIFY(near(lower(Answer::Declined), 20, 1e-6));
    }
    void a_slope_compares_both_drops_at_this_shoulders_tip()
    {
        // 45 mm over a shoulder of 120 is 22.02 degrees (arc sine), whatever the pattern's shoulder is long.
        const auto b = bench();
        const auto body = body_of({{Measure::NeckPointHeight, 1400},
                                   {Measure::ShoulderTipHeight, 1355},
                                   {Measure::ShoulderLength, 120}});
        const auto c = b(plan_at("12"), body);
        const auto& p = *c.line(AdjustmentKind::ShoulderSlope)->proposal;
        const double seam = sewn_length(front_of(c.altered), EdgeRole::Shoulder).in_mm();
        QVERIFY(near(p.wanted.in_mm(), seam * 45 / 120, 0.01));
        QVERIFY(near((p.given - p.wanted).in_mm(), p.amount.in_mm(), 0.6));  // sines against the tangent
    }
    void only_what_serves_a_top_is_offered_in_fitting_order()
    {
        const auto c = bench()(plan_at("12"));
        std::vector<AdjustmentKind> kinds;
        for (const auto& l : c.lines) kinds.push_back(l.kind);
        const std::vector<AdjustmentKind> wanted{ShoulderLength,
                                                 ShoulderSlope,
                                                 AdjustmentKind::PinnedShoulder,
                                                 BallOfShoulder,
                                                 NeckForward,
                                                 NeckSize,
                                                 AdjustmentKind::RoundBack,
                                                 ArmholeDepth,
                                                 BustDepth,
                                                 BodiceLength,
                                                 SwayBack,
                                                 UnderarmWidth,
                                                 AdjustmentKind::BustSpan,
                                                 AdjustmentKind::Bust,
                                                 BustLength,
                                                 NeckGape,
                                                 ArmholeGape,
                                                 AdjustmentKind::AcrossFront,
                                                 AdjustmentKind::AcrossBack,
                                                 BackArmhole,
                                                 WidthAtWaist,
                                                 DartMoved,
                                                 AdjustmentKind::PinnedBustDart,
                                                 AdjustmentKind::PinnedWaistDarts};
        QVERIFY(kinds == wanted);
        QVERIFY(!c.line(WaistToHip));
        const auto tee = bench(plain_tee())(plan_at("12"));
        QVERIFY(tee.line(FinishedLength) && !tee.line(BustDepth));
    }
    void shoulder_length_by_the_centre_to_armhole_way()
    {
        // Common practice: pattern half front 7 1/2 in, cross-shoulder 13 in, an inch of ease in all: 1/2 in
        // shorter.
        BodiceFlat f = plain_bodice();
        f.neck_width = Length::inches(3);
        f.front_drop = f.back_drop = Length::mm(40);
        f.shoulder = Length::mm(std::hypot(4.5 * 25.4, 40.0));
        // The reading goes over the back; up to half an inch a side is ease, and what is beyond that comes off.
        const auto body = body_of({{Measure::CrossShoulder, 13 * 25.4}});
        const auto b = bench(with_sleeve(f));
        const PlanLine line = *b(plan_at("12"), body).line(ShoulderLength);
        QVERIFY(is_near(line.amount, Length::inches(-0.5), Length::mm(1e-6)));
        QVERIFY(line.state == LineState::Proposed);
        const auto proposed = [&](const Bench& on, double cross) {
            return on(plan_at("12"), body_of({{Measure::CrossShoulder, cross * 25.4}}))
                .line(ShoulderLength)
                ->proposal;
        };
        QVERIFY(!proposed(b, 14) && !proposed(b, 14.5) && !proposed(b, 15));
        QVERIFY(is_near(proposed(b, 16)->amount, Length::inches(0.5), Length::mm(1e-6)));
        // Far wider than the body is a dropped shoulder; cut in without a sleeve, or said to be, it is the
        // designer's.
        QVERIFY(!proposed(b, 11.5) && !proposed(bench(f), 13));
        Bench said = b;
        for (auto& size : said.pattern.sizes)
            find_piece(size.pieces, PieceRole::Front)->shoulder_style = ShoulderStyle::Dropped;
        QVERIFY(!proposed(said, 13));
        // What the chart prints counts in any style: half of a whole width, all of the seam's own length.
        for (auto& size : said.chart.sizes) size.body[Measure::CrossShoulder] = Length::inches(14);
        QVERIFY(is_near(proposed(said, 13)->amount, Length::inches(-0.5), Length::mm(1e-6)));
    }
    void a_printed_shoulder_length_slides_the_corner_by_more_than_the_seam()
    {
        auto b = bench();
        for (auto& size : b.chart.sizes) size.body[Measure::ShoulderLength] = Length::mm(122);
        const auto body = body_of({{Measure::ShoulderLength, 134}});
        Plan plan = plan_at("12");
        const auto c = b(plan, body);
        const double slope = c.checks.shoulder->slope_degrees() * std::numbers::pi / 180;
        QVERIFY(is_near(c.line(ShoulderLength)->amount, Length::mm(12 / std::cos(slope)), Length::mm(1e-6)));
        plan.decide({ShoulderLength, Answer::Accepted, {}});
        const Length grew =
            b(plan, body).altered_flat.of(GarmentMeasure::Shoulder) - c.traced_flat.of(GarmentMeasure::Shoulder);
        QVERIFY(is_near(grew, Length::mm(12), Length::mm(0.35)));
    }
    void slope_by_heights_brings_the_sewn_slope_to_the_bodys()
    {
        const auto b = bench();
        const auto body = body_of({{Measure::NeckPointHeight, 1420},
                                   {Measure::ShoulderTipHeight, 1362},
                                   {Measure::ShoulderLength, 124}});
        Plan plan = plan_at("12");
        const auto before = b(plan, body);
        QVERIFY(before.line(ShoulderSlope)->proposal.has_value());
        QVERIFY(before.line(ShoulderSlope)->amount < Length::mm(-8));  // steeper: comes off at the tips
        plan.decide({ShoulderSlope, Answer::Accepted, {}});
        const auto after = b(plan, body);
        QVERIFY(near(after.checks.shoulder->slope_degrees(), *shoulder_slope_degrees(body, Side::Right), 0.1));
        // At the neck ends the same slope asks for the opposite paper.
        plan.decide({ShoulderSlope, Answer::Accepted, {}, {}, 1});
        const auto neck = b(plan, body);
        QVERIFY(is_near(neck.line(ShoulderSlope)->amount, -before.line(ShoulderSlope)->amount, Length::mm(1e-9)));
        QVERIFY(near(neck.checks.shoulder->slope_degrees(), *shoulder_slope_degrees(body, Side::Right), 0.1));
        QVERIFY(is_near(after.checks.shoulder->forward(), before.checks.shoulder->forward(), Length::mm(0.3)));
    }
    // Front and back off their chart, nape to underarm too where it is known: who gets what. Trade 7.2, worked by
    // hand.
    void lengths_are_shared_out_between_front_and_back_data()
    {
        QTest::addColumn<double>("front");
        QTest::addColumn<double>("back");
        QTest::addColumn<double>("upper");  // 99: not measured
        QTest::addColumn<double>("round_back");
        QTest::addColumn<double>("armhole");
        QTest::addColumn<double>("both");
        QTest::addColumn<double>("sway");
        QTest::addColumn<double>("over_bust");
        const auto row = [](const char* name, double f, double b, double u, double r, double a, double c, double s,
                            double o) { QTest::newRow(name) << f << b << u << r << a << c << s << o; };
        row("both longer, front more", 15, 6, 99, 0, 0, 6, 0, 9);
        row("both longer, back more", 8, 20, 99, 12, 0, 8, 0, 0);
        row("both shorter, back more", -8, -20, 99, 0, 0, -8, -12, 0);
        row("opposite ways", 10, -12, 99, 0, 0, 0, -12, 10);
        row("back longer above the underarm", 0, 14, 14, 14, 0, 0, 0, 0);
        row("back longer below it: wait", 0, 14, 0, 0, 0, 0, 14, 0);
        row("erect back", 0, -14, -14, -14, 0, 0, 0, 0);
        row("shared with the armhole", 16, 16, 6, 0, 6, 10, 0, 0);
        row("a deep armhole alone", 0, 0, 12, 0, 12, -12, 0, 0);
    }
    void lengths_are_shared_out_between_front_and_back()
    {
        QFETCH(double, front);
        QFETCH(double, back);
        QFETCH(double, upper);
        auto b = bench();
        for (auto& size : b.chart.sizes) size.body[Measure::ArmholeDepth] = Length::mm(205);
        auto body = body_of({{Measure::FrontWaistLength, 430 + front}, {Measure::BackWaistLength, 410 + back}});
        if (upper < 90) body.readings[Measure::ArmholeDepth] = {Length::mm(205 + upper), Length::mm(205 + upper)};
        body.posture.hollow = Hollow::Seen;
        Plan plan = plan_at("12");
        const auto is = [&](AdjustmentKind kind, const char* column) {
            const double want = *static_cast<const double*>(QTest::qData(column, QMetaType::Double));
            auto c = b(plan, body);
            const PlanLine* line = c.line(kind);
            const double got = line->proposal ? line->proposal->amount.in_mm() : 0;
            if (line->state == LineState::Proposed) plan.decide({kind, Answer::Accepted, {}});
            return near(got, want, 1e-6);
        };
        QVERIFY(is(AdjustmentKind::RoundBack, "round_back"));
        QVERIFY(is(ArmholeDepth, "armhole"));
        QVERIFY(is(BodiceLength, "both"));
        QVERIFY(is(SwayBack, "sway"));
        QVERIFY(is(BustLength, "over_bust"));
        const auto done = b(plan, body);
        QVERIFY(done.not_done.empty());
    }
    void an_amount_that_ruins_the_outline_is_refused_with_the_most_that_does_not()
    {
        const auto b = bench();
        for (const auto& [kind, mm] : {std::pair{ShoulderLength, -145.0}, {ShoulderLength, -149.0}}) {
            Plan plan = plan_at("12");
            plan.decide({kind, Answer::Accepted, Length::mm(mm)});
            const auto refused = *b(plan).line(kind);
            QVERIFY2(refused.state == LineState::Refused, adjustment(kind).key.data());
            const Length most = mm > 0 ? refused.refusal->high : refused.refusal->low;
            QVERIFY(abs(most) > Length{} && abs(most) < Length::mm(std::abs(mm)));
            plan.decide({kind, Answer::Accepted, most});
            QVERIFY2(b(plan).line(kind)->state == LineState::Accepted, adjustment(kind).key.data());
        }
    }
    void a_pattern_that_can_hardly_be_is_asked_about_before_anything_is_proposed()
    {
        auto b = bench();
        const auto body = body_of({{Measure::Bust, 930}, {Measure::Waist, 740}});
        QVERIFY(b(plan_at("12"), body).doubts.empty());
        for (auto& size : b.chart.sizes) size.body[Measure::Waist] = size.body[Measure::Waist] + Length::mm(120);
        Plan plan = plan_at("12");
        plan.decide({AdjustmentKind::Bust, Answer::Accepted, {}});
        plan.decide({ShoulderLength, Answer::Accepted, Length::mm(6)});
        auto c = b(plan, body);
        QCOMPARE(c.doubts.size(), std::size_t{1});
        QVERIFY(c.doubts[0].kind == DoubtKind::NarrowerThanBody && c.doubts[0].measure == Measure::Waist);
        for (const auto& l : c.lines) QVERIFY(!l.proposal);
        QCOMPARE(c.not_done.size(), std::size_t{1});  // what has an amount of its own is done
        QVERIFY(c.not_done[0].why.why == Why::PatternDoubted);
        plan.as_drawn = true;  // it is meant so
        c = b(plan, body);
        QVERIFY(c.doubts.empty() && c.not_done.empty() && c.line(AdjustmentKind::Bust)->proposal);
        plan.as_drawn = false;  // a knit may be narrower
        plan.cloth = {true, 0.3};
        QVERIFY(b(plan, body).doubts.empty());
        plan.cloth = {};
        for (auto& size : b.chart.sizes) {
            size.body[Measure::Waist] = size.body[Measure::Waist] - Length::mm(120);
            size.body[Measure::BackWaistLength] = Length::mm(350);
        }
        QVERIFY(b(plan, body).doubts.at(0).kind == DoubtKind::LengthFarOff);
    }
    void a_sway_back_needs_its_sign_and_a_longer_lower_back_a_toile()
    {
        const auto b = bench();
        auto body = body_of({{Measure::FrontWaistLength, 430}, {Measure::BackWaistLength, 398}});
        QVERIFY(b(plan_at("12"), body).line(SwayBack)->state == LineState::LeaveIt);
        QVERIFY(b(plan_at("12"), body).line(SwayBack)->proposal->leave() == Leave::SignFirst);
        body.posture.hollow = Hollow::Seen;
        QVERIFY(b(plan_at("12"), body).line(SwayBack)->state == LineState::Proposed);
    }
    void a_fuller_busts_own_length_is_counted_once()
    {
        const auto b = bench();
        auto body =
            body_of({{Measure::Bust, 920}, {Measure::FrontWaistLength, 430}, {Measure::BackWaistLength, 410}});
        Plan plan = plan_at("12");
        plan.decide({AdjustmentKind::Bust, Answer::Accepted, {}});
        const auto fuller = b(plan, body);
        const Length gain = fuller.line(AdjustmentKind::Bust)->changed.of(GarmentMeasure::CentreFront);
        QVERIFY(gain > Length::mm(5));
        // A front as long as the chart's keeps what the bust gave; a longer one asks for the rest; one that wants
        // less than that gives it up again.
        QVERIFY(!fuller.line(BustLength)->proposal || fuller.line(BustLength)->state != LineState::Proposed);
        for (const double more : {gain.in_mm() + 9, gain.in_mm() - 6}) {
            for (auto& r : body.readings[Measure::FrontWaistLength]) r = Length::mm(430 + more);
            QVERIFY(is_near(b(plan, body).line(BustLength)->amount, Length::mm(more) - gain, Length::mm(1e-6)));
        }
        // While the bust waits for its answer, so does this.
        const auto waiting = b(plan_at("12"), body);
        QVERIFY(waiting.line(BustLength)->proposal->leave() == Leave::AnswerFirst);
    }
    void bust_depth_is_measured_on_the_paper_as_it_then_is()
    {
        const auto b = bench();
        const auto body = body_of({{Measure::BustDepth, 285}});
        Plan plan = plan_at("12");
        plan.decide({ArmholeDepth, Answer::Accepted, Length::mm(10)});
        plan.decide({BustDepth, Answer::Accepted, {}});
        const auto c = b(plan, body);
        const Piece& front = front_of(c.altered);
        QVERIFY(near(Geom::distance(neck_point(front), *front.bust_point), 285, 0.01));
        QVERIFY(c.line(BustDepth)->amount < Length::mm(9));  // the armhole has done most of it
    }
    void what_a_posture_says_is_pointed_at_without_an_amount()
    {
        BodySet body;
        body.posture = {Stance::Forward, Stance::Centred, RoundBack::Slight, SlopeSeen::Unsaid};
        const auto c = bench()(plan_at("12"), body);
        QVERIFY(c.line(BallOfShoulder)->noted);
        QVERIFY(!c.line(NeckForward)->noted);
        QVERIFY(c.line(AdjustmentKind::RoundBack)->noted);
        QVERIFY(c.line(BallOfShoulder)->amount == Length{});
    }
    void what_stands_below_a_change_is_to_be_looked_at_again()
    {
        const auto b = bench();
        Plan plan = plan_at("12");
        plan.decide({BodiceLength, Answer::Accepted, Length::mm(10)});
        plan.decide({SwayBack, Answer::Accepted, Length::mm(-10)});
        QVERIFY(!b(plan).line(SwayBack)->look_again);
        plan.decide({ShoulderSlope, Answer::Accepted, Length::mm(-6)});
        QVERIFY(b(plan).line(SwayBack)->look_again == ShoulderSlope);
        QVERIFY(b(plan).line(BodiceLength)->look_again == ShoulderSlope);
        QVERIFY(!b(plan).line(ShoulderSlope)->look_again);
        plan.decide(*plan.decision(SwayBack));  // looked at: it stays
        QVERIFY(!b(plan).line(SwayBack)->look_again);
        QVERIFY(b(plan).line(BodiceLength)->look_again);
    }
    void a_way_that_does_not_suit_the_fold_is_refused_and_keeps_the_rest()
    {
        const auto b = bench();
        Plan plan = plan_at("12");
        plan.decide({AdjustmentKind::RoundBack, Answer::Accepted, Length::mm(12), {}, 0});  // by a centre seam
        plan.decide({BodiceLength, Answer::Accepted, Length::mm(10)});
        const auto c = b(plan);
        QVERIFY(c.line(AdjustmentKind::RoundBack)->state == LineState::Refused);
        QVERIFY(c.line(AdjustmentKind::RoundBack)->refusal->why == Why::FoldWouldBend);
        QVERIFY(c.line(BodiceLength)->state == LineState::Accepted);
        plan.decide({AdjustmentKind::RoundBack, Answer::Accepted, Length::mm(12)});  // the usual way here
        QVERIFY(b(plan).line(AdjustmentKind::RoundBack)->state == LineState::Accepted);
        QVERIFY(b(plan).checks.folds[0].holds);
    }
    void allow_and_pin_is_accepted_with_nothing_pinned_yet()
    {
        const auto b = bench();
        Plan plan = plan_at("12");
        plan.decide({ShoulderSlope, Answer::Accepted, {}, {}, 2});
        const auto c = b(plan);
        QVERIFY(c.line(ShoulderSlope)->state == LineState::Accepted);
        QCOMPARE(c.line(ShoulderSlope)->steps, std::size_t{2});
        plan.decide({ShoulderSlope, Answer::Accepted, Length::mm(-9), Length::mm(-6), 2});
        QVERIFY(b(plan).checks.shoulder->slope_degrees() > c.checks.shoulder->slope_degrees() + 3);
    }
    void sizes_blend_from_the_frame_to_the_waist_or_the_hem()
    {
        for (const bool tee : {false, true}) {
            const auto b = bench(tee ? plain_tee() : plain_bodice());
            Plan plan = plan_at("12");
            plan.sizes[tee ? Level::Hip : Level::Waist] = "16";
            const auto c = b(plan);
            const auto small = measure_flat(b.pattern.sizes[0].pieces);
            const auto large = measure_flat(b.pattern.sizes[2].pieces);
            QVERIFY(
                is_near(c.traced_flat.of(GarmentMeasure::Bust), small.of(GarmentMeasure::Bust), Length::mm(1e-6)));
            QVERIFY(is_near(c.traced_flat.of(GarmentMeasure::Shoulder), small.of(GarmentMeasure::Shoulder),
                            Length::mm(1e-6)));
            const Length got =
                tee ? c.traced_flat.of(GarmentMeasure::Hem) : c.traced_flat.of(GarmentMeasure::Waist);
            QVERIFY(is_near(got, tee ? large.of(GarmentMeasure::Hem) : large.of(GarmentMeasure::Waist),
                            Length::mm(6)));
            QVERIFY(c.checks.seams_hold());
            QVERIFY(is_near(c.checks.walks[1].difference, {}, Length::mm(0.02)));
        }
    }
    void the_chart_must_print_the_bust()
    {
        auto b = bench();
        for (auto& s : b.chart.sizes) s.body.erase(Measure::Bust);
        const auto r = compute(b.pattern, b.chart, {}, plan_at("12"));
        QVERIFY(!r && r.error().why == Why::ChartNoMeasure);
        Plan plan = plan_at("12");
        plan.sizes[Level::Bust] = "99";
        QVERIFY(compute(b.pattern, chart_for(b.pattern), {}, plan).error().why == Why::SizeUnknown);
    }
    void any_plan_within_its_limits_holds_together()
    {
        std::mt19937 rng{21};
        int plans = 0;
        int refused = 0;
        int applied = 0;
        while (plans < tries(250)) {
            const auto f = random_bodice(rng);
            const auto drawn = bodice_pattern(f);
            if (!drawn) continue;
            ++plans;
            const auto chart = [&] {
                SizeChart c{"C", "N", {}};
                c.sizes.push_back({f.size, {{Measure::Bust, Length::mm(880)}}, 0});
                return c;
            }();
            Plan plan = plan_at(f.size);
            const auto start = *compute(*drawn, chart, {}, plan);
            for (const auto& entry : catalogue()) {
                if (!serves(entry, start.traced) || rng() % 3 == 0) continue;
                const double part = 0.5;
                const Length amount =
                    Length::mm(between(rng, entry.least.in_mm() * part, entry.most.in_mm() * part));
                Decision d{entry.kind, Answer::Accepted, amount};
                if (entry.acts_on == ActsOn::Apart && rng() % 2) d.set_back(amount * between(rng, 0.5, 1.0));
                if (!entry.methods.empty()) d.method = rng() % entry.methods.size();
                plan.decide(d);
            }
            const auto c = *compute(*drawn, chart, {}, plan);
            for (const auto& l : c.lines) {
                refused += l.state == LineState::Refused;
                applied += l.state == LineState::Accepted;
            }
            const auto say = [&](const QString& what) {
                QString done;
                for (const auto& l : c.lines) {
                    if (l.state == LineState::Accepted)
                        done += QString{" %1 %2 way %3"}
                                    .arg(adjustment(l.kind).key.data())
                                    .arg(l.amount.in_mm())
                                    .arg(l.method);
                }
                return QString{"plan %1: %2;%3"}.arg(plans).arg(what, done).toUtf8();
            };
            for (const auto& w : c.checks.walks)
                QVERIFY2(w.holds, say(QString{"%1 off %2"}.arg(w.seam.c_str()).arg(w.difference.in_mm())).data());
            const auto& side = c.checks.walks[1];
            QVERIFY2(side.notches_a.size() == 1 && is_near(side.notches_a[0], side.notches_b[0], Length::mm(3)),
                     say(QString{"notches %1"}.arg((side.notches_a[0] - side.notches_b[0]).in_mm())).data());
            for (const auto& fold : c.checks.folds) QVERIFY2(fold.holds, say("fold bends").data());
            for (const auto& d : c.checks.darts)
                QVERIFY2(d.holds, say(QString{"legs apart %1"}.arg(d.apart.in_mm())).data());
            for (const auto& j : c.checks.joins)
                QVERIFY2(std::abs(j.degrees - 180) < 9,
                         say(QString{"join %1 at %2"}.arg(int(j.place)).arg(j.degrees)).data());
            for (const auto& piece : c.altered.pieces) {
                const auto sound = check_piece(piece);
                QVERIFY2(
                    sound.has_value(),
                    say(sound ? ""
                              : QString{"%1 why %2"}.arg(sound.error().field.c_str()).arg(int(sound.error().why)))
                        .data());
                for (const auto& n : piece.notches) {
                    double least = 1e9;
                    for (const auto& e : piece.edges) {
                        Geom::Coord off = 0;
                        (void)e.curve.nearestTime(n.at, &off);
                        if (e.role == n.on) least = std::min(least, double(off));
                    }
                    QVERIFY2(least < 0.01, say("notch off its edge").data());
                }
            }
        }
        QVERIFY2(applied > tries(1000) && refused < applied / 2,
                 qPrintable(QString{"%1 applied, %2 refused"}.arg(applied).arg(refused)));
    }
    void taking_decisions_back_in_any_order_gives_the_start_again()
    {
        const auto b = bench();
        const auto start = b(plan_at("12"));
        std::mt19937 rng{3};
        for (int i = 0; i < 20; ++i) {
            Plan plan = plan_at("12");
            std::vector<AdjustmentKind> made{ShoulderSlope, BallOfShoulder, AdjustmentKind::RoundBack,
                                             ArmholeDepth,  BustDepth,      BodiceLength,
                                             SwayBack};
            for (const auto k : made) plan.decide({k, Answer::Accepted, Length::mm(k == SwayBack ? -9 : 7)});
            QVERIFY(largest_gap(front_of(b(plan).altered), front_of(start.altered)) > 5);
            std::shuffle(made.begin(), made.end(), rng);
            for (const auto k : made) plan.forget(k);
            const auto back = b(plan);
            for (std::size_t p = 0; p < back.altered.pieces.size(); ++p)
                QVERIFY(largest_gap(back.altered.pieces[p], start.altered.pieces[p]) < 1e-6);
        }
    }
    void a_mirrored_drawing_and_a_mirrored_body_give_the_same_paper()
    {
        const auto b = bench();
        auto mirrored = b.pattern;
        for (auto& size : mirrored.sizes) {
            for (auto& p : size.pieces) p = moved(p, Geom::Scale(-1, 1));
        }
        const Bench other{*check_pattern(mirrored), b.chart};
        Plan plan = plan_at("12");
        plan.decide({ShoulderSlope, Answer::Accepted, {}});
        plan.decide({BallOfShoulder, Answer::Accepted, Length::mm(8)});
        BodySet body = body_of({{Measure::NeckPointHeight, 1420}});
        for (const auto& [m, right, left] :
             {std::tuple{Measure::ShoulderTipHeight, 1366.0, 1374.0}, {Measure::ShoulderLength, 124.0, 122.0}}) {
            body.readings[m] = {Length::mm(right), Length::mm(right)};
            body.left[m] = {Length::mm(left), Length::mm(left)};
        }
        BodySet swapped = body;
        for (const auto m : {Measure::ShoulderTipHeight, Measure::ShoulderLength})
            std::swap(swapped.readings[m], swapped.left[m]);
        const auto one = b(plan, body);
        const auto two = other(plan, swapped);
        QVERIFY(one.line(ShoulderSlope)->proposal.has_value());
        for (std::size_t p = 0; p < one.altered.pieces.size(); ++p)
            QVERIFY(largest_gap(one.altered.pieces[p], two.altered.pieces[p]) < 1e-6);
    }
};
SARTORUM_TEST(TestBodicePlan)

}  // namespace test_bodice_plan

#include "test_bodice_plan.moc"
