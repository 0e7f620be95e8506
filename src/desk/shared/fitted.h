// fitted.h: a picture laid into a box.
#pragma once
#include <QRectF>
#include <QTransform>
#include <algorithm>

namespace sartorum::desk {

// As large as it goes, its middle in the box's; nothing is turned or made longer than it is wide.
[[nodiscard]] inline QTransform fitted(const QRectF& what, const QRectF& box)
{
    const double s = std::min(box.width() / what.width(), box.height() / what.height());
    QTransform t;
    t.translate(box.center().x(), box.center().y());
    t.scale(s, s);
    t.translate(-what.center().x(), -what.center().y());
    return t;
}

}  // namespace sartorum::desk
