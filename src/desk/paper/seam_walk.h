// seam_walk.h: the walked seams: two bars with notches, both lengths, the difference, and whether it holds.
#pragma once
#include "desk/room.h"
#include "desk/shared/parts.h"

namespace sartorum::desk {

class SeamWalk : public Panel {
    Q_OBJECT
public:
    SeamWalk(Look&, Room&, QWidget* parent = nullptr);

signals:
    void picked(int seam);  // to be walked

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    void describe();
    // What stands in one column: a seam, or of unlike sides both of it, or the centres.
    using Column = std::vector<std::size_t>;
    [[nodiscard]] std::vector<Column> columns() const;
    void pick(const Column&);
    void draw_pair(QPainter&, const QRectF&, const Walk&);
    void draw_sides(QPainter&, const QRectF&, const Column&);
    void column_edge(QPainter&, const QRectF&, bool holds);
    void column_name(QPainter&, const QRectF& in, const QString& name, const QString& shorter);
    void draw_hem(QPainter&, const QRectF&, const Checks&);
    [[nodiscard]] double text_scale() const;
    [[nodiscard]] QFont lato(double size, QFont::Weight = QFont::Normal) const;
    [[nodiscard]] QFont cabin(double size) const;
    [[nodiscard]] QRectF column(std::size_t i) const;
    Room& room_;
    std::size_t here_ = 0;  // by keyboard
};

}  // namespace sartorum::desk
