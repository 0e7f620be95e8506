#include "desk/shell/foot.h"

namespace sartorum::desk {

Foot::Foot(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setFixedHeight(30);
    setObjectName("foot");
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void Foot::show_keys(const Keys& keys)
{
    keys_ = keys;
    update();
}

void Foot::show_kept(const QString& text)
{
    if (text == kept_ && trouble_.isEmpty()) return;
    kept_ = text;
    trouble_.clear();
    setAccessibleName(text);
    update();
}

void Foot::show_trouble(const QString& text)
{
    trouble_ = text;
    setAccessibleName(text);
    update();
}

void Foot::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{d.rule, 1});
    p.drawLine(0, 0, width(), 0);
    if (!trouble_.isEmpty()) {
        p.fillRect(rect(), d.madder_wash);
        draw_triangle(p, look_, {22, height() / 2.0}, 8);
        p.setPen(d.madder_ink);
        p.setFont(look_.lato(14, QFont::DemiBold));
        p.drawText(QRectF{40, 0, width() - 50.0, double(height())}, Qt::AlignVCenter, trouble_);
        return;
    }
    double x = 20;
    p.setFont(look_.lato(12.5));
    const double end = width() - 30.0 - p.fontMetrics().horizontalAdvance(kept_);
    for (const auto& [key, act] : keys_) {
        p.setFont(look_.lato(12.5, QFont::DemiBold));
        const double w = p.fontMetrics().horizontalAdvance(key) + 12;
        if (x + w + p.fontMetrics().horizontalAdvance(act) > end) break;
        p.setPen(QPen{d.edge, 1});
        p.setBrush(d.sheet);
        p.drawRoundedRect(QRectF{x + 0.5, 6.5, w, 18}, 3, 3);
        p.setPen(d.ink);
        p.drawText(QRectF{x, 6, w, 19}, Qt::AlignCenter, key);
        x += w + 6;
        p.setFont(look_.lato(12.5));
        p.setPen(d.faded);
        p.drawText(QPointF{x, 20}, act);
        x += p.fontMetrics().horizontalAdvance(act) + 18;
    }
    p.setFont(look_.lato(12.5));
    p.setPen(d.faded);
    p.drawText(QRectF{0, 0, width() - 18.0, double(height())}, Qt::AlignRight | Qt::AlignVCenter, kept_);
}

}  // namespace sartorum::desk
