#include <QTest>
#include <map>
#include <random>
#include <tuple>

#include "core/plan/compute.h"
#include "skirts.h"
#include "tests.h"

namespace test_plan {

using namespace sartorum;
using namespace sartorum::test;

namespace {

SizeChart chart_of(const Pattern& p)
{
    SizeChart c{"Skirts", "Nobody", {}};
    for (std::size_t i = 0; i < p.sizes.size(); ++i) {
        const double step = 40.0 * double(i);
        c.sizes.push_back({p.sizes[i].size,
                           {{Measure::Waist, Length::mm(640 + step)},
                            {Measure::Hip, Length::mm(880 + step)},
                            {Measure::WaistToHip, Length::mm(203.2)}},
                           0});
    }
    return c;
}

BodySet body(double waist, double hip, double depth, double wish)
{
    BodySet b{"2026-01-01", {}};
    const auto twice = [&](Measure m, double v) { b.readings[m] = {Length::mm(v), Length::mm(v)}; };
    twice(Measure::Waist, waist);
    twice(Measure::Hip, hip);
    twice(Measure::WaistToHip, depth);
    twice(Measure::SkirtLength, wish);
    return b;
}

const PlanLine& line(const Computed& c, AdjustmentKind kind)
{
    return *c.line(kind);
}

}  // namespace

class TestPlan : public QObject {
    Q_OBJECT
private slots:
    void differences_outside_the_noise_are_proposed_and_those_inside_are_left()
    {
        const auto p = graded_skirt();
        const auto c = *compute(p, chart_of(p), body(732, 961, 228.6, 600), plan_in_sizes("12", "12"));
        QCOMPARE(line(c, AdjustmentKind::WaistToHip).state, LineState::Proposed);
        QVERIFY(is_near(line(c, AdjustmentKind::WaistToHip).amount, Length::inches(1), Length::mm(1e-9)));
        QCOMPARE(line(c, AdjustmentKind::WidthAtWaist).state, LineState::Proposed);
        QVERIFY(is_near(line(c, AdjustmentKind::WidthAtWaist).amount, Length::mm(12), Length::mm(1e-9)));
        QCOMPARE(line(c, AdjustmentKind::WidthAtHip).state, LineState::LeaveIt);
        QCOMPARE(line(c, AdjustmentKind::HemGivenBack).state, LineState::NothingKnown);
        QVERIFY(c.steps.size() == c.trace_steps);  // nothing is done before it is accepted
    }
    void the_hem_gives_back_what_the_depth_took_so_the_length_stays()
    {
        const auto p = graded_skirt();
        Plan plan = plan_in_sizes("12", "12");
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, {}});
        BodySet no_wish = body(720, 960, 228.6, 600);
        no_wish.readings.erase(Measure::SkirtLength);
        auto c = *compute(p, chart_of(p), no_wish, plan);
        QCOMPARE(line(c, AdjustmentKind::HemGivenBack).state, LineState::Proposed);
        plan.decide({AdjustmentKind::HemGivenBack, Answer::Accepted, {}});
        c = *compute(p, chart_of(p), no_wish, plan);
        QVERIFY(is_near(c.altered_flat.of(GarmentMeasure::Side), c.traced_flat.of(GarmentMeasure::Side),
                        Length::mm(0.01)));
    }
    void a_wished_length_comes_out_as_wished_whatever_else_is_taken()
    {
        const auto p = graded_skirt();
        for (const auto& hem :
             {std::optional<Answer>{}, std::optional{Answer::Accepted}, std::optional{Answer::Declined}}) {
            for (const auto& own : {std::optional<Length>{}, std::optional{Length::mm(-12)}}) {
                Plan plan = plan_in_sizes("12", "12");
                plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, {}});
                plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(34)});
                if (hem) plan.decide({AdjustmentKind::HemGivenBack, *hem, own});
                plan.decide({AdjustmentKind::FinishedLength, Answer::Accepted, {}});
                const auto c = *compute(p, chart_of(p), body(720, 960, 228.6, 655), plan);
                QVERIFY(is_near(c.altered_flat.of(GarmentMeasure::Side), Length::mm(655), Length::mm(0.05)));
            }
        }
    }
    // One amount said alone, of every adjustment that has faces, sides or places: all others stay what they were,
    // those said and those left to the proposal.
    void one_amount_said_alone_leaves_all_others()
    {
        std::mt19937 rng{371};
        const auto cells = [](const Decision& d, const std::vector<std::string>& places) {
            std::map<std::tuple<std::string, Side, Face>, std::optional<Length>> out;
            for (const auto& at : places) {
                for (const auto side : both_sides) {
                    for (const auto face : each_face)
                        out[{at, side, face}] = at.empty() ? d.on(side, face) : d.at(side, at, false);
                }
            }
            return out;
        };
        for (const auto& entry : catalogue()) {
            std::vector<std::string> places;
            for (const auto& p : entry.places) places.emplace_back(p.key);
            if (places.empty()) places.emplace_back("");
            const bool faces = entry.acts_on == ActsOn::Apart && entry.places.empty();
            for (int i = 0; i < 40; ++i) {
                Decision d{entry.kind, Answer::Accepted};
                for (int step = 0; step < 6; ++step) {
                    Which which;
                    which.at = places[rng() % places.size()];
                    if (faces && rng() % 2) which.face = rng() % 2 ? Face::Front : Face::Back;
                    if (rng() % 2) which.side = rng() % 2 ? Side::Right : Side::Left;
                    const auto by = rng() % 4 ? std::optional{Length::mm(double(rng() % 20) - 10)} : std::nullopt;
                    const auto before = cells(d, places);
                    d.set(which, by);
                    for (const auto& [cell, is] : cells(d, places)) {
                        const auto& [at, side, face] = cell;
                        const bool meant = at == which.at && (!which.side || *which.side == side) &&
                                           (which.face == Face::Both || which.face == face);
                        QVERIFY2(is == (meant ? by : before.at(cell)), entry.key.data());
                    }
                }
                Decision again = d;
                again.one_amount();
                for (const auto& at : places) {
                    for (const auto face : each_face) {
                        const auto right = at.empty() ? d.on(Side::Right, face) : d.at(Side::Right, at, false);
                        const auto left =
                            at.empty() ? again.on(Side::Left, face) : again.at(Side::Left, at, false);
                        QVERIFY(left == right && !again.has_sides());
                    }
                }
            }
        }
    }
    void her_own_amount_wins_and_a_declined_one_is_left_out()
    {
        const auto p = graded_skirt();
        Plan plan = plan_in_sizes("12", "12");
        plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(30)});
        plan.decide({AdjustmentKind::WaistToHip, Answer::Declined, {}});
        const auto c = *compute(p, chart_of(p), body(720, 960, 228.6, 600), plan);
        QVERIFY(is_near(line(c, AdjustmentKind::WidthAtHip).changed.of(GarmentMeasure::Hip), Length::mm(30),
                        Length::mm(0.01)));
        QCOMPARE(line(c, AdjustmentKind::WaistToHip).state, LineState::Declined);
        QCOMPARE(line(c, AdjustmentKind::WaistToHip).steps, std::size_t{0});
    }
    void more_than_is_usual_is_done_and_said()
    {
        const auto p = graded_skirt();
        Plan plan = plan_in_sizes("12", "12");
        for (const auto& [mm, unusual] : {std::pair{49.0, false}, {80.0, true}, {150.0, true}}) {
            plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(mm)});
            const auto c = *compute(p, chart_of(p), body(720, 960, 203.2, 600), plan);
            const auto l = line(c, AdjustmentKind::WaistToHip);
            QCOMPARE(l.state, LineState::Accepted);
            QVERIFY(is_near(
                c.altered_flat.of(GarmentMeasure::WaistToHip) - c.traced_flat.of(GarmentMeasure::WaistToHip),
                Length::mm(mm), Length::mm(0.01)));
            QCOMPARE(l.cautions.size(), std::size_t{unusual ? 1U : 0U});
            if (unusual)
                QVERIFY(l.cautions[0].kind == CautionKind::Amount && abs(l.cautions[0].most) == Length::mm(50));
        }
    }
    void an_amount_the_paper_cannot_carry_leaves_the_rest_of_the_plan_standing()
    {
        const auto p = graded_skirt();
        Plan plan = plan_in_sizes("12", "14");
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(-190)});
        plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, Length::mm(12)});
        const auto c = *compute(p, chart_of(p), body(720, 960, 228.6, 600), plan);
        QCOMPARE(line(c, AdjustmentKind::WaistToHip).state, LineState::Refused);
        QCOMPARE(line(c, AdjustmentKind::WidthAtHip).state, LineState::Accepted);
    }
    void any_accepted_plan_leaves_every_walked_pair_within_tolerance()
    {
        const auto p = graded_skirt();
        const auto chart = chart_of(p);
        std::mt19937 rng{99};
        int applied = 0;
        for (int i = 0; i < 300; ++i) {
            const auto w = std::uniform_int_distribution<std::size_t>{0, 7}(rng);
            const auto h = std::min<std::size_t>(7, w + std::uniform_int_distribution<std::size_t>{0, 2}(rng));
            Plan plan = plan_in_sizes(p.sizes[w].size, p.sizes[h].size);
            const auto amount = [&](double most) {
                return Length::mm(std::round(between(rng, -most, most)) + 0.5);
            };
            plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, amount(45)});
            plan.decide({AdjustmentKind::WidthAtWaist, Answer::Accepted, amount(80)});
            plan.decide({AdjustmentKind::WidthAtHip, Answer::Accepted, amount(80)});
            plan.decide({AdjustmentKind::HemGivenBack, Answer::Accepted, {}});
            plan.decide({AdjustmentKind::FinishedLength, Answer::Accepted, amount(150)});
            BodySet no_wish = body(720, 960, 203, 600);
            no_wish.readings.erase(Measure::SkirtLength);
            const auto c = *compute(p, chart, no_wish, plan);
            for (const auto& l : c.lines) applied += l.state == LineState::Accepted;
            for (const auto& walk : c.checks.walks) {
                QVERIFY2(walk.holds,
                         qPrintable(
                             QString("%1: %2 off %3").arg(i).arg(walk.seam.c_str()).arg(walk.difference.in_mm())));
            }
            for (const auto& piece : c.altered.pieces) QVERIFY(check_piece(piece).has_value());
        }
        QVERIFY(applied > 1200);
    }
};
SARTORUM_TEST(TestPlan)

}  // namespace test_plan

#include "test_plan.moc"
