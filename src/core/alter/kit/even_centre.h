// even_centre.h: the centres of two unlike sides brought to one length again, after each was done by its own
// amount. The shorter is drawn on to the longer's length and its edge redrawn from there, square to the centre, to
// nothing at the side: where the part begins at the waist at its upper edge, else at the lower one.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

// Two sides of one part; leaves steps on the one that was shorter.
void centres_evened(Applied& right, Applied& left);
// What was done alike on unlike halves comes to almost the same at the centre: both ends brought to where they go
// farthest, with steps only where a hand can draw it.
void ends_met(Applied& right, Applied& left);

}  // namespace sartorum
