#include "core/alter/catalogue.h"

#include <algorithm>

#include "core/alter/across_front.h"
#include "core/alter/armhole_depth.h"
#include "core/alter/back_armhole.h"
#include "core/alter/ball_of_shoulder.h"
#include "core/alter/bodice_length.h"
#include "core/alter/bust.h"
#include "core/alter/bust_depth.h"
#include "core/alter/cap_forward.h"
#include "core/alter/cap_height.h"
#include "core/alter/dart_moved.h"
#include "core/alter/gape.h"
#include "core/alter/hem.h"
#include "core/alter/knit_dart.h"
#include "core/alter/neck_forward.h"
#include "core/alter/proposals.h"
#include "core/alter/round_back.h"
#include "core/alter/shoulder_length.h"
#include "core/alter/shoulder_slope.h"
#include "core/alter/sleeve_length.h"
#include "core/alter/sleeve_width.h"
#include "core/alter/sway_back.h"
#include "core/alter/top_notch.h"
#include "core/alter/underarm_width.h"
#include "core/alter/upper_arm.h"
#include "core/alter/waist_to_hip.h"
#include "core/alter/width.h"
#include "core/paper/dart_redraw.h"

namespace sartorum {
namespace {

constexpr std::array<std::string_view, 3> slope_methods{"tips", "neck_ends", "allow_and_pin"};
constexpr std::array<std::string_view, 2> ball_methods{"redrawn", "slashed"};
constexpr std::array<std::string_view, 3> round_back_methods{"centre_seam", "fold_eased", "fold_darted"};
constexpr std::array<std::string_view, 2> bust_depth_methods{"move_box", "re_aim"};
constexpr std::array<std::string_view, 4> sway_back_methods{"centre_seam", "fold_trimmed", "fold_tuck",
                                                            "waist_seam"};

constexpr std::array<std::string_view, 2> share_methods{"quarters", "back_only"};
constexpr std::array<std::string_view, 6> bust_methods{"side",  "waist_dart",  "kept",
                                                       "eased", "two_slashes", "princess"};
constexpr std::array<std::string_view, 2> knit_dart_methods{"with_length", "dart_only"};
constexpr std::array<std::string_view, 5> dart_places{"side", "armhole", "shoulder", "waist", "neck"};
constexpr std::array<std::string_view, 2> upper_arm_methods{"cap_kept", "split_through"};

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

const Piece& front_of(const Garment& g)
{
    return *find_piece(g.pieces, PieceRole::Front);
}
bool either(const Garment&)
{
    return true;
}
bool with_hip(const Garment& g)
{
    return bottom_role(front_of(g)) == EdgeRole::Hem;
}
bool without_dart(const Garment& g)
{
    return is_bodice(g) && !with_side_dart(g) && !front_of(g).princess;
}
bool with_dart(const Garment& g)
{
    return is_bodice(g) && !front_of(g).darts.empty();
}
bool with_movable_dart(const Garment& g)
{
    return with_dart(g) && !front_of(g).princess;
}
bool with_depth(const Garment& g)
{
    return with_side_dart(g) || front_of(g).princess;
}
bool sleeved(const Garment& g)
{
    return is_bodice(g) && find_piece(g.pieces, PieceRole::Sleeve);
}
bool with_elbow(const Garment& g)
{
    return sleeved(g) && guide(*find_piece(g.pieces, PieceRole::Sleeve), GuideKind::Elbow);
}

bool share_open(const Garment& g, std::size_t method)
{
    return is_bodice(g) || method == 0;
}
bool bust_way_open(const Garment& g, std::size_t method)
{
    const auto way = static_cast<BustMethod>(method);
    if (front_of(g).princess) return way == BustMethod::Princess || way == BustMethod::TwoSlashes;
    switch (way) {
        case BustMethod::Princess: return false;
        case BustMethod::WaistDart: return bottom_role(front_of(g)) == EdgeRole::Waist;
        case BustMethod::Eased: return without_dart(g);
        default: return true;
    }
}
bool bust_depth_way_open(const Garment& g, std::size_t method)
{
    return !front_of(g).princess || static_cast<BustDepthMethod>(method) == BustDepthMethod::ReAim;
}
std::size_t usual_bust_depth(const Garment& g)
{
    return static_cast<std::size_t>(front_of(g).princess ? BustDepthMethod::ReAim : BustDepthMethod::MoveBox);
}
std::size_t usual_bust(const Garment& g)
{
    if (front_of(g).princess) return static_cast<std::size_t>(BustMethod::Princess);
    const bool darted = mouth_in(front_of(g), EdgeRole::Waist).has_value();
    return static_cast<std::size_t>(darted ? BustMethod::WaistDart : BustMethod::Side);
}
bool dart_place_open(const Garment& g, std::size_t method)
{
    const bool waist = static_cast<DartPlace>(method) == DartPlace::Waist;
    return !waist || bottom_role(front_of(g)) == EdgeRole::Waist;
}
std::size_t usual_dart_place(const Garment& g)
{
    const bool side = mouth_in(front_of(g), EdgeRole::Side).has_value();
    return static_cast<std::size_t>(side ? DartPlace::Armhole : DartPlace::Side);
}
bool always(std::size_t)
{
    return true;
}
bool allow_and_pin(std::size_t method)
{
    return static_cast<SlopeMethod>(method) == SlopeMethod::AllowAndPin;
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

// Taken out by the amount: no other direction.
Adjustment pinch(AdjustmentKind kind, std::string_view key, Zone zone, ActsOn on, Length limit,
                 bool (*serves)(const Garment&), Outcome<Applied> (*apply)(const Garment&, const Dose&))
{
    return {kind, key, zone, on, {}, limit, serves, propose_nothing, apply, {}};
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
        even(BustDepth, "bust_depth", Zone::Lengths, ActsOn::Front, bust_depth_limit, with_depth,
             propose_bust_depth, alter_bust_depth, Measure::BustDepth),
        even(BodiceLength, "bodice_length", Zone::Lengths, ActsOn::Apart, bodice_length_limit, bodice,
             propose_bodice_length, alter_bodice_length, Measure::FrontWaistLength),
        even(SwayBack, "sway_back", Zone::Lengths, ActsOn::Back, sway_back_limit, bodice, propose_sway_back,
             alter_sway_back, Measure::BackWaistLength),
        even(WaistToHip, "waist_to_hip", Zone::Lengths, ActsOn::Both, waist_to_hip_limit, skirt,
             propose_waist_to_hip, alter_waist_to_hip, Measure::WaistToHip),
        even(UnderarmWidth, "underarm_width", Zone::Widths, ActsOn::Both, underarm_limit, bodice,
             propose_underarm_width, alter_underarm_width, Measure::HighBust),
        even(Bust, "bust", Zone::Widths, ActsOn::Front, bust_two_slashes_limit, bodice, propose_bust, alter_bust,
             Measure::Bust),
        pinch(KnitDart, "knit_dart", Zone::Widths, ActsOn::Front, knit_pinch_limit, without_dart, alter_knit_dart),
        pinch(NeckGape, "neck_gape", Zone::Widths, ActsOn::Front, gape_limit, with_dart, alter_neck_gape),
        pinch(ArmholeGape, "armhole_gape", Zone::Widths, ActsOn::Front, gape_limit, with_movable_dart,
              alter_armhole_gape),
        even(AcrossFront, "across_front", Zone::Widths, ActsOn::Front, across_front_most, bodice,
             propose_across_front, alter_across_front, Measure::AcrossFront),
        pinch(BackArmhole, "back_armhole", Zone::Widths, ActsOn::Back, back_armhole_limit, bodice,
              alter_back_armhole),
        even(WidthAtWaist, "width_at_waist", Zone::Widths, ActsOn::Both, width_limit, either,
             propose_width_at_waist, alter_width_at_waist, Measure::Waist),
        even(WidthAtHip, "width_at_hip", Zone::Widths, ActsOn::Both, width_limit, with_hip, propose_width_at_hip,
             alter_width_at_hip, Measure::Hip),
        pinch(DartMoved, "dart_moved", Zone::Widths, ActsOn::Front, dart_moved_limit, with_movable_dart,
              alter_dart_moved),
        even(UpperArm, "upper_arm", Zone::Sleeve, ActsOn::Sleeve, upper_arm_limit, sleeved, propose_upper_arm,
             alter_upper_arm, Measure::UpperArm),
        even(CapHeight, "cap_height", Zone::Sleeve, ActsOn::Sleeve, cap_height_limit, sleeved, propose_cap_height,
             alter_cap_height),
        even(CapForward, "cap_forward", Zone::Sleeve, ActsOn::Sleeve, cap_forward_limit, sleeved,
             propose_cap_forward, alter_cap_forward),
        even(TopNotch, "top_notch", Zone::Sleeve, ActsOn::Sleeve, top_notch_limit, sleeved, propose_top_notch,
             alter_top_notch),
        even(SleeveAbove, "sleeve_above", Zone::Sleeve, ActsOn::Sleeve, sleeve_length_limit, sleeved,
             propose_nothing, alter_sleeve_above),
        even(SleeveBelow, "sleeve_below", Zone::Sleeve, ActsOn::Sleeve, sleeve_length_limit, with_elbow,
             propose_sleeve_below, alter_sleeve_below, Measure::ArmLength),
        even(Forearm, "forearm", Zone::Sleeve, ActsOn::Sleeve, sleeve_width_limit, sleeved, propose_nothing,
             alter_forearm),
        even(SleeveHem, "sleeve_hem", Zone::Sleeve, ActsOn::Sleeve, sleeve_width_limit, sleeved,
             propose_sleeve_hem, alter_sleeve_hem, Measure::Wrist),
        even(HemGivenBack, "hem_given_back", Zone::Hem, ActsOn::Both, hem_limit, with_hem, propose_hem_given_back,
             alter_hem),
        even(FinishedLength, "finished_length", Zone::Hem, ActsOn::Both, hem_limit, with_hem,
             propose_finished_length, alter_hem, Measure::SkirtLength),
    }};
    const auto at = [&](AdjustmentKind kind) -> Adjustment& { return out[static_cast<std::size_t>(kind)]; };
    at(ShoulderSlope).methods = slope_methods;
    at(ShoulderSlope).zero_works = allow_and_pin;
    at(ShoulderSlope).noted = slope_noted;
    at(BallOfShoulder).methods = ball_methods;
    at(BallOfShoulder).noted = ball_noted;
    at(NeckForward).noted = neck_noted;
    at(RoundBack).methods = round_back_methods;
    at(RoundBack).usual_method = by_centre_back;
    at(RoundBack).noted = round_back_noted;
    at(BustDepth).methods = bust_depth_methods;
    at(BustDepth).method_serves = bust_depth_way_open;
    at(BustDepth).usual_method = usual_bust_depth;
    at(SwayBack).methods = sway_back_methods;
    at(SwayBack).usual_method = by_centre_back;
    at(SwayBack).most = {};
    at(AcrossFront).least = across_front_least;
    at(UnderarmWidth).methods = share_methods;
    at(WidthAtWaist).methods = share_methods;
    at(WidthAtWaist).method_serves = share_open;
    at(WidthAtHip).methods = share_methods;
    at(WidthAtHip).method_serves = share_open;
    at(Bust).methods = bust_methods;
    at(Bust).method_serves = bust_way_open;
    at(Bust).usual_method = usual_bust;
    at(KnitDart).methods = knit_dart_methods;
    at(DartMoved).methods = dart_places;
    at(DartMoved).method_serves = dart_place_open;
    at(DartMoved).usual_method = usual_dart_place;
    at(DartMoved).zero_works = always;
    at(UpperArm).methods = upper_arm_methods;
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

bool zero_works(const Adjustment& a, std::size_t method)
{
    return a.zero_works && a.zero_works(method);
}

bool method_serves(const Adjustment& a, const Garment& g, std::size_t method)
{
    return !a.method_serves || a.method_serves(g, method);
}

std::size_t usual_method(const Adjustment& a, const Garment& g)
{
    return a.usual_method ? a.usual_method(g) : 0;
}

}  // namespace sartorum
