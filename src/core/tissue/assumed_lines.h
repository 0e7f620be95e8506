// assumed_lines.h: what a line that was not measured may be, so that the outline can be drawn before the last
// number.
//
// From the chosen size of the chart: its finished girths, else its body and a usual ease; widths grow with the
// bust, lengths less (common practice; the shares are ours). What was measured is kept to: an assumed line never
// makes a measured one impossible where it need not. Where another size was measured, its line and what the
// chart's sizes differ by.
#pragma once
#include "core/chart/size_chart.h"
#include "core/tissue/tissue.h"

namespace sartorum {

using TissueLengths = std::map<TissueLine, Length>;

// Every line of that kind: measured, 0 where it is not there, else assumed. A cap height of 0 is as high as the
// armhole asks; a hem and a cap length of 0 as the usual flare and ease give it.
[[nodiscard]] TissueLengths resolved(const Tissue&, const TissueSize&, const SizeChart*);

}  // namespace sartorum
