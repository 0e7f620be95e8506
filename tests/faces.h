// faces.h: a skirt as the part the adjustments see, its faces, and lengths as bare millimetres.
#pragma once
#include "core/pattern/garment.h"
#include "trousers.h"

namespace sartorum::test {

inline double mm(Length l)
{
    return l.in_mm();
}

inline Garment skirt_part(const SkirtFlat& flat)
{
    const auto pattern = skirt_pattern(flat);
    return part_view({pattern->sizes.front().pieces, pattern->seams}, PartKind::Skirt);
}

inline const Piece& face(const Garment& g, PieceRole role)
{
    return *find_piece(g.pieces, role);
}

// Skirts and trousers in turn, those that can be drawn.
inline std::vector<Garment> skirts_and_legs(unsigned seed, int n)
{
    std::mt19937 rng{seed};
    std::vector<Garment> out;
    for (int i = 0; i < n; ++i) {
        const auto legs = trousers_pattern(random_trousers(rng));
        const auto flat = random_skirt(rng);
        if (i % 2 && legs) out.push_back(legs_of(*legs));
        if (i % 2 == 0 && draw_skirt(flat)) out.push_back(skirt_part(flat));
    }
    return out;
}

}  // namespace sartorum::test
