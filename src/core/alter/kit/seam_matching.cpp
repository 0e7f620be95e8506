#include "core/alter/kit/seam_matching.h"

#include <algorithm>

#include "core/alter/kit/gore_flank.h"
#include "core/alter/kit/part_alter.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/leg.h"
#include "core/paper/redraw/side.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

// Front and back as they come out, the front's lower end raised by the amount, the back's lowered.
void keep_matched(Applied& applied, Piece front_after, Piece back_after, Length raised)
{
    Piece& front = *find_piece(applied.garment.pieces, PieceRole::Front);
    Piece& back = *find_piece(applied.garment.pieces, PieceRole::Back);
    if (abs(raised) > Length::mm(0.5)) {
        applied.steps.push_back(redrawn_step(front, front_after, StepKind::MatchSides, raised));
        applied.steps.push_back(redrawn_step(back, back_after, StepKind::MatchSides, -raised));
    }
    front = std::move(front_after);
    back = std::move(back_after);
}

// Where a side notch lies along the sewn seam, and the notch at such a place.
std::optional<Length> along_side(const Piece& p, const Notch& n)
{
    Length along;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Side) continue;
        const auto near = nearest(e.curve, n.at);
        if (near.off < 0.1) return along + length_to(e.curve, near.time);
        along += length(e.curve);
    }
    return std::nullopt;
}

// The front's side notches marked again from the back's, in their order.
void match_side_notches(Piece& front, const Piece& back)
{
    std::vector<Length> wanted;
    for (const auto& n : back.notches) {
        const auto along = n.on == EdgeRole::Side ? along_side(back, n) : std::nullopt;
        if (along) wanted.push_back(*along);
    }
    std::size_t i = 0;
    for (auto& n : front.notches) {
        if (n.on != EdgeRole::Side || i >= wanted.size()) continue;
        n.at = point_at(front, place_along(front, EdgeRole::Side, wanted[i++]));
    }
}

}  // namespace

Length back_ease(const std::vector<Piece>& pieces, const std::vector<Seam>& seams, EdgeRole edge)
{
    const auto role_of = [&](const std::vector<SeamSide>& side) -> std::optional<PieceRole> {
        if (side.size() != 1 || side.front().role != edge) return std::nullopt;
        const Piece* piece = find_piece(pieces, side.front().piece);
        return piece ? std::optional{piece->role} : std::nullopt;
    };
    for (const auto& seam : seams) {
        const auto a = role_of(seam.a);
        const auto b = role_of(seam.b);
        if (a == PieceRole::Front && b == PieceRole::Back) return seam.ease;
        if (a == PieceRole::Back && b == PieceRole::Front) return -seam.ease;
    }
    return {};
}

Length back_side_ease(const std::vector<Piece>& pieces, const std::vector<Seam>& seams)
{
    return back_ease(pieces, seams, EdgeRole::Side);
}

Outcome<bool> match_sides(Applied& applied)
{
    return part_alter(applied.garment).match_sides(applied);
}

Outcome<bool> match_lower_ends(Applied& applied)
{
    const Garment& g = applied.garment;
    auto even = sides_evened_below(front_of(g), back_of(g), back_side_ease(g.pieces, g.seams));
    if (!even) return tl::make_unexpected(even.error());
    keep_matched(applied, std::move(even->front), std::move(even->back), even->raised);
    match_side_notches(*find_piece(applied.garment.pieces, PieceRole::Front), back_of(applied.garment));
    return true;
}

Outcome<bool> match_waist_ends(Applied& applied)
{
    for (const auto& seam : upright_seams(applied.garment)) {
        auto& pieces = applied.garment.pieces;
        Piece& a = pieces[seam.a.piece];
        Piece& b = pieces[seam.b.piece];
        const auto matched =
            sides_evened_at_waist(as_plain(a, seam.a.flank), as_plain(b, seam.b.flank), seam.ease);
        if (!matched) return tl::make_unexpected(matched.error());
        const Piece a_after = as_gore(matched->front, seam.a.flank, a);
        const Piece b_after = as_gore(matched->back, seam.b.flank, b);
        if (abs(matched->raised) > Length::mm(0.5)) {
            Step on_a = redrawn_step(a, a_after, StepKind::MatchSides, matched->raised);
            Step on_b = redrawn_step(b, b_after, StepKind::MatchSides, -matched->raised);
            if (has_gores(pieces)) on_a.on = flank_role(a, seam.a.flank);
            if (has_gores(pieces)) on_b.on = flank_role(b, seam.b.flank);
            applied.steps.insert(applied.steps.end(), {std::move(on_a), std::move(on_b)});
        }
        a = a_after;
        b = b_after;
    }
    return true;
}

Outcome<bool> match_legs(Applied& applied)
{
    if (auto ok = match_waist_ends(applied); !ok) return ok;
    const Garment& g = applied.garment;
    const Length wanted =
        sewn_length(front_of(g), EdgeRole::InnerLeg) + back_ease(g.pieces, g.seams, EdgeRole::InnerLeg);
    Piece& back = *find_piece(applied.garment.pieces, PieceRole::Back);
    const Piece was = back;
    Length done;
    const auto settled = settle({}, Length::mm(0.005), "inner-leg", [&](Length by) -> Outcome<Length> {
        if (by != done) back = inner_hem_lowered(back, by - std::exchange(done, by));
        return wanted - sewn_length(back, EdgeRole::InnerLeg);
    });
    if (!settled) return tl::make_unexpected(settled.error());
    const Length lowered = sewn_length(back, EdgeRole::InnerLeg) - sewn_length(was, EdgeRole::InnerLeg);
    if (abs(lowered) > Length::mm(0.5))
        applied.steps.push_back(redrawn_step(was, back, StepKind::MatchInnerLegs, lowered));
    return true;
}

Length shoulder_ease(const Garment& g)
{
    return sewn_length(back_of(g), EdgeRole::Shoulder) - sewn_length(front_of(g), EdgeRole::Shoulder);
}

void match_shoulders(Applied& applied, Length ease)
{
    const Length half = (shoulder_ease(applied.garment) - ease) / 2.0;
    if (abs(half) < Length::mm(1e-9)) return;
    for (const auto& [role, by] : {std::pair{PieceRole::Front, half}, {PieceRole::Back, -half}}) {
        Piece& piece = *find_piece(applied.garment.pieces, role);
        const Curve seam = shoulder_run(piece);
        const Point along = Geom::unit_vector(seam.finalPoint() - seam.initialPoint());
        const Piece after = shoulder_redrawn(piece, {0, 0}, along * by.in_mm());
        if (abs(by) > Length::mm(0.5))
            applied.steps.push_back(redrawn_step(piece, after, StepKind::MatchShoulders, by));
        piece = after;
    }
}

}  // namespace sartorum
