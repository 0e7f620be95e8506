#include "core/paper/redraw/lower_edge.h"

#include <algorithm>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/parts.h"
#include "core/pattern/blend.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// How much of the side seam lies below what is fitted: the hip line, or the waist of what hangs from the shoulder.
Outcome<Length> below_fitted(const Piece& piece)
{
    if (rules(*piece.part).fitted_to == GuideKind::Hip) {
        const auto parts = side_parts(piece);
        if (!parts) return tl::make_unexpected(parts.error());
        return length(parts->below);
    }
    const auto waist = guide(piece, GuideKind::Waist);
    const Curve& side = piece.edges[*edge_index(piece, EdgeRole::Side, true)].curve;
    if (!waist || bottom_role(piece) != EdgeRole::Hem) return refuse(Why::EdgeMissing, piece.id + ": hem");
    return Length::mm(waist->b[Geom::Y] - side.finalPoint()[Geom::Y]);
}

}  // namespace

Outcome<Piece> hem_moved(const Piece& piece, Length amount)
{
    const auto below = below_fitted(piece);
    if (!below) return tl::make_unexpected(below.error());
    const std::size_t next = *edge_index(piece, EdgeRole::Hem) + 1;  // the centre, or the inner leg
    const bool legs = piece.edges[next].role == EdgeRole::InnerLeg;
    const Length room = (legs ? std::min(*below, length(piece.edges[next].curve)) : *below) - Length::mm(20);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, piece.id, amount, -room, Length::mm(800));
    Piece out = piece;
    auto& side = redraw::edge_with(out, EdgeRole::Side, true);
    auto& centre = out.edges[next];
    auto& hem = redraw::edge_with(out, EdgeRole::Hem);
    side.curve = redraw::end_moved(side.curve, amount);
    centre.curve = reversed(redraw::end_moved(reversed(centre.curve), amount));
    hem.curve = eased(hem.curve, side.curve.finalPoint() - hem.curve.initialPoint(),
                      centre.curve.initialPoint() - hem.curve.finalPoint());
    for (auto& g : out.guides) {
        const double bottom = centre.curve.initialPoint()[Geom::Y] + 20.0;
        if (g.kind == GuideKind::Grain) {
            g.a[Geom::Y] = std::max(g.a[Geom::Y], bottom);
            g.b[Geom::Y] = std::max(g.b[Geom::Y], bottom);
        }
        if (g.kind == GuideKind::Crease) g.b[Geom::Y] = bottom - 20.0;
    }
    // Of shorts no knee is left.
    std::erase_if(out.guides, [&](const Guide& g) {
        return g.kind == GuideKind::Knee &&
               g.a[Geom::Y] < centre.curve.initialPoint()[Geom::Y] + line_least.in_mm();
    });
    settle_notches(out);
    return out;
}

Piece bottom_redrawn(const Piece& piece, Point at_side, Point at_centre)
{
    Piece out = piece;
    const auto [first, last] = redraw::run_of(piece, bottom_role(piece));
    const double whole = sewn_length(piece, bottom_role(piece)).in_mm();
    // Full at one end, with the ends' directions kept: square stays square.
    const auto shift_at = [&](double s) {
        const double w = s / whole * (s / whole) * (3 - 2 * s / whole);
        return at_side * (1 - w) + at_centre * w;
    };
    double along = 0;
    for (std::size_t i = first; i <= last; ++i) {
        const Curve& c = piece.edges[i].curve;
        if (piece.edges[i].role == EdgeRole::DartMouth) {
            redraw_edge(out, i, moved(c, shift_at(along)));
        } else {
            const double to = along + length(c).in_mm();
            redraw_edge(out, i, eased_part(c, at_side, at_centre, along / whole, to / whole));
            along = to;
        }
    }
    const std::size_t side = redraw::index_of(piece, EdgeRole::Side, true);
    const std::size_t centre = redraw::index_of(piece, EdgeRole::Centre);
    redraw::redraw_side(out, side, redraw::trued(piece.edges[side].curve, no_shift, at_side));
    redraw_edge(out, centre, redraw::trued(piece.edges[centre].curve, at_centre, no_shift));
    settle_darts(out);
    for (std::size_t i = first; i <= last; ++i) {
        if (piece.edges[i].role == EdgeRole::DartMouth) settle_tip(out.darts[dart_at(piece, i)]);
    }
    settle_bodice_guides(out);
    return out;
}

}  // namespace sartorum
