// schema.h: the tables of a notebook and the steps from one version to the next. docs/notebook-format.md defines
// them.
#pragma once
#include <QStringList>

namespace sartorum::notebook {

inline constexpr int application_id = 0x53617274;  // "Sart"
inline constexpr int schema_version = 3;

[[nodiscard]] QStringList first_schema();
// Triggers that write the inverse of each change to a table into undo_log.
[[nodiscard]] QStringList undo_triggers();

// What brings a notebook of this version to the next; run inside one transaction, undo triggers taken off before
// and put on again after.
[[nodiscard]] QStringList migration_from(int version);
[[nodiscard]] QStringList undo_trigger_names();

}  // namespace sartorum::notebook
