#include "core/paper/redraw/bodice.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/parts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/shoulder.h"

namespace sartorum {
namespace {

void shift_edges(Piece& p, std::size_t first, std::size_t last, Point by)
{
    for (std::size_t i = first; i <= last; ++i) redraw_edge(p, i, moved(p.edges[i].curve, by));
}

void shift_guides_below(Piece& p, double level, Point by)
{
    for (auto& g : p.guides) {
        if (g.a[Geom::Y] < level - 1e-6) g.a += by;
        if (g.b[Geom::Y] < level - 1e-6) g.b += by;
    }
}

// The armhole with its tip shifted, running into the old line at the across line or at the underarm.
Curve tip_run_to(const Piece& p, ArmholeReach reach, Point by)
{
    const Curve& hole = edge(p, EdgeRole::Armhole).curve;
    const auto near = nearest(hole, guide(p, GuideKind::Across)->b);
    if (reach == ArmholeReach::Underarm || !near.inside) return eased(hole, by, no_shift);
    const auto [above, below] = split(hole, near.time);
    return joined(eased(above, by, no_shift), below);
}

// The node between two of a curve's segments within a thumb's breadth of a place.
std::optional<Point> node_near(const Curve& c, Point at)
{
    constexpr double near = 25;
    std::optional<Point> best;
    for (std::size_t i = 1; i < c.size_default(); ++i) {
        const Point node = c[i].initialPoint();
        const double off = Geom::distance(node, at);
        if (off < near && (!best || off < Geom::distance(*best, at))) best = node;
    }
    return best;
}

// Where a level crosses the edges of one role, furthest from the centre.
std::optional<Point> crossing(const Piece& p, EdgeRole role, double level)
{
    std::optional<Point> best;
    for (const auto& e : p.edges) {
        if (e.role != role) continue;
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            for (const double t : e.curve[i].roots(level, Geom::Y)) {
                const Point at = e.curve[i].pointAt(t);
                if (!best || at[Geom::X] > (*best)[Geom::X]) best = at;
            }
        }
    }
    return best;
}

}  // namespace

Point neck_point(const Piece& p)
{
    return edge(p, EdgeRole::Shoulder).curve.initialPoint();
}
Point shoulder_tip(const Piece& p)
{
    return edge(p, EdgeRole::Armhole).curve.initialPoint();
}
Point underarm(const Piece& p)
{
    return p.edges[redraw::index_of(p, EdgeRole::Armhole, true)].curve.finalPoint();
}

Curve shoulder_run(const Piece& p)
{
    return closed_run(p, EdgeRole::Shoulder);
}

Point off_shoulder(const Piece& p)
{
    const Curve s = shoulder_run(p);
    return Geom::rot90(Geom::unit_vector(s.finalPoint() - s.initialPoint()));
}

void redraw_edge(Piece& p, std::size_t index, Curve line)
{
    Edge& e = p.edges[index];
    const bool same_nodes = e.curve.size_default() == line.size_default();
    for (auto& n : p.notches) {
        if (n.on != e.role) continue;
        const auto near = nearest(e.curve, n.at);
        if (near.off > 0.1) continue;
        n.at = line.pointAt(same_nodes ? near.time : nearest(line, n.at).time);
    }
    e.curve = std::move(line);
}

void settle_bodice_guides(Piece& p)
{
    for (auto& g : p.guides) {
        if (g.kind == GuideKind::Grain || g.kind == GuideKind::Bust) continue;
        // The across line stands at the armhole's own node, so that cutting there leaves no sliver of a curve.
        if (g.kind == GuideKind::Across) {
            const auto node = node_near(edge(p, EdgeRole::Armhole).curve, g.b);
            if (node) {
                g = {g.kind, {g.a[Geom::X], (*node)[Geom::Y]}, *node};
                continue;
            }
        }
        const auto end =
            crossing(p, g.kind == GuideKind::Across ? EdgeRole::Armhole : EdgeRole::Side, g.b[Geom::Y]);
        if (end) g.b = *end;
    }
}

void keep_underarm_corner(Piece& p, const Piece& was)
{
    const std::size_t side = redraw::index_of(p, EdgeRole::Side);
    const Curve& before = was.edges[redraw::index_of(was, EdgeRole::Side)].curve;
    const double leant = Geom::angle_between(start_direction(before), start_direction(p.edges[side].curve));
    redraw_edge(p, side - 1, end_cornered(p.edges[side - 1].curve, leant));
}

void settle_tip(Dart& d)
{
    const Point middle = (d.leg_a + d.leg_b) / 2;
    const Point square = Geom::unit_vector(Geom::rot90(d.leg_b - d.leg_a));
    const double along = Geom::dot(d.tip - middle, square);
    d.tip = middle + square * along;
}

Point with_darts_closed(const Piece& p, Point shift)
{
    return shift * shoulder_darts_closed(p).withoutTranslation();
}

Piece shoulder_redrawn(const Piece& piece, Point neck_shift, Point tip_shift, ArmholeReach reach)
{
    Piece out = piece;
    const auto [first, last] = redraw::run_of(piece, EdgeRole::Shoulder);
    const double whole = sewn_length(piece, EdgeRole::Shoulder).in_mm();
    const Point before = end_direction(piece.edges[last].curve);
    const Point before_start = start_direction(piece.edges[first].curve);
    double along = 0;
    Geom::Affine closed = Geom::identity();
    Point open_shift = neck_shift;  // of the end of the edge before, where that edge lies
    for (std::size_t i = first; i <= last; ++i) {
        const Curve& c = piece.edges[i].curve;
        // The shift at a place of the closed seam, turned into where this edge lies open.
        const auto shift_at = [&](double s) {
            const Point closed_shift = neck_shift * (1 - s / whole) + tip_shift * (s / whole);
            return closed_shift * closed.withoutTranslation().inverse();
        };
        if (piece.edges[i].role == EdgeRole::DartMouth) {
            closed = closing(piece.darts[dart_at(piece, i)]) * closed;
            redraw_edge(out, i, sheared(c, open_shift, shift_at(along)));
        } else {
            const double to = along + length(c).in_mm();
            open_shift = shift_at(to);
            redraw_edge(out, i, sheared(c, shift_at(along), open_shift));
            along = to;
        }
    }
    settle_darts(out);
    // Neckline and armhole turn with the shoulder.
    const std::size_t neck = redraw::index_of(piece, EdgeRole::Neck, true);
    const std::size_t hole = redraw::index_of(piece, EdgeRole::Armhole);
    const double at_neck = Geom::angle_between(before_start, start_direction(out.edges[first].curve));
    const double at_tip = Geom::angle_between(before, end_direction(out.edges[last].curve));
    redraw_edge(out, neck, end_cornered(eased(piece.edges[neck].curve, no_shift, neck_shift), at_neck));
    redraw_edge(out, hole, start_turned(tip_run_to(piece, reach, open_shift), at_tip));
    settle_bodice_guides(out);
    return out;
}

namespace {

// A new line for the armhole; notches on what stayed of it stay.
void put_armhole(Piece& p, const Piece& was, Curve line)
{
    p.edges[redraw::index_of(p, EdgeRole::Armhole)].curve = std::move(line);
    for (std::size_t i = 0; i < p.notches.size(); ++i) {
        if (p.notches[i].on == EdgeRole::Armhole) p.notches[i] = was.notches[i];
    }
}

}  // namespace

Piece shoulder_tipped(const Piece& piece, Length amount)
{
    const Geom::Affine closed = shoulder_darts_closed(piece);
    const Curve seam = shoulder_run(piece);
    const Point neck = seam.initialPoint();
    const Point mark = seam.finalPoint() + off_shoulder(piece) * amount.in_mm();
    const Curve hole = edge(piece, EdgeRole::Armhole).curve * closed;
    const Curve kept = redraw::met(hole, neck, Geom::unit_vector(mark - neck));
    Piece out = shoulder_redrawn(piece, no_shift, kept.initialPoint() - seam.finalPoint());
    const std::size_t last = redraw::index_of(piece, EdgeRole::Shoulder, true);
    const double turned =
        Geom::angle_between(end_direction(piece.edges[last].curve), end_direction(out.edges[last].curve));
    Curve open = kept * closed.inverse();
    open.setInitial(shoulder_tip(out));
    const Point was = start_direction(edge(piece, EdgeRole::Armhole).curve);
    const auto corner = redraw::corner_turn(start_direction(open), was, turned);
    put_armhole(out, piece, start_cornered(open, corner.radians, corner.reach));
    settle_notches(out);
    settle_bodice_guides(out);
    return out;
}

Piece shoulder_corner_moved(const Piece& piece, Point corner, const Geom::Affine& how, Point tip)
{
    const Curve& hole = edge(piece, EdgeRole::Armhole).curve;
    const Point was = shoulder_tip(piece);
    // A seam in the armhole above that place: its upper part is trued as a whole.
    const double time = nearest(hole, corner).time;
    if (time < 0.05 || time > static_cast<double>(hole.size_default()) - 0.05)
        return shoulder_redrawn(piece, no_shift, with_darts_closed(piece, tip - was), ArmholeReach::Underarm);
    Piece out = shoulder_redrawn(piece, no_shift, with_darts_closed(piece, tip - was));
    const auto [above, below] = split(hole, time);
    const Curve moved_above = eased(above * how, shoulder_tip(out) - was * how, no_shift);
    const double turned = Geom::angle_between(end_direction(above), end_direction(moved_above));
    const Point step = corner * how - corner;
    // Square to the shoulder as before, which leans a little more or less now.
    const std::size_t seam = redraw::index_of(piece, EdgeRole::Shoulder, true);
    const double leans =
        Geom::angle_between(end_direction(piece.edges[seam].curve * how), end_direction(out.edges[seam].curve));
    const Curve line =
        joined(start_cornered(moved_above, leans), start_turned(eased(below, step, no_shift), turned));
    const std::size_t index = redraw::index_of(out, EdgeRole::Armhole);
    out.edges[index].curve = hole;
    for (std::size_t i = 0; i < out.notches.size(); ++i) {  // those of the armhole ride below
        if (out.notches[i].on == EdgeRole::Armhole) out.notches[i] = piece.notches[i];
    }
    redraw_edge(out, index, line);
    for (auto& g : out.guides) {
        if (g.kind == GuideKind::Across) g.b = corner * how;
    }
    settle_bodice_guides(out);
    return out;
}

Piece lowered_at_across(const Piece& piece, Point by)
{
    Piece out = piece;
    const double level = guide(piece, GuideKind::Across)->a[Geom::Y];
    const std::size_t hole = redraw::index_of(piece, EdgeRole::Armhole, true);
    const std::size_t centre = redraw::index_of(piece, EdgeRole::Centre);
    for (std::size_t i = hole + 1; i < centre; ++i) {
        if (piece.edges[i].role == EdgeRole::DartMouth) out.darts[dart_at(piece, i)].tip += by;
    }
    redraw_edge(out, hole, eased(piece.edges[hole].curve, no_shift, by));
    shift_edges(out, hole + 1, centre - 1, by);
    const Curve& centre_line = piece.edges[centre].curve;
    // The lowest place of a low neckline lies below the line, and goes down with it.
    if (centre_line.finalPoint()[Geom::Y] < level) {
        const std::size_t neck = redraw::index_of(piece, EdgeRole::Neck);
        redraw_edge(out, centre, moved(centre_line, by));
        redraw_edge(out, neck, eased(piece.edges[neck].curve, by, no_shift));
    } else {
        redraw_edge(out, centre, redraw::trued(centre_line, by, no_shift));
    }
    settle_darts(out);
    shift_guides_below(out, level, by);
    if (out.bust_point && (*out.bust_point)[Geom::Y] < level) *out.bust_point += by;
    settle_bodice_guides(out);
    return out;
}

Piece lowered_at_line(const Piece& piece, Point by)
{
    Piece out = piece;
    const double level = guide(piece, GuideKind::LengthenShorten)->a[Geom::Y];
    const std::size_t side = redraw::index_of(piece, EdgeRole::Side, true);
    const std::size_t centre = redraw::index_of(piece, EdgeRole::Centre);
    const Curve& line = piece.edges[side].curve;
    // With a hem the waist keeps its shape: only what lies between the dart and the waist is trued.
    if (line.size_default() == 2) {
        const auto [above, below] = split(line, 1.0);
        redraw_edge(out, side, joined(eased(above, no_shift, by), moved(below, by)));
    } else {
        redraw::redraw_side(out, side, redraw::trued(line, no_shift, by));
    }
    for (auto& n :
         out.notches) {  // a notch below the line goes with the paper, whatever the trued line's nodes do
        const auto old = piece.notches[static_cast<std::size_t>(&n - out.notches.data())];
        if (old.on != EdgeRole::Side) continue;
        n.at = old.at[Geom::Y] < level ? old.at + by : old.at;
    }
    shift_edges(out, side + 1, centre - 1, by);
    redraw_edge(out, centre, redraw::trued(piece.edges[centre].curve, by, no_shift));
    for (std::size_t i = side + 1; i < centre; ++i) {
        if (piece.edges[i].role != EdgeRole::DartMouth) continue;
        if (Dart& d = out.darts[dart_at(piece, i)]; d.tip[Geom::Y] < level) d.tip += by;
    }
    settle_darts(out);
    for (std::size_t i = side + 1; i < centre; ++i) {
        if (piece.edges[i].role == EdgeRole::DartMouth) settle_tip(out.darts[dart_at(piece, i)]);
    }
    settle_notches(out);
    shift_guides_below(out, level, by);
    if (out.bust_point && (*out.bust_point)[Geom::Y] < level) *out.bust_point += by;
    settle_bodice_guides(out);
    return out;
}

}  // namespace sartorum
