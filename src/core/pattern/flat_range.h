// flat_range.h: the ranges that flat measurements must keep for a block to be drawn at all.
#pragma once
#include <initializer_list>

#include "core/units/refusal.h"

namespace sartorum {

struct FlatRange {
    const char* field;
    Length value;
    Length low;
    Length high;
};

// The first value outside its range is refused by its field's name.
[[nodiscard]] inline Outcome<bool> check_ranges(std::initializer_list<FlatRange> ranges)
{
    for (const auto& r : ranges) {
        if (r.value < r.low || r.value > r.high)
            return refuse_amount(Why::OutOfRange, r.field, r.value, r.low, r.high);
    }
    return true;
}

}  // namespace sartorum
