#include "desk/shared/smooth_path.h"

#include <algorithm>

namespace sartorum::desk {

QPainterPath smooth_through(const QPolygonF& q, bool closed)
{
    const auto at = [&](int i) {
        const int n = static_cast<int>(q.size());
        return closed ? q[(i + n) % n] : q[std::clamp(i, 0, n - 1)];
    };
    QPainterPath path{q[0]};
    const int last = static_cast<int>(q.size()) - (closed ? 0 : 1);
    for (int i = 0; i < last; ++i)
        path.cubicTo(at(i) + (at(i + 1) - at(i - 1)) / 6, at(i + 1) - (at(i + 2) - at(i)) / 6, at(i + 1));
    return path;
}

}  // namespace sartorum::desk
