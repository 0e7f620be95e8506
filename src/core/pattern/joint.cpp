#include "core/pattern/joint.h"

#include <algorithm>
#include <cmath>

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

JointFace face_drawn(const Piece& above, const Piece& below, double fullness)
{
    const WaistRun a = waist_run(above);
    const WaistRun b = waist_run(below);
    JointFace out{b.length - a.length * fullness};
    if (fullness < gathered_from) out.pairs = pairs_of(a, b);
    return out;
}

}  // namespace

std::vector<std::size_t> waist_mouths(const Piece& p)
{
    std::vector<std::size_t> out;
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth && p.edges[i - 1].role == EdgeRole::Waist) out.push_back(i);
    }
    // What hangs from the shoulder runs from the side to the centre.
    if (!begins_at(p, Level::Waist)) std::reverse(out.begin(), out.end());
    return out;
}

WaistRun waist_run(const Piece& p)
{
    WaistRun out;
    for (const auto& e : p.edges) {
        if (e.role == EdgeRole::Waist) out.length += length(e.curve);
    }
    const bool from_centre = begins_at(p, Level::Waist);
    for (const std::size_t mouth : waist_mouths(p)) {
        Length along;
        for (std::size_t i = 0; i < mouth; ++i) {
            if (p.edges[i].role == EdgeRole::Waist) along += length(p.edges[i].curve);
        }
        out.darts.push_back(from_centre ? along : out.length - along);
    }
    return out;
}

const Seam* join_between(const std::vector<Seam>& seams, const std::vector<Piece>& pieces, PartKind above,
                         PartKind below)
{
    const auto all_of = [&](const std::vector<SeamSide>& side, PartKind kind) {
        return !side.empty() && std::all_of(side.begin(), side.end(), [&](const SeamSide& s) {
            const Piece* p = find_piece(pieces, s.piece);
            return p && p->part == kind && s.role == EdgeRole::Waist;
        });
    };
    const auto it = std::find_if(seams.begin(), seams.end(),
                                 [&](const Seam& s) { return all_of(s.a, above) && all_of(s.b, below); });
    return it == seams.end() ? nullptr : &*it;
}

Joint joint_drawn(const Seam& seam, const Garment& above, const Garment& below)
{
    return {seam.fullness, face_drawn(front_of(above), front_of(below), seam.fullness),
            face_drawn(back_of(above), back_of(below), seam.fullness)};
}

}  // namespace sartorum
