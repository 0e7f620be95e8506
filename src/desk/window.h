// window.h: rail, docket, one station at a time, foot. It only wires.
#pragma once
#include <QMainWindow>
#include <QPointer>
#include <QTimer>
#include <array>
#include <map>

#include "desk/room.h"
#include "desk/shared/acts.h"
#include "desk/shared/parts.h"
#include "desk/shared/worker.h"
#include "desk/shell/rail.h"
#include "desk/shell/report.h"

class QAction;
class QStackedWidget;

namespace sartorum::desk {

class Docket;
class Foot;
class Notice;
class Settings;

class Window : public QMainWindow {
    Q_OBJECT
public:
    // Stands as bare linen until it is furnished; `first_painted` says when it stands on the screen.
    explicit Window(Look&);
    ~Window() override;
    Window(Look&, Room&);
    // Not larger than what the screen has room for, its frame included.
    void fit(const QRect& available);
    // Puts rail, docket, foot and the first station in place. Once only; the room outlives the window.
    void furnish(Room&);
    void go_to(Station);
    [[nodiscard]] Station current() const { return current_; }

    // What the menus and empty states ask for.
    void new_wearer();
    void type_chart();
    void import_chart(const QString& path = {});
    void open_pattern(const QString& path = {});
    void paste_chart();
    void correct_chart();
    // The Tape's second face, with a tissue of that kind, or the one that lies there.
    void measure_flat(std::optional<TissueKind>);
    // What went wrong, in the foot and in the report.
    // Said at the foot; the report remembers `plain`, which has nothing of the user's in it.
    void tell(const QString& sentence, const QString& plain);
    void tell_file(const QString& name, const Refusal&);
    [[nodiscard]] Notice& notice() { return *notice_; }
    [[nodiscard]] const Report& report() const { return report_; }
    // Looks through the notebook and keeps the day's copy, on a thread of its own.
    void look_after_the_notebook();
    void keep_elsewhere(const QString& path = {});
    // The window's place, the station and the folders come from there, and are kept there. Before furnish(); they
    // outlive the window.
    void keep_settings(Settings&);
    // What a key or the menu asks for; what belongs to a station is done there.
    void perform(Act);
    // Everything that has a key, by station.
    void show_menu();

signals:
    void first_painted();
    void looked_after();
    void going_back_wanted();
    void elsewhere_wanted(const QString& path);  // it is kept there  // to the newest copy of the notebook

protected:
    void paintEvent(QPaintEvent*) override;
    void closeEvent(QCloseEvent*) override;

private:
    QWidget* station(Station);
    QWidget* takes_keys(Station);  // its letters and arrows
    void dress();
    void make_actions();
    void perform_at(const ActRow&);
    void show_settings();
    void refresh();
    void show_wearers();
    void show_patterns();
    void next_part();
    void show_guide();
    void say_of_the_notebook();
    void say_of_the_copy(const QString& why);
    void say_it_is_damaged();
    [[nodiscard]] std::vector<bool> finished() const;

    Look& look_;
    Room* room_ = nullptr;
    Rail* rail_ = nullptr;
    Docket* docket_ = nullptr;
    Foot* foot_ = nullptr;
    QStackedWidget* stack_ = nullptr;
    std::array<QWidget*, desk_station_count> stations_{};
    std::map<Act, QAction*> actions_{};  // one for each row of the table, in its first place
    Settings* settings_ = nullptr;
    Station current_ = Station::Tape;
    Notice* notice_ = nullptr;
    Report report_;
    QTimer look_round_;
    QStringList unreadable_;
    bool told_forgotten_ = false;
    bool told_aside_ = false;
    Worker* caring_;
    bool painted_ = false;
};

}  // namespace sartorum::desk
