// text_file.h: reading and writing whole files within limits.
#pragma once
#include <QString>
#include <string>

#include "core/units/refusal.h"

namespace sartorum::formats {

inline constexpr qint64 most_file_bytes = 20 * 1024 * 1024;

[[nodiscard]] Outcome<std::string> read_file(const QString& path, qint64 most = most_file_bytes);
// Written beside and moved into place: an old file stays whole when the disk fills up.
[[nodiscard]] Outcome<bool> write_file(const QString& path, const QByteArray&);

}  // namespace sartorum::formats
