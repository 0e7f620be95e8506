#include "desk/chart/strips.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <algorithm>

#include "desk/chart/ease_table.h"
#include "desk/chart/place_among.h"
#include "desk/shared/acts.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double label_width = 190;
constexpr double answer_width = 150;
constexpr double top = 84;
constexpr double girth_height = 84;
constexpr double length_height = 57;
constexpr double gap_before_lengths = 30;

bool is_girth(Measure m)
{
    return facts(m).kind == MeasureKind::Girth && m != Measure::UpperArm && m != Measure::Wrist;
}

// Girths first, then the lengths and the arm.
constexpr Measure shown[] = {Measure::HighBust,
                             Measure::Bust,
                             Measure::Underbust,
                             Measure::Waist,
                             Measure::HighHip,
                             Measure::Hip,
                             Measure::Thigh,
                             Measure::Knee,
                             Measure::Calf,
                             Measure::ShoulderLength,
                             Measure::CrossShoulder,
                             Measure::AcrossFront,
                             Measure::AcrossBack,
                             Measure::BackWaistLength,
                             Measure::FrontWaistLength,
                             Measure::BustDepth,
                             Measure::WaistToHip,
                             Measure::BodyRise,
                             Measure::CrotchLength,
                             Measure::FrontRise,
                             Measure::BackRise,
                             Measure::InsideLeg,
                             Measure::UpperArm,
                             Measure::ArmLength,
                             Measure::Wrist};

// What the paper of a skirt or of trousers answers.
bool below_the_waist(Measure m)
{
    constexpr std::array all{Measure::Waist,     Measure::Hip,      Measure::WaistToHip,
                             Measure::Thigh,     Measure::Knee,     Measure::BodyRise,
                             Measure::FrontRise, Measure::BackRise, Measure::InsideLeg};
    return std::find(all.begin(), all.end(), m) != all.end();
}

bool answers(GarmentKind kind, Measure m)
{
    const bool skirt_level = m == Measure::Waist || m == Measure::HighHip || m == Measure::Hip;
    switch (kind) {
        case GarmentKind::Skirt: return skirt_level || m == Measure::WaistToHip;
        case GarmentKind::Trousers:
            return skirt_level || m == Measure::WaistToHip || m == Measure::Thigh || m == Measure::BodyRise ||
                   m == Measure::CrotchLength || m == Measure::FrontRise || m == Measure::BackRise ||
                   m == Measure::Knee || m == Measure::Calf || m == Measure::InsideLeg;
        case GarmentKind::AllInOne: return true;
        case GarmentKind::Bra: return m == Measure::HighBust || m == Measure::Bust || m == Measure::Underbust;
        case GarmentKind::Top:
        case GarmentKind::Dress:
            return m != Measure::HighHip && (m == Measure::Waist || m == Measure::Hip ||
                                             m == Measure::WaistToHip || !answers(GarmentKind::Trousers, m));
    }
    return true;
}

}  // namespace

Strips::Strips(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(560, 440);
    setObjectName("strips");
    setAccessibleName(tr("The wearer against every size"));
    refresh_when_shown(
        this,
        [this] {
            describe();
            update();
        },
        room);
    describe();
}

std::vector<Measure> Strips::rows() const
{
    std::vector<Measure> out;
    if (!room_.chart()) return out;
    constexpr std::size_t most = 10;  // what stays readable at the least window
    for (const auto m : shown) {
        const bool there = drafted(*room_.chart(), 0, m).has_value() && answers(room_.plan().choosing.kind, m);
        // The levels a size is chosen at are always there; of the others those that are read come first.
        if (there && (is_girth(m) || room_.body().taken(m)) && out.size() < most) out.push_back(m);
    }
    for (const auto m : shown) {
        const bool there = drafted(*room_.chart(), 0, m).has_value() && answers(room_.plan().choosing.kind, m);
        if (there && !is_girth(m) && !room_.body().taken(m) && out.size() < most) out.push_back(m);
    }
    return out;
}

QRectF Strips::row_rect(std::size_t wanted) const
{
    const auto all = rows();
    const auto height_of = [](Measure m) { return is_girth(m) ? girth_height : length_height; };
    double sum = 0;
    bool lengths = false;
    for (const auto m : all) {
        sum += height_of(m);
        lengths = lengths || !is_girth(m);
    }
    const double gap = lengths && all.size() > 4 ? gap_before_lengths : 0;
    const double k = std::min(2.3, (height() - top - 14 - gap) / std::max(1.0, sum));
    double y = top;
    bool below = false;
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (!is_girth(all[i]) && !below) {
            below = true;
            y += gap;
        }
        const double h = height_of(all[i]) * k;
        if (i == wanted) return {10, y, width() - 20.0, h};
        y += h;
    }
    return {};
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
    const auto& c = *room_.chart();
    std::vector<Length> printed;
    for (std::size_t i = 0; i < c.sizes.size(); ++i) printed.push_back(*drafted(c, i, m));
    return place_among(printed, value, chosen(m));
}

std::size_t Strips::chosen(Measure m) const
{
    return size_at(room_.choice(), m);
}

void Strips::describe()
{
    if (!room_.chart()) return;
    const auto all = rows();
    if (!all.empty() && std::find(all.begin(), all.end(), current_) == all.end()) current_ = all.front();
    QStringList out;
    for (const auto m : all) {
        const auto taken = room_.body().taken(m);
        const auto size = chosen(m);
        const Length printed = *drafted(*room_.chart(), size, m);
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
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    draw_head(p);
    draw_ribbon(p);
    const auto all = rows();
    for (std::size_t i = 0; i < all.size(); ++i) draw_row(p, i, all[i]);
    if (hasFocus()) draw_focus(p, look_, QRectF{rect()}.adjusted(3, 3, -3, -3), 6);
}

void Strips::draw_head(QPainter& p)
{
    const auto& d = look_.dyes();
    const auto& chart = *room_.chart();
    p.setPen(d.ink);
    const QString title = chart.bodies_assumed ? tr("Bodies that the finished sizes serve")
                          : chart.maker.empty()
                              ? tr("Body sizes of “%1”").arg(words::chart_name(chart))
                              : tr("Body sizes printed by %1").arg(QString::fromStdString(chart.maker));
    const QString differs = tr("differs from the chart by");
    const QString scale_said = tr("one size scale for every line; the woad mark is %1").arg(room_.wearer_name());
    const QFontMetricsF small{look_.lato(12.5)};
    // Beside the sizes where there is room, else above them; the explanation only where nothing else wants its
    // place.
    const double sizes_end = column_x(double(chart.sizes.size()) - 1) + 12;
    const bool beside = sizes_end + small.horizontalAdvance(differs) + 4 < width() - 20;
    const double taken = beside ? 0 : small.horizontalAdvance(differs) + 24;
    const QFont heading = fitting(look_.cabin(17), title, width() - 40.0 - taken, 0.6);
    p.setFont(heading);
    p.drawText(QPointF{20, 32}, title);
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    const double title_end = 20 + QFontMetricsF{heading}.horizontalAdvance(title) + 24;
    if (beside && title_end + small.horizontalAdvance(scale_said) < width() - 20)
        p.drawText(QRectF{0, 18, width() - 20.0, 18}, Qt::AlignRight | Qt::TextDontClip, scale_said);
    p.drawText(QPointF{20, 62},
               tr("body measure, %1").arg(QString::fromStdString(std::string{unit_text(look_.unit())})));
    p.drawText(QRectF{0, beside ? 48.0 : 12.0, width() - 20.0, 24}, Qt::AlignRight | Qt::TextDontClip, differs);
    const auto& sizes = chart.sizes;
    const auto c = room_.choice();
    const double pitch = column_x(1) - column_x(0);
    for (std::size_t i = 0; i < sizes.size(); ++i) {
        const bool on = i == c.waist_size || i == c.hip_size || i == c.bust_size;
        p.setFont(look_.lato(pitch < 34 ? 13 : 17, on ? QFont::DemiBold : QFont::Normal));
        p.setPen(on ? d.woad : d.ink);
        p.drawText(QRectF{column_x(double(i)) - 40, 46, 80, 24}, Qt::AlignHCenter,
                   QString::fromStdString(sizes[i].name));
    }
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF(20, top - 6.5), QPointF(width() - 20, top - 6.5));
    const auto all = rows();
    const auto first_length = std::find_if(all.begin(), all.end(), [](Measure m) { return !is_girth(m); });
    if (first_length == all.end() || first_length == all.begin() || all.size() <= 4) return;
    const auto i = static_cast<std::size_t>(first_length - all.begin());
    const double y = row_rect(i).top() - 9;
    p.setFont(look_.lato(14, QFont::DemiBold));
    p.setPen(d.ink);
    const bool arm = std::any_of(all.begin(), all.end(),
                                 [](Measure m) { return m == Measure::UpperArm || m == Measure::Wrist; });
    const QString lengths = arm ? tr("Lengths and arm") : tr("Lengths");
    p.drawText(QPointF{24, y}, lengths);
    const double w = p.fontMetrics().horizontalAdvance(lengths);
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    p.drawText(QPointF{24 + w + 12, y}, tr("set right on paper, not by changing size"));
}

// Through the levels at which a size is chosen, from the uppermost girth to the lowest.
void Strips::draw_ribbon(QPainter& p)
{
    const auto& d = look_.dyes();
    const auto all = rows();
    std::vector<QPointF> through;
    double end = 0;
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (!is_girth(all[i])) continue;
        const auto r = row_rect(i);
        through.push_back({column_x(double(chosen(all[i]))), r.center().y()});
        end = r.bottom() - 4;
    }
    if (through.empty()) return;
    QPainterPath seam{QPointF{through.front().x(), top}};
    seam.lineTo(through.front());
    for (std::size_t i = 1; i < through.size(); ++i) {
        const auto& a = through[i - 1];
        const auto& b = through[i];
        const double m = (a.y() + b.y()) / 2;
        seam.lineTo(a + QPointF{0, (b.y() - a.y()) * 0.28});
        seam.cubicTo({a.x(), m + 4}, {b.x(), m - 4}, b - QPointF{0, (b.y() - a.y()) * 0.1});
        seam.lineTo(b);
    }
    seam.lineTo(through.back().x(), end);
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
    const bool low = r.height() < 74;
    const Unit u = look_.unit();
    const auto taken = room_.body().taken(m);
    const std::size_t on = chosen(m);
    const double axis = low ? r.center().y() + 2 : r.center().y() + std::min(16.0, r.height() * 0.08);
    if (m == current_) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen{d.woad, 1.8});
        p.drawRoundedRect(r.adjusted(4, 1, -4, -1), 5, 5);
    }
    // Larger text gets what the strip has room for.
    const double k = look_.scale();
    const double fit = std::min(1.0, r.height() / ((low ? 54 : 78) * k));
    const double number_px = (low ? 20 : 30) * fit;
    const double name_y = r.center().y() - (low ? 8 : 16) * k * fit;
    const double value_y = r.center().y() + (low ? 16 : 18) * k * fit;
    p.setPen(d.ink);
    p.setFont(look_.lato(14 * fit, QFont::DemiBold));
    p.drawText(QPointF{24, name_y}, words::measure_name(m));
    if (taken) {
        p.setPen(d.woad);
        const double w = draw_number(p, look_, {24, value_y}, taken->value, u, number_px, QFont::Medium, false);
        p.setPen(d.faded);
        p.setFont(look_.lato(13.5 * fit));
        p.drawText(QPointF{24 + w + 8, value_y}, "±" + words::number(taken->spread, u));
    } else {
        p.setPen(d.faded);
        p.setFont(look_.lato(13.5));
        p.drawText(QPointF{24, value_y}, tr("not yet read"));
    }
    if (m == Measure::HighBust && !room_.chart()->prints(m) && r.height() > 80 * k) {
        p.setPen(d.faded);
        const QString why = tr("not printed: bust less the cup");
        p.setFont(fitting(look_.lato(12.5), why, column_x(0) - 64, 0.6));
        p.drawText(QPointF{24, value_y + 17}, why);
    }
    draw_axis(p, m, axis, on, low);
    if (!taken) return;
    draw_wearer(p, m, *taken, axis, on, low);
    draw_answer(p, m, *taken, r, on, low);
}

void Strips::draw_axis(QPainter& p, Measure m, double axis, std::size_t on, bool low)
{
    const auto& d = look_.dyes();
    const auto& chart = *room_.chart();
    const std::size_t n = chart.sizes.size();
    const double pitch = column_x(1) - column_x(0);
    p.setPen(QPen{d.edge, 1});
    p.drawLine(QPointF(column_x(0) - 24, axis), QPointF(column_x(double(n - 1)) + 24, axis));
    const QFont tick_font = look_.lato(std::min(low ? 12.5 : 13.5, 16 / look_.scale()));
    const double text_width = QFontMetricsF{tick_font}.horizontalAdvance("100.0") + 8;
    const int every = std::max(1, static_cast<int>(std::ceil(text_width / pitch)));
    const QString chosen_text = words::number(*drafted(chart, on, m), look_.unit());
    const QFont chosen_font = look_.lato(std::min(low ? 13.5 : 15.0, 17 / look_.scale()), QFont::DemiBold);
    const double sw = QFontMetricsF{chosen_font}.horizontalAdvance(chosen_text) + 16;
    for (std::size_t i = 0; i < n; ++i) {
        const double x = column_x(double(i));
        p.setPen(QPen{d.walnut, 1.6});
        p.drawLine(QPointF(x, axis - 6), QPointF(x, axis + 6));
        if (i == on || (static_cast<int>(i) - static_cast<int>(on)) % every != 0) continue;
        if (std::abs(x - column_x(double(on))) < (sw + text_width) / 2 - 4) continue;
        p.setPen(d.walnut);
        p.setFont(tick_font);
        p.drawText(QRectF{x - 40, axis + 7, 80, 20}, Qt::AlignHCenter,
                   words::number(*drafted(chart, i, m), look_.unit()));
    }
    const QRectF swatch{column_x(double(on)) - sw / 2, axis + 6, sw, low ? 21.0 : 25.0};
    p.setPen(Qt::NoPen);
    p.setBrush(d.woad);
    p.drawPolygon(pinked(swatch, 4));
    p.setPen(d.on_woad);
    p.setFont(chosen_font);
    p.drawText(swatch, Qt::AlignCenter, chosen_text);
}

// The bar from the chosen tick to the wearer: dotted when larger, hatched when smaller; the diamond and its
// spread.
void Strips::draw_wearer(QPainter& p, Measure m, const Taken& taken, double axis, std::size_t on, bool low)
{
    const auto& d = look_.dyes();
    const double lift = low ? 16 : 28;
    const double from = column_x(double(on));
    const double to = column_x(size_position(m, taken.value));
    if (std::abs(to - from) > 1) {
        const double h = low ? 9 : 12;
        const QRectF bar{std::min(from, to), axis - lift - h / 2, std::abs(to - from), h};
        p.setBrush(to > from ? look_.dots() : look_.hatch());
        p.setPen(QPen{to > from ? d.weld_ink : d.madder, 1});
        p.drawRect(bar);
    }
    const double lower = column_x(size_position(m, taken.value - taken.spread));
    const double upper = column_x(size_position(m, taken.value + taken.spread));
    p.setPen(QPen{d.woad, 2});
    p.drawLine(QPointF(lower, axis - lift), QPointF(upper, axis - lift));
    for (const double x : {lower, upper}) p.drawLine(QPointF(x, axis - lift - 5), QPointF(x, axis - lift + 5));
    const double s = low ? 7 : 8;
    p.setBrush(d.woad);
    p.setPen(QPen{d.sheet, 1.5});
    p.drawPolygon(QPolygonF{
        {{to, axis - lift - s - 2}, {to + s, axis - lift}, {to, axis - lift + s + 2}, {to - s, axis - lift}}});
}

void Strips::draw_answer(QPainter& p, Measure m, const Taken& taken, const QRectF& r, std::size_t on, bool low)
{
    const auto& d = look_.dyes();
    const QRectF answer{width() - answer_width - 24.0, r.top(), answer_width, r.height()};
    const Length difference = taken.value - *drafted(*room_.chart(), on, m);
    const double px = (low ? 20 : 26) * std::min(1.0, r.height() / ((low ? 54 : 78) * look_.scale()));
    p.setPen(d.ink);
    const double w = number_width(look_, difference, look_.unit(), px, QFont::Normal, true);
    const double base = r.center().y() - (low ? 4 : 3);
    draw_number(p, look_, {answer.right() - w, base}, difference, look_.unit(), px, QFont::Normal, true);
    const bool inside = abs(difference) <= taken.spread;
    const bool in_range = abs(difference) <= room_.chart()->half_range(on, m);
    const bool paper = room_.pattern() && below_the_waist(m);
    const auto ease = ease_rows(room_);
    // Of a chart of finished measures nothing is taken in.
    const bool roomier = room_.chart()->bodies_assumed && difference < Length{};
    const bool held = roomier || (!paper && std::any_of(ease.begin(), ease.end(), [&](const EaseRow& row) {
                          return row.measure == m && ease_holds(row, difference);
                      }));
    // The frame in its nearest size is what the rest is fitted to.
    const auto& advice = room_.advice();  // none where too little was read
    const bool frame = advice && !paper && m == Measure::HighBust && anchor_of(advice->school.school) == m &&
                       on == size_at(advice->choice, m);
    const bool good = inside || in_range || held || frame;
    const QString text = inside     ? tr("within measuring")
                         : in_range ? tr("inside the printed range")
                         : held     ? tr("ease holds it")
                         : frame    ? tr("holds: frame size")
                         : paper    ? tr("→ answered in Plan")
                                    : tr("left to adjust");
    p.setFont(fitting(look_.lato(std::min(12.5, 15 / look_.scale()), QFont::DemiBold), text,
                      answer.width() - (good ? 26 : 2), 0.6));
    p.setPen(good ? d.lichen_ink : paper ? d.woad : d.weld_ink);
    const QRectF line{answer.left() - 20, base + (low ? 4 : 8), answer.width() + 20, 20};
    p.drawText(line, Qt::AlignRight, text);
    if (good)
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
    const auto act = act_for(At::Chart, *e);
    if (!act) return QWidget::keyPressEvent(e);
    switch (*act) {
        case Act::StripBefore:
            if (here != all.begin()) current_ = *(here - 1);
            break;
        case Act::StripAfter:
            if (here != all.end() && here + 1 != all.end()) current_ = *(here + 1);
            break;
        case Act::SmallerSize: emit size_wanted(current_, -1); break;
        case Act::LargerSize: emit size_wanted(current_, 1); break;
        case Act::Blend: emit blend_wanted(); break;
        case Act::Ease: emit ease_wanted(); break;
        case Act::ChartToPlan: emit onwards(); break;
        default: return QWidget::keyPressEvent(e);
    }
    update();
}

}  // namespace sartorum::desk
