// Canvas: long legs drawn broken (leg_break.h).
#include <QPainterPath>
#include <algorithm>

#include "desk/paper/canvas.h"
#include "formats/painter_paths.h"
#include "words/words.h"

namespace sartorum::desk {

void Canvas::break_legs(bool on)
{
    breaks_legs_ = on;
    broken_.reset();
    whole();
}

// Those of the change in hand, so that the picture keeps its size through it; finished, all of them.
std::vector<const Step*> Canvas::steps_shown() const
{
    std::vector<const Step*> out;
    if (view_ == PaperView::AsBought) return out;
    const PlanLine* here = room_.step_here().line;
    for (const auto& told : room_.steps())
        if (view_ == PaperView::Finished || told.line == here) out.push_back(told.step);
    return out;
}

const std::optional<LegBreak>& Canvas::broken() const
{
    if (!broken_) {
        const auto& c = *room_.computed();
        broken_ = breaks_legs_ && !shows_cut()
                      ? leg_break(unbroken_places(), c.bought.pieces, altered_here().pieces, steps_shown())
                      : std::nullopt;
    }
    return *broken_;
}

std::map<std::string, LaidPiece> Canvas::places() const
{
    auto out = unbroken_places();
    const auto& legs = broken();
    if (!legs) return out;
    for (auto& [id, placed] : out) {
        if (legs->legs.contains(id))
            placed.box.setHeight(placed.box.height() - legs->closes_by());
        else if (placed.box.top() > legs->to)
            placed = {legs->lower(placed.to_sheet), placed.box.translated(0, -legs->closes_by())};
    }
    return out;
}

// Its upper and its lower part, each inside its zigzag.
void Canvas::draw_broken(QPainter& p, const Piece& bought, const LaidPiece& placed, const LegBreak& legs)
{
    const QTransform screen = sheet_to_screen();
    p.save();
    p.setClipPath(screen.map(legs.above()));
    draw_piece(p, bought, placed.to_sheet);
    p.setClipPath(screen.map(legs.below()));
    draw_piece(p, bought, legs.lower(placed.to_sheet), false);
    p.restore();
    const Piece& now = view_ == PaperView::AsBought ? bought : *find_piece(altered_here().pieces, bought.id);
    const QPainterPath outline = formats::painter_path(now);
    p.save();
    p.setPen(QPen{look_.dyes().walnut, 1.2});
    const auto lines = legs.zigzags();
    p.setClipPath((placed.to_sheet * screen).map(outline));
    p.drawPolyline(screen.map(lines[0]));
    p.setClipPath((legs.lower(placed.to_sheet) * screen).map(outline));
    p.drawPolyline(screen.map(lines[1]));
    p.restore();
}

void Canvas::draw_left_out(QPainter& p, const LegBreak& legs)
{
    const QTransform screen = sheet_to_screen();
    const QString said = tr("%1 of leg\nleft out here").arg(words::amount(legs.left_out(), look_.unit()));
    p.setFont(look_.lato(13));
    p.setPen(look_.dyes().faded);
    const QSizeF size = p.fontMetrics().boundingRect(QRect{0, 0, 400, 90}, Qt::AlignLeft, said).size();
    std::vector<QRectF> taken;
    // How far each leg reaches there, from the left on.
    std::vector<QLineF> across;
    for (const auto& [id, placed] : places()) {
        if (!legs.legs.contains(id)) taken.push_back(screen.mapRect(placed.box));
        if (!legs.legs.contains(id)) continue;
        const Piece& piece = *find_piece(altered_here().pieces, id);
        const QRectF box = box_of(piece);
        const double share = (legs.from - placed.to_sheet.map(box.topLeft()).y()) / box.height();
        const QLineF line = (placed.to_sheet * screen).map(formats::widest_across(piece, share));
        across.push_back(line.x1() < line.x2() ? line : QLineF{line.p2(), line.p1()});
    }
    std::sort(across.begin(), across.end(), [](const QLineF& a, const QLineF& b) { return a.x1() < b.x1(); });
    constexpr double clear = 10;
    const double y = screen.map(QPointF{0, legs.from}).y() - 12;
    // Between two legs, or beside them, where there is room.
    std::vector<double> lefts;
    for (std::size_t i = 1; i < across.size(); ++i) {
        const double room = across[i].x1() - across[i - 1].x2();
        if (room > size.width() + 2 * clear) lefts.push_back(across[i - 1].x2() + (room - size.width()) / 2);
    }
    lefts.push_back(across.back().x2() + clear);
    lefts.push_back(across.front().x1() - clear - size.width());
    const QRectF seen = QRectF{rect()}.adjusted(4, 4, -4, -4);
    for (const double x : lefts) {
        const QRectF at{{x, y}, size + QSizeF{2, 2}};
        const bool free =
            std::none_of(taken.begin(), taken.end(), [&](const QRectF& r) { return r.intersects(at); });
        if (!free || !seen.contains(at)) continue;
        p.drawText(at, Qt::AlignLeft | Qt::AlignTop, said);
        return;
    }
}

// The middle of an edge; where that is left out, a place of it on the upper part of the leg.
QPointF Canvas::measured_at(const QPainterPath& edge, const QTransform& t, bool upper) const
{
    const QPointF middle = t.map(edge.pointAtPercent(0.5));
    if (!broken() || !upper) return middle;
    const QTransform to_sheet = sheet_to_screen().inverted();
    const auto left_out = [&](QPointF at) {
        const double y = to_sheet.map(at).y();
        return y > broken()->from && y < broken()->to;
    };
    for (const double share : {0.5, 0.25, 0.75, 0.1, 0.9}) {
        const QPointF at = t.map(edge.pointAtPercent(share));
        if (!left_out(at)) return at;
    }
    return middle;
}

}  // namespace sartorum::desk
