// doubts.h: a pattern that can hardly be what its chart says, so that its numbers are looked at before anything is
// proposed from them.
//
// In woven cloth a garment narrower than the body it is drafted for cannot be put on; a length that differs from
// the chart's by 50 mm or more (common practice: a number far from the draft) is another length, another unit or
// another chart. Rises that far off may be the garment's own, or from another waist. Knits may be narrower.
#pragma once
#include "core/alter/kit/adjustment.h"

namespace sartorum {

enum class DoubtKind { NarrowerThanBody, LengthFarOff };

struct Doubt {
    DoubtKind kind{};
    Measure measure{};
    Length paper;
    Length chart;
};

inline constexpr Length length_far_off = Length::mm(50);

// Of one part as traced, in the sizes it is traced in. `band`: what stands above the waist seam; the rises go up
// to its edge.
[[nodiscard]] std::vector<Doubt> doubts_of(const Garment& part, const FlatMeasures&, const SizeChart&, SizesAt,
                                           const Cloth&, Length band = {});

}  // namespace sartorum
