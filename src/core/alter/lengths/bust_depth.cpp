#include "core/alter/lengths/rows.h"

#include <array>

#include <algorithm>
#include <cmath>
#include <utility>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/panels.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/princess.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

constexpr double box_margin = 10;   // mm round the dart
constexpr double inside_seam = 15;  // mm that must stay of the side seam above and below

struct SideDart {
    std::size_t mouth;  // edge
    std::size_t dart;
};

std::optional<SideDart> side_dart(const Piece& p)
{
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (p.edges[i].role == EdgeRole::DartMouth && p.edges[i - 1].role == EdgeRole::Side)
            return SideDart{i, dart_at(p, i)};
    }
    return std::nullopt;
}

// Other darts that point at the bust have their tips go along.
void carry_bust_point(Piece& p, Point by)
{
    if (p.bust_point) *p.bust_point += by;
    for (auto& g : p.guides) {
        if (g.kind == GuideKind::Bust) g = {g.kind, g.a + by, g.b + by};
    }
    for (std::size_t i = 0; i < p.edges.size(); ++i) {
        if (p.edges[i].role != EdgeRole::DartMouth || p.edges[i - 1].role != bottom_role(p)) continue;
        Dart& d = p.darts[dart_at(p, i)];
        d.tip += by;
        settle_tip(d);
    }
}

Piece box_at(const Piece& piece, const SideDart& at, Point by)
{
    Piece out = piece;
    // The notches stay where they are on the paper: only the dart goes.
    out.edges[at.mouth - 1].curve = sheared(piece.edges[at.mouth - 1].curve, {0, 0}, by);
    out.edges[at.mouth].curve = moved(piece.edges[at.mouth].curve, by);
    out.edges[at.mouth + 1].curve = sheared(piece.edges[at.mouth + 1].curve, by, {0, 0});
    settle_notches(out);
    out.darts[at.dart].tip += by;
    settle_darts(out);
    carry_bust_point(out, {0, by[Geom::Y]});
    return out;
}

// The box goes straight down, and sideways by the little that keeps the side seam as long as it was.
Outcome<Piece> box_slid(const Piece& piece, const SideDart& at, Length amount)
{
    const Length want = sewn_length(piece, EdgeRole::Side);
    const auto off = [&](double x) {
        return (sewn_length(box_at(piece, at, {x, -amount.in_mm()}), EdgeRole::Side) - want).in_mm();
    };
    double last = 0;
    double last_off = off(last);
    double x = 1;
    for (int i = 0; i < 20 && std::abs(last_off) > 1e-6; ++i) {
        const double here = off(x);
        const double next = std::abs(here - last_off) < 1e-12 ? x : x - here * (x - last) / (here - last_off);
        last = std::exchange(x, std::clamp(next, -15.0, 15.0));
        last_off = here;
    }
    if (std::abs(off(last)) > 0.01) return refuse(Why::NotSettled, "bust_depth");
    return box_at(piece, at, {last, -amount.in_mm()});
}

Outcome<bool> move_box(Applied& out, Piece& piece, const SideDart& at, Length amount)
{
    const Dart& d = piece.darts[at.dart];
    const double above = length(piece.edges[at.mouth - 1].curve).in_mm() - inside_seam;
    const double below = length(piece.edges[at.mouth + 1].curve).in_mm() - inside_seam;
    if (amount.in_mm() > below || -amount.in_mm() > above)
        return refuse_amount(Why::AmountTooLarge, "bust_depth", amount, -Length::mm(above), Length::mm(below));
    const auto boxed = box_slid(piece, at, amount);
    if (!boxed) return tl::make_unexpected(boxed.error());
    const Piece& after = *boxed;
    const Point by = after.darts[at.dart].tip - d.tip;
    const double left = d.tip[Geom::X] - box_margin;
    const double top = std::max(d.leg_a[Geom::Y], d.tip[Geom::Y]) + box_margin;
    const double bottom = std::min(d.leg_b[Geom::Y], d.tip[Geom::Y]) - box_margin;
    const auto on_side = [&](std::size_t edge_at, double level) {
        const auto& c = piece.edges[edge_at].curve;
        const auto t = c[0].roots(level, Geom::Y);
        return t.empty() ? c.pointAt(0.5) : c[0].pointAt(t.front());
    };
    // From the side below the dart, in, up, and out above it: the box lies on the right of the line.
    const Point low = on_side(at.mouth + 1, bottom);
    const Point high = on_side(at.mouth - 1, top);
    const Polygon way{low, {left, low[Geom::Y]}, {left, high[Geom::Y]}, high};
    const Motion slide{1, {}, 0, by};
    const auto slid = panel_moved(piece, way, slide);
    if (!slid) return tl::make_unexpected(slid.error());
    const Length wide = Length::mm(high[Geom::X] - left);
    const Length tall = Length::mm(high[Geom::Y] - low[Geom::Y]);
    Step draw = step_on(piece, StepKind::DrawBox, amount, wide, tall);
    draw.picture.lines = strokes(way);
    draw.picture.dimensions = {{way[1], way[2], tall}};
    Step cut = step_on(piece, StepKind::CutBox, amount);
    cut.picture.panels = {slid->cut.first, slid->cut.second};
    cut.picture.lines = strokes(way);
    Step move = step_on(piece, StepKind::SlideBox, amount);
    move.picture.panels = {slid->cut.first, slid->second};
    move.picture.dimensions = {{d.tip, d.tip + by, abs(amount)}};
    move.picture.motions = {slide};
    out.steps.insert(out.steps.end(),
                     {draw, cut, move, redrawn_step(slid->whole, after, StepKind::TrueBodiceSide)});
    piece = after;
    return true;
}

// Both legs as long as their mean, along their own directions; the mouth and the side seam run to them.
Outcome<bool> re_aim(Applied& out, Piece& piece, const SideDart& at, Length amount)
{
    Piece after = piece;
    Dart d = piece.darts[at.dart];
    d.tip -= Point{0, amount.in_mm()};
    redraw_dart(after, at.mouth, d.tip);
    settle_darts(after);
    const auto [leg_a, leg_b] = std::pair{after.darts[at.dart].leg_a, after.darts[at.dart].leg_b};
    carry_bust_point(after, {0, -amount.in_mm()});
    const Point was = piece.darts[at.dart].tip;
    Step mark = step_on(piece, StepKind::MarkDartTip, amount);
    mark.picture.lines = {{was, d.tip}};
    mark.picture.dimensions = {{was, d.tip, abs(amount)}};
    Step draw = redrawn_step(piece, after, StepKind::RedrawDart, amount, Length::mm(Geom::distance(leg_a, d.tip)));
    draw.picture.lines = {{leg_a, d.tip}, {leg_b, d.tip}};
    out.steps.insert(out.steps.end(), {mark, draw});
    piece = after;
    return true;
}

// The seam's fullest place, where both panels' sides run to.
Outcome<bool> move_seam_point(Applied& out, Piece& piece, Length amount)
{
    const Point was = *piece.bust_point;
    Piece after = piece;
    carry_bust_point(after, {0, -amount.in_mm()});
    settle_princess(after);
    Step mark = step_on(piece, StepKind::MarkDartTip, amount);
    mark.picture.lines = {{was, *after.bust_point}};
    mark.picture.dimensions = {{was, *after.bust_point, abs(amount)}};
    out.steps.push_back(mark);
    out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawSeam, rounded_over));
    piece = after;
    return true;
}

}  // namespace

Outcome<Applied> alter_bust_depth(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "bust_depth"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (front.princess) {
        if (const auto ok = move_seam_point(out, front, dose.front); !ok) return tl::make_unexpected(ok.error());
        return out;
    }
    const auto at = side_dart(front);
    if (!at) return refuse(Why::NeedsSideDart, "bust_depth");
    const auto ok = static_cast<BustDepthMethod>(dose.method) == BustDepthMethod::MoveBox
                        ? move_box(out, front, *at, dose.front)
                        : re_aim(out, front, *at, dose.front);
    if (!ok) return tl::make_unexpected(ok.error());
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> bust_depth_methods{"move_box", "re_aim"};

bool with_bust_depth(const Garment& g)
{
    return has_side_dart(g) || front_of(g).princess;
}

bool bust_depth_way_open(const Garment& g, std::size_t method)
{
    return !front_of(g).princess || static_cast<BustDepthMethod>(method) == BustDepthMethod::ReAim;
}

std::size_t usual_bust_depth(const Garment& g)
{
    return static_cast<std::size_t>(front_of(g).princess ? BustDepthMethod::ReAim : BustDepthMethod::MoveBox);
}

UsualAmounts usual_bust_depths(std::size_t method)
{
    const bool box = static_cast<BustDepthMethod>(method) == BustDepthMethod::MoveBox;
    const Length most = box ? bust_depth_limit : re_aim_limit;
    return {-most, most};
}

// Neck point to bust point, on the body and on the pattern, which is to differ from it as the body does from the
// chart where that prints the measure.
std::optional<Proposal> propose_bust_depth(const FittingState& s)
{
    const Piece& front = front_of(s.now);
    const auto taken = s.body.taken(Measure::BustDepth);
    if (!taken || !front.bust_point) return std::nullopt;
    const Point neck = neck_point(front);
    const Length given = Length::mm(Geom::distance(neck, *front.bust_point));
    // Down along the centre: the bust points' distance from it stays.
    const double across = (*front.bust_point)[Geom::X] - neck[Geom::X];
    const auto printed = s.chart.body(s.sizes.frame, Measure::BustDepth);
    const double want = (printed ? given + taken->value - *printed : taken->value).in_mm();
    if (want <= std::abs(across)) return std::nullopt;
    const double down = std::sqrt(want * want - across * across);
    Proposal out{Length::mm(down - (neck[Geom::Y] - (*front.bust_point)[Geom::Y])), taken->spread, taken->value,
                 printed ? *printed : given, printed ? Against::Chart : Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment bust_depth_row()
{
    return {
        .kind = AdjustmentKind::BustDepth,
        .key = "bust_depth",
        .zone = Zone::Lengths,
        .rank = 20,
        .acts_on = ActsOn::Front,
        .least = -bust_depth_limit,
        .most = bust_depth_limit,
        .needs = {Level::Bust},
        .apply = alter_bust_depth,
        .place = at_bust_point,
        .propose = propose_bust_depth,
        .serves = with_bust_depth,
        .from = Measure::BustDepth,
        .methods = bust_depth_methods,
        .usual_method = usual_bust_depth,
        .method_serves = bust_depth_way_open,
        .usual = usual_bust_depths,
    };
}

}  // namespace sartorum
