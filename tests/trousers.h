// trousers.h: trousers to test with: one hand-checked, and any number of random but drawable ones.
#pragma once
#include "../demo/trousers.h"
#include "core/pattern/garment.h"
#include "skirts.h"

namespace sartorum::test {

inline TrousersFlat plain_trousers()
{
    TrousersFlat f;
    f.name = "Test trousers";
    f.maker = "Nobody";
    f.size = "42";
    f.waist = Length::mm(760);
    f.hip = Length::mm(1030);
    f.waist_to_hip = Length::mm(205);
    f.rise = Length::mm(285);
    f.inside_leg = Length::mm(760);
    f.knee = Length::mm(480);
    f.hem = Length::mm(400);
    f.back_more = Length::mm(20);
    f.front_dart = Length::mm(20);
    f.back_dart = Length::mm(38);
    f.back_stretch = Length::mm(4);
    return f;
}

inline TrousersFlat random_trousers(std::mt19937& rng)
{
    TrousersFlat f = plain_trousers();
    f.hip = Length::mm(between(rng, 860, 1400));
    f.waist = f.hip - Length::mm(between(rng, 190, 270));
    f.waist_to_hip = Length::mm(between(rng, 185, 225));
    f.rise = f.waist_to_hip + Length::mm(between(rng, 60, 95));
    f.inside_leg = Length::mm(between(rng, 620, 860));
    f.knee = f.hip * between(rng, 0.42, 0.62);
    f.hem = f.knee * between(rng, 0.72, 1.1);
    f.back_more = Length::mm(between(rng, 0, 40));
    f.front_dart = Length::mm(between(rng, 10, 22));
    f.back_dart = Length::mm(between(rng, 20, 40));
    f.back_lean = Length::mm(between(rng, 20, 48));
    f.back_stretch = Length::mm(between(rng, 0, 6));
    return f;
}

// Front and back, with the seams between them.
inline Garment legs_of(const Pattern& p)
{
    return part_view({p.sizes.front().pieces, p.seams}, PartKind::Trousers);
}

inline Garment plain_legs()
{
    return legs_of(*trousers_pattern(plain_trousers()));
}

}  // namespace sartorum::test
