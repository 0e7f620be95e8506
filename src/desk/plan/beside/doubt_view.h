// doubt_view.h: at the head of the plan: what of paper and chart can hardly belong together, asked before anything
// is proposed from it.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

class QLabel;

namespace sartorum::desk {

class DoubtView : public Panel {
    Q_OBJECT
public:
    DoubtView(Look&, Room&, QWidget* parent = nullptr);
    void refresh();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Look& look_;
    Room& room_;
    QLabel* said_;
    Button* meant_;
};

}  // namespace sartorum::desk
