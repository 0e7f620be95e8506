#include "core/alter/lengths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/shared.h"
#include "core/pattern/part_rules.h"

namespace sartorum {

Outcome<Applied> alter_waist_seam_level(const Garment& part, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "waist_seam_level"); !ok) return tl::make_unexpected(ok.error());
    const bool above = !begins_with(part, EdgeRole::Waist);
    return above ? alter_bodice_length(part, {dose.front}) : alter_waist_to_hip(part, {-dose.front});
}

namespace {

// Above the seam, or below it down over the hip: a yoke between them goes with the seam.
bool ends_or_hangs_there(const Garment& part)
{
    return has_level(part, Level::Shoulder) || has_level(part, Level::Hip);
}

}  // namespace

Adjustment waist_seam_level_row()
{
    return {
        .kind = AdjustmentKind::WaistSeamLevel,
        .key = "waist_seam_level",
        .zone = Zone::Lengths,
        .rank = 60,
        .acts_on = ActsOn::Both,
        .least = -waist_seam_limit,
        .most = waist_seam_limit,
        .needs = {},
        .apply = alter_waist_seam_level,
        .place = on_length_line,
        .serves = ends_or_hangs_there,
        .at_join = AtJoin::Joined,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
