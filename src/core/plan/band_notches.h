// band_notches.h: the notches of a band that stand where two of the pieces it is sewn to meet, marked again when
// those pieces have changed. Common practice.
#pragma once
#include <vector>

#include "core/pattern/garment.h"

namespace sartorum {

// A notch of the band, the meeting of two edges it stands at, and from which end of the band that is counted.
struct MarkMet {
    std::size_t notch = 0;
    std::size_t meeting = 0;
    bool from_last = false;
};

// As the pieces of the seam's side a are; none where one of them is not among them.
[[nodiscard]] std::vector<MarkMet> marks_met(const Piece& band, const Seam&, const std::vector<Piece>&);
// How far the one that went farthest went, and how far from the end it lies now.
struct MarkedAgain {
    Length by;
    Length place;
};
MarkedAgain mark_again(Piece& band, const Seam&, const std::vector<Piece>&, const std::vector<MarkMet>&);

}  // namespace sartorum
