#include "core/alter/kit/follower_drawing.h"

#include <algorithm>

#include "core/paper/facing.h"
#include "core/paper/panels.h"
#include "core/paper/pieces_alike.h"
#include "core/paper/redraw/lower_edge.h"
#include "core/paper/redraw/parts.h"
#include "core/pattern/dart.h"

namespace sartorum {

namespace {

constexpr double stays = 10;  // mm, on either side of the cut

// Where a band is cut, from the end of its seam that lies at the fold; and at which notch, if at one.
struct BandCut {
    Length from_fold;
    Point at;
    std::optional<std::size_t> notch{};
};

// At the first notch inside the seam, the side notch; without one at the middle, or nearer the fold where the half
// cannot be taken out.
BandCut band_cut(const Piece& band, EdgeRole role, Length change)
{
    const Curve& seam = edge(band, role).curve;
    const Length whole = length(seam);
    for (std::size_t i = 0; i < band.notches.size(); ++i) {
        const Point n = band.notches[i].at;
        if (band.notches[i].on == role && Geom::distance(n, seam.initialPoint()) > 5 &&
            Geom::distance(n, seam.finalPoint()) > 5) {
            const double t = at_node(seam, nearest(seam, n).time);
            return {whole - length_to(seam, t), seam.pointAt(t), i};
        }
    }
    const Length half = whole / 2.0;
    const Length kept = change < Length{} ? std::min(half, whole + change - Length::mm(stays)) : half;
    const Length from_fold = kept > Length::mm(stays) ? kept : half;
    return {from_fold, seam.pointAt(time_at(seam, whole - from_fold))};
}

// From the fold on.
Point along_at(const Curve& seam, Point at)
{
    const double t = nearest(seam, at).time;
    const double last = static_cast<double>(seam.size_default());
    return t < last - 1e-7 && t > 1e-7 ? -start_direction(split(seam, t).after)
                                       : Geom::unit_vector(seam.initialPoint() - seam.finalPoint());
}

struct LongerBand {
    CutPiece cut;
    Piece whole;
    Polygon strip;
};

// A curved band made shorter: what lies between two lines square to its seam goes, and what is beyond turns so
// that the seam runs on.
Outcome<LongerBand> shortened_along(const Piece& band, const Curve& seam, Point at, Length by)
{
    const Point beyond = seam.pointAt(time_at(seam, length_to(seam, nearest(seam, at).time) - by));
    const Point here = along_at(seam, at);
    const Point there = along_at(seam, beyond);
    auto cut = cut_through(band, at, Geom::rot90(here));
    const auto rest = cut_through(band, beyond, Geom::rot90(there));
    if (!cut) return tl::make_unexpected(cut.error());
    if (!rest) return tl::make_unexpected(rest.error());
    Piece whole = rejoined(cut->first, moved(rest->second, rigid(beyond, beyond + there, at, at + here)));
    Polygon strip{cut->enters, cut->leaves, rest->leaves, rest->enters};
    return LongerBand{std::move(*cut), std::move(whole), std::move(strip)};
}

// What lies beyond the cut moved by so much. Of a straight band the joints are drawn as one line again.
Outcome<LongerBand> moved_beyond(const Piece& band, Point at, Point along, Length by, bool straight_band)
{
    // Drawn this way the line has the fold on its left and the free end on its right.
    const Point direction = Geom::rot90(along);
    auto spread = spread_across(band, at, direction, along * by.in_mm());
    if (!spread) return tl::make_unexpected(spread.error());
    if (straight_band) {
        for (auto& e : spread->whole.edges) e.curve = straight(e.curve.initialPoint(), e.curve.finalPoint());
    }
    return LongerBand{std::move(spread->cut), std::move(spread->whole), std::move(spread->strip)};
}

}  // namespace

Outcome<bool> follow_length(std::vector<Step>& steps, Piece& band, EdgeRole role, Length change)
{
    if (abs(change) < least_followed) return true;
    const Curve seam = edge(band, role).curve;
    const auto [place, at, side_notch] = band_cut(band, role, change);
    const Length beyond = length(seam) - place - Length::mm(stays);
    if (-change > beyond) return refuse_amount(Why::AmountTooLarge, band.id, change, -beyond, Length::mm(400));
    const Point along = along_at(seam, at);
    const bool straight_band = redraw::is_line(seam);
    auto longer = straight_band || change > Length{} ? moved_beyond(band, at, along, change, straight_band)
                                                     : shortened_along(band, seam, at, -change);
    if (!longer) return tl::make_unexpected(longer.error());
    Piece& whole = longer->whole;
    const auto& cut_at = longer->cut;
    Step cut{.kind = StepKind::CutBand,
             .piece = band.id,
             .amount = change,
             .place = place,
             .picture = {.panels = {cut_at.first, cut_at.second}}};
    cut.picture.lines = {{cut_at.enters, cut_at.leaves}};
    Step move{.kind = change > Length{} ? StepKind::SpreadBand : StepKind::OverlapBand,
              .piece = band.id,
              .amount = abs(change),
              .place = place};
    if (side_notch && *side_notch < whole.notches.size()) {
        for (auto& n : whole.notches) {  // re-marked in the middle of the strip
            if (Geom::distance(n.at, at) < mark_within.in_mm() ||
                Geom::distance(n.at, at + along * change.in_mm()) < mark_within.in_mm()) {
                n.at = at + along * (change.in_mm() / 2);
            }
        }
    }
    move.picture.panels = {whole};
    (change > Length{} ? move.picture.added : move.picture.removed) = {longer->strip};
    move.picture.dimensions = {{cut_at.enters, cut_at.enters + along * change.in_mm(), abs(change)}};
    steps.push_back(std::move(cut));
    steps.push_back(std::move(move));
    band = std::move(whole);
    return true;
}

namespace {

// The piece with its hem shorter by so much.
Outcome<Piece> hemmed(const Piece& piece, Length shorter)
{
    return shorter > least_followed ? hem_moved(piece, -shorter) : Outcome<Piece>{piece};
}

}  // namespace

Outcome<bool> follow_whole(std::vector<Step>& steps, Piece& lining, const Piece& was, const Piece& now)
{
    constexpr Length cut_alike = Length::mm(1);
    if (!edge_index(lining, EdgeRole::Centre) || !edge_index(was, EdgeRole::Centre))
        return refuse(Why::LiningDiffers, lining.id);
    const Length shorter = sewn_length(was, EdgeRole::Centre) - sewn_length(lining, EdgeRole::Centre);
    const auto as_cut = hemmed(was, shorter);
    if (!as_cut || outlines_differ(*as_cut, lining, cut_alike)) return refuse(Why::LiningDiffers, lining.id);
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
    const bool seen = outlines_differ(out, lining, least_redrawn);
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
    const bool edge_for_edge = facing.edges.size() == out.edges.size();
    for (std::size_t i = 0; i < (edge_for_edge ? out.edges.size() : 1); ++i)
        out.edges[i].allowance = facing.edges[(first + i) % facing.edges.size()].allowance;
    const bool seen = outlines_differ(out, facing, least_redrawn);
    if (seen) steps.push_back(redrawn_step(facing, out, StepKind::DrawFacing, *width));
    facing = std::move(out);
    return seen;
}

namespace {

Length all_gained(const std::vector<StandsOn>& on)
{
    Length sum;
    for (const auto& o : on) sum += sewn_length(*o.now, o.role) - sewn_length(*o.was, o.role);
    return sum;
}

}  // namespace

Outcome<bool> follow_above(std::vector<Step>& steps, Piece& band, EdgeRole role, const std::vector<StandsOn>& on)
{
    if (!is_shaped_from(band, role, on)) {
        const std::size_t before = steps.size();
        const auto ok = follow_length(steps, band, role, all_gained(on));
        if (!ok) return ok;
        return steps.size() > before;
    }
    auto drawn = shaped_band_drawn(band, role, on);
    if (!drawn) return tl::make_unexpected(drawn.error());
    const bool seen = outlines_differ(*drawn, band, least_redrawn);
    if (seen)
        steps.push_back(
            redrawn_step(band, *drawn, StepKind::DrawShapedBand, facing_width(*drawn, role).value_or(Length{})));
    band = std::move(*drawn);
    return seen;
}

}  // namespace sartorum
