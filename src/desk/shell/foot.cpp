#include "desk/shell/foot.h"

#include <algorithm>

namespace sartorum::desk {

namespace {
constexpr int at_rest = 30;
}

Foot::Foot(Look& look, QWidget* parent)
    : QWidget{parent}, look_{look}, read_{new Button{look, tr("Read"), ButtonKind::Small, this}}
{
    setObjectName("foot");
    read_->setObjectName("foot_read");
    read_->setAccessibleName(tr("Put the message away as read"));
    connect(read_, &Button::clicked, this, [this] {
        trouble_.clear();
        setAccessibleName(kept_);
        lay_out();
    });
    connect(&look, &Look::changed, this, &Foot::lay_out);
    lay_out();
}

// As high as the message needs.
void Foot::lay_out()
{
    read_->setVisible(!trouble_.isEmpty());
    int height = at_rest;
    if (!trouble_.isEmpty()) {
        const QSize button = read_->sizeHint();
        const QRect room{0, 0, std::max(100, width() - 60 - button.width()), 10'000};
        const QFontMetrics m{look_.lato(14, QFont::DemiBold)};
        height = std::max(button.height(), m.boundingRect(room, Qt::TextWordWrap, trouble_).height() + 10);
        read_->setGeometry(width() - button.width() - 12, (height - button.height()) / 2, button.width(),
                           button.height());
    }
    setFixedHeight(height);
    update();
}

void Foot::resizeEvent(QResizeEvent*)
{
    lay_out();
}

void Foot::show_keys(const Keys& keys)
{
    keys_ = keys;
    update();
}

void Foot::show_kept(const QString& text)
{
    if (text == kept_) return;
    kept_ = text;
    if (trouble_.isEmpty()) setAccessibleName(text);
    update();
}

void Foot::show_trouble(const QString& text)
{
    trouble_ = text;
    setAccessibleName(text);
    lay_out();
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
        p.drawText(QRectF{40, 0, width() - 60.0 - read_->width(), double(height())},
                   Qt::AlignVCenter | Qt::TextWordWrap, trouble_);
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
