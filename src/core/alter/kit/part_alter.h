// part_alter.h: what the adjustments do differently on each kind of part: one row a kind.
#pragma once
#include <span>

#include "core/alter/kit/applied.h"
#include "core/body/measure.h"
#include "core/pattern/garment_measure.h"

namespace sartorum {

// Names of the sizes a pattern is traced in: above the waist, at it, and below.
struct SizeNames {
    std::string frame;
    std::string waist;
    std::string hip;
    [[nodiscard]] const std::string& at(Level) const;
};

struct PartAlter {
    PartKind kind;
    // What a chart must print for a size to be chosen.
    std::span<const Measure> chosen_by;
    // The size it is bought in is the one at this level.
    Level bought_at;
    // One part of the pattern traced in its sizes.
    Outcome<Applied> (*trace)(const Pattern& part, const SizeNames&);
    Outcome<bool> (*match_sides)(Applied&);
    Outcome<Applied> (*widen)(const Garment& part, const Dose& girth, Level);
    bool widens_back_alone;              // a change of girth may go to the back's side seams alone
    GarmentMeasure length;               // what its finished length is
    std::optional<Measure> length_wish;  // and what wishes for one
    GarmentMeasure hip;                  // what goes round the hip
};

[[nodiscard]] const PartAlter& part_alter(PartKind);
[[nodiscard]] const PartAlter& part_alter(const Garment& part);

}  // namespace sartorum
