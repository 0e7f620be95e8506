// measure_line.h: where each measure lies on the figure: a run of points in figure units, and where its leader
// starts.
#pragma once
#include <QPolygonF>

#include "desk/shared/proportions.h"

namespace sartorum::desk {

struct MeasureLine {
    QPolygonF points;    // through which the tape runs
    bool round = false;  // a girth: sags a little in front, is drawn as a band
    QPointF anchor;      // of the leader
    bool tag_left = false;
};

[[nodiscard]] MeasureLine line_of(Measure, const Proportions&);

}  // namespace sartorum::desk
