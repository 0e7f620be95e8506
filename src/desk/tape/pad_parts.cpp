#include "desk/tape/pad_parts.h"

#include <QLocale>
#include <algorithm>

#include "words/words.h"

namespace sartorum::desk {

Hero::Hero(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedHeight(74);
}

void Hero::show(std::optional<Taken> taken)
{
    taken_ = taken;
    setFixedHeight(static_cast<int>(74 * look_.scale()));
    update();
}

void Hero::show_live(std::optional<Length> live)
{
    live_ = live;
    update();
}

std::optional<Length> Hero::value() const
{
    return live_ ? live_ : taken_ ? std::optional{taken_->value} : std::nullopt;
}

void Hero::paintEvent(QPaintEvent*)
{
    const auto shown = value();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const auto& d = look_.dyes();
    const double base = 66 * look_.scale();
    // Both units stand beside each other; the large one gives way when they would meet.
    const Unit beside = look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch;
    double large = 70;
    while (shown && large > 30 &&
           number_width(look_, *shown, look_.unit(), large, QFont::Medium, false) +
                   number_width(look_, *shown, beside, 24, QFont::Normal, false) + 76 * look_.scale() >
               width()) {
        large -= 4;
    }
    if (!shown) {
        p.setPen(d.edge);
        p.setFont(look_.lato(50, QFont::Medium));
        p.drawText(QPointF{0, base}, "–");
        return;
    }
    p.setPen(live_ ? d.walnut : d.woad);
    const double w = draw_number(p, look_, {0, base}, *shown, look_.unit(), large, QFont::Medium, false);
    p.setFont(look_.lato(22));
    p.drawText(QPointF{w + 8, base}, QString::fromStdString(std::string{unit_text(look_.unit())}));
    const Unit other = look_.unit() == Unit::Inch ? Unit::Centimetre : Unit::Inch;
    p.setPen(d.ink);
    const double ow = number_width(look_, *shown, other, 24, QFont::Normal, false);
    const QString unit = " " + QString::fromStdString(std::string{unit_text(other)});
    p.setFont(look_.lato(14));
    const double uw = p.fontMetrics().horizontalAdvance(unit);
    draw_number(p, look_, {width() - ow - uw - 2, base}, *shown, other, 24, QFont::Normal, false);
    p.drawText(QPointF{width() - uw, base}, unit);
}

ReadingStrip::ReadingStrip(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedHeight(40);
}

void ReadingStrip::show(Measure m, std::vector<Length> readings)
{
    measure_ = m;
    readings_ = std::move(readings);
    setVisible(!readings_.empty());
    update();
}

void ReadingStrip::paintEvent(QPaintEvent*)
{
    const auto taken = take(measure_, readings_);
    if (!taken) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const Length allowed = facts(measure_).disagree();
    const Length span = std::max(allowed * 1.4, taken->apart * 1.3);
    const Length middle = taken->value;
    const auto x = [&](Length l) { return width() / 2.0 + (l - middle) / span * (width() - 24.0); };
    p.fillRect(QRectF{x(middle - allowed / 2.0), 6, x(middle + allowed / 2.0) - x(middle - allowed / 2.0), 24},
               d.lichen_wash);
    p.setPen(QPen{d.edge, 1});
    p.drawLine(QPointF(6, 32.5), QPointF(width() - 6, 32.5));
    for (const auto r : readings_) {
        const bool far = abs(r - middle) > allowed;
        p.setPen(QPen{far ? d.madder : d.woad, 2});
        p.drawLine(QPointF(x(r), 32), QPointF(x(r), 12));
        p.setBrush(far ? d.madder : d.woad);
        if (far)
            p.drawPolygon(QPolygonF{{{x(r), 4}, {x(r) + 5, 13}, {x(r) - 5, 13}}});
        else
            p.drawEllipse(QPointF(x(r), 11), 3.4, 3.4);
    }
}

Trend::Trend(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedHeight(78);
}

void Trend::show(std::vector<Point> points)
{
    constexpr std::size_t most = 6;
    if (points.size() > most) points.erase(points.begin(), points.end() - static_cast<std::ptrdiff_t>(most));
    points_ = std::move(points);
    setVisible(points_.size() > 1);
    setFixedHeight(static_cast<int>(60 + 18 * look_.scale()));
    QStringList spoken;
    for (const auto& p : points_)
        spoken << QLocale{QLocale::English}.toString(p.date, "d MMMM yyyy") + ": " +
                      words::amount(p.value, look_.unit());
    setAccessibleName(spoken.join("; "));
    update();
}

void Trend::paintEvent(QPaintEvent*)
{
    if (points_.size() < 2) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const auto [low, high] = std::minmax_element(points_.begin(), points_.end(),
                                                 [](const Point& a, const Point& b) { return a.value < b.value; });
    const double span = std::max(10.0, (high->value - low->value).in_mm());
    const double middle = (high->value + low->value).in_mm() / 2;
    const double foot = 20 * look_.scale();
    const double top = 26;
    const double days = std::max<double>(1, static_cast<double>(points_.front().date.daysTo(points_.back().date)));
    const auto x = [&](const Point& q) {
        return 26 + (width() - 52) * static_cast<double>(points_.front().date.daysTo(q.date)) / days;
    };
    const auto y = [&](const Point& q) {
        const double room = height() - foot - top - 8;
        return top + room * (0.5 - (q.value.in_mm() - middle) / span * 0.9);
    };
    QPolygonF line;
    for (const auto& q : points_) line << QPointF{x(q), y(q)};
    p.setPen(QPen{d.walnut, 1.8});
    p.drawPolyline(line);
    double taken_to = -1e9;
    for (std::size_t i = 0; i < points_.size(); ++i) {
        const auto& q = points_[i];
        p.setPen(QPen{q.here ? d.woad : d.walnut, 1.8});
        p.setBrush(q.here ? d.woad : d.sheet);
        p.drawEllipse(line[static_cast<int>(i)], q.here ? 5.0 : 3.6, q.here ? 5.0 : 3.6);
        // Words only where they do not run into the ones before.
        const bool last = i + 1 == points_.size();
        if (!last && (x(q) - taken_to < 56 || x(points_.back()) - x(q) < 56)) continue;
        taken_to = x(q);
        p.setFont(look_.lato(13, q.here ? QFont::DemiBold : QFont::Normal));
        p.setPen(q.here ? d.woad : d.ink);
        p.drawText(QRectF{x(q) - 34, y(q) - 25, 68, 18}, Qt::AlignCenter, words::number(q.value, look_.unit()));
        p.setFont(look_.lato(12.5));
        p.setPen(d.faded);
        p.drawText(QRectF{x(q) - 40, height() - foot, 80, foot}, Qt::AlignCenter,
                   QLocale{QLocale::English}.toString(q.date, days > 300 ? "MMM yyyy" : "d MMM"));
    }
}

}  // namespace sartorum::desk
