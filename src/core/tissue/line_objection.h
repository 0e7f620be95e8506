// line_objection.h: a value typed for a line that cannot be, said before it is kept.
#pragma once
#include "core/tissue/draw.h"

namespace sartorum {

// A value that cannot be, with the lines that make it so; all of them measured.
struct TissueObjection {
    Refusal refusal;
    TissueLine line{};
    std::vector<TissueLine> with{};
};
// Why a line cannot measure that at all; none where it can.
[[nodiscard]] std::optional<Refusal> out_of_range(TissueLine, Length);
// Of that line being `value`, all else as it stands. None where an assumed line could still make room.
[[nodiscard]] std::optional<TissueObjection> objection(const Tissue&, const TissueSize&, const SizeChart*,
                                                       TissueLine, Length value);

}  // namespace sartorum
