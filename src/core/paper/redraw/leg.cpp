#include "core/paper/redraw/leg.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/side.h"
#include "core/pattern/dart.h"
#include "core/units/settle.h"

namespace sartorum {
namespace {

std::size_t at_edge(const Piece& p, EdgeRole role, bool last = false)
{
    return *edge_index(p, role, last);
}

// How a shift must change at an end for the direction there to turn as another did.
Point turned_as(Point along, Point was, Point is)
{
    return along * Geom::Rotate{Geom::angle_between(was, is)} - along;
}

// The hem's ends go with the seams, and turn as they do.
void hem_follows(Piece& out, const Piece& was)
{
    const std::size_t hem = at_edge(was, EdgeRole::Hem);
    const Curve& side = out.edges[hem - 1].curve;
    const Curve& inner = out.edges[hem + 1].curve;
    const Curve& old = was.edges[hem].curve;
    const bool stays = side.finalPoint() == old.initialPoint() && inner.initialPoint() == old.finalPoint() &&
                       end_direction(side) == end_direction(was.edges[hem - 1].curve) &&
                       start_direction(inner) == start_direction(was.edges[hem + 1].curve);
    if (stays) return;
    const Point at_side =
        turned_as(start_direction(old), end_direction(was.edges[hem - 1].curve), end_direction(side));
    const Point at_inner =
        turned_as(end_direction(old), start_direction(was.edges[hem + 1].curve), start_direction(inner));
    out = run_shifted(out, hem, hem,
                      {{{}, side.finalPoint() - old.initialPoint(), at_side},
                       {length(old), inner.initialPoint() - old.finalPoint(), at_inner}});
}

// The line at the inner leg point goes with it.
void crotch_line_follows(Piece& out)
{
    const double level = edge(out, EdgeRole::InnerLeg).curve.finalPoint()[Geom::Y];
    for (auto& g : out.guides) {
        if (g.kind == GuideKind::Crotch) g.a[Geom::Y] = g.b[Geom::Y] = level;
    }
    settle_level_guides(out);
}

}  // namespace

Point inner_leg_point(const Piece& piece)
{
    return edge(piece, EdgeRole::InnerLeg).curve.finalPoint();
}

Length side_to(const Piece& piece, double level)
{
    const auto along =
        along_to_level(piece, at_edge(piece, EdgeRole::Side), at_edge(piece, EdgeRole::Side, true), level);
    return along.value_or(sewn_length(piece, EdgeRole::Side));
}

Length inner_to(const Piece& piece, double level)
{
    const auto along =
        along_to_level(piece, at_edge(piece, EdgeRole::InnerLeg), at_edge(piece, EdgeRole::Centre), level);
    return along.value_or(whole_inner(piece));
}

Length inner_leg_length(const Piece& piece)
{
    return sewn_length(piece, EdgeRole::InnerLeg);
}

Length whole_inner(const Piece& piece)
{
    return inner_leg_length(piece) + sewn_length(piece, EdgeRole::Centre);
}

Piece leg_redrawn(const Piece& piece, const LegShift& shift)
{
    Piece out = piece;
    if (!shift.side.empty())
        out = run_shifted(out, at_edge(out, EdgeRole::Side), at_edge(out, EdgeRole::Side, true), shift.side);
    if (!shift.inner.empty())
        out = run_shifted(out, at_edge(out, EdgeRole::InnerLeg), at_edge(out, EdgeRole::Centre), shift.inner);
    hem_follows(out, piece);
    settle_notches(out);
    settle_level_guides(out);
    return out;
}

Piece lowered_between(const Piece& piece, double upper, double cut, double lower, Point by)
{
    const Length side = sewn_length(piece, EdgeRole::Side);
    LegShift shift;
    shift.side = {{{}, no_shift}, {side_to(piece, upper), no_shift}, {side_to(piece, lower), by}, {side, by}};
    shift.inner = {{{}, by},
                   {inner_to(piece, lower), by},
                   {inner_to(piece, upper), no_shift},
                   {whole_inner(piece), no_shift}};
    // A lower level above the inner leg point carries all of the inner leg; one beneath it only what lies below.
    Piece out = leg_redrawn(piece, shift);
    for (std::size_t i = 0; i < out.guides.size(); ++i) {
        Guide& g = out.guides[i];
        const Guide& was = piece.guides[i];
        if (was.a[Geom::Y] < cut) g.a[Geom::Y] = was.a[Geom::Y] + by[Geom::Y];
        if (was.b[Geom::Y] < cut) g.b[Geom::Y] = was.b[Geom::Y] + by[Geom::Y];
    }
    settle_level_guides(out);
    return out;
}

Piece inner_hem_lowered(const Piece& piece, Length by)
{
    const auto knee = guide(piece, GuideKind::Knee);
    const Length to = knee ? inner_to(piece, knee->a[Geom::Y]) : inner_leg_length(piece);
    const Point down = start_direction(edge(piece, EdgeRole::InnerLeg).curve) * -by.in_mm();
    return leg_redrawn(piece, {{}, {{{}, down}, {to, no_shift}, {whole_inner(piece), no_shift}}});
}

Outcome<Piece> inner_point_moved(const Piece& piece, Length out)
{
    const Length to_point = inner_leg_length(piece);
    const double hip = guide(piece, GuideKind::Hip)->a[Geom::Y];
    const auto knee = guide(piece, GuideKind::Knee);
    const Length from = knee ? inner_to(piece, knee->a[Geom::Y]) : Length{};
    // Across the seam, about: then its length hardly changes.
    const Point seam = end_direction(edge(piece, EdgeRole::InnerLeg).curve);
    const Length level = out * (seam[Geom::X] / std::max(0.2, seam[Geom::Y]));
    Piece moved_piece = piece;
    const auto settled = settle(level, Length::mm(1e-4), "inner-leg", [&](Length up) -> Outcome<Length> {
        const Point by{-out.in_mm(), up.in_mm()};
        moved_piece = leg_redrawn(piece, {{},
                                          {{{}, no_shift},
                                           {from, no_shift},
                                           {to_point, by},
                                           {inner_to(piece, hip), no_shift},
                                           {whole_inner(piece), no_shift}}});
        return to_point - inner_leg_length(moved_piece);
    });
    if (!settled) return tl::make_unexpected(settled.error());
    crotch_line_follows(moved_piece);
    return moved_piece;
}

namespace {

// Waist, darts and what is marked above the cut turned; the side seam turned down to the hinge and smoothed there.
Piece upper_part_turned(const Piece& piece, const Stroke& cut, const Geom::Affine& turn)
{
    Piece out = piece;
    const std::size_t side = at_edge(piece, EdgeRole::Side);
    for (std::size_t i = 0; i < side; ++i) out.edges[i].curve = piece.edges[i].curve * turn;
    const Curve& old = piece.edges[side].curve;
    const auto [upper, lower] = split(old, nearest(old, cut.b).time);
    const Curve above = upper * turn;
    const double bend = Geom::angle_between(end_direction(above), start_direction(lower));
    out.edges[side].curve = joined(end_cornered(above, bend / 2), start_cornered(lower, -bend / 2));
    for (auto& d : out.darts) d = {d.leg_a * turn, d.leg_b * turn, d.tip * turn, d.kind};
    const double level = cut.a[Geom::Y];
    for (auto& n : out.notches) {
        if (n.on == EdgeRole::Waist || (n.on == EdgeRole::Side && n.at[Geom::Y] > level)) n.at *= turn;
    }
    return out;
}

void settle(Piece& out)
{
    settle_darts(out);
    settle_notches(out);
    settle_level_guides(out);
}

}  // namespace

TurnedTop top_turned_leaning(const Piece& piece, const Stroke& cut, double radians)
{
    const Geom::Affine turn = turn_about(cut.b, radians);
    Piece out = upper_part_turned(piece, cut, turn);
    const std::size_t centre = at_edge(piece, EdgeRole::Centre);
    const Curve& old = piece.edges[centre].curve;
    const Point top = old.finalPoint();
    const Point along = end_direction(old);
    const double hip = guide(piece, GuideKind::Hip)->a[Geom::Y];
    // Of a skirt the seam bends at the hip line, of trousers in the curve.
    const double low = edge_index(piece, EdgeRole::InnerLeg) ? (hip + inner_leg_point(piece)[Geom::Y]) / 2 : hip;
    const Length bends = along_to_level(piece, centre, centre, low).value_or(Length{});
    out = run_shifted(out, centre, centre,
                      {{{}, no_shift},
                       {bends, no_shift},
                       {length(old), top * turn - top, along * Geom::Rotate{radians} - along}});
    settle(out);
    return {std::move(out), {}};
}

Outcome<TurnedTop> top_turned_upright(const Piece& piece, const Stroke& cut, double radians)
{
    const Geom::Affine turn = turn_about(cut.b, radians);
    Piece out = upper_part_turned(piece, cut, turn);
    const std::size_t centre = at_edge(piece, EdgeRole::Centre);
    Curve& line = out.edges[centre].curve;
    const Point top = line.finalPoint();
    const Point along = end_direction(line);
    Curve& waist = out.edges.front().curve;
    const Length was = length(waist);
    // The waist carried on beyond its end, and where it meets the centre's line.
    constexpr double beyond = 150;
    const Point end = waist.initialPoint();
    const Curve on = joined(straight(end - start_direction(waist) * beyond, end), waist);
    const Geom::Affine upright = Geom::Translate(-top) * Geom::Rotate{Geom::angle_between(along, Point{0, 1})};
    const auto meets = times_where(on * upright, Geom::X, 0);
    if (meets.empty()) return refuse(Why::PaperCrosses, piece.id);
    const double time = meets.front();
    const Curve rest = split(on, time).after;
    const Point meet = rest.initialPoint();
    const double bend = Geom::angle_between(start_direction(piece.edges.front().curve), start_direction(rest));
    waist = start_cornered(rest, -bend);
    const double higher = Geom::dot(meet - top, along);
    if (higher >= 0)
        line = joined(line, straight(top, meet));
    else
        line = split(line, time_at(line, length(line) + Length::mm(higher))).before;
    if (const auto fewer = line.size_default() > 1 ? without_node(line, line.size_default() - 1) : std::nullopt)
        line = *fewer;
    line.setFinal(waist.initialPoint());
    settle(out);
    const Length gained = length(waist) - was;
    return TurnedTop{std::move(out), gained};
}

namespace {

constexpr auto lowered_field = "sewn_crotch";
constexpr Length under_opening = Length::mm(10);
constexpr Length seam_least = Length::mm(40);

// Where the new seam has run into the old one, along it from the inner leg.
Length meets(const Piece& leg, const Curve& centre)
{
    const Length whole = length(centre);
    const auto hip = guide(leg, GuideKind::Hip);
    const auto times = hip ? times_where(centre, Geom::Y, hip->a[Geom::Y]) : std::vector<double>{};
    const Length to_hip = times.empty() ? whole : length_to(centre, times.back());
    const bool opens = leg.opening > Length{} && leg.opening < piece_most;
    return opens ? std::min(to_hip, whole - leg.opening - under_opening) : to_hip;
}

void carry_marks(Piece& leg, Point by)
{
    for (auto& g : leg.guides) {
        if (g.kind != GuideKind::Crotch) continue;
        g.a += by;
        g.b[Geom::Y] = g.a[Geom::Y];
    }
    settle_notches(leg);
}

}  // namespace

Outcome<Piece> crotch_lowered(const Piece& leg, Length down)
{
    const std::size_t inner = *edge_index(leg, EdgeRole::InnerLeg);
    const std::size_t centre = *edge_index(leg, EdgeRole::Centre);
    const Curve& was = leg.edges[inner].curve;
    const Curve& seam = leg.edges[centre].curve;
    const Length joins = meets(leg, seam);
    // Past this the line would not be smooth any more, or no inner leg be left.
    const Length most = std::min(joins * 0.4, length(was) - seam_least);
    if (down > most) return refuse_amount(Why::AmountTooLarge, lowered_field, down, {}, std::max(most, Length{}));
    const Curve left = split(was, time_at(was, length(was) - down)).before;
    const Point by = left.finalPoint() - was.finalPoint();
    Piece out = leg;
    out.edges[inner].curve = left;
    out.edges[centre].curve = curve_shifted(seam, {{Length{}, by}, {joins * 0.35, by}, {joins, no_shift}});
    carry_marks(out, by);
    return out;
}

std::vector<SeamApart> seams_apart(const Piece& before, const Piece& after, Length every)
{
    const Curve& old = edge(before, EdgeRole::Centre).curve;
    const Curve& seam = edge(after, EdgeRole::Centre).curve;
    const Length whole = length(old);
    std::vector<SeamApart> out;
    for (Length along; along < whole; along += every) {
        const double off = nearest(seam, old.pointAt(time_at(old, along))).off;
        out.push_back({along, Length::mm(off)});
        constexpr double met = 0.5;
        if (off < met) break;
    }
    return out;
}

}  // namespace sartorum
