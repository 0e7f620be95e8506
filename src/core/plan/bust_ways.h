// bust_ways.h: more bust than one slash carries: two slashes, or another size for the frame, side by side.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

struct BustWay {
    std::string size;  // of the frame
    std::size_t method = 0;
    Length bust;             // on each half front, by this way
    Length dart;             // the bust dart's mouth that results; 0 where the paper does not carry it
    Length shoulder_length;  // what the shoulders would have to change by then, where that is known
    bool carried = false;
};

// Two slashes in this size, and the nearest larger size that one slash carries; empty where one slash is enough.
[[nodiscard]] std::vector<BustWay> bust_ways(const Computed& now);

}  // namespace sartorum
