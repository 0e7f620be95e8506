#include "core/pattern/blend.h"

#include "core/pattern/gore.h"

namespace sartorum {

Outcome<SideParts> side_parts(const Piece& piece)
{
    const auto hip = guide(piece, GuideKind::Hip);
    const auto index = edge_index(piece, EdgeRole::Side);
    if (!hip || !index) return refuse(Why::MarkMissing, piece.id + ": hip");
    const Curve& side = piece.edges[*index].curve;
    const double level = hip->a[Geom::Y];
    for (std::size_t i = 0; i < side.size_default(); ++i) {
        for (const double t : side[i].roots(level, Geom::Y)) {
            const double time = static_cast<double>(i) + t;
            if (time < 1e-6 || time > static_cast<double>(side.size_default()) - 1e-6) continue;
            auto [before, after] = split(side, time);
            return SideParts{*index, std::move(before), std::move(after)};
        }
    }
    return refuse(Why::MarkMissing, piece.id + ": hip");
}

Point held_at(const Piece& p)
{
    if (edge_index(p, EdgeRole::Centre)) return edge(p, EdgeRole::Centre).curve.finalPoint();
    return (edge(p, EdgeRole::Inner).curve.finalPoint() +
            edge(p, *flank_role(p, Flank::Outer)).curve.initialPoint()) /
           2;
}

namespace {

// That flank of `out` runs over from its own upper end to the lower size's at the hip.
Outcome<bool> flank_blended(Piece& out, const Piece& lower, Flank flank)
{
    Piece plain = as_plain(out, flank);
    const auto a = side_parts(plain);
    const auto b = side_parts(as_plain(lower, flank));
    if (!a) return tl::make_unexpected(a.error());
    if (!b) return tl::make_unexpected(b.error());
    if (a->waist_to_hip.size_default() != b->waist_to_hip.size_default())
        return refuse(Why::SkeletonDiffers, out.id);
    plain.edges[a->edge].curve = joined(eased_between(a->waist_to_hip, b->waist_to_hip), b->below);
    out = as_gore(std::move(plain), flank, out);
    return true;
}

}  // namespace

Outcome<Piece> blended(const Piece& waist_size, const Piece& hip_size)
{
    if (!guide(waist_size, GuideKind::Hip)) return waist_size;
    const Piece lower = moved(hip_size, Geom::Translate(held_at(waist_size) - held_at(hip_size)));
    Piece out = waist_size;
    for (const auto flank : {Flank::Inner, Flank::Outer}) {
        if (!flank_role(waist_size, flank)) continue;
        if (const auto ok = flank_blended(out, lower, flank); !ok) return tl::make_unexpected(ok.error());
    }
    for (std::size_t i = 0; i < out.edges.size(); ++i) {
        const auto role = out.edges[i].role;
        if (role == EdgeRole::Hem || role == EdgeRole::InnerLeg) out.edges[i].curve = lower.edges[i].curve;
        // A crotch seam is the lower size's: both end in the same place at the waist.
        if (role == EdgeRole::Centre && edge_index(out, EdgeRole::InnerLeg)) {
            out.edges[i].curve = lower.edges[i].curve;
        } else if (role == EdgeRole::Centre) {
            out.edges[i].curve = eased_between(lower.edges[i].curve, waist_size.edges[i].curve);
        }
    }
    for (std::size_t i = 0; i < out.guides.size(); ++i) {
        if (out.guides[i].kind != GuideKind::LengthenShorten) out.guides[i] = lower.guides[i];
    }
    for (std::size_t i = 0; i < out.notches.size(); ++i) {
        if (out.notches[i].on != EdgeRole::Waist) out.notches[i] = lower.notches[i];
    }
    settle_notches(out);
    return out;
}

}  // namespace sartorum
