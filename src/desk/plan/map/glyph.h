// glyph.h: the small picture of an adjustment: its own telling step, worked on the pieces that are on the table,
// by an amount large enough to see.
#pragma once
#include "core/plan/compute.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

struct Glyph {
    std::vector<Piece> panels;
    std::vector<Polygon> added;
    std::vector<Polygon> removed;
};
// Of this garment before any adjustment, for this sign of the amount. Empty when it cannot be done there.
[[nodiscard]] Glyph glyph_of(const Garment& part, AdjustmentKind, std::size_t method, bool more);
void draw_glyph(QPainter&, const Look&, const QRectF&, const Glyph&);

}  // namespace sartorum::desk
