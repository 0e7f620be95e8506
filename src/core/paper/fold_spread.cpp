#include "core/paper/fold_spread.h"

#include <algorithm>

#include "core/paper/panels.h"
#include "core/paper/redraw/side.h"
#include "core/pattern/dart.h"

namespace sartorum {
namespace {

// Drawn upwards the centre lies on the left, the side on the right.
const Point upwards{0, 1};

// Where the hem lies under that place; none where it does more than once. At a node both its segments do.
std::optional<double> under(const Curve& hem, double x)
{
    const auto times = times_where(hem, Geom::X, x);
    if (times.empty() || times.back() - times.front() > 1e-6) return std::nullopt;
    return at_node(hem, times.front());
}

// The hem from the side to the centre, what lies beyond the cut moved; where cloth goes, run over smoothly.
std::optional<Curve> hem_spread(const Curve& hem, double x, double by)
{
    const auto beyond = under(hem, by < 0 ? x - by / 2 : x);
    const auto within = under(hem, by < 0 ? x + by / 2 : x);
    if (!beyond || !within) return std::nullopt;
    const Curve outer = moved(split(hem, *beyond).before, {by, 0});
    const Curve inner = split(hem, *within).after;
    if (by > 0) return joined(outer, inner);
    return joined(eased(outer, {0, 0}, inner.initialPoint() - outer.finalPoint()), inner);
}

// Drawn from leg to leg as it was: its corners moved with the cloth they lie on.
Curve mouth_spread(const Curve& mouth, double x, double by)
{
    const auto to = [&](Point p) {
        const double off = p[Geom::X] - x;
        return p + Point{std::abs(off) < 0.01 ? by / 2 : off > 0 ? by : 0, 0};
    };
    std::optional<Curve> out;
    for (std::size_t i = 0; i < mouth.size_default(); ++i) {
        const auto& c = segment_of(mouth, i);
        const Curve line = straight(to(c.initialPoint()), to(c.finalPoint()));
        out = out ? joined(*out, line) : line;
    }
    return *out;
}

void move_marks(Piece& out, double x, double by)
{
    const auto beyond = [&](Point p) { return p[Geom::X] > x + 1e-6; };
    const Point along{by, 0};
    for (auto& n : out.notches)
        if (beyond(n.at)) n.at += along;
    for (auto& d : out.darts) {
        const bool here = !beyond(d.leg_a) && beyond(d.leg_b);
        const bool all = beyond(d.leg_a);
        if (all) d.leg_a += along;
        if (beyond(d.leg_b)) d.leg_b += along;
        if (all) d.tip += along;
        if (here) d.tip += along / 2;
    }
    for (auto& g : out.guides) {
        const bool rigid = std::abs(g.a[Geom::X] - g.b[Geom::X]) < 1;
        if (rigid && beyond(g.a)) g.a += along;
        if (beyond(g.b) && (!rigid || g.a[Geom::X] > x)) g.b += along;
    }
}

}  // namespace

Outcome<FoldSpread> fold_spread(const Piece& piece, std::size_t mouth, Length by)
{
    const Dart& fold = piece.darts[dart_at(piece, mouth)];
    const Length left = mouth_width(fold) + by;
    if (left < fold_least)
        return refuse_amount(Why::AmountTooLarge, piece.id, by, fold_least - mouth_width(fold), Length::mm(400));
    const Point top = (fold.leg_a + fold.leg_b) / 2;
    const double x = top[Geom::X];
    const auto hem = edge_index(piece, EdgeRole::Hem);
    const Point along{by.in_mm(), 0};
    auto spread = spread_across(piece, top, upwards, along);
    if (!hem || !spread || hem != edge_index(piece, EdgeRole::Hem, true))
        return refuse(Why::NoRoomForCut, piece.id);
    auto line = hem_spread(piece.edges[*hem].curve, x, by.in_mm());
    if (!line) return refuse(Why::NoRoomForCut, piece.id);
    Piece whole = piece;
    for (std::size_t i = mouth + 1; i < *hem; ++i) whole.edges[i].curve = moved(piece.edges[i].curve, along);
    whole.edges[mouth].curve = mouth_spread(piece.edges[mouth].curve, x, by.in_mm());
    whole.edges[*hem].curve = std::move(*line);
    move_marks(whole, x, by.in_mm());
    settle_darts(whole);
    settle_level_guides(whole);
    return FoldSpread{std::move(spread->cut.first),
                      std::move(spread->second),
                      std::move(whole),
                      {spread->cut.leaves, spread->cut.enters},
                      std::move(spread->strip)};
}

}  // namespace sartorum
