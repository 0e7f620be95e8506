// measures.h: the words about measuring: names, terms, how the tape is held, and what to say about a reading.
#pragma once
#include <QString>

#include "core/body/rounds.h"
#include "core/body/sense.h"
#include "core/body/staleness.h"
#include "core/units/length_text.h"

namespace sartorum::words {

[[nodiscard]] QString measure_name(Measure);
[[nodiscard]] QString measure_term(Measure);  // after ISO 8559-1, or what it is
[[nodiscard]] QString measure_how(Measure);
[[nodiscard]] QString view_name(View);
[[nodiscard]] QString what_to_wear(View);
[[nodiscard]] QString round_name(Round);
[[nodiscard]] QString side_name(Side);
[[nodiscard]] QString reading_state(const Taken&, Measure, Unit);
[[nodiscard]] QString sense(const Sense&, Unit);  // "Please measure again: ..."
[[nodiscard]] QString stale(const Stale&);
[[nodiscard]] QString tape_check(const TapeCheck&, Unit);
// Beside a corrected value: both numbers; empty where the tape is believed.
[[nodiscard]] QString corrected(const Taken&, Unit);

}  // namespace sartorum::words
