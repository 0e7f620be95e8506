// A dress: two parts that stay sewn together, whatever is done above the seam.
#include <QTest>
#include <algorithm>

#include "core/alter/joins/rows.h"
#include "core/pattern/part_rules.h"
#include "core/plan/first_plan.h"
#include "dresses.h"
#include "near.h"
#include "tests.h"

namespace test_dress {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

// The length of the waist of a piece, straight from place to place in steps of a few hundredths: no curve of ours
// measures it.
double polyline_waist(const Piece& p)
{
    double sum = 0;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Waist) continue;
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            const auto& s = segment_of(e.curve, i);
            Geom::Point was = s[0];
            for (int k = 1; k <= 800; ++k) {
                const double t = k / 800.0;
                const double u = 1 - t;
                const Geom::Point is =
                    s[0] * (u * u * u) + s[1] * (3 * u * u * t) + s[2] * (3 * u * t * t) + s[3] * (t * t * t);
                sum += Geom::distance(was, is);
                was = is;
            }
        }
    }
    return sum;
}

double waist(const Garment& g, const char* piece)
{
    const Piece& p = *find_piece(g.pieces, std::string{piece});
    return polyline_waist(p) - gathered_in(p, EdgeRole::Waist).in_mm();
}

double upper_half(const Garment& g)
{
    return waist(g, "front") + waist(g, "back");
}

double skirt_half(const Garment& g)
{
    return waist(g, "skirt-front") + waist(g, "skirt-back");
}

// How far the two darts of a face are from meeting, closed, from the centre: by the polyline again.
double darts_apart(const Garment& g, const char* above, const char* below)
{
    const auto from_centre = [&](const char* id, bool centre_first) {
        Piece p = *find_piece(g.pieces, std::string{id});
        const auto mouth = std::find_if(p.edges.begin(), p.edges.end(), [&](const Edge& e) {
            return e.role == EdgeRole::DartMouth && (&e)[-1].role == EdgeRole::Waist;
        });
        if (centre_first) {
            p.edges.erase(mouth, p.edges.end());
        } else {
            p.edges.erase(p.edges.begin(), mouth);
        }
        return polyline_waist(p);
    };
    return from_centre(above, false) - from_centre(below, true);
}

struct Dress {
    Pattern pattern;
    SizeChart chart;
    Computed operator()(const Plan& plan, const BodySet& body = {}) const
    {
        return need(compute(pattern, chart, body, plan));
    }
};

Dress sewn(const DressFlat& flat)
{
    const auto p = graded(flat);
    return {p, chart_for(p)};
}

const PlanLine& line_below(const Computed& c, Kind kind)
{
    const auto it = std::find_if(c.lines.begin(), c.lines.end(),
                                 [&](const PlanLine& l) { return l.kind == kind && l.part == PartKind::Skirt; });
    if (it == c.lines.end()) qFatal("no such line");
    return *it;
}

bool near(double a, double b, double within)
{
    if (std::abs(a - b) <= within) return true;
    qWarning("%.4f is not %.4f", a, b);
    return false;
}

}  // namespace

class TestDress : public QObject {
    Q_OBJECT
private slots:
    void the_blocks_meet_as_they_are_drawn()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            const auto p = graded(flat);
            for (const auto& sized : p.sizes) {
                const Garment g{sized.pieces, p.seams};
                QVERIFY(near(waist(g, "skirt-front"), waist(g, "front") * flat.fullness, 0.01));
                QVERIFY(near(waist(g, "skirt-back"), waist(g, "back") * flat.fullness, 0.01));
                if (flat.fullness != 1) continue;
                QVERIFY(near(darts_apart(g, "front", "skirt-front"), 0, 0.01));
                QVERIFY(near(darts_apart(g, "back", "skirt-back"), 0, 0.01));
            }
        }
    }
    void a_body_that_is_the_chart_needs_nothing()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            const auto dress = sewn(flat);
            for (std::size_t i = 0; i < dress.chart.sizes.size(); ++i) {
                BodySet body;
                for (const auto& [m, value] : dress.chart.sizes[i].body) body.readings[m] = {value, value};
                const auto& size = dress.chart.sizes[i].name;
                const auto c = dress(dress_plan(size, size, size), body);
                for (const auto& l : c.lines) {
                    QVERIFY2(l.state != LineState::Proposed && l.state != LineState::Accepted,
                             std::string{adjustment(l.kind).key}.c_str());
                }
                QCOMPARE(c.steps.size(), c.trace_steps);
            }
        }
    }
    // Common practice: bodice waist +10 mm a half gives the skirt's closed waist the same.
    void a_wider_bodice_takes_the_skirt_with_it()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            const auto dress = sewn(flat);
            Plan plan = dress_plan("14", "14", "14");
            const auto before = dress(plan);
            plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(20)});
            const auto after = dress(plan);
            QVERIFY(near(upper_half(after.altered) - upper_half(before.altered), 10, 0.1));
            const double more = (upper_half(after.altered) - upper_half(before.altered)) * flat.fullness;
            QVERIFY(near(skirt_half(after.altered) - skirt_half(before.altered), more, 0.02));
            const auto& l = line_below(after, Kind::JoinedWaist);
            QVERIFY(l.by_itself && l.state == LineState::Accepted && l.steps >= 4);
            for (const auto& w : after.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
            // The waist is decided once, above.
            QCOMPARE(std::count_if(after.lines.begin(), after.lines.end(),
                                   [](const PlanLine& x) { return x.kind == Kind::WidthAtWaist; }),
                     1);
            // Declined it stays, and the walk says so.
            plan.decide({Kind::JoinedWaist, Answer::Declined});
            const auto left = dress(plan);
            QVERIFY(near(skirt_half(left.altered), skirt_half(before.altered),
                         0.05));  // its darts go with those above
            const auto join = std::find_if(left.checks.walks.begin(), left.checks.walks.end(),
                                           [](const Walk& w) { return w.seam == "waist"; });
            QVERIFY(!join->holds);
        }
    }
    // A fuller bust whose waist is kept wide widens the front alone, beyond the dart: both go on below.
    void a_fuller_bust_comes_down_in_front_only()
    {
        const auto dress = sewn(fitted_dress());
        Plan plan = dress_plan("14", "14", "14");
        const auto before = dress(plan);
        plan.decide(
            {Kind::Bust, Answer::Accepted, Length::mm(12), {}, method_of_key(adjustment(Kind::Bust), "kept")});
        const auto after = dress(plan);
        QVERIFY(waist(after.altered, "front") - waist(before.altered, "front") > 8);
        QVERIFY(near(waist(after.altered, "skirt-front") - waist(before.altered, "skirt-front"),
                     waist(after.altered, "front") - waist(before.altered, "front"), 0.3));
        QVERIFY(near(waist(after.altered, "skirt-back"), waist(before.altered, "skirt-back"), 0.3));
        QVERIFY(near(darts_apart(after.altered, "front", "skirt-front"), 0, 1));
        QVERIFY(near(darts_apart(after.altered, "back", "skirt-back"), 0, 1));
    }
    void darts_go_with_the_bodices_unless_that_is_declined()
    {
        const auto dress = sewn(fitted_dress());
        for (const auto& d : {Decision{Kind::Bust, Answer::Accepted, Length::mm(20), {}, std::size_t{0}},
                              Decision{Kind::WidthAtWaist, Answer::Accepted, Length::mm(-48)}}) {
            Plan plan = dress_plan("14", "14", "14");
            plan.decide(d);
            const auto c = dress(plan);
            QVERIFY(near(darts_apart(c.altered, "front", "skirt-front"), 0, 1));
            QVERIFY(line_below(c, Kind::JoinedDarts).by_itself && line_below(c, Kind::JoinedDarts).steps > 0);
            plan.decide({Kind::JoinedDarts, Answer::Declined});
            QVERIFY(std::abs(darts_apart(dress(plan).altered, "front", "skirt-front")) > 3);
        }
    }
    void sizes_blended_from_part_to_part_meet_in_the_waists()
    {
        const auto dress = sewn(fitted_dress());
        for (const auto& [bust, waist_size, hip] :
             {std::tuple{"12", "14", "16"}, {"16", "14", "12"}, {"18", "12", "18"}, {"12", "12", "18"}}) {
            const auto c = dress(dress_plan(bust, waist_size, hip));
            QVERIFY(near(upper_half(c.altered), skirt_half(c.altered), 0.5));
            QVERIFY(near(darts_apart(c.altered, "front", "skirt-front"), 0, 1));
            QVERIFY(near(darts_apart(c.altered, "back", "skirt-back"), 0, 1));
        }
    }
    void a_join_written_from_below_is_the_same_join()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            Pattern p = graded(flat, 2);
            Pattern turned = p;
            Seam& join = turned.seams.back();
            std::swap(join.a, join.b);
            join.fullness = 1 / join.fullness;
            turned = *check_pattern(turned);
            Plan plan = dress_plan("12", "12", "12");
            plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(24)});
            const Dress one{p, chart_for(p)};
            const Dress other{turned, chart_for(p)};
            const auto a = one(plan);
            const auto b = other(plan);
            for (std::size_t i = 0; i < a.altered.pieces.size(); ++i)
                QVERIFY(largest_gap(a.altered.pieces[i], b.altered.pieces[i]) < 1e-6);
            for (const auto& w : b.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        }
    }
    void the_seam_goes_lower_or_higher_and_the_hem_stays()
    {
        const auto dress = sewn(fitted_dress());
        const auto centre = [](const Computed& c, const char* id) {
            const Curve& line = edge(*find_piece(c.altered.pieces, std::string{id}), EdgeRole::Centre).curve;
            return Geom::distance(line.initialPoint(), line.finalPoint());
        };
        Plan plan = dress_plan("14", "14", "14");
        const auto before = dress(plan);
        for (const double mm : {18.0, -12.0}) {
            plan.decide({Kind::WaistSeamLevel, Answer::Accepted, Length::mm(mm)});
            const auto after = dress(plan);
            for (const auto& [above, below] : {std::pair{"front", "skirt-front"}, {"back", "skirt-back"}}) {
                QVERIFY(near(centre(after, above) - centre(before, above), mm, 0.01));
                QVERIFY(near(centre(after, below) - centre(before, below), -mm, 0.01));
            }
            // Nothing is given back at the hem for it, and a wished length counts what the bodice has.
            QVERIFY(line_below(after, Kind::HemGivenBack).state == LineState::NothingKnown);
            const auto wish = body_of({{Measure::SkirtLength, 600}});
            const auto wished = [&](const Plan& p) {
                const auto made = dress(p, wish);
                const auto& l = line_below(made, Kind::FinishedLength);
                return l.proposal ? l.proposal->amount.in_mm() : 0;
            };
            // The length is walked along the side seam, which leans: a little more than straight down.
            QVERIFY(near(wished(plan), wished(dress_plan("14", "14", "14")), 0.5));
            QVERIFY(near(upper_half(after.altered), skirt_half(after.altered), 0.5));
            for (const auto& w : after.checks.walks) QVERIFY2(w.holds, w.seam.c_str());
        }
        // A skirt or a bodice alone has no such seam.
        const auto top = bench();
        QVERIFY(!top(plan_at("14")).line(Kind::WaistSeamLevel));
    }
    void darts_that_did_not_meet_are_left_where_they_are()
    {
        auto flat = fitted_dress();
        Pattern p = graded(flat, 2);
        for (auto& sized : p.sizes) {  // the skirt's dart half-way to the side, as it likes
            SkirtFlat f = flat.skirt;
            const Garment g{sized.pieces, {}};
            f.front_waist = Length::mm(waist(g, "front"));
            f.waist = Length::mm(2 * upper_half(g));
            f.band_depth = {};
            f.front_dart_at = f.front_waist * 0.75;
            f.back_dart_at = f.front_waist * 0.4;
            const auto skirt = *draw_skirt(f);
            sized.pieces.resize(2);
            sized = sewn_together(sized, skirt);
        }
        const Dress dress{*check_pattern(p), chart_for(p)};
        Plan plan = dress_plan("12", "12", "12");
        plan.decide(
            {Kind::Bust, Answer::Accepted, Length::mm(12), {}, method_of_key(adjustment(Kind::Bust), "kept")});
        const auto c = dress(plan);
        QVERIFY(line_below(c, Kind::JoinedDarts).state == LineState::NothingKnown);
        // Asked for all the same it is said why not.
        plan.decide({Kind::JoinedDarts, Answer::Accepted, Length::mm(5)});
        QVERIFY(line_below(dress(plan), Kind::JoinedDarts).refusal->why == Why::NoDartToMeet);
    }
    void a_dart_of_ones_own_amount_goes_that_far()
    {
        const auto dress = sewn(fitted_dress());
        Plan plan = dress_plan("14", "14", "14");
        const auto before = dress(plan);
        plan.decide({Kind::JoinedDarts, Answer::Accepted, Length::mm(6), Length::mm(-4)});
        const auto after = dress(plan);
        QVERIFY(near(darts_apart(after.altered, "front", "skirt-front"), -6, 0.2));
        QVERIFY(near(darts_apart(after.altered, "back", "skirt-back"), 4, 0.2));
        QVERIFY(near(skirt_half(after.altered), skirt_half(before.altered), 0.2));
        const auto widths = [](const Computed& c) {
            std::vector<double> out;
            for (const auto& p : c.altered.pieces) {
                for (const auto& d : p.darts) {
                    out.push_back(Geom::distance(d.leg_a, d.leg_b));
                    out.push_back(Geom::distance(d.leg_a, d.tip));
                }
            }
            return out;
        };
        const auto was = widths(before);
        const auto is = widths(after);
        QCOMPARE(was.size(), is.size());
        for (std::size_t i = 0; i < was.size(); ++i) QVERIFY(near(is[i], was[i], 1e-6));
    }
    // After any chain of accepted changes the waists meet, or at their ratio, and the darts that met meet.
    void after_any_chain_the_parts_still_meet()
    {
        std::mt19937 rng{1717};
        int darts_checked = 0;
        int refused = 0;
        for (int i = 0; i < tries(150); ++i) {
            DressFlat flat = i % 3 == 2 ? gathered_dress() : fitted_dress();
            flat.bodice.front_dart = Length::mm(between(rng, 14, 32));
            flat.skirt.front_dart = Length::mm(between(rng, 10, 22));
            if (i % 5 == 0) flat.bodice.side_dart = {};
            const auto dress = sewn(flat);
            const auto size = [&] { return dress.chart.sizes[rng() % 3].name; };
            Plan plan = dress_plan(size(), size(), size());
            for (const auto& a : catalogue()) {
                if (rng() % 3 || a.apply_across) continue;
                std::uniform_real_distribution<double> amount{a.least.in_mm() * 0.4, a.most.in_mm() * 0.4};
                Decision d{a.kind, Answer::Accepted, Length::mm(amount(rng))};
                if (a.acts_on == ActsOn::Apart && rng() % 2) d.set_back(Length::mm(amount(rng)));
                if (!a.methods.empty() && rng() % 2) d.method = rng() % a.methods.size();
                plan.decide(d);
            }
            const auto c = dress(plan);
            if (line_below(c, Kind::JoinedWaist).state == LineState::Refused) {
                ++refused;  // and said
                QVERIFY(std::any_of(c.not_done.begin(), c.not_done.end(),
                                    [](const NotDone& n) { return n.kind == Kind::JoinedWaist; }));
                continue;
            }
            // A dart slid along a bent waist changes its length a little.
            QVERIFY(near(skirt_half(c.altered), upper_half(c.altered) * flat.fullness, 0.8));
            for (const auto& w : c.checks.walks) {
                if (w.seam == "waist") QVERIFY(w.holds);
            }
            const auto& moved = line_below(c, Kind::JoinedDarts);
            if (flat.fullness != 1 || moved.state == LineState::Refused) continue;
            const auto dart_count = [&](const char* id) {
                return waist_mouths(*find_piece(c.altered.pieces, std::string{id})).size();
            };
            for (const auto& [above, below] : {std::pair{"front", "skirt-front"}, {"back", "skirt-back"}}) {
                if (dart_count(above) != 1 || dart_count(below) != 1) continue;
                QVERIFY(near(darts_apart(c.altered, above, below), 0, 1));
                ++darts_checked;
            }
        }
        QVERIFY2(darts_checked > tries(90), qPrintable(QString::number(darts_checked)));
        QVERIFY2(refused <= tries(15), qPrintable(QString::number(refused)));
    }
    void what_both_parts_have_at_the_waist_is_told_once()
    {
        for (const auto& flat : {fitted_dress(), gathered_dress()}) {
            const auto dress = sewn(flat);
            const auto body = body_of({{Measure::Bust, 1000}, {Measure::Waist, 860}, {Measure::Hip, 1080}});
            Pattern small = dress.pattern;  // seven eighths of what the chart asks for
            for (auto& sized : small.sizes) {
                for (auto& piece : sized.pieces) piece = moved(piece, Geom::Scale(0.875));
            }
            const auto c = need(compute(small, dress.chart, body, dress_plan("12", "12", "12")));
            const auto at_waist = [](const auto& all) {
                return std::count_if(all.begin(), all.end(),
                                     [](const auto& x) { return x.measure == Measure::Waist; });
            };
            QCOMPARE(at_waist(c.doubts), 1);
            QCOMPARE(at_waist(c.checks.ease), 1);
            // The narrower of the two: where the skirt is gathered, the bodice.
            const auto ease = std::find_if(c.checks.ease.begin(), c.checks.ease.end(),
                                           [](const EaseCheck& e) { return e.measure == Measure::Waist; });
            QVERIFY(
                near(ease->finished.in_mm(), 2 * std::min(upper_half(c.altered), skirt_half(c.altered)), 0.01));
        }
    }
    void dragging_above_recomputes_what_is_below()
    {
        const auto dress = sewn(fitted_dress());
        Plan plan = dress_plan("14", "14", "14");
        auto c = dress(plan);
        for (const double mm : {4.0, 12.0, 30.0, -16.0}) {
            plan.decide({Kind::WidthAtWaist, Answer::Accepted, Length::mm(mm)});
            c = need(recompute(std::move(c), work_of(dress.pattern, dress.chart, {}, plan)));
            const auto whole = dress(plan);
            for (std::size_t i = 0; i < whole.altered.pieces.size(); ++i)
                QVERIFY(largest_gap(c.altered.pieces[i], whole.altered.pieces[i]) < 1e-9);
        }
    }
};
SARTORUM_TEST(TestDress)

}  // namespace test_dress

#include "test_dress.moc"
