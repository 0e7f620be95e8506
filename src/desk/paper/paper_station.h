// paper_station.h: the altered pieces, the steps by hand, and the walked seams beneath.
#pragma once
#include "desk/room.h"
#include "desk/shared/acts.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Canvas;
class StepList;
class LargeStep;
class SeamWalk;
class WalkView;

class PaperStation : public QWidget {
    Q_OBJECT
public:
    PaperStation(Look&, Room&, QWidget* parent = nullptr);

signals:
    void plan_wanted();

protected:
    void keyPressEvent(QKeyEvent*) override;
    void hideEvent(QHideEvent*) override;

private:
    [[nodiscard]] bool take_key(Act);  // whether it did something here
    void refresh();
    void go(int step);
    void play();
    void show_view(int);
    void enlarge();
    Look& look_;
    Room& room_;
    QWidget* empty_;
    QWidget* work_;
    QLabel* title_;
    QLabel* sub_;
    Choices* views_;
    Canvas* canvas_;
    SeamWalk* walk_;
    WalkView* rolling_;
    QWidget* legend_;
    LargeStep* large_ = nullptr;  // made when it is first asked for, over the whole window
};

}  // namespace sartorum::desk
