// facings.h: facings drawn anew from the edges they lie under, after those were changed. Of the whole garment,
// last of all: core/plan/fitting.cpp does it, by itself unless it is declined.
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

[[nodiscard]] Adjustment facings_row();

}  // namespace sartorum
