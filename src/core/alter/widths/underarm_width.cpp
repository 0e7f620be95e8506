#include "core/alter/widths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/chart/cup.h"
#include "core/chart/ease.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/side.h"

namespace sartorum {

Outcome<Applied> alter_underarm_width(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "underarm_width"); !ok) return tl::make_unexpected(ok.error());
    Applied out{garment, {}};
    const bool back_only = static_cast<WidthShare>(dose.method) == WidthShare::BackOnly;
    const Length share = dose.front / (back_only ? 2.0 : 4.0);
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        if (back_only && role == PieceRole::Front) continue;
        Piece& piece = *find_piece(out.garment.pieces, role);
        const Point from = underarm(piece);
        const Point to = from + Point{share.in_mm(), 0};
        Step mark = step_on(piece, StepKind::MarkUnderarm, share);
        mark.picture.lines = {{from, to}};
        mark.picture.dimensions = {{from, to, abs(share)}};
        const Piece after = side_redrawn(piece, share, {}, {});
        out.steps.insert(out.steps.end(), {mark, redrawn_step(piece, after, StepKind::RedrawUnderarm, share)});
        piece = after;
    }
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

// What the frame is off: high bust against what the size is drafted for. A size chosen by the full bust is meant
// to be off there, and narrower above: its underarm is left alone.
std::optional<Proposal> propose_underarm_width(const FittingState& s)
{
    if (s.school == School::FullBust) return std::nullopt;
    const auto taken = s.body.taken(Measure::HighBust);
    const auto drafted = implied_high_bust(s.chart, s.sizes.frame);
    if (!taken || !drafted) return std::nullopt;
    const Length off = taken->value - *drafted;
    const auto row = ease_at(s.chart, s.sizes.frame, Measure::Bust, s.body, s.ease, s.cloth,
                             s.traced_flat.of(GarmentMeasure::Bust));
    Proposal out{off, taken->spread, taken->value, *drafted, Against::Chart};
    out.least = least_on_girth;
    out.held = row && ease_holds(*row, off);
    return out;
}

}  // namespace

Adjustment underarm_width_row()
{
    return {
        .kind = AdjustmentKind::UnderarmWidth,
        .key = "underarm_width",
        .zone = Zone::Widths,
        .rank = 10,
        .acts_on = ActsOn::Both,
        .least = -underarm_limit,
        .most = underarm_limit,
        .needs = {Level::Underarm},
        .edges = {EdgeRole::Armhole, EdgeRole::Side},
        .apply = alter_underarm_width,
        .place = at_underarm,
        .propose = propose_underarm_width,
        .from = Measure::HighBust,
        .methods = share_methods,
    };
}

}  // namespace sartorum
