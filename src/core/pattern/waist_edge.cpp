#include "core/pattern/waist_edge.h"

#include <cmath>

namespace sartorum {

void add_waist_edge(Piece& p, const Curve& line, const WaistFold& fold, Length allowance)
{
    const Length mouth = fold.mouth;
    if (mouth <= Length{}) {
        p.edges.push_back({EdgeRole::Waist, line, allowance});
        return;
    }
    const Length whole = length(line);
    const Length middle = fold.at ? *fold.at + mouth / 2.0 : whole * 0.55;
    const double t_a = time_at(line, middle - mouth / 2.0);
    const double t_b = time_at(line, middle + mouth / 2.0);
    const auto [before, rest] = split(line, t_a);
    const Curve after = split(line, t_b).after;
    const Point a = before.finalPoint();
    const Point b = after.initialPoint();
    const Point square = -Geom::rot90(Geom::unit_vector(b - a));
    const Point down = square[Geom::Y] < 0 ? square : -square;
    const Point tip = (a + b) / 2 + down * fold.length.in_mm();
    // Folded towards the centre the dart's cloth must reach the seam: the mouth rises to a small peak.
    const double peak = std::tan(std::asin(mouth.in_mm() / 2 / Geom::distance(tip, a))) * mouth.in_mm() / 2;
    const Point top = (a + b) / 2 - down * peak;
    p.edges.push_back({EdgeRole::Waist, before, allowance});
    p.edges.push_back({EdgeRole::DartMouth, joined(straight(a, top), straight(top, b)), allowance});
    p.edges.push_back({EdgeRole::Waist, after, allowance});
    p.darts.push_back({a, b, tip, fold.kind});
}

Piece waistband(Length first, Length second, Length depth, Length allowance)
{
    Piece p;
    p.id = std::string{key(PieceRole::Waistband)};
    p.role = PieceRole::Waistband;
    p.name = "Waistband";
    p.cut = 1;
    const double d = depth.in_mm() * 2;  // folded in half along its length when sewn
    const double len = (first + second).in_mm();
    const double end = len + band_underlap.in_mm();
    // Clockwise: along the top, down the end, back along the waist seam, up the fold.
    p.edges = {{EdgeRole::BandTop, straight({0, d}, {end, d}), allowance},
               {EdgeRole::BandEnd, straight({end, d}, {end, 0}), allowance},
               {EdgeRole::Underlap, straight({end, 0}, {len, 0}), allowance},
               {EdgeRole::Waist, straight({len, 0}, {0, 0}), allowance},
               {EdgeRole::Centre, straight({0, 0}, {0, d}), Length{}, true}};
    p.notches = {{{first.in_mm(), 0}, EdgeRole::Waist, 1}, {{len, 0}, EdgeRole::Waist, 2}};
    p.guides = {{GuideKind::Grain, {len * 0.2, d / 2}, {len * 0.8, d / 2}}};
    return p;
}

}  // namespace sartorum
