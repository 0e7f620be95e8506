// underarm_width.h: width at the underarm, at the side seams, running to nothing at the waist.
//
// Changes  the side seams out (+) or in (−) at the underarm; the armhole runs to the new underarm
// Keeps    the waist and everything below; darts; centre lines
// Methods  quarters: a quarter of the girth at each of the four side seams; back only: half at each of the two
// Limits   80 mm of girth: beyond, take another size. ½ in at each of four is 2 in of girth. Common practice.
// Then     the armhole is longer or shorter: the cap
#pragma once
#include "core/alter/adjustment.h"

namespace sartorum {

inline constexpr Length underarm_limit = Length::mm(80);

// Where a change of girth goes: all four side seam halves, or the back's alone.
// Gathered: at the waist in its gathers, at the hip the back's alone with its waist gathered (gathers.h).
enum class WidthShare { Quarters, BackOnly, Gathered };
inline constexpr std::array<std::string_view, 2> share_methods{"quarters", "back_only"};

[[nodiscard]] Outcome<Applied> alter_underarm_width(const Garment&, const Dose& girth);
[[nodiscard]] Adjustment underarm_width_row();

}  // namespace sartorum
