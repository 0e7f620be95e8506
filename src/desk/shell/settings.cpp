#include "desk/shell/settings.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <array>

namespace sartorum::desk {
namespace {

constexpr std::array themes{"day", "night", "desktop"};
constexpr std::array stations{"tape", "chart", "plan", "paper", "mirror", "print"};
constexpr std::array folders{"folders/patterns", "folders/charts", "folders/pages"};

template <std::size_t N>
std::optional<int> place_of(const std::array<const char*, N>& words, const QString& word)
{
    for (std::size_t i = 0; i < N; ++i) {
        if (word == QLatin1String{words[i]}) return static_cast<int>(i);
    }
    return std::nullopt;
}

// QSettings keeps the rights of a file that is there.
const QString& made_private(const QString& file)
{
    QDir{}.mkpath(QFileInfo{file}.absolutePath());
    if (QFile f{file}; f.open(QIODevice::ReadWrite)) f.setPermissions(QFile::ReadOwner | QFile::WriteOwner);
    return file;
}

}  // namespace

Settings::Settings(const QString& file) : kept_{made_private(file), QSettings::IniFormat} {}

void Settings::follow(Look& look)
{
    const QString unit = kept_.value("unit").toString();
    if (unit == "in") look.set_unit(Unit::Inch);
    if (unit == "cm") look.set_unit(Unit::Centimetre);
    bool is_number = false;
    const double scale = kept_.value("text_size").toDouble(&is_number);
    if (is_number && scale > 0) look.set_scale(scale);
    const auto theme = place_of(themes, kept_.value("theme").toString());
    look.set_theme(theme ? static_cast<Theme>(*theme) : Theme::Desktop);
    QObject::connect(&look, &Look::changed, &kept_, [this, &look] {
        kept_.setValue("unit", look.unit() == Unit::Inch ? "in" : "cm");
        kept_.setValue("text_size", look.scale());
        kept_.setValue("theme", themes[static_cast<std::size_t>(look.theme())]);
    });
}

QString Settings::folder(Folder f) const
{
    const QString path = kept_.value(folders[static_cast<std::size_t>(f)]).toString();
    return QFileInfo{path}.isDir() ? path : QString{};
}

void Settings::keep_folder(Folder f, const QString& file_or_folder)
{
    const QFileInfo info{file_or_folder};
    kept_.setValue(folders[static_cast<std::size_t>(f)],
                   info.isDir() ? info.absoluteFilePath() : info.absolutePath());
}

std::optional<Station> Settings::station() const
{
    const auto at = place_of(stations, kept_.value("station").toString());
    return at ? std::optional{static_cast<Station>(*at)} : std::nullopt;
}

void Settings::keep_station(Station s)
{
    kept_.setValue("station", stations[static_cast<std::size_t>(s)]);
}

QByteArray Settings::window() const
{
    return kept_.value("window").toByteArray();
}

void Settings::keep_window(const QByteArray& geometry)
{
    kept_.setValue("window", geometry);
}

}  // namespace sartorum::desk
