// chart_csv.h: a size chart as makers print it, from CSV, a pasted table or typed cells. docs/cli.md has examples.
//
// Sizes      down (first line names the columns, one line a size) or across (first line the sizes, one line a
//            measure); found out by where the measures' names stand
// Names      everyday or stable ones: "Full bust", "hips", "waist_to_hip"; "finished hip" is the garment's; "type"
//            or "cup" tells several body types or cup ranges of one pattern apart
// Units      in a heading ("waist in"), in the cells, or in a line "unit, in"; with none of them inches when no
// body
//            girth is above 75, else centimetres
// Cells      a length, or a range "92-96" kept as its middle
// Beside     lines "maker, X", "name, X", "drafted cup, B", "cups, A, 2.5, B, 5", "cups by, underbust",
//            "allowance, 1.5", "height, 160-170", "view A, 8, 16"
// Separator  comma, semicolon or tab, whichever stands in the first line with one; with semicolons or tabs a comma
//            is a decimal mark
// Limits     1 MB, 400 lines, 100 cells a line, 60 sizes
#pragma once
#include <string>
#include <string_view>

#include "core/chart/size_chart.h"
#include "core/units/length_text.h"

namespace sartorum::formats {

struct ChartLine {
    int number = 0;  // in the file, 1-based
    std::vector<std::string> cells;
};

// What was made of it, to be said before the chart is taken.
struct ChartUnderstood {
    bool sizes_across = false;
    Unit unit = Unit::Centimetre;
    bool unit_guessed = false;
    int ranges = 0;
    std::vector<Measure> body;
    std::vector<Measure> finished;
};

struct ChartRead {
    SizeChart chart;
    ChartUnderstood understood;
};

[[nodiscard]] Outcome<std::vector<ChartLine>> chart_lines(std::string_view text);
// `unit` overrides the guess, not what the chart itself says.
[[nodiscard]] Outcome<ChartRead> read_chart(std::vector<ChartLine>, std::optional<Unit> unit = {});
[[nodiscard]] Outcome<SizeChart> read_chart_csv(std::string_view text);
[[nodiscard]] std::string write_chart_csv(const SizeChart&, Unit = Unit::Millimetre);
// The measure a maker's word stands for, in any usual spelling.
[[nodiscard]] std::optional<Measure> measure_of_word(std::string_view);

}  // namespace sartorum::formats
