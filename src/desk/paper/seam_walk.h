// seam_walk.h: the walked seams: two bars with notches, both lengths, the difference, and whether it holds.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class SeamWalk : public Panel {
    Q_OBJECT
public:
    SeamWalk(Look&, Room&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void describe();
    void draw_pair(QPainter&, const QRectF&, const Walk&);
    void draw_hem(QPainter&, const QRectF&, const Checks&);
    Room& room_;
};

}  // namespace sartorum::desk
