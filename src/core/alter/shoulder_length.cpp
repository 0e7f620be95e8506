#include "core/alter/shoulder_length.h"

#include "core/alter/match.h"
#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"
#include "core/paper/panels.h"

namespace sartorum {
namespace {

// Out of the armhole at its straightest, in along the level, up to mid-shoulder (outside a shoulder dart).
Polygon corner_cut(const Piece& piece)
{
    const Curve& outer = piece.edges[*edge_index(piece, EdgeRole::Shoulder, true)].curve;
    const Point up = outer.pointAt(time_at(outer, length(outer) * 0.5));
    const Point out = guide(piece, GuideKind::Across)->b;
    return {out, {up[Geom::X], out[Geom::Y]}, up};
}

Outcome<bool> move_corner(Applied& applied, Piece& piece, Length amount)
{
    const Polygon way = corner_cut(piece);
    const Point by{amount.in_mm(), 0};
    const Motion slide{1, {}, 0, by};
    const auto slid = panel_moved(piece, way, slide);
    if (!slid) return tl::make_unexpected(slid.error());
    const Length along = Length::mm(Geom::distance(neck_point(piece), way[2]));
    const Length down = Length::mm(way[2][Geom::Y] - way[1][Geom::Y]);

    Step draw = step_on(piece, StepKind::DrawCorner, amount, along, down);
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{neck_point(piece), way[2], along}, {way[2], way[1], down}};
    Step cut = step_on(piece, StepKind::CutCorner, amount);
    cut.picture.panels = {slid->cut.first, slid->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(piece, StepKind::SlideCorner, amount);
    move.picture.panels = {slid->cut.first, slid->second};
    (amount > Length{} ? move.picture.added : move.picture.removed) = {slid->strip};
    move.picture.dimensions = {{way[1], way[1] + by, abs(amount)}};
    move.picture.motions = {slide};
    const Piece after = shoulder_redrawn(piece, {0, 0}, by, ArmholeReach::Underarm);
    applied.steps.insert(applied.steps.end(),
                         {draw, cut, move, redrawn_step(slid->whole, after, StepKind::TrueArmhole)});
    piece = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_shoulder_length(const Garment& garment, const Dose& dose)
{
    auto out = alter_front_and_back(garment, dose, "shoulder_length", shoulder_length_limit, move_corner);
    if (out) match_shoulders(*out, shoulder_ease(garment));
    return out;
}

namespace {

constexpr Length across_shoulder_ease = Length::inches(1);  // in all, half of it on each side

// Pattern centre front to the armhole, square across at the tip, against half the cross-shoulder and half the
// wanted ease: an inch in all, none for a knit. Common practice.
std::optional<Proposal> propose_shoulder_length(const FittingState& s)
{
    const auto cross = s.body.taken(Measure::CrossShoulder);
    if (!cross) return std::nullopt;
    const auto wish = s.ease.find(Measure::CrossShoulder);
    const Length ease = wish != s.ease.end() ? wish->second : s.cloth.knit ? Length{} : across_shoulder_ease;
    const Length wanted = (cross->value + ease) / 2.0;
    const Length given = Length::mm(shoulder_tip(front_of(s.now))[Geom::X]);
    return Proposal{wanted - given, cross->spread / 2.0, wanted, given, Against::Pattern};
}

}  // namespace

Adjustment shoulder_length_row()
{
    return {
        .kind = AdjustmentKind::ShoulderLength,
        .key = "shoulder_length",
        .zone = Zone::Frame,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = -shoulder_length_limit,
        .most = shoulder_length_limit,
        .needs = {Level::Shoulder},
        .apply = alter_shoulder_length,
        .propose = propose_shoulder_length,
        .from = Measure::CrossShoulder,
    };
}

}  // namespace sartorum
