#include "core/alter/sleeve/rows.h"

#include <algorithm>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/sleeve.h"

namespace sartorum {

Outcome<Applied> alter_cap_forward(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "cap_forward"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const Point top = top_notch(sleeve);
    double level = top[Geom::Y] - 25;
    for (const auto& n : sleeve.notches) {
        if (n.at[Geom::Y] < top[Geom::Y] - 1) level = std::max(level, n.at[Geom::Y] + 5);
    }
    level = std::min(level, top[Geom::Y] - 8);
    const Polygon way = across_cap(sleeve, level);
    const Point by{dose.front.in_mm(), 0};
    const auto slid = panel_moved(sleeve, way, {1, {}, 0, by});
    if (!slid) return tl::make_unexpected(slid.error());
    const Length front_half = sewn_length(sleeve, EdgeRole::CapFront) - dose.front;
    const Piece after =
        top_notch_at(cap_moved(sleeve, by), front_half, sewn_length(sleeve, EdgeRole::CapBack) + dose.front);
    Step draw = step_on(sleeve, StepKind::DrawCapTop, dose.front, Length::mm(top[Geom::Y] - level));
    draw.picture.lines = strokes(way);
    Step cut = step_on(sleeve, StepKind::CutCap, dose.front);
    cut.picture.panels = {slid->cut.first, slid->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(sleeve, StepKind::SlideCap, dose.front);
    move.picture.panels = {slid->cut.first, slid->second};
    move.picture.dimensions = {{top, top + by, abs(dose.front)}};
    move.picture.motions = {{1, {}, 0, by}};
    Step mark = step_on(after, StepKind::MarkTopNotch, dose.front);
    mark.picture.dimensions = {{top, top_notch(after), abs(dose.front)}};
    out.steps = {draw, cut, move, redrawn_step(slid->whole, after, StepKind::TrueCap), mark};
    sleeve = after;
    return out;
}

namespace {

// As far as the ball of the shoulder moved the seam.
std::optional<Proposal> propose_cap_forward(const FittingState& s)
{
    const Length ball = s.of(AdjustmentKind::BallOfShoulder);
    if (ball == Length{}) return std::nullopt;
    return Proposal{ball, {}, ball, {}, Against::SeamMoved};
}

}  // namespace

Adjustment cap_forward_row()
{
    return {
        .kind = AdjustmentKind::CapForward,
        .key = "cap_forward",
        .zone = Zone::Sleeve,
        .rank = 30,
        .acts_on = ActsOn::Sleeve,
        .least = -cap_forward_limit,
        .most = cap_forward_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::CapFront, EdgeRole::CapBack},
        .apply = alter_cap_forward,
        .place = at_cap_top,
        .propose = propose_cap_forward,
    };
}

}  // namespace sartorum
