// overview.h: what of a plan stands out: proposed, accepted or asked for and not done, in fitting order; and what
// is left alone, zone by zone.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

enum class Shows { Accepted, Proposed, NotDone, Quiet };
[[nodiscard]] Shows shows_as(const PlanLine&);

// One for each adjustment; of a kind that two parts have, the uppermost, which decides for both.
[[nodiscard]] std::vector<const PlanLine*> standing_out(const Computed&);
[[nodiscard]] std::vector<const PlanLine*> left_alone(const Computed&, Zone);
// The zones this garment has, in fitting order.
[[nodiscard]] std::vector<Zone> zones_of(const Computed&);

// Of what is left alone: looked at and in order, or nothing known of it.
struct QuietCount {
    int in_order = 0;  // within noise, nothing to do, held by the ease
    int unknown = 0;   // not measured, or told by a toile
    int declined = 0;
};
[[nodiscard]] QuietCount count_quiet(const std::vector<const PlanLine*>&);

}  // namespace sartorum
