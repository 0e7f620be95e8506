#include "core/alter/legs/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/rows.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto thigh_key = "width_at_thigh";
constexpr auto knee_key = "width_at_knee";
constexpr auto calf_key = "width_at_calf";
constexpr auto leg_hem_key = "width_at_leg_hem";

Length side_length(const Piece& p)
{
    return sewn_length(p, EdgeRole::Side);
}

Outcome<Piece> knee_moved(const Piece& p, Length by)
{
    const Point out{by.in_mm(), 0};
    const double knee = guide(p, GuideKind::Knee)->a[Geom::Y];
    const double crotch = inner_leg_point(p)[Geom::Y];
    return leg_redrawn(
        p, {{{{}, no_shift}, {side_to(p, crotch), no_shift}, {side_to(p, knee), out}, {side_length(p), no_shift}},
            {{{}, no_shift},
             {inner_to(p, knee), -out},
             {inner_leg_length(p), no_shift},
             {whole_inner(p), no_shift}}});
}

Outcome<Piece> calf_moved(const Piece& p, Length by)
{
    const Point out{by.in_mm(), 0};
    const double knee = guide(p, GuideKind::Knee)->a[Geom::Y];
    const double calf = *calf_level(p);
    return leg_redrawn(
        p,
        {{{{}, no_shift}, {side_to(p, knee), no_shift}, {side_to(p, calf), out}, {side_length(p), no_shift}},
         {{{}, no_shift}, {inner_to(p, calf), -out}, {inner_to(p, knee), no_shift}, {whole_inner(p), no_shift}}});
}

// Straight from a little below the knee: a hand rounds the corner there.
Outcome<Piece> leg_hem_moved(const Piece& p, Length by)
{
    const auto line = guide(p, GuideKind::Knee);
    const double from = line ? line->a[Geom::Y] : inner_leg_point(p)[Geom::Y] - thigh_below.in_mm();
    const Length side = side_length(p);
    const Length side_from = side_to(p, from);
    const Length inner_from = inner_to(p, from);
    const Length rounded = std::min(Length::mm(40), inner_from / 4.0);
    const Point out{by.in_mm(), 0};
    const Point per_side = out / (side - side_from).in_mm();
    const Point per_inner = out / inner_from.in_mm();
    return leg_redrawn(p, {{{{}, no_shift},
                            {side_from - rounded, no_shift},
                            {side_from + rounded, per_side * rounded.in_mm(), per_side},
                            {side, out, per_side}},
                           {{{}, -out, per_inner},
                            {inner_from - rounded, per_inner * -rounded.in_mm(), per_inner},
                            {inner_from + rounded, no_shift},
                            {whole_inner(p), no_shift}}});
}

struct LegWidth {
    const char* field;
    Outcome<Piece> (*move)(const Piece&, Length by);
    StepKind mark;
    StepKind redraw;
    Spot (*at)(const Piece&);
    GarmentMeasure measure;
    double shares;  // of the girth, over the seams it is moved at
};

Outcome<bool> move_leg(Applied& out, PieceRole role, Length by, const LegWidth& w)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    const auto before = width_at(piece, inner_leg_point(piece)[Geom::Y] - thigh_below.in_mm());
    const auto moved = w.move(piece, by);
    if (!moved) return tl::make_unexpected(moved.error());
    const Piece& after = *moved;
    // A leg taken in until nothing is left of it lies on no pattern.
    const auto left = width_at(after, inner_leg_point(after)[Geom::Y] - thigh_below.in_mm());
    if (!before || !left || *left < Length::mm(40) || sewn_length(after, EdgeRole::Hem) < Length::mm(30))
        return refuse(Why::PaperCrosses, w.field);  // the most that does not is found by halving
    const Spot from = w.at(piece);
    const Spot to = w.at(after);
    Step mark = step_on(piece, w.mark, by, w.mark == StepKind::MarkCalf ? calf_below : Length{});
    if (from && to) {
        mark.picture.lines = {{*from, *to}};
        mark.picture.dimensions = {{*from, *to, abs(by)}};
    }
    out.steps.push_back(std::move(mark));
    out.steps.push_back(redrawn_step(piece, after, w.redraw, by));
    piece = after;
    return true;
}

Outcome<Applied> alter_leg(const Garment& garment, const Dose& dose, const LegWidth& w)
{
    if (const auto ok = some_amount(dose.front, w.field); !ok) return tl::make_unexpected(ok.error());
    return widened_until(garment, dose, w.measure, w.shares, [&](Applied& out, PieceRole role, Length share) {
        return move_leg(out, role, share, w);
    });
}

}  // namespace

Piece leg_hip_moved(const Piece& p, Length by)
{
    const Point out{by.in_mm(), 0};
    const auto knee = guide(p, GuideKind::Knee);
    std::vector<ShiftAt> side{{{}, no_shift}, {side_to(p, guide(p, GuideKind::Hip)->a[Geom::Y]), out}};
    if (knee) side.push_back({side_to(p, knee->a[Geom::Y]), no_shift});
    side.push_back({side_length(p), knee ? no_shift : out});
    return leg_redrawn(p, {std::move(side), {}});
}

Outcome<Applied> widen_trousers(const Garment& garment, const Dose& dose, Level level)
{
    if (level == Level::Waist) return widen_skirt(garment, dose, level);
    return alter_leg(
        garment, dose,
        {"width_at_hip", [](const Piece& p, Length by) -> Outcome<Piece> { return leg_hip_moved(p, by); },
         StepKind::MarkHip, StepKind::RedrawHip, at_side_hip, GarmentMeasure::Hip, 4});
}

Outcome<Applied> alter_width_at_thigh(const Garment& g, const Dose& girth)
{
    return alter_leg(g, girth,
                     {thigh_key, inner_point_moved, StepKind::MarkInnerPoint, StepKind::RedrawInnerLeg,
                      at_inner_leg_point, GarmentMeasure::Thigh, 2});
}

Outcome<Applied> alter_width_at_knee(const Garment& g, const Dose& girth)
{
    return alter_leg(
        g, girth,
        {knee_key, knee_moved, StepKind::MarkKnee, StepKind::RedrawLeg, at_knee, GarmentMeasure::Knee, 4});
}

Outcome<Applied> alter_width_at_calf(const Garment& g, const Dose& girth)
{
    return alter_leg(
        g, girth,
        {calf_key, calf_moved, StepKind::MarkCalf, StepKind::RedrawCalf, at_calf, GarmentMeasure::Calf, 4});
}

Outcome<Applied> alter_width_at_leg_hem(const Garment& g, const Dose& girth)
{
    return alter_leg(g, girth,
                     {leg_hem_key, leg_hem_moved, StepKind::MarkLegHem, StepKind::RedrawLeg, at_side_hem,
                      GarmentMeasure::LegHem, 4});
}

namespace {

std::optional<Proposal> propose_thigh(const FittingState& s)
{
    return lacking_girth(s, Measure::Thigh, s.sizes.hip, GarmentMeasure::Thigh);
}

std::optional<Proposal> propose_knee(const FittingState& s)
{
    return lacking_girth(s, Measure::Knee, s.sizes.hip, GarmentMeasure::Knee);
}

std::optional<Proposal> propose_calf(const FittingState& s)
{
    return lacking_girth(s, Measure::Calf, s.sizes.hip, GarmentMeasure::Calf);
}

}  // namespace

Adjustment width_at_thigh_row()
{
    return {
        .kind = AdjustmentKind::WidthAtThigh,
        .key = thigh_key,
        .zone = Zone::Lengths,
        .rank = 53,
        .acts_on = ActsOn::Both,
        .least = -thigh_limit,
        .most = thigh_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_width_at_thigh,
        .place = at_thigh,
        .propose = propose_thigh,
        .from = Measure::Thigh,
        .at_centre = AtCentre::Together,
    };
}

Adjustment width_at_knee_row()
{
    return {
        .kind = AdjustmentKind::WidthAtKnee,
        .key = knee_key,
        .zone = Zone::Widths,
        .rank = 94,
        .acts_on = ActsOn::Both,
        .least = -knee_limit,
        .most = knee_limit,
        .needs = {Level::Knee},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_width_at_knee,
        .place = at_knee,
        .propose = propose_knee,
        .from = Measure::Knee,
    };
}

Adjustment width_at_calf_row()
{
    return {
        .kind = AdjustmentKind::WidthAtCalf,
        .key = calf_key,
        .zone = Zone::Widths,
        .rank = 95,
        .acts_on = ActsOn::Both,
        .least = -knee_limit,
        .most = knee_limit,
        .needs = {Level::Knee},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_width_at_calf,
        .place = at_calf,
        .propose = propose_calf,
        .serves = [](const Garment& part) { return calf_level(front_of(part)).has_value(); },
        .from = Measure::Calf,
    };
}

Adjustment width_at_leg_hem_row()
{
    return {
        .kind = AdjustmentKind::WidthAtLegHem,
        .key = leg_hem_key,
        .zone = Zone::Widths,
        .rank = 96,
        .acts_on = ActsOn::Both,
        .least = -leg_hem_limit,
        .most = leg_hem_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_width_at_leg_hem,
        .place = at_side_hem,
    };
}

}  // namespace sartorum
