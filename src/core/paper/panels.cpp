#include "core/paper/panels.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <limits>

namespace sartorum {
namespace {

struct Crossing {
    std::size_t edge;
    double time;
    Point at;
    double along;  // along the line
};

// Where the outline meets the line laid on the x axis. Ends of edges are counted once, at the start.
std::vector<Crossing> crossings(const Piece& piece, const Geom::Affine& onto_axis)
{
    std::vector<Crossing> out;
    for (std::size_t e = 0; e < piece.edges.size(); ++e) {
        const Curve laid = piece.edges[e].curve * onto_axis;
        for (std::size_t i = 0; i < laid.size_default(); ++i) {
            for (const double t : laid[i].roots(0.0, Geom::Y)) {
                // At the end of a segment it is the next one's; either may have it, or both, where rounding falls.
                const bool end = t > 1.0 - 1e-9;
                const bool last = end && i + 1 == laid.size_default();
                const double time = last ? 0 : static_cast<double>(i) + (end ? 1.0 : t < 1e-9 ? 0.0 : t);
                const std::size_t edge = last ? (e + 1) % piece.edges.size() : e;
                const Crossing c{edge, time, piece.edges[edge].curve.pointAt(time), laid[i].valueAt(t, Geom::X)};
                const bool known = std::any_of(out.begin(), out.end(), [&](const Crossing& x) {
                    return x.edge == c.edge && std::abs(x.time - c.time) < 1e-9;
                });
                if (!known) out.push_back(c);
            }
        }
    }
    return out;
}

// The edges travelled from one crossing to the other, the first and last in part.
std::vector<Edge> travelled(const Piece& piece, const Crossing& from, const Crossing& to)
{
    std::vector<Edge> out;
    const std::size_t n = piece.edges.size();
    for (std::size_t k = 0; k <= n; ++k) {
        const std::size_t i = (from.edge + k) % n;
        Edge e = piece.edges[i];
        e.run = static_cast<int>(i);
        const auto end = static_cast<double>(e.curve.size_default());
        if (k == 0 && from.time > 1e-9) {
            e.curve = split(e.curve, from.time).after;
            e.part = 1;
        } else if (i == to.edge && k > 0) {
            if (to.time > 1e-9 && to.time < end) {
                e.curve = split(e.curve, to.time).before;
                e.part = 0;
                out.push_back(std::move(e));
            }
            return out;
        }
        out.push_back(std::move(e));
    }
    return out;
}

Piece panel_of(const Piece& piece, std::vector<Edge> edges)
{
    Piece out = piece;
    out.edges = std::move(edges);
    Edge cut{
        EdgeRole::Cut, straight(out.edges.back().curve.finalPoint(), out.edges.front().curve.initialPoint()), {}};
    cut.run = -1;
    out.edges.push_back(std::move(cut));
    return out;
}

// No nearer than this: the nearest place of a curve is costly to find, its box is not.
double off_box(const Curve& c, Point at)
{
    return Geom::distance(at, *c.boundsFast());
}

// Where a place on the outline lies on its edges; the end of one edge is the start of the next.
std::optional<Crossing> on_outline(const Piece& piece, Point at)
{
    std::optional<Crossing> best;
    double least = mark_within.in_mm();
    for (std::size_t e = 0; e < piece.edges.size(); ++e) {
        const Curve& c = piece.edges[e].curve;
        if (off_box(c, at) >= least) continue;
        const auto near = nearest(c, at);
        if (near.off >= least) continue;
        least = near.off;
        const bool end = near.time > static_cast<double>(c.size_default()) - 1e-7;
        const Point on = c.pointAt(near.time);
        best = end ? Crossing{(e + 1) % piece.edges.size(), 0, on, 0}
                   : Crossing{e, near.time < 1e-7 ? 0 : near.time, on, 0};
    }
    return best;
}

// How far a mark lies from the paper's own edge of a panel.
double off_runs(const Piece& panel, Point at)
{
    double least = std::numeric_limits<double>::max();
    for (const auto& e : panel.edges) {
        if (e.run < 0 || off_box(e.curve, at) >= least) continue;
        least = std::min(least, nearest(e.curve, at).off);
    }
    return least;
}

// Each mark on the panel it lies on. A guide that crosses the line stays whole on the first panel.
void share_marks(CutPiece& cut)
{
    const auto second_edge = [&](Point p) { return off_runs(cut.second, p) < off_runs(cut.first, p); };
    const auto share = [&](auto marks_of, auto place) {
        auto& first = std::invoke(marks_of, cut.first);
        auto& second = std::invoke(marks_of, cut.second);
        second.clear();
        const auto stays = std::stable_partition(first.begin(), first.end(),
                                                 [&](const auto& m) { return !second_edge(place(m)); });
        second.insert(second.end(), stays, first.end());
        first.erase(stays, first.end());
    };
    const Geom::Path inside = outline(cut.second);
    const auto second_area = [&](Point p) { return inside.winding(p) != 0; };
    share(&Piece::notches, [](const Notch& n) { return n.at; });
    share(&Piece::darts, [](const Dart& d) { return (d.leg_a + d.leg_b) / 2; });
    const auto wholly = [&](const Guide& g) {
        return second_area(g.a * 0.98 + g.b * 0.02) && second_area(g.b * 0.98 + g.a * 0.02);
    };
    std::erase_if(cut.first.guides, wholly);
    std::erase_if(cut.second.guides, [&](const Guide& g) { return !wholly(g); });
    if (cut.first.bust_point) {
        (second_area(*cut.first.bust_point) ? cut.first : cut.second).bust_point.reset();
    }
}

}  // namespace

Outcome<CutPiece> cut_along(const Piece& piece, const Polygon& drawn)
{
    const auto from = on_outline(piece, drawn.front());
    const auto to = on_outline(piece, drawn.back());
    if (!from || !to || from->edge == to->edge) return refuse(Why::LineMissesPiece, piece.id);
    // A line drawn by hand ends on the edge, not a hair beside it.
    Polygon way = drawn;
    way.front() = from->at;
    way.back() = to->at;
    CutPiece out{panel_of(piece, travelled(piece, *from, *to)), panel_of(piece, travelled(piece, *to, *from)),
                 way.front(), way.back()};
    const auto along = [&](Polygon line) {
        Curve c{line.front()};
        for (std::size_t i = 1; i < line.size(); ++i)
            c = i == 1 ? straight(line[0], line[1]) : joined(c, straight(line[i - 1], line[i]));
        return c;
    };
    out.first.edges.back().curve = along({way.rbegin(), way.rend()});
    out.second.edges.back().curve = along(way);
    share_marks(out);
    return out;
}

Outcome<CutPiece> cut_through(const Piece& piece, Point at, Point direction)
{
    const Point d = Geom::unit_vector(direction);
    const Geom::Affine onto_axis = Geom::Translate(-at) * Geom::Rotate(Geom::Point{d[Geom::X], -d[Geom::Y]});
    auto found = crossings(piece, onto_axis);
    if (found.size() != 2 || found[0].edge == found[1].edge) return refuse(Why::LineMissesPiece, piece.id);
    if (found[0].along > found[1].along) std::swap(found[0], found[1]);

    // Clockwise from where the line enters to where it leaves runs over the left side.
    CutPiece out{panel_of(piece, travelled(piece, found[0], found[1])),
                 panel_of(piece, travelled(piece, found[1], found[0])), found[0].at, found[1].at};
    const auto on_left = [&](Point p) { return (p * onto_axis)[Geom::Y] >= 0; };
    std::erase_if(out.first.notches, [&](const Notch& n) { return !on_left(n.at); });
    std::erase_if(out.second.notches, [&](const Notch& n) { return on_left(n.at); });
    std::erase_if(out.first.darts, [&](const Dart& x) { return !on_left(x.leg_a); });
    std::erase_if(out.second.darts, [&](const Dart& x) { return on_left(x.leg_a); });
    // A guide that crosses the line stays whole on the first panel; one wholly beyond rides with the second.
    std::erase_if(out.first.guides, [&](const Guide& g) { return !on_left(g.a) && !on_left(g.b); });
    std::erase_if(out.second.guides, [&](const Guide& g) { return on_left(g.a) || on_left(g.b); });
    return out;
}

Piece rejoined(const Piece& first, const Piece& second)
{
    std::vector<Edge> parts;
    for (const auto* panel : {&first, &second}) {
        for (const auto& e : panel->edges) {
            if (e.run >= 0) parts.push_back(e);
        }
    }
    std::stable_sort(parts.begin(), parts.end(), [](const Edge& a, const Edge& b) {
        return a.run != b.run ? a.run < b.run : a.part < b.part;
    });
    Piece out = first;
    out.edges.clear();
    for (auto& e : parts) {
        if (!out.edges.empty() && out.edges.back().run == e.run) {
            out.edges.back().curve = joined(out.edges.back().curve, e.curve);
        } else {
            out.edges.push_back(e);
        }
    }
    for (auto& e : out.edges) e.part = 0;
    out.notches.insert(out.notches.end(), second.notches.begin(), second.notches.end());
    out.darts.insert(out.darts.end(), second.darts.begin(), second.darts.end());
    out.guides.insert(out.guides.end(), second.guides.begin(), second.guides.end());
    if (!out.bust_point) out.bust_point = second.bust_point;
    return out;
}

Outcome<SpreadPiece> spread_across(const Piece& piece, Point at, Point direction, Point by)
{
    auto cut = cut_through(piece, at, direction);
    if (!cut) return tl::make_unexpected(cut.error());
    SpreadPiece out{*cut, moved(cut->second, Geom::Translate(by)), {}, {}};
    out.whole = rejoined(cut->first, out.second);
    out.strip = {cut->enters, cut->leaves, cut->leaves + by, cut->enters + by};
    return out;
}

Outcome<SpreadPiece> panel_moved(const Piece& piece, const Polygon& way, const Motion& motion)
{
    auto cut = cut_along(piece, way);
    if (!cut) return tl::make_unexpected(cut.error());
    const Geom::Affine how = whole_motion(motion);
    SpreadPiece out{*cut, moved(cut->second, how), {}, way};
    out.whole = rejoined(cut->first, out.second);
    for (auto p = way.rbegin(); p != way.rend(); ++p) out.strip.push_back(*p * how);
    return out;
}

Outcome<FoldedPiece> folded_out(const Piece& piece, Point at, Point direction, Point by)
{
    auto near_cut = cut_through(piece, at, direction);
    if (!near_cut) return tl::make_unexpected(near_cut.error());
    auto far_cut = cut_through(piece, at + by, direction);
    if (!far_cut) return tl::make_unexpected(far_cut.error());
    FoldedPiece out{*near_cut, {}, {near_cut->enters, near_cut->leaves, far_cut->leaves, far_cut->enters}};
    // What is marked on the band itself goes to the line it is folded to.
    Piece rest = far_cut->second;
    for (const auto& n : near_cut->second.notches) {
        const bool below = std::any_of(rest.notches.begin(), rest.notches.end(),
                                       [&](const Notch& m) { return Geom::distance(m.at, n.at) < 1e-9; });
        if (!below) rest.notches.push_back(n);
    }
    for (const auto& g : near_cut->second.guides) {
        const bool below =
            std::any_of(rest.guides.begin(), rest.guides.end(), [&](const Guide& h) { return h.kind == g.kind; });
        if (!below) rest.guides.push_back(g);
    }
    out.whole = rejoined(near_cut->first, moved(rest, Geom::Translate(-by)));
    return out;
}

}  // namespace sartorum
