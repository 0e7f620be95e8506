#include "core/alter/frame/rows.h"

#include <algorithm>
#include <array>

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/units/nearness.h"
#include "core/units/root.h"

namespace sartorum {
namespace {

constexpr double most_cut = 60;  // mm at one place

// The neckline `by` further into the paper at the neck end of the shoulder, and at the centre too where it is
// lowered.
Piece neckline_cut(const Piece& piece, double by, NeckMethod way)
{
    const Curve seam = shoulder_run(piece);
    const Point along = Geom::unit_vector(seam.finalPoint() - seam.initialPoint());
    Piece out = shoulder_redrawn(piece, along * by, no_shift);
    if (way == NeckMethod::Wider) return out;
    const std::size_t neck = *edge_index(out, EdgeRole::Neck);
    const std::size_t centre = *edge_index(out, EdgeRole::Centre);
    const Curve& line = piece.edges[centre].curve;
    const Point down = -end_direction(line) * by;
    redraw_edge(out, neck, eased(out.edges[neck].curve, down, no_shift));
    redraw_edge(out, centre, sheared(line, no_shift, down));
    settle_darts(out);
    settle_bodice_guides(out);
    return out;
}

Length half_neckline(const Piece& front, const Piece& back)
{
    return sewn_length(front, EdgeRole::Neck) + sewn_length(back, EdgeRole::Neck);
}

}  // namespace

Outcome<Applied> alter_neck_size(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "neck_size"); !ok) return tl::make_unexpected(ok.error());
    const auto way = static_cast<NeckMethod>(dose.method);
    const Piece& front = front_of(garment);
    const Piece& back = back_of(garment);
    const Length half = half_neckline(front, back);
    const auto grown = [&](double by) {
        return (half_neckline(neckline_cut(front, by, way), neckline_cut(back, by, way)) - half).in_mm();
    };
    const double want = dose.front.in_mm() / 2;
    const double far = want > 0 ? most_cut : -most_cut;
    if (std::abs(grown(far)) < std::abs(want)) {
        const Length most = Length::mm(std::abs(grown(far)) * 2);
        return refuse_amount(Why::AmountTooLarge, "neck_size", dose.front, -most, most);
    }
    const double low = std::min(0.0, far);
    const double high = std::max(0.0, far);
    const double by = zero_between(low, high, grown(low) - want, grown(high) - want, nothing_on_paper.in_mm(),
                                   [&](double x) { return grown(x) - want; });
    Applied out{garment, {}};
    for (const auto role : {PieceRole::Front, PieceRole::Back}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        const Piece after = neckline_cut(piece, by, way);
        const bool lower = way == NeckMethod::Lower;
        Step mark = step_on(piece, lower ? StepKind::MarkNeckRound : StepKind::MarkNeckAlong, Length::mm(by));
        const Point at_shoulder = neck_point(piece);
        mark.picture.lines = {{at_shoulder, neck_point(after)}};
        mark.picture.dimensions = {{at_shoulder, neck_point(after), Length::mm(std::abs(by))}};
        if (lower) {
            const Point was = edge(piece, EdgeRole::Centre).curve.finalPoint();
            const Point is = edge(after, EdgeRole::Centre).curve.finalPoint();
            mark.picture.lines.push_back({was, is});
            mark.picture.dimensions.push_back({was, is, Length::mm(std::abs(by))});
        }
        out.steps.push_back(mark);
        out.steps.push_back(redrawn_step(piece, after, StepKind::RedrawNeckline, dose.front));
        piece = after;
    }
    return out;
}

namespace {

constexpr std::array<std::string_view, 2> neck_methods{"lower", "wider"};
// A neckline that closes round the neck is this much longer than it. Common practice.
constexpr Length least_neck_ease = Length::mm(10);
constexpr Length most_neck_ease = Length::mm(20);

std::optional<Proposal> propose_neck_size(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::NeckBase);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.of(GarmentMeasure::Neck) * 2.0;
    const Length done = s.now_flat.of(GarmentMeasure::Neck) * 2.0 - traced;
    if (auto p = against_chart(s, Measure::NeckBase, s.sizes.frame)) {
        p->amount = p->amount - done;
        p->already = done;
        p->least = least_on_girth;
        return p;
    }
    if (!front_of(s.traced).neck_at_base) return std::nullopt;
    const Length wanted = std::clamp(traced + done, taken->value + least_neck_ease, taken->value + most_neck_ease);
    if (abs(wanted - traced - done) < to_the_eye) return std::nullopt;
    Proposal out{wanted - traced - done, taken->spread, wanted, traced, Against::Pattern, done};
    out.least = least_on_girth;
    return out;
}

}  // namespace

Adjustment neck_size_row()
{
    return {
        .kind = AdjustmentKind::NeckSize,
        .key = "neck_size",
        .zone = Zone::Frame,
        .rank = 45,
        .acts_on = ActsOn::Both,
        .least = -neck_size_limit,
        .most = neck_size_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Neck, EdgeRole::Shoulder},
        .apply = alter_neck_size,
        .place = in_the_neckline,
        .propose = propose_neck_size,
        .from = Measure::NeckBase,
        .methods = neck_methods,
        .at_centre = AtCentre::Together,
    };
}

}  // namespace sartorum
