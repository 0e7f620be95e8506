// part_check.h: what is looked at on each kind of part: one row a kind.
#pragma once
#include <span>

#include "core/check/walk.h"
#include "core/pattern/garment_measure.h"

namespace sartorum {

// Two edges that meet at the end of a seam, on front and back alike.
struct Corner {
    JoinPlace place;
    EdgeRole before;  // in travel
    EdgeRole after;
};

struct PartCheck {
    PartKind kind;
    std::span<const Corner> corners;            // those whose edges are there
    std::span<const GarmentMeasure> worn_over;  // girths that must leave room to move
};

[[nodiscard]] const PartCheck& part_check(PartKind);

// The angle inside the paper between the ends of two edges that meet, by their places in travel; degrees.
[[nodiscard]] double corner_between(const Piece&, std::size_t before, std::size_t after);

}  // namespace sartorum
