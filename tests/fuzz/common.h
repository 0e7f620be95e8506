// common.h: what the fuzz targets share.
#pragma once
#include <cstdint>
#include <cstdlib>
#include <string>

#include "core/plan/trial.h"
#include "core/units/length_text.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/tape_protocol.h"

namespace sartorum::fuzz {

// One size traced and checked: the whole trial would cost too many runs.
inline bool try_pattern_briefly(const Pattern& pattern)
{
    const auto& size = pattern.sizes.front().size;
    Plan plan = plan_in_sizes(size, size);
    plan.sizes[Level::Bust] = size;
    return compute(pattern, trial_chart(pattern), trial_body(), plan).has_value();
}

}  // namespace sartorum::fuzz

using namespace sartorum;
using namespace sartorum::fuzz;
