// mark.h: the number of a change in fitting order, as it stands on tag, thread and pieces: pinked woad = accepted,
// weld square = proposed, dashed ring with a dash = not done, hollow ring = looked at and left alone.
#pragma once
#include "core/plan/overview.h"
#include "desk/shared/look.h"

namespace sartorum::desk {

inline constexpr double mark_size = 22;
void draw_mark(QPainter&, const Look&, QPointF centre, double size, Shows, const QString& number, bool chosen);

}  // namespace sartorum::desk
