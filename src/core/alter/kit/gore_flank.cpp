#include "core/alter/kit/gore_flank.h"

#include <iterator>

namespace sartorum {
namespace {

// A step on a plain piece, told of the gore it is.
Step told_of(Step step, Flank flank, const Piece& was)
{
    StepPicture& picture = step.picture;
    for (auto* pieces : {&picture.panels, &picture.redrawn_from}) {
        for (auto& p : *pieces) p = as_gore(std::move(p), flank, was);
    }
    step.on = flank_role(was, flank);
    if (flank == Flank::Outer) return step;
    const auto across = [](Point& p) { p[Geom::X] = -p[Geom::X]; };
    for (auto& s : picture.lines) {
        across(s.a);
        across(s.b);
    }
    for (auto& d : picture.dimensions) {
        across(d.a);
        across(d.b);
    }
    return step;
}

}  // namespace

Outcome<bool> on_flank(std::vector<Step>& steps, Piece& piece, Flank flank, const AlterPlain& alter)
{
    if (!is_gore(piece)) return alter(steps, piece);
    Piece plain = as_plain(piece, flank);
    std::vector<Step> own;
    const auto ok = alter(own, plain);
    if (!ok) return ok;
    for (auto& s : own) steps.push_back(told_of(std::move(s), flank, piece));
    piece = as_gore(std::move(plain), flank, piece);
    return true;
}

Outcome<bool> on_flanks(Applied& out, PieceRole face, const AlterPlain& alter)
{
    for (const auto& at : flanks_of(out.garment.pieces, face)) {
        const auto ok = on_flank(out.steps, out.garment.pieces[at.piece], at.flank, alter);
        if (!ok) return ok;
    }
    return true;
}

Outcome<bool> on_both_flanks(std::vector<Step>& steps, Piece& piece, const AlterPlain& alter)
{
    const Piece before = piece;
    std::vector<Step> own;
    if (const auto ok = on_flank(own, piece, Flank::Outer, alter); !ok) return ok;
    if (flank_role(before, Flank::Inner)) {
        Piece mirror = before;
        std::vector<Step> again;
        if (const auto ok = on_flank(again, mirror, Flank::Inner, alter); !ok) return ok;
        piece.edges[*edge_index(piece, EdgeRole::Inner)].curve = edge(mirror, EdgeRole::Inner).curve;
        settle_notches(piece);
        if (!own.empty()) own.back().picture.panels = {piece};
    }
    // What is done to the whole piece is of no one flank.
    for (auto& s : own) s.on.reset();
    std::move(own.begin(), own.end(), std::back_inserter(steps));
    return true;
}

}  // namespace sartorum
