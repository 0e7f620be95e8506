// waist_edge.h: the waist of a block with the fold that shapes it, and the straight band sewn to it.
#pragma once
#include "core/pattern/piece.h"

namespace sartorum {

// A dart, a tuck or a pleat in the waist; its middle a little past the middle of the edge where no place is given.
struct WaistFold {
    Length mouth;
    std::optional<Length> at{};  // of its near leg, along the waist from the centre, folded
    Length length;
    DartKind kind = DartKind::Dart;
};

// Adds the edges along `line`, drawn from the centre to the side with the fold open, and the fold's mark.
void add_waist_edge(Piece&, const Curve& line, const WaistFold&, Length allowance);

inline constexpr Length band_underlap = Length::mm(30);

// A straight band folded along its length, half of it from the fold at one centre: along the face sewn first, then
// along the other, then the underlap.
[[nodiscard]] Piece waistband(Length first, Length second, Length depth, Length allowance);

}  // namespace sartorum
