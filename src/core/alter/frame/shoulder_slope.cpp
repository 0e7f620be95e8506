#include "core/alter/frame/rows.h"

#include <cmath>

#include <array>

#include <numbers>

#include "core/alter/frame/shoulder_ends.h"
#include "core/alter/kit/adjustment_places.h"
#include "core/alter/kit/seam_matching.h"
#include "core/alter/kit/shared.h"
#include "core/paper/redraw/bodice.h"
#include "core/pattern/shoulder.h"

namespace sartorum {
namespace {

void allow(Applied& applied, Piece& piece)
{
    // The seam's edges and the mouths of its darts stand between its first and its last.
    Length whole;
    const std::size_t last = *edge_index(piece, EdgeRole::Shoulder, true);
    for (std::size_t i = *edge_index(piece, EdgeRole::Shoulder); i <= last; ++i) {
        whole = piece.edges[i].allowance + toile_extra;
        piece.edges[i].allowance = whole;
    }
    Step step = step_on(piece, StepKind::AllowShoulder, toile_extra, whole);
    const Point off = off_shoulder(piece) * whole.in_mm();
    step.picture.lines = {{neck_point(piece) + off, shoulder_tip(piece) + off}};
    step.picture.dimensions = {{shoulder_tip(piece), shoulder_tip(piece) + off, whole}};
    applied.steps.push_back(std::move(step));
}

Outcome<Applied> at_ends(const Garment& garment, const Dose& dose, bool neck)
{
    Applied out{garment, {}};
    for (const auto& [role, amount] : {std::pair{PieceRole::Front, dose.front}, {PieceRole::Back, dose.back}}) {
        Piece& piece = *find_piece(out.garment.pieces, role);
        if (amount == Length{}) continue;
        piece = neck ? neck_end_moved(out, piece, amount) : tip_moved(out, piece, amount);
    }
    match_shoulders(out, shoulder_ease(garment));
    return out;
}

}  // namespace

Outcome<Applied> alter_shoulder_slope(const Garment& garment, const Dose& dose)
{
    const auto method = static_cast<SlopeMethod>(dose.method);
    const bool nothing = dose.front == Length{} && dose.back == Length{};
    if (nothing && method != SlopeMethod::AllowAndPin) return refuse(Why::AmountZero, "shoulder_slope");
    for (const auto amount : {dose.front, dose.back}) {
        if (amount == Length{}) continue;
        if (const auto ok = some_amount(amount, "shoulder_slope"); !ok) return tl::make_unexpected(ok.error());
    }
    if (nothing) {
        Applied out{garment, {}};
        for (const auto role : {PieceRole::Front, PieceRole::Back})
            allow(out, *find_piece(out.garment.pieces, role));
        return out;
    }
    return at_ends(garment, dose, method == SlopeMethod::NeckEnds);
}

namespace {

constexpr std::array<std::string_view, 3> slope_methods{"tips", "neck_ends", "allow_and_pin"};

bool slope_noted(const Posture& p)
{
    return p.slope == SlopeSeen::Square || p.slope == SlopeSeen::Sloping;
}

bool allow_and_pin(std::size_t method)
{
    return static_cast<SlopeMethod>(method) == SlopeMethod::AllowAndPin;
}

// The body's slope, the mean of both sides where both were measured; degrees.
std::optional<double> body_slope(const BodySet& body)
{
    const auto right = shoulder_slope_degrees(body, Side::Right);
    const auto left = shoulder_slope_degrees(body, Side::Left);
    if (right && left) return (*right + *left) / 2;
    return right ? right : left;
}

// The slope the chart is drafted for, where it prints the three lengths it follows from.
std::optional<double> chart_slope(const FittingState& s)
{
    BodySet drafted;
    for (const auto m : {Measure::NeckPointHeight, Measure::ShoulderTipHeight, Measure::ShoulderLength}) {
        if (const auto printed = s.chart.body(s.sizes.frame, m)) drafted.readings[m] = {*printed};
    }
    return shoulder_slope_degrees(drafted, Side::Right);
}

// The slope from the heights of neck point and tip against the sewn slope of the pattern, at the tips.
std::optional<Proposal> propose_shoulder_slope(const FittingState& s)
{
    const auto body = body_slope(s.body);
    const auto neck = s.body.taken(Measure::NeckPointHeight);
    const auto tip = s.body.taken(Measure::ShoulderTipHeight);
    if (!body || !neck || !tip) return std::nullopt;
    const auto sewn = sewn_shoulder(front_of(s.now), back_of(s.now));
    const double given = chart_slope(s).value_or(sewn.slope_degrees());
    const double radians = (given - *body) * std::numbers::pi / 180.0;
    // Squarer is paper added at the tips, or taken off at the neck ends.
    const bool at_neck = static_cast<SlopeMethod>(s.method) == SlopeMethod::NeckEnds;
    const Length amount = sewn.front * (std::tan(radians) * (at_neck ? -1 : 1));
    const Length spread = Length::mm(std::hypot(neck->spread.in_mm(), tip->spread.in_mm()));
    // Both as the drop at the tip of this pattern's shoulder, whose length need not be hers.
    const auto drop = [&](double degrees) { return sewn.front * std::sin(degrees * std::numbers::pi / 180.0); };
    Proposal out{amount, spread, drop(*body), drop(given), chart_slope(s) ? Against::Chart : Against::Pattern};
    out.least = least_on_seam;
    return out;
}

}  // namespace

Adjustment shoulder_slope_row()
{
    return {
        .kind = AdjustmentKind::ShoulderSlope,
        .key = "shoulder_slope",
        .zone = Zone::Frame,
        .rank = 20,
        .acts_on = ActsOn::Apart,
        .least = -shoulder_slope_limit,
        .most = shoulder_slope_limit,
        .needs = {Level::Shoulder},
        .edges = {EdgeRole::Shoulder, EdgeRole::Armhole},
        .apply = alter_shoulder_slope,
        .place = at_shoulder_tip,
        .propose = propose_shoulder_slope,
        .from = Measure::ShoulderTipHeight,
        .methods = slope_methods,
        .zero_works = allow_and_pin,
        .noted = slope_noted,
    };
}

}  // namespace sartorum
