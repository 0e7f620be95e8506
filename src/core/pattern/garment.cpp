#include "core/pattern/garment.h"

#include <algorithm>
#include <cmath>
#include <set>

#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

std::set<std::optional<PartKind>> parts_at(const std::vector<SeamSide>& side, const std::vector<Piece>& pieces)
{
    std::set<std::optional<PartKind>> out;
    for (const auto& s : side) {
        if (const Piece* p = find_piece(pieces, s.piece)) out.insert(p->part);
    }
    return out;
}

}  // namespace

std::vector<PartKind> parts_of(const std::vector<Piece>& pieces)
{
    std::vector<PartKind> out;
    for (const auto kind : every_part) {
        if (std::any_of(pieces.begin(), pieces.end(),
                        [&](const Piece& p) { return p.part == kind && goes_round(p); }))
            out.push_back(kind);
    }
    return out;
}

Garment part_view(const Garment& g, PartKind kind)
{
    Garment out;
    for (const auto& p : g.pieces) {
        if (p.part == kind) out.pieces.push_back(p);
    }
    const auto inside = [&](const SeamSide& s) { return find_piece(out.pieces, s.piece) != nullptr; };
    for (const auto& s : g.seams) {
        if (std::all_of(s.a.begin(), s.a.end(), inside) && std::all_of(s.b.begin(), s.b.end(), inside))
            out.seams.push_back(s);
    }
    return out;
}

std::vector<Piece> without_part(const std::vector<Piece>& pieces)
{
    std::vector<Piece> out;
    std::copy_if(pieces.begin(), pieces.end(), std::back_inserter(out), [](const Piece& p) { return !p.part; });
    return out;
}

bool is_join(const Seam& seam, const std::vector<Piece>& pieces)
{
    const auto a = parts_at(seam.a, pieces);
    const auto b = parts_at(seam.b, pieces);
    return a.size() == 1 && b.size() == 1 && *a.begin() && *b.begin() && *a.begin() != *b.begin();
}

std::vector<Seam> followers(const std::vector<Seam>& seams, const std::vector<Piece>& pieces)
{
    std::vector<Seam> out;
    for (const auto& s : seams) {
        const Piece* b = s.b.size() == 1 ? find_piece(pieces, s.b.front().piece) : nullptr;
        if (s.follow != Follow::No && b && !b->part) out.push_back(s);
    }
    return out;
}

Length side_length(const std::vector<Piece>& pieces, const std::vector<SeamSide>& side)
{
    Length sum;
    for (const auto& s : side) {
        if (const Piece* p = find_piece(pieces, s.piece)) sum += sewn_length(*p, s.role);
    }
    return sum;
}

namespace {

// Of a strip as wide all along, straight or curved: its area is its width times half of what its long edges
// measure.
Length width_of_strip(const Piece& p)
{
    Length round;
    for (const auto& e : p.edges) round += length(e.curve);
    const double r = round.in_mm();
    const double under_root = r * r - 16 * area_mm2(p);
    return Length::mm(under_root < 0 ? bounds(p).height() : (r - std::sqrt(under_root)) / 4);
}

}  // namespace

Length band_above_seam(const std::vector<Piece>& pieces)
{
    const Piece* band = find_piece(pieces, PieceRole::Waistband);
    if (!band) return {};
    const Length deep = width_of_strip(*band);
    return band->cut > 1 ? deep : deep / 2.0;
}

namespace {

// Any of them tells what the whole part is.
const Piece& first_of(const Garment& part)
{
    return *std::find_if(part.pieces.begin(), part.pieces.end(),
                         [](const Piece& p) { return p.part && goes_round(p); });
}

}  // namespace

PartKind kind_of(const Garment& part)
{
    return *first_of(part).part;
}

bool has_level(const Garment& part, Level level)
{
    return has_level(first_of(part), level);
}

bool begins_with(const Garment& part, EdgeRole role)
{
    return begins_with(first_of(part), role);
}

EdgeRole bottom_role(const Garment& part)
{
    return bottom_role(first_of(part));
}

bool has_edge(const Garment& part, PieceRole piece, EdgeRole role)
{
    return std::any_of(part.pieces.begin(), part.pieces.end(),
                       [&](const Piece& p) { return p.role == piece && edge_index(p, role).has_value(); });
}

std::optional<FrontAndBack> front_and_back_at(const Garment& part, Level level)
{
    const Piece* front = find_piece(part.pieces, PieceRole::Front);
    const Piece* back = find_piece(part.pieces, PieceRole::Back);
    if (!front || !back || !has_level(*front, level)) return std::nullopt;
    return FrontAndBack{*front, *back};
}

const Piece& front_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Front);
}
const Piece& back_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Back);
}
const Piece& sleeve_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Sleeve);
}

}  // namespace sartorum
