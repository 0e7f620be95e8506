#include "core/pattern/whole_piece.h"

#include <algorithm>

#include "core/pattern/dart.h"

namespace sartorum {
namespace {

// In travel from behind the fold to before it; the fold itself is last.
std::vector<Edge> from_behind_the_fold(const Piece& p)
{
    std::vector<Edge> edges = p.edges;
    const auto folded = [](const Edge& e) { return e.on_fold; };
    // The first edge of the fold, wherever the list begins.
    const auto first = std::adjacent_find(edges.begin(), edges.end(),
                                          [&](const Edge& a, const Edge& b) { return !folded(a) && folded(b); });
    if (first != edges.end()) std::rotate(edges.begin(), first + 1, edges.end());
    std::rotate(edges.begin(), std::find_if_not(edges.begin(), edges.end(), folded), edges.end());
    return edges;
}

struct Fold {
    Point from;  // in travel
    Point to;
};

Fold fold_of(const std::vector<Edge>& behind_first)
{
    const auto first =
        std::find_if(behind_first.begin(), behind_first.end(), [](const Edge& e) { return e.on_fold; });
    return {first->curve.initialPoint(), behind_first.back().curve.finalPoint()};
}

// The fold travelled the other way lies on this one.
Geom::Affine onto(const Fold& mirrored, const Fold& there)
{
    return rigid(mirrored.from, mirrored.to, there.to, there.from);
}

// As their mouths follow each other.
void darts_in_travel(Piece& p)
{
    std::vector<Dart> sorted;
    for (const auto& e : p.edges) {
        if (e.role != EdgeRole::DartMouth) continue;
        const Point at = e.curve.initialPoint();
        const auto nearest = std::min_element(p.darts.begin(), p.darts.end(), [&](const Dart& a, const Dart& b) {
            return Geom::distance(a.leg_a, at) < Geom::distance(b.leg_a, at);
        });
        sorted.push_back(*nearest);
    }
    p.darts = std::move(sorted);
}

}  // namespace

Piece mirror_image(const Piece& piece)
{
    Piece out = moved(piece, Geom::Scale(-1, 1));
    std::reverse(out.edges.begin(), out.edges.end());
    for (auto& e : out.edges) e.curve = reversed(e.curve);
    std::reverse(out.darts.begin(), out.darts.end());
    for (auto& d : out.darts) std::swap(d.leg_a, d.leg_b);
    for (auto& g : out.guides) {
        if (g.kind != GuideKind::Grain) std::swap(g.a, g.b);
    }
    return out;
}

Piece drawn_whole(const Piece& half, const Piece& other)
{
    Piece turned = mirror_image(other);
    const auto here = from_behind_the_fold(half);
    const Fold fold = fold_of(here);
    turned = moved(turned, onto(fold_of(from_behind_the_fold(turned)), fold));
    Piece out = half;
    out.edges.clear();
    const auto take = [&](const std::vector<Edge>& edges) {
        for (const auto& e : edges) {
            if (!e.on_fold) out.edges.push_back(e);
        }
    };
    take(here);
    take(from_behind_the_fold(turned));
    out.darts.insert(out.darts.end(), turned.darts.begin(), turned.darts.end());
    out.notches.insert(out.notches.end(), turned.notches.begin(), turned.notches.end());
    for (const auto& g : turned.guides) {
        if (g.kind != GuideKind::Grain) out.guides.push_back(g);
    }
    out.guides.push_back({GuideKind::Centre, fold.from, fold.to});
    darts_in_travel(out);
    return out;
}

}  // namespace sartorum
