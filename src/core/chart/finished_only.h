// finished_only.h: charts that print finished measures and no body.
//
// A size fits when its finished girth is the body's and the ease wanted over it: her own where she has said it,
// else the least one moves in (ease.h). So each size serves the body that is its finished girth less that ease.
// What ease the designer meant is not known (common practice); nothing is taken in by a chart like this.
#pragma once
#include "core/chart/ease.h"

namespace sartorum {

[[nodiscard]] bool prints_finished_only(const SizeChart&);
// Such a chart with the bodies its sizes serve, marked as assumed; any other as it is.
[[nodiscard]] SizeChart with_bodies_served(SizeChart, const Cloth&, const EaseWishes&);

}  // namespace sartorum
