// A body that is the chart is left alone; one that differs in one measure gets that measure's adjustment, as it
// falls on the piece, and what follows from it.
#include <QTest>
#include <QtGlobal>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/alter/lengths/lengths.h"
#include "core/pattern/shoulder.h"
#include "core/plan/compute.h"
#include "core/plan/knock_ons.h"
#include "demo_garments.h"
#include "near.h"
#include "princess_fronts.h"
#include "tests.h"
#include "tops.h"

namespace test_advice {

using namespace sartorum;
using namespace sartorum::test;

namespace {

using Kind = AdjustmentKind;

struct Drafted {
    std::string name;
    Pattern pattern;
    SizeChart chart;
    GarmentKind kind;
    bool knit = false;
};

std::vector<Drafted> drafted_garments()
{
    std::vector<Drafted> out;
    const auto add = [&](const char* drawing, const char* chart, GarmentKind kind, bool knit) {
        out.push_back({drawing, *formats::read_pattern_svg(demo_file(drawing)),
                       *formats::read_chart_csv(demo_file(chart)), kind, knit});
    };
    add("windlass-bodice.svg", "windlass-dress.csv", GarmentKind::Dress, false);
    add("heron-tee.svg", "heron-tee.csv", GarmentKind::Top, true);
    add("sluice-waistcoat.svg", "sluice-waistcoat.csv", GarmentKind::Top, false);
    add("lockside-skirt.svg", "towpath-paper.csv", GarmentKind::Skirt, false);
    return out;
}

// A chart that prints all that is measured on a garment, for a block: girths less some ease; lengths near the
// block's; the rest whatever a maker may have measured.
SizeChart chart_of(const Pattern& pattern, std::mt19937& rng, bool everything)
{
    SizeChart out{"Chart", "Nobody", {}};
    for (std::size_t i = 0; i < pattern.sizes.size(); ++i) {
        const auto& pieces = pattern.sizes[i].pieces;
        const FlatMeasures flat = measure_flat(pieces);
        const double grade = 40.0 * static_cast<double>(i);
        ChartSize size{pattern.sizes[i].size, {}, 0};
        const auto put = [&](Measure m, Length l) { size.body[m] = l; };
        const auto less = [&](Measure m, GarmentMeasure of, double ease) {
            if (const auto& l = flat.at(of)) put(m, *l - Length::mm(ease));
        };
        less(Measure::Bust, GarmentMeasure::Bust, 70);
        less(Measure::Waist, GarmentMeasure::Waist, 50);
        less(Measure::Hip, flat.has(GarmentMeasure::Hip) ? GarmentMeasure::Hip : GarmentMeasure::Hem, 60);
        if (flat.has(GarmentMeasure::Armhole)) {
            const Garment g{pieces, {}};
            put(Measure::FrontWaistLength, front_waist_length(front_of(g)) + Length::mm(between(rng, -9, 9)));
            put(Measure::BackWaistLength, back_waist_length(back_of(g)) + Length::mm(between(rng, -9, 9)));
        } else {
            less(Measure::WaistToHip, GarmentMeasure::WaistToHip, between(rng, -8, 8));
        }
        if (everything) {
            less(Measure::UpperArm, GarmentMeasure::UpperArm, 55);
            put(Measure::CrossShoulder, Length::mm(392 + grade / 5));
            put(Measure::ShoulderLength, Length::mm(123 + grade / 20));
            put(Measure::AcrossFront, Length::mm(325 + grade / 5));
            put(Measure::AcrossBack, Length::mm(345 + grade / 5));
            put(Measure::NeckBase, Length::mm(372 + grade / 8));
            put(Measure::ArmLength, Length::mm(588 + grade / 8));
            put(Measure::Wrist, Length::mm(163 + grade / 20));
            put(Measure::BustSpan, Length::mm(184 + grade / 10));
            put(Measure::BustDepth, Length::mm(262 + grade / 8));
            put(Measure::ArmholeDepth, Length::mm(205 + grade / 10));
            put(Measure::NeckPointHeight, Length::mm(1420));
            put(Measure::ShoulderTipHeight, Length::mm(1375));
        }
        out.sizes.push_back(std::move(size));
    }
    // What a chart does not print for every size it does not print.
    for (const auto& f : all_measures) {
        const bool all = std::all_of(out.sizes.begin(), out.sizes.end(),
                                     [&](const ChartSize& s) { return s.body.contains(f.measure); });
        if (all) continue;
        for (auto& s : out.sizes) s.body.erase(f.measure);
    }
    return out;
}

Drafted random_block(unsigned seed)
{
    for (;; seed += 7919) {
        std::mt19937 rng{seed};
        const bool everything = rng() % 2;
        if (seed % 6 == 5) {
            const auto skirt = skirt_pattern(random_skirt(rng));
            if (!skirt) continue;
            return {"skirt " + std::to_string(seed), *skirt, chart_of(*skirt, rng, everything),
                    GarmentKind::Skirt};
        }
        BodiceFlat f = seed % 6 == 3 ? random_princess(rng) : random_bodice(rng);
        const bool tee = seed % 6 == 1;
        if (tee) {
            f = plain_tee();
            f.bust = Length::mm(between(rng, 860, 1100));
            f.waist = f.bust - Length::mm(80);
            f.hip = f.bust + Length::mm(70);
        }
        if (seed % 6 != 4) f = with_sleeve(f, Length::mm(tee ? 4 : between(rng, 8, 30)));
        const auto one = bodice_pattern(f);
        if (!one) continue;
        const char* kind = tee ? "tee " : f.princess ? "princess " : "bodice ";
        return {kind + std::to_string(seed), *one, chart_of(*one, rng, everything), GarmentKind::Top, tee};
    }
}

BodySet body_as_drafted(const SizeChart& chart, std::size_t size)
{
    BodySet out{"2026-11-28", {}};
    for (const auto& [m, value] : chart.sizes[size].body) out.readings[m] = {value, value};
    return out;
}

Plan plan_of(const Drafted& d, std::size_t size)
{
    const auto& name = d.chart.sizes[size].name;
    Plan plan = plan_in_sizes(name, name, d.kind == GarmentKind::Skirt ? std::string{} : name);
    plan.choosing.kind = d.kind;
    plan.choosing.knit = plan.cloth.knit = d.knit;
    plan.cloth.stretch = d.knit ? 0.3 : 0;
    return plan;
}

BodySet away_from(const SizeChart& chart, std::size_t size, std::mt19937& rng)
{
    BodySet out = body_as_drafted(chart, size);
    for (auto& [m, readings] : out.readings) {
        const double most = facts(m).kind == MeasureKind::Girth ? 40 : 14;
        const Length by = Length::mm(between(rng, -most, most));
        for (auto& r : readings) r += by;
    }
    return out;
}

std::vector<PlanLine> proposed(const Computed& c)
{
    std::vector<PlanLine> out;
    std::copy_if(c.lines.begin(), c.lines.end(), std::back_inserter(out),
                 [](const PlanLine& l) { return l.state == LineState::Proposed; });
    return out;
}

QString listed(const std::vector<PlanLine>& lines)
{
    QStringList out;
    for (const auto& l : lines)
        out << QString::fromStdString(std::string{adjustment(l.kind).key}) + " " +
                   QString::number(l.amount.in_mm(), 'f', 2);
    return out.join(", ");
}

// A measure of the body, which adjustment is its own, and its amount for a millimetre of difference.
struct Own {
    Measure measure;
    Kind kind;
    double share;
    std::vector<Kind> then{};  // what else follows, once it is taken
};

const std::vector<Own>& owns()
{
    static const std::vector<Own> all{
        {Measure::Bust, Kind::Bust, 0.5},
        {Measure::Waist, Kind::WidthAtWaist, 1},
        {Measure::Hip, Kind::WidthAtHip, 1},
        {Measure::CrossShoulder, Kind::ShoulderLength, 0.5, {Kind::AcrossFront, Kind::AcrossBack}},
        {Measure::AcrossFront, Kind::AcrossFront, 0.5},
        {Measure::AcrossBack, Kind::AcrossBack, 0.5},
        {Measure::NeckBase, Kind::NeckSize, 1},
        {Measure::UpperArm, Kind::UpperArm, 1},
        {Measure::Wrist, Kind::SleeveHem, 1},
        {Measure::BustSpan, Kind::BustSpan, 0.5, {Kind::BustDepth}},
        {Measure::FrontWaistLength, Kind::BustLength, 1},
        {Measure::ArmholeDepth, Kind::ArmholeDepth, 1, {Kind::BodiceLength, Kind::BustDepth}},
        {Measure::WaistToHip, Kind::WaistToHip, 1},
    };
    return all;
}

constexpr Kind sleeve_follows[] = {Kind::CapHeight, Kind::TopNotch, Kind::CapForward, Kind::SleeveAbove,
                                   Kind::SleeveBelow};

bool follows(Kind k, const Own& own)
{
    if (k == Kind::HemGivenBack) return true;
    if (std::find(own.then.begin(), own.then.end(), k) != own.then.end()) return true;
    return std::find(std::begin(sleeve_follows), std::end(sleeve_follows), k) != std::end(sleeve_follows);
}

}  // namespace

class TestAdvice : public QObject {
    Q_OBJECT

    static std::optional<Computed> computed(const Drafted& d, std::size_t size, const BodySet& body,
                                            const Plan& plan)
    {
        const auto c = compute(d.pattern, d.chart, body, plan);
        if (!c) qWarning("%s size %zu refused: %s", d.name.c_str(), size, c.error().field.c_str());
        return c ? std::optional{*c} : std::nullopt;
    }

    // What one measure asks for, moved by d from the chart.
    static bool asks_for(const Drafted& d, std::size_t size, const Own& own, double by)
    {
        BodySet body = body_as_drafted(d.chart, size);
        const auto at = body.readings.find(own.measure);
        if (at == body.readings.end()) return true;
        for (auto& r : at->second) r += Length::mm(by);
        Plan plan = plan_of(d, size);
        const auto c = computed(d, size, body, plan);
        if (!c) return false;
        if (!c->line(own.kind)) return true;
        const auto lines = proposed(*c);
        const PlanLine& its = *c->line(own.kind);
        // What this paper cannot do, or not all of it: said, and nothing else takes its place.
        if (its.state == LineState::NotOnPaper) return lines.empty() && its.refusal.has_value();
        const double most = its.short_of ? its.amount.in_mm() : by * own.share;
        if (lines.size() != 1 || lines[0].kind != own.kind || !near(lines[0].amount.in_mm(), most, 1e-6)) {
            qWarning("%s size %zu: %s by %.1f asks for %s", d.name.c_str(), size, facts(own.measure).key.data(),
                     by, qPrintable(listed(lines)));
            return false;
        }
        plan.decide({own.kind, Answer::Accepted, {}});
        const auto after = computed(d, size, body, plan);
        if (!after) return false;
        if (!after->not_done.empty()) return false;
        for (const auto& l : proposed(*after)) {
            if (follows(l.kind, own)) continue;
            qWarning("%s size %zu: %s by %.1f taken, then %s", d.name.c_str(), size, facts(own.measure).key.data(),
                     by, qPrintable(listed({l})));
            return false;
        }
        return true;
    }

    // How many were accepted before one was not done, which fails; all of them otherwise.
    static int all_taken(const Drafted& d, std::size_t size, const BodySet& body)
    {
        constexpr int most = 60;
        Plan plan = plan_of(d, size);
        int taken = 0;
        for (; taken < most; ++taken) {
            const auto c = computed(d, size, body, plan);
            if (!c) qFatal("%s refused", d.name.c_str());
            for (const auto& n : c->not_done) {
                qWarning("%s size %zu: %s not done", d.name.c_str(), size, adjustment(n.kind).key.data());
                QTest::qFail("proposed, and then not done", __FILE__, __LINE__);
            }
            const auto lines = proposed(*c);
            if (lines.empty() || !c->not_done.empty()) break;
            plan.decide({lines.front().kind, Answer::Accepted, {}});
        }
        return taken;
    }

private slots:
    void a_body_that_is_the_chart_needs_nothing()
    {
        std::vector<Drafted> all = drafted_garments();
        for (unsigned seed = 0; seed < static_cast<unsigned>(tries(300)); ++seed)
            all.push_back(random_block(seed));
        for (const auto& d : all) {
            for (std::size_t size = 0; size < d.chart.sizes.size(); ++size) {
                const auto c = computed(d, size, body_as_drafted(d.chart, size), plan_of(d, size));
                QVERIFY2(c, d.name.c_str());
                QVERIFY2(c->doubts.empty(), d.name.c_str());
                const QString found = QString::fromStdString(d.name) + ": " + listed(proposed(*c));
                QVERIFY2(proposed(*c).empty(), qPrintable(found));
                for (const auto& l : c->lines) {
                    const bool still = !l.proposal || abs(l.proposal->amount) < Length::mm(1e-9);
                    QVERIFY2(still, qPrintable(QString::fromStdString(d.name) + ": " + listed({l})));
                }
                QVERIFY2(knock_ons(*c).empty(), d.name.c_str());
                QVERIFY2(c->not_done.empty(), d.name.c_str());
            }
        }
    }

    void one_measure_that_differs_asks_for_its_own()
    {
        std::vector<Drafted> all = drafted_garments();
        for (unsigned seed = 0; seed < static_cast<unsigned>(tries(120)); ++seed)
            all.push_back(random_block(seed));
        std::mt19937 rng{11};
        int wrong = 0;
        for (const auto& d : all) {
            for (const auto& own : owns()) {
                const double by = between(rng, 13, 24) * (rng() % 2 ? 1 : -1);
                wrong += asks_for(d, rng() % d.chart.sizes.size(), own, by) ? 0 : 1;
            }
        }
        QCOMPARE(wrong, 0);
    }

    // What is proposed can be done: bodies that differ from the chart in many measures at once, one proposal
    // after another accepted until nothing more is proposed.
    void what_is_proposed_is_done()
    {
        std::vector<Drafted> all = drafted_garments();
        const std::size_t demos = all.size();
        for (unsigned seed = 0; seed < static_cast<unsigned>(tries(120)); ++seed)
            all.push_back(random_block(seed));
        std::mt19937 rng{12};
        int taken = 0;
        for (std::size_t i = 0; i < all.size(); ++i) {
            for (int bodies = 0; bodies < (i < demos ? tries(20) : 2); ++bodies) {
                const std::size_t size = rng() % all[i].chart.sizes.size();
                taken += all_taken(all[i], size, away_from(all[i].chart, size, rng));
            }
        }
        QVERIFY2(taken > tries(1000), qPrintable(QString::number(taken)));
    }
};

SARTORUM_TEST(TestAdvice)

}  // namespace test_advice

#include "test_advice.moc"
