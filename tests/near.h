// near.h: two numbers that should be equal, within so much; both are printed where they are not.
#pragma once
#include <QtGlobal>
#include <cmath>

#include "core/units/length.h"

namespace sartorum {

inline bool near(double actual, double expected, double within = 1e-6)
{
    if (std::abs(actual - expected) <= within) return true;
    qWarning("%.9g is not %.9g, within %g", actual, expected, within);
    return false;
}

inline bool near(Length actual, Length expected, Length within = Length::mm(1e-6))
{
    return near(actual.in_mm(), expected.in_mm(), within.in_mm());
}

}  // namespace sartorum
