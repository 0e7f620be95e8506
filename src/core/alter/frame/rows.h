// rows.h: the adjustments of the frame: shoulders, neck and upper back. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// ball_of_shoulder: the seam moved forward (+) or back (−) at the shoulder tip.
//
// Changes  the amount comes off the front at the tip and goes onto the back, square to the seam
// Keeps    the neck point, the sewn slope
// Methods  redrawn: both seams drawn anew; slashed: a strip from armhole to neck point swings about the neck
//          point, overlapped in front, opened behind. Both put the seam on the same line; slashed keeps its
//          length,
//          redrawn makes both √(L² + f²) long.
// So       the sewn seam moves by f·cos((front angle − back angle)/2)
// Limits   13 mm: more would show from the front (common practice)
// Then     the sleeve's cap moves forward by as much

inline constexpr Length shoulder_forward_limit = Length::mm(13);

enum class BallMethod { Redrawn, Slashed };

[[nodiscard]] Outcome<Applied> alter_ball_of_shoulder(const Garment&, const Dose&);
[[nodiscard]] Adjustment ball_of_shoulder_row();

// neck_forward: the seam moved forward (+) or back (−) at the neck.
//
// Changes  the amount comes off the front's neck end and goes onto the back's, square to the seam; neckline trued
// Keeps    the shoulder tip, the sewn slope
// Limits   13 mm, as for the shoulder (our choice)
// Then     collar and facing follow the neckline

inline constexpr Length neck_forward_limit = Length::mm(13);

[[nodiscard]] Outcome<Applied> alter_neck_forward(const Garment&, const Dose&);
[[nodiscard]] Adjustment neck_forward_row();

// neck_size: the whole neckline longer (+) or shorter (−), closed, where it is meant to lie at the neck's base.
//
// Methods  lower: cut lower (or filled) by the same all round, at the centres and along the shoulders;
//          wider: further out (in) along the shoulders alone, which shortens them
// So       lower by x makes the neckline about 5x longer: solved on the curve, to 0.02 mm
// Limits   60 mm of girth (our choice): beyond, another size for the frame
// Then     collar, stand or facing to the new length; the shoulder is shorter by as much at the neck

inline constexpr Length neck_size_limit = Length::mm(60);

enum class NeckMethod { Lower, Wider };

[[nodiscard]] Outcome<Applied> alter_neck_size(const Garment&, const Dose&);
[[nodiscard]] Adjustment neck_size_row();

// pinned_shoulder: the shoulder as it was pinned on a toile: each end of the seam by its own amount, front and
// back.
//
// Amounts  square to the sewn seam, at four places; − taken off, + let out. Of an offcut: extra allowance − offcut
// Order    the neck end first, then the tip from the seam as it lies then
// Limits   25 mm (about the extra allowance)
// Then     as after a slope: the armhole is shorter or longer by the amounts at the tips, the neckline by those at
//          the neck ends
// Source   common practice

[[nodiscard]] Outcome<Applied> alter_pinned_shoulder(const Garment&, const Dose&);
[[nodiscard]] Adjustment pinned_shoulder_row();

// round_back: more length over a high round back, at centre back only.
//
// Changes  the upper back turns about the armhole until the cut has opened by the amount at centre back
// Keeps    everything below the cut; the shoulder seam's length and its dart
// Methods  centre seam: the opened seam is its new curve;
//          on the fold, eased or darted: the fold is carried on straight, which adds a wedge at the neck and
//          undoes a little of the effect; the longer neck is eased into what is sewn there, or taken in a neck
//          dart
// So       turns by 2·asin(a / 2D), D from centre back to the hinge; the shoulder tips by the same angle
// Limits   30 mm (our choice): beyond, a toile first
// Then     look at the neckline, the shoulder slope; facing or collar

inline constexpr Length round_back_limit = Length::mm(30);

enum class RoundBackMethod { CentreSeam, FoldEased, FoldDarted };

[[nodiscard]] Outcome<Applied> alter_round_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment round_back_row();

// shoulder_length: the shoulder longer or shorter, by an L-shaped cut.
//
// Changes  the corner with the shoulder tip slides out (+) or in (−) by the amount, front and back alike
// Keeps    the neck point, the level of the tip, the underarm
// Method   from mid-shoulder straight down to where the armhole is straightest, then square out; slide; true the
//          armhole from below in one long line, and the shoulder. Common practice.
// So       the seam becomes √(L² + 2·L·d·cos a + d²): about d·cos a longer, and a little less steep
// Limits   40 mm: beyond, another size
// Then     slope looked at again; armhole and so the sleeve's cap

inline constexpr Length shoulder_length_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_shoulder_length(const Garment&, const Dose&);
[[nodiscard]] Adjustment shoulder_length_row();

// shoulder_slope: squarer or steeper shoulders, front and back by amounts that may differ.
//
// Methods  at the tips: the tip moves out (+, squarer) or in (−, steeper), the neck point stays;
//          at the neck ends: the neck end moves, the tip stays (−: the neckline stood away from a square
//          shoulder); allow and pin: an inch more allowance on the toile's shoulders, and what was pinned (−)
//          taken at the tips
// Amounts  square to the sewn seam
// So       with t at both tips each seam turns by atan(t / L); the sewn slope is the mean of both angles
// Limits   25 mm (about the extra allowance): beyond, a toile first
// Then     armhole shorter by about the amounts' mean each: the sleeve's cap follows

inline constexpr Length shoulder_slope_limit = Length::mm(25.4);
inline constexpr Length toile_extra = Length::inches(1);

enum class SlopeMethod { Tips, NeckEnds, AllowAndPin };

[[nodiscard]] Outcome<Applied> alter_shoulder_slope(const Garment&, const Dose&);
[[nodiscard]] Adjustment shoulder_slope_row();

}  // namespace sartorum
