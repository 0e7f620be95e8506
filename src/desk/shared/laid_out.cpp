#include "desk/shared/laid_out.h"

#include <algorithm>

namespace sartorum::desk {

namespace {
constexpr double gap = 70;  // mm between pieces
}

QRectF box_of(const Piece& p)
{
    const auto b = bounds(p);
    return {b.left(), -b.bottom(), b.width(), b.height()};
}

std::map<std::string, LaidPiece> laid_out(const std::vector<Piece>& was, const std::vector<Piece>& is)
{
    std::map<std::string, LaidPiece> out;
    const Piece& front = *find_piece(was, PieceRole::Front);
    const Piece& back = *find_piece(was, PieceRole::Back);
    const auto hull = [&](const std::string& id) {
        return box_of(*find_piece(was, id)) | box_of(*find_piece(is, id));
    };
    const QRectF f = hull(front.id);
    const QRectF b = hull(back.id);
    QTransform tf = QTransform::fromTranslate(-f.left(), -f.top());
    out[front.id] = {tf, tf.mapRect(f)};
    QTransform tb;
    tb.translate(f.width() + gap + b.right(), -b.top());
    tb.scale(-1, 1);
    out[back.id] = {tb, tb.mapRect(b)};
    double y = std::max(f.height(), b.height()) + gap * 0.95;
    if (const Piece* sleeve = find_piece(was, PieceRole::Sleeve)) {
        const QRectF r = hull(sleeve->id);
        const auto t = QTransform::fromTranslate(f.width() + b.width() + gap * 1.8 - r.left(), -r.top());
        out[sleeve->id] = {t, t.mapRect(r)};
    }
    for (const auto& p : was) {
        if (out.contains(p.id)) continue;
        const QRectF r = hull(p.id);
        const double x = (f.width() + gap + b.width() - r.width()) / 2;
        const auto t = QTransform::fromTranslate(x - r.left(), y - r.top());
        out[p.id] = {t, t.mapRect(r)};
        y += r.height() + gap * 0.5;
    }
    return out;
}

}  // namespace sartorum::desk
