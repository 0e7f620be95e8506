#include "core/paper/bust_spread.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

constexpr double new_dart_at = 0.3;  // of the side seam, from the underarm

OutlinePlace hinge_place(const Piece& p, double share)
{
    return place_along(p, EdgeRole::Armhole, sewn_length(p, EdgeRole::Armhole) * (1 - share));
}

// Where the upright cut meets the lower edge: beside the dart under the bust point, or straight below it.
OutlinePlace cut_place(const Piece& p, Point bust_point)
{
    const EdgeRole bottom = bottom_role(p);
    if (const auto mouth = mouth_in(p, bottom))
        return {*mouth - 1, static_cast<double>(p.edges[*mouth - 1].curve.size_default())};
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != bottom) continue;
        const Curve& c = p.edges[i].curve;
        for (std::size_t k = 0; k < c.size_default(); ++k) {
            const auto t = c[k].roots(bust_point[Geom::X], Geom::X);
            if (!t.empty()) return {i, static_cast<double>(k) + t.front()};
        }
    }
    return place_near(p, bottom, {bust_point[Geom::X], -1e4});
}

// Smooth over the hinge, and as long as both parts were: the handles there give or take what the smoothing took.
Curve trued_over(const Curve& above, const Curve& below)
{
    const Length want = length(above) + length(below);
    const Curve bare = smoothly_joined(above, below);
    const std::size_t node = above.size_default();
    return scaled_to_length(
        [&](double k) {
            auto p = all_controls(bare);
            const std::size_t at = 3 * node;
            p[at - 1] = p[at] + (p[at - 1] - p[at]) * k;
            p[at + 1] = p[at] + (p[at + 1] - p[at]) * k;
            return from_controls(p);
        },
        want);
}

struct Lever {
    double p;
    double q;
    [[nodiscard]] double radians(double a) const
    {
        const double s = std::clamp((a - p) / std::hypot(p, q), -1.0, 1.0);
        return std::atan2(p, q) + std::asin(s);
    }
    [[nodiscard]] double gain(double psi) const { return p * std::sin(psi) - q * (1 - std::cos(psi)); }
};

Lever lever(Point hinge, Point bust_point)
{
    return {hinge[Geom::X] - bust_point[Geom::X], hinge[Geom::Y] - bust_point[Geom::Y]};
}

// The gap in the lower edge: paper, over which the edge runs on level; or the mouth of a dart.
void close_gap(Piece& p, std::size_t gap, WaistGap into)
{
    const bool darted = p.edges[gap + 1].role == EdgeRole::DartMouth;
    const Point from = p.edges[gap].curve.finalPoint();
    const Point to = p.edges[gap + 1].curve.initialPoint();
    if (into == WaistGap::Edge) {
        Curve& line = p.edges[gap].curve;
        line = eased(line, {0, 0}, to - from);
        if (darted) return;
        p.edges[gap].curve = joined(p.edges[gap].curve, p.edges[gap + 1].curve);
        p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(gap) + 1);
        return;
    }
    if (!darted) {
        const Edge opened{EdgeRole::DartMouth, straight(from, to), p.edges[gap].allowance};
        p.edges.insert(p.edges.begin() + static_cast<std::ptrdiff_t>(gap) + 1, opened);
        const Point tip{0, (*p.bust_point)[Geom::Y] - tip_before_bust_point.in_mm()};
        p.darts.insert(p.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(p, gap + 1)), Dart{from, to, tip});
    }
    // The tip at its own level, over the middle of the mouth.
    Dart& d = p.darts[dart_at(p, gap + 1)];
    const Point far = p.edges[gap + 2].curve.initialPoint();
    const Point middle = (from + far) / 2;
    const Point square = Geom::unit_vector(Geom::rot90(from - far));
    redraw_dart(p, gap + 1, middle + square * ((d.tip[Geom::Y] - middle[Geom::Y]) / square[Geom::Y]));
}

}  // namespace

Length least_spread(const Piece& front, double hinge_at)
{
    const auto mouth = mouth_in(front, EdgeRole::Side);
    if (!mouth || !front.bust_point) return {};
    const Point bp = *front.bust_point;
    const Lever l = lever(point_at(front, hinge_place(front, hinge_at)), bp);
    const double psi = -radians_at(front, *mouth, bp);
    return Length::mm(l.p * (1 - std::cos(psi)) + l.q * std::sin(psi));
}

Outcome<BustSpread> bust_spread(const Piece& front, Length a, double hinge_at, Length before, WaistGap into)
{
    if (!front.bust_point) return refuse(Why::NeedsBustPoint, "bust");
    BustSpread out{front, {}, *front.bust_point, {}, {}, 0, {}, {}, {}, false};
    Piece& p = out.piece;
    const Point bp = out.bust_point;
    const auto had = mouth_in(front, EdgeRole::Side);
    const Length least = least_spread(front, hinge_at);
    if (a < least) return refuse_amount(Why::DartTooSmall, "bust", a, least, {});
    const OutlinePlace hinge = hinge_place(front, hinge_at);
    out.hinge = point_at(front, hinge);
    const Lever l = lever(out.hinge, bp);
    if (l.q < 20) return refuse(Why::BlockImpossible, "bust_point");
    // The upper side swings up about its hinge until it has no further to go.
    const Length most = Length::mm(l.p + std::hypot(l.p, l.q) * 0.9);
    if (a > most) return refuse_amount(Why::AmountTooLarge, "bust", a, {}, most);
    out.radians = l.radians(a.in_mm());
    out.gain = Length::mm(l.gain(out.radians));
    const Geom::Affine swung = whole_motion({0, out.hinge, out.radians, {0, 0}});
    const Point carried{a.in_mm(), -out.gain.in_mm()};
    const Point dropped{0, -out.gain.in_mm()};

    // The outline parted from its end backwards, so that what is found stays where it is.
    const OutlinePlace cut = cut_place(p, bp);
    out.from_waist = point_at(p, cut);
    std::size_t centre_part = cut.edge + 1;
    if (!mouth_in(p, bottom_role(p))) centre_part = part_edge(p, cut);
    std::size_t below = 0;  // first edge of the lower side panel
    if (had) {
        const Dart& d = p.darts[dart_at(p, *had)];
        const Curve& fold = p.edges[*had].curve;
        out.from_side = fold.pointAt(static_cast<double>(fold.size_default()) / 2);
        out.dart_was = mouth_width(d);
        below = *had + 1;
    } else {
        const Length side = sewn_length(p, EdgeRole::Side);
        const bool waisted = guide(p, GuideKind::Waist).has_value();
        const Length level = waisted ? std::min(side * new_dart_at, Length::mm(70)) : side * new_dart_at;
        const OutlinePlace place = place_along(p, EdgeRole::Side, level);
        out.from_side = point_at(p, place);
        below = part_edge(p, place);
        ++centre_part;
        out.new_dart = true;
    }
    const std::size_t lower = part_edge(p, hinge);  // first edge of the upper side panel
    ++below;
    ++centre_part;
    const std::size_t centre = *edge_index(p, EdgeRole::Centre);

    const std::size_t upper_end = had ? below - 2 : below - 1;
    turn_edges(p, lower, upper_end, swung);
    turn_edges(p, below, centre_part - 1, Geom::Translate(carried));
    turn_edges(p, centre_part, centre - 1, Geom::Translate(dropped));
    redraw_edge(p, centre, sheared(p.edges[centre].curve, dropped, {0, 0}));
    std::size_t gap = centre_part - 1;  // the lower edge the gap follows, from the side
    for (auto& g : p.guides) {
        if (g.kind == GuideKind::Grain || g.kind == GuideKind::Across) continue;
        // The bust line bends at the bust point: its outer end is on the upper side panel.
        g = g.kind == GuideKind::Bust ? Guide{g.kind, g.a, g.b * swung}
                                      : Guide{g.kind, g.a + dropped, g.b + dropped};
    }
    p.bust_point = bp + carried;

    // The armhole one line again over the hinge.
    p.edges[lower - 1].curve = trued_over(p.edges[lower - 1].curve, p.edges[lower].curve);
    p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(lower));
    --below;
    --gap;
    std::size_t mouth = below - 1;
    if (!had) {
        const Edge& above = p.edges[below - 1];
        const Point from = above.curve.finalPoint();
        const Point to = p.edges[below].curve.initialPoint();
        const Edge opened{EdgeRole::DartMouth, straight(from, to), above.allowance};
        p.edges.insert(p.edges.begin() + static_cast<std::ptrdiff_t>(below), opened);
        p.darts.insert(p.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(p, below)),
                       Dart{from, to, *p.bust_point});
        mouth = below;
        ++gap;
    }
    aim_dart(p, mouth, *p.bust_point, before);
    out.dart_is = mouth_width(p.darts[dart_at(p, mouth)]);
    close_gap(p, gap, into);
    settle_notches(p);
    settle_darts(p);
    settle_bodice_guides(p);
    return out;
}

}  // namespace sartorum
