#include <algorithm>

#include "core/check/walk.h"
#include "core/pattern/gore.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

struct Drops {
    Length front;
    Length side;
    Length back;
};

// From the waist down to the hem along the paper: a yoke and what hangs from it together.
std::optional<Drops> drops(const Garment& g)
{
    Drops out;
    bool hangs = false;
    for (const auto part : parts_of(g.pieces)) {
        const auto pieces = part_view(g, part).pieces;
        const auto front = face_of(pieces, PieceRole::Front);
        const auto back = face_of(pieces, PieceRole::Back);
        if (!begins_with(pieces[front.front()], EdgeRole::Waist)) continue;
        hangs = true;
        out.front += sewn_length(pieces[front.front()], EdgeRole::Centre);
        out.side += length(outer_line(pieces[front.back()]));
        out.back += sewn_length(pieces[back.front()], EdgeRole::Centre);
    }
    return hangs ? std::optional{out} : std::nullopt;
}

}  // namespace

std::optional<HemLevel> hem_level(const Garment& traced, const Garment& altered)
{
    const auto was = drops(traced);
    const auto is = drops(altered);
    if (!was || !is) return std::nullopt;
    HemLevel out{is->front - was->front, is->side - was->side, is->back - was->back, false};
    const auto [least, most] = std::minmax({out.front, out.side, out.back});
    out.holds = most - least <= hem_tolerance;
    return out;
}

}  // namespace sartorum
