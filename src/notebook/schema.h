// schema.h: the tables of a notebook and the steps from one version to the next. docs/notebook-format.md defines
// them.
#pragma once
#include <QByteArray>
#include <QList>
#include <QMap>
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

// A statement without what makes no difference: how names are quoted, and spaces.
[[nodiscard]] QString plain(QString sql);
// Of tables by name, with the statements that made them: SHA-256, hexadecimal; what SQLite made itself left out.
[[nodiscard]] QByteArray digest_of(const QMap<QString, QString>& tables);
// The digest of this version's tables. Making them all to compare with takes longer than the rest of opening:
// where a notebook's have this digest, they are ours.
inline constexpr const char* digest_of_our_tables =
    "36180f6386b6a9e2fb980e399014cb3d5a41c8e56d25947766f686f5a213c7e5";

}  // namespace sartorum::notebook
