// drawn_tape.h: a measuring tape as it is drawn on paper: a woad band with ticks, its tail hanging, a madder mark
// where it is read.
#pragma once
#include <QPainterPath>

#include "desk/shared/look.h"

namespace sartorum::desk {

// Along `path`, zero at its start, read at its end; `scale` is pixels a millimetre.
void draw_laid_tape(QPainter&, const Look&, const QPainterPath& path, double scale);

}  // namespace sartorum::desk
