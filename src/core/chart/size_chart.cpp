#include "core/chart/size_chart.h"

#include <set>

namespace sartorum {

std::optional<std::size_t> SizeChart::index_of(const std::string& size) const
{
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        if (sizes[i].name == size) return i;
    }
    return std::nullopt;
}

std::optional<Length> SizeChart::body(std::size_t size, Measure m) const
{
    const auto it = sizes.at(size).body.find(m);
    return it == sizes[size].body.end() ? std::nullopt : std::optional{it->second};
}

bool SizeChart::prints(Measure m) const
{
    return !sizes.empty() && sizes.front().body.contains(m);
}

Outcome<SizeChart> check_chart(SizeChart chart)
{
    if (chart.sizes.empty()) return refuse(Why::ChartEmpty);
    if (chart.sizes.size() < 2) return refuse(Why::ChartTooFewSizes, chart.sizes[0].name);
    if (chart.sizes.size() > most_sizes) return refuse(Why::ChartTooLarge);
    std::set<std::string> names;
    for (const auto& size : chart.sizes) {
        if (size.name.empty()) return refuse(Why::ChartSizesUnnamed, {}, size.line);
        if (!names.insert(size.name).second) return refuse(Why::ChartSizeTwice, size.name, size.line);
        for (const auto m : {Measure::Waist, Measure::Hip}) {
            if (!size.body.contains(m)) return refuse(Why::ChartNoMeasure, std::string{facts(m).key}, size.line);
        }
        for (const auto& [m, value] : size.body) {
            const auto& f = facts(m);
            if (value < f.least || value > f.most) {
                auto r = Refusal{Why::OutOfRange, std::string{f.key}, value, f.least, f.most, size.line};
                return tl::make_unexpected(r);
            }
        }
    }
    for (std::size_t i = 1; i < chart.sizes.size(); ++i) {
        const auto& small = chart.sizes[i - 1];
        const auto& large = chart.sizes[i];
        if (large.body.size() != small.body.size()) return refuse(Why::ChartRagged, large.name, large.line);
        for (const auto m : {Measure::Waist, Measure::Hip}) {
            if (large.body.at(m) <= small.body.at(m)) {
                return refuse(Why::ChartSizesOutOfOrder, large.name, large.line);
            }
        }
    }
    return chart;
}

}  // namespace sartorum
