#include "core/paper/redraw/side.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/paper/redraw/parts.h"
#include "core/pattern/blend.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

Guide guide_carried(Guide g, double level, Point by)
{
    if (g.a[Geom::Y] < level) g.a += by;
    if (g.b[Geom::Y] < level) g.b += by;
    return g;
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

// The side seam's nodes from the underarm down, with how far each goes.
struct SideShift {
    double underarm;
    double waist;
    double bottom;
    double to_waist;  // along the seam
    double whole;
    [[nodiscard]] Point at(double along) const
    {
        const double above = to_waist > 0 ? along / to_waist : 1;
        const double below = whole > to_waist ? (along - to_waist) / (whole - to_waist) : 0;
        return {along <= to_waist ? underarm + (waist - underarm) * above : waist + (bottom - waist) * below, 0};
    }
};

SideShift side_shift(const Piece& p, Length at_underarm, Length at_waist, Length at_bottom)
{
    SideShift out{at_underarm.in_mm(), at_waist.in_mm(), at_bottom.in_mm(), 0,
                  sewn_length(p, EdgeRole::Side).in_mm()};
    const auto waist = guide(p, GuideKind::Waist);
    if (!waist) {
        out.waist = out.bottom;
        out.to_waist = out.whole;
        return out;
    }
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::Side) continue;
        const double time = nearest(e.curve, waist->b).time;
        if (time < static_cast<double>(e.curve.size_default()) - 1e-6) {
            out.to_waist += length_to(e.curve, time).in_mm();
            return out;
        }
        out.to_waist += length(e.curve).in_mm();
    }
    return out;
}

// One side edge with its nodes shifted: straight parts stay straight, curved ones keep their directions.
Curve side_edge_shifted(const Curve& c, const SideShift& shift, double along)
{
    std::optional<Curve> out;
    for (std::size_t k = 0; k < c.size_default(); ++k) {
        const Curve part = from_controls(controls(c, k));
        const double to = along + length(part).in_mm();
        const Curve moved_part = redraw::trued(part, shift.at(along), shift.at(to));
        out = out ? joined(*out, moved_part) : moved_part;
        along = to;
    }
    return *out;
}

// Armhole notches as far from the underarm as they were, where the sleeve's are.
void keep_from_underarm(Piece& out, const Piece& was, std::size_t side, const Curve& now)
{
    const Curve& hole = was.edges[side - 1].curve;
    for (std::size_t i = 0; i < out.notches.size(); ++i) {
        if (out.notches[i].on != EdgeRole::Armhole) continue;
        const auto near = nearest(hole, was.notches[i].at);
        if (near.off > 0.1) continue;
        const Length place = length(now) - (length(hole) - length_to(hole, near.time));
        if (place > Length{}) out.notches[i].at = now.pointAt(time_at(now, place));
    }
}

// The armhole keeps its curve: it ends at the new side line, or runs on outward to it as it was going; within the
// corner's reach it keeps its corner there. The side begins where they meet.
void meet_underarm(Piece& out, const Piece& was, std::size_t side)
{
    Curve& line = out.edges[side].curve;
    const Point from = line.initialPoint();
    const Point along = start_direction(line);
    const double turned = Geom::angle_between(start_direction(was.edges[side].curve), along);
    const Curve kept = reversed(redraw::met(reversed(was.edges[side - 1].curve), from, along));
    const Point under = kept.finalPoint();
    const double on = Geom::dot(under - from, along);
    if (redraw::is_line(line))
        line = straight(under, line.finalPoint());
    else if (on < -1e-9)
        line = joined(straight(under, from), line);
    else if (on > 1e-9)
        line = split(line, nearest(line, under).time).after;
    line.setInitial(under);
    const Curve& hole = was.edges[side - 1].curve;
    const auto corner = redraw::corner_turn(end_direction(kept), end_direction(hole), turned);
    out.edges[side - 1].curve = end_cornered(kept, corner.radians, corner.reach);
    keep_from_underarm(out, was, side, kept);
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
    redraw::edge_with(out, EdgeRole::Side).curve = *line;
    auto& waist_edge = redraw::edge_with(out, EdgeRole::Waist, true);
    waist_edge.curve = eased(waist_edge.curve, no_shift, waist);
    auto& hem = redraw::edge_with(out, bottom_role(piece));
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
    redraw::edge_with(out, EdgeRole::Side).curve =
        joined(eased(parts->waist_to_hip, no_shift, by), moved(parts->below, by));
    // The centre is straight through the cut: one line again, not two with a joint.
    redraw::edge_with(out, EdgeRole::Centre).curve = centre_carried(before, by);
    const auto cut_level = guide(before, GuideKind::LengthenShorten)->a[Geom::Y];
    for (auto& g : out.guides) {
        if (g.kind == GuideKind::Grain || g.kind == GuideKind::Crease)
            g = guide_carried(*guide(before, g.kind), cut_level, by);
    }
    settle_notches(out);
    settle_level_guides(out);
    return out;
}

Outcome<Piece> side_waist_raised(const Piece& piece, Length amount)
{
    const Point up{0, amount.in_mm()};
    const auto line = side_with_ends(piece, up, no_shift);
    if (!line) return tl::make_unexpected(line.error());
    Piece out = piece;
    redraw::edge_with(out, EdgeRole::Side).curve = *line;
    auto& waist_edge = redraw::edge_with(out, EdgeRole::Waist, true);
    waist_edge.curve = eased(waist_edge.curve, no_shift, up);
    return out;
}

Outcome<EvenedSides> sides_evened_at_waist(const Piece& front, const Piece& back, Length ease)
{
    return redraw::sides_evened(front, back, ease, Length::mm(0.01), redraw::SideEnd::Upper, side_waist_raised);
}

Piece underarm_lowered(const Piece& piece, Length down)
{
    if (down <= Length{}) return piece;
    const std::size_t side = redraw::index_of(piece, EdgeRole::Side);
    const Curve& seam = piece.edges[side].curve;
    const Curve rest = split(seam, time_at(seam, down)).after;
    const Curve& hole = piece.edges[side - 1].curve;
    const double turned = Geom::angle_between(start_direction(seam), start_direction(rest));
    const Curve drawn = end_turned(eased(hole, no_shift, rest.initialPoint() - hole.finalPoint()), turned);
    Piece out = piece;
    out.edges[side].curve = rest;
    out.edges[side - 1].curve = drawn;
    keep_from_underarm(out, piece, side, drawn);
    settle_bodice_guides(out);
    return out;
}

Piece side_redrawn(const Piece& piece, Length at_underarm, Length at_waist, Length at_bottom)
{
    const SideShift shift = side_shift(piece, at_underarm, at_waist, at_bottom);
    const auto [first, last] = redraw::run_of(piece, EdgeRole::Side);
    Piece out = bottom_redrawn(piece, {at_bottom.in_mm(), 0}, no_shift);
    const Point bottom_was = end_direction(out.edges[last].curve);
    for (auto& n : out.notches) {  // those of the side ride below
        if (n.on == EdgeRole::Side) n = piece.notches[static_cast<std::size_t>(&n - out.notches.data())];
    }
    double along = 0;
    for (std::size_t i = first; i <= last; ++i) {
        const Curve& c = piece.edges[i].curve;
        if (piece.edges[i].role == EdgeRole::DartMouth) {
            out.edges[i].curve = moved(c, shift.at(along));
            continue;
        }
        const Curve line = side_edge_shifted(c, shift, along);
        out.edges[i].curve = c;
        redraw_edge(out, i, line);
        along += length(c).in_mm();
    }
    settle_darts(out);
    for (std::size_t i = first; i <= last; ++i) {
        if (piece.edges[i].role == EdgeRole::DartMouth) redraw_dart(out, i, piece.darts[dart_at(piece, i)].tip);
    }
    for (auto& g : out.guides) {  // the bust line's outer end goes with the underarm
        if (g.kind == GuideKind::Bust) g.b += shift.at(0);
    }
    meet_underarm(out, piece, first);
    const double below = Geom::angle_between(bottom_was, end_direction(out.edges[last].curve));
    redraw_edge(out, last + 1, start_cornered(out.edges[last + 1].curve, below));
    settle_notches(out);
    settle_darts(out);
    settle_bodice_guides(out);
    return out;
}

Outcome<EvenedSides> sides_evened_below(const Piece& front, const Piece& back, Length ease)
{
    const auto raised = [](const Piece& p, Length up) {
        const Curve& side = p.edges[redraw::index_of(p, EdgeRole::Side, true)].curve;
        return Outcome<Piece>{bottom_redrawn(p, -(end_direction(side) * up.in_mm()), no_shift)};
    };
    return redraw::sides_evened(front, back, ease, Length::mm(0.005), redraw::SideEnd::Lower, raised);
}

}  // namespace sartorum
