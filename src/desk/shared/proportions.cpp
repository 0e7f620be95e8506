#include "desk/shared/proportions.h"

#include <algorithm>
#include <array>

namespace sartorum::desk {
namespace {

// The plain figure's own body, for which every factor is one.
const Length plain_height = Length::cm(168);
struct PlainGirth {
    Measure measure;
    double level;
    Length girth;
};
const std::array plain_girths{PlainGirth{Measure::NeckBase, 16.0, Length::cm(38)},
                              PlainGirth{Measure::CrossShoulder, 19.5, Length::cm(39.5)},
                              PlainGirth{Measure::Bust, Proportions::bust, Length::cm(97)},
                              PlainGirth{Measure::HighBust, 24.0, Length::cm(90)},
                              PlainGirth{Measure::Underbust, 30.0, Length::cm(82)},
                              PlainGirth{Measure::Waist, Proportions::waist, Length::cm(81)},
                              PlainGirth{Measure::HighHip, 45.0, Length::cm(95)},
                              PlainGirth{Measure::Hip, Proportions::hip, Length::cm(103)},
                              PlainGirth{Measure::Thigh, 60.0, Length::cm(59)},
                              PlainGirth{Measure::Knee, 74.0, Length::cm(38)},
                              PlainGirth{Measure::Calf, 79.0, Length::cm(37)}};

double between(double x, double x0, double y0, double x1, double y1)
{
    return y0 + (y1 - y0) * (x - x0) / (x1 - x0);
}

double outline_at(double y)
{
    const auto& t = Proportions::plain_trunk();
    for (int i = 1; i < Proportions::outside_points; ++i) {
        if (t[i].y() >= y) return between(y, t[i - 1].y(), t[i - 1].x(), t[i].y(), t[i].x());
    }
    return 5;
}

}  // namespace

const QPolygonF& Proportions::plain_trunk()
{
    static const QPolygonF out{
        QList<QPointF>{{2.2, 15.5}, {3.4, 17.0}, {6.2, 18.1}, {9.6, 19.3}, {10.9, 22.5}, {10.2, 27},  {9.4, 31},
                       {8.6, 35},   {8.0, 39},   {8.8, 43},   {10.2, 47},  {10.9, 51},   {10.8, 55},  {10.0, 62},
                       {8.8, 69},   {7.6, 74},   {7.5, 79},   {6.6, 86},   {5.0, 93},    {5.2, 96.5}, {5.6, 98.8},
                       {2.6, 99.2}, {1.9, 96},   {2.0, 90},   {2.2, 80},   {1.6, 72},    {0.7, 60},   {0, 53.5}}};
    return out;
}

const QPolygonF& Proportions::plain_arm()
{
    static const QPolygonF out{QList<QPointF>{{9.4, 19.2},
                                              {11.6, 20.6},
                                              {12.9, 25},
                                              {13.6, 32},
                                              {14.8, 39},
                                              {15.9, 46},
                                              {16.9, 51.5},
                                              {16.4, 54.5},
                                              {14.9, 54.8},
                                              {14.2, 51},
                                              {13.0, 46},
                                              {11.9, 39.5},
                                              {10.9, 33},
                                              {10.0, 27},
                                              {8.6, 23}}};
    return out;
}

Proportions::Proportions(const BodySet& set)
{
    const auto height_read = set.taken(Measure::Height);
    const Length height = height_read ? height_read->value : plain_height;
    for (const auto& g : plain_girths) {
        const auto read = set.taken(g.measure);
        if (!read) continue;
        const double f = (read->value / height) / (g.girth / plain_height);
        widths_[g.level] = std::clamp(f, 0.75, 1.6);
    }
    const auto part = [&](Measure m) -> std::optional<double> {
        const auto read = set.taken(m);
        return read ? std::optional{100.0 * (read->value / height)} : std::nullopt;
    };
    if (const auto floor = part(Measure::WaistToFloorSide)) waist_ = std::clamp(100.0 - *floor, 35.0, 43.0);
    const auto depth = part(Measure::WaistToHip);
    hip_ = std::clamp(waist_ + depth.value_or(hip - waist), 46.0, 57.0);
    hem_ = std::clamp(waist_ + part(Measure::SkirtLength).value_or(34.0), hip_ + 3.0, 97.0);
    trouser_hem_ = std::clamp(waist_ + part(Measure::TrouserLength).value_or(56.0), hip_ + 6.0, 98.0);
}

double Proportions::y(double level) const
{
    constexpr double shoulder = 20.0;
    constexpr double knee = 74.0;
    if (level <= shoulder) return level;
    if (level <= waist) return between(level, shoulder, shoulder, waist, waist_);
    if (level <= hip) return between(level, waist, waist_, hip, hip_);
    if (level <= knee) return between(level, hip, hip_, knee, knee);
    return level;
}

double Proportions::factor(double level) const
{
    if (widths_.empty()) return 1.0;
    const auto after = widths_.lower_bound(level);
    if (after == widths_.end()) return widths_.rbegin()->second;
    if (after == widths_.begin()) return after->second;
    const auto before = std::prev(after);
    return between(level, before->first, before->second, after->first, after->second);
}

double Proportions::half_width(double level) const
{
    return trunk({outline_at(level), level}, true).x();
}

QPointF Proportions::trunk(QPointF plain, bool outside) const
{
    const double level = plain.y();
    if (!outside) return {plain.x(), y(level)};
    // Neck and feet keep their shape; a leg grows from its inside.
    const double inside = level > 56 ? 1.6 : 0.0;
    const double wide = level < 17.5 || level > 92 ? 1.0 : factor(level);
    return {inside + (plain.x() - inside) * wide, y(level)};
}

QPointF Proportions::arm(QPointF plain) const
{
    const double shoulder = half_width(20.0) - outline_at(20.0);
    const double beside = half_width(std::min(plain.y(), 54.0)) - outline_at(std::min(plain.y(), 54.0));
    return {plain.x() + std::max(shoulder, plain.y() > 24 ? beside : shoulder), plain.y()};
}

}  // namespace sartorum::desk
