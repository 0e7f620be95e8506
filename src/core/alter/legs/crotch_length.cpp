#include "core/alter/legs/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/rows.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr auto wedge_key = "crotch_wedge";
constexpr auto point_key = "crotch_point";

Length crotch_of(const Piece& p)
{
    return sewn_length(p, EdgeRole::Centre);
}

Outcome<bool> wedge_piece(Applied& out, PieceRole role, Length amount)
{
    return wedge_at_centre(out, role, amount, wedge_key);
}

Outcome<bool> move_point(Applied& out, PieceRole role, Length amount)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    const Point from = inner_leg_point(piece);
    const double centre = edge(piece, EdgeRole::Centre).curve.finalPoint()[Geom::X];
    const Length room = Length::mm(centre - from[Geom::X] - 10);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, point_key, amount, -room, paper_most);
    auto moved = inner_point_moved(piece, amount);
    if (!moved) return tl::make_unexpected(moved.error());
    const Piece& after = *moved;
    Step mark = step_on(piece, StepKind::MarkInnerPoint, amount);
    const Point to = inner_leg_point(after);
    mark.picture.lines = {{from, to}};
    mark.picture.dimensions = {{from, to, abs(amount)}};
    out.steps.push_back(std::move(mark));
    out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawInnerLeg, amount));
    piece = after;
    return true;
}

Outcome<Applied> matched(Outcome<Applied> out)
{
    if (!out) return out;
    if (auto ok = match_sides(*out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

}  // namespace

Outcome<Applied> alter_crotch_wedge(const Garment& garment, const Dose& dose)
{
    return matched(alter_apart(garment, dose, wedge_key, wedge_piece));
}

Outcome<Applied> alter_crotch_point(const Garment& garment, const Dose& dose)
{
    return matched(alter_apart(garment, dose, point_key, move_point));
}

namespace {

// What the string asks of one piece more than it has by now.
struct Lack {
    Length amount;
    Length spread;
    Length wanted;
    Length given;
    Length already;
    Against against = Against::Chart;
};

std::optional<Lack> lack_of(const FittingState& s, Measure m, GarmentMeasure on_paper)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(on_paper);
    const Length done = s.now_flat.of(on_paper) - traced;
    if (const auto printed = s.chart.body(s.sizes.hip, m))
        return Lack{taken->value - *printed - done, taken->spread, taken->value, *printed, done, Against::Chart};
    const Length has = traced + s.band;
    const Length ease = has + done - taken->value;
    const Length meant = std::clamp(ease, crotch_ease_least, crotch_ease_most);
    return Lack{meant - ease, taken->spread, taken->value + meant, has, done, Against::Pattern};
}

Proposal as_proposal(const Lack& front, const Lack& back)
{
    const bool by_back = abs(back.amount) > abs(front.amount);
    const Lack& larger = by_back ? back : front;
    Proposal p{front.amount, larger.spread, larger.wanted, larger.given, larger.against, larger.already};
    p.least = least_on_seam;
    p.back = back.amount;
    return p;
}

// An amount that nobody sews, or inside the noise, is none on that piece.
Length worth(const Lack& l)
{
    return abs(l.amount) < std::max(l.spread, least_on_seam) ? Length{} : l.amount;
}

}  // namespace

std::optional<Proposal> crotch_lacks(const FittingState& s)
{
    auto front = lack_of(s, Measure::FrontRise, GarmentMeasure::CrotchFront);
    auto back = lack_of(s, Measure::BackRise, GarmentMeasure::CrotchBack);
    if (!front && !back) return std::nullopt;
    auto p = as_proposal(front.value_or(Lack{}), back.value_or(Lack{}));
    p.amount = front ? worth(*front) : Length{};
    p.back = back ? worth(*back) : Length{};
    if (p.larger() == Length{}) return std::nullopt;
    return p;
}

namespace {

// What gives crotch length before it counts first.
void wait_for(std::optional<Proposal>& p, const FittingState& s, std::initializer_list<AdjustmentKind> above)
{
    for (const auto kind : above) {
        if (p && s.waits_for(kind)) p->after = kind;
    }
}

std::optional<Proposal> propose_wedge(const FittingState& s)
{
    using enum AdjustmentKind;
    auto p = crotch_lacks(s);
    wait_for(p, s, {WaistToHip, WaistLine, BodyRise, WidthAtThigh});
    return p;
}

// How far the point goes for so much crotch seam on a piece.
Length point_for(Length lacks, const Piece& p)
{
    if (lacks == Length{}) return {};
    const auto moved = inner_point_moved(p, lacks);
    return moved ? lacks * (lacks / (crotch_of(*moved) - crotch_of(p))) : lacks;
}

// What the wedge leaves, once it is answered.
std::optional<Proposal> propose_point(const FittingState& s)
{
    using enum AdjustmentKind;
    auto p = crotch_lacks(s);
    if (!p) return p;
    p->amount = point_for(p->amount, front_of(s.now));
    p->back = point_for(*p->back, back_of(s.now));
    wait_for(p, s, {WaistToHip, WaistLine, BodyRise, WidthAtThigh, CrotchWedge});
    return p;
}

}  // namespace

Adjustment crotch_wedge_row()
{
    return {
        .kind = AdjustmentKind::CrotchWedge,
        .key = wedge_key,
        .zone = Zone::Lengths,
        .rank = 54,
        .acts_on = ActsOn::Apart,
        .least = -crotch_wedge_limit,
        .most = crotch_wedge_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_crotch_wedge,
        .place = on_centre_above_hip,
        .propose = propose_wedge,
        .from = Measure::BackRise,
        .at_centre = AtCentre::Together,
    };
}

Adjustment crotch_point_row()
{
    return {
        .kind = AdjustmentKind::CrotchPoint,
        .key = point_key,
        .zone = Zone::Lengths,
        .rank = 56,
        .acts_on = ActsOn::Apart,
        .least = -crotch_point_limit,
        .most = crotch_point_limit,
        .needs = {Level::Crotch},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_crotch_point,
        .place = at_inner_leg_point,
        .propose = propose_point,
        .from = Measure::BackRise,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
