#include "core/paper/redraw/waist_dart.h"

#include <algorithm>

#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

constexpr Length beside_least = Length::mm(10);

// The corner of the waist over the dart, folded shut.
double closed_corner(const Piece& p, std::size_t mouth)
{
    const Dart& d = p.darts[dart_at(p, mouth)];
    const double turn = Geom::angle_between(d.leg_b - d.tip, d.leg_a - d.tip);
    return Geom::angle_between(end_direction(p.edges[mouth - 1].curve),
                               start_direction(p.edges[mouth + 1].curve) * Geom::Rotate{turn});
}

// Both sides of it turned alike, until that corner is as it should be; the mouth roofed for it.
void true_over(Piece& p, std::size_t mouth, double corner)
{
    const double half = (closed_corner(p, mouth) - corner) / 2;
    p.edges[mouth - 1].curve = end_turned(p.edges[mouth - 1].curve, half);
    p.edges[mouth + 1].curve = start_turned(p.edges[mouth + 1].curve, -half);
    redraw_dart(p, mouth, p.darts[dart_at(p, mouth)].tip);
}

}  // namespace

Outcome<Piece> dart_deepened(const Piece& piece, std::size_t mouth, Length by)
{
    Piece out = piece;
    Dart& dart = out.darts[dart_at(out, mouth)];
    const Length half = by / 2.0;
    const Curve& before = piece.edges[mouth - 1].curve;
    const Curve& after = piece.edges[mouth + 1].curve;
    const Length room = std::min(length(before), length(after)) - beside_least;
    const Length wide = mouth_width(dart);
    if (half > room || wide + by < dart_least)
        return refuse_amount(Why::AmountTooLarge, piece.id, by, std::min(dart_least - wide, Length{}),
                             std::max(room * 2.0, Length{}));
    if (half > Length{}) {
        out.edges[mouth - 1].curve = split(before, time_at(before, length(before) - half)).before;
        out.edges[mouth + 1].curve = split(after, time_at(after, half)).after;
    } else {
        const Point in = Geom::unit_vector(dart.leg_b - dart.leg_a) * -half.in_mm();
        redraw_edge(out, mouth - 1, eased(before, no_shift, in));
        redraw_edge(out, mouth + 1, eased(after, -in, no_shift));
    }
    redraw_dart(out, mouth, dart.tip);
    true_over(out, mouth, closed_corner(piece, mouth));
    settle_notches(out);
    return out;
}

Piece dart_left(const Piece& piece, std::size_t mouth)
{
    Piece out = piece;
    const Dart dart = piece.darts[dart_at(piece, mouth)];
    const Point middle = (dart.leg_a + dart.leg_b) / 2;
    const Curve before = eased(piece.edges[mouth - 1].curve, no_shift, middle - dart.leg_a);
    const Curve after = eased(piece.edges[mouth + 1].curve, middle - dart.leg_b, no_shift);
    out.darts.erase(out.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(piece, mouth)));
    out.edges[mouth - 1].curve = smoothly_joined(before, after);
    out.edges[mouth - 1].gathered += out.edges[mouth + 1].gathered;
    const auto at = out.edges.begin() + static_cast<std::ptrdiff_t>(mouth);
    out.edges.erase(at, at + 2);
    settle_notches(out);
    return out;
}

Outcome<Piece> dart_added(const Piece& piece, const NewDart& dart)
{
    const OutlinePlace place = place_along(piece, EdgeRole::Waist, dart.at);
    const Edge old = piece.edges[place.edge];
    const Length here = length_to(old.curve, place.time);
    const Length half = dart.mouth / 2.0;
    const Length room = std::min(here, length(old.curve) - here) - beside_least;
    if (half > room || dart.mouth < dart_least)
        return refuse_amount(Why::AmountTooLarge, piece.id, dart.mouth, dart_least,
                             std::max(room * 2.0, Length{}));
    const Curve before = split(old.curve, time_at(old.curve, here - half)).before;
    const Curve after = split(old.curve, time_at(old.curve, here + half)).after;
    const Point a = before.finalPoint();
    const Point b = after.initialPoint();
    // Inside lies to the right of travel, clockwise.
    const Point inwards = -Geom::rot90(Geom::unit_vector(b - a));
    const Point tip = (a + b) / 2 + inwards * dart.length.in_mm();
    Piece out = piece;
    out.edges[place.edge].curve = before;
    Edge rest = old;
    rest.curve = after;
    rest.gathered = old.gathered * (length(after) / length(old.curve));
    out.edges[place.edge].gathered = old.gathered - rest.gathered;
    const Edge mouth{EdgeRole::DartMouth, straight(a, b), old.allowance};
    const auto at = out.edges.begin() + static_cast<std::ptrdiff_t>(place.edge) + 1;
    out.edges.insert(at, {mouth, rest});
    const std::size_t index = place.edge + 1;
    out.darts.insert(out.darts.begin() + static_cast<std::ptrdiff_t>(dart_at(out, index)), Dart{a, b, tip});
    redraw_dart(out, index, tip);
    true_over(out, index, 0);
    settle_notches(out);
    return out;
}

}  // namespace sartorum
