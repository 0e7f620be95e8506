// tape_station.h: readings for one wearer, two or three a measure, kept in a dated set.
#pragma once
#include <array>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QStackedLayout;

namespace sartorum::desk {

class Figure;
class ReadingStrip;

class TapeStation : public QWidget {
    Q_OBJECT
public:
    TapeStation(Look&, Room&, QWidget* parent = nullptr);
    void go_to(Measure);

signals:
    void wearer_wanted();
    void finished();  // the last measure is kept

protected:
    void keyPressEvent(QKeyEvent*) override;

private:
    QWidget* build_pad();
    void refresh();
    void keep(std::size_t cell, Length);
    void remove(std::size_t cell);
    void next();

    Look& look_;
    Room& room_;
    Measure current_ = Measure::Waist;
    // What stands in a field and could not be taken yet, so that nothing typed is lost when moving about.
    std::map<std::pair<Measure, std::size_t>, QString> drafts_;
    Figure* figure_;
    QWidget* empty_;
    QWidget* work_;
    QLabel* title_;
    QLabel* term_;
    QWidget* hero_;
    QLabel* sure_;
    std::array<LengthField*, 3> cells_{};
    std::array<QWidget*, 3> cell_boxes_{};
    ReadingStrip* strip_;
    QLabel* state_;
    QLabel* how_;
    QLabel* history_;
    Button* next_button_;
};

}  // namespace sartorum::desk
