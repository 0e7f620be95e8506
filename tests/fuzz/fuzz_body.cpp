// Feeds anything to the reader of: body.
#include "common.h"
#include "json_mutator.h"

namespace {

void read(const std::string& text)
{
    const auto body = formats::read_body(text);
    if (!body) return;
    const auto again = formats::read_body(formats::body_json(*body).dump());
    if (!again || again->set.readings != body->set.readings) std::abort();
    for (const auto& f : all_measures) (void)body->set.taken(f.measure);
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
