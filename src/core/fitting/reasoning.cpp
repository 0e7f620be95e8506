#include "core/fitting/reasoning.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace sartorum {

std::string_view key(Strength strength)
{
    return strength == Strength::Clear ? "clear" : "slight";
}

std::optional<Strength> strength_of_key(std::string_view word)
{
    for (const auto strength : {Strength::Slight, Strength::Clear}) {
        if (word == key(strength)) return strength;
    }
    return std::nullopt;
}
namespace {

constexpr std::size_t most_causes = 3;
constexpr std::size_t most_sets = 20000;
constexpr double nothing_shows = 0.01;  // a sight that none of a set's causes shows
constexpr double else_shows = 0.25;     // something else, whatever is seen
constexpr double usual_odds = 0.06;     // of a cause beforehand
constexpr double rare_odds = 0.02;
constexpr double else_odds = 0.05;
constexpr double least_told = 0.01;  // less is left out of the ranking
constexpr double least_bits = 0.02;  // less is no test

const double most_shown = probability(HowOften::Often);

std::vector<const CauseFacts*> candidates(const CanBe& can_be)
{
    std::vector<const CauseFacts*> out;
    for (const auto& c : all_causes())
        if (!can_be || can_be(c)) out.push_back(&c);
    return out;
}

double factor(Known k)
{
    switch (k) {
        case Known::Proposed: return 4;
        case Known::InsideNoise: return 1.6;
        case Known::TakenUp: return 0.4;
        case Known::TakenTooFar: return 2;
        case Known::Helped: return 2;
        case Known::HelpedNot: return 0.3;
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

// What hangs together: causes that could show one of these sights, or be told by one of these answers. What hangs
// together with nothing that was observed is as likely as it was, and left out.
struct Block {
    Observed observed;
    std::vector<const CauseFacts*> causes;  // last a null: something else
};

bool touches(const CauseFacts& c, Sight s)
{
    return how_often(c, s) != HowOften::Never;
}

void merge(std::vector<std::size_t>& block_of, std::size_t a, std::size_t b)
{
    const std::size_t from = std::max(block_of[a], block_of[b]);
    const std::size_t to = std::min(block_of[a], block_of[b]);
    std::replace(block_of.begin(), block_of.end(), from, to);
}

std::vector<Block> blocks_of(const Observed& o, const CanBe& can_be)
{
    const auto causes = candidates(can_be);
    // Causes first, then sights, then answers: each a node of its own to begin with.
    const std::size_t first_sight = causes.size();
    const std::size_t first_answer = first_sight + o.seen.size();
    std::vector<std::size_t> block_of(first_answer + o.answers.size());
    for (std::size_t i = 0; i < block_of.size(); ++i) block_of[i] = i;
    for (std::size_t c = 0; c < causes.size(); ++c) {
        for (std::size_t k = 0; k < o.seen.size(); ++k)
            if (touches(*causes[c], o.seen[k].sight)) merge(block_of, c, first_sight + k);
        for (std::size_t k = 0; k < o.answers.size(); ++k)
            if (answers_yes(causes[c], facts(o.answers[k].test)) > 0) merge(block_of, c, first_answer + k);
    }
    // Left and right of one sight are one.
    for (std::size_t k = 1; k < o.seen.size(); ++k)
        for (std::size_t m = 0; m < k; ++m)
            if (o.seen[k].sight == o.seen[m].sight) merge(block_of, first_sight + k, first_sight + m);
    std::map<std::size_t, Block> out;
    for (std::size_t k = 0; k < o.seen.size(); ++k)
        out[block_of[first_sight + k]].observed.seen.push_back(o.seen[k]);
    for (std::size_t k = 0; k < o.answers.size(); ++k)
        out[block_of[first_answer + k]].observed.answers.push_back(o.answers[k]);
    for (std::size_t c = 0; c < causes.size(); ++c) {
        if (const auto it = out.find(block_of[c]); it != out.end()) it->second.causes.push_back(causes[c]);
    }
    std::vector<Block> all;
    for (auto& [id, block] : out) {
        block.observed.known = o.known;
        block.causes.push_back(nullptr);
        all.push_back(std::move(block));
    }
    return all;
}

struct Sets {
    std::vector<const CauseFacts*> causes;
    std::vector<std::vector<std::size_t>> sets;
    std::vector<double> probabilities;
};

void add_sets(Sets& out, std::vector<std::size_t>& set, std::size_t from, std::size_t most)
{
    out.sets.push_back(set);
    if (set.size() == most) return;
    for (std::size_t i = from; i < out.causes.size(); ++i) {
        const auto against = [&](std::size_t k) {
            return out.causes[i] && out.causes[k] && contradict(out.causes[i]->cause, out.causes[k]->cause);
        };
        if (std::any_of(set.begin(), set.end(), against)) continue;
        set.push_back(i);
        add_sets(out, set, i + 1, most);
        set.pop_back();
    }
}

// Three causes at once, more where more is seen, and as long as they can be counted through.
std::size_t most_at_once(const Block& b)
{
    const auto subsets = [&](std::size_t size) {
        double out = 1;
        double term = 1;
        for (std::size_t k = 0; k < size; ++k) {
            term *=
                static_cast<double>(b.causes.size() - std::min(k, b.causes.size())) / static_cast<double>(k + 1);
            out += term;
        }
        return out;
    };
    std::size_t most = most_causes;
    while (most < distinct(b.observed.seen).size() && subsets(most + 1) <= static_cast<double>(most_sets)) ++most;
    return most;
}

Sets sets_of(const Block& b)
{
    Sets out{b.causes, {}, {}};
    std::vector<std::size_t> set;
    add_sets(out, set, 0, most_at_once(b));
    const Table table = table_of(out.causes, b.observed);
    double sum = 0;
    for (const auto& s : out.sets) {
        out.probabilities.push_back(weight_of(table, s));
        sum += out.probabilities.back();
    }
    for (auto& p : out.probabilities) p /= sum;
    return out;
}

std::vector<Sets> all_sets(const Observed& o, const CanBe& can_be)
{
    std::vector<Sets> out;
    for (const auto& b : blocks_of(o, can_be)) out.push_back(sets_of(b));
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

// How likely no cause of a block says yes to a test, by how surely: each product there is, with its probability.
using Silences = std::map<double, double>;

double silence(const std::vector<double>& row, const std::vector<std::size_t>& set)
{
    double none = 1;
    for (const std::size_t i : set) none *= 1 - row[i];
    return none;
}

std::vector<double> row_of(const Sets& sets, const SmallTestFacts& t)
{
    std::vector<double> row;
    for (const auto* c : sets.causes) row.push_back(answers_yes(c, t));
    return row;
}

Silences silences(const Sets& sets, const std::vector<double>& row)
{
    Silences out;
    for (std::size_t i = 0; i < sets.sets.size(); ++i) out[silence(row, sets.sets[i])] += sets.probabilities[i];
    return out;
}

Silences both(const Silences& a, const Silences& b)
{
    Silences out;
    for (const auto& [x, p] : a)
        for (const auto& [y, q] : b) out[x * y] += p * q;
    return out;
}

double yes_where_silent(double none)
{
    return std::min(most_yes, 1 - (1 - yes_without_cause) * none);
}

// By how much its answer is expected to tell the sets apart.
double bits_of(const std::vector<Sets>& blocks, const SmallTestFacts& t)
{
    Silences all{{1.0, 1.0}};
    for (const auto& b : blocks) all = both(all, silences(b, row_of(b, t)));
    double all_yes = 0;
    double within = 0;
    for (const auto& [none, p] : all) {
        all_yes += p * yes_where_silent(none);
        within += p * entropy(yes_where_silent(none));
    }
    return entropy(all_yes) - within;
}

// What each answer would leave of each cause of one block, whatever the others hold.
struct Left {
    std::vector<double> yes;
    std::vector<double> no;
};

Left left_by(const std::vector<Sets>& blocks, std::size_t of, const SmallTestFacts& t)
{
    Silences others{{1.0, 1.0}};
    for (std::size_t b = 0; b < blocks.size(); ++b)
        if (b != of) others = both(others, silences(blocks[b], row_of(blocks[b], t)));
    const Sets& here = blocks[of];
    const auto row = row_of(here, t);
    Left out{std::vector<double>(here.causes.size(), 0), std::vector<double>(here.causes.size(), 0)};
    for (std::size_t i = 0; i < here.sets.size(); ++i) {
        const double none = silence(row, here.sets[i]);
        double yes = 0;
        for (const auto& [x, p] : others) yes += p * yes_where_silent(none * x);
        for (const std::size_t c : here.sets[i]) {
            out.yes[c] += here.probabilities[i] * yes;
            out.no[c] += here.probabilities[i] * (1 - yes);
        }
    }
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

std::vector<std::vector<WeighedSet>> weighed_sets(const Observed& o, const CanBe& can_be)
{
    std::vector<std::vector<WeighedSet>> out;
    for (const auto& sets : all_sets(o, can_be)) {
        auto& block = out.emplace_back();
        for (std::size_t i = 0; i < sets.sets.size(); ++i) {
            WeighedSet s{{}, sets.probabilities[i]};
            for (const std::size_t c : sets.sets[i]) s.causes.push_back(sets.causes[c]);
            block.push_back(std::move(s));
        }
    }
    return out;
}

std::vector<Ranked> ranked(const Observed& o, const CanBe& can_be)
{
    std::vector<Ranked> out;
    const auto seen = distinct(o.seen);
    double other = 0;
    const auto add = [&](const CauseFacts* c, double p) {
        Ranked r{c, p, {}, {}};
        for (const auto& [sight, strength] : seen)
            (c && how_often(*c, sight) >= HowOften::Seldom ? r.explains : r.leaves).push_back(sight);
        const bool told = !c || !r.explains.empty() || p > usual_odds * 2;
        if (p >= least_told && told) out.push_back(std::move(r));
    };
    for (const auto& sets : all_sets(o, can_be)) {
        const auto p = of_causes(sets);
        for (std::size_t i = 0; i < p.size(); ++i) {
            if (sets.causes[i])
                add(sets.causes[i], p[i]);
            else
                other = std::max(other, p[i]);
        }
    }
    add(nullptr, other);
    std::stable_sort(out.begin(), out.end(),
                     [](const Ranked& a, const Ranked& b) { return a.probability > b.probability; });
    return out;
}

std::optional<Asked> next_test(const Observed& o, const CanBe& can_be)
{
    const auto blocks = all_sets(o, can_be);
    std::vector<std::vector<double>> p;
    auto first = Stage::Sleeve;  // of what is likely
    for (const auto& sets : blocks) {
        p.push_back(of_causes(sets));
        for (std::size_t i = 0; i < p.back().size(); ++i)
            if (sets.causes[i] && likely(p.back()[i]) >= Likely::Likely)
                first = std::min(first, sets.causes[i]->stage);
    }
    std::optional<Asked> best;
    for (const auto& t : all_small_tests()) {
        const bool done =
            std::any_of(o.answers.begin(), o.answers.end(), [&](const Answered& a) { return a.test == t.test; });
        if (done || t.stage > first) continue;
        for (std::size_t b = 0; b < blocks.size(); ++b) {
            if (!concerns(t, blocks[b], p[b], o)) continue;
            const double bits = bits_of(blocks, t);
            if (bits < least_bits || (best && bits <= best->bits)) continue;
            const auto left = left_by(blocks, b, t);
            best = Asked{t.test, bits, first_of(blocks[b], left.yes), first_of(blocks[b], left.no)};
        }
    }
    return best;
}

}  // namespace sartorum
