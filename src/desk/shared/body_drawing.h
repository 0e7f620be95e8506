// body_drawing.h: the abstract body with the wearer's proportions, from the front or the back: trunk, arms and
// head as one shape, hair that tells which.
#pragma once
#include <QPainter>
#include <functional>

#include "desk/shared/look.h"
#include "desk/shared/proportions.h"

namespace sartorum::desk {

// From figure units (proportions.h) to the screen.
using FigureToScreen = std::function<QPointF(QPointF)>;
// Below the waist the arms would hide the sides: without what is above it where `whole` is not said.
void draw_body(QPainter&, const Look&, const Proportions&, bool from_behind, bool whole, const FigureToScreen&);
// Stroked together and then filled together parts look like one shape, and nothing has to be united, which would
// be slow.
void draw_as_one(QPainter&, const Look&, const std::vector<QPainterPath>& parts);

}  // namespace sartorum::desk
