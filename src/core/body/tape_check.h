// tape_check.h: a soft tape held against a rigid ruler, and what its readings really are.
//
// One check: the tape shows t at the ruler's R, so a reading x is really x·R/t (common practice). It cannot tell
// a stretched tape from a worn end. Two checks at two lengths can: then true = R1 + (x − t1)·(R2 − R1)/(t2 − t1).
// Uncertainty: each check is read to the millimetre, a standard deviation of 1 mm/√12, which grows with the length
// measured, and with the tape's own factor R/t: 1 mm on a 30 cm ruler leaves ±0.9 mm (one standard deviation) on
// 91 cm, on a 1.5 m ruler ±0.2 mm. Limits: ruler at least 100 mm; the tape within 5 % of it, else the check itself
// is a slip.
#pragma once
#include <vector>

#include "core/units/refusal.h"

namespace sartorum {

struct TapeAtRuler {
    Length ruler;
    Length tape;  // what the tape shows there
    friend bool operator==(const TapeAtRuler&, const TapeAtRuler&) = default;
};

class TapeCheck {
public:
    TapeCheck() = default;  // an unchecked tape is believed
    // At most two, at lengths that differ by 100 mm or more.
    [[nodiscard]] static Outcome<TapeCheck> from(std::vector<TapeAtRuler>);

    [[nodiscard]] bool empty() const { return at_.empty(); }
    [[nodiscard]] const std::vector<TapeAtRuler>& at() const { return at_; }
    [[nodiscard]] Length corrected(Length reading) const;
    // One standard deviation that the check itself leaves on a corrected reading.
    [[nodiscard]] Length left_on(Length reading) const;
    // What the tape's zero is off by (only two checks can tell), and its stretch as true length per shown length.
    [[nodiscard]] Length worn() const;
    [[nodiscard]] double factor() const;

private:
    std::vector<TapeAtRuler> at_;
};

}  // namespace sartorum
