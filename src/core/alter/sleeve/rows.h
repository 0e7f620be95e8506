// rows.h: the adjustments of sleeves and their caps. Each is done in the file of its name.
#pragma once

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// cap_forward: the top of the cap forward (+) or back, as far as the shoulder seam went.
//
// Changes  cut straight across the cap above the notches, the top slid forward, both curves drawn anew; the top
//          notch marked so that the front half loses, and the back half gains, exactly the amount of curve
// Keeps    bicep, underarm seams, side notches, the cap's whole length: what sliding takes or gives of it, a
//          millimetre or so, is made up in the fullness of the back curve
// Limits   15 mm. Common practice: 6 to 13 mm.

inline constexpr Length cap_forward_limit = Length::mm(15);

[[nodiscard]] Outcome<Applied> alter_cap_forward(const Garment&, const Dose&);
[[nodiscard]] Adjustment cap_forward_row();

// cap_height: the sleeve's cap higher (+) or lower (−).
//
// Changes  slashed across below the notches and spread or overlapped, the curves smoothed: the top goes up or down
//          by the amount, the underarms stay; side notches are marked again from the armhole's
// Keeps    bicep, underarm seams, the line's direction at the top and at the underarm
// So       the cap is longer or shorter by less than twice the amount: proposed is the amount that gives the cap
//          the ease it is to have (cap_height_for). The rule of thumb is the mean of what the shoulder tips moved.
// Limits   50 mm
// Then     the top notch

inline constexpr Length cap_height_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_cap_height(const Garment&, const Dose&);
// The amount that makes the cap `wanted` long; none within the limits.
[[nodiscard]] std::optional<Length> cap_height_for(const Piece& sleeve, Length wanted);
[[nodiscard]] Adjustment cap_height_row();

// sleeve_length: a sleeve longer (+) or shorter, above or below the elbow.
//
// Changes  cut across half-way between the bicep and the elbow line, or between the elbow and the hem (one without
//          an elbow line: half-way down), spread or fold; underarm seams straight again
// Keeps    cap, bicep width, the hem's width
// Limits   120 mm; a fold must leave the sleeve below the line

inline constexpr Length sleeve_length_limit = Length::mm(120);

[[nodiscard]] Outcome<Applied> alter_sleeve_above(const Garment&, const Dose&);
[[nodiscard]] Outcome<Applied> alter_sleeve_below(const Garment&, const Dose&);
[[nodiscard]] Adjustment sleeve_above_row();
[[nodiscard]] Adjustment sleeve_below_row();

// sleeve_width: a sleeve wider (+) or narrower at the forearm or at its hem, half at each underarm seam.
//
// Changes  forearm: out by half at a third of the way from the elbow to the hem (one without an elbow line:
//          half-way down), nothing at underarm and hem; hem: out by half at the hem, nothing at the underarm
// Keeps    cap, bicep width, the underarm seams' equality
// Limits   80 mm

inline constexpr Length sleeve_width_limit = Length::mm(80);

[[nodiscard]] Outcome<Applied> alter_forearm(const Garment&, const Dose&);
[[nodiscard]] Outcome<Applied> alter_sleeve_hem(const Garment&, const Dose&);
[[nodiscard]] Adjustment forearm_row();
[[nodiscard]] Adjustment sleeve_hem_row();

// top_notch: the cap's notches marked again where the armhole wants them.
//
// Changes  the top notch goes forward (+) or back along the cap by the amount; side notches as far from the
//          underarm as the armhole's
// Keeps    the cap's line
// Limits   40 mm

inline constexpr Length top_notch_limit = Length::mm(40);

[[nodiscard]] Outcome<Applied> alter_top_notch(const Garment&, const Dose&);
[[nodiscard]] Adjustment top_notch_row();

// upper_arm: a sleeve wider (+) or narrower at the bicep line.
//
// Changes  cap kept: cut down the middle and along the bicep line, hinged at the top, the hem and both underarms,
//          spread at the bicep; the cap gets lower, its length hardly changes;
//          split through: split from top to hem and spread evenly; cap and hem grow too. What the cap is longer by
//          is gathered into the armhole, or the underarm of front and back is lowered along the side seam until
//          the armhole is as much longer
// Keeps    underarm seams equally long; cap kept: the hem; split through: the ease meant at the seam
// Refuses  an armhole that would have to go lower than its side seam, or the dart in it, allows
// Limits   60 mm usually: beyond, another size
// Then     cap kept: cap height, walked to the armhole

inline constexpr Length upper_arm_limit = Length::mm(60);

enum class UpperArmMethod { CapKept, SplitGathered, SplitLowered };

[[nodiscard]] Outcome<Applied> alter_upper_arm(const Garment&, const Dose&);
[[nodiscard]] Adjustment upper_arm_row();

}  // namespace sartorum
