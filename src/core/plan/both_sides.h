// both_sides.h: what is true of the whole garment, from its two unlike sides.
#pragma once
#include "core/plan/compute.h"

namespace sartorum {

// All round the halves of both; else the right side's, and of a sleeve's girth the narrower one's.
[[nodiscard]] FlatMeasures of_both(const FlatMeasures& right, const FlatMeasures& left);
// What one change did to the whole garment.
[[nodiscard]] Length changed_by(const Computed&, const PlanLine&, GarmentMeasure);

// Of both sides: what is the same once, the rest with its side; ease all round; the centres walked, and the
// corners of neck, waist and hem over them.
[[nodiscard]] Checks checks_of_both(const Garment& right, const Checks& of_right, const Garment& left,
                                    const Checks& of_left, const Garment& traced);

}  // namespace sartorum
