#include <cmath>
#include <numbers>

#include "core/alter/proposals.h"
#include "core/alter/shoulder_slope.h"
#include "core/paper/bodice_redraw.h"
#include "core/pattern/shoulder.h"

namespace sartorum {
namespace {

constexpr Length across_shoulder_ease = Length::inches(1);  // in all, half of it on each side

const Piece& front_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Front);
}
const Piece& back_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Back);
}

// The body's slope, the mean of both sides where both were measured; degrees.
std::optional<double> body_slope(const BodySet& body)
{
    const auto right = shoulder_slope_degrees(body, Side::Right);
    const auto left = shoulder_slope_degrees(body, Side::Left);
    if (right && left) return (*right + *left) / 2;
    return right ? right : left;
}

// Neck point over the bust point to the waist, as the tape goes.
Length front_waist_length(const Piece& p)
{
    const Point neck = neck_point(p);
    const auto waist = guide(p, GuideKind::Waist);
    const double level = waist ? waist->a[Geom::Y] : edge(p, EdgeRole::Centre).curve.initialPoint()[Geom::Y];
    if (!p.bust_point) return Length::mm(neck[Geom::Y] - level);
    return Length::mm(Geom::distance(neck, *p.bust_point) + (*p.bust_point)[Geom::Y] - level);
}

Length back_waist_length(const Piece& p)
{
    const auto waist = guide(p, GuideKind::Waist);
    const Point neck = edge(p, EdgeRole::Centre).curve.finalPoint();
    const Length whole = sewn_length(p, EdgeRole::Centre);
    return waist ? Length::mm(neck[Geom::Y] - waist->a[Geom::Y]) : whole;
}

// What the body asks for more than the traced pattern has: against the chart where it prints the measure, since
// then the designer's ease is kept; else against the paper itself.
struct Missing {
    Length amount;
    Length spread;
    Length wanted;
    Length given;
    Against against;
};

std::optional<Missing> missing(const FittingState& s, Measure m, Length on_paper)
{
    const auto taken = s.body.taken(m);
    if (!taken) return std::nullopt;
    const auto printed = s.chart.body(s.frame_size, m);
    const Length given = printed ? *printed : on_paper;
    return Missing{taken->value - given, taken->spread, taken->value, given,
                   printed ? Against::Chart : Against::Pattern};
}

}  // namespace

std::optional<Proposal> propose_nothing(const FittingState&)
{
    return std::nullopt;
}

std::optional<Proposal> propose_shoulder_length(const FittingState& s)
{
    const auto cross = s.body.taken(Measure::CrossShoulder);
    if (!cross) return std::nullopt;
    const auto wish = s.ease.find(Measure::CrossShoulder);
    const Length ease = wish != s.ease.end() ? wish->second : s.cloth.knit ? Length{} : across_shoulder_ease;
    const Length wanted = (cross->value + ease) / 2.0;
    const Length given = Length::mm(shoulder_tip(front_of(s.now))[Geom::X]);
    return Proposal{wanted - given, cross->spread / 2.0, wanted, given, Against::Pattern};
}

std::optional<Proposal> propose_shoulder_slope(const FittingState& s)
{
    const auto body = body_slope(s.body);
    const auto neck = s.body.taken(Measure::NeckPointHeight);
    const auto tip = s.body.taken(Measure::ShoulderTipHeight);
    if (!body || !neck || !tip) return std::nullopt;
    const auto sewn = sewn_shoulder(front_of(s.now), back_of(s.now));
    const double radians = (sewn.slope_degrees() - *body) * std::numbers::pi / 180.0;
    // Squarer is paper added at the tips, or taken off at the neck ends.
    const bool at_neck = static_cast<SlopeMethod>(s.method) == SlopeMethod::NeckEnds;
    const Length amount = sewn.front * (std::tan(radians) * (at_neck ? -1 : 1));
    const Length spread = Length::mm(std::hypot(neck->spread.in_mm(), tip->spread.in_mm()));
    return Proposal{amount, spread, neck->value - tip->value,
                    sewn.front * std::sin(sewn.slope_degrees() * std::numbers::pi / 180.0), Against::Pattern};
}

std::optional<Proposal> propose_bust_depth(const FittingState& s)
{
    const Piece& front = front_of(s.now);
    const auto taken = s.body.taken(Measure::BustDepth);
    if (!taken || !front.bust_point) return std::nullopt;
    const Point neck = neck_point(front);
    const Length given = Length::mm(Geom::distance(neck, *front.bust_point));
    // Down along the centre: the bust points' distance from it stays.
    const double across = (*front.bust_point)[Geom::X] - neck[Geom::X];
    const double want = taken->value.in_mm();
    if (want <= std::abs(across)) return std::nullopt;
    const double down = std::sqrt(want * want - across * across);
    return Proposal{Length::mm(down - (neck[Geom::Y] - (*front.bust_point)[Geom::Y])), taken->spread, taken->value,
                    given, Against::Pattern};
}

std::optional<Proposal> propose_bodice_length(const FittingState& s)
{
    const auto front = missing(s, Measure::FrontWaistLength, front_waist_length(front_of(s.traced)));
    if (!front) return std::nullopt;
    const Length done = front_waist_length(front_of(s.now)) - front_waist_length(front_of(s.traced));
    return Proposal{front->amount - done, front->spread, front->wanted, front->given, front->against, done};
}

std::optional<Proposal> propose_sway_back(const FittingState& s)
{
    const auto back = missing(s, Measure::BackWaistLength, back_waist_length(back_of(s.traced)));
    if (!back) return std::nullopt;
    const Length done = back_waist_length(back_of(s.now)) - back_waist_length(back_of(s.traced));
    const Length amount = back->amount - done;
    if (amount >= Length{}) return std::nullopt;
    return Proposal{amount, back->spread, back->wanted, back->given, back->against, done};
}

}  // namespace sartorum
