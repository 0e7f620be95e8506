#include "core/paper/redraw/bodice.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr double smoothed_over = 15;  // mm of a centre seam drawn anew below an overlap

std::size_t edge_at(const Piece& p, EdgeRole role, bool last = false)
{
    return *edge_index(p, role, last);
}

// Parted at the nearest place; a mark that lies at or beyond an end parts a hair inside it, so that both parts are
// lines.
Halves parted_at(const Curve& c, Point where)
{
    constexpr double hair = 1e-3;
    return split(c, std::clamp(nearest(c, where).time, hair, static_cast<double>(c.size_default()) - hair));
}

}  // namespace

Piece upper_turned(const Piece& piece, Point centre_cut, Point hinge, double radians)
{
    Piece out = piece;
    const Geom::Affine how = turn_about(hinge, radians);
    const std::size_t hole = edge_at(piece, EdgeRole::Armhole);
    const std::size_t centre = edge_at(piece, EdgeRole::Centre);
    turn_edges(out, 0, hole - 1, how);
    const Curve& armhole = piece.edges[hole].curve;
    const auto [above, below] = parted_at(armhole, hinge);
    redraw_edge(out, hole, smoothly_joined(above * how, below));
    const Curve& line = piece.edges[centre].curve;
    const auto parted = [&](Point where) { return parted_at(line, where); };
    const Curve high = parted(centre_cut).after * how;
    const Point opened = high.initialPoint();
    // One long line over the gap, upright below it, leaning as the upper part does above; over an overlap it
    // starts a little lower.
    const bool overlap = opened[Geom::Y] < centre_cut[Geom::Y];
    const Point from = overlap ? Point{centre_cut[Geom::X], opened[Geom::Y] - smoothed_over} : centre_cut;
    const Curve low = parted(from).before;
    const double third = Geom::distance(opened, from) / 3;
    const Curve gap =
        cubic(from, from + end_direction(low) * third, opened - start_direction(high) * third, opened);
    out.edges[centre].curve = joined(joined(low, gap), high);
    for (auto& g : out.guides) {
        if (g.kind == GuideKind::Grain) continue;
        if (g.a[Geom::Y] > centre_cut[Geom::Y] + 1e-6) g = {g.kind, g.a * how, g.b * how};
    }
    settle_darts(out);
    settle_notches(out);
    return out;
}

Piece lower_turned(const Piece& piece, Point centre_upper, Point centre_lower, Point hinge, double radians)
{
    Piece out = piece;
    const Geom::Affine how = turn_about(hinge, radians);
    const std::size_t side = edge_at(piece, EdgeRole::Side, true);
    const std::size_t centre = edge_at(piece, EdgeRole::Centre);
    const auto [above, below] = parted_at(piece.edges[side].curve, hinge);
    redraw_edge(out, side, smoothly_joined(above, below * how));
    turn_edges(out, side + 1, centre - 1, how);
    const Curve& line = piece.edges[centre].curve;
    const Curve low = parted_at(line, centre_lower).before;
    const Curve high = parted_at(line, centre_upper).after;
    out.edges[centre].curve = smoothly_joined(low * how, high);
    for (auto& g : out.guides) {
        if (g.kind != GuideKind::Grain && g.a[Geom::Y] < centre_lower[Geom::Y] - 1e-6)
            g = {g.kind, g.a * how, g.b * how};
    }
    // A dart from the lower edge whose tip lies above the cut keeps its tip.
    for (std::size_t i = side + 1; i < centre; ++i) {
        if (piece.edges[i].role != EdgeRole::DartMouth) continue;
        const std::size_t d = dart_at(piece, i);
        if (piece.darts[d].tip[Geom::Y] > hinge[Geom::Y]) out.darts[d].tip = piece.darts[d].tip;
    }
    settle_darts(out);
    for (std::size_t i = side + 1; i < centre; ++i) {
        if (piece.edges[i].role == EdgeRole::DartMouth) settle_tip(out.darts[dart_at(piece, i)]);
    }
    settle_notches(out);
    settle_bodice_guides(out);
    return out;
}

StraightenedCentre centre_straightened(const Piece& piece)
{
    Piece out = piece;
    const std::size_t neck = edge_at(piece, EdgeRole::Neck);
    const std::size_t bottom = edge_at(piece, bottom_role(piece), true);
    const std::size_t centre = edge_at(piece, EdgeRole::Centre);
    // Each end carried on along its own edge to the fold's line, then drawn square to it.
    const auto onto_fold = [](Point from, Point direction) {
        if (std::abs(direction[Geom::X]) < 1e-6) return Point{0, from[Geom::Y]};
        return from - direction * (from[Geom::X] / direction[Geom::X]);
    };
    const Curve& neck_line = piece.edges[neck].curve;
    const Curve& bottom_line = piece.edges[bottom].curve;
    const Point top = onto_fold(neck_line.initialPoint(), start_direction(neck_line));
    const Point low = onto_fold(bottom_line.finalPoint(), end_direction(bottom_line));
    const double square_top = Geom::angle_between(start_direction(neck_line), Point{1, 0});
    const double square_low = Geom::angle_between(end_direction(bottom_line), Point{-1, 0});
    const Length neck_before = length(neck_line);
    const Length bottom_before = length(bottom_line);
    redraw_edge(out, neck, start_turned(eased(neck_line, top - neck_line.initialPoint(), no_shift), square_top));
    redraw_edge(out, bottom, end_turned(eased(bottom_line, no_shift, low - bottom_line.finalPoint()), square_low));
    out.edges[centre].curve = straight(low, top);
    settle_darts(out);
    for (auto& g : out.guides) {
        if (g.kind != GuideKind::Grain) g.a = {0, g.a[Geom::Y]};
    }
    settle_notches(out);
    settle_bodice_guides(out);
    return {out, length(out.edges[neck].curve) - neck_before, length(out.edges[bottom].curve) - bottom_before};
}

}  // namespace sartorum
