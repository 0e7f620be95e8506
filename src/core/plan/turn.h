// turn.h: the line of one adjustment on one part, and how two sides that are unlike are answered. Not for other
// rooms.
//
// Two sides within the noise of their measuring are one amount. Beyond it, as long as they differ by less than
// twice what anybody sews, the larger is fitted on both and the smaller padded or taken in; else each gets its
// own. Common practice; twice: from memory.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// How what the measures of each side ask for on the same paper is answered: as is usual for so much, unless she
// says otherwise.
[[nodiscard]] Sided sided(const Adjustment&, const TwoSides&, SidesWay);
// The side that leaves more paper.
[[nodiscard]] Side larger_side(const TwoSides&);
// What the plan says of this decision's sides, or of all.
[[nodiscard]] SidesWay sides_way(const Plan&, const Decision*);

// One side's line, from its proposal and what she says of it.
[[nodiscard]] PlanLine line_of(const FittingTurn&, const FittingState&, const std::optional<Proposal>&, Side,
                               const Plan&);

// Both lines of one turn made one change: accepted or proposed together, nothing where only the other side asks,
// one amount where the centre moves or nothing that can be drawn is between them.
void agree(const Adjustment&, PlanLine& right, PlanLine& left);
// What one side asks for is answered for both: refused, accepted, proposed, left, in that order.
void answer_alike(PlanLine& right, PlanLine& left);
[[nodiscard]] bool unlike(const PlanLine& right, const PlanLine& left);

}  // namespace sartorum
