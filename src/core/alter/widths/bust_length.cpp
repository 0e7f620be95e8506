#include "core/alter/widths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/alter/lengths/lengths.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// Everything below the line through the bust point and the side dart down by the amount, the dart redrawn over it.
Piece opened_below(const Piece& front, std::size_t mouth, Length amount)
{
    Piece p = front;
    const Point down{0, -amount.in_mm()};
    const Point bp = *front.bust_point;
    const std::size_t centre = *edge_index(p, EdgeRole::Centre);
    turn_edges(p, mouth + 1, centre - 1, Geom::Translate(down));
    redraw_edge(p, centre, sheared(p.edges[centre].curve, down, no_shift));
    for (auto& g : p.guides) {
        const bool stays = g.kind == GuideKind::Grain || g.kind == GuideKind::Across || g.kind == GuideKind::Bust;
        if (!stays) g = {g.kind, g.a + down, g.b + down};
    }
    // The dart's mouth grew by the amount; tips stay where they were under the bust.
    for (std::size_t i = mouth + 2; i < centre; ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth) redraw_dart(p, i, front.darts[dart_at(front, i)].tip);
    }
    aim_dart(p, mouth, bp, Length::mm(Geom::distance(bp, front.darts[dart_at(front, mouth)].tip)));
    keep_beside_dart(p, mouth, length(front.edges[mouth - 1].curve), length(front.edges[mouth + 1].curve));
    keep_underarm_corner(p, front);
    settle_notches(p);
    settle_darts(p);
    settle_bodice_guides(p);
    return p;
}

Outcome<bool> open_across(Applied& out, Piece& front, std::size_t mouth, Length amount)
{
    const Point bp = *front.bust_point;
    const Curve& fold = front.edges[mouth].curve;
    const Point side = fold.pointAt(static_cast<double>(fold.size_default()) / 2);
    const Curve& centre = edge(front, EdgeRole::Centre).curve;
    const auto level = centre[0].roots(bp[Geom::Y], Geom::Y);
    if (level.empty()) return refuse(Why::NoRoomForCut, "bust_length");
    const Point from = centre[0].pointAt(level.front());
    const Polygon way{from, bp, side};
    const Motion drop{1, {}, 0, {0, -amount.in_mm()}};
    const auto apart = panel_moved(front, way, drop);
    if (!apart) return tl::make_unexpected(apart.error());
    Step draw =
        step_on(front, StepKind::DrawBustLevel, amount, Length::mm(centre.finalPoint()[Geom::Y] - from[Geom::Y]));
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{centre.finalPoint(), from, draw.place}};
    Step cut = step_on(front, StepKind::CutAcross, amount);
    cut.picture.panels = {apart->cut.first, apart->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(front, StepKind::Spread, amount);
    move.picture.panels = {apart->cut.first, apart->second};
    move.picture.added = {apart->strip};
    move.picture.dimensions = {{from, from + drop.by, amount}};
    move.picture.motions = {drop};
    const Piece after = opened_below(front, mouth, amount);
    const Dart& d = after.darts[dart_at(after, mouth)];
    Step dart = redrawn_step(apart->whole, after, StepKind::RedrawBustDart, mouth_width(d),
                             Length::mm(Geom::distance(bp, d.tip)));
    dart.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
    dart.picture.dimensions = {{d.leg_a, d.leg_b, mouth_width(d)}};
    out.steps.insert(out.steps.end(), {draw, cut, move, dart});
    front = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_bust_length(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "bust_length"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    const auto mouth = mouth_in(front, EdgeRole::Side);
    if (dose.front > Length{} && mouth && front.bust_point) {
        if (const auto ok = open_across(out, front, *mouth, dose.front); !ok)
            return tl::make_unexpected(ok.error());
    } else {
        front = bottom_moved_at_centre(out, front, dose.front);
    }
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

// What a spread bust gave in length at centre front.
Length given_by_bust(const FittingState& s)
{
    using enum AdjustmentKind;
    if (s.of(Bust) == Length{}) return {};
    return s.now_flat.of(GarmentMeasure::CentreFront) - s.traced_flat.of(GarmentMeasure::CentreFront) -
           s.of(ArmholeDepth) - s.of(BodiceLength);
}

// What the front alone differs by, less what the bust gave towards it: that is counted once. A front that does not
// differ keeps what its bust gave. It waits for the bust's answer.
std::optional<Proposal> propose_bust_length(const FittingState& s)
{
    const LengthShares shares = length_shares(s);
    auto p = share_of(shares.front, shares.front_alone);
    if (!p) return p;
    if (p->leave() == Leave::No) {
        const Length gain = given_by_bust(s);
        if ((gain > Length{}) == (p->amount > Length{})) {
            p->amount = p->amount - gain;
            p->already += gain;
        }
    }
    if (s.waits_for(AdjustmentKind::Bust)) p->after = AdjustmentKind::Bust;
    return p;
}

}  // namespace

Adjustment bust_length_row()
{
    return {
        .kind = AdjustmentKind::BustLength,
        .key = "bust_length",
        .zone = Zone::Widths,
        .rank = 25,
        .acts_on = ActsOn::Front,
        .least = -bust_length_limit,
        .most = bust_length_limit,
        .needs = {Level::Bust},
        .apply = alter_bust_length,
        .place = at_bust_on_centre,
        .propose = propose_bust_length,
        .from = Measure::FrontWaistLength,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
