// measure.h: what is measured on a body, and what is known about measuring it.
//
// Each row is one measure: its stable key (files, notebook), how the tape lies, where one stands for it, whether
// left and right are read apart, and the range a reading may have before it is refused as a slip of the pen.
// The rows stand in the order of the guided round, which needs few movements: front, legs, back, door frame,
// chair. Common practice: two readings disagree beyond 10 mm on a girth or a string, 5 mm on a length.
// Repeatability (standard deviation of one reading), starting values from common practice: girths and heights 4
// mm, lengths 3 mm, crotch 6 mm.
#pragma once
#include <array>
#include <optional>
#include <string_view>

#include "core/units/length.h"

namespace sartorum {

enum class Measure {
    NeckBase,
    Head,
    HighBust,
    Bust,
    Underbust,
    Waist,
    HighHip,
    Hip,
    BustDepth,
    BustSpan,
    FrontWaistLength,
    AcrossFront,
    WaistToHip,
    SkirtLength,
    TrouserLength,
    Thigh,
    Knee,
    Calf,
    HeelRound,
    InsideLeg,
    CrotchLength,
    FrontRise,
    BackRise,
    ShoulderLength,
    CrossShoulder,
    AcrossBack,
    ArmholeDepth,
    BackWaistLength,
    TrunkGirth,
    ArmLength,
    UpperArm,
    Wrist,
    HandRound,
    ShouldersRound,
    WaistToFloorSide,
    WaistToFloorFront,
    WaistToFloorBack,
    WaistToFloorMidFront,  // half-way from the centre to the side
    WaistToFloorMidBack,
    NeckPointHeight,
    ShoulderTipHeight,
    Height,
    BodyRise,
    SeatedWaist,
    SeatedHip,
    SeatedThigh,
    SeatedFrontRise,
    SeatedBackRise,
};

enum class MeasureKind { Girth, Along, Height, Crotch, Wish };
enum class View { Front, Legs, Back, Door, Seated };

struct MeasureFacts {
    Measure measure;
    std::string_view key;
    MeasureKind kind;
    View view;
    bool sided;  // left and right may differ enough to be read apart
    Length least;
    Length most;

    [[nodiscard]] constexpr Length disagree() const
    {
        return Length::mm(kind == MeasureKind::Girth || kind == MeasureKind::Crotch ? 10 : 5);
    }
};

inline constexpr auto all_measures = std::to_array<MeasureFacts>({
    {Measure::NeckBase, "neck_base", MeasureKind::Girth, View::Front, false, Length::mm(220), Length::mm(700)},
    {Measure::Head, "head", MeasureKind::Girth, View::Front, false, Length::mm(400), Length::mm(750)},
    {Measure::HighBust, "high_bust", MeasureKind::Girth, View::Front, false, Length::mm(400), Length::mm(2200)},
    {Measure::Bust, "bust", MeasureKind::Girth, View::Front, false, Length::mm(400), Length::mm(2500)},
    {Measure::Underbust, "underbust", MeasureKind::Girth, View::Front, false, Length::mm(400), Length::mm(2200)},
    {Measure::Waist, "waist", MeasureKind::Girth, View::Front, false, Length::mm(300), Length::mm(2500)},
    {Measure::HighHip, "high_hip", MeasureKind::Girth, View::Front, false, Length::mm(350), Length::mm(2700)},
    {Measure::Hip, "hip", MeasureKind::Girth, View::Front, false, Length::mm(400), Length::mm(2800)},
    {Measure::BustDepth, "bust_depth", MeasureKind::Along, View::Front, true, Length::mm(120), Length::mm(550)},
    {Measure::BustSpan, "bust_span", MeasureKind::Along, View::Front, false, Length::mm(80), Length::mm(450)},
    {Measure::FrontWaistLength, "front_waist_length", MeasureKind::Along, View::Front, false, Length::mm(200),
     Length::mm(750)},
    {Measure::AcrossFront, "across_front", MeasureKind::Along, View::Front, false, Length::mm(180),
     Length::mm(650)},
    {Measure::WaistToHip, "waist_to_hip", MeasureKind::Along, View::Legs, true, Length::mm(60), Length::mm(450)},
    {Measure::SkirtLength, "skirt_length", MeasureKind::Wish, View::Legs, false, Length::mm(150),
     Length::mm(1600)},
    {Measure::TrouserLength, "trouser_length", MeasureKind::Wish, View::Legs, false, Length::mm(250),
     Length::mm(1600)},
    {Measure::Thigh, "thigh", MeasureKind::Girth, View::Legs, true, Length::mm(200), Length::mm(1400)},
    {Measure::Knee, "knee", MeasureKind::Girth, View::Legs, true, Length::mm(150), Length::mm(900)},
    {Measure::Calf, "calf", MeasureKind::Girth, View::Legs, true, Length::mm(150), Length::mm(900)},
    {Measure::HeelRound, "heel_round", MeasureKind::Girth, View::Legs, false, Length::mm(180), Length::mm(550)},
    {Measure::InsideLeg, "inside_leg", MeasureKind::Along, View::Legs, false, Length::mm(300), Length::mm(1200)},
    {Measure::CrotchLength, "crotch_length", MeasureKind::Crotch, View::Legs, false, Length::mm(300),
     Length::mm(1500)},
    {Measure::FrontRise, "front_rise", MeasureKind::Crotch, View::Legs, false, Length::mm(120), Length::mm(800)},
    {Measure::BackRise, "back_rise", MeasureKind::Crotch, View::Legs, false, Length::mm(150), Length::mm(900)},
    {Measure::ShoulderLength, "shoulder_length", MeasureKind::Along, View::Back, true, Length::mm(50),
     Length::mm(250)},
    {Measure::CrossShoulder, "cross_shoulder", MeasureKind::Along, View::Back, false, Length::mm(200),
     Length::mm(700)},
    {Measure::AcrossBack, "across_back", MeasureKind::Along, View::Back, false, Length::mm(180), Length::mm(650)},
    {Measure::ArmholeDepth, "armhole_depth", MeasureKind::Along, View::Back, false, Length::mm(100),
     Length::mm(400)},
    {Measure::BackWaistLength, "back_waist_length", MeasureKind::Along, View::Back, false, Length::mm(200),
     Length::mm(700)},
    {Measure::TrunkGirth, "trunk_girth", MeasureKind::Girth, View::Back, false, Length::mm(800), Length::mm(2400)},
    {Measure::ArmLength, "arm_length", MeasureKind::Along, View::Back, true, Length::mm(300), Length::mm(900)},
    {Measure::UpperArm, "upper_arm", MeasureKind::Girth, View::Back, true, Length::mm(120), Length::mm(900)},
    {Measure::Wrist, "wrist", MeasureKind::Girth, View::Back, true, Length::mm(90), Length::mm(400)},
    {Measure::HandRound, "hand_round", MeasureKind::Girth, View::Back, true, Length::mm(120), Length::mm(450)},
    {Measure::ShouldersRound, "shoulders_round", MeasureKind::Girth, View::Back, false, Length::mm(500),
     Length::mm(2500)},
    {Measure::WaistToFloorSide, "waist_to_floor_side", MeasureKind::Height, View::Door, true, Length::mm(500),
     Length::mm(1600)},
    {Measure::WaistToFloorFront, "waist_to_floor_front", MeasureKind::Height, View::Door, false, Length::mm(500),
     Length::mm(1600)},
    {Measure::WaistToFloorBack, "waist_to_floor_back", MeasureKind::Height, View::Door, false, Length::mm(500),
     Length::mm(1600)},
    {Measure::WaistToFloorMidFront, "waist_to_floor_mid_front", MeasureKind::Height, View::Door, true,
     Length::mm(500), Length::mm(1600)},
    {Measure::WaistToFloorMidBack, "waist_to_floor_mid_back", MeasureKind::Height, View::Door, true,
     Length::mm(500), Length::mm(1600)},
    {Measure::NeckPointHeight, "neck_point_height", MeasureKind::Height, View::Door, false, Length::mm(800),
     Length::mm(2100)},
    {Measure::ShoulderTipHeight, "shoulder_tip_height", MeasureKind::Height, View::Door, true, Length::mm(750),
     Length::mm(2050)},
    {Measure::Height, "height", MeasureKind::Height, View::Door, false, Length::mm(1000), Length::mm(2400)},
    {Measure::BodyRise, "body_rise", MeasureKind::Along, View::Seated, false, Length::mm(120), Length::mm(550)},
    {Measure::SeatedWaist, "seated_waist", MeasureKind::Girth, View::Seated, false, Length::mm(300),
     Length::mm(2600)},
    {Measure::SeatedHip, "seated_hip", MeasureKind::Girth, View::Seated, false, Length::mm(400), Length::mm(2900)},
    {Measure::SeatedThigh, "seated_thigh", MeasureKind::Girth, View::Seated, true, Length::mm(200),
     Length::mm(1500)},
    {Measure::SeatedFrontRise, "seated_front_rise", MeasureKind::Crotch, View::Seated, false, Length::mm(120),
     Length::mm(800)},
    {Measure::SeatedBackRise, "seated_back_rise", MeasureKind::Crotch, View::Seated, false, Length::mm(150),
     Length::mm(1000)},
});

[[nodiscard]] constexpr const MeasureFacts& facts(Measure m)
{
    return all_measures[static_cast<std::size_t>(m)];
}
[[nodiscard]] std::optional<Measure> measure_of_key(std::string_view key);

}  // namespace sartorum
