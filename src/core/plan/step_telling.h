// step_telling.h: the steps in the order they are done, what is the same on both sides once, then each side's own.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

struct ToldStep {
    const Step* step = nullptr;
    const Step* on_left = nullptr;   // the left side's own, where one is told for both
    std::optional<Side> side{};      // none: on both
    const PlanLine* line = nullptr;  // of the right side; none: tracing
    bool turned = false;             // that side's piece lies turned over (turned_over() in step.h)
};

// Of a sewn garment only what is done with it, once something is: the paper is done.
// Steps that say the same on both sides, as far as a hand can draw it, are told once, adjustment by adjustment.
// What is less than half a millimetre, which nobody draws, is not told; nor a step and its reverse. What one
// change asks of one piece stands together, pieces in the order they come up. They point into what was computed.
[[nodiscard]] std::vector<ToldStep> told_steps(const Computed&);
// As it is on that side.
[[nodiscard]] inline const Step& shown_on(const ToldStep& s, Side side)
{
    return side == Side::Left && s.on_left ? *s.on_left : *s.step;
}

}  // namespace sartorum
