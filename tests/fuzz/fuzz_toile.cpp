// Feeds anything to the reader of: what was seen on a toile.
#include "common.h"
#include "formats/try_on_json.h"
#include "json_mutator.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    const auto read = formats::read_try_on(std::string(reinterpret_cast<const char*>(data), size));
    if (!read) return 0;
    const auto again = formats::read_try_on(formats::try_on_json(*read).dump());
    if (!again || again->notes.size() != read->notes.size() || again->answers.size() != read->answers.size())
        std::abort();
    return 0;
}
