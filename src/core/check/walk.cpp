#include "core/check/walk.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace sartorum {
namespace {

struct Walked {
    Length length;
    std::vector<Length> notches;
};

Walked walk_side(const Garment& g, const std::vector<SeamSide>& sides)
{
    Walked out;
    for (const auto& s : sides) {
        const Piece* piece = find_piece(g.pieces, s.piece);
        if (!piece) continue;
        for (const auto& e : piece->edges) {
            if (e.role != s.role) continue;
            for (const auto& n : piece->notches) {
                Geom::Coord off = 0;
                if (n.on != s.role) continue;
                const auto time = e.curve.nearestTime(n.at, &off);
                const double t = static_cast<double>(time.curve_index) + time.t;
                if (off < 0.1 && t > 1e-6 && t < static_cast<double>(e.curve.size_default()) - 1e-6) {
                    out.notches.push_back(out.length + length(split(e.curve, t).before));
                }
            }
            out.length += length(e.curve);
        }
    }
    return out;
}

double corner_degrees(Point back_along, Point forward)
{
    const double c = std::clamp(Geom::dot(back_along, forward), -1.0, 1.0);
    return std::acos(c) * 180.0 / std::numbers::pi;
}

Join join_at(const Garment& g, JoinPlace place)
{
    double sum = 0;
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        const Piece& piece = *find_piece(g.pieces, role);
        const Curve& side = edge(piece, EdgeRole::Side).curve;
        if (place == JoinPlace::Waist) {
            const Curve& waist = piece.edges[*edge_index(piece, EdgeRole::Waist, true)].curve;
            sum += corner_degrees(-end_direction(waist), start_direction(side));
        } else {
            sum += corner_degrees(-end_direction(side), start_direction(edge(piece, EdgeRole::Hem).curve));
        }
    }
    return {place, sum, std::abs(sum - 180.0) <= join_tolerance_degrees};
}

void add_ease(Checks& out, const BodySet& body, Measure m, Length finished, const Cloth& cloth)
{
    const auto taken = body.taken(m);
    if (!taken) return;
    const Length least = least_ease(m, cloth, taken->value);
    const Length ease = finished - taken->value;
    out.ease.push_back({m, finished, taken->value, ease, least, ease >= least - taken->spread});
}

}  // namespace

bool Checks::seams_hold() const
{
    const auto holds = [](const auto& x) { return x.holds; };
    return std::all_of(walks.begin(), walks.end(), holds) && std::all_of(joins.begin(), joins.end(), holds);
}

bool Checks::all_hold() const
{
    return seams_hold() && std::all_of(ease.begin(), ease.end(), [](const EaseCheck& e) { return e.holds; });
}

Checks check(const Garment& g, const BodySet& body, const Cloth& cloth)
{
    Checks out;
    for (const auto& seam : g.seams) {
        const auto a = walk_side(g, seam.a);
        auto b = walk_side(g, seam.b);
        if (seam.id == "waist") {  // the band's seam is travelled from the free end: turn it to run from the fold
            for (auto& n : b.notches) n = b.length - n;
            std::sort(b.notches.begin(), b.notches.end());
        }
        const Length apart = b.length - a.length - seam.ease;
        out.walks.push_back(
            {seam.id, a.length, b.length, apart, abs(apart) <= walk_tolerance, a.notches, b.notches});
    }
    for (const auto place : {JoinPlace::Waist, JoinPlace::Hem}) out.joins.push_back(join_at(g, place));
    const auto flat = measure_flat(g.pieces);
    add_ease(out, body, Measure::Waist, flat.waist, cloth);
    add_ease(out, body, Measure::Hip, flat.hip, cloth);
    out.front_hem = sewn_length(*find_piece(g.pieces, PieceRole::Front), EdgeRole::Hem);
    out.back_hem = sewn_length(*find_piece(g.pieces, PieceRole::Back), EdgeRole::Hem);
    return out;
}

}  // namespace sartorum
