// nearness.h: how near is the same, by what it is the same for. What is near only in one place (a time on a curve,
// an angle) stands there.
#pragma once
#include "core/units/length.h"

namespace sartorum {

// On paper: a smaller change is none, a shorter line is none, places nearer than that are one. A sharp pencil's
// line is thirty times as wide.
inline constexpr Length nothing_on_paper = Length::mm(0.01);
// Two lengths or girths that are meant to be equal, after all that was drawn between them.
inline constexpr Length equal_on_paper = Length::mm(0.05);
// By hand: less is neither drawn, cut, sewn nor told.
inline constexpr Length least_by_hand = Length::mm(0.5);

}  // namespace sartorum
