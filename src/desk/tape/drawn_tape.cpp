#include "desk/tape/drawn_tape.h"

#include <cmath>

namespace sartorum::desk {
namespace {

constexpr double band = 15;

QPointF unit_at(double degrees)
{
    const double a = degrees * M_PI / 180;
    return {std::cos(a), -std::sin(a)};
}

// What lies beyond where it is read curls away.
QPainterPath tail_of(const QPainterPath& path)
{
    const QPointF end = path.pointAtPercent(1);
    const QPointF on = unit_at(path.angleAtPercent(1));
    const QPointF aside{-on.y(), on.x()};
    QPainterPath out{end};
    out.cubicTo(end + on * 18, end + on * 24 + aside * 10, end + on * 20 + aside * 34);
    return out;
}

struct Ticks {
    double step_mm;
    int long_every;
};

Ticks ticks_for(Unit unit, double scale)
{
    const bool inches = unit == Unit::Inch;
    const double one = inches ? 25.4 : 10;
    if (one * scale >= 26) return {one / (inches ? 4 : 2), inches ? 4 : 2};
    if (one * scale >= 9) return {one, inches ? 6 : 5};
    return {one * 2, 5};
}

}  // namespace

void draw_laid_tape(QPainter& p, const Look& look, const QPainterPath& path, double scale)
{
    const auto& d = look.dyes();
    const double whole = path.length();
    const auto tail = tail_of(path);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.woad, band, Qt::SolidLine, Qt::FlatCap, Qt::RoundJoin});
    p.drawPath(path);
    p.drawPath(tail);
    const auto t = ticks_for(look.unit(), scale);
    for (int i = 1; i * t.step_mm * scale < whole && i < 400; ++i) {
        const double at = path.percentAtLength(i * t.step_mm * scale);
        const QPointF c = path.pointAtPercent(at);
        const QPointF across = unit_at(path.angleAtPercent(at) + 90);
        const bool long_one = i % t.long_every == 0;
        p.setPen(QPen{d.on_woad, 1.1});
        p.drawLine(c + across * (band / 2), c + across * (long_one ? band / 2 - 8 : band / 2 - 4));
    }
    const QPointF end = path.pointAtPercent(1);
    const QPointF across = unit_at(path.angleAtPercent(1) + 90);
    p.setPen(QPen{d.madder, 2.2});
    p.drawLine(end - across * 13, end + across * 13);
    p.setPen(QPen{d.woad, 2});
    const QPointF zero = path.pointAtPercent(0);
    const QPointF square = unit_at(path.angleAtPercent(0) + 90);
    p.drawLine(zero - square * 11, zero + square * 11);
}

}  // namespace sartorum::desk
