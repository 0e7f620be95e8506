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
    // At the adjustment's own places, where it has some; front and back are then the one furthest from nothing.
    // None: the same at each.
    std::vector<Length> at{};
    Dose() = default;
    Dose(Length both, std::size_t way = 0) : front{both}, back{both}, method{way} {}
    Dose(Length of_front, Length of_back, std::size_t way) : front{of_front}, back{of_back}, method{way} {}
    [[nodiscard]] Dose scaled(double share) const;
};

// What paper carries and is yet more than the trade usually does: to be looked at on a toile, not forbidden.
enum class CautionKind {
    Amount,  // of the adjustment itself: given, and the most in that direction
    FrontAndBackUnlike,
    SideEased,
    ShoulderEased,
    WaistEased,
    WaistLonger,  // the edge drawn anew: what it gained on half the body, and what nobody minds
};
struct Caution {
    CautionKind kind{};
    Length given;
    Length most;
};

struct Applied {
    Garment garment;
    std::vector<Step> steps;
    std::vector<Caution> cautions{};
};

inline Dose Dose::scaled(double share) const
{
    Dose out{front * share, back * share, method};
    for (const auto by : at) out.at.push_back(by * share);
    return out;
}

}  // namespace sartorum
