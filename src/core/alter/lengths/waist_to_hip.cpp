#include "core/alter/lengths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/gore_flank.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/widths/across_cut.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

Outcome<bool> deepen_hip(std::vector<Step>& steps, Piece& piece, Length amount)
{
    const auto line = *guide(piece, GuideKind::LengthenShorten);
    const double hip = guide(piece, GuideKind::Hip)->a[Geom::Y];
    const Length room = Length::mm(line.a[Geom::Y] - hip - 5);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, piece.id, amount, -room, paper_most);

    const double waist_level = edge(piece, EdgeRole::Centre).curve.finalPoint()[Geom::Y];
    const Length place = Length::mm(waist_level - line.a[Geom::Y]);
    const auto across = lies_across(piece, line.a[Geom::Y]);
    if (!across) return refuse(Why::LineMissesPiece, piece.id);
    const Guide cut{line.kind, {across->from, line.a[Geom::Y]}, {across->to, line.a[Geom::Y]}};
    Applied done;
    const auto joined_paper = cut_across(done, piece, cut, amount,
                                         amount > Length{} ? StepKind::DrawLine : StepKind::DrawFoldLines, place);
    if (!joined_paper) return tl::make_unexpected(joined_paper.error());
    auto trued = side_trued(piece, *joined_paper, {0, -amount.in_mm()});
    if (!trued) return tl::make_unexpected(trued.error());
    done.steps.push_back(redrawn_step(*joined_paper, *trued, StepKind::TrueSide, amount));
    for (auto& s : done.steps) {  // by how much, whichever way, and where the line is found
        s.amount = abs(amount);
        s.place = place;
        steps.push_back(std::move(s));
    }
    piece = std::move(*trued);
    return true;
}

}  // namespace

Outcome<Applied> alter_waist_to_hip(const Garment& garment, const Dose& dose)
{
    const Length amount = dose.front;
    if (const auto ok = some_amount(amount, "waist_to_hip"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    for (auto& piece : out.garment.pieces) {
        if (!goes_round(piece)) continue;
        const auto ok = on_both_flanks(out.steps, piece, [&](std::vector<Step>& steps, Piece& plain) {
            return deepen_hip(steps, plain, amount);
        });
        if (!ok) return tl::make_unexpected(ok.error());
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

std::optional<Proposal> propose_waist_to_hip(const FittingState& s)
{
    if (const auto p = against_chart(s, Measure::WaistToHip, s.sizes.hip)) return p;
    const auto taken = s.body.taken(Measure::WaistToHip);
    if (!taken) return std::nullopt;
    const auto drawn = s.traced_flat.at(GarmentMeasure::WaistToHip);
    if (!drawn) return std::nullopt;
    const Length drafted = *drawn;
    Proposal out{taken->value - drafted, taken->spread, taken->value, drafted, Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment waist_to_hip_row()
{
    return {
        .kind = AdjustmentKind::WaistToHip,
        .key = "waist_to_hip",
        .zone = Zone::Lengths,
        .rank = 49,
        .acts_on = ActsOn::Both,
        .least = -waist_to_hip_limit,
        .most = waist_to_hip_limit,
        .needs = {Level::Hip},
        .apply = alter_waist_to_hip,
        .place = on_length_line,
        .propose = propose_waist_to_hip,
        .from = Measure::WaistToHip,
        .at_centre = AtCentre::Evened,
    };
}

}  // namespace sartorum
