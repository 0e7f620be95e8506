// shoulder_view.h: front and back joined at the shoulder: how neckline and armhole run through, and, folded as
// worn, how steep the shoulder is and where its seam lies; as traced and as planned.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class ShoulderView : public Panel {
    Q_OBJECT
public:
    ShoulderView(Look&, Room&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void describe();
    void draw_joined(QPainter&, const QRectF&);
    [[nodiscard]] bool both_shown() const;
    void draw_folded(QPainter&, const QRectF&);
    void draw_half(QPainter&, const QRectF& box, const Piece& front, const SewnShoulder&, const QTransform&);
    void draw_numbers(QPainter&, const QRectF&);
    Room& room_;
};

}  // namespace sartorum::desk
