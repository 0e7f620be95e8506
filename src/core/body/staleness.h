// staleness.h: which measures of a set are too old for today's work, and why.
//
// Common practice: girths last a month for those who sew all the time, and go at once when weight has moved (bust
// first); lengths along the body last a year; heights and other bone lengths stay.
// Weight that moved: more than 2 kg since the set; or, where no weight is kept, the waist of the newer set lies
// outside both spreads of the older one.
#pragma once
#include "core/body/body_set.h"

namespace sartorum {

enum class StaleWhy { Age, WeightMoved, GirthMoved };

struct Stale {
    Measure measure{};
    StaleWhy why{};
    int days = 0;
};

inline constexpr int girth_days = 31;
inline constexpr int length_days = 365;
inline constexpr double weight_moved_kg = 2.0;

// Days from one ISO date to another; none when one is not a date.
[[nodiscard]] std::optional<int> days_between(const std::string& from, const std::string& to);
// `newer` is the newest set of the same wearer, when it is another one.
[[nodiscard]] std::vector<Stale> stale_measures(const BodySet&, const std::string& today,
                                                const BodySet* newer = nullptr);

}  // namespace sartorum
