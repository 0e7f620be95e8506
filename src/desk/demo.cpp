#include "desk/demo.h"

#include <QDir>

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

}  // namespace

bool fill_with_demo(notebook::Notebook& book, const QString& folder)
{
    if (!book.wearers().empty()) return true;
    const QDir dir{folder};
    const auto csv = formats::read_file(dir.filePath("towpath-paper.csv"));
    const auto svg = formats::read_file(dir.filePath("lockside-skirt.svg"));
    if (!csv || !svg) return false;
    auto chart = formats::read_chart_csv(*csv);
    const auto pattern = formats::read_pattern_svg(*svg);
    if (!chart || !pattern) return false;
    chart->name = "Towpath Paper, skirts";
    chart->maker = "Towpath Paper";
    const auto dress = formats::read_file(dir.filePath("windlass-dress.csv"));
    if (!dress) return false;
    const auto dress_chart = formats::read_chart_csv(*dress);
    if (!dress_chart || !book.add_chart(*dress_chart)) return false;
    const auto chart_id = book.add_chart(*chart);
    if (!chart_id) return false;
    if (!book.add_pattern(QString::fromStdString(pattern->name), QString::fromStdString(pattern->maker),
                          QByteArray::fromStdString(*svg), *chart_id))
        return false;
    return add_bodies(book, dir, {"bram.json"}) &&
           add_bodies(book, dir, {"ottilie-april.json", "ottilie-july.json", "ottilie.json"});
}

}  // namespace sartorum::desk
