#include "desk/demo.h"

#include <QDir>

#include "formats/chart_csv.h"
#include "formats/json.h"
#include "formats/pattern_svg.h"
#include "formats/text_file.h"

namespace sartorum::desk {
namespace {

bool add_body(notebook::Notebook& book, const QString& path)
{
    const auto text = formats::read_file(path);
    if (!text) return false;
    const auto body = formats::read_body(*text);
    if (!body) return false;
    const auto date = QDate::fromString(QString::fromStdString(body->set.date), Qt::ISODate);
    const auto wearer = book.add_wearer(QString::fromStdString(body->name), date);
    if (!wearer) return false;
    for (const auto& [m, readings] : body->set.readings) {
        if (!book.set_readings(*book.table().set, m, readings)) return false;
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
    const auto chart_id = book.add_chart(*chart);
    if (!chart_id) return false;
    if (!book.add_pattern(QString::fromStdString(pattern->name), QString::fromStdString(pattern->maker),
                          QByteArray::fromStdString(*svg), *chart_id))
        return false;
    return add_body(book, dir.filePath("bram.json")) && add_body(book, dir.filePath("ottilie.json"));
}

}  // namespace sartorum::desk
