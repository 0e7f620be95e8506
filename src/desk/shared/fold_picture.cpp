#include "desk/shared/fold_picture.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

namespace sartorum::desk {
namespace {

// A line between two ticks, with its letter beside or under it.
void dimension(QPainter& p, QPointF a, QPointF b)
{
    const QPointF along = b - a;
    const QPointF across = along.x() != 0 ? QPointF{0, 3} : QPointF{3, 0};
    p.drawLine(a, b);
    p.drawLine(a - across, a + across);
    p.drawLine(b - across, b + across);
}

}  // namespace

FoldPicture::FoldPicture(Look& look, FoldAsked asked, QWidget* parent) : QWidget{parent}, look_{look}
{
    setObjectName("fold_picture");
    setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    ask(asked);
}

void FoldPicture::ask(FoldAsked asked)
{
    asked_ = asked;
    setAccessibleName(asked == FoldAsked::Whole
                          ? tr("A fold that stands up p takes out 2 p. What is asked for is 2 p.")
                          : tr("A fold that stands up p takes out 2 p. What is asked for is p."));
    update();
}

QSize FoldPicture::sizeHint() const
{
    const double k = std::min(look_.scale(), 1.25);
    return QSizeF{176 * k, 50 * k}.toSize();
}

void FoldPicture::paintEvent(QPaintEvent*)
{
    const auto& d = look_.dyes();
    const double k = std::min(look_.scale(), 1.25);
    QPainter p{this};
    p.setRenderHint(QPainter::Antialiasing);
    p.scale(k, k);
    p.setFont(look_.lato(12.5 * k / look_.scale()));
    const double ground = 38;
    const double deep = 26;
    // Pinched: the cloth runs up into the fold and down again.
    QPainterPath cloth{{4, ground}};
    cloth.lineTo(32, ground);
    cloth.quadTo(36, ground, 36, ground - 5);
    cloth.lineTo(36, ground - deep + 3);
    cloth.quadTo(36, ground - deep, 39, ground - deep);
    cloth.quadTo(42, ground - deep, 42, ground - deep + 3);
    cloth.lineTo(42, ground - 5);
    cloth.quadTo(42, ground, 46, ground);
    cloth.lineTo(72, ground);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen{d.walnut, 2, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin});
    p.drawPath(cloth);
    // Opened: as much cloth as both sides of the fold.
    p.drawLine(QPointF{92, ground - 14}, QPointF{172, ground - 14});
    const auto pen = [&](FoldAsked which) { return which == asked_ ? QPen{d.woad, 2} : QPen{d.walnut_line, 1.2}; };
    const auto ink = [&](FoldAsked which) {
        p.setPen(which == asked_ ? d.woad : d.faded);
        p.setFont(look_.lato(12.5 * k / look_.scale(), which == asked_ ? QFont::DemiBold : QFont::Normal));
    };
    p.setPen(pen(FoldAsked::Depth));
    dimension(p, {52, ground - 2}, {52, ground - deep});
    ink(FoldAsked::Depth);
    p.drawText(QRectF{57, ground - deep - 2, 20, deep}, Qt::AlignLeft | Qt::AlignVCenter, tr("p"));
    p.setPen(pen(FoldAsked::Whole));
    dimension(p, {106, ground - 6}, {158, ground - 6});
    ink(FoldAsked::Whole);
    p.drawText(QRectF{92, ground - 5, 80, 17}, Qt::AlignHCenter | Qt::AlignVCenter, tr("2 p"));
}

}  // namespace sartorum::desk
