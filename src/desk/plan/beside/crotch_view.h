// crotch_view.h: the crotch seam joined front to back and drawn as the curve it is worn as, its length beside the
// body's string; as traced and as planned.
#pragma once
#include "core/plan/crotch.h"
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class CrotchView : public Panel {
    Q_OBJECT
public:
    CrotchView(Look&, Room&, QWidget* parent = nullptr);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void describe();
    [[nodiscard]] bool low() const;
    void draw_curve(QPainter&, const QRectF&, const CrotchWorn&);
    void draw_lengths(QPainter&, const QRectF&, const CrotchWorn&);
    Room& room_;
};

}  // namespace sartorum::desk
