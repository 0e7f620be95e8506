#include "core/alter/kit/part_alter.h"

#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/size_blend.h"
#include "core/alter/legs/rows.h"
#include "core/alter/widths/rows.h"

namespace sartorum {
namespace {

constexpr std::array upper_chosen_by{Measure::Bust};
constexpr std::array yoke_chosen_by{Measure::Waist};
// Trousers too.
constexpr std::array skirt_chosen_by{Measure::Waist, Measure::Hip};

constexpr std::array altered_rows{
    PartAlter{PartKind::Upper, upper_chosen_by, Level::Bust, trace_upper, match_lower_ends, widen_upper, true,
              GarmentMeasure::FrontLength, std::nullopt, GarmentMeasure::Hem},
    PartAlter{PartKind::Yoke, yoke_chosen_by, Level::Hip, trace_skirt, match_waist_ends, widen_skirt, false,
              GarmentMeasure::Side, std::nullopt, GarmentMeasure::Hip},
    PartAlter{PartKind::Trousers, skirt_chosen_by, Level::Hip, trace_skirt, match_legs, widen_trousers, true,
              GarmentMeasure::Side, Measure::TrouserLength, GarmentMeasure::Hip},
    PartAlter{PartKind::Skirt, skirt_chosen_by, Level::Hip, trace_skirt, match_waist_ends, widen_skirt, true,
              GarmentMeasure::Side, Measure::SkirtLength, GarmentMeasure::Hip},
    PartAlter{PartKind::BelowYoke, skirt_chosen_by, Level::Hip, trace_skirt, match_waist_ends, widen_skirt, true,
              GarmentMeasure::Side, Measure::SkirtLength, GarmentMeasure::Hip}};
static_assert(altered_rows.size() == part_kinds);

}  // namespace

const std::string& SizeNames::at(Level level) const
{
    return level < Level::Waist ? frame : level == Level::Waist ? waist : hip;
}

const PartAlter& part_alter(PartKind kind)
{
    return altered_rows[static_cast<std::size_t>(kind)];
}

const PartAlter& part_alter(const Garment& part)
{
    return part_alter(kind_of(part));
}

}  // namespace sartorum
