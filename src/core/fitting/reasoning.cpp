#include "core/fitting/reasoning.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace sartorum {
namespace {

constexpr std::size_t most_causes = 3;
constexpr double nothing_shows = 0.01;  // a sight that none of a set's causes shows
constexpr double else_shows = 0.25;     // something else, whatever is seen
constexpr double usual_odds = 0.06;     // of a cause beforehand
constexpr double rare_odds = 0.02;
constexpr double else_odds = 0.05;
constexpr double least_told = 0.01;  // less is left out of the ranking
constexpr double least_bits = 0.02;  // less is no test

const double most_shown = probability(HowOften::Often);

// All causes that can be, and last a null: something else.
std::vector<const CauseFacts*> candidates(const CanBe& can_be)
{
    std::vector<const CauseFacts*> out;
    for (const auto& c : all_causes())
        if (!can_be || can_be(c)) out.push_back(&c);
    out.push_back(nullptr);
    return out;
}

double factor(Known k)
{
    switch (k) {
        case Known::Proposed: return 4;
        case Known::InsideNoise: return 1.6;
        case Known::TakenUp: return 0.4;
        case Known::TakenTooFar: return 2;
    }
    return 1;
}

double odds_of(const CauseFacts* c, const Observed& o)
{
    if (!c) return else_odds;
    double out = c->rare ? rare_odds : usual_odds;
    for (const auto& k : o.known)
        if (k.cause == c->cause) out *= factor(k.what);
    return out;
}

double shows(const CauseFacts* c, Sight s)
{
    return c ? probability(how_often(*c, s)) : else_shows;
}

double answers_yes(const CauseFacts* c, const SmallTestFacts& t)
{
    if (!c) return 0;  // something else is none of what hands can try here
    const auto it =
        std::find_if(t.tells.begin(), t.tells.end(), [&](const Telling& x) { return x.cause == c->cause; });
    return it == t.tells.end() ? 0 : probability(it->yes);
}

// Each cause by itself, for every sight and test in hand: sets are weighed from these.
struct Table {
    std::vector<double> odds;
    std::vector<std::vector<double>> sights;  // by sight, by cause
    std::vector<double> weights;              // of each sight
    std::vector<std::vector<double>> tests;
    std::vector<bool> yes;
};

// Left and right of the same sight are one thing seen, as clear as the clearer.
std::map<Sight, Strength> distinct(const std::vector<Seen>& seen)
{
    std::map<Sight, Strength> out;
    for (const auto& s : seen) {
        const auto [it, is_new] = out.emplace(s.sight, s.strength);
        if (!is_new) it->second = std::max(it->second, s.strength);
    }
    return out;
}

Table table_of(const std::vector<const CauseFacts*>& causes, const Observed& o)
{
    Table out;
    for (const auto* c : causes) out.odds.push_back(odds_of(c, o));
    for (const auto& [sight, strength] : distinct(o.seen)) {
        out.weights.push_back(strength == Strength::Clear ? 1 : 0.5);
        auto& row = out.sights.emplace_back();
        for (const auto* c : causes) row.push_back(shows(c, sight));
    }
    for (const auto& a : o.answers) {
        out.yes.push_back(a.yes);
        auto& row = out.tests.emplace_back();
        for (const auto* c : causes) row.push_back(answers_yes(c, facts(a.test)));
    }
    return out;
}

// 1 − (1 − leak)·Π(1 − p), never more than `most`.
double noisy_or(const std::vector<double>& row, const std::vector<std::size_t>& set, double leak, double most)
{
    double none = 1 - leak;
    for (const std::size_t i : set) none *= 1 - row[i];
    return std::min(most, 1 - none);
}

constexpr double most_yes = 0.95;

double weight_of(const Table& t, const std::vector<std::size_t>& set)
{
    double out = 1;
    for (const std::size_t i : set) out *= t.odds[i];
    for (std::size_t s = 0; s < t.sights.size(); ++s)
        out *= std::pow(noisy_or(t.sights[s], set, nothing_shows, most_shown), t.weights[s]);
    for (std::size_t k = 0; k < t.tests.size(); ++k) {
        const double yes = noisy_or(t.tests[k], set, yes_without_cause, most_yes);
        out *= t.yes[k] ? yes : 1 - yes;
    }
    return out;
}

struct Sets {
    std::vector<const CauseFacts*> causes;
    std::vector<std::vector<std::size_t>> sets;
    std::vector<double> probabilities;
};

void add_sets(Sets& out, std::vector<std::size_t>& set, std::size_t from)
{
    out.sets.push_back(set);
    if (set.size() == most_causes) return;
    for (std::size_t i = from; i < out.causes.size(); ++i) {
        const auto against = [&](std::size_t k) {
            return out.causes[i] && out.causes[k] && contradict(out.causes[i]->cause, out.causes[k]->cause);
        };
        if (std::any_of(set.begin(), set.end(), against)) continue;
        set.push_back(i);
        add_sets(out, set, i + 1);
        set.pop_back();
    }
}

Sets all_sets(const Observed& o, const CanBe& can_be)
{
    Sets out{candidates(can_be), {}, {}};
    std::vector<std::size_t> set;
    add_sets(out, set, 0);
    const Table table = table_of(out.causes, o);
    double sum = 0;
    for (const auto& s : out.sets) {
        out.probabilities.push_back(weight_of(table, s));
        sum += out.probabilities.back();
    }
    for (auto& p : out.probabilities) p /= sum;
    return out;
}

std::vector<double> of_causes(const Sets& sets)
{
    std::vector<double> out(sets.causes.size(), 0);
    for (std::size_t i = 0; i < sets.sets.size(); ++i)
        for (const std::size_t c : sets.sets[i]) out[c] += sets.probabilities[i];
    return out;
}

double entropy(double yes)
{
    const auto part = [](double p) { return p <= 0 ? 0 : -p * std::log2(p); };
    return part(yes) + part(1 - yes);
}

// By how much its answer is expected to tell the sets apart, and what each answer would leave of each cause.
struct Weighed {
    double bits = 0;
    std::vector<double> yes;
    std::vector<double> no;
};

Weighed weighed(const Sets& sets, const SmallTestFacts& t)
{
    std::vector<double> row;
    for (const auto* c : sets.causes) row.push_back(answers_yes(c, t));
    Weighed out{0, std::vector<double>(row.size(), 0), std::vector<double>(row.size(), 0)};
    double all_yes = 0;
    double within = 0;
    for (std::size_t i = 0; i < sets.sets.size(); ++i) {
        const double yes = noisy_or(row, sets.sets[i], yes_without_cause, most_yes);
        all_yes += sets.probabilities[i] * yes;
        within += sets.probabilities[i] * entropy(yes);
        for (const std::size_t c : sets.sets[i]) {
            out.yes[c] += sets.probabilities[i] * yes;
            out.no[c] += sets.probabilities[i] * (1 - yes);
        }
    }
    out.bits = entropy(all_yes) - within;
    return out;
}

// It is about a cause that something seen, or an answer, speaks for.
bool concerns(const SmallTestFacts& t, const Sets& sets, const std::vector<double>& p, const Observed& o)
{
    constexpr double spoken_for = 0.05;
    return std::any_of(t.tells.begin(), t.tells.end(), [&](const Telling& x) {
        if (x.yes < Tells::Half) return false;
        for (std::size_t i = 0; i < p.size(); ++i) {
            const auto* c = sets.causes[i];
            if (!c || c->cause != x.cause || p[i] < spoken_for) continue;
            return std::any_of(o.seen.begin(), o.seen.end(),
                               [&](const Seen& s) { return how_often(*c, s.sight) > HowOften::Never; });
        }
        return false;
    });
}

std::optional<Cause> first_of(const Sets& sets, const std::vector<double>& left)
{
    const auto best = static_cast<std::size_t>(std::max_element(left.begin(), left.end()) - left.begin());
    const auto* c = sets.causes[best];
    return c && left[best] > 0 ? std::optional{c->cause} : std::nullopt;
}

}  // namespace

Likely likely(double p)
{
    if (p >= 0.75) return Likely::VeryLikely;
    if (p >= 0.33) return Likely::Likely;
    return p >= 0.12 ? Likely::Possibly : Likely::Hardly;
}

std::vector<WeighedSet> weighed_sets(const Observed& o, const CanBe& can_be)
{
    const Sets sets = all_sets(o, can_be);
    std::vector<WeighedSet> out;
    for (std::size_t i = 0; i < sets.sets.size(); ++i) {
        WeighedSet s{{}, sets.probabilities[i]};
        for (const std::size_t c : sets.sets[i]) s.causes.push_back(sets.causes[c]);
        out.push_back(std::move(s));
    }
    return out;
}

std::vector<Ranked> ranked(const Observed& o, const CanBe& can_be)
{
    std::vector<Ranked> out;
    if (o.seen.empty() && o.answers.empty()) return out;
    const Sets sets = all_sets(o, can_be);
    const auto p = of_causes(sets);
    const auto seen = distinct(o.seen);
    for (std::size_t i = 0; i < p.size(); ++i) {
        const auto* c = sets.causes[i];
        Ranked r{c, p[i], {}, {}};
        for (const auto& [sight, strength] : seen)
            (c && how_often(*c, sight) >= HowOften::Seldom ? r.explains : r.leaves).push_back(sight);
        const bool told = !c || !r.explains.empty() || p[i] > usual_odds * 2;
        if (p[i] >= least_told && told) out.push_back(std::move(r));
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Ranked& a, const Ranked& b) { return a.probability > b.probability; });
    return out;
}

std::optional<Asked> next_test(const Observed& o, const CanBe& can_be)
{
    if (o.seen.empty() && o.answers.empty()) return std::nullopt;
    const Sets sets = all_sets(o, can_be);
    const auto p = of_causes(sets);
    auto first = Stage::Sleeve;  // of what is likely
    for (std::size_t i = 0; i < p.size(); ++i)
        if (sets.causes[i] && likely(p[i]) >= Likely::Likely) first = std::min(first, sets.causes[i]->stage);
    std::optional<Asked> best;
    for (const auto& t : all_small_tests()) {
        const bool done =
            std::any_of(o.answers.begin(), o.answers.end(), [&](const Answered& a) { return a.test == t.test; });
        if (done || t.stage > first || !concerns(t, sets, p, o)) continue;
        const auto w = weighed(sets, t);
        if (w.bits < least_bits || (best && w.bits <= best->bits)) continue;
        best = Asked{t.test, w.bits, first_of(sets, w.yes), first_of(sets, w.no)};
    }
    return best;
}

}  // namespace sartorum
