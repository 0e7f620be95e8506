#include "core/check/walk.h"

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <numbers>

#include "core/alter/shared.h"
#include "core/check/seam_run.h"

namespace sartorum {
namespace {

struct Walked {
    Length length;
    std::vector<Length> notches;
};

// From the end where the seam starts.
Walked walk_side(const Garment& g, const std::vector<SeamSide>& sides)
{
    Walked out;
    for (const auto& s : sides) {
        const Piece* piece = find_piece(g.pieces, s.piece);
        if (!piece) continue;
        for (const auto& n : run_notches(*piece, s.role)) out.notches.push_back(out.length + n.along);
        out.length += sewn_length(*piece, s.role);
    }
    return out;
}

double corner_degrees(Point back_along, Point forward)
{
    const double c = std::clamp(Geom::dot(back_along, forward), -1.0, 1.0);
    return std::acos(c) * 180.0 / std::numbers::pi;
}

// The angle inside the paper between the ends of two edges that meet.
double corner_between(const Piece& p, std::size_t before, std::size_t after)
{
    return corner_degrees(-end_direction(p.edges[before].curve), start_direction(p.edges[after].curve));
}

double corner_at(const Piece& p, JoinPlace place)
{
    const auto last = [&](EdgeRole r) { return *edge_index(p, r, true); };
    const auto first = [&](EdgeRole r) { return *edge_index(p, r); };
    switch (place) {
        case JoinPlace::NeckPoint: return corner_between(p, last(EdgeRole::Neck), first(EdgeRole::Shoulder));
        case JoinPlace::ShoulderTip: return corner_between(p, last(EdgeRole::Shoulder), first(EdgeRole::Armhole));
        case JoinPlace::Underarm: return corner_between(p, last(EdgeRole::Armhole), first(EdgeRole::Side));
        case JoinPlace::Waist:
            return is_bodice(p) ? corner_between(p, last(EdgeRole::Side), first(EdgeRole::Waist))
                                : corner_between(p, last(EdgeRole::Waist), first(EdgeRole::Side));
        case JoinPlace::Hem: return corner_between(p, last(EdgeRole::Side), first(EdgeRole::Hem));
        case JoinPlace::CapTop:
        case JoinPlace::SleeveUnderarm:
        case JoinPlace::SleeveHem: break;
    }
    std::abort();
}

Join joined_at(JoinPlace place, double degrees)
{
    return {place, degrees, std::abs(degrees - 180.0) <= join_tolerance_degrees};
}

// A sleeve is sewn to itself: both corners lie on one piece.
void add_sleeve_joins(Checks& out, const Piece& p)
{
    const auto corner = [&](EdgeRole before, EdgeRole after) {
        return corner_between(p, *edge_index(p, before, true), *edge_index(p, after));
    };
    using enum EdgeRole;
    out.joins.push_back(joined_at(JoinPlace::CapTop, corner(CapBack, CapFront)));
    out.joins.push_back(
        joined_at(JoinPlace::SleeveUnderarm, corner(CapFront, UnderarmFront) + corner(UnderarmBack, CapBack)));
    out.joins.push_back(joined_at(JoinPlace::SleeveHem,
                                  corner(UnderarmFront, EdgeRole::Hem) + corner(EdgeRole::Hem, UnderarmBack)));
}

void add_cap(Checks& out, const Garment& g, const FlatMeasures& flat, const Cloth& cloth)
{
    const Length wanted = meant_ease(g, "armhole-front", cloth) + meant_ease(g, "armhole-back", cloth);
    const Length ease = flat.cap - flat.armhole;
    out.cap = CapCheck{flat.cap, flat.armhole, ease, wanted, abs(ease - wanted) <= walk_tolerance};
}

Join join_at(const Garment& g, JoinPlace place)
{
    double sum = 0;
    for (const auto role : {PieceRole::Front, PieceRole::Back})
        sum += corner_at(*find_piece(g.pieces, role), place);
    return joined_at(place, sum);
}

std::vector<JoinPlace> join_places(const Garment& g)
{
    if (!is_bodice(g)) return {JoinPlace::Waist, JoinPlace::Hem};
    const bool waist = bottom_role(*find_piece(g.pieces, PieceRole::Front)) == EdgeRole::Waist;
    return {JoinPlace::NeckPoint, JoinPlace::ShoulderTip, JoinPlace::Underarm,
            waist ? JoinPlace::Waist : JoinPlace::Hem};
}

void add_folds_and_darts(Checks& out, const Piece& piece)
{
    for (const auto& e : piece.edges) {
        if (!e.on_fold) continue;
        const Point a = e.curve.initialPoint();
        const Point along = Geom::unit_vector(e.curve.finalPoint() - a);
        double most = 0;
        for (const auto& p : all_controls(e.curve)) most = std::max(most, std::abs(Geom::cross(along, p - a)));
        out.folds.push_back({piece.id, Length::mm(most), Length::mm(most) <= fold_tolerance});
    }
    for (const auto& d : piece.darts) {
        const Length apart = Length::mm(Geom::distance(d.leg_b, d.tip) - Geom::distance(d.leg_a, d.tip));
        out.darts.push_back({piece.id, apart, d.kind != DartKind::Dart || abs(apart) <= leg_tolerance});
    }
}

// Of front, back and sleeve, what is always sewn to another edge; an armhole only where there is a sleeve.
std::vector<SeamSide> unwalked(const Garment& g)
{
    const bool sleeved = find_piece(g.pieces, PieceRole::Sleeve) != nullptr;
    const auto sewn = [&](EdgeRole r) {
        using enum EdgeRole;
        return r == Shoulder || r == Side || r == CapFront || r == CapBack || r == UnderarmFront ||
               r == UnderarmBack || (r == Armhole && sleeved);
    };
    const auto named = [&](const SeamSide& wanted) {
        const auto there = [&](const SeamSide& s) { return s.piece == wanted.piece && s.role == wanted.role; };
        return std::any_of(g.seams.begin(), g.seams.end(), [&](const Seam& seam) {
            return std::any_of(seam.a.begin(), seam.a.end(), there) ||
                   std::any_of(seam.b.begin(), seam.b.end(), there);
        });
    };
    std::vector<SeamSide> out;
    for (const auto& p : g.pieces) {
        if (p.role != PieceRole::Front && p.role != PieceRole::Back && p.role != PieceRole::Sleeve) continue;
        for (const auto& e : p.edges) {
            const SeamSide side{p.id, e.role};
            const bool again = std::any_of(out.begin(), out.end(), [&](const SeamSide& s) {
                return s.piece == side.piece && s.role == side.role;
            });
            if (sewn(e.role) && !again && !named(side)) out.push_back(side);
        }
    }
    return out;
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
    return std::all_of(walks.begin(), walks.end(), holds) && std::all_of(joins.begin(), joins.end(), holds) &&
           std::all_of(folds.begin(), folds.end(), holds) && std::all_of(darts.begin(), darts.end(), holds);
}

bool Checks::all_hold() const
{
    return seams_hold() && std::all_of(ease.begin(), ease.end(), [](const EaseCheck& e) { return e.holds; });
}

Checks check(const Garment& g, const BodySet& body, const Cloth& cloth)
{
    Checks out;
    // A copy only where there is something to add: this runs at every drag of an amount.
    std::optional<Garment> panels;
    if (find_piece(g.pieces, PieceRole::Front)->princess) panels = with_panels(g);
    const Garment& sewn = panels ? *panels : g;
    for (const auto& seam : sewn.seams) {
        const auto a = walk_side(sewn, seam.a);
        const auto b = walk_side(sewn, seam.b);
        const Length apart = b.length - a.length - meant_ease(g, seam.id, cloth);
        out.walks.push_back(
            {seam.id, a.length, b.length, apart, abs(apart) <= walk_tolerance, a.notches, b.notches});
    }
    for (const auto place : join_places(g)) out.joins.push_back(join_at(g, place));
    for (const auto& piece : g.pieces) add_folds_and_darts(out, piece);
    const Piece& front = *find_piece(g.pieces, PieceRole::Front);
    const Piece& back = *find_piece(g.pieces, PieceRole::Back);
    const auto flat = measure_flat(g.pieces);
    add_ease(out, body, Measure::Waist, flat.waist, cloth);
    if (is_bodice(g)) {
        add_ease(out, body, Measure::Bust, flat.bust, cloth);
        out.shoulder = sewn_shoulder(front, back);
        if (const Piece* sleeve = find_piece(g.pieces, PieceRole::Sleeve)) {
            add_ease(out, body, Measure::UpperArm, flat.upper_arm, cloth);
            add_sleeve_joins(out, *sleeve);
            add_cap(out, g, flat, cloth);
        }
    } else {
        add_ease(out, body, Measure::Hip, flat.hip, cloth);
    }
    if (edge_index(front, EdgeRole::Hem)) {
        out.front_hem = sewn_length(front, EdgeRole::Hem);
        out.back_hem = sewn_length(back, EdgeRole::Hem);
    }
    out.unwalked = unwalked(g);
    return out;
}

}  // namespace sartorum
