// cause.h: why a sight may be there: an adjustment that is still needed, in one direction; and how often each
// sight is seen under it.
//
// Sources  common practice for which sights belong to which cause; how often, from memory
#pragma once
#include <span>
#include <string>
#include <vector>

#include "core/alter/kit/adjustment.h"
#include "core/fitting/sight.h"
#include "core/plan/plan.h"

namespace sartorum {

struct Cause {
    AdjustmentKind kind{};
    int sign = 1;            // of its amount
    Face face = Face::Both;  // of one whose front and back go apart
    std::size_t method = 0;  // by which it is done
    friend bool operator==(const Cause&, const Cause&) = default;
};

// What has to be right before the next can be judged. Common practice: shoulders before all, lengths before
// widths, bodice before sleeve.
enum class Stage { Shoulders, Lengths, Widths, Sleeve };

enum class HowOften { Never, Seldom, Sometimes, Often };
[[nodiscard]] double probability(HowOften);

struct CauseFacts {
    Cause cause;
    Stage stage;
    bool rare;  // seldom the case of anybody
    std::vector<Sight> often;
    std::vector<Sight> sometimes;
    std::vector<Sight> seldom;
};

// In the order they are told where nothing is known.
[[nodiscard]] std::span<const CauseFacts> all_causes();
[[nodiscard]] const CauseFacts* facts(const Cause&);  // null: no row of the table
[[nodiscard]] HowOften how_often(const CauseFacts&, Sight);
// "shoulder_slope:-", "crotch_wedge:back:+".
[[nodiscard]] std::string key(const Cause&);
// The same adjustment at the same place the other way: both at once cannot be.
[[nodiscard]] bool contradict(const Cause&, const Cause&);

}  // namespace sartorum
