#include "core/paper/redraw.h"

#include <cmath>

#include "core/paper/redraw_parts.h"
#include "core/pattern/blend.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

Edge& edge_with(Piece& piece, EdgeRole role, bool last = false)
{
    return piece.edges[*edge_index(piece, role, last)];
}

Guide guide_carried(Guide g, double level, Point by)
{
    if (g.a[Geom::Y] < level) g.a += by;
    if (g.b[Geom::Y] < level) g.b += by;
    return g;
}

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

// The side seam with its upper end moved, and everything from the hip line down; all the way where it has none.
Outcome<Curve> side_with_ends(const Piece& piece, Point at_waist, Point below)
{
    if (!guide(piece, GuideKind::Hip)) return eased(edge(piece, EdgeRole::Side).curve, at_waist, below);
    const auto parts = side_parts(piece);
    if (!parts) return tl::make_unexpected(parts.error());
    // A leg is no wider below for it: to nothing at the hem.
    const bool leg = edge_index(piece, EdgeRole::InnerLeg).has_value();
    return joined(eased(parts->waist_to_hip, at_waist, below),
                  leg ? eased(parts->below, below, no_shift) : moved(parts->below, below));
}

// The centre with its lower end carried: all of it drawn anew; of a crotch seam what lies above the hip line, and
// the curve rides below it.
Curve centre_carried(const Piece& piece, Point by)
{
    const Curve& centre = edge(piece, EdgeRole::Centre).curve;
    if (!edge_index(piece, EdgeRole::InnerLeg)) return eased(centre, by, no_shift);
    const auto times = times_where(centre, Geom::Y, guide(piece, GuideKind::Hip)->a[Geom::Y]);
    if (times.empty()) return eased(centre, by, no_shift);
    const double time = at_node(centre, times.back());
    if (time < 0.5 || time > static_cast<double>(centre.size_default()) - 0.5) return eased(centre, by, no_shift);
    const auto [below, above] = split(centre, time);
    return joined(moved(below, by), eased(above, by, no_shift));
}

}  // namespace

void settle_level_guides(Piece& piece)
{
    const bool leg = edge_index(piece, EdgeRole::InnerLeg).has_value();
    for (auto& g : piece.guides) {
        if (g.kind == GuideKind::Grain || g.kind == GuideKind::Crease) continue;
        const auto span = lies_across(piece, g.a[Geom::Y]);
        if (!span) continue;
        if (leg) g.a[Geom::X] = span->from;
        g.b = {g.a[Geom::X] + span->to - span->from, g.a[Geom::Y]};
    }
}

Outcome<Piece> side_moved(const Piece& piece, Length at_waist, Length at_hip)
{
    // A yoke is a ring: out is along its waist.
    const Curve& top = piece.edges[*edge_index(piece, EdgeRole::Waist, true)].curve;
    const bool ring = !guide(piece, GuideKind::Hip);
    const Point waist = (ring ? end_direction(top) : Point{1, 0}) * at_waist.in_mm();
    const Point hip{at_hip.in_mm(), 0};
    const auto line = side_with_ends(piece, waist, hip);
    if (!line) return tl::make_unexpected(line.error());
    Piece out = piece;
    edge_with(out, EdgeRole::Side).curve = *line;
    auto& waist_edge = edge_with(out, EdgeRole::Waist, true);
    waist_edge.curve = eased(waist_edge.curve, no_shift, waist);
    auto& hem = edge_with(out, bottom_role(piece));
    const bool leg = edge_index(piece, EdgeRole::InnerLeg).has_value();
    hem.curve = eased(hem.curve, leg ? no_shift : hip, no_shift);
    const auto& side = edge(out, EdgeRole::Side).curve;
    const double least = waist_edge.curve.initialPoint()[Geom::X];
    if (side.initialPoint()[Geom::X] <= least + 10.0) {
        return refuse_amount(Why::AmountTooLarge, piece.id, at_waist, -(length(waist_edge.curve)),
                             Length::mm(200));
    }
    for (auto& n : out.notches) {
        if (n.on == EdgeRole::Side) n.at += hip;
    }
    settle_notches(out);
    settle_level_guides(out);
    return out;
}

Outcome<Piece> side_trued(const Piece& before, const Piece& after, Point by)
{
    const auto parts = side_parts(before);
    if (!parts) return tl::make_unexpected(parts.error());
    Piece out = after;
    edge_with(out, EdgeRole::Side).curve =
        joined(eased(parts->waist_to_hip, no_shift, by), moved(parts->below, by));
    // The centre is straight through the cut: one line again, not two with a joint.
    edge_with(out, EdgeRole::Centre).curve = centre_carried(before, by);
    const auto cut_level = guide(before, GuideKind::LengthenShorten)->a[Geom::Y];
    for (auto& g : out.guides) {
        if (g.kind == GuideKind::Grain || g.kind == GuideKind::Crease)
            g = guide_carried(*guide(before, g.kind), cut_level, by);
    }
    settle_notches(out);
    settle_level_guides(out);
    return out;
}

Outcome<Piece> hem_moved(const Piece& piece, Length amount)
{
    const auto below = below_fitted(piece);
    if (!below) return tl::make_unexpected(below.error());
    const std::size_t next = *edge_index(piece, EdgeRole::Hem) + 1;  // the centre, or the inner leg
    const bool legs = piece.edges[next].role == EdgeRole::InnerLeg;
    const Length room = (legs ? std::min(*below, length(piece.edges[next].curve)) : *below) - Length::mm(20);
    if (-amount > room) return refuse_amount(Why::AmountTooLarge, piece.id, amount, -room, Length::mm(800));
    Piece out = piece;
    auto& side = edge_with(out, EdgeRole::Side, true);
    auto& centre = out.edges[next];
    auto& hem = edge_with(out, EdgeRole::Hem);
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

Outcome<Piece> side_waist_raised(const Piece& piece, Length amount)
{
    const Point up{0, amount.in_mm()};
    const auto line = side_with_ends(piece, up, no_shift);
    if (!line) return tl::make_unexpected(line.error());
    Piece out = piece;
    edge_with(out, EdgeRole::Side).curve = *line;
    auto& waist_edge = edge_with(out, EdgeRole::Waist, true);
    waist_edge.curve = eased(waist_edge.curve, no_shift, up);
    return out;
}

Length top_length(const Piece& piece)
{
    return flat_length(piece, piece.edges.front().role);
}

Piece top_raised(const Piece& piece, Length amount, double from, double to)
{
    Piece out = piece;
    const EdgeRole role = piece.edges.front().role;
    const double whole = top_length(piece).in_mm();
    const auto lift = [&](double at) { return Point{0, amount.in_mm() * (1 - at * at * (3 - 2 * at))}; };
    double at = from;
    std::size_t last = 0;
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        Edge& e = out.edges[i];
        const bool mouth = e.role == EdgeRole::DartMouth && last + 1 == i;
        if (e.role != role && !mouth) break;
        last = i;
        if (mouth) {
            e.curve = moved(e.curve, lift(at));
            continue;
        }
        const double next = at + length(e.curve).in_mm() / whole * (to - from);
        e.curve = eased_part(e.curve, {0, amount.in_mm()}, no_shift, at, next);
        at = next;
    }
    // The flanks run on as they were going, and the edge to their ends.
    Curve& inner = out.edges.back().curve;
    Curve& outer = out.edges[last + 1].curve;
    inner = redraw::end_moved(inner, Length::mm(lift(from)[Geom::Y]));
    outer = reversed(redraw::end_moved(reversed(outer), Length::mm(lift(to)[Geom::Y])));
    Curve& first = out.edges.front().curve;
    first = eased(first, inner.finalPoint() - first.initialPoint(), no_shift);
    Curve& end = out.edges[last].curve;
    end = eased(end, no_shift, outer.initialPoint() - end.finalPoint());
    settle_darts(out);
    settle_notches(out);
    return out;
}

Outcome<EvenedSides> sides_evened_at_waist(const Piece& front, const Piece& back, Length ease)
{
    return redraw::sides_evened(front, back, ease, Length::mm(0.01), redraw::SideEnd::Upper, side_waist_raised);
}

}  // namespace sartorum
