#include "core/alter/bodice_length.h"

#include "core/alter/across_cut.h"
#include "core/alter/match.h"
#include "core/alter/propose.h"
#include "core/alter/shared.h"
#include "core/paper/bodice_redraw.h"
#include "core/pattern/part_rules.h"

namespace sartorum {
namespace {

Outcome<bool> across(Applied& applied, Piece& piece, Length amount)
{
    const auto line = *guide(piece, GuideKind::LengthenShorten);
    const auto waist = guide(piece, GuideKind::Waist);
    const double low = edge(piece, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    const double level = waist ? waist->a[Geom::Y] : low;
    // Nothing may be folded beyond the side seam's own end.
    const double side_end = edge(piece, bottom_role(piece)).curve.initialPoint()[Geom::Y];
    const Length room = Length::mm(line.a[Geom::Y] - std::max(level, waist ? level : side_end) - 8);
    if (-amount > room)
        return refuse_amount(Why::AmountTooLarge, "bodice_length", amount, -room, bodice_length_limit);
    const auto paper =
        cut_across(applied, piece, line, amount, StepKind::DrawLengthLine, Length::mm(line.a[Geom::Y] - low));
    if (!paper) return tl::make_unexpected(paper.error());
    const Piece after = lowered_at_line(piece, {0, -amount.in_mm()});
    applied.steps.push_back(redrawn_step(*paper, after, StepKind::TrueBodiceSide));
    piece = after;
    return true;
}

// What both need the same way; nothing when one needs more and the other less.
Length common(Length a, Length b)
{
    if ((a > Length{}) != (b > Length{})) return {};
    return abs(a) < abs(b) ? a : b;
}

}  // namespace

Outcome<Applied> alter_bodice_length(const Garment& garment, const Dose& dose)
{
    const Length both = common(dose.front, dose.back);
    if (dose.front == Length{} && dose.back == Length{}) return refuse(Why::AmountZero, "bodice_length");
    for (const auto amount : {dose.front, dose.back}) {
        if (abs(amount) > bodice_length_limit)
            return refuse_amount(Why::AmountTooLarge, "bodice_length", amount, -bodice_length_limit,
                                 bodice_length_limit);
        if (abs(amount - both) > bodice_unlike_limit)
            return refuse_amount(Why::AmountTooLarge, "bodice_length", amount, both - bodice_unlike_limit,
                                 both + bodice_unlike_limit);
    }
    Applied out{garment, {}};
    for (const auto& [role, amount] : {std::pair{PieceRole::Front, dose.front}, {PieceRole::Back, dose.back}}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        if (both != Length{}) {
            if (const auto ok = across(out, piece, both); !ok) return tl::make_unexpected(ok.error());
        }
        if (amount != both) piece = bottom_moved_at_centre(out, piece, amount - both);
    }
    if (const auto ok = match_sides(out); !ok) return tl::make_unexpected(ok.error());
    return out;
}

namespace {

// Neck point over the bust point to the waist, as the tape goes.
Length front_waist_length(const Piece& p)
{
    const Point neck = neck_point(p);
    const auto waist = guide(p, GuideKind::Waist);
    const double level = waist ? waist->a[Geom::Y] : edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    if (!p.bust_point) return Length::mm(neck[Geom::Y] - level);
    return Length::mm(Geom::distance(neck, *p.bust_point) + (*p.bust_point)[Geom::Y] - level);
}

// Front waist length: what front and back have in common.
std::optional<Proposal> propose_bodice_length(const FittingState& s)
{
    return lacking_length(s, Measure::FrontWaistLength, s.sizes.frame, front_waist_length(front_of(s.traced)),
                          front_waist_length(front_of(s.now)));
}

}  // namespace

Adjustment bodice_length_row()
{
    return {
        .kind = AdjustmentKind::BodiceLength,
        .key = "bodice_length",
        .zone = Zone::Lengths,
        .rank = 30,
        .acts_on = ActsOn::Apart,
        .least = -bodice_length_limit,
        .most = bodice_length_limit,
        .needs = {Level::Shoulder},
        .apply = alter_bodice_length,
        .propose = propose_bodice_length,
        .from = Measure::FrontWaistLength,
    };
}

}  // namespace sartorum
