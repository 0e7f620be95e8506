#include "core/check/face_up.h"

#include <map>

#include "core/check/seam_run.h"

namespace sartorum {
namespace {

// Of two pieces sewn to each other: whether they are drawn as they lie side by side on the cloth.
struct Sewn {
    std::string a;
    std::string b;
    bool as_they_lie = false;
};

bool paper_on_right(const Garment& g, const SeamSide& side)
{
    return seam_run(g, {side}).paper_on_right;
}

std::vector<Sewn> sewn_together(const Garment& g)
{
    std::vector<Sewn> out;
    for (const auto& seam : g.seams) {
        for (const auto& a : seam.a) {
            for (const auto& b : seam.b) {
                const bool there = find_piece(g.pieces, a.piece) && find_piece(g.pieces, b.piece);
                if (there && a.piece != b.piece)
                    out.push_back({a.piece, b.piece, paper_on_right(g, a) != paper_on_right(g, b)});
            }
        }
    }
    return out;
}

}  // namespace

std::set<std::string> left_as_drawn(const Garment& g)
{
    std::map<std::string, bool> left;
    for (const auto& p : g.pieces) {
        if (p.role == PieceRole::Back) left.emplace(p.id, false);
        if (p.role == PieceRole::Front) left.emplace(p.id, true);
        if (p.role == PieceRole::Sleeve) left.emplace(p.id, false);
    }
    const auto sewn = sewn_together(g);
    for (std::size_t before = 0; before != left.size();) {
        before = left.size();
        for (const auto& s : sewn) {
            for (const auto& [known, other] : {std::pair{s.a, s.b}, std::pair{s.b, s.a}}) {
                const auto it = left.find(known);
                if (it != left.end()) left.emplace(other, it->second == s.as_they_lie);
            }
        }
    }
    std::set<std::string> out;
    for (const auto& [id, is_left] : left) {
        if (is_left) out.insert(id);
    }
    return out;
}

}  // namespace sartorum
