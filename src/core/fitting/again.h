// again.h: the next toile: the sights of the last one are asked again, and what became of them is counted.
#pragma once
#include "core/fitting/toile.h"

namespace sartorum {

// What was still there on the toile before and has no answer on this one, each with `since` the same.
[[nodiscard]] std::vector<Note> asked_again(const TryOn& before, const TryOn& now);
// That sight as it is now. Less: it tells less, and is only slight; gone: it is kept as gone.
[[nodiscard]] Note seen_again(const Note& before, Since);

struct Tally {
    std::size_t fresh = 0;
    std::size_t less = 0;
    std::size_t same = 0;  // or more
    std::size_t gone = 0;
    [[nodiscard]] std::size_t here() const { return fresh + less + same; }
};
[[nodiscard]] Tally tally(const TryOn&);

}  // namespace sartorum
