#include "desk/tape/measure_line.h"

namespace sartorum::desk {
namespace {

MeasureLine girth(const Proportions& b, double level)
{
    const double w = b.half_width(level);
    const double y = b.y(level);
    return {QPolygonF{{{-w, y}, {0, y + 1.3}, {w, y}}}, true, {-w, y}, true};
}

MeasureLine limb(double from, double to, double y)
{
    return {QPolygonF{{{from, y}, {(from + to) / 2, y + 0.5}, {to, y}}}, true, {to, y}, false};
}

MeasureLine along(const QPolygonF& points, double at, bool left = false)
{
    const auto i = static_cast<int>(at * static_cast<double>(points.size() - 1));
    return {points, false, points[i], left};
}

}  // namespace

MeasureLine line_of(Measure m, const Proportions& b)
{
    const double waist = b.y(Proportions::waist);
    const double hip = b.y(Proportions::hip);
    const double crotch = b.y(55.0);
    const auto arm_x = [&](double level) { return b.arm({(13.6 + 10.9) / 2, level}).x(); };
    switch (m) {
        case Measure::NeckBase: {
            return {QPolygonF{{{-3.4, 16.8}, {0, 18.4}, {3.4, 16.8}}}, true, {-3.4, 16.8}, true};
        }
        case Measure::Head: return {QPolygonF{{{-4.4, 6.0}, {0, 6.9}, {4.4, 6.0}}}, true, {-4.4, 6.0}, true};
        case Measure::HighBust: return girth(b, 23.6);
        case Measure::Bust: return girth(b, Proportions::bust + 0.8);
        case Measure::Underbust: return girth(b, 31.0);
        case Measure::Waist:
        case Measure::SeatedWaist: return girth(b, Proportions::waist);
        case Measure::HighHip: return girth(b, 45.5);
        case Measure::Hip:
        case Measure::SeatedHip: return girth(b, Proportions::hip);
        case Measure::BustDepth: return along({{{3.4, 17.2}, {4.6, 22}, {4.9, 27}}}, 0.5);
        case Measure::BustSpan: return along({{{4.9, 27.2}, {0, 27.6}, {-4.9, 27.2}}}, 0.0);
        case Measure::FrontWaistLength:
            return along({{{2.6, 17.2}, {3.6, 22}, {4.0, 27.5}, {3.4, 33}, {3.2, waist}}}, 0.8);
        case Measure::AcrossFront: return along({{{8.4, 22.0}, {0, 22.2}, {-8.4, 22.0}}}, 0.0);
        case Measure::WaistToHip: {
            QPolygonF p;
            for (double l = Proportions::waist; l <= Proportions::hip; l += 1)
                p << QPointF{b.half_width(l), b.y(l)};
            return along(p, 0.4);
        }
        case Measure::SkirtLength: {
            const double out = b.half_width(Proportions::hip) + 1.6;
            return along({{{b.half_width(Proportions::waist) + 1.6, waist},
                           {out, hip - 4},
                           {out, hip + 2},
                           {out, (hip + b.hem()) / 2},
                           {out, b.hem()}}},
                         0.8);
        }
        case Measure::TrouserLength: {
            const double out = b.half_width(Proportions::hip) + 1.6;
            return along({{{b.half_width(Proportions::waist) + 1.6, waist},
                           {out, hip - 4},
                           {out, hip + 2},
                           {out, (hip + b.trouser_hem()) / 2},
                           {out, b.trouser_hem()}}},
                         0.8);
        }
        case Measure::Thigh: return limb(0.8, b.half_width(60), b.y(60));
        case Measure::Knee: return limb(1.7, b.half_width(74), b.y(74));
        case Measure::Calf: return limb(2.2, b.half_width(79), b.y(79));
        case Measure::HeelRound: return limb(2.0, b.half_width(79) + 0.4, 97.2);
        case Measure::InsideLeg:
            return along({{{-0.6, crotch + 1}, {-1.4, 72}, {-1.6, 85}, {-1.6, 99}}}, 0.7, true);
        case Measure::CrotchLength:
            return along({{{-1.1, waist}, {-1.1, (waist + crotch) / 2}, {-0.6, crotch}, {0, crotch + 0.6}}}, 0.4,
                         true);
        case Measure::FrontRise: return along({{{0, waist}, {0, (waist + crotch) / 2}, {0, crotch}}}, 0.5, true);
        case Measure::BackRise:
            return along({{{1.1, waist}, {1.1, (waist + crotch) / 2}, {0.6, crotch}}}, 0.6, true);
        case Measure::ShoulderLength: return along({{{3.6, 17.2}, {6.6, 18.2}, {10.4, 19.8}}}, 0.5);
        case Measure::CrossShoulder:
            return along({{{-10.4, 20.0}, {-5, 19.4}, {0, 19.2}, {5, 19.4}, {10.4, 20.0}}}, 0.0, true);
        case Measure::AcrossBack: return along({{{-9.0, 24.0}, {0, 24.2}, {9.0, 24.0}}}, 0.0, true);
        case Measure::ArmholeDepth: return along({{{0.9, 16.6}, {0.9, 20}, {0.9, 23.4}, {6.0, 23.6}}}, 0.7, true);
        case Measure::BackWaistLength: return along({{{0, 16.6}, {0, 28}, {0, waist}}}, 0.5, true);
        case Measure::TrunkGirth:
            return along({{{6.2, 18.4}, {5.2, 28}, {3.4, waist}, {2.2, hip}, {0.4, crotch}}}, 0.45, true);
        case Measure::ArmLength: {
            return along({{b.arm({10.8, 20.2}), {arm_x(30) + 0.6, 30}, {arm_x(36) + 1.2, 38}, b.arm({15.2, 49})}},
                         0.67);
        }
        case Measure::UpperArm: {
            const double c = arm_x(27);
            return limb(c - 1.9, c + 1.3, 28.0);
        }
        case Measure::Wrist: {
            const double c = b.arm({15.1, 49.5}).x();
            return limb(c - 1.0, c + 1.3, 49.5);
        }
        case Measure::HandRound: {
            const double c = b.arm({15.6, 53.5}).x();
            return limb(c - 1.3, c + 1.6, 53.5);
        }
        case Measure::ShouldersRound: {
            const double out = b.arm({12.4, 24.0}).x();
            return {QPolygonF{{{-out, 23.0}, {0, 24.2}, {out, 23.0}}}, true, {-out, 23.0}, true};
        }
        case Measure::WaistToFloorSide: {
            const double x = b.half_width(Proportions::hip) + 6.5;
            return along({{{x, waist}, {x, 70}, {x, 99.4}}}, 0.5);
        }
        case Measure::WaistToFloorFront: return along({{{0, waist}, {0, 70}, {0, 99.4}}}, 0.5);
        case Measure::WaistToFloorBack: return along({{{-3, waist}, {-3, 72}, {-3, 99.4}}}, 0.5, true);
        case Measure::WaistToFloorMidFront: {
            const double x = b.half_width(Proportions::hip) * 0.5;
            return along({{{x, waist}, {x, 70}, {x, 99.4}}}, 0.5);
        }
        case Measure::WaistToFloorMidBack: {
            const double x = -b.half_width(Proportions::hip) * 0.5;
            return along({{{x, waist}, {x, 72}, {x, 99.4}}}, 0.5, true);
        }
        case Measure::NeckPointHeight: return along({{{-20.5, 17.0}, {-20.5, 40}, {-20.5, 99.4}}}, 0.5, true);
        case Measure::ShoulderTipHeight: return along({{{-18, 20.0}, {-18, 58}, {-18, 99.4}}}, 0.5, true);
        case Measure::Height: return along({{{-23, 1.4}, {-23, 20}, {-23, 99.4}}}, 0.5, true);
        case Measure::BodyRise:
        case Measure::SeatedThigh:
        case Measure::SeatedFrontRise:
        case Measure::SeatedBackRise: break;
    }
    return {QPolygonF{{{0, waist}, {0, hip}}}, false, {0, waist}, false};
}

}  // namespace sartorum::desk
