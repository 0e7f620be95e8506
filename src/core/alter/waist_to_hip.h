// waist_to_hip.h: lengthen or shorten between waist and hip line, front and back alike.
//
// Changes  everything below the lengthen/shorten line, down (+) or up (−) by the amount
// Keeps    the waist as it is shaped, with its darts; so waistband and facing stay as they are
// Method   longer: cut across at the printed line, spread; shorter: fold half as deep as the amount.
//          Then true the side seam from waist to hip. Common practice.
// Limits   50 mm: beyond, make a toile first (common practice); a fold must leave 5 mm above the hip line
// Then     hem, if the finished length is to stay (hem_given_back.h)
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length waist_to_hip_limit = Length::mm(50);

[[nodiscard]] Outcome<Applied> alter_waist_to_hip(const Garment&, const Dose&);
[[nodiscard]] Adjustment waist_to_hip_row();

}  // namespace sartorum
