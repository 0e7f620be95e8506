// common.h: what the fuzz targets share.
#pragma once
#include <array>
#include <cstdint>
#include <cstdlib>
#include <string>
#include <vector>

#include "core/plan/pattern_trial.h"
#include "core/units/length_text.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/tape_protocol.h"
#include "formats/text_file.h"

namespace sartorum::fuzz {

// One size traced and checked: the whole trial would cost too many runs.
inline bool try_pattern_briefly(const Pattern& pattern)
{
    const auto& size = pattern.sizes.front().size;
    Plan plan = plan_in_sizes(size, size);
    plan.sizes[Level::Bust] = size;
    return compute(pattern, trial_chart(pattern), trial_body(), plan).has_value();
}

inline std::string demo_file(const std::string& name)
{
    const auto text =
        formats::read_file(QString::fromStdString(std::string{SARTORUM_SOURCE_DIR} + "/demo/" + name));
    if (!text) std::abort();
    return *text;
}
inline Pattern demo_pattern(const std::string& name)
{
    return *formats::read_pattern_svg(demo_file(name + ".svg"));
}
inline SizeChart demo_chart(const std::string& name)
{
    return *formats::read_chart_csv(demo_file(name + ".csv"));
}

}  // namespace sartorum::fuzz

using namespace sartorum;
using namespace sartorum::fuzz;
