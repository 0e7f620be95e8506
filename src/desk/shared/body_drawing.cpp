#include "desk/shared/body_drawing.h"

#include <cmath>

#include "desk/shared/smooth_path.h"

namespace sartorum::desk {
namespace {

QPainterPath half_trunk(const Proportions& body, double side, const FigureToScreen& at)
{
    QPolygonF trunk;
    const auto& plain = Proportions::plain_trunk();
    for (int i = 0; i < plain.size(); ++i) {
        const QPointF q = body.trunk(plain[i], i < Proportions::outside_points);
        trunk << at({q.x() * side, q.y()});
    }
    QPainterPath half = smooth_through(trunk, false);
    half.lineTo(at({-0.3 * side, body.y(53.5)}));
    half.lineTo(at({-0.3 * side, 15.5}));
    half.closeSubpath();
    return half;
}

QPainterPath arm_of(const Proportions& body, double side, const FigureToScreen& at)
{
    QPolygonF arm;
    for (const auto& q : Proportions::plain_arm()) {
        const QPointF a = body.arm(q);
        arm << at({a.x() * side, a.y()});
    }
    return smooth_through(arm, true);
}

}  // namespace

void draw_as_one(QPainter& p, const Look& look, const std::vector<QPainterPath>& parts)
{
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{look.dyes().walnut_line, 2.8});
    for (const auto& part : parts) p.drawPath(part);
    p.setPen(Qt::NoPen);
    p.setBrush(look.dyes().figure);
    for (const auto& part : parts) p.drawPath(part);
}

void draw_body(QPainter& p, const Look& look, const Proportions& body, bool from_behind, bool whole,
               const FigureToScreen& at)
{
    std::vector<QPainterPath> parts;
    for (const double side : {1.0, -1.0}) {
        parts.push_back(half_trunk(body, side, at));
        if (whole) parts.push_back(arm_of(body, side, at));
    }
    if (!whole) return draw_as_one(p, look, parts);
    const double unit = std::abs(at({0, 1}).y() - at({0, 0}).y());
    QPainterPath head;
    head.addEllipse(at({0, 7.4}), 4.5 * unit, 6.0 * unit);
    parts.push_back(head);
    QPainterPath neck{at({-2.9, 9})};
    neck.cubicTo(at({-2.5, 14}), at({-3.2, 16.2}), at({-6.4, 18.0}));
    neck.lineTo(at({6.4, 18.0}));
    neck.cubicTo(at({3.2, 16.2}), at({2.5, 14}), at({2.9, 9}));
    neck.closeSubpath();
    parts.push_back(neck);
    draw_as_one(p, look, parts);
    QPainterPath hair;
    const QRectF crown = QRectF{at({-4.5, 1.4}), at({4.5, 13.4})}.normalized();
    if (from_behind) {
        hair.addEllipse(crown);
    } else {
        hair.moveTo(at({-4.45, 8}));
        hair.arcTo(crown, 175, -170);
        hair.cubicTo(at({4, 3.6}), at({-1, 3.4}), at({-4.45, 8}));
    }
    p.setBrush(look.dyes().walnut_line);
    p.drawPath(hair);
}

}  // namespace sartorum::desk
