#include "core/alter/waist_to_hip.h"

#include <functional>

#include "core/alter/flank.h"
#include "core/alter/match.h"
#include "core/alter/places.h"
#include "core/alter/propose.h"
#include "core/alter/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

using MakeStep = std::function<Step(StepKind)>;
const Point square_across{1, 0};

// Both leave the paper joined again, the side seam not yet trued.
Outcome<Piece> spread_steps(std::vector<Step>& steps, const Piece& piece, Point at, Point down,
                            const MakeStep& step)
{
    auto spread = spread_across(piece, at, square_across, down);
    if (!spread) return tl::make_unexpected(spread.error());
    const Point a = spread->cut.enters;
    const Stroke line{a, spread->cut.leaves};
    Step draw = step(StepKind::DrawLine);
    draw.picture = {{piece}, {line}, {}, {}, {}};
    Step cut = step(StepKind::CutAcross);
    cut.picture = {{spread->cut.first, spread->cut.second}, {line}, {}, {}, {}};
    Step apart = step(StepKind::Spread);
    apart.picture = {{spread->cut.first, spread->second}, {}, {spread->strip}, {}, {{a, a + down, apart.amount}}};
    steps.insert(steps.end(), {draw, cut, apart});
    return spread->whole;
}

Outcome<Piece> fold_steps(std::vector<Step>& steps, const Piece& piece, Point at, Point up, const MakeStep& step)
{
    auto fold = folded_out(piece, at, square_across, -up);
    if (!fold) return tl::make_unexpected(fold.error());
    const Point a = fold->cut.enters;
    const Point b = fold->cut.leaves;
    Step draw = step(StepKind::DrawFoldLines);
    draw.picture = {
        {piece}, {{a, b}, {fold->band[3], fold->band[2]}}, {}, {fold->band}, {{a, a - up, draw.amount}}};
    Step done = step(StepKind::FoldOut);
    done.picture = {{fold->whole}, {{a, b}}, {}, {}, {}};
    steps.insert(steps.end(), {draw, done});
    return fold->whole;
}

Outcome<bool> deepen_hip(std::vector<Step>& steps, Piece& piece, Length amount)
{
    const auto line = *guide(piece, GuideKind::LengthenShorten);
    const double hip = guide(piece, GuideKind::Hip)->a[Geom::Y];
    const Length room = Length::mm(line.a[Geom::Y] - hip - 5);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, piece.id, amount, -room, paper_most);

    const double waist_level = edge(piece, EdgeRole::Centre).curve.finalPoint()[Geom::Y];
    const Length place = Length::mm(waist_level - line.a[Geom::Y]);
    const auto step = [&](StepKind kind) { return Step{kind, piece.id, abs(amount), place, {}, {}, {}}; };
    const Point by{0, -amount.in_mm()};  // where everything below goes
    auto joined_paper = amount > Length{} ? spread_steps(steps, piece, line.a, by, step)
                                          : fold_steps(steps, piece, line.a, by, step);
    if (!joined_paper) return tl::make_unexpected(joined_paper.error());
    auto trued = side_trued(piece, *joined_paper, by);
    if (!trued) return tl::make_unexpected(trued.error());
    Step true_side = step(StepKind::TrueSide);
    true_side.picture.panels = {*trued};
    true_side.picture.redrawn_from = {*joined_paper};
    steps.push_back(std::move(true_side));
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
        .rank = 50,
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
