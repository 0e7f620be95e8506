// tissue_layout.h: the pieces of a tissue on the screen, every line of it where the tape is laid, and a place for
// its number and its value that lies on no other.
#pragma once
#include <QPainterPath>
#include <QTransform>
#include <functional>
#include <map>

#include "core/tissue/lines_laid.h"

namespace sartorum::desk {

struct PlacedLine {
    TissueLine line{};
    int number = 1;
    QPainterPath on_piece;     // zero first
    QPainterPath drawn;        // there, or beside the piece
    std::vector<QLineF> ties;  // from the piece to where it is drawn
    ReadAt read = ReadAt::StitchingLine;
    bool laid = true;  // false: the pieces have no such place yet
    QPointF disc;      // centre of its number
    QRectF label;      // room for its number and its value
};

struct TissueLayout {
    std::map<std::string, QTransform> to_screen;  // of a piece, millimetres y down
    double scale = 1;                             // pixels a millimetre
    std::vector<PlacedLine> lines;
    std::map<std::string, QRectF> names;  // room for what a piece is called
};

struct LabelSizes {
    double disc = 10;  // radius
    double height = 22;
    std::function<double(TissueLine)> width;  // of the value; 0 where there is none
    std::function<double(const Piece&)> name;
};

[[nodiscard]] TissueLayout laid_tissue(const Tissue&, const std::vector<Piece>&, QRectF room,
                                       std::optional<TissueLine> current, const LabelSizes&);

}  // namespace sartorum::desk
