#include "core/pattern/gore.h"

#include <algorithm>

#include "core/pattern/whole_piece.h"

namespace sartorum {
namespace {

// Turned over, the waist first again.
Piece mirrored(const Piece& piece)
{
    Piece out = mirror_image(piece);
    const auto is_waist = [](const Edge& e) { return e.role == EdgeRole::Waist; };
    const auto first = std::find_if(out.edges.begin(), out.edges.end(), is_waist);
    std::rotate(out.edges.begin(), first, out.edges.end());
    return out;
}

void rename(Piece& p, EdgeRole from, EdgeRole to, std::vector<bool>& edges, std::vector<bool>& notches)
{
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != from || edges[i]) continue;
        p.edges[i].role = to;
        edges[i] = true;
    }
    for (std::size_t i = 0; i < p.notches.size(); ++i) {
        if (p.notches[i].on != from || notches[i]) continue;
        p.notches[i].on = to;
        notches[i] = true;
    }
}

struct Names {
    EdgeRole from;
    EdgeRole to;
};

// Each edge is renamed once, whatever the others are called.
void rename_all(Piece& p, std::initializer_list<Names> names)
{
    std::vector<bool> edges(p.edges.size());
    std::vector<bool> notches(p.notches.size());
    for (const auto& n : names) rename(p, n.from, n.to, edges, notches);
}

EdgeRole left_of(const Piece& p)
{
    return edge_index(p, EdgeRole::Inner) ? EdgeRole::Inner : EdgeRole::Centre;
}

EdgeRole right_of(const Piece& p)
{
    return edge_index(p, EdgeRole::Outer) ? EdgeRole::Outer : EdgeRole::Side;
}

SeamSide side_of(const Piece& p, Flank f)
{
    return {p.id, *flank_role(p, f)};
}

// How much longer b is meant to be than a, as the seam between them says.
Length ease_between(const std::vector<Seam>& seams, const SeamSide& a, const SeamSide& b)
{
    for (const auto& s : seams) {
        if (s.a.size() != 1 || s.b.size() != 1) continue;
        if (s.a.front() == a && s.b.front() == b) return s.ease;
        if (s.a.front() == b && s.b.front() == a) return -s.ease;
    }
    return {};
}

}  // namespace

std::vector<std::size_t> face_of(const std::vector<Piece>& pieces, PieceRole role)
{
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        if (pieces[i].role == role) out.push_back(i);
    }
    return out;
}

std::optional<EdgeRole> flank_role(const Piece& p, Flank f)
{
    const EdgeRole role = f == Flank::Inner ? EdgeRole::Inner : right_of(p);
    return edge_index(p, role) ? std::optional{role} : std::nullopt;
}

bool is_gore(const Piece& p)
{
    return edge_index(p, EdgeRole::Inner) || edge_index(p, EdgeRole::Outer);
}

bool has_gores(const std::vector<Piece>& pieces)
{
    return std::any_of(pieces.begin(), pieces.end(), is_gore);
}

bool in_row(const std::vector<Piece>& pieces, PieceRole role)
{
    const auto face = face_of(pieces, role);
    for (std::size_t i = 0; i < face.size(); ++i) {
        const Piece& p = pieces[face[i]];
        const bool first = i == 0;
        const bool last = i + 1 == face.size();
        if (edge_index(p, EdgeRole::Inner).has_value() == first) return false;
        if (edge_index(p, EdgeRole::Outer).has_value() == last) return false;
    }
    return true;
}

Piece as_plain(const Piece& p, Flank f)
{
    if (!is_gore(p)) return p;
    Piece out = f == Flank::Inner ? mirrored(p) : p;
    if (f == Flank::Inner)
        rename_all(out, {{EdgeRole::Inner, EdgeRole::Side}, {right_of(p), EdgeRole::Centre}});
    else
        rename_all(out, {{EdgeRole::Outer, EdgeRole::Side}, {EdgeRole::Inner, EdgeRole::Centre}});
    return out;
}

Piece as_gore(Piece plain, Flank f, const Piece& was)
{
    if (!is_gore(was)) return plain;
    if (f == Flank::Outer) {
        rename_all(plain, {{EdgeRole::Side, right_of(was)}, {EdgeRole::Centre, left_of(was)}});
        return plain;
    }
    rename_all(plain, {{EdgeRole::Side, EdgeRole::Inner}, {EdgeRole::Centre, right_of(was)}});
    return mirrored(plain);
}

const Curve& outer_line(const Piece& p)
{
    return edge(p, right_of(p)).curve;
}

Length centre_above_side(const std::vector<Piece>& pieces, PieceRole role)
{
    Length sum;
    for (const std::size_t i : face_of(pieces, role)) {
        const Piece& p = pieces[i];
        sum += Length::mm(edge(p, left_of(p)).curve.finalPoint()[Geom::Y] - outer_line(p).initialPoint()[Geom::Y]);
    }
    return sum;
}

std::vector<FlankAt> flanks_of(const std::vector<Piece>& pieces, PieceRole role)
{
    std::vector<FlankAt> out;
    for (const std::size_t i : face_of(pieces, role)) {
        for (const auto f : {Flank::Inner, Flank::Outer}) {
            if (flank_role(pieces[i], f)) out.push_back({i, f});
        }
    }
    return out;
}

std::vector<UprightSeam> upright_seams(const Garment& part)
{
    std::vector<UprightSeam> out;
    const auto add = [&](FlankAt a, FlankAt b) {
        const auto& pieces = part.pieces;
        out.push_back(
            {a, b,
             ease_between(part.seams, side_of(pieces[a.piece], a.flank), side_of(pieces[b.piece], b.flank))});
    };
    const auto front = face_of(part.pieces, PieceRole::Front);
    const auto back = face_of(part.pieces, PieceRole::Back);
    for (std::size_t i = 1; i < front.size(); ++i) add({front[i - 1], Flank::Outer}, {front[i], Flank::Inner});
    add({front.back(), Flank::Outer}, {back.back(), Flank::Outer});
    for (std::size_t i = back.size() - 1; i > 0; --i) add({back[i], Flank::Inner}, {back[i - 1], Flank::Outer});
    return out;
}

}  // namespace sartorum
