#include "desk/mirror/sight_place.h"

namespace sartorum::desk {

SightPlace place_of(Sight s)
{
    using enum DrawnAs;
    switch (s) {
        case Sight::NecklineStandsOff: return {{4.2, 17.6}, Gap, 0, 3, 1};
        case Sight::FoldsAtNeckEnd: return {{4.6, 19}, Folds, 8, 4, 2};
        case Sight::FoldsNeckToUnderarm: return {{6.6, 21.5}, Folds, 55, 7, 3};
        case Sight::TipStandsOff: return {{-0.5, 19.6}, Gap, 0, 3.4, 1};
        case Sight::SleeveSeamHangsOff: return {{10.6, 21}, Off, 80, 4, 1};
        case Sight::SleeveSeamInside: return {{8.6, 20.6}, Off, 80, 4, 1};
        case Sight::SeamBehind: return {{-0.9, 19}, Off, 70, 4, 1};
        case Sight::SeamBefore: return {{1.6, 19}, Off, 70, 4, 1};
        case Sight::NeckEndBehind: return {{-1.3, 17.4}, Off, 70, 2.6, 1};
        case Sight::ThroatPulls: return {{0, 18.6}, Folds, 0, 5, 2};
        case Sight::SlidesBack: return {{-3.6, 20.4}, Pull, 0, 4, 2};
        case Sight::BackNeckLow: return {{0, 18.6}, Down, 0, 4, 1};
        case Sight::BackNeckStandsOff: return {{0, 17.4}, Gap, 0, 4, 1};
        case Sight::NeckGapes: return {{0, 20.6}, Gap, 0, 4.5, 1};
        case Sight::FoldsBustToSide: return {{7.2, 27.4}, Folds, 38, 6, 3};
        case Sight::TightOverBust: return {{4.6, 26.2}, Pull, 0, 6, 3};
        case Sight::LooseOverBust: return {{4.6, 26.6}, Loose, 0, 5, 2};
        case Sight::DartAboveBust: return {{5.6, 24.6}, Up, 0, 3.4, 1};
        case Sight::DartBelowBust: return {{5.6, 29.2}, Down, 0, 3.4, 1};
        case Sight::ArmholeGapes: return {{8.4, 23.6}, Gap, 75, 4, 1};
        case Sight::FoldAtFrontArmhole: return {{7.9, 23.8}, Folds, 82, 4.5, 1};
        case Sight::FrontArmholePulls: return {{0, 22.8}, Pull, 0, 9, 2};
        case Sight::LooseBehindArm: return {{8.4, 24.6}, Loose, 70, 4.5, 2};
        case Sight::TightAcrossBack: return {{0, 23.6}, Pull, 0, 10, 3};
        case Sight::FoldsUprightBack: return {{0, 25}, Folds, 88, 7, 3};
        case Sight::ArmholeCutsIn: return {{0.2, 25.6}, Pull, 0, 4.4, 2};
        case Sight::ArmholeLow: return {{0.2, 27.2}, Gap, 0, 4, 1};
        case Sight::FoldsAcrossAboveSeat: return {{4, 41}, Folds, 4, 6.5, 3};
        case Sight::WaistHigh: return {{0, 36.4}, Up, 0, 5, 1};
        case Sight::WaistLow: return {{0, 41.6}, Down, 0, 5, 1};
        case Sight::TightWaist: return {{0, 39}, Pull, 0, 9, 2};
        case Sight::LooseWaist: return {{0, 40}, Loose, 0, 8, 2};
        case Sight::TightHip: return {{0, 51}, Pull, 0, 12, 3};
        case Sight::LooseHip: return {{0, 52}, Loose, 0, 10, 2};
        case Sight::HemUpFront: return {{0, 71}, Up, 0, 6, 1};
        case Sight::HemDownFront: return {{0, 74}, Down, 0, 6, 1};
        case Sight::HemUpBack: return {{0, 71}, Up, 0, 6, 1};
        case Sight::HemDownBack: return {{0, 74}, Down, 0, 6, 1};
        case Sight::RidesUp: return {{-2, 47}, Up, 0, 5, 1};
        case Sight::FullnessLow: return {{-3.4, 57}, Down, 0, 5, 1};
        case Sight::RidesUpSitting: return {{0, 55}, Up, 0, 6, 1};
        case Sight::TightUpperArm: return {{-0.5, 28.4}, Pull, 0, 4.6, 3};
        case Sight::LooseUpperArm: return {{-0.5, 29.4}, Loose, 0, 4, 2};
        case Sight::FoldsSleeveFront: return {{0.7, 23.6}, Folds, 118, 4.4, 3};
        case Sight::FoldsSleeveBack: return {{-1.9, 23.8}, Folds, 62, 4.4, 3};
        case Sight::CapPulls: return {{-0.5, 21.4}, Folds, 0, 3.2, 2};
        case Sight::CapFolds: return {{-0.5, 22.2}, Loose, 0, 3, 2};
        case Sight::WaistNotReached: return {{0, 42}, Down, 0, 6, 1};
        case Sight::WaistPulledDown: return {{0, 42.4}, Down, 0, 6, 1};
        case Sight::CrotchHangs: return {{0, 57}, Down, 0, 4, 1};
        case Sight::CrotchCutsIn: return {{0, 53}, Pull, 90, 5, 2};
        case Sight::FoldsToCrotchBehind: return {{4.2, 54.6}, Folds, -42, 6, 3};
        case Sight::SmilesAtCrotch: return {{0, 54.4}, Folds, -28, 6, 3};
        case Sight::LooseAtFrontCrotch: return {{0, 50}, Loose, 0, 5, 2};
        case Sight::BagUnderSeat: return {{5, 59}, Loose, 0, 6, 3};
        case Sight::TightSeat: return {{0, 52}, Pull, 0, 11, 3};
        case Sight::TightThigh: return {{5.6, 62}, Pull, 0, 6, 3};
        case Sight::LooseThigh: return {{5.6, 63}, Loose, 90, 5, 2};
        case Sight::LegTwists: return {{0.2, 76}, Folds, 60, 8, 2};
        case Sight::DoesNotGoOn: return {{0, 45}, Pull, 0, 12, 3};
    }
    return {};
}

}  // namespace sartorum::desk
