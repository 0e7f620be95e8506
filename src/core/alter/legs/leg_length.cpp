#include "core/alter/legs/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/legs/leg_cut.h"
#include "core/paper/redraw/leg.h"

namespace sartorum {
namespace {

constexpr auto leg_length_key = "leg_length";
constexpr std::array<std::string_view, 2> ways{"halved", "at_knee"};

// Trued over as far as a hand goes, and not beyond the two levels the cut lies between.
LegCut cut_between(double above, double level, double below)
{
    const double reach = std::min({60.0, (above - level) * 0.8, (level - below) * 0.8});
    return {level + reach, level, level - reach};
}

Outcome<bool> cut_at(Applied& out, Piece& piece, const LegCut& cut, Length amount, bool at_knee)
{
    const Length place = Length::mm(inner_leg_point(piece)[Geom::Y] - cut.level);
    const LegCutSteps how = at_knee ? LegCutSteps{StepKind::DrawKneeLine, StepKind::DrawKneeFold, place}
                                    : LegCutSteps{StepKind::DrawLegLine, StepKind::DrawLegFold, place};
    // A fold takes its own depth of the leg: it may reach further than the seams are trued over.
    LegCut room = cut;
    if (amount < Length{}) room.lower = std::min(cut.lower, cut.level + amount.in_mm() - 10);
    return cut_leg(out, piece, room, amount, how, leg_length_key);
}

Outcome<bool> alter_piece(Applied& out, Piece& piece, Length amount, LegLengthWay way)
{
    const double crotch = inner_leg_point(piece)[Geom::Y];
    const double hem = edge(piece, EdgeRole::Hem).curve.finalPoint()[Geom::Y];
    const double knee = guide(piece, GuideKind::Knee)->a[Geom::Y];
    const Length room =
        Length::mm((way == LegLengthWay::AtKnee ? knee - hem : std::min(crotch - knee, knee - hem) / 2) - 40);
    const Length share = way == LegLengthWay::AtKnee ? amount : amount / 2.0;
    if (-share > room) {
        const Length most = way == LegLengthWay::AtKnee ? room : room * 2.0;
        return refuse_amount(Why::AmountTooLarge, leg_length_key, amount, -most, paper_most);
    }
    if (way == LegLengthWay::AtKnee) return cut_at(out, piece, cut_between(crotch, knee, hem), amount, true);
    // The lower one first: the upper one carries it.
    if (const auto ok = cut_at(out, piece, cut_between(knee, (knee + hem) / 2, hem), share, false); !ok) return ok;
    return cut_at(out, piece, cut_between(crotch, (crotch + knee) / 2, knee), share, false);
}

}  // namespace

Outcome<Applied> alter_leg_length(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, leg_length_key); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        const auto ok = alter_piece(out, piece, dose.front, static_cast<LegLengthWay>(dose.method));
        if (!ok) return tl::make_unexpected(ok.error());
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

std::optional<Proposal> propose_leg_length(const FittingState& s)
{
    return against_chart(s, Measure::InsideLeg, s.sizes.hip);
}

}  // namespace

Adjustment leg_length_row()
{
    return {
        .kind = AdjustmentKind::LegLength,
        .key = leg_length_key,
        .zone = Zone::Lengths,
        .rank = 58,
        .acts_on = ActsOn::Both,
        .least = -leg_length_limit,
        .most = leg_length_limit,
        .needs = {Level::Knee},
        .edges = {EdgeRole::InnerLeg},
        .apply = alter_leg_length,
        .place = above_knee,
        .propose = propose_leg_length,
        .from = Measure::InsideLeg,
        .methods = ways,
    };
}

}  // namespace sartorum
