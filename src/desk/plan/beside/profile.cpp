#include "desk/plan/beside/profile.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/plan/finished.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {

Profile::Profile(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setMinimumWidth(300);
    setAccessibleName(tr("Room all the way down"));
    refresh_when_shown(
        this, [this] { describe(); }, room, look);
    describe();
}

void Profile::describe()
{
    update();
    const auto& c = room_.computed();
    if (!c) return setAccessibleDescription({});
    QStringList out;
    for (const auto& e : ease_profile(*c).body)
        out << words::measure_name(e.measure) + " " + words::number(e.ease_after, look_.unit());
    setAccessibleDescription(out.isEmpty() ? QString{} : tr("ease planned: %1").arg(out.join(", ")));
}

void Profile::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    const auto& d = look_.dyes();
    // Names and numbers beside the curve leave no room for the largest text.
    const double k = std::min(look_.scale(), roomy_text);
    const double small = k / look_.scale();
    const auto profile = ease_profile(c);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(fitting(look_.cabin(18 * small), tr("Room all the way down"), width() - 40.0));
    p.drawText(QPointF{20, 36 * k}, tr("Room all the way down"));
    p.setFont(look_.lato(12.5 * small));
    p.setPen(d.faded);
    const bool low_pad = height() < 330 * k;  // its curves come before its heads
    const bool legs = profile.after.back().leg;
    const bool lowest_pad = height() < 200 * k;  // and its names before its legend
    const double head = (lowest_pad ? 56 : low_pad ? 66 : 122) * k;
    const double foot = (lowest_pad ? 26 : 92) * k;
    if (!low_pad) {
        p.drawText(
            QPointF{20, 56 * k},
            tr("girth against height, in %1").arg(QString::fromStdString(std::string{unit_text(look_.unit())})));
        p.drawText(QRectF{0, 74 * k, width() - 20.0, 18 * k}, Qt::AlignRight, tr("ease"));
        if (legs) p.drawText(QPointF{20, 76 * k}, tr("below the crotch, of one leg"));
    }

    Length least = profile.after.front().girth;
    Length most = least;
    Length high = profile.after.front().height;
    Length low = high;
    const auto take = [&](const GirthAt& g) {
        least = std::min(least, g.girth);
        most = std::max(most, g.girth);
        high = std::max(high, g.height);
        low = std::min(low, g.height);
    };
    for (const auto* line : {&profile.before, &profile.after, &profile.after_right, &profile.after_left})
        std::for_each(line->begin(), line->end(), take);
    for (const auto& b : profile.body) take(b.at);
    least = least - Length::mm(60);
    most = most + Length::mm(20);
    const QRectF area{24, head, width() - 140.0 * k, height() - head - foot};
    const auto place = [&](const GirthAt& g) {
        return QPointF{area.left() + (g.girth - least) / (most - least) * area.width(),
                       area.top() + (high - g.height) / (high - low) * area.height()};
    };
    double rules = look_.unit() == Unit::Inch ? 101.6 : 100;
    const double figure = QFontMetricsF{look_.lato(12.5 * small)}.horizontalAdvance("000") + 8;
    while (rules / (most - least).in_mm() * area.width() < figure) rules *= 2;
    for (double g = std::ceil(least.in_mm() / rules) * rules; g < most.in_mm(); g += rules) {
        const double x = place({low, Length::mm(g)}).x();
        p.setPen(QPen{d.rule, 1});
        p.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
        p.setPen(d.faded);
        p.drawText(QRectF{x - 30, area.bottom() + 4, 60, 18 * k}, Qt::AlignHCenter,
                   words::number(Length::mm(g), look_.unit() == Unit::Inch ? Unit::Inch : Unit::Centimetre)
                       .replace(".0", ""));
    }
    const auto draw_line = [&](const std::vector<GirthAt>& girths, const QPen& pen) {
        QPainterPath path{place(girths.front())};
        // Where the legs part the girth is of one of them.
        bool leg = girths.front().leg;
        for (const auto& g : girths) {
            if (g.leg == leg)
                path.lineTo(place(g));
            else
                path.moveTo(place(g));
            leg = g.leg;
        }
        p.setBrush(Qt::NoBrush);
        p.setPen(pen);
        p.drawPath(path);
    };
    const QPen dashed{d.walnut, 1.3, Qt::DashLine};
    draw_line(profile.before, dashed);
    // Twice each half, where they differ: the garment hangs between.
    const QPen side_pen{d.woad, 1.2, Qt::DotLine};
    bool sided = false;
    for (std::size_t i = 0; i < profile.after_left.size() && i < profile.after_right.size(); ++i)
        sided = sided || abs(profile.after_left[i].girth - profile.after_right[i].girth) > Length::mm(1);
    if (sided) {
        draw_line(profile.after_right, side_pen);
        draw_line(profile.after_left, side_pen);
    }
    draw_line(profile.after, QPen{d.woad, 2.2});
    // The body: known where the tape lay, dotted in between.
    std::vector<GirthAt> known;
    for (const auto& b : profile.body) known.push_back(b.at);
    if (known.size() > 1) draw_line(known, QPen{d.walnut_line, 1.6, Qt::DotLine});
    // As far apart as there is room; where that is little, a name stands beside its number.
    const double lowest = height() - foot + (lowest_pad ? 8 : 16) * k;
    const double gap =
        std::min(38 * k, (lowest - area.top()) / std::max<double>(1, double(profile.body.size()) - 1));
    const bool in_one_line = gap < 36 * k;
    double last = -100;
    std::size_t still = profile.body.size();
    for (const auto& ease : profile.body) {
        const QPointF at = place(ease.at);
        p.setPen(QPen{d.walnut, 1.6});
        p.setBrush(ease.level_measured ? d.walnut : d.sheet);
        p.drawEllipse(at, 4.5, 4.5);
        const double y = std::min(std::max(at.y(), last + gap), lowest - gap * double(--still));
        last = y;
        p.setPen(QPen{d.walnut_line, 1, Qt::DotLine});
        p.drawLine(QPointF(at.x() + 6, at.y()), QPointF(width() - 112.0 * k, y));
        p.setPen(d.walnut);
        p.setFont(look_.lato(12.5 * small, QFont::DemiBold));
        const double figures = in_one_line ? 16 * small : 20 * small;
        const double w = number_width(look_, ease.ease_after, look_.unit(), figures, QFont::Normal, false);
        const QRectF name = in_one_line ? QRectF{0, y - 9 * k, width() - 26.0 - w, 18 * k}
                                        : QRectF{0, y - 26 * k, width() - 20.0, 16 * k};
        p.drawText(name, Qt::AlignRight, words::measure_name(ease.measure));
        p.setPen(d.woad);
        draw_number(p, look_, {width() - 20 - w, y + (in_one_line ? 5 : 8) * k}, ease.ease_after, look_.unit(),
                    figures, QFont::Normal, false);
        if (in_one_line) continue;
        if (abs(ease.ease_after - ease.ease_before) < Length::mm(0.5)) continue;
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5 * small));
        p.drawText(QRectF{0, y - 6 * k, width() - 28.0 - w, 18 * k}, Qt::AlignRight,
                   tr("was %1").arg(words::number(ease.ease_before, look_.unit())));
    }
    if (lowest_pad) return;
    // Legend.
    const double y = height() - 46 * k;
    const auto entry = [&](double x, double at, const QPen& pen, const QString& text) {
        p.setPen(pen);
        p.drawLine(QPointF(x, at), QPointF(x + 24, at));
        p.setPen(d.ink);
        p.setFont(fitting(look_.lato(12.5 * small), text, width() - x - 44, 0.5));
        p.drawText(QPointF{x + 30, at + 4}, text);
    };
    entry(20, y, dashed, tr("as traced"));
    entry(120 * k, y, QPen{d.woad, 2.2}, tr("plan"));
    if (sided) entry(196 * k, y, side_pen, tr("each half, twice"));
    p.setPen(QPen{d.walnut, 1.6});
    p.setBrush(d.walnut);
    p.drawEllipse(QPointF{24, y + 24 * k}, 4, 4);
    p.setBrush(d.sheet);
    p.drawEllipse(QPointF{36, y + 24 * k}, 4, 4);
    p.setPen(d.ink);
    p.drawText(QPointF{50, y + 28 * k}, tr("%1: hollow, the level is likely").arg(room_.wearer_name().left(12)));
}

}  // namespace sartorum::desk
