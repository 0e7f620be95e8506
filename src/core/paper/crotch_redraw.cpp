#include "core/paper/crotch_redraw.h"

#include <algorithm>

namespace sartorum {
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
