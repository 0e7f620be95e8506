#include "formats/tape_protocol.h"

#include <QList>

namespace sartorum::formats {
namespace {

constexpr double most_mm = 5000;

}  // namespace

TapeLine read_tape_line(const QByteArray& line)
{
    if (line == tape_greeting) return {TapeWord::Greeting, {}};
    if (line == "BYE") return {TapeWord::Bye, {}};
    const auto parts = line.split(' ');
    bool number = false;
    const double mm = parts.size() == 2 ? parts[1].toDouble(&number) : 0;
    if (!number || !(mm > 0 && mm <= most_mm)) return {};
    if (parts[0] == "LIVE") return {TapeWord::Live, Length::mm(mm)};
    if (parts[0] == "READ") return {TapeWord::Read, Length::mm(mm)};
    return {};
}

}  // namespace sartorum::formats
