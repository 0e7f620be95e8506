#include "core/check/walk.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <set>

#include "core/alter/kit/shared.h"
#include "core/check/part_check.h"
#include "core/check/seam_run.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

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

void add_walks(Checks& out, const Garment& g, const Cloth& cloth, const std::optional<Stayed>& stayed)
{
    const auto princess =
        std::find_if(g.pieces.begin(), g.pieces.end(), [](const Piece& p) { return p.princess; });
    const bool in_panels = princess != g.pieces.end();
    const auto all_stayed = [&](const std::vector<SeamSide>& side) {
        return std::none_of(side.begin(), side.end(),
                            [&](const SeamSide& s) { return stayed->changed.contains(s.piece); });
    };
    const auto walked = [&](const Garment& sewn, const Seam& seam, bool same) {
        const std::size_t i = out.walks.size();
        Walk w;
        if (same && i < stayed->checks.walks.size() && stayed->checks.walks[i].seam == seam.id) {
            w = stayed->checks.walks[i];
        } else {
            auto a = walk_side(sewn, seam.a);
            auto b = walk_side(sewn, seam.b);
            w = {seam.id, a.length, b.length, {}, false, std::move(a.notches), std::move(b.notches)};
            if (is_join(seam, g.pieces)) {
                w.part_a = find_piece(g.pieces, seam.a.front().piece)->part;
                w.part_b = find_piece(g.pieces, seam.b.front().piece)->part;
            }
            const Piece* one = seam.a.size() == 1 ? find_piece(sewn.pieces, seam.a.front().piece) : nullptr;
            const Piece* other = seam.b.size() == 1 ? find_piece(sewn.pieces, seam.b.front().piece) : nullptr;
            if (one && other) {
                w.name_a = one->name;
                w.name_b = other->name;
            }
        }
        w.difference = w.b - w.a - meant_ease(g, seam.id, cloth);
        const bool cap = seam.id == "armhole-front" || seam.id == "armhole-back";
        w.holds = abs(w.difference) <= (cap ? cap_tolerance : walk_tolerance);
        out.walks.push_back(std::move(w));
    };
    for (const auto& seam : g.seams) walked(g, seam, stayed && all_stayed(seam.a) && all_stayed(seam.b));
    if (!in_panels) return;
    const bool same = stayed && !stayed->changed.contains(princess->id);
    const Garment panels = same ? Garment{{}, {Seam{"princess", {}, {}, {}}}} : with_panels(g);
    walked(panels, panels.seams.back(), same);
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
    const Length cap = flat.of(GarmentMeasure::Cap);
    const Length armhole = flat.of(GarmentMeasure::Armhole);
    out.cap = CapCheck{cap, armhole, cap - armhole, wanted, abs(cap - armhole - wanted) <= cap_tolerance};
}

// Two pieces meet in a seam, front and back or two gores: both corners together are one straight angle.
void add_joins_at(Checks& out, const Piece& a, const Piece& b, const PartCheck& rules)
{
    for (const auto& corner : rules.corners) {
        double sum = 0;
        bool there = true;
        for (const auto* p : {&a, &b}) {
            const auto before = edge_index(*p, corner.before, true);
            const auto after = edge_index(*p, corner.after);
            there = there && before && after;
            if (before && after) sum += corner_between(*p, *before, *after);
        }
        if (there) out.joins.push_back(joined_at(corner.place, sum));
    }
}

void add_joins(Checks& out, const Garment& part, const PartCheck& rules)
{
    for (const auto& seam : upright_seams(part)) {
        add_joins_at(out, as_plain(part.pieces[seam.a.piece], seam.a.flank),
                     as_plain(part.pieces[seam.b.piece], seam.b.flank), rules);
    }
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

void add_outlines(Checks& out, const Garment& g, const std::optional<Stayed>& stayed)
{
    for (std::size_t i = 0; i < g.pieces.size(); ++i) {
        const Piece& piece = g.pieces[i];
        const bool same = stayed && !stayed->changed.contains(piece.id) && i < stayed->checks.outlines.size() &&
                          stayed->checks.outlines[i].piece == piece.id;
        const auto found = same ? stayed->checks.outlines[i].found : unsound(piece);
        out.outlines.push_back({piece.id, found, !found});
    }
}

// Of front, back and sleeve, what is always sewn to another edge; an armhole only where there is a sleeve. And a
// waistband's seam: one that is sewn to nothing follows nothing.
std::vector<SeamSide> unwalked(const Garment& g)
{
    const bool armhole_sewn = find_piece(g.pieces, PieceRole::Sleeve) != nullptr;
    const auto sewn = [&](const Piece& p, EdgeRole r) {
        using enum EdgeRole;
        if (p.role == PieceRole::Waistband) return r == Waist;
        return r == Shoulder || r == Side || r == Inner || r == Outer || r == Lower || r == InnerLeg ||
               r == CapFront || r == CapBack || r == UnderarmFront || r == UnderarmBack ||
               (r == Armhole && armhole_sewn);
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
        if (p.role == PieceRole::Other) continue;
        for (const auto& e : p.edges) {
            const SeamSide side{p.id, e.role};
            const bool again = std::any_of(out.begin(), out.end(), [&](const SeamSide& s) {
                return s.piece == side.piece && s.role == side.role;
            });
            if (sewn(p, e.role) && !again && !named(side)) out.push_back(side);
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
    const EaseCheck row{m, finished, taken->value, ease, least, ease >= least - taken->spread};
    // Where two parts meet they are one garment, as wide as the narrower.
    const auto there =
        std::find_if(out.ease.begin(), out.ease.end(), [&](const EaseCheck& e) { return e.measure == m; });
    if (there == out.ease.end())
        out.ease.push_back(row);
    else if (finished < there->finished)
        *there = row;
}

void add_part(Checks& out, const PartMeasured& of, const BodySet& body, const Cloth& cloth)
{
    const PartKind kind = of.kind;
    const Garment& part = of.view;
    const FlatMeasures& flat = of.flat;
    const auto& rules = part_check(kind);
    add_joins(out, part, rules);
    for (const auto m : rules.worn_over) {
        const auto beside = body_beside(m, kind);
        if (beside && flat.has(m)) add_ease(out, body, *beside, flat.of(m), cloth);
    }
    if (const auto bodice = front_and_back_at(part, Level::Shoulder))
        out.shoulder = sewn_shoulder(bodice->front, bodice->back);
    if (const Piece* sleeve = find_piece(part.pieces, PieceRole::Sleeve)) {
        add_sleeve_joins(out, *sleeve);
        add_cap(out, part, flat, cloth);
    }
    if (has_level(part, Level::Hem)) {
        const auto hem = [&](PieceRole face) {
            Length sum;
            for (const std::size_t i : face_of(part.pieces, face))
                sum += sewn_length(part.pieces[i], EdgeRole::Hem);
            return sum;
        };
        out.front_hem = hem(PieceRole::Front);
        out.back_hem = hem(PieceRole::Back);
    }
}

}  // namespace

double corner_between(const Piece& p, std::size_t before, std::size_t after)
{
    const Point back_along = -end_direction(p.edges[before].curve);
    const double c = std::clamp(Geom::dot(back_along, start_direction(p.edges[after].curve)), -1.0, 1.0);
    return std::acos(c) * 180.0 / std::numbers::pi;
}

bool Checks::seams_hold() const
{
    const auto holds = [](const auto& x) { return x.holds; };
    return std::all_of(walks.begin(), walks.end(), holds) && std::all_of(joins.begin(), joins.end(), holds) &&
           std::all_of(folds.begin(), folds.end(), holds) && std::all_of(darts.begin(), darts.end(), holds) &&
           std::all_of(outlines.begin(), outlines.end(), holds);
}

bool Checks::all_hold() const
{
    return seams_hold() && std::all_of(ease.begin(), ease.end(), [](const EaseCheck& e) { return e.holds; });
}

Checks check(const Garment& g, const BodySet& body, const Cloth& cloth)
{
    const auto kinds = parts_of(g.pieces);
    std::vector<Garment> views;
    std::vector<FlatMeasures> flats;
    for (const auto kind : kinds) views.push_back(part_view(g, kind));
    for (const auto& view : views) flats.push_back(measure_flat(view.pieces));
    std::vector<PartMeasured> parts;
    for (std::size_t i = 0; i < kinds.size(); ++i) parts.push_back({kinds[i], views[i], flats[i]});
    return check_measured(g, parts, body, cloth, {});
}

Checks check_measured(const Garment& g, const std::vector<PartMeasured>& parts, const BodySet& body,
                      const Cloth& cloth, const std::optional<Stayed>& stayed)
{
    Checks out;
    add_walks(out, g, cloth, stayed);
    for (const auto& part : parts) add_part(out, part, body, cloth);
    for (const auto& piece : g.pieces) add_folds_and_darts(out, piece);
    add_outlines(out, g, stayed);
    out.unwalked = unwalked(g);
    return out;
}

}  // namespace sartorum
