#include "core/pattern/princess.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/pattern/dart.h"
#include "core/units/root.h"

namespace sartorum {
namespace {

std::vector<std::size_t> mouths_in(const Piece& p, EdgeRole role)
{
    std::vector<std::size_t> out;
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth || p.edges[i - 1].role != role) continue;
        const std::size_t dart = dart_at(p, i);  // a cut panel may have lost it
        if (dart < p.darts.size() && p.darts[dart].kind == DartKind::Dart) out.push_back(i);
    }
    return out;
}

// From one end over the bust point to the other: straight, rounded over an apex a little outside the bust point,
// so that what the rounding takes of the length is given back.
Curve seam_over(Point from, Point apex, Point to)
{
    const double want = Geom::distance(from, apex) + Geom::distance(apex, to);
    const Point in = Geom::unit_vector(apex - from);
    const Point on = Geom::unit_vector(to - apex);
    const double turn = std::abs(Geom::angle_between(in, on));
    if (turn < 1e-4) return joined(straight(from, apex), straight(apex, to));
    const Point outwards = Geom::unit_vector(in - on);
    const double reach =
        std::min({rounded_over.in_mm(), Geom::distance(from, apex) / 2, Geom::distance(apex, to) / 2});
    const auto drawn = [&](double out) {
        const Point corner = apex + outwards * out;
        const Point down = Geom::unit_vector(corner - from);
        const Point away = Geom::unit_vector(to - corner);
        const double angle = std::abs(Geom::angle_between(down, away));
        // A cubic as near to a circle's arc as one comes.
        const double handle = reach / std::tan(angle / 2) * 4 / 3 * std::tan(angle / 4);
        const Point a = corner - down * reach;
        const Point b = corner + away * reach;
        return joined(joined(straight(from, a), cubic(a, a + down * handle, b - away * handle, b)),
                      straight(b, to));
    };
    const auto off = [&](double out) { return length(drawn(out)).in_mm() - want; };
    const double most = reach;
    return drawn(zero_between(0.0, most, off(0), off(most), 1e-5, off));
}

// The two places of the seam, from its upper end down, at which it is notched.
std::array<double, 2> notched_at(const Dart& above, const Dart& below)
{
    const double up = Geom::distance(above.leg_a, above.tip);
    const double down = Geom::distance(below.leg_a, below.tip);
    return {up - std::min(notched_from.in_mm(), up / 2), up + std::min(notched_from.in_mm(), down / 2)};
}

void add_seam(Piece& panel, const Curve& seam, bool upwards, Length allowance,
              const std::array<double, 2>& notches)
{
    panel.edges.push_back({EdgeRole::Princess, upwards ? reversed(seam) : seam, allowance});
    for (const double along : notches)
        panel.notches.push_back({seam.pointAt(time_at(seam, Length::mm(along))), EdgeRole::Princess, 1});
}

// Edges first to last, with the darts and the notches that lie on them.
void take_edges(Piece& panel, const Piece& front, std::size_t first, std::size_t last)
{
    for (std::size_t i = first; i <= last; ++i) {
        const Edge& e = front.edges[i];
        panel.edges.push_back(e);
        if (e.role == EdgeRole::DartMouth) panel.darts.push_back(front.darts[dart_at(front, i)]);
        for (const auto& n : front.notches) {
            if (n.on == e.role && nearest(e.curve, n.at).off < 0.1) panel.notches.push_back(n);
        }
    }
}

// Where a panel's seam stands at a level.
std::optional<Point> seam_at(const Piece& panel, double level)
{
    const Curve& seam = edge(panel, EdgeRole::Princess).curve;
    for (std::size_t i = 0; i < seam.size_default(); ++i) {
        const auto t = seam[i].roots(level, Geom::Y);
        if (!t.empty()) return seam[i].pointAt(t.front());
    }
    return std::nullopt;
}

// Lines from the centre outwards are parted at the seam; the side panel gets a grain line of its own.
void take_guides(PrincessPanels& out, const Piece& front, double middle_of_side)
{
    const Point bp = *front.bust_point;
    for (const auto& g : front.guides) {
        if (g.kind == GuideKind::Grain) {
            out.centre.guides.push_back(g);
            const double top = bp[Geom::Y] - 10;
            const double low = bounds(out.side).min()[Geom::Y] + 40;
            out.side.guides.push_back({g.kind, {middle_of_side, low}, {middle_of_side, std::max(top, low + 40)}});
            continue;
        }
        const auto on_centre = seam_at(out.centre, g.a[Geom::Y]);
        const auto on_side = seam_at(out.side, g.b[Geom::Y]);
        const bool crosses = on_centre && on_side && (*on_side)[Geom::X] < g.b[Geom::X];
        out.centre.guides.push_back({g.kind, g.a, crosses ? *on_centre : g.b});
        if (crosses) out.side.guides.push_back({g.kind, *on_side, g.b});
    }
}

}  // namespace

std::optional<PrincessMouths> princess_mouths(const Piece& front)
{
    if (!front.bust_point) return std::nullopt;
    const auto in_armhole = mouths_in(front, EdgeRole::Armhole);
    const auto above = in_armhole.empty() ? mouths_in(front, EdgeRole::Shoulder) : in_armhole;
    const auto below = mouths_in(front, EdgeRole::Waist);
    if (above.empty() || below.empty()) return std::nullopt;
    const auto off = [&](std::size_t mouth) {
        return Geom::distance(front.darts[dart_at(front, mouth)].tip, *front.bust_point);
    };
    const auto nearer = [&](std::size_t a, std::size_t b) { return off(a) < off(b); };
    return PrincessMouths{*std::min_element(above.begin(), above.end(), nearer),
                          *std::min_element(below.begin(), below.end(), nearer)};
}

Piece with_princess_seam(const Piece& front, PrincessFrom from, double share)
{
    Piece out = front;
    out.princess = true;
    const Point bp = *front.bust_point;
    const EdgeRole role = from == PrincessFrom::Armhole ? EdgeRole::Armhole : EdgeRole::Shoulder;
    const std::size_t parted = *edge_index(front, role);
    const std::size_t fold = mouths_in(front, EdgeRole::Side).front();
    const Dart closed = front.darts[dart_at(front, fold)];
    const auto turn = turn_about(bp, Geom::angle_between(closed.leg_a - bp, closed.leg_b - bp));
    const Edge& whole = front.edges[parted];
    const auto [before, after] = split(whole.curve, time_at(whole.curve, length(whole.curve) * share));
    const auto rides = [&, after = after](const Notch& n) {  // on what turns with the side panel's upper part
        for (std::size_t i = parted; i < fold; ++i) {
            const Curve& c = i == parted ? after : front.edges[i].curve;
            if (n.on == front.edges[i].role && nearest(c, n.at).off < 0.1) return true;
        }
        return false;
    };
    for (auto& n : out.notches) {
        if (rides(n)) n.at *= turn;
    }
    const auto at = [](auto& list, std::size_t i) { return list.begin() + static_cast<std::ptrdiff_t>(i); };
    for (std::size_t i = parted + 1; i < fold; ++i) out.edges[i].curve *= turn;
    // The side seam one edge again.
    out.edges[fold - 1].curve = joined(out.edges[fold - 1].curve, front.edges[fold + 1].curve);
    out.edges.erase(at(out.edges, fold), at(out.edges, fold + 2));
    out.darts.erase(at(out.darts, dart_at(front, fold)));
    // The edge above opened.
    const Curve low = after * turn;
    out.edges[parted].curve = before;
    const Edge mouth{EdgeRole::DartMouth, straight(before.finalPoint(), low.initialPoint()), whole.allowance};
    const Edge rest{role, low, whole.allowance};
    out.edges.insert(at(out.edges, parted + 1), {mouth, rest});
    out.darts.insert(at(out.darts, dart_at(out, parted + 1)), Dart{before.finalPoint(), low.initialPoint(), bp});
    // Nothing is folded at the waist either.
    const std::size_t lower = mouths_in(out, EdgeRole::Waist).front();
    const Dart& below = out.darts[dart_at(out, lower)];
    out.edges[lower].curve = straight(below.leg_a, below.leg_b);
    return out;
}

PrincessSeams princess_seams(const Piece& front, const PrincessMouths& mouths)
{
    const Dart& above = front.darts[dart_at(front, mouths.upper)];
    const Dart& below = front.darts[dart_at(front, mouths.lower)];
    const Point bp = *front.bust_point;
    return {seam_over(above.leg_a, bp, below.leg_b), seam_over(above.leg_b, bp, below.leg_a)};
}

PrincessPanels princess_panels(const Piece& front)
{
    const auto mouths = *princess_mouths(front);
    const Point bp = *front.bust_point;
    PrincessPanels out;
    out.centre = out.side = Piece{.id = front.id, .name = front.name, .role = PieceRole::Other, .cut = front.cut};
    out.centre.id += "-centre";
    out.side.id += "-side";
    out.side.cut = 2;
    const Length allowance = edge(front, EdgeRole::Side).allowance;
    const auto notches =
        notched_at(front.darts[dart_at(front, mouths.upper)], front.darts[dart_at(front, mouths.lower)]);
    const auto seams = princess_seams(front, mouths);
    take_edges(out.centre, front, 0, mouths.upper - 1);
    add_seam(out.centre, seams.centre, false, allowance, notches);
    take_edges(out.centre, front, mouths.lower + 1, front.edges.size() - 1);
    take_edges(out.side, front, mouths.upper + 1, mouths.lower - 1);
    add_seam(out.side, seams.side, true, allowance, notches);
    const auto box = bounds(out.side);
    take_guides(out, front, (std::max(box.min()[Geom::X], bp[Geom::X]) + box.max()[Geom::X]) / 2);
    return out;
}

std::vector<Piece> as_cut(const std::vector<Piece>& pieces)
{
    std::vector<Piece> out;
    for (const auto& p : pieces) {
        if (!p.princess) {
            out.push_back(p);
            continue;
        }
        auto [centre, side] = princess_panels(p);
        out.push_back(std::move(centre));
        out.push_back(std::move(side));
    }
    return out;
}

}  // namespace sartorum
