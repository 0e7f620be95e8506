// piece_painter.h: pattern paper as every station draws it: the pattern as bought, the wearer's line, paper added
// and removed, darts, notches, grain. Pens are cosmetic; dots and hatch keep their size on screen at any zoom.
#pragma once
#include <QTransform>

#include "core/paper/step.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

class PiecePainter {
public:
    // `to_screen` takes millimetres, y down, to pixels.
    PiecePainter(QPainter&, const Look&, const QTransform& to_screen);
    void paper(const Piece&);  // fill only
    void as_bought(const Piece&);
    void new_line(const Piece&);
    void marks(const Piece&);
    void added(const std::vector<Polygon>&);
    void removed(const std::vector<Polygon>&);
    void stroke(const Stroke&);
    void dimension(const Dimension&, Unit);
    [[nodiscard]] QPointF at(Point) const;

private:
    QPainter& p_;
    const Look& look_;
    QTransform to_screen_;
};

}  // namespace sartorum::desk
