// Feeds anything to the reader of: plan.
#include "common.h"
#include "json_mutator.h"

namespace {

void read(const std::string& text)
{
    const auto plan = formats::read_plan(text);
    if (!plan) return;
    const auto again = formats::read_plan(formats::plan_json(*plan).dump());
    if (!again || again->decisions.size() != plan->decisions.size()) std::abort();
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
