#include "desk/chart/strips.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <algorithm>

#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double label_width = 190;
constexpr double answer_width = 150;
constexpr double top = 84;

}  // namespace

Strips::Strips(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(560, 440);
    setAccessibleName(tr("The wearer against every size"));
    connect(&room, &Room::changed, this, [this] {
        describe();
        update();
    });
    describe();
}

std::vector<Measure> Strips::rows() const
{
    std::vector<Measure> out{Measure::Waist, Measure::Hip};
    if (room_.chart() && room_.chart()->prints(Measure::WaistToHip)) out.push_back(Measure::WaistToHip);
    return out;
}

QRectF Strips::row_rect(std::size_t i) const
{
    const double h = std::min(190.0, (height() - top - 20) / static_cast<double>(rows().size()));
    return {10, top + h * static_cast<double>(i), width() - 20.0, h};
}

double Strips::column_x(double size) const
{
    const double n = static_cast<double>(room_.chart()->sizes.size());
    const double left = label_width + 40;
    const double right = width() - answer_width - 36;
    return left + (right - left) * size / std::max(1.0, n - 1);
}

double Strips::size_position(Measure m, Length value) const
{
    const auto& sizes = room_.chart()->sizes;
    std::size_t i = 0;
    while (i + 2 < sizes.size() && value > sizes[i + 1].body.at(m)) ++i;
    const Length a = sizes[i].body.at(m);
    const Length b = sizes[i + 1].body.at(m);
    const double t = a == b ? 0.0 : (value - a) / (b - a);
    return std::clamp(static_cast<double>(i) + t, -0.45, static_cast<double>(sizes.size()) - 0.55);
}

std::size_t Strips::chosen(Measure m) const
{
    const auto& name = m == Measure::Waist ? room_.plan().waist_size : room_.plan().hip_size;
    return room_.chart()->index_of(name).value_or(0);
}

void Strips::describe()
{
    if (!room_.chart()) return;
    QStringList out;
    for (const auto m : rows()) {
        const auto taken = room_.body().taken(m);
        const auto size = chosen(m);
        const Length printed = *room_.chart()->body(size, m);
        QString s = words::measure_name(m);
        if (taken)
            s += ", " + words::number(taken->value, look_.unit()) + tr(", plus or minus ") +
                 words::number(taken->spread, look_.unit());
        s += tr(", size %1 is ").arg(QString::fromStdString(room_.chart()->sizes[size].name)) +
             words::number(printed, look_.unit());
        if (taken) s += tr(", differs by ") + words::number(taken->value - printed, look_.unit(), true);
        out << s;
    }
    setAccessibleDescription(out.join("; "));
}

void Strips::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (!room_.chart()) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(look_.cabin(17));
    p.drawText(QPointF{20, 32}, tr("Body sizes printed by %1").arg(QString::fromStdString(room_.chart()->maker)));
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    p.drawText(QRectF{0, 18, width() - 20.0, 18}, Qt::AlignRight,
               tr("one size scale for every line; the woad mark is %1").arg(room_.wearer_name()));
    p.drawText(QPointF{20, 62},
               tr("body measure, %1").arg(QString::fromStdString(std::string{unit_text(look_.unit())})));
    p.drawText(QRectF{0, 48, width() - 20.0, 18}, Qt::AlignRight, tr("differs from the chart by"));
    const auto& sizes = room_.chart()->sizes;
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        const bool on = i == chosen(Measure::Waist) || i == chosen(Measure::Hip);
        p.setFont(look_.lato(sizes.size() > 14 ? 13 : 17, on ? QFont::DemiBold : QFont::Normal));
        p.setPen(on ? d.woad : d.ink);
        p.drawText(QRectF{column_x(double(i)) - 40, 46, 80, 24}, Qt::AlignHCenter,
                   QString::fromStdString(sizes[i].name));
    }
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF(20, top - 6.5), QPointF(width() - 20, top - 6.5));
    draw_ribbon(p);
    const auto all = rows();
    for (std::size_t i = 0; i < all.size(); ++i) draw_row(p, i, all[i]);
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(3, 3, -3, -3), 6);
}

void Strips::draw_ribbon(QPainter& p)
{
    const auto& d = look_.dyes();
    const auto all = rows();
    QPainterPath seam;
    const double x0 = column_x(double(chosen(Measure::Waist)));
    const double x1 = column_x(double(chosen(Measure::Hip)));
    const double y0 = row_rect(0).center().y();
    const double y1 = row_rect(1).center().y();
    seam.moveTo(x0, row_rect(0).top() + 6);
    seam.lineTo(x0, y0 + 24);
    seam.cubicTo({x0, (y0 + y1) / 2 + 20}, {x1, (y0 + y1) / 2 - 4}, {x1, y1});
    seam.lineTo(x1, row_rect(all.size() - 1).bottom() - 6);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.woad_wash, 24, Qt::SolidLine, Qt::FlatCap, Qt::RoundJoin});
    p.drawPath(seam);
    p.setPen(QPen{d.woad, 2.4});
    p.drawPath(seam);
}

void Strips::draw_row(QPainter& p, std::size_t row, Measure m)
{
    const auto& d = look_.dyes();
    const QRectF r = row_rect(row);
    const Unit u = look_.unit();
    const auto taken = room_.body().taken(m);
    const auto& sizes = room_.chart()->sizes;
    const std::size_t on = chosen(m);
    const Length printed = sizes[on].body.at(m);
    const double axis = r.center().y() + 16;
    if (m == current_) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen{d.woad, 1.8});
        p.drawRoundedRect(r.adjusted(4, 3, -4, -3), 5, 5);
    }
    p.setPen(d.ink);
    p.setFont(look_.lato(14, QFont::DemiBold));
    p.drawText(QPointF{24, r.center().y() - 26}, words::measure_name(m));
    if (taken) {
        p.setPen(d.woad);
        const double w =
            draw_number(p, look_, {24, r.center().y() + 12}, taken->value, u, 32, QFont::Medium, false);
        p.setPen(d.faded);
        p.setFont(look_.lato(14));
        p.drawText(QPointF{24 + w + 8, r.center().y() + 12}, "±" + words::number(taken->spread, u));
    } else {
        p.setPen(d.faded);
        p.setFont(look_.lato(14));
        p.drawText(QPointF{24, r.center().y() + 8}, tr("not yet read"));
    }
    // The axis with the maker's ticks.
    p.setPen(QPen{d.edge, 1});
    p.drawLine(QPointF(column_x(0) - 24, axis), QPointF(column_x(double(sizes.size() - 1)) + 24, axis));
    const double pitch = column_x(1) - column_x(0);
    const int every = pitch < 40 ? (pitch < 22 ? 3 : 2) : 1;
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        const double x = column_x(double(i));
        p.setPen(QPen{d.walnut, 1.6});
        p.drawLine(QPointF(x, axis - 6), QPointF(x, axis + 6));
        if (i == on || (static_cast<int>(i) - static_cast<int>(on)) % every != 0) continue;
        p.setPen(d.walnut);
        p.setFont(look_.lato(13.5));
        p.drawText(QRectF{x - 40, axis + 10, 80, 22}, Qt::AlignHCenter, words::number(sizes[i].body.at(m), u));
    }
    const QString chosen_text = words::number(printed, u);
    p.setFont(look_.lato(15, QFont::DemiBold));
    const double sw = p.fontMetrics().horizontalAdvance(chosen_text) + 18;
    const QRectF swatch{column_x(double(on)) - sw / 2, axis + 8, sw, 26};
    // The bar from the chosen tick to the wearer: dotted when larger, hatched when smaller.
    if (taken) {
        const double from = column_x(double(on));
        const double to = column_x(size_position(m, taken->value));
        if (std::abs(to - from) > 1) {
            const QRectF bar{std::min(from, to), axis - 34, std::abs(to - from), 12};
            p.setBrush(to > from ? look_.dots() : look_.hatch());
            p.setPen(QPen{to > from ? d.weld_ink : d.madder, 1});
            p.drawRect(bar);
        }
        const double low = column_x(size_position(m, taken->value - taken->spread));
        const double high = column_x(size_position(m, taken->value + taken->spread));
        p.setPen(QPen{d.woad, 2});
        p.drawLine(QPointF(low, axis - 28), QPointF(high, axis - 28));
        for (const double x : {low, high}) p.drawLine(QPointF(x, axis - 33), QPointF(x, axis - 23));
        p.setBrush(d.woad);
        p.setPen(QPen{d.sheet, 1.5});
        p.drawPolygon(QPolygonF{{{to, axis - 38}, {to + 8, axis - 28}, {to, axis - 18}, {to - 8, axis - 28}}});
    }
    p.setPen(Qt::NoPen);
    p.setBrush(d.woad);
    p.drawPolygon(pinked(swatch, 4));
    p.setPen(d.on_woad);
    p.drawText(swatch, Qt::AlignCenter, chosen_text);

    const QRectF answer{width() - answer_width - 24.0, r.top(), answer_width, r.height()};
    if (!taken) return;
    const Length difference = taken->value - printed;
    p.setPen(d.ink);
    const double w = number_width(look_, difference, u, 28, QFont::Normal, true);
    draw_number(p, look_, {answer.right() - w, r.center().y() - 2}, difference, u, 28, QFont::Normal, true);
    const bool inside = abs(difference) <= taken->spread;
    p.setFont(look_.lato(12.5, QFont::DemiBold));
    p.setPen(inside ? d.lichen_ink : d.woad);
    const QString text = inside ? tr("within measuring") : tr("→ answered in Plan");
    const QRectF line{answer.left(), r.center().y() + 8, answer.width(), 20};
    p.drawText(line, Qt::AlignRight, text);
    if (inside)
        draw_tick(p, look_, {line.right() - p.fontMetrics().horizontalAdvance(text) - 12, line.center().y() - 2.5},
                  6);
}

void Strips::mousePressEvent(QMouseEvent* e)
{
    const auto all = rows();
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (!row_rect(i).contains(e->position())) continue;
        current_ = all[i];
        const double x = e->position().x();
        if (x > column_x(0) - 24 && x < column_x(double(room_.chart()->sizes.size() - 1)) + 24) {
            const double pitch = column_x(1) - column_x(0);
            const auto size =
                std::clamp<long>(std::lround((x - column_x(0)) / pitch), 0, long(room_.chart()->sizes.size()) - 1);
            emit size_picked(current_, static_cast<std::size_t>(size));
        }
        update();
    }
}

void Strips::keyPressEvent(QKeyEvent* e)
{
    const auto all = rows();
    const auto here = std::find(all.begin(), all.end(), current_);
    switch (e->key()) {
        case Qt::Key_Up:
            if (here != all.begin()) current_ = *(here - 1);
            break;
        case Qt::Key_Down:
            if (here + 1 != all.end()) current_ = *(here + 1);
            break;
        case Qt::Key_Left: emit size_wanted(current_, -1); break;
        case Qt::Key_Right: emit size_wanted(current_, 1); break;
        case Qt::Key_B: emit blend_wanted(); break;
        case Qt::Key_Return:
        case Qt::Key_Enter: emit onwards(); break;
        default: return QWidget::keyPressEvent(e);
    }
    update();
}

}  // namespace sartorum::desk
