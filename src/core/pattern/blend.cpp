#include "core/pattern/blend.h"

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

Outcome<Piece> blended(const Piece& waist_size, const Piece& hip_size)
{
    if (!guide(waist_size, GuideKind::Hip)) return waist_size;
    const Point onto = edge(waist_size, EdgeRole::Centre).curve.finalPoint() -
                       edge(hip_size, EdgeRole::Centre).curve.finalPoint();
    const Piece lower = moved(hip_size, Geom::Translate(onto));
    const auto a = side_parts(waist_size);
    const auto b = side_parts(lower);
    if (!a) return tl::make_unexpected(a.error());
    if (!b) return tl::make_unexpected(b.error());
    if (a->waist_to_hip.size_default() != b->waist_to_hip.size_default()) {
        return refuse(Why::SkeletonDiffers, waist_size.id);
    }
    Piece out = waist_size;
    out.edges[a->edge].curve = joined(eased_between(a->waist_to_hip, b->waist_to_hip), b->below);
    for (std::size_t i = 0; i < out.edges.size(); ++i) {
        if (out.edges[i].role == EdgeRole::Hem) out.edges[i].curve = lower.edges[i].curve;
        if (out.edges[i].role == EdgeRole::Centre) {
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
