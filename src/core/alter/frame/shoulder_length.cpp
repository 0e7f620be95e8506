#include "core/alter/frame/rows.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/pattern/shoulder.h"

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
    const Piece after = shoulder_corner_moved(piece, way[0], whole_motion(slide), shoulder_tip(piece) + by);
    applied.steps.insert(applied.steps.end(),
                         {draw, cut, move, redrawn_step(slid->whole, after, StepKind::TrueArmhole)});
    piece = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_shoulder_length(const Garment& garment, const Dose& dose)
{
    auto out = alter_front_and_back(garment, dose, "shoulder_length", move_corner);
    if (out) match_shoulders(*out, shoulder_ease(garment));
    return out;
}

namespace {

// Tip to tip a garment may be this much wider in all, half of it on each side. Common practice.
constexpr Length most_shoulder_ease = Length::inches(1);
// A tip further out than this beyond the ease is drawn so: a dropped shoulder. Our own choice.
constexpr Length dropped = Length::mm(25);

// The corner slides straight out: along the seam that is less by the cosine of its angle.
std::optional<Proposal> by_seam(const FittingState& s)
{
    auto p = against_chart(s, Measure::ShoulderLength, s.sizes.frame);
    if (!p) return p;
    const auto sewn = sewn_shoulder(front_of(s.now), back_of(s.now));
    const double share = std::cos(sewn.slope_degrees() * std::numbers::pi / 180);
    p->amount = p->amount / share;
    p->spread = p->spread / share;
    return p;
}

// The reading goes over the back: half of it against centre back to the tip. What is left over is ease; nothing to
// do between none and half of the most.
std::optional<Proposal> by_paper(const FittingState& s)
{
    const auto cross = s.body.taken(Measure::CrossShoulder);
    if (!cross) return std::nullopt;
    const Piece& back = back_of(s.now);
    const Length given =
        Length::mm(shoulder_tip(back)[Geom::X] - edge(back, EdgeRole::Centre).curve.finalPoint()[Geom::X]);
    const Length half = cross->value / 2.0;
    const auto wish = s.ease.find(Measure::CrossShoulder);
    const Length most = most_shoulder_ease / 2.0;
    if (wish == s.ease.end() && (!shoulder_at_tip(s.now) || given > half + most + dropped)) return std::nullopt;
    const Length wanted = wish != s.ease.end() ? half + wish->second / 2.0 : std::clamp(given, half, half + most);
    Proposal out{wanted - given, cross->spread / 2.0, wanted, given, Against::Pattern};
    out.least = least_on_seam;
    return abs(out.amount) > to_the_eye ? std::optional{out} : std::nullopt;
}

std::optional<Proposal> propose_shoulder_length(const FittingState& s)
{
    if (s.ease.contains(Measure::CrossShoulder)) return by_paper(s);
    const auto wide = half_against_chart(s, Measure::CrossShoulder, {});
    const auto along = by_seam(s);
    if (wide && (wide->leave() == Leave::No || !along)) return wide;
    return along ? along : by_paper(s);
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
        .edges = {EdgeRole::Shoulder, EdgeRole::Armhole},
        .apply = alter_shoulder_length,
        .place = at_shoulder_tip,
        .propose = propose_shoulder_length,
        .from = Measure::CrossShoulder,
    };
}

}  // namespace sartorum
