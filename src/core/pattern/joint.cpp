#include "core/pattern/joint.h"

#include <algorithm>
#include <cmath>

#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

std::vector<DartPair> pairs_of(const WaistRun& above, const WaistRun& below)
{
    std::vector<DartPair> out;
    for (std::size_t i = 0; i < below.darts.size(); ++i) {
        const auto off = [&](Length at) { return abs(below.darts[i] - at); };
        const auto nearest = std::min_element(above.darts.begin(), above.darts.end(),
                                              [&](Length a, Length b) { return off(a) < off(b); });
        if (nearest == above.darts.end() || off(*nearest) > drawn_to_meet) continue;
        out.push_back({static_cast<std::size_t>(nearest - above.darts.begin()), i, below.darts[i] - *nearest});
    }
    return out;
}

JointFace face_drawn(const WaistRun& a, const WaistRun& b, double fullness)
{
    JointFace out{b.length - a.length * fullness};
    if (fullness < gathered_from) out.pairs = pairs_of(a, b);
    return out;
}

}  // namespace

std::vector<std::size_t> waist_mouths(const Piece& p, EdgeRole role)
{
    std::vector<std::size_t> out;
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth && p.edges[i - 1].role == role) out.push_back(i);
    }
    // A lower edge runs from the side to the centre.
    if (!begins_with(p, role)) std::reverse(out.begin(), out.end());
    return out;
}

std::vector<std::size_t> waist_dart_mouths(const Piece& p)
{
    auto out = waist_mouths(p);
    std::erase_if(out, [&](std::size_t mouth) { return p.darts[dart_at(p, mouth)].kind != DartKind::Dart; });
    return out;
}

WaistRun waist_run(const Piece& p, EdgeRole role)
{
    WaistRun out;
    for (const auto& e : p.edges) {
        if (e.role == role) out.length += length(e.curve) - e.gathered;
    }
    const bool from_centre = begins_with(p, role);
    for (const std::size_t mouth : waist_mouths(p, role)) {
        Length along;
        for (std::size_t i = 0; i < mouth; ++i) {
            if (p.edges[i].role == role) along += length(p.edges[i].curve) - p.edges[i].gathered;
        }
        out.darts.push_back(from_centre ? along : out.length - along);
    }
    return out;
}

namespace {

WaistRun run_of_face(const Garment& part, PieceRole face, EdgeRole (*role)(const Piece&))
{
    const auto row = face_of(part.pieces, face);
    if (row.size() == 1) return waist_run(part.pieces[row.front()], role(part.pieces[row.front()]));
    WaistRun out;
    for (const std::size_t i : row) out.length += sewn_length(part.pieces[i], role(part.pieces[i]));
    return out;
}

}  // namespace

WaistRun lower_run(const Garment& above, PieceRole face)
{
    return run_of_face(above, face, bottom_role);
}

WaistRun upper_run(const Garment& below, PieceRole face)
{
    return run_of_face(below, face, [](const Piece&) { return EdgeRole::Waist; });
}

const Seam* join_between(const std::vector<Seam>& seams, const std::vector<Piece>& pieces, PartKind above,
                         PartKind below)
{
    const auto all_of = [&](const std::vector<SeamSide>& side, PartKind kind, bool lower) {
        return !side.empty() && std::all_of(side.begin(), side.end(), [&](const SeamSide& s) {
            const Piece* p = find_piece(pieces, s.piece);
            return p && p->part == kind && s.role == (lower ? bottom_role(*p) : EdgeRole::Waist);
        });
    };
    const auto it = std::find_if(seams.begin(), seams.end(), [&](const Seam& s) {
        return all_of(s.a, above, true) && all_of(s.b, below, false);
    });
    return it == seams.end() ? nullptr : &*it;
}

Joint joint_drawn(const Seam& seam, const Garment& above, const Garment& below)
{
    const auto drawn = [&](PieceRole face) {
        return face_drawn(lower_run(above, face), upper_run(below, face), seam.fullness);
    };
    return {seam.fullness, drawn(PieceRole::Front), drawn(PieceRole::Back)};
}

}  // namespace sartorum
