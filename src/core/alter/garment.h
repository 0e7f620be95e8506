// garment.h: the pieces an adjustment works on and what is sewn to what.
#pragma once
#include "core/paper/step.h"
#include "core/pattern/pattern.h"

namespace sartorum {

struct Garment {
    std::vector<Piece> pieces;
    std::vector<Seam> seams;
};

[[nodiscard]] inline bool is_bodice(const Garment& g)
{
    const Piece* front = find_piece(g.pieces, PieceRole::Front);
    return front && is_bodice(*front);
}

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
