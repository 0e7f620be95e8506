// into_plan.h: what a toile showed, as a change of the plan: the amount it has now and what is still needed.
//
// Amount  what the toile had and the suggested amount together (try_on.h); a body's difference that it did not
// take up
//         is taken as it is proposed. What the plan took up since the toile was worn is to be seen first
// Sides   of one side where all that the cause explains was seen there, and the adjustment can be of one side
// Sewn    of a garment that is sewn, what can still be done with it: seams let out within their allowances or
// taken
//         in, the waist lowered, the crotch lowered; a lowered crotch gains about 1.4 times as much (common
//         practice: 1.2 to 1.6)
// Hides   one change at a time where two explain the same sight, or one has to be right before the other is judged
#pragma once
#include "core/fitting/toile.h"
#include "core/fitting/try_on.h"

namespace sartorum {

enum class NotPut {
    No,
    WithThisGarment,  // it is sewn: on paper, for the next one
    OtherWay,         // the plan does it in another way already
    AtMost,           // the plan has all the adjustment can be given
    Since,            // the plan took some of it up since: on the next toile
};
struct ForPlan {
    NotPut not_put{};
    Decision decision{};  // where it can be put
    std::optional<Side> side{};
    Length before;  // on the toile, of the face or the place the cause is about
    Length after;
    AmountFrom from{};
};
// `worn`: what was on the body; `now`: the plan it goes into. `toile`: the date it is told by.
[[nodiscard]] ForPlan for_plan(const CauseFacts&, const Observed&, const Computed& worn, const Computed& now,
                               const std::string& toile);
// What is done with a sewn garment instead; none where nothing can be.
[[nodiscard]] std::optional<AdjustmentKind> with_a_sewn_garment(const Cause&);

// What is known of each cause by what was worn, and by what became of its sights since the toile before it, where
// the plan did some of it in between. `before`: none at a first toile.
[[nodiscard]] std::vector<KnownOf> known_of(const Computed& worn, const Computed* before, const TryOn&);

// Where all that it explains was seen on one side.
[[nodiscard]] std::optional<Side> seen_on_side(const CauseFacts&, const Observed&);

// A cause that is to be judged on the next toile, after what was taken from this one.
[[nodiscard]] bool waits_for_next(const CauseFacts&, const Observed&, const Plan&, const std::string& toile);

}  // namespace sartorum
