#include "core/alter/shoulder_slope.h"

#include "core/alter/shared.h"
#include "core/alter/shoulder_ends.h"
#include "core/paper/bodice_redraw.h"

namespace sartorum {
namespace {

void allow(Applied& applied, Piece& piece)
{
    const Piece before = piece;
    Length whole;
    for (auto& e : piece.edges) {
        if (e.role != EdgeRole::Shoulder && e.role != EdgeRole::DartMouth) continue;
        const bool mouth_elsewhere = e.role == EdgeRole::DartMouth && &e > &edge(piece, EdgeRole::Armhole);
        if (mouth_elsewhere) continue;
        e.allowance += toile_extra;
        whole = e.allowance;
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
