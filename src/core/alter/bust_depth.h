// bust_depth.h: the bust point and its darts lower (+) or higher (−), front only.
//
// Methods  move the dart's box: a box round the side dart is cut out and slid; dart, angle and legs stay as they
// are;
//          re-aim the tip: the mouth stays, both legs are drawn anew to the moved tip, and made equally long
//          of a front of two panels: the seam's fullest place is moved, both panels run to it
// Keeps    the side seam's length; a waist dart's tip goes along with the bust point
// Limits   50 mm for the box, and the dart stays 15 mm inside the side seam; 25 mm for the tip
// Then     the bust itself, which opens round the bust point
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length bust_depth_limit = Length::mm(50);
inline constexpr Length re_aim_limit = Length::mm(25);

enum class BustDepthMethod { MoveBox, ReAim };

[[nodiscard]] Outcome<Applied> alter_bust_depth(const Garment&, const Dose&);
[[nodiscard]] Adjustment bust_depth_row();

}  // namespace sartorum
