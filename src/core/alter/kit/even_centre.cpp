#include "core/alter/kit/even_centre.h"

#include <algorithm>

#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/paper/redraw/waist.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

constexpr Length alike = Length::mm(1e-9);

Piece& at_centre(Applied& a, PieceRole face)
{
    return a.garment.pieces[face_of(a.garment.pieces, face).front()];
}

// Piece by piece from the centre to the side, less and less.
void raise_top(Applied& out, PieceRole face, Length amount)
{
    const auto pieces = face_of(out.garment.pieces, face);
    Length whole;
    for (const std::size_t i : pieces) whole += top_length(out.garment.pieces[i]);
    Length along;
    for (const std::size_t i : pieces) {
        Piece& piece = out.garment.pieces[i];
        const Length here = top_length(piece);
        const Piece after = top_raised(piece, amount, along / whole, (along + here) / whole);
        if (i == pieces.front() && amount >= least_by_hand) {
            const Point from = edge(piece, EdgeRole::Centre).curve.finalPoint();
            const Point to = edge(after, EdgeRole::Centre).curve.finalPoint();
            Step mark = step_on(piece, StepKind::MarkTopCentre, amount);
            mark.picture.lines = {{from, to}};
            mark.picture.dimensions = {{from, to, amount}};
            out.steps.push_back(std::move(mark));
        }
        if (amount >= least_by_hand) out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawTop, amount));
        piece = after;
        along += here;
    }
}

void lower_bottom(Applied& out, PieceRole face, Length amount)
{
    Piece& piece = at_centre(out, face);
    piece = amount < least_by_hand ? bottom_redrawn(piece, no_shift, {0, -amount.in_mm()})
                                   : bottom_moved_at_centre(out, piece, amount);
}

Length length_at_centre(Applied& a, PieceRole face)
{
    return sewn_length(at_centre(a, face), EdgeRole::Centre);
}

}  // namespace

void centres_evened(Applied& right, Applied& left)
{
    for (const auto face : {PieceRole::Front, PieceRole::Back}) {
        const Length more = length_at_centre(right, face) - length_at_centre(left, face);
        if (abs(more) <= alike) continue;
        Applied& shorter = more > Length{} ? left : right;
        const bool hangs = !has_level(at_centre(shorter, face), Level::Shoulder);
        hangs ? raise_top(shorter, face, abs(more)) : lower_bottom(shorter, face, abs(more));
    }
}

void ends_met(Applied& right, Applied& left)
{
    for (const auto face : {PieceRole::Front, PieceRole::Back}) {
        if (!has_level(at_centre(right, face), Level::Shoulder)) continue;
        const auto centre = [&](Applied& a) -> const Curve& {
            return edge(at_centre(a, face), EdgeRole::Centre).curve;
        };
        const Length higher = Length::mm(centre(right).finalPoint()[Geom::Y] - centre(left).finalPoint()[Geom::Y]);
        if (abs(higher) > alike) raise_top(higher > Length{} ? left : right, face, abs(higher));
        const Length more = length_at_centre(right, face) - length_at_centre(left, face);
        if (abs(more) > alike) lower_bottom(more > Length{} ? left : right, face, abs(more));
    }
}

}  // namespace sartorum
