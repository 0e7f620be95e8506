// The chart written: what chart_csv.cpp reads.
#include "formats/chart_csv.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <cmath>

#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

std::string quoted(const std::string& name)
{
    if (name.find_first_of(",;\"\t") == std::string::npos) return name;
    std::string out = "\"";
    for (const char c : name) out += c == '"' ? std::string{"\"\""} : std::string{c};
    return out + "\"";
}

// Every digit it takes to read the same value again.
std::string digits(Length l, Unit unit)
{
    const double value = unit == Unit::Inch ? l.in_inches() : unit == Unit::Centimetre ? l.in_cm() : l.in_mm();
    // What stands a hair off a short number by arithmetic alone is written short.
    const double rounded = std::round(value * 1e6) / 1e6;
    char text[32];
    const auto end =
        std::to_chars(text, text + sizeof text, std::abs(rounded - value) < 1e-9 ? rounded : value).ptr;
    return std::string(text, end);
}

std::string ranged(Length middle, Length half, Unit unit)
{
    return half > Length{} ? digits(middle - half, unit) + "-" + digits(middle + half, unit)
                           : digits(middle, unit);
}

}  // namespace

std::string write_chart_csv(const SizeChart& chart, Unit unit)
{
    std::string out;
    const auto beside = [&](const std::string& key, const std::string& value) {
        if (!value.empty()) out += key + "," + value + "\n";
    };
    beside("maker", quoted(chart.maker));
    beside("name", quoted(chart.name));
    const std::string u{unit_text(unit)};
    out += "unit," + u + "\n";
    const bool grouped = chart.groups().size() > 1;
    if (chart.drafted_cup.contains("")) beside("drafted cup", quoted(chart.drafted_cup.at("")));
    if (!chart.cups.empty()) {
        out += "cups";
        for (const auto& row : chart.cups) out += "," + quoted(row.letter) + "," + digits(row.difference, unit);
        out += "\n";
        beside("cups by", chart.cups_by == CupBy::Underbust ? "underbust" : "high bust");
    } else if (chart.cups_by == CupBy::Underbust) {
        beside("cups by", "underbust");
    }
    if (chart.height_from && chart.height_to)
        beside("height range", digits(*chart.height_from, unit) + "-" + digits(*chart.height_to, unit));
    for (const auto& [group, range] : chart.heights)
        beside(quoted("height " + group), digits(range.from, unit) + "-" + digits(range.to, unit));
    if (chart.allowance) beside("allowance", digits(*chart.allowance, unit));
    for (const auto& v : chart.views)
        out += quoted("view " + v.name) + "," + quoted(v.first) + "," + quoted(v.last) + "\n";
    const bool cup_groups =
        grouped && std::all_of(chart.sizes.begin(), chart.sizes.end(),
                               [&](const ChartSize& s) { return chart.drafted_cup.contains(s.group); });
    out += "size";
    if (grouped) out += cup_groups ? ",cup" : ",type";
    std::vector<Measure> printed;
    std::vector<Measure> finished;
    for (const auto& f : all_measures) {
        // Some sizes only: they were measured flat one by one.
        const bool any_finished = std::any_of(chart.sizes.begin(), chart.sizes.end(),
                                              [&](const ChartSize& s) { return s.finished.contains(f.measure); });
        if (chart.prints(f.measure)) printed.push_back(f.measure);
        if (any_finished) finished.push_back(f.measure);
    }
    const auto head = [](Measure m) {
        std::string name{facts(m).key};
        std::replace(name.begin(), name.end(), '_', ' ');
        return name;
    };
    for (const auto m : printed) out += "," + head(m);
    for (const auto m : finished) out += ",finished " + head(m);
    out += "\n";
    for (std::size_t i = 0; i < chart.sizes.size(); ++i) {
        const auto& size = chart.sizes[i];
        out += quoted(size.name);
        if (grouped) out += "," + quoted(size.group);
        for (const auto m : printed) out += "," + ranged(size.body.at(m), chart.half_range(i, m), unit);
        for (const auto m : finished)
            out += "," + (size.finished.contains(m) ? digits(size.finished.at(m), unit) : std::string{});
        out += "\n";
    }
    return out;
}

}  // namespace sartorum::formats
