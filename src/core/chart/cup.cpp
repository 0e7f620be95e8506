#include "core/chart/cup.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace sartorum {
namespace {

constexpr const char* usual_cup = "B";
constexpr std::array<const char*, 11> letters{"AA", "A", "B", "C", "D", "E", "F", "G", "H", "J", "K"};

std::string letter_at(long i)
{
    return letters[static_cast<std::size_t>(std::clamp<long>(i, 0, static_cast<long>(letters.size()) - 1))];
}

const CupRow* row_of(const SizeChart& chart, const std::string& letter)
{
    for (const auto& row : chart.cups) {
        if (row.letter == letter) return &row;
    }
    return nullptr;
}

}  // namespace

std::string cup_by_high_bust(Length difference)
{
    if (difference.in_inches() < 0.5) return letters[0];
    return letter_at(std::lround(difference.in_inches()));
}

std::string cup_by_underbust(Length difference)
{
    return letter_at(static_cast<long>(std::floor((difference.in_cm() - 10.0) / 2.0 + 1e-9)));
}

std::optional<Length> cup_difference(const std::string& letter)
{
    const std::string plain = letter == "DD" ? "E" : letter;
    const auto it = std::find(letters.begin(), letters.end(), plain);
    if (it == letters.end()) return std::nullopt;
    return Length::inches(static_cast<double>(it - letters.begin()));
}

std::optional<Cup> cup_of(const BodySet& set, const SizeChart& chart)
{
    const auto bust = set.taken(Measure::Bust);
    const bool table = !chart.cups.empty();
    CupBy by = table ? chart.cups_by : CupBy::HighBust;
    auto below = set.taken(by == CupBy::HighBust ? Measure::HighBust : Measure::Underbust);
    if (!below && !table) {
        by = CupBy::Underbust;
        below = set.taken(Measure::Underbust);
    }
    if (!bust || !below) return std::nullopt;
    const Length d = bust->value - below->value;
    if (!table) return Cup{by == CupBy::HighBust ? cup_by_high_bust(d) : cup_by_underbust(d), d, by, false};
    const auto nearest = std::min_element(
        chart.cups.begin(), chart.cups.end(),
        [&](const CupRow& a, const CupRow& b) { return abs(a.difference - d) < abs(b.difference - d); });
    return Cup{nearest->letter, d, by, true};
}

std::optional<DraftedCup> drafted_cup(const SizeChart& chart)
{
    if (chart.sizes.empty()) return std::nullopt;
    auto it = chart.drafted_cup.find(chart.sizes.front().group);
    if (it == chart.drafted_cup.end()) it = chart.drafted_cup.find("");
    if (it != chart.drafted_cup.end()) return DraftedCup{it->second, false};
    const bool asked = chart.prints(Measure::Bust) && !chart.prints(Measure::HighBust);
    return asked ? std::optional{DraftedCup{usual_cup, true}} : std::nullopt;
}

std::optional<Length> drafted_difference(const SizeChart& chart)
{
    if (chart.prints(Measure::Bust) && chart.prints(Measure::HighBust)) {
        const std::size_t middle = chart.sizes.size() / 2;
        return *chart.body(middle, Measure::Bust) - *chart.body(middle, Measure::HighBust);
    }
    const auto cup = drafted_cup(chart);
    if (!cup) return std::nullopt;
    const auto* row = row_of(chart, cup->letter);
    if (row && chart.cups_by == CupBy::HighBust) return row->difference;
    return cup_difference(cup->letter);
}

namespace {

// How far a height lies outside what a group of sizes is drafted for; none where it does not say.
std::optional<Length> off_height(const SizeChart& chart, const std::string& group, Length height)
{
    if (const auto said = chart.heights.find(group); said != chart.heights.end())
        return std::max({said->second.from - height, height - said->second.to, Length{}});
    const SizeChart sizes = chart.of_group(group);
    if (!sizes.prints(Measure::Height)) return std::nullopt;
    std::optional<Length> least;
    for (std::size_t i = 0; i < sizes.sizes.size(); ++i) {
        const Length off = std::max(
            abs(*sizes.body(i, Measure::Height) - height) - sizes.half_range(i, Measure::Height), Length{});
        if (!least || off < *least) least = off;
    }
    return least;
}

// The groups nearest to a height; all of them where the height is not known or tells nothing.
std::vector<std::string> of_height(const SizeChart& chart, const BodySet& set)
{
    const auto all = chart.groups();
    const auto height = set.taken(Measure::Height);
    if (!height) return all;
    std::vector<std::string> out;
    std::optional<Length> least;
    for (const auto& g : all) {
        const auto off = off_height(chart, g, height->value);
        if (!off) return all;
        if (least && *off > *least) continue;
        if (!least || *off < *least) out.clear();
        least = off;
        out.push_back(g);
    }
    return out;
}

}  // namespace

std::string nearest_group(const SizeChart& chart, const BodySet& set)
{
    const auto groups = of_height(chart, set);
    if (groups.empty()) return {};
    const auto bust = set.taken(Measure::Bust);
    const auto high = set.taken(Measure::HighBust);
    if (!bust || !high) return groups.front();
    const Length own = bust->value - high->value;
    std::string best = groups.front();
    std::optional<Length> off;
    for (const auto& g : groups) {
        const auto drafted = drafted_difference(chart.of_group(g));
        if (drafted && (!off || abs(own - *drafted) < *off)) {
            off = abs(own - *drafted);
            best = g;
        }
    }
    return best;
}

std::optional<Length> implied_high_bust(const SizeChart& chart, std::size_t size)
{
    if (const auto printed = chart.body(size, Measure::HighBust)) return printed;
    const auto bust = chart.body(size, Measure::Bust);
    const auto difference = drafted_difference(chart);
    return bust && difference ? std::optional{*bust - *difference} : std::nullopt;
}

}  // namespace sartorum
