// What the window opens and lays on the table: wearers, charts, patterns, tissues, from a menu, a file or a
// dialog.
#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>

#include "desk/chart/chart_dialog.h"
#include "desk/dialogs/bought_dialog.h"
#include "desk/dialogs/dialogs.h"
#include "desk/shell/docket.h"
#include "desk/shell/foot.h"
#include "desk/shell/settings.h"
#include "desk/tape/tape_station.h"
#include "desk/window.h"
#include "formats/chart_csv.h"
#include "formats/text_file.h"
#include "words/words.h"

namespace sartorum::desk {

void Window::new_wearer()
{
    NameDialog dialog{look_, *room_, this};
    if (dialog.exec() == QDialog::Accepted) go_to(Station::Tape);
}

void Window::type_chart()
{
    ChartDialog{look_, *room_, this}.exec();
}
void Window::paste_chart()
{
    ChartDialog dialog{look_, *room_, this};
    dialog.paste();
    dialog.exec();
}
void Window::correct_chart()
{
    ChartDialog dialog{look_, *room_, this};
    dialog.correct();
    dialog.exec();
}
void Window::measure_flat(std::optional<TissueKind> kind)
{
    auto* tape = static_cast<TapeStation*>(station(Station::Tape));
    if (current_ != Station::Tape) go_to(Station::Tape);
    tape->lay_paper(kind);
}

void Window::tell(const QString& sentence, const QString& plain)
{
    report_.refused(plain);
    if (foot_) foot_->show_trouble(sentence);
}

void Window::tell_file(const QString& name, const Refusal& why)
{
    const QString said = words::refusal(why, look_.unit());
    tell(name.isEmpty() ? said : name + ": " + said, plain(why));
}

void Window::import_chart(const QString& given)
{
    const QString path = given.isEmpty() ? QFileDialog::getOpenFileName(
                                               this, tr("Import a size chart"),
                                               settings_ ? settings_->folder(Settings::Folder::Charts) : QString{},
                                               tr("CSV (*.csv *.txt)"))
                                         : given;
    if (path.isEmpty()) return;
    if (settings_) settings_->keep_folder(Settings::Folder::Charts, path);
    const QString name = QFileInfo{path}.fileName();
    const auto bytes = formats::read_file(path);
    if (!bytes) return tell_file({}, bytes.error());
    auto lines = formats::chart_lines(*bytes);
    if (!lines) return tell_file(name, lines.error());
    ChartDialog dialog{look_, *room_, this};
    dialog.fill(*lines, QFileInfo{path}.completeBaseName());
    dialog.exec();
}

void Window::open_pattern(const QString& given)
{
    const QString path =
        given.isEmpty()
            ? QFileDialog::getOpenFileName(this, tr("Open a pattern"),
                                           settings_ ? settings_->folder(Settings::Folder::Patterns) : QString{},
                                           tr("Pattern drawing (*.svg)"))
            : given;
    if (path.isEmpty()) return;
    if (settings_) settings_->keep_folder(Settings::Folder::Patterns, path);
    const auto bytes = formats::read_file(path);
    if (!bytes) return tell_file({}, bytes.error());
    const auto ok = room_->take_pattern_svg(*bytes);
    if (!ok) tell_file(QFileInfo{path}.fileName(), ok.error());
}

void Window::show_wearers()
{
    auto* menu = new QMenu{this};
    menu->setObjectName("wearer_menu");
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& w : room_->book().wearers()) {
        auto* a = menu->addAction(w.name, this, [this, id = w.id] { room_->choose_wearer(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().wearer == w.id);
    }
    menu->addAction(tr("New wearer…"), this, &Window::new_wearer);
    if (room_->table().wearer) {
        menu->addSeparator();
        for (const auto& set : room_->book().sets(*room_->table().wearer)) {
            auto* a = menu->addAction(tr("measured %1").arg(set.name), this,
                                      [this, id = set.id] { room_->choose_wearer(*room_->table().wearer, id); });
            a->setCheckable(true);
            a->setChecked(room_->table().set == set.id);
        }
        menu->addAction(tr("Measure anew today"), this, [this] {
            room_->measure_anew();
            go_to(Station::Tape);
        });
    }
    menu->popup(docket_->wearer_button().mapToGlobal(QPoint{0, docket_->wearer_button().height()}));
}

void Window::show_patterns()
{
    auto* menu = new QMenu{this};
    menu->setObjectName("pattern_menu");
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& p : room_->book().patterns()) {
        auto* a = menu->addAction(p.second.isEmpty() ? p.name : p.name + ", " + p.second, this,
                                  [this, id = p.id] { room_->choose_pattern(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().pattern == p.id);
    }
    menu->addAction(tr("Open a pattern drawing (SVG)…"), this, [this] { open_pattern(); });
    menu->addAction(tr("Measure a skirt's tissue flat"), this, [this] { measure_flat(TissueKind::Skirt); });
    menu->addAction(tr("Measure a bodice's tissue flat"), this, [this] { measure_flat(TissueKind::Bodice); });
    menu->addAction(tr("Measure a dress's tissue flat"), this, [this] { measure_flat(TissueKind::Dress); });
    menu->addAction(tr("Measure trousers' tissue flat"), this, [this] { measure_flat(TissueKind::Trousers); });
    menu->addAction(tr("Measure an all-in-one's tissue flat"), this,
                    [this] { measure_flat(TissueKind::AllInOne); });
    menu->addAction(tr("A bought pair of trousers…"), this, [this] { BoughtDialog{look_, *room_, this}.exec(); });
    for (const auto& t : room_->book().tissues()) {
        if (t.name.isEmpty()) continue;
        menu->addAction(tr("tissue: %1").arg(t.name), this, [this, id = t.id] {
            room_->choose_tissue(id);
            measure_flat({});
        });
    }
    menu->addSeparator();
    for (const auto& c : room_->book().charts()) {
        auto* a = menu->addAction(
            tr("chart: %1")
                .arg(c.second.isEmpty() || c.name.contains(c.second) ? c.name : c.name + ", " + c.second),
            this, [this, id = c.id] { room_->choose_chart(id); });
        a->setCheckable(true);
        a->setChecked(room_->table().chart == c.id);
    }
    if (room_->table().pattern && room_->table().chart)
        menu->addAction(tr("Work by the chart alone"), this, [this] { room_->put_pattern_away(); });
    if (room_->table().chart) menu->addAction(tr("Correct this size chart…"), this, &Window::correct_chart);
    menu->addAction(tr("Type a size chart…"), this, &Window::type_chart);
    menu->addAction(tr("Import a size chart (CSV)…"), this, [this] { import_chart(); });
    menu->popup(docket_->pattern_button().mapToGlobal(QPoint{0, docket_->pattern_button().height()}));
}

}  // namespace sartorum::desk
