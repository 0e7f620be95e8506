// The lower edge and the side seam of a bodice drawn anew.
#include "core/paper/bodice_redraw.h"

#include <algorithm>
#include <cmath>

#include "core/paper/dart_redraw.h"
#include "core/paper/redraw_parts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace redraw {

std::size_t index_of(const Piece& p, EdgeRole role, bool last)
{
    return *edge_index(p, role, last);
}

Run run_of(const Piece& p, EdgeRole role)
{
    return {index_of(p, role), index_of(p, role, true)};
}

// Straight stays straight, curved keeps its directions.
bool is_line(const Curve& c)
{
    return c.size_default() == 1 && is_straight(c, 0);
}

Curve trued(const Curve& c, Point at_start, Point at_end)
{
    return is_line(c) ? sheared(c, at_start, at_end) : eased(c, at_start, at_end);
}

// The side seam's last edge drawn anew: what meets it at either end keeps its corner.
void redraw_side(Piece& p, std::size_t side, const Curve& line)
{
    const Curve old = p.edges[side].curve;
    const double above = Geom::angle_between(start_direction(old), start_direction(line));
    const double below = Geom::angle_between(end_direction(old), end_direction(line));
    // Its notches stay as far from its upper end as they were, on front and back alike.
    for (auto& n : p.notches) {
        if (n.on != EdgeRole::Side) continue;
        const auto near = nearest(old, n.at);
        if (near.off > 0.1 || !near.inside) continue;
        n.at = line.pointAt(time_at(line, length_to(old, near.time)));
    }
    p.edges[side].curve = line;
    if (p.edges[side - 1].role == EdgeRole::Armhole)
        redraw_edge(p, side - 1, end_cornered(p.edges[side - 1].curve, above));
    redraw_edge(p, side + 1, start_cornered(p.edges[side + 1].curve, below));
}

}  // namespace redraw

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

namespace {

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
