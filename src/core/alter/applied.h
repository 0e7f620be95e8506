// applied.h: how much an adjustment is to do, and what came of it. An adjustment sees one part of a garment: its
// pieces and the seams inside it.
#pragma once
#include "core/paper/step.h"
#include "core/pattern/garment.h"

namespace sartorum {

// How much and in which of the trade's ways (an index into the adjustment's methods).
struct Dose {
    Length front;
    Length back;  // only where front and back may differ; else as the front
    std::size_t method = 0;
    Dose() = default;
    Dose(Length both, std::size_t way = 0) : front{both}, back{both}, method{way} {}
    Dose(Length of_front, Length of_back, std::size_t way) : front{of_front}, back{of_back}, method{way} {}
};

struct Applied {
    Garment garment;
    std::vector<Step> steps;
};

}  // namespace sartorum
