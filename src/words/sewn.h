// sewn.h: what is done with a garment that is sewn already, in words.
#pragma once
#include "words/words.h"

namespace sartorum::words {

// What a lowered crotch gives and takes: crotch, inside leg, and what the thigh has left over the body's; empty
// where none is lowered.
[[nodiscard]] QString crotch_lowered_text(const Computed&, Unit);
// What there is to know once that change is done; empty where that is nothing.
[[nodiscard]] QString after_it(AdjustmentKind, const Computed&, Unit);

}  // namespace sartorum::words
