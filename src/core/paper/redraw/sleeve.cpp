#include "core/paper/redraw/sleeve.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

std::size_t at(const Piece& p, EdgeRole role)
{
    return *edge_index(p, role);
}

const Curve& line(const Piece& p, EdgeRole role)
{
    return edge(p, role).curve;
}

// How far along from the underarm each side notch lies.
std::vector<std::pair<std::size_t, Length>> notch_places(const Piece& p)
{
    std::vector<std::pair<std::size_t, Length>> out;
    for (std::size_t i = 0; i < p.notches.size(); ++i) {
        const auto on = p.notches[i].on;
        if (on != EdgeRole::CapFront && on != EdgeRole::CapBack) continue;
        const Curve from = on == EdgeRole::CapFront ? reversed(line(p, on)) : line(p, on);
        const double time = nearest(from, p.notches[i].at).time;
        if (time > static_cast<double>(from.size_default()) - 1e-6) continue;  // the top notch
        out.emplace_back(i, length_to(from, time));
    }
    return out;
}

void put_notches(Piece& p, const std::vector<std::pair<std::size_t, Length>>& places)
{
    for (auto& n : p.notches) {  // the top notch stands where the halves meet
        const bool cap = n.on == EdgeRole::CapFront || n.on == EdgeRole::CapBack;
        if (cap) n.at = top_notch(p);
    }
    for (const auto& [i, along] : places) {
        const auto on = p.notches[i].on;
        const Curve from = on == EdgeRole::CapFront ? reversed(line(p, on)) : line(p, on);
        p.notches[i].at = from.pointAt(time_at(from, along));
    }
}

std::optional<Point> crossing(const Curve& c, double level)
{
    for (std::size_t i = 0; i < c.size_default(); ++i) {
        const auto t = c[i].roots(level, Geom::Y);
        if (!t.empty()) return c[i].pointAt(t.front());
    }
    return std::nullopt;
}

void settle_guides(Piece& p)
{
    const Curve& front = line(p, EdgeRole::UnderarmFront);
    const Curve& back = line(p, EdgeRole::UnderarmBack);
    for (auto& g : p.guides) {
        if (g.kind == GuideKind::Bicep) g = {g.kind, back.finalPoint(), front.initialPoint()};
        if (g.kind != GuideKind::Elbow) continue;
        const auto a = crossing(back, g.a[Geom::Y]);
        const auto b = crossing(front, g.b[Geom::Y]);
        if (a && b) g = {g.kind, *a, *b};
    }
}

// A corner between what arrives and what leaves kept when one of them has turned.
double turned_by(const Curve& was, const Curve& is, bool at_start)
{
    return at_start ? Geom::angle_between(start_direction(was), start_direction(is))
                    : Geom::angle_between(end_direction(was), end_direction(is));
}

// New underarm lines from where the cap ends; the hem's ends follow them and keep their corners.
void put_underarms_below(Piece& p, const Curve& front, const Curve& back)
{
    const Curve front_was = line(p, EdgeRole::UnderarmFront);
    const Curve back_was = line(p, EdgeRole::UnderarmBack);
    Curve& hem = p.edges[at(p, EdgeRole::Hem)].curve;
    hem = start_turned(eased(hem, front.finalPoint() - hem.initialPoint(), no_shift),
                       turned_by(front_was, front, false));
    hem =
        end_turned(eased(hem, no_shift, back.initialPoint() - hem.finalPoint()), turned_by(back_was, back, true));
    p.edges[at(p, EdgeRole::UnderarmFront)].curve = front;
    p.edges[at(p, EdgeRole::UnderarmBack)].curve = back;
}

// The same where the cap's ends go along, and keep their corners too.
void put_underarms(Piece& p, const Curve& front, const Curve& back)
{
    const Curve front_was = line(p, EdgeRole::UnderarmFront);
    const Curve back_was = line(p, EdgeRole::UnderarmBack);
    Curve& cap_front = p.edges[at(p, EdgeRole::CapFront)].curve;
    Curve& cap_back = p.edges[at(p, EdgeRole::CapBack)].curve;
    cap_front = end_turned(eased(cap_front, no_shift, front.initialPoint() - cap_front.finalPoint()),
                           turned_by(front_was, front, true));
    cap_back = start_turned(eased(cap_back, back.finalPoint() - cap_back.initialPoint(), no_shift),
                            turned_by(back_was, back, false));
    put_underarms_below(p, front, back);
}

// The place at distance r from a and s from b, on the side of `near`.
Point at_distances(Point a, double r, Point b, double s, Point near)
{
    const double d = Geom::distance(a, b);
    const double along = (r * r - s * s + d * d) / (2 * d);
    const double off = std::sqrt(std::max(0.0, r * r - along * along));
    const Point u = (b - a) / d;
    const Point foot = a + u * along;
    const Point x = foot + Geom::rot90(u) * off;
    const Point y = foot - Geom::rot90(u) * off;
    return Geom::distance(x, near) < Geom::distance(y, near) ? x : y;
}

}  // namespace

Point top_notch(const Piece& p)
{
    return line(p, EdgeRole::CapBack).finalPoint();
}

Curve cap_run(const Piece& p)
{
    return joined(line(p, EdgeRole::CapBack), line(p, EdgeRole::CapFront));
}

Polygon across_cap(const Piece& p, double level)
{
    const auto on = [&](EdgeRole role) {
        return crossing(line(p, role), level).value_or(line(p, role).pointAt(0.5));
    };
    return {on(EdgeRole::CapFront), on(EdgeRole::CapBack)};
}

Piece cap_moved(const Piece& sleeve, Point by)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    p.edges[at(p, EdgeRole::CapBack)].curve = eased(line(sleeve, EdgeRole::CapBack), no_shift, by);
    p.edges[at(p, EdgeRole::CapFront)].curve = eased(line(sleeve, EdgeRole::CapFront), by, no_shift);
    put_notches(p, places);
    return p;
}

Piece top_notch_at(const Piece& sleeve, Length front_half, std::optional<Length> back_wanted)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    const Curve whole = cap_run(sleeve);
    const Length back_half = length(whole) - front_half;
    const auto parts = split(whole, time_at(whole, back_half));
    p.edges[at(p, EdgeRole::CapBack)].curve =
        back_wanted ? ends_scaled_to_length(parts.before, *back_wanted) : parts.before;
    p.edges[at(p, EdgeRole::CapFront)].curve = parts.after;
    put_notches(p, places);
    return p;
}

void match_cap_notches(Piece& sleeve, const Piece& front, const Piece& back)
{
    auto places = notch_places(sleeve);
    for (auto& [i, along] : places) {
        const Piece& bodice = sleeve.notches[i].on == EdgeRole::CapFront ? front : back;
        // The bodice notch that lies nearest to it along its own edge.
        Length best = along;
        double least = 60;
        const std::size_t hole = *edge_index(bodice, EdgeRole::Armhole, true);
        const Curve from = reversed(bodice.edges[hole].curve);
        for (const auto& n : bodice.notches) {
            if (n.on != EdgeRole::Armhole) continue;
            const auto near = nearest(from, n.at);
            const Length here = length_to(from, near.time);
            if (near.off > 0.1 || here == Length{}) continue;
            if (std::abs((here - along).in_mm()) >= least) continue;
            least = std::abs((here - along).in_mm());
            best = here;
        }
        along = best;
    }
    put_notches(sleeve, places);
}

namespace {

// The hinges a sleeve is spread about, and where the underarms come to when its top is lowered.
struct BicepHinges {
    Point top;
    Point hem;
    Point front;
    Point back;

    explicit BicepHinges(const Piece& sleeve)
        : top{top_notch(sleeve)},
          front{line(sleeve, EdgeRole::UnderarmFront).initialPoint()},
          back{line(sleeve, EdgeRole::UnderarmBack).finalPoint()}
    {
        const Curve& low = line(sleeve, EdgeRole::Hem);
        hem = low.pointAt(low.nearestTime({top[Geom::X], low.initialPoint()[Geom::Y]}));
    }
    [[nodiscard]] std::pair<Point, Point> lowered(double down) const
    {
        const Point to = top - Point{0, down};
        const auto swung = [&](Point under) {
            return at_distances(hem, Geom::distance(hem, under), to, Geom::distance(top, under), under);
        };
        return {swung(front), swung(back)};
    }
    [[nodiscard]] double width(double down) const
    {
        const auto [f, b] = lowered(down);
        return Geom::distance(f, b);
    }
    // How far the top goes while the sleeve gets wider, or narrower, all along: beyond that it turns back.
    [[nodiscard]] double furthest(bool wider) const
    {
        constexpr double step = 0.25;
        constexpr double cap_left = 15;
        constexpr double most_raised = 120;
        const double most =
            wider ? top[Geom::Y] - std::max(front[Geom::Y], back[Geom::Y]) - cap_left : most_raised;
        double down = 0;
        double was = width(0);
        for (double next = step; next <= most; next += step) {
            const double is = width(wider ? next : -next);
            if (wider ? is <= was : is >= was) break;
            down = next;
            was = is;
        }
        return wider ? down : -down;
    }
};

}  // namespace

BicepRoom bicep_room(const Piece& sleeve)
{
    const BicepHinges hinges{sleeve};
    const double now = hinges.width(0);
    return {Length::mm(hinges.width(hinges.furthest(false)) - now),
            Length::mm(hinges.width(hinges.furthest(true)) - now)};
}

BicepSpread bicep_spread(const Piece& sleeve, Length by)
{
    const BicepHinges hinges{sleeve};
    const auto& [top, hem, front, back] = hinges;
    // Lower, the sleeve is wider: one value of `down` gives the width.
    const double want = Geom::distance(front, back) + by.in_mm();
    double low = by < Length{} ? hinges.furthest(false) : 0;
    double high = by < Length{} ? 0 : hinges.furthest(true);
    for (int i = 0; i < 60; ++i) {
        const double middle = (low + high) / 2;
        (hinges.width(middle) < want ? low : high) = middle;
    }
    const double down = (low + high) / 2;
    const auto [to_front, to_back] = hinges.lowered(down);
    const Point to = top - Point{0, down};
    BicepSpread out{sleeve,
                    Length::mm(down),
                    rigid(top, front, to, to_front),
                    rigid(top, back, to, to_back),
                    rigid(hem, front, hem, to_front),
                    rigid(hem, back, hem, to_back),
                    hem};
    Piece& p = out.piece;
    const auto places = notch_places(sleeve);
    const Curve under_front = line(sleeve, EdgeRole::UnderarmFront) * out.low_front;
    const Curve under_back = line(sleeve, EdgeRole::UnderarmBack) * out.low_back;
    // The chords of the cap's halves keep their length; level again at the top, they are drawn as full as before.
    const Curve& cap_front = line(sleeve, EdgeRole::CapFront);
    const Curve& cap_back = line(sleeve, EdgeRole::CapBack);
    Curve& front_half = p.edges[at(p, EdgeRole::CapFront)].curve;
    Curve& back_half = p.edges[at(p, EdgeRole::CapBack)].curve;
    front_half = eased(cap_front, to - top, no_shift);
    back_half = eased(cap_back, no_shift, to - top);
    put_underarms(p, under_front, under_back);
    front_half = ends_scaled_to_length(front_half, length(cap_front));
    back_half = ends_scaled_to_length(back_half, length(cap_back));
    put_notches(p, places);
    settle_guides(p);
    return out;
}

Piece split_through(const Piece& sleeve, Length by)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    const Point half{by.in_mm() / 2, 0};
    const Point top = top_notch(sleeve);
    Curve front = moved(line(sleeve, EdgeRole::CapFront), half);
    Curve back = moved(line(sleeve, EdgeRole::CapBack), -half);
    if (by > Length{}) {  // the gap at the top, level
        front = joined(straight(top, front.initialPoint()), front);
        back = joined(back, straight(back.finalPoint(), top));
    } else {  // the overlap comes off both halves, which meet in the middle of what is left of a step
        front = split(front, time_at(front, -by / 2.0)).after;
        back = split(back, time_at(back, length(back) + by / 2.0)).before;
        const Point meet = (front.initialPoint() + back.finalPoint()) / 2;
        front = eased(front, meet - front.initialPoint(), no_shift);
        back = eased(back, no_shift, meet - back.finalPoint());
        const double peak = Geom::angle_between(end_direction(back), start_direction(front)) / 2;
        front = start_turned(front, -peak);
        back = end_turned(back, peak);
    }
    p.edges[at(p, EdgeRole::CapFront)].curve = front;
    p.edges[at(p, EdgeRole::CapBack)].curve = back;
    p.edges[at(p, EdgeRole::UnderarmFront)].curve = moved(line(sleeve, EdgeRole::UnderarmFront), half);
    p.edges[at(p, EdgeRole::UnderarmBack)].curve = moved(line(sleeve, EdgeRole::UnderarmBack), -half);
    p.edges[at(p, EdgeRole::Hem)].curve = eased(line(sleeve, EdgeRole::Hem), half, -half);
    put_notches(p, places);
    settle_guides(p);
    return p;
}

Piece sleeve_longer(const Piece& sleeve, double level, Length by)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    const Point down{0, -by.in_mm()};
    p.edges[at(p, EdgeRole::Hem)].curve = moved(line(sleeve, EdgeRole::Hem), down);
    put_underarms_below(p, sheared(line(sleeve, EdgeRole::UnderarmFront), no_shift, down),
                        sheared(line(sleeve, EdgeRole::UnderarmBack), down, no_shift));
    for (auto& g : p.guides) {
        if (g.kind == GuideKind::Grain) g.b += down;
        if (g.kind == GuideKind::Elbow && g.a[Geom::Y] < level) g = {g.kind, g.a + down, g.b + down};
    }
    put_notches(p, places);
    settle_guides(p);
    return p;
}

Piece hem_wider(const Piece& sleeve, Length by)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    const Point half{by.in_mm() / 2, 0};
    put_underarms_below(p, sheared(line(sleeve, EdgeRole::UnderarmFront), no_shift, half),
                        sheared(line(sleeve, EdgeRole::UnderarmBack), -half, no_shift));
    put_notches(p, places);
    settle_guides(p);
    return p;
}

Piece wider_at(const Piece& sleeve, double level, Length by)
{
    Piece p = sleeve;
    const auto places = notch_places(sleeve);
    const auto bowed = [&](const Curve& c, Point shift) {
        for (std::size_t i = 0; i < c.size_default(); ++i) {
            const auto t = c[i].roots(level, Geom::Y);
            if (t.empty()) continue;
            const auto parts = split(c, static_cast<double>(i) + t.front());
            return joined(eased(parts.before, no_shift, shift), eased(parts.after, shift, no_shift));
        }
        return c;
    };
    const Point half{by.in_mm() / 2, 0};
    put_underarms_below(p, bowed(line(sleeve, EdgeRole::UnderarmFront), half),
                        bowed(line(sleeve, EdgeRole::UnderarmBack), -half));
    put_notches(p, places);
    settle_guides(p);
    return p;
}

}  // namespace sartorum
