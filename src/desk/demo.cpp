#include "desk/demo.h"

#include <QDir>

#include "desk/demo_toiles.h"
#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"

namespace sartorum::desk {
namespace {

// One person's dated sets, oldest first.
bool add_bodies(notebook::Notebook& book, const QDir& dir, const QStringList& files)
{
    std::optional<notebook::Id> wearer;
    for (const auto& file : files) {
        const auto text = formats::read_file(dir.filePath(file));
        if (!text) return false;
        const auto body = formats::read_body(*text);
        if (!body) return false;
        const auto date = QDate::fromString(QString::fromStdString(body->set.date), Qt::ISODate);
        if (!wearer) {
            const auto made = book.add_wearer(QString::fromStdString(body->name), date);
            if (!made) return false;
            wearer = *made;
        } else if (!book.add_set(*wearer, date)) {
            return false;
        }
        const auto set = *book.table().set;
        for (const auto side : {Side::Right, Side::Left}) {
            for (const auto& [m, readings] : body->set.side(side)) {
                if (!book.set_readings(set, m, readings, side)) return false;
            }
        }
        if (!book.set_circumstances(set, body->set)) return false;
        if (!body->set.tape.empty() && !book.set_tape_check(set, body->set.tape)) return false;
    }
    return true;
}

// A chart and the drawing that goes with it; the last one stays on the table.
bool add_pattern(notebook::Notebook& book, const QDir& dir, const QString& csv, const QString& svg,
                 const char* chart_name)
{
    const auto lines = formats::read_file(dir.filePath(csv));
    const auto drawing = formats::read_file(dir.filePath(svg));
    if (!lines || !drawing) return false;
    auto chart = formats::read_chart_csv(*lines);
    const auto pattern = formats::read_pattern_svg(*drawing);
    if (!chart || !pattern) return false;
    chart->maker = "Towpath Paper";
    chart->name = chart_name;
    const auto id = book.add_chart(*chart);
    return id && book.add_pattern(QString::fromStdString(pattern->name), QString::fromStdString(pattern->maker),
                                  QByteArray::fromStdString(*drawing), *id);
}

}  // namespace

bool fill_with_demo(notebook::Notebook& book, const QString& folder)
{
    if (!book.wearers().empty()) return true;
    const QDir dir{folder};
    return add_pattern(book, dir, "windlass-dress.csv", "windlass-bodice.svg", "Windlass dress, no. 7") &&
           add_pattern(book, dir, "heron-tee.csv", "heron-tee.svg", "Heron tee") &&
           add_pattern(book, dir, "sluice-waistcoat.csv", "sluice-waistcoat.svg", "Sluice waistcoat") &&
           add_pattern(book, dir, "aqueduct-dress.csv", "aqueduct-dress.svg", "Aqueduct dress") &&
           add_pattern(book, dir, "reedbed-dress.csv", "reedbed-dress.svg", "Reedbed dress") &&
           add_pattern(book, dir, "bulrush-dress.csv", "bulrush-dress.svg", "Bulrush dress") &&
           add_pattern(book, dir, "ropewalk-skirt.csv", "ropewalk-skirt.svg", "Ropewalk skirt") &&
           add_pattern(book, dir, "slipway-all-in-one.csv", "slipway-all-in-one.svg", "Slipway all-in-one") &&
           add_pattern(book, dir, "barge-trousers.csv", "barge-trousers.svg", "Barge trousers") &&
           add_pattern(book, dir, "lockgate-trousers.csv", "lockgate-trousers.svg", "Lockgate trousers") &&
           add_pattern(book, dir, "towpath-paper.csv", "lockside-skirt.svg", "Towpath Paper, skirts") &&
           add_bodies(book, dir, {"bram.json"}) && add_bodies(book, dir, {"benno.json"}) &&
           add_bodies(book, dir, {"hedda.json"}) &&
           add_bodies(book, dir, {"ottilie-april.json", "ottilie-july.json", "ottilie.json"}) &&
           add_demo_toiles(book, dir);
}

}  // namespace sartorum::desk
