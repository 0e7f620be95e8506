// skirts.h: skirts to test with: one hand-checked, and any number of random but drawable ones.
#pragma once
#include <random>

#include "core/pattern/skirt_block.h"

namespace sartorum::test {

inline SkirtFlat plain_skirt()
{
    SkirtFlat f;
    f.name = "Test skirt";
    f.maker = "Nobody";
    f.size = "14";
    f.waist = Length::mm(740);
    f.hip = Length::mm(1020);
    f.waist_to_hip = Length::mm(203.2);  // 8 in
    f.length = Length::mm(600);
    f.front_dart = Length::mm(20);
    f.back_dart = Length::mm(30);
    f.flare = Length::mm(50);
    return f;
}

inline double between(std::mt19937& rng, double low, double high)
{
    return std::uniform_real_distribution<double>{low, high}(rng);
}

inline SkirtFlat random_skirt(std::mt19937& rng)
{
    SkirtFlat f = plain_skirt();
    f.hip = Length::mm(between(rng, 820, 1500));
    f.waist = f.hip - Length::mm(between(rng, 180, 300));
    f.waist_to_hip = Length::mm(between(rng, 170, 240));
    f.length = Length::mm(between(rng, 420, 950));
    f.front_dart = Length::mm(between(rng, 10, 22));
    f.back_dart = Length::mm(between(rng, 15, 35));
    f.flare = Length::mm(between(rng, 0, 120));
    f.side_rise = Length::mm(between(rng, 0, 15));
    return f;
}

// A graded pattern with a chart-like run of sizes; waist and hip step 40 mm.
inline Pattern graded_skirt(int sizes = 8)
{
    Pattern p;
    p.name = "Graded";
    p.maker = "Nobody";
    p.seams = skirt_seams(true);
    for (int i = 0; i < sizes; ++i) {
        SkirtFlat f = plain_skirt();
        f.size = std::to_string(8 + 2 * i);
        f.waist = Length::mm(640 + 25 + 40 * i);
        f.hip = Length::mm(880 + 60 + 40 * i);
        p.sizes.push_back(*draw_skirt(f));
    }
    return *check_pattern(std::move(p));
}

inline double largest_gap(const Piece& a, const Piece& b)
{
    const auto pa = outline_points(a, Length::mm(0.05));
    double worst = 0;
    const auto path = outline(b);
    for (const auto& p : pa) {
        Geom::Coord d = 0;
        (void)path.nearestTime(p, &d);
        worst = std::max(worst, d);
    }
    return worst;
}

}  // namespace sartorum::test
