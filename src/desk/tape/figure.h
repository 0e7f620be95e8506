// figure.h: the picture of the Tape: an abstract body, every measure a line on it with a leader to its name and
// value.
#pragma once
#include <QPainterPath>
#include <map>

#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Figure : public Panel {
    Q_OBJECT
public:
    Figure(Look&, Room&, QWidget* parent = nullptr);
    void set_current(Measure);

signals:
    void picked(Measure);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] QRectF tag(Measure) const;
    void draw_tag(QPainter&, Measure);
    void draw_measure(QPainter&, Measure);
    [[nodiscard]] QPointF on_figure(double x, double y) const;  // figure units: height 100, x from the middle
    [[nodiscard]] std::vector<QPainterPath> parts() const;
    Room& room_;
    Measure current_ = Measure::Waist;
};

}  // namespace sartorum::desk
