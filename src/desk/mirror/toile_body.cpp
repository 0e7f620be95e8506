#include "desk/mirror/toile_body.h"

#include <QPainterPath>
#include <algorithm>

#include "core/pattern/part_rules.h"
#include "desk/shared/body_drawing.h"
#include "desk/shared/smooth_path.h"

namespace sartorum::desk {
namespace {

// Of the side view, from the neck down the front, round the foot and up the back.
const QPolygonF& plain_side()
{
    static const QPolygonF out{QList<QPointF>{
        {1.4, 15.5},  {1.9, 17.6},  {3.0, 19.6},  {4.6, 22.8},  {6.1, 26.4}, {5.4, 30},   {4.6, 34},
        {4.1, 39},    {4.9, 43.4},  {5.2, 47.4},  {4.8, 52},    {4.7, 58},   {4.4, 66},   {3.3, 73},
        {3.0, 79},    {2.5, 86},    {2.1, 93},    {4.6, 96.8},  {6.4, 98.4}, {6.2, 99.4}, {-2.3, 99.4},
        {-2.5, 97},   {-1.7, 92},   {-3.1, 84},   {-3.0, 78.6}, {-2.3, 73},  {-3.4, 66},  {-4.7, 60},
        {-6.4, 54.6}, {-6.2, 50.4}, {-4.6, 45.4}, {-3.3, 40.4}, {-3.6, 36},  {-4.7, 30},  {-5.2, 25},
        {-4.7, 20.6}, {-3.4, 18.2}, {-2.3, 15.5}}};
    return out;
}

constexpr double long_arm = 590;  // mm, with its hand left out
constexpr double arm_top = 19.2;
constexpr double arm_long = 33.0;
constexpr double bicep = 26.4;
constexpr double elbow = 37.5;

// From the outside: its front edge and its back edge, from the top of the cap to the wrist.
const QPolygonF& sleeve_front()
{
    static const QPolygonF out{QList<QPointF>{{-0.6, arm_top},
                                              {0.8, 19.9},
                                              {1.8, 22.2},
                                              {2.2, 26},
                                              {2.1, 31},
                                              {2.0, 36},
                                              {2.4, 42},
                                              {3.1, 48},
                                              {3.6, 52.3}}};
    return out;
}
const QPolygonF& sleeve_back()
{
    static const QPolygonF out{QList<QPointF>{{-0.6, arm_top},
                                              {-2.0, 20.0},
                                              {-3.0, 22.4},
                                              {-3.5, 26},
                                              {-3.3, 31},
                                              {-2.9, 36},
                                              {-2.1, 41},
                                              {-0.7, 46.5},
                                              {0.5, 52.3}}};
    return out;
}

// Where an edge that runs down lies at a level.
QPointF at_level(const QPolygonF& edge, double level)
{
    for (qsizetype i = 1; i < edge.size(); ++i) {
        if (edge[i].y() < level && i + 1 < edge.size()) continue;
        const double t = std::clamp((level - edge[i - 1].y()) / (edge[i].y() - edge[i - 1].y()), 0.0, 1.0);
        return edge[i - 1] + (edge[i] - edge[i - 1]) * t;
    }
    return edge.back();
}

QPolygonF down_to(const QPolygonF& edge, double level)
{
    QPolygonF out;
    for (const auto& q : edge) {
        if (q.y() < level) out << q;
    }
    return out << at_level(edge, level);
}

QPolygonF mapped(const QPolygonF& points, const ToileBody::ToScreen& at, bool mirrored = false)
{
    QPolygonF out;
    for (const auto& q : points) out << at(mirrored ? QPointF{-q.x(), q.y()} : q);
    return out;
}

QPolygonF reversed(QPolygonF q)
{
    std::reverse(q.begin(), q.end());
    return q;
}

// A closed shape of two edges, each smooth, joined straight.
QPainterPath between(const QPolygonF& one, const QPolygonF& other)
{
    QPainterPath path = smooth_through(one, false);
    path.connectPath(smooth_through(reversed(other), false));
    path.closeSubpath();
    return path;
}

}  // namespace

Wears wears_of(const Garment& g)
{
    Wears out;
    for (const auto& p : g.pieces) {
        if (p.role == PieceRole::Sleeve) {
            out.sleeve = true;
            out.sleeve_long = std::clamp(bounds(p).height() / long_arm, 0.25, 1.0);
        }
        if (!goes_round(p)) continue;
        if (has_level(p, Level::Shoulder)) {
            out.upper = true;
            out.below_waist = out.below_waist || has_level(p, Level::Hip);
        } else if (edge_index(p, EdgeRole::InnerLeg)) {
            out.legs = true;
        } else {
            out.skirt = true;
        }
    }
    return out;
}

ToileBody::Part ToileBody::part(SeenFrom from) const
{
    if (from == SeenFrom::Sleeve) return {16.4, std::max(38.0, sleeve_end() + 4), 4.6};
    const double wide = from == SeenFrom::Side ? 9.5 : wears_.upper ? 17 : 13;
    return {wears_.upper ? 0.0 : 34.0, wears_.skirt || wears_.legs ? 100.0 : 64.0, wide};
}

double ToileBody::sleeve_end() const
{
    return arm_top + arm_long * wears_.sleeve_long;
}

ToileBody::ToileBody(Proportions body, Wears wears) : body_{std::move(body)}, wears_{wears} {}

QPointF ToileBody::placed(QPointF plain) const
{
    const QPointF out = body_.trunk({std::abs(plain.x()), plain.y()}, true);
    return {plain.x() < 0 ? -out.x() : plain.x() == 0 ? 0 : out.x(), out.y()};
}

double ToileBody::hem() const
{
    if (wears_.legs) return body_.trouser_hem();
    if (wears_.skirt) return body_.hem();
    return wears_.below_waist ? body_.y(54.5) : body_.y(Proportions::waist);
}

QPolygonF ToileBody::along(std::initializer_list<QPointF> plain, double out) const
{
    QPolygonF all;
    for (const auto& q : plain) {
        const QPointF at = placed(q);
        all << QPointF{at.x() + (at.x() < 0 ? -out : out), at.y()};
    }
    return all;
}

void ToileBody::draw(QPainter& p, const Look& look, SeenFrom from, const ToScreen& at) const
{
    if (from == SeenFrom::Side) draw_side(p, look, at);
    if (!from_a_side(from)) draw_body(p, look, body_, from == SeenFrom::Back, wears_.upper, at);
    draw_cloth(p, look, from, at);
    if (from_a_side(from) && wears_.upper) draw_sleeve(p, look, at);
    draw_balance(p, look, from, at);
}

void ToileBody::draw_side(QPainter& p, const Look& look, const ToScreen& at) const
{
    const double k = std::abs(at({1, 0}).x() - at({0, 0}).x());
    QPolygonF outline;
    for (const auto& q : plain_side()) outline << placed(q);
    QPainterPath head;
    head.addEllipse(at({0.6, 7.4}), 4.9 * k, 6.0 * k);
    QPainterPath neck{at({-2.4, 10})};
    neck.lineTo(at({-2.4, 18}));
    neck.lineTo(at({1.8, 18}));
    neck.lineTo(at({1.6, 12}));
    neck.closeSubpath();
    draw_as_one(p, look, {smooth_through(mapped(outline, at), true), head, neck});
    // Hair tells where she looks.
    const QPolygonF hair{
        {{-4.4, 9.5}, {-4.3, 4.6}, {-1, 1.5}, {3.2, 2.4}, {4.2, 4.6}, {1, 5.2}, {-1.2, 8.4}, {-2.4, 12.4}}};
    p.setBrush(look.dyes().walnut_line);
    p.drawPath(smooth_through(mapped(hair, at), true));
}

// The pieces of cloth as closed shapes.
std::vector<QPainterPath> ToileBody::cloth(SeenFrom from, const ToScreen& at) const
{
    std::vector<QPainterPath> out;
    const double end = hem();
    if (from_a_side(from)) {
        const auto shape = [&](const QPolygonF& front, const QPolygonF& back) {
            out.push_back(between(mapped(front, at), mapped(back, at)));
        };
        if (wears_.skirt)
            shape(along({{4.2, 38.6}, {5.0, 43}, {5.5, 48}, {5.6, 53}}, 0.4) << QPointF{7.2, end},
                  along({{-3.4, 38.6}, {-4.8, 45}, {-6.6, 50}, {-6.9, 54}}, 0.4) << QPointF{-8.0, end});
        if (wears_.legs)
            shape(along({{4.2, 38.6}, {5.0, 43}, {5.4, 48}, {5.2, 56}, {4.8, 66}, {4.2, 78}}, 0.5)
                      << QPointF{4.2, end},
                  along({{-3.4, 38.6}, {-4.8, 45}, {-6.4, 50}, {-6.7, 54.6}, {-5.2, 61}, {-4.2, 70}, {-3.9, 80}},
                        0.5)
                      << QPointF{-3.9, end});
        if (wears_.upper) {
            QPolygonF front =
                along({{1.7, 17.6}, {3.1, 19.6}, {4.7, 22.8}, {6.3, 26.4}, {5.6, 30}, {4.9, 34}, {4.4, 39}}, 0.4);
            QPolygonF back =
                along({{-2.9, 17.2}, {-4.9, 20.6}, {-5.4, 25}, {-4.9, 30}, {-4.0, 36}, {-3.7, 39}}, 0.4);
            if (wears_.below_waist) {
                front << along({{5.2, 44}, {5.6, 49}}, 0.4) << QPointF{placed({5.7, 54}).x(), end};
                back << along({{-4.9, 45}, {-6.4, 50}}, 0.4) << QPointF{placed({-7.0, 54}).x(), end};
            }
            shape(front, back);
        }
        return out;
    }
    for (const bool other : {false, true}) {
        const auto shape = [&](const QPolygonF& outside, const QPolygonF& inside) {
            out.push_back(between(mapped(outside, at, other), mapped(inside, at, other)));
        };
        if (wears_.skirt)
            shape(along({{8.1, 38.6}, {9.0, 43}, {10.5, 47}, {11.2, 51}}, 0.4)
                      << QPointF{placed({13.4, 60}).x(), end},
                  QPolygonF{{{-0.15, placed({0, 38.9}).y()}, {-0.15, end + 0.5}}});
        if (wears_.legs)
            shape(
                along(
                    {{8.1, 38.6}, {9.0, 43}, {10.5, 47}, {11.2, 51}, {11.2, 55}, {10.4, 62}, {9.2, 70}, {8.4, 80}},
                    0.5)
                    << QPointF{placed({8.2, 88}).x() + 0.3, end},
                QPolygonF{{{-0.15, placed({0, 38.9}).y()}, {-0.15, placed({0, 55.2}).y()}}}
                    << placed({1.2, 62}) << QPointF{1.9, 76} << QPointF{2.1, end});
        if (wears_.upper) {
            QPolygonF outside = along(
                {{3.5, 17.3}, {9.9, 19.3}, {9.0, 22}, {9.5, 25.2}, {9.6, 28}, {9.0, 32}, {8.3, 36}, {8.0, 39}},
                0.35);
            if (wears_.below_waist)
                outside << along({{8.9, 43}, {10.3, 47}, {11.1, 51}}, 0.5)
                        << QPointF{placed({11.2, 54}).x() + 0.5, end};
            const double neck = from == SeenFrom::Front ? 20.6 : 17.9;
            const auto put = [&](QPointF q) { return at(other ? QPointF{-q.x(), q.y()} : q); };
            QPainterPath half = smooth_through(mapped(outside, at, other), false);
            half.lineTo(put({-0.15, end}));
            half.lineTo(put({-0.15, neck}));
            half.quadTo(put({2.7, neck}), put(outside.front()));
            out.push_back(half);
        }
        if (wears_.sleeve) {
            QPolygonF outer;
            QPolygonF inner;
            for (const auto& q : {QPointF{10.0, 19.4}, {12.1, 20.8}, {13.4, 25}, {14.2, 31}})
                outer << body_.arm(q);
            for (const auto& q : {QPointF{9.0, 22.4}, {9.4, 25.2}, {10.6, 31.6}}) inner << body_.arm(q);
            shape(outer, inner);
        }
    }
    return out;
}

void ToileBody::draw_cloth(QPainter& p, const Look& look, SeenFrom from, const ToScreen& at) const
{
    const auto& d = look.dyes();
    const auto shapes = cloth(from, at);
    // What a sleeve hangs on is drawn lightly.
    p.setPen(from == SeenFrom::Sleeve ? QPen{d.rule, 1.2} : QPen{d.walnut, 1.6});
    p.setBrush(d.paper);
    for (const auto& s : shapes) p.drawPath(s);
    if (from_a_side(from)) return;
    // Both halves are one piece of cloth.
    const double k = std::abs(at({1, 0}).x() - at({0, 0}).x());
    p.setPen(Qt::NoPen);
    const double top = wears_.upper ? (from == SeenFrom::Front ? 21.0 : 18.4) : placed({0, 39.4}).y();
    const double low = wears_.legs ? placed({0, 54.6}).y() : hem() - 0.4;
    p.drawRect(QRectF{at({-0.6, top}), at({0.6, low})}.normalized().adjusted(-k * 0.1, 0, k * 0.1, 0));
}

// The arm hangs before the cloth, the sleeve on it.
void ToileBody::draw_sleeve(QPainter& p, const Look& look, const ToScreen& at) const
{
    const auto& d = look.dyes();
    const QPolygonF arm{{{-1.9, 20.6},
                         {-2.9, 25},
                         {-2.7, 33},
                         {-2.1, 39.5},
                         {-0.6, 46},
                         {0.9, 52.2},
                         {2.3, 55.2},
                         {3.2, 54.4},
                         {3.1, 51},
                         {2.2, 45},
                         {1.5, 38},
                         {1.5, 30},
                         {1.6, 24},
                         {0.6, 20.6}}};
    p.setPen(QPen{d.walnut_line, 1.4});
    p.setBrush(d.figure);
    p.drawPath(smooth_through(mapped(arm, at), true));
    p.setPen(QPen{d.walnut, 1.6});
    p.setBrush(d.paper);
    if (wears_.sleeve) {
        // Over the cap in one line.
        QPolygonF edge = reversed(down_to(sleeve_back(), sleeve_end()));
        edge += down_to(sleeve_front(), sleeve_end()).mid(1);
        QPainterPath sleeve = smooth_through(mapped(edge, at), false);
        sleeve.closeSubpath();
        p.drawPath(sleeve);
    }
    p.drawLine(at({-0.9, 17.4}), at({-0.6, arm_top}));  // the shoulder seam
}

// Dotted, where the lines drawn on a toile run.
void ToileBody::draw_balance(QPainter& p, const Look& look, SeenFrom from, const ToScreen& at) const
{
    p.setBrush(Qt::NoBrush);
    QPen dotted{look.dyes().walnut_line, 1.1, Qt::CustomDashLine};
    dotted.setDashPattern({1, 3});
    p.setPen(dotted);
    if (from == SeenFrom::Sleeve) {
        for (const double level : {bicep, elbow}) {
            if (level < sleeve_end() - 1)
                p.drawLine(at(at_level(sleeve_back(), level)), at(at_level(sleeve_front(), level)));
        }
        QPolygonF centre;
        for (double y = arm_top; y < sleeve_end(); y += 2)
            centre << at((at_level(sleeve_back(), y) + at_level(sleeve_front(), y)) / 2);
        centre << at((at_level(sleeve_back(), sleeve_end()) + at_level(sleeve_front(), sleeve_end())) / 2);
        p.drawPath(smooth_through(centre, false));
        return;
    }
    const auto across = [&](double level) {
        const double wide = from == SeenFrom::Side ? 4.2 : body_.half_width(level);
        p.drawLine(at({-wide, body_.y(level)}), at({wide, body_.y(level)}));
    };
    if (wears_.upper) across(Proportions::bust);
    if (wears_.skirt || wears_.legs || wears_.below_waist) {
        across(Proportions::waist);
        across(Proportions::hip);
    }
    if (from == SeenFrom::Side) return;
    const double top = wears_.upper ? (from == SeenFrom::Front ? 20.6 : 17.9) : placed({0, 38.9}).y();
    p.drawLine(at({0, top}), at({0, wears_.legs ? placed({0, 55}).y() : hem()}));
}

}  // namespace sartorum::desk
