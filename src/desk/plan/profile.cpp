#include "desk/plan/profile.h"

#include <QPainterPath>

#include "words/words.h"

namespace sartorum::desk {
namespace {

struct Level {
    double depth;  // mm below the waist
    double girth;  // mm
};

QPainterPath curve(const std::vector<Level>& levels, const std::function<QPointF(Level)>& place)
{
    QPainterPath path{place(levels[0])};
    for (std::size_t i = 1; i < levels.size(); ++i) {
        const QPointF a = place(levels[i - 1]);
        const QPointF b = place(levels[i]);
        const double h = (b.y() - a.y()) / 2;
        // Rounded between waist and hip, straight below, as the seam is.
        if (i == 1)
            path.cubicTo(a + QPointF{(b.x() - a.x()) * 0.3, h * 0.5}, b - QPointF{(b.x() - a.x()) * 0.08, h}, b);
        else
            path.lineTo(b);
    }
    return path;
}

}  // namespace

Profile::Profile(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setMinimumWidth(300);
    setAccessibleName(tr("Room all the way down"));
    connect(&room, &Room::changed, this, &Profile::describe);
    connect(&look, &Look::changed, this, &Profile::describe);
    describe();
}

void Profile::describe()
{
    const auto& c = room_.computed();
    const auto waist = room_.body().taken(Measure::Waist);
    const auto hip = room_.body().taken(Measure::Hip);
    if (!c || !waist || !hip) return setAccessibleDescription({});
    setAccessibleDescription(tr("ease planned: waist %1, hip %2")
                                 .arg(words::number(c->altered_flat.waist - waist->value, look_.unit()),
                                      words::number(c->altered_flat.hip - hip->value, look_.unit())));
}

void Profile::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    const auto& c = room_.computed();
    const auto waist = room_.body().taken(Measure::Waist);
    const auto hip = room_.body().taken(Measure::Hip);
    if (!c || !waist || !hip) return;
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(look_.cabin(18));
    p.drawText(QPointF{20, 36}, tr("Room all the way down"));
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    p.drawText(QPointF{20, 56},
               tr("girth against depth, in %1").arg(QString::fromStdString(std::string{unit_text(look_.unit())})));
    p.drawText(QRectF{0, 74, width() - 20.0, 18}, Qt::AlignRight, tr("ease"));

    const auto& t = c->traced_flat;
    const auto& a = c->altered_flat;
    const auto depth_taken = room_.body().taken(Measure::WaistToHip);
    const double body_depth = (depth_taken ? depth_taken->value : t.waist_to_hip).in_mm();
    const std::vector<Level> traced{
        {0, t.waist.in_mm()}, {t.waist_to_hip.in_mm(), t.hip.in_mm()}, {t.side.in_mm(), t.hem.in_mm()}};
    const std::vector<Level> planned{
        {0, a.waist.in_mm()}, {a.waist_to_hip.in_mm(), a.hip.in_mm()}, {a.side.in_mm(), a.hem.in_mm()}};
    const double low = std::min(waist->value.in_mm(), t.waist.in_mm()) - 120;
    const double high = std::max({t.hem.in_mm(), a.hem.in_mm(), a.hip.in_mm()}) + 20;
    const double deep = std::max(t.side.in_mm(), a.side.in_mm());
    const QRectF area{24, 110, width() - 130.0, height() - 190.0};
    const auto place = [&](Level l) {
        return QPointF{area.left() + (l.girth - low) / (high - low) * area.width(),
                       area.top() + l.depth / deep * area.height()};
    };

    p.setPen(QPen{d.rule, 1});
    for (double g = std::ceil(low / 100) * 100; g < high; g += 100) {
        const double x = place({0, g}).x();
        p.setPen(QPen{d.rule, 1});
        p.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
        p.setPen(d.faded);
        p.drawText(QRectF{x - 30, area.bottom() + 6, 60, 18}, Qt::AlignHCenter,
                   words::number(Length::mm(g), look_.unit() == Unit::Inch ? Unit::Inch : Unit::Centimetre)
                       .replace(".0", ""));
    }
    QPainterPath body = curve({{0, waist->value.in_mm()}, {body_depth, hip->value.in_mm()}}, place);
    const QPointF hip_at = place({body_depth, hip->value.in_mm()});
    QPainterPath filled = body;
    filled.lineTo(area.left(), hip_at.y());
    filled.lineTo(area.left(), area.top());
    filled.closeSubpath();
    p.setPen(Qt::NoPen);
    p.setBrush(d.figure);
    p.drawPath(filled);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.walnut_line, 1.4});
    p.drawPath(body);
    QPen dashed{d.walnut, 1.3, Qt::DashLine};
    p.setPen(dashed);
    p.drawPath(curve(traced, place));
    p.setPen(QPen{d.woad, 2.2});
    p.drawPath(curve(planned, place));
    const auto level = [&](const Level& l, const QString& name, Length ease, Length was, bool has_ease) {
        const QPointF at = place(l);
        p.setPen(QPen{d.walnut_line, 1, Qt::DotLine});
        p.drawLine(QPointF(area.left(), at.y()), at);
        p.setBrush(d.woad);
        p.setPen(QPen{d.sheet, 1.4});
        p.drawEllipse(at, 4, 4);
        p.setPen(d.walnut);
        p.setFont(look_.lato(12.5, QFont::DemiBold));
        p.drawText(QPointF{area.left() + 6, at.y() - 5}, name);
        if (!has_ease) return;
        p.setPen(d.woad);
        const double w = number_width(look_, ease, look_.unit(), 24, QFont::Normal, false);
        draw_number(p, look_, {width() - 20 - w, at.y() + 10}, ease, look_.unit(), 24, QFont::Normal, false);
        p.setPen(d.faded);
        p.setFont(look_.lato(12.5));
        const QString before = abs(ease - was) < Length::mm(0.5)
                                   ? tr("unchanged")
                                   : tr("was %1").arg(words::number(was, look_.unit()));
        p.drawText(QRectF{0, at.y() + 14, width() - 20.0, 18}, Qt::AlignRight, before);
    };
    level(planned[0], tr("waist"), a.waist - waist->value, t.waist - waist->value, true);
    level(planned[1], tr("hip"), a.hip - hip->value, t.hip - hip->value, true);
    level(planned[2], tr("hem"), {}, {}, false);
    // Legend.
    const double y = height() - 26;
    const auto entry = [&](double x, const QPen& pen, const QString& text) {
        p.setPen(pen);
        p.drawLine(QPointF(x, y), QPointF(x + 24, y));
        p.setPen(d.ink);
        p.setFont(look_.lato(12.5));
        p.drawText(QPointF{x + 30, y + 4}, text);
    };
    entry(20, QPen{d.walnut_line, 5}, room_.wearer_name().left(12));
    entry(130, dashed, tr("as traced"));
    entry(236, QPen{d.woad, 2.2}, tr("plan"));
}

}  // namespace sartorum::desk
