#include "formats/chart_csv.h"

#include <algorithm>
#include <cctype>
#include <charconv>

#include "core/units/length_text.h"

namespace sartorum::formats {
namespace {

constexpr std::size_t most_bytes = 1024 * 1024;

std::string trimmed(std::string_view s)
{
    while (!s.empty() && std::isspace(static_cast<unsigned char>(s.front()))) s.remove_prefix(1);
    while (!s.empty() && std::isspace(static_cast<unsigned char>(s.back()))) s.remove_suffix(1);
    return std::string{s};
}

std::vector<std::string> cells_of(std::string_view line, char separator)
{
    std::vector<std::string> out{""};
    bool quoted = false;
    for (std::size_t i = 0; i < line.size(); ++i) {
        const char c = line[i];
        if (c == '"' && (quoted || trimmed(out.back()).empty())) {
            if (quoted && i + 1 < line.size() && line[i + 1] == '"') {
                out.back() += '"';
                ++i;
            } else {
                quoted = !quoted;
            }
        } else if (c == separator && !quoted) {
            out.emplace_back();
        } else {
            out.back() += c;
        }
    }
    for (auto& cell : out) cell = trimmed(cell);
    return out;
}

struct Column {
    bool names_size = false;
    Measure measure{};
    Unit unit = Unit::Centimetre;
};

Outcome<Column> column_of(const std::string& header, int line)
{
    std::string name;
    for (const char c : header) {
        if (c != '(' && c != ')') name += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    }
    name = trimmed(name);
    Column column;
    const auto space = name.rfind(' ');
    if (space != std::string::npos) {
        const std::string unit = name.substr(space + 1);
        const bool known = unit == "cm" || unit == "mm" || unit == "in";
        if (known) {
            column.unit = unit == "cm" ? Unit::Centimetre : unit == "mm" ? Unit::Millimetre : Unit::Inch;
            name = trimmed(name.substr(0, space));
        }
    }
    std::replace(name.begin(), name.end(), ' ', '_');
    std::replace(name.begin(), name.end(), '-', '_');
    if (name == "size") {
        column.names_size = true;
        return column;
    }
    const auto measure = measure_of_key(name);
    if (!measure || facts(*measure).kind == MeasureKind::Wish)
        return refuse(Why::ChartColumnUnknown, header, line);
    column.measure = *measure;
    return column;
}

Outcome<std::vector<Column>> columns_of(const std::vector<std::string>& headers)
{
    std::vector<Column> out;
    for (const auto& h : headers) {
        const auto c = column_of(h, 1);
        if (!c) return tl::make_unexpected(c.error());
        for (const auto& other : out) {
            if (other.names_size == c->names_size && (c->names_size || other.measure == c->measure)) {
                return refuse(Why::ChartColumnTwice, h, 1);
            }
        }
        out.push_back(*c);
    }
    if (std::none_of(out.begin(), out.end(), [](const Column& c) { return c.names_size; })) {
        return refuse(Why::ChartSizesUnnamed, {}, 1);
    }
    return out;
}

}  // namespace

Outcome<SizeChart> read_chart_csv(std::string_view text)
{
    if (text.size() > most_bytes) return refuse(Why::ChartTooLarge);
    if (text.starts_with("\xef\xbb\xbf")) text.remove_prefix(3);
    SizeChart chart;
    std::vector<Column> columns;
    char separator = ',';
    int number = 0;
    while (!text.empty()) {
        const auto end = text.find('\n');
        const auto line = text.substr(0, end);
        text = end == std::string_view::npos ? std::string_view{} : text.substr(end + 1);
        ++number;
        if (trimmed(line).empty()) continue;
        if (columns.empty()) {
            separator = line.find(';') != std::string_view::npos    ? ';'
                        : line.find('\t') != std::string_view::npos ? '\t'
                                                                    : ',';
            auto found = columns_of(cells_of(line, separator));
            if (!found) return tl::make_unexpected(found.error());
            columns = std::move(*found);
            continue;
        }
        const auto cells = cells_of(line, separator);
        if (cells.size() != columns.size()) return refuse(Why::ChartRagged, cells[0], number);
        if (chart.sizes.size() >= most_sizes) return refuse(Why::ChartTooLarge, {}, number);
        ChartSize size;
        size.line = number;
        for (std::size_t i = 0; i < cells.size(); ++i) {
            if (columns[i].names_size) {
                size.name = cells[i];
                continue;
            }
            if (cells[i].empty()) return refuse(Why::ChartRagged, cells[0], number);
            const auto value = parse_length(cells[i], columns[i].unit);
            if (!value) return refuse(Why::ChartCellNotALength, cells[i], number);
            size.body[columns[i].measure] = *value;
        }
        chart.sizes.push_back(std::move(size));
    }
    return check_chart(std::move(chart));
}

std::string write_chart_csv(const SizeChart& chart)
{
    std::string out = "size";
    std::vector<Measure> printed;
    for (const auto& f : all_measures) {
        if (chart.prints(f.measure)) {
            printed.push_back(f.measure);
            out += "," + std::string{f.key} + " mm";
        }
    }
    out += "\n";
    for (const auto& size : chart.sizes) {
        std::string name = size.name;
        if (name.find_first_of(",;\"\t") != std::string::npos) {
            std::string quoted = "\"";
            for (const char c : name) quoted += c == '"' ? std::string{"\"\""} : std::string{c};
            name = quoted + "\"";
        }
        out += name;
        for (const auto m : printed) {
            char digits[32];
            const auto end = std::to_chars(digits, digits + sizeof digits, size.body.at(m).in_mm()).ptr;
            out += "," + std::string(digits, end);
        }
        out += "\n";
    }
    return out;
}

}  // namespace sartorum::formats
