// bodices.h: bodices to test with: a darted one, a tee, and any number of random but drawable ones.
#pragma once
#include <QtGlobal>
#include <cmath>
#include <random>

#include "core/alter/kit/applied.h"
#include "core/pattern/bodice_block.h"
#include "near.h"
#include "skirts.h"

namespace sartorum::test {

// How often to try at random: a sixth of it where the whole runs in another program (SARTORUM_SAMPLE).
inline constexpr int tries(int n)
{
#ifdef SARTORUM_SAMPLE
    return n / 6;
#else
    return n;
#endif
}

inline BodiceFlat plain_bodice()
{
    BodiceFlat f;
    f.name = "Test bodice";
    f.maker = "Nobody";
    f.size = "12";
    f.bust = Length::mm(980);
    f.waist = Length::mm(780);
    f.neck_width = Length::mm(71);
    f.front_neck_depth = Length::mm(82);
    f.back_neck_depth = Length::mm(22);
    f.shoulder = Length::mm(122);
    f.front_drop = Length::mm(46);
    f.back_drop = Length::mm(40);
    f.across_front = Length::mm(164);
    f.across_back = Length::mm(174);
    f.back_length = Length::mm(410);
    f.front_length = Length::mm(446);
    f.side_length = Length::mm(209);
    f.bust_depth = Length::mm(268);
    f.bust_span = Length::mm(186);
    f.side_dart = Length::mm(29);
    f.front_dart = Length::mm(26);
    f.back_dart = Length::mm(26);
    f.front_more = Length::mm(16);
    f.front_fold = false;
    return f;
}

inline BodiceFlat plain_tee()
{
    BodiceFlat f = plain_bodice();
    f.bust = Length::mm(900);
    f.waist = Length::mm(820);
    f.hip = Length::mm(970);
    f.below_waist = Length::mm(200);
    f.side_dart = f.front_dart = f.back_dart = f.front_more = {};
    f.front_length = Length::mm(424);
    f.front_fold = true;
    return f;
}

inline BodiceFlat with_sleeve(BodiceFlat f, Length cap_ease = Length::mm(24))
{
    f.sleeve.bicep = f.bust * 0.36;
    f.sleeve.length = Length::mm(580);
    f.sleeve.elbow = Length::mm(350);
    f.sleeve.hem = f.bust * 0.25;
    f.sleeve.cap_ease = cap_ease;
    return f;
}

inline BodiceFlat random_bodice(std::mt19937& rng)
{
    BodiceFlat f = plain_bodice();
    const double bust = between(rng, 880, 1280);
    f.bust = Length::mm(bust);
    f.waist = Length::mm(bust - between(rng, 160, 230));
    f.neck_width = Length::mm(between(rng, 66, 84));
    f.front_neck_depth = Length::mm(between(rng, 70, 120));
    f.shoulder = Length::mm(between(rng, 110, 140));
    f.front_drop = Length::mm(between(rng, 36, 56));
    f.back_drop = Length::mm(between(rng, 30, 50));
    f.across_front = Length::mm(140 + (bust - 880) * 0.1 + between(rng, 0, 20));
    f.across_back = Length::mm(150 + (bust - 880) * 0.1 + between(rng, 0, 20));
    f.side_dart = Length::mm(between(rng, 18, 40));
    f.front_dart = Length::mm(between(rng, 15, 34));
    f.back_dart = Length::mm(between(rng, 15, 34));
    if (rng() % 2) f.shoulder_dart = Length::mm(between(rng, 8, 16));
    f.front_fold = rng() % 2;
    f.back_seam = rng() % 2;
    return f;
}

inline Garment bodice(const BodiceFlat& f)
{
    const auto pattern = *bodice_pattern(f);
    return {pattern.sizes.front().pieces, pattern.seams};
}

template <class T>
const T& need(const Outcome<T>& o)
{
    if (!o) qFatal("refused: %d %s %f", int(o.error().why), o.error().field.c_str(), o.error().given.in_mm());
    return *o;
}

inline Dose same(double mm, std::size_t method = 0)
{
    return {Length::mm(mm), method};
}

template <class Method>
std::size_t way(Method m)
{
    return static_cast<std::size_t>(m);
}

}  // namespace sartorum::test
