#include "core/alter/widths/rows.h"

#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/part_questions.h"
#include "core/alter/kit/propose.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/paper/redraw/darts.h"
#include "core/paper/redraw/princess.h"
#include "core/pattern/dart.h"
#include "core/pattern/princess.h"

namespace sartorum {
namespace {

constexpr double aimed_within = 60;  // mm from the bust point: a dart that points there

bool aimed(const Piece& p, std::size_t edge)
{
    return p.edges[edge].role == EdgeRole::DartMouth &&
           Geom::distance(p.darts[dart_at(p, edge)].tip, *p.bust_point) < aimed_within;
}

Piece aimed_across(const Piece& front, Point by)
{
    Piece p = front;
    p.bust_point = *front.bust_point + by;
    if (front.princess) {
        for (auto& d : p.darts) {
            if (Geom::distance(d.tip, *front.bust_point) < aimed_within) d.tip += by;
        }
        settle_princess(p);
        return p;
    }
    for (std::size_t i = 1; i < p.edges.size(); ++i) {
        if (aimed(front, i)) redraw_dart(p, i, front.darts[dart_at(front, i)].tip + by);
    }
    keep_underarm_corner(p, front);
    settle_darts(p);
    settle_notches(p);
    return p;
}

bool points_at_bust(const Garment& part)
{
    const Piece& front = front_of(part);
    if (!front.bust_point) return false;
    if (front.princess) return true;
    for (std::size_t i = 1; i < front.edges.size(); ++i) {
        if (aimed(front, i)) return true;
    }
    return false;
}

}  // namespace

Outcome<Applied> alter_bust_span(const Garment& garment, const Dose& dose)
{
    if (const auto ok = some_amount(dose.front, "bust_span"); !ok) return tl::make_unexpected(ok.error());
    if (!points_at_bust(garment)) return refuse(Why::NeedsBustDart, "bust_span");
    Applied out{garment, {}};
    Piece& front = *find_piece(out.garment.pieces, PieceRole::Front);
    const Point by{dose.front.in_mm(), 0};
    if ((*front.bust_point + by)[Geom::X] < 5) {
        return refuse_amount(Why::AmountTooLarge, "bust_span", dose.front,
                             Length::mm(5 - (*front.bust_point)[Geom::X]), paper_most);
    }
    const Piece after = aimed_across(front, by);
    Step mark = step_on(front, StepKind::MarkTipAcross, dose.front);
    const Point was = *front.bust_point;
    mark.picture.lines = {{was, was + by}};
    mark.picture.dimensions = {{was, was + by, abs(dose.front)}};
    Step redraw = redrawn_step(front, after, front.princess ? StepKind::RedrawSeam : StepKind::RedrawAimed,
                               front.princess ? rounded_over : dose.front);
    for (const auto& d : after.darts) {
        if (Geom::distance(d.tip, *after.bust_point) >= aimed_within) continue;
        redraw.picture.lines.push_back({d.leg_a, d.tip});
        redraw.picture.lines.push_back({d.leg_b, d.tip});
    }
    out.steps = {mark, redraw};
    front = after;
    if (const auto even = match_sides(out); !even) return tl::make_unexpected(even.error());
    return out;
}

namespace {

// Half of it on each side; against the paper, twice the bust point's distance from centre front, where the chart
// prints none.
std::optional<Proposal> propose_bust_span(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::BustSpan);
    if (!taken) return std::nullopt;
    const Length paper = Length::mm((*front_of(s.traced).bust_point)[Geom::X] * 2);
    const auto printed = s.chart.body(s.sizes.frame, Measure::BustSpan);
    const Length given = printed ? *printed : paper;
    Proposal out{(taken->value - given) / 2.0, taken->spread / 2.0, taken->value, given,
                 printed ? Against::Chart : Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment bust_span_row()
{
    return {
        .kind = AdjustmentKind::BustSpan,
        .key = "bust_span",
        .zone = Zone::Widths,
        .rank = 15,
        .acts_on = ActsOn::Front,
        .least = -bust_span_limit,
        .most = bust_span_limit,
        .needs = {Level::Bust},
        .apply = alter_bust_span,
        .place = at_bust_point,
        .propose = propose_bust_span,
        .serves = points_at_bust,
        .from = Measure::BustSpan,
    };
}

}  // namespace sartorum
