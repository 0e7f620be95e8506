#include "desk/plan/beside/chain_boxes.h"

#include <QPainter>
#include <algorithm>

#include "core/plan/both_sides.h"
#include "words/words.h"

namespace sartorum::desk {
namespace {
constexpr double arrow = 18;
constexpr double box_height = 42;
}  // namespace

ChainBoxes::ChainBoxes(Look& look, Room& room, QWidget* parent) : QWidget{parent}, look_{look}, room_{room}
{
    QSizePolicy policy{QSizePolicy::Preferred, QSizePolicy::Minimum};
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void ChainBoxes::show_change(AdjustmentKind kind)
{
    kind_ = kind;
    QStringList said;
    for (const auto& b : boxes(width()))
        said << (!b.by    ? b.name
                 : b.left ? tr("%1 %2 and %3")
                                .arg(b.name, words::amount(*b.left, look_.unit(), true),
                                     words::amount(*b.by, look_.unit(), true))
                          : b.name + " " + words::amount(*b.by, look_.unit(), true));
    setAccessibleName(tr("What it changes"));
    setAccessibleDescription(said.join(", "));
    setVisible(!said.isEmpty());
    updateGeometry();
    update();
}

// In rows as wide as there is room.
std::vector<ChainBoxes::Box> ChainBoxes::boxes(double width) const
{
    std::vector<Box> out;
    const PlanLine* l = room_.computed() ? room_.computed()->line(kind_) : nullptr;
    if (!l) return out;
    const auto& c = *room_.computed();
    const PlanLine* other = c.left_of(*l);
    constexpr Length seen = Length::mm(0.5);
    for (const auto& row : all_garment_measures()) {
        const Length by = changed_by(c, *l, row.measure);
        const Length on_left = other && !goes_all_round(row.measure) ? other->changed.of(row.measure) : by;
        if (!row.tells_change || std::max(abs(by), abs(on_left)) < seen) continue;
        const QString name = words::change_name(row.measure);
        if (abs(by - on_left) < seen)
            out.push_back({name, by, {}, {}});
        else
            out.push_back({tr("%1, left · right").arg(name), by, on_left, {}});
    }
    if (!out.empty() && c.checks.seams_hold()) out.push_back({tr("seams walk"), {}, {}, {}});
    const double k = look_.scale();
    const QFontMetricsF small{look_.lato(12.5)};
    double x = 0;
    double y = 0;
    for (auto& b : out) {
        const double w = std::max((b.left ? 108 : 62) * k, small.horizontalAdvance(b.name) + 14 * k);
        if (x > 0 && x + arrow + w > width) {
            x = 0;
            y += box_height * k + 6;
        }
        if (x > 0) x += arrow;
        b.at = {x, y, w, box_height * k};
        x += w;
    }
    return out;
}

int ChainBoxes::heightForWidth(int width) const
{
    const auto all = boxes(width);
    return all.empty() ? 0 : static_cast<int>(all.back().at.bottom()) + 2;
}

QSize ChainBoxes::sizeHint() const
{
    return {200, heightForWidth(std::max(200, width()))};
}

void ChainBoxes::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    const auto all = boxes(width());
    for (const auto& b : all) {
        if (b.at.left() > 0) {
            const QPointF tip{b.at.left() - 4, b.at.center().y()};
            p.setPen(QPen{d.faded, 1.3});
            p.drawLine(tip - QPointF{10, 0}, tip);
            p.drawLine(tip, tip - QPointF{4, 4});
            p.drawLine(tip, tip - QPointF{4, -4});
        }
        p.setPen(Qt::NoPen);
        p.setBrush(b.by ? d.woad_wash : d.lichen_wash);
        p.drawRoundedRect(b.at, 3, 3);
        p.setPen(b.by ? d.ink : d.lichen_ink);
        p.setFont(look_.lato(12.5));
        p.drawText(b.at.adjusted(0, 4, 0, 0), Qt::AlignHCenter, b.name);
        if (!b.by) {
            draw_tick(p, look_, {b.at.center().x(), b.at.bottom() - 12}, 7);
            continue;
        }
        p.setPen(d.woad);
        const auto wide = [&](Length by) {
            return number_width(look_, by, look_.unit(), 17, QFont::Medium, true);
        };
        const double gap = 14 * look_.scale();
        const double w = wide(*b.by) + (b.left ? wide(*b.left) + gap : 0);
        QPointF at{b.at.center().x() - w / 2, b.at.bottom() - 6};
        if (b.left) {
            at.rx() += draw_number(p, look_, at, *b.left, look_.unit(), 17, QFont::Medium, true);
            p.drawText(QRectF{at.x(), at.y() - 18, gap, 18}, Qt::AlignCenter, "·");
            at.rx() += gap;
        }
        draw_number(p, look_, at, *b.by, look_.unit(), 17, QFont::Medium, true);
    }
}

}  // namespace sartorum::desk
