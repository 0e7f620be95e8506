#include <algorithm>

#include "core/check/walk.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

struct Drops {
    Length front;
    Length side;
    Length back;
    bool of_legs = false;
};

Drops legs_below_hip(const FrontAndBack& legs)
{
    const auto down = [&](const Piece& p, EdgeRole ends) {
        const auto last = edge(p, EdgeRole::Hem).curve;
        const Point at = ends == EdgeRole::Side ? last.initialPoint() : last.finalPoint();
        return Length::mm(guide(p, GuideKind::Hip)->a[Geom::Y] - at[Geom::Y]);
    };
    return {down(legs.front, EdgeRole::InnerLeg), down(legs.front, EdgeRole::Side),
            down(legs.back, EdgeRole::InnerLeg), true};
}

// From the waist down to the hem along the paper: a yoke and what hangs from it together.
std::optional<Drops> drops(const Garment& g)
{
    Drops out;
    bool hangs = false;
    for (const auto part : parts_of(g.pieces)) {
        const auto view = part_view(g, part);
        const auto& pieces = view.pieces;
        const auto front = face_of(pieces, PieceRole::Front);
        const auto back = face_of(pieces, PieceRole::Back);
        if (!begins_with(view, EdgeRole::Waist)) continue;
        if (const auto legs = front_and_back_at(view, Level::Crotch)) return legs_below_hip(*legs);
        hangs = true;
        out.front += sewn_length(pieces[front.front()], EdgeRole::Centre);
        out.side += length(outer_line(pieces[front.back()]));
        out.back += sewn_length(pieces[back.front()], EdgeRole::Centre);
    }
    return hangs ? std::optional{out} : std::nullopt;
}

// From the hip line straight down to the hem.
std::optional<Drops> drops_below_hip(const Garment& g)
{
    for (const auto part : parts_of(g.pieces)) {
        const auto view = part_view(g, part);
        const auto& pieces = view.pieces;
        const auto front = face_of(pieces, PieceRole::Front);
        const auto back = face_of(pieces, PieceRole::Back);
        const Piece& side = pieces[front.back()];
        const auto hip = [&](std::size_t i) { return guide(pieces[i], GuideKind::Hip); };
        if (const auto legs = front_and_back_at(view, Level::Crotch)) return legs_below_hip(*legs);
        if (!hip(front.front()) || !hip(front.back()) || !hip(back.front())) continue;
        const auto at_centre = [&](std::size_t i) {
            return Length::mm(hip(i)->a[Geom::Y] -
                              edge(pieces[i], EdgeRole::Centre).curve.initialPoint()[Geom::Y]);
        };
        const double low = side.edges[*edge_index(side, EdgeRole::Hem)].curve.initialPoint()[Geom::Y];
        return Drops{at_centre(front.front()), Length::mm(hip(front.back())->b[Geom::Y] - low),
                     at_centre(back.front())};
    }
    return std::nullopt;
}

}  // namespace

std::optional<HemLevel> hem_level(const Garment& traced, const Garment& altered, const WaistHigher& waist)
{
    const auto was = drops(traced);
    const auto is = drops(altered);
    if (!was || !is) return std::nullopt;
    const WaistHigher above = is->of_legs ? WaistHigher{} : waist;
    HemLevel out{is->front - above.front - was->front,
                 is->side - above.side - was->side,
                 is->back - above.back - was->back,
                 false,
                 {},
                 is->of_legs};
    const auto [least, most] = std::minmax({out.front, out.side, out.back});
    out.holds = most - least <= hem_tolerance;
    return out;
}

std::optional<HemLevel> hem_level(const Garment& traced, const Garment& right, const Garment& left)
{
    const auto was = drops_below_hip(traced);
    const auto on_right = drops_below_hip(right);
    const auto on_left = drops_below_hip(left);
    if (!was || !on_right || !on_left) return std::nullopt;
    HemLevel out{on_right->front - was->front, on_right->side - was->side,
                 on_right->back - was->back,   false,
                 on_left->side - was->side,    was->of_legs};
    const auto all = {
        out.front, out.side, out.back, *out.side_left, on_left->front - was->front, on_left->back - was->back};
    const auto [least, most] = std::minmax(all);
    out.holds = most - least <= hem_tolerance;
    return out;
}

}  // namespace sartorum
