// Feeds anything to the reader of: chart.
#include "common.h"

namespace {

void read(const std::string& text)
{
    const auto lines = formats::chart_lines(text);
    if (lines) (void)formats::read_chart(*lines);
    const auto chart = formats::read_chart_csv(text);
    if (!chart) return;
    // What was understood is written and read again as the same.
    const auto again = formats::read_chart_csv(formats::write_chart_csv(*chart));
    if (again && again->sizes.size() != chart->sizes.size()) std::abort();
    (void)advise(*chart, trial_body(), {});
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
