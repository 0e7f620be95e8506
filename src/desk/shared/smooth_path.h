// smooth_path.h: a soft line through points, for figures: Catmull-Rom.
#pragma once
#include <QPainterPath>
#include <QPolygonF>

namespace sartorum::desk {

[[nodiscard]] QPainterPath smooth_through(const QPolygonF&, bool closed);

}  // namespace sartorum::desk
