// shaped_band.h: trousers or a skirt with a waistband that follows the waist, drawn for the demo and for tests.
#pragma once
#include <algorithm>

#include "core/paper/shaped_band.h"
#include "core/pattern/pattern.h"
#include "core/pattern/waist_edge.h"

namespace sartorum::demo {

// The straight band of a size replaced by one drawn from the waists of back and front, on the fold at centre back,
// cut for outside and inside.
inline Outcome<bool> shape_band(std::vector<Piece>& pieces, Length depth, Length allowance)
{
    const Piece& back = *find_piece(pieces, PieceRole::Back);
    const Piece& front = *find_piece(pieces, PieceRole::Front);
    Piece as_wide =
        waistband(sewn_length(back, EdgeRole::Waist), sewn_length(front, EdgeRole::Waist), depth / 2.0, allowance);
    as_wide.cut = 2;
    auto drawn = shaped_band_drawn(as_wide, EdgeRole::Waist,
                                   {{&back, &back, EdgeRole::Waist}, {&front, &front, EdgeRole::Waist}});
    if (!drawn) return tl::make_unexpected(drawn.error());
    std::erase_if(pieces, [](const Piece& p) { return p.role == PieceRole::Waistband; });
    pieces.push_back(std::move(*drawn));
    return true;
}

// All sizes, and its seam.
inline Outcome<Pattern> with_shaped_band(Pattern p, Length depth, Length allowance)
{
    for (auto& size : p.sizes) {
        if (const auto ok = shape_band(size.pieces, depth, allowance); !ok) return tl::make_unexpected(ok.error());
    }
    std::erase_if(p.seams, [](const Seam& s) { return s.b.front().piece == "waistband"; });
    p.seams.push_back({"waist",
                       {{"back", EdgeRole::Waist}, {"front", EdgeRole::Waist}},
                       {{"waistband", EdgeRole::Waist}},
                       {},
                       Follow::Above});
    return check_pattern(std::move(p));
}

}  // namespace sartorum::demo
