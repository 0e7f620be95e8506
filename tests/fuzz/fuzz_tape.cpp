// Feeds anything to the reader of: tape.
#include "common.h"

namespace {

void read(const std::string& text)
{
    for (const auto& line : QByteArray::fromStdString(text).split('\n')) {
        const auto read = formats::read_tape_line(line);
        if (read.length < Length{} || read.length > Length::mm(5000)) std::abort();
    }
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
