// sense.h: does a value go with the others? Never a refusal: each finding asks to measure again and says what was
// expected.
//
// Centimetres for inches: the value lies outside its likely band, and the same digits in the other unit inside.
// Rise: front and back rise together are the crotch length, within the repeatability of the three (common
// practice). Trunk: over one shoulder and between the legs is near both waist lengths and both rises together;
// within trunk_slack, since the tape lies beside the middle (from memory). Order: pairs of which one can hardly be
// more than the other, on any body.
#pragma once
#include <vector>

#include "core/body/body_set.h"
#include "core/body/likely.h"

namespace sartorum {

enum class SenseKind { OtherUnit, OutsideLikely, RiseSum, TrunkSum, Order, HighBustAboveBust };

inline constexpr Length trunk_slack = Length::mm(60);

struct Sense {
    SenseKind kind{};
    Measure measure{};
    Measure other{};  // for Order: what it should not exceed
    Length value;
    Length expected;  // the other unit's reading, the likely value, or the sum
    Length low;
    Length high;
};

// What there is to say about one measure of this set.
[[nodiscard]] std::vector<Sense> sense_of(Measure, const BodySet&);

}  // namespace sartorum
