// dresses.h: a fitted dress and one with a gathered skirt, in several sizes, to test with.
#pragma once
#include "core/pattern/dress_block.h"
#include "tops.h"

namespace sartorum::test {

inline DressFlat fitted_dress()
{
    DressFlat d{plain_bodice(), plain_skirt()};
    d.bodice.front_fold = true;
    d.bodice.back_seam = true;
    d.skirt.hip = Length::mm(1040);
    return d;
}

inline DressFlat gathered_dress()
{
    DressFlat d = fitted_dress();
    d.fullness = 1.8;
    d.skirt.flare = Length::mm(10);
    return d;
}

inline Pattern graded(DressFlat d, int sizes = 4)
{
    Pattern p{"Dress", "Nobody", {}, dress_seams(bodice_seams(d.bodice.shoulder_ease), d.fullness)};
    for (int i = 0; i < sizes; ++i) {
        d.bodice.size = std::to_string(12 + 2 * i);
        const auto drawn = draw_dress(d);
        if (!drawn) qFatal("a dress that cannot be drawn: %s", drawn.error().field.c_str());
        p.sizes.push_back(*drawn);
        d.bodice.bust += Length::mm(40);
        d.bodice.waist += Length::mm(40);
        d.bodice.across_front += Length::mm(4);
        d.bodice.across_back += Length::mm(4);
        d.bodice.back_length += Length::mm(4);
        d.bodice.front_length += Length::mm(5);
        d.bodice.bust_span += Length::mm(5);
        d.skirt.hip += Length::mm(40);
        d.skirt.waist_to_hip += Length::mm(2);
        d.skirt.length += Length::mm(5);
    }
    return *check_pattern(std::move(p));
}

inline Plan dress_plan(const std::string& bust, const std::string& waist, const std::string& hip)
{
    Plan p = plan_in_sizes(waist, hip, bust);
    p.choosing.kind = GarmentKind::Dress;
    return p;
}

}  // namespace sartorum::test
