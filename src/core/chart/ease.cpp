#include "core/chart/ease.h"

namespace sartorum {
namespace {

constexpr double stretch_that_counts = 0.10;

Length least_woven(Measure m)
{
    switch (m) {
        case Measure::Bust: return Length::mm(50);
        case Measure::Waist:
        case Measure::SeatedWaist: return Length::mm(25);
        case Measure::HighHip: return Length::mm(30);  // between the waist's and the hip's; from memory
        case Measure::Hip:
        case Measure::SeatedHip:
        case Measure::Thigh:
        case Measure::SeatedThigh:
        case Measure::UpperArm:
        case Measure::TrunkGirth: return Length::mm(40);
        case Measure::Knee: return Length::mm(30);
        case Measure::Calf: return Length::mm(20);
        default: return {};
    }
}

}  // namespace

Length least_ease(Measure m, const Cloth& cloth, Length body)
{
    if (!cloth.knit || cloth.stretch < stretch_that_counts) return least_woven(m);
    // Of an all-in-one in a knit 0 to 3 cm: nothing is drawn down by the shoulders.
    if (m == Measure::TrunkGirth) return {};
    const double spent = cloth.stretch / 2.0;
    return body * (-spent / (1.0 + spent));
}

EaseRange cap_ease_range(const Cloth& cloth)
{
    if (cloth.knit) return {Length{}, Length::mm(10)};
    return {Length::mm(5), Length::mm(40)};
}

bool ease_holds(const EaseRow& row, Length difference)
{
    return abs(difference) < Length::mm(10) && row.now >= row.least;
}

std::optional<Length> designed_ease(const SizeChart& chart, std::size_t size, Measure m, Length finished)
{
    const auto printed = chart.body(size, m);
    return printed ? std::optional{finished - *printed} : std::nullopt;
}

std::optional<EaseRow> ease_at(const SizeChart& chart, std::size_t size, Measure m, const BodySet& set,
                               const EaseWishes& wishes, const Cloth& cloth, std::optional<Length> finished)
{
    const auto taken = set.taken(m);
    const auto garment = finished ? finished : chart.finished(size, m);
    const auto designed = garment ? designed_ease(chart, size, m, *garment) : std::nullopt;
    if (!taken || !designed) return std::nullopt;
    EaseRow row{m, taken->value, *garment, *designed, *garment - taken->value, {}, false, {}};
    const auto wish = wishes.find(m);
    row.wished = wish != wishes.end();
    row.planned = row.wished ? wish->second : row.designed;
    row.least = least_ease(m, cloth, taken->value);
    return row;
}

}  // namespace sartorum
