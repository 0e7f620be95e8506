#include "core/paper/redraw/darts.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/bodice.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr double least_part = 1e-3;  // so that both parts of a parted edge are lines

// Turned with its neighbours: direction of the edge before the mouth at its leg.
Curve mouth_drawn(const Piece& p, std::size_t mouth)
{
    const Dart& d = p.darts[dart_at(p, mouth)];
    // A seam's opening is not folded: nothing has to meet there.
    if (p.princess && p.bust_point && Geom::distance(d.tip, *p.bust_point) < 1e-6)
        return straight(d.leg_a, d.leg_b);
    const EdgeRole role = dart_role(p, mouth);
    // What hangs from the waist has it run from the centre: folded there.
    const bool from_centre = role == EdgeRole::Waist && begins_with(p, EdgeRole::Waist);
    if (role == EdgeRole::Shoulder || role == EdgeRole::Neck || from_centre)
        return dart_mouth(d, end_direction(p.edges[mouth - 1].curve));
    const Point up = -start_direction(p.edges[mouth + 1].curve);
    return reversed(dart_mouth({d.leg_b, d.leg_a, d.tip, d.kind}, up));
}

// Two edges of one role made one again.
void join_edges(Piece& p, std::size_t second)
{
    Edge& first = p.edges[second - 1];
    first.curve = smoothly_joined(first.curve, p.edges[second].curve);
    p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(second));
    settle_notches(p);
}

// The mouth's dart closed for good: its edges joined.
void remove_dart(Piece& p, std::size_t mouth)
{
    p.darts.erase(p.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(p, mouth)));
    p.edges.erase(p.edges.begin() + static_cast<std::ptrdiff_t>(mouth));
    join_edges(p, mouth);
}

// What lies between a place and a dart, as edges: [first, last].
struct Between {
    std::size_t first;
    std::size_t last;
    bool place_first;  // in travel
};

Between between(std::size_t part, std::size_t mouth)
{
    return part <= mouth ? Between{part, mouth - 1, true} : Between{mouth + 1, part - 1, false};
}

}  // namespace

Curve smoothly_joined(const Curve& a, const Curve& b)
{
    const double corner = Geom::angle_between(end_direction(a), start_direction(b));
    return joined(end_turned(a, corner / 2), start_turned(b, -corner / 2));
}

Outcome<Piece> dart_slid(const Piece& piece, std::size_t mouth, Length along, Length kept)
{
    const Curve& before = piece.edges[mouth - 1].curve;
    const Curve& after = piece.edges[mouth + 1].curve;
    const Length back = kept - length(before);
    const Length on = length(after) - kept;
    if (along < back || along > on)
        return refuse_amount(Why::AmountTooLarge, piece.id, along, std::min(back, Length{}),
                             std::max(on, Length{}));
    Piece out = piece;
    Dart& dart = out.darts[dart_at(piece, mouth)];
    const Point by = Geom::unit_vector(dart.leg_b - dart.leg_a) * along.in_mm();
    redraw_edge(out, mouth - 1, eased(before, no_shift, by));
    redraw_edge(out, mouth, moved(piece.edges[mouth].curve, by));
    redraw_edge(out, mouth + 1, eased(after, by, no_shift));
    dart.leg_a += by;
    dart.leg_b += by;
    dart.tip += by;
    return out;
}

OutlinePlace place_near(const Piece& p, EdgeRole role, Point at)
{
    OutlinePlace best;
    double least = 1e9;
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != role) continue;
        const auto near = nearest(p.edges[i].curve, at);
        if (near.off >= least) continue;
        least = near.off;
        best = {i, near.time};
    }
    return best;
}

Point point_at(const Piece& p, const OutlinePlace& at)
{
    return p.edges[at.edge].curve.pointAt(at.time);
}

OutlinePlace place_along(const Piece& p, EdgeRole role, Length along)
{
    OutlinePlace out;
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != role) continue;
        const Length here = length(p.edges[i].curve);
        out = {i, time_at(p.edges[i].curve, std::clamp(along, Length{}, here))};
        if (along <= here) break;
        along = along - here;
    }
    return out;
}

Length along_to(const Piece& piece, EdgeRole role, Point at)
{
    const OutlinePlace place = place_near(piece, role, at);
    Length before;
    for (std::size_t i = 0; i < place.edge; ++i) {
        if (piece.edges[i].role == role) before += length(piece.edges[i].curve);
    }
    return before + length_to(piece.edges[place.edge].curve, place.time);
}

OutlinePlace place_facing(const Piece& p, EdgeRole role, Point pivot, double from, double to)
{
    const Length whole = sewn_length(p, role);
    OutlinePlace best = place_along(p, role, whole * from);
    double least = 2;
    constexpr int tries = 24;
    for (int i = 0; i <= tries; ++i) {
        const OutlinePlace here = place_along(p, role, whole * (from + (to - from) * i / tries));
        const Curve& c = p.edges[here.edge].curve;
        const auto end = static_cast<double>(c.size_default());
        const Point along = start_direction(split(c, std::clamp(here.time, least_part, end - least_part)).after);
        const double off = std::abs(Geom::dot(along, Geom::unit_vector(pivot - point_at(p, here))));
        if (off >= least) continue;
        least = off;
        best = here;
    }
    return best;
}

EdgeRole dart_role(const Piece& p, std::size_t mouth)
{
    return p.edges[mouth - 1].role;
}

std::optional<std::size_t> mouth_in(const Piece& p, EdgeRole role)
{
    std::optional<std::size_t> best;
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth || p.edges[i - 1].role != role) continue;
        if (p.darts[dart_at(p, i)].kind != DartKind::Dart) continue;
        if (!best || mouth_width(p.darts[dart_at(p, i)]) > mouth_width(p.darts[dart_at(p, *best)])) best = i;
    }
    return best;
}

double radians_at(const Piece& p, std::size_t mouth, Point pivot)
{
    const Dart& d = p.darts[dart_at(p, mouth)];
    return std::abs(Geom::angle_between(d.leg_a - pivot, d.leg_b - pivot));
}

std::size_t part_edge(Piece& p, const OutlinePlace& at)
{
    const Edge old = p.edges[at.edge];
    const auto end = static_cast<double>(old.curve.size_default());
    // At a node of the curve where one is near: no slivers.
    const double node = std::round(at.time);
    const bool near_node = std::abs(at.time - node) < least_part && node > 0.5 && node < end - 0.5;
    const auto [before, after] =
        split(old.curve, near_node ? node : std::clamp(at.time, least_part, end - least_part));
    p.edges[at.edge].curve = before;
    Edge rest = old;
    rest.curve = after;
    rest.gathered = old.gathered * (length(after) / length(old.curve));
    p.edges[at.edge].gathered = old.gathered - rest.gathered;
    p.edges.insert(p.edges.begin() + static_cast<std::ptrdiff_t>(at.edge) + 1, rest);
    return at.edge + 1;
}

void turn_edges(Piece& p, std::size_t first, std::size_t last, const Geom::Affine& how)
{
    for (std::size_t i = first; i <= last; ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth) p.darts[dart_at(p, i)].tip *= how;
        redraw_edge(p, i, p.edges[i].curve * how);
    }
}

void redraw_dart(Piece& p, std::size_t mouth, Point tip)
{
    Dart& d = p.darts[dart_at(p, mouth)];
    const Point from_a = p.edges[mouth - 1].curve.finalPoint();
    const Point from_b = p.edges[mouth + 1].curve.initialPoint();
    const double leg = (Geom::distance(from_a, tip) + Geom::distance(from_b, tip)) / 2;
    d.tip = tip;
    d.leg_a = tip + Geom::unit_vector(from_a - tip) * leg;
    d.leg_b = tip + Geom::unit_vector(from_b - tip) * leg;
    redraw_edge(p, mouth - 1, sheared(p.edges[mouth - 1].curve, no_shift, d.leg_a - from_a));
    redraw_edge(p, mouth + 1, sheared(p.edges[mouth + 1].curve, d.leg_b - from_b, no_shift));
    p.edges[mouth].curve = mouth_drawn(p, mouth);
}

void aim_dart(Piece& p, std::size_t mouth, Point pivot, Length before)
{
    const Point a = p.edges[mouth - 1].curve.finalPoint();
    const Point b = p.edges[mouth + 1].curve.initialPoint();
    // Equal legs to the pivot first, so that the angle there is what the dart takes out.
    redraw_dart(p, mouth, pivot);
    const Point middle = (a + b) / 2;
    const double reach = std::max(before.in_mm(), 0.0);
    const double whole = Geom::distance(pivot, middle);
    const Dart& d = p.darts[dart_at(p, mouth)];
    const Point to_middle = Geom::unit_vector((d.leg_a + d.leg_b) / 2 - pivot);
    redraw_dart(p, mouth, pivot + to_middle * std::min(reach, whole * 0.6));
}

void keep_beside_dart(Piece& p, std::size_t mouth, Length before, Length after)
{
    Dart& d = p.darts[dart_at(p, mouth)];
    const Curve above = p.edges[mouth - 1].curve;
    const Curve below = p.edges[mouth + 1].curve;
    const auto turned = [&](Point leg, double radians) { return d.tip + (leg - d.tip) * Geom::Rotate{radians}; };
    const auto edge_to = [&](double radians) {
        return sheared(above, no_shift, turned(d.leg_a, radians) - d.leg_a);
    };
    const auto edge_from = [&](double radians) {
        return sheared(below, turned(d.leg_b, radians) - d.leg_b, no_shift);
    };
    // A leg stands across its edge: turned, it takes or gives almost all of its way.
    const auto turn_to = [&](auto edge_at, Length wanted, Point leg) {
        const double reach = std::max(Geom::distance(leg, d.tip), 1.0);
        constexpr int rounds = 12;
        double was = 0;
        double off_was = (length(edge_at(was)) - wanted).in_mm();
        double is = off_was / reach;
        for (int i = 0; i < rounds && std::abs(off_was) > 1e-7; ++i) {
            const double off = (length(edge_at(is)) - wanted).in_mm();
            const double slope = (off - off_was) / (is - was);
            if (!std::isfinite(slope) || std::abs(slope) < reach * 0.05) break;
            was = std::exchange(is, is - off / slope);
            off_was = off;
        }
        return is;
    };
    const double at_a = turn_to(edge_to, before, d.leg_a);
    const double at_b = turn_to(edge_from, after, d.leg_b);
    redraw_edge(p, mouth - 1, edge_to(at_a));
    redraw_edge(p, mouth + 1, edge_from(at_b));
    d.leg_a = turned(d.leg_a, at_a);
    d.leg_b = turned(d.leg_b, at_b);
    p.edges[mouth].curve = mouth_drawn(p, mouth);
}

namespace {

std::size_t insert_mouth(Piece& p, std::size_t part)
{
    const Edge& before = p.edges[part - 1];
    const Point a = before.curve.finalPoint();
    const Point b = p.edges[part].curve.initialPoint();
    Edge mouth{EdgeRole::DartMouth, straight(a, b), before.allowance};
    p.edges.insert(p.edges.begin() + static_cast<std::ptrdiff_t>(part), mouth);
    p.darts.insert(p.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(p, part)), Dart{a, b, (a + b) / 2});
    return part;
}

constexpr double closed_radians = 2e-4;  // less is no dart

}  // namespace

Pivoted pivoted_into_place(const Piece& piece, std::size_t mouth, const OutlinePlace& place, Point pivot,
                           double radians)
{
    Pivoted out{piece, {}};
    Piece& p = out.piece;
    const double had = radians_at(p, mouth, pivot);
    // A dart that lies there already grows; else the edge is parted.
    const auto there = mouth_in(p, p.edges[place.edge].role);
    std::size_t at = 0;
    if (there) {
        at = *there < mouth ? *there + 1 : *there;
    } else {
        at = part_edge(p, place);
        if (at <= mouth) ++mouth;
    }
    const Between run = between(at, mouth);
    const Point from =
        (run.place_first ? p.edges[mouth - 1].curve.finalPoint() : p.edges[mouth + 1].curve.initialPoint()) -
        pivot;
    const Point to =
        (run.place_first ? p.edges[mouth + 1].curve.initialPoint() : p.edges[mouth - 1].curve.finalPoint()) -
        pivot;
    const double sense = Geom::angle_between(from, to) < 0 ? -1 : 1;
    turn_edges(p, run.first, run.last, turn_about(pivot, sense * radians));
    std::size_t opened = at;
    if (!there) {
        opened = insert_mouth(p, at);
        if (opened <= mouth) ++mouth;
    } else {
        opened = *there;
    }
    if (had - radians < closed_radians) {
        remove_dart(p, mouth);
        if (opened > mouth) opened -= 2;
    } else {
        out.mouths.push_back(mouth);
    }
    out.mouths.push_back(opened);
    settle_darts(p);
    return out;
}

Pivoted pivoted_into_dart(const Piece& piece, const OutlinePlace& place, std::size_t mouth, Point pivot,
                          double radians)
{
    Pivoted out{piece, {}};
    Piece& p = out.piece;
    const double half = radians / 2;
    // Half of the fold lies on either side of the place; each radius to the pivot stays.
    const Curve whole = p.edges[place.edge].curve;
    const Point at = whole.pointAt(place.time);
    const bool place_first = place.edge < mouth;
    const auto ray = [&](double turned) { return at * turn_about(pivot, turned); };
    // Travel is clockwise: what lies before the place is counter-clockwise of it, seen from inside.
    const auto time_near = [&](Point where) {
        // Where the ray meets the edge, nearest to the place; an edge that runs along the ray meets it nowhere.
        const double lay = std::atan2((where - pivot)[Geom::Y], (where - pivot)[Geom::X]);
        const Curve laid = whole * (Geom::Translate(-pivot) * Geom::Rotate{-lay});
        std::optional<double> best;
        for (std::size_t i = 0; i < laid.size_default(); ++i) {
            for (const double t : laid[i].roots(0.0, Geom::Y)) {
                const double time = static_cast<double>(i) + t;
                if (laid.pointAt(time)[Geom::X] <= 0) continue;
                if (!best || std::abs(time - place.time) < std::abs(*best - place.time)) best = time;
            }
        }
        return best ? *best : nearest(whole, where).time;
    };
    const auto end = static_cast<double>(whole.size_default());
    const double t0 = std::clamp(time_near(ray(half)), least_part, end - 2 * least_part);
    const double t1 = std::clamp(time_near(ray(-half)), t0 + least_part, end - least_part);
    const Curve before = split(whole, t0).before;
    const Curve after = split(whole, t1).after;
    const double angle =
        Geom::angle_between(after.initialPoint() - pivot, before.finalPoint() - pivot);  // closes exactly
    const auto close = turn_about(pivot, place_first ? angle : -angle);
    // The moved part follows; its step at the closed fold is trued by a shift that dies away.
    p.edges[place.edge].curve = before;
    Edge rest = piece.edges[place.edge];
    rest.curve = after;
    p.edges.insert(p.edges.begin() + static_cast<std::ptrdiff_t>(place.edge) + 1, rest);
    if (place_first) ++mouth;
    const Between run =
        place_first ? Between{place.edge + 1, mouth - 1, true} : Between{mouth + 1, place.edge, false};
    turn_edges(p, run.first, run.last, close);
    Curve& low = p.edges[place.edge].curve;
    Curve& high = p.edges[place.edge + 1].curve;
    const Point step = high.initialPoint() - low.finalPoint();
    low = eased(low, no_shift, step / 2);
    high = eased(high, -step / 2, no_shift);
    join_edges(p, place.edge + 1);
    if (place_first) --mouth;
    settle_darts(p);
    out.mouths = {mouth};
    return out;
}

}  // namespace sartorum
