#include "core/fitting/sight.h"

#include <algorithm>

namespace sartorum {
namespace {

constexpr std::array<SightFacts, sight_count> sight_rows{{
    {Sight::NecklineStandsOff, "neckline_stands_off", SeenFrom::Front, true},
    {Sight::FoldsAtNeckEnd, "folds_at_neck_end", SeenFrom::Front, true},
    {Sight::FoldsNeckToUnderarm, "folds_neck_to_underarm", SeenFrom::Front, true},
    {Sight::TipStandsOff, "tip_stands_off", SeenFrom::Side, true},
    {Sight::SleeveSeamHangsOff, "sleeve_seam_hangs_off", SeenFrom::Front, true},
    {Sight::SleeveSeamInside, "sleeve_seam_inside", SeenFrom::Front, true},
    {Sight::SeamBehind, "seam_behind", SeenFrom::Side, true},
    {Sight::SeamBefore, "seam_before", SeenFrom::Side, true},
    {Sight::NeckEndBehind, "neck_end_behind", SeenFrom::Side, true},
    {Sight::ThroatPulls, "throat_pulls", SeenFrom::Front, false},
    {Sight::SlidesBack, "slides_back", SeenFrom::Side, false},
    {Sight::BackNeckLow, "back_neck_low", SeenFrom::Back, false},
    {Sight::BackNeckStandsOff, "back_neck_stands_off", SeenFrom::Back, false},
    {Sight::NeckGapes, "neck_gapes", SeenFrom::Front, false},
    {Sight::FoldsBustToSide, "folds_bust_to_side", SeenFrom::Front, true},
    {Sight::TightOverBust, "tight_over_bust", SeenFrom::Front, true},
    {Sight::LooseOverBust, "loose_over_bust", SeenFrom::Front, true},
    {Sight::DartAboveBust, "dart_above_bust", SeenFrom::Front, true},
    {Sight::DartBelowBust, "dart_below_bust", SeenFrom::Front, true},
    {Sight::ArmholeGapes, "armhole_gapes", SeenFrom::Front, true},
    {Sight::FoldAtFrontArmhole, "fold_at_front_armhole", SeenFrom::Front, true},
    {Sight::FrontArmholePulls, "front_armhole_pulls", SeenFrom::Front, false},
    {Sight::LooseBehindArm, "loose_behind_arm", SeenFrom::Back, true},
    {Sight::TightAcrossBack, "tight_across_back", SeenFrom::Back, false},
    {Sight::FoldsUprightBack, "folds_upright_back", SeenFrom::Back, false},
    {Sight::ArmholeCutsIn, "armhole_cuts_in", SeenFrom::Side, true},
    {Sight::ArmholeLow, "armhole_low", SeenFrom::Side, true},
    {Sight::FoldsAcrossAboveSeat, "folds_across_above_seat", SeenFrom::Back, true},
    {Sight::WaistHigh, "waist_high", SeenFrom::Front, false},
    {Sight::WaistLow, "waist_low", SeenFrom::Front, false},
    {Sight::TightWaist, "tight_waist", SeenFrom::Front, false},
    {Sight::LooseWaist, "loose_waist", SeenFrom::Front, false},
    {Sight::TightHip, "tight_hip", SeenFrom::Front, false},
    {Sight::LooseHip, "loose_hip", SeenFrom::Front, false},
    {Sight::HemUpFront, "hem_up_front", SeenFrom::Front, false},
    {Sight::HemDownFront, "hem_down_front", SeenFrom::Front, false},
    {Sight::HemUpBack, "hem_up_back", SeenFrom::Back, false},
    {Sight::HemDownBack, "hem_down_back", SeenFrom::Back, false},
    {Sight::RidesUp, "rides_up", SeenFrom::Side, false},
    {Sight::FullnessLow, "fullness_low", SeenFrom::Side, false},
    {Sight::RidesUpSitting, "rides_up_sitting", SeenFrom::Back, false},
    {Sight::TightUpperArm, "tight_upper_arm", SeenFrom::Sleeve, true},
    {Sight::LooseUpperArm, "loose_upper_arm", SeenFrom::Sleeve, true},
    {Sight::FoldsSleeveFront, "folds_sleeve_front", SeenFrom::Sleeve, true},
    {Sight::FoldsSleeveBack, "folds_sleeve_back", SeenFrom::Sleeve, true},
    {Sight::CapPulls, "cap_pulls", SeenFrom::Sleeve, true},
    {Sight::CapFolds, "cap_folds", SeenFrom::Sleeve, true},
    {Sight::WaistNotReached, "waist_not_reached", SeenFrom::Front, false},
    {Sight::WaistPulledDown, "waist_pulled_down", SeenFrom::Back, false},
    {Sight::CrotchHangs, "crotch_hangs", SeenFrom::Front, false},
    {Sight::CrotchCutsIn, "crotch_cuts_in", SeenFrom::Front, false},
    {Sight::FoldsToCrotchBehind, "folds_to_crotch_behind", SeenFrom::Back, true},
    {Sight::SmilesAtCrotch, "smiles_at_crotch", SeenFrom::Front, false},
    {Sight::LooseAtFrontCrotch, "loose_at_front_crotch", SeenFrom::Front, false},
    {Sight::BagUnderSeat, "bag_under_seat", SeenFrom::Back, true},
    {Sight::TightSeat, "tight_seat", SeenFrom::Back, false},
    {Sight::TightThigh, "tight_thigh", SeenFrom::Front, true},
    {Sight::LooseThigh, "loose_thigh", SeenFrom::Front, true},
    {Sight::LegTwists, "leg_twists", SeenFrom::Side, true},
    {Sight::DoesNotGoOn, "does_not_go_on", SeenFrom::Front, false},
}};

constexpr bool sights_in_order()
{
    for (std::size_t i = 0; i < sight_rows.size(); ++i)
        if (static_cast<std::size_t>(sight_rows[i].sight) != i) return false;
    return true;
}
static_assert(sights_in_order());

}  // namespace

std::string_view key(SeenFrom from)
{
    switch (from) {
        case SeenFrom::Front: return "front";
        case SeenFrom::Back: return "back";
        case SeenFrom::Side: return "side";
        case SeenFrom::Sleeve: return "sleeve";
    }
    return {};
}

const SightFacts& facts(Sight s)
{
    return sight_rows[static_cast<std::size_t>(s)];
}

std::optional<Sight> sight_of(std::string_view key)
{
    const auto it =
        std::find_if(sight_rows.begin(), sight_rows.end(), [&](const SightFacts& f) { return f.key == key; });
    return it == sight_rows.end() ? std::nullopt : std::optional{it->sight};
}

}  // namespace sartorum
