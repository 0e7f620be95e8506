#include "core/alter/sleeve/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/sleeve.h"

namespace sartorum {

Outcome<Applied> alter_top_notch(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "top_notch"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& sleeve = *find_piece(out.garment.pieces, PieceRole::Sleeve);
    const Point was = top_notch(sleeve);
    Piece after = top_notch_at(sleeve, sewn_length(sleeve, EdgeRole::CapFront) - dose.front);
    match_cap_notches(after, front_of(garment), back_of(garment));
    Step mark = step_on(after, StepKind::MarkTopNotch, dose.front);
    mark.picture.dimensions = {{was, top_notch(after), abs(dose.front)}};
    out.steps = {mark};
    sleeve = after;
    return out;
}

namespace {

constexpr Length least_notch_move = Length::mm(1.5);  // half of what a cap is changed for

// How much one half of the cap is longer than its half of the armhole.
Length half_over(const Garment& g, PieceRole bodice, EdgeRole cap)
{
    return sewn_length(sleeve_of(g), cap) - sewn_length(*find_piece(g.pieces, bodice), EdgeRole::Armhole);
}

Length front_over(const FittingState& s)
{
    return half_over(s.now, PieceRole::Front, EdgeRole::CapFront) -
           half_over(s.traced, PieceRole::Front, EdgeRole::CapFront);
}
Length back_over(const FittingState& s)
{
    return half_over(s.now, PieceRole::Back, EdgeRole::CapBack) -
           half_over(s.traced, PieceRole::Back, EdgeRole::CapBack);
}

// Half of what one half of the cap became long and the other short.
std::optional<Proposal> propose_top_notch(const FittingState& s)
{
    const Length amount = (front_over(s) - back_over(s)) / 2.0;
    if (abs(amount) < least_notch_move) return std::nullopt;
    const Length half = sewn_length(sleeve_of(s.now), EdgeRole::CapFront);
    return Proposal{amount, {}, half - amount, half, Against::Armhole};
}

}  // namespace

Adjustment top_notch_row()
{
    return {
        .kind = AdjustmentKind::TopNotch,
        .key = "top_notch",
        .zone = Zone::Sleeve,
        .rank = 40,
        .acts_on = ActsOn::Sleeve,
        .least = -top_notch_limit,
        .most = top_notch_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::CapFront, EdgeRole::CapBack},
        .apply = alter_top_notch,
        .place = at_cap_top,
        .propose = propose_top_notch,
    };
}

}  // namespace sartorum
