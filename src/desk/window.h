// window.h: rail, docket, one station at a time, foot. It only wires.
#pragma once
#include <QMainWindow>
#include <array>

#include "desk/room.h"
#include "desk/shared/parts.h"
#include "desk/shell/rail.h"

class QStackedWidget;

namespace sartorum::desk {

class Docket;
class Foot;

class Window : public QMainWindow {
    Q_OBJECT
public:
    Window(Look&, Room&);
    void go_to(Station);
    // Builds the first station; the first paint asks for it, so that the window stands sooner.
    void begin();
    [[nodiscard]] Station current() const { return current_; }

    // What the menus and empty states ask for.
    void new_wearer();
    void type_chart();
    void import_chart(const QString& path = {});
    void open_pattern(const QString& path = {});
    void draw_skirt();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QWidget* station(Station);
    void dress();
    void shortcuts();
    void refresh();
    void show_wearers();
    void show_patterns();
    void next_part();
    void tell(const QString&);
    [[nodiscard]] std::vector<bool> finished() const;

    Look& look_;
    Room& room_;
    Rail* rail_;
    Docket* docket_;
    Foot* foot_;
    QStackedWidget* stack_;
    std::array<QWidget*, station_count> stations_{};
    Station current_ = Station::Tape;
    bool begun_ = false;
};

}  // namespace sartorum::desk
