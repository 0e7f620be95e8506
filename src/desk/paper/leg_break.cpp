#include "desk/paper/leg_break.h"

#include <algorithm>

#include "core/paper/area.h"
#include "formats/painter_paths.h"

namespace sartorum::desk {
namespace {

constexpr double beside_crotch = 130;  // mm that stay whole beneath it, and above the hem
constexpr double above_hem = 120;
constexpr double worth_breaking = 150;
constexpr double gap = 26;
constexpr double tooth = 18;
constexpr double deep = 5;

bool is_leg(const Piece& p)
{
    return edge_index(p, EdgeRole::InnerLeg).has_value();
}

// What a step draws on its piece.
std::vector<Point> drawn_by(const Step& step)
{
    std::vector<Point> out;
    for (const auto& l : step.picture.lines) out.insert(out.end(), {l.a, l.b});
    for (const auto& d : step.picture.dimensions) out.insert(out.end(), {d.a, d.b});
    for (const auto& shapes : {added_paper(step.picture), removed_paper(step.picture)})
        for (const auto& polygon : shapes) out.insert(out.end(), polygon.begin(), polygon.end());
    return out;
}

}  // namespace

double LegBreak::closes_by() const
{
    return to - from - gap;
}

QPointF LegBreak::shown(QPointF at) const
{
    return at.y() <= from ? at : at - QPointF{0, closes_by()};
}

namespace {

constexpr double wide = 4000;  // beyond any sheet

QPolygonF zigzag(double y)
{
    QPolygonF out;
    int i = 0;
    for (double x = -wide; x <= wide; x += tooth) out << QPointF{x, y + (i++ % 2 ? deep : -deep)};
    return out;
}

QPainterPath all_to(QPolygonF line, double y)
{
    QPainterPath out;
    line << QPointF{wide, y} << QPointF{-wide, y};
    out.addPolygon(line);
    out.closeSubpath();
    return out;
}

}  // namespace

std::array<QPolygonF, 2> LegBreak::zigzags() const
{
    return {zigzag(from), zigzag(from + gap)};
}

QPainterPath LegBreak::above() const
{
    return all_to(zigzag(from), -wide);
}

QPainterPath LegBreak::below() const
{
    return all_to(zigzag(from + gap), wide);
}

QTransform LegBreak::lower(const QTransform& to_sheet) const
{
    return to_sheet * QTransform::fromTranslate(0, -closes_by());
}

std::optional<LegBreak> leg_break(const std::map<std::string, LaidPiece>& places, const std::vector<Piece>& was,
                                  const std::vector<Piece>& is, const std::vector<const Step*>& steps)
{
    LegBreak out{0, 1e9, {}};
    for (const auto* pieces : {&was, &is}) {
        for (const auto& p : *pieces) {
            const auto placed = places.find(p.id);
            if (!is_leg(p) || placed == places.end()) continue;
            const auto level = [&](Point at) { return placed->second.to_sheet.map(formats::on_paper(at)).y(); };
            out.from = std::max(out.from, level(edge(p, EdgeRole::InnerLeg).curve.finalPoint()) + beside_crotch);
            for (const auto& end :
                 {edge(p, EdgeRole::Hem).curve.initialPoint(), edge(p, EdgeRole::Hem).curve.finalPoint()})
                out.to = std::min(out.to, level(end) - above_hem);
            out.legs.insert(p.id);
        }
    }
    if (out.legs.empty() || out.to - out.from < worth_breaking) return std::nullopt;
    const auto there = [&](const Step* step) {
        if (!out.legs.contains(step->piece)) return false;
        const auto& placed = places.at(step->piece);
        const auto points = drawn_by(*step);
        return std::any_of(points.begin(), points.end(), [&](Point at) {
            const double y = placed.to_sheet.map(formats::on_paper(at)).y();
            return y > out.from - deep && y < out.to + deep;
        });
    };
    return std::any_of(steps.begin(), steps.end(), there) ? std::nullopt : std::optional{out};
}

}  // namespace sartorum::desk
