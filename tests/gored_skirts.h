// gored_skirts.h: the gored skirt the tests begin with.
#pragma once
#include "../demo/gored_skirt.h"

namespace sartorum::test {

// Six gores under a band, size 14.
inline demo::GoredFlat six_gores()
{
    demo::GoredFlat g;
    g.size = "14";
    g.waist = Length::mm(740);
    g.hip = Length::mm(1020);
    g.waist_to_hip = Length::mm(204);
    g.length = Length::mm(640);
    g.flare = Length::mm(45);
    return g;
}

}  // namespace sartorum::test
