// elastic.h: the elastic that draws in a waist which lies wider than the body's: how long it is, and how full the
// casing lies on it.
//
// Needed   by what hangs from the waist and opens nowhere, its closed waist 60 mm or more wider than the body's
// (from
//          memory: no waist without an elastic is worn so wide)
// Length   25 mm shorter than the body there (from memory), tried on before it is sewn; cut 20 mm longer, to be
// lapped.
//          Common practice: a little shorter than the body
#pragma once
#include <optional>

#include "core/plan/compute.h"

namespace sartorum {

inline constexpr Length drawn_in_least = Length::mm(60);
inline constexpr Length elastic_shorter = Length::mm(25);
inline constexpr Length elastic_lap = Length::mm(20);

struct Elastic {
    Length casing;  // all round, as it lies flat
    Length body;    // the waist it is worn on
    Length worn;    // as long as it is once it is a ring
    [[nodiscard]] Length cut() const { return worn + elastic_lap; }
    [[nodiscard]] double fullness() const { return casing / worn; }
};

// None where nothing is drawn in, or the body's waist is not known.
[[nodiscard]] std::optional<Elastic> waist_elastic(const Computed&);

}  // namespace sartorum
