// published_chart.h: misses' sizes 2 to 20 of ASTM D5585-95, bust, waist and hip in inches, from memory.
#pragma once
#include <QString>

#include "core/chart/size_chart.h"

namespace sartorum::test {

inline constexpr double misses_bust[] = {32, 33, 34, 35, 36, 37.5, 39, 40.5, 42.5, 44.5};
inline constexpr double misses_waist[] = {24, 25, 26, 27, 28, 29.5, 31, 32.5, 34.5, 36.5};
inline constexpr double misses_hip[] = {34.5, 35.5, 36.5, 37.5, 38.5, 40, 41.5, 43, 45, 47};

inline SizeChart misses()
{
    SizeChart c{"Misses", "Nobody", {}};
    for (int i = 0; i < 10; ++i) {
        c.sizes.push_back({QString::number(2 + 2 * i).toStdString(),
                           {{Measure::Bust, Length::inches(misses_bust[i])},
                            {Measure::Waist, Length::inches(misses_waist[i])},
                            {Measure::Hip, Length::inches(misses_hip[i])}},
                           0});
    }
    c.drafted_cup[""] = "B";
    return c;
}

}  // namespace sartorum::test
