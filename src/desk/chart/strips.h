// strips.h: the picture of the Chart: one strip a measure on one size scale, the wearer's mark and its spread, and
// the chosen sizes joined like a side seam. Girths stand first, lengths below them in lower strips.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class Strips : public Panel {
    Q_OBJECT
public:
    Strips(Look&, Room&, QWidget* parent = nullptr);
    [[nodiscard]] Measure current() const { return current_; }

signals:
    void size_wanted(Measure, int step);
    void size_picked(Measure, std::size_t size);
    void blend_wanted();
    void ease_wanted();
    void onwards();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    [[nodiscard]] std::vector<Measure> rows() const;
    [[nodiscard]] QRectF row_rect(std::size_t) const;
    [[nodiscard]] double column_x(double size) const;
    [[nodiscard]] double size_position(Measure, Length) const;  // fractional size index
    [[nodiscard]] std::size_t chosen(Measure) const;
    void draw_head(QPainter&);
    void draw_row(QPainter&, std::size_t row, Measure);
    void draw_axis(QPainter&, Measure, double axis, std::size_t on, bool low);
    void draw_wearer(QPainter&, Measure, const Taken&, double axis, std::size_t on, bool low);
    void draw_answer(QPainter&, Measure, const Taken&, const QRectF& row, std::size_t on, bool low);
    void draw_ribbon(QPainter&);
    void describe();
    Room& room_;
    Measure current_ = Measure::Waist;
};

}  // namespace sartorum::desk
