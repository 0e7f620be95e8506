#include "formats/chart_csv.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <cmath>

#include "formats/chart_words.h"
#include "formats/text_file.h"

namespace sartorum::formats {
namespace {

constexpr std::size_t most_bytes = 1024 * 1024;
constexpr std::size_t most_lines = 400;
constexpr std::size_t most_cells = 100;
// No grown body has a girth of 75 cm or less as its largest, and none of 75 in as its usual.
constexpr double most_inches = 75;

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
    bool blank = true;  // nothing but spaces in this cell so far
    for (std::size_t i = 0; i < line.size(); ++i) {
        const char c = line[i];
        if (c == '"' && (quoted || blank)) {
            if (quoted && i + 1 < line.size() && line[i + 1] == '"') {
                out.back() += '"';
                blank = false;
                ++i;
            } else {
                quoted = !quoted;
            }
        } else if (c == separator && !quoted) {
            out.emplace_back();
            blank = true;
        } else {
            out.back() += c;
            blank = blank && std::isspace(static_cast<unsigned char>(c));
        }
    }
    for (auto& cell : out) cell = trimmed(cell);
    return out;
}

struct Cell {
    Length value;
    Length half;
    bool names_unit = false;
};

// A unit stands behind the last digit: "39 in", "92-96cm", "38\"".
bool names_unit(const std::string& s)
{
    const auto last = s.find_last_of("0123456789");
    if (last == std::string::npos) return false;
    const std::string behind = trimmed(std::string_view{s}.substr(last + 1));
    return !behind.empty() && parse_length("1 " + behind, Unit::Inch).has_value();
}

// Where a range is parted: at "–", "—", " to " or a hyphen that is not inside "39-1/2".
std::optional<std::pair<std::string, std::string>> range_of(const std::string& s)
{
    for (const std::string_view mark : {"\xe2\x80\x93", "\xe2\x80\x94", " to ", "..."}) {
        const auto at = s.find(mark, 1);
        if (at != std::string::npos)
            return std::pair{trimmed(s.substr(0, at)), trimmed(s.substr(at + mark.size()))};
    }
    const auto dash = s.find('-', 1);
    if (dash == std::string::npos || dash + 1 == s.size()) return std::nullopt;
    const std::string after = trimmed(s.substr(dash + 1));
    const auto slash = after.find('/');
    // A whole, a hyphen and a fraction of one inch: one number, not two.
    if (slash != std::string::npos && after.find_first_of(" -") == std::string::npos) return std::nullopt;
    return std::pair{trimmed(s.substr(0, dash)), after};
}

// The unit of a table: written somewhere, or only supposed; then a fraction means inches.
struct TableUnit {
    Unit unit = Unit::Centimetre;
    bool written = false;
    [[nodiscard]] Outcome<Length> read(std::string_view text) const
    {
        return written ? parse_length(text, unit) : guess_length(text, unit);
    }
};

Outcome<Cell> cell_of(const std::string& text, TableUnit unit, int line)
{
    Cell out;
    out.names_unit = names_unit(text);
    if (const auto range = range_of(text)) {
        if (names_unit(range->first) && !names_unit(range->second))
            return refuse(Why::ChartRangeHalfUnit, text, line);
        const auto high = unit.read(range->second);
        // "92-96 in": the unit behind the range is that of both.
        std::string first = range->first;
        if (names_unit(range->second) && !names_unit(first)) {
            const auto digits = range->second.find_last_of("0123456789");
            first += range->second.substr(digits == std::string::npos ? 0 : digits + 1);
        }
        const auto low = unit.read(first);
        if (!low || !high || *low >= *high) return refuse(Why::ChartRangeBackwards, text, line);
        out.value = (*low + *high) / 2.0;
        out.half = (*high - *low) / 2.0;
        return out;
    }
    const auto value = unit.read(text);
    if (!value) return refuse(Why::ChartCellNotALength, text, line);
    out.value = *value;
    return out;
}

// Lines beside the table are taken out of `lines`.
struct Beside {
    std::optional<Unit> unit;
    std::vector<ChartLine> lengths;  // wait until the unit is known
};

Outcome<bool> take_view(const ChartLine& l, const std::string& key, SizeChart& chart)
{
    if (l.cells.size() < 3) return refuse(Why::ChartMetaBroken, l.cells[0], l.number);
    chart.views.push_back({trimmed(l.cells[0].substr(key == "view" ? 4 : 5)), l.cells[1], l.cells[2]});
    return true;
}

Outcome<bool> take_beside(std::vector<ChartLine>& lines, SizeChart& chart, Beside& beside)
{
    std::vector<ChartLine> rest;
    for (auto& l : lines) {
        const std::string key = plain(l.cells[0]);
        const std::string value = l.cells.size() > 1 ? l.cells[1] : std::string{};
        if (key == "maker") {
            chart.maker = value;
        } else if (key == "name" || key == "pattern") {
            chart.name = value;
        } else if (key == "unit" || key == "units") {
            beside.unit = unit_of_word(plain(value));
            if (!beside.unit) return refuse(Why::ChartUnitUnknown, value, l.number);
        } else if (key == "drafted_cup") {
            chart.drafted_cup[""] = value;
        } else if (key == "cups_by") {
            if (plain(value) != "underbust" && plain(value) != "high_bust")
                return refuse(Why::ChartMetaBroken, l.cells[0], l.number);
            chart.cups_by = plain(value) == "underbust" ? CupBy::Underbust : CupBy::HighBust;
        } else if (key == "cups" || key == "allowance" || key.starts_with("height_") ||
                   (key == "height" && l.cells.size() == 2)) {
            beside.lengths.push_back(l);
        } else if (key.starts_with("view_") || key == "view") {
            if (const auto ok = take_view(l, key, chart); !ok) return tl::make_unexpected(ok.error());
        } else {
            rest.push_back(std::move(l));
        }
    }
    lines = std::move(rest);
    return true;
}

Outcome<bool> take_lengths(const Beside& beside, TableUnit unit, SizeChart& chart)
{
    for (const auto& l : beside.lengths) {
        const std::string key = plain(l.cells[0]);
        if (key == "cups") {
            for (std::size_t i = 1; i + 1 < l.cells.size(); i += 2) {
                if (l.cells[i].empty()) break;
                const auto d = unit.read(l.cells[i + 1]);
                if (!d) return refuse(Why::ChartCellNotALength, l.cells[i + 1], l.number);
                chart.cups.push_back({l.cells[i], *d});
            }
            if (chart.cups.empty()) return refuse(Why::ChartMetaBroken, l.cells[0], l.number);
            continue;
        }
        if (l.cells.size() < 2) return refuse(Why::ChartMetaBroken, l.cells[0], l.number);
        const auto cell = cell_of(l.cells[1], unit, l.number);
        if (!cell) return tl::make_unexpected(cell.error());
        if (key == "allowance") {
            chart.allowance = cell->value;
        } else {
            const HeightRange range{cell->value - cell->half, cell->value + cell->half};
            const std::string group = trimmed(l.cells[0].substr(6));
            if (key == "height" || key == "height_range") {
                chart.height_from = range.from;
                chart.height_to = range.to;
            } else {
                chart.heights[group] = range;
            }
        }
    }
    return true;
}

bool is_across(const std::vector<ChartLine>& lines)
{
    std::size_t in_first_line = 0;
    for (std::size_t i = 1; i < lines[0].cells.size(); ++i)
        in_first_line += head_of(lines[0].cells[i]).has_value();
    std::size_t in_first_column = 0;
    for (std::size_t i = 1; i < lines.size(); ++i) in_first_column += head_of(lines[i].cells[0]).has_value();
    return in_first_column > in_first_line;
}

Outcome<std::vector<ChartLine>> turned(const std::vector<ChartLine>& lines)
{
    std::vector<ChartLine> out(lines[0].cells.size());
    for (const auto& l : lines) {
        if (l.cells.size() != lines[0].cells.size()) return refuse(Why::ChartRagged, l.cells[0], l.number);
        for (std::size_t i = 0; i < l.cells.size(); ++i) {
            out[i].cells.push_back(l.cells[i]);
            out[i].number = lines[0].number;
        }
    }
    if (out[0].cells[0].empty()) out[0].cells[0] = "size";
    return out;
}

Outcome<std::vector<Head>> heads_of(const ChartLine& l)
{
    std::vector<Head> out;
    for (std::size_t i = 0; i < l.cells.size(); ++i) {
        const auto head = i == 0 && l.cells[i].empty() ? Head{HeadKind::Size, {}, {}} : head_of(l.cells[i]);
        if (!head) return refuse(Why::ChartColumnUnknown, l.cells[i], l.number);
        for (const auto& other : out) {
            const bool lengths = head->kind == HeadKind::Body || head->kind == HeadKind::Finished;
            if (other.kind == head->kind && (!lengths || other.measure == head->measure))
                return refuse(Why::ChartColumnTwice, l.cells[i], l.number);
        }
        out.push_back(*head);
    }
    if (std::none_of(out.begin(), out.end(), [](const Head& h) { return h.kind == HeadKind::Size; })) {
        return refuse(Why::ChartSizesUnnamed, {}, l.number);
    }
    return out;
}

bool holds_length(const Head& h)
{
    return h.kind == HeadKind::Body || h.kind == HeadKind::Finished;
}

// A column in which some cells name a unit and others, without one in the heading, do not.
Outcome<bool> check_units(const std::vector<ChartLine>& lines, const std::vector<Head>& heads, bool unit_said)
{
    for (std::size_t c = 0; c < heads.size(); ++c) {
        if (!holds_length(heads[c]) || heads[c].unit || unit_said) continue;
        std::size_t named = 0;
        for (std::size_t r = 1; r < lines.size(); ++r)
            named += c < lines[r].cells.size() && names_unit(lines[r].cells[c]);
        if (named != 0 && named + 1 != lines.size())
            return refuse(Why::ChartMixedUnits, lines[0].cells[c], lines[0].number);
    }
    return true;
}

// Inches, when the largest body girth says so and nothing names a unit.
std::optional<Unit> guessed_unit(const std::vector<ChartLine>& lines, const std::vector<Head>& heads)
{
    double largest = 0;
    for (std::size_t c = 0; c < heads.size(); ++c) {
        const auto& h = heads[c];
        if (h.kind != HeadKind::Body || facts(h.measure).kind != MeasureKind::Girth || h.unit) continue;
        for (std::size_t r = 1; r < lines.size(); ++r) {
            if (c >= lines[r].cells.size() || names_unit(lines[r].cells[c])) continue;
            const auto cell = cell_of(lines[r].cells[c], {Unit::Centimetre, false}, 0);
            const auto other = cell_of(lines[r].cells[c], {Unit::Millimetre, false}, 0);
            if (!cell || !other) continue;
            // Read the same whatever the unit: it has a fraction, and only inches have.
            if (other->value == cell->value) return Unit::Inch;
            largest = std::max(largest, cell->value.in_cm());
        }
    }
    if (largest == 0) return std::nullopt;
    return largest <= most_inches ? Unit::Inch : Unit::Centimetre;
}

Outcome<ChartSize> size_of(const ChartLine& l, const std::vector<Head>& heads, TableUnit unit, SizeChart& chart,
                           ChartUnderstood& understood)
{
    ChartSize size;
    size.line = l.number;
    for (std::size_t i = 0; i < heads.size(); ++i) {
        const auto& head = heads[i];
        const auto& text = l.cells[i];
        if (head.kind == HeadKind::Size) {
            size.name = text;
        } else if (!holds_length(head)) {
            size.group = text;
            if (head.kind == HeadKind::Cup) chart.drafted_cup[text] = text;
        } else if (text.empty() && head.kind == HeadKind::Finished) {
            continue;  // measured flat for some sizes only
        } else if (text.empty()) {
            return refuse(Why::ChartRagged, l.cells[0], l.number);
        } else {
            const auto cell = cell_of(text, head.unit ? TableUnit{*head.unit, true} : unit, l.number);
            if (!cell) return tl::make_unexpected(cell.error());
            (head.kind == HeadKind::Body ? size.body : size.finished)[head.measure] = cell->value;
            if (cell->half > Length{}) {
                ++understood.ranges;
                if (head.kind == HeadKind::Body) size.half_range[head.measure] = cell->half;
            }
        }
    }
    return size;
}

}  // namespace

Outcome<std::vector<ChartLine>> chart_lines(std::string_view text)
{
    if (text.size() > most_bytes) return refuse(Why::ChartTooLarge);
    if (const auto line = line_not_utf8(text)) return refuse(Why::FileNotUtf8, {}, *line);
    if (text.starts_with("\xef\xbb\xbf")) text.remove_prefix(3);
    std::vector<ChartLine> out;
    char separator = 0;
    int number = 0;
    while (!text.empty()) {
        const auto end = text.find('\n');
        const auto line = text.substr(0, end);
        text = end == std::string_view::npos ? std::string_view{} : text.substr(end + 1);
        ++number;
        if (trimmed(line).empty()) continue;
        if (separator == 0) {
            separator = line.find(';') != std::string_view::npos    ? ';'
                        : line.find('\t') != std::string_view::npos ? '\t'
                        : line.find(',') != std::string_view::npos  ? ','
                                                                    : '\0';
        }
        out.push_back({number, cells_of(line, separator == 0 ? ',' : separator)});
        if (out.size() > most_lines || out.back().cells.size() > most_cells)
            return refuse(Why::ChartTooLarge, {}, number);
    }
    return out;
}

Outcome<ChartRead> read_chart(std::vector<ChartLine> lines, std::optional<Unit> unit)
{
    ChartRead out;
    auto& chart = out.chart;
    Beside beside;
    // Spreadsheets fill lines up with empty cells.
    for (auto& l : lines) {
        while (!l.cells.empty() && l.cells.back().empty()) l.cells.pop_back();
    }
    std::erase_if(lines, [](const ChartLine& l) { return l.cells.empty(); });
    if (const auto ok = take_beside(lines, chart, beside); !ok) return tl::make_unexpected(ok.error());
    if (lines.empty()) return refuse(Why::ChartEmpty);
    out.understood.sizes_across = is_across(lines);
    if (out.understood.sizes_across) {
        auto down = turned(lines);
        if (!down) return tl::make_unexpected(down.error());
        lines = std::move(*down);
    }
    const auto heads = heads_of(lines[0]);
    if (!heads) return tl::make_unexpected(heads.error());
    if (lines.size() - 1 > most_sizes) return refuse(Why::ChartTooLarge, {}, lines[most_sizes].number);
    for (auto& l : lines) {
        // Empty cells at the end were taken for a spreadsheet's: they may be a finished girth's.
        while (l.cells.size() < heads->size() && (*heads)[l.cells.size()].kind == HeadKind::Finished)
            l.cells.emplace_back();
        if (l.cells.size() != heads->size()) return refuse(Why::ChartRagged, l.cells[0], l.number);
    }
    if (const auto ok = check_units(lines, *heads, beside.unit.has_value()); !ok)
        return tl::make_unexpected(ok.error());
    const auto guess = beside.unit || unit ? std::nullopt : guessed_unit(lines, *heads);
    out.understood.unit_guessed = guess.has_value();
    out.understood.unit = beside.unit ? *beside.unit : unit ? *unit : guess.value_or(Unit::Centimetre);
    if (!guess && !beside.unit && !unit) {
        for (const auto& h : *heads) out.understood.unit = h.unit.value_or(out.understood.unit);
    }
    const TableUnit table{out.understood.unit, beside.unit.has_value() || unit.has_value()};
    if (const auto ok = take_lengths(beside, table, chart); !ok) return tl::make_unexpected(ok.error());
    for (const auto& h : *heads) {
        if (h.kind == HeadKind::Body) out.understood.body.push_back(h.measure);
        if (h.kind == HeadKind::Finished) out.understood.finished.push_back(h.measure);
    }
    for (std::size_t r = 1; r < lines.size(); ++r) {
        auto size = size_of(lines[r], *heads, table, chart, out.understood);
        if (!size) return tl::make_unexpected(size.error());
        chart.sizes.push_back(std::move(*size));
    }
    auto checked = check_chart(std::move(chart));
    if (!checked) return tl::make_unexpected(checked.error());
    out.chart = std::move(*checked);
    return out;
}

Outcome<SizeChart> read_chart_csv(std::string_view text)
{
    auto lines = chart_lines(text);
    if (!lines) return tl::make_unexpected(lines.error());
    auto read = read_chart(std::move(*lines));
    if (!read) return tl::make_unexpected(read.error());
    return std::move(read->chart);
}

}  // namespace sartorum::formats
