// docket.h: what is on the table, along the top: wearer, pattern, sizes, progress, undo, unit.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"
#include "desk/shell/rail.h"

namespace sartorum::desk {

class DocketItem;

class Docket : public QWidget {
    Q_OBJECT
public:
    Docket(Look&, Room&, QWidget* parent = nullptr);
    void show(Station current, const std::vector<bool>& finished, bool paper = false);
    [[nodiscard]] QWidget& wearer_button();
    [[nodiscard]] QWidget& pattern_button();

signals:
    void wearers_wanted();
    void patterns_wanted();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void refresh();
    // What is written at the right, and all that this paints: it is painted anew when that is another.
    [[nodiscard]] QString progress() const;
    [[nodiscard]] QString painted() const;
    void update_if_new();
    Look& look_;
    Room& room_;
    DocketItem* wearer_;
    DocketItem* pattern_;
    QAbstractButton* undo_;
    QAbstractButton* redo_;
    Choices* unit_;
    QString painted_;
    Station current_ = Station::Tape;
    bool paper_ = false;  // the Tape's second face
    std::vector<bool> finished_ = std::vector<bool>(desk_station_count, false);
};

}  // namespace sartorum::desk
