// sight.h: what is seen on a toile, one named sign each: folds, gaping, pulling, a hem off its level, a seam off
// its place. Common practice.
#pragma once
#include <array>
#include <optional>
#include <string_view>

namespace sartorum {

enum class Sight {
    // round the neck and the shoulder
    NecklineStandsOff,    // at the side of the neck
    FoldsAtNeckEnd,       // across, just under the neck end of the shoulder seam
    FoldsNeckToUnderarm,  // on the slant, from the neck to under the arm
    TipStandsOff,         // cloth stands up at the shoulder tip
    SleeveSeamHangsOff,   // beyond the shoulder tip
    SleeveSeamInside,     // on the shoulder, inwards of its tip
    SeamBehind,           // the shoulder seam lies behind where it is meant to
    SeamBefore,           // or before
    NeckEndBehind,        // the seam's neck end alone lies behind the side of the neck
    ThroatPulls,          // the front neckline pulls at the throat
    SlidesBack,           // the whole garment slides back
    BackNeckLow,          // the back neckline never gets up to the nape
    BackNeckStandsOff,    // it stands away at the nape
    NeckGapes,            // the front neckline stands away over the bust
    // bust, armhole, back
    FoldsBustToSide,  // on the slant, from the bust to the side or the armhole
    TightOverBust,
    LooseOverBust,  // empty cloth where the bust is meant to be
    DartAboveBust,  // the dart's tip lies above the bust point
    DartBelowBust,
    ArmholeGapes,        // in front
    FoldAtFrontArmhole,  // a small upright fold before each armhole
    FrontArmholePulls,   // across the front between the armholes
    LooseBehindArm,
    TightAcrossBack,
    FoldsUprightBack,      // loose, between the shoulder blades
    ArmholeCutsIn,         // under the arm
    ArmholeLow,            // stands away under the arm; the whole top lifts with it
    FoldsAcrossAboveSeat,  // across the back, at the waist or just under it
    // waist, hip, hem
    WaistHigh,  // the waist seam or line lies above the body's
    WaistLow,
    TightWaist,
    LooseWaist,
    TightHip,
    LooseHip,
    HemUpFront,
    HemDownFront,
    HemUpBack,
    HemDownBack,
    RidesUp,      // a skirt works its way up, and is pulled down again
    FullnessLow,  // its widest place lies below the body's
    RidesUpSitting,
    // the sleeve
    TightUpperArm,
    LooseUpperArm,
    FoldsSleeveFront,  // on the slant, from the front of the cap
    FoldsSleeveBack,
    CapPulls,  // across the top of the sleeve
    CapFolds,  // loose folds across the top of the sleeve
    // trousers
    WaistNotReached,  // they do not come up to the waist
    WaistPulledDown,  // behind, in sitting or bending
    CrotchHangs,      // below the body
    CrotchCutsIn,
    FoldsToCrotchBehind,  // pulled, from the seat to the crotch
    SmilesAtCrotch,       // curved folds in front, from the crotch up to both sides
    LooseAtFrontCrotch,
    BagUnderSeat,
    TightSeat,
    TightThigh,
    LooseThigh,
    LegTwists,
    DoesNotGoOn,  // over the shoulders or the hips, its opening undone
};
inline constexpr std::size_t sight_count = 60;

// From where it is seen; the sleeve is looked at by itself, from its outside.
enum class SeenFrom { Front, Back, Side, Sleeve };
[[nodiscard]] std::string_view key(SeenFrom);
// There are two such views, one of each side, and forwards is to one side of them.
[[nodiscard]] constexpr bool from_a_side(SeenFrom f)
{
    return f == SeenFrom::Side || f == SeenFrom::Sleeve;
}

struct SightFacts {
    Sight sight;
    std::string_view key;
    SeenFrom from;
    bool sided;  // it can be on one side only
};

[[nodiscard]] const SightFacts& facts(Sight);
[[nodiscard]] std::optional<Sight> sight_of(std::string_view key);

}  // namespace sartorum
