#include "desk/plan/beside/finished_view.h"

#include <algorithm>

#include "core/plan/finished.h"
#include "desk/shared/when_shown.h"
#include "words/words.h"

namespace sartorum::desk {

namespace {
constexpr double sided_row = 1.6;  // as high as plain rows
}

FinishedView::FinishedView(Look& look, Room& room, QWidget* parent) : Panel{look, parent}, room_{room}
{
    setAccessibleName(tr("Finished measurements"));
    refresh_when_shown(
        this, [this] { describe(); }, room, look);
    describe();
}

void FinishedView::describe()
{
    update();
    if (!room_.computed() || !room_.printed_chart()) return setAccessibleDescription({});
    const Unit u = look_.unit();
    QStringList out;
    for (const auto& row : finished_table(*room_.computed())) {
        QString line =
            tr("%1: as traced %2, after %3")
                .arg(words::finished_name(row.what), words::number(row.bought, u), words::number(row.after, u));
        if (row.needed) line += tr(", needed %1").arg(words::number(*row.needed, u));
        if (row.right)
            line += tr(", right %1, left %2")
                        .arg(words::number(row.right->after, u), words::number(row.left->after, u));
        if (!row.holds) line += tr(", less than one moves in");
        out << line;
    }
    setAccessibleDescription(out.join("; "));
}

void FinishedView::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    if (!room_.computed() || !room_.printed_chart()) return;
    const auto& d = look_.dyes();
    const Unit u = look_.unit();
    // Three columns of numbers beside their names leave no room for the largest text.
    const double k = std::min(look_.scale(), roomy_text);
    const double small = k / look_.scale();
    const auto rows = finished_table(*room_.computed());
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(d.ink);
    p.setFont(look_.cabin(18 * small));
    p.drawText(QPointF{20, 36 * k}, tr("Finished measurements"));
    p.setFont(look_.lato(12.5 * small));
    p.setPen(d.faded);
    p.drawText(QPointF{20, 56 * k},
               tr("on the stitching lines, in %1").arg(QString::fromStdString(std::string{unit_text(u)})));
    const double right = width() - 34.0;
    const double column = (right - 128 * k) / 3;
    const auto column_right = [&](int i) { return right - column * (2 - i); };
    const auto head = [&](int i, const QString& text) {
        p.drawText(QRectF{column_right(i) - column, 66 * k, column, 18 * k}, Qt::AlignRight, text);
    };
    head(0, tr("traced"));
    head(1, tr("needed"));
    head(2, tr("after"));
    double lines = 0;
    for (const auto& row : rows) lines += row.right ? sided_row : 1;
    const double tall = std::min(30 * k, (height() - 130 * k) / std::max(1.0, lines));
    // Many rows in a low window: their text is as large as they are tall.
    const double row_text = small * std::min(1.0, tall / (21 * k));
    double y = 90 * k;
    for (const auto& row : rows) {
        p.setPen(QPen{d.rule, 1});
        p.drawLine(QPointF(16, y), QPointF(width() - 16.0, y));
        const double base = y + tall * 0.68;
        p.setPen(d.ink);
        p.setFont(look_.lato(14 * row_text));
        p.drawText(QPointF{20, base}, words::finished_name(row.what));
        const auto number = [&](int i, Length l, const QColor& colour, QFont::Weight weight) {
            p.setPen(colour);
            const double w = number_width(look_, l, u, 14.5 * row_text, weight, false);
            draw_number(p, look_, {column_right(i) - w, base}, l, u, 14.5 * row_text, weight, false);
        };
        number(0, row.bought, d.walnut, QFont::Normal);
        if (row.needed) number(1, *row.needed, d.ink, QFont::Normal);
        const bool changed = abs(row.after - row.bought) > Length::mm(0.5);
        number(2, row.after, changed ? d.woad : d.ink, changed ? QFont::DemiBold : QFont::Normal);
        if (!row.holds) draw_triangle(p, look_, {width() - 20.0, base - 5}, 6.5);
        y += tall;
        if (!row.right) continue;
        // Of a girth each half, of a length each side's own.
        const auto side = [&](const QString& name, const SideMeasures& m) {
            const QString said = tr("%1 %2").arg(name, words::number(m.after, u));
            return m.body ? tr("%1 on %2").arg(said, words::number(*m.body, u)) : said;
        };
        p.setPen(row.holds ? d.faded : d.madder_ink);
        const QString both = tr("%1 · %2").arg(side(tr("right"), *row.right), side(tr("left"), *row.left));
        const QRectF place{20, y - tall * 0.22, width() - 54.0, tall * (sided_row - 1) + tall * 0.22};
        p.setFont(fitting(look_.lato(13 * row_text), both, place.width()));
        p.drawText(place, Qt::AlignRight, both);
        y += tall * (sided_row - 1);
    }
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF(16, y), QPointF(width() - 16.0, y));
    p.setPen(d.faded);
    p.setFont(look_.lato(12.5 * small));
    p.drawText(QRectF{20, y + 6, width() - 40.0, height() - y - 10}, Qt::TextWordWrap,
               tr("needed: the body and the ease planned, where both are known"));
}

}  // namespace sartorum::desk
