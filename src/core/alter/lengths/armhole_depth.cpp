#include "core/alter/lengths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/lengths.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/guides.h"
#include "core/paper/redraw/bodice.h"

namespace sartorum {
namespace {

Outcome<bool> lower_armhole(Applied& applied, Piece& piece, Length amount)
{
    const Guide line = on_paper(piece, *guide(piece, GuideKind::Across));
    const Length room = Length::mm(line.b[Geom::Y] - underarm(piece)[Geom::Y] - 15);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, "armhole_depth", amount, -room, paper_most);
    const Length place = Length::mm(shoulder_tip(piece)[Geom::Y] - line.b[Geom::Y]);
    const auto paper = cut_across(applied, piece, line, amount, StepKind::DrawAcross, place);
    if (!paper) return tl::make_unexpected(paper.error());
    const Piece after = lowered_at_across(piece, {0, -amount.in_mm()});
    applied.steps.push_back(redrawn_step(*paper, after, StepKind::TrueArmhole));
    piece = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_armhole_depth(const Garment& garment, const Dose& dose)
{
    return alter_front_and_back(garment, dose, "armhole_depth", lower_armhole);
}

namespace {

// Nape to underarm, less what the upper back took of it.
std::optional<Proposal> propose_armhole_depth(const FittingState& s)
{
    const LengthShares shares = length_shares(s);
    return share_of(shares.nape_to_underarm, shares.armhole);
}

}  // namespace

Adjustment armhole_depth_row()
{
    return {
        .kind = AdjustmentKind::ArmholeDepth,
        .key = "armhole_depth",
        .zone = Zone::Lengths,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = -armhole_depth_limit,
        .most = armhole_depth_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Armhole, EdgeRole::Side},
        .apply = alter_armhole_depth,
        .place = on_across_line,
        .propose = propose_armhole_depth,
        .from = Measure::ArmholeDepth,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
