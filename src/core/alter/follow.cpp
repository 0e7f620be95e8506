#include "core/alter/follow.h"

#include <algorithm>

#include "core/paper/facing.h"
#include "core/paper/panels.h"
#include "core/paper/redraw.h"

namespace sartorum {

Outcome<bool> follow_length(std::vector<Step>& steps, Piece& band, EdgeRole role, Length change)
{
    if (abs(change) < least_followed) return true;
    const Edge& seam = edge(band, role);
    // The first notch inside the waist seam is the side notch; without one the middle of the seam does.
    const Point end = seam.curve.initialPoint();
    const Point fold = seam.curve.finalPoint();
    Point at = (end + fold) / 2;
    std::size_t side_notch = band.notches.size();
    for (std::size_t i = 0; i < band.notches.size(); ++i) {
        const Point n = band.notches[i].at;
        if (band.notches[i].on == role && Geom::distance(n, end) > 5 && Geom::distance(n, fold) > 5) {
            at = n;
            side_notch = i;
            break;
        }
    }
    const Point along = Geom::unit_vector(end - fold);
    // Drawn this way the line has the fold on its left and the free end on its right.
    const Point direction = Geom::rot90(along);
    constexpr double stays = 10;
    const double whole_mm = Geom::distance(end, fold);
    const bool to_the_middle = side_notch == band.notches.size();
    if (to_the_middle && change < Length{}) {  // nearer the fold where the half cannot be taken out
        const double kept = std::min(whole_mm / 2, whole_mm + change.in_mm() - stays);
        if (kept > stays) at = fold + along * kept;
    }
    if (-change.in_mm() > Geom::distance(at, end) - stays) {
        return refuse_amount(Why::AmountTooLarge, band.id, change, -Length::mm(Geom::distance(at, end) - stays),
                             Length::mm(400));
    }
    const auto spread = spread_across(band, at, direction, along * change.in_mm());
    if (!spread) return tl::make_unexpected(spread.error());
    const Length place = Length::mm(Geom::distance(at, fold));
    Step cut{StepKind::CutBand,
             band.id,
             change,
             place,
             {},
             {},
             {{spread->cut.first, spread->cut.second}, {}, {}, {}, {}}};
    cut.picture.lines = {{spread->cut.enters, spread->cut.leaves}};
    Step move{
        change > Length{} ? StepKind::SpreadBand : StepKind::OverlapBand, band.id, abs(change), place, {}, {}, {}};
    Piece whole = spread->whole;
    for (auto& e : whole.edges) {  // the joints lie in straight edges: draw them as one line again
        e.curve = straight(e.curve.initialPoint(), e.curve.finalPoint());
    }
    if (side_notch < whole.notches.size()) {
        for (auto& n : whole.notches) {  // re-marked in the middle of the strip
            if (Geom::distance(n.at, at) < 1e-6 || Geom::distance(n.at, at + along * change.in_mm()) < 1e-6) {
                n.at = at + along * (change.in_mm() / 2);
            }
        }
    }
    move.picture.panels = {whole};
    (change > Length{} ? move.picture.added : move.picture.removed) = {spread->strip};
    move.picture.dimensions = {{spread->cut.enters, spread->cut.enters + along * change.in_mm(), abs(change)}};
    steps.push_back(std::move(cut));
    steps.push_back(std::move(move));
    band = std::move(whole);
    return true;
}

namespace {

// Edge by edge, segment by segment no farther apart than that: curves lie within their controls.
bool controls_within(const Piece& a, const Piece& b, double within)
{
    const auto same_edge = [&](const Edge& x, const Edge& y) {
        const auto p = all_controls(x.curve);
        const auto q = all_controls(y.curve);
        return std::equal(p.begin(), p.end(), q.begin(), q.end(),
                          [&](Point u, Point v) { return Geom::distance(u, v) <= within; });
    };
    return std::equal(a.edges.begin(), a.edges.end(), b.edges.begin(), b.edges.end(), same_edge);
}

// Some place of the one outline lies farther from the other; looked for where edges meet first.
bool strays(const Piece& a, const Piece& b, double within)
{
    const auto line = outline(b);
    const auto off = [&](Point p) { return Geom::distance(p, line.pointAt(line.nearestTime(p))) > within; };
    const auto corner_off = [&](const Edge& e) { return off(e.curve.initialPoint()); };
    if (std::any_of(a.edges.begin(), a.edges.end(), corner_off)) return true;
    const auto points = outline_points(a, Length::mm(0.2));
    return std::any_of(points.begin(), points.end(), off);
}

bool differ(const Piece& a, const Piece& b, Length within)
{
    if (controls_within(a, b, within.in_mm())) return false;
    return strays(a, b, within.in_mm()) || strays(b, a, within.in_mm());
}

// The piece with its hem shorter by so much.
Outcome<Piece> hemmed(const Piece& piece, Length shorter)
{
    return shorter > least_followed ? hem_moved(piece, -shorter) : Outcome<Piece>{piece};
}

}  // namespace

Outcome<bool> follow_whole(std::vector<Step>& steps, Piece& lining, const Piece& was, const Piece& now)
{
    constexpr Length alike = Length::mm(1);
    if (!edge_index(lining, EdgeRole::Centre) || !edge_index(was, EdgeRole::Centre))
        return refuse(Why::LiningDiffers, lining.id);
    const Length shorter = sewn_length(was, EdgeRole::Centre) - sewn_length(lining, EdgeRole::Centre);
    const auto as_cut = hemmed(was, shorter);
    if (!as_cut || differ(*as_cut, lining, alike)) return refuse(Why::LiningDiffers, lining.id);
    auto drawn = hemmed(now, shorter);
    if (!drawn) return tl::make_unexpected(drawn.error());
    Piece out = std::move(*drawn);
    out.id = lining.id;
    out.name = lining.name;
    out.cut = lining.cut;
    out.role = lining.role;
    out.part = lining.part;
    out.opening = lining.opening;
    out.overlap = lining.overlap;
    out.button_gap = lining.button_gap;
    for (auto& e : out.edges) {
        if (edge_index(lining, e.role)) e.allowance = edge(lining, e.role).allowance;
    }
    const bool seen = differ(out, lining, least_redrawn);
    if (seen) steps.push_back(redrawn_step(lining, out, StepKind::DrawLining, shorter));
    lining = std::move(out);
    return seen;
}

Outcome<bool> follow_shape(std::vector<Step>& steps, Piece& facing, EdgeRole role, const Piece& on,
                           EdgeRole edge_on)
{
    const auto width = facing_width(facing, role);
    if (!width) return refuse(Why::EdgeMissing, facing.id);
    auto drawn = facing_drawn(on, edge_on, *width);
    if (!drawn) return tl::make_unexpected(drawn.error());
    const Edge& was = edge(facing, role);
    // It stays where it lay, so that both can be seen together.
    const Point by = was.curve.pointAt(was.curve.size_default() / 2.0) -
                     drawn->edges.front().curve.pointAt(drawn->edges.front().curve.size_default() / 2.0);
    Piece out = moved(*drawn, Geom::Translate(by));
    out.id = facing.id;
    out.name = facing.name;
    out.cut = facing.cut;
    for (auto& e : out.edges) {
        if (e.role == edge_on) e.role = role;
    }
    for (auto& notch : out.notches) notch.on = role;
    // Round the facing from the edge it is sewn by, as it was cut; one of other edges keeps what the piece has
    // there.
    const std::size_t first = *edge_index(facing, role);
    const bool alike = facing.edges.size() == out.edges.size();
    for (std::size_t i = 0; i < (alike ? out.edges.size() : 1); ++i)
        out.edges[i].allowance = facing.edges[(first + i) % facing.edges.size()].allowance;
    const bool seen = differ(out, facing, least_redrawn);
    if (seen) steps.push_back(redrawn_step(facing, out, StepKind::DrawFacing, *width));
    facing = std::move(out);
    return seen;
}

}  // namespace sartorum
