#include "core/alter/sewn/rows.h"

#include <algorithm>

#include "core/alter/hem/rows.h"
#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/alter/legs/rows.h"
#include "core/alter/lengths/rows.h"
#include "core/alter/widths/rows.h"
#include "core/paper/redraw/leg.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr auto crotch_key = "sewn_crotch";
constexpr auto waist_width_key = "sewn_waist_width";
constexpr auto hip_width_key = "sewn_hip_width";
constexpr auto waist_key = "sewn_waist";
constexpr auto hem_key = "sewn_hem";

// The pieces that came out otherwise, marked; then tacked and tried on, then stitched.
std::vector<Step> sewing(const Garment& before, const Garment& after, StepKind mark, Length amount)
{
    std::vector<Step> out;
    const Piece* last = nullptr;
    for (const auto& is : after.pieces) {
        const Piece* was = find_piece(before.pieces, is.id);
        if (!was || same_paper(*was, is) || !goes_round(is)) continue;
        out.push_back(redrawn_step(*was, is, mark, amount));
        last = &is;
    }
    if (!last) return out;
    out.push_back(step_on(*last, StepKind::TackAndTry, amount));
    out.push_back(step_on(*last, StepKind::StitchAndTrim, amount));
    return out;
}

// The narrowest allowance along an edge of that role.
Length allowance_at(const Garment& g, EdgeRole role)
{
    Length out = paper_most;
    for (const auto& p : g.pieces) {
        if (!goes_round(p)) continue;
        for (const auto& e : p.edges) {
            if (e.role == role) out = std::min(out, e.allowance);
        }
    }
    return out;
}

Outcome<Applied> lower_crotch(const Garment& garment, const Dose& dose)
{
    if (dose.front < nothing_on_paper)
        return abs(dose.front) < nothing_on_paper
                   ? refuse(Why::AmountZero, crotch_key)
                   : refuse_amount(Why::AmountTooLarge, crotch_key, dose.front, {}, paper_most);
    Applied out{garment, {}};
    for (auto& p : out.garment.pieces) {
        if (!edge_index(p, EdgeRole::InnerLeg)) continue;
        auto after = crotch_lowered(p, dose.front);
        if (!after) return tl::make_unexpected(after.error());
        p = std::move(*after);
    }
    out.steps = sewing(garment, out.garment, StepKind::MarkLowered, dose.front);
    out.steps.insert(out.steps.begin(), step_on(front_of(garment), StepKind::LayLegs, dose.front));
    return out;
}

using Alter = Outcome<Applied> (*)(const Garment&, const Dose&);

// As on paper, but told as it is done with needle and thread, and no more than the allowance holds.
Outcome<Applied> resewn(const Garment& garment, const Dose& dose, Alter alter, StepKind mark, const char* key,
                        Length room)
{
    if (dose.front > room) return refuse_amount(Why::AmountTooLarge, key, dose.front, -paper_most, room);
    auto out = alter(garment, dose);
    if (!out) {
        Refusal why = out.error();
        why.field = key;
        return tl::make_unexpected(std::move(why));
    }
    out->steps = sewing(garment, out->garment, mark, dose.front);
    return out;
}

// Both layers of four seams.
Length side_room(const Garment& g)
{
    return std::max(allowance_at(g, EdgeRole::Side) - allowance_kept, Length{}) * 4.0;
}

Outcome<Applied> resew_waist_width(const Garment& g, const Dose& girth)
{
    return resewn(g, girth, alter_width_at_waist, StepKind::MarkSewnSide, waist_width_key, side_room(g));
}

Outcome<Applied> resew_hip_width(const Garment& g, const Dose& girth)
{
    return resewn(g, girth, alter_width_at_hip, StepKind::MarkSewnSide, hip_width_key, side_room(g));
}

Outcome<Applied> resew_waist(const Garment& g, const Dose& dose)
{
    const auto above = std::find_if(dose.at.begin(), dose.at.end(), [](Length l) { return l > Length{}; });
    if (above != dose.at.end()) return refuse_amount(Why::AmountTooLarge, waist_key, *above, -paper_most, {});
    auto out = resewn(g, dose, alter_waist_line, StepKind::MarkSewnWaist, waist_key, {});
    if (!out) return out;
    // Each piece has marks of its own.
    const auto on_paper = alter_waist_line(g, dose);
    for (auto& s : out->steps) {
        if (s.kind != StepKind::MarkSewnWaist) continue;
        for (const auto& p : on_paper->steps) {
            if (p.kind != StepKind::MarkWaistLine || p.piece != s.piece) continue;
            s.amount = p.amount;
            s.place = p.place;
            s.second = p.second;
        }
    }
    return out;
}

Outcome<Applied> resew_hem(const Garment& g, const Dose& dose)
{
    const Length room = std::max(allowance_at(g, EdgeRole::Hem) - hem_allowance_kept, Length{});
    return resewn(g, dose, alter_hem, StepKind::MarkSewnHem, hem_key, room);
}

// How much the whole seam gets longer by.
Length gained(const Garment& g, Length down)
{
    Length out;
    for (const auto& p : g.pieces) {
        if (!edge_index(p, EdgeRole::InnerLeg)) continue;
        const auto after = crotch_lowered(p, down);
        if (after) out += sewn_length(*after, EdgeRole::Centre) - sewn_length(p, EdgeRole::Centre);
    }
    return out;
}

// As low as it takes, or as the paper goes.
std::optional<Proposal> propose_crotch(const FittingState& s)
{
    auto p = crotch_lacks(s);
    if (!p) return p;
    const Length lacks = p->amount + p->back.value_or(Length{});
    if (lacks <= Length{}) return std::nullopt;
    Length low;
    Length high = sewn_crotch_limit;
    constexpr int halvings = 24;
    for (int i = 0; i < halvings; ++i) {
        const Length middle = (low + high) / 2.0;
        const Length gain = gained(s.now, middle);
        // A line that is not smooth any more gains nothing.
        (gain < lacks && gain > Length{} ? low : high) = middle;
    }
    p->amount = high;
    p->back.reset();
    return p;
}

}  // namespace

Adjustment sewn_crotch_row()
{
    return {
        .kind = AdjustmentKind::SewnCrotch,
        .key = crotch_key,
        .zone = Zone::Sewn,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = Length{},
        .most = sewn_crotch_limit,
        .needs = {Level::Crotch},
        .apply = lower_crotch,
        .place = at_inner_leg_point,
        .propose = propose_crotch,
        .from = Measure::BackRise,
        .at_centre = AtCentre::Together,
        .when_sewn = true,
    };
}

namespace {

// The same as on paper, done with needle and thread, after all that was; in one way.
Adjustment as_sewn(Adjustment row, AdjustmentKind kind, std::string_view key, int rank,
                   Outcome<Applied> (*apply)(const Garment&, const Dose&))
{
    row.kind = kind;
    row.key = key;
    row.zone = Zone::Sewn;
    row.rank = rank;
    row.apply = apply;
    row.methods = {};
    row.usual_method = nullptr;
    row.method_serves = nullptr;
    row.when_sewn = true;
    return row;
}

Adjustment as_sewn_side(Adjustment row)
{
    row.needs = {Level::Hip};
    row.serves = hangs_from_waist;
    row.at_join = AtJoin::NotBelow;
    return row;
}

}  // namespace

Adjustment sewn_waist_width_row()
{
    return as_sewn_side(
        as_sewn(width_at_waist_row(), AdjustmentKind::SewnWaistWidth, waist_width_key, 20, resew_waist_width));
}

Adjustment sewn_hip_width_row()
{
    return as_sewn_side(
        as_sewn(width_at_hip_row(), AdjustmentKind::SewnHipWidth, hip_width_key, 30, resew_hip_width));
}

// Where it is marked nothing was measured: only lower.
Adjustment sewn_waist_row()
{
    auto row = as_sewn(waist_line_row(), AdjustmentKind::SewnWaist, waist_key, 40, resew_waist);
    row.most = Length{};
    row.propose = nullptr;
    row.from.reset();
    return row;
}

Adjustment sewn_hem_row()
{
    return as_sewn(finished_length_row(), AdjustmentKind::SewnHem, hem_key, 50, resew_hem);
}

}  // namespace sartorum
