// fold_spread.h: a tuck or a pleat in a waist made deeper or shallower with more or less cloth below it: the piece
// cut from the fold's middle straight down to the hem, and spread or overlapped by the same all along.
//
// Stays    the sewn waist, side seam and centre line, the other folds; the hem as long as its cloth
// Common practice.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

// Less of a tuck or pleat nobody folds, all of it.
inline constexpr Length fold_least = Length::mm(6);

struct FoldSpread {
    Piece first;   // on the centre's side of the cut, as it lies
    Piece second;  // on the other, where it comes to lie
    Piece whole;   // joined again
    Stroke cut;
    Polygon strip;  // that opened, or that is covered
};
// Refuses what leaves less than fold_least of it, and a piece the line does not cross once, from the mouth to the
// hem.
[[nodiscard]] Outcome<FoldSpread> fold_spread(const Piece&, std::size_t mouth, Length by);

}  // namespace sartorum
