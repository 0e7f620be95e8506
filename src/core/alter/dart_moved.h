// dart_moved.h: the bust dart moved to another place of the front's edge.
//
// Changes  the dart closes, the paper between it and the new place turns about the bust point, and what opens
//          there is the dart now: the same angle, another mouth. An amount moves that much of the mouth; none
//          moves all of it. A dart that is at the new place already grows by the angle.
// Keeps    the garment's shape: every seam's sewn length but for a hair of truing
// Methods  to the side seam, the armhole, the shoulder, the waist, the neck
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length dart_moved_limit = Length::mm(150);

enum class DartPlace { Side, Armhole, Shoulder, Waist, Neck };

[[nodiscard]] Outcome<Applied> alter_dart_moved(const Garment&, const Dose& of_mouth);
[[nodiscard]] Adjustment dart_moved_row();

}  // namespace sartorum
