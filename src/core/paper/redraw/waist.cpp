#include "core/paper/redraw/waist.h"

#include <algorithm>
#include <cmath>

#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/parts.h"
#include "core/pattern/dart.h"
#include "core/pattern/joint.h"

namespace sartorum {

WaistHeights::WaistHeights(Length front, Length back, const AtStations& by)
    : front_{front},
      back_{back},
      line_{{{Length{}, {0, by[0].in_mm()}},
             {front / 2.0, {0, by[1].in_mm()}},
             {front, {0, by[2].in_mm()}},
             {front + back / 2.0, {0, by[3].in_mm()}},
             {front + back, {0, by[4].in_mm()}}}}
{
}

WaistHeights::Value WaistHeights::at(PieceRole face, Length from_centre) const
{
    const bool back = face == PieceRole::Back;
    const auto v = line_.at(back ? front_ + back_ - from_centre : from_centre);
    return {Length::mm(v.by[Geom::Y]), back ? -v.slope[Geom::Y] : v.slope[Geom::Y]};
}

namespace {

constexpr auto waist_field = "waist_line";
constexpr Length least_left = Length::mm(5);  // of a seam, of a dart's legs, above the line it is cut across at

// A dart in the waist, seen on the closed waist: both its legs are one line there.
struct Leg {
    std::size_t mouth;
    Geom::Affine closed;  // what lies before it in travel, as the waist is sewn
    Point place;          // where it meets the waist
    Point up;
    double length;
};

std::vector<Leg> legs_of(const Piece& p)
{
    std::vector<Leg> out;
    Geom::Affine closed = Geom::identity();
    for (const auto mouth : waist_mouths(p)) {
        const Dart& d = p.darts[dart_at(p, mouth)];
        const Point middle = d.kind == DartKind::Dart ? d.leg_a : (d.leg_a + d.leg_b) / 2;
        const double whole = Geom::distance(middle, d.tip);
        const Point up = whole > 1 ? (middle - d.tip) / whole : Point{0, 1};
        out.push_back({mouth, closed, d.leg_a * closed, up * closed.withoutTranslation(), whole});
        closed = closing(d) * closed;
    }
    return out;
}

Geom::Affine all_closed(const Piece& p, const std::vector<Leg>& legs)
{
    if (legs.empty()) return Geom::identity();
    return closing(p.darts[dart_at(p, legs.back().mouth)]) * legs.back().closed;
}

// Where the new line crosses a leg, or what it runs on as.
std::optional<double> crossing(const Curve& line, const Leg& leg, DartKind kind)
{
    const Curve laid = line * (Geom::Translate(-leg.place) * Geom::Rotate{Geom::angle_between(leg.up, {0, 1})});
    std::optional<double> best;
    double nearest = 0;
    double high = 0;
    for (const double time : times_where(laid, Geom::X, 0)) {
        const double up = laid.pointAt(time)[Geom::Y];
        if (best && std::abs(up) >= nearest) continue;
        best = time;
        nearest = std::abs(up);
        high = up;
    }
    const bool past_tip = kind != DartKind::Pleat && leg.length + high < least_left.in_mm();
    return past_tip ? std::nullopt : best;
}

// The edges of the waist and its mouths, the line parted at the legs and each part laid back.
Outcome<bool> take_line(Piece& p, const Curve& line, const std::vector<Leg>& legs)
{
    const std::size_t last = *edge_index(p, EdgeRole::Waist, true);
    std::vector<Edge> edges;
    Curve rest = line;
    std::size_t from = 0;  // the first edge of the waist that is not drawn yet
    const auto add = [&](const Curve& c, const Geom::Affine& closed) {
        Edge e = p.edges[from];
        e.curve = c * closed.inverse();
        edges.push_back(std::move(e));
    };
    for (const auto& leg : legs) {
        const auto time = crossing(rest, leg, p.darts[dart_at(p, leg.mouth)].kind);
        if (!time || *time < 1e-6 || *time > static_cast<double>(rest.size_default()) - 1e-6)
            return refuse(Why::PaperCrosses, waist_field);
        const auto [before, after] = split(rest, *time);
        add(before, leg.closed);
        edges.push_back(p.edges[leg.mouth]);
        from = leg.mouth + 1;
        rest = after;
    }
    add(rest, all_closed(p, legs));
    p.edges.erase(p.edges.begin(), p.edges.begin() + static_cast<std::ptrdiff_t>(last) + 1);
    p.edges.insert(p.edges.begin(), edges.begin(), edges.end());
    return true;
}

// Tips stay where the legs meet; a pleat, which is only held in the seam, goes with it.
void redraw_mouths(Piece& p, const Piece& was)
{
    for (const auto mouth : waist_mouths(p)) {
        Dart& d = p.darts[dart_at(p, mouth)];
        const Point a = p.edges[mouth - 1].curve.finalPoint();
        const Point b = p.edges[mouth + 1].curve.initialPoint();
        if (d.kind == DartKind::Dart) {
            redraw_dart(p, mouth, d.tip);
            continue;
        }
        const Dart& old = was.darts[dart_at(p, mouth)];
        d.leg_a = a;
        d.leg_b = b;
        if (d.kind == DartKind::Pleat) d.tip += (a + b - old.leg_a - old.leg_b) / 2;
        p.edges[mouth].curve = dart_mouth(d, {});
    }
}

// The old waist, carried on or cut back to where it lies straight under (above) the ends of the new one.
struct OldLine {
    Curve line;
    Length begins;  // along the old waist
    double up_at_start;
    double up_at_end;
};

std::optional<OldLine> old_between(const Curve& closed, Point start, Point end)
{
    const double most = std::max(std::abs(start[Geom::X] - closed.initialPoint()[Geom::X]),
                                 std::abs(end[Geom::X] - closed.finalPoint()[Geom::X]));
    const Length on = Length::mm(2 * most + 1);
    const Curve longer = reversed(redraw::end_moved(reversed(redraw::end_moved(closed, on)), on));
    const auto from = times_where(longer, Geom::X, start[Geom::X]);
    const auto to = times_where(longer, Geom::X, end[Geom::X]);
    if (from.empty() || to.empty() || from.front() >= to.back()) return std::nullopt;
    const Point under_start = longer.pointAt(from.front());
    const Point under_end = longer.pointAt(to.back());
    const Length begins = length_to(longer, from.front()) - on;
    const Curve cut = split(split(longer, to.back()).before, from.front()).after;
    return OldLine{cut, begins, (start - under_start)[Geom::Y], (end - under_end)[Geom::Y]};
}

// The same shift told at many places, so that it does not matter where the nodes of what is shifted lie.
std::vector<ShiftAt> closely(const ShiftLine& shift, Length whole)
{
    constexpr Length apart = Length::mm(12);
    std::vector<ShiftAt> out = shift.places();
    const int steps = static_cast<int>(std::ceil(whole / apart));
    for (int i = 1; i < steps; ++i) {
        const Length along = whole * (double(i) / steps);
        const auto v = shift.at(along);
        out.push_back({along, v.by, v.slope});
    }
    std::sort(out.begin(), out.end(), [](const ShiftAt& a, const ShiftAt& b) { return a.at < b.at; });
    return out;
}

// No paper between it and the line the piece is cut across at.
bool waist_reaches_cut(const Piece& p)
{
    const auto line = guide(p, GuideKind::LengthenShorten);
    if (!line) return false;
    const double least = std::max(line->a[Geom::Y], line->b[Geom::Y]) + least_left.in_mm();
    return std::any_of(p.edges.begin(), p.edges.end(), [&](const Edge& e) {
        return e.role == EdgeRole::Waist && e.curve.boundsFast()->min()[Geom::Y] < least;
    });
}

void carry_notches(Piece& p, const Piece& was, const WaistHeights& heights, Length from)
{
    for (auto& n : p.notches) {
        if (n.on != EdgeRole::Waist) continue;
        n.at[Geom::Y] += heights.at(p.role, from + along_to(was, EdgeRole::Waist, n.at)).by.in_mm();
    }
    settle_notches(p);
}

}  // namespace

Outcome<Piece> waist_redrawn(const Piece& piece, const WaistHeights& heights, Length from)
{
    const auto legs = legs_of(piece);
    const Curve closed = closed_run(piece, EdgeRole::Waist);
    const Length whole = length(closed);
    const auto inner = heights.at(piece.role, from);
    const auto outer = heights.at(piece.role, from + whole);
    Piece out = piece;
    Curve& at_inner = out.edges.back().curve;
    Curve& at_outer = out.edges[*edge_index(piece, EdgeRole::Waist, true) + 1].curve;
    if (-inner.by > length(at_inner) - least_left || -outer.by > length(at_outer) - least_left)
        return refuse(Why::PaperCrosses, waist_field);
    at_inner = redraw::end_moved(at_inner, inner.by);
    at_outer = reversed(redraw::end_moved(reversed(at_outer), outer.by));
    const auto under =
        old_between(closed, at_inner.finalPoint(), at_outer.initialPoint() * all_closed(piece, legs));
    if (!under) return refuse(Why::PaperCrosses, waist_field);
    std::vector<ShiftAt> places{{Length{}, {0, under->up_at_start}, Point{0, inner.slope}}};
    const Length middle = heights.middle(piece.role) - from;
    const Length there = middle - under->begins;
    if (middle > Length::mm(1) && middle < whole - Length::mm(1)) {
        const auto v = heights.at(piece.role, from + middle);
        places.push_back({there, {0, v.by.in_mm()}, Point{0, v.slope}});
    }
    places.push_back({length(under->line), {0, under->up_at_end}, Point{0, outer.slope}});
    const Curve line = curve_shifted(under->line, closely(ShiftLine{places}, length(under->line)));
    if (const auto ok = take_line(out, line, legs); !ok) return tl::make_unexpected(ok.error());
    redraw_mouths(out, piece);
    carry_notches(out, piece, heights, from);
    if (piece.opening > Length{} && piece.opening < piece_most)
        out.opening = std::max(Length{}, piece.opening + inner.by);
    if (piece.side_opening > Length{} && piece.side_opening < piece_most)
        out.side_opening = std::max(Length{}, piece.side_opening + outer.by);
    if (waist_reaches_cut(out)) return refuse(Why::PaperCrosses, waist_field);
    return out;
}

Length top_length(const Piece& piece)
{
    return flat_length(piece, piece.edges.front().role);
}

Piece top_raised(const Piece& piece, Length amount, double from, double to)
{
    Piece out = piece;
    const EdgeRole role = piece.edges.front().role;
    const double whole = top_length(piece).in_mm();
    const auto lift = [&](double at) { return Point{0, amount.in_mm() * (1 - at * at * (3 - 2 * at))}; };
    double at = from;
    std::size_t last = 0;
    for (std::size_t i = 0; i < piece.edges.size(); ++i) {
        Edge& e = out.edges[i];
        const bool mouth = e.role == EdgeRole::DartMouth && last + 1 == i;
        if (e.role != role && !mouth) break;
        last = i;
        if (mouth) {
            e.curve = moved(e.curve, lift(at));
            continue;
        }
        const double next = at + length(e.curve).in_mm() / whole * (to - from);
        e.curve = eased_part(e.curve, {0, amount.in_mm()}, no_shift, at, next);
        at = next;
    }
    // The flanks run on as they were going, and the edge to their ends.
    Curve& inner = out.edges.back().curve;
    Curve& outer = out.edges[last + 1].curve;
    inner = redraw::end_moved(inner, Length::mm(lift(from)[Geom::Y]));
    outer = reversed(redraw::end_moved(reversed(outer), Length::mm(lift(to)[Geom::Y])));
    Curve& first = out.edges.front().curve;
    first = eased(first, inner.finalPoint() - first.initialPoint(), no_shift);
    Curve& end = out.edges[last].curve;
    end = eased(end, no_shift, outer.initialPoint() - end.finalPoint());
    settle_darts(out);
    settle_notches(out);
    return out;
}

}  // namespace sartorum
