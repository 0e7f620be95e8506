// pinned_darts.h: darts as they were pinned on a toile or on the tissue itself: where, how deep, how long.
//
// Amounts  place   along the edge it is in: + lower down the seam; of a waist's dart + to the side
//          depth   of its mouth: + deeper, half at each leg
//          length  of its tip from the mouth, on its middle line: + longer
// Bust     the dart in the front's side seam, else in its armhole. What it takes deeper of a side seam is added
//          again at the seam's lower end: it stays as long as it was. An armhole becomes shorter by it
// Waist    every dart at the waist of a face; the closed waist is closer by what they take deeper, what is sewn to
//          it follows
// Without a place an amount is of the depth
// Limits   25 mm; a dart stays 20 mm long, its tip not past the bust point, of a skirt or of trousers not under
// the
//          hip line; 10 mm of the edge beside it
// Source   common practice
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length pinned_dart_limit = Length::mm(25);

// At place, depth and length.
[[nodiscard]] Outcome<Applied> alter_pinned_bust_dart(const Garment&, const Dose&);
// At those of the front, then of the back.
[[nodiscard]] Outcome<Applied> alter_pinned_waist_darts(const Garment&, const Dose&);
[[nodiscard]] Adjustment pinned_bust_dart_row();
[[nodiscard]] Adjustment pinned_waist_darts_row();

// Which way the bust dart points, from its mouth to its tip; of length one. None without such a dart.
[[nodiscard]] std::optional<Point> bust_dart_way(const Piece& front);
// The face has a dart at the waist.
[[nodiscard]] bool has_waist_dart(const Piece&);

}  // namespace sartorum
