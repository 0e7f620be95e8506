// tape_protocol.h: what both ends of a digital tape agree on. docs/tape-protocol.md defines the lines.
#pragma once
#include <QByteArray>
#include <QDir>
#include <QStandardPaths>

#include "core/units/length.h"

namespace sartorum::formats {

inline constexpr char tape_greeting[] = "SARTORUM-TAPE 1";

enum class TapeWord { NotUnderstood, Greeting, Live, Read, Bye };
struct TapeLine {
    TapeWord word = TapeWord::NotUnderstood;
    Length length;  // of Live and Read: above 0, up to 5 m
};
// One line from a tape, without its end.
[[nodiscard]] TapeLine read_tape_line(const QByteArray&);

// The local socket a tape waits on where nobody says another.
[[nodiscard]] inline QString usual_tape_socket()
{
    const QString dir = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    return QDir{dir.isEmpty() ? QDir::tempPath() : dir}.filePath("sartorum-tape");
}

}  // namespace sartorum::formats
