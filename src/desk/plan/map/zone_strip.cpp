#include "desk/plan/map/zone_strip.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <utility>

#include "words/words.h"

namespace sartorum::desk {
namespace {

constexpr double height_at_rest = 92;

QString counted(const QuietCount& n)
{
    QStringList out;
    if (n.in_order) out << QObject::tr("%1 in order").arg(n.in_order);
    if (n.unknown) out << QObject::tr("%1 not known").arg(n.unknown);
    if (n.declined) out << QObject::tr("%1 left").arg(n.declined);
    return out.join(", ");
}

}  // namespace

ZoneStrip::ZoneStrip(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    setAccessibleName(tr("Zones in fitting order"));
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void ZoneStrip::refresh(const std::vector<AdjustmentKind>& shown, AdjustmentKind chosen)
{
    chosen_ = chosen;
    cells_.clear();
    if (!room_.computed()) return;
    const auto& c = *room_.computed();
    const auto zones = zones_of(c);
    while (buttons_.size() < zones.size()) {
        auto* b = new Button{look_, {}, ButtonKind::Small, this};
        const std::size_t index = buttons_.size();
        connect(b, &Button::clicked, this, [this, index] { emit zone_wanted(cells_[index].zone); });
        buttons_.push_back(b);
    }
    QStringList spoken;
    for (std::size_t i = 0; i < zones.size(); ++i) {
        const auto quiet = left_alone(c, zones[i]);
        Cell cell{zones[i], {}, buttons_[i], counted(count_quiet(quiet)), {}, c.doubts.empty(), 0};
        for (std::size_t n = 0; n < shown.size(); ++n) {
            const PlanLine& line = *c.line(shown[n]);
            if (adjustment(line.kind).zone != zones[i] || shows_as(line) == Shows::Quiet) continue;
            cell.marks.push_back({line.kind, shows_as(line), QString::number(n + 1), {}});
            if (shows_as(line) != Shows::Accepted) cell.answered = false;
        }
        const QString name = words::zone_name(zones[i]);
        cell.quiet = static_cast<int>(quiet.size());
        cell.more->setAccessibleName(tr("%1: %2 left alone, show them").arg(name).arg(quiet.size()));
        cell.more->setAccessibleDescription(cell.count);
        cell.more->setObjectName("zone_" + QString::number(static_cast<int>(zones[i])));
        spoken << tr("%1: %2 stand out, %3 left alone").arg(name).arg(cell.marks.size()).arg(quiet.size());
        cells_.push_back(std::move(cell));
        cells_.back().more->setVisible(!quiet.empty());
    }
    for (std::size_t i = zones.size(); i < buttons_.size(); ++i) buttons_[i]->hide();
    setAccessibleDescription(spoken.join("; "));
    setFixedHeight(static_cast<int>(height_at_rest * look_.scale()));
    lay_out();
    QStringList drawn{spoken};
    for (const auto& cell : cells_) {
        for (const auto& m : cell.marks)
            drawn << m.number + QString::number(static_cast<int>(m.standing)) + (m.kind == chosen ? "!" : "");
        drawn << cell.count << QString::number(look_.scale());
    }
    // While a hand drags it mostly stays as it is.
    if (drawn != std::exchange(drawn_, drawn)) update();
}

// Zones share the width by what they hold.
void ZoneStrip::lay_out()
{
    const double k = look_.scale();
    const double mark = 30 * k;
    double wanted = 0;
    const auto share = [&](const Cell& cell) { return 4.2 + static_cast<double>(cell.marks.size()); };
    for (const auto& cell : cells_) wanted += share(cell);
    double x = 14;
    const double room = width() - 28.0;
    for (auto& cell : cells_) {
        const double w = room * share(cell) / wanted;
        cell.at = {x, 0, w, double(height())};
        x += w;
        cell.more->setText(tr("%1 left alone").arg(cell.quiet));
        if (cell.more->sizeHint().width() > w - 8) cell.more->setText(tr("%1 left").arg(cell.quiet));
        const QSize need = cell.more->sizeHint();
        const double y = 60 * k;
        cell.more->setGeometry(static_cast<int>(cell.at.left()) - 4, static_cast<int>(y - 4),
                               std::min(need.width(), static_cast<int>(w)), need.height());
        const double pitch =
            std::min(mark, (w - 24 * k) / std::max<double>(1.0, static_cast<double>(cell.marks.size())));
        for (std::size_t i = 0; i < cell.marks.size(); ++i)
            cell.marks[i].at = {cell.at.left() + 14 * k + pitch * static_cast<double>(i), 43 * k};
    }
}

void ZoneStrip::resizeEvent(QResizeEvent*)
{
    lay_out();
}

void ZoneStrip::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    const double k = look_.scale();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), d.sheet);
    p.setPen(QPen{d.rule, 1});
    p.drawLine(QPointF{0, height() - 0.5}, QPointF{double(width()), height() - 0.5});
    for (std::size_t i = 0; i < cells_.size(); ++i) {
        const auto& cell = cells_[i];
        if (i > 0) {
            p.setPen(QPen{d.rule, 1});
            p.drawLine(cell.at.topLeft() + QPointF{-7, 10}, cell.at.bottomLeft() + QPointF{-7, -10});
        }
        p.setPen(d.ink);
        p.setFont(look_.cabin(15.5));
        p.drawText(QPointF{cell.at.left() + 2, 22 * k}, words::zone_name(cell.zone));
        draw_thread(p, look_, {cell.at.left() + 2, 43 * k}, {cell.at.right() - 12, 43 * k}, cell.answered);
        for (const auto& m : cell.marks)
            draw_mark(p, look_, m.at, mark_size * k, m.standing, m.number, m.kind == chosen_);
        // What the quiet line says more, where it has room.
        const double x = cell.more->isVisibleTo(this) ? cell.more->geometry().right() + 6 : cell.at.left() + 2;
        p.setFont(look_.lato(12.5));
        if (x + p.fontMetrics().horizontalAdvance(cell.count) < cell.at.right() - 10) {
            p.setPen(d.faded);
            p.drawText(QPointF{x, 79 * k}, cell.count);
        }
    }
}

void ZoneStrip::mousePressEvent(QMouseEvent* e)
{
    for (const auto& cell : cells_) {
        for (const auto& m : cell.marks) {
            if (QLineF{m.at, e->position()}.length() < 15 * look_.scale()) return emit opened(m.kind);
        }
    }
}

}  // namespace sartorum::desk
