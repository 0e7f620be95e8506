// across_back.h: a broad (+) or narrow (−) back: the amount on each half, at the across line.
//
// Changes  +: the corner with the shoulder tip slides out; the shoulder is longer by it, eased or taken in a dart;
//          −: the corner turns in about mid-shoulder until it overlaps by the amount at the across line
// Keeps    neck point, underarm; a narrow back keeps the shoulder's length
// Limits   20 mm (our choice): beyond, another size for the frame
// Then     armhole and so the sleeve's cap; a turned corner tips the shoulder: look at the slope
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length across_back_limit = Length::mm(20);

enum class AcrossBackMethod { Eased, Darted };

[[nodiscard]] Outcome<Applied> alter_across_back(const Garment&, const Dose&);
[[nodiscard]] Adjustment across_back_row();

}  // namespace sartorum
