// finished_view.h: the finished measurements: as traced, needed, after.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class FinishedView : public Panel {
    Q_OBJECT
public:
    FinishedView(Look&, Room&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void describe();
    Room& room_;
};

}  // namespace sartorum::desk
