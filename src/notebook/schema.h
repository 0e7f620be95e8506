// schema.h: the tables of a notebook and the steps from one version to the next. docs/notebook-format.md defines
// them.
#pragma once
#include <QStringList>

namespace sartorum::notebook {

inline constexpr int application_id = 0x53617274;  // "Sart"
inline constexpr int schema_version = 1;

[[nodiscard]] QStringList schema();
// Triggers that write the inverse of each change to a table into undo_log.
[[nodiscard]] QStringList undo_triggers();

}  // namespace sartorum::notebook
