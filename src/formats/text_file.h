// text_file.h: reading and writing whole files within limits.
#pragma once
#include <QString>
#include <optional>
#include <string>
#include <string_view>

#include "core/units/refusal.h"

namespace sartorum::formats {

inline constexpr qint64 most_file_bytes = 20 * 1024 * 1024;

[[nodiscard]] Outcome<std::string> read_file(const QString& path, qint64 most = most_file_bytes);
// The first line that is not UTF-8, if there is one.
[[nodiscard]] std::optional<int> line_not_utf8(std::string_view);

enum class IfThere { Refuse, Replace };
// Whether a file may be written there at all, asked before long work: an ordinary file or none, in a folder that
// is.
[[nodiscard]] Outcome<bool> may_write(const QString& path, IfThere);
// Written beside, flushed, checked and moved into place: whatever goes wrong, the old file stays whole.
[[nodiscard]] Outcome<bool> write_file(const QString& path, const QByteArray&, IfThere);

}  // namespace sartorum::formats
