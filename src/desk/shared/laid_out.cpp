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

namespace {

class Sheet {
public:
    Sheet(const std::vector<Piece>& was, const std::vector<Piece>& is) : was_{was}, is_{is} {}

    std::map<std::string, LaidPiece> laid()
    {
        const auto parts = parts_of(was_);
        double x = 0;
        for (const auto part : parts) {
            const QSizeF size = front_and_back(part, x);
            if (part == parts.front()) first_ = size;
            x += size.width() + gap;
        }
        for (const auto& p : was_) {
            if (out_.contains(p.id)) continue;
            // A sleeve stands beside a single part, and beneath the first of several.
            const QRectF r = hull(p.id);
            if (p.role == PieceRole::Sleeve && parts.size() == 1)
                lay(p.id, QTransform::fromTranslate(first_.width() + gap * 0.8 - r.left(), -r.top()));
        }
        lay_beneath(x - gap);
        return std::move(out_);
    }

private:
    QRectF hull(const std::string& id) const
    {
        return box_of(*find_piece(was_, id)) | box_of(*find_piece(is_, id));
    }

    void lay(const std::string& id, const QTransform& t) { out_[id] = {t, t.mapRect(hull(id))}; }

    // What is left, in rows as wide as the parts; a short row under the middle of the first.
    void lay_beneath(double wide)
    {
        double below = first_.height() + gap * 0.95;
        std::vector<std::string> row;
        double width = 0;
        const auto lay_row = [&] {
            double x = std::max(0.0, (first_.width() - width) / 2);
            double height = 0;
            for (const auto& id : row) {
                const QRectF r = hull(id);
                lay(id, QTransform::fromTranslate(x - r.left(), below - r.top()));
                x += r.width() + gap * 0.5;
                height = std::max(height, r.height());
            }
            below += height + gap * 0.5;
            row.clear();
        };
        for (const auto& p : was_) {
            if (out_.contains(p.id)) continue;
            const double more = hull(p.id).width() + (row.empty() ? 0 : gap * 0.5);
            if (!row.empty() && width + more > wide) lay_row();
            width = row.empty() ? hull(p.id).width() : width + more;
            row.push_back(p.id);
        }
        if (!row.empty()) lay_row();
    }

    QSizeF front_and_back(PartKind part, double x)
    {
        const Garment view = part_view({was_, {}}, part);
        const Piece& front = front_of(view);
        const Piece& back = back_of(view);
        const QRectF f = hull(front.id);
        const QRectF b = hull(back.id);
        lay(front.id, QTransform::fromTranslate(x - f.left(), -f.top()));
        QTransform mirrored;
        mirrored.translate(x + f.width() + gap + b.right(), -b.top());
        mirrored.scale(-1, 1);
        lay(back.id, mirrored);
        return {f.width() + gap + b.width(), std::max(f.height(), b.height())};
    }

    const std::vector<Piece>& was_;
    const std::vector<Piece>& is_;
    std::map<std::string, LaidPiece> out_;
    QSizeF first_;
};

}  // namespace

std::map<std::string, LaidPiece> laid_out(const std::vector<Piece>& was, const std::vector<Piece>& is)
{
    return Sheet{was, is}.laid();
}

}  // namespace sartorum::desk
