#include "core/alter/widths/gathers.h"

#include <algorithm>

#include "core/alter/kit/part_alter.h"
#include "core/alter/legs/rows.h"
#include "core/alter/widths/rows.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// The waist edge that is gathered most already, else the longest.
std::size_t edge_to_gather(const Piece& p)
{
    const auto more = [&](std::size_t a, std::size_t b) {
        const Edge& x = p.edges[a];
        const Edge& y = p.edges[b];
        return x.gathered == y.gathered ? length(x.curve) > length(y.curve) : x.gathered > y.gathered;
    };
    std::size_t best = *edge_index(p, EdgeRole::Waist);
    for (std::size_t i = best; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::Waist && more(i, best)) best = i;
    }
    return best;
}

Step gathers_step(const Piece& p, Length by)
{
    Step step =
        step_on(p, StepKind::GatherWaist, by, sewn_length(p, EdgeRole::Waist), gathered_in(p, EdgeRole::Waist));
    for (const auto& e : p.edges) {
        if (e.role == EdgeRole::Waist && e.gathered > Length{})
            step.picture.lines.push_back({e.curve.initialPoint(), e.curve.finalPoint()});
    }
    return step;
}

// Its whole side seam shifted, as far down as the leg reaches the knee.
Outcome<Piece> side_shifted(const Piece& p, Length by)
{
    if (!edge_index(p, EdgeRole::InnerLeg)) return side_moved(p, by, by);
    auto at_waist = side_moved(p, by, {});
    if (!at_waist) return at_waist;
    return leg_hip_moved(*at_waist, by);
}

Outcome<bool> shift_back(Applied& out, PieceRole role, Length by)
{
    Piece& piece = *find_piece(out.garment.pieces, role);
    auto after = side_shifted(piece, by);
    if (!after) return tl::make_unexpected(after.error());
    out.steps.push_back(redrawn_step(piece, *after, StepKind::ShiftSide, by));
    piece = std::move(*after);
    return true;
}

// The front's too, which evening the side seams moves by a hair.
Length half_sewn(const Garment& part)
{
    return sewn_length(front_of(part), EdgeRole::Waist) + sewn_length(back_of(part), EdgeRole::Waist);
}

}  // namespace

Edge& gather_waist(Piece& piece, Length more)
{
    Edge& edge = piece.edges[edge_to_gather(piece)];
    edge.gathered += more;
    return edge;
}

Length waist_gathers(const Garment& part)
{
    Length sum;
    for (const auto& p : part.pieces)
        if (goes_round(p)) sum += gathered_in(p, EdgeRole::Waist);
    return sum;
}

bool has_waist_gathers(const Garment& part)
{
    return waist_gathers(part) > Length{};
}

bool full_at_waist(const Garment& part)
{
    Length sewn;
    for (const auto& p : part.pieces)
        if (goes_round(p)) sewn += sewn_length(p, EdgeRole::Waist);
    return has_waist_gathers(part) && waist_gathers(part) >= sewn * 0.1;
}

bool gathers_can_give(const Garment& part, PieceRole face, Length less)
{
    const Piece* p = find_piece(part.pieces, face);
    const Length all = p && edge_index(*p, EdgeRole::Waist) ? gathered_in(*p, EdgeRole::Waist) : Length{};
    return all > Length{} && less <= all && all - less <= flat_length(*p, EdgeRole::Waist) * most_gathered;
}

void free_gathers(Applied& out, PieceRole face, Length less)
{
    if (less == Length{}) return;
    Piece& p = *find_piece(out.garment.pieces, face);
    const Length all = gathered_in(p, EdgeRole::Waist);
    for (auto& e : p.edges) e.gathered += -less * (e.gathered / all);
    out.steps.push_back(gathers_step(p, -less));
}

Outcome<Applied> alter_in_gathers(const Garment& garment, const Dose& girth)
{
    const Length all = waist_gathers(garment);
    const Length less = girth.front / 2.0;
    Applied out{garment, {}};
    for (const auto face : {PieceRole::Front, PieceRole::Back}) {
        const Piece& p = *find_piece(garment.pieces, face);
        const Length here = gathered_in(p, EdgeRole::Waist);
        if (here <= Length{}) continue;
        const Length share = less * (here / all);
        if (!gathers_can_give(garment, face, share))
            return refuse_amount(Why::AmountTooLarge, "width_at_waist", girth.front, -Length::mm(600), all * 2.0);
        free_gathers(out, face, share);
    }
    return out;
}

Outcome<Applied> alter_back_gathered(const Garment& garment, const Dose& girth)
{
    const Length sewn = half_sewn(garment);
    const Dose back{girth.front, static_cast<std::size_t>(WidthShare::BackOnly)};
    auto out = widened_until(garment, back, part_alter(garment).hip, 4, shift_back);
    if (!out) return out;
    Piece& piece = *find_piece(out->garment.pieces, PieceRole::Back);
    const Length was = gathered_in(piece, EdgeRole::Waist);
    Edge& edge = gather_waist(piece, half_sewn(out->garment) - sewn);
    if (abs(edge.gathered) < Length::mm(0.5)) edge.gathered = {};
    if (edge.gathered < Length{} || edge.gathered > length(edge.curve) * most_gathered)
        return refuse_amount(Why::AmountTooLarge, "width_at_hip", girth.front, was * -2.0, Length::mm(600));
    out->steps.push_back(gathers_step(piece, gathered_in(piece, EdgeRole::Waist) - was));
    return out;
}

}  // namespace sartorum
