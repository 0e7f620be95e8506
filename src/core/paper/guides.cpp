#include "core/paper/guides.h"
#include "core/units/nearness.h"

#include <algorithm>
#include <limits>

namespace sartorum {
namespace {

// The bust line goes with the bust point, and says a level.
bool runs_across(GuideKind kind)
{
    return kind != GuideKind::Grain && kind != GuideKind::Crease && kind != GuideKind::Bust;
}

// How far a place lies from a curve; its box is looked at first, which costs less.
double off_curve(const Curve& c, Point at, double least)
{
    return Geom::distance(at, *c.boundsFast()) >= least ? least : std::min(least, nearest(c, at).off);
}

std::optional<EdgeRole> role_at(const Piece& p, Point at, double within)
{
    std::optional<EdgeRole> role;
    for (const auto& e : p.edges) {
        const double off = off_curve(e.curve, at, within);
        if (off >= within) continue;
        within = off;
        role = e.role;
    }
    return role;
}

// Where the line through a place meets the edges of that role, or any edge, nearest to the place.
std::optional<Point> met_by(const Piece& p, std::optional<EdgeRole> role, Point at, Point along)
{
    const Geom::Affine onto_axis = Geom::Translate(-at) * Geom::Rotate{-Geom::atan2(along)};
    std::optional<Point> best;
    double least = std::numeric_limits<double>::max();
    for (const auto& e : p.edges) {
        if (role && e.role != role) continue;
        const Curve laid = e.curve * onto_axis;
        for (std::size_t i = 0; i < laid.size_default(); ++i) {
            for (const double t : laid[i].roots(0.0, Geom::Y)) {
                const double off = std::abs(laid[i].valueAt(t, Geom::X));
                if (off >= least) continue;
                least = off;
                best = e.curve[i].pointAt(t);
            }
        }
    }
    return best;
}

}  // namespace

void keep_lines_across(Piece& now, const Piece& was)
{
    for (auto& g : now.guides) {
        const auto before = guide(was, g.kind);
        if (!before || !runs_across(g.kind) || Geom::distance(g.a, g.b) < 1) continue;
        const Point along = g.b - g.a;
        for (const auto& [end, was_at] : {std::pair{&g.a, before->a}, std::pair{&g.b, before->b}}) {
            if (role_at(now, *end, nothing_on_paper.in_mm())) continue;
            const auto role = role_at(was, was_at, mark_within.in_mm());
            if (!role) continue;
            // Where a dart was moved to, its mouth lies in place of that edge.
            auto at = met_by(now, role, *end, along);
            if (!at) at = met_by(now, {}, *end, along);
            if (at) *end = *at;
        }
    }
}

Guide on_paper(const Piece& p, const Guide& line)
{
    Guide out = line;
    const Point along = line.b - line.a;
    for (Point* end : {&out.a, &out.b}) {
        if (role_at(p, *end, mark_within.in_mm())) continue;
        if (const auto at = met_by(p, {}, *end, along)) *end = *at;
    }
    return out;
}

}  // namespace sartorum
