#include <algorithm>

#include "core/alter/cap_height.h"
#include "core/alter/proposals.h"
#include "core/alter/shared.h"

namespace sartorum {
namespace {

constexpr Length worth_a_change = Length::mm(1);  // less is truing

const Piece& sleeve_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Sleeve);
}

// One half of the cap against its half of the armhole: longer (+) than the ease it is to have.
Length half_over(const FittingState& s, PieceRole bodice, EdgeRole cap, std::string_view seam)
{
    const Length armhole = sewn_length(*find_piece(s.now.pieces, bodice), EdgeRole::Armhole);
    return sewn_length(sleeve_of(s.now), cap) - armhole - meant_ease(s.now, seam, s.cloth);
}

Length front_over(const FittingState& s)
{
    return half_over(s, PieceRole::Front, EdgeRole::CapFront, "armhole-front");
}
Length back_over(const FittingState& s)
{
    return half_over(s, PieceRole::Back, EdgeRole::CapBack, "armhole-back");
}

}  // namespace

std::optional<Proposal> propose_upper_arm(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::UpperArm);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.upper_arm;
    const Length now = s.now_flat.upper_arm;
    if (const auto row = ease_at(s.chart, s.frame_size, Measure::UpperArm, s.body, s.ease, s.cloth, traced)) {
        const bool wished = row->wished;
        const Length wanted = row->finished_wanted();
        const Length chart = *s.chart.body(s.frame_size, Measure::UpperArm);
        if (wished) return Proposal{wanted - now, taken->spread, wanted, traced, Against::EaseWish, now - traced};
        return Proposal{wanted - now, taken->spread, taken->value, chart, Against::Chart, now - traced};
    }
    // The chart says nothing: only what is needed to move in.
    const Length needed = taken->value + least_ease(Measure::UpperArm, s.cloth, taken->value);
    if (now >= needed) return std::nullopt;
    return Proposal{needed - now, taken->spread, needed, traced, Against::Needed, now - traced};
}

std::optional<Proposal> propose_cap_height(const FittingState& s)
{
    const Length ease = meant_ease(s.now, "armhole-front", s.cloth) + meant_ease(s.now, "armhole-back", s.cloth);
    const Length wanted = s.now_flat.armhole + ease;
    if (abs(s.now_flat.cap - wanted) < worth_a_change) return std::nullopt;
    const auto amount = cap_height_for(sleeve_of(s.now), wanted);
    if (!amount) return std::nullopt;
    return Proposal{*amount, {}, wanted, s.now_flat.cap, Against::Armhole};
}

std::optional<Proposal> propose_cap_forward(const FittingState& s)
{
    const Length ball = s.of(AdjustmentKind::BallOfShoulder);
    if (ball == Length{}) return std::nullopt;
    return Proposal{ball, {}, ball, {}, Against::SeamMoved};
}

std::optional<Proposal> propose_top_notch(const FittingState& s)
{
    const Length amount = (front_over(s) - back_over(s)) / 2.0;
    if (abs(amount) < worth_a_change) return std::nullopt;
    const Length half = sewn_length(sleeve_of(s.now), EdgeRole::CapFront);
    return Proposal{amount, {}, half - amount, half, Against::Armhole};
}

std::optional<Proposal> propose_sleeve_below(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::ArmLength);
    if (!taken) return std::nullopt;
    const Length traced = s.traced_flat.sleeve;
    const Length done = s.now_flat.sleeve - traced;
    const auto printed = s.chart.body(s.frame_size, Measure::ArmLength);
    const Length given = printed ? *printed : traced;
    return Proposal{taken->value - given - done,
                    taken->spread,
                    taken->value,
                    given,
                    printed ? Against::Chart : Against::Pattern,
                    done};
}

std::optional<Proposal> propose_sleeve_hem(const FittingState& s)
{
    const auto taken = s.body.taken(Measure::Wrist);
    const auto printed = s.chart.body(s.frame_size, Measure::Wrist);
    if (!taken || !printed) return std::nullopt;
    const Length done = s.now_flat.wrist - s.traced_flat.wrist;
    return Proposal{taken->value - *printed - done, taken->spread, taken->value, *printed, Against::Chart, done};
}

}  // namespace sartorum
