#include "core/alter/legs/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/legs/leg_cut.h"
#include "core/paper/redraw/leg.h"

namespace sartorum {
namespace {

constexpr auto body_rise_key = "body_rise";

// A third of the way down from the hip line: the foot of the crotch curve rides below.
LegCut rise_cut(const Piece& p)
{
    const double hip = guide(p, GuideKind::Hip)->a[Geom::Y];
    const double depth = hip - inner_leg_point(p)[Geom::Y];
    return {hip, hip - depth / 3, hip - depth * 0.75};
}

Outcome<bool> alter_piece(Applied& out, Piece& piece, Length amount)
{
    const LegCut cut = rise_cut(piece);
    const LegCutSteps how{StepKind::DrawRiseLine, StepKind::DrawRiseFold, Length::mm(cut.upper - cut.level)};
    return cut_leg(out, piece, cut, amount, how, body_rise_key);
}

}  // namespace

Outcome<Applied> alter_body_rise(const Garment& garment, const Dose& dose)
{
    auto out = alter_front_and_back(garment, dose, body_rise_key, alter_piece);
    if (!out) return out;
    if (auto ok = match_sides(*out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

std::optional<Proposal> propose_body_rise(const FittingState& s)
{
    const Length traced = s.traced_flat.of(GarmentMeasure::Rise);
    const Length now = s.now_flat.of(GarmentMeasure::Rise);
    auto p = lacking_length(s, Measure::BodyRise, s.sizes.hip, traced, now);
    // The same cut may do both: it is answered first.
    if (p && s.waits_for(AdjustmentKind::WaistToHip)) p->after = AdjustmentKind::WaistToHip;
    if (!p || p->against == Against::Chart) return p;
    // Against the paper: nothing to do inside the range, else to its nearer end.
    const Length ease = now - p->wanted;
    if (ease >= rise_ease_least && ease <= rise_ease_most) return std::nullopt;
    p->wanted += ease < rise_ease_least ? rise_ease_least : rise_ease_most;
    p->amount = p->wanted - now;
    return p;
}

}  // namespace

Adjustment body_rise_row()
{
    return {
        .kind = AdjustmentKind::BodyRise,
        .key = body_rise_key,
        .zone = Zone::Lengths,
        .rank = 52,
        .acts_on = ActsOn::Both,
        .least = -body_rise_less,
        .most = body_rise_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_body_rise,
        .place = under_the_hip,
        .propose = propose_body_rise,
        .from = Measure::BodyRise,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
