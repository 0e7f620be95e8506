// tape_protocol.h: what both ends of a digital tape agree on. docs/tape-protocol.md defines the lines.
#pragma once
#include <QDir>
#include <QStandardPaths>

namespace sartorum::formats {

inline constexpr char tape_greeting[] = "SARTORUM-TAPE 1";

// The local socket a tape waits on where nobody says another.
[[nodiscard]] inline QString usual_tape_socket()
{
    const QString dir = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    return QDir{dir.isEmpty() ? QDir::tempPath() : dir}.filePath("sartorum-tape");
}

}  // namespace sartorum::formats
