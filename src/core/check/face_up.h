// face_up.h: which of the wearer's two sides a drawn half is, seen from the right side of the cloth.
//
// Two edges sewn right sides together and opened flat lie side by side, paper on either side of the seam. So from
// one piece whose side is known every piece sewn to it is known. Seen from behind, a back drawn with its centre on
// the left is the wearer's right one; seen from the front, such a front is the left one.
#pragma once
#include <set>
#include <string>

#include "core/pattern/garment.h"

namespace sartorum {

// The ids of the pieces that are the wearer's left ones as they are drawn: turned over they are the right ones.
[[nodiscard]] std::set<std::string> left_as_drawn(const Garment&);

}  // namespace sartorum
