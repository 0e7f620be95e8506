#include "desk/shared/laid_out.h"

#include <algorithm>

#include "core/pattern/gore.h"

namespace sartorum::desk {

namespace {
constexpr double gap = 70;  // mm between pieces
constexpr double between_gores = 26;
}  // namespace

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
        // Tall pieces are drawn small, and what is written between them is not.
        double below = first_.height() + std::max(gap * 0.95, first_.height() * 0.095);
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
        const auto pieces = part_view({was_, {}}, part).pieces;
        const double begin = x;
        double height = 0;
        for (const std::size_t i : face_of(pieces, PieceRole::Front)) {
            const QRectF r = hull(pieces[i].id);
            lay(pieces[i].id, QTransform::fromTranslate(x - r.left(), -r.top()));
            x += r.width() + between_gores;
            height = std::max(height, r.height());
        }
        x += gap - between_gores;
        auto back = face_of(pieces, PieceRole::Back);
        std::reverse(back.begin(), back.end());  // mirrored: from the side to the centre
        for (const std::size_t i : back) {
            const QRectF r = hull(pieces[i].id);
            QTransform mirrored;
            mirrored.translate(x + r.right(), -r.top());
            mirrored.scale(-1, 1);
            lay(pieces[i].id, mirrored);
            x += r.width() + between_gores;
            height = std::max(height, r.height());
        }
        return {x - between_gores - begin, height};
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

std::map<std::string, LaidPiece> laid_out_for(Side side, const std::set<std::string>& left_drawn,
                                              const std::vector<Piece>& was, const std::vector<Piece>& is)
{
    auto out = laid_out(was, is);
    for (auto& [id, laid] : out) {
        if (side == Side::Right) laid.box.moveLeft(-laid.box.right());
        const QRectF hull = box_of(*find_piece(was, id)) | box_of(*find_piece(is, id));
        const bool turned = left_drawn.contains(id) == (side == Side::Right);
        laid.to_sheet = {};
        laid.to_sheet.translate(turned ? laid.box.left() + hull.right() : laid.box.left() - hull.left(),
                                laid.box.top() - hull.top());
        if (turned) laid.to_sheet.scale(-1, 1);
    }
    return out;
}

namespace {

// Rows no wider than that, and how large they come to be.
std::vector<LaidPiece> rows_within(const std::vector<QRectF>& boxes, double wide, QSizeF& all)
{
    std::vector<LaidPiece> out;
    double x = 0;
    double y = 0;
    double high = 0;
    all = {};
    for (const auto& b : boxes) {
        if (x > 0 && x + b.width() > wide) {
            y += high + gap;
            x = high = 0;
        }
        const QTransform t = QTransform::fromTranslate(x - b.left(), y - b.top());
        out.push_back({t, t.mapRect(b)});
        high = std::max(high, b.height());
        all = all.expandedTo({x + b.width(), y + high});
        x += b.width() + gap;
    }
    return out;
}

}  // namespace

std::vector<LaidPiece> laid_in_rows(const std::vector<QRectF>& boxes, QSizeF room)
{
    std::vector<LaidPiece> best;
    double largest = 0;
    // A row ends after some piece: as wide as up to it.
    for (std::size_t first = 0; first < boxes.size(); ++first) {
        double wide = 0;
        for (std::size_t i = first; i < boxes.size(); ++i) {
            wide += boxes[i].width() + (i > first ? gap : 0);
            QSizeF all;
            auto laid = rows_within(boxes, wide + 0.1, all);
            const double scale = std::min(room.width() / all.width(), room.height() / all.height());
            if (scale <= largest) continue;
            largest = scale;
            best = std::move(laid);
        }
    }
    return best;
}

}  // namespace sartorum::desk
