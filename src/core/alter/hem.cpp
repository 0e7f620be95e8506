#include "core/alter/hem.h"

#include "core/alter/part_alter.h"
#include "core/alter/shared.h"
#include "core/paper/redraw.h"

namespace sartorum {
namespace {

void record(Applied& out, const Piece& before, const Piece& after, Length amount)
{
    const Curve& old_centre = edge(before, EdgeRole::Centre).curve;
    const Curve& new_centre = edge(after, EdgeRole::Centre).curve;
    const Curve& old_side = before.edges[*edge_index(before, EdgeRole::Side, true)].curve;
    const Curve& new_side = after.edges[*edge_index(after, EdgeRole::Side, true)].curve;
    const Dimension size{old_centre.initialPoint(), new_centre.initialPoint(), abs(amount)};
    const bool longer = amount > Length{};
    Step draw{longer ? StepKind::ExtendBelow : StepKind::DrawHem, before.id, abs(amount), {}, {}, {}, {}};
    draw.picture.panels = {before};
    draw.picture.dimensions = {size};
    if (longer) {
        draw.picture.lines = {{old_centre.initialPoint(), new_centre.initialPoint()},
                              {old_side.finalPoint(), new_side.finalPoint()}};
    } else {
        const auto hem = flattened(edge(after, EdgeRole::Hem).curve, Length::mm(0.2));
        for (std::size_t i = 1; i < hem.size(); ++i) draw.picture.lines.push_back({hem[i - 1], hem[i]});
    }
    Step change{longer ? StepKind::AddHem : StepKind::TrimHem, before.id, abs(amount), {}, {}, {}, {}};
    change.picture.panels = {after};
    change.picture.dimensions = {size};
    change.picture.redrawn_from = {before};
    out.steps.push_back(std::move(draw));
    out.steps.push_back(std::move(change));
}

}  // namespace

Outcome<Applied> alter_hem(const Garment& garment, const Dose& dose)
{
    const Length amount = dose.front;
    if (amount == Length{}) return refuse(Why::AmountZero, "hem");
    if (abs(amount) > hem_limit) return refuse_amount(Why::AmountTooLarge, "hem", amount, -hem_limit, hem_limit);
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        auto after = hem_moved(piece, amount);
        if (!after) return tl::make_unexpected(after.error());
        record(out, piece, *after, amount);
        piece = std::move(*after);
    }
    return out;
}

namespace {

Length finished_length(const Garment& g, const FlatMeasures& flat)
{
    return flat.of(part_alter(g).length);
}

std::optional<Proposal> propose_given_back(const FittingState& s)
{
    const Length was = finished_length(s.traced, s.traced_flat);
    const Length is = finished_length(s.now, s.now_flat);
    if (abs(is - was) < Length::mm(0.5)) return std::nullopt;
    return Proposal{was - is, {}, was, is, Against::EarlierChange};
}

std::optional<Proposal> propose_length(const FittingState& s)
{
    const auto from = part_alter(s.traced).length_wish;
    const auto wish = from ? s.body.taken(*from) : std::nullopt;
    if (!wish) return std::nullopt;
    const Length was = finished_length(s.traced, s.traced_flat);
    return Proposal{wish->value - was, Length::mm(3), wish->value, was, Against::Pattern};
}

}  // namespace

Adjustment hem_given_back_row()
{
    return {
        .kind = AdjustmentKind::HemGivenBack,
        .key = "hem_given_back",
        .zone = Zone::Hem,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = -hem_limit,
        .most = hem_limit,
        .needs = {Level::Hem},
        .apply = alter_hem,
        .propose = propose_given_back,
        .joins = AdjustmentKind::FinishedLength,
    };
}

Adjustment finished_length_row()
{
    return {
        .kind = AdjustmentKind::FinishedLength,
        .key = "finished_length",
        .zone = Zone::Hem,
        .rank = 20,
        .acts_on = ActsOn::Both,
        .least = -hem_limit,
        .most = hem_limit,
        .needs = {Level::Hem},
        .apply = alter_hem,
        .propose = propose_length,
        .from = Measure::SkirtLength,
    };
}

}  // namespace sartorum
