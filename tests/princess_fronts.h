// princess_fronts.h: bodices whose front is two panels, to test with.
#pragma once
#include "bodices.h"
#include "core/pattern/dart.h"
#include "core/pattern/princess.h"

namespace sartorum::test {

inline BodiceFlat princess(BodiceFlat f, PrincessFrom from = PrincessFrom::Armhole, double above = 18)
{
    f.side_dart = {};
    f.seam_above = Length::mm(above);
    f.princess = from;
    return f;
}

inline BodiceFlat random_princess(std::mt19937& rng)
{
    BodiceFlat f = random_bodice(rng);
    const auto from = rng() % 2 ? PrincessFrom::Armhole : PrincessFrom::Shoulder;
    return princess(f, from, between(rng, 8, 30));
}

inline Length opening(const Piece& front, bool upper)
{
    const auto m = *princess_mouths(front);
    return mouth_width(front.darts[dart_at(front, upper ? m.upper : m.lower)]);
}

}  // namespace sartorum::test
