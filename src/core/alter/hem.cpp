#include "core/alter/hem.h"

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

}  // namespace sartorum
