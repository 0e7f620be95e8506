// mirror.h: what is said of a toile: what is seen, what to try, what it may come from.
#pragma once
#include <QString>

#include "core/fitting/try_on.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString sight_name(Sight);
// What to do, and the question it answers.
[[nodiscard]] QString small_test(SmallTest);
// How pins and scissors are used on somebody.
[[nodiscard]] QString care_on_a_body();
// The adjustment with its direction; none: something else.
[[nodiscard]] QString cause_name(const std::optional<Cause>&);
[[nodiscard]] QString likely_word(Likely);
// By how much, and where that is from.
[[nodiscard]] QString suggestion(const Cause&, const Suggested&, Unit);

}  // namespace sartorum::words
