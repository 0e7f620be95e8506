#include "desk/plan/map/mark.h"

#include <QPainter>

namespace sartorum::desk {

void draw_mark(QPainter& p, const Look& look, QPointF centre, double size, Shows standing, const QString& number,
               bool chosen)
{
    const auto& d = look.dyes();
    const QRectF box{centre.x() - size / 2, centre.y() - size / 2, size, size};
    if (chosen) {
        p.setPen(QPen{d.woad, 2});
        p.setBrush(d.sheet);
        p.drawEllipse(box.adjusted(-5, -5, 5, 5));
    }
    p.setFont(look.lato(size * 0.62 / look.scale(), QFont::Bold));
    switch (standing) {
        case Shows::Accepted:
            p.setPen(Qt::NoPen);
            p.setBrush(d.woad);
            p.drawPolygon(pinked(box, size / 5.5));
            p.setPen(d.on_woad);
            break;
        case Shows::Proposed:
            p.setPen(QPen{d.weld_ink, 1.4});
            p.setBrush(d.weld_wash);
            p.drawRoundedRect(box.adjusted(1, 1, -1, -1), 3, 3);
            p.setPen(d.weld_ink);
            break;
        case Shows::NotDone:
            p.setPen(QPen{d.ink, 1.3, Qt::DashLine});
            p.setBrush(d.sheet);
            p.drawEllipse(box.adjusted(1, 1, -1, -1));
            p.setPen(QPen{d.ink, 1.8});
            p.drawLine(centre - QPointF{size / 5, 0}, centre + QPointF{size / 5, 0});
            return;
        case Shows::Quiet:
            p.setPen(QPen{d.edge, 1.4});
            p.setBrush(d.sheet);
            p.drawEllipse(box.adjusted(3, 3, -3, -3));
            return;
    }
    p.drawText(box, Qt::AlignCenter, number);
}

}  // namespace sartorum::desk
