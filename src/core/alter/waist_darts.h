// waist_darts.h: the darts at the waist of a skirt or of trousers: deeper, shallower, given up, one more, moved.
//
// Amount   on each piece of one half: what its darts take in more (+) or less (−), shared alike; as much as they
//          take gives them up; of what is moved: along the waist, + to the side
// Method   at the waist: the closed waist is as much closer or wider, the band follows
//          at the side: the side seam makes up for it, the closed waist stays
//          eased: given up or shallower, the closed waist stays: what they took is eased in, or gathered
//          added: one more, where there is most room beside those that are there, as long as they are
//          moved: all of the piece along the waist
// Keeps    the waist line, tips, the hip and all below
// Limits   40 mm a piece, 70 moved; 10 mm of the waist must stay beside each dart
// Common practice: a dart takes 1 to 3.5 cm; a deeper one is parted in two; without one beside it, it is 9 cm long
// in front and 11.5 behind.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length waist_darts_limit = Length::mm(40);
enum class WaistDartsWay { AtWaist, AtSide, Eased, Added, Moved };

[[nodiscard]] Outcome<Applied> alter_waist_darts(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_darts_row();

}  // namespace sartorum
