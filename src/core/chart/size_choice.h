// size_choice.h: which size, or which blend between waist and hip, leaves the least to do.
//
// Common practice: at each level the size whose chart body is nearest; fitted skirts stand on the hip, and the
// waist is blended to where it lies nearest. When a body lies within its measuring noise of the middle between
// two sizes, both are offered, and the one that agrees with the other level is taken.
#pragma once
#include <vector>

#include "core/body/body_set.h"
#include "core/chart/size_chart.h"

namespace sartorum {

struct LevelDifference {
    Measure measure{};
    Length body;
    Length chart;
    Length difference;  // body − chart
    Length spread;
    [[nodiscard]] bool inside_noise() const { return abs(difference) <= spread; }
};

// What one size, taken throughout, would leave to adjust.
struct SizeCost {
    std::size_t size = 0;
    std::vector<LevelDifference> left;  // waist, hip
    int outside_noise = 0;
    Length largest;  // of the absolute differences outside the noise
};

enum class ChoiceReason { OneSize, OneSizeByNoise, Blend, BeyondChart };

struct SizeChoice {
    std::size_t waist_size = 0;
    std::size_t hip_size = 0;
    [[nodiscard]] bool is_blend() const { return waist_size != hip_size; }
    friend bool operator==(const SizeChoice&, const SizeChoice&) = default;
};

struct Advice {
    SizeChoice choice;
    ChoiceReason reason{};
    bool waist_between = false;  // the waist lies within its noise of the middle of two sizes
    bool hip_between = false;
    std::vector<SizeCost> costs;  // one a size, in chart order
};

// Nearest size at one measure; on an exact tie the smaller. The chart must print the measure.
[[nodiscard]] std::size_t nearest_size(const SizeChart&, Measure, Length body);
[[nodiscard]] SizeCost cost_of(const SizeChart&, std::size_t size, const BodySet&);
// Needs waist and hip in the set.
[[nodiscard]] Outcome<Advice> advise(const SizeChart&, const BodySet&);

}  // namespace sartorum
