#include "desk/tape/figure.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <algorithm>
#include <functional>

#include "desk/shared/body_drawing.h"
#include "desk/shared/smooth_path.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr std::size_t most_on_a_page = 12;
constexpr double head_room = 78;
constexpr double foot_room = 74;

bool is_seated(Measure m)
{
    return facts(m).view == View::Seated;
}

// On the seated figure, seen from the side.
MeasureLine seated_line(Measure m)
{
    switch (m) {
        case Measure::BodyRise: return {QPolygonF{{{-3.2, 46}, {-4.6, 52}, {-4.6, 62}}}, false, {-4.6, 55}, true};
        case Measure::SeatedWaist:
            return {QPolygonF{{{-9.4, 46}, {-2.4, 47.4}, {4.4, 46}}}, true, {4.4, 46}, false};
        case Measure::SeatedHip: return {QPolygonF{{{-11.6, 57}, {-3, 59.4}, {6.0, 55}}}, true, {-11.6, 57}, true};
        case Measure::SeatedFrontRise:
            return {QPolygonF{{{4.4, 46}, {4.2, 52}, {3.2, 58}, {2, 63.2}}}, false, {4.2, 52}, false};
        case Measure::SeatedBackRise:
            return {QPolygonF{{{-9.4, 46}, {-11.4, 54}, {-11.6, 60}, {-8, 63.2}, {2, 63.2}}},
                    false,
                    {-11.5, 57},
                    true};
        default: return {QPolygonF{{{10, 52.2}, {11.4, 57}, {10.4, 61.6}}}, true, {10, 52.4}, false};
    }
}

}  // namespace

Figure::Figure(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(520, 500);
    setAccessibleName(tr("Measures on the body"));
    refresh_when_shown(
        this,
        [this] {
            lay_out();
            update();
        },
        room, look);
}

void Figure::set_current(Measure m)
{
    current_ = m;
    lay_out();
    // The picture's spoken twin: the measure in hand first, then the others on this page.
    const auto spoken = [&](Measure k) {
        const auto taken = room_.body().taken(k);
        return words::measure_name(k) + ", " +
               (taken ? words::amount(taken->value, look_.unit()) : tr("not yet read"));
    };
    QStringList all{spoken(m)};
    for (const auto k : page()) {
        if (k != m) all << spoken(k);
    }
    setAccessibleDescription(all.join("; "));
    update();
}

std::vector<std::vector<Measure>> Figure::pages() const
{
    std::vector<std::vector<Measure>> out;
    const auto round = room_.measures();
    const auto of = [&](View v) {
        return std::count_if(round.begin(), round.end(), [&](Measure m) { return facts(m).view == v; });
    };
    const bool joined = of(View::Front) + of(View::Legs) <= static_cast<long>(most_on_a_page);
    std::optional<View> last;
    for (const auto m : round) {
        const View v = facts(m).view;
        const bool same = last && (*last == v || (joined && *last == View::Front && v == View::Legs));
        if (!same) {
            out.emplace_back();
            last = v;
        }
        out.back().push_back(m);
    }
    return out;
}

std::vector<Measure> Figure::page() const
{
    const auto all = pages();
    for (const auto& p : all) {
        if (std::find(p.begin(), p.end(), current_) != p.end()) return p;
    }
    return all.empty() ? std::vector<Measure>{} : all.front();
}

double Figure::unit() const
{
    return (height() - head_room - foot_room) / 100.0;
}

QPointF Figure::at(QPointF q) const
{
    return {width() / 2.0 + q.x() * unit() * 1.12, head_room - 10 + q.y() * unit()};
}

MeasureLine Figure::placed(Measure m) const
{
    return is_seated(m) ? seated_line(m) : line_of(m, body_);
}

void Figure::resizeEvent(QResizeEvent*)
{
    lay_out();
}

// Tags stand in two columns, each near its line, none on another.
void Figure::lay_out()
{
    body_ = Proportions{room_.body()};
    tags_.clear();
    const auto all = page();
    std::vector<Measure> columns[2];
    for (const auto m : all) columns[placed(m).tag_left ? 0 : 1].push_back(m);
    constexpr std::size_t most_in_a_column = 9;
    for (int c = 0; c < 2; ++c) {
        while (columns[c].size() > most_in_a_column) {
            columns[1 - c].push_back(columns[c].back());
            columns[c].pop_back();
        }
    }
    const double k = look_.scale();
    const double w = 172 * k;
    const double top = 70 * std::max(1.0, k);
    const double bottom = height() - 62.0;
    for (int c = 0; c < 2; ++c) {
        auto& column = columns[c];
        std::stable_sort(column.begin(), column.end(),
                         [&](Measure a, Measure b) { return placed(a).anchor.y() < placed(b).anchor.y(); });
        const double n = static_cast<double>(column.size());
        const double pitch = std::min(64.0 * k, (bottom - top) / std::max(1.0, n));
        const double h = pitch - 6;
        std::vector<double> y;
        for (const auto m : column) {
            const double wanted = at(placed(m).anchor).y() - 14 * k;
            y.push_back(std::max(y.empty() ? top + h / 2 : y.back() + pitch, wanted));
        }
        // What ran over the lower edge pushes back up.
        for (std::size_t i = column.size(); i-- > 0;) {
            const double most = i + 1 == column.size() ? bottom - h / 2 : y[i + 1] - pitch;
            y[i] = std::min(y[i], most);
            tags_[column[i]] = QRectF{c == 0 ? 20.0 : width() - 20.0 - w, y[i] - h / 2, w, h};
        }
    }
}

void Figure::draw_seated(QPainter& p) const
{
    const auto& d = look_.dyes();
    const QPolygonF outline{
        QList<QPointF>{{-3.6, 20}, {-0.4, 20.6}, {2.2, 24},  {4.2, 30},  {4.6, 36},    {4.2, 42},   {4.6, 48},
                       {8, 51},    {16, 51.6},   {23, 52.6}, {26, 55.4}, {26.4, 60},   {25.6, 68},  {25, 78},
                       {24, 88},   {24.4, 94.4}, {30, 97.4}, {30, 99.4}, {20.4, 99.4}, {19.8, 94},  {19.4, 84},
                       {19.6, 74}, {19, 65},     {12, 63.2}, {2, 63.2},  {-8, 63.2},   {-11.6, 60}, {-11.4, 54},
                       {-9.6, 47}, {-9.2, 40},   {-9.8, 33}, {-9, 26},   {-6.6, 21.4}}};
    QPolygonF placed_outline;
    for (const auto& q : outline) placed_outline << at(q);
    QPainterPath body = smooth_through(placed_outline, true);
    QPainterPath head;
    head.addEllipse(at({-1.2, 10.6}), 5.0 * unit(), 6.0 * unit());
    QPainterPath neck{at({-5, 13})};
    neck.lineTo(at({-5.2, 22}));
    neck.lineTo(at({0.4, 22}));
    neck.lineTo(at({0.2, 15}));
    neck.closeSubpath();
    p.setPen(QPen{d.edge, 3, Qt::SolidLine, Qt::RoundCap});
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(QPolygonF{{at({-14, 36}), at({-14, 64.4}), at({14, 64.4}), at({14, 99.4})}});
    p.drawLine(at({-14, 64.4}), at({-14, 99.4}));
    draw_as_one(p, look_, {body, head, neck});
    // The arm rests on the thigh.
    p.setPen(QPen{d.walnut_line, 1.3});
    p.setBrush(Qt::NoBrush);
    p.drawPath(smooth_through(QPolygonF{{at({-3, 25}), at({-4.4, 34}), at({-2.6, 43}), at({6, 48}), at({14, 51})}},
                              false));
    p.setPen(QPen{d.rule, 2});
    p.drawLine(at({-26, 99.6}), at({34, 99.6}));
}

void Figure::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    if (is_seated(current_)) {
        draw_seated(p);
    } else {
        draw_body(p, look_, body_, facts(current_).view == View::Back, true, [this](QPointF q) { return at(q); });
        p.setPen(QPen{look_.dyes().rule, 2});
        p.drawLine(at({-26, 99.6}), at({26, 99.6}));
    }
    for (const auto& [m, rect] : tags_) {
        if (m != current_) draw_line(p, m);
    }
    if (tags_.contains(current_)) draw_line(p, current_);
    for (const auto& [m, rect] : tags_) draw_tag(p, m);
    draw_pages(p);
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(3, 3, -3, -3), 6);
}

void Figure::draw_line(QPainter& p, Measure m)
{
    const auto& d = look_.dyes();
    const bool here = m == current_;
    const auto line = placed(m);
    QPolygonF points;
    for (const auto& q : line.points) points << at(q);
    const QPainterPath path = smooth_through(points, false);
    p.setBrush(Qt::NoBrush);
    if (here && line.round) {
        p.setPen(QPen{d.woad, 11, Qt::SolidLine, Qt::FlatCap});
        p.drawPath(path);
        p.setPen(QPen{d.on_woad, 1.2});
        const int ticks = std::clamp(static_cast<int>(path.length() / 8), 4, 26);
        for (int i = 1; i < ticks; ++i) {
            const double t = path.percentAtLength(path.length() * i / ticks);
            const QPointF c = path.pointAtPercent(t);
            const double a = (path.angleAtPercent(t) + 90) * M_PI / 180;
            const QPointF across{std::cos(a), -std::sin(a)};
            p.drawLine(c + across * 5, c + across * (i % 4 == 0 ? -2.0 : 1.0));
        }
    } else {
        p.setPen(here ? QPen{d.woad, 4.5, Qt::SolidLine, Qt::FlatCap} : QPen{d.walnut, 1.3});
        p.drawPath(path);
        if (!line.round) {  // where the tape is held at both ends
            for (const double end : {0.0, 1.0}) {
                const double a = (path.angleAtPercent(end) + 90) * M_PI / 180;
                const QPointF across = QPointF{std::cos(a), -std::sin(a)} * (here ? 7 : 4);
                const QPointF c = path.pointAtPercent(end);
                p.setPen(QPen{here ? d.woad : d.walnut, here ? 2.4 : 1.3});
                p.drawLine(c - across, c + across);
            }
        }
    }
    const QRectF r = tags_.at(m);
    const bool left = r.center().x() < width() / 2.0;
    const QPointF anchor = at(line.anchor);
    const QPointF from = left ? QPointF{r.right() + 3, r.center().y()} : QPointF{r.left() - 3, r.center().y()};
    const QPointF bend = from + QPointF{left ? 22.0 : -22.0, 0};
    p.setPen(QPen{here ? d.woad : d.walnut_line, here ? 1.8 : 1.0});
    p.drawPolyline(QPolygonF{{from, bend, anchor}});
    p.setBrush(here ? d.woad : d.walnut);
    p.drawEllipse(anchor, 2.4, 2.4);
}

void Figure::draw_tag(QPainter& p, Measure m)
{
    const auto& d = look_.dyes();
    const QRectF r = tags_.at(m);
    const bool here = m == current_;
    if (here) {
        p.setPen(QPen{d.woad, 2});
        p.setBrush(d.woad_wash);
        p.drawRoundedRect(r, 4, 4);
    }
    const double k = look_.scale();
    const double line = r.height() / 2;
    const double name_base = r.top() + line - 4 * k;
    const double value_base = r.bottom() - line * 0.28;
    p.setPen(here ? d.woad : d.ink);
    p.setFont(look_.lato(r.height() < 48 * k ? 13 : 14, QFont::DemiBold));
    p.drawText(
        QPointF{r.left() + 10, name_base},
        p.fontMetrics().elidedText(words::measure_name(m), Qt::ElideRight, static_cast<int>(r.width() - 14)));
    const auto taken = room_.body().taken(m);
    if (!taken) {
        p.setPen(d.faded);
        p.setFont(look_.lato(13));
        p.drawText(QPointF{r.left() + 28, value_base}, tr("not yet read"));
        p.setPen(QPen{d.edge, 1.4});
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(QPointF{r.left() + 16, value_base - 5 * k}, 5.5, 5.5);
        return;
    }
    p.setPen(here ? d.woad : d.ink);
    const double w = draw_number(p, look_, {r.left() + 10, value_base}, taken->value, look_.unit(),
                                 r.height() < 42 * k ? 17 : 21, QFont::Medium, false);
    const QPointF mark{r.left() + 10 + w + 18, value_base - 7 * k};
    const bool questioned = !sense_of(m, room_.body()).empty();
    if (taken->state == ReadingState::ThirdAsked || taken->state == ReadingState::NoneAgree || questioned)
        draw_triangle(p, look_, mark, 7.5);
    else if (taken->settled())
        draw_tick(p, look_, mark, 6.5);
    else
        draw_knot(p, look_, mark, Knot::Later);
    const auto stale = room_.stale();
    const bool old = std::any_of(stale.begin(), stale.end(), [&](const Stale& s) { return s.measure == m; });
    if (old) {
        p.setPen(d.weld_ink);
        p.setFont(look_.lato(12.5, QFont::DemiBold));
        p.drawText(mark + QPointF{13, 5 * k}, tr("old"));
    }
}

// The views of the round, as knots on a thread.
void Figure::draw_pages(QPainter& p)
{
    const auto& d = look_.dyes();
    const auto all = pages();
    page_marks_.clear();
    if (all.size() < 2) return;
    const double y = height() - 36.0;
    const double pitch = std::min(170.0, (width() - 80.0) / static_cast<double>(all.size()));
    const double x0 = width() / 2.0 - pitch * static_cast<double>(all.size() - 1) / 2;
    const auto here = page();
    for (std::size_t i = 0; i < all.size(); ++i) {
        const double x = x0 + pitch * static_cast<double>(i);
        const bool done = std::all_of(all[i].begin(), all[i].end(),
                                      [&](Measure m) { return room_.body().taken(m).has_value(); });
        if (i + 1 < all.size()) draw_thread(p, look_, {x + 10, y}, {x + pitch - 10, y}, done);
        draw_knot(p, look_, {x, y}, all[i] == here ? Knot::Here : done ? Knot::Done : Knot::Later);
        const QString name = words::view_name(facts(all[i].front()).view);
        p.setFont(fitting(look_.lato(12.5, all[i] == here ? QFont::DemiBold : QFont::Normal), name, pitch - 6));
        p.setPen(all[i] == here ? d.woad : d.faded);
        const QRectF text{x - pitch / 2, y + 8, pitch, 20};
        p.drawText(text, Qt::AlignHCenter, name);
        page_marks_.push_back(QRectF{x - pitch / 2, y - 14, pitch, 44});
    }
}

void Figure::mousePressEvent(QMouseEvent* e)
{
    for (const auto& [m, rect] : tags_) {
        if (rect.adjusted(-3, -3, 3, 3).contains(e->position())) return emit picked(m);
    }
    const auto all = pages();
    for (std::size_t i = 0; i < page_marks_.size(); ++i) {
        if (page_marks_[i].contains(e->position())) return emit picked(all[i].front());
    }
}

void Figure::keyPressEvent(QKeyEvent* e)
{
    const auto round = room_.measures();
    const auto here = std::find(round.begin(), round.end(), current_);
    if (e->key() == Qt::Key_Down && here != round.end() && here + 1 != round.end())
        return emit picked(*(here + 1));
    if (e->key() == Qt::Key_Up && here != round.begin() && here != round.end()) return emit picked(*(here - 1));
    QWidget::keyPressEvent(e);
}

}  // namespace sartorum::desk
