#include "desk/plan/map/glyph.h"

#include <QPainter>
#include <algorithm>

#include "core/paper/area.h"
#include "desk/shared/fitted.h"
#include "desk/shared/piece_painter.h"

namespace sartorum::desk {
namespace {

// The step that shows best what happens: where paper of front, back or sleeve came or went most.
const Step* telling_step(const std::vector<Step>& steps)
{
    const Step* best = nullptr;
    double most = 0;
    for (const auto& s : steps) {
        const PieceRole role = s.picture.panels.front().role;
        if (role != PieceRole::Front && role != PieceRole::Back && role != PieceRole::Sleeve) continue;
        double area = 0;
        for (const auto& shapes : {added_paper(s.picture), removed_paper(s.picture)}) {
            for (const auto& polygon : shapes) area += area_mm2(polygon);
        }
        if (area <= most) continue;
        most = area;
        best = &s;
    }
    return best;
}

}  // namespace

Glyph glyph_of(const Garment& garment, AdjustmentKind kind, std::size_t method, bool more)
{
    const auto& entry = adjustment(kind);
    // The largest it carries, down to a tenth of it: a small piece may carry less than the limit.
    for (double part = 1.0; part > 0.1; part *= 0.6) {
        const Length amount = (more ? entry.most : entry.least) * part;
        const auto applied = entry.apply(garment, {amount, method});
        if (!applied) continue;
        const Step* step = telling_step(applied->steps);
        if (!step) return {};
        return {step->picture.panels, added_paper(step->picture), removed_paper(step->picture)};
    }
    return {};
}

void draw_glyph(QPainter& p, const Look& look, const QRectF& box, const Glyph& glyph)
{
    if (glyph.panels.empty()) return;
    Geom::Rect all = bounds(glyph.panels.front());
    for (const auto& panel : glyph.panels) all.unionWith(bounds(panel));
    for (const auto& shapes : {glyph.added, glyph.removed}) {
        for (const auto& polygon : shapes) {
            for (const auto& q : polygon) all.expandTo(q);
        }
    }
    // On the screen y runs down.
    PiecePainter paint{p, look, fitted({all.left(), -all.bottom(), all.width(), all.height()}, box)};
    const auto& d = look.dyes();
    p.setPen(QPen{d.walnut_line, 1.3});
    p.setBrush(d.walnut_wash);
    for (const auto& panel : glyph.panels) {
        QPolygonF shape;
        for (const auto& q : outline_points(panel, Length::mm(2))) shape << paint.at(q);
        p.drawPolygon(shape);
    }
    paint.added(glyph.added);
    paint.removed(glyph.removed);
}

}  // namespace sartorum::desk
