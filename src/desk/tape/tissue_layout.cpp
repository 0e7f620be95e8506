#include "desk/tape/tissue_layout.h"

#include <algorithm>
#include <cmath>

#include "desk/shared/laid_out.h"
#include "formats/painter_paths.h"

namespace sartorum::desk {
namespace {

using L = TissueLine;

constexpr double strip_gap = 40;   // mm between the strips of one girth
constexpr double sleeve_gap = 46;  // mm more than elsewhere: the back's long lines lie there

// Strips stand in a row; the pieces of a garment as every station lays them.
std::map<std::string, LaidPiece> on_the_table(const std::vector<Piece>& pieces)
{
    const bool strips =
        std::all_of(pieces.begin(), pieces.end(), [](const Piece& p) { return p.role == PieceRole::Other; });
    if (!strips) {
        auto laid = laid_out(pieces, pieces);
        if (const auto* sleeve = find_piece(pieces, PieceRole::Sleeve)) {
            auto& s = laid.at(sleeve->id);
            s.to_sheet *= QTransform::fromTranslate(sleeve_gap, 0);
            s.box.translate(sleeve_gap, 0);
        }
        return laid;
    }
    std::map<std::string, LaidPiece> out;
    double x = 0;
    for (const auto& p : pieces) {
        const QRectF b = box_of(p);
        const auto t = QTransform::fromTranslate(x - b.left(), -b.top());
        out[p.id] = {t, t.mapRect(b)};
        x += b.width() + strip_gap;
    }
    return out;
}

// How far beside the piece, in pixels; long lines lie outside short ones.
double clear_of(TissueLine line)
{
    switch (line) {
        case L::FrontLength:
        case L::BackLength:
        case L::CentreLength:
        case L::InsideLeg:
        case L::LegBackInside:
        case L::LegRise: return 52;
        case L::FrontShoulder:
        case L::BackShoulder:
        case L::CapLength: return 15;
        case L::LegFrontCrotch:
        case L::LegBackCrotch: return 34;
        case L::LegFly: return 16;
        case L::WaistToHip: return 40;
        default: return 24;
    }
}

QPointF mapped_direction(const QTransform& t, Point d)
{
    const QPointF a = t.map(QPointF{0, 0});
    const QPointF b = t.map(QPointF{d[Geom::X], -d[Geom::Y]});
    const QPointF v = b - a;
    return v / std::hypot(v.x(), v.y());
}

PlacedLine placed(const LaidLine& l, const QTransform& t, int number, double scale)
{
    PlacedLine out;
    out.line = l.line;
    out.number = number;
    out.read = l.read;
    out.on_piece = t.map(formats::painter_path(l.along));
    out.drawn = out.on_piece;
    if (l.aside) {
        // Beside the centre it stands clear of the whole piece, wherever it is laid.
        const bool at_centre = (*l.aside)[Geom::X] < 0;
        const double far =
            clear_of(l.line) + (at_centre ? std::max(0.0, l.along.initialPoint()[Geom::X]) * scale : 0);
        const QPointF by = mapped_direction(t, *l.aside) * far;
        out.drawn.translate(by);
        for (const double end : {0.0, 1.0}) {
            const QPointF from = out.on_piece.pointAtPercent(end);
            out.ties.push_back({from, from + by * (1 + 3 / far)});
        }
    }
    return out;
}

double overlap(const QRectF& a, const QRectF& b)
{
    const QRectF both = a & b;
    return both.isValid() ? both.width() * both.height() : 0;
}

// Does a line run through what is written there.
bool crosses(const QPainterPath& path, const QRectF& r)
{
    return path.intersects(r);
}

// What a name may cost before it is left out: a line through it, not a value under it.
constexpr double no_room = 400;

class Labels {
public:
    Labels(QRectF room, const LabelSizes& sizes) : room_{room}, sizes_{sizes} {}

    void take(const QRectF& r) { taken_.push_back(r); }

    // Inside its piece, where fewest lines run.
    QRectF place_name(const QRectF& box, double w, const std::vector<PlacedLine>& all)
    {
        PlacedLine nobody;
        nobody.number = 0;
        QRectF out;
        double best = 1e18;
        for (const double y : {0.8, 0.72, 0.64, 0.88, 0.56, 0.48, 0.4}) {
            for (const double x : {0.5, 0.4, 0.6, 0.3, 0.7}) {
                const QRectF r{box.left() + box.width() * x - w / 2,
                               box.top() + (box.height() - sizes_.height) * y, w, sizes_.height};
                const double cost = cost_of(r, nobody, all) + std::abs(x - 0.5) * 20 + std::abs(y - 0.8) * 20;
                if (cost >= best) continue;
                best = cost;
                out = r;
            }
        }
        if (best > no_room) return {};  // it is said, not shown
        take(out);
        return out;
    }

    void place(PlacedLine& line, const std::vector<PlacedLine>& all)
    {
        const double value = sizes_.width(line.line);
        const double w = sizes_.disc * 2 + (value > 0 ? 5 + value : 0);
        const double h = std::max(sizes_.height, sizes_.disc * 2);
        double best = 1e18;
        for (const double t : {0.5, 0.36, 0.64, 0.22, 0.78, 0.1, 0.9}) {
            const QPointF c = line.drawn.pointAtPercent(t);
            const QPointF shifts[] = {{0, 0}, {w / 2 + 4, 0}, {-w / 2 - 4, 0}, {0, -h / 2 - 3}, {0, h / 2 + 3}};
            for (int s = 0; s < 5; ++s) {
                const QRectF r{c.x() + shifts[s].x() - w / 2, c.y() + shifts[s].y() - h / 2, w, h};
                const double cost = cost_of(r, line, all) + s * 3 + std::abs(t - 0.5) * 14;
                if (cost >= best) continue;
                best = cost;
                line.label = r;
            }
        }
        line.disc = {line.label.left() + sizes_.disc, line.label.center().y()};
        take(line.label);
    }

private:
    [[nodiscard]] double cost_of(const QRectF& r, const PlacedLine& own, const std::vector<PlacedLine>& all) const
    {
        double cost = 0;
        const QRectF wide = r.adjusted(-2, -1, 2, 1);
        for (const auto& t : taken_) cost += overlap(wide, t) * 40;
        const QRectF inside = r & room_;
        cost += (r.width() * r.height() - (inside.isValid() ? inside.width() * inside.height() : 0)) * 40;
        for (const auto& other : all) {
            if (other.number != own.number && other.laid && crosses(other.drawn, r)) cost += 60;
        }
        return cost;
    }
    QRectF room_;
    const LabelSizes& sizes_;
    std::vector<QRectF> taken_;
};

// What the pieces have no place for yet stands in a row where their name is.
void stand_aside(std::vector<PlacedLine>& lines, const TissueLayout& layout, const std::vector<Piece>& pieces)
{
    std::map<std::string, int> waiting;
    for (auto& l : lines) {
        if (l.laid) continue;
        std::string id = pieces.empty() ? "" : pieces.front().id;
        for (const auto& p : pieces) {
            if (!layout.names.contains(p.id)) continue;
            const bool back = p.role == PieceRole::Back && facts(l.line).on == TissuePiece::Back;
            const bool sleeve = p.role == PieceRole::Sleeve && facts(l.line).on == TissuePiece::Sleeve;
            const bool front = p.role == PieceRole::Front && facts(l.line).on == TissuePiece::Front;
            const bool part = p.part == part_of(l.line);
            if (part && (front || back || sleeve)) id = p.id;
        }
        const auto name = layout.names.find(id);
        if (name == layout.names.end()) continue;
        const QPointF at{name->second.left() + 14 + 26.0 * waiting[id]++, name->second.bottom() + 16};
        l.drawn = QPainterPath{at};
        l.drawn.lineTo(at + QPointF{0.1, 0});
    }
}

}  // namespace

TissueLayout laid_tissue(const Tissue& t, const std::vector<Piece>& pieces, QRectF room,
                         std::optional<TissueLine> current, const LabelSizes& sizes)
{
    TissueLayout out;
    if (pieces.empty() || !t.in_hand()) return out;
    const auto table = on_the_table(pieces);
    QRectF all;
    for (const auto& [id, laid] : table) all |= laid.box;
    const bool sleeve = find_piece(pieces, PieceRole::Sleeve) != nullptr;
    const QMarginsF clear{80, 46, sleeve ? 24.0 : 92.0, 44};
    const QRectF inner = room.marginsRemoved(clear);
    out.scale = std::max(0.1, std::min(inner.width() / all.width(), inner.height() / all.height()));
    const QPointF corner = inner.center() - all.center() * out.scale;
    QTransform to_room;
    to_room.translate(corner.x(), corner.y());
    to_room.scale(out.scale, out.scale);
    for (const auto& [id, laid] : table) out.to_screen[id] = laid.to_sheet * to_room;
    int number = 0;
    for (const auto line : lines_on_pieces(t, *t.in_hand())) {
        ++number;
        if (current && !lie_together(t, line, *current)) continue;
        if (lacks(*t.in_hand(), line) && line != current) continue;
        const auto laid = laid_line(line, pieces);
        if (laid)
            out.lines.push_back(placed(*laid, out.to_screen.at(laid->piece), number, out.scale));
        else {
            PlacedLine waiting;
            waiting.line = line;
            waiting.number = number;
            waiting.laid = false;
            out.lines.push_back(waiting);
        }
    }
    Labels labels{room.adjusted(4, 4, -4, -4), sizes};
    // The one in hand first, then those with values; a bare number finds room anywhere.
    std::vector<PlacedLine*> order;
    for (auto& l : out.lines) order.push_back(&l);
    std::stable_sort(order.begin(), order.end(), [&](const PlacedLine* a, const PlacedLine* b) {
        const auto rank = [&](const PlacedLine* l) {
            return current == l->line ? 0 : sizes.width(l->line) > 0 ? 1 : 2;
        };
        return rank(a) < rank(b);
    });
    for (auto* l : order) {
        if (l->laid) labels.place(*l, out.lines);
    }
    for (const auto& p : pieces)
        out.names[p.id] = labels.place_name(to_room.mapRect(table.at(p.id).box), sizes.name(p), out.lines);
    stand_aside(out.lines, out, pieces);
    for (auto* l : order) {
        if (!l->laid) labels.place(*l, out.lines);
    }
    return out;
}

}  // namespace sartorum::desk
