// garment.h: the pieces an adjustment works on and what is sewn to what.
#pragma once
#include "core/paper/step.h"
#include "core/pattern/pattern.h"

namespace sartorum {

struct Garment {
    std::vector<Piece> pieces;
    std::vector<Seam> seams;
};

struct Applied {
    Garment garment;
    std::vector<Step> steps;
};

}  // namespace sartorum
