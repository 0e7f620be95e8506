// leg_cut.h: both pieces of trousers cut straight across and spread, or folded, with the steps by hand.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

// Where it is cut, and from where to where the seams are trued.
struct LegCut {
    double upper = 0;
    double level = 0;
    double lower = 0;
};
// How a hand draws the line, and the second one of a fold; `place` says where the line is found.
struct LegCutSteps {
    StepKind draw{};
    StepKind draw_fold{};
    Length place;
};

// + longer, − shorter by a fold; refused where the paper has no room for it.
[[nodiscard]] Outcome<bool> cut_leg(Applied&, Piece&, const LegCut&, Length amount, const LegCutSteps&,
                                    const std::string& field);

}  // namespace sartorum
