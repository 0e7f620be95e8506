#include "core/pattern/pattern.h"

#include <algorithm>
#include <set>

#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

bool same_skeleton(const Piece& a, const Piece& b)
{
    const auto same = [](const auto& x, const auto& y, auto kind) {
        return std::equal(x.begin(), x.end(), y.begin(), y.end(),
                          [&](const auto& p, const auto& q) { return p.*kind == q.*kind; });
    };
    const auto same_edge = [](const Edge& x, const Edge& y) {
        return x.role == y.role && x.curve.size_default() == y.curve.size_default() && x.on_fold == y.on_fold;
    };
    return a.id == b.id && a.role == b.role && a.part == b.part && a.princess == b.princess &&
           a.bust_point.has_value() == b.bust_point.has_value() && same(a.darts, b.darts, &Dart::kind) &&
           same(a.notches, b.notches, &Notch::on) && same(a.guides, b.guides, &Guide::kind) &&
           std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(), same_edge);
}

template <class T>
std::optional<std::string> id_twice(const std::vector<T>& all)
{
    std::set<std::string> seen;
    for (const auto& one : all) {
        if (!seen.insert(one.id).second) return one.id;
    }
    return std::nullopt;
}

// At most one part of a kind, each with all it is made of.
Outcome<bool> parts_whole(const SizedPieces& sized)
{
    const auto missing = [&](PieceRole role) {
        return refuse(Why::PieceMissing, sized.size + ", " + std::string{key(role)});
    };
    const auto kinds = parts_of(sized.pieces);
    if (kinds.empty()) return missing(rules(every_part.front()).made_of.front());
    for (const auto kind : kinds) {
        const auto view = part_view({sized.pieces, {}}, kind).pieces;
        for (const auto role : rules(kind).made_of) {
            if (!find_piece(sized.pieces, role)) return missing(role);
            if (face_of(view, role).empty()) return refuse(Why::KindsDiffer, sized.size);
            if (!in_row(view, role))
                return refuse(has_gores(view) ? Why::GoresOutOfRow : Why::PartTwice,
                              sized.size + ", " + std::string{key(kind)});
        }
    }
    return true;
}

// A join is told from the part above to the one below, however it was written: b = a × fullness + ease.
void from_above(Seam& seam, const std::vector<Piece>& pieces)
{
    if (!is_join(seam, pieces) || !(seam.fullness >= fullness_least && seam.fullness <= fullness_most)) return;
    const auto part = [&](const std::vector<SeamSide>& side) {
        return *find_piece(pieces, side.front().piece)->part;
    };
    if (part(seam.a) < part(seam.b)) return;
    std::swap(seam.a, seam.b);
    seam.ease = -seam.ease / seam.fullness;
    seam.fullness = 1 / seam.fullness;
}

// A sleeve without the part it hangs from is traced as it is.
void without_its_part(std::vector<Piece>& pieces)
{
    const auto parts = parts_of(pieces);
    for (auto& p : pieces) {
        if (p.part && std::find(parts.begin(), parts.end(), *p.part) == parts.end()) p.part.reset();
    }
}

Curve without_nodes(Curve c)
{
    for (std::size_t node = 1; node < c.size_default();) {
        if (auto fewer = without_node(c, node))
            c = std::move(*fewer);
        else
            ++node;
    }
    return c;
}

// The same edge in every size: where its nodes stand says nothing, so those that only cut a segment in two go.
// Sizes stay alike: what cannot go in all of them stays in all.
void drop_idle_nodes(std::vector<Edge*> sizes)
{
    std::vector<Curve> fewest;
    for (const auto* e : sizes) fewest.push_back(without_nodes(e->curve));
    const auto alike = [](const auto& count) { return count.front() == count.back(); };
    std::vector<std::size_t> counts;
    for (const auto& c : fewest) counts.push_back(c.size_default());
    std::sort(counts.begin(), counts.end());
    if (alike(counts)) {
        for (std::size_t i = 0; i < sizes.size(); ++i) sizes[i]->curve = std::move(fewest[i]);
        return;
    }
    counts.clear();
    for (const auto* e : sizes) counts.push_back(e->curve.size_default());
    std::sort(counts.begin(), counts.end());
    if (!alike(counts)) return;
    for (std::size_t node = 1; node < sizes.front()->curve.size_default();) {
        std::vector<Curve> fewer;
        for (const auto* e : sizes) {
            if (auto c = without_node(e->curve, node)) fewer.push_back(std::move(*c));
        }
        if (fewer.size() != sizes.size()) {
            ++node;
            continue;
        }
        for (std::size_t i = 0; i < sizes.size(); ++i) sizes[i]->curve = std::move(fewer[i]);
    }
}

void drop_idle_nodes(Pattern& pattern)
{
    const auto& first = pattern.sizes.front().pieces;
    for (std::size_t p = 0; p < first.size(); ++p) {
        for (std::size_t e = 0; e < first[p].edges.size(); ++e) {
            std::vector<Edge*> sizes;
            for (auto& sized : pattern.sizes) {
                if (p < sized.pieces.size() && e < sized.pieces[p].edges.size())
                    sizes.push_back(&sized.pieces[p].edges[e]);
            }
            if (first[p].edges[e].role != EdgeRole::DartMouth) drop_idle_nodes(sizes);
        }
    }
}

}  // namespace

std::string_view key(Follow f)
{
    switch (f) {
        case Follow::No: break;
        case Follow::Length: return "length";
        case Follow::Shape: return "shape";
        case Follow::Whole: return "whole";
        case Follow::Above: return "above";
    }
    return "no";
}
std::optional<Follow> follow_of(std::string_view text)
{
    for (const auto f : {Follow::No, Follow::Length, Follow::Shape, Follow::Whole, Follow::Above}) {
        if (key(f) == text) return f;
    }
    return std::nullopt;
}

const SizedPieces* Pattern::find(const std::string& size) const
{
    const auto it = std::find_if(sizes.begin(), sizes.end(), [&](const auto& s) { return s.size == size; });
    return it == sizes.end() ? nullptr : &*it;
}

const Piece* find_piece(const std::vector<Piece>& pieces, PieceRole role)
{
    const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.role == role; });
    return it == pieces.end() ? nullptr : &*it;
}

Piece* find_piece(std::vector<Piece>& pieces, PieceRole role)
{
    return const_cast<Piece*>(find_piece(static_cast<const std::vector<Piece>&>(pieces), role));
}

const Piece* find_piece(const std::vector<Piece>& pieces, const std::string& id)
{
    const auto it = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.id == id; });
    return it == pieces.end() ? nullptr : &*it;
}

Outcome<Pattern> check_pattern(Pattern pattern)
{
    if (pattern.sizes.empty()) return refuse(Why::PieceMissing, "front");
    for (auto& sized : pattern.sizes) {
        for (auto& piece : sized.pieces) {
            auto checked = check_piece(std::move(piece));
            if (!checked) {
                checked.error().field = sized.size + ", " + checked.error().field;
                return tl::make_unexpected(checked.error());
            }
            piece = std::move(*checked);
        }
        hang_from_yoke(sized.pieces);
        without_its_part(sized.pieces);
        if (const auto ok = parts_whole(sized); !ok) return tl::make_unexpected(ok.error());
        if (const auto twice = id_twice(sized.pieces)) return refuse(Why::KeyTwice, sized.size + ", " + *twice);
    }
    drop_idle_nodes(pattern);
    for (const auto& sized : pattern.sizes) {
        const auto& first = pattern.sizes.front().pieces;
        if (!std::equal(first.begin(), first.end(), sized.pieces.begin(), sized.pieces.end(), same_skeleton)) {
            return refuse(Why::SkeletonDiffers, sized.size);
        }
    }
    for (std::size_t i = 0; i < pattern.sizes.size(); ++i) {
        for (std::size_t j = 0; j < i; ++j) {
            if (pattern.sizes[i].size == pattern.sizes[j].size) {
                return refuse(Why::ChartSizeTwice, pattern.sizes[i].size);
            }
        }
    }
    for (auto& seam : pattern.seams) from_above(seam, pattern.sizes.front().pieces);
    if (const auto twice = id_twice(pattern.seams)) return refuse(Why::KeyTwice, "seam " + *twice);
    for (const auto& seam : pattern.seams) {
        if (abs(seam.ease) > seam_ease_most)
            return refuse_amount(Why::NumberBroken, "data-ease", seam.ease, {}, seam_ease_most);
        if (!(seam.fullness >= fullness_least && seam.fullness <= fullness_most))
            return refuse(Why::NumberBroken, "data-fullness");
        if (seam.a.empty() || seam.b.empty()) return refuse(Why::SeamUnknownPiece, seam.id);
        for (const auto* side : {&seam.a, &seam.b}) {
            for (const auto& s : *side) {
                const Piece* piece = find_piece(pattern.sizes.front().pieces, s.piece);
                if (!piece || !edge_index(*piece, s.role)) return refuse(Why::SeamUnknownPiece, seam.id);
            }
        }
    }
    return pattern;
}

}  // namespace sartorum
