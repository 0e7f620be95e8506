#include "core/chart/size_chart.h"

#include <algorithm>
#include <array>
#include <set>

namespace sartorum {
namespace {

// Sizes grow at these: a chart in which one shrinks was read in the wrong order or mistyped.
constexpr std::array growing{Measure::HighBust, Measure::Bust, Measure::Underbust, Measure::Waist, Measure::Hip};

std::optional<Length> in(const std::map<Measure, Length>& values, Measure m)
{
    const auto it = values.find(m);
    return it == values.end() ? std::nullopt : std::optional{it->second};
}

bool has_girth(const std::map<Measure, Length>& printed)
{
    return std::any_of(growing.begin(), growing.end(), [&](Measure m) { return printed.contains(m); });
}

Outcome<bool> check_size(const ChartSize& size)
{
    if (size.name.empty()) return refuse(Why::ChartSizesUnnamed, {}, size.line);
    if (!has_girth(size.body) && !has_girth(size.finished)) {
        return refuse(Why::ChartNoMeasure, std::string{facts(Measure::Waist).key}, size.line);
    }
    for (const auto& [m, value] : size.body) {
        const auto& f = facts(m);
        if (value < f.least || value > f.most) {
            return tl::make_unexpected(
                Refusal{Why::OutOfRange, std::string{f.key}, value, f.least, f.most, size.line});
        }
    }
    for (const auto& [m, value] : size.finished) {
        const auto& f = facts(m);
        if (value < f.least * 0.5 || value > f.most * 2.0) {
            return tl::make_unexpected(
                Refusal{Why::OutOfRange, std::string{f.key}, value, f.least * 0.5, f.most * 2.0, size.line});
        }
    }
    return true;
}

Outcome<bool> check_order(const ChartSize& small, const ChartSize& large,
                          std::map<Measure, Length> ChartSize::*printed)
{
    const auto& less = small.*printed;
    const auto& more = large.*printed;
    if (more.size() != less.size()) return refuse(Why::ChartRagged, large.name, large.line);
    for (const auto& [m, value] : less) {
        if (!more.contains(m)) return refuse(Why::ChartRagged, large.name, large.line);
        const bool grows = std::find(growing.begin(), growing.end(), m) != growing.end();
        if (grows && more.at(m) <= value) return refuse(Why::ChartSizesOutOfOrder, large.name, large.line);
    }
    return true;
}

}  // namespace

std::optional<std::size_t> SizeChart::index_of(const std::string& size) const
{
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        if (sizes[i].name == size) return i;
    }
    return std::nullopt;
}

std::optional<Length> SizeChart::body(std::size_t size, Measure m) const
{
    return in(sizes.at(size).body, m);
}

Length SizeChart::half_range(std::size_t size, Measure m) const
{
    return in(sizes.at(size).half_range, m).value_or(Length{});
}

std::optional<Length> SizeChart::finished(std::size_t size, Measure m) const
{
    return in(sizes.at(size).finished, m);
}

bool SizeChart::prints(Measure m) const
{
    return !sizes.empty() && sizes.front().body.contains(m);
}

std::vector<std::string> SizeChart::groups() const
{
    std::vector<std::string> out;
    for (const auto& s : sizes) {
        if (std::find(out.begin(), out.end(), s.group) == out.end()) out.push_back(s.group);
    }
    return out;
}

SizeChart SizeChart::of_group(const std::string& wanted) const
{
    const auto all = groups();
    if (all.size() < 2) return *this;
    const std::string& group = std::find(all.begin(), all.end(), wanted) == all.end() ? all.front() : wanted;
    SizeChart out = *this;
    std::erase_if(out.sizes, [&](const ChartSize& s) { return s.group != group; });
    return out;
}

Outcome<SizeChart> check_chart(SizeChart chart)
{
    if (chart.sizes.empty()) return refuse(Why::ChartEmpty);
    if (chart.sizes.size() > most_sizes) return refuse(Why::ChartTooLarge);
    std::set<std::pair<std::string, std::string>> names;
    for (const auto& size : chart.sizes) {
        if (!names.insert({size.group, size.name}).second) {
            return refuse(Why::ChartSizeTwice, size.name, size.line);
        }
        if (const auto ok = check_size(size); !ok) return tl::make_unexpected(ok.error());
    }
    for (const auto& group : chart.groups()) {
        const auto one = chart.of_group(group);
        if (one.sizes.size() < 2) return refuse(Why::ChartTooFewSizes, one.sizes[0].name);
        // Finished girths may be measured flat for some sizes only, unless no others are printed.
        const bool finished_only = !has_girth(one.sizes[0].body);
        for (std::size_t i = 1; i < one.sizes.size(); ++i) {
            const auto& small = one.sizes[i - 1];
            const auto& large = one.sizes[i];
            auto ok = check_order(small, large, &ChartSize::body);
            if (ok && finished_only) ok = check_order(small, large, &ChartSize::finished);
            if (!ok) return tl::make_unexpected(ok.error());
        }
    }
    return chart;
}

}  // namespace sartorum
