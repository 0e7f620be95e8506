#include "desk/tape/figure.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>

#include "words/words.h"

namespace sartorum::desk {
namespace {

// Half outlines, from the neck down, in figure units (height 100, y down). One neutral shape for everyone.
const QPolygonF torso{QList<QPointF>{{2.2, 15.5}, {3.4, 17.0}, {6.2, 18.1}, {9.6, 19.3}, {10.9, 22.5}, {10.2, 27},
                                     {9.4, 31},   {8.6, 35},   {8.0, 39},   {8.8, 43},   {10.2, 47},   {10.9, 51},
                                     {10.8, 55},  {10.0, 62},  {8.8, 69},   {7.6, 74},   {7.5, 79},    {6.6, 86},
                                     {5.0, 93},   {5.2, 96.5}, {5.6, 98.8}, {2.6, 99.2}, {1.9, 96},    {2.0, 90},
                                     {2.2, 80},   {1.6, 72},   {0.7, 60},   {0, 53.5}}};
const QPolygonF arm{QList<QPointF>{{9.4, 19.2},
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

// Catmull-Rom through the points.
QPainterPath smooth(const QPolygonF& pts, double mirror, const std::function<QPointF(QPointF)>& place, bool closed)
{
    QList<QPointF> q;
    for (const auto& p : pts) q << place({p.x() * mirror, p.y()});
    const auto at = [&](int i) {
        const int n = static_cast<int>(q.size());
        return closed ? q[(i + n) % n] : q[std::clamp(i, 0, n - 1)];
    };
    QPainterPath path{q[0]};
    const int last = static_cast<int>(q.size()) - (closed ? 0 : 1);
    for (int i = 0; i < last; ++i) {
        path.cubicTo(at(i) + (at(i + 1) - at(i - 1)) / 6, at(i + 1) - (at(i + 2) - at(i)) / 6, at(i + 1));
    }
    return path;
}

double half_width_at(double y)
{
    for (int i = 1; i < torso.size() - 6; ++i) {
        if (torso[i].y() >= y) {
            const double t = (y - torso[i - 1].y()) / (torso[i].y() - torso[i - 1].y());
            return torso[i - 1].x() + t * (torso[i].x() - torso[i - 1].x());
        }
    }
    return 8;
}

constexpr double waist_y = 39.0;
constexpr double hip_y = 52.0;
constexpr double hem_y = 73.0;

}  // namespace

Figure::Figure(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(520, 500);
    setAccessibleName(tr("Measures on the body"));
    connect(&room, &Room::changed, this, qOverload<>(&QWidget::update));
}

void Figure::set_current(Measure m)
{
    current_ = m;
    const auto taken = room_.body().taken(m);
    setAccessibleDescription(words::measure_name(m) + ", " +
                             (taken ? words::amount(taken->value, look_.unit()) : tr("not yet read")));
    update();
}

QPointF Figure::on_figure(double x, double y) const
{
    const double scale = (height() - 70) / 100.0;
    return {width() / 2.0 + x * scale * 1.12, 26 + y * scale};
}

QRectF Figure::tag(Measure m) const
{
    const double h = 58 * look_.scale();
    const bool left = facts(m).kind == MeasureKind::Girth;
    const bool lower = m == Measure::Hip || m == Measure::SkirtLength;
    const double y = on_figure(0, lower ? (m == Measure::SkirtLength ? 62 : 49) : (left ? 34 : 43)).y();
    const double w = 176 * look_.scale();
    return {left ? 24.0 : width() - 24.0 - w, y - h / 2, w, h};
}

// The silhouette's parts. Stroked together and then filled together they look like one shape, and nothing has to
// be united, which would be slow.
std::vector<QPainterPath> Figure::parts() const
{
    const auto place = [this](QPointF q) { return on_figure(q.x(), q.y()); };
    std::vector<QPainterPath> out;
    for (const double side : {1.0, -1.0}) {
        QPainterPath half = smooth(torso, side, place, false);
        half.lineTo(on_figure(-0.3 * side, 53.5));
        half.lineTo(on_figure(-0.3 * side, 15.5));
        half.closeSubpath();
        out.push_back(half);
        out.push_back(smooth(arm, side, place, true));
    }
    QPainterPath head;
    const double s = (height() - 70) / 100.0;
    head.addEllipse(on_figure(0, 7.4), 4.5 * s, 6.0 * s);
    out.push_back(head);
    // The neck runs in a curve from under the ear to the shoulder.
    QPainterPath neck{on_figure(-2.9, 9)};
    neck.cubicTo(on_figure(-2.5, 14), on_figure(-3.2, 16.2), on_figure(-6.4, 18.0));
    neck.lineTo(on_figure(6.4, 18.0));
    neck.cubicTo(on_figure(3.2, 16.2), on_figure(2.5, 14), on_figure(2.9, 9));
    neck.closeSubpath();
    out.push_back(neck);
    return out;
}

void Figure::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setFont(look_.cabin(18));
    p.setPen(d.ink);
    p.drawText(QRectF{24, 16, width() - 48.0, 30},
               room_.wearer_name().isEmpty() ? tr("Nobody yet") : room_.wearer_name());

    const auto body = parts();
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.walnut_line, 2.8});
    for (const auto& part : body) p.drawPath(part);
    p.setPen(Qt::NoPen);
    p.setBrush(d.figure);
    for (const auto& part : body) p.drawPath(part);
    p.setPen(QPen{d.rule, 2});
    p.drawLine(on_figure(-26, 99.6), on_figure(26, 99.6));

    for (const auto& f : all_measures) {
        draw_measure(p, f.measure);
        draw_tag(p, f.measure);
    }
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(3, 3, -3, -3), 6);
}

void Figure::draw_measure(QPainter& p, Measure m)
{
    const auto& d = look_.dyes();
    const bool here = m == current_;
    const double s = (height() - 70) / 100.0;
    QPointF anchor;
    p.setBrush(Qt::NoBrush);
    if (facts(m).kind == MeasureKind::Girth) {
        const double y = m == Measure::Waist ? waist_y : hip_y;
        const double w = half_width_at(y);
        QPainterPath line{on_figure(-w, y)};
        line.quadTo(on_figure(0, y + 2.6), on_figure(w, y));
        if (here) {
            p.setPen(QPen{d.woad, 11, Qt::SolidLine, Qt::FlatCap});
            p.drawPath(line);
            p.setPen(QPen{d.on_woad, 1.2});
            for (int i = 1; i < 24; ++i) {
                const double t = i / 24.0;
                const QPointF c = line.pointAtPercent(t);
                p.drawLine(c + QPointF{0, -5}, c + QPointF{0, i % 4 == 0 ? 2.0 : -1.0});
            }
        } else {
            p.setPen(QPen{d.walnut, 1.3});
            p.drawPath(line);
        }
        anchor = on_figure(-w, y);
    } else {
        const double end = m == Measure::WaistToHip ? hip_y : hem_y;
        const double out = m == Measure::WaistToHip ? 0.0 : 1.6;
        QPainterPath line{on_figure(half_width_at(waist_y) + out, waist_y)};
        if (m == Measure::WaistToHip) {
            for (double y = waist_y; y <= end; y += 1) line.lineTo(on_figure(half_width_at(y), y));
        } else {  // over the hip, then straight down
            line.quadTo(on_figure(half_width_at(hip_y) + out, hip_y - 6),
                        on_figure(half_width_at(hip_y) + out, hip_y + 2));
            line.lineTo(on_figure(half_width_at(hip_y) + out, end));
        }
        p.setPen(here ? QPen{d.woad, 5, Qt::SolidLine, Qt::FlatCap} : QPen{d.walnut, 1.3});
        p.drawPath(line);
        p.setPen(QPen{here ? d.woad : d.walnut, here ? 2.4 : 1.3});
        const QPointF foot = on_figure(half_width_at(hip_y) + out, end);
        p.drawLine(foot - QPointF{0.9 * s, 0}, foot + QPointF{0.9 * s, 0});
        anchor = line.pointAtPercent(m == Measure::WaistToHip ? 0.4 : 0.85);
    }
    const QRectF r = tag(m);
    const bool left = r.center().x() < width() / 2.0;
    const QPointF from = left ? QPointF{r.right() + 4, r.center().y()} : QPointF{r.left() - 4, r.center().y()};
    const QPointF bend = left ? QPointF{from.x() + 26, from.y()} : QPointF{from.x() - 26, from.y()};
    p.setPen(QPen{here ? d.woad : d.walnut_line, here ? 1.8 : 1.1});
    p.drawPolyline(QPolygonF{{from, bend, anchor}});
    p.setBrush(here ? d.woad : d.walnut);
    p.drawEllipse(anchor, 2.4, 2.4);
}

void Figure::draw_tag(QPainter& p, Measure m)
{
    const auto& d = look_.dyes();
    const QRectF r = tag(m);
    if (m == current_) {
        p.setPen(QPen{d.woad, 2});
        p.setBrush(d.woad_wash);
        p.drawRoundedRect(r, 4, 4);
    }
    const double k = look_.scale();
    p.setPen(m == current_ ? d.woad : d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    p.drawText(QPointF{r.left() + 12, r.top() + 22 * k}, words::measure_name(m));
    const auto taken = room_.body().taken(m);
    if (!taken) {
        p.setPen(d.faded);
        p.setFont(look_.lato(14));
        p.setBrush(Qt::NoBrush);
        p.drawText(QPointF{r.left() + 30, r.top() + 45 * k}, tr("not yet read"));
        p.setPen(QPen{d.edge, 1.4});
        p.drawEllipse(QPointF{r.left() + 19, r.top() + 40 * k}, 6, 6);
        return;
    }
    p.setPen(m == current_ ? d.woad : d.ink);
    const double w = draw_number(p, look_, {r.left() + 12, r.top() + 47 * k}, taken->value, look_.unit(), 22,
                                 QFont::Medium, false);
    const QPointF mark{r.left() + 12 + w + 22, r.top() + 40 * k};
    if (taken->state == ReadingState::Agree || taken->state == ReadingState::MiddleTaken)
        draw_tick(p, look_, mark, 7);
    else if (taken->state == ReadingState::ThirdAsked)
        draw_triangle(p, look_, mark, 7.5);
    else
        draw_knot(p, look_, mark, Knot::Later);
}

void Figure::mousePressEvent(QMouseEvent* e)
{
    for (const auto& f : all_measures) {
        if (tag(f.measure).adjusted(-4, -4, 4, 4).contains(e->position())) emit picked(f.measure);
    }
}

void Figure::keyPressEvent(QKeyEvent* e)
{
    const int step = e->key() == Qt::Key_Down ? 1 : e->key() == Qt::Key_Up ? -1 : 0;
    const int next = static_cast<int>(current_) + step;
    if (step != 0 && next >= 0 && next < static_cast<int>(all_measures.size())) {
        emit picked(static_cast<Measure>(next));
        return;
    }
    QWidget::keyPressEvent(e);
}

}  // namespace sartorum::desk
