#include "core/alter/catalogue.h"

#include <algorithm>

#include "core/alter/armhole_depth.h"
#include "core/alter/ball_of_shoulder.h"
#include "core/alter/bodice_length.h"
#include "core/alter/bust_depth.h"
#include "core/alter/hem.h"
#include "core/alter/neck_forward.h"
#include "core/alter/proposals.h"
#include "core/alter/round_back.h"
#include "core/alter/shoulder_length.h"
#include "core/alter/shoulder_slope.h"
#include "core/alter/sway_back.h"
#include "core/alter/waist_to_hip.h"
#include "core/alter/width.h"

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 3> slope_methods{"tips", "neck_ends", "allow_and_pin"};
constexpr std::array<std::string_view, 2> ball_methods{"redrawn", "slashed"};
constexpr std::array<std::string_view, 3> round_back_methods{"centre_seam", "fold_eased", "fold_darted"};
constexpr std::array<std::string_view, 2> bust_depth_methods{"move_box", "re_aim"};
constexpr std::array<std::string_view, 4> sway_back_methods{"centre_seam", "fold_trimmed", "fold_tuck",
                                                            "waist_seam"};

bool bodice(const Garment& g)
{
    return is_bodice(g);
}
bool skirt(const Garment& g)
{
    return !is_bodice(g);
}
bool with_side_dart(const Garment& g)
{
    const Piece* front = find_piece(g.pieces, PieceRole::Front);
    return is_bodice(g) && edge_index(*front, EdgeRole::Side) != edge_index(*front, EdgeRole::Side, true);
}
bool with_hem(const Garment& g)
{
    return bottom_role(*find_piece(g.pieces, PieceRole::Front)) == EdgeRole::Hem;
}

std::size_t by_centre_back(const Garment& g)
{
    return on_fold(*find_piece(g.pieces, PieceRole::Back)) ? 1 : 0;
}

bool ball_noted(const Posture& p)
{
    return p.ball == Stance::Forward || p.ball == Stance::Back;
}
bool neck_noted(const Posture& p)
{
    return p.neck == Stance::Forward || p.neck == Stance::Back;
}
bool round_back_noted(const Posture& p)
{
    return p.round_back == RoundBack::Slight || p.round_back == RoundBack::Marked;
}
bool slope_noted(const Posture& p)
{
    return p.slope == SlopeSeen::Square || p.slope == SlopeSeen::Sloping;
}

using enum AdjustmentKind;

Adjustment even(AdjustmentKind kind, std::string_view key, Zone zone, ActsOn on, Length limit,
                bool (*serves)(const Garment&), std::optional<Proposal> (*propose)(const FittingState&),
                Outcome<Applied> (*apply)(const Garment&, const Dose&), std::optional<Measure> from = {})
{
    return {kind, key, zone, on, -limit, limit, serves, propose, apply, from};
}

std::array<Adjustment, adjustment_count> made()
{
    std::array<Adjustment, adjustment_count> out{{
        even(ShoulderLength, "shoulder_length", Zone::Frame, ActsOn::Both, shoulder_length_limit, bodice,
             propose_shoulder_length, alter_shoulder_length, Measure::CrossShoulder),
        even(ShoulderSlope, "shoulder_slope", Zone::Frame, ActsOn::Apart, shoulder_slope_limit, bodice,
             propose_shoulder_slope, alter_shoulder_slope, Measure::ShoulderTipHeight),
        even(BallOfShoulder, "ball_of_shoulder", Zone::Frame, ActsOn::Both, shoulder_forward_limit, bodice,
             propose_nothing, alter_ball_of_shoulder),
        even(NeckForward, "neck_forward", Zone::Frame, ActsOn::Both, neck_forward_limit, bodice, propose_nothing,
             alter_neck_forward),
        even(RoundBack, "round_back", Zone::Frame, ActsOn::Back, round_back_limit, bodice, propose_nothing,
             alter_round_back),
        even(ArmholeDepth, "armhole_depth", Zone::Lengths, ActsOn::Both, armhole_depth_limit, bodice,
             propose_nothing, alter_armhole_depth),
        even(BustDepth, "bust_depth", Zone::Lengths, ActsOn::Front, bust_depth_limit, with_side_dart,
             propose_bust_depth, alter_bust_depth, Measure::BustDepth),
        even(BodiceLength, "bodice_length", Zone::Lengths, ActsOn::Apart, bodice_length_limit, bodice,
             propose_bodice_length, alter_bodice_length, Measure::FrontWaistLength),
        even(SwayBack, "sway_back", Zone::Lengths, ActsOn::Back, sway_back_limit, bodice, propose_sway_back,
             alter_sway_back, Measure::BackWaistLength),
        even(WaistToHip, "waist_to_hip", Zone::Lengths, ActsOn::Both, waist_to_hip_limit, skirt,
             propose_waist_to_hip, alter_waist_to_hip, Measure::WaistToHip),
        even(WidthAtWaist, "width_at_waist", Zone::Widths, ActsOn::Both, width_limit, skirt,
             propose_width_at_waist, alter_width_at_waist, Measure::Waist),
        even(WidthAtHip, "width_at_hip", Zone::Widths, ActsOn::Both, width_limit, skirt, propose_width_at_hip,
             alter_width_at_hip, Measure::Hip),
        even(HemGivenBack, "hem_given_back", Zone::Hem, ActsOn::Both, hem_limit, with_hem, propose_hem_given_back,
             alter_hem),
        even(FinishedLength, "finished_length", Zone::Hem, ActsOn::Both, hem_limit, with_hem,
             propose_finished_length, alter_hem, Measure::SkirtLength),
    }};
    const auto at = [&](AdjustmentKind kind) -> Adjustment& { return out[static_cast<std::size_t>(kind)]; };
    at(ShoulderSlope).methods = slope_methods;
    at(ShoulderSlope).zero_method = static_cast<std::size_t>(SlopeMethod::AllowAndPin);
    at(ShoulderSlope).noted = slope_noted;
    at(BallOfShoulder).methods = ball_methods;
    at(BallOfShoulder).noted = ball_noted;
    at(NeckForward).noted = neck_noted;
    at(RoundBack).methods = round_back_methods;
    at(RoundBack).usual_method = by_centre_back;
    at(RoundBack).noted = round_back_noted;
    at(BustDepth).methods = bust_depth_methods;
    at(SwayBack).methods = sway_back_methods;
    at(SwayBack).usual_method = by_centre_back;
    at(SwayBack).most = {};
    at(HemGivenBack).joins_next = true;
    return out;
}

}  // namespace

const std::array<Adjustment, adjustment_count>& catalogue()
{
    static const auto all = made();
    return all;
}

const Adjustment& adjustment(AdjustmentKind kind)
{
    return catalogue()[static_cast<std::size_t>(kind)];
}

std::optional<AdjustmentKind> adjustment_of_key(std::string_view key)
{
    for (const auto& a : catalogue()) {
        if (a.key == key) return a.kind;
    }
    return std::nullopt;
}

std::optional<std::size_t> method_of_key(const Adjustment& a, std::string_view key)
{
    const auto it = std::find(a.methods.begin(), a.methods.end(), key);
    return it == a.methods.end() ? std::nullopt : std::optional{static_cast<std::size_t>(it - a.methods.begin())};
}

std::size_t usual_method(const Adjustment& a, const Garment& g)
{
    return a.usual_method ? a.usual_method(g) : 0;
}

}  // namespace sartorum
