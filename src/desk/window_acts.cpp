// What keys and the menu ask of the window, read from the table of acts.
#include <QAction>
#include <QApplication>
#include <QKeyEvent>
#include <QMenu>

#include "desk/dialogs/settings_dialog.h"
#include "desk/shell/settings.h"
#include "desk/tape/tape_station.h"
#include "desk/window.h"

namespace sartorum::desk {
namespace {

constexpr double one_step_of_text = 0.1;

std::optional<Station> station_of(At at)
{
    switch (at) {
        case At::Tape:
        case At::Tissue: return Station::Tape;
        case At::Chart: return Station::Chart;
        case At::Plan: return Station::Plan;
        case At::Paper: return Station::Paper;
        case At::Mirror: return Station::Mirror;
        case At::Print: return Station::Print;
        case At::Anywhere: break;
    }
    return std::nullopt;
}

}  // namespace

// Keys that act anywhere are the actions' own; a station's act only where the station has the keyboard, so that a
// letter can be typed into a field: it reads them from the same table (act_for).
void Window::make_actions()
{
    for (const auto& row : all_acts()) {
        if (actions_.contains(row.act)) continue;
        const QString key = key_text(row);
        auto* action = new QAction{key.isEmpty() || !row.in_menu ? row.words : row.words + "\t" + key, this};
        action->setObjectName("act_" + QString::number(static_cast<int>(row.act)));
        if (row.at == At::Anywhere) {
            action->setShortcuts(row.keys);
            addAction(action);
        }
        connect(action, &QAction::triggered, this, [this, act = row.act] { perform(act); });
        actions_[row.act] = action;
    }
}

void Window::perform(Act act)
{
    switch (act) {
        case Act::ToTape: return go_to(Station::Tape);
        case Act::ToChart: return go_to(Station::Chart);
        case Act::ToPlan: return go_to(Station::Plan);
        case Act::ToPaper: return go_to(Station::Paper);
        case Act::ToMirror: return go_to(Station::Mirror);
        case Act::ToPrint: return go_to(Station::Print);
        case Act::OpenPattern: return open_pattern();
        case Act::ImportChart: return import_chart();
        case Act::NewWearer: return new_wearer();
        case Act::Undo: room_->undo(); return;
        case Act::Redo: room_->redo(); return;
        case Act::SwitchUnit: return look_.set_unit(look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch);
        case Act::SwitchNight: return look_.set_night(!look_.night());
        case Act::LargerText: return look_.set_scale(look_.scale() + one_step_of_text);
        case Act::SmallerText: return look_.set_scale(look_.scale() - one_step_of_text);
        case Act::UsualText: return look_.set_scale(1.0);
        case Act::NextPart: return next_part();
        case Act::Menu: return show_menu();
        case Act::Settings: return show_settings();
        case Act::Guide: return show_guide();
        case Act::Report: ReportDialog{look_, report_, this}.exec(); return;
        case Act::Quit: close(); return;
        case Act::OtherFace:
            go_to(Station::Tape);
            return static_cast<TapeStation*>(station(Station::Tape))->turn_over();
        default: return perform_at(row_of(act));
    }
}

// As if its key were pressed where the station takes its keys: what the menu does is what the key does. A button
// or a field that had the keyboard would take it for itself.
void Window::perform_at(const ActRow& row)
{
    const auto s = station_of(row.at);
    if (!s || row.keys.isEmpty()) return;
    auto* tape = qobject_cast<TapeStation*>(station(*s));
    // The Tape's are of the wearer's face, and go on from the measure at hand.
    if (tape && tape->on_paper()) tape->turn_over();
    if (!tape || current_ != *s) go_to(*s);
    const auto key = row.keys.front()[0];
    QKeyEvent press{QEvent::KeyPress, key.key(), key.keyboardModifiers()};
    QCoreApplication::sendEvent(takes_keys(*s), &press);
}

void Window::show_menu()
{
    auto* menu = new QMenu{this};
    menu->setObjectName("acts_menu");
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (int i = 0; i < desk_station_count; ++i) {
        const auto s = static_cast<Station>(i);
        auto* of = menu->addMenu(station_name(s));
        of->addAction(actions_.at(static_cast<Act>(static_cast<int>(Act::ToTape) + i)));
        of->addSeparator();
        for (const auto& row : all_acts()) {
            if (station_of(row.at) == s && row.in_menu) of->addAction(actions_.at(row.act));
        }
    }
    actions_.at(Act::Undo)->setEnabled(room_->book().undo_name().has_value());
    actions_.at(Act::Redo)->setEnabled(room_->book().redo_name().has_value());
    using enum Act;
    for (const auto& group :
         std::vector<std::vector<Act>>{{Undo, Redo},
                                       {OpenPattern, ImportChart, NewWearer},
                                       {SwitchUnit, SwitchNight, LargerText, SmallerText, UsualText, NextPart},
                                       {Act::Settings, Guide, Report},
                                       {Quit}}) {
        menu->addSeparator();
        for (const auto act : group) menu->addAction(actions_.at(act));
    }
    // Disabled, an action's keys would be dead after the menu is gone.
    connect(menu, &QMenu::aboutToHide, this, [this] {
        actions_.at(Act::Undo)->setEnabled(true);
        actions_.at(Act::Redo)->setEnabled(true);
    });
    menu->popup(rail_->mapToGlobal(rail_->menu_corner()));
}

void Window::show_settings()
{
    SettingsDialog{look_, this}.exec();
}

void Window::keep_settings(Settings& settings)
{
    settings_ = &settings;
    (void)restoreGeometry(settings.window());
}

}  // namespace sartorum::desk
