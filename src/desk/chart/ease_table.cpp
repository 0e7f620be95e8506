#include "desk/chart/ease_table.h"

#include <algorithm>

#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr int head_height = 30;
constexpr int row_height = 44;

}  // namespace

std::vector<EaseRow> ease_rows(const Room& room)
{
    std::vector<EaseRow> out;
    if (!room.chart()) return out;
    const auto& chart = *room.chart();
    const auto choice = room.choice();
    const auto& plan = room.plan();
    const BodySet body = as_worn(room.body(), plan.choosing.seated);
    for (const auto m : {Measure::Bust, Measure::Waist, Measure::Hip, Measure::UpperArm, Measure::Thigh}) {
        std::optional<Length> traced;
        std::optional<Length> altered;
        if (const auto on_paper = garment_round(m); room.computed() && on_paper) {
            traced = room.computed()->traced_flat.at(*on_paper);
            altered = room.computed()->altered_flat.at(*on_paper);
        }
        auto row = ease_at(chart, size_at(choice, m), m, body, plan.ease, plan.cloth, traced);
        if (!row) continue;
        if (altered) row->planned = *altered - row->body;  // what the paper gives now
        out.push_back(*row);
    }
    return out;
}

EaseTable::EaseTable(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room} {}

void EaseTable::refresh()
{
    const auto rows = ease_rows(room_);
    setVisible(!rows.empty());
    const double k = std::max(1.0, look_.scale());
    setFixedHeight(static_cast<int>(k * (head_height + row_height * static_cast<int>(rows.size()))));
    QStringList spoken;
    const bool known = room_.chart() && !room_.chart()->bodies_assumed;
    for (const auto& r : rows) {
        spoken << tr("%1: garment %2, designed ease %3, now %4, planned %5, least %6")
                      .arg(words::measure_name(r.measure), words::number(r.finished, look_.unit()),
                           known ? words::number(r.designed, look_.unit()) : tr("not known"),
                           words::number(r.now, look_.unit()), words::number(r.planned, look_.unit()),
                           words::number(r.least, look_.unit()));
    }
    setAccessibleName(spoken.join("; "));
    update();
}

void EaseTable::paintEvent(QPaintEvent*)
{
    const auto rows = ease_rows(room_);
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    const double w = width();
    const QString heads[] = {tr("garment"), tr("designed"), tr("now"), tr("planned")};
    // As close as their heads allow; where the text is large the garment's girth is said, not shown.
    const QFont head_font = look_.lato(12.5);
    const bool garment = look_.scale() <= roomy_text;
    double x[] = {w * 0.43, w * 0.64, w * 0.80, w};
    if (!garment) {
        x[2] = w - QFontMetricsF{head_font}.horizontalAdvance(heads[3]) - 14;
        x[1] = x[2] - std::max(QFontMetricsF{head_font}.horizontalAdvance(heads[2]), 52 * look_.scale()) - 12;
    }
    for (int i = garment ? 0 : 1; i < 4; ++i)
        p.drawText(QRectF{x[i] - 90, 0, 90, 18}, Qt::AlignRight | Qt::TextDontClip, heads[i]);
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF(0, 21.5 * std::max(1.0, look_.scale())), QPointF(w, 21.5 * std::max(1.0, look_.scale())));
    Length most = Length::mm(80);
    Length least;
    for (const auto& r : rows) {
        most = std::max({most, r.designed, r.now, r.planned, r.least});
        least = std::min({least, r.now, r.planned, r.least});
    }
    const double span = (most - least).in_mm() * 1.08;
    const auto at = [&](Length l) { return std::clamp((l - least).in_mm() / span, 0.0, 1.0) * w; };
    // Of a chart that prints finished measures only nobody knows what was meant.
    const bool known = !room_.chart()->bodies_assumed;
    const double k = std::max(1.0, look_.scale());
    double y = (head_height + 14) * k;
    for (const auto& r : rows) {
        p.setPen(d.ink);
        const QString name = words::measure_name(r.measure);
        p.setFont(fitting(look_.lato(14, QFont::DemiBold), name, x[garment ? 0 : 1] - 62 * k, 0.6));
        p.drawText(QPointF{0, y}, name);
        const auto cell = [&](int i, Length l, const QColor& colour, double px) {
            p.setPen(colour);
            const double nw = number_width(look_, l, look_.unit(), px, QFont::Normal, false);
            draw_number(p, look_, {x[i] - nw, y}, l, look_.unit(), px, QFont::Normal, false);
        };
        if (garment) cell(0, r.finished, d.walnut, 16);
        if (known)
            cell(1, r.designed, d.ink, 16);
        else
            p.drawText(QPointF{x[1] - p.fontMetrics().horizontalAdvance("?"), y}, "?");
        cell(2, r.now, d.ink, 16);
        cell(3, r.planned, d.woad, 21);
        p.fillRect(QRectF{0, y + 8, w, 9}, d.linen);
        const double now = at(r.now);
        const double then = at(r.planned);
        p.fillRect(QRectF{0, y + 8, std::min(now, then), 9}, d.woad_wash);
        if (then > now + 0.5) p.fillRect(QRectF{now, y + 8, then - now, 9}, look_.dots());
        p.setPen(QPen{d.woad, 2.4});
        p.drawLine(QPointF(then, y + 6), QPointF(then, y + 19));
        p.setPen(QPen{d.walnut, 1.4, Qt::DashLine});
        if (known) p.drawLine(QPointF(at(r.designed), y + 6), QPointF(at(r.designed), y + 19));
        p.setPen(QPen{d.madder, 1.6});
        p.drawLine(QPointF(at(r.least), y + 8), QPointF(at(r.least), y + 17));
        y += row_height * k;
    }
}

}  // namespace sartorum::desk
