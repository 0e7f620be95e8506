#include "core/alter/kit/opening.h"

#include <algorithm>

namespace sartorum {

Length button_for(Length overlap)
{
    const Length beyond = overlap - overlap_for({});
    return std::max(beyond * 2.0, Length{});
}

MakeUp without_opening(MakeUp made)
{
    std::erase_if(made.facings, [](const MadeFacing& f) { return f.from.role == EdgeRole::Centre; });
    return taken_out(std::move(made), the_opening);
}

MakeUp with_opening(MakeUp made, const MovedOpening& o, const std::vector<Piece>& pieces,
                    std::optional<Length> facing)
{
    made = without_opening(std::move(made));
    made.opening = o;
    Length left = o.length;
    for (const auto part : parts_of(pieces)) {
        for (const auto& p : pieces) {
            const bool opens = p.part == part && p.role == o.to && edge_index(p, EdgeRole::Centre);
            if (!opens || left <= Length{}) continue;
            if (facing) made.facings.push_back({{p.id, EdgeRole::Centre}, *facing});
            left = left >= piece_most ? left : left - sewn_length(p, EdgeRole::Centre);
        }
    }
    return made;
}

}  // namespace sartorum
