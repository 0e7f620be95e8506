// figure.h: the picture of the Tape: an abstract body with the wearer's proportions, every measure of the round a
// line on it with a leader to its name and value; below it, the views of the round on a thread.
#pragma once
#include <QPainterPath>
#include <map>

#include "desk/room.h"
#include "desk/shared/parts.h"
#include "desk/tape/measure_line.h"

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
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    // Measures that share a picture: the legs join the front while both together stay readable.
    [[nodiscard]] std::vector<std::vector<Measure>> pages() const;
    [[nodiscard]] std::vector<Measure> page() const;
    void lay_out();
    void draw_seated(QPainter&) const;
    void draw_line(QPainter&, Measure);
    void draw_tag(QPainter&, Measure);
    void draw_pages(QPainter&);
    [[nodiscard]] QPointF at(QPointF figure) const;
    [[nodiscard]] double unit() const;
    [[nodiscard]] MeasureLine placed(Measure) const;
    Room& room_;
    Measure current_ = Measure::Waist;
    Proportions body_;
    std::map<Measure, QRectF> tags_;
    std::vector<QRectF> page_marks_;
};

}  // namespace sartorum::desk
