// crotch_length.h: the crotch seam longer or shorter, front and back apart: at the waist, or at the inner leg.
//
// At the centre     a wedge across, square to the crease, from the centre above the hip line to the side, where it
//                   is hinged: opened (+) for a full seat or a full tummy, overlapped (−) for a flat one. At the
//                   back the centre keeps the lean the wedge gives it; at the front it is carried on straight and
//                   the waist gets wider, which a tummy wants.
// At the inner leg  the inner leg point out (+) or in along the crotch line; inner leg to nothing at the knee, its
//                   length kept; crotch curve to nothing at the hip line. The thigh gets wider by about as much.
// Keeps             side seam, darts, crease, everything below the knee
// Amount            of the first, what the crotch seam gains; of the second, how far the point moves. By string:
//                   body − chart; else body and 5 to 12.5 mm for each of the two against the seam and the finished
//                   band above it. What was done above counts first; the second is what the first leaves.
// Limits            30 mm at the centre, 25 at the inner leg. Common practice.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length crotch_wedge_limit = Length::mm(30);
inline constexpr Length crotch_point_limit = Length::mm(25);
// 10 to 25 mm in all (common practice), half of it on each piece.
inline constexpr Length crotch_ease_least = Length::mm(5);
inline constexpr Length crotch_ease_most = Length::mm(12.5);

[[nodiscard]] Outcome<Applied> alter_crotch_wedge(const Garment&, const Dose&);
[[nodiscard]] Outcome<Applied> alter_crotch_point(const Garment&, const Dose&);
// What the string asks of the crotch seam more than it has by now: in front, and at the back apart; none where
// that is nothing anybody sews.
[[nodiscard]] std::optional<Proposal> crotch_lacks(const FittingState&);
[[nodiscard]] Adjustment crotch_wedge_row();
[[nodiscard]] Adjustment crotch_point_row();

}  // namespace sartorum
