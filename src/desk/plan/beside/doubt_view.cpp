#include "desk/plan/beside/doubt_view.h"

#include <QLabel>
#include <QVBoxLayout>

#include "words/words.h"

namespace sartorum::desk {

DoubtView::DoubtView(Look& look, Room& room, QWidget* parent)
    : Panel{look, parent},
      look_{look},
      room_{room},
      said_{label(look, {}, 14, true, this)},
      meant_{new Button{look, tr("It is meant so"), ButtonKind::Plain, this}}
{
    setObjectName("doubts");
    setAccessibleName(tr("Before anything is proposed"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(46, 10, 10, 10);
    column->addWidget(said_);
    column->addWidget(meant_, 0, Qt::AlignRight);
    said_->setObjectName("doubts_said");
    meant_->setObjectName("meant_so");
    connect(meant_, &Button::clicked, this, [this] { room_.say_as_drawn(); });
    hide();
}

void DoubtView::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen{look_.dyes().weld_ink, 1});
    p.setBrush(look_.dyes().weld_wash);
    p.drawRoundedRect(QRectF{rect()}.adjusted(1, 1, -1, -1), 4, 4);
    draw_triangle(p, look_, {23, 28}, 10);
}

void DoubtView::refresh()
{
    const auto& computed = room_.computed();
    setVisible(computed && !computed->doubts.empty());
    if (!computed || computed->doubts.empty()) return;
    QStringList now{tr("Before anything is proposed: can this be?")};
    for (const auto& d : computed->doubts) now << words::doubt(d, look_.unit());
    now << tr("Look at the drawing's scale, the size and the chart. Is the cloth a knit? Say so at the chart.");
    said_->setText(now.join('\n'));
    setAccessibleDescription(now.join(' '));
}

}  // namespace sartorum::desk
