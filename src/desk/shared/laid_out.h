// laid_out.h: pieces laid beside each other as every station shows them: the front with its side seam to the
// right, the back mirrored with its side seam to the left, a sleeve beside them, bands and other pieces beneath;
// of several parts one beside the other.
#pragma once
#include <QRectF>
#include <QTransform>
#include <map>
#include <set>
#include <string>

#include "core/body/body_set.h"
#include "core/pattern/garment.h"

namespace sartorum::desk {

struct LaidPiece {
    QTransform to_sheet;  // piece mm, y down, to sheet mm
    QRectF box;           // on the sheet
};

// Room for each piece as it was and as it is; both hold the same pieces.
[[nodiscard]] std::map<std::string, LaidPiece> laid_out(const std::vector<Piece>& was,
                                                        const std::vector<Piece>& is);
// The same for one side of the wearer, each piece as it lies on the cloth from its right side: `left_drawn` are
// the pieces that are left ones as they are drawn (core/check/face_up.h). Seen like that the left front lies left.
[[nodiscard]] std::map<std::string, LaidPiece> laid_out_for(Side, const std::set<std::string>& left_drawn,
                                                            const std::vector<Piece>& was,
                                                            const std::vector<Piece>& is);
// In rows that fill a room of that shape best; pieces that follow each other stay beside each other.
[[nodiscard]] std::vector<LaidPiece> laid_in_rows(const std::vector<QRectF>& boxes, QSizeF room);
// In millimetres, y down.
[[nodiscard]] QRectF box_of(const Piece&);

}  // namespace sartorum::desk
