#include "core/tissue/refused_lines.h"

#include <algorithm>

namespace sartorum {
namespace {

using L = TissueLine;

const std::vector<Blamed>& bodice_blame()
{
    static const std::vector<Blamed> rows{
        {"bust", L::FrontBust, {L::BackBust}},
        {"front_more", L::FrontBust, {L::BackBust}},
        {"front_waist", L::BodiceFrontWaist, {L::FrontWaistDart, L::FrontBust, L::SideLength}},
        {"back_waist", L::BodiceBackWaist, {L::BackWaistDart, L::BackBust, L::SideLength}},
        {"waist", L::BodiceFrontWaist, {L::BodiceBackWaist}},
        {"neck_width", L::NeckWidth, {}},
        {"front_neck_depth", L::FrontNeckDepth, {}},
        {"back_neck_depth", L::BackNeckDepth, {}},
        {"shoulder", L::FrontShoulder, {}},
        {"front_drop", L::FrontDrop, {L::FrontShoulder}},
        {"back_drop", L::BackDrop, {L::FrontShoulder}},
        {"across_front", L::AcrossFront, {L::NeckWidth, L::FrontBust}},
        {"across_back", L::AcrossBack, {L::NeckWidth, L::BackBust}},
        {"front_length", L::FrontLength, {L::SideLength, L::FrontDrop}},
        {"back_length", L::BackLength, {L::SideLength, L::BackDrop}},
        {"side_length", L::SideLength, {}},
        {"bust_depth", L::BustDepth, {L::FrontLength}},
        {"bust_span", L::BustHalfSpan, {L::FrontBust, L::BackBust}},
        {"side_dart", L::SideDart, {}},
        {"seam_above", L::SeamAbove, {}},
        {"front_dart", L::FrontWaistDart, {}},
        {"back_dart", L::BackWaistDart, {}},
        {"shoulder_dart", L::BackShoulderDart, {}},
        {"shoulder_ease", L::BackShoulder, {L::FrontShoulder, L::BackShoulderDart}},
        {"below_waist", L::BelowWaist, {}},
        {"hip", L::FrontHemWidth, {L::BackHemWidth}},
        {"sleeve_bicep", L::SleeveBicep, {L::CapHeight, L::CapLength}},
        {"cap_height", L::CapHeight, {L::SleeveBicep, L::CapLength}},
        {"sleeve_length", L::SleeveLength, {L::CapHeight}},
        {"sleeve_hem", L::SleeveHem, {L::SleeveBicep}},
        {"elbow", L::SleeveElbow, {L::SleeveLength}},
        {"cap_ease",
         L::CapLength,
         {L::FrontShoulder, L::FrontDrop, L::AcrossFront, L::FrontBust, L::SideLength, L::FrontLength, L::BackDrop,
          L::AcrossBack, L::BackBust, L::BackLength, L::NeckWidth, L::BackNeckDepth}}};
    return rows;
}

const std::vector<Blamed>& skirt_blame()
{
    static const std::vector<Blamed> rows{{"waist", L::FrontWaist, {L::BackWaist, L::FrontDart, L::BackDart}},
                                          {"hip", L::FrontHip, {L::BackHip}},
                                          {"front_more", L::FrontHip, {L::BackHip}},
                                          {"waist_to_hip", L::WaistToHip, {}},
                                          {"length", L::CentreLength, {L::WaistToHip}},
                                          {"front_waist", L::FrontWaist, {L::FrontHip, L::WaistToHip}},
                                          {"front_dart", L::FrontDart, {}},
                                          {"front_dart_length", L::FrontDartLength, {L::WaistToHip}},
                                          {"back_waist", L::BackWaist, {L::BackHip, L::WaistToHip}},
                                          {"back_dart", L::BackDart, {}},
                                          {"back_dart_length", L::BackDartLength, {L::WaistToHip}},
                                          {"flare", L::FrontHem, {L::FrontHip, L::CentreLength, L::WaistToHip}},
                                          {"side_rise", L::SideRise, {}},
                                          {"band_depth", L::BandDepth, {}}};
    return rows;
}

const std::vector<Blamed>& trousers_blame()
{
    static const std::vector<Blamed> rows{
        {"waist", L::LegFrontWaist, {L::LegBackWaist, L::LegFrontDart, L::LegBackDart}},
        {"hip", L::LegFrontHip, {L::LegBackHip}},
        {"back_more", L::LegBackHip, {L::LegFrontHip}},
        {"back_waist_more", L::LegBackWaist, {L::LegFrontWaist, L::LegFrontDart, L::LegBackDart}},
        {"waist_to_hip", L::LegToHip, {}},
        {"rise", L::LegRise, {L::LegToHip}},
        {"inside_leg", L::InsideLeg, {}},
        {"knee_below", L::LegToKnee, {L::InsideLeg}},
        {"knee", L::LegFrontKnee, {L::LegBackKnee}},
        {"leg_hem", L::LegFrontHem, {L::LegBackHem}},
        {"front_extension", L::LegFrontThigh, {L::LegFrontHip, L::LegBackHip}},
        {"back_extension", L::LegBackThigh, {L::LegFrontHip, L::LegBackHip}},
        {"side_rise", L::LegFrontCrotch, {L::LegRise, L::LegFrontThigh, L::LegFrontHip, L::LegToHip}},
        {"back_rise", L::LegBackCrotch, {L::LegRise, L::LegBackThigh, L::LegBackHip, L::LegToHip}},
        {"back_stretch", L::LegBackInside, {L::InsideLeg}},
        {"front_lean", L::LegFrontLean, {}},
        {"back_lean", L::LegBackLean, {}},
        {"front_waist", L::LegFrontWaist, {L::LegFrontHip, L::LegFrontLean, L::LegToHip}},
        {"back_waist", L::LegBackWaist, {L::LegBackHip, L::LegBackLean, L::LegToHip}},
        {"front_dart", L::LegFrontDart, {}},
        {"front_dart_length", L::LegFrontDartLength, {L::LegToHip}},
        {"back_dart", L::LegBackDart, {}},
        {"back_dart_length", L::LegBackDartLength, {L::LegToHip}},
        {"fly", L::LegFly, {L::LegFrontCrotch}},
        {"band_depth", L::LegBandDepth, {}}};
    return rows;
}

}  // namespace

const Blamed* blamed_in(TissueKind kind, std::string_view field)
{
    const auto& rows = kind == TissueKind::Skirt      ? skirt_blame()
                       : kind == TissueKind::Trousers ? trousers_blame()
                                                      : bodice_blame();
    const auto it = std::find_if(rows.begin(), rows.end(), [&](const Blamed& b) { return b.field == field; });
    return it == rows.end() ? nullptr : &*it;
}

}  // namespace sartorum
