// laid_out.h: pieces laid beside each other as every station shows them: the front with its side seam to the
// right, the back mirrored with its side seam to the left, a sleeve beside them, bands and other pieces beneath;
// of several parts one beside the other.
#pragma once
#include <QRectF>
#include <QTransform>
#include <map>
#include <string>

#include "core/pattern/garment.h"

namespace sartorum::desk {

struct LaidPiece {
    QTransform to_sheet;  // piece mm, y down, to sheet mm
    QRectF box;           // on the sheet
};

// Room for each piece as it was and as it is; both hold the same pieces.
[[nodiscard]] std::map<std::string, LaidPiece> laid_out(const std::vector<Piece>& was,
                                                        const std::vector<Piece>& is);
// In millimetres, y down.
[[nodiscard]] QRectF box_of(const Piece&);

}  // namespace sartorum::desk
