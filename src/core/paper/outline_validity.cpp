#include "core/paper/outline_validity.h"

#include <algorithm>
#include <array>
#include <utility>
#include <vector>

#include "core/paper/ring_crossing.h"
#include "core/pattern/dart.h"
#include "core/units/nearness.h"

namespace sartorum {
namespace {

double control_length(const Geom::CubicBezier& s)
{
    return Geom::distance(s[0], s[1]) + Geom::distance(s[1], s[2]) + Geom::distance(s[2], s[3]);
}

bool has_sliver(const Curve& c)
{
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        if (control_length(segment_of(c, i)) < nothing_on_paper.in_mm()) return true;
    }
    return false;
}

// Not shorter than its chord, which costs nothing to take.
bool too_short(const Curve& c)
{
    return Geom::distance(c.initialPoint(), c.finalPoint()) < edge_least.in_mm() && length(c) < edge_least;
}

// A segment lies within the hull of its four points: hulls that are apart cannot cross.
struct Hull {
    std::array<Point, 4> at;
    Geom::Rect box;
};

Hull hull_of(const Geom::CubicBezier& s)
{
    return {{s[0], s[1], s[2], s[3]}, s.boundsFast()};
}

// It goes on one way all along, so it does not meet itself.
bool goes_on(const Hull& h)
{
    const Point ahead = h.at[3] - h.at[0];
    return Geom::dot(ahead, h.at[1] - h.at[0]) >= 0 && Geom::dot(ahead, h.at[2] - h.at[1]) >= 0 &&
           Geom::dot(ahead, h.at[3] - h.at[2]) >= 0 && Geom::dot(ahead, ahead) > 0;
}

bool apart_across(const Hull& a, const Hull& b, Point normal)
{
    const auto across = [&](const Hull& h) {
        const auto [least, most] = std::minmax({Geom::dot(normal, h.at[0]), Geom::dot(normal, h.at[1]),
                                                Geom::dot(normal, h.at[2]), Geom::dot(normal, h.at[3])});
        return std::pair{least, most};
    };
    const auto [a_least, a_most] = across(a);
    const auto [b_least, b_most] = across(b);
    return a_most < b_least || b_most < a_least;
}

bool apart(const Hull& a, const Hull& b)
{
    if (!a.box.intersects(b.box)) return true;
    for (const auto* h : {&a, &b}) {
        for (std::size_t i = 0; i < 4; ++i) {
            if (apart_across(a, b, Geom::rot90(h->at[(i + 1) % 4] - h->at[i]))) return true;
        }
    }
    return false;
}

// One ends where the other begins, and there is a line through that place with one on either side.
bool apart_but_joined(const Hull& from, const Hull& to)
{
    const Point at = to.at[0];
    const Point normal = Geom::unit_vector(to.at[1] + to.at[2] + to.at[3] - 3 * at) -
                         Geom::unit_vector(from.at[0] + from.at[1] + from.at[2] - 3 * at);
    for (std::size_t i = 0; i < 3; ++i) {
        if (Geom::dot(normal, from.at[i] - at) >= 0 || Geom::dot(normal, to.at[i + 1] - at) <= 0) return false;
    }
    return true;
}

// Told from the hulls alone; where they do not tell, the curves have to be looked at.
bool clearly_simple(const Piece& piece)
{
    std::vector<Hull> hulls;
    for (const auto& e : piece.edges) {
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) hulls.push_back(hull_of(segment_of(e.curve, i)));
    }
    const std::size_t n = hulls.size();
    if (n < 3) return false;
    for (std::size_t i = 0; i < n; ++i) {
        if (!goes_on(hulls[i]) || !apart_but_joined(hulls[i], hulls[(i + 1) % n])) return false;
        for (std::size_t j = i + 2; j < n; ++j) {
            if (!(i == 0 && j == n - 1) && !apart(hulls[i], hulls[j])) return false;
        }
    }
    return true;
}

// A needle: at one of its nodes the line goes back where it came from. What lies on itself crosses nothing.
bool turns_back(const Curve& c)
{
    constexpr double nearly_all = 0.99999;  // the cosine of a quarter of a degree: sharper is no corner
    const auto at = all_controls(c);
    for (std::size_t node = 3; node + 1 < at.size(); node += 3) {
        const Point in = at[node] - at[node - 1];
        const Point out = at[node + 1] - at[node];
        if (Geom::dot(in, out) < -nearly_all * Geom::L2(in) * Geom::L2(out)) return true;
    }
    return false;
}

bool crosses_itself(const Piece& piece)
{
    if (std::any_of(piece.edges.begin(), piece.edges.end(), [](const Edge& e) { return turns_back(e.curve); }))
        return true;
    return !clearly_simple(piece) && ring_crosses_itself(outline_points(piece, Length::mm(0.1)));
}

// Straight from end to end, which costs nothing to take and is never longer than the edge.
Length straight_across(const Piece& p, EdgeRole role)
{
    double sum = 0;
    for (const auto& e : p.edges) {
        if (e.role == role) sum += Geom::distance(e.curve.initialPoint(), e.curve.finalPoint());
    }
    return Length::mm(sum);
}

// Against the sewn length of the edges a dart parts.
bool mouth_too_wide(const Piece& p)
{
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth) continue;
        const Length mouth = mouth_width(p.darts[dart_at(p, i)]);
        const EdgeRole parted = p.edges[i - 1].role;
        if (mouth >= straight_across(p, parted) && mouth >= sewn_length(p, parted)) return true;
    }
    return false;
}

}  // namespace

std::optional<Unsound> unsound(const Piece& p)
{
    const bool no_length = std::any_of(p.edges.begin(), p.edges.end(), [](const Edge& e) {
        return e.curve.size_default() == 0 || has_sliver(e.curve) || too_short(e.curve);
    });
    if (no_length) return Unsound::LineOfNoLength;
    if (mouth_too_wide(p)) return Unsound::MouthTooWide;
    return crosses_itself(p) ? std::optional{Unsound::Crossing} : std::nullopt;
}

namespace {

// On its chord, its handles beyond its ends.
bool goes_back(const Geom::CubicBezier& s)
{
    constexpr double off = 1e-3;  // mm
    const Point chord = s[3] - s[0];
    const double len = Geom::L2(chord);
    if (len < nothing_on_paper.in_mm()) return false;
    const auto across = [&](Point p) { return std::abs(Geom::cross(chord, p - s[0])) / len; };
    const auto along = [&](Point p) { return Geom::dot(chord, p - s[0]) / len; };
    if (across(s[1]) > off || across(s[2]) > off) return false;
    return std::min(along(s[1]), along(s[2])) < -off || std::max(along(s[1]), along(s[2])) > len + off;
}

void straighten(Curve& c)
{
    const std::size_t n = c.size_default();
    bool any = false;
    for (std::size_t i = 0; i < n; ++i) any = any || goes_back(segment_of(c, i));
    if (!any) return;
    auto all = all_controls(c);
    for (std::size_t i = 0; i < n; ++i) {
        if (!goes_back(segment_of(c, i))) continue;
        const Point third = (all[3 * i + 3] - all[3 * i]) / 3;
        all[3 * i + 1] = all[3 * i] + third;
        all[3 * i + 2] = all[3 * i + 3] - third;
    }
    c = from_controls(all);
}

}  // namespace

void drop_slivers(Piece& p)
{
    for (auto& e : p.edges) straighten(e.curve);
    for (auto& e : p.edges) {
        if (e.curve.size_default() < 2 || !has_sliver(e.curve)) continue;
        std::vector<Point> kept{e.curve.initialPoint()};
        for (std::size_t i = 0; i < e.curve.size_default(); ++i) {
            if (control_length(segment_of(e.curve, i)) < nothing_on_paper.in_mm()) continue;
            auto part = controls(e.curve, i);
            part[0] = kept.back();
            kept.insert(kept.end(), part.begin() + 1, part.end());
        }
        if (kept.size() < 4) continue;
        kept.back() = e.curve.finalPoint();
        e.curve = from_controls(kept);
    }
}

}  // namespace sartorum
