// donning.h: whether the garment can be put on: what has to pass through what, and how long an opening must be.
//
// Neck       twice the half neckline, stretched, over the head. A slit of length s adds 2s.
// Hand       the sleeve's hem, stretched, over the hand; the same.
// Body       from above, every level below the underarm passes over the shoulders (arms down) and the bust; from
//            below, every level above the hip passes over the hip, and the upper edge has to open for it. What
//            does not pass has to lie within an opening from the upper edge down: the shorter of the two ways.
// Elastic    what passes is its casing, as wide as it lies flat: edges are measured so.
// Measured   shoulders, head, hand, bust, hip; what was not is guessed, and that is said: shoulders round both
// arms
//            = high bust + 140 ± 80 mm (507 adults of 2003, likely.h); head 570 ± 30, hand 215 ± 25 mm (from
//            memory).
// Common practice, but for the numbers named.
#pragma once
#include <optional>
#include <vector>

#include "core/plan/compute.h"

namespace sartorum {

enum class PassesThrough { Neck, SleeveHem, LegHem, Body };

struct GoesOn {
    PassesThrough through{};
    Length has;      // the closed girth at its narrowest, stretched
    Measure over{};  // what of the body decides
    Length needs;    // its girth
    bool guessed = false;
    Length spread;   // ± of what was guessed
    Length opening;  // from the upper edge down (a slit's length); nothing where it passes closed
    // What the pattern opens from that edge; piece_most: all the way; none: there is a seam, and it does not say.
    std::optional<Length> there{};
    bool from_below = false;          // stepped into
    std::optional<double> stretch{};  // of a knit whose stretch nobody gave: the least it must stretch by
    [[nodiscard]] bool holds() const { return !there || *there >= opening || stretch; }
};

// In the order of the enum, those the garment has; none of what nothing is known about.
[[nodiscard]] std::vector<GoesOn> goes_on(const Computed&);

}  // namespace sartorum
