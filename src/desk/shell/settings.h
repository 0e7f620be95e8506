// settings.h: what belongs to a person and a screen, not to a notebook: unit, text size, theme, the window's
// place, the station last shown, the folders last used. One small text file; what in it cannot be read counts as
// not said.
#pragma once
#include <QByteArray>
#include <QSettings>
#include <QString>
#include <optional>

#include "desk/shared/look.h"
#include "desk/shared/station.h"

namespace sartorum::desk {

class Settings {
public:
    // Where drawings come from, where charts do, and where printed pages go.
    enum class Folder { Patterns, Charts, Pages };

    // The file is its owner's alone: names of folders are in it.
    explicit Settings(const QString& file);
    // Unit, text size and theme as they were left, and from then on kept at each change.
    void follow(Look&);
    // None that is there no more.
    [[nodiscard]] QString folder(Folder) const;
    void keep_folder(Folder, const QString& file_or_folder);
    [[nodiscard]] std::optional<Station> station() const;
    void keep_station(Station);
    [[nodiscard]] QByteArray window() const;
    void keep_window(const QByteArray& geometry);

private:
    QSettings kept_;
};

}  // namespace sartorum::desk
