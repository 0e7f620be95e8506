// Feeds anything to the reader of: svg.
#include "common.h"

namespace {

void read(const std::string& text)
{
    const auto read = formats::read_pattern_svg(text);
    if (read) (void)try_pattern_briefly(*read);
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
