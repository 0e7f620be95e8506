#include "core/plan/doubts.h"

#include "core/alter/lengths/lengths.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

struct Compared {
    GarmentMeasure paper;
    Measure body;
    std::size_t SizesAt::*size;
};
constexpr std::array doubted_girths{Compared{GarmentMeasure::Bust, Measure::Bust, &SizesAt::frame},
                                    Compared{GarmentMeasure::Waist, Measure::Waist, &SizesAt::waist},
                                    Compared{GarmentMeasure::Hip, Measure::Hip, &SizesAt::hip},
                                    Compared{GarmentMeasure::UpperArm, Measure::UpperArm, &SizesAt::frame}};

}  // namespace

std::vector<Doubt> doubts_of(const Garment& part, const FlatMeasures& flat, const SizeChart& chart, SizesAt sizes,
                             const Cloth& cloth, Length band)
{
    std::vector<Doubt> out;
    for (const auto& row : doubted_girths) {
        const auto body = chart.body(sizes.*row.size, row.body);
        const auto& paper = flat.at(row.paper);
        if (!cloth.knit && body && paper && *paper < *body - least_on_girth)
            out.push_back({DoubtKind::NarrowerThanBody, row.body, *paper, *body});
    }
    const auto length = [&](Measure m, std::size_t size, Length paper) {
        const auto body = chart.body(size, m);
        if (body && abs(paper - *body) >= length_far_off)
            out.push_back({DoubtKind::LengthFarOff, m, paper, *body});
    };
    if (const auto bodice = front_and_back_at(part, Level::Shoulder)) {
        length(Measure::FrontWaistLength, sizes.frame, front_waist_length(bodice->front));
        length(Measure::BackWaistLength, sizes.frame, back_waist_length(bodice->back));
    }
    if (const auto& depth = flat.at(GarmentMeasure::WaistToHip)) length(Measure::WaistToHip, sizes.hip, *depth);
    if (const auto& front = flat.at(GarmentMeasure::CrotchFront))
        length(Measure::FrontRise, sizes.hip, *front + band);
    if (const auto& back = flat.at(GarmentMeasure::CrotchBack)) length(Measure::BackRise, sizes.hip, *back + band);
    return out;
}

}  // namespace sartorum
