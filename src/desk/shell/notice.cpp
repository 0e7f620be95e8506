#include "desk/shell/notice.h"

#include <QHBoxLayout>
#include <algorithm>

namespace sartorum::desk {

Notice::Notice(Look& look, QWidget* parent) : QWidget{parent}, look_{look}
{
    setObjectName("notice");
    auto* row = new QHBoxLayout{this};
    row->setContentsMargins(44, 6, 16, 6);
    row->setSpacing(10);
    label_ = label(look, {}, 14, false, this);
    label_->setObjectName("notice_text");
    row->addWidget(label_, 1);
    act_ = new Button{look, tr("Do it"), ButtonKind::Plain, this};
    act_->setObjectName("notice_act");
    close_ = new Button{look, tr("Put away"), ButtonKind::Plain, this};
    close_->setObjectName("notice_close");
    row->addWidget(act_);
    row->addWidget(close_);
    connect(act_, &Button::clicked, this, [this] {
        if (said_.empty() || !said_.front().action) return;
        const auto run = said_.front().action->run;
        run();
    });
    connect(close_, &Button::clicked, this, [this] {
        if (!said_.empty()) said_.erase(said_.begin());
        show_first();
    });
    connect(&look, &Look::changed, this, qOverload<>(&QWidget::update));
    show_first();
}

void Notice::say(const QString& key, const QString& text, std::optional<Action> action)
{
    std::erase_if(said_, [&](const Said& s) { return s.key == key; });
    if (!text.isEmpty()) said_.push_back({key, text, std::move(action)});
    show_first();
}

QString Notice::text() const
{
    return said_.empty() ? QString{} : said_.front().text;
}

void Notice::show_first()
{
    setVisible(!said_.empty());
    if (said_.empty()) return;
    const auto& first = said_.front();
    label_->setText(first.text);
    setAccessibleName(first.text);
    act_->setVisible(first.action.has_value());
    if (first.action) {
        act_->setText(first.action->text);
        act_->setAccessibleName(first.action->text);
        act_->updateGeometry();
    }
}

void Notice::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), d.weld_wash);
    p.setPen(QPen{d.edge, 1});
    p.drawLine(0, height() - 1, width(), height() - 1);
    // A tag on a thread: something hangs here to be read.
    p.setPen(QPen{d.weld_ink, 1.6});
    p.setBrush(d.sheet);
    const double y = height() / 2.0;
    p.drawPolygon(QPolygonF{{{16, y}, {22, y - 6}, {34, y - 6}, {34, y + 6}, {22, y + 6}}});
    p.drawEllipse(QPointF{23, y}, 1.2, 1.2);
}

}  // namespace sartorum::desk
