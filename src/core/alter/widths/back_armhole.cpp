#include "core/alter/widths/rows.h"

#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"

namespace sartorum {
namespace {

constexpr double least_reach = 25;             // mm from the pivot to the armhole
constexpr Length most_eased = Length::mm(10);  // common practice
constexpr double cut_at = 0.15;                // of the shoulder's outer edge

// The corner where two lines meet smoothed a thumb's breadth to either side, so that elsewhere they stay.
Curve trued_over(const Curve& above, const Curve& below)
{
    const Length reach = corner_reach * 2.0;
    const double corner = Geom::angle_between(end_direction(above), start_direction(below));
    return joined(end_cornered(above, corner / 2, reach), start_cornered(below, -corner / 2, reach));
}

// The outer corner turned about the pivot: shoulder drawn on to its new tip, armhole trued over the overlap.
Piece corner_turned(const Piece& piece, Point up, Point out_at, const Geom::Affine& how)
{
    Piece p = piece;
    const std::size_t lower = part_edge(p, place_near(p, EdgeRole::Armhole, out_at));
    const std::size_t outer = part_edge(p, place_near(p, EdgeRole::Shoulder, up));
    turn_edges(p, outer, lower, how);  // the shoulder's outer part and the armhole's upper one
    // Shoulder: one line from where it began.
    Curve& inner = p.edges[outer - 1].curve;
    const Curve tail = p.edges[outer].curve;
    const bool plain = is_straight(inner, 0) && is_straight(tail, 0);
    inner = plain ? straight(inner.initialPoint(), tail.finalPoint()) : smoothly_joined(inner, tail);
    const double leaning = Geom::angle_between(end_direction(tail), end_direction(inner));
    p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(outer));
    // Armhole: what the upper part covers of the lower is gone; the step beside it halved, then one line.
    const std::size_t upper = lower - 1;
    Curve& high = p.edges[upper].curve;
    Curve& low = p.edges[upper + 1].curve;
    const auto covered = nearest(low, high.finalPoint());
    if (covered.inside) low = split(low, covered.time).after;
    const Point step = low.initialPoint() - high.finalPoint();
    high = start_turned(eased(high, {0, 0}, step / 2), leaning);
    low = eased(low, -step / 2, {0, 0});
    high = trued_over(high, low);
    p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(upper) + 1);
    settle_notches(p);
    settle_darts(p);
    settle_bodice_guides(p);
    return p;
}

}  // namespace

Outcome<Applied> alter_back_armhole(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_pinch(dose.front, "back_armhole"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& back = *find_piece(out.garment.pieces, PieceRole::Back);
    const Curve& outer = back.edges[*edge_index(back, EdgeRole::Shoulder, true)].curve;
    const Point at = guide(back, GuideKind::Across)->b;
    // Inside the middle of the shoulder: the further in the pivot, the less the shoulder grows for one overlap.
    const Point up = outer.pointAt(time_at(outer, length(outer) * cut_at));
    if (at[Geom::X] - up[Geom::X] < least_reach) return refuse(Why::NoRoomForCut, "back_armhole");
    const Point pivot{up[Geom::X], at[Geom::Y]};
    const Polygon way{at, pivot, up};
    const auto radians = turn_for(dose.front, Geom::distance(at, pivot), "back_armhole");
    if (!radians) return tl::make_unexpected(radians.error());
    const Motion turn{1, pivot, -*radians, {0, 0}};
    const auto turned = panel_moved(back, way, turn);
    if (!turned) return tl::make_unexpected(turned.error());
    const Length shoulder = sewn_length(back, EdgeRole::Shoulder);
    const Piece after = corner_turned(back, up, at, whole_motion(turn));
    const Length grew = sewn_length(after, EdgeRole::Shoulder) - shoulder;
    Step draw = step_on(back, StepKind::DrawBackCorner, dose.front,
                        Length::mm(Geom::distance(shoulder_tip(back), up)), along_to(back, EdgeRole::Armhole, at));
    draw.picture.lines = strokes(way);
    Step cut = step_on(back, StepKind::CutCorner, dose.front);
    cut.picture.panels = {turned->cut.first, turned->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(back, StepKind::OverlapBackArmhole, dose.front);
    move.picture.panels = {turned->cut.first, turned->second};
    move.picture.removed = {turned->strip};
    move.picture.dimensions = {{at, at * whole_motion(turn), dose.front}};
    move.picture.motions = {turn};
    Step ease = redrawn_step(turned->whole, after, StepKind::EaseShoulder, grew);
    out.steps = {draw, cut, move, ease};
    if (grew > most_eased) out.cautions.push_back({CautionKind::ShoulderEased, grew, most_eased});
    back = after;
    ease_in(out.garment, PieceRole::Back, EdgeRole::Shoulder, grew);
    return out;
}

Adjustment back_armhole_row()
{
    return {
        .kind = AdjustmentKind::BackArmhole,
        .key = "back_armhole",
        .zone = Zone::Widths,
        .rank = 70,
        .acts_on = ActsOn::Back,
        .least = Length{},
        .most = back_armhole_limit,
        .needs = {Level::Underarm},
        .edges = {EdgeRole::Armhole},
        .apply = alter_back_armhole,
        .place = low_in_armhole,
    };
}

}  // namespace sartorum
