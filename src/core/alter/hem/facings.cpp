#include "core/alter/hem/rows.h"

namespace sartorum {

Adjustment facings_row()
{
    return {
        .kind = AdjustmentKind::Facings,
        .key = "facings",
        .zone = Zone::Hem,
        .rank = 900,
        .acts_on = ActsOn::Both,
        .least = {},
        .most = {},
        .needs = {},
        .apply = nullptr,
        .place = in_the_neckline,
        .zero_works = [](std::size_t) { return true; },
        .at_join = AtJoin::WholeGarment,
    };
}

}  // namespace sartorum
