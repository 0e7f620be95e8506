#include "core/alter/width.h"

#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"
#include "core/paper/redraw.h"

namespace sartorum {
namespace {

enum class Level { Waist, Hip };

// Where the side seam stands at the level: the place the sewist marks from.
Point side_at(const Piece& piece, Level level)
{
    const Curve& side = edge(piece, EdgeRole::Side).curve;
    if (level == Level::Waist) return side.initialPoint();
    const auto hip = *guide(piece, GuideKind::Hip);
    return {hip.a[Geom::X] + width_at(piece, hip.a[Geom::Y]).value_or(Length{}).in_mm(), hip.a[Geom::Y]};
}

// A bodice's: out at its waist, with a hem at the waist level or at the hem.
Outcome<Applied> alter_bodice_width(const Garment& garment, const Dose& dose, Level level)
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

Outcome<Applied> alter_width(const Garment& garment, const Dose& dose, Level level)
{
    const Length girth = dose.front;
    const std::string field = level == Level::Waist ? "width_at_waist" : "width_at_hip";
    if (girth == Length{}) return refuse(Why::AmountZero, field);
    if (abs(girth) > width_limit)
        return refuse_amount(Why::AmountTooLarge, field, girth, -width_limit, width_limit);
    if (is_bodice(garment)) return alter_bodice_width(garment, dose, level);
    const Length quarter = girth / 4.0;
    Applied out{garment, {}};
    const Length waist_before = sewn_waist(garment);
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        auto after = level == Level::Waist ? side_moved(piece, quarter, {}) : side_moved(piece, {}, quarter);
        if (!after) return tl::make_unexpected(after.error());
        const Point from = side_at(piece, level);
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
    if (auto ok = fit_band(out, sewn_waist(out.garment) - waist_before); !ok)
        return tl::make_unexpected(ok.error());
    return out;
}

}  // namespace

Outcome<Applied> alter_width_at_waist(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Waist);
}
Outcome<Applied> alter_width_at_hip(const Garment& g, const Dose& girth)
{
    return alter_width(g, girth, Level::Hip);
}

}  // namespace sartorum
