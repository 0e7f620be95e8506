// area.h: areas of paper, through Clipper: what was added, what was removed, and the cutting line.
//
// Accuracy   Clipper works on integers; one unit is 1e-4 mm. Curves are flattened to 0.01 mm.
#pragma once
#include "core/paper/step.h"

namespace sartorum {

[[nodiscard]] double area_mm2(const Polygon&);
// Inside `a` and not inside `b`. Slivers thinner than 0.05 mm are left out.
[[nodiscard]] std::vector<Polygon> difference(const Piece& a, const Piece& b);
// All paper that a step added or removed: its strips, and what redrawing the edge changed.
[[nodiscard]] std::vector<Polygon> added_paper(const StepPicture&);
[[nodiscard]] std::vector<Polygon> removed_paper(const StepPicture&);
// The cutting line: the stitching line with each edge's own allowance outside it, corners mitred, folds bare.
[[nodiscard]] std::vector<Polygon> cutting_outline(const Piece&);

}  // namespace sartorum
