// Feeds anything to the reader of: a work, all that goes in as one text, as versions keep it.
#include "common.h"
#include "formats/work_json.h"
#include "json_mutator.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    const auto read = formats::read_work(std::string(reinterpret_cast<const char*>(data), size));
    if (!read) return 0;
    // What was read is written so that it reads again, and can be worked out or refused.
    if (!formats::read_work(formats::work_json(read->work, read->wearer))) std::abort();
    (void)compute(read->work);
    return 0;
}
