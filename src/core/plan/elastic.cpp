#include "core/plan/elastic.h"

#include <algorithm>

#include "core/alter/kit/part_questions.h"

namespace sartorum {
namespace {

bool opens(const Piece& p)
{
    return p.opening > Length{} || p.side_opening > Length{};
}

}  // namespace

std::optional<Elastic> waist_elastic(const Computed& c)
{
    const auto waist = c.work.worn_by().taken(Measure::Waist);
    const auto& flat = c.altered_flat;
    if (!waist || !hangs_from_waist(part_view(c.altered, parts_of(c.altered.pieces).front())) ||
        !flat.has(GarmentMeasure::Waist) || std::any_of(c.altered.pieces.begin(), c.altered.pieces.end(), opens))
        return std::nullopt;
    const Length casing =
        flat.has(GarmentMeasure::Band) ? flat.of(GarmentMeasure::Band) : flat.of(GarmentMeasure::Waist);
    if (casing < waist->value + drawn_in_least) return std::nullopt;
    return Elastic{casing, waist->value, waist->value - elastic_shorter};
}

}  // namespace sartorum
