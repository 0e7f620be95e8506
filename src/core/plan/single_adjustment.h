// single_adjustment.h: one adjustment done to a part, alone and soundly, or not at all. Not for other rooms.
//
// Soundly   panels trued, and nothing left on the paper that no hand can cut (core/paper/outline_validity.h);
// where an amount
//           ruins the outline it is refused with the most that does not
#pragma once
#include <optional>

#include "core/alter/kit/adjustment.h"

namespace sartorum {

// One adjustment, about to be done to a part.
struct Doing {
    const Adjustment& entry;
    const Garment& was;
    const Across* across = nullptr;  // what is above
};

struct Attempted {
    Dose dose;
    Outcome<Applied> applied;
    std::optional<Refusal> short_of{};
};

// What is only proposed is done as far as the paper carries it; her own amount as it is, or not at all.
[[nodiscard]] Attempted attempted(const Doing&, const Dose&, const Proposal* asked);

}  // namespace sartorum
