// likely.h: what a measure is likely to be, given the others: bands for "please measure again".
//
// From   507 adults measured by G. Heinz, L. J. Peterson, R. W. Johnson, C. J. Kerk, "Exploring Relationships in
//        Body Dimensions", Journal of Statistics Education 11(2), 2003. Active adults, mostly in their twenties
//        and thirties, girths by trained measurers: a narrower crowd than the public, so the band is three
//        residual standard deviations wide to either side, and never more than a question.
// How    linear regression on whichever of the other measures are there, from the sample's means and covariances
//        (the conditional normal distribution), with the usual prediction interval:
//        s·√(1 + 1/n + D²/(n − 1)), D the Mahalanobis distance of the known measures from the sample's middle.
// Which  high bust from the 260 women (their chest girth was taken above the breast tissue); the others from all
//        507. The upper arm was measured flexed, a hanging arm is a little less; the waist at its narrowest.
// Lowest and highest correlations, means and the rest: likely_table.h, made by tools/body_table.py.
#pragma once
#include <map>
#include <optional>

#include "core/body/measure.h"

namespace sartorum {

struct LikelyBand {
    Length expected;
    Length low;
    Length high;
    [[nodiscard]] bool holds(Length l) const { return l >= low && l <= high; }
};

// None for measures the sample does not have, and while nothing else is known.
[[nodiscard]] std::optional<LikelyBand> likely(Measure, const std::map<Measure, Length>& others);

}  // namespace sartorum
