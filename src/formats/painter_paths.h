// painter_paths.h: core geometry as QPainter shapes, y down. Shared by the pages and the desk.
#pragma once
#include <QLineF>
#include <QPainterPath>

#include "core/paper/step.h"

namespace sartorum::formats {

[[nodiscard]] inline QPointF on_paper(Point p)
{
    return {p[Geom::X], -p[Geom::Y]};
}
[[nodiscard]] QPainterPath painter_path(const Curve&);
[[nodiscard]] QPainterPath painter_path(const Piece&);  // the closed outline
[[nodiscard]] QPainterPath painter_path(const std::vector<Polygon>&);
[[nodiscard]] QPainterPath dart_path(const Dart&);
// All darts of a piece; of a front laid together from two panels, the seam as both are cut. Where an edge is
// gathered a wave beneath it, the higher the fuller.
[[nodiscard]] QPainterPath darts_path(const Piece&);
[[nodiscard]] QPainterPath gathers_path(const Edge&);
// Where the paper is widest across at this share of its height, from the top: room for words.
[[nodiscard]] QLineF widest_across(const Piece&, double from_top);
// The triangle of a notch, standing on the seam line and pointing into the piece, `size` high.
[[nodiscard]] QPainterPath notch_path(const Piece&, const Notch&, double size);
// A cross on the centre line for each button, `size` wide.
[[nodiscard]] QPainterPath buttons_path(const Piece&, double size);
// The lines printed on a piece: bust, waist, hip, across, bicep, centre; no grain.
[[nodiscard]] QPainterPath guides_path(const Piece&);
[[nodiscard]] QPainterPath grain_path(const Guide&, double head);

}  // namespace sartorum::formats
