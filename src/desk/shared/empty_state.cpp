#include "desk/shared/empty_state.h"

#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>

namespace sartorum::desk {

EmptyState::EmptyState(Look& look, const QString& sentence, const QString& what,
                       const std::vector<Action>& actions, QWidget* parent)
    : Panel{look, parent}
{
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(460, 40, 80, 40);
    column->addStretch();
    column->addWidget(heading(look, sentence, 21, this));
    column->addSpacing(8);
    auto* what_to_do = label(look, what, 14, false, this);
    what_to_do->setObjectName("what_to_do");
    what_to_do->setWordWrap(true);
    column->addWidget(what_to_do);
    column->addSpacing(16);
    for (std::size_t i = 0; i < actions.size(); ++i) {
        auto* b = new Button{look, actions[i].text, i == 0 ? ButtonKind::Primary : ButtonKind::Plain, this};
        connect(b, &Button::clicked, this, actions[i].run);
        column->addWidget(b, 0, Qt::AlignLeft);
    }
    column->addStretch();
}

void EmptyState::paintEvent(QPaintEvent* e)
{
    Panel::paintEvent(e);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.translate(250, height() / 2.0);
    p.setPen(QPen{look_.dyes().edge, 1.4});
    QPainterPath skirt{{-52, -130}};
    skirt.quadTo(0, -120, 52, -130);
    skirt.cubicTo(90, -80, 96, -30, 120, 120);
    skirt.quadTo(0, 144, -120, 120);
    skirt.cubicTo(-96, -30, -90, -80, -52, -130);
    p.drawPath(skirt);
    QPen dashed{look_.dyes().edge, 1.2, Qt::DashLine};
    p.setPen(dashed);
    p.drawLine(0, -124, 0, 131);
    p.drawLine(-92, -40, 92, -40);
}

}  // namespace sartorum::desk
