// rows.h: the adjustments of of trousers: rise, crotch, legs. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// body_rise: the waist lies higher or lower over the seat, where the hip line does not.
//
// Changes  front and back cut across under the hip line and spread (+) or folded out (−); both seams trued
// Keeps    waist, darts and hip line above the cut; inner leg, crotch curve's foot, knee and hem below it
// Amount   body − chart, else what brings the paper into 10 to 25 mm more than the body; waist to hip counts
// Limits   50 mm longer, 25 shorter: the fold lies between hip line and the curve's foot. Common practice.
// Then     the crotch seam is longer by about the amount on front and back each; fly and side opening too

inline constexpr Length body_rise_limit = Length::mm(50);
inline constexpr Length body_rise_less = Length::mm(25);
// Where no chart says what it is drafted for, the rise of the paper may be so much more than the body's; common
// practice.
inline constexpr Length rise_ease_least = Length::mm(10);
inline constexpr Length rise_ease_most = Length::mm(25);

[[nodiscard]] Outcome<Applied> alter_body_rise(const Garment&, const Dose&);
[[nodiscard]] Adjustment body_rise_row();

// crotch_length: the crotch seam longer or shorter, front and back apart: at the waist, or at the inner leg.
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

// leg_length: the leg longer or shorter between the inner leg point and the hem.
//
// Changes  front and back cut across and spread (+) or folded out (−): half of it above the knee line and half
//          below, or all of it at the knee line; seams trued
// Keeps    everything above the inner leg point; the widths at knee and hem; the crease
// Amount   body's inside leg − chart
// Limits   120 mm. Common practice.

inline constexpr Length leg_length_limit = Length::mm(120);
enum class LegLengthWay { Halved, AtKnee };

[[nodiscard]] Outcome<Applied> alter_leg_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment leg_length_row();

// leg_widths: trousers wider or closer at the hip, the thigh, the knee and the hem.
//
// Hip     out (+) or in at the side seams by a quarter of the girth each, or by half at the back's alone, to
//         nothing at the waist and at the knee
// Thigh   the inner leg points out or in, front and back alike (crotch_length), until the thigh gained it all;
//         done before the crotch, because that seam gets longer with it
// Knee    both seams of both pieces by a quarter each, to nothing at the inner leg point's level and at the hem
// Calf    the same under the knee, to nothing at the knee and at the hem
// Hem     the same at the hem, to nothing at the knee, straight below it
// Keeps   the crease, straight and on the grain, mid-way at knee and hem; lengths of the inner leg
// Limits  hip 120 mm of girth, thigh 60, knee and calf 80, hem 120
// Common practice: thigh mostly at the inner leg, hip at the side, knee and below half and half; where the chart
// prints nothing a girth is only brought up to what one moves in.

inline constexpr Length thigh_limit = Length::mm(60);
inline constexpr Length knee_limit = Length::mm(80);
inline constexpr Length leg_hem_limit = Length::mm(120);

// Of the girth at the waist or at the hip; what width at waist and hip come to on trousers.
[[nodiscard]] Outcome<Applied> widen_trousers(const Garment&, const Dose& girth, Level);
// Its side seam at the hip, to nothing at the waist and at the knee; of shorts as much down to the hem.
[[nodiscard]] Piece leg_hip_moved(const Piece&, Length by);
[[nodiscard]] Outcome<Applied> alter_width_at_thigh(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_knee(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_calf(const Garment&, const Dose& girth);
[[nodiscard]] Outcome<Applied> alter_width_at_leg_hem(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment width_at_thigh_row();
[[nodiscard]] Adjustment width_at_knee_row();
[[nodiscard]] Adjustment width_at_calf_row();
[[nodiscard]] Adjustment width_at_leg_hem_row();

}  // namespace sartorum
