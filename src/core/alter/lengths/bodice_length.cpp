#include "core/alter/lengths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/lengths.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/redraw/bodice.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

Outcome<bool> across(Applied& applied, Piece& piece, Length amount)
{
    const auto line = *guide(piece, GuideKind::LengthenShorten);
    const auto waist = guide(piece, GuideKind::Waist);
    const double low = edge(piece, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    const double level = waist ? waist->a[Geom::Y] : low;
    // Nothing may be folded beyond the side seam's own end.
    const double side_end = edge(piece, bottom_role(piece)).curve.initialPoint()[Geom::Y];
    const Length room = Length::mm(line.a[Geom::Y] - std::max(level, waist ? level : side_end) - 8);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, "bodice_length", amount, -room, paper_most);
    const auto paper =
        cut_across(applied, piece, line, amount, StepKind::DrawLengthLine, Length::mm(line.a[Geom::Y] - low));
    if (!paper) return tl::make_unexpected(paper.error());
    const Piece after = lowered_at_line(piece, {0, -amount.in_mm()});
    applied.steps.push_back(redrawn_step(*paper, after, StepKind::TrueBodiceSide));
    piece = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_bodice_length(const Garment& garment, const Dose& dose)
{
    const Length both = common_length(dose.front, dose.back);
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, "bodice_length");
    Applied out{garment, {}};
    for (const auto amount : {dose.front, dose.back}) {
        if (abs(amount) > paper_most)
            return refuse_amount(Why::AmountTooLarge, "bodice_length", amount, -paper_most, paper_most);
        if (abs(amount - both) > bodice_unlike_limit)
            out.cautions.push_back({CautionKind::FrontAndBackUnlike, amount - both, bodice_unlike_limit});
    }
    for (const auto& [role, amount] : {std::pair{PieceRole::Front, dose.front}, {PieceRole::Back, dose.back}}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        if (both != Length{}) {
            if (const auto ok = across(out, piece, both); !ok) return tl::make_unexpected(ok.error());
        }
        if (amount != both) piece = bottom_moved_at_centre(out, piece, amount - both);
    }
    if (const auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

// What front and back have in common, less what the armhole took of it.
std::optional<Proposal> propose_bodice_length(const FittingState& s)
{
    const LengthShares shares = length_shares(s);
    return share_of(shares.front ? shares.front : shares.back, shares.common);
}

}  // namespace

Adjustment bodice_length_row()
{
    return {
        .kind = AdjustmentKind::BodiceLength,
        .key = "bodice_length",
        .zone = Zone::Lengths,
        .rank = 30,
        .acts_on = ActsOn::Apart,
        .least = -bodice_length_limit,
        .most = bodice_length_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Side},
        .apply = alter_bodice_length,
        .place = on_length_line,
        .propose = propose_bodice_length,
        .from = Measure::FrontWaistLength,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
