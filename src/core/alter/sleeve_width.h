// sleeve_width.h: a sleeve wider (+) or narrower at the forearm or at its hem, half at each underarm seam.
//
// Changes  forearm: out by half at a third of the way from the elbow to the hem (one without an elbow line:
//          half-way down), nothing at underarm and hem; hem: out by half at the hem, nothing at the underarm
// Keeps    cap, bicep width, the underarm seams' equality
// Limits   80 mm
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length sleeve_width_limit = Length::mm(80);

[[nodiscard]] Outcome<Applied> alter_forearm(const Garment&, const Dose&);
[[nodiscard]] Outcome<Applied> alter_sleeve_hem(const Garment&, const Dose&);
[[nodiscard]] Adjustment forearm_row();
[[nodiscard]] Adjustment sleeve_hem_row();

}  // namespace sartorum
