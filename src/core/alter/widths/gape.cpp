#include "core/alter/widths/rows.h"

#include <cmath>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/pattern/dart.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// Of the edge in travel: between here the edge is pinched where it faces the bust point.
constexpr double pinched_from = 0.3;
constexpr double pinched_to = 0.75;

std::optional<std::size_t> bust_dart(const Piece& front)
{
    const auto side = mouth_in(front, EdgeRole::Side);
    return side ? side : mouth_in(front, bottom_role(front));
}

Outcome<Applied> alter_gape(const Garment& garment, const Dose& dose, EdgeRole role, const std::string& name)
{
    if (const auto ok = some_pinch(dose.front, name); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    if (!front.bust_point) return refuse(Why::NeedsBustPoint, name);
    const auto mouth = bust_dart(front);
    if (!mouth) return refuse(Why::NeedsBustDart, name);
    const Point bp = *front.bust_point;
    const OutlinePlace place = place_facing(front, role, bp, pinched_from, pinched_to);
    const Point at = point_at(front, place);
    const auto turn = turn_for(dose.front, Geom::distance(at, bp), name);
    if (!turn) return tl::make_unexpected(turn.error());
    const double radians = *turn;
    const Length before = Length::mm(Geom::distance(front.darts[dart_at(front, *mouth)].tip, bp));
    Pivoted turned = pivoted_into_dart(front, place, *mouth, bp, radians);
    aim_dart(turned.piece, turned.mouths.front(), bp, before);
    settle_bodice_guides(turned.piece);
    settle_darts(turned.piece);
    const auto edge_of = [&](double sign) { return (at - bp) * Geom::Rotate{sign * radians / 2} + bp; };
    Step draw = step_on(front, StepKind::DrawGape, dose.front, Length::mm(Geom::distance(at, bp)),
                        along_to(front, role, at));
    draw.on = role;
    draw.picture.lines = {{edge_of(1), bp}, {edge_of(-1), bp}};
    draw.picture.removed = {{edge_of(1), bp, edge_of(-1)}};
    draw.picture.dimensions = {{edge_of(1), edge_of(-1), dose.front}};
    const Dart& d = turned.piece.darts[dart_at(turned.piece, turned.mouths.front())];
    const Length width = mouth_width(d);
    Step close = redrawn_step(front, turned.piece, StepKind::CloseGape, dose.front, width);
    Step redraw = step_on(turned.piece, StepKind::RedrawBustDart, width, before);
    redraw.picture.lines = {{d.leg_a, d.tip}, {d.leg_b, d.tip}};
    redraw.picture.dimensions = {{d.leg_a, d.leg_b, width}};
    out.steps = {draw, close, redraw};
    front = std::move(turned.piece);
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

}  // namespace

Outcome<Applied> alter_neck_gape(const Garment& g, const Dose& pinch)
{
    return alter_gape(g, pinch, EdgeRole::Neck, "neck_gape");
}

Outcome<Applied> alter_armhole_gape(const Garment& g, const Dose& pinch)
{
    return alter_gape(g, pinch, EdgeRole::Armhole, "armhole_gape");
}

Adjustment neck_gape_row()
{
    return {
        .kind = AdjustmentKind::NeckGape,
        .key = "neck_gape",
        .zone = Zone::Widths,
        .rank = 40,
        .acts_on = ActsOn::Front,
        .least = Length{},
        .most = gape_limit,
        .needs = {Level::Bust},
        .apply = alter_neck_gape,
        .place = in_the_neckline,
        .serves = has_dart,
    };
}

Adjustment armhole_gape_row()
{
    return {
        .kind = AdjustmentKind::ArmholeGape,
        .key = "armhole_gape",
        .zone = Zone::Widths,
        .rank = 50,
        .acts_on = ActsOn::Front,
        .least = Length{},
        .most = gape_limit,
        .needs = {Level::Bust},
        .apply = alter_armhole_gape,
        .place = in_the_armhole,
        .serves = has_movable_dart,
    };
}

}  // namespace sartorum
