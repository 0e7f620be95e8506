// schema.h: the tables of a notebook and the steps from one version to the next. docs/notebook-format.md defines
// them.
#pragma once
#include <QList>
#include <QStringList>

namespace sartorum::notebook {

inline constexpr int application_id = 0x53617274;  // "Sart"
inline constexpr int schema_version = 12;

// A table whose changes can be undone, and its columns.
struct Tracked {
    QString table;
    QStringList columns;
};
[[nodiscard]] const QList<Tracked>& tracked();
// Every table of this version and all its columns, tracked or not.
[[nodiscard]] const QList<Tracked>& all_tables();

[[nodiscard]] QStringList first_schema();
// What keeps the values that each change to a tracked table replaces, in undo_change and undo_value.
[[nodiscard]] QStringList undo_triggers();
[[nodiscard]] QStringList index_names();

// What brings a notebook of this version to the next; run inside one transaction, all triggers taken off before
// and put on again after.
[[nodiscard]] QStringList migration_from(int version);

}  // namespace sartorum::notebook
