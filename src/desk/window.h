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
    // Stands as bare linen until it is furnished; `first_painted` says when it stands on the screen.
    explicit Window(Look&);
    Window(Look&, Room&);
    // Puts rail, docket, foot and the first station in place. Once only; the room outlives the window.
    void furnish(Room&);
    void go_to(Station);
    [[nodiscard]] Station current() const { return current_; }

    // What the menus and empty states ask for.
    void new_wearer();
    void type_chart();
    void import_chart(const QString& path = {});
    void open_pattern(const QString& path = {});
    void correct_chart();
    void draw_skirt();
    void draw_bodice();

signals:
    void first_painted();

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
    Room* room_ = nullptr;
    Rail* rail_ = nullptr;
    Docket* docket_ = nullptr;
    Foot* foot_ = nullptr;
    QStackedWidget* stack_ = nullptr;
    std::array<QWidget*, station_count> stations_{};
    Station current_ = Station::Tape;
    bool painted_ = false;
};

}  // namespace sartorum::desk
