#include "core/pattern/pattern.h"

#include <algorithm>

namespace sartorum {
namespace {

bool same_skeleton(const Piece& a, const Piece& b)
{
    const auto same_edge = [](const Edge& x, const Edge& y) {
        return x.role == y.role && x.curve.size_default() == y.curve.size_default() && x.on_fold == y.on_fold;
    };
    return a.id == b.id && a.role == b.role && a.darts.size() == b.darts.size() &&
           a.notches.size() == b.notches.size() && a.guides.size() == b.guides.size() &&
           std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(), same_edge);
}

}  // namespace

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
        for (const auto role : {PieceRole::Front, PieceRole::Back}) {
            if (!find_piece(sized.pieces, role)) {
                return refuse(Why::PieceMissing, sized.size + ", " + std::string{key(role)});
            }
        }
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
    for (const auto& seam : pattern.seams) {
        for (const auto* side : {&seam.a, &seam.b}) {
            for (const auto& s : *side) {
                const Piece* piece = find_piece(pattern.sizes.front().pieces, s.piece);
                if (!piece || !edge_index(*piece, s.role)) return refuse(Why::SeamUnknownPiece, seam.id);
            }
        }
    }
    return pattern;
}

FlatMeasures measure_flat(const std::vector<Piece>& pieces)
{
    FlatMeasures out;
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        const Piece& piece = *find_piece(pieces, role);
        out.waist += sewn_length(piece, EdgeRole::Waist) * 2.0;
        out.hem += sewn_length(piece, EdgeRole::Hem) * 2.0;
        const double level = guide(piece, GuideKind::Hip)->a[Geom::Y];
        out.hip += width_at(piece, level).value_or(Length{}) * 2.0;
        if (role == PieceRole::Front) {
            out.side = sewn_length(piece, EdgeRole::Side);
            out.waist_to_hip = Length::mm(edge(piece, EdgeRole::Side).curve.initialPoint()[Geom::Y] - level);
        }
    }
    return out;
}

}  // namespace sartorum
