// trousers.h: two pairs of trousers in sizes, with their charts, drawn for the demo and for tests.
//
// Lockgate: tapered, darts, a fly, a shaped band. Barge: wide, straight from the hip, an elastic in a casing.
// Every number is invented; the charts say the crotch length as the pattern was drafted for it.
#pragma once
#include "core/chart/size_chart.h"
#include "core/pattern/garment_measure.h"
#include "core/pattern/trousers_block.h"
#include "shaped_band.h"

namespace sartorum::demo {

struct DrawnTrousers {
    Pattern pattern;
    SizeChart chart;
};

inline constexpr double trouser_hips[] = {900, 940, 980, 1020, 1060, 1100, 1150, 1200};

// The body a size is drafted for.
inline ChartSize trouser_body(int size)
{
    const double hip = trouser_hips[size];
    const auto mm = [](double v) { return Length::mm(v); };
    return {std::to_string(38 + 2 * size),
            {{Measure::Waist, mm(hip - 240 + 4 * size)},
             {Measure::Hip, mm(hip)},
             {Measure::WaistToHip, mm(200 + 2 * size)},
             {Measure::BodyRise, mm(262 + 4 * size)},
             {Measure::Thigh, mm(0.575 * hip)},
             {Measure::Knee, mm(0.365 * hip)},
             {Measure::InsideLeg, mm(770 + 4 * size)}},
            0};
}

inline TrousersFlat lockgate_flat(int size)
{
    const auto body = trouser_body(size).body;
    const auto of = [&](Measure m) { return body.at(m); };
    TrousersFlat f;
    f.size = std::to_string(38 + 2 * size);
    f.waist = of(Measure::Waist) + Length::mm(30);
    f.hip = of(Measure::Hip) + Length::mm(60);
    f.waist_to_hip = of(Measure::WaistToHip);
    f.rise = of(Measure::BodyRise) + Length::mm(15);
    f.inside_leg = of(Measure::InsideLeg) - Length::mm(40);
    f.knee = of(Measure::Knee) + Length::mm(100);
    f.hem = Length::mm(370 + 10 * size);
    f.back_more = Length::mm(24);
    f.front_dart = Length::mm(18);
    f.front_dart_length = Length::mm(85);
    f.back_dart = Length::mm(34);
    f.back_stretch = Length::mm(4);
    return f;
}

// An elastic gathers the waist: the casing passes over the hip.
inline TrousersFlat barge_flat(int size)
{
    TrousersFlat f = lockgate_flat(size);
    const Length hip = trouser_body(size).body.at(Measure::Hip);
    f.hip = hip + Length::mm(140);
    f.waist = hip + Length::mm(90);
    f.rise += Length::mm(15);
    f.knee = f.hip * 0.58;
    f.hem = f.knee;
    f.front_dart = f.back_dart = {};
    f.back_lean = Length::mm(24);
    f.fly = {};
    f.back_stretch = {};
    f.band_depth = Length::mm(45);
    return f;
}

// What the front and the back of the crotch seam are drafted for: with the finished band, and ease on each.
inline void say_crotch(ChartSize& size, const SizedPieces& drawn, Length band, Length ease)
{
    const auto flat = measure_flat(drawn.pieces);
    const auto whole_mm = [](Length l) { return Length::mm(std::round(l.in_mm())); };
    size.body[Measure::FrontRise] = whole_mm(flat.of(GarmentMeasure::CrotchFront) + band - ease);
    size.body[Measure::BackRise] = whole_mm(flat.of(GarmentMeasure::CrotchBack) + band - ease);
}

inline std::optional<DrawnTrousers> trousers_in_sizes(const char* name, TrousersFlat (*flat)(int),
                                                      Length crotch_ease)
{
    const TrousersFlat first = flat(0);
    DrawnTrousers out{{name, "Towpath Paper", {}, trousers_seams(true, first.back_stretch)},
                      {name, "Towpath Paper", {}}};
    for (int i = 0; i < 8; ++i) {
        const TrousersFlat f = flat(i);
        auto drawn = draw_trousers(f);
        if (!drawn) return std::nullopt;
        ChartSize size = trouser_body(i);
        say_crotch(size, *drawn, f.band_depth, crotch_ease);
        out.pattern.sizes.push_back(std::move(*drawn));
        out.chart.sizes.push_back(std::move(size));
    }
    return out;
}

inline std::optional<DrawnTrousers> lockgate_trousers()
{
    auto out = trousers_in_sizes("Lockgate trousers", lockgate_flat, Length::mm(8));
    auto shaped = out ? with_shaped_band(out->pattern, lockgate_flat(0).band_depth, Length::mm(15))
                      : Outcome<Pattern>{Pattern{}};
    if (!out || !shaped) return std::nullopt;
    out->pattern = std::move(*shaped);
    // Its maker prints how high the waist stands over the floor, too.
    for (std::size_t i = 0; out && i < out->chart.sizes.size(); ++i) {
        auto& body = out->chart.sizes[i].body;
        const Length side = Length::mm(1036 + 6.0 * static_cast<double>(i));
        body[Measure::WaistToFloorSide] = side;
        body[Measure::WaistToFloorFront] = side - Length::mm(8);
        body[Measure::WaistToFloorBack] = side - Length::mm(4);
    }
    return out;
}

inline std::optional<DrawnTrousers> barge_trousers()
{
    return trousers_in_sizes("Barge trousers", barge_flat, Length::mm(22));
}

}  // namespace sartorum::demo
