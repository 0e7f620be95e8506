#include "core/alter/width.h"

#include "core/alter/match.h"
#include "core/alter/part_alter.h"
#include "core/alter/places.h"
#include "core/alter/propose.h"
#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"
#include "core/paper/redraw.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

// Where a skirt's side seam stands at the level: the place the sewist marks from.
Point marked_side_at(const Piece& piece, Level level)
{
    const Curve& side = edge(piece, EdgeRole::Side).curve;
    if (level == Level::Waist) return side.initialPoint();
    const auto hip = *guide(piece, GuideKind::Hip);
    return {hip.a[Geom::X] + width_at(piece, hip.a[Geom::Y]).value_or(Length{}).in_mm(), hip.a[Geom::Y]};
}

Outcome<Applied> alter_width(const Garment& garment, const Dose& dose, Level level, const std::string& field)
{
    if (const auto ok = some_amount(dose.front, field); !ok) return tl::make_unexpected(ok.error());
    return part_alter(garment).widen(garment, dose, level);
}

}  // namespace

// A bodice's: out at its waist, with a hem at the waist level or at the hem.
Outcome<Applied> widen_upper(const Garment& garment, const Dose& dose, Level level)
{
    Applied out{garment, {}};
    const bool back_only = static_cast<WidthShare>(dose.method) == WidthShare::BackOnly;
    const Length share = dose.front / (back_only ? 2.0 : 4.0);
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        if (back_only && role == PieceRole::Front) continue;
        Piece& piece = *find_piece(out.garment.pieces, role);
        const bool hemmed = bottom_role(piece) == EdgeRole::Hem;
        const bool at_waist = level == Level::Waist;
        const Piece after =
            side_redrawn(piece, {}, at_waist ? share : Length{}, at_waist && hemmed ? Length{} : share);
        const auto waist = guide(piece, GuideKind::Waist);
        const Point from = at_waist && hemmed && waist
                               ? waist->b
                               : piece.edges[*edge_index(piece, EdgeRole::Side, true)].curve.finalPoint();
        const Point to = from + Point{share.in_mm(), 0};
        Step mark = step_on(piece, at_waist ? StepKind::MarkWaist : StepKind::MarkHip, share);
        mark.picture.lines = {{from, to}};
        mark.picture.dimensions = {{from, to, abs(share)}};
        out.steps.insert(out.steps.end(), {mark, redrawn_step(piece, after, StepKind::RedrawBodiceSide, share)});
        piece = after;
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

Outcome<Applied> widen_skirt(const Garment& garment, const Dose& dose, Level level)
{
    const Length quarter = dose.front / 4.0;
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        auto after = level == Level::Waist ? side_moved(piece, quarter, {}) : side_moved(piece, {}, quarter);
        if (!after) return tl::make_unexpected(after.error());
        const Point from = marked_side_at(piece, level);
        const Point to = from + Point{quarter.in_mm(), 0};
        Step mark{
            level == Level::Waist ? StepKind::MarkWaist : StepKind::MarkHip, piece.id, quarter, {}, {}, {}, {}};
        mark.picture = {{piece}, {{from, to}}, {}, {}, {{from, to, abs(quarter)}}};
        Step redraw{level == Level::Waist ? StepKind::RedrawWaist : StepKind::RedrawHip,
                    piece.id,
                    quarter,
                    {},
                    {},
                    {},
                    {}};
        redraw.picture = {{*after}, {}, {}, {}, {{from, to, abs(quarter)}}};
        redraw.picture.redrawn_from = {piece};
        out.steps.push_back(std::move(mark));
        out.steps.push_back(std::move(redraw));
        piece = std::move(*after);
    }
    if (auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

Outcome<Applied> alter_width_at_waist(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Waist, "width_at_waist");
}
Outcome<Applied> alter_width_at_hip(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Hip, "width_at_hip");
}

namespace {

bool share_open(const Garment& g, std::size_t method)
{
    return method == 0 || part_alter(g).widens_back_alone;
}

// Body − chart, less what the adjustments above gave; or her own ease less what the garment has.
std::optional<Proposal> propose_at_waist(const FittingState& s)
{
    return lacking_girth(s, Measure::Waist, s.sizes.waist, GarmentMeasure::Waist);
}

std::optional<Proposal> propose_at_hip(const FittingState& s)
{
    // A gathered skirt is as wide as its gathers: only what cannot be moved in is brought up.
    if (s.across && s.across->joint.fullness >= gathered_from)
        return brought_up(s, Measure::Hip, part_alter(s.now).hip);
    // A top's hem is its hip only where the chart means it so.
    return lacking_girth(s, Measure::Hip, s.sizes.hip, part_alter(s.now).hip);
}

}  // namespace

Adjustment width_at_waist_row()
{
    return {
        .kind = AdjustmentKind::WidthAtWaist,
        .key = "width_at_waist",
        .zone = Zone::Widths,
        .rank = 80,
        .acts_on = ActsOn::Both,
        .least = -width_limit,
        .most = width_limit,
        .needs = {Level::Waist},
        .apply = alter_width_at_waist,
        .place = at_side_waist,
        .propose = propose_at_waist,
        .from = Measure::Waist,
        .methods = share_methods,
        .method_serves = share_open,
        .at_join = AtJoin::NotBelow,
    };
}

Adjustment width_at_hip_row()
{
    return {
        .kind = AdjustmentKind::WidthAtHip,
        .key = "width_at_hip",
        .zone = Zone::Widths,
        .rank = 90,
        .acts_on = ActsOn::Both,
        .least = -width_limit,
        .most = width_limit,
        .needs = {Level::Hem},
        .apply = alter_width_at_hip,
        .place = at_side_hip,
        .propose = propose_at_hip,
        .from = Measure::Hip,
        .methods = share_methods,
        .method_serves = share_open,
    };
}

}  // namespace sartorum
