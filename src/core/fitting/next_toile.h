// next_toile.h: the next toile: the sights of the last one are asked again, and what became of them is counted.
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

// What is left to look at on a toile before good cloth is cut.
struct Looked {
    bool at = true;  // something was noted, tried or found on it, or it was said that there is nothing to see
    std::size_t here = 0;   // what was seen on it is still there
    std::size_t asked = 0;  // what was seen on the one before and was not looked at again
    [[nodiscard]] bool done() const { return at && here == 0 && asked == 0; }
};
[[nodiscard]] Looked looked(const TryOn& last, const TryOn* before);

}  // namespace sartorum
