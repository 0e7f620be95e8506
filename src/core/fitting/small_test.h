// small_test.h: what hands can try on a wearer in a minute to tell causes apart: a pinch, a seam opened, a length
// of tape. Each is answered yes or no. Common practice; how surely each tells, from memory.
#pragma once
#include <span>
#include <string_view>
#include <vector>

#include "core/fitting/cause.h"

namespace sartorum {

enum class SmallTest {
    PinchNeckEnds,         // the folds are gone, the neckline lies
    PinchTips,             // the folds to the underarm are gone
    PinchMidShoulder,      // the sleeve seam comes to the tip, and nothing pulls
    EarLobeLine,           // the seam lies behind the line from ear lobe to the middle of the upper arm
    NeckEndToSide,         // the neck end lies behind the side of the neck, the tip does not
    NapeToHem,             // by tape, the body is longer down the middle of the back than the paper
    OpenShoulderTip,       // unpicked at the tip, the seam opens there and the sleeve hangs well
    PinchNeckToBust,       // a pinch from the neckline towards the bust point lies it down
    PinchAcrossAboveSeat,  // it lies, and the hem is level
    SideSeamsOut,          // opened over the hip, the folds are gone
    PinchAcrossBodice,     // all round at the waist: the waist comes to its place
    WaistUnpicked,         // let down, the waist finds its place lower
    DotBelowDart,          // the dot of the bust point lies below the dart's tip
    DotAboveDart,
    FrontByTape,          // neck point over the bust to the waist, the body is longer than the paper
    TapeOverBust,         // round the bust, the body and ease are more than the paper
    PinchOverBust,        // a pinch upright over the bust can be taken, the same to both sides
    PinchArmholeToBust,   // a pinch from the armhole towards the bust point lies it down
    PinchBeforeArmhole,   // 6 mm upright before the armhole, and the fold is gone
    FrontArmholeSnipped,  // let out before the armhole, it eases
    PinchBehindArm,       // at the middle of the back armhole it lies
    BackOpened,           // opened between the shoulder blades, it eases
    PinchUprightBack,     // it lies, and the arms still reach
    LiftUnderarm,         // the underarm lifted by hand: the sleeve is easy
    UnderarmSnipped,      // lowered by a few millimetres it no longer cuts
    SleeveSeamOut,        // the sleeve's seam opened: it eases
    TurnCap,              // the cap turned forward by a finger: the folds are gone
    CapLetUp,             // the cap let out at its top: it no longer pulls
    PinchAcrossCap,       // a pinch across the cap: the folds are gone
    FullestLineLow,       // the garment's fullest line lies below the body's
    HemMarksAboveFront,   // hem settled level, the waist is marked above the paper's in front
    HemMarksBelowFront,
    WaistLoweredBehind,    // lowered behind by hand, the seat eases
    StringLonger,          // front and back, the string on the body is longer than the crotch seam
    SeatPinchFree,         // a pinch can be taken at the side of the seat
    BackLetOut,            // only the back let out at the side: it sits
    InnerLegOpened,        // opened a little in front, the smiles are gone
    PinchAcrossUnderSeat,  // it lies, standing straight
    PinchAlongUnderSeat,   // an upright pinch at the back of the thigh lies it down
    ThighSeamOut,          // inner leg and side opened at the thigh: it eases
    RisePinchedAround,     // a pinch all round under the hip lifts the crotch to its place
    WaistOpened,           // the waist opened: all below it hangs well
    PinchAtWaist,          // a pinch at the side seams: it lies, and stays where it is
    SeamBeforeLine,        // the seam lies before the line from ear lobe to the middle of the upper arm
    PinchFrontCrotch,      // a pinch across the front, at the crotch, lies it down
    PinchAlongSleeve,      // one along the sleeve can be taken, the arm bent
    CapTurnedBack,         // the cap turned back by a finger: the folds are gone
    PinchThigh,            // one along the thigh can be taken, front and back
    HemMarksAboveBehind,   // hem settled level, the waist is marked above the paper's behind
};
inline constexpr std::size_t small_test_count = 49;

// How surely it is answered with yes where that is the cause.
enum class Tells { Little, Half, Surely };
[[nodiscard]] double probability(Tells);
inline constexpr double yes_without_cause = 0.06;

struct Telling {
    Cause cause;
    Tells yes;
};

struct SmallTestFacts {
    SmallTest test;
    std::string_view key;
    Stage stage;  // what has to be right before it tells
    std::vector<Telling> tells;
    // What is pinched, by this, is the amount of the first cause it tells: a fold pinched p deep loses 2p, and p
    // is what the edge loses in all. 0: nothing is pinched.
    double pinch_share = 0;
};

[[nodiscard]] std::span<const SmallTestFacts> all_small_tests();
[[nodiscard]] const SmallTestFacts& facts(SmallTest);
[[nodiscard]] std::optional<SmallTest> small_test_of(std::string_view key);

}  // namespace sartorum
