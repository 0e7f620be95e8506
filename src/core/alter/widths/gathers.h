// gathers.h: a waist that is gathered in, or drawn in by an elastic: made wider or closer there, and made.
//
// In the gathers    the paper stays: less (+) or more (−) of the waist is gathered, shared by its gathers as they
//                   are; an elastic is cut as much longer or shorter
// Back, gathered    the back wider (+) from the waist down to the hem, or to the knee, its side seam shifted as it
//                   runs; what the back's waist is longer by is gathered, so that it is sewn as long as before.
//                   Girth at the hip, half of it on each half of the back. Closer (−) only as far as it is
//                   gathered
// Keeps             front, darts, what the waist is sewn to
// Limits            five times the sewn length (common practice: fullness 1.5 to 2.5)
// For a seat that needs width and not the waist: often until the back is nearly a rectangle. Common practice.
#pragma once
#include "core/alter/kit/adjustment.h"

namespace sartorum {

// So much more of a waist gathered, in the edge that is gathered most already, else the longest: that one.
Edge& gather_waist(Piece&, Length more);
// Of all waist edges of a part; and whether anything is gathered there.
[[nodiscard]] Length waist_gathers(const Garment& part);
[[nodiscard]] bool has_waist_gathers(const Garment& part);
// A tenth of the waist or more: it is meant to be full, and is no narrower at the hip.
[[nodiscard]] bool full_at_waist(const Garment& part);

// So much less gathered (− more) on one face, shared by its gathers; whether it can: something stays gathered, and
// not more than five times what is sewn.
[[nodiscard]] bool gathers_can_give(const Garment& part, PieceRole face, Length less);
void free_gathers(Applied&, PieceRole face, Length less);

[[nodiscard]] Outcome<Applied> alter_in_gathers(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_back_gathered(const Garment&, const Dose& girth);

}  // namespace sartorum
