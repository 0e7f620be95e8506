// copies.h: whole copies of a notebook beside it: before a new version, and one a day; and going back to one.
//
// A copy is made under another name, flushed, read through and then renamed: one that stands there is complete.
// Nothing that stands there already, a link least of all, is written to. All readable by their owner alone.
#pragma once
#include <QDate>

#include "notebook/notebook.h"

namespace sartorum::notebook {

inline constexpr int daily_copies_kept = 7;

struct Copy {
    QString path;
    QDate day;
};
// Newest first; one dated later than today was named so by a wrong clock or hand, and counts as the oldest.
[[nodiscard]] std::vector<Copy> daily_copies(const QString& notebook, const QDate& today);
// The copy of this day, unless it is there; those beyond the newest seven go. On a connection of its own, so that
// it may be called from any thread. False when there was nothing to do.
[[nodiscard]] Result<bool> keep_daily_copy(const QString& notebook, const QDate& today);
// A copy beside the file, named like it with `ending` behind, or with -2, -3 … behind that. What it is called.
[[nodiscard]] Result<QString> copy_beside(const QString& notebook, const QString& ending);
// On the disk, and not only written.
[[nodiscard]] bool flushed(const QString& path);
// Which file stands there now; none where none does.
[[nodiscard]] std::optional<FileIdentity> identity_of(const QString& path);
// A log of SQLite's beside the notebook that is another file's would be played into this one. A write-ahead log
// belongs to a file that says it has one, which this program's do not since version 12, and only where the two
// together are sound; a rollback journal only where it leaves the file sound. Tried on copies. What does not
// belong is renamed; the new names are given back.
[[nodiscard]] Result<QStringList> set_foreign_logs_aside(const QString& notebook);
// What is wrong with the file, in SQLite's words; none when it is sound. From any thread.
[[nodiscard]] std::optional<QString> found_damaged(const QString& notebook);
// The copy takes the notebook's place; what stood there is kept beside it, under the name that is given back. The
// notebook must not be open.
[[nodiscard]] Result<QString> go_back_to(const QString& notebook, const Copy&, const QDate& today);

}  // namespace sartorum::notebook
