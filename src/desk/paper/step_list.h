// step_list.h: the steps by hand, one at a time, on a thread of knots.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QScrollArea;

namespace sartorum::desk {

class StepRows;

class StepList : public Panel {
    Q_OBJECT
public:
    StepList(Look&, Room&, QWidget* parent = nullptr);

signals:
    void picked(int step);
    void amount_wanted();
    void play_wanted();

private:
    void refresh();
    Room& room_;
    QLabel* title_;
    StepRows* rows_;
    QScrollArea* scroll_;
    QLabel* check_;
    Button* done_;
    Button* back_;
    Button* play_;
};

}  // namespace sartorum::desk
