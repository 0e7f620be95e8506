#include "core/pattern/bought_trousers.h"

#include <algorithm>

#include "core/pattern/garment_measure.h"

namespace sartorum {
namespace {

constexpr Length near_enough = Length::mm(0.5);
constexpr int most_rounds = 60;

// A usual leg, before anything is fitted to its measures.
TrousersFlat usual(const BoughtTrousers& b)
{
    TrousersFlat f;
    f.name = b.name;
    f.maker = "-";
    f.size = "1";
    f.waist = b.waist;
    f.hip = b.hip;
    f.waist_to_hip = std::min(b.crotch_front * 0.66, Length::mm(210));
    f.rise = b.crotch_front * 0.8;
    f.inside_leg = b.inside_leg;
    f.hem = b.hem;
    f.knee = b.knee > Length{} ? b.knee : (b.thigh + b.hem) / 2.0 * 0.93;
    f.front_extension = b.hip / 16.0 + Length::mm(5);
    f.back_extension = f.front_extension * 1.5 + Length::mm(10);
    f.back_more = Length::mm(20);
    // What darts, tucks or shaped seams take in is assumed as darts.
    const Length intake = (b.hip - b.waist) / 4.0;
    f.front_dart = std::clamp(intake * 0.3, Length{}, Length::mm(22));
    f.back_dart = std::clamp(intake * 0.6, Length{}, Length::mm(38));
    f.front_dart_length = std::min(f.front_dart_length, f.waist_to_hip * 0.5);
    f.back_dart_length = std::min(f.back_dart_length, f.waist_to_hip * 0.6);
    f.allowance = b.side_allowance;
    f.hem_allowance = b.hem_allowance;
    f.band_depth = {};
    f.fly = b.fly;
    return f;
}

struct Off {
    const char* field;
    Length front;
    Length back;
    Length thigh;
    [[nodiscard]] bool none() const { return std::max({abs(front), abs(back), abs(thigh)}) < near_enough; }
};

Off off_by(const BoughtTrousers& b, const FlatMeasures& drawn)
{
    Off out{nullptr, b.crotch_front - drawn.of(GarmentMeasure::CrotchFront),
            b.crotch_back - drawn.of(GarmentMeasure::CrotchBack), b.thigh - drawn.of(GarmentMeasure::Thigh)};
    out.field = abs(out.thigh) >= near_enough  ? "thigh"
                : abs(out.back) >= near_enough ? "crotch_back"
                                               : "crotch_front";
    return out;
}

}  // namespace

Outcome<TrousersFlat> flat_of(const BoughtTrousers& b)
{
    TrousersFlat f = usual(b);
    for (int i = 0;; ++i) {
        const auto drawn = draw_trousers(f);
        if (!drawn) return tl::make_unexpected(drawn.error());
        const Off off = off_by(b, measure_flat(drawn->pieces));
        if (off.none()) return f;
        if (i == most_rounds) return refuse(Why::BlockImpossible, off.field);
        // Each by what it does most: a little less than it lacks, since it does a little of the others too.
        constexpr double step = 0.7;
        f.front_extension += off.thigh * (0.4 * step);
        f.back_extension += off.thigh * (0.6 * step);
        f.rise += (off.front - off.thigh * 0.4) * step;
        f.back_rise += (off.back - off.front - off.thigh * 0.2) * (step * 0.6);
    }
}

}  // namespace sartorum
