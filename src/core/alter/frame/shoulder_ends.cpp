#include "core/alter/frame/shoulder_ends.h"

#include <utility>

#include "core/paper/redraw/bodice.h"

namespace sartorum {
namespace {

Piece end_moved(Applied& applied, const Piece& piece, Length amount, bool neck)
{
    const Point by = off_shoulder(piece) * amount.in_mm();
    const Piece after = neck ? shoulder_redrawn(piece, by, {0, 0}) : shoulder_tipped(piece, amount);
    const Point from = neck ? neck_point(piece) : shoulder_tip(piece);
    const Point to = neck ? neck_point(after) : shoulder_tip(after);
    Step mark = step_on(piece, neck ? StepKind::MarkNeckPoint : StepKind::MarkTip, amount);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(amount)}};
    Step redraw = redrawn_step(piece, after, neck ? StepKind::RedrawNeckEnd : StepKind::RedrawShoulder, amount);
    redraw.picture.dimensions = mark.picture.dimensions;
    applied.steps.push_back(std::move(mark));
    applied.steps.push_back(std::move(redraw));
    return after;
}

}  // namespace

Piece tip_moved(Applied& applied, const Piece& piece, Length amount)
{
    return end_moved(applied, piece, amount, false);
}
Piece neck_end_moved(Applied& applied, const Piece& piece, Length amount)
{
    return end_moved(applied, piece, amount, true);
}

}  // namespace sartorum
