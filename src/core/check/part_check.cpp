#include "core/check/part_check.h"

namespace sartorum {
namespace {

constexpr std::array upper_corners{Corner{JoinPlace::NeckPoint, EdgeRole::Neck, EdgeRole::Shoulder},
                                   Corner{JoinPlace::ShoulderTip, EdgeRole::Shoulder, EdgeRole::Armhole},
                                   Corner{JoinPlace::Underarm, EdgeRole::Armhole, EdgeRole::Side},
                                   Corner{JoinPlace::Waist, EdgeRole::Side, EdgeRole::Waist},
                                   Corner{JoinPlace::Hem, EdgeRole::Side, EdgeRole::Hem}};
constexpr std::array upper_worn_over{GarmentMeasure::Waist, GarmentMeasure::Bust, GarmentMeasure::UpperArm};

constexpr std::array skirt_corners{Corner{JoinPlace::Waist, EdgeRole::Waist, EdgeRole::Side},
                                   Corner{JoinPlace::Hem, EdgeRole::Side, EdgeRole::Hem}};
constexpr std::array yoke_corners{Corner{JoinPlace::Waist, EdgeRole::Waist, EdgeRole::Side},
                                  Corner{JoinPlace::Lower, EdgeRole::Side, EdgeRole::Lower}};
constexpr std::array yoke_worn_over{GarmentMeasure::Waist};
constexpr std::array below_yoke_worn_over{GarmentMeasure::Hip};

constexpr std::array trouser_corners{Corner{JoinPlace::Waist, EdgeRole::Waist, EdgeRole::Side},
                                     Corner{JoinPlace::Hem, EdgeRole::Side, EdgeRole::Hem},
                                     Corner{JoinPlace::InnerHem, EdgeRole::Hem, EdgeRole::InnerLeg},
                                     Corner{JoinPlace::Crotch, EdgeRole::InnerLeg, EdgeRole::Centre}};
constexpr std::array trousers_worn_over{GarmentMeasure::Waist, GarmentMeasure::Hip, GarmentMeasure::Thigh,
                                        GarmentMeasure::Knee};

constexpr std::array skirt_worn_over{GarmentMeasure::Waist, GarmentMeasure::Hip};

constexpr std::array checked_rows{PartCheck{PartKind::Upper, upper_corners, upper_worn_over},
                                  PartCheck{PartKind::Yoke, yoke_corners, yoke_worn_over},
                                  PartCheck{PartKind::Trousers, trouser_corners, trousers_worn_over},
                                  PartCheck{PartKind::Skirt, skirt_corners, skirt_worn_over},
                                  PartCheck{PartKind::BelowYoke, skirt_corners, below_yoke_worn_over}};
static_assert(checked_rows.size() == part_kinds);

}  // namespace

const PartCheck& part_check(PartKind kind)
{
    return checked_rows[static_cast<std::size_t>(kind)];
}

}  // namespace sartorum
