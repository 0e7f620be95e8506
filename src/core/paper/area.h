// area.h: areas of paper, through Clipper: what was added, what was removed, and the cutting line.
//
// Accuracy   Clipper works on integers; one unit is 1e-4 mm. Curves are flattened to 0.01 mm.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

[[nodiscard]] double area_mm2(const Polygon&);
// Inside `a` and not inside `b`. Slivers thinner than 0.05 mm are left out.
[[nodiscard]] std::vector<Polygon> difference(const Piece& a, const Piece& b);
// The cutting line: the stitching line with each edge's own allowance outside it, corners mitred, folds bare.
[[nodiscard]] std::vector<Polygon> cutting_outline(const Piece&);

}  // namespace sartorum
