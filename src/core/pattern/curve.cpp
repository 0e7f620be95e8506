#include "core/pattern/curve.h"
#include "core/units/nearness.h"

#include <algorithm>
#include <cmath>

namespace sartorum {
namespace {

double blossom(double a, double b, double c)
{
    return a * b + a * c + b * c - 2.0 * a * b * c;
}

// How many times as long as the one before a segment lasts, so that the curve goes through their node with one
// speed: a shift that is smooth over that time leaves no dent there, a curve cut in two goes on as it went, and a
// shift can be taken back exactly. At a corner there is no such speed: as long, unless one is very short beside
// the other.
double lasts(const Geom::CubicBezier& before, const Geom::CubicBezier& after)
{
    constexpr double corner = 0.05;  // radians
    constexpr double handle_least = 1e-3;
    const Point in = before[3] - before[2];
    const Point out = after[1] - after[0];
    const double arrives = Geom::L2(in);
    const double leaves = Geom::L2(out);
    const bool runs_on =
        arrives > handle_least && leaves > handle_least && std::abs(Geom::angle_between(in, out)) < corner;
    if (runs_on) return leaves / arrives;
    constexpr double very_short = 0.1;
    const double first = Geom::distance(before[0], before[3]);
    const double second = Geom::distance(after[0], after[3]);
    const bool alike = first > second * very_short && second > first * very_short;
    return alike || first == 0 || second == 0 ? 1 : second / first;
}

// Where a curve's nodes lie on 0 to 1.
std::vector<double> node_shares(const Curve& c)
{
    const std::size_t n = c.size_default();
    std::vector<double> out{0, 1};
    double time = 1;
    for (std::size_t i = 1; i < n; ++i) {
        time *= lasts(segment_of(c, i - 1), segment_of(c, i));
        out.push_back(out.back() + time);
    }
    const double whole = out.back();
    for (auto& x : out) x /= whole;
    return out;
}

// Weights of w(t) = 3t² − 2t³ on the control points of a curve.
std::vector<double> ease_weights(const Curve& c, double from = 0, double to = 1)
{
    std::vector<double> out;
    const auto nodes = node_shares(c);
    for (std::size_t i = 0; i + 1 < nodes.size(); ++i) {
        const double u = from + (to - from) * nodes[i];
        const double v = from + (to - from) * nodes[i + 1];
        if (i == 0) out.push_back(blossom(u, u, u));
        out.push_back(blossom(u, u, v));
        out.push_back(blossom(u, v, v));
        out.push_back(blossom(v, v, v));
    }
    return out;
}

// The length of a cubic is the integral of its speed, the root of a quartic: smooth unless the curve turns back on
// itself. Two Gauss-Legendre rules (6 and 10 points; nodes and weights from Abramowitz and Stegun, table 25.4) are
// taken over each part, and a part in which they differ by more than `agree` is halved: the larger rule is then
// off by far less, and the whole by less than `agree` times the parts, below curve_tolerance.
struct Node {
    double at;  // from the middle, of half the width; its mirror image counts as well
    double weight;
};
constexpr Node rule_6[]{{0.238619186083197, 0.467913934572691},
                        {0.661209386466265, 0.360761573048139},
                        {0.932469514203152, 0.171324492379170}};
constexpr Node rule_10[]{{0.148874338981631, 0.295524224714753},
                         {0.433395394129247, 0.269266719309996},
                         {0.679409568299024, 0.219086362515982},
                         {0.865063366688985, 0.149451349150581},
                         {0.973906528517172, 0.066671344308688}};
constexpr double agree = 1e-6;  // mm
constexpr int most_halvings = 12;

// The derivative of a cubic, a + b t + c t².
struct Velocity {
    Point a, b, c;
    explicit Velocity(const Geom::CubicBezier& s)
        : a{3 * (s[1] - s[0])}, b{6 * (s[0] - 2 * s[1] + s[2])}, c{3 * (s[3] - s[0] + 3 * (s[1] - s[2]))}
    {
    }
    [[nodiscard]] double speed(double t) const
    {
        const double x = a[0] + t * (b[0] + t * c[0]);
        const double y = a[1] + t * (b[1] + t * c[1]);
        return std::sqrt(x * x + y * y);
    }
};

template <std::size_t N>
double by_rule(const Node (&rule)[N], const Velocity& v, double middle, double half)
{
    double sum = 0;
    for (const auto& n : rule) sum += n.weight * (v.speed(middle - half * n.at) + v.speed(middle + half * n.at));
    return sum * half;
}

double arc(const Velocity& v, double from, double to, int halvings = 0)
{
    const double middle = (from + to) / 2;
    const double half = (to - from) / 2;
    const double fine = by_rule(rule_10, v, middle, half);
    if (halvings == most_halvings || std::abs(fine - by_rule(rule_6, v, middle, half)) < agree) return fine;
    return arc(v, from, middle, halvings + 1) + arc(v, middle, to, halvings + 1);
}

void flatten_into(std::vector<Point>& out, const Geom::CubicBezier& c, double tolerance)
{
    // Chord error of a cubic cut in n equal parts is at most √3/18 · |second differences| / n² (bounded by 0.75).
    const double d = std::max(Geom::L2(c[0] - 2.0 * c[1] + c[2]), Geom::L2(c[1] - 2.0 * c[2] + c[3]));
    const int n = std::clamp(static_cast<int>(std::ceil(std::sqrt(0.75 * d / tolerance))), 1, 400);
    for (int i = 1; i < n; ++i) out.push_back(c.pointAt(static_cast<double>(i) / n));
    out.push_back(c[3]);
}

}  // namespace

const Geom::CubicBezier& segment_of(const Curve& c, std::size_t i)
{
    const auto* s = i < c.size_default() ? dynamic_cast<const Geom::CubicBezier*>(&c[i]) : nullptr;
    if (!s) throw NoSuchLine{};
    return *s;
}

Curve straight(Point from, Point to)
{
    return cubic(from, from + (to - from) / 3.0, to - (to - from) / 3.0, to);
}

Curve cubic(Point p0, Point p1, Point p2, Point p3)
{
    Curve c{p0};
    c.append(Geom::CubicBezier{p0, p1, p2, p3});
    return c;
}

Curve as_cubics(const Geom::Path& path)
{
    Curve out{path.initialPoint()};
    for (const auto& segment : path) {
        if (segment.isDegenerate()) continue;
        const auto* bezier = dynamic_cast<const Geom::BezierCurve*>(&segment);
        if (bezier && bezier->order() <= 3) {
            auto p = bezier->controlPoints();
            if (p.size() == 2) {
                out.append(straight(p[0], p[1]));
            } else if (p.size() == 3) {
                out.append(Geom::CubicBezier{p[0], p[0] + (p[1] - p[0]) * (2.0 / 3.0),
                                             p[2] + (p[1] - p[2]) * (2.0 / 3.0), p[2]});
            } else {
                out.append(Geom::CubicBezier{p[0], p[1], p[2], p[3]});
            }
        }
    }
    return out;
}

std::vector<Point> controls(const Curve& c, std::size_t i)
{
    const auto& s = segment_of(c, i);
    return {s[0], s[1], s[2], s[3]};
}

std::vector<Point> all_controls(const Curve& c)
{
    std::vector<Point> out{c.initialPoint()};
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto& s = segment_of(c, i);
        out.insert(out.end(), {s[1], s[2], s[3]});
    }
    return out;
}

Curve from_controls(const std::vector<Point>& p)
{
    if (p.size() < 4 || p.size() % 3 != 1) throw NoSuchLine{};
    Curve c{p[0]};
    for (std::size_t i = 0; i + 3 < p.size(); i += 3)
        c.append(Geom::CubicBezier{p[i], p[i + 1], p[i + 2], p[i + 3]});
    return c;
}

namespace {

double segment_length(const Curve& c, std::size_t i)
{
    const auto& s = segment_of(c, i);
    return is_straight(c, i) ? Geom::distance(s[0], s[3]) : arc(Velocity{s}, 0, 1);
}

// Its handles at the thirds of a straight line: half of the time is half of the way. A straight line that was
// eased is straight, and runs unevenly.
bool runs_evenly(const Curve& c, std::size_t i)
{
    const auto& s = segment_of(c, i);
    constexpr double off = 1e-9;
    const Point third = (s[3] - s[0]) / 3;
    return Geom::L2(s[1] - s[0] - third) < off && Geom::L2(s[3] - s[2] - third) < off;
}

}  // namespace

Length length(const Curve& c)
{
    double sum = 0;
    for (std::size_t i = 0; i < c.size_default(); ++i) sum += segment_length(c, i);
    return Length::mm(sum);
}

Curve reversed(const Curve& c)
{
    auto p = all_controls(c);
    std::reverse(p.begin(), p.end());
    return from_controls(p);
}

Curve moved(const Curve& c, Point by)
{
    return c * Geom::Translate(by);
}

bool is_straight(const Curve& c, std::size_t i)
{
    const auto& s = segment_of(c, i);
    const Point chord = s[3] - s[0];
    const double len = Geom::L2(chord);
    if (len == 0) return true;
    constexpr double off = 1e-7;
    // Handles beyond the ends would have it go forth and back.
    const auto between = [&](Point p) {
        const double along = Geom::dot(chord, p - s[0]) / len;
        return std::abs(Geom::cross(chord, p - s[0])) / len < off && along >= -off && along <= len + off;
    };
    return between(s[1]) && between(s[2]);
}

Point start_direction(const Curve& c)
{
    const auto p = controls(c, 0);
    for (std::size_t i = 1; i < 4; ++i) {
        if (Geom::distance(p[i], p[0]) > 1e-9) return Geom::unit_vector(p[i] - p[0]);
    }
    return {0, 0};
}

Point end_direction(const Curve& c)
{
    return -start_direction(reversed(c));
}

Halves split(const Curve& c, double time)
{
    const double node = std::round(time);
    if (std::abs(time - node) < 1e-7) time = node;
    if (!(time > 0 && time < static_cast<double>(c.size_default()))) throw NoSuchLine{};
    const auto cut = static_cast<std::size_t>(time);
    const double share = time - static_cast<double>(cut);
    const auto add = [](Curve& to, const Geom::CubicBezier& s) {
        if (!s.isDegenerate()) to.append(s);
    };
    Halves out{Curve{c.initialPoint()}, Curve{c.pointAt(time)}};
    for (std::size_t i = 0; i < cut; ++i) add(out.before, segment_of(c, i));
    if (share > 0) {
        const auto [before, after] = segment_of(c, cut).subdivide(share);
        out.after = Curve{after.initialPoint()};
        add(out.before, before);
        add(out.after, after);
    }
    for (std::size_t i = share > 0 ? cut + 1 : cut; i < c.size_default(); ++i) add(out.after, segment_of(c, i));
    return out;
}

namespace {

// The time at which the length from the start is `want`, by Newton's method: what is missing over the speed there.
// Kept between what is known to be too little and too much, and halved where the speed leads out of that.
double time_on(const Velocity& v, double want, double whole)
{
    constexpr double near_enough = 1e-6;
    constexpr int most_steps = 60;
    if (want <= 0) return 0;
    if (want >= whole) return 1;
    double low = 0;
    double high = 1;
    double t = want / whole;
    double along = arc(v, 0, t);
    for (int i = 0; i < most_steps && std::abs(along - want) > near_enough; ++i) {
        (along < want ? low : high) = t;
        const double speed = v.speed(t);
        double next = speed > 0 ? t - (along - want) / speed : low;
        if (!(next > low && next < high)) next = (low + high) / 2;
        along += next > t ? arc(v, t, next) : -arc(v, next, t);
        t = next;
    }
    return t;
}

constexpr double end_share = 1e-6;  // of a path's time

double end_time(const Curve& c)
{
    return static_cast<double>(c.size_default());
}

// A line drawn as straight() draws it: its time is its length's share.
bool is_even_line(const Geom::CubicBezier& s)
{
    constexpr double off = 1e-7;
    const Point third = (s[3] - s[0]) / 3.0;
    return Geom::are_near(s[1], s[0] + third, off) && Geom::are_near(s[2], s[3] - third, off);
}

double nearest_on_line(const Geom::CubicBezier& s, Point at)
{
    const Point chord = s[3] - s[0];
    const double square = Geom::dot(chord, chord);
    return square > 0 ? std::clamp(Geom::dot(at - s[0], chord) / square, 0.0, 1.0) : 0.0;
}

}  // namespace

// The nearest place of a curve is costly to find; its box and a line's are not.
NearPlace nearest(const Curve& c, Point at)
{
    double time = 0;
    double least = Geom::distance(at, c.initialPoint());
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto& s = segment_of(c, i);
        if (Geom::distance(at, s.boundsFast()) >= least) continue;
        const double t = is_even_line(s) ? nearest_on_line(s, at) : s.nearestTime(at);
        const double off = Geom::distance(at, s.pointAt(t));
        if (off >= least) continue;
        least = off;
        time = static_cast<double>(i) + t;
    }
    return {time, least, time > end_share && time < end_time(c) - end_share};
}

Length length_to(const Curve& c, double time)
{
    if (time <= end_share) return {};
    if (time >= end_time(c) - end_share) return length(c);
    const auto whole = static_cast<std::size_t>(time);
    double sum = 0;
    for (std::size_t i = 0; i < whole; ++i) sum += segment_length(c, i);
    const double part = time - static_cast<double>(whole);
    return Length::mm(sum + (part > 0 ? arc(Velocity{segment_of(c, whole)}, 0, part) : 0));
}

double time_at(const Curve& c, Length along)
{
    double before = 0;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const double here = segment_length(c, i);
        if (before + here >= along.in_mm() || i + 1 == c.size_default()) {
            const double want = std::clamp(along.in_mm() - before, 0.0, here);
            if (runs_evenly(c, i) && here > 0) return static_cast<double>(i) + want / here;
            return static_cast<double>(i) + time_on(Velocity{segment_of(c, i)}, want, here);
        }
        before += here;
    }
    return 0;
}

Curve joined(const Curve& first, const Curve& second)
{
    auto p = all_controls(first);
    auto q = all_controls(second);
    if (Geom::distance(p.back(), q.front()) > 1e-9) {
        const Point from = p.back();
        const Point by = (q.front() - from) / 3.0;
        p.insert(p.end(), {from + by, from + by * 2.0, q.front()});
    }
    p.insert(p.end(), q.begin() + 1, q.end());
    return from_controls(p);
}

Curve eased(const Curve& c, Point at_start, Point at_end)
{
    return eased_part(c, at_start, at_end, 0, 1);
}

Curve eased_part(const Curve& c, Point at_start, Point at_end, double from, double to)
{
    auto p = all_controls(c);
    const auto w = ease_weights(c, from, to);
    for (std::size_t i = 0; i < p.size(); ++i) p[i] += at_start * (1.0 - w[i]) + at_end * w[i];
    return from_controls(p);
}

Curve sheared(const Curve& c, Point at_start, Point at_end)
{
    auto p = all_controls(c);
    const auto nodes = node_shares(c);
    for (std::size_t i = 0; i < p.size(); ++i) {
        const std::size_t k = std::min(i / 3, nodes.size() - 2);
        const double w = nodes[k] + (nodes[k + 1] - nodes[k]) * static_cast<double>(i - 3 * k) / 3;
        p[i] += at_start * (1.0 - w) + at_end * w;
    }
    return from_controls(p);
}

std::vector<double> times_where(const Curve& c, Geom::Dim2 dimension, double value)
{
    std::vector<double> out;
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        for (const double t : c[i].roots(value, dimension)) out.push_back(static_cast<double>(i) + t);
    }
    std::sort(out.begin(), out.end());
    return out;
}

double at_node(const Curve& c, double time, double near)
{
    const double node = std::round(time);
    return Geom::distance(c.pointAt(time), c.pointAt(node)) < near ? node : time;
}

Curve start_turned(const Curve& c, double radians)
{
    auto p = all_controls(c);
    if (p.size() < 2) return c;
    p[1] = p[0] + (p[1] - p[0]) * Geom::Rotate{radians};
    return from_controls(p);
}

Curve end_turned(const Curve& c, double radians)
{
    return reversed(start_turned(reversed(c), radians));
}

Curve start_cornered(const Curve& c, double radians, Length reach)
{
    if (std::abs(radians) < 1e-12) return c;
    if (length(c) <= reach * 1.5) return start_turned(c, radians);
    // At the node of a corner that was turned before, so that turning twice leaves no hair between the two.
    constexpr double turned_before = 2;
    const double there = time_at(c, reach);
    const double node = at_node(c, there, turned_before);
    const bool between = node > 0 && node < static_cast<double>(c.size_default());  // an end parts nothing
    const auto [near, far] = split(c, between ? node : there);
    return joined(start_turned(near, radians), far);
}

Curve end_cornered(const Curve& c, double radians, Length reach)
{
    return reversed(start_cornered(reversed(c), radians, reach));
}

namespace {

// The handles of two neighbouring segments replaced by one pair.
Curve as_one(const Curve& c, std::size_t node, Point first, Point second)
{
    auto all = all_controls(c);
    const auto at = all.begin() + static_cast<std::ptrdiff_t>(3 * (node - 1));
    const auto next = all.erase(at + 1, at + 6);
    all.insert(next, {first, second});
    return from_controls(all);
}

// So short that it says nothing: a cut within a hair of a node that was there.
bool is_stub(const std::vector<Point>& s)
{
    return std::all_of(s.begin() + 1, s.end(),
                       [&](Point p) { return Geom::distance(p, s[0]) < nothing_on_paper.in_mm(); });
}

}  // namespace

std::optional<Curve> without_node(const Curve& c, std::size_t node)
{
    if (node == 0 || node >= c.size_default()) return std::nullopt;
    const auto p = controls(c, node - 1);
    const auto q = controls(c, node);
    if (is_stub(p)) return as_one(c, node, q[1], q[2]);
    if (is_stub(q)) return as_one(c, node, p[1], p[2]);
    const double before = Geom::distance(p[2], p[3]);
    const double after = Geom::distance(q[0], q[1]);
    constexpr double least = 1e-3;  // a shorter handle says no direction
    if (before < least || after < least) return std::nullopt;
    // Where the whole was cut its handles shared out the segment's own in this ratio.
    const double r = before / (before + after);
    const Curve whole = cubic(p[0], p[0] + (p[1] - p[0]) / r, q[3] + (q[2] - q[3]) / (1 - r), q[3]);
    const auto again = split(whole, r);
    const auto near = [](const std::vector<Point>& x, const std::vector<Point>& y) {
        return std::equal(x.begin(), x.end(), y.begin(),
                          [](Point a, Point b) { return Geom::distance(a, b) < nothing_on_paper.in_mm(); });
    };
    if (!near(controls(again.before, 0), p) || !near(controls(again.after, 0), q)) return std::nullopt;
    const auto together = controls(whole, 0);
    return as_one(c, node, together[1], together[2]);
}

Curve scaled_to_length(const std::function<Curve(double)>& scaled, Length wanted)
{
    double k = 1;
    double last = 1.2;
    double last_off = (length(scaled(last)) - wanted).in_mm();
    for (int i = 0; i < 12; ++i) {
        const double off = (length(scaled(k)) - wanted).in_mm();
        if (std::abs(off) < 1e-4 || std::abs(off - last_off) < 1e-12) break;
        const double next = std::clamp(k - off * (k - last) / (off - last_off), 0.2, 2.0);
        last = k;
        last_off = off;
        k = next;
    }
    return scaled(k);
}

Curve ends_scaled_to_length(const Curve& c, Length wanted)
{
    return scaled_to_length(
        [&](double k) {
            auto p = all_controls(c);
            const std::size_t n = p.size();
            p[1] = p[0] + (p[1] - p[0]) * k;
            p[n - 2] = p[n - 1] + (p[n - 2] - p[n - 1]) * k;
            return from_controls(p);
        },
        wanted);
}

Curve eased_between(const Curve& a, const Curve& b)
{
    if (a.size_default() != b.size_default()) throw NoSuchLine{};
    auto p = all_controls(a);
    const auto q = all_controls(b);
    const auto w = ease_weights(a);
    for (std::size_t i = 0; i < p.size(); ++i) p[i] = p[i] * (1.0 - w[i]) + q[i] * w[i];
    return from_controls(p);
}

std::vector<Point> flattened(const Curve& c, Length tolerance)
{
    std::vector<Point> out{c.initialPoint()};
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        if (is_straight(c, i)) {
            out.push_back(c[i].finalPoint());
        } else {
            flatten_into(out, segment_of(c, i), tolerance.in_mm());
        }
    }
    return out;
}

}  // namespace sartorum
