// Feeds anything to the reader of: readings.
#include "common.h"

namespace {

void read(const std::string& text)
{
    // A measure by the first byte, then what was typed for it, a line a reading.
    if (text.empty()) return;
    const auto m = all_measures[static_cast<unsigned char>(text[0]) % all_measures.size()].measure;
    BodySet body{"2026-01-01", {}};
    std::size_t at = 1;
    while (at < text.size() && body.readings[m].size() < 9) {
        const auto end = std::min(text.find('\n', at), text.size());
        const auto read = parse_length(std::string_view{text}.substr(at, end - at), Unit::Centimetre);
        if (read && check_reading(m, *read)) body.readings[m].push_back(*read);
        at = end + 1;
    }
    const auto taken = body.taken(m);
    if (taken && (taken->value < facts(m).least || taken->value > facts(m).most)) std::abort();
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    read(std::string(reinterpret_cast<const char*>(data), size));
    return 0;
}
