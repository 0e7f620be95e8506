// What a toile says and what it comes from: cases of common practice, each with the sights of one cause, the test
// that tells it from what looks alike, and where each answer leads.
#include <QTest>
#include <algorithm>
#include <cmath>
#include <map>
#include <random>
#include <set>

#include "core/alter/kit/catalogue.h"
#include "core/fitting/reasoning.h"
#include "near.h"
#include "tests.h"
#include "trade/toile_cases.h"

namespace test_causes {

using namespace sartorum;
using test::cases;
using test::Worn;

namespace {

using S = Sight;
using T = SmallTest;

bool one_of(AdjustmentKind kind, const std::vector<AdjustmentKind>& list)
{
    return std::find(list.begin(), list.end(), kind) != list.end();
}

CanBe on(Worn what)
{
    using enum AdjustmentKind;
    static const std::vector<AdjustmentKind> of_legs{BodyRise, CrotchWedge, CrotchPoint, WidthAtThigh};
    static const std::vector<AdjustmentKind> below{WaistToHip, WaistLine, WidthAtWaist, WidthAtHip};
    return [what](const CauseFacts& c) {
        const auto kind = c.cause.kind;
        const bool legs = one_of(kind, of_legs);
        const bool skirt = kind == CentreWedge;
        if (what == Worn::Top)
            return !legs && !skirt && (!one_of(kind, below) || kind == WidthAtWaist || kind == WidthAtHip);
        return one_of(kind, below) || (what == Worn::Legs ? legs : skirt);
    };
}

Observed seen(const std::vector<Sight>& sights)
{
    Observed out;
    for (const auto s : sights) out.seen.push_back({s});
    return out;
}

std::string name_of(const std::optional<Cause>& c)
{
    return c ? key(*c) : "else";
}

std::string first_of(const Observed& o, const CanBe& can_be)
{
    const auto all = ranked(o, can_be);
    return all.empty() || !all.front().cause ? "else" : key(all.front().cause->cause);
}

double of(const Observed& o, const Cause& c, const CanBe& can_be)
{
    for (const auto& r : ranked(o, can_be))
        if (r.cause && r.cause->cause == c) return r.probability;
    return 0;
}

Observed with(Observed o, SmallTest t, bool yes)
{
    o.answers.push_back({t, yes});
    return o;
}

double entropy(double p)
{
    return p <= 0 || p >= 1 ? 0 : -p * std::log2(p) - (1 - p) * std::log2(1 - p);
}

// Over everything that may hold at once, block by block: how likely it is, and how surely the test says yes to it.
void through_all(const std::vector<std::vector<WeighedSet>>& blocks, std::size_t at, double p, double none,
                 const SmallTestFacts& t, double& yes, double& within)
{
    if (at == blocks.size()) {
        const double says = std::min(0.95, 1 - (1 - yes_without_cause) * none);
        yes += p * says;
        within += p * entropy(says);
        return;
    }
    for (const auto& s : blocks[at]) {
        double quiet = none;
        for (const auto* c : s.causes) {
            for (const auto& x : t.tells)
                if (c && x.cause == c->cause) quiet *= 1 - probability(x.yes);
        }
        through_all(blocks, at + 1, p * s.probability, quiet, t, yes, within);
    }
}

}  // namespace

class TestCauses : public QObject {
    Q_OBJECT
private slots:
    void each_case_leads_to_its_cause_and_its_test()
    {
        QVERIFY(cases().size() >= 40);
        for (const auto& c : cases()) {
            const auto can_be = on(c.on);
            const Observed o = seen(c.seen);
            if (std::string{c.first} != "*") QVERIFY2(first_of(o, can_be) == c.first, c.name);
            const auto next = next_test(o, can_be);
            QVERIFY2(next && next->test == c.next, c.name);
            for (const bool yes : {true, false}) {
                const char* wanted = yes ? c.if_yes : c.if_no;
                if (std::string{wanted} == "*") continue;
                QVERIFY2(first_of(with(o, c.next, yes), can_be) == wanted, c.name);
                QVERIFY2(name_of(yes ? next->if_yes : next->if_no) == wanted, c.name);
            }
        }
    }

    void rows_and_keys_agree()
    {
        std::set<std::string> keys;
        for (const auto& c : all_causes()) {
            QVERIFY2(keys.insert(key(c.cause)).second, key(c.cause).c_str());
            QCOMPARE(facts(c.cause), &c);
            QVERIFY(!c.often.empty());
            const auto& row = adjustment(c.cause.kind);
            QVERIFY(c.cause.sign > 0 ? row.most > Length{} : row.least < Length{});
            // Every cause shows something that a test can tell.
            const bool told = std::any_of(all_small_tests().begin(), all_small_tests().end(), [&](const auto& t) {
                return std::any_of(t.tells.begin(), t.tells.end(),
                                   [&](const Telling& x) { return x.cause == c.cause; });
            });
            QVERIFY2(told, key(c.cause).c_str());
        }
        for (std::size_t i = 0; i < sight_count; ++i) {
            const auto s = static_cast<Sight>(i);
            QCOMPARE(sight_of(facts(s).key), std::optional{s});
            const bool of_some = std::any_of(all_causes().begin(), all_causes().end(), [&](const CauseFacts& c) {
                return how_often(c, s) >= HowOften::Sometimes;
            });
            QVERIFY2(of_some || s == Sight::LegTwists, std::string{facts(s).key}.c_str());
        }
        QCOMPARE(all_small_tests().size(), small_test_count);
        for (const auto& t : all_small_tests()) {
            QCOMPARE(small_test_of(t.key), std::optional{t.test});
            for (const auto& x : t.tells) QVERIFY2(facts(x.cause), std::string{t.key}.c_str());
        }
    }

    // Every sight entered, in any order: all sets together are certain, and the order says nothing.
    void the_sets_sum_to_one_in_any_order()
    {
        std::mt19937 rng{5};
        for (int i = 0; i < 12; ++i) {
            Observed o;
            for (int k = 0; k < 5; ++k)
                o.seen.push_back(
                    {static_cast<Sight>(rng() % sight_count), rng() % 2 ? Strength::Clear : Strength::Slight});
            o.answers = {{static_cast<SmallTest>(rng() % small_test_count), rng() % 2 == 0}};
            std::set<const CauseFacts*> in_a_block;
            for (const auto& block : weighed_sets(o)) {
                double sum = 0;
                bool other = false;
                std::set<const CauseFacts*> here;
                for (const auto& w : block) {
                    QVERIFY(w.probability >= 0 && w.causes.size() <= 5);
                    sum += w.probability;
                    other = other || std::find(w.causes.begin(), w.causes.end(), nullptr) != w.causes.end();
                    here.insert(w.causes.begin(), w.causes.end());
                }
                QVERIFY(other && std::abs(sum - 1) < 1e-9);
                // No cause is in two of them, and what is in one shows something of it or is told by its answer.
                here.erase(nullptr);
                for (const auto* c : here) {
                    QVERIFY(in_a_block.insert(c).second);
                    const bool shows = std::any_of(o.seen.begin(), o.seen.end(), [&](const Seen& x) {
                        return how_often(*c, x.sight) != HowOften::Never;
                    });
                    const auto& tells = facts(o.answers[0].test).tells;
                    QVERIFY(shows || std::any_of(tells.begin(), tells.end(),
                                                 [&](const Telling& x) { return x.cause == c->cause; }));
                }
            }
            Observed turned = o;
            std::reverse(turned.seen.begin(), turned.seen.end());
            const auto a = ranked(o);
            const auto b = ranked(turned);
            QCOMPARE(a.size(), b.size());
            for (std::size_t k = 0; k < a.size(); ++k) {
                QCOMPARE(a[k].cause, b[k].cause);
                QVERIFY(near(a[k].probability, b[k].probability, 1e-12));
            }
        }
    }

    // One more sight that is typical of a cause never speaks against it, whatever else was seen.
    void a_typical_sight_never_lowers_its_cause()
    {
        std::mt19937 rng{6};
        for (const auto what : {Worn::Top, Worn::Skirt, Worn::Legs}) {
            const auto can_be = on(what);
            for (const auto& c : all_causes()) {
                if (!can_be(c)) continue;
                for (const auto s : c.often) {
                    Observed o;
                    for (int k = 0; k < 3; ++k) o.seen.push_back({static_cast<Sight>(rng() % sight_count)});
                    if (std::any_of(o.seen.begin(), o.seen.end(), [&](const Seen& x) { return x.sight == s; }))
                        continue;
                    Observed more = o;
                    more.seen.push_back({s});
                    QVERIFY2(of(more, c.cause, can_be) >= of(o, c.cause, can_be) - 1e-12, key(c.cause).c_str());
                }
            }
        }
    }

    // The test asked for is the one whose answer, weighed by how likely it is, leaves least in doubt: worked out
    // anew over all that may hold at once.
    void the_next_test_is_the_one_that_tells_most()
    {
        for (std::size_t i = 0; i < cases().size(); i += 7) {
            const auto can_be = on(cases()[i].on);
            const Observed o = seen(cases()[i].seen);
            const auto next = next_test(o, can_be);
            QVERIFY(next.has_value());
            const auto before = weighed_sets(o, can_be);
            const auto expected = [&](const SmallTestFacts& t) {
                double yes = 0;
                double within = 0;
                through_all(before, 0, 1, 1, t, yes, within);
                return entropy(yes) - within;
            };
            QVERIFY2(std::abs(expected(facts(next->test)) - next->bits) < 1e-6, cases()[i].name);
            for (const auto& t : all_small_tests()) {
                if (t.stage > facts(next->test).stage) continue;
                const bool concerns = std::any_of(t.tells.begin(), t.tells.end(), [&](const Telling& x) {
                    return x.yes >= Tells::Half && of(o, x.cause, can_be) >= 0.05;
                });
                if (concerns) QVERIFY2(expected(t) <= next->bits + 1e-6, cases()[i].name);
            }
        }
    }

    // Four things that have nothing to do with each other are four causes, not one that nobody knows.
    void what_does_not_hang_together_is_weighed_apart()
    {
        const auto can_be = on(Worn::Top);
        const Observed o =
            seen({S::FoldsAcrossAboveSeat, S::FoldsNeckToUnderarm, S::TipStandsOff, S::DartAboveBust});
        QCOMPARE(weighed_sets(o, can_be).size(), std::size_t{3});
        const Cause slope{AdjustmentKind::ShoulderSlope, -1};
        const Cause dart{AdjustmentKind::BustDepth, 1};
        QVERIFY(of(o, slope, can_be) > 0.6 && of(o, dart, can_be) > 0.3);
        // Each as likely as if the others were not seen.
        QVERIFY(near(of(o, dart, can_be), of(seen({S::DartAboveBust}), dart, can_be), 1e-12));
        QVERIFY(first_of(o, can_be) == "shoulder_slope:-");
    }

    void what_is_known_of_the_body_counts()
    {
        const auto can_be = on(Worn::Top);
        Observed o = seen({S::FoldsAcrossAboveSeat});
        const Cause hip{AdjustmentKind::WidthAtHip, 1};
        const double plain = of(o, hip, can_be);
        o.known = {{hip, Known::Proposed}};
        QVERIFY(of(o, hip, can_be) > plain * 1.5);
        QCOMPARE(first_of(o, can_be), std::string{"width_at_hip:+"});
        o.known = {{hip, Known::TakenUp}};
        QVERIFY(of(o, hip, can_be) < plain);
    }

    void shoulders_before_all()
    {
        // The seam behind is likely: a sleeve's test waits, whatever it would tell.
        const auto can_be = on(Worn::Top);
        Observed o = seen({S::SeamBehind, S::CapFolds});
        const auto next = next_test(o, can_be);
        QVERIFY(next && facts(next->test).stage == Stage::Shoulders);
        // Answered with no, it is let go, and the sleeve is asked about.
        o = with(with(o, T::EarLobeLine, false), T::NapeToHem, false);
        o = with(with(o, T::NeckEndToSide, false), T::PinchTips, false);
        o = with(o, T::PinchMidShoulder, false);
        const auto later = next_test(o, can_be);
        QVERIFY(later && facts(later->test).stage == Stage::Sleeve);
    }

    void a_slight_sight_tells_less_and_nothing_seen_tells_nothing()
    {
        const auto can_be = on(Worn::Top);
        Observed o;
        QVERIFY(ranked(o, can_be).empty() && !next_test(o, can_be));
        o.seen = {{S::SeamBehind, Strength::Slight}};
        const Cause forward{AdjustmentKind::BallOfShoulder, 1};
        const double slight = of(o, forward, can_be);
        o.seen = {{S::SeamBehind, Strength::Slight, Side::Left}, {S::SeamBehind, Strength::Clear, Side::Right}};
        QVERIFY(of(o, forward, can_be) > slight);
        QCOMPARE(of(o, forward, can_be), of(seen({S::SeamBehind}), forward, can_be));
        const auto all = ranked(o, can_be);
        QCOMPARE(all.front().explains, std::vector{S::SeamBehind});
        for (const auto& r : all)
            if (!r.cause) QCOMPARE(r.leaves.size(), std::size_t{1});
        QCOMPARE(likely(0.9), Likely::VeryLikely);
        QCOMPARE(likely(0.05), Likely::Hardly);
    }
};
SARTORUM_TEST(TestCauses)

}  // namespace test_causes

#include "test_causes.moc"
