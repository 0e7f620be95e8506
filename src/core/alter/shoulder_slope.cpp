#include "core/alter/shoulder_slope.h"

#include "core/alter/shared.h"
#include "core/alter/shoulder_ends.h"
#include "core/paper/bodice_redraw.h"

namespace sartorum {
namespace {

void allow(Applied& applied, Piece& piece)
{
    // The seam's edges and the mouths of its darts stand between its first and its last.
    Length whole;
    const std::size_t last = *edge_index(piece, EdgeRole::Shoulder, true);
    for (std::size_t i = *edge_index(piece, EdgeRole::Shoulder); i <= last; ++i) {
        whole = piece.edges[i].allowance + toile_extra;
        piece.edges[i].allowance = whole;
    }
    Step step = step_on(piece, StepKind::AllowShoulder, toile_extra, whole);
    const Point off = off_shoulder(piece) * whole.in_mm();
    step.picture.lines = {{neck_point(piece) + off, shoulder_tip(piece) + off}};
    step.picture.dimensions = {{shoulder_tip(piece), shoulder_tip(piece) + off, whole}};
    applied.steps.push_back(std::move(step));
}

Outcome<Applied> at_ends(const Garment& garment, const Dose& dose, bool neck)
{
    Applied out{garment, {}};
    for (const auto& [role, amount] : {std::pair{PieceRole::Front, dose.front}, {PieceRole::Back, dose.back}}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        if (amount == Length{}) continue;
        piece = neck ? neck_end_moved(out, piece, amount) : tip_moved(out, piece, amount);
    }
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

}  // namespace

Outcome<Applied> alter_shoulder_slope(const Garment& garment, const Dose& dose)
{
    const auto method = static_cast<SlopeMethod>(dose.method);
    const bool nothing = dose.front == Length{} && dose.back == Length{};
    if (nothing && method != SlopeMethod::AllowAndPin) return refuse(Why::AmountZero, "shoulder_slope");
    for (const auto amount : {dose.front, dose.back}) {
        if (abs(amount) > shoulder_slope_limit) {
            return refuse_amount(Why::AmountTooLarge, "shoulder_slope", amount, -shoulder_slope_limit,
                                 shoulder_slope_limit);
        }
    }
    if (nothing) {
        Applied out{garment, {}};
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            allow(out, *find_piece(out.garment.pieces, role));
        return out;
    }
    return at_ends(garment, dose, method == SlopeMethod::NeckEnds);
}

}  // namespace sartorum
