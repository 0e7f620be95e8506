// Feeds anything to the reader of: length.
#include "common.h"

namespace {

void read(const std::string& text)
{
    for (const auto unit : {Unit::Centimetre, Unit::Inch, Unit::Millimetre}) {
        for (const auto& read : {parse_length(text, unit), guess_length(text, unit)}) {
            if (!read || abs(*read) > Length::mm(9e5)) continue;  // near the limit rounding may pass it
            // What is written can be read, and as the same to what is shown of it.
            const auto again = parse_length(length_text(*read, unit), Unit::Millimetre);
            if (!again || abs(*again - *read) > Length::mm(2)) std::abort();
        }
    }
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
