// seam_matching.h: seams that are sewn together made equally long again after one of them changed.
#pragma once
#include "core/alter/kit/applied.h"

namespace sartorum {

// How much longer than the front's the back's edge of that role is meant to be; nothing where no seam joins the
// two.
[[nodiscard]] Length back_ease(const std::vector<Piece>&, const std::vector<Seam>&, EdgeRole);
[[nodiscard]] Length back_side_ease(const std::vector<Piece>&, const std::vector<Seam>&);

// Front and back side seams, but for the ease meant; leaves a step where an end moved by more than 0.5 mm.
[[nodiscard]] Outcome<bool> match_sides(Applied&);
// How that is done on a kind of part: at the lower ends, which keeps the underarm; or at the waist, which keeps
// what hangs below.
[[nodiscard]] Outcome<bool> match_lower_ends(Applied&);
// Of trousers the inner legs too: the back's hem goes down or up at the inner leg.
[[nodiscard]] Outcome<bool> match_legs(Applied&);
[[nodiscard]] Outcome<bool> match_waist_ends(Applied&);

// The tips moved along their seams, half each, until the back shoulder is longer than the front by `ease` again;
// leaves a step where a tip moved by more than 0.5 mm.
[[nodiscard]] Length shoulder_ease(const Garment&);
void match_shoulders(Applied&, Length ease);

}  // namespace sartorum
