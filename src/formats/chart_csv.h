// chart_csv.h: a size chart as CSV: a first line naming the columns, then one line a size. docs/cli.md has an
// example.
//
// Columns    size, waist, hip, waist_to_hip in any order; a unit may stand behind the name ("waist in", "hip
// (cm)"),
//            else lengths are centimetres unless a cell carries its own unit
// Separator  comma, semicolon or tab, whichever the first line uses; with semicolons a comma is a decimal mark
#pragma once
#include <string>
#include <string_view>

#include "core/chart/size_chart.h"

namespace sartorum::formats {

[[nodiscard]] Outcome<SizeChart> read_chart_csv(std::string_view text);
[[nodiscard]] std::string write_chart_csv(const SizeChart&);

}  // namespace sartorum::formats
