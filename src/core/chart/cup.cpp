#include "core/chart/cup.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace sartorum {
namespace {

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

std::optional<std::string> drafted_cup(const SizeChart& chart)
{
    if (chart.sizes.empty()) return std::nullopt;
    auto it = chart.drafted_cup.find(chart.sizes.front().group);
    if (it == chart.drafted_cup.end()) it = chart.drafted_cup.find("");
    return it == chart.drafted_cup.end() ? std::nullopt : std::optional{it->second};
}

std::optional<Length> drafted_difference(const SizeChart& chart)
{
    const auto letter = drafted_cup(chart);
    if (!letter) return std::nullopt;
    const auto* row = row_of(chart, *letter);
    if (row && chart.cups_by == CupBy::HighBust) return row->difference;
    return cup_difference(*letter);
}

std::string nearest_group(const SizeChart& chart, const BodySet& set)
{
    const auto groups = chart.groups();
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
